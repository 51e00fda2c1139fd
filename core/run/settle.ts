import { type Figure, size } from '../figure/index.js';
import { ZERO, fromUnits, negative, type Length } from '../length/index.js';
import { freeGaps, setToGrid, shareOut, withinBounds, type FreeGap } from './share.js';
import { mismatch } from './ways.js';
import type { Residue, RunConflict, RunGap, RunLine, RunMember, RunSpec } from './types.js';

/** A stretch of a run settled: what its gaps come to, in their order. */
export interface Settled {
  readonly sizes: readonly Figure[];
  readonly exact: readonly Figure[];
  readonly residue: Residue | null;
  readonly conflict: RunConflict | null;
}

/** The gaps among some lines, in their order. @example gapsOf(RUN.lines).length // 3 */
export const gapsOf = (lines: readonly RunLine[]): readonly RunGap[] => lines.filter((line): line is RunGap => line.kind === 'gap');

/** The thickness that a pitch from near edge to near edge runs over: that of the member before a gap, or after the first one. */
function thicknessBeside(lines: readonly RunLine[], gap: RunGap): Figure | null {
  const i = lines.indexOf(gap);
  const beside = lines[i - 1] ?? lines[i + 1];
  return beside?.kind === 'member' ? beside.extent : null;
}

/** The size of a gap that does not depend on what is left; null for a free gap. */
function heldSize(lines: readonly RunLine[], gap: RunGap): Figure | null {
  const { rule } = gap;
  switch (rule.kind) {
    case 'fixed':
      return size(gap.label, rule.size, { in: 'space', id: gap.id, field: 'rule.size' });
    case 'fit':
      if (!gap.need) return null;
      return withinBounds(
        gap,
        (rule.clearance === ZERO
          ? gap.need
          : gap.need.plus(size('clearance', rule.clearance, { in: 'space', id: gap.id, field: 'rule.clearance' }))
        ).named(`${gap.label}, fits what stands in it`),
      );
    case 'grid': {
      const steps = size('pitch', rule.pitch, { in: 'space', id: gap.id, field: 'rule.pitch' }).times(rule.steps);
      const over = rule.overMember ? thicknessBeside(lines, gap) : null;
      return (over ? steps.minus(over) : steps).named(`${gap.label}, on the pitch`);
    }
    default:
      return null;
  }
}

/**
 * The sizes of the gaps that do not depend on what is left, in the order of the gaps; null for each free one.
 * @example heldSizes(RUN.lines, gapsOf(RUN.lines)) // [null, null, null]
 */
export const heldSizes = (lines: readonly RunLine[], gaps: readonly RunGap[]): readonly (Figure | null)[] =>
  gaps.map((gap) => heldSize(lines, gap));

/**
 * What the lines that are not shared take away, one figure per kind of member and held gap. `held` is in the order of the gaps.
 * @example takenAway(RUN.lines, []).map((taken) => taken.value) // [mm(40)]
 */
export function takenAway(lines: readonly RunLine[], held: readonly (Figure | null)[]): readonly Figure[] {
  const groups: { readonly member: RunMember; count: number }[] = [];
  for (const line of lines) {
    if (line.kind === 'gap') continue;
    const group = groups.find(({ member }) => member.extent.amount === line.extent.amount && member.plural === line.plural);
    if (group) group.count += 1;
    else groups.push({ member: line, count: 1 });
  }
  const members = groups.map(({ member, count }) =>
    count === 1 ? member.extent.named(member.label) : member.extent.times(count).named(member.plural),
  );
  for (const figure of held) if (figure) members.push(figure);
  return members;
}

/** The sizes of all gaps in their order: those that are held, and between them those of the free ones. */
function together(held: readonly (Figure | null)[], free: readonly Figure[]): readonly Figure[] {
  let n = 0;
  return held.map((figure) => figure ?? (free[n++] as Figure));
}

/**
 * Settles the lines between two fixed places of a run, `available` apart.
 * @example settle(RUN, RUN.lines, RUN.total.figure, mm(1000)).sizes[0].value // mm(320)
 */
export function settle(spec: RunSpec, lines: readonly RunLine[], available: Figure, total: Length): Settled {
  const gaps = gapsOf(lines);
  const held = heldSizes(spec.lines, gaps);
  const left = takenAway(lines, held).reduce((rest, figure) => rest.minus(figure), available);
  const free = freeGaps(gaps);
  const conflict = (by: Length) =>
    mismatch(spec, lines, new Map(gaps.flatMap((gap, i) => (held[i] ? [[gap.id, held[i].value]] : []))), by, total);
  if (free.length === 0) {
    const sizes = together(held, []);
    return { sizes, exact: sizes, residue: null, conflict: left.value === ZERO ? null : conflict(negative(left.value)) };
  }
  const shared = shareOut(free, left);
  const closed = shared.some((figure) => figure.value <= ZERO);
  const offBy = closed ? shortfall(free, left, spec.rounding.grid) : fromUnits(amountOf(shared) - left.value);
  // Dividing rounds each share to the unit, so that many units may be off without any bound being broken.
  if (closed || Math.abs(offBy) > free.length) {
    const open = shared.map((figure) => (figure.value <= ZERO ? size('nothing left', ZERO) : figure));
    return { sizes: together(held, open), exact: together(held, shared), residue: null, conflict: conflict(offBy) };
  }
  const exact = together(held, closeExactly(free, shared, left.value));
  if (spec.rounding.set !== 'gaps') return { sizes: exact, exact, residue: null, conflict: null };
  const set = setToGrid(
    free.map(({ gap }) => gap),
    shared,
    left.value,
    spec.rounding,
  );
  return { sizes: together(held, set.sizes), exact, residue: set.residue, conflict: null };
}

const amountOf = (figures: readonly Figure[]): number => figures.reduce((sum, figure) => sum + figure.amount, 0);

/** How much is missing until every free gap is open at all; where that is less than a step of the grid, until each has a step. */
function shortfall(free: readonly FreeGap[], left: Figure, grid: Length): Length {
  const smallest = Math.min(...free.map((f) => f.offset / f.weight));
  const weights = free.reduce((sum, f) => sum + f.weight, 0);
  const offsets = free.reduce((sum, f) => sum + f.offset, 0);
  const missing = Math.ceil(offsets - smallest * weights - left.value);
  return fromUnits(missing >= grid ? missing : Math.max(1, missing) + free.length * grid);
}

/** Gives the last gap that may take them the odd units that dividing left, so that the gaps add up to what was shared. */
function closeExactly(free: readonly FreeGap[], sizes: readonly Figure[], left: Length): readonly Figure[] {
  const odd = left - amountOf(sizes);
  if (odd === 0) return sizes;
  const closed = (at: number) => {
    const figure = sizes.at(at) as Figure;
    return figure.setTo(figure.amount + odd, 'closes the sum');
  };
  // Where none may, it is -1: the last all the same.
  const at = free.findLastIndex(({ gap }, i) => {
    const figure = closed(i);
    return withinBounds(gap, figure) === figure;
  });
  return sizes.with(at, closed(at));
}
