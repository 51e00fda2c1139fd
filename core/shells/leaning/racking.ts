import { asNewtons, type Newtons } from '../../measures/index.js';
import { bendingStrength, columnOf, lateral, pushOf, rowBetween, stateOf, type Carried } from '../../carry/index.js';
import { force, say } from '../../figure/index.js';
import { leanCheck, toWall, type Check } from '../../finding/index.js';
import { toMm } from '../../length/index.js';
import { boxOf, type Member, type Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import { LEANING } from './ids.js';
import type { Leaning } from './spec.js';
import { asFix, braced } from './ways.js';

/** Screws that go in the end of a brace. */
const SCREWS_IN_END = 2;

/** What a brace takes of a push at the top, N, and what gives way; null where that is not known. */
function takenBy(brace: Member, shape: Shape, workshop: Workshop): { readonly newtons: Newtons; readonly by: string } | null {
  const { settings } = workshop;
  const sides = shape.members.filter((m) => m.id === LEANING.left || m.id === LEANING.right);
  const [side] = sides;
  if (!side) return null;
  const screws = sides.map((s) => rowBetween(s, brace, settings.unit)).map((row) => ('why' in row ? null : lateral(row.joint)));
  const column = columnOf({ member: brace, total: asNewtons(0) }, [], new Map(), settings, 1);
  const strength = bendingStrength(propertiesOf(side.stock).material, settings.serviceClass, false, 'short');
  if (!column || !strength.judged || !screws.every((s) => s?.judged)) return null;
  const end = SCREWS_IN_END * Math.min(...screws.map((s) => (s?.judged ? s.newtons : 0)));
  const { y0, y1 } = boxOf(brace);
  const [low, up, top] = [toMm(y0), toMm(y1), toMm(boxOf(side).y1)];
  // A brace in one space holds the sides there: P h = F b about their feet, F along the floor.
  const level = Math.abs(brace.frame.u[0]);
  const times = (up - low) / top;
  const strip = level * Math.min(end, column.holds) * times;
  // Over and under it both sides bend across their thin way: the longer of the two decides.
  const modulus = (toMm(side.width.value) * toMm(side.thickness.value) ** 2) / 6;
  const bends = (2 * strength.allowed * modulus) / Math.max(low, top - up, 1);
  return strip < bends
    ? { newtons: asNewtons(strip), by: `with ${SCREWS_IN_END} screws in each end` }
    : { newtons: asNewtons(bends), by: 'before the sides break over or under it' };
}

/** Whether a push at the top leans it over sideways, and what keeps it from that: the wall, or a brace. Shelves in housings alone are not counted on. */
export function leaningRacking(piece: Leaning, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const push = pushOf(carried);
  const pushed = say`A push of ${force(push)} at its top, sideways`;
  const brace = shape.members.find((m) => m.id === LEANING.brace);
  if (piece.fixedToWall) return [leanCheck('good', 'fine', say`${pushed}, is taken by the wall that it is fixed to there.`, [])];
  if (!brace) {
    return [
      leanCheck('look', 'fails', say`${pushed}, leans it over: shelves in their sides alone are not counted on.`, [
        toWall(),
        ...braced(piece).map(asFix),
      ]),
    ];
  }
  const takes = takenBy(brace, shape, workshop);
  if (!takes) return [leanCheck('look', 'not checked', say`${pushed}: what its brace takes is not checked.`, [toWall()])];
  const state = stateOf(push, takes.newtons);
  const sentence = say`${pushed}: its brace takes ${force(takes.newtons)}, ${takes.by}.`;
  return [leanCheck(state === 'fine' ? 'good' : 'look', state, sentence, state === 'fine' ? [] : [toWall()])];
}
