import {
  GRAVITY,
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
  stateOf,
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
import { add, inch, mm, sub, toMm } from '../../length/index.js';
import { boxOf, type Member, type Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import { dropOf } from './hung.js';
import { CASE, HUNG } from './ids.js';
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

/** What a hung case pulls at its wall with, on how many studs, and the screws that takes in each; or what its keyholes are rated for. */
export function hungChecks(piece: PanelCase, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const { hung } = piece;
  const held = shape.members.find((m) => m.id === HUNG.wall || m.id === HUNG.rail);
  const drop = dropOf(piece, shape.members);
  if (!hung || drop === null || !(held ?? 'keyholes' in hung)) return [];
  const about = held ? ({ kind: 'member', id: held.id } as const) : ({ kind: 'piece' } as const);
  const unknown = unweighedIn(carried);
  if (unknown.length > 0) {
    const sentence = say`What it hangs on is not judged, since the mass of ${unknown.join(', ')} is not known.`;
    return [{ id: 'hung', severity: 'look', state: 'not judged', about, sentence, fixes: [] }];
  }
  const { kg, out } = massFromWall(shape, carried);
  const all = cleatForces({ kg, out, drop });
  if (!held) return 'keyholes' in hung ? onKeyholes(hung.keyholes, piece, shape, { kg, out, drop, ...all }, workshop) : [];
  return inStuds(piece, held, { kg, out, drop, ...all }, workshop);
}

/** What pulls at the wall: how much of it there is, and where, and the forces of that. */
type Pulls = ReturnType<typeof cleatForces> & { readonly kg: number; readonly out: number; readonly drop: number };

/** A screw in a stud is no further from the middle of a side than this, mm. */
const NEAR_STUD = mm(25);

/** Two plates in the rear edges of the sides, each over a screw. */
function onKeyholes(
  { rated }: Extract<NonNullable<PanelCase['hung']>, { keyholes: unknown }>['keyholes'],
  piece: PanelCase,
  shape: Shape,
  { kg, out, drop, shear, moment }: Pulls,
  workshop: Workshop,
): readonly Check[] {
  const sides = shape.members.filter((m) => m.id === CASE.left || m.id === CASE.right).map(boxOf);
  const studs = studsBehind(piece, workshop);
  const bare = sides.filter((s) => !studs.some((x) => x > sub(s.x0, NEAR_STUD) && x < add(s.x1, NEAR_STUD)));
  // Neither of the two is sure to take no more than half.
  const each = shareOfStud(2) * shear;
  const loads = say`${mass(kg)} in all, ${fine(out, 0)} from the wall, ${fine(drop, 0)} over its lower edge: ${force(shear)} down and ${force(moment)} outward, on two keyholes that do not share it evenly, ${mass(each / GRAVITY)} on one`;
  const check = (state: Check['state'], sentence: Check['sentence']): Check => ({
    id: 'hung',
    severity: state === 'fails' ? 'stop' : state === 'fine' ? 'good' : 'look',
    state,
    about: { kind: 'piece' },
    sentence,
    fixes: [],
  });
  const where =
    bare.length > 0
      ? say` No stud is known behind ${bare.length > 1 ? 'either side' : 'one of its sides'}: their screws must not hang on plaster board alone; a rail or a cleat reaches the studs beside them.`
      : say``;
  if (rated === undefined) return [check('not judged', say`${loads}: not judged, since what one is rated for is not known.${where}`)];
  const state = stateOf(each / GRAVITY, rated);
  const told = say`${loads}, and ${mass(rated)} is what one is rated for.${where}`;
  return [check(state === 'fine' && bare.length > 0 ? 'close' : state, told)];
}

/** The screws of a cleat, or of a rail, in each stud that it crosses. */
function inStuds(
  piece: PanelCase,
  cleat: Member,
  { kg, out, drop, shear, moment, wedge, ...forces }: Pulls,
  workshop: Workshop,
): readonly Check[] {
  const about = { kind: 'member', id: cleat.id } as const;
  const bevelled = cleat.id === HUNG.wall;
  const name = bevelled ? 'cleat' : 'hanging rail';
  // Sides that are notched for it reach the wall themselves.
  const bumped = bevelled && piece.hung !== undefined && 'cleat' in piece.hung && !piece.hung.cleat.notched;
  const pull = bevelled ? forces.pull : moment;
  const left = boxOf(cleat).x0;
  const found = studsBehind(piece, workshop).filter((x) => x > left && x < add(left, cleat.length.value)).length;
  const spacing = SPACING[workshop.settings.unit];
  const studs = piece.opening === undefined || found === 0 ? studsCrossed(toMm(cleat.length.value), toMm(spacing)).sure : found;
  const weighs = say`${mass(kg)} in all, ${fine(out, 0)} from the wall, ${fine(drop, 0)} ${bumped ? 'from cleat to bumper' : 'over its lower edge'}: ${force(shear)} down`;
  const loads = bevelled
    ? say`${weighs}, and outward the greater of ${force(moment)} (by its weight) and ${force(wedge)} (by the bevel, no friction counted)`
    : say`${weighs}, and ${force(moment)} outward`;
  if (studs === 0) {
    const sentence = say`${loads}. The ${name}, ${len(cleat.length.value)} long, is not sure to cross a stud ${len(spacing)} apart: it must not hang on anchors in plaster board. Find the studs, or screw it into masonry.`;
    return [{ id: 'hung', severity: 'stop', state: 'fails', about, sentence, fixes: [] }];
  }
  const gravity = gravityOf(propertiesOf(cleat.stock));
  const joint = gravity === undefined ? null : intoStud(toMm(cleat.thickness.value), gravity);
  const [z, w] = joint ? [lateral(joint), withdrawal(joint)] : [null, null];
  if (!joint || !z?.judged || !w?.judged) {
    const sentence = say`${loads}. What screws through a ${name} of ${cleat.stock.name} hold is not judged: no values are published for it.`;
    return [{ id: 'hung', severity: 'look', state: 'not judged', about, sentence, fixes: [] }];
  }
  const each = combined(w.newtons, z.newtons, (Math.atan2(pull, shear) * 180) / Math.PI);
  const count = screwsFor(shareOfStud(studs) * Math.hypot(shear, pull), each) ?? Infinity;
  const long = joint.length + PLASTER;
  const what = say`${studs === 1 ? 'one stud' : `${studs} studs`}${found > 0 ? '' : say` at least, ${len(spacing)} apart`}`;
  // One over the other in a stud, as far apart as along its grain.
  const most = mostAcross(toMm(cleat.width.value), SCREW);
  if (count > most) {
    const sentence = say`${loads}. On ${what} it would take ${count} screws ${SCREW.name} x ${fine(long, 0)} in each, and no more than ${most} go in one over the other: find more studs, take a wider board for the ${name}, make it lighter, or screw it into masonry.`;
    return [{ id: 'hung', severity: 'stop', state: 'fails', about, sentence, fixes: [] }];
  }
  const sentence = say`${loads}. On ${what}: ${count} ${count === 1 ? 'screw' : 'screws'} ${SCREW.name} x ${fine(long, 0)} in each (${force(each)} each, NDS 2018 12.4.1, studs of softwood taken).${studs === 1 ? ' One stud alone lets it turn: find another.' : ''}`;
  return [{ id: 'hung', severity: studs === 1 ? 'look' : 'good', state: studs === 1 ? 'close' : 'fine', about, sentence, fixes: [] }];
}
