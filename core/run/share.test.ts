import { columnSum, size } from '../figure/index.js';
import { mm, toMm } from '../length/index.js';
import { freeGaps, isFree, setToGrid, shareOut, stepPlaces } from './share.js';
import type { GapRule } from './rule.js';
import type { RunGap } from './types.js';

const gap = (id: string, rule: GapRule, extra: Partial<RunGap> = {}): RunGap => ({ kind: 'gap', id, label: id, rule, ...extra });
const share: GapRule = { kind: 'share', weight: 1 };

test.each<[GapRule, boolean, boolean]>([
  [share, true, true],
  [{ kind: 'graded', step: 1 }, true, true],
  [{ kind: 'fit', clearance: mm(0) }, true, false],
  [{ kind: 'fixed', size: mm(1) }, false, false],
  [{ kind: 'grid', pitch: mm(32), steps: 1, overMember: false }, false, false],
])('%o is free with nothing in it: %s, with something: %s', (rule, empty, filled) => {
  expect(isFree(gap('a', rule))).toBe(empty);
  expect(isFree(gap('a', rule, { need: size('tin', mm(100)) }))).toBe(filled);
});

test('each graded gap stands on the graded one before it, whatever lies between', () => {
  const free = freeGaps([
    gap('a', { kind: 'graded', step: 10 }),
    gap('s', share),
    gap('b', { kind: 'graded', step: 10 }),
    gap('c', { kind: 'graded', ratio: 2 }),
  ]);
  expect(free.map((f) => [f.gap.id, f.weight, f.offset])).toEqual([
    ['a', 1, 0],
    ['s', 1, 0],
    ['b', 1, 10],
    ['c', 2, 20],
  ]);
});

test('bounds that cannot all be kept still give each gap its bound, and do not add up', () => {
  const free = freeGaps([gap('a', share, { least: mm(60) }), gap('b', share, { least: mm(60) })]);
  const sizes = shareOut(free, size('left', mm(100)));
  expect(sizes.map((f) => toMm(f.value))).toEqual([60, 60]);
});

test.each([
  ['first', 2, [true, true, false, false]],
  ['last', 1, [false, false, false, true]],
  ['spread', 2, [false, true, false, true]],
  ['spread', 4, [true, true, true, true]],
  ['last', 0, [false, false, false, false]],
] as const)('%s, %d of four steps', (leftover, steps, places) => {
  expect(stepPlaces(4, steps, leftover)).toEqual(places);
});

const gaps = (...ids: string[]) => ids.map((id) => gap(id, share));
const four = gaps('a', 'b', 'c', 'd');
const fourOf381 = four.map(({ id }) => size(id, mm(381.35)));

test('1525.4 in four to 0.5: 2 x 381.0 + 2 x 381.5 + 0.4', () => {
  const { sizes, residue } = setToGrid(four, fourOf381, mm(1525.4), { grid: mm(0.5), set: 'gaps', leftover: 'last' });
  expect(sizes.map((f) => toMm(f.value))).toEqual([381, 381.4, 381.5, 381.5]);
  expect(residue).toEqual({ amount: mm(0.4), gap: 'b' });
});

test('with the first gaps taking the steps, the residue goes to the first without one', () => {
  expect(setToGrid(four, fourOf381, mm(1525.4), { grid: mm(0.5), set: 'gaps', leftover: 'first' }).residue?.gap).toBe('c');
});

test('a gap that would leave its bound on the way to the grid stays, and the others share what is left', () => {
  // 381.35 held at 381.35 at least: the other three have 1144.05, each 381 and a step for two of them, 0.05 over.
  const [first, ...others] = four;
  const bounded = [{ ...(first as RunGap), least: mm(381.35) }, ...others];
  const { sizes, residue } = setToGrid(bounded, fourOf381, mm(1525.4), { grid: mm(0.5), set: 'gaps', leftover: 'last' });
  expect(sizes.map((f) => toMm(f.value))).toEqual([381.35, 381.05, 381.5, 381.5]);
  expect(residue).toEqual({ amount: mm(0.05), gap: 'b' });
});

test('equal gaps have one sum, others each their own', () => {
  const [a, b, c] = shareOut(freeGaps([...gaps('a', 'b'), gap('c', { kind: 'share', weight: 2 })]), size('left', mm(400)));
  expect([a, b, c].map((f) => f && toMm(f.value))).toEqual([100, 100, 200]);
  expect(a).toBe(b);
  expect(c && columnSum(c).map(({ sign, figure }) => [sign, figure.amount])).toEqual([
    ['', mm(100)],
    ['×', 2],
    ['=', mm(200)],
  ]);
});

test.each([
  ['first', [9_799_999, 9_800_000]],
  ['last', [9_800_000, 9_799_999]],
] as const)('halves that are rounded up onto the grid close all the same, the odd unit taken %s', (leftover, expected) => {
  const total = mm(244.9999875);
  // 19,599,999 units in two: 9,799,999.5 each, which is rounded to 245 half millimetres exactly.
  const half = size('half', mm(122.5));
  const { sizes } = setToGrid(gaps('a', 'b'), [half, half], total, { grid: mm(0.5), set: 'gaps', leftover });
  expect(sizes.map((f) => f.value)).toEqual(expected);
});
