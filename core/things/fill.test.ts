import { mm } from '../length/index.js';
import { FILLS, massOfFill, volumeOf, type Fill } from './index.js';

const fill = (id: string) => FILLS.find((f) => f.id === id) as Fill;

test.each([
  ['a pack of paper of 297 x 420 x 50', 'paper', { kind: 'box', width: mm(297), height: mm(50), depth: mm(420) }, 5.301],
  ['books of 240 x 165 x 300', 'books', { kind: 'box', width: mm(300), height: mm(240), depth: mm(165) }, 7.722],
  // π / 4 · 0.2² · 0.3 = 9.425 litres.
  ['a bucket Ø200 x 300 of water', 'water', { kind: 'cylinder', diameter: mm(200), height: mm(300) }, 9.425],
] as const)('%s', (_, id, shape, kg) => {
  expect(massOfFill(shape, fill(id))).toBeCloseTo(kg, 3);
});

test('a litre is a thousandth of a cubic metre', () => {
  expect(volumeOf({ kind: 'box', width: mm(100), height: mm(100), depth: mm(100) })).toBeCloseTo(0.001, 12);
});
