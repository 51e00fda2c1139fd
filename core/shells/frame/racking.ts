import { asNewtons, type Newtons } from '../../measures/index.js';
import { columnOf, lateral, pushOf, rowBetween, stateOf, worse, type Carried } from '../../carry/index.js';
import { force, say } from '../../figure/index.js';
import { leanCheck, type Check } from '../../finding/index.js';
import { greatest, sub, toMm } from '../../length/index.js';
import { boxOf, type Member, type Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { FRAME } from './ids.js';
import { byCorners, byGussets, type Takes } from './knees.js';
import { standingFast } from './racking-fixes.js';
import type { Frame } from './spec.js';

/** Screws round a sheet, one so often, mm, typical. */
const SPACING = 200;

/** A sheet screwed to posts and rails: the lateral value of one screw over their spacing, along the width of the sheet. */
function bySheet(ids: readonly string[], shape: Shape, push: Newtons, way: string, { unit }: Workshop['settings']): Takes {
  const sheet = shape.members.find((m) => m.id === ids[0]);
  const posts = shape.members.filter((m) => m.role === 'post' || m.role === 'rail');
  if (!sheet) return { state: 'fails', sentence: say`nothing keeps it from leaning ${way}` };
  const rows = posts.map((post) => rowBetween(sheet, post, unit)).flatMap((row) => ('why' in row ? [] : [row]));
  const [row] = rows;
  const value = row && lateral(row.joint);
  if (!value?.judged) return { state: 'not checked', sentence: say`what its sheet takes ${way} is not checked` };
  const { x0, x1, z0, z1 } = boxOf(sheet);
  const wide = toMm(greatest([sub(x1, x0), sub(z1, z0)]));
  const takes = (value.newtons / SPACING) * wide * ids.length;
  return {
    state: stateOf(push, takes),
    sentence: say`${ids.length > 1 ? 'its sheets take' : 'its sheet takes'} ${force(asNewtons(takes))} ${way}, screwed every 200`,
  };
}

/**
 * Braces from corner to corner: of the push, over the cosine of their slope, each takes what two screws in its end do,
 * or what it bears before it bows out, whichever is less. Of two that cross one counts.
 */
function byBraces(all: readonly Member[], shape: Shape, push: Newtons, way: string, settings: Workshop['settings']): Takes | null {
  const braces = all.filter((m) => m.id.endsWith('-1'));
  if (braces.length === 0) return null;
  const byId = new Map(shape.members.map((m) => [m.id, m]));
  const each = braces.map((brace) => {
    const posts = shape.joints.filter((j) => j.carried === brace.id && j.how === 'screws').flatMap((j) => byId.get(j.carrier) ?? []);
    const rows = posts.map((post) => rowBetween(post, brace, settings.unit));
    const screws = rows.map((row) => ('why' in row ? null : lateral(row.joint)));
    const known = screws.every((s) => s?.judged);
    const end = Math.min(...screws.map((s) => (s?.judged ? SCREWS_IN_END * s.newtons : 0)));
    const column = columnOf({ member: brace, total: asNewtons(0) }, [], byId, settings, 1);
    const level = Math.hypot(brace.frame.u[0], brace.frame.u[2]);
    return { known: known && column !== null, takes: level * Math.min(end, column?.holds ?? 0) };
  });
  if (!each.every((e) => e.known)) return { state: 'not checked', sentence: say`what its braces take ${way} is not checked` };
  const takes = each.reduce((sum, e) => sum + e.takes, 0);
  return {
    state: stateOf(push, takes),
    sentence: say`${each.length > 1 ? 'its braces take' : 'its brace takes'} ${force(asNewtons(takes))} ${way}, with ${SCREWS_IN_END} screws in each end`,
  };
}

/** Screws that go in the end of a brace. */
const SCREWS_IN_END = 2;

/** Whether a push at the top leans a frame over, sideways or to the front, and what keeps it from that. Rails and posts alone are not counted on. */
export function frameRacking(piece: Frame, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const push = pushOf(carried);
  const pushed = say`A push of ${force(push)} at its top`;
  if (piece.fixedToWall) return [leanCheck('good', 'fine', say`${pushed} is taken by the wall that it is fixed to at the top.`, [])];
  const { sheets } = piece;
  const { settings } = workshop;
  const braced = (which: 'ends' | 'rear', way: string) => {
    const leans = which === 'ends' ? 'forward' : 'sideways';
    const there = (role: Member['role']) => shape.members.filter((m) => m.role === role && (m.frame.n[0] !== 0) === (which === 'ends'));
    return (
      byBraces(there('brace'), shape, push, way, settings) ??
      byGussets(there('gusset'), shape, push, way, leans, settings) ??
      byCorners(shape, push, way, leans, settings)
    );
  };
  const sideways =
    (sheets?.rear ? null : braced('rear', 'sideways')) ?? bySheet(sheets?.rear ? [FRAME.rear] : [], shape, push, 'sideways', settings);
  const toFront = 'to the front and the rear';
  const forward =
    (sheets?.ends ? null : braced('ends', toFront)) ??
    bySheet(sheets?.ends ? [FRAME.left, FRAME.right] : [], shape, push, toFront, settings);
  const state = worse(sideways.state, forward.state);
  const leans = [...(sideways.state === 'fails' ? ['rear' as const] : []), ...(forward.state === 'fails' ? ['ends' as const] : [])];
  const fixes = standingFast(piece, shape, leans, workshop);
  const blocks = shape.members.some((m) => m.role === 'corner block');
  const bare = state === 'fails' && !blocks && !sheets?.rear && !sheets?.ends && !piece.braces?.length;
  const sentence = say`${pushed}: ${sideways.sentence}, and ${forward.sentence}.${bare ? ' Rails screwed to posts are not counted on: they lean.' : ''}`;
  return [leanCheck(state === 'fine' ? 'good' : 'look', state, sentence, state === 'fine' ? [] : fixes)];
}
