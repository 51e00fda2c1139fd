import { mm } from '../length/index.js';
import type { Space } from '../piece/index.js';
import { solve } from '../solution/index.js';
import type { Placement } from '../things/index.js';
import { divided, piece, stock, thing, workshop } from '../testing/samples.js';
import { chest, drawers } from '../testing/chest.js';
import { solveBeam } from './beam.js';
import { rigidityOf, solveAllRound } from './plate/index.js';
import { everyPattern, loadPatterns, patternsFor, pushedTo, rowOf, type PatternedLoads } from './patterns.js';
import { heldAt, type BendingAnswer, type CarriedMember } from './index.js';
import { asKg } from '../measures/index.js';

const ID = 'in-m1/shelf/1';
const shop = workshop({
  stock: { ply: stock({ density: 1e-6 }) },
  things: {
    press: thing({ name: 'press', mass: asKg(40), shape: { kind: 'box', width: mm(200), height: mm(200), depth: mm(200) } }),
    crate: thing({ name: 'crate', mass: asKg(4), shape: { kind: 'box', width: mm(160), height: mm(100), depth: mm(200) } }),
    row: thing({ name: 'row', mass: asKg(40), shape: { kind: 'box', width: mm(800), height: mm(100), depth: mm(200) } }),
  },
});

function shelf(...things: Placement[]): CarriedMember {
  const inside = divided('in', 'up', 2);
  (inside.split as NonNullable<Space['split']>).spaces[1] = { ...(inside.split?.spaces[1] as Space), things };
  return solve(piece(inside), shop, {}).carried.members.get(ID) as CarriedMember;
}
const sag = (c: CarriedMember) => (c.bending as BendingAnswer).verdict.today.mm;
const EI = (9500 * 300 * 20 ** 3) / 12;
const W = 40 * 9.81;

/** An even load W over c in the middle of a simple span L: W (8 L³ − 4 L c² + c³) / 384 EI (Roark, table 8.1). */
const central = (L: number, c: number) => (W * (8 * L ** 3 - 4 * L * c ** 2 + c ** 3)) / (384 * EI);
const spread = (L: number) => (5 * W * L ** 3) / (384 * EI);

describe('things that take up a part of a shelf', () => {
  test('may stand anywhere on it: in the middle they bend it 1.5 times as much as spread', () => {
    const c = shelf({ thing: 'press', count: 1 });
    expect(sag(c)).toBeCloseTo(central(960, 200), 3);
    expect(sag(c) / spread(960)).toBeGreaterThan(1.5);
    expect(c.bending?.patterns).toMatchObject({ placed: true, partial: false });
    expect(sag(shelf({ thing: 'press', count: 1, at: 'anywhere' }))).toBeCloseTo(sag(c), 9);
  });

  test('that are said to be spread, or fill it, are', () => {
    expect(sag(shelf({ thing: 'press', count: 1, at: 'spread' }))).toBeCloseTo(spread(960), 3);
    expect(sag(shelf({ thing: 'row', count: 1 }))).toBeCloseTo(spread(960), 3);
    expect(sag(shelf({ thing: 'row', count: 1, at: 'anywhere' }))).toBeGreaterThan(spread(960));
  });

  test('at a place: at an end they bend it less, and the end beside them carries most', () => {
    const left = shelf({ thing: 'press', count: 1, at: mm(0) });
    expect(sag(left)).toBeLessThan(spread(960));
    // 100 from the left of 960: 860 / 960 of it.
    expect(left.supports[0]?.newtons).toBeCloseTo((W * 860) / 960, 1);
    const middle = shelf({ thing: 'press', count: 1, at: mm(380) });
    expect(sag(middle)).toBeCloseTo(central(960, 200), 3);
  });

  test('pushed to an end, an end has to hold what stands beside it', () => {
    const c = shelf({ thing: 'press', count: 1 });
    const [left] = c.supports;
    expect(left?.newtons).toBeCloseTo(W / 2, 2);
    expect(left && heldAt(left)).toBeCloseTo((W * 860) / 960, 2);
  });
});

test('side by side the heaviest for its width is in the middle, the others half at each side', () => {
  const row = rowOf(
    [
      { wide: 160, newtons: 40 },
      { wide: 240, newtons: 400 },
    ],
    900,
  );
  expect(row).toEqual([
    { from: -120, to: 120, perMm: 400 / 240 },
    { from: -200, to: -120, perMm: 0.25 },
    { from: 120, to: 200, perMm: 0.25 },
  ]);
  // A row that is longer than there is room is pressed together, no load lost.
  const pressed = rowOf([{ wide: 300, newtons: 300 }], 200);
  expect(pressed).toEqual([{ from: -100, to: 100, perMm: 1.5 }]);
});

