import { mm } from '../length/index.js';
import { SettingsSchema } from '../project/index.js';
import { pieceSchema } from '../kinds/index.js';
import { boltedBench, divided, piece, space, stock, workshop } from '../testing/samples.js';
import { solve } from '../solution/index.js';
import { senseFaults } from '../formats/index.js';
import { writeExactly } from '../figure/index.js';
import { numbersIn, outOfSense, pathText } from './index.js';

const { settings } = workshop();

test.each([
  [1, 'too small'],
  [mm(0.49), 'too small'],
  [mm(10.01), 'too large'],
])('a blade of %s is taken and nobody means it: %s', (kerf) => {
  const [found, ...more] = outOfSense(SettingsSchema, { ...settings, kerf });
  expect([found?.path, found?.value, found?.meant, found?.isLength, more]).toEqual([['kerf'], kerf, [mm(0.5), mm(10)], true, []]);
});

test('ends of what is meant are meant', () => {
  for (const kerf of [mm(0.5), mm(3), mm(10)]) expect(outOfSense(SettingsSchema, { ...settings, kerf })).toEqual([]);
});

test('numbers are found in what has alternatives, and in spaces within spaces of every shell', () => {
  const deep = divided('in', 'up', 1);
  for (const shell of [piece(deep), boltedBench().bench]) {
    const found = numbersIn(pieceSchema(), { ...shell, interior: deep });
    const paths = found.map((n) => n.path.join('/'));
    expect(paths).toEqual(expect.arrayContaining(['width/size', 'height/size']));
    expect(paths.some((path) => path.startsWith('interior/split/'))).toBe(true);
    expect(found.every(({ value, taken: [least, most] }) => value >= least && value <= most)).toBe(true);
  }
});

test('an edit may leave what a file brought, and brings in nothing of the kind', () => {
  const thin = stock({ thickness: mm(0.01) });
  expect(senseFaults('stock', thin, null)).toEqual([
    { path: '/data/thickness', message: 'this is less than makes sense', given: '0.01 mm', accepted: '0.3 mm to 400 mm' },
  ]);
  expect(senseFaults('stock', { ...thin, name: 'Other' }, thin)).toEqual([]);
  expect(senseFaults('stock', { ...thin, thickness: mm(0.02) }, thin)).toHaveLength(1);
  expect(senseFaults('stock', { ...thin, thickness: mm(18) }, thin)).toEqual([]);
});

test('what an old record has is opened, worked out, and told as a stop with what makes sense there', () => {
  const shop = workshop({ settings: { kerf: mm(0.01) }, stock: { ply: stock({ name: 'Ply', length: mm(40_000) }) } });
  const stops = solve(piece(space('in')), shop, {}).checks.filter((c) => c.id.startsWith('meant'));
  expect(stops.map((c) => [c.severity, writeExactly(c.sentence)])).toEqual([
    ['stop', 'Settings: kerf is 0.01 mm. From 0.5 mm to 10 mm makes sense there.'],
    ['stop', 'Ply: length is 40000 mm. From 10 mm to 20000 mm makes sense there.'],
  ]);
});

test('a path is told in words', () => {
  expect(pathText(['tools', 'kerfs', 'fence'])).toBe('tools, kerfs, fence');
});
