import { UNBRACED, columnOf, ofWhatIsSafe, type Carried, type CarriedMember, type ColumnAnswer } from '../carry/index.js';
import { asBefore, fine, force, say } from '../figure/index.js';
import { pieceFix, severityOf, type Check } from '../finding/index.js';
import { hangs, isBack, type Letters, type Member, type Piece, type Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { shellOf } from '../shells/index.js';
import { capital, nameOf } from './names.js';

interface Judged {
  readonly c: CarriedMember;
  readonly answer: ColumnAnswer;
}

/** As near to it as another but for rounding: the first counts. */
const ALIKE = 1 + 1e-9;

const isPost = ({ role }: Member) => role === 'post';

/** Whether a member stands upright in a piece, so that what it carries presses it along. */
const stands = ({ frame: { u, v, n } }: Member) => n[1] === 0 && (Math.abs(u[1]) > 1 - 1e-9 || Math.abs(v[1]) > 1 - 1e-9);

/** What stands upright under something, with how near it is to bowing out; null where nothing is published. */
type Columns = readonly { readonly c: CarriedMember; readonly answer: ColumnAnswer | null }[];

const columnsAsBefore = asBefore<Carried, Columns>();

/** Posts, sides, dividers and legs that something stands on, each with how near it is to bowing out. */
export const columnsIn = (piece: Piece, shape: Shape, carried: Carried, workshop: Workshop): Columns =>
  columnsAsBefore(carried, { same: [piece, workshop.settings], alike: null }, () => newColumns(piece, shape, carried, workshop));

function newColumns(piece: Piece, shape: Shape, carried: Carried, workshop: Workshop): Columns {
  if (hangs(shape)) return [];
  const byId = new Map(shape.members.map((m) => [m.id, m]));
  // A back, or the wall, keeps what is beside it from moving aside; posts are asked as if nothing did.
  const kept = piece.fixedToWall || piece.opening !== undefined || shape.members.some(isBack);
  return shape.members.flatMap((m) => {
    const c = carried.members.get(m.id);
    if (!c || c.handed.length === 0 || c.unknown.length > 0 || c.bending || isBack(m) || !stands(m)) return [];
    return [{ c, answer: columnOf(c, shape.joints, byId, workshop.settings, kept && !isPost(m) ? 1 : UNBRACED) }];
  });
}

/** What stands upright and is nearest to bowing out under what it carries; said of posts where it is fine too. */
export function postChecks(piece: Piece, shape: Shape, carried: Carried, letters: Letters, workshop: Workshop): Check[] {
  const judged = columnsIn(piece, shape, carried, workshop).filter((j): j is Judged => j.answer !== null);
  const mostUsed = (of: readonly Judged[]) =>
    of.reduce<Judged | null>((most, j) => (most && most.answer.used * ALIKE >= j.answer.used ? most : j), null);
  const worst = mostUsed(judged);
  const told = worst?.answer.state === 'fine' ? mostUsed(judged.filter((j) => isPost(j.c.member))) : worst;
  if (!told) return [];
  const { c, answer } = told;
  const { state, free, times, newtons, holds, used } = answer;
  const aside = times > 1 ? say`, taken twice since its head may move aside` : say``;
  const how = say`${force(newtons)} on it, with ${fine(free, 0)} that nothing holds${aside}`;
  const good = state === 'fine';
  const sentence = good
    ? say`Of the posts ${nameOf(c.member, letters)} is used most: ${how}. It would take ${force(holds)} (EN 1995-1-1 6.3.2).`
    : say`${capital(nameOf(c.member, letters))} carries ${ofWhatIsSafe(used)}: ${how}. It takes ${force(holds)} before it bows out (EN 1995-1-1 6.3.2).`;
  const thicker = [...workshop.stock]
    .filter(([other, s]) => other !== c.member.stockId && s.form === c.member.stock.form && s.thickness > c.member.stock.thickness)
    .sort(([, a], [, b]) => a.thickness - b.thickness);
  const fixes = good
    ? []
    : thicker.slice(0, 2).flatMap(([other, s]) => {
        const edit = shellOf(piece).withStock(piece, c.member, other);
        return edit ? [pieceFix(say`${isPost(c.member) ? 'Posts of' : 'Make it of'} ${s.name}`, edit)] : [];
      });
  return [
    {
      id: good ? 'posts-fine' : `post-${c.member.id}`,
      severity: severityOf(state),
      state,
      about: { kind: 'member', id: c.member.id },
      sentence,
      fixes,
    },
  ];
}
