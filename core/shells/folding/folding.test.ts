import { writeExactly } from '../../figure/index.js';
import { faultsIn } from '../../formats/index.js';
import { pieceSchema } from '../../kinds/index.js';
import { ZERO, mm, toMm, type Length } from '../../length/index.js';
import { boxOf, massMiddleOf, posed, posesOf, solidOfMember, type Member } from '../../piece/index.js';
import { overlapOf } from '../../solid/index.js';
import { solve, tapeAlong, tapeThrough, type Solution } from '../../solution/index.js';
import { panels, space, stock, thing, workshop } from '../../testing/samples.js';
import { planeFrame } from '../../testing/plane-frame.js';
import { crossedBy } from './checks.js';
import { FOLDING } from './ids.js';
import { legOutline } from './legs.js';
import type { Folding } from './spec.js';
import { asKg, asDegrees, asNewtons } from '../../measures/index.js';

const board = { form: 'board', material: 'white-ash', length: mm(2400), width: mm(170), thickness: mm(20) } as const;
const shop = workshop({
  stock: { leg: stock({ name: 'leg', ...board }), ply: stock({ thickness: mm(18) }) },
  things: {
    tray: thing({ name: 'tray', shape: { kind: 'box', width: mm(430), height: mm(40), depth: mm(310) }, mass: asKg(3) }),
    jar: thing({ name: 'jar', shape: { kind: 'cylinder', diameter: mm(95), height: mm(150) }, mass: asKg(1) }),
    book: thing({ name: 'book', shape: { kind: 'box', width: mm(240), height: mm(30), depth: mm(165) }, mass: asKg(1) }),
  },
});
const given = (size: number) => ({ from: 'given', size: mm(size), of: 'overall' }) as const;

/** A table of 600 x 560 x 640 on legs 40 wide, rounded fully, feet 435 apart. */
function table(extra: Partial<Folding> = {}, legs: Partial<Folding['legs']> = {}): Folding {
  return {
    name: 'table',
    shell: 'folding',
    width: given(600),
    height: given(640),
    depth: given(560),
    top: { stock: 'ply', between: mm(15), margin: mm(20) },
    legs: { stock: 'leg', wide: mm(40), round: mm(20), over: mm(560), spacer: mm(2), apart: mm(435), ...legs },
    pivot: { below: mm(22), pin: mm(8) },
    bars: { stock: 'leg', wide: mm(45) },
    stretchers: { stock: 'leg', wide: mm(60), up: mm(110) },
    panels: panels(),
    edges: { front: 'eased', banding: ZERO },
    fixedToWall: false,
    noOneOn: true,
    interior: space('in'),
    ...extra,
  };
}
const solved = (extra?: Partial<Folding>, legs?: Partial<Folding['legs']>): Solution => solve(table(extra, legs), shop, {});
const member = ({ shape }: Solution, id: string) => shape.members.find((m) => m.id === id) as Member;
const fact = ({ shape }: Solution, name: string) => toMm(shape.facts.get('in')?.find((f) => f.name === name)?.figure?.value ?? ZERO);
const stops = ({ checks }: Solution) => checks.filter((c) => c.severity === 'stop').map((c) => c.id);
const apart = (legs: Partial<Folding['legs']>): Folding => {
  const piece = table({}, legs);
  const { apart: gone, ...rest } = piece.legs;
  void gone;
  return { ...piece, legs: rest };
};

describe('the tape along a leg', () => {
  const holes = ({ shape }: Solution, id: string) =>
    tapeAlong(shape, id)?.holes.map((h) => [h.label, toMm(h.fromLower), toMm(h.fromUpper)]);

  test('an inner leg of 765 is drilled half-way and 20 from its upper end, an outer one half-way alone', () => {
    const s = solved();
    const inner = [
      ['hole for outer leg, left', 382.5, 382.5],
      ['hole for pivot bar', 745, 20],
    ];
    expect(holes(s, FOLDING.leg('inner', 'left'))).toEqual(inner);
    expect(holes(s, FOLDING.leg('outer', 'right'))).toEqual([['hole for inner leg, right', 382.5, 382.5]]);
  });

  test('of a table it lies on an inner leg until another is selected', () => {
    expect(tapeAlong(solved().shape, 'folding/top')?.member.label).toBe('inner leg, left');
    expect(tapeAlong({ ...solved().shape, outside: { ...solved().shape.outside, along: undefined } as never }, 'folding/top')).toBeNull();
  });
});

