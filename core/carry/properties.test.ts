import fc from 'fast-check';
import { mm } from '../length/index.js';
import type { Space } from '../piece/index.js';
import type { PanelCase } from '../shells/index.js';
import type { Settings } from '../project/index.js';
import { solve, type Solution } from '../solution/index.js';
import { chest, drawers } from '../testing/chest.js';
import { divided, piece, space, stock, thing, workshop } from '../testing/samples.js';
import { propertiesOf, MATERIALS } from '../stock/index.js';
import { BeamError, loadPatterns, sagOf, solveBeam, worstSag, type BeamSpec } from './index.js';
import { asKg, asNewtons } from '../measures/index.js';
import { runs } from '../testing/runs.js';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const section = { width: 300, thickness: 18, properties: propertiesOf(stock()) };

/** A beam of 1000 to 4000 on two to six supports, with lines and points of load anywhere. */
const beams = fc
  .record({
    length: number(1000, 4000),
    inner: fc.array(number(0.1, 0.9), { maxLength: 4 }),
    oneWay: fc.boolean(),
    lines: fc.array(fc.tuple(number(0, 1), number(0, 1), number(0, 3)), { maxLength: 5 }),
    points: fc.array(fc.tuple(number(0, 1), number(0, 500)), { maxLength: 5 }),
  })
  .map(({ length, inner, oneWay, lines, points }) => ({
    base: { length, supports: [0, ...inner, 1].sort((a, b) => a - b).map((x) => ({ x: x * length, oneWay })) },
    maybe: {
      lines: lines
        .filter(([a, b]) => Math.abs(a - b) > 0.01)
        .map(([a, b, perMm]) => ({ from: Math.min(a, b) * length, to: Math.max(a, b) * length, perMm })),
      points: points.map(([x, newtons]) => ({ x: x * length, newtons: asNewtons(newtons) })),
    },
  }))
  .filter(({ base }) => base.supports.every((s, i) => i === 0 || s.x - (base.supports[i - 1]?.x ?? 0) > 50));

describe('of every beam', () => {
  test('reactions add up to the loads, and one-way supports never pull', () => {
    fc.assert(
      fc.property(beams, ({ base, maybe }) => {
        const spec: BeamSpec = { ...base, ...maybe, stretches: [{ to: base.length, EI: 1e9 }] };
        const { reactions } = solveBeam(spec);
        const load =
          maybe.lines.reduce((sum, l) => sum + l.perMm * (l.to - l.from), 0) + maybe.points.reduce((sum, p) => sum + p.newtons, 0);
        expect(reactions.reduce((sum, r) => sum + r.newtons, 0)).toBeCloseTo(load, 4);
        if (base.supports.some((s) => s.oneWay))
          expect(Math.min(...reactions.map((r) => r.newtons))).toBeGreaterThanOrEqual(-1e-6 * (load + 1));
      }),
      { numRuns: runs(60) },
    );
  });

  test('all of the load is never judged milder than its worst pattern', () => {
    fc.assert(
      fc.property(beams, ({ base, maybe }) => {
        const patterns = loadPatterns({ base, always: { lines: [{ from: 0, to: base.length, perMm: 0.1 }], points: [] }, maybe });
        const worst = worstSag(patterns, section);
        expect(worst.sag.mm).toBeGreaterThanOrEqual(sagOf(patterns[0] as (typeof patterns)[number], section).mm - 1e-12);
        expect(worst.moment).toBeGreaterThanOrEqual(worst.full.moment * (1 - 1e-9));
      }),
      { numRuns: runs(40) },
    );
  });
});

/** A case with one loose shelf in a material, so many kg on it. */
function shelved(material: string, kg: number | undefined, settings: Partial<Settings> = {}, thickness = 20): Solution {
  const inside = divided('in', 'up', 2);
  const above = (inside.split as NonNullable<Space['split']>).spaces[1] as Space;
  above.things = [{ thing: 'slab', count: 1 }];
  const slab = thing({ shape: { kind: 'box', width: mm(900), height: mm(100), depth: mm(200) } });
  if (kg === undefined) delete slab.mass;
  else slab.mass = asKg(kg);
  const shop = workshop({ stock: { ply: stock({ material, thickness: mm(thickness) }) }, things: { slab }, settings });
  return solve(piece(inside), shop, {});
}
const state = (s: Solution) => s.carried.members.get('in-m1/shelf/1')?.state;
const materials = fc.constantFrom(...MATERIALS.map((m) => m.id));

