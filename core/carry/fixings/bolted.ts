import { fine, force, say } from '../../figure/index.js';
import type { Member } from '../../piece/index.js';
import { propertiesOf } from '../../stock/index.js';
import { BOLTS, KEEP_BOLTS, boltLateral, boltsIn, type BoltedWood } from '../bolts.js';
import { heldAt, type Support } from '../support.js';
import { stateOf } from '../verdict.js';
import { contactOf, depthFrom, grainAlong, middleOf, placeIn, type Contact } from './contact.js';
import { gravityOf } from './driven.js';
import { notJudged, type BoltedEnd, type Fixing } from './fixing.js';
import { asNewtons } from '../../measures/index.js';

/** How far a bolt goes into the end of what it holds, to the nut that is let in there from the side, mm, typical. */
const TO_NUT = 60;
/** What a bolt is longer than what it goes through: two washers and a nut, mm. */
const WASHERS = 15;

/** Whether the load, which goes down, goes along the grain of a member. */
const along = ({ frame }: Member) => Math.abs(frame.u[1]) > Math.SQRT1_2;

/** Where bolts go through the plane that two meet in: in the middle of its width, from the upper edge down. */
function placesOf(met: Contact, upright: 0 | 1, count: number, diameter: number, head: number) {
  const [low, high] = met.over[upright];
  const up = Math.sign(met.axes[upright][1]);
  const beside = middleOf(met.over[upright === 0 ? 1 : 0]);
  return Array.from({ length: count }, (_, k) => {
    const from = KEEP_BOLTS.loaded * diameter + head + k * KEEP_BOLTS.between * diameter;
    const at = up > 0 ? high - from : low + from;
    return upright === 0 ? placeIn(met, at, beside, met.plane) : placeIn(met, beside, at, met.plane);
  });
}

/** Bolts through what carries a member into a nut in its end, or right through both where they lie side by side. */
export function bolted(support: Support, member: Member, carrier: Member): Fixing {
  const met = contactOf(carrier, member);
  if (!met)
    return notJudged(
      support,
      'they do not meet face to face',
      () => say`It does not meet ${carrier.label} face to face: its bolts are not checked.`,
    );
  const [post, rail] = [propertiesOf(carrier.stock), propertiesOf(member.stock)];
  const [g, h] = [gravityOf(post), gravityOf(rail)];
  if (post.material.form !== 'solid' || rail.material.form !== 'solid' || g === undefined || h === undefined)
    return notJudged(
      support,
      'no values are published for bolts in the edge of sheets',
      () => say`Bolts are not checked in the edge of a sheet.`,
    );
  const inEnd = grainAlong(member, met.normal) === 'end';
  const [deep, far] = [depthFrom(carrier, met, -1), depthFrom(member, met, 1)];
  const main: BoltedWood = { thickness: inEnd ? Math.min(TO_NUT, far) : far, gravity: h, along: along(member) };
  const side: BoltedWood = { thickness: deep, gravity: g, along: along(carrier) };
  const upright = ([0, 1] as const).find((i) => Math.abs(met.axes[i][1]) > Math.SQRT1_2);
  if (upright === undefined)
    return notJudged(support, 'it lies on what carries it', () => say`It lies on ${carrier.label}: its bolts only keep it there.`);
  const high = met.over[upright][1] - met.over[upright][0];
  const load = heldAt(support);
  // Bolts of rails that meet in a post pass each other.
  const passes = (diameter: number) => {
    const clear = member.screwsClear;
    const by = (side: 'foot' | 'head') => (clear && clear[side] > 0 ? diameter + 2 : 0);
    return { foot: by('foot'), head: by('head') };
  };
  const tried = BOLTS.map((diameter) => {
    const { foot, head } = passes(diameter);
    const most = boltsIn(high - foot - head, diameter);
    const each = boltLateral(diameter, side, main, inEnd);
    return { diameter, most, each, holds: most * each };
  });
  const [first, ...rest] = tried as [(typeof tried)[number], ...typeof tried];
  const best =
    tried.find((t) => t.holds >= load && stateOf(load / t.holds, 1) === 'fine') ??
    rest.reduce((a, b) => (b.holds > a.holds ? b : a), first);
  const { diameter, most, each, holds } = best;
  if (most === 0) {
    const clear = passes(BOLTS[0] as number);
    const least = (KEEP_BOLTS.loaded + KEEP_BOLTS.edge) * (BOLTS[0] as number) + clear.foot + clear.head;
    return {
      support,
      state: 'fails',
      sentence: () => say`No bolt goes in ${fine(high, 0)}: one of M${BOLTS[0] as number} wants ${fine(least, 0)}.`,
    };
  }
  const count = Math.min(most, Math.max(1, Math.ceil(load / each - 1e-9)));
  const through = deep + (inEnd ? TO_NUT : far + WASHERS);
  const end: BoltedEnd = {
    diameter,
    length: Math.ceil(through / 10) * 10,
    count,
    nut: inEnd ? 'barrel' : 'plain',
    at: placesOf(met, upright, count, diameter, passes(diameter).head),
    way: met.normal,
    through: deep,
    into: inEnd ? TO_NUT : far,
  };
  const how = inEnd ? say`through ${carrier.label} into nuts in its end` : say`through ${carrier.label} and it`;
  const places = say`${fine(KEEP_BOLTS.loaded * diameter + passes(diameter).head, 0)} from its upper edge${most > 1 ? say` and ${fine(KEEP_BOLTS.between * diameter, 0)} apart` : ''}`;
  return {
    support,
    state: stateOf(load / holds, 1),
    holds: asNewtons(holds),
    bolts: end,
    sentence: () =>
      say`Takes ${count} ${count === 1 ? 'bolt' : 'bolts'} M${diameter} ${how}, ${places}: ${force(asNewtons(each))} each (NDS 2018 12.3, permanent load). ${most} would go in it.`,
  };
}
