import { solved } from './solved.js';
import { writeExactly } from '../core/figure/index.js';
import { pieceFaults } from '../core/formats/index.js';
import { ZERO, mm, toMm } from '../core/length/index.js';
import { type Piece, type Space } from '../core/piece/index.js';
import { applyEdit } from '../core/kinds/index.js';
import { type Boards } from '../core/interiors/index.js';
import { type PanelCase } from '../core/shells/index.js';
import { boughtFor, solve, type Solution } from '../core/solution/index.js';
import { chest, chestShop, drawers } from '../core/testing/chest.js';
import { divided, piece, space, stock, thing, workshop, panels } from '../core/testing/samples.js';
import { edgesText, lettersText, machiningText, rowsOf, type Part } from '../core/parts/index.js';

const MM = { unit: 'mm', step: mm(0.1) } as const;
const demo = (id: string) => solved(id);
const partOf = (s: Solution, id: string) => s.parts.find((p) => p.id === id) as Part;
const said = (s: Solution, id: string) => partOf(s, id).features.map((f) => machiningText(f, partOf(s, id), MM));
const facts = (s: Solution, id: string) => (s.shape.facts.get(id) ?? []).map((f) => [f.name, f.figure && toMm(f.figure.value)] as const);
const stops = (s: Solution, start: string) =>
  s.checks.filter((c) => c.id.startsWith(start)).map((c) => [c.severity, writeExactly(c.sentence)]);

describe('what is cut into a part', () => {
  test('packing housings say how high they are', () => {
    // The boards of 62 lie 15 and, 312.5 on, 327.5 from the foot.
    expect(said(demo('sink-drawers'), 'packing/upright/left-rear')).toEqual([
      'housing 62 wide, 9 deep, on the right face, 15 from the lower end, from edge to edge',
      'housing 62 wide, 9 deep, on the right face, 327.5 from the lower end, from edge to edge',
    ]);
  });

  test('housings are through, or say where they stop', () => {
    const housed = (setback: number) =>
      solve(piece(divided('in', 'up', 2), { panels: panels({ fix: 'housed', setback: mm(setback) }) }), workshop(), {});
    // 960 inside less one shelf of 20, over two, over the bottom of 20: 970 + 20 from the foot of the side.
    expect(said(housed(0), 'case/side/left')).toEqual([
      'housing 20 wide, 5 deep, on the inside, 990 from the lower end, from edge to edge',
    ]);
    expect(said(housed(12), 'case/side/right')).toEqual([
      'housing 20 wide, 5 deep, on the inside, 990 from the lower end, stopped 12 from the front edge',
    ]);
  });

  test('a back has room to move in its grooves as far as they are deep', () => {
    const back = { kind: 'groove', depth: mm(5), inset: mm(10), slack: mm(2) } as const;
    const s = solve(piece(space('in'), { back }), workshop(), {});
    // Side 2000, top and bottom of 20 let 1960 clear: the groove is 1960 + 2 × 5, the back 2 less.
    expect(said(s, 'case/side/left')).toEqual([
      'groove 6 wide, 5 deep, on the inside, 10 from the rear edge, stopped 15 from the lower end and 15 from the upper end',
    ]);
    expect(toMm(partOf(s, 'case/back/1').length.value)).toBe(1968);
  });

  test('the groove for a drawer bottom is run right along its walls', () => {
    const s = chest(drawers(), 1);
    for (const id of ['d1/drawer-side/left', 'd1/drawer-end/back'])
      expect(said(s, id)).toContain('groove 5 wide, 4 deep, on the inside, 8 from the lower edge, from end to end');
  });

  test('a divider on a doubled shelf is let into its upper layer', () => {
    const upper = divided('up', 'across', 2);
    const inside = space('in', { split: { axis: 'up', members: [{ id: 's', doubled: 'glued' }], spaces: [space('low'), upper] } });
    const s = solve(piece(inside, { panels: panels({}, { fix: 'housed' }) }), workshop(), {});
    expect(said(s, 's/shelf-layer/1')).toEqual(['housing 20 wide, 5 deep, on the upper face, 470 from the left end, from edge to edge']);
    expect(said(s, 's/shelf/1')).toEqual([]);
  });
});

