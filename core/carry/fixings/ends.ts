import { fine, force, len, say, type Sentence } from '../../figure/index.js';
import { mm, toMm, type Length } from '../../length/index.js';
import { PIN, pocketScrewLength } from '../../joints/index.js';
import type { Member } from '../../piece/index.js';
import type { Settings } from '../../project/index.js';
import { propertiesOf, type Stock } from '../../stock/index.js';
import { heldAt, type Support } from '../bend.js';
import type { CarriedMember } from '../carry.js';
import { shareOfStud } from '../cleat.js';
import { FULL_PENETRATION, KEEP, WOOD_SCREWS, lateral, screwsFor, shankOf, withdrawal, type WoodScrew } from '../screws.js';
import { bearingStrength, embedmentStrength, type Strength } from '../strength.js';
import { stateOf, worse, type State } from '../verdict.js';
import { contactOf, extentsOf, grainAlong, inRebate } from './contact.js';
import { SOLD, gravityOf, rowBetween, spacedAlong, type NoRow, type Row } from './driven.js';

/** A row of screws and how many go in it. */
export interface ScrewedEnd {
  readonly row: Row;
  readonly count: number;
}

/** How one end of a member is held, and whether that holds what it gives on. */
export interface Fixing {
  readonly support: Support;
  readonly state: State;
  /** Why it is not judged, where it is not. */
  readonly reason?: string;
  /** What it holds, N, where that is one figure. */
  readonly holds?: number;
  /** What is said of it, put together when it is asked for. */
  readonly sentence: () => Sentence;
  /** Screws that it takes, where it is screwed. */
  readonly screws?: ScrewedEnd;
}

/** Along a joint there is a screw at least so often, mm. */
const AT_LEAST_EVERY = 200;

/** Screws that a row takes for a load: two where there is room, so that nothing turns, one now and then along it, and what the load takes. */
function countFor({ most, room, holes }: Row, newtons: number, each: number): number {
  if (holes) return holes.length;
  const along = 1 + Math.floor((room[1] - room[0]) / AT_LEAST_EVERY);
  return Math.max(Math.min(most, Math.max(2, along)), screwsFor(newtons, each) ?? Infinity);
}

const FROM = ['left', 'foot', 'front'] as const;

/** Where the screws of a row go, as one sets them out on the member. */
function placesOf(row: Row, count: number, member: Member): Sentence {
  if (row.holes) return say`in the holes that are there for them`;
  const places = spacedAlong(row, count);
  const [low, high] = extentsOf(member)[row.along];
  const first = row.along === 2 ? high - (places.at(-1) as number) : (places[0] as number) - low;
  const datum = FROM[row.along];
  if (count === 1) return say`${fine(first, 1)} from its ${datum}`;
  const pitch = (places[1] as number) - (places[0] as number);
  return count === 2
    ? say`${fine(first, 1)} from its ${datum} and ${fine(pitch, 1)} on`
    : say`the first ${fine(first, 1)} from its ${datum}, then every ${fine(pitch, 1)}`;
}

/** Why no screw is counted on, in a few words. */
const WHY: Readonly<Record<NoRow['why'], string>> = {
  apart: 'they do not meet squarely',
  narrow: 'there is no room for a screw',
  short: 'no screw that stays inside is long enough to count',
};

/** Why no screws are counted on between a member and what carries it. */
export function nothingHolds({ why, inside, least }: NoRow, carrier: Member): Sentence {
  switch (why) {
    case 'apart':
      return say`It does not meet ${carrier.label} squarely: its screws are not judged.`;
    case 'narrow':
      return say`Its end is too narrow for screws: not judged.`;
    case 'short':
      return say`No screw holds: ${fine(inside ?? 0, 1)} of it would be in the wood before its point comes near the other face, and ${fine(least ?? 0, 1)} is the least that is judged. Glue it.`;
  }
}

/** What a row of screws holds, and how many it takes; or why that is not judged. */
type Held =
  | { readonly row: Row; readonly each: number; readonly basis: string; readonly count: number }
  | { readonly row: NoRow }
  | { readonly row: Row; readonly reason: string };

