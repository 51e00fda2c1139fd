import type { BeamSpec, LineLoad, PointLoad } from './beam.js';

/** What lies on a beam: what is always there, and what may be there or not. */
export interface BeamLoads {
  readonly lines: readonly LineLoad[];
  readonly points: readonly PointLoad[];
}

/** Things one beside the other that may stand anywhere along a stretch of a beam; loads from the middle of the row, mm. */
export interface MovableRow {
  readonly from: number;
  readonly to: number;
  readonly parts: readonly LineLoad[];
}

/** A beam with its supports, and its load in those parts. */
export interface PatternedLoads {
  readonly base: Pick<BeamSpec, 'length' | 'supports'>;
  readonly always: BeamLoads;
  readonly maybe: BeamLoads;
  readonly rows?: readonly MovableRow[];
}

/** One way of loading a beam. */
export interface LoadPattern extends Omit<BeamSpec, 'stretches'> {
  /** Not all of what may be there is. */
  readonly partial: boolean;
  /** What may stand anywhere stands where it is worst for something. */
  readonly placed: boolean;
}

/**
 * Things side by side in the worst order, as loads from the middle of their row: the heaviest for its width in
 * the middle, the others half at each side. @param most how long the row may be, mm: a longer one is pressed together
 * @example rowOf([{ wide: 100, newtons: 20 }], 400) // [{ from: -50, to: 50, perMm: 0.2 }]
 */
export function rowOf(things: readonly { readonly wide: number; readonly newtons: number }[], most: number): readonly LineLoad[] {
  const long = things.reduce((sum, t) => sum + t.wide, 0);
  const pressed = long > most ? most / long : 1;
  const heaviest = [...things].sort((a, b) => b.newtons / b.wide - a.newtons / a.wide);
  let out = 0;
  return heaviest.flatMap(({ wide, newtons }): LineLoad[] => {
    const [near, far] = [out, out + (wide * pressed) / 2];
    out = far;
    const perMm = newtons / (wide * pressed);
    return near === 0
      ? [{ from: -far, to: far, perMm }]
      : [
          { from: -far, to: -near, perMm },
          { from: near, to: far, perMm },
        ];
  });
}

/**
 * A row with its middle as near to a place as it can stand.
 * @example rowAt({ from: 0, to: 400, parts: [{ from: -50, to: 50, perMm: 0.2 }] }, 10) // [{ from: 0, to: 100, perMm: 0.2 }]
 */
export function rowAt({ from, to, parts }: MovableRow, x: number): readonly LineLoad[] {
  const half = parts.reduce((most, p) => Math.max(most, p.to), 0);
  const middle = Math.min(Math.max(x, from + half), to - half);
  return parts.map((p) => ({ ...p, from: middle + p.from, to: middle + p.to }));
}

/** A row spread evenly over all of its stretch. */
function spread({ from, to, parts }: MovableRow): LineLoad {
  return { from, to, perMm: parts.reduce((sum, p) => sum + p.perMm * (p.to - p.from), 0) / (to - from) };
}

/**
 * The beam under all of its load at once, what may stand anywhere spread out.
 * @example allLoaded({ base: { length: 1000, supports: [] }, always: { lines: [], points: [] }, maybe: { lines: [{ from: 0, to: 1000, perMm: 0.1 }], points: [] } }).lines // [{ from: 0, to: 1000, perMm: 0.1 }]
 */
export function allLoaded({ base, always, maybe, rows = [] }: PatternedLoads): Omit<BeamSpec, 'stretches'> {
  return { ...base, lines: [...always.lines, ...maybe.lines, ...rows.map(spread)], points: [...always.points, ...maybe.points] };
}

type Stretch = readonly [from: number, to: number];

/** Stretches between supports and beyond them, in order, mm. */
function stretchesOf({ length, supports }: Pick<BeamSpec, 'length' | 'supports'>): readonly Stretch[] {
  const places = [0, ...supports.map((s) => s.x), length].sort((a, b) => a - b);
  return places.slice(1).flatMap((to, i) => {
    const from = places[i] as number;
    return to - from > 1e-6 * length ? [[from, to] as const] : [];
  });
}

/** Up to so many stretches a pattern is tried for every support; beyond that for those beside the longest ones. */
const EVERY_SUPPORT = 6;
const LONGEST = 2;

/** Where supports can lift, sums of patterns say nothing: up to so many stretches every pattern is tried. */
const EVERY_PATTERN = 6;

/**
 * Two loaded stretches are tried as far from each other as this: what one does to a beam over many supports falls to about a
 * quarter with each stretch between (0.27, the three-moment equation of Clapeyron on equal spans), so beyond it to a fiftieth.
 */
const NEAR = 3;

/**
 * Whether the patterns tried are sure to hold the worst; where supports can lift and there are many, it may be some per cent worse.
 * @example everyPattern({ base: { length: 1000, supports: [{ x: 0 }, { x: 1000 }] } }) // true
 */
export function everyPattern({ base }: PatternedLoads): boolean {
  return !base.supports.some((s) => s.oneWay) || stretchesOf(base).length <= EVERY_PATTERN;
}

const without = (patterns: readonly (readonly boolean[])[]) => {
  const known = new Set<string>();
  return patterns.filter((p) => {
    const key = p.join();
    const fresh = !known.has(key);
    known.add(key);
    return fresh;
  });
};

