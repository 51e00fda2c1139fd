import { GRAVITY as g, massOf } from '../../carry/index.js';
import { writeExactly } from '../../figure/index.js';
import { ZERO, mm, toMm, type Length } from '../../length/index.js';
import type { Stock } from '../../stock/index.js';
import { boxOf, type Member } from '../../piece/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { NO_OVER, box, framePiece, given, level, shop, stops } from '../../testing/frame-samples.js';
import { space, stock, thing, workshop } from '../../testing/samples.js';
import type { Level, Levels } from '../../interiors/index.js';
import type { Frame } from './spec.js';
import { asKg } from '../../measures/index.js';

const round = (stockId: string, gap = 0) => ({ stock: stockId, goes: 'round', gap: mm(gap) }) as const;
const partsOf = (s: Solution, role: Member['role']) =>
  s.parts.filter((p) => p.member.role === role).map((p) => [toMm(p.length.value), toMm(p.width.value), toMm(p.thickness.value)]);
const overall = (s: Solution) => (['width', 'height', 'depth'] as const).map((r) => toMm(s.shape.overall[r].value));

const pressStand = (extra: Partial<Frame> = {}) =>
  framePiece(
    space('in', { split: { axis: 'up', making: { kind: 'levels', level: level('deal45', 95) }, members: [], spaces: [space('under')] } }),
    {
      width: { from: 'contents' },
      depth: { from: 'contents' },
      posts: { stock: 'deal45', wide: mm(95), turned: 'across' },
      joined: 'end-on',
      top: { level: level('deal45', 95), over: NO_OVER, things: [{ thing: 'press', count: 1 }], margin: mm(12) },
      ...extra,
    },
  );

test('a press stand: long rails of 652, short ones of 382 between them, inner posts of 605 under them, outer ones only tie', () => {
  const s = solve(pressStand(), shop, {});
  expect(partsOf(s, 'rail')).toEqual([
    [652, 95, 45],
    [652, 95, 45],
    [382, 95, 45],
    [382, 95, 45],
  ]);
  expect(partsOf(s, 'post').map(([long]) => long)).toEqual([700, 700, 700, 700, 605, 605, 605, 605]);
  // Outer posts stand 45 out before and behind.
  expect(overall(s)).toEqual([652, 700, 562]);
  expect(box(s, 'frame-top/rail/1')).toEqual([0, 652, 605, 700, 472, 517]);
  expect(box(s, 'frame-top/inner-post/front-1')).toEqual([0, 95, 0, 605, 472, 517]);
  expect(box(s, 'frame/post/front-1')).toEqual([0, 95, 0, 700, 517, 562]);
  expect(stops(s)).toEqual([]);
});

test('a stand that a trolley rolls under: 645 between posts, 780 deep, levels of 82, 422 clear', () => {
  const making: Levels = {
    kind: 'levels',
    level: level('deal21', 70, round('ply12')),
    rollsIn: { space: 'bay', aside: mm(30), out: mm(150) },
  };
  const interior = space('in', {
    split: {
      axis: 'up',
      making,
      members: [{ id: 'first' }, { id: 'second' }],
      spaces: [
        space('bay', { rule: { kind: 'fit', clearance: ZERO }, things: [{ thing: 'trolley', count: 1 }] }),
        space('low'),
        space('high'),
      ],
    },
  });
  const s = solve(
    framePiece(interior, {
      width: { from: 'contents' },
      height: given(1850),
      depth: { from: 'contents' },
      top: { level: making.level, over: NO_OVER },
    }),
    shop,
    {},
  );
  expect(overall(s)).toEqual([735, 1850, 780]);
  const bay = s.shape.spaces.get('bay');
  expect([toMm(bay?.clear.height.value as Length), toMm(s.shape.spaces.get('in')?.clear.width.value as Length)]).toEqual([760, 645]);
  for (const id of ['low', 'high']) expect(toMm(s.shape.spaces.get(id)?.clear.height.value as Length)).toBe(422);
  const square = s.shape.facts.get('in')?.find((f) => f.name.startsWith('ends'));
  expect(toMm(square?.figure?.value as Length)).toBeCloseTo(2007.7, 1);
  expect(stops(s)).toEqual([]);
});