describe('cross boards', () => {
  const lanes = (ends: boolean, channel: number) => {
    const making: Boards = { kind: 'boards', stock: 'ply', high: mm(50), ends, fit: ZERO, channel: ZERO, glued: false };
    const lane = (id: string): Space =>
      space(id, {
        split: {
          axis: 'across',
          members: [{ id: `${id}-b` }],
          spaces: [space(`${id}-1`), space(`${id}-2`)],
          making: { ...making, ends: false, channel: mm(channel) },
        },
      });
    const split = {
      axis: 'deep',
      making,
      members: [{ id: 'm1' }, { id: 'm2' }],
      spaces: [lane('rear'), lane('middle'), lane('front')],
    } as const;
    const exactly = { rounding: { grid: mm(0.5), set: 'exact', leftover: 'last' } } as const;
    return solve(piece(space('in', { split: structuredClone(split) as unknown as NonNullable<Space['split']> }), exactly), workshop(), {});
  };
  const long = (s: Solution, lane: string) => toMm(partOf(s, `${lane}-b/board/1`).length.value);

  test('go into channels only where boards are: at both ends of a middle lane, at one of a lane along a wall', () => {
    // 300 deep less two boards of 20, over three lanes: 86.66.
    const lane = 260 / 3;
    const s = lanes(false, 4);
    expect([long(s, 'rear'), long(s, 'middle'), long(s, 'front')].map((l) => Math.round((l - lane) * 10) / 10)).toEqual([4, 8, 4]);
    expect(said(s, 'm1/board/1').map((t) => t.split(', ')[2])).toEqual(['on the rear face', 'on the front face']);
  });

  test('and at both ends of every lane with boards at the ends, which have one channel each', () => {
    // Four boards of 20: 220 over three lanes.
    const s = lanes(true, 4);
    for (const id of ['rear', 'middle', 'front']) expect(long(s, id) - 220 / 3).toBeCloseTo(8, 4);
    expect([said(s, 'in/board/first').length, said(s, 'in/board/last').length]).toEqual([1, 1]);
  });
});

test('a drawer keeps its own facts when a layout is put into it', () => {
  const tray = { kind: 'boards', stock: 'ply', high: mm(20), ends: false, fit: ZERO, channel: ZERO, glued: false } as const;
  const plain = chest(drawers());
  const filled = applyEdit(plain.piece, {
    kind: 'fill',
    space: 'd1',
    split: { axis: 'deep', making: tray, members: [{ id: 'b' }], spaces: [space('l1'), space('l2')] },
  });
  const names = facts(solve(filled, chestShop, {}), 'd1').map(([name]) => name);
  expect(names).toEqual(expect.arrayContaining([...facts(plain, 'd1').map(([name]) => name), 'strips']));
});

test('spares are in the list, beside the parts they are spares of', () => {
  const rows = rowsOf(demo('tube-rack').parts).filter((r) => r.first.member.role === 'ladder support');
  expect(rows.map((r) => [r.count, r.spares])).toEqual([
    [300, 12],
    [24, 0],
  ]);
});

test('a kerf is lost between pieces of one board: 2400 gives seven of 300, not eight', () => {
  const short = stock({ name: 'deal', length: mm(2400), width: mm(62), thickness: mm(20) });
  const shop = workshop({ stock: { deal: short }, settings: { kerf: mm(3) } });
  const cells = {
    kind: 'cells',
    thing: 'tin',
    free: mm(5),
    make: { kind: 'ladders', upright: { stock: 'ply', deep: mm(300) }, support: { stock: 'deal', long: mm(300), wide: mm(20), spares: 0 } },
    blocked: [],
    features: [],
  } as const;
  const s = solve(piece(space('in', { filling: structuredClone(cells) as unknown as NonNullable<Space['filling']> })), shop, {});
  // Two strips of 20 and a cut of 3 from 62, with 19 left, which is no third.
  const supports = (s.shape.facts.get('in') ?? []).find((f) => f.name === 'supports');
  expect(writeExactly(supports?.remark ?? [])).toContain('; 14 come from one deal');
});

