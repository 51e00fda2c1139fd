import { Figure, say, size, type Source } from '../../figure/index.js';
import { ZERO, negative } from '../../length/index.js';
import {
  stockNames,
  type Member,
  type PieceEdit,
  type PlacedRun,
  type Posts,
  type ShapeProblem,
  type Space,
  type Split,
  type Stand,
} from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import { NOTHING, together, type DividedIn, type DividingKind, type Made, type SplitKind } from '../kind.js';
import { levelMembers } from './deck.js';
import { boardsInPlace, railPieceId } from './rails.js';
import type { Stretch } from './seams.js';
import { NUMBER, levelHeight, levelIds, railSection, type LevelAt } from './level.js';
import { levelRemedies } from './remedies.js';
import { LevelsSchema, levelOf, type Level, type Levels } from './spec.js';

export * from './level.js';
export { levelMembers, levelRails } from './deck.js';
export { slatJoints, slatMember, slatsLaid, type SlatsLaid } from './slats.js';
export { seamsOf } from './seams.js';
export * from './spec.js';
export { levelRemedies } from './remedies.js';

const fieldOf =
  ({ own }: Levels, id: string) =>
  (field: string): Source => ({ in: 'making', field: own?.[id] ? `own.${id}.${field}` : `level.${field}` });

/** What a level is met as: its deck, where that is one piece, or its rails. @example deckedAs({ rails: {} }) // 'rail' */
export const deckedAs = ({ deck }: Level): 'deck' | 'rail' => (deck && !deck.slats ? 'deck' : 'rail');

/** Levels up a frame: its members are levels, its parts what is clear between them. */
function inRun(making: Levels): SplitKind {
  const { rollsIn } = making;
  return {
    names: { one: 'level', many: 'levels', part: 'space' },
    set: true,
    roleOf: ({ id }) => deckedAs(levelOf(making, id)),
    extent: ({ id }, { workshop }) => levelHeight(levelOf(making, id), workshop, fieldOf(making, id)),
    ends: () => ({ before: null, after: null }),
    endShare: 1,
    endIds: () => null,
    over: { before: null, after: null },
    insets: (part) => {
      if (rollsIn?.space !== part) return null;
      const aside = { label: 'free beside it', size: size('free beside it', rollsIn.aside, { in: 'making', field: 'rollsIn.aside' }) };
      // What stands out in front is room that the frame need not have.
      const out = Figure.leaf('length', negative(rollsIn.out), 'stands out in front', { in: 'making', field: 'rollsIn.out' });
      return {
        across: { before: [aside], after: [aside] },
        up: { before: [], after: [] },
        deep: { before: [], after: rollsIn.out === 0 ? [] : [{ label: 'stands out in front', size: out }] },
      };
    },
  };
}

const nothingRound = (space: string): ShapeProblem => ({
  id: `levels-${space}`,
  about: space,
  stops: true,
  sentence: say`Levels are rails between posts, and there are none here: divide it by shelves instead.`,
  fixes: [{ label: say`Make it one space again`, edit: { kind: 'clear', space } }],
});

/** How high the underside of a level is, as the sum of all that is under it. */
function undersideOf(run: PlacedRun, id: string): Figure {
  const below = run.run.lines.slice(
    0,
    run.run.lines.findIndex((l) => l.line.id === id),
  );
  return below.reduce((sum, l) => sum.plus(l.size.named(l.line.label)), run.datum).named('underside');
}

/** A level as what stands on it sees it: its node, how high its rails are, and the boards that those across are made of. */
interface LevelBelow {
  readonly node: string;
  readonly rails: Figure;
  readonly boards: readonly Stretch[];
}

/** What inner posts under a level stand on: the rails of the level below, or the floor. */
function footOn(below: LevelBelow | null, floor: string, { through, feet }: Posts): LevelAt['foot'] {
  return {
    y: below?.rails ?? feet ?? size('floor', ZERO),
    on: (side, end, x) => {
      if (!below) return floor;
      if (through === 'deep') return levelIds(below.node).rail(NUMBER[end]);
      const board = below.boards.findIndex((b) => x >= b.from && x <= b.to);
      return railPieceId(below.node, side, Math.max(0, board));
    },
  };
}

/** The levels of a run in their places, from the bottom up. */
function placedLevels(making: Levels, split: Split, run: PlacedRun, posts: Posts, workshop: Workshop) {
  const members = run.run.lines.filter(({ line }) => split.members.some((m) => m.id === line.id));
  return members.map(({ line }, i) => {
    const level = levelOf(making, line.id);
    const source = fieldOf(making, line.id);
    const underside = undersideOf(run, line.id);
    const wood = woodOf(workshop, level.rails.stock);
    const section = railSection(level, wood, source);
    const rails = underside.plus(section.high.named('rails'));
    // Seams lie over others from level to level.
    const fromRight = i % 2 === 1;
    const boards = boardsInPlace({ at: { posts, fromRight }, wood, ...section });
    return { node: line.id, label: line.label, level, source, underside, rails, boards, fromRight };
  });
}

