import { writeExactly } from '../figure/index.js';
import { mm } from '../length/index.js';
import type { DividingMember, PanelCase, Space } from '../piece/index.js';
import { solve } from '../solution/index.js';
import { divided, piece, stock, thing, workshop } from '../testing/samples.js';
import { bearingArea, fixingsOf, mostAcross, screwsAlong, tippingCases, worstTipping, WOOD_SCREWS, type CarriedMember } from './index.js';

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
    expect([light?.state, light?.screws?.count, light?.screws?.length]).toEqual(['fine', 2, 70]);
    const heavy = shelf(200, 'butted');
    const [end] = heavy.fixings;
    // Ash of G 0.6, Fe 16600 · 0.6^1.84 = 6485: IIIs = 1.2155 · 0.131 · 0.787 · 6485 / 6.6 and IV = 0.0078005 · 13947 = 108.8 lb;
    // the lesser, 108.8 · 0.67 · 0.9 = 65.6 lb = 292 N each in end grain; a half of (200 + 4.0) kg is 1001 N: 4 screws.
    expect(end?.screws?.count).toBe(4);
    expect(heavy.carried.supports[0]?.newtons).toBeCloseTo(((200 + 0.96 * 0.3 * 0.02 * 672) * 9.81) / 2, 6);
  });

  test('in the edge of MDF they are not judged', () => {
    const [end] = shelf(5, 'butted', 'mdf').fixings;
    expect([end?.state, writeExactly(end?.sentence ?? [])]).toEqual(['not judged', expect.stringContaining('no values are published')]);
  });

  test('pins: two of 5 x 9, which spread to 15 along, bear 270 mm² of ash', () => {
    expect(bearingArea(5, 9) * 2).toBe(270);
    // 0.015 · 672 / 1.2 · 0.7 / 1.3 / 1.5 = 3.015 MPa: 814 N.
    const [end] = shelf(20, 'loose').fixings;
    expect(writeExactly(end?.sentence ?? [])).toContain('bears up to 814 N');
    expect([shelf(20, 'loose'), shelf(160, 'loose'), shelf(170, 'loose')].map((s) => s.fixings[0]?.state)).toEqual([
      'fine',
      'close',
      'fails',
    ]);
  });

  test('a housing of 5 bears over the whole depth', () => {
    const [end] = shelf(20, 'housed').fixings;
    expect(end?.state).toBe('fine');
    expect(writeExactly(end?.sentence ?? [])).toContain('A ledge of 5 mm');
  });
});

test('screws across 300: 10.4 from each edge and 41.7 apart: 7', () => {
  expect([mostAcross(300, no8), mostAcross(20, no8)]).toEqual([7, 0]);
});

describe('what tips a case of 1000 x 2000 x 300', () => {
  const tall = (extra: Partial<PanelCase> = {}) => {
    const inside = divided('in', 'up', 2);
    (inside.split as NonNullable<Space['split']>).spaces.forEach((s) => (s.things = [{ thing: 'tin', count: 5 }]));
    const p = piece(inside, { fixedToWall: false, ...extra });
    return { p, s: solve(p, workshop(), {}) };
  };

  test('empty: its middle is 150 before its feet and 1000 up, on carpet 150 cos 1° − 1000 sin 1° = 132.53', () => {
    const { p, s } = tall();
    const empty = tippingCases(p, s.shape, s.carried).find((c) => c.filling === 'empty');
    expect(empty?.kg).toBeCloseTo(s.carried.massKg, 9);
    expect(empty?.tipping.margin).toBeCloseTo(132.53, 1);
    expect(empty?.tipping.pull).toBeCloseTo((s.carried.massKg * 132.525 * 9.81) / 1422, 1);
  });

  test('only the top filled counts what stands above the middle, and tips more easily than all of it', () => {
    const { p, s } = tall();
    const cases = tippingCases(p, s.shape, s.carried);
    const of = (filling: string) => cases.find((c) => c.filling === filling);
    expect([of('top only')?.kg, of('all')?.kg].map((kg) => (kg as number) - s.carried.massKg)).toEqual([
      expect.closeTo(10, 9),
      expect.closeTo(20, 9),
    ]);
    expect(worstTipping(cases)?.tipping.pull).toBe(Math.min(...cases.map((c) => c.tipping.pull)));
  });

  test('its check offers the wall, and is silent once it is fixed there', () => {
    const shallow = { depth: { from: 'given', size: mm(150), of: 'overall' } } as const;
    expect(tall(shallow).s.checks.find((c) => c.id === 'tips-child')?.fixes).toHaveLength(1);
    expect(tall({ ...shallow, fixedToWall: true }).s.checks.some((c) => c.id.startsWith('tips'))).toBe(false);
  });
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
    expect([s?.state, s?.length, s?.count]).toEqual(['fine', 50, 7]);
    expect(writeExactly(s?.sentence ?? [])).toContain('30 mm in the wood and 10 mm left before the point');
  });

  test('two layers of 20: 35 long would hold by 15 only, which is less than 6 D', () => {
    const [s] = along({ doubled: 'screwed' });
    expect([s?.state, s?.length]).toEqual(['fails', null]);
  });

  test('two layers of 32 are too thin still, two of 40 take one of 70', () => {
    // 64 − 4.17 = 59.8, and 32 + 45.9 more than that: 50, of which 18 are in; 25 are wanted, so it fails as well.
    expect(along({ doubled: 'screwed' }, 32)[0]?.state).toBe('fails');
    // 40 and 40: 75.8 and 85.9: 70 long, 30 in.
    expect(along({ doubled: 'screwed' }, 40)[0]).toMatchObject({ state: 'fine', length: 70 });
  });

  test('through a strip of 20 into the edge of the shelf, however high the strip is', () => {
    // 20 + 41.7 + 4.17 = 65.9: 60 long, 40 in the shelf.
    for (const high of [mm(20), mm(40)]) {
      expect(along({ strip: { ...under, top: 'flush', high } })[0]).toMatchObject({ state: 'fine', length: 60 });
    }
  });

  test('what is glued takes none', () => {
    expect(along({ strip: { ...under, held: 'glued' } })).toEqual([]);
  });
});
