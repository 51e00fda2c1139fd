import { columnOf, ofWhatIsSafe, type Carried, type CarriedMember, type ColumnAnswer } from '../carry/index.js';
import { fine, force, say } from '../figure/index.js';
import { pieceFix, type Check } from '../finding/index.js';
import type { Letters, Piece, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { shellOf } from '../shells/index.js';
import { propertiesOf } from '../stock/index.js';
import { capital, nameOf } from './names.js';

interface Judged {
  readonly c: CarriedMember;
  readonly answer: ColumnAnswer;
  readonly used: number;
}

/** Posts that are of no solid wood: what they bow out under is not published. */
function notJudged({ members }: Shape, carried: Carried): Check[] {
  const posts = members.filter((m) => m.role === 'post' && propertiesOf(m.stock).material.form !== 'solid' && carried.members.has(m.id));
  const [first] = posts;
  if (!first) return [];
  return [
    {
      id: 'posts-not-judged',
      severity: 'look',
      state: 'not judged',
      about: { kind: 'member', id: first.id },
      sentence: say`Whether posts of ${first.stock.name} bow out under what they carry is not judged: no values are published for posts of sheets.`,
      fixes: [],
    },
  ];
}

/** The post that is nearest to bowing out under what it carries; said where it is fine too. */
export function postChecks(piece: Piece, shape: Shape, carried: Carried, letters: Letters, workshop: Workshop): Check[] {
  if (!shape.members.some((m) => m.role === 'post')) return [];
  const byId = new Map(shape.members.map((m) => [m.id, m]));
  const open = notJudged(shape, carried);
  const posts = shape.members.flatMap((m): Judged[] => {
    const c = m.role === 'post' ? carried.members.get(m.id) : undefined;
    const answer = c && c.unknown.length === 0 ? columnOf(c, shape.joints, byId, workshop.settings) : null;
    return c && answer ? [{ c, answer, used: answer.holds > 0 ? c.total / answer.holds : Infinity }] : [];
  });
  const [first, ...rest] = posts;
  if (!first) return open;
  const worst = rest.reduce((most, p) => (p.used > most.used ? p : most), first);
  const { c, answer, used } = worst;
  const { state, free, holds } = answer;
  const name = capital(nameOf(c.member, letters));
  const about = { kind: 'member', id: c.member.id } as const;
  const how = say`${force(c.total)} on it, with ${fine(free, 0)} that nothing holds, taken twice since its head may move aside`;
  if (state === 'fine') {
    return [
      ...open,
      {
        id: 'posts-fine',
        severity: 'good',
        state,
        about,
        sentence: say`Of the posts ${nameOf(c.member, letters)} is used most: ${how}. It would take ${force(holds)} (EN 1995-1-1 6.3.2).`,
        fixes: [],
      },
    ];
  }
  const thicker = [...workshop.stock]
    .filter(([other, s]) => other !== c.member.stockId && s.form === 'board' && s.thickness > c.member.stock.thickness)
    .sort(([, a], [, b]) => a.thickness - b.thickness);
  const fixes = thicker.slice(0, 2).flatMap(([other, s]) => {
    const edit = shellOf(piece).withStock(piece, c.member, other);
    return edit ? [pieceFix(say`Posts of ${s.name}`, edit)] : [];
  });
  return [
    ...open,
    {
      id: `post-${c.member.id}`,
      severity: state === 'fails' ? 'stop' : 'look',
      state,
      about,
      sentence: say`${name} carries ${ofWhatIsSafe(used)}: ${how}. It takes ${force(holds)} before it bows out (EN 1995-1-1 6.3.2).`,
      fixes,
    },
  ];
}