/** Screws across a load, or straight out where the member hangs under its carrier. */
function heldBy(support: Support, member: Member, carrier: Member, pull: boolean): Held {
  const row = rowBetween(carrier, member);
  if ('why' in row) return { row };
  const { joint, into } = row;
  const sheetEdge = pull && joint.main.wood.endGrain && propertiesOf(into.stock).material.form !== 'solid';
  if (sheetEdge) return { row, reason: 'no values are published for screws pulled out of the edge of this sheet' };
  const value = (pull ? withdrawal : lateral)(joint);
  if (!value.judged) return { row, reason: value.reason };
  return { row, each: value.newtons, basis: value.basis, count: countFor(row, heldAt(support), value.newtons) };
}

const tooMany = ({ row, count }: Extract<Held, { each: number }>) => !row.holes && count > row.most;

/** What is said of screws that hold, or of too many that would be needed. */
function saidOf(held: Extract<Held, { each: number }>, member: Member, pull: boolean): Sentence {
  const { row, count } = held;
  const { screw, length, joint, through, into, most, tight, nearEnd } = row;
  const size = say`${screw.name} x ${len(mm(length))}`;
  const each = say`${force(held.each)} each${pull ? ' pulled straight out' : joint.main.wood.endGrain ? ' in its end' : ''} (${held.basis})`;
  if (tooMany(held)) {
    return say`It would take ${Number.isFinite(count) ? String(count) : 'more'} screws ${size}, ${each}, and ${most} go across it. House it, or put a ledge under it.`;
  }
  const near = tight
    ? say` They keep ${fine(tight.has, 1)} to the faces of ${into.label}, and ${fine(tight.wanted, 1)} is wanted: drill pilot holes.`
    : say``;
  const end = nearEnd
    ? say` They are ${fine(nearEnd.has, 1)} from the end of ${through.label}, and ${fine(nearEnd.wanted, 1)} is wanted along the grain: drill pilot holes, or it splits.`
    : say``;
  const room = row.holes
    ? say``
    : say` ${most} would go across it, ${fine(KEEP.edge * shankOf(screw), 1)} from its edges and ${fine(KEEP.between * shankOf(screw), 1)} apart.`;
  return say`Takes ${count} ${count === 1 ? 'screw' : 'screws'} ${size} through ${through.label}, ${placesOf(row, count, member)}: ${each}.${near}${end}${room}`;
}

function screwed(support: Support, member: Member, carrier: Member, pull: boolean): Fixing {
  const held = heldBy(support, member, carrier, pull);
  if ('reason' in held) return notJudged(support, held.reason, () => say`Screws are not judged here: ${held.reason}.`);
  if (!('each' in held)) return notJudged(support, WHY[held.row.why], () => nothingHolds(held.row, carrier));
  const { row, count } = held;
  const sentence = () => saidOf(held, member, pull);
  if (tooMany(held)) return { support, state: 'fails', sentence };
  const used = heldAt(support) / ((row.holes ? count : row.most) * held.each);
  return { support, state: worse(stateOf(used, 1), row.tight || row.nearEnd ? 'close' : 'fine'), screws: { count, row }, sentence };
}

/** How far an area that bears reaches past itself along the grain, at the side where there is wood, at most, mm (EN 1995-1-1 6.1.5). */
const SPREAD = 30;

const PINS_AT_AN_END = 2;

/** What a member may be pressed to square to the piece's floor, by how its grain or its plies lie. */
function pressedStrength({ stock, frame }: Member, { serviceClass }: Settings): Strength {
  const pressed = grainAlong({ frame }, 1);
  const known = pressedStrengths.get(stock) ?? new Map<string, Strength>();
  pressedStrengths.set(stock, known);
  const key = `${pressed} ${serviceClass}`;
  let strength = known.get(key);
  if (!strength) {
    const { material, density } = propertiesOf(stock);
    strength = bearingStrength(material, density, serviceClass, pressed);
    known.set(key, strength);
  }
  return strength;
}

/** Stock records never change, so that what each bears is worked out once. */
const pressedStrengths = new WeakMap<Stock, Map<string, Strength>>();

