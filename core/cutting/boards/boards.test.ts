import * as highsModule from 'highs';
import { mm } from '../../length/index.js';
import type { ProgramSolver, Solved } from '../program.js';
import { seeded } from '../wanted.js';
import { layBoards, layBoardsWell, type BoardProblem } from './index.js';

interface Highs {
  solve(program: string, options: object): unknown;
}
const load = ((highsModule as { default?: unknown }).default ?? highsModule) as () => Promise<Highs>;
let solve: ProgramSolver;
beforeAll(async () => {
  const highs = await load();
  solve = (program, nodes = 0) => highs.solve(program, nodes > 0 ? { mip_max_nodes: nodes } : {}) as Solved;
});

const wanted = (...list: readonly (readonly [number, number])[]) =>
  list.map(([count, length]) => ({ length: mm(length), ids: Array.from({ length: count }, (_, i) => `${length}-${i}`) }));

const timber = { kerf: mm(2.6), trim: mm(10), boards: [{ id: 'b', length: mm(2400), count: Infinity, cost: 1 }] };

test.each([
  // 8470 of wood and 15 kerfs of 2.6 in boards of 2380 and a kerf: 8509 / 2382.6 = 3.571.
  [wanted([5, 700], [4, 620], [6, 415]), 4],
  // 6735 of wood and 12 kerfs: 6766.2 / 2382.6 = 2.840.
  [wanted([4, 700], [3, 620], [5, 415]), 3],
])('boards of 2400 with 10 off each end', (list, boards) => {
  const answer = layBoardsWell({ ...timber, wanted: list }, solve);
  expect(answer).toMatchObject({ cost: boards, proven: true, missing: [] });
  expect(answer.bound.cost).toBe(boards);
  for (const { lengths } of answer.sawn) {
    const used = lengths.reduce((sum, l) => sum + l.length, 0) + (lengths.length - 1) * mm(2.6);
    expect(used).toBeLessThanOrEqual(mm(2380));
  }
});

// Falkenauer's triplets: three to a board with nothing left over.
test.each([
  [1, 20],
  [2, 20],
  [3, 20],
  [4, 20],
  [1, 40],
  [2, 40],
  [1, 83],
  [2, 83],
])(
  'triplets %d %d',
  (seed, N) => {
    const random = seeded(seed);
    const lengths: number[] = [];
    for (let i = 0; i < N; i += 1) {
      const a = 380 + Math.floor(random() * 111);
      const b = 250 + Math.floor(random() * ((1000 - a) / 2 - 250));
      lengths.push(a, b, 1000 - a - b);
    }
    const problem: BoardProblem = {
      kerf: mm(0),
      trim: mm(0),
      boards: [{ id: 'b', length: mm(1000), count: Infinity, cost: 1 }],
      wanted: lengths.map((l, i) => ({ length: mm(l), ids: [`${i}`] })),
    };
    console.log(layBoards(problem).cost);
    let calls = 0;
    const t = Date.now();
    const answer = layBoardsWell(problem, (p, n) => {
      calls += 1;
      return solve(p, n);
    });
    console.log(N, calls, Date.now() - t, answer.cost, answer.proven);
  },
  60000,
);
