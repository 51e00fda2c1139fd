import { toMm } from '../length/index.js';
import { massMiddleOf, placingOf, type Joint, type Member } from '../piece/index.js';
import { dot, type Vector } from '../solid/index.js';
import { propertiesOf, type StockProperties } from '../stock/index.js';
import type { LineLoad, PointLoad } from './beam.js';
import { reachAlong } from './fixings/contact.js';
import { GRAVITY } from './gravity.js';
import { lineOf, stretchAlong } from './line.js';
import { rowOf, type BeamLoads, type MovableRow, type PatternedLoads } from './patterns.js';
import type { Handed, Load, Standing } from './standing.js';
import type { Bending, Narrowed } from './verdict.js';
import { asNewtons } from '../measures/index.js';

/** A member may reach so far into a joint, mm. */
const DEEPEST_JOINT = 15;

/** How far a member reaches over its outermost supports at one end, mm; what lies in a joint is no overhang. */
function overhang(reach: number, thickness: number): number {
  return reach > Math.max(thickness, DEEPEST_JOINT) ? reach : 0;
}

interface BeamInPlace {
  /** What of its load is always there, and what may be there or not. */
  readonly loads: PatternedLoads;
  /** The level direction that it spans along, and where it begins along that, mm. */
  readonly along: Vector;
  readonly from: number;
  /** How much of its own length is level: the cosine of its slope, 1 where it lies level. */
  readonly level: number;
}

/** How much of the length of a member that spans along a level direction is level. */
function levelPart({ frame }: Member, along: Vector): number {
  const rise = dot(frame.n, along);
  return Math.abs(rise) < 1e-9 ? 1 : Math.sqrt(1 - rise ** 2);
}

/**
 * A beam as long as it is down its slope, under what of its load is square to it: stretches over the cosine of the slope, loads times it.
 */
function sloped({ base, always, maybe, rows = [] }: PatternedLoads, level: number): PatternedLoads {
  const line = (l: LineLoad): LineLoad => ({ ...l, from: l.from / level, to: l.to / level, perMm: l.perMm * level ** 2 });
  const steep = ({ lines, points }: BeamLoads): BeamLoads => ({
    lines: lines.map(line),
    points: points.map((p) => ({ x: p.x / level, newtons: asNewtons(p.newtons * level) })),
  });
  return {
    base: { length: base.length / level, supports: base.supports.map((s) => ({ ...s, x: s.x / level })) },
    always: steep(always),
    maybe: steep(maybe),
    rows: rows.map((r) => ({ from: r.from / level, to: r.to / level, parts: r.parts.map(line) })),
  };
}

/** Off the middle of a stretch by less than this, as a part of it, a load lies even there. */
const EVEN = 1e-9;

/** A load over a stretch of a beam, even; where its middle is not that of the stretch, each half has what turns as it does. */
function spreadOver(newtons: number, { from, to, middle }: { from: number; to: number; middle: number }): readonly LineLoad[] {
  const off = (middle - from) / (to - from) - 0.5;
  const perMm = newtons / (to - from);
  if (Math.abs(off) < EVEN) return [{ from, to, perMm }];
  const half = (from + to) / 2;
  return [
    { from, to: half, perMm: perMm * (1 - 4 * off) },
    { from: half, to, perMm: perMm * (1 + 4 * off) },
  ];
}

