import { asBefore } from '../figure/index.js';
import { asNewtons, asKg, type Kilograms, type Newtons } from '../measures/index.js';
import { FLOOR, PLACE, massMiddleOf, type Joint, type Member, type Shape } from '../piece/index.js';
import { toMm } from '../length/index.js';
import type { Workshop } from '../project/index.js';
import { propertiesOf } from '../stock/index.js';
import { bend, type BendingAnswer } from './bend.js';
import type { Support } from './support.js';
import { attachedTo, type Attached } from './built-up.js';
import { standingOn, type Handed, type Load, type Standing } from './standing.js';
import { GRAVITY } from './gravity.js';
import { lineOf, wayAlong } from './line.js';
import { reachAlong } from './fixings/contact.js';
import { dot } from '../solid/index.js';
import { isInReach, roomUnder } from './reach.js';
import type { State } from './verdict.js';

/** A member with its loads, what carries it, and, for one that bends, its verdict. */
export interface CarriedMember {
  readonly member: Member;
  readonly selfKg: Kilograms;
  readonly standing: readonly Standing[];
  readonly handed: readonly Handed[];
  readonly supports: readonly Support[];
  /** All that it carries and weighs, N. */
  readonly total: Newtons;
  /** Carried along its whole length, so that nothing bends. */
  readonly throughout: boolean;
  readonly bending: BendingAnswer | null;
  readonly state: State;
  /** Why it is not judged, or why it falls. */
  readonly missing: string | null;
  /** Things without a mass that stand on it, or on what it carries. */
  readonly unknown: readonly string[];
  /** Nothing is said to stand on it or on what it carries. */
  readonly empty: boolean;
  /** What is to carry it does not hold it, so that it comes down. */
  readonly falls: boolean;
}

/** Loads of a whole piece, handed from member to member down to the floor. */
export interface Carried {
  readonly members: ReadonlyMap<string, CarriedMember>;
  /** All loads that reach the floor or the place that a piece is put into, N. */
  readonly floor: Newtons;
  readonly massKg: Kilograms;
}

/** The things that stand anywhere in a piece and whose mass is not known, each once, by their names. @example unweighedIn(SOLVED.carried) // [] */
export const unweighedIn = ({ members }: Pick<Carried, 'members'>): readonly string[] => [
  ...new Set([...members.values()].flatMap((c) => c.unknown)),
];

/** The mass of a member by its measured size and its true shape, kg. @example massOf(SHELF) // 2.448 */
export function massOf(member: Member): Kilograms {
  const { density } = propertiesOf(member.stock);
  return asKg(massMiddleOf(member).volume * density * 1e-9);
}

function lies(member: Member): boolean {
  return member.frame.n[1] !== 0;
}

const onEdge = ({ frame }: Member) => frame.n[1] === 0 && frame.u[1] === 0;
/** How far a member is off plumb and off level: 0 for one that is either. */
const leansBy = ({ frame: { u } }: Member) => Math.abs(u[1]) * Math.hypot(u[0], u[2]);
const isPlaced = (j: Joint) => j.on !== undefined;

/** A rail or a runner board: on edge, level, and held at places along it. */
function spansOnEdge(member: Member, joints: readonly Joint[]): boolean {
  return onEdge(member) && joints.length > 1 && joints.every(isPlaced);
}

/** A board on edge that is held at one end alone, and stands on nothing. */
function hangsByOneEnd(member: Member, joints: readonly Joint[]): boolean {
  const [only] = joints;
  return onEdge(member) && joints.length === 1 && only !== undefined && isPlaced(only) && only.how !== 'bearing';
}

/** Whether all that holds a member along its span is at one place. */
const oneEnd = (joints: readonly Joint[]) => new Set(joints.flatMap(({ on }) => (on ? [`${on.along.join(' ')} ${on.at}`] : []))).size === 1;

/** What nobody sees: it may sag into the room under it, as long as it does not break. */
const UNSEEN: ReadonlySet<Member['role']> = new Set([
  'drawer bottom',
  'muntin',
  'back',
  'bearer',
  'runner',
  'runner board',
  'plinth rail',
  'plinth end',
]);

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

/** What part of its load each joint of a member that leans takes: of two that it lies on, by where that is between them. */
function leantOn(member: Member, joints: readonly Joint[], { handed, self }: Load, byId: Carrying['byId']): readonly number[] | null {
  const [a, b, more] = joints.filter((j) => j.on !== undefined && j.part !== 0);
  // What carries nothing but itself is held evenly.
  if (!a?.on || !b?.on || more || handed.length === 0 || leansBy(member) === 0) return null;
  const way = a.on.along;
  const at = (m: Member) => dot(massMiddleOf(m).middle, way);
  const loads = [
    { newtons: self, at: at(member) },
    ...handed.flatMap(({ from, newtons }) => {
      const over = byId.get(from);
      return over ? [{ newtons, at: at(over) }] : [];
    }),
  ];
  const total = loads.reduce((sum, l) => sum + l.newtons, 0);
  if (total === 0) return null;
  const middle = loads.reduce((sum, l) => sum + l.newtons * l.at, 0) / total;
  const [from, to] = [toMm(a.on.at), toMm(b.on.at)];
  // What lies past either of them is on that alone: neither pulls.
  const onB = Math.min(1, Math.max(0, (middle - from) / (to - from)));
  return joints.map((j) => (j === a ? 1 - onB : j === b ? onB : 0));
}

