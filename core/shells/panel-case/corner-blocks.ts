import { say, size } from '../../figure/index.js';
import { add, sub, type Length } from '../../length/index.js';
import { atX, boxOf, onEdgeFrame, rectangular, type Joint, type Member, type ShapeProblem } from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import type { Envelope } from './envelope.js';
import { BLOCKS, CASE } from './ids.js';
import type { PanelCase } from './spec.js';

type Panel = 'top' | 'bottom';
const HANDS = ['left', 'right'] as const;

/** The panels that blocks can hold: those that end between the sides; never one that opens. */
const heldIn = (piece: PanelCase): readonly Panel[] =>
  piece.blocks ? (['top', 'bottom'] as const).filter((p) => piece[p] === 'between' && !(p === 'top' && piece.lid)) : [];

/** Strips from the rear to the front in the corners of a case, glued to the sides and to what ends between them: nothing comes through from outside. */
export function cornerBlocks(piece: PanelCase, { inside, start }: Envelope, workshop: Workshop): readonly Member[] {
  const { blocks } = piece;
  if (!blocks) return [];
  const wood = woodOf(workshop, blocks.stock);
  const right = add(start.x.value, inside.width.value);
  const top = add(start.y.value, inside.height.value);
  // Under a top that is less deep they are as deep as that.
  const { topDeep } = piece;
  const under =
    topDeep !== undefined && topDeep < inside.depth.value ? size('top, deep', topDeep, { in: 'piece', field: 'topDeep' }) : inside.depth;
  return heldIn(piece).flatMap((panel) =>
    HANDS.map((hand) =>
      rectangular({
        id: BLOCKS.block(panel, hand),
        node: BLOCKS.node,
        role: 'bearer',
        label: `corner block, ${panel === 'top' ? 'upper' : 'lower'} ${hand}`,
        wood,
        length: panel === 'top' ? under : inside.depth,
        width: size('corner block', blocks.wide, { in: 'piece', field: 'blocks.wide' }),
        frame: onEdgeFrame({
          x: hand === 'left' ? add(start.x.value, wood.thickness.value) : right,
          y: panel === 'top' ? sub(top, blocks.wide) : start.y.value,
          z: start.z.value,
        }),
      }),
    ),
  );
}

/** How blocks hold: each is glued to its side, and what ends between the sides to them, in place of screws through these. */
export function withBlocks(piece: PanelCase, joints: readonly Joint[], blocks: readonly Member[]): readonly Joint[] {
  const held = heldIn(piece);
  if (held.length === 0) return joints;
  const panels = new Set<string>(held.map((p) => CASE[p]));
  const sides = new Set<string>([CASE.left, CASE.right]);
  const middle = (m: Member) => {
    const { x0, x1 } = boxOf(m);
    return Math.round((x0 + x1) / 2) as Length;
  };
  const ends = joints.filter((j) => panels.has(j.carried) && sides.has(j.carrier) && j.how === 'screws');
  const glued = ends.flatMap(({ carried, carrier }): Joint[] => {
    const panel = carried === CASE.top ? 'top' : 'bottom';
    const block = blocks.find((b) => b.id === BLOCKS.block(panel, carrier === CASE.left ? 'left' : 'right'));
    return block ? [{ carried, carrier: block.id, how: 'glued', on: atX(middle(block)) }] : [];
  });
  return [
    ...joints.filter((j) => !ends.includes(j)),
    ...glued,
    ...blocks.map((b): Joint => ({ carried: b.id, carrier: b.id.endsWith('left') ? CASE.left : CASE.right, how: 'glued' })),
  ];
}

/** Blocks where no panel ends between the sides. */
export function blockProblems(piece: PanelCase): readonly ShapeProblem[] {
  if (!piece.blocks || heldIn(piece).length > 0) return [];
  return [
    {
      id: 'blocks-idle',
      about: 'blocks',
      stops: false,
      sentence: say`Corner blocks are asked for, but neither top nor bottom ends between the sides.`,
      fixes: [{ label: say`The bottom between the sides`, edit: { kind: 'piece', patch: { bottom: 'between' } } }],
    },
  ];
}
