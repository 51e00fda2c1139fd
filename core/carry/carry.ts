import { toMm } from '../length/index.js';
import { FLOOR, PLACE, type Joint, type Member, type Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { propertiesOf } from '../stock/index.js';
import { BeamError, type BeamSpec } from './beam.js';
import { beamOf, sectionOf, type SpanAxis } from './placed-beam.js';
import { GRAVITY, standingOn, type Handed, type Load, type Standing } from './standing.js';
import { judge, sagOf, type Sag, type State, type Verdict } from './verdict.js';

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
