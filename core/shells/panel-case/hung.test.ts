import { GRAVITY, contactOf, massFromWall } from '../../carry/index.js';
import { writeExactly } from '../../figure/index.js';
import { applyEdit } from '../../kinds/index.js';
import { mm, toMm, type Length } from '../../length/index.js';
import { PLACE, boxOf, type Member } from '../../piece/index.js';
import { volumeOf } from '../../solid/index.js';
import { solidOfMember } from '../../piece/index.js';
import { solve, type Solution } from '../../solution/index.js';
import { divided, lightly, opening, piece, stock, thing, workshop } from '../../testing/samples.js';
import type { PanelCase } from './spec.js';
import { asKg } from '../../measures/index.js';

const box = (extra = {}) =>
  thing({ name: 'box', shape: { kind: 'box', width: mm(300), height: mm(200), depth: mm(150) }, mass: asKg(8), count: 2, ...extra });
const shop = (extra = {}) =>
  workshop({
    stock: {
      ply: stock({ name: 'ply 18', thickness: mm(18) }),
      cleat: stock({ name: 'ash 18', form: 'board', material: 'white-ash', thickness: mm(18), width: mm(120) }),
    },
    things: { box: box(extra) },
    opening: opening({ studs: [mm(100), mm(550), mm(980)], widths: [{ place: 'middle', value: mm(2000) }] }),
  });

const given = (size: number) => ({ from: 'given', size: mm(size), of: 'overall' }) as const;

/** A case of 1000 x 600 x 268, hung by a cleat of 120 x 18: 250 of it in front of that. */
function wallCase(extra: Partial<PanelCase> = {}, wide = 120): PanelCase {
  const inside = divided('in', 'up', 2);
  const [low] = inside.split?.spaces ?? [];
  if (low) low.things = [{ thing: 'box', count: 2 }];
  return piece(lightly(inside), {
    width: given(1000),
    height: given(600),
    depth: given(268),
    base: { kind: 'none' },
    back: { kind: 'none' },
    top: 'between',
    bottom: 'between',
    stock: { sides: 'ply' },
    hung: { cleat: { stock: 'cleat', wide: mm(wide) } },
    ...extra,
  });
}
const member = (s: Solution, id: string) => s.shape.members.find((m) => m.id === id) as Member;
const told = (s: Solution) => s.checks.find((c) => c.id === 'hung');

test('one cut at 45° through 120 x 18 gives wide faces of 66.88 and narrow ones of 48.88, which hook over each other', () => {
  const s = solve(wallCase(), shop(), {});
  const [upper, lower] = [member(s, 'cleat/half/case'), member(s, 'cleat/half/wall')];
  expect([upper, lower].map((m) => toMm(m.width.value).toFixed(2))).toEqual(['66.88', '66.88']);
  const facts = [...s.shape.facts.values()].flat();
  expect(toMm(facts.find((f) => f.name === 'cleat, narrow faces')?.figure?.value as Length).toFixed(2)).toBe('48.88');
  // A trapezium of both faces, 18 thick: (66.88 + 48.88) / 2 x 18 x 1000 each, and both with the cut the board.
  const volumes = [upper, lower].map((m) => volumeOf(solidOfMember(m)).volume);
  expect(volumes).toEqual([1, 2].map(() => expect.closeTo(((66.8787 + 48.8787) / 2) * 18 * 1000, -1)));
  const cut = 3 * 18 * Math.SQRT2 * 1000;
  expect((volumes[0] as number) + (volumes[1] as number) + cut).toBeCloseTo(120 * 18 * 1000, -1);
  // They meet on the bevel: as long as the case, and 18 √2 aslant.
  expect(contactOf(lower, upper)?.area).toBeCloseTo(1000 * 18 * Math.SQRT2, 0);
  // Up to the top of the case, and 18 behind its sides; the case stands out that much.
  expect(toMm(boxOf(upper).y1)).toBe(600);
  expect(toMm(boxOf(member(s, 'case/side/left')).z0)).toBe(18);
  expect(toMm(boxOf(member(s, 'cleat/bumper')).z1)).toBe(18);
});

