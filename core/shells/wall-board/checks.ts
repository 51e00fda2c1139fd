import { asNewtons, asMPa, type Newtons } from '../../measures/index.js';
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
import { pieceFix, type Check, type Fix } from '../../finding/index.js';
import { mm, toMm } from '../../length/index.js';
import { boxOf, type Member, type Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import { screwedToStuds } from '../on-studs.js';
import { WALL_BOARD } from './ids.js';
import { studsOf } from './on-wall.js';
import type { WallBoard } from './spec.js';

/** A fin whose middle is no further than this from that of a stud stands on it, mm: half of a stud as it is sold. */
const NEAR = 19;
/** A fin is not set nearer than this to another, mm. */
const BESIDE = 60;

/** What the board pulls at the wall with, on how many studs, and what fins pull at it between them. */
export function wallBoardChecks(piece: WallBoard, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const board = shape.members.find((m) => m.id === WALL_BOARD.board);
  if (!board) return [];
  const unknown = unweighedIn(carried);
  if (unknown.length > 0) {
    const sentence = say`What its board hangs on is not checked, since the mass of ${unknown.join(', ')} is not known.`;
    return [{ id: 'hung', severity: 'look', state: 'not checked', about: { kind: 'member', id: board.id }, sentence, fixes: [] }];
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
  const found = studsOf(piece, shape.overall.width.value, workshop).length;
  return screwedToStuds({ member: board, name: 'wall board', loads, shear, pull: moment, more, found }, workshop);
}

/** The studs on either side of a place, or on one side alone, mm. */
function besides(studs: readonly number[], at: number): { readonly before: number | undefined; readonly after: number | undefined } {
  return { before: studs.filter((s) => s <= at).at(-1), after: studs.find((s) => s > at) };
}

/** What bends the board where a fin pulls at it by so much, N mm: between two studs as a beam on these, past the last as it stands out from that. */
function bendsBy(pull: Newtons, at: number, studs: readonly number[]): number {
  const { before, after } = besides(studs, at);
  if (before !== undefined && after !== undefined) return (pull * (at - before) * (after - at)) / (after - before);
  return pull * Math.abs(at - (before ?? after ?? at));
}

/** A fin, where its middle is along the board, and how it pulls there: M / (2/3 h) outward, at the middle of its upper half. */
interface Fin {
  readonly member: Member;
  readonly at: number;
  readonly high: number;
  readonly pull: Newtons;
}

function finOf({ member, total, supports }: CarriedMember): Fin {
  const { x0, x1, y0, y1 } = boxOf(member);
  const high = toMm(y1) - toMm(y0);
  const out = supports.find((s) => s.carrier === WALL_BOARD.board)?.out ?? 0;
  return { member, at: (toMm(x0) + toMm(x1)) / 2, high, pull: asNewtons((total * out) / ((2 / 3) * high)) };
}

const finCheck = (
  about: Member,
  severity: Check['severity'],
  state: Check['state'],
  sentence: Sentence,
  fixes: readonly Fix[] = [],
): Check => ({
  id: 'fin-on-stud',
  severity,
  state,
  about: { kind: 'member', id: about.id },
  sentence,
  fixes,
});

/** What puts a fin on the nearest stud that is between those beside it; the outermost stay at the ends of their row. */
function toStud(fin: Fin, fins: readonly Fin[], studs: readonly number[]): readonly Fix[] {
  if (fin.member.node === WALL_BOARD.node) return [];
  const half = toMm(fin.member.thickness.value) / 2;
  const others = fins.filter((f) => f !== fin).map((f) => f.at);
  const [before, after] = [Math.max(...others.filter((o) => o < fin.at)), Math.min(...others.filter((o) => o > fin.at))];
  const [nearest] = studs
    .filter((s) => s > before + BESIDE && s < after - BESIDE)
    .sort((a, b) => Math.abs(a - fin.at) - Math.abs(b - fin.at));
  if (nearest === undefined) return [];
  return [pieceFix(say`Set it over the stud at ${fine(nearest, 0)}`, { kind: 'pin', member: fin.member.node, at: mm(nearest - half) })];
}

/** Where a fin is that stands on no stud. */
function whereOf(at: number, studs: readonly number[]): Sentence {
  const { before, after } = besides(studs, at);
  const end = 'from the left end of the board';
  if (before !== undefined && after !== undefined) return say`between the studs at ${fine(before, 0)} and ${fine(after, 0)} ${end}`;
  const nearest = before ?? after ?? at;
  return say`${fine(Math.abs(at - nearest), 0)} past the stud at ${fine(nearest, 0)} ${end}`;
}

/** Fins that stand on no stud: the board alone takes their pull there, a strip half as high as the fin that bends between the studs. */
function finsOnStuds(piece: WallBoard, board: Member, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const studs = studsOf(piece, shape.overall.width.value, workshop).map(toMm);
  const fins = shape.joints.flatMap((j): Fin[] => {
    const fin = j.carrier === board.id && j.how === 'screws' ? carried.members.get(j.carried) : undefined;
    return fin ? [finOf(fin)] : [];
  });
  if (studs.length === 0) {
    const most = Math.max(0, ...fins.map((f) => f.pull));
    const unknown = say`Fins pull up to ${force(asNewtons(most))} outward at their upper halves, and no stud was found behind them: read where they are, or screw the board into masonry.`;
    return [finCheck(board, 'look', 'not checked', unknown)];
  }
  const across = board.frame.u[0] === 0;
  const strength = bendingStrength(propertiesOf(board.stock).material, workshop.settings.serviceClass, across);
  return fins.map((fin): Check => {
    const pulls = say`The ${fin.member.label} pulls ${force(fin.pull)} outward at its upper half`;
    const near = studs.find((s) => Math.abs(s - fin.at) <= NEAR);
    if (near !== undefined)
      return finCheck(fin.member, 'good', 'fine', say`${pulls}, on the stud ${fine(near, 0)} from the left end of the board.`);
    const stress = (6 * bendsBy(fin.pull, fin.at, studs)) / ((fin.high / 2) * toMm(board.thickness.value) ** 2);
    const { state, used } = judgeStress(asMPa(stress), strength);
    const on = say`${pulls}, on no stud: it is ${whereOf(fin.at, studs)}`;
    const fixes = toStud(fin, fins, studs);
    if (!strength.judged || used === null) {
      const why = strength.judged ? 'its strength is not known' : strength.reason;
      return finCheck(fin.member, 'look', 'not checked', say`${on}, and what the board takes there is not checked: ${why}.`, fixes);
    }
    const bends = say`${on}, and bends the board there to ${ofWhatIsSafe(used)}.`;
    if (state === 'fine') return finCheck(fin.member, 'good', state, say`${bends} The board takes that.`);
    return finCheck(
      fin.member,
      state === 'fails' ? 'stop' : 'look',
      state,
      say`${bends} Set it over a stud, or take a thicker board.`,
      fixes,
    );
  });
}
