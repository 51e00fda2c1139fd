import { Figure, len, say, size } from '../../figure/index.js';
import { mm, toMm } from '../../length/index.js';
import {
  atX,
  atZ,
  type Direction,
  type Fact,
  type Joint,
  type Member,
  type PlacedSpace,
  type Post,
  type Posts,
  type ShapeProblem,
  SQUARE_EDGES,
} from '../../piece/index.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import { gussetsIn, railOver } from './gussets.js';
import { stripIn, type Cut, type Spot, type Way } from '../strip.js';
import { FRAME, FRAME_NODE } from './ids.js';
import { openingsOf, outOf, spotIn, type Opened, type Opening } from './openings.js';
import type { Brace, Frame } from './spec.js';
import { asDegrees, radians, inDegrees } from '../../measures/index.js';

/** A strip from corner to corner of an opening, its ends fitted into the corners, or only up to the one that it crosses. */
function strip(at: Opening, wood: Wood, spec: Brace, way: Way, id: string, label: string, length: Figure, upTo: Cut | null): Member {
  const { outline, origin, u, v } = stripIn(toMm(at.wide.value), toMm(at.high.value), toMm(spec.wide), way, upTo);
  const inPiece = ([a, b]: Spot): Direction => [at.level[0] * a, b, at.level[2] * a];
  return {
    id,
    node: FRAME_NODE,
    role: 'brace',
    label,
    stockId: wood.id,
    stock: wood.stock,
    outline,
    frame: { origin: spotIn(at, origin), u: inPiece(u), v: inPiece(v), n: outOf(at) },
    length,
    width: size('brace', spec.wide, { in: 'piece', field: 'braces' }),
    thickness: wood.thickness,
    purpose: { length: 'between', width: 'between' },
    features: [],
    edges: SQUARE_EDGES,
  };
}

/** What braces add to a frame. */
export interface Braced {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  readonly facts: readonly { readonly space: string; readonly facts: readonly Fact[] }[];
  readonly problems: readonly ShapeProblem[];
}

const NO_BRACES: Braced = { members: [], joints: [], facts: [], problems: [] };

/** How far the two posts of an opening, and it, are held by a brace. */
const heldBy = (at: Opening, id: string, post: Post, end: 'from' | 'to'): Joint => ({
  carried: id,
  carrier: post.id,
  how: 'screws',
  on: at.level[2] === 1 ? atZ(end === 'from' ? post.z1 : post.z0) : atX(end === 'from' ? post.x1 : post.x0),
});

