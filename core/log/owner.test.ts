import { writeExactly } from '../figure/index.js';
import { solve } from '../solution/index.js';
import { divided, panels, piece, workshop } from '../testing/samples.js';
import { ownersPage } from './index.js';

// 1000 x 2000 x 300 of 20: sides, top and bottom, and two shelves that are housed.
const solution = solve(piece(divided('in', 'up', 3), { panels: panels({ fix: 'housed' }) }), workshop(), {});
const apart = (glue: 'pva' | 'none') => ownersPage(solution, { glue }).apart.map(writeExactly).join(' ');

test('what was glued does not come apart, whether screws are in it too or not; without glue it does', () => {
  expect(apart('pva')).toContain('glued: does not come apart');
  expect(apart('pva')).not.toMatch(/unscrew|draw out/);
  expect(apart('none')).toContain('draw out of its housing');
  expect(apart('none')).not.toContain('glued');
});

test('what it is made of is by its stock, with the mass of it: 0.02 x 0.3 x (2 x 2 + 2 x 0.96 + 2 x 0.97) m³ less four housings of 0.005 x 0.02 x 0.3, at 680', () => {
  const [ply] = ownersPage(solution, { glue: 'pva' }).madeOf;
  const kg = ply?.find((part) => typeof part === 'object' && part.kind === 'mass');
  expect(kg && typeof kg === 'object' && kg.kind === 'mass' ? kg.kg : 0).toBeCloseTo(0.02 * 0.3 * (4 + 1.92 + 1.94 - 4 * 0.005) * 680, 3);
});
