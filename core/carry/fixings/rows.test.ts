import fc from 'fast-check';
import { writeExactly } from '../../figure/index.js';
import { mm, toMm, type Length } from '../../length/index.js';
import { boxOf, type Space } from '../../piece/index.js';
import { type Drawers } from '../../interiors/index.js';
import { boughtFor, solve } from '../../solution/index.js';
import { chest, drawers } from '../../testing/chest.js';
import { divided, piece, stock, thing, workshop, panels } from '../../testing/samples.js';
import { allBrads, allScrews, contactOf, fixingsOf, rowBetween, spacedAlong, type Fixing, type Row } from '../index.js';
import { asKg } from '../../measures/index.js';
import { runs } from '../../testing/runs.js';

function butted(kg = 5) {
  const inside = divided('in', 'up', 2);
  const { spaces } = inside.split as NonNullable<Space['split']>;
  (spaces[1] as Space).things = [{ thing: 'slab', count: 1 }];
  const shop = workshop({
    stock: { ply: stock({ material: 'white-ash' }) },
    things: { slab: thing({ mass: asKg(kg), shape: { kind: 'box', width: mm(900), height: mm(100), depth: mm(200) } }) },
  });
  const made = piece(inside);
  return solve({ ...made, panels: panels({ fix: 'butted' }) }, shop, {});
}

function ends(solution: ReturnType<typeof solve>, id: string): readonly Fixing[] {
  const carried = solution.carried.members.get(id);
  if (!carried) throw new Error(`nothing carries ${id}`);
  return fixingsOf(carried, new Map(solution.shape.members.map((m) => [m.id, m])), solution.workshop.settings);
}

const member = (s: ReturnType<typeof solve>, id: string) => {
  const found = s.shape.members.find((m) => m.id === id);
  if (!found) throw new Error(`there is no ${id}`);
  return found;
};

describe('where two members meet', () => {
  const s = butted();
  const [side, shelf] = [member(s, 'case/side/left'), member(s, 'in-m1/shelf/1')];

  test('a butted shelf meets the inner face of the side over its whole end', () => {
    const contact = contactOf(side, shelf);
    expect([contact?.normal, contact?.plane]).toEqual([[1, 0, 0], 20]);
    const y = toMm(boxOf(shelf).y0);
    expect(contact?.axes).toEqual([
      [0, 0, 1],
      [0, 1, 0],
    ]);
    expect(contact?.over).toEqual([
      [0, 300],
      [y, y + 20],
    ]);
    expect(contactOf(shelf, side)?.normal[0]).toBe(-1);
  });

  test('what lies apart does not meet', () => {
    expect(contactOf(member(s, 'case/side/right'), member(s, 'case/side/left'))).toBeNull();
    expect(rowBetween(member(s, 'case/side/right'), member(s, 'case/side/left'), 'mm')).toEqual({ why: 'apart' });
  });
});

describe('a row of screws', () => {
  const [left] = ends(butted(), 'in-m1/shelf/1');
  const row = left?.screws?.row as Row;

  test('goes through the side into the end, the usual screw long enough to hold fully', () => {
    expect([row.through.id, row.into.id]).toEqual(['case/side/left', 'in-m1/shelf/1']);
    // 20 + 10 · 4.166 = 61.7: 70 long, 50 of it in the shelf.
    expect([row.screw.name, row.length, row.inside]).toEqual(['No. 8', 70, 50]);
    // 10 to its faces, and 2.5 times its root of 3.33 is 8.3.
    expect(row.tight).toBeUndefined();
  });

  test('two of it stand 37 from the front and the rear; seven fill the 300 there are', () => {
    expect(spacedAlong(row, 2)).toEqual([37, 263]);
    const seven = spacedAlong(row, 7);
    expect(seven[0]).toBeCloseTo(2.5 * 0.164 * 25.4, 9);
    expect((seven[1] as number) - (seven[0] as number)).toBeCloseTo((300 - 2 * 10.414) / 6, 3);
    expect(spacedAlong(row, 1)).toEqual([150]);
  });

  test('the top of a case of ash is screwed 10 from the ends of its sides, where 41.7 is wanted along the grain; in plywood none is', () => {
    const [end] = ends(butted(), 'case/top/1');
    expect(end?.screws?.row.nearEnd).toEqual({ has: 10, wanted: expect.closeTo(41.656, 6) });
    expect([end?.state, writeExactly(end?.sentence() ?? [])]).toEqual([
      'close',
      expect.stringContaining('drill pilot holes, or it splits'),
    ]);
    expect(row.nearEnd).toBeUndefined();
    const [sheet] = ends(solve(butted().piece, workshop(), {}), 'case/top/1');
    expect(sheet?.screws?.row.nearEnd).toBeUndefined();
  });

  test('says how to set them out', () => {
    expect(writeExactly(left?.sentence() ?? [])).toContain('37 mm from its front and 226 mm on');
  });
});

