import { type Figure, size } from '../figure/index.js';
import { ZERO, add, ceilTo, floorTo, sub, type Length } from '../length/index.js';
import type { Rounding } from './rule.js';
import type { Residue, RunGap } from './types.js';

/** A gap that takes part of what is left: `weight` times the share, and `offset` over it. */
export interface FreeGap {
  readonly gap: RunGap;
  readonly weight: number;
  readonly offset: Length;
}

/** Whether a gap takes part of what is left. A fit with nothing in it has nothing to go by, so it shares. */
export function isFree(gap: RunGap): boolean {
  return gap.rule.kind === 'share' || gap.rule.kind === 'graded' || (gap.rule.kind === 'fit' && !gap.need);
}

/** The free gaps of a run with their weights; each graded gap stands on the graded gap before it. */
export function freeGaps(gaps: readonly RunGap[]): readonly FreeGap[] {
  let before: FreeGap | null = null;
  return gaps.filter(isFree).map((gap) => {
    const rule = gap.rule;
    if (rule.kind !== 'graded') return { gap, weight: rule.kind === 'share' ? rule.weight : 1, offset: ZERO };
    const next: FreeGap =
      before === null
        ? { gap, weight: 1, offset: ZERO }
        : 'step' in rule
          ? { gap, weight: before.weight, offset: (before.offset + rule.step) as Length }
          : { gap, weight: before.weight * rule.ratio, offset: Math.round(before.offset * rule.ratio) as Length };
    before = next;
    return next;
  });
}

/** The size of one free gap when `left` is shared over weights that add up to `weights`. */
function part(free: FreeGap, left: Figure, offsets: Length, weights: number): Figure {
  const shared = offsets === ZERO ? left : left.minus(size('steps between the graded spaces', offsets));
  const note = free.weight === 1 && Number.isInteger(weights) ? 'equal spaces' : 'parts';
  const one = weights === 1 ? shared : shared.over(weights, note);
  const weighted = free.weight === 1 ? one : one.times(free.weight);
  return free.offset === ZERO ? weighted : weighted.plus(size('step', free.offset));
}

/**
 * Shares what is left among free gaps, keeping each inside its bounds: gaps that a bound
 * stops are taken out, and the rest share again, until none is out of bounds.
 * @returns the exact size of each gap by id; where the bounds cannot all be met the sizes do not add up to `left`
 */
export function shareOut(free: readonly FreeGap[], left: Figure): ReadonlyMap<string, Figure> {
  const sizes = new Map<string, Figure>();
  let open = [...free];
  let remaining = left;
  while (open.length > 0) {
    const weights = open.reduce((sum, f) => sum + f.weight, 0);
    const offsets = open.reduce((sum, f) => sum + f.offset, 0) as Length;
    const tries = open.map((f) => {
      const wanted = part(f, remaining, offsets, weights);
      const low = f.gap.least !== undefined && wanted.value < f.gap.least;
      const high = f.gap.greatest !== undefined && wanted.value > f.gap.greatest;
      const held = low ? size(`at least, ${f.gap.label}`, f.gap.least) : high ? size(`at most, ${f.gap.label}`, f.gap.greatest) : null;
      return { f, wanted, held, low };
    });
    const violation = tries.reduce((sum, t) => sum + (t.held ? t.held.value - t.wanted.value : 0), 0);
    const stopped = tries.filter((t) => t.held && (violation === 0 || t.low === violation > 0));
    if (stopped.length === 0) {
      tries.forEach((t) => sizes.set(t.f.gap.id, t.wanted));
      return sizes;
    }
    for (const t of stopped) {
      const held = t.held as Figure;
      sizes.set(t.f.gap.id, held);
      remaining = remaining.minus(held);
    }
    open = open.filter((f) => !sizes.has(f.gap.id));
  }
  return sizes;
}

/** Which of `count` equal gaps take a step more when `steps` are left over. @example stepPlaces(4, 1, 'last').filter(Boolean).length // 1 */
export function stepPlaces(count: number, steps: number, leftover: Rounding['leftover']): readonly boolean[] {
  return Array.from({ length: count }, (_, i) => {
    if (leftover === 'first') return i < steps;
    if (leftover === 'spread') return Math.floor(((i + 1) * steps) / count) > Math.floor((i * steps) / count);
    return i >= count - steps;
  });
}

/** The free gaps of a segment brought to the grid. */
export interface SetGaps {
  readonly sizes: ReadonlyMap<string, Figure>;
  readonly residue: Residue | null;
}

function gapThatTakes(ids: readonly string[], extra: readonly boolean[], leftover: Rounding['leftover']): string {
  const without = ids.filter((_, i) => !extra[i]);
  const from = without.length > 0 ? without : ids;
  return (leftover === 'first' ? from[0] : from[from.length - 1]) as string;
}

/** Whether a gap may be brought down or up to the grid without leaving its bounds. */
function goesToGrid(exact: Length, { least, greatest }: Pick<RunGap, 'least' | 'greatest'>, grid: Length): boolean {
  return (least === undefined || floorTo(exact, grid) >= least) && (greatest === undefined || ceilTo(exact, grid) <= greatest);
}

/**
 * Brings exact gap sizes to the grid: each down to the grid, whole steps that are left
 * over dealt out as chosen, and what is smaller than a step put into one named gap that
 * got no step, so that the sum closes exactly.
 * Gaps that would leave their bounds on the way stay as they are.
 * @param total what the gaps must add up to; the exact sizes may miss it by a unit each
 */
export function setToGrid(exact: ReadonlyMap<string, Figure>, total: Length, rounding: Rounding, bounds: readonly RunGap[] = []): SetGaps {
  const bound = new Map(bounds.map((gap) => [gap.id, gap]));
  const stays = ([id, figure]: readonly [string, Figure]) => !goesToGrid(figure.value, bound.get(id) ?? {}, rounding.grid);
  const kept = [...exact].filter(stays);
  if (kept.length > 0) {
    const rest = new Map([...exact].filter((entry) => !stays(entry)));
    const left = kept.reduce((sum, [, figure]) => sub(sum, figure.value), total);
    if (rest.size === 0) return { sizes: exact, residue: null };
    const set = setToGrid(rest, left, rounding);
    return { sizes: new Map([...exact].map(([id, figure]) => [id, set.sizes.get(id) ?? figure])), residue: set.residue };
  }
  const ids = [...exact.keys()];
  const down = ids.map((id) => floorTo((exact.get(id) as Figure).value, rounding.grid));
  let left = (total - down.reduce((sum, d) => sum + d, 0)) as Length;
  if (left < 0) {
    // Exact sizes that were each rounded up to the unit may lie on the grid and be a unit too much together.
    const at = rounding.leftover === 'first' ? 0 : down.length - 1;
    down[at] = sub(down[at] as Length, rounding.grid);
    left = add(left, rounding.grid);
  }
  const steps = Math.min(ids.length, Math.floor(left / rounding.grid));
  const extra = stepPlaces(ids.length, steps, rounding.leftover);
  const residue = sub(left, (steps * rounding.grid) as Length);
  const holder = residue === ZERO ? null : gapThatTakes(ids, extra, rounding.leftover);
  const sizes = new Map(
    ids.map((id, i) => {
      const figure = exact.get(id) as Figure;
      const amount = (down[i] as Length) + (extra[i] ? rounding.grid : 0);
      const set = amount === figure.value ? figure : figure.setTo(amount, 'set to the grid');
      return [id, id === holder ? set.plus(size('left over, smaller than a step', residue)) : set] as const;
    }),
  );
  return { sizes, residue: holder === null ? null : { amount: residue, gap: holder } };
}
