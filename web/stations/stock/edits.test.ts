import { cutsOf } from '../../../core/cutting/cuts.js';
import type { LaidSheet } from '../../../core/cutting/laid.js';
import { cuttingOf, type Begun, type Cutting } from '../../../core/layout/spec.js';
import { mm } from '../../../core/length/index.js';
import { stock } from '../../../core/testing/samples.js';
import { allPinned, booked, cutMade, isDone, pinned, spoiled, stockAfter, turnable, unpinned } from './edits.js';

const none = { ends: mm(0), edges: mm(0) };
const box = (x: number, length: number) => ({ x: mm(x), y: mm(0), length: mm(length), width: mm(100) });

/** A board of 1000 with 400 and 300 sawn off it: two cuts. */
const laid: LaidSheet = {
  sheet: 'have 0',
  copy: 0,
  length: mm(1000),
  width: mm(100),
  trim: none,
  sawn: {
    kind: 'cut',
    ...box(0, 1000),
    way: 'crosscut',
    at: mm(400),
    near: { kind: 'part', ...box(0, 400), id: 'a', turned: false },
    far: {
      kind: 'cut',
      ...box(403, 597),
      way: 'crosscut',
      at: mm(300),
      near: { kind: 'part', ...box(403, 300), id: 'b', turned: false },
      far: { kind: 'left', ...box(706, 294) },
    },
  },
};
const cutting = cuttingOf({ id: 'p', name: 'P' });
const [first, second] = cutsOf([laid]).map((c) => c.key) as [string, string];
const after = (now: Cutting, change: Partial<Cutting>): Cutting => ({ ...now, ...change });

test('a pin takes the place of the one before; all of a sheet, and none again', () => {
  const pin = { part: 'a', stock: 's', sheet: 'have 0', copy: 0, x: mm(5), y: mm(0), turned: false };
  const one = after(cutting, pinned(cutting, pin));
  const moved = after(one, pinned(one, { ...pin, x: mm(9) }));
  expect(moved.pins).toEqual([{ ...pin, x: mm(9) }]);
  const all = after(moved, allPinned(moved, 's', laid));
  expect(all.pins.map((p) => [p.part, p.x / mm(1)])).toEqual([
    ['a', 0],
    ['b', 403],
  ]);
  expect(unpinned(all, new Set(['a'])).pins?.map((p) => p.part)).toEqual(['b']);
});

test('a part may lie across the grain, or no more', () => {
  const may = after(cutting, turnable(cutting, { key: 'a' } as never, true));
  expect(may.turns).toEqual(['a']);
  expect(turnable(may, { key: 'a' } as never, false).turns).toEqual([]);
});

test('the first cut begins the sheet as it is laid out, and lets go what was held on it; with none made it is no longer begun', () => {
  const held = after(cutting, allPinned(cutting, 's', laid));
  const begun = after(held, cutMade(held, 's', laid, first, true));
  expect(begun.begun).toEqual([{ stock: 's', ...laid, done: [first] }]);
  expect(begun.pins).toEqual([]);
  expect(isDone(begun.begun[0] as Begun, laid)).toBe(false);
  const both = after(begun, cutMade(begun, 's', laid, second, true));
  expect(isDone(both.begun[0] as Begun, laid)).toBe(true);
  const back = after(both, cutMade(both, 's', laid, second, false));
  expect(after(back, cutMade(back, 's', laid, first, false)).begun).toEqual([]);
});

test('a part that went wrong is told of its sheet; a sheet that is done with is taken off what is on hand', () => {
  const begun = after(cutting, cutMade(cutting, 's', laid, first, true));
  const [sheet] = begun.begun as [Begun];
  expect(spoiled(begun, sheet, 'a').begun?.[0]?.spoiled).toEqual(['a']);
  expect(booked(begun, sheet).begun?.[0]?.booked).toBe(true);
});

test('stock after a sheet: one fewer on hand, its rests kept under names of their own', () => {
  const own = stock({ onHand: 3, offcuts: [{ name: 'Offcut 1', length: mm(500), width: mm(80), count: 2 }] });
  const rest = [{ length: mm(294), width: mm(100) }];
  expect(stockAfter(own, { sheet: 'have 0' }, rest)).toMatchObject({
    onHand: 2,
    offcuts: [
      { name: 'Offcut 1', count: 2 },
      { name: 'Offcut 2', length: mm(294), count: 1 },
    ],
  });
  expect(stockAfter(own, { sheet: 'offcut Offcut 1' }, []).offcuts).toMatchObject([{ name: 'Offcut 1', count: 1 }]);
  expect(stockAfter(own, { sheet: 'buy 0' }, []).onHand).toBe(3);
  const sizes = [{ length: mm(2000), width: mm(100), onHand: 4 }];
  expect(stockAfter({ ...own, sizes }, { sheet: 'have 1' }, []).sizes).toMatchObject([{ onHand: 3 }]);
});
