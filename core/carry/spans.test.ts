import { longestOf, shortestSpan, spansOf } from './spans.js';

test.each<[string, readonly number[], readonly (readonly [number, number])[]]>([
  [
    'in any order',
    [900, 0, 400],
    [
      [0, 400],
      [400, 900],
    ],
  ],
  ['of one support none', [300], []],
  ['of none none', [], []],
])('stretches between supports: %s', (_, places, spans) => {
  expect(spansOf(places).map((s) => [s.from, s.to])).toEqual(spans);
});

test('the longest, the first of equal ones, and nothing of none', () => {
  expect(longestOf(spansOf([0, 400, 900, 1400]))).toEqual({ from: 400, to: 900 });
  expect(longestOf([])).toEqual({ from: 0, to: 0 });
});

test('the shortest, or all of a beam on one support', () => {
  const at = (...xs: number[]) => shortestSpan({ supports: xs.map((x) => ({ x })), length: 1000 });
  expect([at(0, 400, 1000), at(100)]).toEqual([400, 1000]);
});
