import { size, type Figure } from '../../figure/index.js';
import { ZERO } from '../../length/index.js';
import type { Axis, Inset, InsetEnds, Insets } from '../../piece/index.js';
import { woodOf } from '../../project/index.js';
import { stockNames } from '../../piece/index.js';
import type { DividingKind, SplitKind } from '../kind.js';
import { endBoardIds } from './ids.js';
import { boardMembers } from './members.js';
import { BoardsSchema, type Boards } from './spec.js';

export * from './spec.js';

const NONE: InsetEnds = { before: [], after: [] };

/** The layout is smaller than its tray across its boards by the fit, half at each end. */
function insetsOf({ fit }: Boards, axis: Axis): Insets | null {
  if (fit === ZERO) return null;
  const half: Inset = { label: 'press fit', size: size('press fit', fit, { in: 'making', field: 'fit' }).over(2) };
  const both: InsetEnds = { before: [half], after: [half] };
  return axis === 'deep' ? { across: both, up: NONE, deep: NONE } : { across: NONE, up: NONE, deep: both };
}

/** A layout in plan: boards on edge between lanes or compartments. */
function inRun(making: Boards, axis: Axis): SplitKind {
  return {
    names: { one: 'board', many: 'boards', part: axis === 'deep' ? 'lane' : 'compartment' },
    set: true,
    roleOf: (member) => (member.room === undefined ? 'board' : 'room'),
    extent: (member, { workshop }) =>
      member.room === undefined ? woodOf(workshop, member.stock ?? making.stock).thickness : size('left free', member.room),
    ends: ({ workshop }) => {
      const board: Figure | null = making.ends ? woodOf(workshop, making.stock).thickness : null;
      return { before: board, after: board };
    },
    endShare: 1,
    endIds: (owner) => (making.ends ? endBoardIds(owner) : null),
    over: { before: null, after: null },
    insets: () => insetsOf(making, axis),
  };
}

export const boards: DividingKind<Boards> = {
  kind: 'boards',
  schema: BoardsSchema,
  names: ({ stock }) => stockNames([stock]),
  onPiece: null,
  seenFrom: 'top',
  split: inRun,
  made: boardMembers,
  filled: () => 'laid out with boards',
  holdsAt: null,
  withStock: (making, _, stock) => ({ ...making, stock }),
  remedies: () => [],
  memberRemedies: null,
};
