import { withPerson, type BendingAnswer, type CarriedMember } from '../carry/index.js';
import { writeExactly } from '../figure/index.js';
import { ZERO, mm } from '../length/index.js';
import { type Piece, type Space } from '../piece/index.js';
import { applyEdit } from '../kinds/index.js';
import { type Cells, type Drawers } from '../interiors/index.js';
import { type PanelCase } from '../shells/index.js';
import { remediesFor, solve, type Solution } from '../solution/index.js';
import { readAgain } from '../survey/index.js';
import { chest, drawers } from '../testing/chest.js';
import { divided, opening, piece, space, stock, thing, workshop } from '../testing/samples.js';
import { standsWithJoints, weakEnds } from './index.js';
import { asKg } from '../measures/index.js';

const check = (s: Solution, start: string) => s.checks.find((c) => c.id.startsWith(start));
const text = (s: Solution, start: string) => writeExactly(check(s, start)?.sentence ?? []);
const given = (size: number) => ({ from: 'given', size: mm(size), of: 'overall' }) as const;

/** The solution after the first fix of a check. */
function mended(s: Solution, start: string): Solution {
  const change = check(s, start)?.fixes[0]?.change;
  if (change?.target === 'built') {
    return solve(s.piece, { ...s.workshop, built: readAgain(s.workshop.built ?? new Map(), change) }, {});
  }
  if (change?.target !== 'piece') throw new Error(`there is no fix of ${start}`);
  return solve(applyEdit(s.piece, change.edit), s.workshop, {});
}

