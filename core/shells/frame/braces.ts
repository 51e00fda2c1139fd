import { Figure, len, say, size } from '../../figure/index.js';
import { ZERO, add, mm, sub, toMm, type Length } from '../../length/index.js';
import {
  atX,
  atZ,
  boxOf,
  type Direction,
  type Fact,
  type Joint,
  type Member,
  type Outline,
  type Place,
  type PlacedSpace,
  type Point,
  type Post,
  type Posts,
  type ShapeProblem,
  SQUARE_EDGES,
} from '../../piece/index.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import { FRAME, FRAME_NODE } from './ids.js';
import type { Brace, Frame } from './spec.js';

/** A place in an opening, mm along it and up. */
type Spot = readonly [along: number, up: number];

/** Where a line that corners are cut off by goes: what lies further along `normal` than `at` is gone. */
interface Cut {
  readonly normal: Spot;
  readonly at: number;
}

/** A convex outline with what lies beyond a line cut off. */
function cutOff(points: readonly Spot[], { normal, at }: Cut): readonly Spot[] {
  const past = ([a, b]: Spot) => a * normal[0] + b * normal[1] - at;
  return points.flatMap((p, i): Spot[] => {
    const q = points[(i + 1) % points.length] as Spot;
    const [dp, dq] = [past(p), past(q)];
    const kept: Spot[] = dp <= 1e-9 ? [p] : [];
    if ((dp < -1e-9 && dq > 1e-9) || (dp > 1e-9 && dq < -1e-9)) {
      const t = dp / (dp - dq);
      kept.push([p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])]);
    }
    return kept;
  });
}

/** An opening between two posts, with the plane that braces lie in. */
interface Opening {
  readonly key: string;
  readonly label: string;
  /** Its lower corner at the first post, and the level direction to the second one. */
  readonly corner: readonly [x: number, y: number, z: number];
  readonly level: Direction;
  readonly wide: Figure;
  readonly high: Figure;
  readonly from: Post;
  readonly to: Post;
}

/** A place in an opening, in the piece. */
function spotIn({ corner: [x, y, z], level }: Opening, [along, up]: Spot): Place {
  return { x: mm(x + level[0] * along), y: mm(y + up), z: mm(z + level[2] * along) };
}

/** Square to the plane of an opening. */
const outOf = ({ level }: Opening): Direction => (level[2] === 1 ? [-1, 0, 0] : [0, 0, 1]);

/** How a brace lies in its opening: from which corner, and which way it goes from there. */
type Way = 'rising' | 'falling' | 'back';

/** The directions of a brace along and across it, in the plane of its opening: along and up. */
function waysOf(way: Way, c: number, s: number): { readonly u: Spot; readonly v: Spot } {
  switch (way) {
    case 'rising':
      return { u: [c, s], v: [-s, c] };
    case 'falling':
      return { u: [c, -s], v: [s, c] };
    case 'back':
      return { u: [-c, s], v: [-s, -c] };
  }
}

/** A strip from corner to corner of an opening, its ends fitted into the corners, or only up to the one that it crosses. */
function strip(at: Opening, wood: Wood, spec: Brace, way: Way, id: string, label: string, length: Figure, upTo: Cut | null): Member {
  const [W, H, w] = [at.wide, at.high].map((f) => toMm(f.value)).concat(toMm(spec.wide)) as [number, number, number];
  const long = Math.hypot(W, H);
  const { u, v } = waysOf(way, W / long, H / long);
  const start: Spot = way === 'rising' ? [0, 0] : way === 'falling' ? [0, H] : [W, 0];
  const whole: readonly Spot[] = [
    [0, 0],
    [W, 0],
    [W, H],
    [0, H],
  ];
  const dot = (a: Spot, b: Spot) => a[0] * b[0] + a[1] * b[1];
  const band: Cut[] = [
    { normal: v, at: dot(v, start) + w / 2 },
    { normal: [-v[0], -v[1]], at: -dot(v, start) + w / 2 },
  ];
  const outline = [...band, ...(upTo ? [upTo] : [])].reduce<readonly Spot[]>(cutOff, whole);
  const origin: Spot = [start[0] - (w / 2) * v[0], start[1] - (w / 2) * v[1]];
  const points = outline.map(([a, b]): Point => {
    const p: Spot = [a - origin[0], b - origin[1]];
    return { u: mm(dot(p, u)), v: mm(dot(p, v)) };
  });
  const [first, ...rest] = points;
  const shape: Outline = {
    start: first as Point,
    sides: [...rest, first as Point].map((to) => ({ kind: 'line', to })),
  };
  const inPiece = ([a, b]: Spot): Direction => [at.level[0] * a, b, at.level[2] * a];
  return {
    id,
    node: FRAME_NODE,
    role: 'brace',
    label,
    stockId: wood.id,
    stock: wood.stock,
    outline: shape,
    frame: { origin: spotIn(at, origin), u: inPiece(u), v: inPiece(v), n: outOf(at) },
    length,
    width: size('brace', spec.wide, { in: 'piece', field: 'braces' }),
    thickness: wood.thickness,
    purpose: { length: 'between', width: 'between' },
    features: [],
    edges: SQUARE_EDGES,
  };
}

