import { Figure, say, size } from '../../figure/index.js';
import { ZERO, add, mm, toMm, type Length } from '../../length/index.js';
import {
  SQUARE_EDGES,
  atX,
  type Direction,
  type Joint,
  type Lean,
  type Member,
  type PlacedSpace,
  type ShapeProblem,
} from '../../piece/index.js';
import type { Wood } from '../../project/index.js';
import { stripIn } from '../strip.js';
import { NOTHING, type Added } from './added.js';
import { LEANING, LEANING_NODE } from './ids.js';
import { levelWidth, waysOf } from './sides.js';
import type { Leaning } from './spec.js';

/** What is left clear over and under a brace, mm. */
const CLEAR = 2;

function problem(piece: Leaning, id: string, sentence: ShapeProblem['sentence'], others: readonly PlacedSpace[]): Added {
  const { brace } = piece;
  if (!brace) return NOTHING;
  const fixes = others.slice(0, 3).map((s) => ({
    label: say`Put it into ${s.label}`,
    edit: { kind: 'piece', patch: { brace: { ...brace, space: s.id } } } as const,
  }));
  return { ...NOTHING, problems: [{ id: `brace-${id}`, about: 'brace', stops: true, sentence, fixes }] };
}

/**
 * A strip over the rear edges of the sides from corner to corner of one of its spaces, screwed to both: it lies behind
 * them, so that the shelves over and under it, which stand out at the rear, stop it.
 */
export function braceOf(
  piece: Leaning,
  lean: Lean,
  /** Over both sides; `outside` what stands beside each of them. */
  { width, height, outside }: { readonly width: Figure; readonly height: Figure; readonly outside: Length },
  spaces: readonly PlacedSpace[],
  wood: Wood | null,
): Added {
  const { brace } = piece;
  if (!brace || !wood) return NOTHING;
  const space = spaces.find((s) => s.id === brace.space);
  if (!space) return problem(piece, 'space', say`The brace is to be in a space that is not there.`, spaces);
  const { u, v } = waysOf(lean);
  const [cos, sin] = [u[1], -u[2]];
  const t = toMm(wood.thickness.value);
  const rear = toMm(lean.front.value) - toMm(levelWidth(piece.sides.wide, lean).value);
  // So far under the head that screws through it, square to the rear edges, stay in the sides.
  const head = toMm(height.value) - Math.max(toMm(piece.sides.flat ?? ZERO), toMm(piece.sides.wide) * sin);
  // Along the rear edges: behind them it reaches lower than on them.
  const [from, to] = [(toMm(space.box.y0) + t * sin) / cos + CLEAR, Math.min(toMm(space.box.y1), head) / cos - CLEAR];
  const [W, H] = [toMm(width.value), to - from];
  const placeOn = (along: number, up: number) => {
    const [s, x] = [from + up, toMm(outside) + along];
    return { x: mm(x), y: mm(s * u[1] - t * v[1]), z: mm(rear + s * u[2] - t * v[2]) };
  };
  if (H < 2 * toMm(brace.wide))
    return problem(piece, 'low', say`The brace has no room in ${space.label}, which is too low for it.`, spaces);
  if (placeOn(0, H).z < ZERO) {
    const lower = spaces.filter((s) => s.box.y1 < space.box.y1);
    return problem(piece, 'wall', say`Behind the sides there is no room for a brace in ${space.label}: it is too near the wall.`, lower);
  }
  const strip = stripIn(W, H, toMm(brace.wide), 'rising', null);
  const inPiece = ([along, up]: readonly [number, number]): Direction => [along, up * u[1], up * u[2]];
  const long = Figure.formula(
    'length',
    'corner to corner, √(wide² + high along the sides²)',
    [width, size('between the shelves, along the sides', mm(H))],
    mm(Math.hypot(W, H)),
  );
  const member: Member = {
    id: LEANING.brace,
    node: LEANING_NODE,
    role: 'brace',
    label: 'brace',
    stockId: wood.id,
    stock: wood.stock,
    outline: strip.outline,
    frame: { origin: placeOn(...strip.origin), u: inPiece(strip.u), v: inPiece(strip.v), n: v },
    length: long.named('brace'),
    width: size('brace', brace.wide, { in: 'piece', field: 'brace.wide' }),
    thickness: wood.thickness,
    purpose: { length: 'between', width: 'between' },
    features: [],
    edges: SQUARE_EDGES,
  };
  const joints = [LEANING.left, LEANING.right].map((carrier, i): Joint => ({
    carried: LEANING.brace,
    carrier,
    how: 'screws',
    on: atX(i === 0 ? outside : add(outside, width.value)),
  }));
  return { ...NOTHING, members: [member], joints, facts: [{ name: 'brace', figure: long.named('corner to corner') }] };
}
