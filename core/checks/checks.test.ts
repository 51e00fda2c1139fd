import { writeExactly } from '../figure/index.js';
import { ZERO, mm } from '../length/index.js';
import { type Space } from '../piece/index.js';
import { applyEdit } from '../kinds/index.js';
import { type PanelCase } from '../shells/index.js';
import { solve, type Solution } from '../solution/index.js';
import type { Workshop } from '../project/index.js';
import { readAgain } from '../survey/index.js';
import { divided, opening, piece, space, stock, thing, workshop, panels } from '../testing/samples.js';
import { worstFirst, type Check } from './index.js';
import { asKg } from '../measures/index.js';

const solved = (p: PanelCase, shop: Workshop = workshop()) => solve(p, shop, {});
const check = (s: Solution, id: string) => s.checks.find((c) => c.id === id);
const text = (c: Check | undefined) => writeExactly(c?.sentence ?? []);

/** The solution after one of a check's fixes. */
function mended(p: PanelCase, c: Check | undefined, shop: Workshop, index = 0): Solution {
  const change = c?.fixes[index]?.change;
  if (!change) throw new Error(`there is no fix ${index} of ${c?.id}`);
  if (change.target === 'piece') return solved(applyEdit(p, change.edit) as PanelCase, shop);
  if (change.target === 'built') return solved(p, { ...shop, built: readAgain(shop.built ?? new Map(), change) });
  return solved(p, { ...shop, openings: new Map(shop.openings).set(change.id, change.opening) });
}

describe('the place', () => {
  const inGap = (extra: Partial<PanelCase> = {}) => piece(space('in'), { opening: 'gap', ...extra });

  test('a case that is too large for the opening, and the fix that takes its width from it', () => {
    const p = inGap({ width: { from: 'given', size: mm(1010), of: 'overall' } });
    const c = check(solved(p), 'fits-width');
    expect(c?.severity).toBe('stop');
    expect(text(c)).toBe('Is 10 mm too large for the width of the opening, 1000 mm at its least.');
    expect(check(mended(p, c, workshop()), 'fits-width')?.state).toBe('fine');
  });

  test('what is to spare each side', () => {
    expect(text(check(solved(inGap({ width: { from: 'given', size: mm(990), of: 'overall' } })), 'fits-width'))).toContain(
      '5 mm to spare each side',
    );
  });

  test('standing out of the opening is worth a look', () => {
    const c = check(solved(inGap({ depth: { from: 'given', size: mm(430), of: 'overall' } })), 'fits-depth');
    expect([c?.severity, text(c)]).toEqual(['look', 'Stands 30 mm out of the opening, which is 400 mm deep.']);
  });

  test.each<[string, object, object, string, number]>([
    ['a skirting behind', { kind: 'skirting', x: 0, y: 0, z: 0, width: 1000, height: 90, depth: 18 }, {}, '18 mm into the piece', 0],
    [
      'a beam above',
      { kind: 'beam', x: 0, y: 1900, z: 0, width: 1000, height: 100, depth: 90 },
      { height: { from: 'opening' } },
      '90 mm into the piece',
      0,
    ],
    [
      'a pipe in the corner',
      { kind: 'pipe', x: 950, y: 0, z: 0, width: 50, height: 2000, depth: 40 },
      { width: { from: 'opening' } },
      '40 mm into the piece',
      1,
    ],
  ])('%s is in the way, and more slack clears it', (_, box, extra, said, fix) => {
    const scaled = Object.fromEntries(Object.entries(box).map(([k, v]) => [k, typeof v === 'number' ? mm(v) : v]));
    const shop = workshop({ opening: opening({ obstacles: [{ id: 'it', name: 'It', ...scaled } as never] }) });
    const p = inGap({ depth: { from: 'given', size: mm(300), of: 'overall' }, ...extra });
    const c = check(solved(p, shop), 'obstacle-it');
    expect(text(c)).toContain(said);
    expect(check(mended(p, c, shop, fix), 'obstacle-it')).toBeUndefined();
  });

  test('a piece that cannot be stood up, until its base is loose', () => {
    const p = inGap({ base: { kind: 'toe', height: mm(80), setback: mm(40), bearers: true } });
    const c = check(solved(p), 'stands-up');
    // hypot(2000, 300) = 2022.37 over 2000; hypot(1920, 300) = 1943.3 under it.
    expect(text(c)).toMatch(/2022\.37\d* mm across its corners/);
    expect(check(mended(p, c, workshop()), 'stands-up')?.state).toBe('fine');
  });

  test('a door takes the two smaller sizes, whichever way round', () => {
    const door = (width: number, height: number) =>
      check(solved(inGap(), workshop({ opening: opening({ door: { width: mm(width), height: mm(height) } }) })), 'passes-door')?.state;
    expect([door(310, 1010), door(1010, 310), door(290, 1980), door(800, 990)]).toEqual(['fine', 'fine', 'fails', 'fails']);
  });

  test('an opening that is out of square is told', () => {
    const leaning = workshop({ opening: opening({ diagonals: { rising: mm(2250), falling: mm(2240) } }) });
    expect(text(check(solved(inGap(), leaning), 'out-of-square'))).toContain('to the right');
    const uneven = workshop({
      opening: opening({
        widths: [
          { place: 'top', value: mm(1000) },
          { place: 'bottom', value: mm(1008) },
        ],
      }),
    });
    expect(text(check(solved(inGap(), uneven), 'uneven-width'))).toContain('8 mm');
  });
});

