import { inDegrees, asNewtons, type Newtons } from '../../measures/index.js';
import { asBefore, fine, force, len, say, type Sentence } from '../../figure/index.js';
import { mm, type Length, type LengthUnit } from '../../length/index.js';
import { FLOOR, isBack, type Member } from '../../piece/index.js';
import { unit, type Vector } from '../../solid/index.js';
import type { Settings } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import { heldAt, type Support } from '../support.js';
import type { CarriedMember } from '../carry.js';
import { KEEP, combined, lateral, screwsFor, shankOf, withdrawal, type ScrewValue } from '../screws.js';
import { stateOf, worse } from '../verdict.js';
import { bolted } from './bolted.js';
import { contactOf, extentsOf, inRebate, isBlock, reachAlong } from './contact.js';
import { rowBetween, spacedAlong, type NoRow, type Row } from './driven.js';
import { notJudged, type Fixing, type ScrewedEnd } from './fixing.js';
import { gluedOn } from './glued.js';
import { nailed } from './nailed.js';
import { pocketed } from './pocketed.js';
import { ledge, onLedge, onPins, standsOn } from './pressed.js';
import { intoStuds } from './studs.js';

/** Along a joint there is a screw at least so often, mm. */
const AT_LEAST_EVERY = 200;
/** Less than this is nothing that a line of glue is asked for, N. */
const LITTLE = 5;
/** So much shorter is no shorter, mm. */
const NOTHING = 0.01;

/** Screws that a row takes whatever its load: two where there is room, so that nothing turns, and one now and then along it. */
export function leastOf({ most, room, holes }: Row): number {
  if (holes) return holes.length;
  const along = 1 + Math.floor((room[1] - room[0] + NOTHING) / AT_LEAST_EVERY);
  return Math.min(most, Math.max(2, along));
}

/** Screws that a row takes for a load. */
function countFor(row: Row, newtons: Newtons, each: Newtons): number {
  return row.holes ? row.holes.length : Math.max(leastOf(row), screwsFor(newtons, each) ?? Infinity);
}

/** From where one sets out along a direction: from the left, the foot, or the front. */
function datumOf(along: Vector): 'left' | 'foot' | 'front' {
  if (Math.abs(along[0]) >= Math.SQRT1_2) return 'left';
  return Math.abs(along[1]) >= Math.SQRT1_2 ? 'foot' : 'front';
}

/** Where the screws of a row go, as one sets them out on the member. */
function placesOf(row: Row, count: number, member: Member, moved: number): Sentence {
  if (row.holes) return say`in the holes that are there for them`;
  const places = spacedAlong(row, count).map((at) => at + moved);
  const [low, high] = reachAlong(member, row.along);
  const datum = datumOf(row.along);
  const first = datum === 'front' ? high - (places.at(-1) as number) : (places[0] as number) - low;
  if (count === 1) return say`${fine(first, 1)} from its ${datum}`;
  const pitch = (places[1] as number) - (places[0] as number);
  return count === 2
    ? say`${fine(first, 1)} from its ${datum} and ${fine(pitch, 1)} on`
    : say`the first ${fine(first, 1)} from its ${datum}, then every ${fine(pitch, 1)}`;
}

/** Why no screw is counted on, in a few words. */
export const WHY: Readonly<Record<NoRow['why'], string>> = {
  apart: 'they do not meet face to face',
  narrow: 'there is no room for a screw',
  short: 'no screw that stays inside is long enough to count',
};

/** Why no screws are counted on between a member and what carries it. */
export function nothingHolds({ why, inside, least }: NoRow, carrier: Member): Sentence {
  switch (why) {
    case 'apart':
      return say`It does not meet ${carrier.label} face to face: its screws are not checked.`;
    case 'narrow':
      return say`Its end is too narrow for screws: not checked.`;
    case 'short':
      return say`No screw holds: ${fine(inside ?? 0, 1)} of it would be in the wood before its point comes near the other face, and ${fine(least ?? 0, 1)} is the least that is judged. Glue it.`;
  }
}

/** What a row of screws holds, and how many it takes; or why that is not checked. */
type Held =
  | {
      readonly row: Row;
      readonly each: Newtons;
      readonly basis: string;
      readonly count: number;
      /** What of it they use, where all that go in are there. */
      readonly used: number;
      /** What the uppermost takes, N, where they are pulled besides. */
      readonly turned?: OnUppermost;
    }
  | { readonly row: NoRow }
  | { readonly row: Row; readonly reason: string };