test('a mat stand: rails of 371 and 311, legs of 558, a shelf round the legs at 99, a drawer opening of 142', () => {
  const rails = level('deal42', 45);
  const making: Levels = { kind: 'levels', level: rails, own: { foot: level('deal42', 45, round('ash18', 1)) } };
  const fixed = (size: number) => ({ kind: 'fixed', size: mm(size) }) as const;
  const interior = space('in', {
    split: {
      axis: 'up',
      making,
      members: [{ id: 'foot' }, { id: 'under' }],
      spaces: [space('floor', { rule: fixed(36) }), space('open'), space('drawer', { rule: fixed(142) })],
    },
  });
  const s = solve(
    framePiece(interior, {
      width: given(455, 'sides'),
      height: given(585),
      depth: given(395, 'sides'),
      posts: { stock: 'deal42', wide: mm(42), turned: 'across' },
      top: {
        level: { ...rails, deck: { stock: 'ash27', goes: 'over', gap: ZERO } },
        over: { front: mm(22), rear: mm(16), left: mm(16), right: mm(16) },
      },
    }),
    shop,
    {},
  );
  expect(overall(s)).toEqual([487, 585, 433]);
  expect(partsOf(s, 'rail').map(([long]) => long)).toEqual([371, 371, 311, 311, 371, 371, 311, 311, 371, 371, 311, 311]);
  expect(partsOf(s, 'post').map(([long]) => long)).toEqual([558, 558, 558, 558]);
  expect(partsOf(s, 'deck')).toEqual([
    [487, 433, 27],
    [455, 395, 18],
  ]);
  expect(box(s, 'foot/deck/1').slice(2, 4)).toEqual([81, 99]);
  const notches = s.shape.members.find((m) => m.id === 'foot/deck/1')?.features ?? [];
  expect(
    notches.map((f) => f.kind === 'notch' && [toMm((f.region.u1 - f.region.u0) as Length), toMm((f.region.v1 - f.region.v0) as Length)]),
  ).toEqual(Array.from({ length: 4 }, () => [43, 43]));
  // The opening at the side: 311 by 227.
  expect(toMm(s.shape.spaces.get('open')?.clear.height.value as Length)).toBe(227);
  expect(toMm(s.shape.spaces.get('drawer')?.clear.height.value as Length)).toBe(142);
  expect(stops(s)).toEqual([]);
});

test('the load of the press goes down the inner posts alone', () => {
  const s = solve(pressStand(), shop, {});
  const total = (id: string) => s.carried.members.get(id)?.total ?? 0;
  const inner = ['front-1', 'front-2', 'rear-1', 'rear-2'].map((p) => total(`frame-top/inner-post/${p}`));

  const woodAbove = s.shape.members.filter((m) => m.role === 'rail').reduce((sum, m) => sum + massOf(m), 0);
  const own = massOf(s.shape.members.find((m) => m.id === 'frame-top/inner-post/front-1') as Member);
  // A quarter of the press and of the ring each, and its own weight.
  for (const n of inner) expect(n).toBeCloseTo(((190 + woodAbove) / 4 + own) * g, 3);
  // Outer posts carry nothing but themselves.
  expect(total('frame/post/front-1')).toBeCloseTo(massOf(s.shape.members.find((m) => m.id === 'frame/post/front-1') as Member) * g, 6);
  expect(s.checks.find((c) => c.id === 'posts-fine')).toMatchObject({ severity: 'good', state: 'fine' });
  // Not fixed to a wall, with no sheet: told that it leans.
  expect(s.checks.find((c) => c.id === 'racking')).toMatchObject({ severity: 'look', state: 'fails' });
});

test('between posts the rails hang on screws, lapped ones lie outside the posts', () => {
  const ends = (joined: Frame['joined']) => {
    const s = solve(pressStand({ joined }), shop, {});
    return [s.carried.members.get('frame-top/rail/1')?.supports.map((x) => x.how), partsOf(s, 'rail').map(([long]) => long), overall(s)];
  };
  expect(ends('between')).toEqual([
    ['screws', 'screws'],
    [462, 462, 382, 382],
    [652, 700, 472],
  ]);
  expect(ends('lapped')).toEqual([
    ['screws', 'screws'],
    [652, 652, 382, 382],
    [652, 700, 472],
  ]);
});

