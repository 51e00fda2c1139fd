import { allBolts, allBrads, allScrews } from '../carry/index.js';
import { PIN, POCKET_HOLE, pocketScrewLength } from '../joints/index.js';
import { ZERO, add, fromUnits, mm } from '../length/index.js';
import { EDGING_SPARE, edgedAlong } from '../parts/index.js';
import type { Bought, Feature, Member } from '../piece/index.js';
import type { Solution } from './solve.js';

function holes({ features }: Member, are: (hole: Extract<Feature, { kind: 'hole' }>) => boolean): number {
  return features.filter((f) => f.kind === 'hole' && are(f)).length;
}

/** A pin for every pin hole: the shelf lies on it. */
function pins({ shape }: Solution): Bought[] {
  const count = shape.members.reduce((sum, m) => sum + holes(m, (h) => h.diameter === PIN.diameter && !h.spare), 0);
  return count > 0 ? [{ what: `shelf pins Ø${PIN.diameter / mm(1)}`, count, each: 'piece' }] : [];
}

/** Wood screws as they were sized for what they hold. */
function screws({ carried }: Solution): Bought[] {
  return allScrews(carried).map(({ row, screws: { length } }) => ({
    what: `wood screws ${row.screw.name}`,
    length: mm(row.length),
    count: length,
    each: 'piece',
  }));
}

/** Brads, by their length. */
const brads = ({ carried }: Solution): Bought[] =>
  allBrads(carried).map(({ length, count }) => ({ what: 'brads, 16 gauge', length: mm(length), count, each: 'piece' }));

/** Bolts, each with its nut and washers, where they hold something. */
function bolts({ carried }: Solution): Bought[] {
  return allBolts(carried).map(({ end }) => ({
    what: `bolts M${end.diameter} with ${end.nut === 'barrel' ? 'barrel nuts' : 'nuts'}`,
    length: mm(end.length),
    count: end.count,
    each: 'piece',
  }));
}

/** A pocket screw for every pocket hole, by the thickness of what it goes through. */
function pocketScrews({ shape, carried }: Solution): Bought[] {
  return shape.members.flatMap((member): Bought[] => {
    const count = holes(member, (h) => h.diameter === POCKET_HOLE);
    const length = pocketScrewLength(member.thickness.value, carried.unit);
    return count > 0 && length ? [{ what: 'pocket screws', length, count, each: 'piece' }] : [];
  });
}

/** Edging along all edges that are covered, and something to spare. */
function edging({ parts, piece }: Solution): Bought[] {
  const { banding } = piece.edges;
  const long = parts.reduce((sum, { member }) => sum + edgedAlong(member), 0);
  if (long === 0 || banding === ZERO) return [];
  const what = `edging, with ${Math.round(EDGING_SPARE * 100)} % to spare`;
  return [{ what, thick: banding, length: fromUnits(long * (1 + EDGING_SPARE)), count: 1, each: 'run' }];
}

/**
 * Equal things counted together, and runs of one kind as one as long as all of them.
 * @example together([{ what: 'pin', count: 2, each: 'piece' }, { what: 'pin', count: 3, each: 'piece' }])[0].count // 5
 */
export function together(all: readonly Bought[]): readonly Bought[] {
  const alike = new Map<string, Bought>();
  for (const one of all) {
    const isRun = one.each === 'run';
    const key = [one.what, one.each, one.thick ?? '', isRun ? '' : (one.length ?? '')].join('\n');
    const known = alike.get(key);
    if (!known) alike.set(key, one);
    else if (isRun) alike.set(key, { ...known, length: add(known.length ?? ZERO, one.length ?? ZERO) });
    else alike.set(key, { ...known, count: known.count + one.count });
  }
  return [...alike.values()];
}

/**
 * All that a piece, as often as it is made, takes besides wood, equal things together: slides, handles, pins, screws by size, edging with spare.
 * @example boughtFor(SOLVED).find((b) => b.what === 'shelf pins Ø5').count // 4
 */
export function boughtFor(solution: Solution): readonly Bought[] {
  const all = [
    ...solution.shape.bought,
    ...pins(solution),
    ...screws(solution),
    ...brads(solution),
    ...bolts(solution),
    ...pocketScrews(solution),
    ...edging(solution),
  ];
  const alike = together(all);
  const times = solution.piece.times ?? 1;
  if (times === 1) return alike;
  return alike.map((one) =>
    one.each === 'run' && one.length !== undefined
      ? { ...one, length: fromUnits(one.length * times) }
      : { ...one, count: one.count * times },
  );
}
