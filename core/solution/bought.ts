import { ZERO, add, fromUnits } from '../length/index.js';
import { EDGING_SPARE, edgedAlong } from '../parts/index.js';
import type { Bought } from '../piece/index.js';
import { fastenersOf } from './fasteners.js';
import type { Solution } from './solve.js';

/** Edging along all edges that are covered, and something to spare. */
function edging({ parts, piece }: Solution): Bought[] {
  const { banding } = piece.edges;
  const long = parts.reduce((sum, { member }) => sum + edgedAlong(member), 0);
  if (long === 0 || banding === ZERO) return [];
  const what = `edging, with ${Math.round(EDGING_SPARE * 100)} % to spare`;
  return [{ what, thick: banding, length: fromUnits(long * (1 + EDGING_SPARE)), count: 1, each: 'run' }];
}

/** What there is one of, by what several are called. @example oneOf('wood screws No. 8') // 'wood screw No. 8' */
export const oneOf = (what: string): string =>
  what.replace(/^((?:wood |pocket )?screw|brad|bolt|shelf pin|angle bracket|figure-eight plate|hinge)s\b/, '$1');

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
  const all = [...solution.shape.bought, ...fastenersOf(solution), ...edging(solution)];
  const alike = together(all);
  const times = solution.piece.times ?? 1;
  if (times === 1) return alike;
  return alike.map((one) =>
    one.each === 'run' && one.length !== undefined
      ? { ...one, length: fromUnits(one.length * times) }
      : { ...one, count: one.count * times },
  );
}