describe('standing', () => {
  test('580 up and 435 apart: 725 from hole to hole, 765 over all, crossing at 382.5', () => {
    const s = solved();
    expect(
      ['from hole to hole, up', 'leg, from hole to hole', 'leg, over all', 'crossing hole, from either end'].map((n) => fact(s, n)),
    ).toEqual([580, 725, 765, 382.5]);
    expect(fact(s, 'inner legs, over all')).toBe(560 - 40 - 4);
    const holes = member(s, 'folding/leg/inner-left').features.flatMap((f) => (f.kind === 'hole' ? [toMm(f.at.u)] : []));
    expect(holes).toEqual([382.5, 745]);
    expect(stops(s)).toEqual([]);
  });

  test('the same by height and angle, or by spread and angle', () => {
    const degrees = (Math.atan2(580, 435) * 180) / Math.PI;
    const byAngle = solve(apart({ degrees: asDegrees(degrees) }), shop, {});
    expect(fact(byAngle, 'feet apart')).toBeCloseTo(435, 3);
    const byBoth = solved({ height: given(100) }, { degrees: asDegrees(degrees) });
    expect(toMm(byBoth.shape.overall.height.value)).toBeCloseTo(640, 3);
    expect(fact(byBoth, 'leg, over all')).toBeCloseTo(765, 3);
  });

  test('legs cross at their holes, side by side with a spacer between, and stand on the floor', () => {
    const s = solved();
    const [inner, outer] = ['inner', 'outer'].map((pair) => member(s, `folding/leg/${pair}-left`)) as [Member, Member];
    expect(toMm((boxOf(inner).x0 - boxOf(outer).x1) as Length)).toBe(2);
    for (const leg of [inner, outer]) expect(toMm(boxOf(leg).y0)).toBeCloseTo(0, 0);
    const [a, b] = [massMiddleOf(inner).middle, massMiddleOf(outer).middle];
    expect([a[1], a[2]]).toEqual([expect.closeTo(310, 2), expect.closeTo(280, 2)]);
    expect([b[1], b[2]]).toEqual([expect.closeTo(310, 2), expect.closeTo(280, 2)]);
  });

  test('a leg is as much wood as a rectangle and a circle', () => {
    expect(massMiddleOf(member(solved(), 'folding/leg/inner-left')).volume / 20).toBeCloseTo(725 * 40 + Math.PI * 400, -2);
  });

  test('one that is wider than its ends is drawn in to them by tangents', () => {
    const { start, sides } = legOutline(mm(400), mm(50), mm(20));
    const corners = [start, ...sides.map((x) => x.to)].map(({ u, v }) => [toMm(u), toMm(v)] as const);
    // From 60 past the hole the edge goes to the circle of 20 round it: square to the radius there.
    const [tangent, shoulder] = [corners[0], corners[1]] as [readonly [number, number], readonly [number, number]];
    expect(Math.hypot(tangent[0] - 20, tangent[1] - 25)).toBeCloseTo(20, 4);
    expect((tangent[0] - 20) * (shoulder[0] - tangent[0]) + (tangent[1] - 25) * (shoulder[1] - tangent[1])).toBeCloseTo(0, 2);
    expect(shoulder).toEqual([80, 0]);
  });

  test('its tapes close: across over both legs and spacers, up to the top', () => {
    const s = solved();
    const across = tapeThrough(s, 'in', 'across');
    expect(across.lines.at(-1)?.far.value).toBe(across.overall.value);
    expect(across.lines.map((l) => toMm(l.size.value))).toEqual([20, 20, 2, 20, 476, 20, 2, 20, 20]);
    expect(tapeThrough(s, 'in', 'up').lines.map((l) => toMm(l.size.value))).toEqual([622, 18]);
  });
});

