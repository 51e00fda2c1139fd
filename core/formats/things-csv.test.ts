import { toMm } from '../length/index.js';
import { readThings } from './index.js';

const sizes = (text: string, unit: 'mm' | 'in' = 'mm') =>
  readThings(text, unit).things.map((t) => [
    t.name,
    ...(t.shape.kind === 'box' ? [t.shape.width, t.shape.height, t.shape.depth] : [t.shape.diameter, t.shape.height]).map(toMm),
    t.count,
    t.mass,
  ]);

test.each([
  ['typed, with commas', 'Ink tin, 100, 88, 100, 24, 1.05\nRag box, 270, 230, 290'],
  ['pasted, with tabs', 'Ink tin\t100\t88\t100\t24\t1.05\nRag box\t270\t230\t290'],
  ['as CSV, with headings in another order', 'count;name;deep;wide;high;kg\n24;Ink tin;100;100;88;1.05\n;Rag box;290;270;230;'],
])('%s', (_, text) => {
  expect(sizes(text)).toEqual([
    ['Ink tin', 100, 88, 100, 24, 1.05],
    ['Rag box', 270, 230, 290, 1, undefined],
  ]);
});

test('lengths as builders write them, and round things by their diameter', () => {
  expect(sizes('name,diameter,height,count\nTube,3",16 1/2",4', 'in')).toEqual([['Tube', 76.2, 419.1, 4, undefined]]);
});

test.each([
  ['a bare number where lengths are in inches', 'Tin, 4, 4, 4, 1, 2', 'in', 0.907],
  ['a bare number where they are in mm', 'Tin, 4, 4, 4, 1, 2', 'mm', 2],
  ['what it says itself', 'Tin, 4, 4, 4, 1, 2 kg', 'in', 2],
  ['what it says itself, in pounds', 'Tin, 4, 4, 4, 1, 2 lbs', 'mm', 0.907],
  ['its heading', 'name,w,h,d,kg\nTin,4,4,4,2', 'in', 2],
  ['its heading, beside another word', 'name,w,h,d,weight (lb)\nTin,4,4,4,2', 'mm', 0.907],
] as const)('a mass is taken by %s', (_, text, unit, kg) => {
  // Two pounds are 2 x 0.45359237 kg.
  expect(readThings(text, unit).things[0]?.mass).toBeCloseTo(kg, 3);
});

test.each([
  ['Tin, wide, 88, 100', 'width', 'wide'],
  ['Tin, 100, 0, 100', 'height', '0'],
  ['Tin, 100, 88, 100, 1.5', 'count', '1.5'],
  ['Tin, 100, 88, 100, 2, heavy', 'mass', 'heavy'],
  [', 100, 88, 100', 'name', ''],
])('a line that cannot be read is told with its column, and the others are kept: %s', (line, column, given) => {
  const { things, faults } = readThings(`Good, 10, 20, 30\n${line}`, 'mm');
  expect(things.map((t) => t.name)).toEqual(['Good']);
  expect(faults).toEqual([expect.objectContaining({ line: 2, column, given })]);
});

test('nothing at all is nothing, and too many lines are told', () => {
  expect(readThings(' \n ', 'mm')).toMatchObject({ things: [], faults: [] });
  const { things, faults } = readThings('Tin,1,1,1\n'.repeat(600), 'mm');
  expect([things.length, faults[0]?.given]).toEqual([500, '600 lines']);
});