describe('least and greatest', () => {
  const bounded = (extra: Partial<Space>, rule = extra.rule) =>
    divided('in', 'up', 3, {}) && solve(piece(withFirst({ ...extra, ...(rule ? { rule } : {}) })), workshop(), {});
  function withFirst(extra: Partial<Space>): Space {
    const inside = divided('in', 'up', 3);
    Object.assign(inside.split?.spaces[0] as Space, extra);
    return inside;
  }
  const sizes = (s: Solution) =>
    [...s.shape.runs.values()][0]?.run.lines.filter((l) => l.line.kind === 'gap').map((l) => toMm(l.size.value));

  test('hold where a space fits what stands in it', () => {
    const tin = [{ thing: 'tin', count: 1 }];
    const fit = { kind: 'fit', clearance: ZERO } as const;
    expect(sizes(bounded({ rule: fit, things: tin, least: mm(250) }))?.[0]).toBe(250);
    expect(sizes(bounded({ rule: fit, things: tin, greatest: mm(80) }))?.[0]).toBe(80);
  });

  test('hold when sizes are set to the grid: 640.3 at least is not brought down to 640', () => {
    // 1920 over three: 640 each; the first takes 640.3, the others share 1279.7 and close the sum.
    const s = sizes(bounded({ least: mm(640.3) })) as number[];
    expect(s[0]).toBe(640.3);
    expect(s.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1920, 6);
  });

  test('are told where a given size or a pitch leaves them', () => {
    const s = bounded({ rule: { kind: 'fixed', size: mm(300) }, greatest: mm(250) });
    expect(stops(s, 'bounds-in-1')).toEqual([['stop', 'space 1 is 300 mm, and may be 250 mm at most.']]);
    const [fix] = s.checks.find((c) => c.id === 'bounds-in-1')?.fixes ?? [];
    const mended = fix?.change.target === 'piece' ? solve(applyEdit(s.piece, fix.change.edit), workshop(), {}) : s;
    expect([stops(mended, 'bounds-'), sizes(mended)?.[0]]).toEqual([[], 250]);
    expect(stops(bounded({ rule: { kind: 'grid', pitch: mm(32), steps: 10, overMember: false }, least: mm(321) }), 'bounds-')).toHaveLength(
      1,
    );
  });

  test('are refused when they cross, in an edit and in a file', () => {
    const p = piece(divided('in', 'up', 3));
    expect(() => applyEdit(p, { kind: 'bounds', space: 'in-1', least: mm(300), greatest: mm(200) })).toThrow('more than its greatest');
    const crossed: Piece = piece(withFirst({ least: mm(300), greatest: mm(200) }), {
      width: { from: 'bounded', least: mm(2), greatest: mm(1) },
    });
    expect(pieceFaults(crossed, workshop(), '').map((f) => f.path)).toEqual(['/width', '/interior (space in-1)']);
  });
});

test.each<[string, () => Solution, string]>([
  [
    'a back',
    () => solve(piece(space('in'), { back: { kind: 'groove', depth: mm(5), inset: ZERO, slack: mm(5) } }), workshop(), {}),
    'back-slips',
  ],
  [
    'a back in rebates',
    () => solve(piece(space('in'), { back: { kind: 'rebate', depth: mm(5), slack: mm(7) } }), workshop(), {}),
    'back-slips',
  ],
  [
    'a drawer bottom',
    () =>
      chest(
        drawers({ box: { order: 'ends-between', join: 'screwed', bottom: { kind: 'groove', depth: mm(4), up: mm(8), slack: mm(4) } } }),
      ),
    'bottom-slips',
  ],
])('%s that may come out of its groove on one side stops the build, and a fix keeps it in', (_, make, id) => {
  const s = make();
  expect(stops(s, id)).toEqual([['stop', expect.stringContaining('comes out of the other one')]]);
  const [fix] = s.checks.find((c) => c.id.startsWith(id))?.fixes ?? [];
  if (fix?.change.target !== 'piece') throw new Error('no fix');
  expect(stops(solve(applyEdit(s.piece, fix.change.edit), s.workshop, {}), id)).toEqual([]);
});

describe('pin holes', () => {
  const bays = (t: number, extra: Partial<PanelCase> = {}) => {
    const inside = divided('in', 'across', 2);
    inside.split?.spaces.forEach((bay) => (bay.split = divided(bay.id, 'up', 2).split as NonNullable<Space['split']>));
    return solve(
      piece(inside, { panels: panels({ fix: 'loose', looseEnd: mm(1) }), ...extra }),
      workshop({ stock: { ply: stock({ thickness: mm(t) }) } }),
      {},
    );
  };
  test('that would meet in a divider from both faces go past each other', () => {
    // 10 deep from each face of 18: 37 from the edges on one face, 47 on the other.
    const s = bays(18);
    const holes = said(s, 'in-m1/divider/1').map((t) => t.split(', ').slice(2).join(', '));
    expect(holes.filter((h) => h.startsWith('on the right face')).map((h) => h.split(', ')[2])).toEqual([
      '37 from the rear edge',
      '37 from the front edge',
    ]);
    expect(holes.filter((h) => h.startsWith('on the left face')).map((h) => h.split(', ')[2])).toEqual([
      '47 from the rear edge',
      '47 from the front edge',
    ]);
    expect(stops(s, 'pins-')).toEqual([]);
  });

  test('stay in line in a divider that is thick enough', () => {
    expect(said(bays(21), 'in-m1/divider/1').filter((t) => t.includes('37 from the rear edge'))).toHaveLength(2);
  });

  test('that come right through stop the build', () => {
    expect(stops(bays(9), 'pins-case/side/left')).toEqual([['stop', 'Pins 10 mm deep go right through side A, which is 9 mm thick.']]);
  });
});

