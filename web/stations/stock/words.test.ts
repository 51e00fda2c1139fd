import { mm } from '../../../core/length/index.js';
import type { Sums } from '../../../core/layout/sums.js';
import { stock } from '../../../core/testing/samples.js';
import type { ShownSheet, StockToCut } from './use-cutting.js';
import { boundText, counted, missingText, sheetName, sumsText, thinText } from './words.js';

const none = { ends: mm(0), edges: mm(0) };
const source = (id: string, from: 'offcut' | 'on hand' | 'to buy', name = 'Ply') => ({
  sheet: { id, length: mm(1000), width: mm(500), count: 3, cost: 1, trim: none },
  from,
  name,
  price: 10,
});
const blank = (key: string, length: number, width: number) => ({ key, length: mm(length), width: mm(width), grain: true });
const sources = [source('offcut Rest', 'offcut', 'Rest'), source('have 0', 'on hand'), source('buy 0', 'to buy')];
const toCut = {
  id: 's',
  stock: stock({ name: 'Ply', length: mm(1000), width: mm(500) }),
  blanks: [blank('a', 1200, 100), blank('b', 900, 100), blank('c', 300, 2)],
  asked: { sources, problem: { kerf: mm(3), sheets: sources.map((s) => s.sheet) } },
  key: '',
  begun: [],
} as unknown as StockToCut;
const marks = new Map([
  ['a', 'A'],
  ['b', 'B'],
  ['c', 'C'],
]);
const precision = { unit: 'mm', step: mm(0.1) } as const;
const sums = (counts: readonly number[], fewest: number): Sums =>
  ({
    used: counts.map((count, i) => ({ source: sources[i], count, money: 0 })).filter((u) => u.count > 0),
    fewest,
    isFewest: counts.reduce((a, b) => a + b, 0) <= fewest,
  }) as unknown as Sums;

test('counts as they are written', () => {
  expect([counted(1, 'sheet'), counted(3, 'board')]).toEqual(['1 sheet', '3 boards']);
});

test('a sheet is called by where it comes from, and whether it was begun', () => {
  const shown = (sheet: string, begun: object | null) => ({ laid: { sheet }, begun }) as unknown as ShownSheet;
  expect(sheetName(toCut, shown('offcut Rest', null), 0)).toBe('Sheet 1, Rest');
  expect(sheetName(toCut, shown('have 0', {}), 1)).toBe('Sheet 2, on hand, begun');
  expect(sheetName(toCut, shown('buy 0', null), 2)).toBe('Sheet 3, to buy');
  expect(sheetName(toCut, shown('have 0', { booked: true }), 0)).toBe('Sheet 1, used up');
});

test('what is opened in a line, and whether fewer would do', () => {
  expect(sumsText(toCut, sums([1, 2, 1], 3))).toBe('1 offcut, 2 sheets on hand, 1 sheet to buy');
  const all = { missing: [], proven: false };
  expect(boundText(toCut, sums([0, 2, 0], 2), all, false)).toBe('No layout opens fewer than 2 sheets.');
  expect(boundText(toCut, sums([1, 2, 0], 2), all, true)).toMatch(
    /^3 are opened; none could open fewer than 2 sheets, and fewer are looked for/,
  );
  expect(boundText(toCut, sums([1, 2, 0], 2), { ...all, proven: true }, false)).toMatch(/^No layout costs less/);
  expect(boundText(toCut, sums([0, 2, 0], 2), { missing: ['a'], proven: false }, false)).toBe('');
});

test('what has no place: larger than any, or no more left; and a blade wider than a part', () => {
  const [large, short] = missingText(toCut, ['a', 'b'], marks, precision);
  expect(large).toMatch(/^A is larger than any sheet of Ply: 1200 × 100 does not go on 1000 × 500/);
  expect(short).toBe('B has no place: there is no more of Ply.');
  expect(thinText(toCut, marks, precision)).toMatch(/takes 3, which is wider than C/);
});