/** A member as a beam on what holds it on level lines, all of them square to one direction: its supports, and what it carries along its span. */
export function beamOf(member: Member, load: Load, joints: readonly Joint[]): BeamInPlace {
  const lines = joints.flatMap((j) => (j.on ? [lineOf(j.on)] : []));
  const along = lines[0]?.along ?? member.frame.u;
  const places = lines.map((l) => (stretchAlong(along, l.along, l.at, l.at) ?? [l.at])[0]);
  const [low, high] = reachAlong(member, along);
  const thickness = toMm(member.thickness.value);
  const [first, last] = [Math.min(...places), Math.max(...places)];
  // What reaches no further than the breadth it lies on is over its support.
  const covered = Math.max(thickness, ...joints.map((j) => (j.broad === undefined ? 0 : toMm(j.broad) / 2 + 0.1)));
  const placeOn = ({ on }: Handed) => on && stretchAlong(along, on.along, on.at, on.at);
  const onIt = (x: number) => Math.min(Math.max(x, low), high);
  // What presses at one place past its outermost supports, and not on their breadth, does so over an overhang.
  const pressed = load.handed.map((h) => onIt(placeOn(h)?.[0] ?? first)).filter((x) => x < first - covered || x > last + covered);
  const from = Math.min(first - overhang(first - low, covered), ...pressed);
  const length = Math.max(last + overhang(high - last, covered), ...pressed) - from;
  const clip = (x: number) => Math.min(Math.max(x - from, 0), length);
  const even = (newtons: number): LineLoad => ({ from: 0, to: length, perMm: newtons / length });
  // All that stands on it is carried by it, also where its space reaches past its ends, or lies beside it.
  const over = (stretch: readonly [number, number]) => {
    const [a, b] = [clip(stretch[0]), clip(stretch[1])];
    // What lies past the end of it, over the breadth of what holds it there, presses on its end.
    const [first, last] = b - a > 0 ? [a, b] : [Math.max(0, a - 1), Math.min(length, a + 1)];
    return { from: first, to: last, middle: b - a > 0 ? (onIt(stretch[0]) + onIt(stretch[1])) / 2 - from : (first + last) / 2 };
  };
  const reach = (s: Standing) => stretchAlong(along, s.along, s.from, s.to);
  const stand = (s: Standing): readonly LineLoad[] => {
    const stretch = reach(s);
    if (stretch) return spreadOver(s.kg * GRAVITY, over(stretch));
    // Across their row things take up all of the span, but not all of the breadth where they are fewer.
    return [{ ...even(s.kg * GRAVITY), ...(s.row ? { wide: s.row.reduce((sum, r) => sum + r.wide, 0) } : {}) }];
  };
  const rows: MovableRow[] = [];
  const staying: Standing[] = [];
  for (const s of load.standing) {
    const stretch = s.row ? reach(s) : null;
    if (!s.row || !stretch) staying.push(s);
    else {
      const { from: a, to: b } = over(stretch);
      const things = s.row.map((r) => ({ wide: r.wide, newtons: r.kg * GRAVITY }));
      rows.push({ from: a, to: b, parts: rowOf(things, b - a) });
    }
  }
  const base = {
    length,
    supports: joints.map((j, i) => ({ x: (places[i] as number) - from, oneWay: j.how === 'bearing' || j.how === 'pins' })),
  };
  const middle = dot(massMiddleOf(member).middle, along) - from;
  const always = { lines: [...spreadOver(load.self, { from: 0, to: length, middle })], points: [] as PointLoad[] };
  const maybe = { lines: staying.flatMap(stand), points: [] as PointLoad[] };
  const placeOver = ({ over: o }: Handed) => o && stretchAlong(along, o.along, o.from, o.to);
  for (const h of load.handed) {
    const live = h.newtons - h.dead;
    const place = placeOn(h);
    if (place) {
      const x = clip(place[0]);
      if (h.dead !== 0) always.points.push({ x, newtons: h.dead });
      if (live !== 0) maybe.points.push({ x, newtons: asNewtons(live) });
    } else {
      // What goes across it presses where it lies; what is given along its whole length is spread over that.
      const stretch = placeOver(h);
      const spread = (newtons: number) => (stretch ? spreadOver(newtons, over(stretch)) : [even(newtons)]);
      always.lines.push(...spread(h.dead));
      if (live !== 0) maybe.lines.push(...spread(live));
    }
  }
  const loads = { base, always, maybe, rows };
  const level = levelPart(member, along);
  return { along, from, level, loads: level === 1 ? loads : sloped(loads, level) };
}

/** What notches leave of a member along its span, from where its beam begins. */
function notchesOf(member: Member, along: Vector, from: number): readonly Narrowed[] {
  const notches = member.features.filter((f) => f.kind === 'notch');
  if (notches.length === 0) return [];
  const width = member.width.value;
  const placing = placingOf(member);
  const start = dot(along, placing.origin) - from;
  return notches.flatMap((f): Narrowed[] => {
    if (f.kind === 'hole') return [];
    const ends = [f.region.u0, f.region.u1].map((u) => start + dot(along, placing.u) * toMm(u));
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

/**
 * The section that bends: as broad as the member is square to its span, as stiff as the wood is along it.
 * @example sectionOf(SHELF, [1, 0, 0], 0).width // 300
 */
export function sectionOf(member: Member, span: Vector, from: number): Bending {
  // On edge it is as broad as its wood is thick, and as high as it is wide.
  if (member.frame.n[1] === 0) {
    return { width: toMm(member.thickness.value), thickness: toMm(member.width.value), properties: propertiesOf(member.stock) };
  }
  const along = Math.abs(dot(member.frame.u, span)) > Math.abs(dot(member.frame.v, span));
  const properties = propertiesOf(member.stock);
  const narrow = along ? notchesOf(member, span, from) : [];
  return {
    width: toMm((along ? member.width : member.length).value),
    ...(narrow.length > 0 ? { narrow } : {}),
    thickness: toMm(member.thickness.value),
    ...(along ? { properties } : { properties: turned(properties), acrossGrain: true }),
  };
}
