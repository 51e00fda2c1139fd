import { fixingsOf, type CarriedMember } from '../core/carry/index.js';
import { columnSum, writeExactly } from '../core/figure/index.js';
import { bladePasses, keptOf, ripYield } from '../core/joints/index.js';
import { mm, toMm, type Length } from '../core/length/index.js';
import { boxOf, type PieceEdit } from '../core/piece/index.js';
import { type Drawers } from '../core/interiors/index.js';
import { solvedIn } from '../core/formats/index.js';
import { remediesFor, solve, stockChoices, type Solution } from '../core/solution/index.js';
import { readAgain, type Built } from '../core/survey/index.js';
import { PRINT_SHED } from './print-shed.js';
import { shopOf, solved } from './solved.js';
import { asKg } from '../core/measures/index.js';
import { runs } from '../core/testing/runs.js';

const fact = (s: Solution, space: string, name: string) => {
  const found = s.shape.facts.get(space)?.find((f) => f.name === name)?.figure;
  return found ? toMm(found.value) : undefined;
};
const size = (s: Solution, id: string) => {
  const part = s.parts.find((p) => p.id === id);
  return part ? [part.length, part.width, part.thickness].map((f) => toMm(f.value)) : undefined;
};
const lines = (s: Solution, run: string, kind: 'gap' | 'member') =>
  s.shape.runs.get(run)?.run.lines.flatMap((l) => (l.line.kind === kind ? [toMm(l.size.value)] : []));
const making = (id: string, space: string) => solved(id).shape.spaces.get(space)?.space.split?.making as Drawers;

