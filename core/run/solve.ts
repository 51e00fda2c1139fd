import { Figure, len, say, size } from '../figure/index.js';
import { ZERO, add, fromUnits, negative, roundTo, sub, type Length } from '../length/index.js';
import { mergedRule } from './rule.js';
import { gapsOf, heldSizes, settle, takenAway, type Settled } from './settle.js';
import { freeGaps, isFree } from './share.js';
import type { PlacedLine, Residue, RunChange, RunConflict, RunGap, RunLine, RunMember, RunSolution, RunSpec, WayOut } from './types.js';

const DATUM = size('datum', ZERO);

const isPinned = (line: RunLine): line is RunMember => line.kind === 'member' && line.at !== undefined;

/** Splits a run at its pinned members. */
function segments(lines: readonly RunLine[]): readonly { lines: readonly RunLine[]; pin: RunMember | null }[] {
  if (!lines.some(isPinned)) return [{ lines, pin: null }];
  const parts: { lines: RunLine[]; pin: RunMember | null }[] = [];
  let open: RunLine[] = [];
  for (const line of lines) {
    if (isPinned(line)) {
      parts.push({ lines: open, pin: line });
      open = [];
    } else open.push(line);
  }
  parts.push({ lines: open, pin: null });
  return parts;
}

function pinConflict(pin: RunMember, by: Length): RunConflict {
  return {
    kind: 'pins',
    by,
    sentence: say`${pin.label} is held ${len(by)} too low for what comes before it.`,
    ways: [{ label: say`Let ${pin.label} go where the spaces put it`, change: { kind: 'unpin', member: pin.id }, weight: 0.1 }],
  };
}

/**
 * What the lines want when the total follows from them: free gaps as large as the largest need asks of all.
 * @example wantedTotal(RUN).value // mm(40)
 */
export function wantedTotal(spec: RunSpec): Figure {
  const gaps = gapsOf(spec.lines);
  const free = freeGaps(gaps);
  const needs = free.flatMap(({ gap, weight, offset }) => {
    const need = gap.need ?? (gap.least !== undefined ? size(`at least, ${gap.label}`, gap.least) : null);
    if (!need) return [];
    const over = offset === ZERO ? need : need.minus(size('step', offset));
    return [weight === 1 ? over : over.over(weight)];
  });
  const one = needs.length > 0 ? Figure.greatest(needs) : null;
  const shared = free.map(({ gap, weight, offset }) => {
    if (!one) return size(`${gap.label}, empty`, ZERO);
    const part = weight === 1 ? one : one.times(weight);
    return (offset === ZERO ? part : part.plus(size('step', offset))).named(gap.label);
  });
  const parts = [...takenAway(spec.lines, heldSizes(spec.lines, gaps)), ...shared];
  return parts.length > 0 ? Figure.sum(parts) : size('nothing', ZERO);
}

function totalOf(spec: RunSpec): Figure {
  const { total } = spec;
  if (total.kind === 'given') return total.figure;
  const wanted = wantedTotal(spec);
  if (total.kind === 'follows') return wanted;
  if (total.greatest && wanted.value > total.greatest.value) return total.greatest;
  if (total.least && wanted.value < total.least.value) return total.least;
  return wanted;
}

/** Puts the lines one after another from the datum; what is settled is in their order. */
function place(lines: readonly RunLine[], settled: readonly Settled[]): readonly PlacedLine[] {
  const [only] = settled;
  const { sizes, exact } =
    only && settled.length === 1 ? only : { sizes: settled.flatMap((s) => s.sizes), exact: settled.flatMap((s) => s.exact) };
  let at = DATUM;
  let n = 0;
  return lines.map((line) => {
    const isGap = line.kind === 'gap';
    const held = isGap ? (sizes[n] as Figure) : line.extent;
    const wanted = isGap ? (exact[n++] as Figure) : line.extent;
    const length = held.named(line.label);
    const near = (isGap ? undefined : line.at) ?? at;
    at = near.amount === 0 && near.operation.kind === 'leaf' ? length : near.plus(length);
    return { line, size: held, exact: wanted, near, far: at };
  });
}

/** Brings the near edge of every free member to the grid; the gaps follow and the last takes the odd amount. */
function setEdges(placed: readonly PlacedLine[], grid: Length): { lines: readonly PlacedLine[]; residues: readonly Residue[] } {
  // What ends the run stays where it ends it.
  const moved = placed.map((p, i) =>
    p.line.kind === 'member' && !p.line.at && p.near.value !== ZERO && i < placed.length - 1
      ? p.near.setTo(roundTo(p.near.value, grid), 'edge set to the grid')
      : p.near,
  );
  const lines = placed.map((p, i): PlacedLine => {
    if (p.line.kind === 'member') return { ...p, near: moved[i] as Figure, far: (moved[i] as Figure).plus(p.size) };
    const before = placed[i - 1];
    const start = before ? (moved[i - 1] as Figure).plus(before.size) : p.near;
    const end = moved[i + 1] ?? p.far;
    const amount = sub(end.value, start.value);
    const length = amount === p.size.value ? p.size : p.size.setTo(amount, 'between edges on the grid');
    return { ...p, near: start, far: end, size: length };
  });
  const lastFree = lines.findLast((p) => p.line.kind === 'gap' && isFree(p.line));
  const residue = lastFree ? sub(lastFree.size.value, roundTo(lastFree.size.value, grid)) : ZERO;
  return { lines, residues: lastFree && residue !== ZERO ? [{ amount: residue, gap: lastFree.line.id }] : [] };
}

