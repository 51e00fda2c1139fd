import { force, len, say, sold, stress, type Sentence } from '../../figure/index.js';
import { toMm, type Length } from '../../length/index.js';
import { PIN } from '../../joints/index.js';
import type { Member } from '../../piece/index.js';
import { dot, type Vector } from '../../solid/index.js';
import type { Settings } from '../../project/index.js';
import { propertiesOf, type Stock } from '../../stock/index.js';
import { heldAt, type Support } from '../support.js';
import { bearingStrength, embedmentStrength, type Pressed, type Strength } from '../strength.js';
import { stateOf } from '../verdict.js';
import { contactOf, grainAlong, reachAlong } from './contact.js';
import { notJudged, type Fixing } from './fixing.js';
import { inDegrees, asMPa, asNewtons } from '../../measures/index.js';

/** How far an area that bears reaches past itself along the grain, at the side where there is wood, at most, mm (EN 1995-1-1 6.1.5). */
const SPREAD = 30;

const PINS_AT_AN_END = 2;

const UP: Vector = [0, 1, 0];

/**
 * What a member may be pressed to along a direction, by how its grain or its plies lie. At an angle to its length it is between
 * what it bears along and square to that: f₀ f₉₀ / (f₀ sin² α + f₉₀ cos² α) (Hankinson, as in EN 1995-1-1 6.2.2).
 */
function pressedStrength(member: Member, along: Vector, settings: Settings): Strength {
  const cos = Math.abs(dot(member.frame.u, along));
  if (cos > SQUARE || cos < Math.sqrt(1 - SQUARE ** 2)) return strengthOf(member.stock, grainAlong(member, along), settings);
  const beside = Math.abs(dot(member.frame.v, along)) > Math.abs(dot(member.frame.n, along)) ? 'edge' : 'face';
  const [end, square] = [strengthOf(member.stock, 'end', settings), strengthOf(member.stock, beside, settings)];
  if (!end.judged) return end;
  if (!square.judged) return square;
  const allowed = (end.allowed * square.allowed) / (end.allowed * (1 - cos ** 2) + square.allowed * cos ** 2);
  return {
    judged: true,
    allowed: asMPa(allowed),
    basis: say`at ${inDegrees(Math.acos(cos)).toFixed(0)}° to the grain, EN 1995-1-1 6.2.2`,
  };
}

/** The cosine from which two directions are one. */
const SQUARE = 1 - 1e-9;