describe('patterns where supports can lift', () => {
  const loads = (places: readonly number[], oneWay: boolean): PatternedLoads => {
    const length = places.at(-1) as number;
    return {
      base: { length, supports: places.map((x) => ({ x, oneWay })) },
      always: { lines: [{ from: 0, to: length, perMm: 0.02 }], points: [] },
      maybe: { lines: [{ from: 0, to: length, perMm: 0.5 }], points: [] },
    };
  };
  const solveAll = (places: readonly number[], patterns: readonly (readonly boolean[])[]) =>
    patterns.map((p) =>
      solveBeam({
        length: places.at(-1) as number,
        stretches: [{ to: places.at(-1) as number, EI: 1e9 }],
        supports: places.map((x) => ({ x, oneWay: true })),
        points: [],
        lines: [
          { from: 0, to: places.at(-1) as number, perMm: 0.02 },
          ...p.flatMap((on, i) => (on ? [{ from: places[i] as number, to: places[i + 1] as number, perMm: 0.5 }] : [])),
        ],
      }),
    );

  test.each([
    ['equal spans', [0, 500, 1000, 1500, 2000]],
    ['one long one', [0, 300, 1000, 1250, 1600]],
    ['five', [0, 700, 1000, 1250, 1500, 2200]],
  ])('%s: as bad as every way of loading them, where the usual ones fall short', (_, places) => {
    const every = Array.from({ length: 2 ** (places.length - 1) - 1 }, (__, n) =>
      places.slice(1).map((___, i) => ((n + 1) >> i) % 2 === 1),
    );
    const all = solveAll(places, every);
    const worst = Math.max(...all.map((r) => r.greatest.mm));
    const tried = loadPatterns(loads(places, true)).map((p) => solveBeam({ ...p, stretches: [{ to: p.length, EI: 1e9 }] }));
    expect(Math.max(...tried.map((r) => r.greatest.mm))).toBeCloseTo(worst, 9);
    const most = (list: typeof all) => places.map((__, i) => Math.max(...list.map((r) => r.reactions[i]?.newtons ?? 0)));
    most(tried).forEach((n, i) => expect(n).toBeCloseTo(most(all)[i] as number, 6));
    const usual = solveAll(places, patternsFor(places.slice(1).map((x, i) => x - (places[i] as number))));
    expect(Math.max(...usual.map((r) => r.greatest.mm))).toBeLessThan(worst);
  });

  test('held down they are as few as before, and beyond six spans it is said that not every one was tried', () => {
    expect(loadPatterns(loads([0, 500, 1000, 1500, 2000], false)).length).toBeLessThan(8);
    expect(everyPattern(loads([0, 500, 1000, 1500], true))).toBe(true);
    const eight = Array.from({ length: 9 }, (_, i) => 400 * i);
    expect(everyPattern(loads(eight, true))).toBe(false);
    expect(everyPattern(loads(eight, false))).toBe(true);
  });
});

test('a row is pushed as near to a support as it can stand', () => {
  const row = { from: 0, to: 900, parts: [{ from: -100, to: 100, perMm: 1 }] };
  const base: PatternedLoads = {
    base: { length: 900, supports: [{ x: 0 }, { x: 900 }] },
    always: { lines: [], points: [] },
    maybe: { lines: [], points: [] },
    rows: [row],
  };
  expect([0, 450, 900].map((x) => pushedTo(base, x).lines.map((l) => [l.from, l.to]))).toEqual([[[0, 200]], [[350, 550]], [[700, 900]]]);
});

test('in a drawer things that take up a part of its breadth bend the bottom more there: Navier with a patch, summed apart', () => {
  // 250 from the back to the front by 939, 5 thick, loaded on 200 in the middle of its breadth.
  const spec = {
    a: 250,
    b: 939,
    rigidity: rigidityOf(5, 7000, 9500, 620),
    patches: [{ x0: 0, x1: 250, y0: 369.5, y1: 569.5, perMm2: 0.001 }],
  };
  const { x: Dx, y: Dy, coupling, twist } = spec.rigidity;
  let w = 0;
  for (let m = 1; m < 80; m += 2) {
    for (let n = 1; n < 160; n += 2) {
      const [k, l] = [(m * Math.PI) / 250, (n * Math.PI) / 939];
      const q = ((16 * 0.001) / (Math.PI ** 2 * m * n)) * Math.sin((n * Math.PI) / 2) * Math.sin((n * Math.PI * 100) / 939);
      w +=
        (q / (Dx * k ** 4 + 2 * (coupling + 2 * twist) * k * k * l * l + Dy * l ** 4)) *
        Math.sin((m * Math.PI) / 2) *
        Math.sin((n * Math.PI) / 2);
    }
  }
  expect(solveAllRound(spec).mm / w).toBeCloseTo(1, 2);
  const drawer = (at?: Placement['at']) => {
    const plain = chest(drawers());
    const inside = structuredClone(plain.piece.interior);
    (inside.split?.spaces[0] as Space).things = [{ thing: 'tin', count: 2, ...(at === undefined ? {} : { at }) }];
    return solve({ ...plain.piece, interior: inside }, plain.workshop, {}).carried.members.get('d1/drawer-bottom/1')?.bending?.verdict.today
      .mm as number;
  };
  expect(drawer()).toBeGreaterThan(2 * drawer('spread'));
});