/**
 * Which stretches of a beam are loaded in each pattern that can be the worst for something:
 * all; every other one, both ways, for sag; and the two beside a support with every other one
 * from there, for what it carries. Where supports can lift these are not enough: every pattern is tried
 * up to six stretches, and beyond that every one of them, and every two that are near each other, besides.
 * @param lengths of the stretches, in order; `lifts` whether a support can lift
 * @example patternsFor([900]) // [[true]]
 */
export function patternsFor(lengths: readonly number[], lifts = false): readonly (readonly boolean[])[] {
  const count = lengths.length;
  const pattern = (loaded: (i: number) => boolean) => lengths.map((_, i) => loaded(i));
  const all = pattern(() => true);
  if (count < 2) return [all];
  if (lifts && count <= EVERY_PATTERN) {
    const every = Array.from({ length: 2 ** count - 1 }, (_, n) => pattern((i) => ((n + 1) >> i) % 2 === 1));
    return without([all, ...every]);
  }
  const others = [0, 1].map((odd) => pattern((i) => i % 2 === odd));
  // To a thousandth of a mm: what is equally long is so however it is turned.
  const longest = lengths
    .map((length, i) => ({ length: Math.round(length * 1000), i }))
    .sort((a, b) => b.length - a.length)
    .slice(0, LONGEST)
    .flatMap(({ i }) => [i - 1, i]);
  const after = lengths
    .slice(1)
    .map((_, k) => k)
    .filter((k) => count <= EVERY_SUPPORT || longest.includes(k));
  const pairs = after.map((k) => pattern((i) => (i <= k ? (k - i) % 2 === 0 : (i - k - 1) % 2 === 0)));
  const two = lifts ? lengths.flatMap((_, a) => lengths.slice(a, a + NEAR + 1).map((__, n) => pattern((i) => i === a || i === a + n))) : [];
  return without([all, ...others, ...pairs, ...two]);
}

function clipped(lines: readonly LineLoad[], on: readonly Stretch[]): readonly LineLoad[] {
  return lines.flatMap((l) =>
    on.flatMap(([from, to]): LineLoad[] => {
      const [low, high] = [Math.max(l.from, from), Math.min(l.to, to)];
      return high > low ? [{ ...l, from: low, to: high }] : [];
    }),
  );
}

/** Whether a row can stand with its middle in a stretch. */
function canStandIn(row: MovableRow, [from, to]: Stretch): boolean {
  return row.from < to && row.to > from;
}

/**
 * The beam under what is always there and, on the loaded stretches alone, what may be there or not.
 * @param into the stretch that rows are moved into, where they can be; spread out elsewhere
 */
function loaded(
  { base, always, maybe, rows = [] }: PatternedLoads,
  on: readonly Stretch[],
  into: Stretch | null,
): Omit<BeamSpec, 'stretches'> {
  // At the end of an overhang a row is worst at the very end.
  const worst =
    into &&
    (into[0] === 0 && !base.supports.some((s) => s.x <= 0)
      ? 0
      : into[1] === base.length && !base.supports.some((s) => s.x >= base.length)
        ? base.length
        : (into[0] + into[1]) / 2);
  const moved = rows.flatMap((row) => (into && worst !== null && canStandIn(row, into) ? rowAt(row, worst) : clipped([spread(row)], on)));
  const points = maybe.points.filter((p) => on.some(([from, to]) => p.x >= from && p.x <= to));
  return { ...base, lines: [...always.lines, ...clipped(maybe.lines, on), ...moved], points: [...always.points, ...points] };
}

/**
 * The beam under every pattern of load that can be the worst; the first has all of it, spread out.
 * @example loadPatterns({ base: { length: 1000, supports: [{ x: 0 }, { x: 1000 }] }, always: { lines: [], points: [] }, maybe: { lines: [], points: [] } }).length // 1
 */
export function loadPatterns(loads: PatternedLoads): readonly LoadPattern[] {
  const { base, maybe, rows = [] } = loads;
  // With all of it on, loads stay whole, so that no nodes are made that no one needs.
  const all: LoadPattern = { ...allLoaded(loads), partial: false, placed: false };
  const stretches = stretchesOf(base);
  if (rows.length === 0 && (stretches.length < 2 || maybe.lines.length + maybe.points.length === 0)) return [all];
  const [, ...partial] = patternsFor(
    stretches.map(([from, to]) => to - from),
    base.supports.some((s) => s.oneWay),
  );
  const onOf = (pattern: readonly boolean[]) => stretches.filter((_, i) => pattern[i]);
  const parts = partial.map((p): LoadPattern => ({ ...loaded(loads, onOf(p), null), partial: true, placed: false }));
  if (rows.length === 0) return [all, ...parts];
  // With the row in a stretch, that one and every other one are loaded, or all are.
  const moved = stretches.flatMap((into, k): LoadPattern[] => {
    if (!rows.some((r) => canStandIn(r, into))) return [];
    const every: LoadPattern = { ...loaded(loads, stretches, into), partial: false, placed: true };
    if (stretches.length < 3)
      return [every, ...(stretches.length === 2 ? [{ ...loaded(loads, [into], into), partial: true, placed: true }] : [])];
    const others = stretches.filter((_, i) => (i - k) % 2 === 0);
    return [every, { ...loaded(loads, others, into), partial: true, placed: true }];
  });
  return [all, ...parts, ...moved];
}

/** The beam with its rows as near to a support as they can stand, for what that support carries at most. */
export function pushedTo(loads: PatternedLoads, x: number): Omit<BeamSpec, 'stretches'> {
  const { rows = [], ...rest } = loads;
  const spec = allLoaded({ ...rest, rows: [] });
  return { ...spec, lines: [...spec.lines, ...rows.flatMap((r) => rowAt(r, x))] };
}
