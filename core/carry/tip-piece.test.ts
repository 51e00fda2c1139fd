import { writeExactly } from '../figure/index.js';
import { applyEdit } from '../kinds/index.js';
import { FLOOR, rectangular, uprightFrame, type Member, type Space } from '../piece/index.js';
import type { Frame, PanelCase } from '../shells/index.js';
import { ZERO, mm } from '../length/index.js';
import { solve, type Solution } from '../solution/index.js';
import { NO_OVER, box, framePiece, given, level, shop } from '../testing/frame-samples.js';
import { divided, piece, space, workshop } from '../testing/samples.js';
import { massOf, tipLines, tippingCases, usedSo, worstTipping } from './index.js';
import { size } from '../figure/index.js';
import { woodOf } from '../project/index.js';

const POST = {
  node: 'frame',
  role: 'post',
  label: 'post',
  wood: woodOf(shop, 'deal45'),
  length: size('high', mm(700)),
  width: size('wide', mm(45)),
} as const;

describe('what tips a case of 1000 x 2000 x 300', () => {
  const tall = (extra: Partial<PanelCase> = {}) => {
    const inside = divided('in', 'up', 2);
    (inside.split as NonNullable<Space['split']>).spaces.forEach((s) => (s.things = [{ thing: 'tin', count: 5 }]));
    const p = piece(inside, { fixedToWall: false, ...extra });
    return { p, s: solve(p, workshop(), {}) };
  };

  test('empty: its middle is 150 before its feet and 1000 up, on carpet 150 cos 1° − 1000 sin 1° = 132.53', () => {
    const { s } = tall();
    const empty = tippingCases(s.shape, s.carried).find((c) => c.filling === 'empty' && c.to === 'front');
    expect(empty?.kg).toBeCloseTo(s.carried.massKg, 9);
    expect(empty?.tipping.margin).toBeCloseTo(132.53, 1);
    expect(empty?.tipping.pull).toBeCloseTo((s.carried.massKg * 132.525 * 9.81) / 1422, 1);
  });

  test('only the top filled counts what stands above the middle, and tips more easily than all of it', () => {
    const { s } = tall();
    const cases = tippingCases(s.shape, s.carried);
    const of = (filling: string) => cases.find((c) => c.filling === filling && c.to === 'front');
    expect([of('top only')?.kg, of('all')?.kg].map((kg) => (kg as number) - s.carried.massKg)).toEqual([
      expect.closeTo(10, 9),
      expect.closeTo(20, 9),
    ]);
    expect(worstTipping(cases)?.tipping.stands).toBe(Math.min(...cases.map((c) => c.tipping.stands)));
  });

  test('its check offers the wall, and is silent once it is fixed there', () => {
    const shallow = { depth: { from: 'given', size: mm(150), of: 'overall' } } as const;
    expect(tall(shallow).s.checks.find((c) => c.id === 'tips-child')?.fixes).toHaveLength(1);
    expect(tall({ ...shallow, fixedToWall: true }).s.checks.some((c) => c.id.startsWith('tips'))).toBe(false);
  });
});

describe('a table of 1000 x 700 x 500 whose top hangs past its posts at the left', () => {
  const table = (left: number, extra: Partial<Frame> = {}) => {
    const deck = { stock: 'ash27', goes: 'over', gap: ZERO } as const;
    const over = { ...NO_OVER, left: mm(left) };
    return solve(
      framePiece(space('in'), { width: given(1000), top: { level: { ...level('deal45', 95), deck }, over }, ...extra }),
      shop,
      {},
    );
  };
  /** The moment of all its wood about a line across the floor, kg mm, on carpet. */
  const holdingAbout = (s: Solution, x: number) =>
    s.shape.members.reduce((sum, m) => {
      const [x0, x1, y0, y1] = box(s, m.id) as [number, number, number, number];
      const [cos, sin] = [Math.cos(Math.PI / 180), Math.sin(Math.PI / 180)];
      return sum + massOf(m) * (((x0 + x1) / 2 - x) * cos - ((y0 + y1) / 2) * sin);
    }, 0);

  test('whoever leans on that end, 400 N at 50 from its edge, is 350 past its posts and tips it; the posts further out it stands', () => {
    const s = table(400);
    const cases = tippingCases(s.shape, s.carried, usedSo(s.piece, s.shape));
    const left = cases.find((c) => c.to === 'left' && c.filling === 'empty');
    const lifts = (holdingAbout(s, 400) * 9.81) / (350 * Math.cos(Math.PI / 180));
    expect(left?.tipping.down).toMatchObject({ by: { is: 'leant on', newtons: 400 }, lifts: expect.closeTo(lifts, 6) as number });
    expect(lifts).toBeLessThan(400);
    const told = s.checks.find((c) => c.id === 'tips-edge');
    expect(told?.severity).toBe('stop');
    expect(writeExactly(told?.sentence ?? [])).toContain('leans on its edge tips it to the left');
    // It is no storage: the wall is not the way out, and the posts are.
    expect(told?.fixes.map((f) => writeExactly(f.label))).toEqual([
      expect.stringMatching(/^Its posts .* further out at the left, so that it stands$/),
    ]);
    const edit = told?.fixes[0]?.change;
    if (edit?.target !== 'piece') throw new Error('no edit is offered');
    const mended = solve(applyEdit(s.piece, edit.edit), shop, {});
    expect(mended.checks.some((c) => c.id.startsWith('tips'))).toBe(false);
  });

  test('with as much over at every side as feet are in, 50, nobody is past them', () => {
    expect(table(50).checks.some((c) => c.id.startsWith('tips'))).toBe(false);
  });

  test('who sits on it counts as well, at half of what they take up from its end, however high it is', () => {
    const sat = { usedBy: { person: 'anna', how: 'sits on' } } as const;
    const s = table(300, sat);
    const left = tippingCases(s.shape, s.carried, usedSo(s.piece, s.shape)).find((c) => c.to === 'left' && c.filling === 'empty');
    // 1177.2 N at 150 past its posts is more than 400 N at 250.
    expect(left?.tipping.down?.by).toMatchObject({ is: 'sat on', newtons: expect.closeTo(120 * 9.81, 9) as number, at: 150 - 300 });
    expect(left?.tipping.down?.lifts).toBeCloseTo((holdingAbout(s, 300) * 9.81) / (150 * Math.cos(Math.PI / 180)), 6);
  });
});

test('what stands on three feet tips over the lines between them', () => {
  const post = (id: string, x: number, z: number): Member => ({
    ...rectangular({ ...POST, id, frame: uprightFrame({ x: mm(x), y: ZERO, z: mm(z) }) }),
  });
  const members = [post('a', 0, 0), post('b', 1000, 0), post('c', 500, 800)];
  const joints = members.map((m) => ({ carried: m.id, carrier: FLOOR, how: 'bearing' as const }));
  const lines = tipLines({ joints }, members);
  // Of two long sides that meet in front each is 800 by some 450 to 500: its way out is more to the side than to the front.
  const long = lines.filter((l) => Math.abs(l.out[0]) > 0.5 && Math.abs(l.out[1]) > 0.3);
  expect(long.map((l) => l.to).sort()).toEqual(['left', 'right']);
  expect(lines.find((l) => l.to === 'rear')?.at).toBeCloseTo(0, 9);
});
