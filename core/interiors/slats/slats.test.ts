import { writeExactly } from '../../figure/index.js';
import { ZERO, mm, toMm } from '../../length/index.js';
import { boxOf } from '../../piece/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { piece, space, workshop } from '../../testing/samples.js';
import type { Slats } from './index.js';

const two = { stock: 'ply', count: 2, wide: mm(50), inset: mm(60), trim: ZERO };

/** Slats of 60 in a case of 960 x 1960 x 300 inside, with two of them between the ends, on supports of 20 that are 50 high. */
function deck(axis: 'across' | 'deep', extra: Partial<Slats> = {}): Solution {
  const making: Slats = { kind: 'slats', stock: 'ply', wide: mm(60), ends: 'flush', supports: two, ...extra };
  const split = { axis, making, members: [{ id: 'a' }, { id: 'b' }], spaces: [space('g1'), space('g2'), space('g3')] };
  return solve(piece(space('in', { split })), workshop(), {});
}
/** From and to of all of one role, along an axis, mm. */
const along = (s: Solution, role: string, axis: 'x' | 'y' | 'z') =>
  s.shape.members.filter((m) => m.role === role).map((m) => [toMm(boxOf(m)[`${axis}0`]), toMm(boxOf(m)[`${axis}1`])]);
const heldBy = (s: Solution, id: string) => s.shape.joints.filter((j) => j.carried === id).map((j) => [j.carrier, j.how]);
const remarks = (s: Solution) => (s.shape.facts.get('in') ?? []).map((f) => f.remark && writeExactly(f.remark));

test('side by side they are flush at both ends, with gaps of (960 - 4 x 60) / 3', () => {
  const s = deck('across');
  expect(along(s, 'slat', 'x')).toEqual([
    [20, 80],
    [320, 380],
    [620, 680],
    [920, 980],
  ]);
  expect(along(s, 'slat', 'z')).toEqual(Array.from({ length: 4 }, () => [0, 300]));
  // On supports of 50 over the bottom of 20, and themselves 20 thick: what stands on the deck stands at 90.
  expect(along(s, 'slat', 'y')[0]).toEqual([70, 90]);
  expect(toMm(s.shape.spaces.get('in')?.standing ?? ZERO)).toBe(90);
});

test('one behind the other they go from side to side, with gaps of (300 - 4 x 60) / 3, and supports run to the front', () => {
  const s = deck('deep');
  expect(along(s, 'slat', 'z')).toEqual([
    [0, 60],
    [80, 140],
    [160, 220],
    [240, 300],
  ]);
  expect(along(s, 'slat support', 'x')).toEqual([
    [80, 100],
    [900, 920],
  ]);
  expect(along(s, 'slat support', 'z')).toEqual([
    [0, 300],
    [0, 300],
  ]);
});

test('ending in half gaps they leave 210 at each end of 420 between two', () => {
  expect(along(deck('across', { ends: 'half-gap' }), 'slat', 'x')).toEqual([
    [230, 290],
    [710, 770],
  ]);
});

test('supports stand as far in as is said, a single one in the middle, and each slat is screwed to each', () => {
  const s = deck('across');
  expect(along(s, 'slat support', 'z')).toEqual([
    [60, 80],
    [220, 240],
  ]);
  expect(along(deck('across', { supports: { ...two, count: 1 } }), 'slat support', 'z')).toEqual([[140, 160]]);
  expect(heldBy(s, 'a/slat/1')).toEqual([
    ['in/slat-support/1', 'screws'],
    ['in/slat-support/2', 'screws'],
  ]);
  expect(heldBy(s, 'in/slat-support/1')).toEqual([['case/bottom/1', 'bearing']]);
});

test('with nothing under them, slats across are screwed to the sides, and those to the front lie on the bottom', () => {
  const none = { supports: { ...two, count: 0 } };
  expect(heldBy(deck('deep', none), 'a/slat/1')).toEqual([
    ['case/side/left', 'screws'],
    ['case/side/right', 'screws'],
  ]);
  expect(heldBy(deck('across', none), 'a/slat/1')).toEqual([['case/bottom/1', 'bearing']]);
  expect(along(deck('deep', none), 'slat', 'y')[0]).toEqual([20, 40]);
});

test('what is told of ripping and of spacers', () => {
  // 19 strips of 60 with 19 cuts of 3 come out of 1250; of 2500 come eight of 300 with cuts of 3.
  expect(remarks(deck('across'))).toEqual([
    '4 slats; spacer blocks: 3 of 240 mm.',
    undefined,
    '19 strips come from the breadth of one ply 20, 53 mm left after 19 cuts; 8 slats along each.',
  ]);
  expect(remarks(deck('deep'))[0]).toBe('4 slats; spacer blocks: 3 of 20 mm.');
});