describe('the paper chest', () => {
  const chest = solved('paper-chest');

  test('532 is free behind the fronts, so slides of 500; the box is 854.6 wide', () => {
    expect(fact(chest, 'drawer-top', 'depth there is for a slide')).toBe(532);
    expect(['wide', 'deep'].map((d) => fact(chest, 'drawer-top', `box, ${d}`))).toEqual([854.6, 500]);
  });

  test('sides of 15 with front and back of 824.6 between them, or the other way round', () => {
    expect(size(chest, 'drawer-top/drawer-side/left')?.[0]).toBe(500);
    expect(size(chest, 'drawer-top/drawer-end/back')?.[0]).toBe(824.6);
    const bank = making('paper-chest', 'chest');
    const other = solved('paper-chest', {
      kind: 'making',
      space: 'chest',
      making: { ...bank, box: { ...bank.box, order: 'sides-between' } },
    });
    expect(size(other, 'drawer-top/drawer-side/left')?.[0]).toBe(470);
    expect(size(other, 'drawer-top/drawer-end/back')?.[0]).toBe(854.6);
  });

  test('bottom 9 in a groove 7 deep with 1 slack: 837.6 x 483', () => {
    expect(size(chest, 'drawer-top/drawer-bottom/1')).toEqual([837.6, 483, 9]);
  });

  test('seven equal fronts, 4 between, above and below: 108.286 exactly, set four of 108.5 and three of 108', () => {
    const run = chest.shape.runs.get('chest')?.run;
    expect(run?.lines.filter((l) => l.line.kind === 'gap').map((l) => toMm(l.exact.value))[0]).toBeCloseTo(108.2857, 4);
    expect(lines(chest, 'chest', 'gap')?.sort()).toEqual([108, 108, 108, 108.5, 108.5, 108.5, 108.5]);
    expect(lines(chest, 'chest', 'member')).toEqual(Array(8).fill(4));
  });

  test('five graded, 20 more each down: 113.2 to 193.2', () => {
    const step = mm(-20);
    const ids = ['drawer-bottom', 'drawer-second', 'drawer-third', 'drawer-fourth', 'drawer-fifth'];
    const graded = solved(
      'paper-chest',
      { kind: 'even', space: 'chest', members: 4, newMembers: [], newSpaces: [] },
      ...ids.map((space): PieceEdit => ({ kind: 'rule', space, rule: { kind: 'graded', step } })),
      { kind: 'piece', patch: { rounding: { grid: mm(0.1), set: 'exact', leftover: 'last' } } },
    );
    expect(lines(graded, 'chest', 'gap')).toEqual([193.2, 173.2, 153.2, 133.2, 113.2]);
  });

  test('the sum of the box width goes back to the slide as measured', () => {
    const width = chest.shape.facts.get('drawer-top')?.find((f) => f.name === 'box, wide')?.figure;
    expect(width && columnSum(width).map((l) => [l.sign, toMm(l.figure.amount as Length)])).toEqual([
      ['', 880],
      ['−', 25.4],
      ['=', 854.6],
    ]);
  });

  test('fronts are 2 free at each side: 876 wide', () => {
    expect(size(chest, 'drawer-top/drawer-front/1')?.[0]).toBe(876);
  });

  test('the middle of the lowest slide: 4 reveal, 12 under the box, 22.5 half the slide', () => {
    expect(fact(chest, 'drawer-bottom', 'middle of the slide, up from the inside bottom')).toBe(38.5);
  });

  test('a slide that is too long, too short, or not in the series is told with the one that goes', () => {
    const with_ = (length: number) =>
      solved('paper-chest', {
        kind: 'making',
        space: 'chest',
        making: { ...making('paper-chest', 'chest'), runner: { kind: 'slide', slide: 'slide-45', length: mm(length) } },
      });
    const ids = (s: Solution) => s.checks.map((c) => c.id);
    expect(ids(with_(550))).toContain('drawer-deep-chest');
    expect(ids(with_(450))).toContain('slide-longer-chest');
    expect(ids(with_(480))).toContain('slide-longer-chest');
    expect(ids(chest).filter((id) => /drawer-deep|slide-/.test(id))).toEqual([]);
    const deep = with_(550).checks.find((c) => c.id === 'drawer-deep-chest');
    expect(writeExactly(deep?.sentence ?? [])).toBe('The drawers are 550 mm deep, and 532 mm is free behind their fronts.');
    const runner = { length: mm(500) };
    expect(deep?.fixes[0]?.change).toMatchObject({ target: 'piece', edit: { kind: 'making', making: { kind: 'drawers', runner } } });
  });

  test('more than the slides are rated for stops the build', () => {
    const heavy = solved('paper-chest', { kind: 'things', space: 'drawer-top', things: [{ thing: 'proof-paper', count: 3 }] });
    expect(heavy.checks.find((c) => c.id === 'rating-drawer-top')?.severity).toBe('stop');
    expect(chest.checks.some((c) => c.id === 'rated')).toBe(true);
  });
});

describe('the mat stand drawer', () => {
  const mat = solved('mat-drawer');

  test('wooden runners, 2 a side and 7 less in height: box 367 x 135 x 367', () => {
    expect(['wide', 'high', 'deep'].map((d) => fact(mat, 'mats', `box, ${d}`))).toEqual([367, 135, 367]);
  });

  test('a lip of 9 all round: front 389 x 160', () => {
    expect(size(mat, 'mats/drawer-front/1')).toEqual([389, 160, 18]);
  });

  test('a top that stands out 22 covers the front of 18, one of 15 does not', () => {
    const ids = (cover: number) => solved('mat-drawer', { kind: 'piece', patch: { cover: mm(cover) } }).checks.map((c) => c.id);
    expect(ids(22)).not.toContain('fronts-uncovered');
    expect(ids(15)).toContain('fronts-uncovered');
  });
});