const notJudged = (support: Support, reason: string, sentence: () => Sentence): Fixing => ({
  support,
  state: 'not judged',
  reason,
  sentence,
});

/** Two members that press on each other: the weaker of the two decides. */
function presses(support: Support, both: readonly Member[], area: number, what: () => Sentence, settings: Settings): Fixing {
  const each = both.map((member) => ({ member, strength: pressedStrength(member, settings) }));
  const open = each.find((e) => !e.strength.judged);
  if (open && !open.strength.judged) {
    const { reason } = open.strength;
    return notJudged(support, reason, () => say`${what()}: bearing is not judged, since ${reason}.`);
  }
  const [weaker] = each
    .flatMap(({ member, strength }) => (strength.judged ? [{ member, strength }] : []))
    .sort((a, b) => a.strength.allowed - b.strength.allowed);
  if (!weaker) return notJudged(support, 'nothing is known of it', what);
  const holds = weaker.strength.allowed * area;
  return {
    support,
    state: stateOf(heldAt(support), holds),
    holds,
    sentence: () => say`${what()}: bears up to ${force(holds)}, as ${weaker.member.label} does (${weaker.strength.basis}).`,
  };
}

/** What bears on each other where a member stands or lies on its carrier, mm²; null where they do not touch so. */
function areaOn(member: Member, carrier: Member): number | null {
  const contact = contactOf(carrier, member);
  if (contact?.axis !== 1) return null;
  const [[x0, x1], , [z0, z1]] = contact.over;
  return (x1 - x0) * (z1 - z0);
}

/** What a pin may be loaded with. Lengths in mm, what wood presses back with per length of pin in N/mm. */
export interface PinInWood {
  /** How deep it sits in the side, and what is free between the side and the shelf. */
  readonly deep: number;
  readonly gap: number;
  readonly side: number;
  /** How far the shelf lies over it, and what the shelf bears on each mm of that. */
  readonly reach: number;
  readonly shelf: number;
}

/**
 * The load that a stiff pin takes, N: it turns in its hole, held by the wood of the side over and under it, while the
 * shelf presses on it from its end on. Equilibrium of a rigid dowel, F = p (√((2e + t)² + t²) − (2e + t)) with
 * e = gap + F / 2q (the theory behind EN 1995-1-1 8.2.2), solved for F; never more than the shelf bears on all of it.
 * @example 10 deep, gap 1, side 75 N/mm, shelf 22 N/mm over 9: 176.9 N
 */
export function pinHolds({ deep, gap, side, reach, shelf }: PinInWood): number {
  const a = 1 / side ** 2 + 2 / (side * shelf);
  const b = (2 * (2 * gap + deep)) / side;
  const turned = (-b + Math.sqrt(b ** 2 + 4 * a * deep ** 2)) / (2 * a);
  return Math.min(turned, shelf * reach);
}

/** Two pins under one end of a shelf: what it bears on them with no spread across its grain, and what holds them in the side. */
function onPins(support: Support, member: Member, carrier: Member, settings: Settings): Fixing {
  const d = toMm(PIN.diameter);
  const what = () => say`Two pins of ${len(PIN.diameter)} at this end`;
  const shelf = pressedStrength(member, settings);
  const wood = propertiesOf(carrier.stock);
  const side = embedmentStrength(wood.material, wood.density, settings.serviceClass, d);
  for (const strength of [shelf, side]) {
    if (!strength.judged) return notJudged(support, strength.reason, () => say`${what()}: not judged, since ${strength.reason}.`);
  }
  if (!shelf.judged || !side.judged) return notJudged(support, 'nothing is known of it', what);
  // Along its grain the shelf spreads what presses on it inwards, by as much again as it lies over the pin.
  const gap = gapTo(member, carrier);
  // It stands out of the side as far as it sits in it.
  const reach = toMm(PIN.depth) - gap;
  const spread = grainAlong(member, 0) === 'end' ? (reach + Math.min(SPREAD, reach)) / reach : 1;
  const pin = {
    deep: toMm(PIN.depth),
    gap,
    side: side.allowed * d,
    reach,
    shelf: shelf.allowed * d * spread,
  };
  const holds = PINS_AT_AN_END * pinHolds(pin);
  return {
    support,
    state: stateOf(heldAt(support), holds),
    holds,
    sentence: () =>
      say`${what()} hold ${force(holds)}: it may be pressed to ${shelf.allowed.toFixed(1)} MPa where it lies on them (EN 338), and ${carrier.label} to ${side.allowed.toFixed(1)} MPa in their holes (EN 1995-1-1 8.5).`,
  };
}

