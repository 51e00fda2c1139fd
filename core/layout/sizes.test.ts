import { mm } from '../length/index.js';
import { piece, stock, workshop } from '../testing/samples.js';
import { divided } from '../testing/samples.js';
import { solve } from '../solution/index.js';
import { atSize, cheaperSizes, cuttingOf, presentSize, shelvedIn, sizeLabel, sizesTried, type Cutting, type SizeTried } from './index.js';

const cutting: Cutting = cuttingOf({ id: 'case', name: 'Case' });

describe('sizes that waste less', () => {
  test('each is solved and laid out; the present one is among them', () => {
    const shop = workshop({ stock: { ply: stock({ length: mm(1250), width: mm(1250), onHand: 0, price: 30 }) } });
    const given = { id: 'case', piece: piece(divided('in', 'up', 3)), workshop: shop, letters: {} };
    const all = [...sizesTried([given], 'case', 'depth', cutting)];
    const present = solve(given.piece, shop, {}).shape.overall.depth.value;
    expect(all.map((t) => t.size)).toEqual([...all.map((t) => t.size)].sort((a, b) => a - b));
    expect(all.some((t) => t.size === present)).toBe(true);
    for (const t of all) expect(t.money).toBe(30 * t.bought);
    // Three spaces of 960 x 640 x 300 are 552.96 litres; the front is 2000 over 1000.
    expect(all.find((t) => t.size === present)).toMatchObject({ front: 2 });
    expect(all.find((t) => t.size === present)?.room).toBeCloseTo(552.96, 6);
    expect(solve(atSize(given.piece, 'depth', mm(250)) ?? given.piece, shop, {}).shape.overall.depth.value).toBe(mm(250));
  });

  test('the number of shelves is a size as well: each is a piece with so many, sharing the height evenly', () => {
    const shop = workshop({ stock: { ply: stock({ length: mm(1250), width: mm(1250), onHand: 0, price: 30 }) } });
    const given = { id: 'case', piece: piece(divided('in', 'up', 3)), workshop: shop, letters: {} };
    const [{ space, shelves }] = shelvedIn(given.piece) as [ReturnType<typeof shelvedIn>[number]];
    expect([space.id, shelves]).toEqual(['in', 2]);
    const measure = { shelves: 'in' };
    const all = [...sizesTried([given], 'case', measure, cutting)];
    expect(all.map((t) => t.size)).toEqual([1, 2, 3, 4, 5, 6]);
    expect(presentSize(solve(given.piece, shop, {}), measure)).toBe(2);
    for (const t of all) {
      const { parts, shape } = solve(atSize(given.piece, measure, t.size) ?? given.piece, shop, {});
      expect(parts.filter((p) => p.member.role === 'shelf')).toHaveLength(t.size);
      const heights = [...shape.spaces.values()].filter((s) => !s.space.split).map((s) => s.clear.height.value);
      expect(Math.max(...heights) - Math.min(...heights)).toBeLessThanOrEqual(mm(1));
      // Inside it is 1960 high; each shelf takes 20 of that.
      expect(t.room).toBeCloseTo((960 * 300 * (1960 - 20 * t.size)) / 1e6, 6);
    }
    // One over a space that is divided itself cannot go.
    const nested = divided('in', 'up', 3);
    const [, , last] = nested.split?.spaces ?? [];
    if (last) last.split = divided('x', 'across', 2).split as NonNullable<typeof last.split>;
    expect([...sizesTried([{ ...given, piece: piece(nested) }], 'case', measure, cutting)].map((t) => t.size)).toEqual([2, 3, 4, 5, 6]);
    expect(sizeLabel(measure, 1, 'mm')).toBe('Made it 1 shelf');
  });

  test('the nearest cheaper size on either side, and none that fails more', () => {
    const one = (size: number, money: number, stops = 0): SizeTried => ({
      size: mm(size),
      opened: money / 10,
      bought: money / 10,
      money,
      missing: 0,
      stops,
      looks: 0,
      room: 100,
      sag: 0.5,
      front: 2,
    });
    const all = [one(280, 10), one(290, 20, 1), one(295, 20), one(300, 30), one(310, 30), one(320, 20)];
    expect(cheaperSizes(all, mm(300)).map((t) => t.size / mm(1))).toEqual([295, 320, 280]);
    expect(cheaperSizes(all, mm(280))).toEqual([]);
    expect(cheaperSizes(all, mm(1))).toEqual([]);
  });
});
