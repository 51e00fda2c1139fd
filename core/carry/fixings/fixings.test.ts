import { writeExactly } from '../../figure/index.js';
import { mm } from '../../length/index.js';
import type { DividingMember, Space } from '../../piece/index.js';
import { solve } from '../../solution/index.js';
import { divided, piece, stock, thing, workshop } from '../../testing/samples.js';
import { WOOD_SCREWS, fixingsOf, mostAcross, pinHolds, screwsAlong, type CarriedMember } from '../index.js';
import { asKg } from '../../measures/index.js';

const no8 = WOOD_SCREWS[1] as (typeof WOOD_SCREWS)[number];

function shelf(kg: number, fix: 'butted' | 'loose' | 'housed', material = 'white-ash') {
  const inside = divided('in', 'up', 2);
  const { spaces, members } = inside.split as NonNullable<Space['split']>;
  (spaces[1] as Space).things = [{ thing: 'slab', count: 1 }];
  Object.assign(members[0] ?? {}, { fix });
  const shop = workshop({
    stock: { ply: stock({ material }) },
    things: { slab: thing({ mass: asKg(kg), shape: { kind: 'box', width: mm(900), height: mm(100), depth: mm(200) } }) },
  });
  const solution = solve(piece(inside), shop, {});
  const members_ = new Map(solution.shape.members.map((m) => [m.id, m]));
  const carried = solution.carried.members.get('in-m1/shelf/1') as CarriedMember;
  return { carried, fixings: fixingsOf(carried, members_, shop.settings) };
}

describe('the ends of a shelf', () => {
  test('screws: as many as its load takes, two at least', () => {
    const [light] = shelf(5, 'butted').fixings;
    expect([light?.state, light?.screws?.count, light?.screws?.row.length]).toEqual(['fine', 2, 70]);
    const heavy = shelf(200, 'butted');
    const [end] = heavy.fixings;
    // Ash of G 0.6, Fe 16600 · 0.6^1.84 = 6485: IIIs = 1.2155 · 0.131 · 0.787 · 6485 / 6.6 and IV = 0.0078005 · 13947 = 108.8 lb;
    // the lesser, 108.8 · 0.67 · 0.9 = 65.6 lb = 292 N each in end grain; a half of (200 + 4.0) kg is 1001 N: 4 screws.
    expect(end?.screws?.count).toBe(4);
    expect(heavy.carried.supports[0]?.newtons).toBeCloseTo(((200 + 0.96 * 0.3 * 0.02 * 672) * 9.81) / 2, 6);
  });

  test('in the edge of MDF they are not checked', () => {
    const [end] = shelf(5, 'butted', 'mdf').fixings;
    expect([end?.state, writeExactly(end?.sentence() ?? [])]).toEqual(['not checked', expect.stringContaining('no values are published')]);
  });

  test('pins: the shelf bears on them with no spread across its grain, and the side holds them', () => {
    // Ash of 560 kg/m³: 0.010 · 560 = 5.6 and 0.082 · 0.95 · 560 = 43.6 MPa, both · 0.7 / 1.3 / 1.5: 2.010 and 15.65.
    // A shelf with no gap lies 10 over each pin and spreads as much inwards: q = 2.010 · 5 · 2 = 20.10, p = 15.65 · 5 = 78.26 N/mm.
    // F² (1 / p² + 2 / p q) + F · 2 · 10 / p − 100 = 0: F = 189.6 N, and two of them 379 N.
    const [end] = shelf(20, 'loose').fixings;
    expect(end?.holds).toBeCloseTo(379.1, 1);
    expect(writeExactly(end?.sentence() ?? [])).toContain('hold 379 N');
    expect([shelf(20, 'loose'), shelf(60, 'loose'), shelf(80, 'loose')].map((s) => s.fixings[0]?.state)).toEqual([
      'fine',
      'close',
      'fails',
    ]);
  });

  test('a pin in a side that gives more turns sooner; in one as hard as can be the shelf alone decides', () => {
    const pin = { deep: 10, gap: 1, side: 75, reach: 9, shelf: 22 };
    // 1 / 75² + 2 / (75 · 22) = 0.0013899; 2 · 12 / 75 = 0.32: (−0.32 + √(0.1024 + 0.55596)) / 0.0027798.
    expect(pinHolds(pin)).toBeCloseTo(176.8, 1);
    expect(pinHolds({ ...pin, side: 37.5 })).toBeLessThan(pinHolds(pin));
    expect(pinHolds({ ...pin, side: 1e9 })).toBeCloseTo(9 * 22, 6);
  });

  test('housings in particleboard bear by the side too: 11.1 · 0.45 / 1.3 / 1.5 along it, and the plywood in it less', () => {
    const inside = divided('in', 'up', 2);
    const { spaces, members } = inside.split as NonNullable<Space['split']>;
    (spaces[1] as Space).things = [{ thing: 'tin', count: 4 }];
    Object.assign(members[0] ?? {}, { fix: 'housed', stock: 'oak' });
    const held = (side: string) => {
      const shop = workshop({ stock: { ply: stock({ material: side }), oak: stock({ name: 'oak', material: 'red-oak' }) } });
      const s = solve(piece(inside), shop, {});
      return fixingsOf(
        s.carried.members.get('in-m1/shelf/1') as CarriedMember,
        new Map(s.shape.members.map((m) => [m.id, m])),
        shop.settings,
      )[0];
    };
    // 5 deep over 300: 1500 mm². Oak across its grain 5.88 · 0.7 / 1.95 = 2.111; particleboard 11.1 · 0.45 / 1.95 = 2.562; MDF 10 · 0.4 / 1.95 = 2.051.
    expect(held('particleboard')?.holds).toBeCloseTo(1500 * 2.1108, 0);
    expect(held('mdf')?.holds).toBeCloseTo(1500 * 2.0513, 0);
    // Of hardboard nothing is known on edge: not checked, whatever the shelf may bear.
    expect(held('hardboard')?.state).toBe('not checked');
  });

  test('a housing of 5 bears over the whole depth', () => {
    const [end] = shelf(20, 'housed').fixings;
    expect(end?.state).toBe('fine');
    expect(writeExactly(end?.sentence() ?? [])).toContain('A ledge of 5 mm');
  });
});

