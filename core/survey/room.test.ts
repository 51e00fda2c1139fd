import { mm, toMm } from '../length/index.js';
import { leanOf, roomFor, spreadOf, standingHeight, type Opening } from './index.js';

const alcove: Opening = {
  name: 'Alcove',
  widths: [1212, 1209, 1210].map((v, i) => ({ place: `${i}`, value: mm(v) })),
  heights: [2104, 2101].map((v, i) => ({ place: `${i}`, value: mm(v) })),
  depths: [{ place: 'middle', value: mm(330) }],
  obstacles: [],
  slack: { side: mm(3), above: mm(10), behind: mm(4) },
};

test('room is the least reading less the slack: 1203 x 2091 x 326', () => {
  expect((['width', 'height', 'depth'] as const).map((r) => toMm(roomFor('a', alcove, r).value))).toEqual([1203, 2091, 326]);
});

test('diagonals that differ take their lean off the width', () => {
  // A parallelogram 1000 wide and 2000 high that leans 10: d² = (1000 ± 10)² + 2000².
  const leaning: Opening = {
    ...alcove,
    widths: [{ place: 'only', value: mm(1000) }],
    diagonals: { rising: mm(Math.hypot(1010, 2000)), falling: mm(Math.hypot(990, 2000)) },
  };
  expect(toMm(leanOf(leaning))).toBeCloseTo(10, 3);
  expect(toMm(roomFor('a', leaning, 'width').value)).toBeCloseTo(1000 - 10 - 6, 3);
  expect(leanOf(alcove)).toBe(0);
  // One of them says nothing of a lean.
  expect(leanOf({ ...leaning, diagonals: { rising: mm(2200) } })).toBe(0);
});

test('readings differ by 3', () => {
  expect(toMm(spreadOf(alcove, 'width'))).toBe(3);
});

test('a piece is stood up under the ceiling where it was measured, else under the opening', () => {
  expect(toMm(standingHeight('a', alcove).value)).toBe(2101);
  expect(toMm(standingHeight('a', { ...alcove, ceiling: mm(2400) }).value)).toBe(2400);
});
