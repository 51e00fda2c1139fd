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

/**
 * What is sawn aslant of a part: its ends, as the saw is set and as they are measured, and edges that are bevelled.
 * @example aslantText(SHELF, { unit: 'mm', step: mm(0.5) }) // []
 */
export function aslantText(member: Member, precision: Precision): readonly string[] {
  const write = (l: number) => formatLength(mm(l), precision);
  const wide = toMm(member.width.value);
  const bevels = (member.ends ?? []).flatMap(({ normal: [u, v, n] }): string[] => {
    if (n === 0) return [];
    const edge: keyof Edges = Math.abs(u) > Math.abs(v) ? (u < 0 ? 'u0' : 'u1') : v < 0 ? 'v0' : 'v1';
    return [
      `${edgeName(member, edge)} bevelled by ${degreesOf(n / Math.hypot(u, v))}°, its ${faceName(member, n > 0 ? 'down' : 'up')} the longer`,
    ];
  });
  const cut = aslantEnds(member);
  if (!cut) return bevels;
  const { edges, far } = cut;
  const off = [0, 1].map((k) => ((far[k] as Corner)[0] - (edges[k] as Corner)[0]) / wide) as [number, number];
  if (off.every((t) => Math.abs(t) * wide < SQUARE)) return bevels;
  const angles = off.map(degreesOf);
  const long = [edges, far].map(([a, b]) => b[0] - a[0]) as [number, number];
  const parallel = Math.abs(off[0] - off[1]) < 1e-6;
  const ends = parallel
    ? `both ends ${angles[0]}° off square and parallel; ${write(long[0])} along each edge`
    : `${edgeName(member, 'u0')} ${angles[0]}° and ${edgeName(member, 'u1')} ${angles[1]}° off square; ${write(long[0])} along the ${edgeName(member, 'v0')}, ${write(long[1])} along the ${edgeName(member, 'v1')}`;
  return [ends, ...bevels];
}

/**
 * What is cut across a board that leans, told as it is marked: aslant, how long it is along the edges, and how far up
 * either edge from the cut end, which is the same on both where that end is level too.
 */
export function slantedText(feature: Recess & { readonly slant: number }, member: Member, precision: Precision): string {
  const write = (l: number) => formatLength(mm(l), precision);
  const [[low, at] = [0, 0]] = recessCorners(feature);
  const start = aslantEnds(member)?.edges[0][0] ?? 0;
  const along = formatLength(recessAlong(feature), precision);
  const deep = formatLength(feature.depth, precision);
  return `${feature.kind} ${along} long along the edges, ${deep} deep, on the ${faceName(member, feature.face)}, aslant by ${degreesOf(feature.slant)}°, ${write(low - feature.slant * at - start)} along either edge from the ${edgeName(member, 'u0')}`;
}

/** From where holes in a board are measured along it: from its end, or from the long point of that where it is cut aslant. */
export function endName(member: Member): string {
  const cut = aslantEnds(member);
  const aslant = cut !== null && Math.abs(cut.far[0][0] - cut.edges[0][0]) > SQUARE;
  return aslant ? `long point of the ${edgeName(member, 'u0')}` : edgeName(member, 'u0');
}