describe('folded', () => {
  const folded = (s: Solution) => posed(s.shape.members, s.shape.bodies, new Map([['inner-legs', 1]]));
  test('it has two poses: standing and folded', () => {
    expect(posesOf(solved().shape.bodies).map((p) => p.label)).toEqual(['standing', 'folded']);
  });

  test('both pairs lie along each other under the top, as near to it as their edges let them', () => {
    const s = solved();
    const legs = folded(s).filter((m) => m.role === 'leg');
    const [first, ...others] = legs.map((m) => m.frame.u);
    for (const u of others) expect(Math.abs(u[1] * (first?.[1] as number) + u[2] * (first?.[2] as number))).toBeCloseTo(1, 9);
    // Nothing is in anything else, and half a degree further up something would be.
    const still = s.shape.members.filter((m) => m.role === 'top' || m.role === 'seat bar');
    const deep = (part: number) =>
      Math.max(
        ...posed(s.shape.members, s.shape.bodies, new Map([['inner-legs', part]]))
          .filter((m) => m.role === 'leg' && m.id.includes('inner'))
          .flatMap((m) => still.map((o) => overlapOf(solidOfMember(m), solidOfMember(o)))),
      );
    expect(deep(1)).toBeLessThan(0.05);
    expect(deep(1 + 0.5 / 50)).toBeGreaterThan(0.5);
  });

  test('on the way nothing runs into anything; a thick rod or a board in the way does', () => {
    expect(solved().checks.some((c) => c.id.startsWith('hits'))).toBe(false);
    expect(solved({ stretchers: { ...table().stretchers, rod: mm(20) } }).checks.some((c) => c.id.startsWith('hits'))).toBe(false);
    // As far up as the legs cross, the boards over their edges meet the other pair.
    const high = solved({ stretchers: { ...table().stretchers, up: mm(330) } });
    expect(stops(high).some((id) => /^(hits|overlap)/.test(id))).toBe(true);
  });

  test('put away it stands on nothing, and is asked nothing of tipping there', () => {
    const s = solved();
    expect(writeExactly(s.checks.find((c) => c.id === 'tips-child')?.sentence ?? [])).not.toContain('folded');
    expect(s.checks.some((c) => c.id === 'fix-to-wall')).toBe(false);
  });
});

describe('what stands on it', () => {
  const things = ['tray', 'jar', 'book'].map((id) => ({ thing: id, count: 1 }));
  test('decides the least top: 530 x 470', () => {
    const s = solved({ width: { from: 'contents' }, depth: { from: 'contents' }, top: { ...table().top, things } });
    expect([toMm(s.shape.overall.width.value), toMm(s.shape.overall.depth.value)]).toEqual([530, 470]);
    const on = [...s.shape.spaces.values()].filter((p) => p.neighbours.below === 'folding/top');
    expect(on).toHaveLength(3);
    expect(s.carried.members.get('folding/top')?.standing.reduce((kg, x) => kg + x.kg, 0)).toBe(5);
  });

  test('with no room it is told, with the size that has', () => {
    const s = solved({ width: given(500), depth: given(520), top: { ...table().top, things } }, { over: mm(480) });
    const problem = s.shape.problems.find((p) => p.id === 'top-room');
    expect(writeExactly(problem?.sentence ?? [])).toContain('530 mm x 470 mm at least');
    expect(problem?.fixes).toHaveLength(1);
  });
});

test('ten thousand things on top are told as too many, with a way out', () => {
  const s = solved({
    width: { from: 'contents' },
    depth: { from: 'contents' },
    top: { ...table().top, things: [{ thing: 'jar', count: 10_000 }] },
  });
  const problem = s.shape.problems.find((p) => p.id === 'top-many');
  expect(writeExactly(problem?.sentence ?? [])).toContain('10000 things');
  expect(problem?.fixes).toHaveLength(1);
});