/** Screws across a load, or straight out where the member hangs under its carrier. */
function heldBy(support: Support, member: Member, carrier: Member, pull: boolean, unit: LengthUnit): Held {
  const row = rowBetween(carrier, member, unit);
  if ('why' in row) return { row };
  if (support.out !== undefined && !pull) return turnedOut(row, asNewtons(heldAt(support)), support.out);
  const value = valueFor(row, carrier, pull);
  if (!value.judged) return { row, reason: value.reason };
  const count = countFor(row, asNewtons(heldAt(support)), value.newtons);
  const used = heldAt(support) / ((row.holes ? count : row.most) * value.newtons);
  return { row, each: value.newtons, basis: value.basis, count, used };
}

/** What the uppermost screw of what stands out takes, N. */
interface OnUppermost {
  readonly pulled: number;
  readonly shear: number;
}

/**
 * What the uppermost of so many screws takes of a load that lies out from their row: its share of it down, and outward what keeps all of it from
 * turning about the lower end of the row, each by how far it is over that (M y / Σy²).
 */
function onUppermost(row: Row, count: number, newtons: Newtons, out: number): OnUppermost {
  const [low, high] = row.contact.over[0];
  const heights = spacedAlong(row, count).map((at) => (row.along[1] > 0 ? at - low : high - at));
  const squares = heights.reduce((sum, y) => sum + y ** 2, 0);
  return { pulled: (newtons * out * Math.max(...heights)) / squares, shear: newtons / count };
}

/** Screws up an edge that stands out from what carries it: as many as take the load down and the turn of it together (NDS 12.4.1). */
function turnedOut(row: Row, newtons: Newtons, out: number): Held {
  if (Math.abs(row.along[1]) < Math.SQRT1_2) return { row, reason: 'they are not in a row up it' };
  const { joint, into } = row;
  if (joint.main.wood.endGrain && !joint.main.wood.panel && propertiesOf(into.stock).material.form !== 'solid')
    return { row, reason: PULLED_FROM_EDGE };
  const [across, straight] = [lateral(joint), withdrawal(joint)];
  if (!across.judged) return { row, reason: across.reason };
  if (!straight.judged) return { row, reason: straight.reason };
  const at = (count: number) => {
    const turned = onUppermost(row, count, newtons, out);
    const degrees = inDegrees(Math.atan2(turned.pulled, turned.shear));
    const each = straight.newtons > 0 ? combined(straight.newtons, across.newtons, degrees) : 0;
    return { turned, each, degrees, used: Math.hypot(turned.pulled, turned.shear) / each };
  };
  const least = countFor(row, newtons, across.newtons);
  const tried = Array.from({ length: Math.max(0, row.most - least + 1) }, (_, i) => least + i);
  const count = tried.find((n) => at(n).used <= 1) ?? Infinity;
  const { turned, each, degrees } = at(Math.min(count, row.most));
  const basis = `${across.basis}, pulled and pushed at ${degrees.toFixed(0)}° (12.4.1)`;
  return { row, each: asNewtons(each), basis, count, used: at(row.holes ? Math.min(count, row.most) : row.most).used, turned };
}

const PULLED_FROM_EDGE = 'no values are published for screws pulled out of the edge of this sheet';

/** What screws of rows hold, pulled and not; rows never change, and each has one carrier. */
const values = { pulled: new WeakMap<Row, ScrewValue>(), pushed: new WeakMap<Row, ScrewValue>() };

function valueFor(row: Row, carrier: Member, pull: boolean): ScrewValue {
  const known = pull ? values.pulled : values.pushed;
  const value = known.get(row) ?? valueOf(row, carrier, pull);
  known.set(row, value);
  return value;
}

/**
 * What each screw of a row holds of a load that goes straight down: across it, straight out, or, where the two meet at an angle,
 * both at once (NDS 12.4.1). What presses the member on its carrier is no pull.
 */
function valueOf(row: Row, carrier: Member, pull: boolean): ScrewValue {
  const { joint, into, contact, through } = row;
  // Out of the carrier into what it carries; less than level, and the load pulls the two apart.
  const rise = (through === carrier ? 1 : -1) * contact.normal[1];
  // What lies flat on its carrier is only kept there by its screws.
  const across = Math.abs(rise) < 1e-9 || rise > 1 - 1e-9;
  const pulls = pull || rise < -1e-9;
  if (pulls && joint.main.wood.endGrain && !joint.main.wood.panel && propertiesOf(into.stock).material.form !== 'solid') {
    return { judged: false, reason: PULLED_FROM_EDGE };
  }
  if (pull || across || rise < -1 + 1e-9) return (pull || !across ? withdrawal : lateral)(joint);
  const [shear, out] = [lateral(joint), withdrawal(joint)];
  if (!shear.judged) return shear;
  if (rise > 0) return { ...shear, newtons: asNewtons(shear.newtons / Math.sqrt(1 - rise ** 2)) };
  if (!out.judged) return out;
  const degrees = inDegrees(Math.asin(-rise));
  const newtons = out.newtons > 0 ? combined(out.newtons, shear.newtons, degrees) : 0;
  return { judged: true, newtons: asNewtons(newtons), basis: `${shear.basis}, pulled and pushed at ${degrees.toFixed(0)}° (12.4.1)` };
}

