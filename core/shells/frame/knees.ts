import {
  KEEP,
  SOLD,
  WOOD_SCREWS,
  bendingStrength,
  gravityOf,
  lateral,
  rowBetween,
  shankOf,
  stateOf,
  withdrawal,
  type State,
  type WoodScrew,
} from '../../carry/index.js';
import { force, say, type Sentence } from '../../figure/index.js';
import { toMm } from '../../length/index.js';
import { boxOf, type Member, type Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import { TOP_NODE } from './ids.js';

/** What takes a push at the top in one direction. */
export interface Takes {
  readonly state: State;
  readonly sentence: Sentence;
}

/** Screws in each side of a gusset, and through each corner block. */
const SCREWS = 2;

/** Corner blocks are screwed to posts with these. */
const THROUGH_BLOCKS = WOOD_SCREWS[2] as WoodScrew;

/**
 * The most a post may be bent where a knee holds it, N mm: its section modulus the way it leans, times what its wood may
 * be bent to for a short while; null where that is not published.
 */
function postBends(post: Member, leans: 'sideways' | 'forward', settings: Workshop['settings']): number | null {
  const { x0, x1, z0, z1 } = boxOf(post);
  const [across, deep] = [toMm((x1 - x0) as typeof x0), toMm((z1 - z0) as typeof z0)];
  const modulus = leans === 'sideways' ? (deep * across ** 2) / 6 : (across * deep ** 2) / 6;
  const strength = bendingStrength(propertiesOf(post.stock).material, settings.serviceClass, false, 'short');
  return strength.judged ? strength.allowed * modulus : null;
}

/** What knees take together of a push at the top: what each holds of a turn, N mm, over how high they are. */
function held(each: readonly (number | null)[], high: number): number | null {
  return each.every((m) => m !== null) ? each.reduce<number>((sum, m) => sum + (m ?? 0), 0) / high : null;
}

function told(takes: number | null, push: number, what: string, way: string, with_: Sentence): Takes {
  if (takes === null) return { state: 'not judged', sentence: say`what ${what} ${way} is not judged` };
  return { state: stateOf(push, takes), sentence: say`${what} ${force(takes)} ${way}, ${with_}` };
}

/**
 * Gussets under a rail: the one that is closed by the push is pressed along its long side, which acts half-way along each
 * leg; what keeps it from sliding along post and rail are two screws in each, in shear. So it holds 2 V a / 2, with legs
 * of a. The one that is opened is not counted.
 */
export function byGussets(
  gussets: readonly Member[],
  shape: Shape,
  push: number,
  way: string,
  leans: 'sideways' | 'forward',
  settings: Workshop['settings'],
): Takes | null {
  const [first] = gussets;
  if (!first) return null;
  const round = shape.members.filter((m) => m.role === 'post' || m.role === 'rail');
  const each = gussets.map((gusset) => {
    const met = round.flatMap((m) => {
      const row = rowBetween(m, gusset);
      return 'why' in row ? [] : [{ m, row }];
    });
    const post = met.find(({ m }) => m.role === 'post');
    const rail = met.find(({ m }) => m.role === 'rail');
    if (!post || !rail) return 0;
    const values = [post, rail].map(({ row }) => lateral(row.joint));
    const bends = postBends(post.m, leans, settings);
    if (bends === null) return null;
    const least = Math.min(...values.map((v) => (v.judged ? v.newtons : NaN)));
    return Number.isNaN(least) ? null : Math.min((SCREWS * least * toMm(gusset.width.value)) / 2, bends);
  });
  const all = held(each, toMm(boxOf(first).y1));
  return told(all === null ? null : all / 2, push, 'its gussets take', way, say`with ${SCREWS} screws in each of their sides`);
}

/**
 * Corner blocks: one of the two screws through each pulls out of the post aslant, at half the height of the rail from the
 * edge that is pressed. So a corner holds W cos 45° h / 2.
 */
export function byCorners(
  shape: Shape,
  push: number,
  way: string,
  leans: 'sideways' | 'forward',
  settings: Workshop['settings'],
): Takes | null {
  const blocks = shape.members.filter((m) => m.role === 'corner block' && m.node === TOP_NODE);
  const [first] = blocks;
  const post = shape.members.find((m) => m.role === 'post');
  if (!first || !post) return null;
  const [block, leg] = [first, post].map((m) => gravityOf(propertiesOf(m.stock)));
  const side = toMm(first.thickness.value);
  const { x0, x1, z0, z1 } = boxOf(post);
  const main = Math.hypot(toMm((x1 - x0) as typeof x0), toMm((z1 - z0) as typeof z0));
  const length = SOLD.filter((l) => l <= side + main - KEEP.edge * shankOf(THROUGH_BLOCKS) && l <= side + 50).at(-1) ?? 0;
  const wood = (gravity: number | undefined) => ({ endGrain: false, ...(gravity === undefined ? {} : { gravity }) });
  const pull = withdrawal({
    screw: THROUGH_BLOCKS,
    length,
    side: { thickness: side, wood: wood(block) },
    main: { thickness: main, wood: wood(leg) },
  });
  const bends = postBends(post, leans, settings);
  const high = toMm(first.width.value);
  const one = pull.judged && bends !== null ? Math.min((pull.newtons * Math.SQRT1_2 * high) / 2, bends) : null;
  const all = held(
    blocks.map(() => one),
    toMm(boxOf(first).y0) + high / 2,
  );
  return told(all, push, 'its corner blocks take', way, say`with ${SCREWS} screws ${THROUGH_BLOCKS.name} x ${length} through each into its post`);
}
