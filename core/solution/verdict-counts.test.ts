import { mm } from '../length/index.js';
import type { Space } from '../piece/index.js';
import { divided, lightly, piece, stock, thing, workshop } from '../testing/samples.js';
import { solve, verdictsUnder } from './index.js';
import { asKg } from '../measures/index.js';

/** A shelf of 960 x 300 x 20 with so many kg on it, and one above with nothing. */
function shelved(kg: number, material: string) {
  const inside = divided('in', 'up', 3);
  ((inside.split as NonNullable<Space['split']>).spaces[1] as Space).things = [{ thing: 'slab', count: 1 }];
  const slab = thing({ mass: asKg(kg), shape: { kind: 'box', width: mm(900), height: mm(100), depth: mm(200) } });
  const shop = workshop({ stock: { ply: stock({ material }) }, things: { slab } });
  return { solution: solve(piece(lightly(inside)), shop, {}), shop };
}

test.each([
  // 5 · (14 + 3.92) · 9.81 · 960³ / (384 · 9500 · 200000) = 1.066; × 1.8 = 1.92 in class 1, × 2 = 2.13 in class 2; 2.5 is allowed, close from 2.0.
  ['class 1', 'birch-plywood', 1, 'kdef', { fine: 0, close: 0, fails: 1, 'not checked': 0 }],
  ['less on it', 'birch-plywood', 1, 'kdef', { fine: 1, close: 0, fails: 0, 'not checked': 0 }],
  ['in class 2 it comes close', 'birch-plywood', 2, 'kdef', { fine: 0, close: 1, fails: 0, 'not checked': 0 }],
  ['OSB is not for class 3', 'osb3', 3, 'kdef', { fine: 0, close: 0, fails: 0, 'not checked': 1 }],
] as const)('%s', (name, material, serviceClass, creepSchool, counts) => {
  const { solution, shop } = shelved(name === 'class 1' ? 30 : 14, material);
  expect(verdictsUnder([solution], shop, { serviceClass, creepSchool })).toEqual(counts);
});
