import { writeExactly } from '../../figure/index.js';
import { faultsIn } from '../../formats/index.js';
import { pieceSchema } from '../../kinds/index.js';
import { mm, toMm, ZERO, type Length } from '../../length/index.js';
import { likenessOf } from '../../parts/hand.js';
import { boxOf, massMiddleOf, type Member } from '../../piece/index.js';
import { solve, tapeThrough, type Solution } from '../../solution/index.js';
import { overlapOf } from '../../solid/index.js';
import { solidOfMember } from '../../piece/index.js';
import { lightly, panels, space, stock, thing, workshop } from '../../testing/samples.js';
import type { Leaning } from './spec.js';
import { asDegrees, asKg } from '../../measures/index.js';

const board = { form: 'board', material: 'white-ash', length: mm(2400), width: mm(400) } as const;
const shop = workshop({
  stock: { side: stock({ name: 'side', ...board, thickness: mm(20) }), ply: stock({ thickness: mm(18) }) },
  things: { tin: thing({ mass: asKg(2) }) },
});
const given = (size: number, of: 'overall' | 'inside' = 'overall') => ({ from: 'given', size: mm(size), of }) as const;

/** Three shelves between sides of 2000 at 10°, the highest held at 1500. */
function leaning(extra: Partial<Leaning> = {}, sides: Partial<Leaning['sides']> = {}): Leaning {
  return {
    name: 'leaning',
    shell: 'leaning',
    width: given(600, 'inside'),
    height: given(1950),
    depth: given(200),
    sides: { stock: 'side', wide: mm(120), lean: { by: 'angle', degrees: asDegrees(10), along: mm(2000) }, ...sides },
    panels: panels({ fix: 'housed', housing: mm(8) }),
    edges: { front: 'square', banding: ZERO },
    rounding: { grid: mm(0.5), set: 'exact', leftover: 'last' },
    fixedToWall: true,
    interior: lightly(
      space('in', {
        split: {
          axis: 'up',
          members: [{ id: 'a', at: mm(500) }, { id: 'b' }, { id: 'c', at: mm(1500) }],
          spaces: [space('s0'), space('s1', { things: [{ thing: 'tin', count: 3 }] }), space('s2'), space('s3')],
        },
      }),
    ),
    ...extra,
  };
}
const solved = (extra?: Partial<Leaning>, sides?: Partial<Leaning['sides']>): Solution => solve(leaning(extra, sides), shop, {});
const member = ({ shape }: Solution, id: string) => shape.members.find((m) => m.id === id) as Member;
const check = ({ checks }: Solution, id: string) => checks.find((c) => c.id === id);
const said = (s: Solution, id: string) => writeExactly(check(s, id)?.sentence ?? []);
const [sin, cos, tan] = [Math.sin, Math.cos, Math.tan].map((f) => f((10 * Math.PI) / 180)) as [number, number, number];

describe('how it stands', () => {
  test('2000 along at 10°: so high, its foot so far out, its ends cut level', () => {
    const s = solved();
    expect(toMm(s.shape.overall.height.value)).toBeCloseTo(2000 * cos, 3);
    const { y0, y1, z0, z1 } = boxOf(member(s, 'leaning/side/left'));
    expect([y0, y1].map(toMm)).toEqual([expect.closeTo(0, 3), expect.closeTo(2000 * cos, 3)]);
    // On the floor from under its head out, and as far as it is wide there.
    expect(toMm((z1 - z0) as Length)).toBeCloseTo(2000 * sin + 120 / cos, 2);
    expect(toMm(z0)).toBeCloseTo(0, 3);
    expect(toMm(s.shape.overall.depth.value)).toBeCloseTo(toMm(z1), 3);
    // A parallelogram: as much wood as a board of 2000, before its housings are cut.
    expect(massMiddleOf({ ...member(s, 'leaning/side/left'), features: [] }).volume / (2000 * 120 * 20)).toBeCloseTo(1, 6);
  });

  test.each<[string, Leaning['sides']['lean'], number]>([
    ['angle and height', { by: 'angle', degrees: asDegrees(10) }, 2000 * cos],
    ['foot and length', { by: 'foot', out: mm(2000 * sin), along: mm(2000) }, 1],
    ['foot and height', { by: 'foot', out: mm(2000 * sin) }, 2000 * cos],
    ['height and length', { by: 'height', along: mm(2000) }, 2000 * cos],
  ])('the same by %s', (_, lean, height) => {
    const s = solved({ height: given(height) }, { lean });
    const side = member(s, 'leaning/side/left');
    const plain = member(solved(), 'leaning/side/left');
    for (const key of ['x0', 'x1', 'y0', 'y1', 'z0', 'z1'] as const) expect(toMm(boxOf(side)[key])).toBeCloseTo(toMm(boxOf(plain)[key]), 2);
  });

  test('a corner cut off plumb lies on the wall, and the foot comes as much nearer', () => {
    const s = solved({ depth: given(150) }, { flat: mm(60) });
    const side = member(s, 'leaning/side/left');
    expect(toMm(boxOf(side).z0)).toBeCloseTo(0, 3);
    expect(toMm(s.shape.overall.depth.value)).toBeCloseTo(2000 * sin + 120 / cos - 60 * tan, 2);
    // The foot is told where it stands, as much nearer.
    expect(toMm(s.shape.facts.get('in')?.find((f) => f.name === 'foot, out')?.figure?.value ?? ZERO)).toBeCloseTo(2000 * sin - 60 * tan, 2);
    // A triangle of 60 by 60 tan 10° is gone.
    expect(2000 * 120 * 20 - massMiddleOf({ ...side, features: [] }).volume).toBeCloseTo((60 * 60 * tan * 20) / 2, 0);
  });

  test('a shelf deeper than the room behind the sides touches the wall first', () => {
    const s = solved({ depth: given(330) });
    const shelf = member(s, 'c/shelf/1');
    expect(toMm(boxOf(shelf).z0)).toBeCloseTo(0, 3);
    const off = toMm(boxOf(member(s, 'leaning/side/left')).z0);
    // Its rear is 330 behind the front of the sides at its lower face; that is 120 / cos + (2000 cos − 1500) tan from the wall.
    expect(off).toBeCloseTo(330 - (120 / cos + (2000 * cos - 1500) * tan), 2);
    expect(said(s, 'leans')).toContain('1500 mm up');
  });
});