test('all of it goes down the cleat to the wall, and nothing stands on the floor', () => {
  const s = solve(wallCase(), shop(), {});
  const kg = s.carried.massKg + 16;
  expect(s.carried.floor / GRAVITY).toBeCloseTo(kg, 6);
  const wall = s.carried.members.get('cleat/half/wall');
  expect(wall?.supports.map((x) => [x.carrier, x.newtons])).toEqual([[PLACE, expect.closeTo(kg * GRAVITY, 6)]]);
  expect(s.shape.joints.some((j) => j.carrier === 'floor')).toBe(false);
  expect(s.checks.filter((c) => c.id.startsWith('tips') || c.id === 'fix-to-wall' || c.id === 'people')).toEqual([]);
  // 16 kg of boxes at the front, 150 deep: 268 − 75 = 193 from the wall; the wood in the middle of itself.
  const { kg: all, out } = massFromWall(s.shape, s.carried);
  const wood = s.shape.members.reduce((sum, m) => {
    const { z0, z1 } = boxOf(m);
    return sum + ((s.carried.members.get(m.id)?.selfKg ?? 0) * (toMm(z0) + toMm(z1))) / 2;
  }, 0);
  expect(all).toBeCloseTo(kg, 6);
  // The halves of the cleat have their middles a little beside those of their boxes.
  expect(out).toBeCloseTo((wood + 16 * 193) / kg, 0);
});

test('its studs take what pulls: down and outward together, one and a half shares on each', () => {
  const s = solve(wallCase(), shop(), {});
  const newtons = (s.carried.massKg + 16) * GRAVITY;
  const said = writeExactly(told(s)?.sentence ?? []);
  expect(said).toContain(`${Math.round(newtons)} N down`);
  // Bevels of 45° with no friction push outward as much as it weighs.
  expect(said).toContain(`and ${Math.round(newtons)} N (by the bevel`);
  expect(said).toContain('2 studs at least, 450 mm apart');
  expect(told(s)?.severity).toBe('good');
  // In the opening whose studs were found it lies over three.
  const found = solve(wallCase({ opening: 'gap' }), shop(), {});
  expect(writeExactly(told(found)?.sentence ?? [])).toContain('On 3 studs:');
});

test('what can hang on plaster board alone, on one stud, or on more than its screws hold is told', () => {
  expect(told(solve(wallCase({ width: given(400) }), shop(), {}))).toMatchObject({ severity: 'stop', state: 'fails' });
  expect(told(solve(wallCase({ width: given(700) }), shop(), {}))).toMatchObject({ severity: 'look', state: 'close' });
  expect(told(solve(wallCase(), shop({ mass: 90 }), {}))).toMatchObject({ severity: 'stop' });
  const light = box();
  delete light.mass;
  const none = workshop({ stock: Object.fromEntries(shop().stock), things: { box: light } });
  expect(told(solve(wallCase(), none, {}))).toMatchObject({ state: 'not checked' });
});

test('two screws one over the other want a wider board for the cleat', () => {
  // 80 kg of boxes: 1.5 / 2 of some 95 kg, down and outward alike, on one stud of two: more than one screw holds.
  const at = (wide: number) => told(solve(wallCase({}, wide), shop({ mass: 40 }), {}));
  expect(at(120)).toMatchObject({ severity: 'stop' });
  expect(writeExactly(at(120)?.sentence ?? [])).toContain('it would take 2 screws No. 14');
  // (200 + 18 − 3 √2) / 2 = 106.9: less 2.5 of 6.15 at both edges, 61.5 between two of them.
  expect(at(200)).toMatchObject({ severity: 'good' });
});

test('a case too low for its cleat and its bumper is told, and one that just has the room is made', () => {
  // 66.88 and 48.88 of cleat, and 60 of bumper: 175.76.
  const at = (high: number) => solve(wallCase({ height: given(high) }), shop(), {}).shape.problems.map((p) => p.id);
  expect([at(175), at(176)]).toEqual([['hung-high'], []]);
});

