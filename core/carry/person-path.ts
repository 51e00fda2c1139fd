import { asKg, type Newtons } from '../measures/index.js';
import { toMm } from '../length/index.js';
import type { Member, Piece, Shape } from '../piece/index.js';
import type { Settings, Workshop } from '../project/index.js';
import { dot } from '../solid/index.js';
import { carriedWith, carry, type Carried, type CarriedMember } from './carry.js';
import { columnOf } from './column.js';
import { reachAlong } from './fixings/contact.js';
import { fixingsOf } from './fixings/ends.js';
import type { Fixing } from './fixings/fixing.js';
import { GRAVITY } from './gravity.js';
import { PERSON, partOfPerson } from './person.js';
import { isSatOn } from './sat-on.js';
import { longestOf, spansOf } from './spans.js';
import { lastsShort } from './strength.js';

/** What gives way under a person on its way to the floor: a member that breaks, bows out or comes down, or what holds an end of it. */
export interface GivesWay {
  readonly member: Member;
  /** The member that the person is on, N, as much as they are for a short while. */
  readonly on: Member;
  readonly newtons: Newtons;
  readonly how: 'breaks' | 'bows out' | 'comes down' | 'its joint';
  /** Over what is safe; Infinity for what comes down. */
  readonly used: number;
  readonly fixing: Fixing | null;
}

/** A person stands on so much of a member along it, mm. */
const WIDE = 50;
/** Something is on a member, kg, so that it is asked how it bends. */
const A_LITTLE = asKg(0.001);
/** Someone who sits at the end of a member is so far in from it, mm. */
const SITS = PERSON.sits / 2;
/** Of members alike that a person may be on, the first so many are asked. */
const ALIKE = 2;

const alikeBy = ({ member: m, bending }: CarriedMember) =>
  [m.role, m.stockId, m.length.value, m.width.value, m.thickness.value, bending?.span, ...m.features.map((f) => f.kind)].join(' ');

/** A member as it bends once something is on it; null where it bends under nothing. */
function asBending(c: CarriedMember, carried: Carried, shape: Shape, workshop: Workshop): CarriedMember | null {
  if (c.falls) return null;
  if (c.bending) return c;
  const along = c.member.frame.u;
  if (along[1] !== 0) return null;
  const [from, to] = reachAlong(c.member, along);
  const [now] = carriedWith(carried, shape, c.member.id, { space: c.member.node, kg: A_LITTLE, along, from, to }, workshop);
  return now?.bending ? now : null;
}

/** A member that a person may be over, and what lies on it between the two, which spreads them. */
interface Target {
  readonly c: CarriedMember;
  readonly over: CarriedMember | null;
}

/** The members that a person may be right over: what they get onto, and what bends under that. */
function targetsOf(piece: Piece, shape: Shape, carried: Carried, workshop: Workshop): readonly Target[] {
  const sat = [...carried.members.values()].filter((c) => isSatOn(piece, shape, c.member));
  const own = new Set(sat);
  const under = sat.flatMap((over) =>
    over.supports.flatMap((s): Target[] => {
      const c = carried.members.get(s.carrier);
      return c && !own.has(c) ? [{ c, over: toMm(over.member.width.value) >= PERSON.sits ? over : null }] : [];
    }),
  );
  const all = new Map([...under, ...sat.map((c): Target => ({ c, over: null }))].map((t) => [t.c, t]));
  const known = new Map<string, number>();
  return [...all.values()].flatMap((t): Target[] => {
    const key = alikeBy(t.c);
    known.set(key, (known.get(key) ?? 0) + 1);
    const c = (known.get(key) as number) <= ALIKE ? asBending(t.c, carried, shape, workshop) : null;
    return c ? [{ ...t, c }] : [];
  });
}

/** What carries a deck beside one that does: how far it is, mm, and whether that is at both sides. */
function besideOn(deck: CarriedMember, carrier: string): { readonly pitch: number; readonly inner: boolean } {
  const own = deck.supports.find((s) => s.carrier === carrier)?.on;
  const apart = own
    ? deck.supports
        .flatMap(({ on }) => (on && Math.abs(dot(on.along, own.along)) > 1 - 1e-9 ? [on.at - own.at] : []))
        .filter((d) => Math.abs(d) > 1)
    : [];
  return { pitch: Math.min(...apart.map(Math.abs), Infinity), inner: apart.some((d) => d > 0) && apart.some((d) => d < 0) };
}

/**
 * What a support takes of a load so far beside it, as a part of the way to the next one: of a long beam on equal stiff supports (cardinal
 * cubic spline), or at its end of a beam from one to the next.
 */
const influence = (x: number, inner: boolean) => (x >= 1 ? 0 : inner ? 1 - 2.1962 * x ** 2 + 1.1962 * x ** 3 : 1 - x);

/** Strips that a seat is taken in, across. */
const STRIPS = 60;

/**
 * What a member takes of someone who sits on a deck over the end of it, and where their load is on it from that end, mm: the deck gives the
 * rest to what it lies on beside, and what is nearer to what holds the end than to the member goes there (45°).
 */