describe('shelves', () => {
  test('level, their front edges on the line of the sides, housed aslant', () => {
    const s = solved();
    const front = toMm(s.shape.overall.depth.value);
    for (const [id, y] of [
      ['a', 500],
      ['c', 1500],
    ] as const) {
      const shelf = member(s, `${id}/shelf/1`);
      expect(toMm(boxOf(shelf).z1)).toBeCloseTo(front - y * tan, 3);
      expect(toMm(shelf.length.value)).toBe(616);
      // Its bevelled front edge lies on a plane: less wood by a wedge of 18 by 18 tan.
      expect(616 * 200 * 18 - massMiddleOf(shelf).volume).toBeCloseTo((616 * 18 * 18 * tan) / 2, 0);
    }
    const cut = member(s, 'leaning/side/left').features.find((f) => f.mate === 'a/shelf/1');
    if (!cut || cut.kind === 'hole') throw new Error('it has a housing');
    expect(cut.slant).toBeCloseTo(-tan, 9);
    const { u0, u1, v0, v1 } = cut.region;
    expect(toMm((u1 - u0) as Length) - tan * toMm((v1 - v0) as Length)).toBeCloseTo(18 / cos, 3);
    // As long as the shelf is let in: the housing and the shelf take the same wood.
    const inIt = overlapOf(solidOfMember(member(s, 'leaning/side/left')), solidOfMember(member(s, 'a/shelf/1')));
    expect(inIt).toBeCloseTo(8, 3);
  });

  test('set back, they end so far behind the front of the sides, and so does what stands on them', () => {
    const s = solved({ panels: panels({ fix: 'housed', housing: mm(8), setback: mm(10) }) });
    const front = toMm(s.shape.overall.depth.value);
    expect(toMm(boxOf(member(s, 'a/shelf/1')).z1)).toBeCloseTo(front - 500 * tan - 10, 3);
    const over = s.shape.spaces.get('s1');
    expect(toMm(over?.box.z1 ?? ZERO)).toBeCloseTo(front - 518 * tan - 10, 3);
    expect(toMm(over?.clear.depth.value ?? ZERO)).toBeCloseTo(200 - 18 * tan, 3);
  });

  test('its tapes: upright with what each is along the side, deep from the wall to the front of the foot', () => {
    const s = solved();
    const up = tapeThrough(s, 's1', 'up').lines;
    expect(up.map((l) => l.id)).toEqual(['s0', 'a', 's1', 'b', 's2', 'c', 's3']);
    for (const l of up) expect(toMm(l.along?.value ?? ZERO)).toBeCloseTo(toMm(l.size.value) / cos, 3);
    const deep = tapeThrough(s, 's1', 'deep').lines;
    expect(deep.map((l) => l.label)).toEqual(['to the wall', 'space 2', 'to the front of the foot']);
    expect(deep.at(-1)?.far.value).toBe(s.shape.overall.depth.value);
    expect(tapeThrough(s, 's1', 'across').lines[0]?.along).toBeUndefined();
  });

  test('the two sides are a left and a right one; without housings they are the same board', () => {
    const likeness = (s: Solution) => ['left', 'right'].map((end) => likenessOf(member(s, `leaning/side/${end}`)));
    const [left, right] = likeness(solved());
    expect(left?.either).toBe(right?.either);
    expect(left?.same).not.toBe(right?.same);
    const [a, b] = likeness(solved({ panels: panels({ fix: 'butted' }) }));
    expect(a?.same).toBe(b?.same);
  });
});

