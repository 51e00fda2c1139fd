import { Figure, say, size, type Source } from '../../figure/index.js';
import type { Length } from '../../length/index.js';
import { stockNames, type PieceEdit, type PlacedRun, type Posts, type ShapeProblem, type Space, type Split } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { NOTHING, together, type DividedIn, type DividingKind, type Made, type SplitKind } from '../kind.js';
import { levelMembers } from './deck.js';
import { NUMBER, levelHeight, levelIds, railHeight, type LevelAt } from './level.js';
import { levelRemedies } from './remedies.js';
import { LevelsSchema, levelOf, type Level, type Levels } from './spec.js';

export * from './level.js';
export { levelMembers } from './deck.js';
export * from './spec.js';
export { levelRemedies } from './remedies.js';

const fieldOf =
  ({ own }: Levels, id: string) =>
  (field: string): Source => ({ in: 'making', field: own?.[id] ? `own.${id}.${field}` : `level.${field}` });

/** Levels up a frame: its members are levels, its parts what is clear between them. */
function inRun(making: Levels): SplitKind {
  const { rollsIn } = making;
  return {
    names: { one: 'level', many: 'levels', part: 'space' },
    set: true,
    roleOf: ({ id }) => (levelOf(making, id).deck ? 'deck' : 'rail'),
    extent: ({ id }, { workshop }) => levelHeight(levelOf(making, id), workshop, fieldOf(making, id)),
    ends: () => ({ before: null, after: null }),
    endShare: 1,
    endIds: () => null,
    over: { before: null, after: null },
    insets: (part) => {
      if (rollsIn?.space !== part) return null;
      const aside = { label: 'free beside it', size: size('free beside it', rollsIn.aside, { in: 'making', field: 'rollsIn.aside' }) };
      // What stands out in front is room that the frame need not have.
      const out = Figure.leaf('length', -rollsIn.out, 'stands out in front', { in: 'making', field: 'rollsIn.out' });
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

/** What inner posts under a level stand on: the rails of the level below, or the floor. */
export function footOn(below: LevelBelow | null, floor: string, { through }: Posts): LevelAt['foot'] {
  const zero = size('floor', 0 as Length);
  return {
    y: below?.rails ?? zero,
    on: (side, end) => (below ? levelIds(below.node).rail(NUMBER[through === 'across' ? side : end]) : floor),
  };
}

/** A level as what stands on it sees it: its node, and how high its rails are. */
export interface LevelBelow {
  readonly node: string;
  readonly rails: Figure;
}

/** The levels of a run in their places, from the bottom up. */
function placedLevels(making: Levels, split: Split, run: PlacedRun, workshop: Workshop) {
  return run.run.lines.flatMap(({ line }) => {
    if (!split.members.some((m) => m.id === line.id)) return [];
    const level = levelOf(making, line.id);
    const source = fieldOf(making, line.id);
    const underside = undersideOf(run, line.id);
    const rails = underside.plus(railHeight(level, workshop, source).named('rails'));
    return [{ node: line.id, label: line.label, level, source, underside, rails }];
  });
}

/** The highest level that a space is divided by; null where it is divided by none. */
export function topmost({ split }: Space, run: PlacedRun | undefined, workshop: Workshop): LevelBelow | null {
  if (split?.making?.kind !== 'levels' || !run) return null;
  return placedLevels(split.making, split, run, workshop).at(-1) ?? null;
}

function made(making: Levels, { split, run, space, workshop }: DividedIn): Made {
  const { posts } = space;
  if (!posts) return { ...NOTHING, problems: [nothingRound(space.id)] };
  const placed = placedLevels(making, split, run, workshop);
  const over = space.neighbours.above.split('/')[0] ?? null;
  return together(
    placed.map(({ node, label, level, source, underside }, i) => {
      const foot = footOn(placed[i - 1] ?? null, space.neighbours.below, posts);
      const above = placed[i + 1]?.node ?? over;
      return { ...NOTHING, ...levelMembers({ node, label, level, y: underside.value, underside, posts, workshop, foot, above, source }) };
    }),
  );
}

/** The woods of a level. */
export const woodsOfLevel = ({ rails, deck }: Level): readonly string[] => [rails.stock, ...(deck ? [deck.stock] : [])];

/** A level with a member of it of another stock. */
export function levelWith(level: Level, role: string, stock: string): Level {
  if (role === 'deck') return level.deck ? { ...level, deck: { ...level.deck, stock } } : level;
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
  remedies: (making, owner, member) => {
    const { node } = member;
    const edit = (level: Level): PieceEdit => ({
      kind: 'making',
      space: owner.id,
      making: making.own?.[node] ? { ...making, own: { ...making.own, [node]: level } } : { ...making, level },
    });
    return levelRemedies(levelOf(making, node), member, edit);
  },
  memberRemedies: null,
};
