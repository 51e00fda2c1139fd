import { ZERO, mm } from '../length/index.js';
import { applyEdit } from '../kinds/index.js';
import type { Frame, PanelCase } from '../shells/index.js';
import { solve, type Solution } from '../solution/index.js';
import { NO_OVER, all, framePiece, shop as frameShop } from '../testing/frame-samples.js';
import { divided, panels, piece, space, stock, workshop } from '../testing/samples.js';

const given = (size: number) => ({ from: 'given', size: mm(size), of: 'overall' }) as const;
const shop = workshop({ stock: { ply: stock({ name: 'ply 18', thickness: mm(18) }) } });
/** A case of 600 x 800 x 300 with one shelf, all of it butted and screwed through its sides. */
const screwed = (extra: Partial<PanelCase> = {}): PanelCase =>
  piece(divided('in', 'up', 2), {
    width: given(600),
    height: given(800),
    depth: given(300),
    base: { kind: 'none' },
    back: { kind: 'none' },
    top: 'between',
    bottom: 'between',
    stock: { sides: 'ply' },
    panels: panels({ fix: 'butted' }),
    noHeads: true,
    ...extra,
  });
const heads = (of: PanelCase): Solution['checks'] => solve(of, shop, {}).checks.filter((c) => c.id.startsWith('heads-'));

describe('screw heads that are seen', () => {
  test('those that hold a shelf and the top through both sides are told for each side, with what takes them away', () => {
    const told = heads(screwed());
    expect(told.map((c) => c.id).sort()).toEqual(['heads-case/side/left', 'heads-case/side/right']);
    expect(JSON.stringify(told[0]?.sentence)).toMatch(/top C/);
    expect(JSON.stringify(told[0]?.sentence)).toMatch(/shelf/);
  });

  test('where they may be seen nothing is told', () => {
    expect(heads(screwed({ noHeads: false }))).toEqual([]);
  });

  test('a shelf that is housed instead is told no more, and the last way out lets them be seen', () => {
    const before = screwed();
    const [told] = heads(before);
    const house = told?.fixes.find((f) => JSON.stringify(f.label).includes('House'))?.change;
    const may = told?.fixes.at(-1)?.change;
    if (house?.target !== 'piece' || may?.target !== 'piece') throw new Error('ways out change the piece');
    const housed = heads(applyEdit(before, house.edit) as PanelCase);
    expect(JSON.stringify(housed.map((c) => c.sentence))).not.toMatch(/shelf/);
    expect(housed).toHaveLength(2);
    expect(heads(applyEdit(before, may.edit) as PanelCase)).toEqual([]);
  });

  test('screwed from below through the bottom they are not seen, and a top over the sides lies on them', () => {
    const over = heads(screwed({ top: 'over', bottom: 'over' }));
    expect(over.map((c) => c.id)).not.toContain('heads-case/bottom');
  });

  test('under a top that overhangs by 50 they are seen as before; behind what stands before them they are not', () => {
    const rails = { stock: 'deal45', wide: mm(95), ...all };
    const frame = (over: number): Frame =>
      framePiece(space('in'), {
        noHeads: true,
        top: {
          level: { rails, deck: { stock: 'ash27', goes: 'over', gap: ZERO } },
          over: { ...NO_OVER, left: mm(over), right: mm(over) },
        },
      });
    const ids = (over: number) => solve(frame(over), frameShop, {}).checks.flatMap((c) => (c.id.startsWith('heads-') ? [c.id] : []));
    expect(ids(0).length).toBeGreaterThan(0);
    expect(ids(50).sort()).toEqual(ids(0).sort());
    // Two shelves of one height in three bays: those of the middle one are screwed through dividers, whose faces are inside.
    const inside = divided('in', 'across', 3);
    const middle = inside.split?.spaces[1];
    if (middle) middle.split = divided('mid', 'up', 2).split as never;
    expect(heads(screwed({ interior: inside })).map((c) => c.id)).not.toContain('heads-in-m1/divider/1');
  });
});