describe('carried', () => {
  test('all of it stands on its foot, and half of it on each side', () => {
    const s = solved();
    const sides = ['left', 'right'].map((end) => s.carried.members.get(`leaning/side/${end}`)?.total ?? 0);
    expect(sides[0]).toBeCloseTo(sides[1] as number, 6);
    expect((sides[0] as number) * 2).toBeCloseTo(s.carried.floor, 6);
  });

  test('at the wall it pushes W a / h, and its foot needs a / h', () => {
    const s = solved({ fixedToWall: false });
    const kg = s.shape.members.map((m) => s.carried.members.get(m.id)?.selfKg ?? 0);
    const middles = s.shape.members.map((m) => massMiddleOf(m).middle[2]);
    const over = s.shape.spaces.get('s1');
    const things = { kg: 6, z: toMm(over?.box.z1 ?? ZERO) - 50 };
    const weight = kg.reduce<number>((a, b) => a + b, 0) + things.kg;
    const out = (kg.reduce<number>((sum, k, i) => sum + k * (middles[i] as number), 0) + things.kg * things.z) / weight;
    const a = toMm(s.shape.overall.depth.value) - out;
    expect(said(s, 'leans')).toContain(`needs to hold by ${(a / (2000 * cos)).toFixed(2)} of`);
    expect(check(s, 'leans')?.fixes.length).toBe(1);
  });

  test('steep it slides unless it is fixed', () => {
    const free = solved({ fixedToWall: false }, { lean: { by: 'angle', degrees: asDegrees(30), along: mm(2000) } });
    expect(check(free, 'leans')).toMatchObject({ severity: 'stop', state: 'fails' });
    expect(check(solved({}, { lean: { by: 'angle', degrees: asDegrees(30), along: mm(2000) } }), 'leans')?.state).toBe('fine');
  });

  test('what slides is offered less of a lean, or rear legs, and slides no more', () => {
    const piece = leaning({ fixedToWall: false }, { lean: { by: 'angle', degrees: asDegrees(30), along: mm(2000) } });
    const fixes = check(solve(piece, shop, {}), 'leans')?.fixes ?? [];
    expect(fixes.map((f) => writeExactly(f.label))).toEqual([
      expect.stringContaining('wall'),
      'Lean its sides by 20°',
      'Stand it free on rear legs',
    ]);
    for (const { change } of fixes.slice(1)) {
      if (change.target !== 'piece' || change.edit.kind !== 'piece') throw new Error('it changes the piece');
      const mended = solve({ ...piece, ...change.edit.patch }, shop, {});
      expect(mended.shape.members.length).toBeGreaterThan(4);
      expect(said(mended, 'leans')).not.toContain('slides away');
    }
  });

  test('thin sides under a heavy load bow out; wider or fixed they do not', () => {
    const heavy = (extra: Partial<Leaning>) => {
      const { split } = leaning().interior;
      const spaces = split?.spaces.map((x) => ({ ...x, things: x.id === 's0' ? [] : [{ thing: 'tin', count: 5 }] })) ?? [];
      const loaded = workshop({ ...shop, stock: Object.fromEntries(shop.stock), things: { tin: thing({ mass: asKg(4) }) } } as never);
      return solve({ ...leaning(extra), interior: { ...leaning().interior, split: { ...split, spaces } as never } }, loaded, {});
    };
    expect(check(heavy({ fixedToWall: false }), 'side-bends')?.state).toBe('fails');
    expect(check(heavy({ fixedToWall: true }), 'side-bends')?.state).not.toBe('fails');
  });

  test('sideways: nothing holds it, a brace does as its screws do, the wall does', () => {
    expect(check(solved({ fixedToWall: false }), 'racking')?.state).toBe('fails');
    const brace = { stock: 'side', wide: mm(60), space: 's1' };
    const braced = solved({ fixedToWall: false, brace });
    const one = member(braced, 'leaning/brace');
    expect(overlapOf(solidOfMember(one), solidOfMember(member(braced, 'a/shelf/1')))).toBeLessThan(0.05);
    expect(said(braced, 'racking')).toMatch(/its brace takes \d+(\.\d+)? N, with 2 screws in each end/);
    expect(check(braced, 'racking')?.state).not.toBe('not checked');
    expect(check(solved(), 'racking')?.state).toBe('fine');
  });

  test('it is taken in by its schema, with all that may be said of it', () => {
    const full = leaning(
      { plugs: { across: mm(10), deep: mm(5) }, brace: { stock: 'side', wide: mm(60), space: 's1' } },
      { flat: mm(40), lean: { by: 'foot', out: mm(340), along: mm(2000) } },
    );
    expect(faultsIn(pieceSchema(), full)).toEqual([]);
    expect(faultsIn(pieceSchema(), { ...full, sides: { ...full.sides, lean: { by: 'angle', degrees: 91 } } }).length).toBeGreaterThan(0);
  });
});