test('slender posts under much are told, with thicker ones', () => {
  const thin = workshop({
    stock: {
      ...Object.fromEntries(shop.stock),
      batten: stock({ name: 'batten', form: 'board', material: 'sitka-spruce', thickness: mm(16), width: mm(45) }),
    },
    things: {
      press: thing({
        name: 'press',
        shape: { kind: 'box', width: mm(640), height: mm(500), depth: mm(460) },
        mass: asKg(400),
        count: 1,
        facesOut: true,
      }),
    },
  });
  const s = solve(pressStand({ height: given(1600), posts: { stock: 'batten', wide: mm(16), turned: 'across' } }), thin, {});
  const told = s.checks.find((c) => c.id.startsWith('post-'));
  expect([told?.severity, told?.fixes.length]).toEqual(['stop', 2]);
});

test('posts of a sheet are asked whether they bow out; those of one that nothing is published for say that they are not', () => {
  const of = (material: string) => {
    const ply = shop.stock.get('ply12') as Stock;
    const stock = new Map([...shop.stock, ['ply12', { ...ply, material }]]);
    return solve(pressStand({ posts: { stock: 'ply12', wide: mm(95), turned: 'across' } }), { ...shop, stock }, {}).checks;
  };
  expect(of('birch-plywood').some((c) => c.id === 'posts-fine' || c.id.startsWith('post-'))).toBe(true);
  expect(of('hardboard').some((c) => c.id === 'posts-fine')).toBe(false);
  expect(writeExactly(of('hardboard').find((c) => c.id === 'not-checked')?.sentence ?? [])).toContain('as a post (');
});

test('sheets at the rear and both ends keep it square, each way by its screws', () => {
  const racking = (sheets: Frame['sheets']) => solve(pressStand(sheets ? { sheets } : {}), shop, {}).checks.find((c) => c.id === 'racking');
  expect(racking({ rear: { stock: 'ply12' } })).toMatchObject({ state: 'fails' });
  expect(racking({ rear: { stock: 'ply12' }, ends: { stock: 'ply12' } })).toMatchObject({ severity: 'good', state: 'fine' });
});

test('a sheet takes a push along its own breadth, however far a deck stands out over it', () => {
  const said = (by: number) => {
    const top: Frame['top'] = {
      level: { ...level('deal45', 95), deck: { stock: 'ash27', goes: 'over', gap: ZERO } },
      over: { front: mm(by), rear: mm(by), left: mm(by), right: mm(by) },
    };
    const s = solve(
      pressStand({
        width: given(652, 'sides'),
        depth: given(472, 'sides'),
        joined: 'between',
        top,
        sheets: { rear: { stock: 'ply12' }, ends: { stock: 'ply12' } },
      }),
      shop,
      {},
    );
    const told = s.checks.find((c) => c.id === 'racking');
    // Its push grows with the deck; what the sheets take does not.
    return told ? writeExactly(told.sentence).replace(/^A push of [\d.]+ N/, '') : '';
  };
  expect(said(150)).toBe(said(15));
  expect(said(15)).toMatch(/sheet takes [\d.]+ N sideways/);
});

