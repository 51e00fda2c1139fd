import { lateral, pushOf, rowBetween, stateOf, worse, type Carried, type State } from '../../carry/index.js';
import { force, say, type Sentence } from '../../figure/index.js';
import { leanCheck, pieceFix, toWall, type Check, type Fix } from '../../finding/index.js';
import { greatest, sub, toMm } from '../../length/index.js';
import { boxOf, type Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { FRAME } from './ids.js';
import type { Frame } from './spec.js';

/** Screws round a sheet, one so often, mm, typical. */
const SPACING = 200;

/** What takes a push at the top in one direction. */
interface Takes {
  readonly state: State;
  readonly sentence: Sentence;
}

/** A sheet screwed to posts and rails: the lateral value of one screw over their spacing, along the width of the sheet. */
function bySheet(ids: readonly string[], shape: Shape, push: number, way: string): Takes {
  const sheet = shape.members.find((m) => m.id === ids[0]);
  const posts = shape.members.filter((m) => m.role === 'post' || m.role === 'rail');
  if (!sheet) return { state: 'fails', sentence: say`nothing keeps it from leaning ${way}` };
  const rows = posts.map((post) => rowBetween(sheet, post)).flatMap((row) => ('why' in row ? [] : [row]));
  const [row] = rows;
  const value = row && lateral(row.joint);
  if (!value?.judged) return { state: 'not judged', sentence: say`what its sheet takes ${way} is not judged` };
  const { x0, x1, z0, z1 } = boxOf(sheet);
  const wide = toMm(greatest([sub(x1, x0), sub(z1, z0)]));
  const takes = (value.newtons / SPACING) * wide * ids.length;
  return {
    state: stateOf(push, takes),
    sentence: say`${ids.length > 1 ? 'its sheets take' : 'its sheet takes'} ${force(takes)} ${way}, screwed every 200`,
  };
}

/** Whether a push at the top leans a frame over, sideways or to the front, and what keeps it from that. Rails and posts alone are not counted on. */
export function frameRacking(piece: Frame, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const push = pushOf(carried);
  const pushed = say`A push of ${force(push)} at its top`;
  if (piece.fixedToWall) return [leanCheck('good', 'fine', say`${pushed} is taken by the wall that it is fixed to at the top.`, [])];
  const { sheets } = piece;
  const sideways = bySheet(sheets?.rear ? [FRAME.rear] : [], shape, push, 'sideways');
  const forward = bySheet(sheets?.ends ? [FRAME.left, FRAME.right] : [], shape, push, 'to the front and the rear');
  const state = worse(sideways.state, forward.state);
  const [thin] = [...workshop.stock].filter(([, s]) => s.form === 'sheet').sort(([, a], [, b]) => a.thickness - b.thickness);
  const add = (which: 'rear' | 'ends', label: string): Fix[] =>
    thin && !sheets?.[which]
      ? [pieceFix(say`${label} of ${thin[1].name}`, { kind: 'piece', patch: { sheets: { ...sheets, [which]: { stock: thin[0] } } } })]
      : [];
  const fixes = [
    ...(sideways.state === 'fails' ? add('rear', 'A sheet at its rear') : []),
    ...(forward.state === 'fails' ? add('ends', 'Sheets at its ends') : []),
    toWall(),
  ];
  const bare = state === 'fails' && !sheets?.rear && !sheets?.ends;
  const sentence = say`${pushed}: ${sideways.sentence}, and ${forward.sentence}.${bare ? ' Rails screwed to posts are not counted on: they lean.' : ''}`;
  return [leanCheck(state === 'fine' ? 'good' : 'look', state, sentence, state === 'fine' ? [] : fixes)];
}
