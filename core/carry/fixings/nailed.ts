import { force, say, sold } from '../../figure/index.js';
import { mm, type LengthUnit } from '../../length/index.js';
import { asNewtons } from '../../measures/index.js';
import type { Member } from '../../piece/index.js';
import type { Settings } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import type { Vector } from '../../solid/index.js';
import { nailEmbedment, nailModes } from '../nails.js';
import { lastingShare } from '../strength.js';
import { heldAt, type Support } from '../support.js';
import { stateOf } from '../verdict.js';
import { contactOf, depthFrom, grainAlong, type Contact } from './contact.js';
import { outerFirst } from './driven.js';
import { notJudged, type Fixing } from './fixing.js';

/** Brads for boxes: 16 gauge, and the lengths they are sold in, mm. */
const BRAD = {
  d: 1.6,
  sold: { mm: [20, 25, 30, 35, 40, 45, 50, 60], in: [3 / 4, 1, 1.25, 1.5, 1.75, 2, 2.5].map((l) => l * 25.4) },
} as const;
/** A brad is some three times as long as what it goes through, and there is one so often, mm, two at least. */
const TIMES = 3;
const EVERY = 50;
/** In end grain, and in the edge of plywood, a third (EN 1995-1-1 8.3.1.2 (4)). */
const IN_END = 1 / 3;

/** What wood presses a brad back with, MPa; null where nothing is published. */
function pressesBack(member: Member, thick: number, along: Vector): number | null {
  const { material, density } = propertiesOf(member.stock);
  const characteristic = density / 1.2;
  if (material.form === 'solid') return nailEmbedment({ kind: 'solid', density: characteristic }, BRAD.d);
  if (material.creep === 'plywood') return nailEmbedment({ kind: 'plywood', density: characteristic }, BRAD.d);
  if (grainAlong(member, along) !== 'face') return null;
  if (material.id === 'hardboard') return nailEmbedment({ kind: 'hardboard', thick }, BRAD.d);
  const ofChips = material.creep === 'osb3' || material.creep.startsWith('particleboard');
  return ofChips ? nailEmbedment({ kind: 'chips', thick }, BRAD.d) : null;
}

/** Brads that go through the face of one member into another. */
export interface Brads {
  readonly through: Member;
  readonly into: Member;
  readonly contact: Contact;
  /** What they go through, and what is behind it, mm. */
  readonly side: number;
  readonly main: number;
  /** As it is sold, mm. */
  readonly length: number;
  readonly count: number;
}

/** The brads between two members; null where they do not meet face to face. @example bradsBetween(SHELF, RAIL, 'mm') // null */
export function bradsBetween(member: Member, carrier: Member, unit: LengthUnit): Brads | null {
  const met = contactOf(carrier, member);
  if (!met) return null;
  const [through, into, contact] = outerFirst(carrier, member, met);
  const [side, main] = [depthFrom(through, contact, -1), depthFrom(into, contact, 1)];
  const sold: readonly number[] = BRAD.sold[unit];
  const length = sold.findLast((l) => l <= Math.min(Math.max(TIMES * side, sold[0] as number), side + main - 1)) ?? 0;
  const [low, high] = contact.over[0];
  return { through, into, contact, side, main, length, count: Math.max(2, Math.floor((high - low) / EVERY)) };
}

/** An end that is held by brads through the face of what it meets, glued too; what the glue holds in the end of its grain is not counted. */
export function nailed(support: Support, member: Member, carrier: Member, { serviceClass, unit }: Settings): Fixing {
  const none = (reason: string) => notJudged(support, reason, () => say`Brads are not checked here: ${reason}.`);
  const brads = bradsBetween(member, carrier, unit);
  if (!brads) return none('they do not meet face to face');
  const { through, into, contact, side, main, length, count } = brads;
  const deep = length - side;
  const [f1, f2] = [pressesBack(through, side, contact.normal), pressesBack(into, main, contact.normal)];
  if (f1 === null || f2 === null) return none('no values are published for nails in this sheet');
  if (deep < side) return none('no brad that stays inside is long enough');
  const share = lastingShare(propertiesOf(into.stock).material, serviceClass);
  if (share === null) return none(`${into.stock.name} may not carry for years where it is damp`);
  const modes = nailModes({ d: BRAD.d, side: { embedment: f1, deep: side }, main: { embedment: f2, deep } });
  const grain =
    grainAlong(into, contact.normal) === 'face' || (grainAlong(into, contact.normal) === 'edge' && into.stock.form === 'board')
      ? 1
      : IN_END;
  const each = Math.min(...modes) * share * grain;
  const holds = asNewtons(count * each);
  return {
    support,
    holds,
    state: stateOf(heldAt(support), holds),
    sentence: () =>
      say`${String(count)} brads of ${sold(mm(length))} hold ${force(holds)}: ${force(asNewtons(each))} each${grain < 1 ? ', a third for the end grain they are in' : ''} (EN 1995-1-1 8.3). Glue it too.`,
  };
}
