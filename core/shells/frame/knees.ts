import { asNewtons, type Newtons } from '../../measures/index.js';
import {
  WOOD_SCREWS,
  bendingStrength,
  gravityOf,
  lateral,
  longestSold,
  shankOf,
  stateOf,
  withdrawal,
  type ScrewJoint,
  type State,
  type WoodScrew,
} from '../../carry/index.js';
import { force, say, type Sentence } from '../../figure/index.js';
import { sub, toMm, type LengthUnit } from '../../length/index.js';
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

/** Gussets are held with these, and corner blocks screwed to posts with those, so deep at most, mm. */
const INTO_GUSSETS = WOOD_SCREWS[1] as WoodScrew;
const THROUGH_BLOCKS = WOOD_SCREWS[2] as WoodScrew;
const MOST_INSIDE = 50;

type Settings = Workshop['settings'];

/** Which way it leans. */
export type Leans = 'sideways' | 'forward';

/** How far a member reaches in one of the directions of the piece, mm. */
function extent(member: Member, axis: 'x' | 'y' | 'z'): number {
  const box = boxOf(member);
  return toMm(sub(box[`${axis}1`], box[`${axis}0`]));
}

/**
 * The most a post may be bent where a knee holds it, N mm: its section modulus the way it leans, times what its wood may
 * be bent to for a short while; null where that is not published.
 */
function postBends(post: Member, leans: Leans, settings: Settings): number | null {
  const [across, deep] = [extent(post, 'x'), extent(post, 'z')];
  const modulus = leans === 'sideways' ? (deep * across ** 2) / 6 : (across * deep ** 2) / 6;
  const strength = bendingStrength(propertiesOf(post.stock).material, settings.serviceClass, false, 'short');
  return strength.judged ? strength.allowed * modulus : null;
}

/** What knees take together of a push at the top: what each holds of a turn, N mm, over how high they are. */
function over(each: readonly (number | null)[], high: number): number | null {
  return each.every((m) => m !== null) ? each.reduce<number>((sum, m) => sum + (m ?? 0), 0) / high : null;
}

function told(takes: number | null, push: Newtons, what: string, way: string, with_: Sentence): Takes {
  if (takes === null) return { state: 'not checked', sentence: say`what ${what} ${way} is not checked` };
  return { state: stateOf(push, takes), sentence: say`${what} ${force(asNewtons(takes))} ${way}, ${with_}` };
}

/** The longest screw that is sold and stays inside, through so much into so much; mm. */
function longest(screw: WoodScrew, side: number, main: number, unit: LengthUnit): number {
  return longestSold(side + main - shankOf(screw), unit);
}

/** A joint of one screw through a member into another, both in side grain. */
function screwed(screw: WoodScrew, length: number, through: readonly [Member, number], into: readonly [Member, number]): ScrewJoint {
  const [side, main] = [through, into].map(([member, thickness]) => {
    const gravity = gravityOf(propertiesOf(member.stock));
    return { thickness, wood: { endGrain: false, ...(gravity === undefined ? {} : { gravity }) } };
  }) as [ScrewJoint['side'], ScrewJoint['main']];
  return { screw, length, side, main };
}

/**
 * Gussets under a rail: the one that is closed by the push is pressed along its long side, which acts half-way along each
 * leg; what keeps it from sliding along post and rail are two screws through each of these into it, in shear, as deep as it
 * is half-way along. So it holds 2 V a / 2, with legs of a. The one that is opened is not counted.
 */
export function byGussets(
  gussets: readonly Member[],
  shape: Shape,
  push: Newtons,
  way: string,
  leans: Leans,
  settings: Settings,
): Takes | null {
  const [first] = gussets;
  if (!first) return null;
  const byId = new Map(shape.members.map((m) => [m.id, m]));
  const axis = leans === 'sideways' ? 'x' : 'z';
  const each = gussets.map((gusset) => {
    const held = shape.joints.flatMap((j) => (j.carried === gusset.id ? (byId.get(j.carrier) ?? []) : []));
    const leg = toMm(gusset.width.value);
    const values = held.map((m) => {
      const thick = extent(m, m.role === 'post' ? axis : 'y');
      return lateral(screwed(INTO_GUSSETS, longest(INTO_GUSSETS, thick, leg / 2, settings.unit), [m, thick], [gusset, leg / 2]));
    });
    const post = held.find((m) => m.role === 'post');
    const bends = post ? postBends(post, leans, settings) : null;
    const least = Math.min(...values.map((v) => (v.judged ? v.newtons : NaN)));
    return bends === null || Number.isNaN(least) ? null : Math.min((SCREWS * least * leg) / 2, bends);
  });
  const all = over(each, toMm(boxOf(first).y1));
  return told(all === null ? null : all / 2, push, 'its gussets take', way, say`with ${SCREWS} screws in each of their sides`);
}

/**
 * Corner blocks: one of the two screws through each pulls out of the post aslant, at half the height of the rail from the
 * edge that is pressed. So a corner holds W cos 45° h / 2.
 */
export function byCorners(shape: Shape, push: Newtons, way: string, leans: Leans, settings: Settings): Takes | null {
  const blocks = shape.members.filter((m) => m.role === 'corner block' && m.node === TOP_NODE);
  const [first] = blocks;
  const post = shape.members.find((m) => m.role === 'post');
  if (!first || !post) return null;
  const side = toMm(first.thickness.value);
  const main = Math.hypot(extent(post, 'x'), extent(post, 'z'));
  const length = longest(THROUGH_BLOCKS, side, Math.min(main, MOST_INSIDE), settings.unit);
  const pull = withdrawal(screwed(THROUGH_BLOCKS, length, [first, side], [post, main]));
  const bends = postBends(post, leans, settings);
  const high = toMm(first.width.value);
  const one = pull.judged && bends !== null ? Math.min((pull.newtons * Math.SQRT1_2 * high) / 2, bends) : null;
  const all = over(
    blocks.map(() => one),
    toMm(boxOf(first).y0) + high / 2,
  );
  return told(
    all,
    push,
    'its corner blocks take',
    way,
    say`with ${SCREWS} screws ${THROUGH_BLOCKS.name} x ${length} through each into its post`,
  );
}