test.each<[string, Partial<PanelCase>, number, string]>([
  ['a base under it', { base: { kind: 'toe', height: mm(60), setback: mm(20), bearers: false } }, 120, 'hung-base'],
  ['sides that stand on the bottom', { bottom: 'over' }, 120, 'hung-bottom'],
  ['a back over the rear edges of the sides', { back: { kind: 'applied' } }, 120, 'hung-back'],
  ['a board too narrow to be ripped aslant', {}, 40, 'hung-cleat'],
])('%s is told, and what is offered mends it', (_, change, wide, id) => {
  const bad = wallCase(change, wide);
  const problem = solve(bad, shop(), {}).shape.problems.find((p) => p.id === id);
  const edit = problem?.fixes[0]?.edit;
  if (!edit) throw new Error(`${id} is not told, or without a way out`);
  const mended = solve(applyEdit(bad, edit), shop(), {});
  expect(mended.shape.problems.filter((p) => p.id.startsWith('hung'))).toEqual([]);
  expect(mended.shape.members.some((m) => m.id === 'cleat/half/wall')).toBe(true);
});

describe('other ways to hang', () => {
  const kgOf = (s: Solution) => s.carried.massKg + 16;

  test('a rail behind the back, between the sides and under the top, screwed into the studs it crosses: no bevel pushes it out', () => {
    const hung = { rail: { stock: 'cleat', wide: mm(120) }, above: mm(1300) } as const;
    const s = solve(wallCase({ hung, opening: 'gap' }), shop(), {});
    const b = boxOf(member(s, 'cleat/rail'));
    expect([b.x0, b.x1, b.y0, b.y1, b.z0, b.z1].map(toMm)).toEqual([18, 982, 462, 582, 0, 18]);
    expect(s.carried.floor / GRAVITY).toBeCloseTo(kgOf(s), 6);
    const { out } = massFromWall(s.shape, s.carried);
    const said = writeExactly(told(s)?.sentence ?? []);
    // Its middle is 522 over the lower rear edges: V e / h.
    expect(said).toContain(
      `522 mm over its lower edge: ${Math.round(kgOf(s) * GRAVITY)} N down, and ${Math.round((kgOf(s) * GRAVITY * out) / 522)} N outward`,
    );
    expect(said).not.toContain('bevel');
    // Studs at 100, 550 and 980, the last within its 982.
    expect(said).toContain('On 3 studs:');
    const mark = [...s.shape.facts.values()].flat().find((f) => f.name.startsWith('mark on the wall'));
    expect(toMm(mark?.figure?.value as Length)).toBe(1300 + 582);
    expect(solve(wallCase({ hung: { rail: { stock: 'cleat', wide: mm(700) } } }), shop(), {}).shape.problems.map((p) => p.id)).toEqual([
      'hung-rail-high',
    ]);
    // A back in front of it: in grooves at least as far in as it is thick.
    const back = (of: PanelCase['back']) => solve(wallCase({ hung, back: of }), shop(), {});
    expect(back({ kind: 'applied' }).shape.problems.map((p) => p.id)).toEqual(['hung-rail-back']);
    const near = back({ kind: 'groove', depth: mm(6), inset: mm(10), slack: mm(1) });
    expect(near.shape.problems.map((p) => p.id)).toEqual(['hung-rail-inset']);
    const [fix] = near.shape.problems[0]?.fixes ?? [];
    const mended = fix && solve(applyEdit(near.piece, fix.edit), shop(), {});
    expect(mended?.shape.problems).toEqual([]);
    expect(mended?.checks.filter((c) => c.id.startsWith('overlap'))).toEqual([]);
  });

  test('keyholes in the sides: three quarters of all on one, against what it is rated for, and studs behind both', () => {
    const at = (rated?: number, opening?: string) =>
      solve(
        wallCase({ hung: { keyholes: { under: mm(60), ...(rated ? { rated: asKg(rated) } : {}) } }, ...(opening ? { opening } : {}) }),
        shop(),
        {},
      );
    const s = at(100);
    const most = 0.75 * kgOf(s);
    expect(s.carried.members.get('case/side/left')?.supports.map((x) => x.carrier)).toEqual([PLACE]);
    expect(told(at())).toMatchObject({ state: 'not checked' });
    expect(told(at(Math.ceil(most * 2)))).toMatchObject({ state: 'close' });
    expect(told(at(Math.floor(most)))).toMatchObject({ severity: 'stop', state: 'fails' });
    expect(writeExactly(told(s)?.sentence ?? [])).toContain('No stud is known behind either side');
    const low = solve(wallCase({ hung: { keyholes: { under: mm(400) } } }), shop(), {});
    expect(low.shape.problems.map((p) => p.id)).toEqual(['hung-keyholes']);
    // A stud at 980 is behind the right side, of 982 to 1000; none is behind the left one.
    expect(writeExactly(told(at(100, 'gap'))?.sentence ?? [])).toContain('behind one of its sides');
  });
});

