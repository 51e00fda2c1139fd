import fc from 'fast-check';
import { mm, toMm } from '../length/index.js';
import { applyEdit } from '../kinds/index.js';
import { solve } from '../solution/index.js';
import type { Thing } from '../things/index.js';
import { piece, space, thing, workshop } from '../testing/samples.js';
import { editFor, itemsOf, propose, shelveInOrder, heightWith, waysOf, type Room, type ShelfGroup, type Wanted } from './index.js';
import { bestOfAll } from '../testing/shelves.js';

const room: Room = { width: mm(600), depth: mm(300), shelf: mm(20), foot: mm(80) };

function box(width: number, height: number, extra: Partial<Thing> = {}): Thing {
  return thing({ shape: { kind: 'box', width: mm(width), height: mm(height), depth: mm(300) }, ...extra });
}

const wanted = (things: Record<string, Thing>, count = 1): Wanted[] =>
  Object.entries(things).map(([id, t]) => ({ id, thing: t, count: t.stack > 1 ? count : 1 }));
const names = (g: ShelfGroup) => g.items.flatMap((i) => i.placements.map((p) => p.thing)).sort();

test('a stack is low and wide or high and narrow, and nothing between that is both', () => {
  // Eight tins of 100 x 100 x 100, three deep, stacked to three: 3, 2 or 1 columns.
  const tins = waysOf(thing({ stack: 3 }), 8, room).map((w) => [w.height, w.width].map((l) => toMm(l)));
  expect(tins).toEqual([
    [100, 300],
    [200, 200],
    [300, 100],
  ]);
});

test('things of a height share a shelf: 400 + 380 and 150 + 140 take 400 + 20 + 150, not more', () => {
  const p = propose(wanted({ a: box(300, 400), b: box(250, 150), c: box(300, 380), d: box(300, 140) }), room);
  expect(toMm(p.height)).toBe(570);
  expect(p.shelves.map(names).sort()).toEqual([
    ['a', 'c'],
    ['b', 'd'],
  ]);
  expect(p.shelves.map((s) => toMm(s.spare)).sort()).toEqual([0, 50]);
});

test('a thing that is too wide or too deep is named with which', () => {
  const p = propose(
    wanted({ long: box(700, 100), deep: thing({ shape: { kind: 'box', width: mm(400), height: mm(100), depth: mm(400) } }) }),
    room,
  );
  expect(p.misfits).toEqual([
    { thing: 'long', why: 'wide' },
    { thing: 'deep', why: 'deep' },
  ]);
  const out = propose(
    wanted({ deep: thing({ shape: { kind: 'box', width: mm(400), height: mm(100), depth: mm(400) }, mayStandOut: mm(100) }) }),
    room,
  );
  expect(out.misfits).toEqual([]);
});

test('too many for one shelf are parted; by width, and by mass', () => {
  // Three deep and six across: 18 of 100 on a shelf of 600.
  expect(itemsOf([{ id: 'tin', thing: thing(), count: 40 }], room).items.map((i) => i.placements[0]?.count)).toEqual([18, 18, 4]);
  expect(itemsOf([{ id: 'tin', thing: thing(), count: 20 }], { ...room, mostKg: 20 }).items.map((i) => i.placements[0]?.count)).toEqual([
    10, 10,
  ]);
});

test('things wished together stand on one shelf though it costs height', () => {
  const apart = propose(wanted({ a: box(300, 400), b: box(300, 390), c: box(300, 100), d: box(300, 90) }), room);
  expect(toMm(apart.height)).toBe(520);
  const together = propose(
    wanted({ a: box(300, 400, { together: 'pair' }), b: box(300, 390), c: box(300, 100, { together: 'pair' }), d: box(300, 90) }),
    room,
  );
  expect(together.shelves.map(names)).toContainEqual(['a', 'c']);
  expect(toMm(together.height)).toBe(810);
});

test('heavy low; often-used within reach', () => {
  const heavy = propose(
    wanted({ light: box(500, 300, { mass: 1 }), heavy: box(500, 200, { mass: 40 }), middling: box(500, 250, { mass: 10 }) }),
    room,
  );
  expect(heavy.shelves.map((s) => s.kg)).toEqual([40, 10, 1]);
  const tall = { a: box(500, 500, { mass: 5 }), b: box(500, 500, { mass: 4 }), used: box(500, 500, { mass: 6, often: true }) };
  const order = propose(wanted(tall), room).shelves.map((s) => names(s)[0]);
  // Shelves stand at 80, 600 and 1120: the third is within 700 to 1500.
  expect(order[2]).toBe('used');
});

const some = fc.array(
  fc
    .record({ width: fc.integer({ min: 60, max: 500 }), height: fc.integer({ min: 50, max: 400 }) })
    .map(({ width, height }) => box(width, height)),
  { minLength: 1, maxLength: 6 },
);

test('the first answer holds every thing once, on shelves that take it, never lower than the best of all and seldom much higher', () => {
  let [sum, least] = [0, 0];
  fc.assert(
    fc.property(some, (things) => {
      const list = things.map((t, i) => ({ id: `t${i}`, thing: t, count: 1 }));
      const { items } = itemsOf(list, room);
      const groups = shelveInOrder(items, room);
      expect(groups.flatMap(names).sort()).toEqual(list.map((l) => l.id).sort());
      groups.forEach((g) => expect(g.spare).toBeGreaterThanOrEqual(0));
      const height = heightWith(groups, room);
      const best = bestOfAll(items, room);
      expect(height).toBeGreaterThanOrEqual(best);
      sum += height;
      least += best;
    }),
    { numRuns: 150, seed: 20 },
  );
  expect(sum / least).toBeLessThan(1.08);
});

test('an accepted proposal divides the space: each shelf fits, the rest stays open on top', () => {
  const shop = workshop({ things: { tall: box(300, 400), low: box(400, 150) } });
  const base = piece(space('in'), { depth: { from: 'given', size: mm(320), of: 'overall' } });
  const clear = { ...room, width: mm(960), depth: mm(320) };
  const p = propose(
    [...shop.things].filter(([id]) => id !== 'tin').map(([id, t]) => ({ id, thing: t, count: 2 })),
    clear,
  );
  const edit = editFor(p, base, 'in', { members: ['m1', 'm2', 'm3'], spaces: ['s1', 's2', 's3', 's4'] });
  const s = solve(applyEdit(base, edit), shop, {});
  const heights = [...s.shape.spaces.values()].filter((x) => x.within).map((x) => toMm(x.clear.height.value));
  // Inside 1960: 400 and 150 fit what stands there, two shelves of 20, and 1370 is left.
  expect(heights.sort((a, b) => a - b)).toEqual([150, 400, 1370]);
  expect(s.checks.filter((c) => c.severity === 'stop' && !c.id.startsWith('sag'))).toEqual([]);
});
