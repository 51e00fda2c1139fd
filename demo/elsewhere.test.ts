import { againstList, type PlanRow } from '../core/elsewhere/index.js';
import { writeExactly } from '../core/figure/index.js';
import { readCutList } from '../core/formats/cut-list-in.js';
import { mm, toMm } from '../core/length/index.js';
import { rowsOf } from '../core/parts/index.js';
import type { Solution } from '../core/solution/index.js';
import { solved } from './solved.js';

/** A list as someone would write it for a piece: whole millimetres, sheets by what they are sold as. */
function listFor(solution: Solution): PlanRow[] {
  return rowsOf(solution.parts).map(({ first, count }, i) => ({
    line: i + 1,
    name: first.member.role,
    count,
    length: mm(Math.round(toMm(first.cut.length.set))),
    width: mm(Math.round(toMm(first.cut.width.set))),
    thickness: first.member.stock.nominal,
  }));
}

/** The first line of a name and a length, changed. */
function changed(
  list: readonly PlanRow[],
  name: string,
  length: number,
  change: Partial<Record<'count' | 'length' | 'width' | 'thickness', number>>,
): PlanRow[] {
  const at = list.findIndex((r) => r.name === name && Math.abs(toMm(r.length) - length) < 1);
  if (at < 0) throw new Error(`there is no ${name} of ${length}`);
  return list.map((r, i) => {
    if (i !== at) return r;
    const { count = r.count, ...sizes } = change;
    return { ...r, count, ...Object.fromEntries(Object.entries(sizes).map(([k, v]) => [k, mm(v)])) };
  });
}

const inkCase = solved('ink-case');
const chest = solved('paper-chest');
const stand = solved('mat-stand');

test.each([
  ['ink case', inkCase],
  ['paper chest', chest],
  ['mat stand', stand],
])('a list of the %s without a fault: nothing is told', (_, piece) => {
  expect(againstList(listFor(piece), piece)).toEqual([]);
});

// Of the ink case: sides 2091, top and bottom 1167.8 between sides of 17.6, shelves 587.1 with 6 in each housing, two loose ones of 573.1.
// Of the paper chest: 880 wide, boxes 854.6 between slides of 12.7; their ends 824.6 between sides of 15.
test.each<[string, Solution, PlanRow[], { kind: string; side: string | null; by: number; says: string }]>([
  [
    'the top goes between and is cut as if it went over',
    inkCase,
    changed(listFor(inkCase), 'top', 1168, { length: 1203 }),
    { kind: 'size', side: 'length', by: 35.5, says: 'two thicknesses' },
  ],
  [
    'one thickness too many is taken off the bottom',
    inkCase,
    changed(listFor(inkCase), 'bottom', 1168, { length: 1150 }),
    { kind: 'size', side: 'length', by: -17.5, says: 'a thickness of Birch ply 18 was taken off' },
  ],
  [
    'housings are forgotten',
    inkCase,
    changed(listFor(inkCase), 'shelf', 587, { length: 575 }),
    { kind: 'size', side: 'length', by: -12, says: 'each side were forgotten' },
  ],
  [
    'a shelf is missing',
    inkCase,
    changed(listFor(inkCase), 'shelf', 587, { count: 4 }),
    { kind: 'count', side: null, by: -1, says: '4 in the list, and 5 are needed' },
  ],
  [
    'the back is not in it',
    inkCase,
    listFor(inkCase).filter((r) => r.name !== 'back'),
    { kind: 'missing', side: null, by: -1, says: 'not in the list' },
  ],
  [
    'a part that belongs to something else',
    inkCase,
    [...listFor(inkCase), { line: 99, name: 'lid', count: 1, length: mm(700), width: mm(700), thickness: mm(9) }],
    { kind: 'not of it', side: null, by: 1, says: 'no part of this piece is anything like it' },
  ],
  [
    'both runners are forgotten',
    chest,
    changed(listFor(chest), 'drawer end', 824.5, { length: 850 }),
    { kind: 'size', side: 'length', by: 25.5, says: 'both runners of 12.7' },
  ],
  [
    'a side is too narrow by nothing that is known',
    inkCase,
    changed(listFor(inkCase), 'side', 2091, { width: 300 }),
    { kind: 'size', side: 'width', by: -20, says: 'leaves a gap' },
  ],
  [
    'a thickness that is none of this stock',
    inkCase,
    changed(listFor(inkCase), 'divider', 1975.5, { thickness: 15 }),
    { kind: 'size', side: 'thickness', by: -2.6, says: 'too thin' },
  ],
  [
    'rails taken over the posts',
    stand,
    changed(listFor(stand), 'rail', 371, { length: 455 }),
    { kind: 'size', side: 'length', by: 84, says: 'two thicknesses of' },
  ],
])('%s: that alone is told, with what it comes from', (_, piece, list, wanted) => {
  const told = againstList(list, piece);
  expect(told.map((d) => [d.kind, d.side])).toEqual([[wanted.kind, wanted.side]]);
  expect(told[0]?.by).toBeCloseTo(wanted.by, 1);
  expect(told.map((d) => writeExactly(d.sentence)).join(' ')).toContain(wanted.says);
});

test('a list is read as it was pasted: tabs or semicolons, with a heading or without, in mm or inches', () => {
  const rows = (text: string, unit: 'mm' | 'in' = 'mm') =>
    readCutList(text, unit).rows.map((r) => [r.line, r.name, r.count, toMm(r.length), toMm(r.width), toMm(r.thickness)]);
  expect(rows('Side, 2, 2091, 320, 18\nTop, 1, 1167.8, 320, 18')).toEqual([
    [1, 'Side', 2, 2091, 320, 18],
    [2, 'Top', 1, 1167.8, 320, 18],
  ]);
  expect(rows('Qty\tPart\tThickness\tWidth\tLength\n2\tSide\t18\t320\t2091')).toEqual([[2, 'Side', 2, 2091, 320, 18]]);
  // 33 1/2 in is 850.9 mm; 12 in 304.8; 3/4 in 19.05.
  expect(rows('Shelf; 4; 33 1/2; 12; 3/4', 'in')).toEqual([[1, 'Shelf', 4, 850.9, 304.8, 19.05]]);
  expect(readCutList('', 'mm')).toMatchObject({ rows: [], faults: [] });
});

test('a line that cannot be read is told, and the others are read', () => {
  const { rows, faults } = readCutList('Side, 2, 2091, 320, 18\nTop, none, 1168, 320, 18\nBack, 1, long, 1203, 0', 'mm');
  expect(rows.map((r) => r.name)).toEqual(['Side']);
  expect(faults.map((f) => [f.line, f.column, f.given])).toEqual([
    [2, 'count', 'none'],
    [3, 'length', 'long'],
    [3, 'thickness', '0'],
  ]);
});
