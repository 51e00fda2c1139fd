import type { LengthUnit } from '../length/index.js';
import { areAlike, asBefore } from '../figure/index.js';
import { asNewtons, asKg, type Kilograms, type Newtons } from '../measures/index.js';
import { FLOOR, PLACE, massMiddleOf, type Joint, type Keep, type Member, type Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { propertiesOf } from '../stock/index.js';
import type { Support } from './support.js';
import { attachedTo } from './built-up.js';
import { standingOn, type Handed, type Load, type Standing } from './standing.js';
import { GRAVITY } from './gravity.js';
import { wayAlong } from './line.js';
import { reachAlong } from './fixings/contact.js';
import { roomUnder } from './reach.js';
import { leansBy, lies, onEdge, stands, type CarriedMember, type Carrying } from './stood.js';

export type { CarriedMember } from './stood.js';

/** Loads of a whole piece, handed from member to member down to the floor. */
export interface Carried {
  readonly members: ReadonlyMap<string, CarriedMember>;
  /** All loads that reach the floor or the place that a piece is put into, N. */
  readonly floor: Newtons;
  readonly massKg: Kilograms;
  /** What the shop works in: its screws are sold so. */
  readonly unit: LengthUnit;
  /** What besides its weight keeps members where they lie, and what joins others. */
  readonly keeps: readonly Keep[];
  readonly joints: readonly Joint[];
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

/** Where a member that goes across the one that takes its load lies along that; undefined where it is given along one line with it, or all over. */
function lieOver(member: Member, carrier: Member | undefined, { on }: Support): Handed['over'] {
  if (!carrier || !on || carrier.frame.u[1] !== 0 || wayAlong(on.along, carrier.frame.u) !== 0) return undefined;
  const along = carrier.frame.u;
  const [[a, b], [low, high]] = [reachAlong(member, along), reachAlong(carrier, along)];
  const [from, to] = [Math.max(a, low), Math.min(b, high)];
  return to > from ? { along, from, to } : undefined;
}

/** What a member hands to each of those that carry it. */
function handedBy(
  { member, selfKg, handed, total, supports }: CarriedMember,
  byId: Carrying['byId'],
): readonly (readonly [Support, Handed])[] {
  const dead = selfKg * GRAVITY + handed.reduce((sum, h) => sum + h.dead, 0);
  const deadShare = total > 0 ? dead / total : 0;
  return supports.map((s) => {
    const over = lieOver(member, byId.get(s.carrier), s);
    const entry: Handed = {
      from: member.id,
      newtons: s.newtons,
      dead: asNewtons(s.newtons * deadShare),
      ...(s.on ? { on: s.on } : {}),
      ...(over ? { over } : {}),
    };
    return [s, entry] as const;
  });
}

/** How the members of a shape hang together. */
interface HangsTogether {
  readonly joints: readonly Joint[];
  readonly jointsOf: ReadonlyMap<string, readonly Joint[]>;
  readonly byId: ReadonlyMap<string, Member>;
  readonly attached: ReturnType<typeof attachedTo>;
  /** In an order in which each comes after all that it carries. */
  readonly order: readonly Member[];
}

/** Shapes never change, so that this is worked out once for each. */
const together = new WeakMap<readonly Member[], HangsTogether>();

function hangsTogether({ members, joints }: Pick<Shape, 'members' | 'joints'>): HangsTogether {
  let known = together.get(members);
  if (known?.joints !== joints) {
    const jointsOf = new Map<string, Joint[]>();
    for (const joint of joints) {
      const list = jointsOf.get(joint.carried);
      if (list) list.push(joint);
      else jointsOf.set(joint.carried, [joint]);
    }
    const byId = new Map(members.map((m) => [m.id, m]));
    known = { joints, jointsOf, byId, attached: attachedTo(members, joints), order: fromTheTop(members, joints) };
    together.set(members, known);
  }
  return known;
}

/** How much room is under what nobody sees, mm. */
const roomOf = (member: Member, members: readonly Member[]) =>
  UNSEEN.has(member.role) && (lies(member) || onEdge(member)) ? roomUnder(member, members) : null;

const NOTHING: readonly string[] = [];
const NONE: ReadonlySet<string> = new Set();

const carriedAsBefore = asBefore<Member, CarriedMember>();
/** The same with something more on it, wherever that was put. */
const carriedWithMore = asBefore<Member, CarriedMember>(24);

/** The very same as before for a member that carries the same on the same: what was found out about it is still known. */
function keptOne(member: Member, carrying: Carrying, kept = carriedAsBefore): CarriedMember {
  const { load, above, joints, attached, byId, room, workshop } = carrying;
  // What leans gives by where what is on it lies.
  const over = leansBy(member) === 0 ? [] : load.handed.map((h) => byId.get(h.from));
  const same = [workshop, room, ...over, ...joints.map((j) => byId.get(j.carrier)), ...attached.map((a) => a.member)];
  const alike = [load.standing, load.handed, load.unweighed, [...above], joints, attached.map((a) => a.how)];
  return kept(member, { same, alike }, () => carryOne(member, carrying));
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

/** What was carried last, by the first member of it. */
const last = new WeakMap<CarriedMember, Carried>();

/** The very same as before where each member carries what it did, so that what was found out about all of it is still known. */
function asItWas(now: Carried): Carried {
  const [first] = now.members.values();
  if (!first) return now;
  const before = last.get(first);
  const of = before && [...before.members.values()];
  const same = before?.unit === now.unit && of?.length === now.members.size && [...now.members.values()].every((c, i) => of[i] === c);
  if (same && areAlike(before.keeps, now.keeps)) return before;
  last.set(first, now);
  return now;
}

/**
 * The same for what stands on members, whatever spaces they bound.
 * @example carryDown(SOLVED.shape, { standing: new Map(), unweighed: new Map() }, SHOP).massKg // 28.0704
 */
export function carryDown(
  shape: Pick<Shape, 'members' | 'joints' | 'keeps'>,
  { standing, unweighed }: ReturnType<typeof standingOn>,
  workshop: Workshop,
): Carried {
  const { jointsOf, byId, attached, order } = hangsTogether(shape);
  const handed = new Map<string, Handed[]>();
  const above = new Map<string, Set<string>>();
  const members = new Map<string, CarriedMember>();
  let floor = 0;
  let massKg = 0;
  for (const member of order) {
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
      room: roomOf(member, shape.members),
      workshop,
    });
    members.set(member.id, carried);
    for (const [s, entry] of handedBy(carried, byId)) {
      if (s.carrier === FLOOR || s.carrier === PLACE) floor += s.newtons;
      const list = handed.get(s.carrier);
      if (list) list.push(entry);
      else handed.set(s.carrier, [entry]);
      if (carried.unknown.length > 0) above.set(s.carrier, new Set([...(above.get(s.carrier) ?? []), ...carried.unknown]));
    }
  }
  return asItWas({
    members,
    floor: asNewtons(floor),
    massKg: asKg(massKg),
    unit: workshop.settings.unit,
    keeps: shape.keeps ?? [],
    joints: shape.joints,
  });
}

/**
 * The members that carry something more that stands on one of them, down to the floor, as they are then; the others stay as they were.
 * @example carriedWith(SOLVED.carried, SOLVED.shape, 'in-m1/shelf/1', { space: 'in', kg: 10, along: [1, 0, 0], from: 400, to: 500 }, SHOP).length // 3
 */
export function carriedWith(
  before: Carried,
  shape: Pick<Shape, 'members' | 'joints'>,
  on: string,
  standing: Standing,
  workshop: Workshop,
): readonly CarriedMember[] {
  const { jointsOf, byId, attached, order } = hangsTogether(shape);
  const changed = new Map<string, Handed[]>([[on, []]]);
  const from = new Set<string>();
  return order.flatMap((member): CarriedMember[] => {
    const [was, more] = [before.members.get(member.id), changed.get(member.id)];
    if (!was || !more) return [];
    const load: Load = {
      self: asNewtons(was.selfKg * GRAVITY),
      standing: member.id === on ? [...was.standing, standing] : was.standing,
      handed: [...was.handed.filter((h) => !from.has(h.from)), ...more],
      unweighed: NOTHING,
    };
    const carrying: Carrying = {
      load,
      above: new Set(was.unknown),
      joints: jointsOf.get(member.id) ?? [],
      attached: attached.get(member.id) ?? [],
      byId,
      room: roomOf(member, shape.members),
      workshop,
    };
    const now = keptOne(member, carrying, carriedWithMore);
    from.add(member.id);
    for (const [{ carrier }, entry] of handedBy(now, byId)) changed.set(carrier, [...(changed.get(carrier) ?? []), entry]);
    return [now];
  });
}
