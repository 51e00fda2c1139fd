import type { PieceEdit } from '../../../core/piece/index.js';
import { inch, mm } from '../../../core/length/index.js';
import type { Lid, PanelCase } from '../../../core/shells/index.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { Ways, type OneWay } from '../../bench/ways.js';
import { usePrecision } from '../../data/project.js';
import { StockSelect } from '../../shared/stock-select.js';
import { NumberInput, WideTick } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { asDegrees } from '../../../core/measures/index.js';

/** A lid is opened so far as it is begun, degrees. */
const OPENS = 100;

type Opens = Lid['how'] | 'none';

const OPENING: readonly OneWay<Opens>[] = [
  { id: 'none', label: 'No, it stays', says: 'It keeps the case square, and carries.' },
  {
    id: 'hinged',
    label: 'A lid, hinged behind',
    says: 'Stays with the case. It wants hinges, a stay, and room over and behind it; fingers can be caught.',
  },
  { id: 'lift-off', label: 'A lid, lifted off', says: 'Nothing to buy, and free all round. It has to be put somewhere.' },
];

const DONE: Readonly<Record<Opens, string>> = {
  none: 'A top that stays',
  hinged: 'A hinged lid',
  'lift-off': 'A lid that is lifted off',
};

/** A top that opens: hinged to a rail in front of the back, or lifted off. */
export function LidFields({ piece }: { piece: PanelCase }) {
  const { change, length } = usePieceFields();
  const { unit } = usePrecision();
  const { lid } = piece;
  const s = (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
  const put = (patch: Partial<Lid>) => ({ lid: { ...(lid as Lid), ...patch } });
  const choose = (how: Opens): PieceEdit => {
    if (how === 'none') return { kind: 'piece', patch: {}, without: ['lid'] };
    const begun: Lid = lid ?? { how, slack: s(1.5, 1 / 16), ledge: { stock: piece.stock.sides, wide: s(25, 1) } };
    const packed = how === 'hinged' && !begun.packed ? { packed: { stock: piece.stock.sides, wide: s(45, 1.75) } } : {};
    // In grooves of the top a back would hold it shut.
    const open = piece.back.kind === 'groove' || piece.back.kind === 'rebate' ? { back: { kind: 'applied' as const } } : {};
    const top = how === 'hinged' || (piece.top !== 'between' && piece.top !== 'over') ? { top: 'between' as const } : {};
    return { kind: 'piece', patch: { lid: { ...begun, ...packed, how }, ...open, ...top } };
  };
  return (
    <>
      <Ways label="The top opens" value={lid?.how ?? 'none'} choices={OPENING} edit={choose} said={(how) => DONE[how]} />
      {lid ? (
        <>
          {length('Free at each side of the lid', lid.slack, (slack) => put({ slack }), true)}
          <StockSelect
            label={piece.top === 'over' ? 'Tabs under the lid of' : 'Ledges of the lid of'}
            value={lid.ledge.stock}
            onChange={(stock) => change(put({ ledge: { ...lid.ledge, stock } }), 'Changed its ledges')}
          />
          {length(piece.top === 'over' ? 'Tabs high' : 'Ledges high', lid.ledge.wide, (wide) => put({ ledge: { ...lid.ledge, wide } }))}
        </>
      ) : null}
      {lid?.how === 'hinged' ? (
        <>
          <WideTick
            isSelected={lid.packed !== undefined}
            onChange={(on) =>
              change(
                on ? put({ packed: { stock: piece.stock.sides, wide: s(45, 1.75) } }) : { lid: without(lid, 'packed') },
                on ? 'Packed the lid off the back' : 'Hinged the lid to the back',
              )
            }
          >
            Hinged to a rail in front of the back
          </WideTick>
          {lid.packed ? (
            <>
              <StockSelect
                label="That rail of"
                value={lid.packed.stock}
                onChange={(stock) => lid.packed && change(put({ packed: { ...lid.packed, stock } }), 'Changed its rail')}
              />
              {length('That rail high', lid.packed.wide, (wide) => put({ packed: { stock: piece.stock.sides, ...lid.packed, wide } }))}
            </>
          ) : null}
          <NumberInput
            label="Lid opens by, degrees"
            value={lid.opens ?? OPENS}
            minValue={30}
            maxValue={120}
            onChange={(opens) => Number.isFinite(opens) && change(put({ opens: asDegrees(opens) }), 'Changed how far the lid opens')}
          />
          <WideTick
            isSelected={lid.stay ?? false}
            onChange={(on) => change(on ? put({ stay: true }) : { lid: without(lid, 'stay') }, on ? 'A stay for the lid' : 'No stay')}
          >
            A stay holds it open
          </WideTick>
        </>
      ) : null}
    </>
  );
}