describe('runs', () => {
  test('more shelves than fit, with ways out that settle it', () => {
    const p = piece(divided('in', 'up', 120));
    const c = check(solved(p), 'run-in-0');
    expect([c?.severity, c?.state]).toEqual(['stop', 'fails']);
    expect(text(c)).toMatch(/^the shelves and spaces need .* more than the 1960 mm there is/);
    expect(c?.fixes.length).toBeGreaterThan(0);
  });

  test('a fixed size that leaves a gap: the space may take it', () => {
    const inside = divided('in', 'up', 2);
    inside.split?.spaces.forEach((s) => (s.rule = { kind: 'fixed', size: mm(500) }));
    const p = piece(inside);
    const c = check(solved(p), 'run-in-0');
    expect(text(c)).toBe('940 mm is left over and nothing takes it up.');
    c?.fixes.forEach((_, i) => expect(check(mended(p, c, workshop(), i), 'run-in-0')).toBeUndefined());
  });

  test('a space that should fit what is not there is not checked', () => {
    const inside = divided('in', 'up', 2);
    (inside.split?.spaces[0] as Space).rule = { kind: 'fit', clearance: ZERO };
    expect(check(solved(piece(inside)), 'unfitted-in-1')).toMatchObject({ state: 'not checked', severity: 'look' });
  });
});

describe('things', () => {
  const holding = (things: Space['things'], rule?: Space['rule']) => {
    const inside = divided('in', 'up', 2);
    const first = inside.split?.spaces[0] as Space;
    first.things = things;
    if (rule) first.rule = rule;
    return piece(inside);
  };
  const tall = workshop({
    things: {
      tower: thing({ name: 'tower', shape: { kind: 'box', width: mm(100), height: mm(1200), depth: mm(100) }, clearance: mm(20) }),
    },
  });

  test('contents taller than their space, and the space that fits them', () => {
    const p = holding([{ thing: 'tower', count: 1 }]);
    const c = check(solved(p, tall), 'tall-in-1-tower');
    expect([c?.severity, text(c)]).toEqual([
      'stop',
      'tower is 230 mm too tall for in-1, which is 970 mm clear.'.replace('in-1', 'space 1'),
    ]);
    const fitted = mended(p, c, tall);
    expect(fitted.shape.spaces.get('in-1')?.clear.height.value).toBe(mm(1220));
  });

  test('a clearance that is not kept is worth a look', () => {
    const c = check(solved(holding([{ thing: 'tower', count: 1 }], { kind: 'fixed', size: mm(1210) }), tall), 'tall-in-1-tower');
    expect([c?.severity, text(c)]).toEqual(['look', 'tower goes into space 1 with 10 mm above it, but 20 mm was asked for.']);
  });

  test('more than go side by side: how many fit', () => {
    const c = check(solved(holding([{ thing: 'tin', count: 40 }])), 'wide-in-1');
    // 9 across and 3 deep are 27; 40 in three rows are 14 columns of 100.
    expect(text(c)).toBe('What stands in space 1 needs 1400 mm across and there is 960 mm; 27 of 40 tin fit beside the rest.');
  });

  test('deeper than the space, and things that are not known', () => {
    const deep = workshop({
      things: { long: thing({ name: 'long', shape: { kind: 'box', width: mm(350), height: mm(50), depth: mm(350) } }) },
    });
    expect(text(check(solved(holding([{ thing: 'long', count: 1 }]), deep), 'deep-in-1-long'))).toContain('stands out 50 mm');
    expect(check(solved(holding([{ thing: 'gone', count: 1 }])), 'unknown-in-1-gone')?.state).toBe('not checked');
  });

  test('what fits says what is to spare', () => {
    expect(text(check(solved(holding([{ thing: 'tin', count: 4 }])), 'fits-in-1'))).toBe(
      'tin in space 1: 870 mm above, 760 mm to spare across.',
    );
  });
});

