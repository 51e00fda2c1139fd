import { mm, toMm } from '../length/index.js';
import { solve } from '../solution/index.js';
import { divided, piece, workshop } from '../testing/samples.js';
import { builtOf, readAgain, type BuiltReading } from './index.js';

const reading = (space: string, reach: BuiltReading['reach'], value: number | null, piece = 'case'): BuiltReading => ({
  piece,
  space,
  reach,
  value: value === null ? null : mm(value),
});

test('the last reading of each space and reach counts, of the piece that is asked for', () => {
  const built = builtOf(
    [
      reading('in', 'width', 958),
      reading('in', 'width', 800, 'another'),
      reading('in', 'depth', 301),
      reading('in', 'width', 957.5),
      reading('low', 'height', 300),
      reading('low', 'height', null),
    ],
    'case',
  );
  expect(Object.fromEntries(built)).toEqual({ in: { width: mm(957.5), depth: mm(301) }, low: {} });
});

test('one more reading leaves what was read before it as it was', () => {
  const before = builtOf([reading('in', 'width', 958)], 'case');
  expect(readAgain(before, reading('in', 'width', null)).get('in')).toEqual({});
  expect(before.get('in')).toEqual({ width: mm(958) });
});

test('what is in a space follows what was read in it, and the plan counts again where the reading is taken back', () => {
  // 1000 less two sides of 20: 960 as planned.
  const shelfOf = (built: Record<string, { width?: ReturnType<typeof mm> }>) =>
    toMm(
      solve(piece(divided('in', 'up', 2)), workshop({ built }), {}).parts.find((p) => p.member.role === 'shelf')?.cut.length.set ?? mm(0),
    );
  expect([shelfOf({}), shelfOf({ in: { width: mm(957.5) } }), shelfOf({ in: {} })]).toEqual([960, 957.5, 960]);
});