/** What is left over when a whole step can be given to no gap, and the total may give it up. */
function lessLeftover(spec: RunSpec, total: Figure): Figure {
  if (spec.rounding.leftover !== 'total' || spec.rounding.set !== 'gaps' || spec.lines.some(isPinned)) {
    return total;
  }
  const { exact, conflict } = settle(spec, spec.lines, total, total.value);
  if (conflict) return total;
  const over = gapsOf(spec.lines).reduce((sum, gap, i) => sum + (isFree(gap) ? (exact[i] as Figure).value % spec.rounding.grid : 0), 0);
  return over === 0 ? total : total.minus(size('left out, smaller than a step each', over as Length)).named('the whole on the grid');
}

/** The run with a change made to it, as far as it can be told without the piece. */
function changed(spec: RunSpec, change: RunChange): RunSpec {
  const each = (update: (line: RunLine) => RunLine): RunSpec => ({ ...spec, lines: spec.lines.map(update) });
  switch (change.kind) {
    case 'rule':
      return each((line) => (line.kind === 'gap' && line.id === change.gap ? { ...line, rule: change.rule } : line));
    case 'total':
      return { ...spec, total: { kind: 'given', figure: size('the whole', change.total) } };
    case 'unpin':
      return each((line) => (line.kind === 'member' && line.id === change.member ? without(line, 'at') : line));
    case 'unbound':
      return each((line) => (line.kind === 'gap' && line.id === change.gap ? without(without(line, 'least'), 'greatest') : line));
    case 'drop': {
      // The gaps beside it become one, which shares where it does not fit what stands in it.
      const at = spec.lines.findIndex((line) => line.id === change.member);
      const [before, after] = [spec.lines[at - 1], spec.lines[at + 1]];
      if (before?.kind !== 'gap' || after?.kind !== 'gap') return spec;
      const merged: RunGap = { ...before, rule: mergedRule(before.rule, after.rule) };
      return { ...spec, lines: [...spec.lines.slice(0, at - 1), merged, ...spec.lines.slice(at + 2)] };
    }
  }
}

function without<T extends object, K extends keyof T>(record: T, key: K): T {
  const rest = { ...record };
  delete rest[key];
  return rest;
}

/**
 * Solves one run: decides the total, gives every gap its size by its rule, brings free
 * gaps (or edges) to the grid and places all lines from the datum. Sizes of members are
 * never changed. The lines always add up to the total exactly unless a conflict says
 * otherwise.
 * @param spec lines in order from the datum; pinned members split the run into stretches
 * @returns sizes and places with their sums, residues, and conflicts with ways out; never throws for a run that cannot be met
 * @example solveRun(RUN).lines[0].size.value // mm(320)
 */
export function solveRun(spec: RunSpec): RunSolution {
  const solved = solveLines(spec);
  if (solved.conflicts.length === 0) return solved;
  // What does not settle a conflict is no way out of it.
  const settles = ({ change }: WayOut) => solveLines(changed(spec, change)).conflicts.length < solved.conflicts.length;
  return { ...solved, conflicts: solved.conflicts.map((c) => ({ ...c, ways: c.ways.filter(settles) })) };
}

function solveLines(spec: RunSpec): RunSolution {
  const total = lessLeftover(spec, totalOf(spec));
  const settled: Settled[] = [];
  const conflicts: RunConflict[] = [];
  let start: Figure | null = null;
  for (const segment of segments(spec.lines)) {
    const end: Figure = segment.pin?.at ?? total;
    const available = start ? end.minus(start) : end;
    const empty = segment.lines.length === 0;
    if (empty && available.value === ZERO) {
      // A pinned member at the very end: there is nothing to settle before or after it.
    } else if (available.value < ZERO && segment.pin) {
      conflicts.push(pinConflict(segment.pin, negative(available.value)));
      settled.push(settle(spec, segment.lines, size('no room', ZERO), total.value));
    } else {
      const result = settle(spec, segment.lines, available, total.value);
      settled.push(result);
      if (result.conflict) {
        const unpin = segment.pin ? pinConflict(segment.pin, result.conflict.by).ways : [];
        conflicts.push({ ...result.conflict, ways: [...unpin, ...result.conflict.ways] });
      }
    }
    if (segment.pin) start = (segment.pin.at as Figure).plus(segment.pin.extent);
  }
  const placed = place(spec.lines, settled);
  const residues = settled.map(({ residue }) => residue).filter((residue) => residue !== null);
  const set = spec.rounding.set === 'edges' && conflicts.length === 0 ? setEdges(placed, spec.rounding.grid) : null;
  return {
    total,
    lines: set?.lines ?? placed,
    residues: set?.residues ?? residues,
    conflicts,
    unfitted: spec.lines.filter((line) => line.kind === 'gap' && line.rule.kind === 'fit' && !line.need).map(({ id }) => id),
  };
}

/** A place to mark, from the datum, and how far off it could be if the gaps before it were chained one by one. */
export interface Mark {
  readonly member: string;
  readonly label: string;
  readonly near: Figure;
  readonly far: Figure;
  /** Half a step of the grid for every length measured on the way there. */
  readonly chainedError: Length;
}

/**
 * The near and far edge of every member of a solved run, from one datum.
 * @example marksOf(solveRun(RUN), mm(1)).map((mark) => mark.near.value) // [mm(320), mm(660)]
 */
export function marksOf(run: RunSolution, grid: Length): readonly Mark[] {
  let measured = 0;
  return run.lines.flatMap((placed) => {
    measured += 1;
    if (placed.line.kind === 'gap') return [];
    const chainedError = fromUnits((measured * grid) / 2);
    return [{ member: placed.line.id, label: placed.line.label, near: placed.near, far: placed.far, chainedError }];
  });
}

/** All lines of a solution added up; equal to its total when it has no conflict. @example sumOfLines(solveRun(RUN)) // mm(1000) */
export function sumOfLines(run: RunSolution): Length {
  return add(...run.lines.map((placed) => placed.size.value));
}