describe('members', () => {
  const housedBoth = (housing: number) => {
    const bays = divided('in', 'across', 2);
    (bays.split as NonNullable<Space['split']>).spaces = [divided('l', 'up', 2), divided('r', 'up', 2)];
    return piece(bays, { panels: panels({ fix: 'housed', housing: mm(housing) }) });
  };

  test.each([
    [6, undefined],
    [7, 'look'],
    [10, 'stop'],
  ])('housings %d deep from both sides of a divider of 20', (depth, severity) => {
    expect(check(solved(housedBoth(depth)), 'machining-in-m1/divider/1')?.severity).toBe(severity);
  });

  test('each fix for it clears it', () => {
    const p = housedBoth(7);
    const c = check(solved(p), 'machining-in-m1/divider/1');
    expect(text(c)).toContain('keeps 6 mm of its 20 mm');
    expect(c?.fixes).toHaveLength(2);
    c?.fixes.forEach((_, i) => expect(check(mended(p, c, workshop(), i), c.id)).toBeUndefined());
  });

  test('a part larger than its stock', () => {
    expect(
      text(check(solved(piece(space('in')), workshop({ stock: { ply: stock({ length: mm(1900) }) } })), 'stock-case/side/left')),
    ).toContain('larger than ply 20');
  });

  test('tall and free-standing: told to be fixed to the wall, until it will be', () => {
    const p = piece(space('in'), { fixedToWall: false });
    const c = check(solved(p), 'fix-to-wall');
    expect(c?.severity).toBe('look');
    expect(check(mended(p, c, workshop()), 'fix-to-wall')).toBeUndefined();
  });
});

test('worst first, and equal ones keep their order', () => {
  const c = (id: string, severity: Check['severity'], state: Check['state']): Check => ({
    id,
    severity,
    state,
    about: { kind: 'piece' },
    sentence: [],
    fixes: [],
  });
  const order = worstFirst([
    c('a', 'good', 'fine'),
    c('b', 'look', 'not checked'),
    c('c', 'stop', 'fails'),
    c('d', 'look', 'fails'),
    c('e', 'stop', 'fails'),
  ]);
  expect(order.map((o) => o.id)).toEqual(['c', 'e', 'd', 'b', 'a']);
});

describe('strength and ends', () => {
  const shelf = (kg: number, material: string, extra: Partial<PanelCase> = {}) => {
    const inside = divided('in', 'up', 2);
    (inside.split?.spaces[1] as Space).things = [{ thing: 'slab', count: 1 }];
    const slab = thing({ name: 'slab', mass: asKg(kg), shape: { kind: 'box', width: mm(900), height: mm(100), depth: mm(200) } });
    return solved(piece(inside, extra), workshop({ stock: { ply: stock({ material }) }, things: { slab } }));
  };

  test('a member that may break stops the build, and tells how far it is past what it may carry', () => {
    // 300 kg on 960: (300 + 3.6) · 9.81 · 960 / 8 = 357,400 N mm over 20,000 mm³: 17.9 MPa against 13.3 · 0.45 / 1.3 / 1.5 = 3.07.
    const c = check(shelf(300, 'particleboard-moisture'), 'strength-in-m1/shelf/1');
    expect([c?.severity, text(c)]).toEqual([
      'stop',
      expect.stringMatching(/carries 5\.8\d? times what is safe for years for ply 20: it may break/),
    ]);
    expect(check(shelf(5, 'white-ash'), 'strength-in-m1/shelf/1')).toBeUndefined();
  });

  test('pins that are loaded past what wood bears are told', () => {
    const c = check(shelf(170, 'white-ash'), 'ends-in-m1/shelf/1');
    expect(text(c)).toMatch(/gives 8\d\d N on at one end, more than that holds\. Two pins of 5 mm at this end hold 379 N/);
    expect(check(shelf(20, 'white-ash'), 'ends-in-m1/shelf/1')).toBeUndefined();
  });
});