/** A member that stands or leans: it passes on all it carries, evenly where several carry it and it does not lean on two of them. */
function passOn(joints: readonly Joint[], total: Newtons, parts?: readonly number[] | null): Support[] {
  // What ties it alone takes nothing of it.
  const sharing = joints.filter((j) => j.part !== 0).length;
  const evenly = (j: Joint) => (j.part === 0 ? 0 : total / sharing);
  return joints.map((j, i) => ({
    carrier: j.carrier,
    how: j.how,
    ...(j.on ? { on: lineOf(j.on) } : {}),
    ...(j.out === undefined ? {} : { out: toMm(j.out) }),
    newtons: asNewtons(parts ? total * (parts[i] as number) : evenly(j)),
    lifted: false,
  }));
}

/** Where a member that goes across the one that takes its load lies along that; undefined where it is given along one line with it, or all over. */
function lieOver(member: Member, carrier: Member | undefined, { on }: Support): Handed['over'] {
  if (!carrier || !on || carrier.frame.u[1] !== 0 || wayAlong(on.along, carrier.frame.u) !== 0) return undefined;
  const along = carrier.frame.u;
  const [[a, b], [low, high]] = [reachAlong(member, along), reachAlong(carrier, along)];
  const [from, to] = [Math.max(a, low), Math.min(b, high)];
  return to > from ? { along, from, to } : undefined;
}

const NOTHING: readonly string[] = [];
const NONE: ReadonlySet<string> = new Set();

/** What a member is carried with. */
interface Carrying {
  readonly load: Load;
  /** Things without a mass that stand on what it carries. */
  readonly above: ReadonlySet<string>;
  readonly joints: readonly Joint[];
  readonly attached: readonly Attached[];
  readonly byId: ReadonlyMap<string, Member>;
  /** How much room is under what nobody sees, which it may sag into, mm; null for what is seen. */
  readonly room: number | null;
  readonly workshop: Workshop;
}

/** How a member stands: what it gives on, and its verdict. */
type Stands = Pick<CarriedMember, 'supports' | 'throughout' | 'bending' | 'state' | 'missing' | 'falls'>;

function comesDown(held: readonly Joint[], total: Newtons, missing: string): Stands {
  return { supports: passOn(held, total), throughout: false, bending: null, state: 'fails', missing, falls: true };
}

/** @param unweighed what is not known of the masses on it; `loaded` whether anything is said to stand on it */
function stands(member: Member, carrying: Carrying, total: Newtons, unweighed: string | null, loaded: boolean): Stands {
  const { load, joints, attached, byId, room, workshop } = carrying;
  const held = joints.filter((j) => isInReach(member, byId.get(j.carrier), j));
  if (held.length === 0) return comesDown(held, total, 'nothing holds it');
  if (hangsByOneEnd(member, held)) return comesDown(held, total, 'only one end of it is held');
  const along = held.filter((j) => !isPlaced(j) && j.how !== 'held along');
  // A rail that carries nothing but itself is no beam to be judged.
  const spans = lies(member) || (loaded && spansOnEdge(member, held));
  if (!spans || along.length > 0) {
    const throughout = lies(member);
    const parts = throughout ? null : leantOn(member, held, load, byId);
    const supports = passOn(throughout ? along : held, total, parts);
    return { supports, throughout, bending: null, state: unweighed ? 'not judged' : 'fine', missing: unweighed, falls: false };
  }
  const bent = bend(member, load, held, attached, workshop, room);
  if ('error' in bent) {
    if (bent.falls) return comesDown(held, total, oneEnd(held) ? 'only one end of it is held' : 'what holds it does not keep it');
    return { supports: passOn(held, total), throughout: false, bending: null, state: 'not judged', missing: bent.error, falls: false };
  }
  const { answer, supports } = bent;
  const missing = unweighed ?? (loaded ? answer.missing : 'nothing is said to stand on it');
  const known = unweighed === null && loaded;
  const state = known || answer.state === 'fails' ? answer.state : 'not judged';
  return { supports, throughout: false, bending: answer, state, missing, falls: false };
}

const carriedAsBefore = asBefore<Member, CarriedMember>();

