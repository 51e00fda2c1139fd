import { writeExactly } from '../figure/index.js';
import { ZERO, mm, toMm, type Length } from '../length/index.js';
import type { Space } from '../piece/index.js';
import type { PanelCase } from '../shells/index.js';
import { solve, type Solution } from '../solution/index.js';
import { chest, drawers } from '../testing/chest.js';
import { divided, piece, space, workshop, panels } from '../testing/samples.js';
import { asKg } from '../measures/index.js';

const check = (s: Solution, start: string) => s.checks.find((c) => c.id.startsWith(start));
const text = (s: Solution, start: string) => writeExactly(check(s, start)?.sentence ?? []);

/** Two bays with a shelf each, and between them a divider or nothing but 24 of room. */
function bays(between: object, fix: 'loose' | 'butted' | 'housed'): Solution {
  const bay = (id: string): Space => {
    const column = divided(id, 'up', 2);
    const above = column.split?.spaces[1];
    if (above) above.things = [{ thing: 'tin', count: 3 }];
    return column;
  };
  const inside = space('in', { split: { axis: 'across', members: [{ id: 'mid', ...between }], spaces: [bay('l'), bay('r')] } });
  return solve(piece(inside, { panels: panels({ fix, looseEnd: mm(1) }) }), workshop(), {});
}

describe('a member is held only where something is', () => {
  test.each(['loose', 'butted', 'housed'] as const)('shelves that end at an open gap of 24, %s, come down and stop the build', (fix) => {
    const s = bays({ room: mm(24) }, fix);
    const c = check(s, 'falls-');
    expect([c?.severity, c?.state]).toEqual(['stop', 'fails']);
    expect(text(s, 'falls-')).toMatch(/^2 shelves come down/);
    expect(text(s, 'falls-')).toContain('only one end of it is held');
    // Nothing is said to carry them at the far side, 470 away.
    for (const id of ['l-m1/shelf/1', 'r-m1/shelf/1']) expect(s.carried.members.get(id)).toMatchObject({ state: 'fails', falls: true });
    expect(s.shape.joints.filter((j) => j.carried === 'l-m1/shelf/1').map((j) => j.carrier)).toEqual(['case/side/left']);
  });

  test('with a divider there they stand', () => {
    const s = bays({}, 'loose');
    expect(check(s, 'falls-')).toBeUndefined();
    expect(s.carried.members.get('l-m1/shelf/1')?.supports.map((x) => x.carrier)).toEqual(['case/side/left', 'mid/divider/1']);
  });

  test('pins do not reach a shelf that is cut 8 short at each end', () => {
    const short = (looseEnd: number) => {
      const inside = divided('in', 'up', 2);
      const extra: Partial<PanelCase> = { panels: panels({ looseEnd: mm(looseEnd) }) };
      return check(solve(piece(inside, extra), workshop(), {}), 'falls-')?.severity;
    };
    expect([short(1), short(5), short(8)]).toEqual([undefined, undefined, 'stop']);
  });

  test('of plain drawers one above the other only the lowest lies on the bottom', () => {
    const s = chest(
      drawers({ runner: { kind: 'plain', side: mm(5) }, rise: ZERO, front: { kind: 'none', between: mm(4), below: ZERO, above: ZERO } }),
    );
    expect(s.carried.members.get('d1/drawer-side/left')?.falls).toBe(false);
    expect(['d2', 'd3'].map((d) => s.carried.members.get(`${d}/drawer-side/left`)?.falls)).toEqual([true, true]);
    expect(text(s, 'plain-stacked')).toBe('Only the lowest of 3 drawers lies on what is below it: nothing carries the others.');
    const fix = check(s, 'plain-stacked')?.fixes[0]?.change;
    if (fix?.target !== 'piece') throw new Error('there is no fix');
    expect(fix.edit).toMatchObject({ making: { runner: { kind: 'wooden', stock: 'wall' } } });
  });
});

