import fc from 'fast-check';
import { mm, type Length } from '../../length/index.js';
import { programSolver } from '../../testing/programs.js';
import type { ProgramSolver } from '../program.js';
import { layBoards, layBoardsWell, type BoardAnswer, type BoardProblem } from './index.js';
import { leastTotal } from './bounds.js';
import { knapsack } from './knapsack.js';
import { runs } from '../../testing/runs.js';

let solve: ProgramSolver;
beforeAll(async () => {
  solve = await programSolver();
});

const wanted = (...list: readonly (readonly [number, number])[]) =>
  list.map(([count, length]) => ({ length: mm(length), ids: Array.from({ length: count }, (_, i) => `${length}-${i}`) }));

const timber = { kerf: mm(2.6), trim: mm(10), boards: [{ id: 'b', length: mm(2400), count: Infinity, cost: 1 }] };

/** Every length once, and on each board no more than goes on it. */
function expectSound(problem: BoardProblem, { sawn, missing }: BoardAnswer) {
  const all = problem.wanted.flatMap((w) => w.ids);
  expect([...sawn.flatMap((s) => s.lengths.map((l) => l.id)), ...missing].sort()).toEqual([...all].sort());
  for (const { board, lengths } of sawn) {
    const used = lengths.reduce((sum, l) => sum + l.length, 0) + (lengths.length - 1) * problem.kerf;
    expect(used).toBeLessThanOrEqual(board.length - 2 * problem.trim);
  }
  for (const board of problem.boards) expect(sawn.filter((s) => s.board === board).length).toBeLessThanOrEqual(board.count);
}

test.each([
  // 8470 of wood and 15 kerfs of 2.6 in boards of 2380 and a kerf: 8509 / 2382.6 = 3.571.
  [wanted([5, 700], [4, 620], [6, 415]), 4],
  // 6735 of wood and 12 kerfs: 6766.2 / 2382.6 = 2.840.
  [wanted([4, 700], [3, 620], [5, 415]), 3],
])('boards of 2400, 10 off each end, kerf 2.6 (%#): %d boards, and no fewer', (list, boards) => {
  const problem = { ...timber, wanted: list };
  const answer = layBoardsWell(problem, solve);
  expect(answer).toMatchObject({ cost: boards, proven: true, missing: [] });
  expect(answer.bound.cost).toBe(boards);
  expectSound(problem, answer);
});

test('a board that is filled to the last kerf: the cut after the last length takes its kerf from nothing', () => {
  // 3 x 414.5333 and two kerfs of 3.2 are 1250; a hair more does not go.
  const three = (length: Length): BoardProblem => ({
    kerf: mm(3.2),
    trim: mm(0),
    boards: [{ id: 'b', length: mm(1250), count: Infinity, cost: 1 }],
    wanted: [{ length, ids: ['a', 'b', 'c'] }],
  });
  expect(layBoards(three(mm(414.5))).cost).toBe(1);
  expect(layBoards(three(mm(414.6))).cost).toBe(2);
});

test('of boards at several prices the cheapest for what is wanted, and those on hand before any', () => {
  const problem: BoardProblem = {
    kerf: mm(3),
    trim: mm(0),
    boards: [
      { id: 'long', length: mm(3000), count: Infinity, cost: 12 },
      { id: 'short', length: mm(1800), count: Infinity, cost: 6 },
      { id: 'rest', length: mm(900), count: 1, cost: 0.01 },
    ],
    wanted: wanted([2, 880], [1, 890]),
  };
  // 880 and 890 are 1773 with their kerf, on a short one; the other 880 goes on the rest. All three on a long one would be 12.
  const answer = layBoardsWell(problem, solve);
  expect(answer.cost).toBeCloseTo(6.01, 9);
  expect(answer.sawn.filter((s) => s.board.id === 'rest')).toHaveLength(1);
  expectSound(problem, answer);
});

test('what is longer than any board is left out, and the rest still laid out', () => {
  const problem = { ...timber, wanted: wanted([1, 2381], [2, 1000]) };
  const answer = layBoardsWell(problem, solve);
  expect(answer.missing).toEqual(['2381-0']);
  expect(answer.cost).toBe(1);
  expect(answer.proven).toBe(false);
});

test('when there are too few boards, what goes on none is left out', () => {
  const problem: BoardProblem = {
    ...timber,
    boards: [{ ...timber.boards[0], id: 'b', length: mm(2400), count: 1, cost: 1 }],
    wanted: wanted([3, 1000]),
  };
  const answer = layBoardsWell(problem, solve);
  expect(answer.missing).toHaveLength(1);
  expectSound(problem, answer);
});

test.each([
  [
    'triplets, three to a board and nothing left',
    [495, 282, 223, 491, 260, 249, 472, 268, 260, 444, 300, 256, 421, 306, 273, 405, 330, 265].flatMap((l) => [l]),
    1000,
    6,
  ],
])('%s', (_, lengths, room, boards) => {
  // Each three in a row sum to the whole board, so the whole is that many boards, and no layout has fewer.
  expect(lengths.reduce((a, b) => a + b, 0)).toBe(room * boards);
  const problem: BoardProblem = {
    kerf: mm(0),
    trim: mm(0),
    boards: [{ id: 'b', length: mm(room), count: Infinity, cost: 1 }],
    wanted: lengths.map((l, i) => ({ length: mm(l), ids: [`${i}`] })),
  };
  expect(layBoards(problem).cost).toBeGreaterThan(boards);
  expect(layBoardsWell(problem, solve)).toMatchObject({ cost: boards, proven: true });
});