/** What the level over all that a space is divided by stands on. @param floor what is under the lowest */
export function underTop({ split }: Space, run: PlacedRun | undefined, posts: Posts, workshop: Workshop, floor: string) {
  const placed = split?.making?.kind === 'levels' && run ? placedLevels(split.making, split, run, posts, workshop) : [];
  return { foot: footOn(placed.at(-1) ?? null, floor, posts), fromRight: placed.length % 2 === 1 };
}

function made(making: Levels, { split, run, space, workshop, piece }: DividedIn): Made {
  const rounding = piece.rounding ?? workshop.settings.rounding;
  const { posts } = space;
  if (!posts) return { ...NOTHING, problems: [nothingRound(space.id)] };
  const placed = placedLevels(making, split, run, posts, workshop);
  return together(
    placed.map(({ rails: _, boards: __, ...at }, i) => {
      const foot = footOn(placed[i - 1] ?? null, space.neighbours.below, posts);
      const above = placed[i + 1]?.node ?? posts.top;
      const { deckFacts, ...level } = levelMembers({ ...at, y: at.underside.value, posts, workshop, rounding, foot, above });
      const over = split.spaces[split.members.findIndex((m) => m.id === at.node) + 1];
      const facts = over && deckFacts.length > 0 ? [{ space: over.id, facts: deckFacts }] : [];
      return { ...NOTHING, ...level, facts, stands: over ? standsOn(over.id, level.members) : [] };
    }),
  );
}

/** What carries things that stand on a deck of several pieces: each what is over it; slats all alike. @example standsOn('in', []) // [] */
export function standsOn(space: string, members: readonly Member[]): readonly Stand[] {
  const slats = members.filter((m) => m.role === 'slat');
  if (slats.length > 0) return [{ space, carriers: slats.map((m) => m.id) }];
  const pieces = members.filter((m) => m.role === 'deck');
  return pieces.length > 1 ? [{ space, carriers: pieces.map((m) => m.id), endToEnd: true }] : [];
}

/** The woods of a level. @example woodsOfLevel({ rails: { stock: 'spruce' }, deck: { stock: 'ply' } }) // ['spruce', 'ply'] */
export const woodsOfLevel = ({ rails, deck, splice, corners }: Level): readonly string[] => [
  rails.stock,
  ...(deck ? [deck.stock] : []),
  ...(splice ? [splice.stock] : []),
  ...(rails.bar ? [rails.bar.stock] : []),
  ...(corners ? [corners.stock] : []),
];

/** A level with a member of it of another stock. @example levelWith({ rails: { stock: 'spruce' } }, 'rail', 'ash').rails.stock // 'ash' */
export function levelWith(level: Level, role: string, stock: string): Level {
  if (role === 'deck' || role === 'slat') return level.deck ? { ...level, deck: { ...level.deck, stock } } : level;
  if (role === 'stiffener') return level.rails.bar ? { ...level, rails: { ...level.rails, bar: { ...level.rails.bar, stock } } } : level;
  if (role === 'corner block') return level.corners ? { ...level, corners: { stock } } : level;
  if (role === 'splice plate') return level.splice ? { ...level, splice: { ...level.splice, stock } } : level;
  return { ...level, rails: { ...level.rails, stock } };
}

export const levels: DividingKind<Levels> = {
  kind: 'levels',
  schema: LevelsSchema,
  names: ({ level, own }) => stockNames([level, ...Object.values(own ?? {})].flatMap(woodsOfLevel)),
  onPiece: null,
  seenFrom: 'front',
  split: inRun,
  made,
  filled: () => 'divided by levels',
  holdsAt: null,
  withStock: (making, { role, node }, stock) => {
    const own = making.own?.[node];
    if (own) return { ...making, own: { ...making.own, [node]: levelWith(own, role, stock) } };
    return { ...making, level: levelWith(making.level, role, stock) };
  },
  remedies: (making, owner, member, workshop) => {
    const { node } = member;
    const edit = (level: Level): PieceEdit => ({
      kind: 'making',
      space: owner.id,
      making: making.own?.[node] ? { ...making, own: { ...making.own, [node]: level } } : { ...making, level },
    });
    return levelRemedies(levelOf(making, node), member, workshop, edit);
  },
  memberRemedies: null,
};
