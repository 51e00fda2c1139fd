import { drawPiece } from '../core/drawing/index.js';
import { workshopOf } from '../core/formats/index.js';
import { mm } from '../core/length/index.js';
import { posesOf, type Piece, type Pose } from '../core/piece/index.js';
import type { Frame } from '../core/shells/index.js';
import { solve } from '../core/solution/index.js';
import { PRINT_SHED } from '../demo/print-shed.js';
import { ms, print, timed } from './figures.js';

const workshop = workshopOf(PRINT_SHED);
const demo = (id: string) => (PRINT_SHED.pieces[id] as { piece: Piece }).piece;

/** A frame with so many pairs of posts between its ends and three levels of rails and decks. */
function longFrame(middles: number): Frame {
  const stand = demo('trolley-stand') as Frame;
  const { posts } = stand;
  return {
    ...stand,
    name: 'long frame',
    width: { from: 'given', size: mm(600 * (middles + 1)), of: 'overall' },
    depth: { from: 'given', size: mm(780), of: 'overall' },
    posts: { ...posts, middles: Array.from({ length: middles }, (_, i) => mm(600 * (i + 1))) },
  };
}

/** The medians of every piece of the demo with loads and checks, beside the paper chest in the same run. */
export function benchFrames(): void {
  const once = (piece: Piece, rounds: number) => {
    const { letters } = solve(piece, workshop, {});
    return timed(() => solve(piece, workshop, letters).checks, rounds).median;
  };
  const chest = once(demo('paper-chest'), 60);
  print('the paper chest', ms(chest), '');
  const one = (name: string, piece: Piece, target: string) => {
    const parts = solve(piece, workshop, {}).shape.members.length;
    const median = once(piece, 60);
    print(`${name}, ${parts} members`, ms(median), `${target}, ${(median / chest).toFixed(2)} x the chest`);
  };
  for (const [id, { piece }] of Object.entries(PRINT_SHED.pieces)) one(id, piece, 'under 10 ms');
  one('a long frame', longFrame(16), 'under 15 ms');

  const bed = solve(demo('guest-bed'), workshop, {});
  const [body] = bed.shape.bodies;
  const poses = posesOf(bed.shape.bodies).length;
  if (!body || poses < 2) throw new Error('nothing of the bed is drawn out');
  let part = 0;
  const draw = () => {
    part = (part + 0.01) % 1;
    const pose: Pose = new Map([[body.id, part]]);
    drawPiece(bed, 'side', bed.piece.interior.id, pose);
  };
  const { median, p95 } = timed(draw, 200);
  print('a state of the pull-out drawn from the side, median, p95', `${ms(median)}, ${ms(p95)}`, 'under 16.7 ms: 60 a second');
}
