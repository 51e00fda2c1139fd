import fc from 'fast-check';
import { mm, toMm } from '../length/index.js';
import { applyEdit } from '../kinds/index.js';
import { solve } from '../solution/index.js';
import type { Thing } from '../things/index.js';
import { piece, space, thing, workshop } from '../testing/samples.js';
import {
  bayRoom,
  editFor,
  fewestBays,
  heightWith,
  highestBay,
  inBays,
  itemsOf,
  nodesFor,
  propose,
  shelveInOrder,
  waysOf,
  type Room,
  type ShelfGroup,
  type Wanted,
} from './index.js';
import { bestOfAll } from '../testing/shelves.js';
import { asKg } from '../measures/index.js';

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
    wanted({
      light: box(500, 300, { mass: asKg(1) }),
      heavy: box(500, 200, { mass: asKg(40) }),
      middling: box(500, 250, { mass: asKg(10) }),
    }),
    room,
  );
  expect(heavy.shelves.map((s) => s.kg)).toEqual([40, 10, 1]);
  const tall = {
    a: box(500, 500, { mass: asKg(5) }),
    b: box(500, 500, { mass: asKg(4) }),
    used: box(500, 500, { mass: asKg(6), often: true }),
  };
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
  const edit = editFor([p], base, 'in', { members: ['m1', 'm2', 'm3'], spaces: ['s1', 's2', 's3', 's4'] });
  const s = solve(applyEdit(base, edit), shop, {});
  const heights = [...s.shape.spaces.values()].filter((x) => x.within).map((x) => toMm(x.clear.height.value));
  // Inside 1960: 400 and 150 fit what stands there, two shelves of 20, and 1370 is left.
  expect(heights.sort((a, b) => a - b)).toEqual([150, 400, 1370]);
  expect(s.checks.filter((c) => c.severity === 'stop' && !c.id.startsWith('sag'))).toEqual([]);
});

describe('several bays beside each other', () => {
  const divider = mm(20);
  /** Seven boxes that each fill a shelf of 290: two bays of (600 - 20) / 2 are as wide. */
  const seven = Object.fromEntries([400, 380, 300, 250, 240, 200, 150].map((h, i) => [`b${i}`, box(290, h)]));

  test('600 with a divider of 20 are two bays of 290, or three of 186.67', () => {
    expect([2, 3].map((n) => toMm(bayRoom(room, n, divider).width))).toEqual([290, expect.closeTo(186.667, 3)]);
  });

  test('shelves are dealt so that the highest bay is as low as any dealing has it', () => {
    const own = bayRoom(room, 2, divider);
    const p = propose(wanted(seven), own);
    const bays = inBays(p, 2, own);
    // All ways to part seven shelves in two, by counting from 0 to 127.
    const high = (part: number[]) => part.reduce((sum, h) => sum + h, 0) + 20 * Math.max(0, part.length - 1);
    const heights = [400, 380, 300, 250, 240, 200, 150];
    const least = Math.min(
      ...Array.from({ length: 128 }, (_, bits) =>
        Math.max(high(heights.filter((_h, i) => bits & (1 << i))), high(heights.filter((_h, i) => !(bits & (1 << i))))),
      ),
    );
    expect(toMm(highestBay(bays))).toBe(least);
    expect(bays.flatMap((b) => b.shelves)).toHaveLength(7);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 50, max: 400 }), { minLength: 2, maxLength: 8 }), (list) => {
        const some = Object.fromEntries(list.map((h, i) => [`s${i}`, box(290, h)]));
        const lowest = Math.min(
          ...Array.from({ length: 2 ** list.length }, (_, bits) =>
            Math.max(high(list.filter((_h, i) => bits & (1 << i))), high(list.filter((_h, i) => !(bits & (1 << i))))),
          ),
        );
        expect(toMm(highestBay(inBays(propose(wanted(some), own), 2, own)))).toBe(lowest);
      }),
      { numRuns: 60 },
    );
  });

  test('the fewest bays that are low enough: one where all go in, two at 1100, three where a thing of 180 allows them', () => {
    const narrow = Object.fromEntries(
      Object.entries(seven).map(([id, t]) => [id, { ...t, shape: { ...t.shape, width: mm(180) } as Thing['shape'] }]),
    );
    // Three of 180 stand beside each other on a shelf of 600, one on one of 290 or of 186.67.
    expect(fewestBays(wanted(narrow), room, mm(2000), divider)).toBe(1);
    expect(fewestBays(wanted(seven), room, mm(1100), divider)).toBe(2);
    expect(fewestBays(wanted(narrow), room, mm(700), divider)).toBe(3);
    // What goes into no narrower bay is left in one.
    expect(fewestBays(wanted(seven), room, mm(700), divider)).toBe(1);
  });

  test('accepted, there is a divider between two bays, each with its shelves and what is left open on top', () => {
    const shop = workshop({ things: Object.fromEntries([400, 380, 300, 250].map((h, i) => [`b${i}`, box(460, h)])) });
    const base = piece(space('in'), { depth: { from: 'given', size: mm(320), of: 'overall' } });
    const own = bayRoom({ ...room, width: mm(960), depth: mm(320) }, 2, divider);
    const list = [...shop.things].filter(([id]) => id !== 'tin').map(([id, t]) => ({ id, thing: t, count: 1 }));
    const bays = inBays(propose(list, own), 2, own);
    // 400 + 20 + 250 and 380 + 20 + 300.
    expect(bays.map((b) => toMm(b.height)).sort()).toEqual([670, 700]);
    const many = nodesFor(bays);
    const ids = (of: string) => Array.from({ length: many }, (_, i) => `${of}${i}`);
    const s = solve(applyEdit(base, editFor(bays, base, 'in', { members: ids('m'), spaces: ids('s') })), shop, {});
    expect(s.shape.members.filter((m) => m.role === 'divider')).toHaveLength(1);
    expect(s.shape.members.filter((m) => m.role === 'shelf')).toHaveLength(4);
    expect([...s.shape.spaces.values()].filter((x) => x.space.things.length > 0)).toHaveLength(4);
    expect(s.checks.filter((c) => c.severity === 'stop' && !c.id.startsWith('sag'))).toEqual([]);
  });
});