describe('free of the wall, on rear legs', () => {
  const legs = { stock: 'side', wide: mm(60) };
  const free = (extra: Partial<Leaning> = {}, sides: Partial<Leaning['sides']> = {}) =>
    solved({ fixedToWall: false, legs, ...extra }, sides);

  test('a leg stands plumb under the head of each side, on a foot that ties both; the piece is wider by two of them', () => {
    const s = free();
    const [high, front] = [2000 * cos, 2000 * sin + 120 / cos];
    for (const [hand, x] of [
      ['left', 0],
      ['right', 600 + 3 * 20],
    ] as const) {
      const leg = boxOf(member(s, `leaning/leg/${hand}`));
      const foot = boxOf(member(s, `leaning/foot/${hand}`));
      expect([leg.x0, leg.x1, leg.y0, leg.z0, leg.z1].map(toMm)).toEqual([x, x + 20, 60, 0, 60]);
      expect(toMm(leg.y1)).toBeCloseTo(high, 3);
      expect([foot.x0, foot.x1, foot.y0, foot.y1, foot.z0].map(toMm)).toEqual([x, x + 20, 0, 60, 0]);
      expect(toMm(foot.z1)).toBeCloseTo(front, 2);
    }
    expect(toMm(s.shape.overall.width.value)).toBe(600 + 4 * 20);
    const [side, leg] = [member(s, 'leaning/side/left'), member(s, 'leaning/leg/left')].map(solidOfMember);
    if (!side || !leg) throw new Error('it has both');
    expect(overlapOf(side, leg)).toBeLessThan(0.001);
    expect(tapeThrough(s, 's1', 'across').lines.map((l) => toMm(l.size.value))).toEqual([20, 20, 600, 20, 20]);
  });

  test('the legs carry of the load as much as it is behind the front feet, the floor all of it', () => {
    const s = free();
    const side = s.carried.members.get('leaning/side/left');
    // The weights of the shelves and what is on them, by where their middles are; the side by its own.
    const middles = (side?.handed ?? []).map((h) => ({ n: h.newtons, z: massMiddleOf(member(s, h.from)).middle[2] }));
    const self = { n: (side?.selfKg ?? 0) * 9.81, z: massMiddleOf(member(s, 'leaning/side/left')).middle[2] };
    const all = [...middles, self];
    const total = all.reduce((sum, a) => sum + a.n, 0);
    const [foot, leg] = [2000 * sin + 60 / cos, 40];
    const onLeg = all.reduce((sum, a) => sum + a.n * (foot - a.z), 0) / (foot - leg);
    const given = new Map(side?.supports.map((x) => [x.carrier, x.newtons]));
    expect(given.get('leaning/leg/left')).toBeCloseTo(onLeg, 2);
    expect(given.get('floor')).toBeCloseTo(total - onLeg, 2);
    expect(given.get('leaning/foot/left')).toBe(0);
    expect(s.carried.floor).toBeCloseTo([...s.carried.members.values()].reduce((sum, m) => sum + m.selfKg, 0) * 9.81 + 6 * 9.81, 3);
  });

  test('what a push at its top adds is told, and from what push on it tips to the rear', () => {
    const s = free();
    // 100 N at 1969.6 high, the feet from the middle of the side's to that of the leg's: on two legs.
    const apart = 2000 * sin + 60 / cos - 30;
    expect(said(s, 'leans')).toContain(`each takes ${((100 * 2000 * cos) / apart / 2).toFixed(0)} N more`);
    expect(said(s, 'leans')).toMatch(/What bolts it holds \d+ N/);
    expect(check(s, 'racking')?.state).toBe('fails');
    // Braced its legs may not move aside at their heads: almost four times as much bows them out, as half the length by Euler.
    const bows = (x: Solution) => Number(/bows out from (\d+(\.\d+)?) N/.exec(said(x, 'leans'))?.[1]);
    const braced = free({ brace: { stock: 'side', wide: mm(60), space: 's1' } });
    expect(bows(braced) / bows(s)).toBeGreaterThan(3.8);
    expect(bows(braced) / bows(s)).toBeLessThan(4);
  });

  test('legs that bow out are told, and stouter ones do not', () => {
    const { split } = leaning().interior;
    const loaded = workshop({ stock: Object.fromEntries(shop.stock), things: { tin: thing({ mass: asKg(4) }) } });
    const spaces = split?.spaces.map((x) => ({ ...x, things: x.id === 's0' ? [] : [{ thing: 'tin', count: 5 }] })) ?? [];
    const heavy = (wide: Length) =>
      solve(
        {
          ...leaning({ fixedToWall: false, legs: { stock: 'side', wide }, brace: { stock: 'side', wide: mm(60), space: 's1' } }),
          interior: { ...leaning().interior, split: { ...split, spaces } as never },
        },
        loaded,
        {},
      );
    const [thin, stout] = [heavy(mm(25)), heavy(mm(110))].map((s) => check(s, 'leans')?.state);
    expect(thin).toBe('fails');
    expect(stout).not.toBe('fails');
  });

  test.each<[string, number, number, Partial<Leaning['sides']>]>([
    ['wider than the sides', 130, 120, {}],
    // 1997.3 at 3°: tan / (1 + tan) of that.
    ['lapping sides that hardly lean down to the feet', 110, 99.463, { lean: { by: 'angle', degrees: asDegrees(3), along: mm(2000) } }],
  ])('legs %s are told, with how wide they may be', (_, wide, most, sides) => {
    const s = free({ legs: { stock: 'side', wide: mm(wide) } }, sides);
    const found = s.shape.problems.find((p) => p.id === 'legs-wide');
    expect([found?.stops, found?.fixes.length]).toEqual([true, 1]);
    const edit = found?.fixes[0]?.edit;
    const mended = edit?.kind === 'piece' ? (edit.patch as Partial<Leaning>) : {};
    expect(toMm(mended.legs?.wide ?? ZERO)).toBeCloseTo(most, 2);
    expect(free(mended, sides).shape.problems.map((p) => p.id)).not.toContain('legs-wide');
  });
});

