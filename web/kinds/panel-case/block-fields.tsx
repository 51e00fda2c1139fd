import type { PanelCase } from '../../../core/shells/index.js';
import type { PieceEdit } from '../../../core/piece/index.js';
import { usePieceFields } from '../../bench/piece-fields.js';
import { WayTick } from '../../bench/ways.js';
import { usePrecision } from '../../data/project.js';
import { StockSelect } from '../../shared/stock-select.js';
import { sizes } from '../means.js';

/** Strips in the corners of a case, by which nothing is screwed through its sides. */
export function BlockFields({ piece }: { piece: PanelCase }) {
  const { change, length } = usePieceFields();
  const { unit } = usePrecision();
  const { blocks } = piece;
  const put = (on: boolean): PieceEdit =>
    on
      ? { kind: 'piece', patch: { blocks: { stock: piece.stock.sides, wide: sizes(unit)(30, 1.25) } } }
      : { kind: 'piece', patch: {}, without: ['blocks'] };
  return (
    <>
      <WayTick
        label="Corner blocks inside, no screws through the sides"
        is={blocks !== undefined}
        says={{
          with: 'No screw shows outside. They are glued, take room in the corners, and do not come apart again.',
          without: 'Nothing in the corners. Screws are seen from outside, or plugged.',
        }}
        edit={put}
        said={{ with: 'Put corner blocks in', without: 'Took the corner blocks out' }}
      />
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
