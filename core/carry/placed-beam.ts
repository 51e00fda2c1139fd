import { toMm, type Length } from '../length/index.js';
import { boxOf, type Joint, type Member } from '../piece/index.js';
import { propertiesOf, type StockProperties } from '../stock/index.js';
import type { LineLoad, PointLoad } from './beam.js';
import { rowOf, type MovableRow, type PatternedLoads } from './patterns.js';
import { type Handed, type Load, type Standing } from './standing.js';
import { GRAVITY } from './gravity.js';
import type { Bending, Narrowed } from './verdict.js';

/** A member may reach so far into a joint, mm. */
const DEEPEST_JOINT = 15;

/** How far a member reaches over its outermost supports at one end, mm; what lies in a joint is no overhang. */
function overhang(reach: number, thickness: number): number {
  return reach > Math.max(thickness, DEEPEST_JOINT) ? reach : 0;
}

/** The way a member spans: across the piece, or from its rear to its front. */
export type SpanAxis = 'across' | 'deep';

function spanAxis(joints: readonly Joint[]): SpanAxis {
  return joints.every((j) => j.z !== undefined) ? 'deep' : 'across';
}

interface BeamInPlace {
  /** What of its load is always there, and what may be there or not. */
  readonly loads: PatternedLoads;
  readonly from: number;
  readonly axis: SpanAxis;
}

/** A member as a beam: its supports, and what it carries along its span. */
export function beamOf(member: Member, load: Load, joints: readonly Joint[]): BeamInPlace {
  const axis = spanAxis(joints);
  const box = boxOf(member);
  const [low, high] = (axis === 'across' ? [box.x0, box.x1] : [box.z0, box.z1]).map(toMm) as [number, number];
  const places = joints.map((j) => toMm((axis === 'across' ? j.x : j.z) as Length));
  const thickness = toMm(member.thickness.value);
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const from = first - overhang(first - low, thickness);
  const length = last + overhang(high - last, thickness) - from;
  const clip = (x: number) => Math.min(Math.max(x - from, 0), length);
  const even = (newtons: number): LineLoad => ({ from: 0, to: length, perMm: newtons / length });
  // All that stands on it is carried by it, also where its space reaches past its ends, or lies beside it.
  const reach = (s: Standing): readonly [number, number] => {
    const [a, b] = [clip(s.from), clip(s.to)];
    return b - a > 0 ? [a, b] : [Math.max(0, a - 1), Math.min(length, a + 1)];
  };
  const stand = (s: Standing): LineLoad => {
    // From the rear to the front things take up all of the span, but not all of the breadth where they are fewer.
    if (axis === 'deep') return { ...even(s.kg * GRAVITY), ...(wideOf(s) === null ? {} : { wide: wideOf(s) as number }) };
    const [a, b] = reach(s);
    return { from: a, to: b, perMm: (s.kg * GRAVITY) / (b - a) };
  };
  const wideOf = (s: Standing) => (s.row ? s.row.reduce((sum, r) => sum + r.wide, 0) : null);
  const moves = (s: Standing) => s.row !== undefined && axis === 'across';
  const row = (s: Standing): MovableRow => {
    const [a, b] = reach(s);
    return {
      from: a,
      to: b,
      parts: rowOf(
        (s.row ?? []).map((r) => ({ wide: r.wide, newtons: r.kg * GRAVITY })),
        b - a,
      ),
    };
  };
  const placed = (h: Handed) => axis === 'across' && h.x !== undefined;
  const base = {
    length,
    supports: joints.map((j, i) => ({ x: (places[i] as number) - from, oneWay: j.how === 'bearing' || j.how === 'pins' })),
  };
  const always = { lines: [even(load.self)], points: [] as PointLoad[] };
  const maybe = { lines: load.standing.filter((s) => !moves(s)).map(stand), points: [] as PointLoad[] };
  for (const h of load.handed) {
    const live = h.newtons - h.dead;
    if (placed(h)) {
      const x = clip(h.x as number);
      if (h.dead !== 0) always.points.push({ x, newtons: h.dead });
      if (live !== 0) maybe.points.push({ x, newtons: live });
    } else {
      // What is given along the whole length, or across the span, is spread over it.
      always.lines.push(even(h.dead));
      if (live !== 0) maybe.lines.push(even(live));
    }
  }
  return { axis, from, loads: { base, always, maybe, rows: load.standing.filter(moves).map(row) } };
}

/** What notches leave of a member that lies across the piece, from where its beam begins. */
function notchesOf(member: Member, from: number): readonly Narrowed[] {
  const notches = member.features.filter((f) => f.kind === 'notch');
  if (notches.length === 0) return [];
  const width = member.width.value;
  const start = toMm(member.frame.origin.x) - from;
  return notches.flatMap((f): Narrowed[] => {
    if (f.kind === 'hole') return [];
    const ends = [f.region.u0, f.region.u1].map((u) => start + member.frame.u[0] * toMm(u));
    const share = 1 - (f.region.v1 - f.region.v0) / width;
    return share > 0 ? [{ from: Math.max(0, Math.min(...ends)), to: Math.max(...ends), share }] : [];
  });
}

/** What spans across its grain bends by what it has that way. */
const turned = (properties: StockProperties): StockProperties => ({
  ...properties,
  elastic: properties.elasticAcross,
  elasticAcross: properties.elastic,
});

/** The section that bends: as broad as the member is square to its span, as stiff as the wood is along it. */
export function sectionOf(member: Member, axis: SpanAxis, from: number): Bending {
  // On edge it is as broad as its wood is thick, and as high as it is wide.
  if (member.frame.n[1] === 0) {
    return { width: toMm(member.thickness.value), thickness: toMm(member.width.value), properties: propertiesOf(member.stock) };
  }
  const along = Math.abs(member.frame.u[axis === 'across' ? 0 : 2]) > Math.SQRT1_2;
  const properties = propertiesOf(member.stock);
  const narrow = along && axis === 'across' ? notchesOf(member, from) : [];
  return {
    width: toMm((along ? member.width : member.length).value),
    ...(narrow.length > 0 ? { narrow } : {}),
    thickness: toMm(member.thickness.value),
    ...(along ? { properties } : { properties: turned(properties), acrossGrain: true }),
  };
}
