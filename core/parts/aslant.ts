import { recessAlong, recessCorners } from '../joints/index.js';
import { formatLength, mm, toMm, type Precision } from '../length/index.js';
import type { Edges, Feature, Member } from '../piece/index.js';
import { edgeName, faceName } from './sides.js';
import { inDegrees } from '../measures/index.js';

type Recess = Extract<Feature, { region: unknown }>;
type Corner = readonly [u: number, v: number];

const degreesOf = (tangent: number) => inDegrees(Math.atan(Math.abs(tangent))).toFixed(1);

/** Less than this is no slant, mm. */
const SQUARE = 0.05;

const cornersOf = ({ outline }: Member): readonly Corner[] => outline.sides.map(({ to }): Corner => [toMm(to.u), toMm(to.v)]);

/** How a board of four corners is cut off at its two ends: what its edges are long, and how far up each begins; null for other shapes. */
function aslantEnds(member: Member): { readonly edges: readonly [Corner, Corner]; readonly far: readonly [Corner, Corner] } | null {
  const all = cornersOf(member);
  const wide = toMm(member.width.value);
  const along = (v: number) => all.filter((c) => Math.abs(c[1] - v) < SQUARE).sort((a, b) => a[0] - b[0]);
  const [near, far] = [along(0), along(wide)];
  if (all.length !== 4 || near.length !== 2 || far.length !== 2) return null;
  return { edges: near as unknown as readonly [Corner, Corner], far: far as unknown as readonly [Corner, Corner] };
}

/**
 * What a part with a sloping end loses of its length where that was cut the wrong way round and is cut again: twice what the
 * steepest of its ends runs back over its width, or its thickness; null where no end of it slopes.
 * @example lostBySlope(SHELF) // null
 */
export function lostBySlope(member: Member): number | null {
  const cut = aslantEnds(member);
  const across = cut ? [0, 1].map((k) => Math.abs((cut.far[k] as Corner)[0] - (cut.edges[k] as Corner)[0])) : [];
  const through = (member.ends ?? []).flatMap(({ normal: [u, v, n] }) =>
    Math.abs(u) > Math.abs(v) && n !== 0 ? [Math.abs(n / u) * toMm(member.thickness.value)] : [],
  );
  const run = Math.max(0, ...across, ...through);
  return run < SQUARE ? null : 2 * run;
}

/** A cut of an outline from one corner to the next, mm; `bulge` where it is an arc. */
interface Cut {
  readonly from: Corner;
  readonly to: Corner;
  readonly bulge: number;
}

const isAt = (v: number, { to, from }: Cut) => Math.abs(to[1] - v) < SQUARE && Math.abs(from[1] - v) < SQUARE;
const isSquare = ({ from, to, bulge }: Cut) => bulge === 0 && (Math.abs(from[0] - to[0]) < SQUARE || Math.abs(from[1] - to[1]) < SQUARE);
const longOf = ({ from, to }: Cut) => Math.hypot(to[0] - from[0], to[1] - from[1]);

/** The cuts round a part from the end of the edge at v 0 on, so that the far end comes first, then the other edge, then the near end. */
function cutsRound({ outline: { start, sides } }: Member): readonly Cut[] {
  const points = [start, ...sides.map((s) => s.to)].map(({ u, v }): Corner => [toMm(u), toMm(v)]);
  const cuts = sides
    .map((s, i): Cut => ({ from: points[i] as Corner, to: points[i + 1] as Corner, bulge: s.kind === 'arc' ? s.bulge : 0 }))
    .filter((c) => longOf(c) > SQUARE);
  const last = cuts.reduce(
    (most, c, i) => (Math.abs(c.to[1]) < SQUARE && c.to[0] > (cuts[most] as Cut).to[0] ? i : most),
    cuts.findIndex((c) => Math.abs(c.to[1]) < SQUARE),
  );
  return [...cuts.slice(last + 1), ...cuts.slice(0, last + 1)];
}

/** One cut of an end, as the saw is set for it. */
function cutText(cut: Cut, write: (l: number) => string): string {
  const { from, to, bulge } = cut;
  if (bulge !== 0) return `round by ${write(longOf(cut) / (2 * Math.sin(2 * Math.atan(Math.abs(bulge)))))}`;
  const [du, dv] = [Math.abs(to[0] - from[0]), Math.abs(to[1] - from[1])];
  if (du < SQUARE) return `square for ${write(dv)}`;
  if (dv < SQUARE) return `along the edge for ${write(du)}`;
  return `${dv >= du ? `${degreesOf(du / dv)}° off square` : `${degreesOf(dv / du)}° off the edge`} for ${write(longOf(cut))}`;
}

