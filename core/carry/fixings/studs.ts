import { force, len, say } from '../../figure/index.js';
import { mm, toMm } from '../../length/index.js';
import type { Member } from '../../piece/index.js';
import type { Settings } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import { heldAt, type Support } from '../support.js';
import { shareOfStud } from '../cleat.js';
import { FULL_PENETRATION, WOOD_SCREWS, lateral, screwsFor, shankOf, type WoodScrew } from '../screws.js';
import { stateOf } from '../verdict.js';
import { SOLD, gravityOf } from './driven.js';
import { notJudged, type Fixing } from './fixing.js';
import { asNewtons } from '../../measures/index.js';

/** Studs are taken for softwood of G 0.42, spruce, pine and fir (NDS table 12.3.3A), typical. */
const STUD = { gravity: 0.42, deep: 38, most: 4 } as const;

/** Screws through a back into the studs behind it, for a shelf on it: studs do not share evenly. */
export function intoStuds(support: Support, back: Member, studs: number, { unit }: Settings): Fixing {
  const screw = WOOD_SCREWS.find((s) => s.name === 'No. 10') as WoodScrew;
  const thick = toMm(back.thickness.value);
  const length = SOLD[unit].find((l) => l >= thick + FULL_PENETRATION * shankOf(screw)) ?? Math.max(...SOLD[unit]);
  const gravity = gravityOf(propertiesOf(back.stock));
  const side = { thickness: thick, wood: gravity === undefined ? { endGrain: false } : { gravity, endGrain: false } };
  const value = lateral({ screw, length, side, main: { thickness: length - thick, wood: { gravity: STUD.gravity, endGrain: false } } });
  if (!value.judged) return notJudged(support, value.reason, () => say`Screws into the studs are not checked: ${value.reason}.`);
  const onOne = heldAt(support) * shareOfStud(studs);
  const count = Math.max(2, screwsFor(asNewtons(onOne), value.newtons) ?? Infinity);
  const used = onOne / (STUD.most * value.newtons);
  const sentence = () =>
    count > STUD.most
      ? say`Each stud would take ${count} screws ${screw.name} x ${len(mm(length))}, ${force(value.newtons)} each, and ${STUD.most} go in beside each other.`
      : say`Through the back into each of ${studs} studs with ${count} screws ${screw.name} x ${len(mm(length))}, ${force(value.newtons)} each (${value.basis}).`;
  return { support, state: stateOf(used, 1), sentence };
}