describe('joints count wherever they are', () => {
  test('a divider whose end stands on too little is told, though it does not bend', () => {
    // A divider of 20 x 300 of eastern white pine on a rail of the same, 20 wide: 400 mm² across its grain,
    // 0.007 · 392 / 1.2 = 2.29 · 0.7 / 1.95 = 0.822 MPa: 329 N.
    const pine = workshop({ stock: { ply: stock({ material: 'white-pine', form: 'board' }) }, things: { tin: thing({ mass: asKg(8) }) } });
    const upper = divided('u', 'across', 2);
    upper.split?.spaces.forEach((bay) => {
      const column = divided(`${bay.id}-c`, 'up', 2);
      column.split?.spaces.forEach((sp) => (sp.things = [{ thing: 'tin', count: 12, at: 'spread' }]));
      bay.split = column.split as NonNullable<Space['split']>;
    });
    const inside = space('in', { split: { axis: 'up', members: [{ id: 'r', rail: mm(60) }], spaces: [space('low'), upper] } });
    const s = solve(piece(inside), pine, {});
    const c = check(s, 'ends-u-m1/divider/1');
    expect(s.carried.members.get('u-m1/divider/1')?.bending).toBeNull();
    expect([c?.severity, c?.state]).toEqual(['stop', 'fails']);
    expect(text(s, 'ends-u-m1/divider/1')).toContain('bears up to 329 N');
    // By itself it is fine; with its joints it stops the build. The rail under it is told for no end of another's.
    const divider = s.carried.members.get('u-m1/divider/1') as CarriedMember;
    expect(divider.state).toBe('fine');
    expect(standsWithJoints(s.checks, divider)).toEqual({ state: 'fails', severity: 'stop' });
    const told = s.checks.filter((one) => one.id.startsWith('ends-') && one.state === 'fails').map((one) => one.id.slice('ends-'.length));
    expect([...weakEnds(s.checks)].sort()).toEqual(told.sort());
  });

  test('those that are not checked are told in one line by reason, with how many there are', () => {
    const s = chest(
      drawers({ box: { join: 'pocket', order: 'ends-between', bottom: { kind: 'groove', depth: mm(4), up: mm(8), slack: mm(1) } } }),
    );
    const [c, ...more] = s.checks.filter((one) => one.id === 'not-checked');
    expect(more).toEqual([]);
    expect(c).toMatchObject({ severity: 'look', state: 'not checked' });
    // Two ends to each of three boxes, two corners each.
    expect(writeExactly(c?.sentence ?? [])).toMatch(
      /^Not checked: 12 joints, since what they go through is too thin or too thick for pocket screws \(/,
    );
  });
});

describe('people on benches, decks and low tops', () => {
  const bench = (extra: Partial<PanelCase> = {}) =>
    solve(piece(space('in'), { height: given(450), depth: given(300), width: given(700), ...extra }), workshop(), {});

  test('a low top is asked in the checks: 120 kg twice on 100 x 100 of its edge', () => {
    const s = bench();
    const c = check(s, 'people');
    expect(c).toMatchObject({ severity: 'stop', state: 'fails', about: { kind: 'member', id: 'case/top/1' } });
    const then = withPerson(s.carried.members.get('case/top/1')?.bending as BendingAnswer, s.workshop.settings);
    expect(text(s, 'people')).toContain(`${(then.used as number).toFixed(1)} times what is safe`);
    expect(check(mended(s, 'people'), 'people')?.state).not.toBe('fails');
  });

  test('a thick one over a short span is fine, and told; a tall case is not asked', () => {
    const thick = workshop({ stock: { ply: stock({ thickness: mm(40) }) } });
    expect(check(solve(piece(space('in'), { height: given(450), width: given(500) }), thick, {}), 'people')).toMatchObject({
      severity: 'good',
      state: 'fine',
    });
    expect(check(bench({ height: given(1200) }), 'people')).toBeUndefined();
  });
});

describe('a back that holds a shelf through studs', () => {
  const walled = (studs: readonly number[] | undefined) => {
    const inside = divided('in', 'up', 2);
    Object.assign(inside.split?.members[0] ?? {}, { toBack: 'screwed' });
    (inside.split?.spaces[1] as Space).things = [{ thing: 'tin', count: 20, at: 'spread' }];
    const gap = opening(studs ? { studs: studs.map((x) => mm(x)) } : {});
    return solve(piece(inside, { opening: 'gap', back: { kind: 'applied' } }), workshop({ opening: gap }), {});
  };

  test('needs studs that were read: none, or one that leaves more than 610 bare, do not count', () => {
    for (const s of [walled(undefined), walled([300])]) {
      expect(text(s, 'to-back-')).toContain('no studs were read behind it that are at most 610 mm from each other');
      expect(s.carried.members.get('in-m1/shelf/1')?.supports.some((x) => x.how === 'held along')).toBe(false);
    }
  });

  test('and screws that are sized: so many in each stud, a stud taking three quarters of it where there are two', () => {
    const s = walled([300, 700]);
    expect(check(s, 'to-back-')).toBeUndefined();
    const held = s.carried.members.get('in-m1/shelf/1')?.supports.find((x) => x.how === 'held along');
    expect(held).toMatchObject({ carrier: 'case/back/1', by: { studs: 2 } });
  });
});

describe('what overlaps when shut', () => {
  const overlay = (left: number): Drawers =>
    drawers({
      front: { kind: 'overlay', between: mm(4), over: { left: mm(left), right: mm(8), below: mm(8), above: mm(8) } },
      less: mm(40),
      rise: mm(20),
    });

  test('overlay fronts of two banks beside each other, over a divider of 20, by their sum less that', () => {
    const two = (over: number) => {
      const banks = ['a', 'b'].map((id) =>
        space(id, { split: { axis: 'up', making: overlay(over), members: [], spaces: [space(`${id}1`)] } }),
      );
      return solve(
        piece(space('in', { split: { axis: 'across', members: [{ id: 'mid' }], spaces: banks } })),
        chest(drawers()).workshop,
        {},
      );
    };
    // 8 over from the left bank and 16 from the right one are 24 on a divider of 20.
    expect(check(two(16), 'overlap-')).toMatchObject({ severity: 'stop', state: 'fails' });
    expect(text(two(16), 'overlap-')).toContain('in the same place by 4 mm');
    expect(check(two(12), 'overlap-')).toBeUndefined();
  });

  test('a front that reaches past the outside of its case is for a look', () => {
    const s = chest(overlay(26), 1);
    expect(text(s, 'past-')).toContain('reaches 6 mm past the outside of the case');
    expect(check(chest(overlay(20), 1), 'past-')).toBeUndefined();
  });

  test('runners with no room under the lowest box lie in the bottom: told, and mended', () => {
    const s = chest(drawers({ rise: mm(2) }));
    expect(check(s, 'runner-room-')).toMatchObject({ severity: 'stop' });
    expect(check(s, 'overlap-')).toBeDefined();
    const after = mended(s, 'runner-room-');
    expect([check(after, 'runner-room-'), check(after, 'overlap-')]).toEqual([undefined, undefined]);
  });

  test('what is let into something is not in its way: both layers of a housed shelf', () => {
    const inside = divided('in', 'up', 2);
    Object.assign(inside.split?.members[0] ?? {}, { fix: 'housed', doubled: 'glued' });
    expect(check(solve(piece(inside), workshop(), {}), 'overlap-')).toBeUndefined();
  });

  test('runners end behind inset fronts', () => {
    const s = chest(drawers());
    const runner = s.shape.members.find((m) => m.id === 'd1/runner/left');
    // 300 deep less a front of 20.
    expect(runner?.length.value).toBe(mm(280));
    expect(check(s, 'overlap-')).toBeUndefined();
  });
});

describe('ladder racks', () => {
  const cells = (extra: Partial<Cells> = {}, long = 200): Cells => ({
    kind: 'cells',
    thing: 'tube',
    free: mm(10),
    make: { kind: 'ladders', upright: { stock: 'ply', deep: mm(100) }, support: { stock: 'ply', long: mm(long), wide: mm(20), spares: 0 } },
    blocked: [],
    features: [],
    ...extra,
  });
  const tube = thing({ name: 'tube', mass: asKg(1), shape: { kind: 'cylinder', diameter: mm(80), height: mm(250) }, wayUp: 'lying' });
  const rack = (fill: Cells) => solve(piece(space('in', { filling: fill })), workshop({ things: { tube } }), {});

  test('a support that reaches far past the one upright it is on is a beam held at two places, not carried all along', () => {
    const s = rack(cells());
    const support = s.carried.members.get('in/ladder-support/1-1-left');
    expect(support?.throughout).toBe(false);
    expect(support?.supports.map((x) => x.on)).toEqual([
      { along: [0, 0, 1], at: 220 },
      { along: [0, 0, 1], at: 280 },
    ]);
    // The load of 200 hangs 100 past uprights 100 deep: the rear screws pull down what the front ones push up.
    expect(support?.bending?.verdict.today.mm).toBeGreaterThan(0);
    expect(Math.max(...(support?.supports.map((x) => x.newtons) ?? []))).toBeGreaterThan(support?.total as number);
    expect(rack(cells({}, 100)).carried.members.get('in/ladder-support/1-1-left')?.throughout).toBe(true);
  });

  test('uprights end where something is in the way', () => {
    const blocked = [{ id: 'pipe', name: 'pipe', x: mm(0), y: mm(1200), width: mm(200), height: mm(760) }];
    const s = rack(cells({ blocked }));
    const first = s.shape.members.find((m) => m.id === 'in/ladder-upright/1');
    expect(first?.length.value).toBe(mm(1200));
    const far = s.shape.members.find((m) => m.id === 'in/ladder-upright/5');
    expect(far?.length.value).toBeGreaterThan(mm(1200));
  });

  test('sloping supports begin at the rear and not in what is behind it', () => {
    const s = rack(cells({ features: [{ row: 2, tilt: 10, long: mm(400) }] as never }));
    const sloping = s.shape.members.filter((m) => m.label.startsWith('sloping'));
    expect(sloping.length).toBeGreaterThan(0);
    for (const m of sloping) expect(m.frame.origin.z).toBeGreaterThanOrEqual(ZERO);
  });
});

describe('small ones', () => {
  test('nothing to spare is close, not fine', () => {
    const exact = (width: number) => {
      const inside = divided('in', 'up', 2);
      (inside.split?.spaces[0] as Space).things = [{ thing: 'box', count: 1 }];
      const box = thing({ name: 'box', shape: { kind: 'box', width: mm(width), height: mm(100), depth: mm(100) } });
      return check(solve(piece(inside), workshop({ things: { box } }), {}), 'fits-in-1');
    };
    expect(exact(960)).toMatchObject({ severity: 'look', state: 'close' });
    expect(exact(959)).toMatchObject({ severity: 'good', state: 'fine' });
  });

  test('a reading of what was built that cannot be is asked back, and the plan stands until then', () => {
    const s = solve(piece(space('in')), workshop({ built: { in: { width: mm(1040) } } }), {});
    expect(check(s, 'reading-in-width')).toMatchObject({ severity: 'stop', state: 'fails' });
    expect(text(s, 'reading-in-width')).toContain('a width of 1040 mm in inside, and the whole piece has 1000 mm: read it again');
    expect(check(mended(s, 'reading-in-width'), 'reading-')).toBeUndefined();
    expect(check(solve(piece(space('in')), workshop({ built: { in: { width: mm(962) } } }), {}), 'reading-')).toBeUndefined();
  });

  test('things of a space that was divided later stand nowhere, and that is told', () => {
    const s = solve(piece({ ...divided('in', 'up', 2), things: [{ thing: 'tin', count: 3 }] }), workshop(), {});
    expect(check(s, 'nowhere-in')).toMatchObject({ severity: 'look', state: 'not checked' });
    expect(check(mended(s, 'nowhere-in'), 'nowhere-')).toBeUndefined();
  });

  test('what nobody sees may sag into the room under it, as long as it does not break', () => {
    const kg = (mass: number) => {
      const heavy = new Map(chest(drawers()).workshop.things).set('tin', thing({ mass: asKg(mass) }));
      const shop = { ...chest(drawers()).workshop, things: heavy };
      return solve(chest(drawers()).piece, shop, {}).carried.members.get('d1/drawer-bottom/1');
    };
    const sags = kg(40);
    expect(sags?.bending?.verdict.later?.mm).toBeGreaterThan((sags?.bending?.across as number) / 384);
    expect(sags?.state).toBe('fine');
    // It lies 8 up in a box that stands on its runners, which reach under it.
    expect(sags?.bending?.room).toBe(8);
    expect(kg(200)?.state).toBe('fails');
  });

  test('strips and layers count once a shelf is held to the back', () => {
    const sag = (extra: object) => {
      const inside = divided('in', 'up', 2);
      Object.assign(inside.split?.members[0] ?? {}, { toBack: 'glued', ...extra });
      (inside.split?.spaces[1] as Space).things = [{ thing: 'tin', count: 20, at: 'spread' }];
      const shop = workshop({ stock: { thin: stock({ thickness: mm(12) }) } });
      const c = solve(piece(inside, { back: { kind: 'applied' } }), shop, {}).carried.members.get('in-m1/shelf/1');
      expect(c?.bending?.beside).toBe('back');
      return c?.bending?.verdict.today.mm as number;
    };
    const bare = sag({});
    expect(sag({ doubled: 'glued' }) / bare).toBeCloseTo(1 / 8, 1);
    const strip = { stock: 'ply', high: mm(60), at: 'front', top: 'under', held: 'glued' };
    expect(sag({ strip })).toBeLessThan(bare / 3);
    expect(sag({ strip: { ...strip, at: 'both' } })).toBeLessThan(bare / 3);
  });

  test('a height from contents, a case, a drawer of slivers: nothing is thrown', () => {
    const slivers: Piece[] = [0.02, 0.5, 3].map((w) =>
      piece(divided('in', 'up', 2), { width: given(40 + w), depth: given(1), height: given(45) }),
    );
    for (const p of slivers) expect(() => solve(p, workshop(), {})).not.toThrow();
  });
});

test('moving what stands on it elsewhere is tried, and what makes something else fail is not offered', () => {
  const inside = divided('in', 'up', 3);
  (inside.split?.spaces[2] as Space).things = [{ thing: 'slab', count: 1 }];
  const slab = thing({ name: 'slab', mass: asKg(60), shape: { kind: 'box', width: mm(800), height: mm(100), depth: mm(200) } });
  const s = solve(piece(inside), workshop({ things: { slab } }), {});
  expect(s.carried.members.get('in-m2/shelf/1')?.state).toBe('fails');
  const labels = remediesFor(s, s.workshop, {}, 'in-m2/shelf/1').map((r) => writeExactly(r.label));
  // On the floor of the case it stands; on the other shelf it would be as bad there.
  expect(labels).toContain('Move 1 slab to space 1');
  expect(labels).not.toContain('Move 1 slab to space 2');
});
