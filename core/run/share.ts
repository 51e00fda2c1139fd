import { type Figure, size } from '../figure/index.js';
import { ZERO, add, ceilTo, floorTo, sub, type Length } from '../length/index.js';
import type { GapRule, Rounding } from './rule.js';
import type { Residue, RunGap } from './types.js';

/** A gap that takes part of what is left: `weight` times the share, and `offset` over it. */
export interface FreeGap {
  readonly gap: RunGap;
  readonly weight: number;
  readonly offset: Length;
}

/** Whether a gap takes part of what is left. A fit with nothing in it has nothing to go by, so it shares. @example isFree(RUN.lines[0]) // true */
export function isFree(gap: RunGap): boolean {
  return gap.rule.kind === 'share' || gap.rule.kind === 'graded' || (gap.rule.kind === 'fit' && !gap.need);
}

/**
 * The free gaps of a run with their weights; each graded gap stands on the graded gap before it.
 * @example freeGaps([RUN.lines[0]])[0].weight // 1
 */
export function freeGaps(gaps: readonly RunGap[]): readonly FreeGap[] {
  const free: FreeGap[] = [];
  let before: FreeGap | null = null;
  for (const gap of gaps.filter(isFree)) {
    const { rule } = gap;
    if (rule.kind !== 'graded') {
      free.push({ gap, weight: rule.kind === 'share' ? rule.weight : 1, offset: ZERO });
      continue;
    }
    before = graded(gap, rule, before);
    free.push(before);
  }
  return free;
}

/** A graded gap by the one before it; the first is the measure of those that follow. */
function graded(gap: RunGap, rule: Extract<GapRule, { kind: 'graded' }>, before: FreeGap | null): FreeGap {
  if (!before) return { gap, weight: 1, offset: ZERO };
  if ('step' in rule) return { gap, weight: before.weight, offset: (before.offset + rule.step) as Length };
  return { gap, weight: before.weight * rule.ratio, offset: Math.round(before.offset * rule.ratio) as Length };
}

/** The size of each free gap when `left` is shared among them all. Gaps of one weight have one sum. */
function parts(free: readonly FreeGap[], left: Figure): readonly Figure[] {
  let weights = 0;
  let offsets = 0;
  for (const f of free) {
    weights += f.weight;
    offsets += f.offset;
  }
  const shared = offsets === 0 ? left : left.minus(size('steps between the graded spaces', offsets as Length));
  const one = (note: string) => (weights === 1 ? shared : shared.over(weights, note));
  const equal = one(Number.isInteger(weights) ? 'equal spaces' : 'parts');
  const weighed = free.some((f) => f.weight !== 1) ? one('parts') : equal;
  return free.map(({ weight, offset }) => {
    const part = weight === 1 ? equal : weighed.times(weight);
    return offset === ZERO ? part : part.plus(size('step', offset));
  });
}

/** What a bound makes of a gap that wants to be `wanted`; null where it may. */
function stopped({ label, least, greatest }: RunGap, wanted: Figure): Figure | null {
  if (least !== undefined && wanted.value < least) return size(`at least, ${label}`, least);
  if (greatest !== undefined && wanted.value > greatest) return size(`at most, ${label}`, greatest);
  return null;
}

/** What a gap would be, held by its bounds. @example withinBounds({ ...RUN.lines[0], least: mm(60) }, RUN.lines[1].extent).value // mm(60) */
export const withinBounds = (gap: RunGap, wanted: Figure): Figure => stopped(gap, wanted) ?? wanted;

/**
 * Shares what is left among free gaps, keeping each inside its bounds: gaps that a bound
 * stops are taken out, and the rest share again, until none is out of bounds.
 * @returns the exact size of each gap, in their order; where the bounds cannot all be met the sizes do not add up to `left`
 * @example shareOut(freeGaps([RUN.lines[0], RUN.lines[2]]), RUN.total.figure)[1].value // mm(500)
 */
