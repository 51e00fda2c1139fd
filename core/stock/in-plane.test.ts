import { mm } from '../length/index.js';
import type { Space } from '../piece/index.js';
import { solve, type Solution } from '../solution/index.js';
import { chest, chestShop, drawers } from '../testing/chest.js';
import { divided, piece, stock, workshop } from '../testing/samples.js';
import { propertiesOf } from './index.js';

// E across and G of each, GPa: plies crossed at right angles have a G of their own, chips E / 2.5, solid wood E / 16 and E / 30 across.
test.each([
  ['birch-plywood', 7.0, 0.62],
  ['softwood-plywood', 3.0, 0.5],
  ['poplar-plywood', 4.5, 0.45],
  ['osb3', 1.9, 1.08],
  ['mdf', 3.0, 1.2],
  ['particleboard', 2.0, 0.8],
  ['red-oak', 12.5 / 30, 12.5 / 16],
])('%s: %d across, G %d', (material, across, shear) => {
  const known = propertiesOf(stock({ material }));
  expect(known.elasticAcross).toBeCloseTo(across, 9);
  expect(known.shear).toBeCloseTo(shear, 9);
});

test('a maker’s G takes the place of the typical one; an own E changes both directions alike', () => {
  expect(propertiesOf(stock({ shear: 0.7 })).shear).toBe(0.7);
  expect(propertiesOf(stock({ elastic: 19 })).elasticAcross).toBeCloseTo(14, 9);
  expect(propertiesOf(stock({ material: 'mdf', elastic: 3.5 })).shear).toBeCloseTo(1.4, 9);
});

const today = (s: Solution, id: string) => s.carried.members.get(id)?.bending?.verdict.today.mm as number;
const BOTTOM = 'd1/drawer-bottom/1';
const chestOf = (bottom: object) =>
  chest(
    drawers(),
    3,
    {},
    { ...chestShop, stock: new Map([...chestShop.stock, ['bottom', stock({ name: 'bottom', thickness: mm(5), ...bottom })]]) },
  );

test('a maker’s E that is the typical one changes no verdict, along the sheet or across it', () => {
  expect(today(chestOf({ elastic: 9.5 }), BOTTOM)).toBeCloseTo(today(chestOf({}), BOTTOM), 12);
  const inside = divided('in', 'up', 2);
  (inside.split?.spaces[1] as Space).things = [{ thing: 'tin', count: 4 }];
  const shelf = (own: object) => today(solve(piece(inside), workshop({ stock: { ply: stock(own) } }), {}), 'in-m1/shelf/1');
  expect(shelf({ elastic: 9.5 })).toBeCloseTo(shelf({}), 12);
});

test('a solid drawer bottom bends by its grain: across it the wood has a thirtieth of its stiffness', () => {
  // Its length, and so its grain, runs from side to side; it spans from the back to the front: 5 W L³ / 384 (E / 30) I at the most.
  const s = chestOf({ material: 'red-oak', form: 'board', width: mm(400) });
  const c = s.carried.members.get(BOTTOM);
  const L = c?.bending?.span as number;
  const beam = (5 * (c?.total as number) * L ** 3) / (384 * (12_500 / 30) * ((939 * 5 ** 3) / 12));
  expect(today(s, BOTTOM)).toBeGreaterThan(0.5 * beam);
  expect(today(s, BOTTOM)).toBeLessThan(beam);
  // Twelve times and more of what it would be with the grain.
  expect(today(s, BOTTOM)).toBeGreaterThan(12 * ((5 * (c?.total as number) * L ** 3) / (384 * 12_500 * ((939 * 5 ** 3) / 12))));
  // And splits by what it bears square to its grain.
  expect(c?.bending?.strength.strength).toMatchObject({ judged: true });
  expect(c?.bending?.section.acrossGrain).toBe(true);
});