/** The fewest boards by trying every length on every board that is open. */
function fewest(sizes: readonly number[], room: number): number {
  let best = sizes.length;
  const left: number[] = [];
  const put = (n: number) => {
    if (left.length >= best) return;
    if (n === sizes.length) {
      best = left.length;
      return;
    }
    const size = sizes[n] as number;
    const seen = new Set<number>();
    for (let i = 0; i < left.length; i += 1) {
      const has = left[i] as number;
      if (has < size || seen.has(has)) continue;
      seen.add(has);
      left[i] = has - size;
      put(n + 1);
      left[i] = has;
    }
    left.push(room - size);
    put(n + 1);
    left.pop();
  };
  put(0);
  return best;
}

test('as few boards as by trying all, never more than at once, and the bound never above', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 120, max: 700 }), { minLength: 1, maxLength: 9 }),
      fc.integer({ min: 0, max: 5 }),
      (lengths, kerf) => {
        const problem: BoardProblem = {
          kerf: mm(kerf),
          trim: mm(0),
          boards: [{ id: 'b', length: mm(1000), count: Infinity, cost: 1 }],
          wanted: lengths.map((l, i) => ({ length: mm(l), ids: [`${i}`] })),
        };
        const answer = layBoardsWell(problem, solve);
        expectSound(problem, answer);
        const least = fewest(
          [...lengths].sort((a, b) => b - a).map((l) => l + kerf),
          1000 + kerf,
        );
        expect(answer.cost).toBe(least);
        expect(answer.bound.cost).toBeLessThanOrEqual(least);
        expect(layBoards(problem).cost).toBeGreaterThanOrEqual(least);
      },
    ),
    { numRuns: runs(12) },
  );
});

test('more boards never make it dearer', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 150, max: 900 }), { minLength: 2, maxLength: 12 }),
      fc.integer({ min: 300, max: 950 }),
      (lengths, rest) => {
        const boards = [{ id: 'b', length: mm(1000), count: Infinity, cost: 5 }];
        const problem: BoardProblem = {
          kerf: mm(3),
          trim: mm(0),
          boards,
          wanted: lengths.map((l, i) => ({ length: mm(l), ids: [`${i}`] })),
        };
        const more = { ...problem, boards: [...boards, { id: 'rest', length: mm(rest), count: 1, cost: 0.01 }] };
        // A rest costs next to nothing: it may be opened beside as many boards.
        expect(layBoardsWell(more, solve).cost).toBeLessThanOrEqual(layBoardsWell(problem, solve).cost + 0.01 + 1e-9);
      },
    ),
    { numRuns: runs(8) },
  );
});

test('the knapsack by trying all', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({ size: fc.integer({ min: 1, max: 9 }), worth: fc.integer({ min: 0, max: 20 }), most: fc.integer({ min: 0, max: 3 }) }),
        {
          minLength: 1,
          maxLength: 4,
        },
      ),
      fc.integer({ min: 1, max: 25 }),
      (items, room) => {
        const best = (n: number, left: number): number => {
          const item = items[n];
          if (!item) return 0;
          let most = 0;
          for (let count = 0; count <= item.most && count * item.size <= left; count += 1) {
            most = Math.max(most, count * item.worth + best(n + 1, left - count * item.size));
          }
          return most;
        };
        const found = knapsack(
          items.map((i) => i.size),
          items.map((i) => i.worth),
          items.map((i) => i.most),
          room,
        );
        expect(found.worth).toBe(best(0, room));
        expect(found.takes.reduce((sum, t, i) => sum + t * (items[i]?.worth ?? 0), 0)).toBe(found.worth);
        expect(found.takes.reduce((sum, t, i) => sum + t * (items[i]?.size ?? 0), 0)).toBeLessThanOrEqual(room);
      },
    ),
  );
});

test('two lengths at 2.13 and 3.19: what whole boards can come to proves a layout that the sum of its lengths does not', () => {
  const boards = [
    { id: 'short', length: mm(2440), count: Infinity, cost: 2.13 },
    { id: 'long', length: mm(3660), count: Infinity, cost: 3.19 },
  ];
  // 24 of 1195 and 4 of 800: two of 1195 and a kerf are 2393 of a short board, three 3591 of a long one.
  const problem = { boards, kerf: mm(3), trim: mm(5), wanted: wanted([24, 1195], [4, 800]) };
  const answer = layBoardsWell(problem, solve);
  expectSound(problem, answer);
  // Eight long boards take the 24; the 3200 and four kerfs of the others go on one long board. 9 x 3.19.
  expect(answer).toMatchObject({ cost: expect.closeTo(28.71, 9) as number, proven: true, missing: [] });
});

test('the least total of whole boards, against every sum of two prices', () => {
  for (const cost of [0, 0.5, 2.13, 4, 28.7, 28.72, 83.365]) {
    const sums = Array.from({ length: 60 }, (_, i) => Array.from({ length: 60 }, (__, j) => (213 * i + 319 * j) / 100)).flat();
    expect(leastTotal([{ cost: 2.13 }, { cost: 3.19 }, { cost: 0 }], cost)).toBeCloseTo(
      Math.min(...sums.filter((s) => s >= cost - 1e-9)),
      9,
    );
  }
  expect(leastTotal([{ cost: Math.PI }], 4)).toBe(4);
});