describe('of every shelf', () => {
  test('a higher service class never turns a fail into a pass', () => {
    fc.assert(
      fc.property(materials, number(1, 80), fc.constantFrom(1, 2), (material, kg, serviceClass) => {
        const low = state(shelved(material, kg, { serviceClass: serviceClass }));
        const high = state(shelved(material, kg, { serviceClass: (serviceClass + 1) as 2 | 3 }));
        if (low === 'fails') expect(high).not.toMatch(/fine|close/);
        if (low === 'close') expect(high).not.toBe('fine');
      }),
      { numRuns: runs(24) },
    );
  });

  test('more on it, or a thinner board, never turns a fail into a pass', () => {
    fc.assert(
      fc.property(materials, number(1, 80), number(1, 3), (material, kg, times) => {
        if (state(shelved(material, kg)) !== 'fails') return;
        expect(state(shelved(material, kg * times))).toBe('fails');
        expect(state(shelved(material, kg, {}, Math.max(3, 20 / times)))).toBe('fails');
      }),
      { numRuns: runs(24) },
    );
  });

  test('without the mass of what stands on it, or of a material its class does not allow, it is never fine', () => {
    fc.assert(
      fc.property(materials, fc.constantFrom(1, 2, 3), (material, serviceClass) => {
        expect(state(shelved(material, undefined, { serviceClass: serviceClass }))).not.toBe('fine');
      }),
      { numRuns: runs(12) },
    );
    expect(state(shelved('mdf', 1, { serviceClass: 2 }))).toBe('not checked');
  });
});

/** A drawer of a chest with a bottom so thick, so many kg in it. */
function drawer(kg: number | undefined, thickness = 5, elastic = 9.5, serviceClass: 1 | 2 | 3 = 1): Solution {
  const slab = thing({ name: 'tin', shape: { kind: 'box', width: mm(200), height: mm(50), depth: mm(100) } });
  if (kg === undefined) delete slab.mass;
  else slab.mass = asKg(kg / 2);
  const shop = workshop({
    stock: { wall: stock({ thickness: mm(10) }), bottom: stock({ thickness: mm(thickness), elastic }) },
    things: { tin: slab },
    settings: { serviceClass },
  });
  return chest(drawers(), 3, {}, shop);
}
const bottomOf = (s: Solution) => s.carried.members.get('d1/drawer-bottom/1');