test('edging goes round fronts and along boards, and is taken off what is cut', () => {
  const s = chest(drawers(), 1, { edges: { front: 'banded', banding: mm(2) } });
  const front = partOf(s, 'd1/drawer-front/1');
  // 960 − 2 × 2 by 1960 − 2 × 4, less 2 on each of four edges.
  expect([edgesText(front), toMm(front.cut.length.set), toMm(front.cut.width.set)]).toEqual(['banded all round', 952, 1948]);
  expect(edgesText(partOf(s, 'case/side/left'))).toBe('front edge banded');
  // Fronts 2 × 956 + 2 × 1952; sides 2 × 2000, top and bottom 2 × 960: 11.736 m and a tenth to spare.
  expect(boughtFor(s).find((b) => b.each === 'run')).toMatchObject({ count: 1, thick: mm(2), length: mm(12909.6) });
});

test('pins and screws are bought: four pins to a loose shelf, screws by size', () => {
  const s = solve(piece(divided('in', 'up', 3), { panels: panels({ fix: 'loose', looseEnd: mm(1) }) }), workshop(), {});
  const bought = boughtFor(s).map((b) => [b.count, b.what]);
  expect(bought).toContainEqual([8, 'shelf pins Ø5']);
  const screws = boughtFor(
    solve(piece(divided('in', 'up', 3), { panels: panels({ fix: 'butted' }), fixedToWall: false }), workshop(), {}),
  ).filter((b) => b.what.startsWith('wood screws'));
  // The top, two shelves and the bottom, which stands on the floor, at two ends each, by two screws in 300.
  expect(screws.reduce((sum, b) => sum + b.count, 0)).toBe(16);
  expect(screws.every((b) => b.length !== undefined)).toBe(true);
});

test('height from contents goes by the bay that a thing stands in', () => {
  // Three tins of 100 stacked up to three high. In 960 they stand side by side, 100 high; in a bay of 150 one on another.
  const inside = divided('in', 'across', 2);
  const [narrow] = inside.split?.spaces as [Space];
  Object.assign(narrow, { rule: { kind: 'fixed', size: mm(150) }, things: [{ thing: 'tin', count: 3 }] });
  const s = solve(
    piece(inside, { height: { from: 'contents' } }),
    workshop({ things: { tin: thing({ stack: 3, wayUp: 'upright' }) } }),
    {},
  );
  // Depth 300 takes three behind each other: seven tins then, to be sure of two rows.
  expect(toMm(s.shape.overall.height.value)).toBe(100 + 40);
  Object.assign(narrow, { things: [{ thing: 'tin', count: 7 }] });
  const tall = solve(piece(inside, { height: { from: 'contents' } }), workshop({ things: { tin: thing({ stack: 3 }) } }), {});
  // Three deep, one across: three rows of stacks hold nine; seven ask for three high.
  expect(toMm(tall.shape.overall.height.value)).toBe(300 + 40);
});

test.each([
  [['A'], 'A'],
  [['B', 'A'], 'A, B'],
  [['A', 'C', 'D', 'E', 'G'], 'A, C–E, G'],
  [['Z', 'AA', 'AB'], 'Z–AB'],
  [['ZY', 'ZZ', 'AAA'], 'ZY–AAA'],
])('%j are noted as %s', (letters, expected) => {
  expect(lettersText(letters)).toBe(expected);
});

test('three hundred supports are a range, and the rack has no longer line of letters than a few', () => {
  const rows = rowsOf(demo('tube-rack').parts).map((r) => lettersText(r.parts.map((p) => p.letter)));
  expect(rows).toEqual(['A–J', 'K–M', 'N–GW, HV–LY', 'GX–HU']);
});
