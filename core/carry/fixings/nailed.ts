import { force, len, say } from '../../figure/index.js';
import { mm } from '../../length/index.js';
import { asNewtons } from '../../measures/index.js';
import type { Member } from '../../piece/index.js';
import type { Settings } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import type { Vector } from '../../solid/index.js';
import { nailEmbedment, nailModes } from '../nails.js';
import { lastingShare } from '../strength.js';
import { heldAt, type Support } from '../support.js';
import { stateOf } from '../verdict.js';
import { contactOf, depthFrom, grainAlong } from './contact.js';
import { outerFirst } from './driven.js';
import { notJudged, type Fixing } from './fixing.js';

/** Brads for boxes: 16 gauge, and the lengths they are sold in, mm. */
const BRAD = { d: 1.6, sold: [20, 25, 30, 35, 40, 45, 50, 60] } as const;
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

/** An end that is held by brads through the face of what it meets, glued too; what the glue holds in the end of its grain is not counted. */
export function nailed(support: Support, member: Member, carrier: Member, { serviceClass }: Settings): Fixing {
  const none = (reason: string) => notJudged(support, reason, () => say`Brads are not checked here: ${reason}.`);
  const met = contactOf(carrier, member);
  if (!met) return none('they do not meet face to face');
  const [through, into, contact] = outerFirst(carrier, member, met);
  const [side, main] = [depthFrom(through, contact, -1), depthFrom(into, contact, 1)];
  const length = BRAD.sold.findLast((l) => l <= Math.min(Math.max(TIMES * side, BRAD.sold[0]), side + main - 1)) ?? 0;
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
  const [low, high] = contact.over[0];
  const count = Math.max(2, Math.floor((high - low) / EVERY));
  const holds = asNewtons(count * each);
  return {
    support,
    holds,
    state: stateOf(heldAt(support), holds),
    sentence: () =>
      say`${String(count)} brads of ${len(mm(length))} hold ${force(holds)}: ${force(asNewtons(each))} each${grain < 1 ? ', a third for the end grain they are in' : ''} (EN 1995-1-1 8.3). Glue it too.`,
  };
}