describe('the composing table', () => {
  const table = solved('composing-table');

  test('1040 deep from both ends with 24 between and fronts of 19: boxes 489 each', () => {
    expect(['rear-1', 'front-1'].map((d) => fact(table, d, 'box, deep'))).toEqual([489, 489]);
  });

  test('three fronts in 187 with reveals of 2.5: 59 each, cut 60.5 to be planed', () => {
    expect(lines(table, 'front-end', 'gap')).toEqual([59, 59, 59]);
    const front = table.parts.find((p) => p.id === 'front-2/drawer-front/1');
    expect(front && toMm(front.cut.width.set)).toBe(60.5);
  });

  test('the tape says 561.5 where 566 was planned, and every drawer follows', () => {
    expect(fact(table, 'front-1', 'box, wide')).toBe(557.5);
    expect(fact(table, 'rear-3', 'box, wide')).toBe(557.5);
    const shop = shopOf('composing-table');
    const again = readAgain(shop.built as Built, { space: 'front-end', reach: 'width', value: null });
    const planned = solve(table.piece, { ...shop, built: again }, {});
    expect(fact(planned, 'front-1', 'box, wide')).toBe(562);
    expect(fact(planned, 'rear-3', 'box, wide')).toBe(557.5);
  });

  test('drawers of the rear end pull to the rear, and none hits another', () => {
    expect(table.shape.bodies.find((b) => b.id === 'rear-1')?.motion).toMatchObject({ kind: 'slide', along: [0, 0, -1] });
    expect(table.checks.filter((c) => c.id.startsWith('hits'))).toEqual([]);
  });
});

describe('the sink drawers', () => {
  const sink = solved('sink-drawers');

  test('a rail of 42 in 583 makes two openings of 270.5', () => {
    expect(['lower', 'upper'].map((s) => toMm(sink.shape.spaces.get(s)?.clear.height.value as Length))).toEqual([270.5, 270.5]);
  });

  test('slides measured 13.2: box 729.6 wide; 30 less in height: 240.5; slides of 500 in 527', () => {
    expect(['wide', 'high', 'deep'].map((d) => fact(sink, 'rags-drawer', `box, ${d}`))).toEqual([729.6, 240.5, 500]);
  });

  test('packed out 24 with two layers of 16.5: housings 9 deep, the second board 312.5 above the first', () => {
    expect(fact(sink, 'cabinet', 'housings in the packing, deep')).toBe(9);
    expect(fact(sink, 'cabinet', 'from one runner board to the next')).toBe(312.5);
    const upright = sink.shape.members.find((m) => m.id === 'packing/upright/left-rear');
    expect(upright?.features.map((f) => toMm(f.depth))).toEqual([9, 9]);
  });

  test('runner boards are 527 long and end flush with the face frame; left and right mirror each other', () => {
    expect(size(sink, 'rags-drawer/runner-board/left')).toEqual([527, 62, 16.5]);
    const box = (id: string) => boxOf(sink.shape.members.find((m) => m.id === id) as never);
    expect(toMm(box('rags-drawer/runner-board/left').x1)).toBe(0);
    expect(toMm(box('rags-drawer/runner-board/right').x0)).toBe(756);
  });
});