describe('carried', () => {
  test('a cross of legs as a plane frame with a pin in its middle: tie and pin 0.75 W, each leg W s / 4', () => {
    const load = 100;
    const [s, h] = [435, 580];
    const stiff = { EA: 1e8, EI: 1e9, kGA: 1e8 };
    // Two legs that pass each other in the middle, held there by a level and an upright link, and tied at the top.
    const nodes = [
      { x: 0, y: 0, held: [true, true, false] as const },
      { x: s, y: 0, held: [false, true, false] as const },
      { x: s, y: h },
      { x: 0, y: h },
      { x: s / 2, y: h / 2 },
      { x: s / 2 + 0.5, y: h / 2 },
      { x: s / 2, y: h / 2 + 0.5 },
    ];
    const link = { EA: 1e8, EI: 1e-3, kGA: 1e8, hinged: [true, true] as const };
    const bars = [
      { from: 0, to: 4, ...stiff },
      { from: 4, to: 2, ...stiff },
      { from: 1, to: 5, ...stiff },
      { from: 5, to: 3, ...stiff },
      { from: 5, to: 6, ...stiff },
      { from: 4, to: 5, ...link },
      { from: 4, to: 6, ...link },
      { from: 3, to: 2, ...link },
    ];
    const { reactions, moves } = planeFrame(nodes, bars, [0, 0, load / 2, load / 2, 0, 0, 0]);
    const [level, up] = reactions[0] as readonly [number, number, number];
    expect([Math.abs(level), Math.abs(up)]).toEqual([expect.closeTo(0, 1), expect.closeTo(load / 2, 0)]);
    const tie = (((moves[2]?.[0] ?? 0) - (moves[3]?.[0] ?? 0)) * link.EA) / s;
    const crossed = crossedBy(load, s, h);
    expect(crossed.tie).toBeCloseTo(0.75 * load, 9);
    expect(tie / crossed.tie).toBeCloseTo(1, 1);
    expect((Math.abs(up) * s) / 2 / crossed.moment).toBeCloseTo(1, 1);
  });

  test('its weight and all on it stand on four feet', () => {
    const s = solved({ top: { ...table().top, things: [{ thing: 'tray', count: 1 }] } });
    const legs = ['inner-left', 'inner-right', 'outer-left', 'outer-right'].map(
      (id) => s.carried.members.get(`folding/leg/${id}`)?.total ?? 0,
    );
    expect(legs.reduce((a, b) => asNewtons(a + b), 0)).toBeCloseTo(s.carried.floor, 6);
  });

  test('a heavy load breaks thin legs where they cross', () => {
    const heavy = workshop({ stock: Object.fromEntries(shop.stock), things: { tray: thing({ mass: asKg(900) }) } });
    const s = solve(table({ top: { ...table().top, things: [{ thing: 'tray', count: 1 }] } }), heavy, {});
    expect(s.checks.find((c) => c.id === 'crossing')).toMatchObject({ severity: 'stop', state: 'fails' });
  });

  test('sideways its boards hold it, and twice as wide more', () => {
    const takes = (s: Solution) =>
      Number(/take (\d+(?:\.\d+)?) N/.exec(writeExactly(s.checks.find((c) => c.id === 'racking')?.sentence ?? []))?.[1]);
    const wide = solved({ stretchers: { ...table().stretchers, wide: mm(100) } });
    // 2 V (w − 20): as much more as their screws are further apart.
    expect(takes(wide) / takes(solved())).toBeCloseTo(80 / 40, 1);
  });
});

describe('what can not be is told, with a way out', () => {
  test.each<[string, string, Partial<Folding>, Partial<Folding['legs']>]>([
    ['feet past the top', 'top-short', { depth: given(400) }, {}],
    ['a bar before the top', 'bar-out', { depth: given(470) }, {}],
    ['legs too flat', 'leg-angle', {}, { apart: mm(1500) }],
    ['a leg as short as its ends', 'leg-short', { height: given(85) }, { apart: mm(20) }],
    ['ends rounder than legs are wide', 'leg-round', {}, { round: mm(24) }],
    ['a pivot that fouls', 'pivot-high', { pivot: { below: mm(18), pin: mm(8) } }, {}],
    ['a pin that leaves nothing', 'pin-thick', { pivot: { below: mm(22), pin: mm(16) } }, {}],
    ['a bar with no rebate', 'bar-narrow', { bars: { stock: 'leg', wide: mm(30) } }, {}],
    ['a rod through the edge', 'rod-thick', { stretchers: { stock: 'leg', wide: mm(60), up: mm(110), rod: mm(50) } }, {}],
    [
      'a shelf where it folds',
      'folding-inside',
      { interior: space('in', { split: { axis: 'up', members: [{ id: 'm' }], spaces: [space('a'), space('b')] } }) },
      {},
    ],
  ])('%s', (_, id, extra, legs) => {
    const s = solved(extra, legs);
    const found = s.shape.problems.find((p) => p.id === id);
    expect(found).toBeDefined();
    for (const { edit } of found?.fixes ?? []) expect(edit.kind).toMatch(/piece|clear/);
    if (id !== 'leg-short') expect(found?.fixes.length).toBeGreaterThan(0);
  });

  test.each([0, 90])('legs at %s degrees', (degrees) => {
    expect(solve(apart({ degrees: asDegrees(degrees) }), shop, {}).shape.problems.map((p) => p.id)).toContain('leg-angle');
  });

  test('it is taken in by its schema', () => {
    expect(faultsIn(pieceSchema(), table())).toEqual([]);
    expect(faultsIn(pieceSchema(), apart({ degrees: asDegrees(91) })).length).toBeGreaterThan(0);
  });
});
