import { writeExactly } from '../../figure/index.js';
import { mm } from '../../length/index.js';
import type { DividingMember, Space } from '../../piece/index.js';
import { solve } from '../../solution/index.js';
import { divided, piece, stock, thing, workshop } from '../../testing/samples.js';
import { WOOD_SCREWS, bearingArea, fixingsOf, mostAcross, screwsAlong, type CarriedMember } from '../index.js';

const no8 = WOOD_SCREWS[1] as (typeof WOOD_SCREWS)[number];

function shelf(kg: number, fix: 'butted' | 'loose' | 'housed', material = 'white-ash') {
  const inside = divided('in', 'up', 2);
  const { spaces, members } = inside.split as NonNullable<Space['split']>;
  (spaces[1] as Space).things = [{ thing: 'slab', count: 1 }];
  Object.assign(members[0] ?? {}, { fix });
  const shop = workshop({
    stock: { ply: stock({ material }) },
    things: { slab: thing({ mass: kg, shape: { kind: 'box', width: mm(900), height: mm(100), depth: mm(200) } }) },
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

  test('in the edge of MDF they are not judged', () => {
    const [end] = shelf(5, 'butted', 'mdf').fixings;
    expect([end?.state, writeExactly(end?.sentence() ?? [])]).toEqual(['not judged', expect.stringContaining('no values are published')]);
  });

  test('pins: two of 5 x 9, which spread to 15 along, bear 270 mm² of ash', () => {
    expect(bearingArea(5, 9) * 2).toBe(270);
    // 0.015 · 672 / 1.2 · 0.7 / 1.3 / 1.5 = 3.015 MPa: 814 N.
    const [end] = shelf(20, 'loose').fixings;
    expect(writeExactly(end?.sentence() ?? [])).toContain('bears up to 814 N');
    expect([shelf(20, 'loose'), shelf(160, 'loose'), shelf(170, 'loose')].map((s) => s.fixings[0]?.state)).toEqual([
      'fine',
      'close',
      'fails',
    ]);
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
    return built ? screwsAlong(built) : [];
  };
  const under = { stock: 'ply', high: mm(40), at: 'front', top: 'under', held: 'screwed' } as const;

  test('down through the shelf of 20 into a strip of 40: 50 long, 30 in the strip and 10 short of its foot', () => {
    // No. 8 is 4.17 thick: 10 D are 41.7, so up to 65.8; inside 20 + 40 less 4.17 is 55.8: 50 long.
    const [s] = along({ strip: under });
    expect([s?.state, s?.row?.length, s?.count]).toEqual(['fine', 50, 7]);
    expect(writeExactly(s?.sentence ?? [])).toContain('30 mm in the wood and 10 mm left before the point');
  });

  test('two layers of 20: 35 long would hold by 15 only, which is less than 6 D', () => {
    const [s] = along({ doubled: 'screwed' });
    expect([s?.state, s?.row]).toEqual(['fails', null]);
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