function overEnd({ pitch, inner }: ReturnType<typeof besideOn>): { readonly part: number; readonly from: number } {
  let [part, moment] = [0, 0];
  for (let i = 0; i < STRIPS; i += 1) {
    const x = ((i + 0.5) / STRIPS) * (inner ? SITS : PERSON.sits);
    const share = (influence(x / pitch, inner) * (PERSON.sits - x)) / (STRIPS * PERSON.sits);
    part += share;
    moment += (share * (PERSON.sits + x)) / 2;
  }
  return { part, from: moment / part };
}

/** Where on a member a person is, mm along it, and what part of them is on it. */
interface Place {
  readonly at: number;
  readonly part: number;
}

/** In the middle of its longest stretch, over each of its ends, and on what hangs past them. */
function placesOn({ c, over }: Target): readonly Place[] {
  const { bending, supports } = c;
  if (!bending) return [];
  const { from, length, loads } = bending;
  const xs = loads.base.supports.map((s) => s.x).sort((a, b) => a - b);
  const longest = longestOf(spansOf(xs));
  const [first, last] = [xs[0] ?? 0, xs.at(-1) ?? length];
  const place = (x: number, part = 1): Place => ({ at: from + x, part });
  // Under a deck that lies on what holds the ends too they sit; over an end of what they are on itself all of them stands.
  const onBoth = over && supports.every((s) => over.supports.some((o) => o.carrier === s.carrier));
  const end = onBoth ? overEnd(besideOn(over, c.member.id)) : { part: 1, from: WIDE / 2 };
  const ends = [place(first + end.from, end.part), place(last - end.from, end.part)];
  const past = [...(first > SITS ? [SITS] : []), ...(length - last > SITS ? [length - SITS] : [])].map((x) => place(x));
  return [place((longest.from + longest.to) / 2), ...ends, ...past];
}

/** Screws and bolts hold more for a short while than wood does: 1.25 / 0.9 of what they do for good (NDS 2018 table 2.3.2), against 0.9 / 0.7. */
const JOINTS = 0.9 / 1.25 / (0.7 / 0.9);

/** What of a member gives way, that did not before a person was there. */
function givesWay(now: CarriedMember, before: CarriedMember, shape: Shape, byId: ReadonlyMap<string, Member>, settings: Settings) {
  const found: Pick<GivesWay, 'how' | 'used' | 'fixing'>[] = [];
  if (now.falls && !before.falls) found.push({ how: 'comes down', used: Infinity, fixing: null });
  const used = now.bending?.strength.used ?? 0;
  if (used > 1 && (before.bending?.strength.used ?? 0) <= 1) found.push({ how: 'breaks', used, fixing: null });
  const failed = (c: CarriedMember) => fixingsOf(c, byId, settings).find((f) => f.state === 'fails');
  const joint = failed(now);
  const jointUsed = joint ? (joint.holds ? JOINTS * heldOf(joint) : Infinity) : 0;
  if (joint && jointUsed > 1 && !failed(before)) found.push({ how: 'its joint', used: jointUsed, fixing: joint });
  const bows = (c: CarriedMember) => (c.member.role === 'post' ? (columnOf(c, shape.joints, byId, settings)?.used ?? 0) : 0);
  if (bows(now) > 1 && bows(before) <= 1) found.push({ how: 'bows out', used: bows(now), fixing: null });
  return found;
}

const heldOf = ({ support, holds }: Fixing) => (support.most ?? support.newtons) / (holds as number);

function withoutPeople(shape: Shape): Shape {
  const stands = [...shape.stands].map(([id, stand]) => {
    const rest = { ...stand };
    delete rest.people;
    return [id, rest] as const;
  });
  return { ...shape, stands: new Map(stands) };
}

/**
 * What gives way under a person anywhere on what they get onto, all the way to the floor: members, their joints and posts; the worst first.
 * What is over soon is carried as much less as wood holds more for a short while.
 * @example underPerson(CASE, SOLVED.shape, SOLVED.carried, asNewtons(1300), SHOP) // []
 */
export function underPerson(piece: Piece, shape: Shape, carried: Carried, newtons: Newtons, workshop: Workshop): readonly GivesWay[] {
  const byId = new Map(shape.members.map((m) => [m.id, m]));
  const found = new Map<string, GivesWay>();
  // Whoever else is on it is not there: they are spread, and one of them is this one.
  const alone = [...shape.stands.values()].some((s) => s.people !== undefined) ? carry(withoutPeople(shape), workshop) : carried;
  for (const target of targetsOf(piece, shape, alone, workshop)) {
    // Slats with something soft over them share.
    const { member, bending } = target.c;
    const most = (partOfPerson(shape, member) * newtons * lastsShort(workshop.settings.serviceClass)) / GRAVITY;
    for (const { at, part } of placesOn(target)) {
      const { along } = bending as NonNullable<CarriedMember['bending']>;
      const standing = { space: member.node, kg: asKg(part * most), along, from: at - WIDE / 2, to: at + WIDE / 2 };
      for (const now of carriedWith(alone, shape, member.id, standing, workshop)) {
        const before = alone.members.get(now.member.id) as CarriedMember;
        for (const way of givesWay(now, before, shape, byId, workshop.settings)) {
          const key = `${now.member.id} ${way.how}`;
          const known = found.get(key);
          if (!known || known.used < way.used) found.set(key, { member: now.member, on: member, newtons, ...way });
        }
      }
    }
  }
  return [...found.values()].sort((a, b) => b.used - a.used);
}