function inOpening(at: Opening, wood: Wood, spec: Brace, n: number): Opened {
  const [W, H, w] = [toMm(at.wide.value), toMm(at.high.value), toMm(spec.wide)];
  const long = Math.hypot(W, H);
  const degrees = inDegrees(Math.atan2(H, W));
  const diagonal = Figure.formula('length', 'corner to corner, √(wide² + high²)', [at.wide, at.high], mm(long));
  const id = (part: number) => FRAME.brace(at.key, n, part);
  const through = strip(at, wood, spec, 'rising', id(1), `brace ${at.label}`, diagonal.named('brace'), null);
  const joints = [heldBy(at, id(1), at.from, 'from'), heldBy(at, id(1), at.to, 'to')];
  const angle: Fact = { name: `brace ${at.label}`, figure: diagonal.named('corner to corner') };
  const told: Fact = { name: 'it rises', remark: say`${degrees.toFixed(2)}° from level; its ends fit into the corners.` };
  if (spec.is === 'diagonal') return { members: [through], joints, facts: [angle, told] };
  // The other one is in two halves that butt against it.
  const crossing = 2 * Math.min(degrees, 90 - degrees);
  const sine = Math.sin(radians(asDegrees(crossing)));
  const centre = long / 2 - w / 2 / sine;
  const longPoint = centre + (w / 2) * Math.abs(Math.cos(radians(asDegrees(crossing))) / sine);
  const half = Figure.formula(
    'length',
    'half of it, less half the strip at its slant, to the long point',
    [diagonal, size('brace', spec.wide)],
    mm(longPoint),
  );
  const [c, s] = [W / long, H / long];
  const middle: Spot = [W / 2, H / 2];
  const side = (sign: 1 | -1): Cut => {
    // Up to the edge of the strip that goes through, which lies along [c, s].
    const normal: Spot = [sign * s, -sign * c];
    return { normal, at: normal[0] * middle[0] + normal[1] * middle[1] - w / 2 };
  };
  const upper = strip(at, wood, spec, 'falling', id(2), `half brace ${at.label}, upper`, half.named('half brace'), side(1));
  const lower = strip(at, wood, spec, 'back', id(3), `half brace ${at.label}, lower`, half.named('half brace'), side(-1));
  return {
    members: [through, upper, lower],
    joints: [
      ...joints,
      heldBy(at, id(2), at.from, 'from'),
      { carried: id(2), carrier: id(1), how: 'glued' },
      heldBy(at, id(3), at.to, 'to'),
      { carried: id(3), carrier: id(1), how: 'glued' },
    ],
    facts: [
      angle,
      told,
      {
        name: 'half brace, on its middle line',
        figure: Figure.formula('length', 'half of it, less half the strip at its slant', [diagonal, size('brace', spec.wide)], mm(centre)),
      },
      { name: 'they meet', remark: say`at ${crossing.toFixed(2)}°: cut the inner ends of the halves so.` },
    ],
  };
}

/** Braces in openings of a frame: one from corner to corner, or two that cross. */
export function bracesOf(
  piece: Frame,
  posts: Posts,
  { spaces, members }: { readonly spaces: ReadonlyMap<string, PlacedSpace>; readonly members: readonly Member[] },
  workshop: Workshop,
): Braced {
  return (piece.braces ?? []).reduce<Braced>((all, spec, n) => {
    const space = spaces.get(spec.space);
    const gone = (sentence: ShapeProblem['sentence']): Braced => ({
      ...all,
      problems: [
        ...all.problems,
        {
          id: `brace-${n + 1}`,
          about: 'braces',
          stops: true,
          sentence,
          fixes: [
            {
              label: say`Leave it out`,
              edit: { kind: 'piece', patch: { braces: (piece.braces ?? []).filter((_, i) => i !== n) } },
            },
          ],
        },
      ],
    });
    if (!space) return gone(say`A brace stands in a space that is there no longer.`);
    const wood = woodOf(workshop, spec.stock);
    const openings = openingsOf(spec, posts, space, wood);
    const small = openings.find((o) => o.wide.value <= spec.wide * 2 || o.high.value <= spec.wide * 2);
    if (small)
      return gone(
        say`A brace ${len(spec.wide)} wide has no room ${small.label}: the opening is ${len(small.wide.value)} by ${len(small.high.value)}.`,
      );
    if (spec.is === 'gusset' && posts.joined === 'end-on')
      return gone(
        say`Gussets go into the corner of a post and its rail, and there the inner posts stand: take a sheet, or rails between posts.`,
      );
    const made = openings.map((at) => {
      if (spec.is !== 'gusset') return inOpening(at, wood, spec, n);
      const over = railOver(at, members, toMm(wood.thickness.value));
      return over ? gussetsIn(at, wood, spec, n, over) : null;
    });
    const bare = openings[made.indexOf(null)];
    if (bare) return gone(say`Gussets hold a post to the rail over it, and ${bare.label} no rail lies over the opening in line with them.`);
    return {
      members: [...all.members, ...made.flatMap((m) => m?.members ?? [])],
      joints: [...all.joints, ...made.flatMap((m) => m?.joints ?? [])],
      facts: [...all.facts, { space: spec.space, facts: made[0]?.facts ?? [] }],
      problems: all.problems,
    };
  }, NO_BRACES);
}