/** Triangles in the upper corners of an opening, glued and screwed to the post beside and the rail over each. */
function gussetsIn(at: Opening, wood: Wood, spec: Brace, n: number, over: Rail): Opened {
  const [W, H, a] = [toMm(at.wide.value), toMm(at.high.value), toMm(spec.wide)];
  const leg = size('gusset', spec.wide, { in: 'piece', field: 'braces' });
  const side = Figure.formula('length', 'the long side of it, √2 of how far it reaches', [leg], mm(a * Math.SQRT2));
  const made = (['from', 'to'] as const).map((end, i) => {
    const id = FRAME.brace(at.key, n, i + 1);
    const x = end === 'from' ? 0 : W - a;
    const far = spec.wide;
    const left: Point = { u: ZERO, v: far };
    const low: Point = { u: end === 'from' ? ZERO : far, v: ZERO };
    const right: Point = { u: far, v: far };
    const member: Member = {
      id,
      node: FRAME_NODE,
      role: 'gusset',
      label: `gusset ${at.label}, ${i + 1}`,
      stockId: wood.id,
      stock: wood.stock,
      outline: { start: left, sides: [low, right, left].map((to) => ({ kind: 'line', to })) },
      frame: { origin: spotIn(at, [x, H - a]), u: at.level, v: [0, 1, 0], n: outOf(at) },
      length: leg,
      width: leg,
      thickness: wood.thickness,
      purpose: { length: 'between', width: 'between' },
      features: [],
      edges: SQUARE_EDGES,
    };
    const glued = [at[end].id, over.id].map((carrier): Joint => ({ carried: id, carrier, how: 'glued' }));
    return { member, joints: glued };
  });
  return {
    members: made.map((m) => m.member),
    joints: made.flatMap((m) => m.joints),
    facts: [{ name: 'gussets, long side', figure: side }],
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

/** What stands in one opening. */
type Opened = Pick<Braced, 'members' | 'joints'> & { readonly facts: readonly Fact[] };

/** The rail that lies on an opening, from post to post. */
type Rail = Pick<Member, 'id'>;

function railOver({ corner: [x, y, z], level, wide, high }: Opening, rails: readonly Member[], thick: number): Rail | undefined {
  const up = mm(y + toMm(high.value));
  const [midX, midZ] = [0, 2].map((k) => mm(([x, y, z][k] as number) + ((level[k] as number) * toMm(wide.value)) / 2)) as [Length, Length];
  // Beside the plane that a brace begins at lies its own thickness.
  const half = mm(thick / 2);
  const [inX, inZ] = level[2] === 1 ? [sub(midX, half), midZ] : [midX, add(midZ, half)];
  return rails.find((r) => {
    const box = boxOf(r);
    const within = box.x0 <= inX && inX <= box.x1 && box.z0 <= inZ && inZ <= box.z1;
    return r.role === 'rail' && Math.abs(box.y0 - up) <= 1 && within;
  });
}

function inOpening(at: Opening, wood: Wood, spec: Brace, n: number): Opened {
  const [W, H, w] = [toMm(at.wide.value), toMm(at.high.value), toMm(spec.wide)];
  const long = Math.hypot(W, H);
  const degrees = (Math.atan2(H, W) * 180) / Math.PI;
  const diagonal = Figure.formula('length', 'corner to corner, √(wide² + high²)', [at.wide, at.high], mm(long));
  const id = (part: number) => FRAME.brace(at.key, n, part);
  const through = strip(at, wood, spec, 'rising', id(1), `brace ${at.label}`, diagonal.named('brace'), null);
  const joints = [heldBy(at, id(1), at.from, 'from'), heldBy(at, id(1), at.to, 'to')];
  const angle: Fact = { name: `brace ${at.label}`, figure: diagonal.named('corner to corner') };
  const told: Fact = { name: 'it rises', remark: say`${degrees.toFixed(2)}° from level; its ends fit into the corners.` };
  if (spec.is === 'diagonal') return { members: [through], joints, facts: [angle, told] };
  // The other one is in two halves that butt against it.
  const crossing = 2 * Math.min(degrees, 90 - degrees);
  const sine = Math.sin((crossing * Math.PI) / 180);
  const centre = long / 2 - w / 2 / sine;
  const longPoint = centre + (w / 2) * Math.abs(Math.cos((crossing * Math.PI) / 180) / sine);
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

/** The openings that a brace stands in: at both ends, or along the rear, each between two posts. */
function openingsOf(spec: Brace, posts: Posts, space: PlacedSpace, wood: Wood): readonly Opening[] {
  const thick = toMm(wood.thickness.value);
  const y = toMm(space.box.y0);
  const { pairs, ring } = posts;
  const high = space.clear.height.named('opening, high');
  if (spec.at === 'rear') {
    return pairs.slice(1).map((right, i): Opening => {
      const [from, to] = [(pairs[i] as (typeof pairs)[number]).rear, right.rear];
      return {
        key: `rear-${i + 1}`,
        label: pairs.length > 2 ? `at the rear, bay ${i + 1}` : 'at the rear',
        corner: [toMm(from.x1), y, toMm(from.z0)],
        level: [1, 0, 0],
        wide: size('between posts', sub(to.x0, from.x1)),
        high,
        from,
        to,
      };
    });
  }
  const [first, last] = [pairs[0], pairs.at(-1)] as [(typeof pairs)[number], (typeof pairs)[number]];
  const wide =
    posts.joined !== 'between'
      ? size('between posts', sub(first.front.z0, first.rear.z1))
      : ring.depth.minus(posts.post.deep.times(2).named('two posts'));
  return (['left', 'right'] as const).map((end): Opening => {
    const pair = end === 'left' ? first : last;
    const x = end === 'left' ? toMm(pair.rear.x0) + thick : toMm(pair.rear.x1);
    return {
      key: end,
      label: `at the ${end}`,
      corner: [x, y, toMm(pair.rear.z1)],
      level: [0, 0, 1],
      wide,
      high,
      from: pair.rear,
      to: pair.front,
    };
  });
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
