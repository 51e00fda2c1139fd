import { ZERO, mm } from '../length/index.js';
import type { Split } from '../piece/index.js';
import type { Drawers } from '../interiors/index.js';
import type { PanelCase } from '../shells/index.js';
import { solve, type Solution } from '../solution/index.js';
import { piece, space, stock, workshop } from './samples.js';

/** A workshop with what drawers are made of. */
export const chestShop = workshop({
  stock: { wall: stock({ name: 'wall', thickness: mm(10) }), bottom: stock({ name: 'bottom', thickness: mm(5) }) },
});

/** Inset drawers on wooden runners of 10, all round for sums by hand. */
export function drawers(extra: Partial<Drawers> = {}): Drawers {
  return {
    kind: 'drawers',
    face: 'front',
    front: { kind: 'inset', between: mm(4), below: mm(4), above: mm(4), sides: mm(2), setback: ZERO },
    oversize: ZERO,
    runner: { kind: 'wooden', side: mm(5), stock: 'wall', wide: mm(20) },
    less: mm(20),
    rise: mm(10),
    behind: mm(10),
    box: { order: 'ends-between', join: 'screwed', bottom: { kind: 'groove', depth: mm(4), up: mm(8), slack: mm(1) } },
    stock: { box: 'wall', bottom: 'bottom', front: 'ply' },
    linesFrom: 'bottom',
    ...extra,
  };
}

/** A case of 1000 x 2000 x 300 in 20: 960 x 1960 x 300 inside, with so many drawers. */
export function chest(making: Drawers, count = 3, extra: Partial<PanelCase> = {}, shop = chestShop): Solution {
  const split: Split = {
    axis: 'up',
    making,
    members: Array.from({ length: count - 1 }, (_, i) => ({ id: `r${i + 1}` })),
    spaces: Array.from({ length: count }, (_, i) =>
      space(`d${i + 1}`, { things: i === 0 ? [{ thing: 'tin', count: 2, at: 'spread' }] : [] }),
    ),
  };
  return solve(piece(space('in', { split }), extra), shop, {});
}