/** The very same as before for a member that carries the same on the same: what was found out about it is still known. */
function keptOne(member: Member, carrying: Carrying): CarriedMember {
  const { load, above, joints, attached, byId, room, workshop } = carrying;
  // What leans gives by where what is on it lies.
  const over = leansBy(member) === 0 ? [] : load.handed.map((h) => byId.get(h.from));
  const same = [workshop, room, ...over, ...joints.map((j) => byId.get(j.carrier)), ...attached.map((a) => a.member)];
  const alike = [load.standing, load.handed, load.unweighed, [...above], joints, attached.map((a) => a.how)];
  return carriedAsBefore(member, { same, alike }, () => carryOne(member, carrying));
}

function carryOne(member: Member, carrying: Carrying): CarriedMember {
  const { load, above } = carrying;
  let sum: number = load.self;
  let loaded = false;
  for (const { kg } of load.standing) {
    sum += kg * GRAVITY;
    loaded ||= kg > 0;
  }
  for (const { newtons, dead } of load.handed) {
    sum += newtons;
    loaded ||= newtons - dead > 1e-9;
  }
  const total = asNewtons(sum);
  const unknown = load.unweighed.length + above.size > 0 ? [...new Set([...load.unweighed, ...above])] : NOTHING;
  const unweighed = unknown.length > 0 ? `the mass of ${unknown.join(', ')}` : null;
  const { supports, throughout, bending, state, missing, falls } = stands(member, carrying, total, unweighed, loaded);
  return {
    member,
    selfKg: asKg(load.self / GRAVITY),
    standing: load.standing,
    handed: load.handed,
    supports,
    total,
    throughout,
    bending,
    state,
    missing,
    unknown,
    empty: !loaded,
    falls,
  };
}

/**
 * Carries every load of a piece down to the floor: what stands in the spaces, and the weight of every
 * member. Members are taken from the top; each is solved as a beam on what carries it, and its
 * reactions load those. What has no mass is missing all the way down.
 * @example carry(SOLVED.shape, SHOP).floor // (SOLVED.carried.massKg + 4) * 9.81
 */
export function carry(shape: Shape, workshop: Workshop): Carried {
  return carryDown(shape, standingOn(shape), workshop);
}

/**
 * The same for what stands on members, whatever spaces they bound.
 * @example carryDown(SOLVED.shape, { standing: new Map(), unweighed: new Map() }, SHOP).massKg // 28.0704
 */
export function carryDown(
  shape: Pick<Shape, 'members' | 'joints'>,
  { standing, unweighed }: ReturnType<typeof standingOn>,
  workshop: Workshop,
): Carried {
  const jointsOf = new Map<string, Joint[]>();
  for (const joint of shape.joints) {
    const list = jointsOf.get(joint.carried);
    if (list) list.push(joint);
    else jointsOf.set(joint.carried, [joint]);
  }
  const byId = new Map(shape.members.map((m) => [m.id, m]));
  const attached = attachedTo(shape.members, shape.joints);
  const handed = new Map<string, Handed[]>();
  const above = new Map<string, Set<string>>();
  const members = new Map<string, CarriedMember>();
  let floor = 0;
  let massKg = 0;
  for (const member of fromTheTop(shape.members, shape.joints)) {
    const kg = massOf(member);
    massKg += kg;
    const load: Load = {
      self: asNewtons(kg * GRAVITY),
      standing: standing.get(member.id) ?? [],
      handed: handed.get(member.id) ?? [],
      unweighed: unweighed.get(member.id) ?? [],
    };
    const carried = keptOne(member, {
      load,
      above: above.get(member.id) ?? NONE,
      joints: jointsOf.get(member.id) ?? [],
      attached: attached.get(member.id) ?? [],
      byId,
      room: UNSEEN.has(member.role) && (lies(member) || onEdge(member)) ? roomUnder(member, shape.members) : null,
      workshop,
    });
    members.set(member.id, carried);
    const dead = load.self + load.handed.reduce((sum, h) => sum + h.dead, 0);
    const deadShare = carried.total > 0 ? dead / carried.total : 0;
    for (const s of carried.supports) {
      if (s.carrier === FLOOR || s.carrier === PLACE) floor += s.newtons;
      const over = lieOver(member, byId.get(s.carrier), s);
      const entry: Handed = {
        from: member.id,
        newtons: s.newtons,
        dead: asNewtons(s.newtons * deadShare),
        ...(s.on ? { on: s.on } : {}),
        ...(over ? { over } : {}),
      };
      const list = handed.get(s.carrier);
      if (list) list.push(entry);
      else handed.set(s.carrier, [entry]);
      if (carried.unknown.length > 0) above.set(s.carrier, new Set([...(above.get(s.carrier) ?? []), ...carried.unknown]));
    }
  }
  return { members, floor: asNewtons(floor), massKg: asKg(massKg) };
}