describe('the type tray', () => {
  const tray = solved('type-tray');

  test('three boards of 543 across, lanes of 270 and 87', () => {
    expect(['tray/board/first', 'middle-board/board/1', 'tray/board/last'].map((id) => size(tray, id))).toEqual(
      Array(3).fill([543, 74, 15]),
    );
    expect(lines(tray, 'tray', 'gap')).toEqual([87, 270]);
  });

  test('six equal compartments of 78, channels from 78, 171, 264, 357, 450', () => {
    expect(lines(tray, 'sticks-lane', 'gap')).toEqual(Array(6).fill(78));
    const channels = tray.shape.facts.get('sticks-lane')?.flatMap((f) => (f.figure ? [toMm(f.figure.value)] : []));
    expect(channels).toEqual([78, 171, 264, 357, 450]);
  });

  test('cross pieces of 278 go 4 into a channel at each end, and both boards have one', () => {
    expect(size(tray, 'cross-1/board/1')).toEqual([278, 74, 15]);
    const channels = (id: string) => tray.shape.members.find((m) => m.id === id)?.features.map((f) => toMm(f.depth));
    expect(channels('middle-board/board/1')).toEqual([4, 4, 4, 4, 4]);
    expect(channels('tray/board/last')).toEqual([4, 4, 4, 4, 4]);
    expect(channels('tray/board/first')).toEqual([]);
  });

  test('channelled on both faces the middle board keeps 7', () => {
    const lane = tray.shape.spaces.get('sticks-lane')?.space.split;
    const both = solved(
      'type-tray',
      {
        kind: 'fill',
        space: 'furniture',
        split: {
          axis: 'across',
          making: lane?.making as never,
          members: [{ id: 'low-1' }],
          spaces: [1, 2].map((n) => ({ id: `low-s${n}`, rule: { kind: 'share' as const, weight: 1 }, things: [] })),
        },
      },
      { kind: 'rule', space: 'low-s1', rule: { kind: 'fixed', size: mm(78) } },
    );
    const middle = both.shape.members.find((m) => m.id === 'middle-board/board/1');
    const kept = middle && keptOf(middle);
    expect([kept?.both, kept && toMm(kept.left)]).toEqual([true, 7]);
  });

  test('a channel of 15 with a blade of 2.6 takes six passes, and seven strips come from 600', () => {
    expect(bladePasses(mm(78), mm(15), mm(2.6)).map(toMm)).toEqual([78, 80.48, 82.96, 85.44, 87.92, 90.4]);
    expect(ripYield(mm(600), mm(74), mm(2.6)).strips).toBe(7);
  });
});

test('things over a rail are held by nothing, and what bends from the rear to the front is judged across its grain', () => {
  const bare = solved(
    'sink-drawers',
    { kind: 'clear', space: 'upper' },
    { kind: 'things', space: 'upper', things: [{ thing: 'rag-box', count: 1 }] },
  );
  expect(bare.checks.find((c) => c.id === 'unheld-upper')?.severity).toBe('stop');
  const chest = solved('paper-chest');
  const bottom = chest.carried.members.get('drawer-third/drawer-bottom/1');
  // 837.6 broad and 9 thick, over the 470 between the walls, across the grain at 7.0 GPa: 5 W L³ / 384 E I.
  const total = (11.2 + (bottom?.selfKg ?? 0)) * 9.81;
  const I = (837.6 * 9 ** 3) / 12;
  const simple = (5 * total * 470 ** 3) / (384 * 7000 * I);
  expect(bottom?.bending?.along).toEqual([0, 0, 1]);
  expect(bottom?.bending?.sag.bending.greatest.mm).toBeCloseTo(simple, 3);
  // Held on all four walls, 470 by 837.6, 7.0 and 9.5 GPa, G 0.62, ν 0.3: Navier's series summed apart from this code.
  expect(bottom?.bending?.verdict.today.mm).toBeCloseTo(0.41098, 4);
});

test('every part of a drawer can be asked what other stock would do, and bottoms that sag are mended for all', () => {
  const heavy = solved('paper-chest', { kind: 'things', space: 'drawer-third', things: [{ thing: 'proof-paper', count: 30 }] });
  const id = 'drawer-third/drawer-bottom/1';
  expect(heavy.carried.members.get(id)?.state).toBe('fails');
  const remedies = remediesFor(heavy, heavy.workshop, heavy.letters, id);
  expect(remedies.map((r) => writeExactly(r.label))).toContain('Use Birch ply 12 for every drawer bottom');
  // Nobody sees it: three packs sag it past span/384, which is nothing to mend as long as it does not break.
  const three = solved('paper-chest', { kind: 'things', space: 'drawer-third', things: [{ thing: 'proof-paper', count: 3 }] });
  const unseen = three.carried.members.get(id);
  expect(unseen?.bending?.verdict.later?.mm).toBeGreaterThan(470 / 384);
  expect(unseen?.state).toBe('fine');
  const third = heavy.parts.filter((p) => p.member.node === 'drawer-third');
  expect(third.length).toBeGreaterThan(5);
  for (const part of third.slice(0, runs(2))) expect(() => stockChoices(heavy, heavy.workshop, heavy.letters, part.id)).not.toThrow();
  expect(stockChoices(heavy, heavy.workshop, heavy.letters, id).find((c) => c.current)?.stockId).toBe('birch-9');
});

