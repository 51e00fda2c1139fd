import { inch, mm } from '../../../core/length/index.js';
import { spacesOf } from '../../../core/piece/index.js';
import type { PanelCase } from '../../../core/shells/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { usePrecision } from '../../data/project.js';
import { StockSelect } from '../../shared/stock-select.js';
import { Select } from '../../shared/ui.js';

const NONE = 'no bar';

/** A bar across the front of a space, that is lifted out to get at what is behind it. */
export function BarFields({ piece }: { piece: PanelCase }) {
  const { commit, settled } = useSettledBench();
  const { change, length } = usePieceFields();
  const { unit } = usePrecision();
  const { bar } = piece;
  const open = [...spacesOf(piece.interior)].filter(({ space }) => !space.split).map(({ space }) => space);
  const choices = open.map((s) => ({ id: s.id, label: settled.shape.spaces.get(s.id)?.label ?? s.id }));
  const put = (space: string) => {
    if (space === NONE) return commit({ kind: 'piece', patch: {}, without: ['bar'] }, 'Took the access bar out');
    const begun = bar ?? { stock: piece.stock.sides, wide: unit === 'mm' ? mm(100) : inch(4), slack: unit === 'mm' ? mm(1) : inch(1 / 32) };
    return change({ bar: { ...begun, space } }, 'Put an access bar in');
  };
  return (
    <>
      <Select
        label="A bar that lifts out, before"
        value={bar?.space ?? NONE}
        choices={[{ id: NONE, label: 'None' }, ...choices]}
        onChange={put}
      />
      {bar ? (
        <>
          <StockSelect
            label="Bar of"
            value={bar.stock}
            onChange={(stock) => change({ bar: { ...bar, stock } }, 'Changed the access bar')}
          />
          {length('Bar high', bar.wide, (wide) => ({ bar: { ...bar, wide } }))}
          {length('Bar free at each end', bar.slack, (slack) => ({ bar: { ...bar, slack } }), true)}
        </>
      ) : null}
    </>
  );
}
