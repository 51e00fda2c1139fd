import { mm } from '../length/index.js';
import { chest, chestShop, drawers } from '../testing/chest.js';
import { solve } from '../solution/index.js';
import { divided, lightly, piece, stock, workshop } from '../testing/samples.js';
import { forceOfPerson, withPerson, type BendingAnswer } from './index.js';

const FORCE = 120 * 9.81;

function bendingOf(solution: ReturnType<typeof solve>, id: string): BendingAnswer {
  const answer = solution.carried.members.get(id)?.bending;
  if (!answer) throw new Error(`${id} does not bend`);
  return answer;
}

test('a person of 120 kg weighs 1177 N, and a seat takes no less than 1300', () => {
  expect(forceOfPerson(false)).toBeCloseTo(FORCE, 9);
  expect(forceOfPerson(true)).toBe(1300);
});

test('a narrow board is a beam: P L³ / 48 E I beside what it weighs', () => {
  const shop = workshop({ stock: { ply: stock({ density: 1e-6 }) } });
  const shallow = piece(lightly(divided('in', 'up', 2)), { depth: { from: 'given', size: mm(140), of: 'overall' } });
  const answer = bendingOf(solve(shallow, shop, {}), 'in-m1/shelf/1');
  const then = withPerson(answer, shop.settings);
  const I = (140 * 20 ** 3) / 12;
  expect(then.stands).toBe('in the middle');
  // The plain reading of E decides on a span of 48 thicknesses.
  expect(then.mm).toBeCloseTo((FORCE * 960 ** 3) / (48 * 9500 * I), 3);
  // M = P L / 4, against 40 MPa x 0.9 / 1.2 / 1.5, since it is soon over.
  expect(then.used).toBeCloseTo((FORCE * 960) / 4 / ((140 * 20 ** 2) / 6) / ((40 * 0.9) / 1.2 / 1.5), 3);
});

test('on the edge of a broad shelf a person bends it further than one spread over its breadth', () => {
  const shop = workshop();
  const answer = bendingOf(solve(piece(divided('in', 'up', 2)), shop, {}), 'in-m1/shelf/1');
  const then = withPerson(answer, shop.settings);
  const spread = (FORCE * 960 ** 3) / (48 * 9500 * ((300 * 20 ** 3) / 12));
  expect(then.stands).toBe('at the middle of an edge');
  expect(then.mm).toBeGreaterThan(1.1 * spread);
  expect(then.mm).toBeLessThan(2 * spread);
});

test('a drawer bottom is stood on in its middle: 0.0116 P a² / D for a square, less for a patch', () => {
  // 4 in grooves on each wall: 932 + 8 − 1 = 939 by 269.
  const answer = bendingOf(chest(drawers()), 'd1/drawer-bottom/1');
  expect(answer.beside).toBe('both');
  const then = withPerson(answer, chestShop.settings);
  expect(then.stands).toBe('in the middle');
  // Thin plywood of 5 mm breaks under it many times over.
  expect(then.state).toBe('fails');
  expect(then.used).toBeGreaterThan(1.5);
});