test('a machine on four feet presses where they are, and one that is over nothing is told', () => {
  const on = (feet: { aside: number; deep: number }, top: Partial<Level> = {}) => {
    const press = shop.things.get('press');
    const things = { press: { ...(press as NonNullable<typeof press>), feet: { aside: mm(feet.aside), deep: mm(feet.deep) } } };
    const stocked = workshop({ stock: Object.fromEntries(shop.stock), things });
    const { top: own } = pressStand();
    return solve(pressStand({ top: { ...own, level: { ...own.level, ...top } } }), stocked, {});
  };
  const told = (s: Solution) => s.checks.find((c) => c.id.startsWith('foot-'));
  // 6 of margin and 30: over the side rail of 45; 25 in from the front: over the front rail.
  const s = on({ aside: 30, deep: 60 });
  expect(told(s)).toBeUndefined();
  const standing = s.carried.members.get('frame-top/rail/1')?.standing.map((x) => [x.kg, x.from, x.to]);
  expect(standing).toEqual([
    [190 / 8, 16, 56],
    [190 / 8, 596, 636],
  ]);
  // 66 from the left is past that rail, and 66 from the front past the other.
  const bare = on({ aside: 60, deep: 60 });
  expect(told(bare)).toMatchObject({ severity: 'stop' });
  expect(writeExactly(told(bare)?.sentence ?? [])).toMatch(/^4 of the four feet of press are over nothing, the first 66 mm from the left/);
  expect(told(on({ aside: 60, deep: 60 }, { deck: round('ply12') }))).toBeUndefined();
});

test('a deck of solid wood says how much it moves, and is fine once it may', () => {
  const own = pressStand();
  const decked = (deck: Partial<NonNullable<Level['deck']>>, way: 'usual' | 'screws' | 'plates' = 'usual') =>
    solve(
      pressStand({
        joined: 'between',
        fastened: { 'deck on rail': way },
        top: { ...own.top, level: { ...own.top.level, deck: { stock: 'ash27', goes: 'over', gap: ZERO, ...deck } } },
      }),
      shop,
      {},
    ).checks.find((c) => c.id.startsWith('moves-'));
  // By itself it is held by plates.
  expect(decked({})).toMatchObject({ severity: 'good' });
  const fast = decked({}, 'screws');
  // White ash, 472 wide, flat sawn, 6 to 10 %: 472 × 0.00274 × 4 = 5.17.
  expect(writeExactly(fast?.sentence ?? [])).toContain('5.2 mm across its grain');
  expect([fast?.severity, fast?.fixes.length]).toEqual(['look', 1]);
  expect(decked({}, 'plates')).toMatchObject({ severity: 'good' });
  expect(decked({ slides: true }, 'screws')).toMatchObject({ severity: 'good' });
  expect(decked({ stock: 'ply12' })).toBeUndefined();
});

test('slats over a frame: equal gaps, each on both rails; too many, or round posts, and they are told', () => {
  const slats = (count: number, goes: 'over' | 'round' = 'over') => {
    const own = pressStand();
    const deck = { stock: 'deal21', goes, gap: ZERO, slats: { wide: mm(70), count } };
    return solve(pressStand({ joined: 'between', top: { ...own.top, level: { ...own.top.level, deck } } }), shop, {});
  };
  const s = slats(7);
  const xs = s.shape.members.filter((m) => m.role === 'slat').map((m) => toMm(boxOf(m).x0));
  // (652 − 7 × 70) / 6 = 27 exactly.
  expect(xs).toEqual([0, 97, 194, 291, 388, 485, 582]);
  expect(s.carried.members.get('frame-top/slat/3')?.supports.map((x) => x.carrier)).toEqual(['frame-top/rail/1', 'frame-top/rail/2']);
  expect(stops(slats(10))).toContain('slats-wide-frame-top');
  expect(stops(slats(5, 'round'))).toContain('slats-round-frame-top');
});

test('feet lift posts and inner posts alike, and a load over the rating of castors stops the build', () => {
  const on = (rated?: number) =>
    solve(pressStand({ feet: { are: 'castors', high: mm(50), ...(rated === undefined ? {} : { rated: asKg(rated) }) } }), shop, {});
  const s = on(100);
  expect([box(s, 'frame/post/front-1').slice(2, 4), box(s, 'frame-top/inner-post/front-1').slice(2, 4)]).toEqual([
    [50, 700],
    [50, 605],
  ]);
  // Inner posts stand on castors of their own.
  expect(s.shape.feet).toHaveLength(8);
  const said = (of: Solution) => of.checks.find((c) => c.id === 'feet-rated');
  // A quarter of the press and of the ring, with one of eight clear of the floor.
  expect(said(on(40))).toMatchObject({ severity: 'stop' });
  expect(said(s)).toMatchObject({ severity: 'good' });
  expect(said(on())).toMatchObject({ state: 'not checked' });
});