describe('a cleat through notches in the sides', () => {
  const notched = (extra: Partial<PanelCase> = {}) =>
    wallCase({ hung: { cleat: { stock: 'cleat', wide: mm(120), notched: true } }, ...extra });
  const s = solve(notched(), shop(), {});
  const [side, upper, lower] = ['case/side/left', 'cleat/half/case', 'cleat/half/wall'].map((id) => member(s, id)) as [
    Member,
    Member,
    Member,
  ];

  test('the sides reach the wall, and are 268 deep; the cleat is under the top, and there is no bumper', () => {
    expect([toMm(side.width.value), toMm(boxOf(side).z0)]).toEqual([268, 0]);
    expect(toMm(boxOf(upper).y1)).toBe(582);
    expect(s.shape.members.some((m) => m.id === 'cleat/bumper')).toBe(false);
    expect(s.checks.filter((c) => c.id.startsWith('overlap-') || (c.severity === 'stop' && c.id.startsWith('hung')))).toEqual([]);
  });

  test('each notch is 18 deep, from the top of the cleat to 21 under its other half, so that the case is lifted over it', () => {
    const cut = side.features.find((f) => f.kind === 'notch');
    if (cut?.kind !== 'notch') throw new Error('there is no notch');
    const under = toMm(boxOf(lower).y0) - 21;
    expect([cut.region.u0, cut.region.u1, cut.region.v0, cut.region.v1].map(toMm)).toEqual([expect.closeTo(under, 4), 582, 0, 18]);
    // By area: 600 x 268 less 18 by as much as the notch is high.
    expect(volumeOf(solidOfMember(side)).volume / toMm(side.thickness.value)).toBeCloseTo(600 * 268 - 18 * (582 - under), 0);
    expect(s.checks.filter((c) => c.severity === 'stop').map((c) => c.id)).toEqual([]);
  });

  test('it pulls at its wall over the lower edge of its sides, and less stands out from it than behind a bumper', () => {
    const text = writeExactly(told(s)?.sentence ?? []);
    expect(text).toContain('over its lower edge');
    expect(s.carried.floor / GRAVITY).toBeCloseTo(s.carried.massKg + 16, 6);
    const shallow = solve(notched({ depth: given(250) }), shop(), {});
    expect(massFromWall(shallow.shape, shallow.carried).out).toBeLessThan(
      massFromWall(solve(wallCase(), shop(), {}).shape, solve(wallCase(), shop(), {}).carried).out,
    );
  });

  test('a back where it goes, sides cut to an outline and a lid are told, each with a way that solves it', () => {
    const wrong: [string, Partial<PanelCase>][] = [
      ['hung-notch-back', { back: { kind: 'rebate', depth: mm(9), slack: mm(1) }, stock: { sides: 'ply', back: 'ply' } }],
      ['hung-notch-inset', { back: { kind: 'groove', depth: mm(6), inset: mm(10), slack: mm(1) }, stock: { sides: 'ply', back: 'ply' } }],
      [
        'hung-notch-outline',
        {
          outline: { corners: { frontTop: { is: 'round', by: mm(30) } } },
          inset: { front: mm(20), rear: mm(0), top: mm(20), bottom: mm(0) },
        },
      ],
    ];
    for (const [id, extra] of wrong) {
      const of = solve(notched(extra), shop(), {});
      const check = of.checks.find((c) => c.id === id);
      expect([id, check?.severity]).toEqual([id, 'stop']);
      for (const fix of check?.fixes ?? []) {
        if (fix.change.target !== 'piece') throw new Error('it changes the piece');
        const mended = solve(applyEdit(of.piece, fix.change.edit), shop(), {});
        expect(mended.checks.filter((c) => c.id.startsWith('hung-notch'))).toEqual([]);
      }
    }
  });
});
