import { toMm, type Length } from '../length/index.js';
import { cellGrid } from '../interiors/cells/grid.js';
import { FLOOR, PLACE, boxOf, type Joint, type Member, type PlacedSpace, type Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { propertiesOf } from '../stock/index.js';
import { BeamError, type BeamSpec, type LineLoad, type PointLoad } from './beam.js';
import { judge, sagOf, type Bending, type Sag, type State, type Verdict } from './verdict.js';

/** Standard gravity as builders' tables round it, N/kg. */
export const GRAVITY = 9.81;

/** What one member puts on another: how much and where. */
export interface Handed {
  readonly from: string;
  readonly newtons: number;
  /** Across the piece, mm; left out where it is given along the whole length. */
  readonly x?: number;
}

/** What a member gives on to what carries it. */
export interface Support {
  readonly carrier: string;
  readonly how: Joint['how'];
  readonly x?: number;
  readonly z?: number;
  readonly newtons: number;
  /** True where a one-way support is not touched. */
  readonly lifted: boolean;
}

/** A stretch of a member that things stand on. */
export interface Standing {
  readonly space: string;
  readonly kg: number;
  /** Across the piece, mm. */
  readonly from: number;
  readonly to: number;
}

/** A member with its loads, what carries it, and, for one that bends, its verdict. */
export interface CarriedMember {
  readonly member: Member;
  readonly selfKg: number;
  readonly standing: readonly Standing[];
  readonly handed: readonly Handed[];
  readonly supports: readonly Support[];
  /** All that it carries and weighs, N. */
  readonly total: number;
  /** Carried along its whole length, so that nothing bends. */
  readonly throughout: boolean;
  readonly bending: BendingAnswer | null;
  readonly state: State;
  /** What is missing where it is not judged. */
  readonly missing: string | null;
}

/** How a member bends. */
export interface BendingAnswer {
  /** The longest stretch between two supports that are touched, mm. */
  readonly span: number;
  readonly sag: Sag;
  readonly verdict: Verdict;
  /** The way it spans. */
  readonly axis: SpanAxis;
  /** Where the beam begins, across the piece or from its rear, and its length, mm. */
  readonly from: number;
  readonly length: number;
}

/** Loads of a whole piece, handed from member to member down to the floor. */
export interface Carried {
  readonly members: ReadonlyMap<string, CarriedMember>;
  /** All loads that reach the floor or the place that a piece is put into, N. */
  readonly floor: number;
  readonly massKg: number;
}

/** The mass of a member by its measured size, kg. */
export function massOf(member: Member): number {
  const { density } = propertiesOf(member.stock);
  const cubicMm = toMm(member.length.value) * toMm(member.width.value) * toMm(member.thickness.value);
  return cubicMm * density * 1e-9;
}

function lies(member: Member): boolean {
  return member.frame.n[1] !== 0;
}

/** Members in an order in which each comes after all that it carries. */
function fromTheTop(members: readonly Member[], joints: readonly Joint[]): readonly Member[] {
  const byId = new Map(members.map((m) => [m.id, m]));
  const waiting = new Map(members.map((m) => [m.id, 0]));
  const carriers = new Map<string, string[]>();
  for (const { carried, carrier } of joints) {
    if (!byId.has(carried) || !byId.has(carrier)) continue;
    waiting.set(carrier, (waiting.get(carrier) ?? 0) + 1);
    const list = carriers.get(carried);
    if (list) list.push(carrier);
    else carriers.set(carried, [carrier]);
  }
  const ready = members.filter((m) => waiting.get(m.id) === 0).map((m) => m.id);
  const order: Member[] = [];
  for (let id = ready.pop(); id !== undefined; id = ready.pop()) {
    order.push(byId.get(id) as Member);
    for (const next of carriers.get(id) ?? []) {
      const left = (waiting.get(next) as number) - 1;
      waiting.set(next, left);
      if (left === 0) ready.push(next);
    }
  }
  return order;
}

interface Load {
  readonly self: number;
  readonly standing: readonly Standing[];
  readonly handed: readonly Handed[];
  readonly unweighed: readonly string[];
}

/** What carries the things of a space: the member below it, the slats of a deck, the uprights of cells. */
function carriersOf(space: PlacedSpace, members: Shape['members']): readonly string[] {
  const { split, cells, id } = space.space;
  if (split?.making?.kind === 'slats') {
    const nodes = new Set([id, ...split.members.map((m) => m.id)]);
    return members.filter((m) => m.role === 'slat' && nodes.has(m.node)).map((m) => m.id);
  }
  if (cells) return members.filter((m) => m.node === id && (m.role === 'ladder upright' || m.role === 'divider')).map((m) => m.id);
  return [space.neighbours.below];
}

/** The things of a space with what is not known of them; those of cells fill every cell. */
function loadOf(space: PlacedSpace, workshop: Workshop): { kg: number; unknown: readonly string[] } {
  const { cells } = space.space;
  const grid = cells && cellGrid(space, cells, workshop);
  if (grid) return { kg: (grid.thing.mass ?? 0) * grid.capacity.amount, unknown: grid.thing.mass === undefined ? [grid.thing.name] : [] };
  return {
    kg: space.blocks.reduce((sum, b) => sum + (b.thing.mass ?? 0) * b.count, 0),
    unknown: space.blocks.filter((b) => b.thing.mass === undefined).map((b) => b.thing.name),
  };
}

/** What stands on each member. */
function standingOn(shape: Shape, workshop: Workshop): { standing: Map<string, Standing[]>; unweighed: Map<string, string[]> } {
  const standing = new Map<string, Standing[]>();
  const unweighed = new Map<string, string[]>();
  for (const space of shape.spaces.values()) {
    if (space.blocks.length === 0 && !space.space.cells) continue;
    if (space.space.split && space.space.split.making?.kind !== 'slats') continue;
    const { kg, unknown } = loadOf(space, workshop);
    const carriers = carriersOf(space, shape.members);
    for (const id of carriers) {
      if (unknown.length > 0) unweighed.set(id, [...(unweighed.get(id) ?? []), ...unknown]);
      const entry = { space: space.id, kg: kg / carriers.length, from: toMm(space.box.x0), to: toMm(space.box.x1) };
      standing.set(id, [...(standing.get(id) ?? []), entry]);
    }
  }
  return { standing, unweighed };
}

/** A member that stands or leans: it passes on all it carries, evenly where several carry it. */
function passOn(joints: readonly Joint[], total: number): Support[] {
  return joints.map((j) => ({
    carrier: j.carrier,
    how: j.how,
    ...(j.x === undefined ? {} : { x: toMm(j.x) }),
    newtons: total / joints.length,
    lifted: false,
  }));
}

/** How far a member reaches over its outermost supports at one end, mm; what lies in a joint is no overhang. */
function overhang(reach: number, thickness: number): number {
  return reach > thickness ? reach : 0;
}

/** The way a member spans: across the piece, or from its rear to its front. */
export type SpanAxis = 'across' | 'deep';

function spanAxis(joints: readonly Joint[]): SpanAxis {
  return joints.every((j) => j.z !== undefined) ? 'deep' : 'across';
}

interface BeamInPlace {
  readonly beam: Omit<BeamSpec, 'stretches'>;
  readonly from: number;
  readonly axis: SpanAxis;
}

function beamOf(member: Member, load: Load, joints: readonly Joint[]): BeamInPlace {
  const axis = spanAxis(joints);
  const box = boxOf(member);
  const [low, high] = (axis === 'across' ? [box.x0, box.x1] : [box.z0, box.z1]).map(toMm) as [number, number];
  const places = joints.map((j) => toMm((axis === 'across' ? j.x : j.z) as Length));
  const thickness = toMm(member.thickness.value);
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const from = first - overhang(first - low, thickness);
  const length = last + overhang(high - last, thickness) - from;
  // Places within a millimetre of each other become one: a sliver of a beam would cost more digits than it is worth.
  const known = [...places, from, from + length];
  const onto = (x: number) => {
    const near = known.find((p) => Math.abs(p - x) < 1);
    if (near === undefined) known.push(x);
    return near ?? x;
  };
  const clip = (x: number) => Math.min(Math.max(onto(x) - from, 0), length);
  const even = (newtons: number): LineLoad => ({ from: 0, to: length, perMm: newtons / length });
  const stand = (s: Standing): LineLoad => {
    if (axis === 'deep') return even(s.kg * GRAVITY);
    // All that stands on it is carried by it, also where its space reaches past its ends.
    const [a, b] = [clip(s.from), clip(s.to)];
    return { from: a, to: b, perMm: (s.kg * GRAVITY) / (b - a) };
  };
  const placed = (h: Handed) => axis === 'across' && h.x !== undefined;
  return {
    axis,
    from,
    beam: {
      length,
      supports: joints.map((j, i) => ({ x: (places[i] as number) - from, oneWay: j.how === 'bearing' || j.how === 'pins' })),
      // What is given along the whole length, or across the span, is spread over it.
      lines: [even(load.self), ...load.standing.map(stand), ...load.handed.filter((h) => !placed(h)).map((h) => even(h.newtons))],
      points: load.handed.flatMap((h): PointLoad[] => (placed(h) ? [{ x: clip(h.x as number), newtons: h.newtons }] : [])),
    },
  };
}

/** The section that bends: as broad as the member is square to its span, as stiff as the wood is along it. */
function sectionOf(member: Member, axis: SpanAxis): Bending {
  const along = Math.abs(member.frame.u[axis === 'across' ? 0 : 2]) > Math.SQRT1_2;
  const properties = propertiesOf(member.stock);
  const across = properties.ownElastic ? undefined : properties.material.elasticAcross;
  return {
    width: toMm((along ? member.width : member.length).value),
    thickness: toMm(member.thickness.value),
    properties: along || across === undefined ? properties : { ...properties, elastic: across },
  };
}

function shortestSpan({ supports, length }: Pick<BeamSpec, 'supports' | 'length'>): number {
  const places = supports.map((s) => s.x).sort((a, b) => a - b);
  return places.slice(1).reduce((least, x, i) => Math.min(least, x - (places[i] as number)), length);
}

function longestSpan(supports: readonly Support[]): number {
  const places = supports
    .filter((s) => !s.lifted)
    .map((s) => (s.x ?? s.z) as number)
    .sort((a, b) => a - b);
  return places.slice(1).reduce((most, x, i) => Math.max(most, x - (places[i] as number)), 0);
}

/** A member that lies on supports at places: a beam. */
function bend(member: Member, load: Load, joints: readonly Joint[], total: number, workshop: Workshop): CarriedMember {
  const { beam, from, axis } = beamOf(member, load, joints);
  const section = sectionOf(member, axis);
  const { properties } = section;
  const base = { member, selfKg: load.self / GRAVITY, standing: load.standing, handed: load.handed, total, throughout: false };
  try {
    const sag = sagOf(beam, section, shortestSpan(beam));
    const { result } = sag;
    const supports = joints.map((j, i): Support => {
      const reaction = result.reactions[i];
      return {
        carrier: j.carrier,
        how: j.how,
        [axis === 'across' ? 'x' : 'z']: (beam.supports[i]?.x ?? 0) + from,
        newtons: reaction?.newtons ?? 0,
        lifted: reaction?.lifted ?? false,
      };
    });
    const span = longestSpan(supports);
    const verdict = judge(sag.mm, span, properties, workshop.settings);
    const loaded = load.standing.some((s) => s.kg > 0) || load.handed.some((h) => h.newtons > 0);
    const missing =
      load.unweighed.length > 0
        ? `the mass of ${load.unweighed.join(', ')}`
        : loaded
          ? verdict.creep.judged
            ? null
            : verdict.creep.reason
          : 'nothing is said to stand on it';
    const state = load.unweighed.length > 0 || !loaded ? (verdict.state === 'fails' ? 'fails' : 'not judged') : verdict.state;
    return { ...base, supports, bending: { axis, span, sag, verdict, from, length: beam.length }, state, missing };
  } catch (error) {
    if (!(error instanceof BeamError)) throw error;
    return { ...base, supports: passOn(joints, total), bending: null, state: 'not judged', missing: error.message };
  }
}

function carryOne(member: Member, load: Load, joints: readonly Joint[], workshop: Workshop): CarriedMember {
  const total = load.self + load.standing.reduce((sum, s) => sum + s.kg * GRAVITY, 0) + load.handed.reduce((sum, h) => sum + h.newtons, 0);
  const along = joints.filter((j) => j.x === undefined && j.z === undefined);
  if (!lies(member) || along.length > 0) {
    const throughout = lies(member);
    return {
      member,
      selfKg: load.self / GRAVITY,
      standing: load.standing,
      handed: load.handed,
      supports: passOn(throughout ? along : joints, total),
      total,
      throughout,
      bending: null,
      state: throughout ? (load.unweighed.length > 0 ? 'not judged' : 'fine') : 'fine',
      missing: load.unweighed.length > 0 ? `the mass of ${load.unweighed.join(', ')}` : null,
    };
  }
  return bend(member, load, joints, total, workshop);
}

/**
 * Carries every load of a piece down to the floor: what stands in the spaces, spread
 * evenly over the clear width, and the weight of every member. Members are taken from the
 * top; each is solved as a beam on what carries it, and its reactions load those.
 */
export function carry(shape: Shape, workshop: Workshop): Carried {
  const { standing, unweighed } = standingOn(shape, workshop);
  const jointsOf = new Map<string, Joint[]>();
  for (const joint of shape.joints) {
    const list = jointsOf.get(joint.carried);
    if (list) list.push(joint);
    else jointsOf.set(joint.carried, [joint]);
  }
  const handed = new Map<string, Handed[]>();
  const members = new Map<string, CarriedMember>();
  let floor = 0;
  let massKg = 0;
  for (const member of fromTheTop(shape.members, shape.joints)) {
    const kg = massOf(member);
    massKg += kg;
    const load: Load = {
      self: kg * GRAVITY,
      standing: standing.get(member.id) ?? [],
      handed: handed.get(member.id) ?? [],
      unweighed: unweighed.get(member.id) ?? [],
    };
    const carried = carryOne(member, load, jointsOf.get(member.id) ?? [], workshop);
    members.set(member.id, carried);
    for (const s of carried.supports) {
      if (s.carrier === FLOOR || s.carrier === PLACE) floor += s.newtons;
      const entry: Handed = { from: member.id, newtons: s.newtons, ...(s.x === undefined ? {} : { x: s.x }) };
      const list = handed.get(s.carrier);
      if (list) list.push(entry);
      else handed.set(s.carrier, [entry]);
    }
  }
  return { members, floor, massKg };
}

/** One step on the way of a load to the floor. */
export interface PathStep {
  readonly from: string;
  readonly to: string;
  readonly how: Joint['how'];
  readonly newtons: number;
}

/** The way of a member's load to the floor, nearest first, each joint once. */
export function pathToFloor(carried: Carried, memberId: string): readonly PathStep[] {
  const steps: PathStep[] = [];
  const seen = new Set<string>();
  const queue = [memberId];
  for (let id = queue.shift(); id !== undefined; id = queue.shift()) {
    if (seen.has(id)) continue;
    seen.add(id);
    for (const s of carried.members.get(id)?.supports ?? []) {
      if (s.newtons < 1e-9) continue;
      steps.push({ from: id, to: s.carrier, how: s.how, newtons: s.newtons });
      queue.push(s.carrier);
    }
  }
  return steps;
}
