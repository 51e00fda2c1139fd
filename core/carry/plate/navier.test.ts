import fc from 'fast-check';
import { rigidityOf, solveAllRound, solvePlate, type AllRoundSpec } from './index.js';

const ISOTROPIC = { x: 1, y: 1, coupling: 0.3, twist: 0.35 };
const all = (a: number, b: number, perMm2 = 1) => ({ x0: 0, x1: a, y0: 0, y1: b, perMm2 });
const square: AllRoundSpec = { a: 1, b: 1, rigidity: ISOTROPIC, patches: [all(1, 1)] };

// Timoshenko and Woinowsky-Krieger, Theory of Plates and Shells, table 8, ν 0.3; times q a⁴ / D and q a².
test.each([
  [1, 0.00406, 0.0479, 0.0479],
  [1.5, 0.00772, 0.0812, 0.0498],
  [2, 0.01013, 0.1017, 0.0464],
])('%d to 1: deflection and both moments of the table', (b, w, mx, my) => {
  const { mm, moment } = solveAllRound({ ...square, b, patches: [all(1, b)] });
  expect(mm).toBeCloseTo(w, 5);
  expect(moment.x).toBeCloseTo(mx, 3);
  expect(moment.y).toBeCloseTo(my, 3);
});

test('the square to six figures', () => expect(solveAllRound(square).mm).toBeCloseTo(0.00406235, 7));

test('a square loaded in its middle, twenty-fifth part of it: beside elements', () => {
  const patch = { x0: 0.4, x1: 0.6, y0: 0.4, y1: 0.6, perMm2: 25 };
  const edges = { x0: 'simple', x1: 'simple', y0: 'simple', y1: 'simple' } as const;
  const elements = solvePlate({ ...square, edges, beams: [], props: [], points: [], patches: [patch], mesh: 20 });
  const series = solveAllRound({ ...square, patches: [patch] });
  expect(Math.abs(series.mm / elements.greatest.mm - 1)).toBeLessThan(0.002);
  expect(Math.abs(series.moment.x / elements.moment.x - 1)).toBeLessThan(0.02);
});

test('a plate whose load stands at one end leans on that end, and is deepest near it', () => {
  const { edges, at } = solveAllRound({ ...square, a: 2, patches: [{ ...all(0.5, 1), x1: 0.5 }] });
  expect(edges.x0).toBeGreaterThan(4 * edges.x1);
  expect(edges.y0).toBeCloseTo(edges.y1, 9);
  expect(at(0.6, 0.5)).toBeGreaterThan(3 * at(1.6, 0.5));
});

test('each edge of a square carries a quarter; the long edges of a long plate nearly all', () => {
  expect(solveAllRound(square).edges.x0).toBeCloseTo(0.25, 6);
  const { edges } = solveAllRound({ ...square, a: 5, patches: [all(5, 1)] });
  expect(edges.y0 + edges.y1).toBeGreaterThan(0.85 * 5);
});

test('edges carry all of the load, and no edge pulls', () => {
  const side = fc.integer({ min: 200, max: 1200 });
  fc.assert(
    fc.property(side, side, fc.integer({ min: 0, max: 80 }), fc.integer({ min: 5, max: 100 }), (a, b, from, part) => {
      const x0 = (a * from) / 100;
      const x1 = Math.min(a, x0 + (a * part) / 100);
      const { edges, mm } = solveAllRound({
        a,
        b,
        rigidity: rigidityOf(9, 9500, 7000, 620),
        patches: [{ x0, x1, y0: 0, y1: b, perMm2: 0.01 }],
      });
      const sum = edges.x0 + edges.x1 + edges.y0 + edges.y1;
      expect(sum / (0.01 * (x1 - x0) * b)).toBeCloseTo(1, 9);
      expect(Math.min(edges.x0, edges.x1, edges.y0, edges.y1)).toBeGreaterThanOrEqual(0);
      expect(mm).toBeGreaterThan(0);
    }),
    { numRuns: 60 },
  );
});
