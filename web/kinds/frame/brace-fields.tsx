import { inch, mm } from '../../../core/length/index.js';
import { spacesOf } from '../../../core/piece/index.js';
import type { Brace, Frame } from '../../../core/shells/index.js';
import { useSettledBench } from '../../bench/bench.js';
import type { OneWay } from '../../bench/ways.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { usePrecision, useProject } from '../../data/project.js';
import { StockSelect } from '../../shared/stock-select.js';
import { Select, Wide, WideTick } from '../../shared/ui.js';

const IS: readonly OneWay<Brace['is']>[] = [
  { id: 'diagonal', label: 'One from corner to corner', says: 'One strip to cut. It is in the way of what goes through there.' },
  {
    id: 'cross',
    label: 'Two that cross',
    says: 'Stiff both ways, so that thinner strips do. The second is in two halves, each cut to fit against the first.',
  },
  { id: 'gusset', label: 'Gussets in its upper corners', says: 'The space stays open. It gives more than strips do.' },
];

const WHERE = [
  ['rear', 'A brace across the rear', 'Rear brace'],
  ['ends', 'A brace at each end', 'End braces'],
] as const;

/** Braces that keep a frame square: where, in which space, one or two that cross. */
export function BraceFields({ piece }: { piece: Frame }) {
  const { commit, settled } = useSettledBench();
  const { bench } = useProject();
  const { unit } = usePrecision();
  const { change, length, way } = usePieceFields();
  const braces = piece.braces ?? [];
  const high = (id: string) => settled.shape.spaces.get(id)?.clear.height.value ?? 0;
  // The highest one first, where there is most room for them.
  const spaces = [...spacesOf(piece.interior)]
    .filter(({ space }) => !space.split)
    .map(({ space }) => space)
    .sort((a, b) => high(b.id) - high(a.id));
  const choices = spaces.map((s) => ({ id: s.id, label: settled.shape.spaces.get(s.id)?.label ?? s.id }));
  const put = (next: readonly Brace[], label: string) =>
    next.length > 0 ? change({ braces: [...next] }, label) : commit({ kind: 'piece', patch: {}, without: ['braces'] }, label);
  // Strips are ripped from what the rails are of; a gusset reaches too far for that, and is cut from a sheet.
  const usual = (is: Brace['is']): Pick<Brace, 'stock' | 'wide'> => {
    const rails = piece.top.level.rails.stock;
    if (is !== 'gusset') return { stock: rails, wide: unit === 'mm' ? mm(45) : inch(1.75) };
    const sheet = bench.records.stock.find((s) => s.data.form === 'sheet')?.id ?? rails;
    return { stock: sheet, wide: unit === 'mm' ? mm(150) : inch(6) };
  };
  const toggle = (at: Brace['at'], on: boolean) => {
    const rest = braces.filter((b) => b.at !== at);
    const space = spaces[0]?.id ?? piece.interior.id;
    const one: Brace = { at, is: 'diagonal', space, ...usual('diagonal') };
    put(on ? [...rest, one] : rest, on ? 'Put a brace in' : 'Took the braces out');
  };
  return (
    <>
      {WHERE.map(([at, label, of]) => {
        const index = braces.findIndex((b) => b.at === at);
        const brace = braces[index];
        const changed = (patch: Partial<Brace>) => ({ braces: braces.map((b, i) => (i === index ? { ...b, ...patch } : b)) });
        return (
          <Wide key={at}>
            <WideTick isSelected={brace !== undefined} onChange={(on) => toggle(at, on)}>
              {label}
            </WideTick>
            {brace ? (
              <>
                <Select
                  label={`${of}: in`}
                  value={brace.space}
                  choices={choices}
                  onChange={(space) => change(changed({ space }), 'Moved a brace')}
                />
                {way(
                  `${of}: are`,
                  brace.is,
                  IS,
                  (is) => changed({ is, ...((is === 'gusset') === (brace.is === 'gusset') ? {} : usual(is)) }),
                  'Changed a brace',
                )}
                <StockSelect label={`${of}: of`} value={brace.stock} onChange={(stock) => change(changed({ stock }), 'Changed a brace')} />
                {length(brace.is === 'gusset' ? `${of}: reach along post and rail` : `${of}: wide`, brace.wide, (wide) =>
                  changed({ wide }),
                )}
              </>
            ) : null}
          </Wide>
        );
      })}
    </>
  );
}