const tooMany = ({ row, count }: Extract<Held, { each: Newtons }>) => !row.holes && count > row.most;

/** What is said of screws that hold, or of too many that would be needed. */
function saidOf(held: Extract<Held, { each: Newtons }>, member: Member, pull: boolean, moved: number): Sentence {
  const { row, count } = held;
  const { screw, length, joint, through, into, most, tight, nearEnd } = row;
  const size = say`${screw.name} x ${len(mm(length))}`;
  const turned = held.turned
    ? say` The uppermost takes ${force(asNewtons(held.turned.pulled))} outward and ${force(asNewtons(held.turned.shear))} down.`
    : say``;
  const each = say`${force(held.each)} each${pull ? ' pulled straight out' : joint.main.wood.endGrain ? ' in its end' : ''} (${held.basis})`;
  if (tooMany(held)) {
    return say`It would take ${Number.isFinite(count) ? String(count) : 'more'} screws ${size}, ${each}, and ${most} go across it.${turned} ${held.turned ? 'Make it higher, or what is on it less deep.' : 'House it, or put a ledge under it.'}`;
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
  const packed = row.gap === undefined ? say`` : say` with ${fine(row.gap, 1)} between them filled,`;
  return say`Takes ${count} ${count === 1 ? 'screw' : 'screws'} ${size} through ${through.label},${packed} ${placesOf(row, count, member, moved)}: ${each}.${turned}${near}${end}${room}`;
}

function screwed(support: Support, member: Member, carrier: Member, pull: boolean, { unit }: Settings): Fixing {
  const held = heldBy(support, member, carrier, pull, unit);
  if ('reason' in held) return notJudged(support, held.reason, () => say`Screws are not checked here: ${held.reason}.`);
  if (!('each' in held)) return notJudged(support, WHY[held.row.why], () => nothingHolds(held.row, carrier));
  const { row, count } = held;
  const sentence = (moved = 0) => saidOf(held, member, pull, moved);
  if (tooMany(held)) return { support, state: 'fails', sentence };
  return { support, state: worse(stateOf(held.used, 1), row.tight || row.nearEnd ? 'close' : 'fine'), screws: { count, row }, sentence };
}

/** What stands on the floor is not asked; what is held by a wall, a ledge or a cabinet that is there already is not checked. */
function inPlace(support: Support, { frame }: Member): readonly Fixing[] {
  const stands = support.how === 'bearing' && (support.carrier === FLOOR || frame.n[1] === 0);
  // How it hangs on a wall is asked of the piece as a whole.
  if (stands || support.how === 'hung') return [];
  return [
    notJudged(support, 'what is there already is not known', () => say`Held by what is there already, which is not known: not checked.`),
  ];
}

/** How one support holds a member; nothing for what lies along another one. */
function fixingOf(support: Support, member: Member, carrier: Member | undefined, settings: Settings): readonly Fixing[] {
  if (!carrier) return inPlace(support, member);
  switch (support.how) {
    case 'screws':
      return liesOn(member, carrier)
        ? standsOn(support, member, carrier, settings)
        : [screwed(support, member, carrier, hangsUnder(member, carrier), settings)];
    case 'bolts':
      return [bolted(support, member, carrier)];
    case 'held along':
      if (hangsUnder(member, carrier)) return [screwed(support, member, carrier, true, settings)];
      return isBack(carrier) ? toBack(support, member, carrier, settings) : onLedge(support, member, carrier, settings);
    case 'pins':
      return [onPins(support, member, carrier, settings)];
    case 'housed':
      return onLedge(support, member, carrier, settings);
    case 'bearing':
      return standsOn(support, member, carrier, settings);
    case 'pocket screws':
      return [pocketed(support, member, carrier, settings)];
    case 'nails':
      return [nailed(support, member, carrier, settings)];
    case 'glued':
      return heldAt(support) < LITTLE ? [] : [gluedOn(support, member, carrier)];
    case 'hung':
    case 'pivot':
    case 'slide':
    case 'screwed along':
      return [];
  }
}

/** A panel whose rear edge is held to the back: by glue all along, by the studs behind it, or by screws through the back into that edge. */
function toBack(support: Support, member: Member, back: Member, settings: Settings): readonly Fixing[] {
  if (support.by === 'glue') return [gluedOn(support, member, back)];
  return [
    typeof support.by === 'object' ? intoStuds(support, back, support.by.studs, settings) : screwed(support, member, back, false, settings),
  ];
}

/**
 * Whether a joint made so would hold what a support has to, where a shelf is housed so deep or put on pins.
 * @example wouldHold('pins', CARRIED.supports[0], CARRIED.member, MEMBERS.get('case/side/left'), mm(5), SHOP.settings) // true
 */
export function wouldHold(
  how: 'housed' | 'pins',
  support: Support,
  member: Member,
  carrier: Member,
  housing: Length,
  settings: Settings,
): boolean {
  // Level, along the face of what it is let into.
  const [low, high] = reachAlong(member, unit([-carrier.frame.n[2], 0, carrier.frame.n[0]]) ?? [0, 0, 1]);
  const fixing =
    how === 'pins' ? onPins(support, member, carrier, settings) : ledge(support, member, carrier, housing, high - low, settings);
  return fixing.state === 'fine' || fixing.state === 'close';
}

/** Whether a member lies on its carrier and stands on it, so that screws only keep it there. */
function liesOn(member: Member, carrier: Member): boolean {
  if (!isBlock(member) || !isBlock(carrier)) return (contactOf(carrier, member)?.normal[1] ?? 0) > Math.SQRT1_2;
  const [own, its] = [extentsOf(member)[1], extentsOf(carrier)[1]];
  return its[1] <= own[0] || onShoulder(member, carrier);
}

/** Whether a member that lies is let into a rebate at the upper end of something, so that it lies on the shoulder of that. */
function onShoulder(member: Member, carrier: Member): boolean {
  return member.frame.n[1] !== 0 && extentsOf(member)[1][1] >= extentsOf(carrier)[1][1] && inRebate(member, carrier);
}

/** Whether a member hangs under what carries it, in a rebate or flat against its lower edge, so that the load pulls at its screws. */
function hangsUnder(member: Member, carrier: Member): boolean {
  const [own, its] = [extentsOf(member)[1], extentsOf(carrier)[1]];
  const lies = member.frame.n[1] !== 0;
  return own[1] <= its[0] || (lies && inRebate(member, carrier) && !onShoulder(member, carrier));
}

/**
 * How each end of a member is held, with what it would take; what lies along another one is not asked.
 * @example fixingsOf(CARRIED, MEMBERS, SHOP.settings).length // 2
 */
export function fixingsOf(carried: CarriedMember, members: ReadonlyMap<string, Member>, settings: Settings): readonly Fixing[] {
  const { member, supports } = carried;
  const carriers = supports.map((s) => members.get(s.carrier));
  return fixingsAsBefore(carried, { same: [settings, ...carriers], alike: null }, () =>
    supports.flatMap((support, i) => fixingOf(support, member, carriers[i], settings)),
  );
}

const fixingsAsBefore = asBefore<CarriedMember, readonly Fixing[]>();
const screwsAsBefore = asBefore<CarriedMember, readonly ScrewedEnd[]>();

/** The screws at the ends of a member alone, without asking what else holds it. @example screwedEnds(CARRIED, MEMBERS, 'mm') // [] */
export function screwedEnds(carried: CarriedMember, members: ReadonlyMap<string, Member>, unit: LengthUnit): readonly ScrewedEnd[] {
  const { supports } = carried;
  const carriers = supports.map((s) => members.get(s.carrier));
  return screwsAsBefore(carried, { same: [unit, ...carriers], alike: null }, () => {
    // Two places on one member are held by one row of screws.
    const rows = new Map<Row, number>();
    for (const [i, support] of supports.entries()) {
      const end = screwedEnd(support, carried.member, carriers[i], unit);
      if (end) rows.set(end.row, Math.min(end.row.most, (rows.get(end.row) ?? 0) + end.count));
    }
    return [...rows].map(([row, count]) => ({ row, count: row.holes?.length ?? count }));
  });
}

function screwedEnd(support: Support, member: Member, carrier: Member | undefined, unit: LengthUnit): ScrewedEnd | null {
  if (!carrier) return null;
  const pull = hangsUnder(member, carrier);
  const asked = support.how === 'screws' || (support.how === 'held along' && (pull || (isBack(carrier) && !support.by)));
  if (!asked) return null;
  // What lies on its carrier is only kept there.
  const kept = support.how === 'screws' && liesOn(member, carrier);
  const held = kept ? { row: rowBetween(carrier, member, unit) } : heldBy(support, member, carrier, pull, unit);
  if ('why' in held.row) return null;
  return { row: held.row, count: 'each' in held ? Math.min(held.count, held.row.most) : leastOf(held.row) };
}
