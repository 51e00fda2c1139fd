import { mm } from '../length/index.js';
import { areAlike, size } from './index.js';

const alike = (a: unknown, b: unknown) => areAlike(a, b);

test.each<readonly [string, unknown, unknown]>([
  ['numbers', 3, 3],
  ['nothing', null, null],
  ['lists in lists', [1, [2, 'x']], [1, [2, 'x']]],
  ['fields in another order', { a: 1, b: { c: [] } }, { b: { c: [] }, a: 1 }],
  ['a field that is there and undefined', { a: undefined }, { a: undefined }],
])('%s are alike', (_, a, b) => {
  expect([alike(a, b), alike(b, a)]).toEqual([true, true]);
});

test.each<readonly [string, unknown, unknown]>([
  ['a number and its word', 3, '3'],
  ['nothing and an empty record', null, {}],
  ['a list and a record of the same', [1], { 0: 1 }],
  ['a longer list', [1, 2], [1, 2, 3]],
  ['a field more', { a: 1 }, { a: 1, b: 2 }],
  ['a field that is undefined and one that is not there', { a: undefined, b: 1 }, { b: 1, c: undefined }],
  ['an undefined field more', { a: 1 }, { a: 1, b: undefined }],
  ['what is not a number', NaN, 1],
])('%s are not', (_, a, b) => {
  expect([alike(a, b), alike(b, a)]).toEqual([false, false]);
});

test('figures are alike where the sums behind them are', () => {
  const whole = () => size('shelf', mm(300)).plus(size('lip', mm(20)));
  expect(alike(whole(), whole())).toBe(true);
  expect(alike(whole(), size('shelf', mm(320)))).toBe(false);
  expect(alike(whole(), size('shelf', mm(310)).plus(size('lip', mm(10))))).toBe(false);
  expect(alike({ deep: whole() }, { deep: 320 })).toBe(false);
});

test('a figure that was found alike is not taken apart again', () => {
  const [one, other] = [size('shelf', mm(300)), size('shelf', mm(300))];
  const seen = new Map();
  expect(areAlike([one, one], [other, other], seen)).toBe(true);
  expect(seen.get(one)).toBe(other);
  // Told by hand that two are alike, it believes it.
  const third = size('other', mm(1));
  expect(areAlike(third, one, new Map([[third, one]]))).toBe(true);
});