test('what lies in the cells of a drawer counts against its slides', () => {
  const cells = {
    kind: 'cells',
    thing: 'ink-tin',
    free: mm(6),
    make: { kind: 'half-lapped', stock: 'birch-6' },
    blocked: [],
    features: [],
  } as const;
  const before = solved('paper-chest');
  const filled = solved(
    'paper-chest',
    { kind: 'even', space: 'chest', members: 2, newMembers: [], newSpaces: [] },
    { kind: 'things', space: 'drawer-third', things: [] },
    { kind: 'fill', space: 'drawer-third', filling: { ...cells, blocked: [], features: [] } },
  );
  const room = filled.shape.facts.get('drawer-third')?.find((f) => f.count)?.count?.amount ?? 0;
  // 824.6 clear over 100 + 6 and boards of 6: seven columns.
  expect(room % 7).toBe(0);
  const standing = [...filled.carried.members.values()].flatMap((c) => c.standing.filter((s) => s.space === 'drawer-third'));
  expect(standing.reduce((sum, s) => sum + s.kg, 0)).toBeCloseTo(room * 1.05, 9);
  const heavy = {
    ...filled.workshop,
    things: new Map(filled.workshop.things).set('ink-tin', { ...PRINT_SHED.things['ink-tin']!, mass: asKg(40) }),
  };
  expect(solve(filled.piece, heavy, {}).checks.find((c) => c.id === 'rating-drawer-third')?.severity).toBe('stop');
  expect(before.checks.some((c) => c.id === 'rating-drawer-third')).toBe(false);
});

test('in a file a tray is held against the drawer that it is made to fit, as that is there', () => {
  const kept = PRINT_SHED.pieces['type-tray'];
  if (!kept) throw new Error('there is no type tray');
  const tied = (space: string) => {
    const piece = { ...kept.piece, tied: { piece: 'paper-chest', space } } as typeof kept.piece;
    return solvedIn({ ...PRINT_SHED, pieces: { ...PRINT_SHED.pieces, 'type-tray': { ...kept, piece } } }, 'type-tray');
  };
  const told = tied('drawer-third')?.checks.find((c) => c.id === 'tied-differs');
  // 880 less two slides of 12.7 and two walls of 15; 500 less two walls; 108.5 or 108 less 24, 10 and 9.
  expect(writeExactly(told?.sentence ?? [])).toContain('824.6 mm by 65 mm by 470 mm now');
  expect(tied('drawer-eleventh')?.checks.some((c) => c.id === 'tied-gone')).toBe(true);
  expect(solvedIn(PRINT_SHED, 'type-tray')?.checks.some((c) => c.id.startsWith('tied'))).toBe(false);
});

test('pocket screws of a corner of 15 hold by what of each is in the wood: 12.07 of 25, mode II, 45.8 N each', () => {
  const s = solved('paper-chest');
  const end = s.carried.members.get('drawer-top/drawer-end/back') as CarriedMember;
  const members = new Map(s.shape.members.map((m) => [m.id, m]));
  const fixings = fixingsOf(end, members, s.workshop.settings);
  // Plywood G 0.42: Fe 3364 psi; 12.07 mm at both sides: 0.41421 · 0.131 · 0.4754 · 3364 / 2.2 = 39.44 lb, times 0.4754 / 1.64 and 0.9.
  const each = 39.44 * (0.4754 / 1.64) * 0.9 * 4.4482;
  const holes = end.member.features.filter((f) => f.kind === 'hole' && f.mate === 'drawer-top/drawer-side/left').length;
  expect(holes).toBeGreaterThan(1);
  for (const f of fixings) expect((f.holds ?? 0) / (holes * each)).toBeCloseTo(1, 2);
  expect(fixings.map((f) => f.state)).toEqual(['fine', 'fine']);
});
