import fc from 'fast-check';
import { mm } from '../length/index.js';
import type { Space } from '../piece/index.js';
import type { PanelCase } from '../shells/index.js';
import { materialOf, type Material } from '../stock/index.js';
import { solve, type Solution } from '../solution/index.js';
import { divided, piece, stock, thing, workshop } from '../testing/samples.js';
import { GRAVITY, creepOf, judge, massOf, pathToFloor, stateOf, worse, type CarriedMember } from './index.js';
import { propertiesOf } from '../stock/index.js';
import { runs } from '../testing/runs.js';

const toe = { kind: 'toe', height: mm(80), setback: mm(50), bearers: false } as const;

function shelved(count: number, tins: number, extra: Partial<PanelCase> = {}): PanelCase {
  const inside = divided('in', 'up', count);
  (inside.split as NonNullable<Space['split']>).spaces.slice(1).forEach((s) => (s.things = [{ thing: 'tin', count: tins, at: 'spread' }]));
  return piece(inside, extra);
}

const carried = (s: Solution, id: string) => s.carried.members.get(id) as CarriedMember;
const material = (id: string) => materialOf(id) as Material;

describe('creep by EN 1995-1-1 table 3.2', () => {
  test.each<[string, 1 | 2 | 3, number | null]>([
    ['red-oak', 1, 1.6],
    ['red-oak', 2, 1.8],
    ['birch-plywood', 1, 1.8],
    ['birch-plywood', 2, 2.0],
    ['osb3', 1, 2.5],
    ['osb3', 2, 3.25],
    ['particleboard-moisture', 2, 4.0],
    ['particleboard', 1, 3.25],
    ['particleboard', 2, null],
    ['mdf', 1, 3.25],
    ['mdf', 2, null],
    ['mdf-moisture', 2, 4.0],
    ['mdf-moisture', 3, null],
  ])('%s in class %d grows to %s', (id, serviceClass, factor) => {
    const creep = creepOf(material(id), { serviceClass, creepSchool: 'kdef' });
    expect(creep.judged ? creep.factor : null).toBe(factor);
  });

  test('the other school: half as much again for solid wood, twice for panels', () => {
    const factor = (id: string) => {
      const creep = creepOf(material(id), { serviceClass: 1, creepSchool: 'half' });
      return creep.judged ? creep.factor : null;
    };
    expect([factor('red-oak'), factor('birch-plywood')]).toEqual([1.5, 2]);
  });
});

describe('verdicts', () => {
  const { settings } = workshop();
  const ply = propertiesOf(stock());

  test.each([
    [0.79, 'fine'],
    [0.8, 'close'],
    [1, 'close'],
    [1.01, 'fails'],
  ])('%d of what is allowed is %s', (sag, state) => {
    expect(stateOf(sag, 1)).toBe(state);
  });

  test('the three answers of a 900 span that sags 1.2: allowed 2.344, later 2.16, span/384 met', () => {
    const verdict = judge(1.2, 900, creepOf(ply.material, settings), settings);
    expect(verdict.allowed).toBeCloseTo(2.34375, 9);
    expect(verdict.later?.mm).toBeCloseTo(2.16, 9);
    expect(verdict.meets?.over).toBe(384);
    expect([verdict.today.state, verdict.later?.state, verdict.state]).toEqual(['fine', 'close', 'close']);
  });

  test('a material that its class does not allow is not checked in the long term', () => {
    const verdict = judge(0.1, 900, creepOf(propertiesOf(stock({ material: 'mdf' })).material, { ...settings, serviceClass: 2 }), settings);
    expect(verdict.later).toBeNull();
    expect(verdict.state).toBe('not checked');
  });

  test('a fixed amount may be the limit', () => {
    expect(judge(1.9, 900, creepOf(ply.material, settings), { ...settings, limit: { kind: 'amount', mm: 2 } }).today.state).toBe('close');
  });

  test('the more serious of two states', () => {
    expect([worse('fine', 'not checked'), worse('close', 'not checked'), worse('close', 'fails')]).toEqual([
      'not checked',
      'close',
      'fails',
    ]);
  });
});