/** What is free between the end of a shelf and what it stands beside, mm. */
function gapTo(member: Member, carrier: Member): number {
  const [[a0, a1], [b0, b1]] = [extentsOf(member)[0], extentsOf(carrier)[0]];
  return Math.max(0, a0 - b1, b0 - a1);
}

/** A ledge so deep that a housing or a groove leaves under a member, and what sits in it. */
function ledge(support: Support, member: Member, carrier: Member, depth: Length, long: number, settings: Settings): Fixing {
  return presses(support, [member, carrier], toMm(depth) * long, () => say`A ledge of ${len(depth)} under it`, settings);
}

/** The ledge that a housing or a groove leaves under a member. */
function onLedge(support: Support, member: Member, carrier: Member, settings: Settings): readonly Fixing[] {
  const cut = carrier.features.find((f) => f.kind !== 'hole' && f.kind !== 'rebate' && f.mate === member.id);
  // An upright back in its groove stands on what is below it.
  if (!cut || cut.kind === 'hole' || member.frame.n[1] === 0) return [];
  const { u0, u1, v0, v1 } = cut.region;
  const long = Math.min(toMm(Math.max(u1 - u0, v1 - v0) as typeof u0), Math.max(toMm(member.length.value), toMm(member.width.value)));
  return [ledge(support, member, carrier, cut.depth, long, settings)];
}

function pocketed(support: Support, member: Member): Fixing {
  const long = pocketScrewLength(member.thickness.value);
  const size = () => (long ? say`Pocket screws of ${len(long)} for ${len(member.thickness.value)}` : say`Pocket screws`);
  return notJudged(
    support,
    'no values are published for pocket screws',
    () => say`${size()}: no values are published for them, so that what they hold is not judged. Glue it too.`,
  );
}

/** A member that stands or lies on its carrier. */
function standsOn(support: Support, member: Member, carrier: Member, settings: Settings): readonly Fixing[] {
  const area = areaOn(member, carrier);
  const what = () => (grainAlong(member, 1) === 'end' ? say`Its end stands on ${carrier.label}` : say`Lies on ${carrier.label}`);
  if (area === null) return [];
  return [presses(support, [member, carrier], area, what, settings)];
}

/** How one support holds a member; nothing for what lies along another one. */
function fixingOf(support: Support, member: Member, carrier: Member | undefined, settings: Settings): readonly Fixing[] {
  if (!carrier)
    return support.how === 'screws'
      ? [notJudged(support, 'what is there already is not known', () => say`Screwed to what is there already: not judged.`)]
      : [];
  switch (support.how) {
    case 'screws':
      return liesOn(member, carrier)
        ? standsOn(support, member, carrier, settings)
        : [screwed(support, member, carrier, hangsUnder(member, carrier))];
    case 'held along':
      if (hangsUnder(member, carrier)) return [screwed(support, member, carrier, true)];
      return carrier.role === 'back' ? toBack(support, member, carrier) : onLedge(support, member, carrier, settings);
    case 'pins':
      return [onPins(support, member, carrier, settings)];
    case 'housed':
      return onLedge(support, member, carrier, settings);
    case 'bearing':
      return standsOn(support, member, carrier, settings);
    case 'pocket screws':
      return [pocketed(support, member)];
    case 'nails':
      return [notJudged(support, 'what nails and glue hold is not known', () => say`Nails and glue: what they hold is not judged.`)];
    case 'slide':
    case 'glued':
    case 'screwed along':
      return [];
  }
}

/** A panel whose rear edge is held to the back: by glue all along, by the studs behind it, or by screws through the back into that edge. */
function toBack(support: Support, member: Member, back: Member): readonly Fixing[] {
  if (support.by === 'glue') return [];
  return [typeof support.by === 'object' ? intoStuds(support, back, support.by.studs) : screwed(support, member, back, false)];
}

