import { asKg, type Kilograms } from '../../measures/index.js';
import { GRAVITY, cleatForces, massFromWall, shareOfStud, stateOf, unweighedIn, type Carried } from '../../carry/index.js';
import { fine, force, mass, say } from '../../figure/index.js';
import type { Check } from '../../finding/index.js';
import { studsBehind } from '../../interiors/panels/to-back.js';
import { add, mm, sub } from '../../length/index.js';
import { boxOf, type Member, type Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { screwedToStuds } from '../on-studs.js';
import { dropOf } from './hung.js';
import { CASE, HUNG } from './ids.js';
import type { PanelCase } from './spec.js';

/** What a hung case pulls at its wall with, on how many studs, and the screws that takes in each; or what its keyholes are rated for. */
export function hungChecks(piece: PanelCase, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const { hung } = piece;
  const held = shape.members.find((m) => m.id === HUNG.wall || m.id === HUNG.rail);
  const drop = dropOf(piece, shape.members);
  if (!hung || drop === null || !(held ?? 'keyholes' in hung)) return [];
  const about = held ? ({ kind: 'member', id: held.id } as const) : ({ kind: 'piece' } as const);
  const unknown = unweighedIn(carried);
  if (unknown.length > 0) {
    const sentence = say`What it hangs on is not checked, since the mass of ${unknown.join(', ')} is not known.`;
    return [{ id: 'hung', severity: 'look', state: 'not checked', about, sentence, fixes: [] }];
  }
  const { kg, out } = massFromWall(shape, carried);
  const all = cleatForces({ kg, out, drop });
  if (!held) return 'keyholes' in hung ? onKeyholes(hung.keyholes, piece, shape, { kg, out, drop, ...all }, workshop) : [];
  return inStuds(piece, held, { kg, out, drop, ...all }, workshop);
}

/** What pulls at the wall: how much of it there is, and where, and the forces of that. */
type Pulls = ReturnType<typeof cleatForces> & { readonly kg: Kilograms; readonly out: number; readonly drop: number };

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
  const loads = say`${mass(kg)} in all, ${fine(out, 0)} from the wall, ${fine(drop, 0)} over its lower edge: ${force(shear)} down and ${force(moment)} outward, on two keyholes that do not share it evenly, ${mass(asKg(each / GRAVITY))} on one`;
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
  if (rated === undefined) return [check('not checked', say`${loads}: not checked, since what one is rated for is not known.${where}`)];
  const state = stateOf(each / GRAVITY, rated);
  const told = say`${loads}, and ${mass(asKg(rated))} is what one is rated for.${where}`;
  return [check(state === 'fine' && bare.length > 0 ? 'close' : state, told)];
}

/** The screws of a cleat, or of a rail, in each stud that it crosses. */
function inStuds(
  piece: PanelCase,
  cleat: Member,
  { kg, out, drop, shear, moment, wedge, ...forces }: Pulls,
  workshop: Workshop,
): readonly Check[] {
  const bevelled = cleat.id === HUNG.wall;
  const name = bevelled ? 'cleat' : 'hanging rail';
  // Sides that are notched for it reach the wall themselves.
  const bumped = bevelled && piece.hung !== undefined && 'cleat' in piece.hung && !piece.hung.cleat.notched;
  const weighs = say`${mass(kg)} in all, ${fine(out, 0)} from the wall, ${fine(drop, 0)} ${bumped ? 'from cleat to bumper' : 'over its lower edge'}: ${force(shear)} down`;
  const loads = bevelled
    ? say`${weighs}, and outward the greater of ${force(moment)} (by its weight) and ${force(wedge)} (by the bevel, no friction counted)`
    : say`${weighs}, and ${force(moment)} outward`;
  const more = `take a wider board for the ${name}`;
  const { x0, x1 } = boxOf(cleat);
  const found = studsBehind(piece, workshop).filter((x) => x > x0 && x < x1).length;
  return screwedToStuds({ member: cleat, name, loads, shear, pull: bevelled ? forces.pull : moment, more, found }, workshop);
}