test('screws across 300: 10.4 from each edge and 41.7 apart: 7', () => {
  expect([mostAcross(300, no8), mostAcross(20, no8)]).toEqual([7, 0]);
});

describe('screws along a strip or a layer', () => {
  const along = (extra: Partial<DividingMember>, thickness = 20) => {
    const inside = divided('in', 'up', 2);
    const { spaces, members } = inside.split as NonNullable<Space['split']>;
    (spaces[1] as Space).things = [{ thing: 'tin', count: 4 }];
    Object.assign(members[0] ?? {}, extra);
    const shop = workshop({ stock: { ply: stock({ thickness: mm(thickness) }) } });
    const built = solve(piece(inside), shop, {}).carried.members.get('in-m1/shelf/1')?.bending?.builtUp;
    return built ? screwsAlong(built, 'mm') : [];
  };
  const under = { stock: 'ply', high: mm(40), at: 'front', top: 'under', held: 'screwed' } as const;

  test('down through the shelf of 20 into a strip of 40: 50 long, 30 in the strip and 10 short of its foot', () => {
    // No. 8 is 4.17 thick: 10 D are 41.7, so up to 65.8; inside 20 + 40 less 4.17 is 55.8: 50 long.
    const [s] = along({ strip: under });
    expect([s?.state, s?.row?.length, s?.count]).toEqual(['fine', 50, 7]);
    expect(writeExactly(s?.sentence ?? [])).toContain('30 mm in the wood and 10 mm left before the point');
  });

  test('two layers of 20: 35 long, which hold by the 15 that are in', () => {
    // 40 less the 4.17 of a No. 8 before its point.
    expect(along({ doubled: 'screwed' })[0]).toMatchObject({ state: 'fine', row: { length: 35, inside: 15 } });
  });

  test('two layers of 32 take a thinner one, two of 40 the usual one of 70', () => {
    // No. 8: 64 − 4.17 = 59.8, so 50, of which 18 are in and 25 are wanted. No. 6: 64 − 3.5 = 60.5, so 60, 28 in and 21 wanted.
    expect(along({ doubled: 'screwed' }, 32)[0]).toMatchObject({
      state: 'fine',
      row: { length: 60, inside: 28, screw: { name: 'No. 6' } },
    });
    // 40 and 40: 75.8 and 81.7: 70 long, 30 in.
    expect(along({ doubled: 'screwed' }, 40)[0]).toMatchObject({ state: 'fine', row: { length: 70, screw: { name: 'No. 8' } } });
  });

  test('through a strip of 20 into the edge of the shelf, however high the strip is', () => {
    // 20 + 41.7 = 61.7 for all it can hold: 70 long, 50 in the shelf.
    for (const high of [mm(20), mm(40)]) {
      expect(along({ strip: { ...under, top: 'flush', high } })[0]).toMatchObject({ state: 'fine', row: { length: 70 } });
    }
  });

  test('what is glued takes none', () => {
    expect(along({ strip: { ...under, held: 'glued' } })).toEqual([]);
  });
});