/** A slide that carries the sides, so that bottoms hang under them. */
const slide = { kind: 'slide', slide: 'none', length: mm(250) } as const;

describe('drawer boxes', () => {
  const box = (join: Drawers['box']['join'], bottom: Drawers['box']['bottom'], order: Drawers['box']['order'] = 'ends-between') =>
    chest(drawers({ box: { join, order, bottom } }));
  const groove = { kind: 'groove', depth: mm(4), up: mm(8), slack: mm(1) } as const;

  test('corners of 5 by pocket screws are not checked', () => {
    const [end] = ends(box('pocket', groove), 'd1/drawer-end/front');
    expect(end?.state).toBe('not checked');
    expect(writeExactly(end?.sentence() ?? [])).toContain('too thin or too thick for pocket screws');
  });

  test('brads through walls of 10 hold by a third in the end they are in', () => {
    const [end] = ends(box('nailed', groove), 'd1/drawer-end/front');
    // 30 long, 20 in. Plywood of 680 presses back with 0.11 · 566.7 · 1.6^-0.3 = 54.14 MPa; one bends at 180 · 1.6^2.6 = 611 N mm. Of six
    // ways it yields (d) is the least, 303.2 (√4.8464 − 1) = 364.3 N; for years 0.7 / 1.2 / 1.5 of it, and a third: 47.2.
    expect(end?.state).not.toBe('fails');
    expect(writeExactly(end?.sentence() ?? [])).toMatch(/^\d+ brads of 30 mm hold \d+ N: 47\.2 N each, a third for the end grain/);
  });

  test('brads of all corners are counted once: one every 50 of walls 628 high, twelve, at four corners of three boxes', () => {
    const s = box('nailed', groove);
    const { y0, y1 } = boxOf(member(s, 'd1/drawer-side/left'));
    expect(toMm(y1) - toMm(y0)).toBe(628);
    const brads = allBrads(s.carried);
    expect(brads.map((b) => [toMm(mm(b.length)), b.count])).toEqual(Array<number[]>(12).fill([30, 12]));
    const bought = boughtFor(s).filter((b) => b.what.startsWith('brads'));
    expect(bought.map((b) => [toMm(b.length as Length), b.count])).toEqual([[30, 144]]);
  });

  test('screwed corners take the holes that are there, through the side into the end between', () => {
    const [end] = ends(box('screwed', groove), 'd1/drawer-end/front');
    expect(end?.screws?.row.through.id).toBe('d1/drawer-side/left');
    expect(end?.screws?.count).toBe(3);
    expect(writeExactly(end?.sentence() ?? [])).toContain('in the holes');
  });

  test('ends that cover are screwed through themselves into the sides', () => {
    const [end] = ends(box('screwed', groove, 'sides-between'), 'd1/drawer-end/front');
    expect([end?.screws?.row.through.id, end?.screws?.row.into.id]).toEqual(['d1/drawer-end/front', 'd1/drawer-side/left']);
  });

  test('a bottom in grooves stands on a ledge in each of the four walls', () => {
    const four = ends(box('screwed', groove), 'd1/drawer-bottom/1');
    expect(four.map((f) => writeExactly(f.sentence()).startsWith('A ledge of 4 mm'))).toEqual([true, true, true, true]);
  });

  test.each(['applied', 'rebate'] as const)('a bottom that is %s hangs on screws pulled out of the walls', (kind) => {
    const bottom = kind === 'applied' ? ({ kind } as const) : ({ kind, depth: mm(5), slack: mm(1) } as const);
    const solid = chest(
      drawers({ runner: slide, box: { join: 'screwed', order: 'ends-between', bottom } }),
      3,
      {},
      {
        ...chest(drawers()).workshop,
        stock: new Map([...chest(drawers()).workshop.stock, ['wall', stock({ name: 'wall', material: 'white-ash', thickness: mm(10) })]]),
      },
    );
    const four = ends(solid, 'd1/drawer-bottom/1');
    expect(four).toHaveLength(4);
    for (const f of four) expect(writeExactly(f.sentence())).toContain('pulled straight out');
    const row = four[0]?.screws?.row;
    expect([row?.through.role, row?.contact.normal]).toEqual(['drawer bottom', [0, 1, 0]]);
  });

  test('on wooden runners a box stands on its bottom, which hangs on nothing', () => {
    const s = box('screwed', { kind: 'applied' });
    expect(s.carried.members.get('d1/drawer-bottom/1')?.supports.map((x) => x.carrier)).toEqual(['d1/runner/left', 'd1/runner/right']);
    expect(s.carried.members.get('d1/drawer-side/left')?.supports.map((x) => x.carrier)).toEqual(['d1/drawer-bottom/1']);
  });

  test('out of the edge of plywood a pull is not checked', () => {
    const hung = chest(drawers({ runner: slide, box: { join: 'screwed', order: 'ends-between', bottom: { kind: 'applied' } } }));
    const [end] = ends(hung, 'd1/drawer-bottom/1');
    expect(end?.state).toBe('not checked');
    expect(writeExactly(end?.sentence() ?? [])).toContain('pulled out of the edge of this sheet');
  });
});