describe('the way to the floor', () => {
  test('a member weighs its measured size: 960 x 300 x 20 of 680 kg/m³ is 3.9168 kg', () => {
    const s = solve(shelved(2, 5), workshop(), {});
    expect(massOf(carried(s, 'in-m1/shelf/1').member)).toBeCloseTo(0.96 * 0.3 * 0.02 * 680, 9);
  });

  test('a shelf gives half of what it carries to each side', () => {
    const s = solve(shelved(2, 5), workshop(), {});
    const shelf = carried(s, 'in-m1/shelf/1');
    expect(shelf.total).toBeCloseTo((10 + 3.9168) * GRAVITY, 6);
    expect(shelf.supports.map((x) => x.newtons)).toEqual([expect.closeTo(shelf.total / 2, 6), expect.closeTo(shelf.total / 2, 6)]);
    expect(carried(s, 'case/side/left').handed.map((h) => h.from)).toContain('in-m1/shelf/1');
  });

  test('its sag is 5 w L⁴ / 384 E I', () => {
    const s = solve(shelved(2, 5), workshop(), {});
    const shelf = carried(s, 'in-m1/shelf/1');
    const I = (300 * 20 ** 3) / 12;
    expect(shelf.bending?.sag.bending.greatest.mm).toBeCloseTo((5 * (shelf.total / 960) * 960 ** 4) / (384 * 9500 * I), 9);
    const shear = ((shelf.total / 960) * 960 ** 2) / (8 * (5 / 6) * ((1.1 * 9500) / 50) * 300 * 20);
    expect(shelf.bending?.sag.withShear().greatest.mm).toBeCloseTo((shelf.bending?.sag.bending.greatest.mm as number) / 1.1 + shear, 9);
  });

  test('all loads reach the floor', () => {
    const s = solve(shelved(4, 8, { base: toe }), workshop(), {});
    expect(s.carried.floor).toBeCloseTo((s.carried.massKg + 3 * 8 * 2) * GRAVITY, 6);
  });

  test('a divider stands on the bottom: over a toe the bottom bends at its rear, on a plinth it spans from rail to rail, with a bearer from bay to bay', () => {
    const bays = divided('in', 'across', 2);
    (bays.split as NonNullable<Space['split']>).spaces = ['l', 'r'].map((id) => {
      const column = divided(id, 'up', 4);
      column.split?.spaces.forEach((sp) => (sp.things = [{ thing: 'tin', count: 4 }]));
      return column;
    });
    const onToe = solve(piece(bays, { base: toe }), workshop(), {});
    const post = carried(onToe, 'in-m1/divider/1');
    const bottom = carried(onToe, 'case/bottom/1');
    expect(bottom.handed.find((h) => h.from === 'in-m1/divider/1')).toMatchObject({
      newtons: post.total,
      on: { along: [1, 0, 0], at: 500 },
    });
    // Half of six shelves and of the top's two spans stand on it, and its own weight.
    expect(post.total).toBeGreaterThan(3 * 8 * GRAVITY);
    const withBearer = solve(piece(bays, { base: { ...toe, bearers: true } }), workshop(), {});
    expect(carried(withBearer, 'case/bottom/1').bending?.verdict.today.mm).toBeLessThan((bottom.bending?.verdict.today.mm as number) / 10);
    expect(carried(withBearer, 'base/bearer/in-m1').supports).toMatchObject([{ carrier: 'floor' }]);
    const onPlinth = solve(piece(bays, { base: { kind: 'plinth', height: mm(80), setback: mm(50), bearers: false } }), workshop(), {});
    const rails = carried(onPlinth, 'case/bottom/1');
    expect(rails.throughout).toBe(false);
    expect(rails.supports.map((x) => x.carrier)).toEqual(['case/side/left', 'case/side/right', 'base/rail/front', 'base/rail/rear']);
    expect(rails.bending?.verdict.today.mm).toBeGreaterThan(0);
    expect(rails.bending?.verdict.today.mm).toBeLessThan((bottom.bending?.verdict.today.mm as number) / 10);
  });

  test('the path names every joint down to the floor, and how it is carried', () => {
    const s = solve(shelved(2, 5, { base: toe }), workshop(), {});
    const steps = pathToFloor(s.carried, 'in-m1/shelf/1').map((p) => `${p.from} ${p.how} ${p.to}`);
    expect(steps).toEqual([
      'in-m1/shelf/1 pins case/side/left',
      'in-m1/shelf/1 pins case/side/right',
      'case/side/left bearing floor',
      'case/side/right bearing floor',
    ]);
  });
});