describe('what can not be is told, with a way out', () => {
  const problem = (s: Solution, id: string) => s.shape.problems.find((p) => p.id === id);
  test.each<[string, Leaning['sides']['lean'], RegExp]>([
    ['plumb', { by: 'angle', degrees: asDegrees(0), along: mm(2000) }, /0\.0° off plumb/],
    ['level', { by: 'angle', degrees: asDegrees(90), along: mm(2000) }, /90\.0° off plumb/],
    ['a foot out of reach', { by: 'foot', out: mm(2100), along: mm(2000) }, /A foot 2100 mm out is further/],
    ['a height out of reach', { by: 'height', along: mm(1500) }, /Sides 1500 mm long do not reach 1950 mm/],
  ])('%s', (_, lean, told) => {
    const s = solved({}, { lean });
    const found = problem(s, 'lean');
    expect(writeExactly(found?.sentence ?? [])).toMatch(told);
    expect([found?.stops, found?.fixes.length]).toEqual([true, 1]);
    expect(s.shape.members).toEqual([]);
  });

  test.each<[string, string, Partial<Leaning>, Partial<Leaning['sides']>]>([
    ['shelves on pins', 'leaning-pins', { panels: panels({ fix: 'loose' }) }, {}],
    [
      'bays beside each other',
      'leaning-inside',
      { interior: space('in', { split: { axis: 'across', members: [{ id: 'a' }], spaces: [space('l'), space('r')] } }) },
      {},
    ],
    ['a head that is cut away', 'leaning-flat', {}, { flat: mm(600) }],
    ['a plug with nothing under it', 'plug-deep', { plugs: { across: mm(10), deep: mm(9) } }, {}],
    ['a plug that falls out', 'plug-thin', { plugs: { across: mm(10), deep: mm(2) } }, {}],
    ['a brace nowhere', 'brace-space', { brace: { stock: 'side', wide: mm(60), space: 'gone' } }, {}],
    ['a brace in the wall', 'brace-wall', { brace: { stock: 'side', wide: mm(60), space: 's3' } }, {}],
  ])('%s', (_, id, extra, sides) => {
    const found = problem(solved(extra, sides), id);
    expect(found).toBeDefined();
    expect(found?.fixes.length).toBeGreaterThan(0);
  });
});
