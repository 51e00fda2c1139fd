import { force, say, stress } from '../../figure/index.js';
import { asMPa, asNewtons } from '../../measures/index.js';
import type { Member } from '../../piece/index.js';
import { dot } from '../../solid/index.js';
import { propertiesOf } from '../../stock/index.js';
import { heldAt, type Support } from '../support.js';
import { stateOf } from '../verdict.js';
import { woodKind } from '../strength.js';
import { contactOf, grainAlong } from './contact.js';
import { notJudged, type Fixing } from './fixing.js';

/** Shear along the grain, characteristic, of the least grades, MPa (EN 338:2016 table 1: C16, D18). */
const SHEAR = { softwood: 3.2, hardwood: 3.5 } as const;
/** Where grains cross, and in sheets, the fibres roll: MPa. */
const ROLLING = 1;
/** Of what wood shears at beside a line of glue a third is allowed. */
const ALLOWED = 1 / 3;

const isSolid = (member: Member) => propertiesOf(member.stock).material.form === 'solid';

/** A line of glue: the shear of the weaker wood over the area that really meets; on end grain it counts nothing. */
export function gluedOn(support: Support, member: Member, carrier: Member): Fixing {
  const met = contactOf(carrier, member);
  if (!met) return notJudged(support, 'they do not meet face to face', () => say`Glued, but not face to face: not checked.`);
  const both = [member, carrier];
  if (both.some((m) => grainAlong(m, met.normal) === 'end' && isSolid(m)))
    return notJudged(
      support,
      'glue on end grain is not counted on',
      () => say`Glue on end grain is not counted on: screw it too, or house it.`,
    );
  const parallel = Math.abs(dot(member.frame.u, carrier.frame.u)) > Math.SQRT1_2;
  const shears = both.map((m) => (isSolid(m) && parallel ? SHEAR[woodKind(propertiesOf(m.stock).material)] : ROLLING));
  const shear = Math.min(...shears);
  const holds = asNewtons(met.area * shear * ALLOWED);
  return {
    support,
    holds,
    state: stateOf(heldAt(support), holds),
    sentence: () =>
      say`Its line of glue holds ${force(holds)}: a third of the ${stress(asMPa(shear))} that the wood beside it shears at${shear === ROLLING ? ' where its fibres roll' : ' along the grain'}.`,
  };
}
