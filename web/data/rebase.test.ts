import { rebase } from './rebase.js';

const opening = { name: 'Alcove', widths: [1, 2, 3], slack: { side: 3, above: 10 }, ceiling: 2400 as number | undefined };

test.each([
  ['nothing changed meanwhile', opening, { ...opening, name: 'Nook' }, opening, { ...opening, name: 'Nook' }],
  [
    'two readings of one list',
    opening,
    { ...opening, widths: [1, 7, 3] },
    { ...opening, widths: [9, 2, 3] },
    { ...opening, widths: [9, 7, 3] },
  ],
  [
    'two fields of one part',
    opening,
    { ...opening, slack: { side: 4, above: 10 } },
    { ...opening, slack: { side: 3, above: 12 } },
    { ...opening, slack: { side: 4, above: 12 } },
  ],
  [
    'the same field: the later edit counts',
    opening,
    { ...opening, name: 'Nook' },
    { ...opening, name: 'Bay' },
    { ...opening, name: 'Nook' },
  ],
  [
    'a field taken out',
    opening,
    { name: 'Alcove', widths: [1, 2, 3], slack: opening.slack },
    { ...opening, name: 'Bay' },
    { name: 'Bay', widths: [1, 2, 3], slack: opening.slack },
  ],
  [
    'a field taken out meanwhile',
    opening,
    { ...opening, name: 'Bay' },
    { ...opening, ceiling: undefined },
    { ...opening, name: 'Bay', ceiling: undefined },
  ],
  [
    'a list that grew here',
    opening,
    { ...opening, widths: [1, 2, 3, 4] },
    { ...opening, name: 'Bay' },
    { ...opening, name: 'Bay', widths: [1, 2, 3, 4] },
  ],
  ['lists that grew on both sides: the later edit counts', { list: [1] }, { list: [1, 2] }, { list: [1, 5] }, { list: [1, 2] }],
  [
    'what both put in where there was nothing: each field is kept',
    { name: 'Gap' },
    { name: 'Gap', diagonals: { falling: 1207 } },
    { name: 'Gap', diagonals: { rising: 1206 } },
    { name: 'Gap', diagonals: { falling: 1207, rising: 1206 } },
  ],
  [
    'another kind of value where there was nothing: the later edit counts',
    {},
    { rule: { kind: 'fixed', size: 3 } },
    { rule: { kind: 'grid', pitch: 2 } },
    { rule: { kind: 'fixed', size: 3 } },
  ],
  [
    'another kind of value',
    { limit: { kind: 'span', over: 384 } },
    { limit: { kind: 'amount', mm: 2 } },
    { limit: { kind: 'span', over: 384 }, name: 'x' },
    { limit: { kind: 'amount', mm: 2 }, name: 'x' },
  ],
])('%s', (_, seen, next, now, expected) => {
  expect(rebase<unknown>(seen, next, now)).toEqual(expected);
});
