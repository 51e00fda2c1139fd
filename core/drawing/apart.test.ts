import fc from 'fast-check';
import { apart, type Word } from './index.js';

const word = (x: number, y: number): Word => ({ x, y, wide: 4, high: 2 });

/** By how much two words lie over each other along the way on which it is less. */
function over(words: readonly Word[], at: readonly (readonly [number, number])[]): number {
  let most = 0;
  for (const [i, a] of at.entries())
    for (const [j, b] of at.entries()) {
      if (j <= i) continue;
      const [v, w] = [words[i] as Word, words[j] as Word];
      most = Math.max(most, Math.min((v.wide + w.wide) / 2 - Math.abs(a[0] - b[0]), (v.high + w.high) / 2 - Math.abs(a[1] - b[1])));
    }
  return most;
}

test('words that lie free of each other stay where they are, those that touch as well', () => {
  expect(apart([word(0, 0), word(4, 0), word(0, 2), word(10, 10)])).toEqual([
    [0, 0],
    [4, 0],
    [0, 2],
    [10, 10],
  ]);
});

test('words over each other part along the way on which less is missing, each by half', () => {
  // 0.5 is missing across, 2 up.
  expect(apart([word(0, 0), word(3.5, 0)])).toEqual([
    [-0.25, 0],
    [3.75, 0],
  ]);
  // 3 across, 1 up; the second is the lower one.
  expect(apart([word(0, 0), word(1, -1)])).toEqual([
    [0, 0.5],
    [1, -1.5],
  ]);
  // In the very same place.
  expect(apart([word(5, 5), word(5, 5)])).toEqual([
    [5, 4],
    [5, 6],
  ]);
});

test('a dozen words in one corner lie free of each other, and have their middle where it was', () => {
  const corner = fc.record({ x: fc.double({ min: 0, max: 12, noNaN: true }), y: fc.double({ min: 0, max: 12, noNaN: true }) });
  fc.assert(
    fc.property(fc.array(corner, { minLength: 2, maxLength: 12 }), (places) => {
      const words = places.map(({ x, y }) => word(x, y));
      const at = apart(words);
      const middle = (all: readonly number[]) => all.reduce((sum, n) => sum + n, 0) / all.length;
      expect(middle(at.map(([x]) => x))).toBeCloseTo(middle(words.map((w) => w.x)), 6);
      expect(middle(at.map(([, y]) => y))).toBeCloseTo(middle(words.map((w) => w.y)), 6);
      // What is left over after the last round cannot be seen.
      expect(over(words, at)).toBeLessThan(0.2);
    }),
  );
});
