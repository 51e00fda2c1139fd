import fc from 'fast-check';
import * as highsModule from 'highs';
import { mm } from '../length/index.js';
import { thing } from '../testing/samples.js';
import { groupsOf, heightWith, itemsOf, programOf, shelveInOrder, type Room } from './index.js';
import { bestOfAll } from '../testing/shelves.js';
import { runs } from '../testing/runs.js';

const room: Room = { width: mm(600), depth: mm(300), shelf: mm(20), foot: mm(80) };

/** What of the solver is used here; its own types do not fit how it is read by a test. */
interface Solver {
  solve(program: string): { readonly Status: string; readonly Columns: Readonly<Record<string, { readonly Primal?: number }>> };
}
const loadHighs = ((highsModule as { default?: unknown }).default ?? highsModule) as () => Promise<Solver>;

test('the program gives the lowest shelves of all, also where the order of heights misses them', async () => {
  const highs = await loadHighs();
  const lists = fc.sample(
    fc.array(
      fc.record({
        width: fc.integer({ min: 60, max: 500 }),
        height: fc.integer({ min: 50, max: 400 }),
        stack: fc.integer({ min: 1, max: 2 }),
        count: fc.integer({ min: 1, max: 2 }),
      }),
      { minLength: 3, maxLength: 5 },
    ),
    { numRuns: runs(12), seed: 11 },
  );
  let better = 0;
  for (const list of lists) {
    const wanted = list.map(({ width, height, stack, count }, i) => ({
      id: `t${i}`,
      thing: thing({ shape: { kind: 'box', width: mm(width), height: mm(height), depth: mm(300) }, stack }),
      count,
    }));
    const { items } = itemsOf(wanted, room);
    const first = shelveInOrder(items, room);
    const result = highs.solve(programOf(items, first.length, room));
    expect(result.Status).toBe('Optimal');
    const values = Object.fromEntries(Object.entries(result.Columns).map(([name, c]) => [name, c.Primal ?? 0]));
    const groups = groupsOf(items, values, room);
    expect(groups.flatMap((g) => g.items)).toHaveLength(items.length);
    expect(heightWith(groups, room)).toBe(bestOfAll(items, room));
    if (heightWith(groups, room) < heightWith(first, room)) better += 1;
  }
  expect(better).toBeGreaterThan(0);
});
