import type { PanelCase } from '../../../core/shells/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { usePrecision } from '../../data/project.js';
import { StockSelect } from '../../shared/stock-select.js';
import { WideTick } from '../../shared/ui.js';
import { sizes } from '../means.js';

/** Strips in the corners of a case, by which nothing is screwed through its sides. */
export function BlockFields({ piece }: { piece: PanelCase }) {
  const { commit } = useSettledBench();
  const { change, length } = usePieceFields();
  const { unit } = usePrecision();
  const { blocks } = piece;
  const put = (on: boolean) =>
    on
      ? change({ blocks: { stock: piece.stock.sides, wide: sizes(unit)(30, 1.25) } }, 'Put corner blocks in')
      : commit({ kind: 'piece', patch: {}, without: ['blocks'] }, 'Took the corner blocks out');
  return (
    <>
      <WideTick isSelected={blocks !== undefined} onChange={put}>
        Corner blocks inside, no screws through the sides
      </WideTick>
      {blocks ? (
        <>
          <StockSelect
            label="Corner blocks of"
            value={blocks.stock}
            onChange={(stock) => change({ blocks: { ...blocks, stock } }, 'Changed the corner blocks')}
          />
          {length('Corner blocks high', blocks.wide, (wide) => ({ blocks: { ...blocks, wide } }))}
        </>
      ) : null}
    </>
  );
}