describe('of every drawer bottom, a plate on four walls', () => {
  test('more in it, thinner or softer never turns a fail into a pass, and sags no less', () => {
    fc.assert(
      fc.property(number(1, 60), number(4, 12), number(1, 2.5), (kg, thickness, times) => {
        const now = bottomOf(drawer(kg, thickness));
        const mmNow = now?.bending?.verdict.today.mm as number;
        for (const s of [drawer(kg * times, thickness), drawer(kg, Math.max(3, thickness / times)), drawer(kg, thickness, 9.5 / times)]) {
          const then = bottomOf(s);
          // Half a per cent: what is thinner weighs less too.
          expect(then?.bending?.verdict.today.mm).toBeGreaterThanOrEqual(mmNow * 0.995);
          if (now?.state === 'fails') expect(then?.state).toBe('fails');
        }
      }),
      { numRuns: runs(8) },
    );
  });

  test('its walls carry all of it, and none pulls', () => {
    fc.assert(
      fc.property(number(1, 60), number(4, 12), (kg, thickness) => {
        const bottom = bottomOf(drawer(kg, thickness));
        const on = bottom?.supports.map((x) => x.newtons) ?? [];
        expect(on.reduce((a, b) => a + b, 0)).toBeCloseTo(bottom?.total as number, 6);
        expect(Math.min(...on)).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: runs(8) },
    );
  });

  test('without the mass of what lies in it, or thinner than 3, it is not checked', () => {
    expect(bottomOf(drawer(undefined))?.state).not.toBe('fine');
    expect(bottomOf(drawer(2, 2.5))).toMatchObject({ state: 'not checked', missing: 'it is thinner than 3 mm' });
  });

  test('a higher service class never turns a fail into a pass', () => {
    fc.assert(
      fc.property(number(1, 60), fc.constantFrom(1, 2), (kg, serviceClass) => {
        const [low, high] = [serviceClass, serviceClass + 1].map((c) => bottomOf(drawer(kg, 5, 9.5, c as 1 | 2 | 3))?.state);
        if (low === 'fails') expect(high).toBe('fails');
      }),
      { numRuns: runs(6) },
    );
  });
});

test('a divider whose way to the floor is taken away makes what it stands on fail', () => {
  const bays = divided('in', 'across', 2);
  (bays.split as NonNullable<Space['split']>).spaces.forEach((bay, i) => {
    const shelves = divided(`bay${i}`, 'up', 4);
    shelves.split?.spaces.forEach((s) => (s.things = [{ thing: 'tin', count: 12 }]));
    bay.split = shelves.split as NonNullable<Space['split']>;
  });
  const base = (bearers: boolean): Partial<PanelCase> => ({ base: { kind: 'toe', height: mm(80), setback: mm(50), bearers } });
  const bottom = (bearers: boolean) => solve(piece(bays, base(bearers)), workshop(), {}).carried.members.get('case/bottom/1');
  expect(bottom(true)?.state).not.toBe('fails');
  expect(bottom(false)?.state).toBe('fails');
});

describe('what cannot be judged is named, and is no number', () => {
  test('thinner than 3 mm', () => {
    const s = shelved('birch-plywood', 1, {}, 2.5);
    expect([state(s), s.carried.members.get('in-m1/shelf/1')?.missing]).toEqual(['not checked', 'it is thinner than 3 mm']);
  });

  test.each<[string, Partial<BeamSpec>, string]>([
    ['a load beside it', { points: [{ x: 2000, newtons: asNewtons(1) }] }, 'beside the beam'],
    ['a member that can fall', { supports: [{ x: 0 }] }, 'can fall'],
    ['a load that is no number', { points: [{ x: 1, newtons: asNewtons(NaN) }] }, 'not a number'],
    ['no stiffness', { stretches: [{ to: 1000, EI: 0 }] }, 'stiffness above 0'],
  ])('%s', (_, extra, said) => {
    const spec = { length: 1000, stretches: [{ to: 1000, EI: 1e9 }], supports: [{ x: 0 }, { x: 1000 }], lines: [], points: [], ...extra };
    expect(() => solveBeam(spec)).toThrow(BeamError);
    expect(() => solveBeam(spec)).toThrow(said);
  });

  test('a stiffness that no wood has, soft or hard, gives figures all the same', () => {
    for (const elastic of [0.05, 250]) {
      const shop = workshop({ stock: { ply: stock({ elastic }) } });
      const inside = divided('in', 'up', 2);
      (inside.split?.spaces[1] as Space).things = [{ thing: 'tin', count: 5 }];
      const verdict = solve(piece(inside), shop, {}).carried.members.get('in-m1/shelf/1')?.bending?.verdict;
      expect(Number.isFinite(verdict?.later?.mm)).toBe(true);
    }
  });

  test('thousands of loads are carried, and still add up', () => {
    const points = Array.from({ length: 3000 }, (_, i) => ({ x: (i * 1000) / 3000, newtons: asNewtons(1) }));
    const { reactions } = solveBeam({
      length: 1000,
      stretches: [{ to: 1000, EI: 1e12 }],
      supports: [{ x: 0 }, { x: 1000 }],
      lines: [],
      points,
    });
    expect(reactions.reduce((sum, r) => sum + r.newtons, 0)).toBeCloseTo(3000, 0);
  });

  test('things on nothing: a space with no member below it keeps them off every sum', () => {
    const inside = space('in', { things: [{ thing: 'tin', count: 2 }] });
    const s = solve(piece(inside), workshop(), {});
    for (const c of s.carried.members.values()) expect(Number.isFinite(c.total)).toBe(true);
  });
});
