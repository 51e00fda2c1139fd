import { ZERO } from '../../../core/length/index.js';
import type { WallBoard } from '../../../core/shells/index.js';
import { EdgeFields, GridFields, usePieceFields } from '../../bench/piece-fields.js';
import { usePrecision } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { StockSelect } from '../../shared/stock-select.js';
import { Grid, Section, Select, Wide, type Choice } from '../../shared/ui.js';
import { without } from '../../shared/without.js';

type Front = 'straight' | NonNullable<WallBoard['fins']['front']>;

const FRONTS: readonly Choice<Front>[] = [
  { id: 'straight', label: 'Straight, plumb' },
  { id: 'stepped', label: 'Stepped under each shelf' },
  { id: 'sloped', label: 'Sloped from shelf to shelf' },
];

/** How a wall board is made: the board, how much of it is bare, and the fins on it. */
export function WallBoardForm({ piece }: { piece: WallBoard }) {
  const precision = usePrecision();
  const { change, length } = usePieceFields();
  const { board, fins } = piece;
  const bare = (label: string, at: keyof WallBoard['board']['bare']) =>
    length(label, board.bare[at], (size) => ({ board: { ...board, bare: { ...board.bare, [at]: size } } }));
  const onWall = (label: string, at: 'above' | 'left', done: string) => (
    <LengthField
      label={label}
      optional
      {...(at === 'left' ? { least: ZERO } : {})}
      of={{ in: 'piece', field: `board.${at}` }}
      value={board[at] ?? null}
      precision={precision}
      onCommit={(size) => change({ board: size === null ? without(board, at) : { ...board, [at]: size } }, done)}
    />
  );
  const front = (next: Front) =>
    change({ fins: next === 'straight' ? without(fins, 'front') : { ...fins, front: next } }, 'Changed the fronts of the fins');
  return (
    <Section>
      <h2>The board and its fins</h2>
      <Grid>
        <StockSelect
          label="Board of"
          value={board.stock}
          onChange={(stock) => change({ board: { ...board, stock } }, 'Changed the board')}
        />
        <StockSelect label="Fins of" value={fins.stock} onChange={(stock) => change({ fins: { ...fins, stock } }, 'Changed the fins')} />
        {bare('Bare beyond the fins', 'ends')}
        {bare('Bare above the fins', 'above')}
        {bare('Bare below the fins', 'below')}
        {onWall('Lower edge over the floor', 'above', 'Changed how high the board is')}
        {piece.opening === undefined ? null : onWall('From the left of the wall', 'left', 'Moved the board along the wall')}
        <Wide>
          <Select label="Fronts of the fins" value={fins.front ?? 'straight'} choices={FRONTS} onChange={front} />
        </Wide>
        <EdgeFields />
        <GridFields asksWall={false} />
      </Grid>
    </Section>
  );
}
