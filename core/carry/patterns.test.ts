import { solveBeam } from './beam.js';
import { loadPatterns, patternsFor } from './patterns.js';

const EI = 9000 * 145_800;
const worst = (supports: readonly number[], length: number) => {
  const base = { length, supports: supports.map((x) => ({ x })) };
  const maybe = { lines: [{ from: 0, to: length, perMm: 0.5 }], points: [] };
  const results = loadPatterns({ base, always: { lines: [], points: [] }, maybe }).map((b) =>
    solveBeam({ ...b, stretches: [{ to: length, EI }] }),
  );
  return {
    sag: Math.max(...results.map((r) => r.greatest.mm)),
    moment: Math.max(...results.map((r) => r.moment)),
    reaction: Math.max(...results.flatMap((r) => r.reactions.map((a) => a.newtons))),
  };
};

test('one stretch is loaded or not; three are loaded in five ways', () => {
  expect(patternsFor([1])).toEqual([[true]]);
  expect(patternsFor([1, 1, 1]).map((p) => p.map((on) => (on ? '1' : '0')).join(''))).toEqual(['111', '101', '010', '110', '011']);
});

test('of many, those beside the longest are tried', () => {
  const twelve = patternsFor([1, 1, 1, 1, 3, 1, 1, 1, 1, 2, 1, 1]);
  // All, two for sag, and one for each support beside the fifth and the tenth; pairs that repeat another count once.
  expect(twelve).toHaveLength(7);
});

// Coefficients of q L⁴ / EI, q L² and q L: continuous beams under the worst pattern (handbook tables of continuous beams).
test('two spans of 900: sag with one loaded, moment and reaction with both', () => {
  const two = worst([0, 900, 1800], 1800);
  expect(two.sag).toBeCloseTo(2.28763846, 5);
  expect(two.moment).toBeCloseTo(0.125 * 0.5 * 900 ** 2, 3);
  expect(two.reaction).toBeCloseTo(1.25 * 0.5 * 900, 6);
});

test('three spans of 900: 0.00992 q L⁴ / EI with the outer two, −0.1167 q L² and 1.2 q L with two beside each other', () => {
  const three = worst([0, 900, 1800, 2700], 2700);
  expect(three.sag / ((0.5 * 900 ** 4) / EI)).toBeCloseTo(0.0099, 4);
  expect(three.moment / (0.5 * 900 ** 2)).toBeCloseTo(0.11667, 4);
  expect(three.reaction / (0.5 * 900)).toBeCloseTo(1.2, 6);
});

test('an overhang that is empty lets the span sag as a simple one', () => {
  expect(worst([0, 900], 1200).sag).toBeCloseTo(3.25520833, 6);
});

test('what is left of a load over two spans keeps the part of the breadth that it takes up', () => {
  const base = { length: 1800, supports: [0, 900, 1800].map((x) => ({ x })) };
  const maybe = { lines: [{ from: 100, to: 1700, perMm: 0.5, wide: 120 }], points: [] };
  const [, ...partial] = loadPatterns({ base, always: { lines: [], points: [] }, maybe });
  expect(partial.map((p) => p.lines)).toEqual([
    [{ from: 100, to: 900, perMm: 0.5, wide: 120 }],
    [{ from: 900, to: 1700, perMm: 0.5, wide: 120 }],
  ]);
});
