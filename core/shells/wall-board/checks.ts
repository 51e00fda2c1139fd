import {
  bendingStrength,
  cleatForces,
  judgeStress,
  massFromWall,
  ofWhatIsSafe,
  unweighedIn,
  type Carried,
  type CarriedMember,
} from '../../carry/index.js';
import { fine, force, mass, say, type Sentence } from '../../figure/index.js';
import type { Check } from '../../finding/index.js';
import { studsBehind } from '../../interiors/panels/to-back.js';
import { toMm } from '../../length/index.js';
import { boxOf, type Member, type Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import { screwedToStuds } from '../on-studs.js';
import { WALL_BOARD } from './ids.js';
import type { WallBoard } from './spec.js';

/** A fin whose middle is no further than this from that of a stud stands on it, mm: half of a stud as it is sold. */
const NEAR = 19;

/** What the board pulls at the wall with, on how many studs, and what fins pull at it between them. */
export function wallBoardChecks(piece: WallBoard, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const board = shape.members.find((m) => m.id === WALL_BOARD.board);
  if (!board) return [];
  const unknown = unweighedIn(carried);
  if (unknown.length > 0) {
    const sentence = say`What its board hangs on is not judged, since the mass of ${unknown.join(', ')} is not known.`;
    return [{ id: 'hung', severity: 'look', state: 'not judged', about: { kind: 'member', id: board.id }, sentence, fixes: [] }];
  }
  return [...onWall(piece, board, shape, carried, workshop), ...finsOnStuds(piece, board, shape, carried, workshop)];
}

/**
 * The whole of it on the screws through the board. Turned about its lower edge, screws all the way up it are pulled the more the higher
 * they are, the uppermost at 3 M / h over their count.
 */
function onWall(piece: WallBoard, board: Member, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const { kg, out } = massFromWall(shape, carried);
  const { y0, y1 } = boxOf(board);
  const high = toMm(y1) - toMm(y0);
  const { shear, moment } = cleatForces({ kg, out, drop: high / 3 });
  const loads = say`${mass(kg)} in all, ${fine(out, 0)} from the wall: ${force(shear)} down, and as if ${force(moment)} outward, by which the uppermost screws of a board ${fine(high, 0)} high are pulled`;
  const more = 'make the board higher';
  return screwedToStuds(piece, { member: board, name: 'wall board', loads, shear, pull: moment, more }, workshop);
}

/** The studs on either side of a place, or on one side alone, mm. */
function besides(studs: readonly number[], at: number): { readonly before: number | undefined; readonly after: number | undefined } {
  return { before: studs.filter((s) => s <= at).at(-1), after: studs.find((s) => s > at) };
}

/** What bends the board where a fin pulls at it by so much, N mm: between two studs as a beam on these, past the last as it stands out from that. */
function bendsBy(pull: number, at: number, studs: readonly number[]): number | null {
  const { before, after } = besides(studs, at);
  if (before !== undefined && after !== undefined) return (pull * (at - before) * (after - at)) / (after - before);
  const nearest = before ?? after;
  return nearest === undefined ? null : pull * Math.abs(at - nearest);
}

/** How far out the load of a fin lies, as its joint says, mm. */
const outOf = ({ supports }: CarriedMember) => supports.find((s) => s.carrier === WALL_BOARD.board)?.out ?? 0;

/**
 * Fins that stand on no stud: the board alone takes their pull there, its upper half of the fin's height as one strip that
 * bends between the studs (M / (2/3 h) outward, at the middle of what is pulled).
 */
function finsOnStuds(piece: WallBoard, board: Member, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const studs = studsBehind(piece, workshop)
    .map(toMm)
    .filter((s) => s > 0 && s < toMm(shape.overall.width.value))
    .sort((a, b) => a - b);
  const fins = shape.joints.flatMap((j) => {
    const fin = j.carrier === board.id && j.how === 'screws' ? carried.members.get(j.carried) : undefined;
    return fin ? [fin] : [];
  });
  const check = (fin: Member, severity: Check['severity'], state: Check['state'], sentence: Sentence): Check => ({
    id: 'fin-on-stud',
    severity,
    state,
    about: { kind: 'member', id: fin.id },
    sentence,
    fixes: [],
  });
  return fins.map((fin): Check => {
    const { x0, x1, y0, y1 } = boxOf(fin.member);
    const at = (toMm(x0) + toMm(x1)) / 2;
    const high = toMm(y1) - toMm(y0);
    const pull = (fin.total * outOf(fin)) / ((2 / 3) * high);
    const pulls = say`The ${fin.member.label} pulls ${force(pull)} outward at its upper half`;
    if (studs.length === 0)
      return check(
        fin.member,
        'look',
        'not judged',
        say`${pulls}, and no stud was found behind it: read where they are, or screw the board into masonry.`,
      );
    const near = studs.find((s) => Math.abs(s - at) <= NEAR);
    if (near !== undefined)
      return check(fin.member, 'good', 'fine', say`${pulls}, on the stud ${fine(near, 0)} from the left end of the board.`);
    const bends = bendsBy(pull, at, studs) ?? 0;
    const thick = toMm(board.thickness.value);
    const stress = (6 * bends) / ((high / 2) * thick ** 2);
    const across = board.frame.u[0] === 0;
    const strength = bendingStrength(propertiesOf(board.stock).material, workshop.settings.serviceClass, across);
    const { state, used } = judgeStress(stress, strength);
    const { before, after } = besides(studs, at);
    const where =
      before !== undefined && after !== undefined
        ? say`between the studs at ${fine(before, 0)} and ${fine(after, 0)} from the left end of the board`
        : say`${fine(Math.abs(at - (before ?? after ?? at)), 0)} past the stud at ${fine(before ?? after ?? at, 0)} from the left end of the board`;
    const on = say`${pulls}, on no stud: it is ${where}`;
    if (!strength.judged || used === null)
      return check(
        fin.member,
        'look',
        'not judged',
        say`${on}, and what the board takes there is not judged: ${strength.judged ? '' : strength.reason}.`,
      );
    const sentence = say`${on}, and bends the board there to ${ofWhatIsSafe(used)}. ${state === 'fine' ? 'The board takes that.' : 'Set it over a stud, or take a thicker board.'}`;
    return check(fin.member, state === 'fails' ? 'stop' : state === 'close' ? 'look' : 'good', state, sentence);
  });
}