test('a rail that carries bends on edge: 20 wide and 60 high, not 60 wide and 20 thick', () => {
  const inside = divided('in', 'up', 2);
  const { members, spaces } = inside.split as NonNullable<Space['split']>;
  Object.assign(members[0] ?? {}, { rail: mm(60) });
  Object.assign(spaces[1] ?? {}, { things: [{ thing: 'tin', count: 9, at: 'spread' }] });
  const rail = carried(solve(piece(inside), workshop(), {}), 'in-m1/rail/1');
  expect([rail.bending?.section.width, rail.bending?.section.thickness, rail.bending?.span]).toEqual([20, 60, 960]);
  // 5 w L⁴ / 384 E I with I = 20 · 60³ / 12 = 360,000.
  expect(rail.bending?.sag.bending.greatest.mm).toBeCloseTo((5 * rail.total * 960 ** 3) / (384 * 9500 * 360_000), 9);
  const idle = divided('in', 'up', 2);
  Object.assign(idle.split?.members[0] ?? {}, { rail: mm(60) });
  expect(carried(solve(piece(idle), workshop(), {}), 'in-m1/rail/1').bending).toBeNull();
});

describe('not checked', () => {
  test('a shelf that nothing is said to stand on', () => {
    const s = solve(shelved(2, 1), workshop(), {});
    expect(carried(s, 'case/top/1')).toMatchObject({ state: 'not checked', missing: 'nothing is said to stand on it' });
  });

  test('a thing whose mass is not known', () => {
    const { mass, ...unweighed } = thing();
    void mass;
    const s = solve(shelved(2, 5), workshop({ things: { tin: unweighed } }), {});
    expect(carried(s, 'in-m1/shelf/1')).toMatchObject({ state: 'not checked', missing: 'the mass of tin' });
    expect(s.checks.find((c) => c.id === 'not-checked')?.state).toBe('not checked');
  });
});

test('more load, longer, thinner or a higher service class never turns a fail into a pass', () => {
  const rank = { fine: 0, close: 1, fails: 2, 'not checked': 3 } as const;
  fc.assert(
    fc.property(
      fc.record({
        tins: fc.integer({ min: 1, max: 40 }),
        width: fc.integer({ min: 500, max: 1600 }),
        thickness: fc.integer({ min: 10, max: 25 }),
        c: fc.constantFrom(1 as const, 2 as const),
      }),
      fc.constantFrom('load', 'span', 'thickness', 'class'),
      (base, worseBy) => {
        const state = (v: typeof base) => {
          const shop = workshop({ stock: { ply: stock({ thickness: mm(v.thickness) }) }, settings: { serviceClass: v.c } });
          const given = { from: 'given', size: mm(v.width), of: 'inside' } as const;
          return solve(shelved(2, v.tins, { width: given }), shop, {}).carried.members.get('in-m1/shelf/1')?.state ?? 'not checked';
        };
        const harder =
          worseBy === 'load'
            ? { ...base, tins: base.tins * 2 }
            : worseBy === 'span'
              ? { ...base, width: base.width * 1.2 }
              : worseBy === 'thickness'
                ? { ...base, thickness: base.thickness - 1 }
                : { ...base, c: 2 as const };
        expect(rank[state(harder)]).toBeGreaterThanOrEqual(rank[state(base)]);
      },
    ),
    { numRuns: runs(60) },
  );
});
