import { writeExactly } from '../../figure/index.js';
import { mm, toMm } from '../../length/index.js';
import { asDegrees } from '../../measures/index.js';
import { boxOf } from '../../piece/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { piece, space, stock, thing, workshop } from '../../testing/samples.js';
import type { Cells } from './spec.js';

const LAPPED: Cells['make'] = { kind: 'half-lapped', stock: 'wall' };
const LADDERS: Extract<Cells['make'], { kind: 'ladders' }> = {
  kind: 'ladders',
  upright: { stock: 'ply', deep: mm(200) },
  support: { stock: 'wall', long: mm(200), wide: mm(15), spares: 2 },
};

/** Cells for tins of 100 with 5 free, in a case of 960 by 1960 by 300 inside; walls of 10, uprights of 20. */
function rack(make: Cells['make'], extra: Partial<Cells> = {}, tin = thing()): Solution {
  const filling: Cells = { kind: 'cells', thing: 'tin', free: mm(5), make, blocked: [], features: [], ...extra };
  const shop = workshop({ stock: { wall: stock({ name: 'wall', thickness: mm(10) }) }, things: { tin } });
  return solve(piece(space('in', { filling })), shop, {});
}

const fact = ({ shape }: Solution, name: string) => shape.facts.get('in')?.find((f) => f.name.startsWith(name));
const size = (s: Solution, name: string) => toMm(fact(s, name)?.figure?.value ?? mm(-1));
const room = ({ shape }: Solution) => shape.facts.get('in')?.find((f) => f.name.includes('room for'))?.count?.amount;
const count = ({ shape }: Solution, role: string) => shape.members.filter((m) => m.role === role).length;
const told = ({ shape }: Solution) => shape.problems.map((p) => writeExactly(p.sentence));

describe('half-lapped boards', () => {
  test('share what is left over: 8 columns of 111.25 between 7 boards, 17 rows, 136 cells', () => {
    const s = rack(LAPPED);
    // 8 x 105 + 7 x 10 = 910 of 960, and 17 x 105 + 16 x 10 = 1945 of 1960.
    expect([size(s, 'pitch across'), size(s, 'wide in all')]).toEqual([121.25, 960]);
    // (1960 + 10) / 17 is rounded to the unit of lengths.
    expect(size(s, 'high in all')).toBeCloseTo(1960, 3);
    expect(room(s)).toBe(136);
    const made = s.shape.members.filter((m) => m.stockId === 'wall');
    expect(made).toHaveLength(7 + 16);
  });

  test('a pipe of 150 by 150 at 300, 200 blocks two columns by three rows', () => {
    // Columns 3 and 4 are from 242.5 to 353.75 and 363.75 to 475; rows 2 to 4 from 115.9 to 352.9.
    const s = rack(LAPPED, { blocked: [{ name: 'pipe', x: mm(300), y: mm(200), width: mm(150), height: mm(150) }] });
    expect(room(s)).toBe(136 - 6);
  });
});

describe('ladders', () => {
  test('have an upright more than columns, and two supports under every thing: 7 by 17, 8 uprights, 238 supports', () => {
    const s = rack(LADDERS);
    // 7 x 125 + 20 = 895 of 960; 17 x 115 = 1955 of 1960.
    expect([size(s, 'pitch across'), size(s, 'pitch up'), size(s, 'wide in all'), size(s, 'high in all')]).toEqual([125, 115, 895, 1955]);
    expect([room(s), count(s, 'ladder upright'), count(s, 'ladder support')]).toEqual([119, 8, 238]);
    expect(writeExactly(fact(s, 'supports')?.remark ?? [])).toMatch(/^238 plain and 0 sloping, and 2 to spare/);
  });

  test('in two sections an upright more: four columns and three, 520 and 395 wide', () => {
    const s = rack({ ...LADDERS, sections: 2 });
    expect([room(s), count(s, 'ladder upright'), size(s, 'wide in all')]).toEqual([119, 9, 915]);
    expect([size(s, 'section 1, 4 columns'), size(s, 'section 2, 3 columns')]).toEqual([520, 395]);
  });

  test('with an upright at the front and one at the rear are as many twice', () => {
    expect(count(rack({ ...LADDERS, upright: { stock: 'ply', deep: mm(40), pair: true } }), 'ladder upright')).toBe(16);
  });

  test('supports as long as what lies on them are 100 long', () => {
    const s = rack({ ...LADDERS, support: { ...LADDERS.support, asThing: true } });
    expect(new Set(s.shape.members.filter((m) => m.role === 'ladder support').map((m) => toMm(m.length.value)))).toEqual(new Set([100]));
  });

  test('a row tilted by 10° for things of 150 takes two rows for one: 150 sin 10° + 105 cos 10°', () => {
    const s = rack(LADDERS, { features: [{ row: 2, tilt: asDegrees(10), long: mm(150) }] });
    const t = (10 * Math.PI) / 180;
    expect(size(s, 'row 2, tilted')).toBeCloseTo(150 * Math.sin(t) + 105 * Math.cos(t), 3);
    expect(room(s)).toBe(119 - 7);
    const sloping = s.shape.members.filter((m) => m.role === 'ladder support' && m.frame.u[1] !== 0);
    expect(sloping).toHaveLength(14);
    for (const m of sloping) {
      const box = boxOf(m);
      // From the rear it falls by 150 sin 10°, and is 10 thick square to its slope.
      expect(toMm(box.y1) - toMm(box.y0)).toBeCloseTo(150 * Math.sin(t) + 10 * Math.cos(t), 3);
    }
  });

  test('the topmost row has no room to be tilted, and that is told with what it needs', () => {
    const s = rack(LADDERS, { features: [{ row: 17, tilt: asDegrees(10), long: mm(150) }] });
    expect(told(s).join(' ')).toMatch(/row 17 of .* cannot be tilted: it needs .*, 2 rows, free above one another/);
    expect(room(s)).toBe(119);
  });
});

test('what carries things is the supports, or the level boards and what is under the lowest', () => {
  const carriers = (s: Solution) => s.shape.stands.get('in')?.carriers ?? [];
  expect(carriers(rack(LADDERS))).toHaveLength(238);
  expect(carriers(rack(LAPPED))).toHaveLength(16 + 1);
});

test('no cell that goes in, more than are worked out, and a thing that is gone are each told', () => {
  const cube = (side: number) => thing({ shape: { kind: 'box', width: mm(side), height: mm(side), depth: mm(side) } });
  expect(told(rack(LAPPED, {}, cube(970)))).toEqual([expect.stringMatching(/^Not one cell of 985 mm by 985 mm goes into/)]);
  expect(told(rack(LAPPED, { free: mm(1) }, cube(4)))).toEqual([
    expect.stringMatching(/^\d{4,} cells of .* would go into .*; up to \d+ are worked out/),
  ]);
  expect(told(rack(LAPPED, { thing: 'gone' }))).toEqual([expect.stringMatching(/is not in the library any more/)]);
});
