import { inch, mm, toInches, toMm, type Length } from '../length/index.js';
import {
  Figure,
  columnSum,
  fine,
  force,
  len,
  area,
  mass,
  say,
  size,
  sourceKey,
  sourcesOf,
  stress,
  temperature,
  volume,
  writeExactly,
  writeFine,
  writeSentence,
  writeStiffness,
  writeStress,
  writeWeight,
} from './index.js';
import { asKg, asMPa, asNewtons } from '../measures/index.js';

const MM = { unit: 'mm', step: mm(0.5) } as const;
const INCHES = { unit: 'in', step: inch(1 / 32) } as const;

const overall = size('overall height', inch(72), { in: 'piece', field: 'height.size' });
const toe = size('toe kick', inch(3));
const panel = size('Shop ply 3/4', inch(0.75), { in: 'stock', id: 'ply', field: 'thickness' });
const four = overall
  .minus(toe)
  .minus(panel.times(2).named('top and bottom'))
  .minus(panel.times(4).named('shelves'))
  .minus(size('space 1, fits ink tubs', inch(15)))
  .over(4, 'equal spaces');

function lines(figure: Figure) {
  return columnSum(figure).map((l) => [
    l.sign,
    l.figure.unit === 'length' ? toInches(l.figure.amount as Length) : l.figure.amount,
    l.label,
  ]);
}

test('the sum of a shared space, as builders set it out', () => {
  expect(lines(four)).toEqual([
    ['', 72, 'overall height'],
    ['−', 3, 'toe kick'],
    ['−', 1.5, 'top and bottom'],
    ['−', 3, 'shelves'],
    ['−', 15, 'space 1, fits ink tubs'],
    ['=', 49.5, 'left to share'],
    ['÷', 4, 'equal spaces'],
    ['=', 12.375, ''],
  ]);
});

test('several of one thing say how many of what', () => {
  const [, , panels] = columnSum(four);
  expect(panels?.times?.by).toBe(2);
  expect(panels?.times?.each).toBe(panel);
});

test('a figure with a name stands as one line that can be opened', () => {
  const inside = overall.minus(toe).named('inside height');
  const [first] = columnSum(inside.minus(panel));
  expect(first).toMatchObject({ label: 'inside height', opens: true });
  expect(lines(inside)).toEqual([
    ['', 72, 'overall height'],
    ['−', 3, 'toe kick'],
    ['=', 69, 'inside height'],
  ]);
});

test('a share brought to the grid shows the share, what it was set to, and what is left over', () => {
  const share = size('left', mm(1525.4))
    .over(4, 'equal spaces')
    .setTo(mm(381), 'set to the grid')
    .plus(size('left over', mm(0.4)));
  expect(columnSum(share).map((l) => [l.sign, l.figure.unit === 'length' ? toMm(l.figure.amount as Length) : l.figure.amount])).toEqual([
    ['', 1525.4],
    ['÷', 4],
    ['=', 381.35],
    ['→', 381],
    ['+', 0.4],
    ['=', 381.4],
  ]);
});

test('one can walk back to every reading a figure rests on', () => {
  expect(sourcesOf(four).map(sourceKey)).toEqual(['piece height.size', 'stock ply thickness']);
});

test('least and greatest keep all they were picked from', () => {
  const readings = [mm(1212), mm(1209), mm(1210)].map((l, i) => size(`reading ${i}`, l));
  const least = Figure.least(readings);
  expect(toMm(least.value)).toBe(1209);
  expect(columnSum(least).map((l) => l.sign)).toEqual(['', 'or', 'or', '=']);
  expect(toMm(Figure.greatest(readings).value)).toBe(1212);
  expect(Figure.least(readings.slice(0, 1))).toBe(readings[0]);
});

test('a formula shows what it was worked out from, and is named', () => {
  const diagonal = Figure.formula('length', 'across the corners', [size('height', mm(2091)), size('depth', mm(326))], mm(2116.26015));
  expect(columnSum(diagonal).map((l) => [l.sign, toMm(l.figure.amount as Length), l.label])).toEqual([
    ['', 2091, 'height'],
    ['', 326, 'depth'],
    ['=', 2116.26015, 'across the corners'],
  ]);
});

test('misuse is an error', () => {
  expect(() => Figure.sum([])).toThrow(RangeError);
  expect(() => Figure.leaf('mass', 3, 'tub').value).toThrow(TypeError);
});

test('a sentence is written in the reader’s units', () => {
  const sentence = say`Shelf ${'B'} sags ${fine(4)} under ${mass(asKg(84))}, ${force(asNewtons(824))}; it is ${len(inch(12.375))} high, ${2} of them.`;
  expect(writeSentence(sentence, { unit: 'mm', step: mm(0.1) })).toBe(
    'Shelf B sags 4 mm under 84 kg, 84 kg; it is ≈314.3 mm high, 2 of them.',
  );
  expect(writeSentence(sentence, { unit: 'in', step: inch(1 / 32) })).toBe(
    'Shelf B sags 0.157 in under 185 lb, 185 lb; it is 12 3/8 in high, 2 of them.',
  );
  expect(writeExactly(sentence)).toContain('314.325 mm high');
});

test('sentences can be built from sentences', () => {
  expect(writeExactly(say`${say`One`} and ${say`two ${len(mm(2))}`}.`)).toBe('One and two 2 mm.');
});

test.each([
  [474.3, 0, '474 mm'],
  [47.43, 0, '47 mm'],
  [4.743, 0, '5 mm'],
  [4.743, 2, '4.74 mm'],
  [47.43, 2, '47.4 mm'],
])('%d written to %d digits', (millimetres, digits, written) => {
  expect(writeFine(millimetres, 'mm', digits)).toBe(written);
});

test.each([
  // 9.81 N are what 1 kg weighs, as loads are worked out; 1 MPa is 145.04 psi.
  ['a weight', writeWeight(asNewtons(98.1), 'mm'), '10 kg'],
  ['a weight of a thousand, back as it was', writeWeight(asNewtons(9810), 'mm'), '1000 kg'],
  ['a weight in pounds', writeWeight(asNewtons(4.4482216), 'in'), '1 lb'],
  ['a stress', writeStress(10, 'mm'), '10 MPa'],
  ['a stress in psi', writeStress(10, 'in'), '1450 psi'],
  ['a small stress', writeStress(2.345, 'mm'), '2.35 MPa'],
  // A square metre is 10.764 sq ft, a litre 1.0567 quarts.
  ['an area', writeSentence(say`${area(2)}`, MM), '2 m²'],
  ['an area in square feet', writeSentence(say`${area(2)}`, INCHES), '21.5 sq ft'],
  ['a volume in quarts', writeSentence(say`${volume(0.5)}`, INCHES), '0.53 qt'],
  ['a temperature', writeSentence(say`${temperature(20)}`, MM), '20 °C'],
  ['a temperature in °F', writeSentence(say`${temperature(20)}`, INCHES), '68 °F'],
  ['a stress in a sentence', writeSentence(say`${stress(asMPa(10))}`, INCHES), '1450 psi'],
  ['a stiffness', writeStiffness(9.5, 'mm'), '9.5 GPa'],
  // 11.03 GPa is the 1.6E of a stamp.
  ['a stiffness as timber is stamped', writeStiffness(11.0316, 'in'), '1.6 million psi'],
])('%s is written %s', (_, text, expected) => {
  expect(text).toBe(expected);
});