function strengthOf(stock: Stock, pressed: Pressed, { serviceClass }: Settings): Strength {
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

/** Two members that press on each other along a direction: the weaker of the two decides. */
function presses(
  support: Support,
  both: readonly Member[],
  area: number,
  what: () => Sentence,
  settings: Settings,
  along: Vector = UP,
): Fixing {
  const each = both.map((member) => ({ member, strength: pressedStrength(member, along, settings) }));
  const open = each.find((e) => !e.strength.judged);
  if (open && !open.strength.judged) {
    const { reason } = open.strength;
    return notJudged(support, reason, () => say`${what()}: bearing is not checked, since ${reason}.`);
  }
  const [weaker] = each
    .flatMap(({ member, strength }) => (strength.judged ? [{ member, strength }] : []))
    .sort((a, b) => a.strength.allowed - b.strength.allowed);
  if (!weaker) return notJudged(support, 'nothing is known of it', what);
  const holds = weaker.strength.allowed * area;
  return {
    support,
    state: stateOf(heldAt(support), holds),
    holds: asNewtons(holds),
    sentence: () => say`${what()}: bears up to ${force(asNewtons(holds))}, as ${weaker.member.label} does (${weaker.strength.basis}).`,
  };
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

/**
 * Two pins under one end of a shelf: what it bears on them with no spread across its grain, and what holds them in the side.
 * @example onPins(CARRIED.supports[0], CARRIED.member, MEMBERS.get('case/side/left'), SHOP.settings).state // 'fine'
 */
export function onPins(support: Support, member: Member, carrier: Member, settings: Settings): Fixing {
  const d = toMm(PIN.diameter);
  const what = () => say`Two pins of ${sold(PIN.diameter)} at this end`;
  const shelf = pressedStrength(member, UP, settings);
  const wood = propertiesOf(carrier.stock);
  const side = embedmentStrength(wood.material, wood.density, settings.serviceClass, d);
  for (const strength of [shelf, side]) {
    if (!strength.judged) return notJudged(support, strength.reason, () => say`${what()}: not checked, since ${strength.reason}.`);
  }
  if (!shelf.judged || !side.judged) return notJudged(support, 'nothing is known of it', what);
  // Along its grain the shelf spreads what presses on it inwards, by as much again as it lies over the pin.
  const gap = gapTo(member, carrier);
  // It stands out of the side as far as it sits in it.
  const reach = toMm(PIN.depth) - gap;
  const spread = grainAlong(member, carrier.frame.n) === 'end' ? (reach + Math.min(SPREAD, reach)) / reach : 1;
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
    holds: asNewtons(holds),
    sentence: () =>
      say`${what()} hold ${force(asNewtons(holds))}: it may be pressed to ${stress(shelf.allowed)} where it lies on them (EN 338), and ${carrier.label} to ${stress(side.allowed)} in their holes (EN 1995-1-1 8.5).`,
  };
}

/** What is free between the end of a shelf and what it stands beside, mm. */
function gapTo(member: Member, carrier: Member): number {
  const [[a0, a1], [b0, b1]] = [reachAlong(member, carrier.frame.n), reachAlong(carrier, carrier.frame.n)];
  return Math.max(0, a0 - b1, b0 - a1);
}

/** A ledge so deep that a housing or a groove leaves under a member, and what sits in it. */
export function ledge(support: Support, member: Member, carrier: Member, depth: Length, long: number, settings: Settings): Fixing {
  return presses(support, [member, carrier], toMm(depth) * long, () => say`A ledge of ${len(depth)} under it`, settings);
}

/**
 * The ledge that a housing or a groove leaves under a member.
 * @example onLedge(CARRIED.supports[0], CARRIED.member, MEMBERS.get('case/side/left'), SHOP.settings) // []
 */
export function onLedge(support: Support, member: Member, carrier: Member, settings: Settings): readonly Fixing[] {
  const cut = carrier.features.find((f) => f.kind !== 'hole' && f.kind !== 'rebate' && f.mate === member.id);
  // An upright back in its groove stands on what is below it; a rail on edge lies on the shoulder that it is let in on.
  if (!cut || cut.kind === 'hole' || (member.frame.n[1] === 0 && member.role !== 'rail')) return [];
  const { u0, u1, v0, v1 } = cut.region;
  // Level, along the face of what it is cut into; a notch goes right through that.
  const level = carrier.frame.u[1] ** 2 > 0.5 ? v1 - v0 : u1 - u0;
  const long = Math.min(toMm(level as typeof u0), Math.max(toMm(member.length.value), toMm(member.width.value)));
  if (cut.kind === 'notch') return [ledge(support, member, carrier, level as Length, toMm(cut.depth), settings)];
  return [ledge(support, member, carrier, cut.depth, long, settings)];
}

/** The least friction of planed wood on wood, typical; what is steeper than that slides where nothing but its weight holds it. */
const FRICTION = 0.25;

/**
 * A member that stands or lies on its carrier; on a slope it presses with what of the load is square to that.
 * @example standsOn(CARRIED.supports[0], CARRIED.member, MEMBERS.get('case/side/left'), SHOP.settings) // []
 */
export function standsOn(support: Support, member: Member, carrier: Member, settings: Settings): readonly Fixing[] {
  const contact = contactOf(carrier, member);
  const rise = Math.abs(contact?.normal[1] ?? 0);
  if (!contact || rise < Math.SQRT1_2) return [];
  const what = () => (grainAlong(member, UP) === 'end' ? say`Its end stands on ${carrier.label}` : say`Lies on ${carrier.label}`);
  const slope = Math.tan(Math.acos(Math.min(1, rise)));
  if (support.how === 'bearing' && slope > FRICTION) {
    const degrees = inDegrees(Math.atan(slope));
    return [
      {
        support,
        state: 'fails',
        sentence: () =>
          say`${what()} at ${degrees.toFixed(0)}°: it slides down from ${inDegrees(Math.atan(FRICTION)).toFixed(0)}° on, and nothing but its weight holds it. Screw it, or notch it.`,
      },
    ];
  }
  const square = rise > SQUARE;
  return [presses(support, [member, carrier], square ? contact.area : contact.area / rise, what, settings, square ? UP : contact.normal)];
}