/** Studs are taken for softwood of G 0.42, spruce, pine and fir (NDS table 12.3.3A), typical. */
const STUD = { gravity: 0.42, deep: 38, most: 4 } as const;

/** Screws through a back into the studs behind it, for a shelf on it: studs do not share evenly. */
function intoStuds(support: Support, back: Member, studs: number): Fixing {
  const screw = WOOD_SCREWS.find((s) => s.name === 'No. 10') as WoodScrew;
  const thick = toMm(back.thickness.value);
  const length = SOLD.find((l) => l >= thick + FULL_PENETRATION * shankOf(screw)) ?? (SOLD.at(-1) as number);
  const gravity = gravityOf(propertiesOf(back.stock));
  const side = { thickness: thick, wood: gravity === undefined ? { endGrain: false } : { gravity, endGrain: false } };
  const value = lateral({ screw, length, side, main: { thickness: length - thick, wood: { gravity: STUD.gravity, endGrain: false } } });
  if (!value.judged) return notJudged(support, value.reason, () => say`Screws into the studs are not judged: ${value.reason}.`);
  const onOne = heldAt(support) * shareOfStud(studs);
  const count = Math.max(2, screwsFor(onOne, value.newtons) ?? Infinity);
  const used = onOne / (STUD.most * value.newtons);
  const sentence = () =>
    count > STUD.most
      ? say`Each stud would take ${count} screws ${screw.name} x ${len(mm(length))}, ${force(value.newtons)} each, and ${STUD.most} go in beside each other.`
      : say`Through the back into each of ${studs} studs with ${count} screws ${screw.name} x ${len(mm(length))}, ${force(value.newtons)} each (${value.basis}).`;
  return { support, state: stateOf(used, 1), sentence };
}

/** Whether a joint made so would hold what a support has to, where a shelf is housed so deep or put on pins. */
export function wouldHold(
  how: 'housed' | 'pins',
  support: Support,
  member: Member,
  carrier: Member,
  housing: Length,
  settings: Settings,
): boolean {
  const [low, high] = extentsOf(member)[2];
  const fixing =
    how === 'pins' ? onPins(support, member, carrier, settings) : ledge(support, member, carrier, housing, high - low, settings);
  return fixing.state === 'fine' || fixing.state === 'close';
}

/** Whether a member lies on its carrier and stands on it, so that screws only keep it there. */
function liesOn(member: Member, carrier: Member): boolean {
  return extentsOf(carrier)[1][1] <= extentsOf(member)[1][0];
}

/** Whether a member hangs under what carries it, in a rebate or flat against its lower edge, so that the load pulls at its screws. */
function hangsUnder(member: Member, carrier: Member): boolean {
  const [own, its] = [extentsOf(member)[1], extentsOf(carrier)[1]];
  const lies = member.frame.n[1] !== 0;
  return own[1] <= its[0] || (lies && inRebate(member, carrier));
}

/** How each end of a member is held, with what it would take; what lies along another one is not asked. */
export function fixingsOf(carried: CarriedMember, members: ReadonlyMap<string, Member>, settings: Settings): readonly Fixing[] {
  return carried.supports.flatMap((support) => fixingOf(support, carried.member, members.get(support.carrier), settings));
}

/** The screws at the ends of a member alone, without asking what else holds it. */
export function screwedEnds({ member, supports }: CarriedMember, members: ReadonlyMap<string, Member>): readonly ScrewedEnd[] {
  return supports.flatMap((support): ScrewedEnd[] => {
    const carrier = members.get(support.carrier);
    if (!carrier) return [];
    const pull = hangsUnder(member, carrier);
    const asked =
      support.how === 'screws'
        ? !liesOn(member, carrier)
        : support.how === 'held along' && (pull || (carrier.role === 'back' && !support.by));
    const held = asked ? heldBy(support, member, carrier, pull) : null;
    return held && 'each' in held && !tooMany(held) ? [{ row: held.row, count: held.count }] : [];
  });
}
