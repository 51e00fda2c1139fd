import { say, size } from '../../figure/index.js';
import { add, sub, type Length } from '../../length/index.js';
import { atX, boxOf, onEdgeFrame, rectangular, type Joint, type Member, type ShapeProblem } from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import type { Envelope } from './envelope.js';
import { PANELS, type Panel } from './corners.js';
import { BLOCKS, CASE } from './ids.js';
import type { PanelCase } from './spec.js';

const HANDS = ['left', 'right'] as const;

/** The panels that blocks can hold: those that end between the sides; never one that opens. */
const heldIn = (piece: PanelCase): readonly Panel[] =>
  piece.blocks ? PANELS.filter((p) => piece[p] === 'between' && !(p === 'top' && piece.lid)) : [];

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
  const byId = new Map(blocks.map((b) => [b.id, b]));
  const corners = heldIn(piece).flatMap((panel) =>
    HANDS.flatMap((hand) => {
      const block = byId.get(BLOCKS.block(panel, hand));
      return block ? [{ block, panel: CASE[panel], side: CASE[hand] }] : [];
    }),
  );
  return [
    ...joints.map((j): Joint => {
      const corner = corners.find((c) => j.how === 'screws' && j.carried === c.panel && j.carrier === c.side);
      if (!corner) return j;
      const { x0, x1 } = boxOf(corner.block);
      return { ...j, carrier: corner.block.id, how: 'glued', on: atX(Math.round((x0 + x1) / 2) as Length) };
    }),
    ...corners.map(({ block, side }): Joint => ({ carried: block.id, carrier: side, how: 'glued' })),
  ];
}

/** Blocks where no panel ends between the sides. @example blockProblems(CASE) // [] */
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
