import type { PieceEdit } from '../../../core/piece/index.js';
import { inch, mm } from '../../../core/length/index.js';
import type { Back, Hung, PanelCase } from '../../../core/shells/index.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { WayTick, Ways, type OneWay } from '../../bench/ways.js';
import { usePrecision } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { StockSelect } from '../../shared/stock-select.js';
import { NumberInput } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { asKg } from '../../../core/measures/index.js';

type By = 'floor' | 'cleat' | 'rail' | 'keyholes';

const byOf = (hung: Hung | undefined): By => (!hung ? 'floor' : 'cleat' in hung ? 'cleat' : 'rail' in hung ? 'rail' : 'keyholes');

const STANDS: readonly OneWay<By>[] = [
  { id: 'floor', label: 'Stands on the floor', says: 'The floor carries it. A tall one is fixed to the wall against tipping.' },
  {
    id: 'cleat',
    label: 'Hangs by a bevelled cleat',
    says: 'Lifted on and off, and moved along to where it should hang. The wall is pulled at its upper edge, and a bumper is wanted below.',
  },
  {
    id: 'rail',
    label: 'Hangs by a rail behind the back',
    says: 'Screwed straight through into studs, close to the wall. The screws are seen inside, and two people hang it.',
  },
  {
    id: 'keyholes',
    label: 'Hangs by keyholes in the sides',
    says: 'Nothing is seen, and it is off the wall in a moment. Each carries what its maker rates it for, and the screws have to be just as far apart.',
  },
];

/** What a case stands on or hangs by. */
export function HungFields({ piece }: { piece: PanelCase }) {
  const { change, length } = usePieceFields();
  const precision = usePrecision();
  const { hung, back } = piece;
  const s = (metric: number, imperial: number) => (precision.unit === 'mm' ? mm(metric) : inch(imperial));
  // What hangs by its rear edges has nothing over them, and nothing under it.
  const hang = (by: By): PieceEdit => {
    if (by === 'floor') return { kind: 'piece', patch: {}, without: ['hung'] };
    const stock = piece.stock.sides;
    const above = hung?.above === undefined ? {} : { above: hung.above };
    const next: Hung =
      by === 'cleat'
        ? { cleat: { stock, wide: s(120, 4.75) }, ...above }
        : by === 'rail'
          ? { rail: { stock, wide: s(90, 3.5) }, ...above }
          : { keyholes: { under: s(60, 2.5) }, ...above };
    const groove: Back = { kind: 'groove', depth: s(6, 1 / 4), inset: by === 'rail' ? s(18, 3 / 4) : s(10, 3 / 8), slack: s(1, 1 / 32) };
    const rear = by !== 'keyholes' && (back.kind === 'applied' || (by === 'rail' && back.kind !== 'none')) ? { back: groove } : {};
    const bottom = piece.bottom === 'over' ? 'between' : piece.bottom;
    return { kind: 'piece', patch: { hung: next, base: { kind: 'none' }, bottom, ...rear } };
  };
  const notch = (on: boolean): PieceEdit => {
    if (!hung || !('cleat' in hung)) return { kind: 'piece', patch: {} };
    const plain = without(hung.cleat, 'notched');
    const rear: Back = { kind: 'groove', depth: s(6, 1 / 4), inset: s(18, 3 / 4), slack: s(1, 1 / 32) };
    const next: Hung = { ...hung, cleat: on ? { ...plain, notched: true } : plain };
    return { kind: 'piece', patch: { hung: next, ...(on && back.kind !== 'none' ? { back: rear } : {}) } };
  };
  return (
    <>
      <Ways
        label="Stands or hangs"
        value={byOf(hung)}
        choices={STANDS}
        edit={hang}
        said={(by) => (by === 'floor' ? 'Stands on the floor' : 'Hung on the wall')}
      />
      {hung && 'cleat' in hung ? (
        <>
          <StockSelect
            label="Cleat of"
            value={hung.cleat.stock}
            onChange={(stock) => change({ hung: { ...hung, cleat: { ...hung.cleat, stock } } }, 'Changed the cleat')}
          />
          {length('Cleat board wide', hung.cleat.wide, (wide) => ({ hung: { ...hung, cleat: { ...hung.cleat, wide } } }))}
          <WayTick
            label="Through notches in the sides, flush with the wall"
            is={hung.cleat.notched === true}
            says={{
              with: 'The sides lie against the wall, and no bumper is wanted. Each side is cut out, and the cleat is seen at its ends.',
              without: 'The sides stay whole. It stands off the wall by the cleat, on a bumper below.',
            }}
            edit={notch}
            said={{ with: 'Let the cleat into the sides', without: 'Put the cleat behind the sides' }}
          />
        </>
      ) : null}
      {hung && 'rail' in hung ? (
        <>
          <StockSelect
            label="Hanging rail of"
            value={hung.rail.stock}
            onChange={(stock) => change({ hung: { ...hung, rail: { ...hung.rail, stock } } }, 'Changed the hanging rail')}
          />
          {length('Hanging rail high', hung.rail.wide, (wide) => ({ hung: { ...hung, rail: { ...hung.rail, wide } } }))}
        </>
      ) : null}
      {hung && 'keyholes' in hung ? (
        <>
          {length('Keyholes under the upper ends', hung.keyholes.under, (under) => ({
            hung: { ...hung, keyholes: { ...hung.keyholes, under } },
          }))}
          <NumberInput
            label="One keyhole is rated for, kg"
            value={hung.keyholes.rated ?? Number.NaN}
            minValue={1}
            maxValue={1000}
            onChange={(kg) =>
              change(
                {
                  hung: {
                    ...hung,
                    keyholes: Number.isFinite(kg) ? { ...hung.keyholes, rated: asKg(kg) } : without(hung.keyholes, 'rated'),
                  },
                },
                'Changed what a keyhole is rated for',
              )
            }
          />
        </>
      ) : null}
      {hung ? (
        <LengthField
          label="Its lower edge over the floor"
          optional
          value={hung.above ?? null}
          precision={precision}
          onCommit={(above) =>
            change({ hung: above === null ? (without(hung, 'above') as Hung) : { ...hung, above } }, 'Changed how high it hangs')
          }
        />
      ) : null}
    </>
  );
}