export function shareOut(free: readonly FreeGap[], left: Figure): readonly Figure[] {
  if (free.every(({ gap }) => gap.least === undefined && gap.greatest === undefined)) return parts(free, left);
  const sizes = new Map<FreeGap, Figure>();
  let open = free;
  let remaining = left;
  while (open.length > 0) {
    const wanted = parts(open, remaining);
    const held = open.map((f, i) => stopped(f.gap, wanted[i] as Figure));
    const excess = held.map((h, i) => (h ? h.value - (wanted[i] as Figure).value : 0));
    const violation = excess.reduce((sum, by) => sum + by, 0);
    const stops = held.map((h, i) => h !== null && (violation === 0 || (excess[i] as number) > 0 === violation > 0));
    open.forEach((f, i) => {
      const size = (stops[i] ? held[i] : wanted[i]) as Figure;
      sizes.set(f, size);
      if (stops[i]) remaining = remaining.minus(size);
    });
    const rest = open.filter((_, i) => !stops[i]);
    if (rest.length === open.length) break;
    open = rest;
  }
  return free.map((f) => sizes.get(f) as Figure);
}

/** Which of `count` equal gaps take a step more when `steps` are left over. @example stepPlaces(4, 1, 'last').filter(Boolean).length // 1 */
export function stepPlaces(count: number, steps: number, leftover: Rounding['leftover']): readonly boolean[] {
  return Array.from({ length: count }, (_, i) => {
    if (leftover === 'first') return i < steps;
    if (leftover === 'spread') return Math.floor(((i + 1) * steps) / count) > Math.floor((i * steps) / count);
    return i >= count - steps;
  });
}

/** The free gaps of a stretch brought to the grid, in their order. */
export interface SetGaps {
  readonly sizes: readonly Figure[];
  readonly residue: Residue | null;
}

/** Which gap takes what is smaller than a step: one that got no step, where there is one. */
function placeOfRest(extra: readonly boolean[], leftover: Rounding['leftover']): number {
  const at = leftover === 'first' ? extra.indexOf(false) : extra.lastIndexOf(false);
  if (at >= 0) return at;
  return leftover === 'first' ? 0 : extra.length - 1;
}

/** Whether a gap may be brought down or up to the grid without leaving its bounds. */
function goesToGrid(exact: Length, { least, greatest }: RunGap, grid: Length): boolean {
  return (least === undefined || floorTo(exact, grid) >= least) && (greatest === undefined || ceilTo(exact, grid) <= greatest);
}

/**
 * Brings exact gap sizes to the grid: each down to the grid, whole steps that are left
 * over dealt out as chosen, and what is smaller than a step put into one named gap that
 * got no step, so that the sum closes exactly.
 * Gaps that would leave their bounds on the way stay as they are.
 * @param exact the size of each gap, in their order
 * @param total what the gaps must add up to; the exact sizes may miss it by a unit each
 * @example setToGrid([RUN.lines[0]], [RUN.total.figure], mm(1000), RUN.rounding).sizes[0].value // mm(1000)
 */
export function setToGrid(gaps: readonly RunGap[], exact: readonly Figure[], total: Length, rounding: Rounding): SetGaps {
  const goes = gaps.map((gap, i) => goesToGrid((exact[i] as Figure).value, gap, rounding.grid));
  const moved = exact.filter((_, i) => goes[i]);
  if (moved.length === 0) return { sizes: exact, residue: null };
  const left = exact.reduce((sum, figure, i) => (goes[i] ? sum : sub(sum, figure.value)), total);
  const set = allToGrid(
    gaps.filter((_, i) => goes[i]),
    moved,
    left,
    rounding,
  );
  let n = 0;
  return { sizes: exact.map((figure, i) => (goes[i] ? (set.sizes[n++] as Figure) : figure)), residue: set.residue };
}

function allToGrid(gaps: readonly RunGap[], exact: readonly Figure[], total: Length, { grid, leftover }: Rounding): SetGaps {
  const down = exact.map((figure) => floorTo(figure.value, grid));
  let left = sub(total, add(...down));
  if (left < 0) {
    // Exact sizes that were each rounded up to the unit may lie on the grid and be a unit too much together.
    const at = leftover === 'first' ? 0 : down.length - 1;
    down[at] = sub(down[at] as Length, grid);
    left = add(left, grid);
  }
  const steps = Math.min(exact.length, Math.floor(left / grid));
  const extra = stepPlaces(exact.length, steps, leftover);
  const rest = sub(left, (steps * grid) as Length);
  const holder = rest === ZERO ? -1 : placeOfRest(extra, leftover);
  const sizes = exact.map((figure, i) => {
    const amount = (down[i] as Length) + (extra[i] ? grid : 0);
    const set = amount === figure.value ? figure : figure.setTo(amount, 'set to the grid');
    return i === holder ? set.plus(size('left over, smaller than a step', rest)) : set;
  });
  return { sizes, residue: holder < 0 ? null : { amount: rest, gap: (gaps[holder] as RunGap).id } };
}
