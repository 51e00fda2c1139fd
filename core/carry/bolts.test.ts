import { boltBearing, boltLateral, boltsIn } from './bolts.js';

test('dowel bearing of bolts: 11200 G along the grain, 6100 G^1.45 / √D across it', () => {
  expect(boltBearing(0.4, 0.5, true)).toBeCloseTo(4480, 6);
  // NDS table 12.3.3 has 2300 psi for G 0.40 and a bolt of 1/2 inch, rounded to 50.
  expect(Math.round(boltBearing(0.4, 0.5, false) / 50) * 50).toBe(2300);
});

test('a bolt of 8 through 45 into 60 of end grain: mode IV decides, 179.8 lb before 0.9 and 0.67', () => {
  // D 0.31496, Fem 2878.6, Fes 4480, Re 0.64254: D² √(2 Fem 45000 / (3 (1 + Re))) = 719.3 over 3.2 × 1.25.
  const side = { thickness: 45, gravity: 0.4, along: true };
  const main = { thickness: 60, gravity: 0.4, along: false };
  expect(boltLateral(8, side, main, true)).toBeCloseTo(179.82 * 0.9 * 0.67 * 4.44822, 0);
  expect(boltLateral(8, side, main, false) / boltLateral(8, side, main, true)).toBeCloseTo(1 / 0.67, 9);
});

test('along the grain of both nothing is taken off for the angle', () => {
  const wood = { thickness: 40, gravity: 0.6, along: true };
  const across = boltLateral(10, wood, { ...wood, along: false }, false);
  expect(boltLateral(10, wood, wood, false)).toBeGreaterThan(across);
});

test.each([
  [43, 8, 0],
  [44, 8, 1],
  [75, 8, 1],
  [76, 8, 2],
  [95, 10, 2],
])('in %d go bolts of %d: %d', (high, diameter, count) => {
  // 4 D from the loaded edge, 1.5 D from the other, 4 D apart.
  expect(boltsIn(high, diameter)).toBe(count);
});
