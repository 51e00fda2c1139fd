import { projectFileSchema } from '../../core/formats/index.js';
import { mm } from '../../core/length/index.js';
import { opening } from '../../core/testing/samples.js';
import { pathText } from '../../core/sense/index.js';
import { differencesOf, isLengthAt, valueText } from './differences.js';

const { properties } = projectFileSchema();
const schema = properties.openings as Parameters<typeof isLengthAt>[0];
const precision = { unit: 'mm' as const, step: mm(0.5) };

test('every field that two versions have otherwise is named, with lengths as lengths and numbers as numbers', () => {
  const theirs = opening();
  const mine = { ...theirs, name: 'Niche', widths: theirs.widths.map((r, i) => (i === 0 ? { ...r, value: mm(1212.5) } : r)) };
  const differing = differencesOf(theirs, mine);
  expect(differing.map((d) => pathText(d.path))).toEqual(['name', 'widths, 1, value']);
  const texts = differing.map((d) => valueText(d.mine, isLengthAt(schema, ['alcove', ...d.path]), precision));
  expect(texts).toEqual(['Niche', '1212.5 mm']);
  expect(isLengthAt(properties.things as typeof schema, ['tin', 'count'])).toBe(false);
  expect(isLengthAt(properties.people as typeof schema, ['ada', 'height'])).toBe(true);
});

test('what is the same but for the order of its fields does not differ; what is there once does', () => {
  expect(differencesOf({ a: 1, b: [1, 2] }, { b: [1, 2], a: 1 })).toEqual([]);
  expect(differencesOf({ a: 1 }, { b: [2] })).toEqual([
    { path: ['a'], theirs: 1, mine: undefined },
    { path: ['b'], theirs: undefined, mine: [2] },
  ]);
  expect([valueText(undefined, false, precision), valueText([1, 2], false, precision), valueText(true, false, precision)]).toEqual([
    'nothing',
    '2 entries',
    'yes',
  ]);
});