/** How the ends and edges of an outline are sawn that are not square, by any number of cuts; nothing of a rectangle. */
function outlineText(member: Member, precision: Precision): readonly string[] {
  const write = (l: number) => formatLength(mm(l), precision);
  const wide = toMm(member.width.value);
  const cuts = cutsRound(member);
  const touches = cuts.flatMap((c, i) => (Math.abs(c.to[1] - wide) < SQUARE ? [i] : []));
  const [first, last] = [touches[0] ?? -1, touches.at(-1) ?? -1];
  if (first < 0 || cuts.every(isSquare)) return [];
  const near = cuts.findIndex((c, i) => i > last && isAt(0, c));
  const [far, edge, end] = [cuts.slice(0, first + 1), cuts.slice(first + 1, last + 1), cuts.slice(last + 1, near < 0 ? undefined : near)];
  const long = (v: number) => {
    const us = cuts
      .flatMap((c) => [c.from, c.to])
      .filter((c) => Math.abs(c[1] - v) < SQUARE)
      .map((c) => c[0]);
    return Math.max(...us) - Math.min(...us);
  };
  const [v0, v1] = [long(0), long(wide)];
  const alike = Math.abs(v0 - v1) < SQUARE;
  const along = alike
    ? `${write(v0)} along each edge`
    : `${write(v0)} along the ${edgeName(member, 'v0')}, ${write(v1)} along the ${edgeName(member, 'v1')}`;
  const ended = (name: string, part: readonly Cut[], from: 'v0' | 'v1'): readonly string[] =>
    part.every(isSquare) && part.length < 2
      ? []
      : [
          `${name} ${part.length > 1 ? `from the ${edgeName(member, from)} on: ` : ''}${part.map((c) => cutText(c, write)).join(', then ')}`,
        ];
  const slope = ({ from, to }: Cut) => (to[0] - from[0]) / (to[1] - from[1]);
  const [a, b] = [far[0], end[0]];
  const single = far.length === 1 && end.length === 1 && a && b && !isSquare(a) && !isSquare(b) && a.bulge === 0 && b.bulge === 0;
  const parallel = single && Math.abs(slope(a) - slope(b)) < 1e-6;
  const ends = parallel
    ? [`both ends ${degreesOf(slope(a))}° off square and parallel`]
    : [...ended(edgeName(member, 'u0'), end, 'v1'), ...ended(edgeName(member, 'u1'), far, 'v0')];
  const edges = edge.filter((c) => !isSquare(c));
  const start = Math.min(...cuts.map((c) => c.to[0]));
  const place = (c: Corner) => `${write(c[1])} wide at ${write(c[0] - start)}`;
  const sloped = edges.map(
    (c) =>
      `${edgeName(member, 'v1')} ${c.bulge === 0 ? 'aslant' : 'round'} from ${place(c.to)} to ${place(c.from)} from the ${edgeName(member, 'u0')}`,
  );
  return [...(ends.length > 0 ? [`${ends.join(', ')}; ${along}`] : []), ...sloped];
}

/**
 * What is sawn aslant of a part: its ends, as the saw is set and as they are measured, and edges that are bevelled.
 * @example aslantText(SHELF, { unit: 'mm', step: mm(0.5) }) // []
 */
export function aslantText(member: Member, precision: Precision): readonly string[] {
  const bevels = (member.ends ?? []).flatMap(({ normal: [u, v, n] }): string[] => {
    if (n === 0) return [];
    const edge: keyof Edges = Math.abs(u) > Math.abs(v) ? (u < 0 ? 'u0' : 'u1') : v < 0 ? 'v0' : 'v1';
    return [
      `${edgeName(member, edge)} bevelled by ${degreesOf(n / Math.hypot(u, v))}°, its ${faceName(member, n > 0 ? 'down' : 'up')} the longer`,
    ];
  });
  return [...outlineText(member, precision), ...bevels];
}

/**
 * How far up either edge from its cut end a recess begins that lies aslant, mm.
 * @example upEdge({ kind: 'housing', face: 'up', depth: mm(6), region: { u0: mm(100), u1: mm(150), v0: mm(0), v1: mm(40) }, slant: 0.75 }, SHELF) // 100
 */
export function upEdge(feature: Recess & { readonly slant: number }, member: Member): number {
  const [[low, at] = [0, 0]] = recessCorners(feature);
  return low - feature.slant * at - (aslantEnds(member)?.edges[0][0] ?? 0);
}

/**
 * What is cut across a board that leans, told as it is marked: aslant, how long it is along the edges, and how far up
 * either edge from the cut end, which is the same on both where that end is level too.
 */
export function slantedText(feature: Recess & { readonly slant: number }, member: Member, precision: Precision): string {
  const write = (l: number) => formatLength(mm(l), precision);
  const along = formatLength(recessAlong(feature), precision);
  const deep = formatLength(feature.depth, precision);
  return `${feature.kind} ${along} long along the edges, ${deep} deep, on the ${faceName(member, feature.face)}, aslant by ${degreesOf(feature.slant)}°, ${write(upEdge(feature, member))} along either edge from the ${edgeName(member, 'u0')}`;
}

/** From where holes in a board are measured along it: from its end, or from the long point of that where it is cut aslant. */
export function endName(member: Member): string {
  const cut = aslantEnds(member);
  const aslant = cut !== null && Math.abs(cut.far[0][0] - cut.edges[0][0]) > SQUARE;
  return aslant ? `long point of the ${edgeName(member, 'u0')}` : edgeName(member, 'u0');
}
