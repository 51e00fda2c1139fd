import { asBefore } from './as-before.js';

interface Board {
  readonly long: number;
}

function counted() {
  let worked = 0;
  const keep = asBefore<Board, number>();
  const weight = (board: Board, same: readonly unknown[], alike: unknown, each: number) =>
    keep(board, { same, alike }, () => {
      worked += 1;
      return board.long * each;
    });
  return { weight, worked: () => worked };
}

test('what follows from the very same and from values that are alike is not worked out again', () => {
  const { weight, worked } = counted();
  const [board, shop] = [{ long: 4 }, {}];
  expect(weight(board, [shop], { loads: [1, { at: 2 }] }, 3)).toBe(12);
  // Made anew, and another answer would be given: it is not asked for.
  expect(weight(board, [shop], { loads: [1, { at: 2 }] }, 5)).toBe(12);
  expect(worked()).toBe(1);
});

test('another board, another one of what never changes, more or fewer of them, or a value in a value are other questions', () => {
  const { weight, worked } = counted();
  const [board, shop] = [{ long: 4 }, {}];
  weight(board, [shop], [{ at: 2 }], 3);
  expect(weight({ long: 4 }, [shop], [{ at: 2 }], 1)).toBe(4);
  expect(weight(board, [{}], [{ at: 2 }], 2)).toBe(8);
  expect(weight(board, [shop, shop], [{ at: 2 }], 4)).toBe(16);
  expect(weight(board, [shop], [{ at: 3 }], 5)).toBe(20);
  expect(worked()).toBe(5);
});

test('three ways that it was are kept, and the oldest goes first', () => {
  const { weight, worked } = counted();
  const board = { long: 1 };
  for (const load of [1, 2, 3, 4]) weight(board, [], load, load);
  expect([4, 3, 2].map((load) => weight(board, [], load, 0))).toEqual([4, 3, 2]);
  expect(worked()).toBe(4);
  expect(weight(board, [], 1, 9)).toBe(9);
});

test('what could not be worked out is asked for again', () => {
  const keep = asBefore<Board, number>();
  const board = { long: 1 };
  const ask = (work: () => number) => keep(board, { same: [], alike: null }, work);
  expect(() =>
    ask(() => {
      throw new RangeError('no');
    }),
  ).toThrow('no');
  expect(ask(() => 7)).toBe(7);
});