test('a tall narrow frame that a push tips over is offered as much depth as stands, and that does', () => {
  const top: Frame['top'] = { level: { ...level('deal45', 95), deck: { stock: 'ash27', goes: 'over', gap: ZERO } }, over: NO_OVER };
  const narrow = framePiece(space('in'), { height: given(650), depth: given(220), top });
  const told = (s: Solution) => s.checks.find((c) => c.id.startsWith('tips-'));
  const s = solve(narrow, shop, {});
  const [wider] = told(s)?.fixes ?? [];
  expect(told(s)?.severity).toBe('stop');
  const edit = wider?.change.target === 'piece' ? wider.change.edit : null;
  const depth = edit?.kind === 'piece' ? (edit.patch as Partial<Frame>).depth : null;
  if (depth?.from !== 'given') throw new Error('no depth is offered');
  expect(told(solve({ ...narrow, depth }, shop, {}))).toBeUndefined();
  // The next smaller one that is tried does not stand.
  expect(told(solve({ ...narrow, depth: { ...depth, size: (depth.size - mm(50)) as Length } }, shop, {}))).toBeDefined();
  // Where its contents say how deep it is, that is not.
  expect(told(solve({ ...narrow, depth: { from: 'contents' } }, shop, {}))?.fixes ?? []).not.toContainEqual(wider);
});

test('a piece of a deck that is no longer than the notch for a post beside its seam is told', () => {
  // Sheets of 1250 on a frame of 1290, with posts of 45 at its ends that the deck goes round: the second piece is 40.
  const wide = workshop({
    stock: { ...Object.fromEntries(shop.stock), short: stock({ name: 'short', thickness: mm(12), length: mm(1250) }) },
  });
  const at = (width: number) =>
    solve(
      framePiece(space('in'), {
        width: given(width),
        top: { level: level('deal21', 70, { stock: 'short', goes: 'round', gap: mm(1) }), over: NO_OVER },
      }),
      wide,
      {},
    ).shape.problems.map((p) => p.id);
  expect(at(1290)).toContain('deck-notch-frame-top');
  expect(at(1500)).not.toContain('deck-notch-frame-top');
});

test('a frame is square by corners that are there: those of its posts, under a deck, inside lapped rails, on feet', () => {
  const facts = (extra: Partial<Frame>) => {
    const s = solve(framePiece(space('in'), extra), shop, {});
    const known = Object.fromEntries((s.shape.facts.get('in') ?? []).map((f) => [f.name, f.figure ? toMm(f.figure.value) : 0]));
    return ['ends', 'front', 'from above'].map((n) => known[`${n}, corner to corner of posts`]);
  };
  const deck = { stock: 'ash27', goes: 'over', gap: ZERO } as const;
  // 1000 x 700 x 500 of posts, less a deck of 27 and feet of 50 in their height.
  const short = facts({ top: { level: { ...level('deal45', 95), deck }, over: NO_OVER }, feet: { are: 'feet', high: mm(50) } });
  expect(short).toEqual([Math.hypot(623, 500), Math.hypot(623, 1000), Math.hypot(1000, 500)].map((d) => expect.closeTo(d, 3) as number));
  // Lapped by rails of 45 all round, the posts are 90 less both ways.
  expect(facts({ joined: 'lapped' })).toEqual(
    [Math.hypot(700, 410), Math.hypot(700, 910), Math.hypot(910, 410)].map((d) => expect.closeTo(d, 3) as number),
  );
});

test('the clear inside of a frame is between its posts both ways', () => {
  const inside = (extra: Partial<Frame>) => {
    const s = solve(framePiece(space('in'), { width: given(800, 'inside'), depth: given(400, 'inside'), ...extra }), shop, {});
    const [rear, front] = [box(s, 'frame/post/rear-1'), box(s, 'frame/post/front-2')];
    return [(front[0] as number) - (rear[1] as number), (front[4] as number) - (rear[5] as number)];
  };
  expect(inside({})).toEqual([800, 400]);
  expect(inside({ joined: 'lapped' })).toEqual([800, 400]);
});
