import type { BeamSpec, LineLoad, PointLoad } from './beam.js';

/** What lies on a beam: what is always there, and what may be there or not. */
export interface BeamLoads {
  readonly lines: readonly LineLoad[];
  readonly points: readonly PointLoad[];
}

/** A beam with its supports, and its load in those two parts. */
export interface PatternedLoads {
  readonly base: Pick<BeamSpec, 'length' | 'supports'>;
  readonly always: BeamLoads;
  readonly maybe: BeamLoads;
}

/** The beam under all of its load at once. */
export function allLoaded({ base, always, maybe }: PatternedLoads): Omit<BeamSpec, 'stretches'> {
  return { ...base, lines: [...always.lines, ...maybe.lines], points: [...always.points, ...maybe.points] };
}

/** Stretches between supports and beyond them, in order, mm. */
function stretchesOf({ length, supports }: Pick<BeamSpec, 'length' | 'supports'>): readonly (readonly [number, number])[] {
  const places = [0, ...supports.map((s) => s.x), length].sort((a, b) => a - b);
  return places.slice(1).flatMap((to, i) => {
    const from = places[i] as number;
    return to - from > 1e-6 * length ? [[from, to] as const] : [];
  });
}

/** Up to so many stretches a pattern is tried for every support; beyond that for those beside the longest ones. */
const EVERY_SUPPORT = 6;
const LONGEST = 2;

/**
 * Which stretches of a beam are loaded in each pattern that can be the worst for something:
 * all; every other one, both ways, for sag; and the two beside a support with every other one
 * from there, for what it carries.
 * @param lengths of the stretches, in order
 */
export function patternsFor(lengths: readonly number[]): readonly (readonly boolean[])[] {
  const count = lengths.length;
  const pattern = (loaded: (i: number) => boolean) => lengths.map((_, i) => loaded(i));
  const all = pattern(() => true);
  if (count < 2) return [all];
  const others = [0, 1].map((odd) => pattern((i) => i % 2 === odd));
  const longest = lengths
    .map((length, i) => ({ length, i }))
    .sort((a, b) => b.length - a.length)
    .slice(0, LONGEST)
    .flatMap(({ i }) => [i - 1, i]);
  const after = lengths
    .slice(1)
    .map((_, k) => k)
    .filter((k) => count <= EVERY_SUPPORT || longest.includes(k));
  const pairs = after.map((k) => pattern((i) => (i <= k ? (k - i) % 2 === 0 : (i - k - 1) % 2 === 0)));
  const known = new Set<string>();
  return [all, ...others, ...pairs].filter((p) => {
    const key = p.join();
    const fresh = !known.has(key);
    known.add(key);
    return fresh;
  });
}

/** The beam under what is always there and, on the loaded stretches alone, what may be there or not. */
function loaded(
  base: Pick<BeamSpec, 'length' | 'supports'>,
  always: BeamLoads,
  maybe: BeamLoads,
  stretches: readonly (readonly [number, number])[],
  pattern: readonly boolean[],
): Omit<BeamSpec, 'stretches'> {
  const on = stretches.filter((_, i) => pattern[i]);
  const lines = maybe.lines.flatMap((l) =>
    on.flatMap(([from, to]): LineLoad[] => {
      const [low, high] = [Math.max(l.from, from), Math.min(l.to, to)];
      return high > low ? [{ from: low, to: high, perMm: l.perMm }] : [];
    }),
  );
  const points = maybe.points.filter((p) => on.some(([from, to]) => p.x >= from && p.x <= to));
  return { ...base, lines: [...always.lines, ...lines], points: [...always.points, ...points] };
}

/** The beam under every pattern of load that can be the worst; the first has all of it. */
export function loadPatterns(loads: PatternedLoads): readonly Omit<BeamSpec, 'stretches'>[] {
  const { base, always, maybe } = loads;
  // With all of it on, loads stay whole, so that no nodes are made that no one needs.
  const all = allLoaded(loads);
  const [first, last] = base.supports;
  const oneSpan =
    base.supports.length === 2 && Math.min(first?.x ?? 1, last?.x ?? 1) === 0 && Math.max(first?.x ?? 0, last?.x ?? 0) === base.length;
  if (oneSpan || maybe.lines.length + maybe.points.length === 0) return [all];
  const stretches = stretchesOf(base);
  const [, ...partial] = patternsFor(stretches.map(([from, to]) => to - from));
  return [all, ...partial.map((pattern) => loaded(base, always, maybe, stretches, pattern))];
}