describe('of every row between a shelf and a side', () => {
  const sizes = fc.record({
    side: fc.integer({ min: 6, max: 45 }),
    shelf: fc.integer({ min: 6, max: 45 }),
    deep: fc.integer({ min: 40, max: 600 }),
    kg: fc.integer({ min: 1, max: 300 }),
  });

  test('no point comes out, no screw leaves the wood, and they keep from each other and from the edges', () => {
    fc.assert(
      fc.property(sizes, ({ side, shelf, deep, kg }) => {
        const inside = divided('in', 'up', 2);
        const { spaces, members } = inside.split as NonNullable<Space['split']>;
        (spaces[1] as Space).things = [{ thing: 'slab', count: 1 }];
        Object.assign(members[0] ?? {}, { fix: 'butted', stock: 'board' });
        const ash = { material: 'white-ash', form: 'board' as const };
        const shop = workshop({
          stock: { ply: stock({ ...ash, thickness: mm(side) }), board: stock({ ...ash, thickness: mm(shelf) }) },
          things: { slab: thing({ mass: asKg(kg), shape: { kind: 'box', width: mm(500), height: mm(100), depth: mm(30) } }) },
        });
        const s = solve(piece(inside, { depth: { from: 'given', size: mm(deep), of: 'overall' } }), shop, {});
        for (const { screws, row } of allScrews(s.carried).filter((r) => r.holds === 'in-m1/shelf/1')) {
          const box = boxOf(member(s, 'in-m1/shelf/1'));
          for (const { head, point, across } of screws) {
            // From the outer face of the side into the shelf, with its own thickness of wood before its point.
            expect([0, 1000]).toContain(head[0]);
            expect(Math.abs(point[0] - head[0])).toBe(row.length);
            expect(row.left).toBeGreaterThanOrEqual(across - 1e-9);
            expect(row.inside).toBeGreaterThanOrEqual(6 * across - 1e-9);
            expect(point[1]).toBeCloseTo((toMm(box.y0) + toMm(box.y1)) / 2, 9);
            expect(head[2]).toBeGreaterThanOrEqual(2.5 * across - 1e-9);
            expect(head[2]).toBeLessThanOrEqual(deep - 2.5 * across + 1e-9);
          }
          const apart = screws.slice(1).map((x, i) => x.head[2] - (screws[i]?.head[2] as number));
          for (const gap of apart) expect(gap).toBeGreaterThanOrEqual(10 * (screws[0]?.across as number) - 1e-9);
        }
      }),
      { numRuns: runs(30) },
    );
  });
});
