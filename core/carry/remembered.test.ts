import { remembered } from './remembered.js';

test('what was worked out from the same is not worked out again', () => {
  let asked = 0;
  const square = remembered<number>(2);
  const of = (n: number) => square(String(n), () => ((asked += 1), n * n));
  expect([of(3), of(3), of(4)]).toEqual([9, 9, 16]);
  expect(asked).toBe(2);
});

test('the oldest goes where there are too many', () => {
  const asked: string[] = [];
  const keep = remembered<string>(2);
  for (const key of ['a', 'b', 'c', 'b', 'a']) keep(key, () => (asked.push(key), key));
  expect(asked).toEqual(['a', 'b', 'c', 'a']);
});

test('what cannot be worked out is asked for again', () => {
  const keep = remembered<number>(2);
  const fails = () =>
    keep('x', () => {
      throw new RangeError('no');
    });
  expect(fails).toThrow('no');
  expect(keep('x', () => 1)).toBe(1);
});
