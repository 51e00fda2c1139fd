import {
  WOOD_SCREWS,
  cleatForces,
  combined,
  gravityOf,
  lateral,
  longestSold,
  massFromWall,
  mostAcross,
  screwsFor,
  shareOfStud,
  studsCrossed,
  unweighedIn,
  withdrawal,
  type Carried,
  type ScrewJoint,
  type WoodScrew,
} from '../../carry/index.js';
import { fine, force, len, mass, say } from '../../figure/index.js';
import type { Check } from '../../finding/index.js';
import { studsBehind } from '../../interiors/panels/to-back.js';
import { inch, mm, toMm } from '../../length/index.js';
import type { Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import { HUNG, dropOf } from './hung.js';
import type { PanelCase } from './spec.js';

/** Studs as they are usually spaced, where none were found. */
const SPACING = { mm: mm(450), in: inch(16) };
/** Plaster board over studs, which holds nothing, mm, typical. */
const PLASTER = 12.5;
/** Softwood studs, by the least grade, G. */
const STUD = { gravity: 0.38, thick: 80 };
const SCREW = WOOD_SCREWS[4] as WoodScrew;

/** The screws of a cleat into a stud: through it and the plaster board, as long as is sold. */
function intoStud(cleat: number, gravity: number): ScrewJoint {
  const length = longestSold(cleat + PLASTER + STUD.thick);
  // What is in the plaster board is in no wood.
  return {
    screw: SCREW,
    length: length - PLASTER,
    side: { thickness: cleat, wood: { gravity, endGrain: false } },
    main: { thickness: STUD.thick, wood: { gravity: STUD.gravity, endGrain: false } },
  };
}

/** What a hung case pulls at its wall with, on how many studs, and the screws that takes in each. */
export function hungChecks(piece: PanelCase, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const { hung } = piece;
  const cleat = shape.members.find((m) => m.id === HUNG.wall);
  const drop = dropOf(shape.members);
  if (!hung || !cleat || drop === null) return [];
  const about = { kind: 'member', id: cleat.id } as const;
  const unknown = unweighedIn(carried);
  if (unknown.length > 0) {
    const sentence = say`What it hangs on is not judged, since the mass of ${unknown.join(', ')} is not known.`;
    return [{ id: 'hung', severity: 'look', state: 'not judged', about, sentence, fixes: [] }];
  }
  const { kg, out } = massFromWall(shape, carried);
  const { shear, moment, wedge, pull } = cleatForces({ kg, out, drop });
  const found = studsBehind(piece, workshop).filter((x) => x > 0 && x < cleat.length.value).length;
  const spacing = SPACING[workshop.settings.unit];
  const studs = piece.opening === undefined || found === 0 ? studsCrossed(toMm(cleat.length.value), toMm(spacing)).sure : found;
  const loads = say`${mass(kg)} in all, ${fine(out, 0)} from the wall, ${fine(drop, 0)} from cleat to bumper: ${force(shear)} down, and outward the greater of ${force(moment)} (by its weight) and ${force(wedge)} (by the bevel, no friction counted)`;
  if (studs === 0) {
    const sentence = say`${loads}. The cleat, ${len(cleat.length.value)} long, is not sure to cross a stud ${len(spacing)} apart: it must not hang on anchors in plaster board. Find the studs, or screw it into masonry.`;
    return [{ id: 'hung', severity: 'stop', state: 'fails', about, sentence, fixes: [] }];
  }
  const gravity = gravityOf(propertiesOf(cleat.stock));
  const joint = gravity === undefined ? null : intoStud(toMm(cleat.thickness.value), gravity);
  const [z, w] = joint ? [lateral(joint), withdrawal(joint)] : [null, null];
  if (!joint || !z?.judged || !w?.judged) {
    const sentence = say`${loads}. What screws through a cleat of ${cleat.stock.name} hold is not judged: no values are published for it.`;
    return [{ id: 'hung', severity: 'look', state: 'not judged', about, sentence, fixes: [] }];
  }
  const each = combined(w.newtons, z.newtons, (Math.atan2(pull, shear) * 180) / Math.PI);
  const count = screwsFor(shareOfStud(studs) * Math.hypot(shear, pull), each) ?? Infinity;
  const long = joint.length + PLASTER;
  const what = say`${studs === 1 ? 'one stud' : `${studs} studs`}${found > 0 ? '' : say` at least, ${len(spacing)} apart`}`;
  // One over the other in a stud, as far apart as along its grain.
  const most = mostAcross(toMm(cleat.width.value), SCREW);
  if (count > most) {
    const sentence = say`${loads}. On ${what} it would take ${count} screws ${SCREW.name} x ${fine(long, 0)} in each, and no more than ${most} go in one over the other: find more studs, take a wider board for the cleat, make it lighter, or screw it into masonry.`;
    return [{ id: 'hung', severity: 'stop', state: 'fails', about, sentence, fixes: [] }];
  }
  const sentence = say`${loads}. On ${what}: ${count} ${count === 1 ? 'screw' : 'screws'} ${SCREW.name} x ${fine(long, 0)} in each (${force(each)} each, NDS 2018 12.4.1, studs of softwood taken).${studs === 1 ? ' One stud alone lets it turn: find another.' : ''}`;
  return [{ id: 'hung', severity: studs === 1 ? 'look' : 'good', state: studs === 1 ? 'close' : 'fine', about, sentence, fixes: [] }];
}