describe('what has no mass is missing wherever it would go', () => {
  const unknown = {
    name: 'pot',
    shape: { kind: 'box', width: mm(900), height: mm(100), depth: mm(100) },
    count: 9,
    clearance: ZERO,
    wayUp: 'upright',
    stack: 1,
  } as const;
  const shop = workshop({ things: { pot: unknown } });
  const inside = divided('in', 'up', 2);
  (inside.split as NonNullable<Space['split']>).spaces[1] = space('in-2', { things: [{ thing: 'pot', count: 1 }] });
  const toe = { kind: 'toe', height: mm(80), setback: mm(50), bearers: false } as const;

  test('the shelf, and the sides below it, are not checked', () => {
    const { members } = solve(piece(inside), shop, {}).carried;
    for (const id of ['in-m1/shelf/1', 'case/side/left', 'case/side/right']) {
      expect(members.get(id)).toMatchObject({ state: 'not checked', unknown: ['pot'], missing: 'the mass of pot' });
    }
    // What does not carry it is judged as before.
    expect(members.get('case/top/1')?.unknown).toEqual([]);
  });

  test('a divider and the bottom that it stands on are not checked either', () => {
    const across = divided('w', 'across', 2);
    (across.split as NonNullable<Space['split']>).spaces[0] = { ...inside, id: 'w-1' };
    const { members } = solve(piece(across, { base: toe }), shop, {}).carried;
    expect(members.get('w-m1/divider/1')?.unknown).toEqual(['pot']);
    expect(members.get('case/bottom/1')).toMatchObject({ state: 'not checked', unknown: ['pot'] });
  });

  test('a free-standing case: whether it tips is not checked, where it would not tip empty', () => {
    const free = solve(piece(inside, { fixedToWall: false, depth: { from: 'given', size: mm(600), of: 'overall' }, base: toe }), shop, {});
    expect(check(free, 'tips-')).toMatchObject({ id: 'tips-unknown', state: 'not checked', severity: 'look' });
    expect(text(free, 'tips-')).toContain('the mass of pot is not known');
  });
});

describe('drawers that nothing is entered for', () => {
  const slides = {
    run: { name: 'runner', lengths: [mm(250)], side: mm(12), height: mm(45), setback: ZERO, rating: asKg(100), extension: 1 },
  };
  const empty = chest(
    drawers({ runner: { kind: 'slide', slide: 'run', length: mm(250) } }),
    2,
    {},
    { ...chest(drawers()).workshop, slides: new Map(Object.entries(slides)) },
  );

  test('take what stores at home hold, named as assumed', () => {
    // Only the lowest has two tins in it.
    const bottom = empty.carried.members.get('d2/drawer-bottom/1');
    const { width, depth } = empty.shape.spaces.get('d2')?.clear as { width: { value: Length }; depth: { value: Length } };
    // 0.65 kN/m2.
    const kg = ((toMm(width.value) / 1000) * (toMm(depth.value) / 1000) * 650) / 9.81;
    expect(bottom?.standing).toEqual([expect.objectContaining({ assumed: 'stores', kg: expect.closeTo(kg, 6) as number })]);
    expect(bottom?.state).toBe('fine');
    expect(text(empty, 'assumed')).toContain('Nothing is entered for');
    expect(text(empty, 'rated')).toBe('2 drawers stay within the rating of the slides.');
  });

  test('take books where the piece is for those: 1.4 kN/m², and no more than 35 kg on a metre', () => {
    const books = solve({ ...empty.piece, forBooks: true }, empty.workshop, {});
    const { width, depth } = empty.shape.spaces.get('d2')?.clear as { width: { value: Length }; depth: { value: Length } };
    const kg = (toMm(width.value) / 1000) * Math.min(35, ((toMm(depth.value) / 1000) * 1400) / 9.81);
    expect(books.carried.members.get('d2/drawer-bottom/1')?.standing).toEqual([
      expect.objectContaining({ assumed: 'books', kg: expect.closeTo(kg, 6) as number }),
    ]);
    expect(text(books, 'assumed')).toContain('is assumed, as books weigh.');
  });
});
