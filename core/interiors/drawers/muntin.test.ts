import { writeExactly } from '../../figure/index.js';
import { mm, toMm } from '../../length/index.js';
import { boxOf } from '../../piece/index.js';
import { namedIn } from '../../kinds/index.js';
import { remediesFor, solve } from '../../solution/index.js';
import { chest, chestShop, drawers } from '../../testing/chest.js';
import { thing } from '../../testing/samples.js';
import { asKg } from '../../measures/index.js';

const box = { order: 'ends-between', join: 'screwed', bottom: { kind: 'groove', depth: mm(4), up: mm(8), slack: mm(1) } } as const;
const muntin = { stock: 'wall', wide: mm(80) } as const;
const BOTTOM = 'd1/drawer-bottom/1';

describe('a muntin under the middle of a drawer bottom', () => {
  const plain = chest(drawers({ box }));
  const s = chest(drawers({ box: { ...box, muntin } }));
  const member = s.shape.members.find((m) => m.id === 'd1/muntin/1');

  test('lies between the back and the inner front, under the bottom, in its middle', () => {
    if (!member) throw new Error('there is no muntin');
    const [own, bottom] = [boxOf(member), boxOf(s.shape.members.find((m) => m.id === BOTTOM) as never)];
    expect(toMm(own.y1)).toBe(toMm(bottom.y0));
    expect(toMm(own.x0) + toMm(own.x1)).toBeCloseTo(toMm(bottom.x0) + toMm(bottom.x1), 2);
    expect([toMm(member.length.value), toMm(member.width.value), toMm(member.thickness.value)]).toEqual([250, 80, 10]);
    expect(s.checks.some((c) => c.id.startsWith('overlap-'))).toBe(false);
  });

  test('the bottom goes from side to side over it, and sags less', () => {
    const [was, is] = [plain, s].map((one) => one.carried.members.get(BOTTOM));
    expect(is?.supports.map((x) => x.carrier)).toEqual(
      expect.arrayContaining(['d1/drawer-side/left', 'd1/drawer-side/right', 'd1/muntin/1', 'd1/drawer-end/back', 'd1/drawer-end/front']),
    );
    expect(is?.bending?.verdict.today.mm).toBeLessThan(was?.bending?.verdict.today.mm as number);
    expect(is?.supports.reduce((sum, x) => sum + x.newtons, 0)).toBeCloseTo(is?.total as number, 2);
  });

  test('it bends itself, from the back to the front, and its stock is named', () => {
    const carried = s.carried.members.get('d1/muntin/1');
    expect(carried?.bending?.along).toEqual([0, 0, 1]);
    expect(carried?.supports.map((x) => x.carrier)).toEqual(['d1/drawer-end/back', 'd1/drawer-end/front']);
    expect(namedIn(s.piece.interior).filter((n) => n.kind === 'stock').length).toBeGreaterThan(
      namedIn(plain.piece.interior).filter((n) => n.kind === 'stock').length,
    );
  });

  test('it is tried for a bottom that may break', () => {
    const shop = { ...chestShop, things: new Map(chestShop.things).set('tin', thing({ mass: asKg(150) })) };
    const heavy = solve(plain.piece, shop, {});
    expect(heavy.carried.members.get(BOTTOM)?.state).toBe('fails');
    const labels = remediesFor(heavy, shop, {}, BOTTOM).map((r) => writeExactly(r.label));
    expect(labels.some((l) => l.startsWith('Use ') && l.endsWith('for every drawer bottom'))).toBe(true);
  });
});
