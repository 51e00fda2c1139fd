import { POCKET_HOLE, pocketScrewLength } from '../../joints/index.js';
import { asDegrees, asNewtons, radians } from '../../measures/index.js';
import { force, len, say } from '../../figure/index.js';
import { toMm, type Length } from '../../length/index.js';
import type { Member } from '../../piece/index.js';
import type { Settings } from '../../project/index.js';
import type { Vector } from '../../solid/index.js';
import { WOOD_SCREWS, lateral, type ScrewValue, type WoodScrew } from '../screws.js';
import { heldAt, type Support } from '../support.js';
import { stateOf } from '../verdict.js';
import { contactOf } from './contact.js';
import { woodOf } from './driven.js';
import { notJudged, type Fixing } from './fixing.js';

/** Screws of pocket holes go in at this angle to the face, degrees, half of them in the wood that they are driven from; the usual one is a No. 8. */
const POCKET = { degrees: 15, screw: WOOD_SCREWS[1] as WoodScrew } as const;

/** What each pocket screw of a corner holds across: by the yield equations, with what of it is in the wood that it goes into. */
function valueOf(long: Length, member: Member, carrier: Member, along: Vector): ScrewValue {
  const half = (toMm(long) / 2) * Math.cos(radians(asDegrees(POCKET.degrees)));
  return lateral({
    screw: POCKET.screw,
    length: 2 * half,
    side: { thickness: half, wood: woodOf(member, along) },
    main: { thickness: half, wood: woodOf(carrier, along) },
  });
}

const none = (support: Support, reason: string) =>
  notJudged(support, reason, () => say`Pocket screws are not checked here: ${reason}. Glue it too.`);

/** An end that is held by screws in pocket holes, which are made for them in what they are driven from. */
export function pocketed(support: Support, member: Member, carrier: Member, { unit }: Settings): Fixing {
  const long = pocketScrewLength(member.thickness.value, unit);
  if (!long) return none(support, 'what they go through is too thin or too thick for pocket screws');
  const met = contactOf(carrier, member);
  const mates = [member.id, carrier.id];
  const holes = [member, carrier].flatMap((m) =>
    m.features.filter((f) => f.kind === 'hole' && f.diameter === POCKET_HOLE && mates.includes(f.mate)),
  );
  if (!met || holes.length === 0) return none(support, 'no pocket holes are made there');
  const value = valueOf(long, member, carrier, met.normal);
  if (!value.judged) return none(support, value.reason);
  const holds = asNewtons(holes.length * value.newtons);
  return {
    support,
    holds,
    state: stateOf(heldAt(support), holds),
    sentence: () =>
      say`${String(holes.length)} pocket screws of ${len(long)} hold ${force(holds)}: ${force(value.newtons)} each, with half of each in the wood that it goes into (${value.basis}). Glue it too.`,
  };
}
