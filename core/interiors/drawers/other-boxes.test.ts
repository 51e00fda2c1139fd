import { mm, toMm, type Length } from '../../length/index.js';
import { boxOf, type Member } from '../../piece/index.js';
import { applyEdit, namedIn } from '../../kinds/index.js';
import { remediesFor, type Solution } from '../../solution/index.js';
import { chest, chestShop, drawers } from '../../testing/chest.js';
import type { Fix } from '../../finding/index.js';
import type { Drawers } from '../index.js';

const groove = { kind: 'groove', depth: mm(4), up: mm(8), slack: mm(1) } as const;
const slidIn = { order: 'ends-between', join: 'screwed', bottom: { ...groove, slidIn: true } } as const satisfies Drawers['box'];

const member = (s: Solution, id: string): Member => {
  const found = s.shape.members.find((m) => m.id === id);
  if (!found) throw new Error(`there is no ${id}`);
  return found;
};
const sizes = (s: Solution, id: string) => [member(s, id).length, member(s, id).width].map((f) => toMm(f.value));
/** The piece as a fix of a check would have it. */
const withFix = (s: Solution, fix: Fix | undefined) => {
  if (fix?.change.target !== 'piece') throw new Error('it does not change the piece');
  return applyEdit(s.piece, fix.change.edit);
};
const stops = (s: Solution) => s.checks.filter((c) => c.severity === 'stop').map((c) => c.id);

/** The chest is 960 x 300 inside; boxes of 950 x 266, that is 300 less a front of 20, and 10 left behind: 270 deep, between walls of 10. */
describe('a bottom slid in under a low back', () => {
  const s = chest(drawers({ box: slidIn }));

  test('the back is lower by the bottom of 5 and the 8 under it, and stands on the bottom', () => {
    const [back, front, bottom] = ['d1/drawer-end/back', 'd1/drawer-end/front', 'd1/drawer-bottom/1'].map((id) => boxOf(member(s, id)));
    expect(toMm((front as never as { y1: Length }).y1)).toBe(toMm((back as never as { y1: Length }).y1));
    expect(sizes(s, 'd1/drawer-end/front')[1]).toBeCloseTo((sizes(s, 'd1/drawer-end/back')[1] as number) + 13, 6);
    expect(back?.y0).toBe(bottom?.y1);
    expect(back?.z0).toBe(bottom?.z0);
  });

  test('it goes from the outside of the back into the groove of the front: 250 + 10 + 4 - 1 = 263, and into both sides: 930 + 8 - 1', () => {
    expect(sizes(s, 'd1/drawer-bottom/1')).toEqual([937, 263]);
    // In grooves all round it is 250 + 8 - 1.
    expect(sizes(chest(drawers()), 'd1/drawer-bottom/1')).toEqual([937, 257]);
  });

  test('the front and both sides are grooved for it, the back is not', () => {
    const grooved = (id: string) => member(s, id).features.filter((f) => f.kind === 'groove').length;
    expect(['front', 'back'].map((end) => grooved(`d1/drawer-end/${end}`))).toEqual([1, 0]);
    expect(['left', 'right'].map((side) => grooved(`d1/drawer-side/${side}`))).toEqual([1, 1]);
    expect(stops(s)).toEqual([]);
  });

  test('the other way round the drawer, and from the rear, it is the same', () => {
    for (const order of ['ends-between', 'sides-between'] as const) {
      const rear = chest(drawers({ face: 'rear', box: { ...slidIn, order } }), 3, { back: { kind: 'none' } });
      const [back, bottom] = ['d1/drawer-end/back', 'd1/drawer-bottom/1'].map((id) => boxOf(member(rear, id)));
      expect(bottom?.z1).toBe(back?.z1);
      expect(rear.checks.filter((c) => c.id.startsWith('overlap-'))).toEqual([]);
    }
  });

  test('a muntin has no back to be screwed to: told, with two ways out that both solve it', () => {
    const muntin = { stock: 'wall', wide: mm(80) };
    const wrong = chest(drawers({ box: { ...slidIn, muntin } }));
    const told = wrong.checks.find((c) => c.id.startsWith('muntin-slid'));
    expect(told?.severity).toBe('stop');
    expect(told?.fixes).toHaveLength(2);
    for (const fix of told?.fixes ?? []) {
      expect(JSON.stringify(withFix(wrong, fix))).not.toMatch(/slidIn.*muntin|muntin.*slidIn/);
    }
    expect(remediesFor(s, chestShop, {}, 'd1/drawer-bottom/1').some((r) => JSON.stringify(r.edit).includes('muntin'))).toBe(false);
  });
});

describe('one box of a bank made otherwise', () => {
  const other = {
    drawer: 'd2',
    box: { order: 'sides-between', join: 'nailed', bottom: { kind: 'rebate', depth: mm(5), slack: mm(1) } },
    stock: { box: 'ply', bottom: 'bottom' },
  } as const;
  const s = chest(drawers({ others: [other] }));

  test('its walls are of 20 and its front and back 950 long, those of the others of 10 and 930', () => {
    expect([1, 2, 3].map((n) => toMm(member(s, `d${n}/drawer-side/left`).thickness.value))).toEqual([10, 20, 10]);
    expect([1, 2, 3].map((n) => sizes(s, `d${n}/drawer-end/back`)[0])).toEqual([930, 950, 930]);
    expect(sizes(s, 'd2/drawer-bottom/1')).toEqual([919, 239]);
    expect(stops(s)).toEqual([]);
  });

  test('what is clear in it follows: 20 less across and deep than beside it', () => {
    const clear = (n: number) => s.shape.spaces.get(`d${n}`)?.clear;
    const [one, two] = [clear(1), clear(2)];
    expect(toMm(one?.width.value as Length) - toMm(two?.width.value as Length)).toBe(20);
    expect(toMm(one?.depth.value as Length) - toMm(two?.depth.value as Length)).toBe(20);
  });

  test('its stock is named, and changed for it alone', () => {
    const before = namedIn(chest(drawers()).piece.interior).filter((n) => n.kind === 'stock' && n.id === 'ply').length;
    expect(namedIn(s.piece.interior).filter((n) => n.kind === 'stock' && n.id === 'ply').length).toBe(before + 1);
  });

  test('what is wrong with it is told of it, and mended in it', () => {
    const loose = { ...other, box: { ...other.box, bottom: { ...groove, slack: mm(5) } } };
    const wrong = chest(drawers({ others: [loose] }));
    const told = wrong.checks.find((c) => c.id.startsWith('bottom-slips'));
    expect(told?.about).toEqual({ kind: 'space', id: 'd2' });
    const mended = withFix(wrong, told?.fixes[0]);
    const making = mended.interior.split?.making as Drawers;
    expect([making.box.bottom, making.others?.[0]?.box.bottom].map((b) => b?.kind === 'groove' && toMm(b.slack))).toEqual([1, 1]);
  });

  test('a copy of the layout has it too, under its own name', () => {
    const two = applyEdit(
      {
        ...s.piece,
        interior: {
          id: 'all',
          rule: { kind: 'share', weight: 1 },
          things: [],
          split: {
            axis: 'across',
            members: [{ id: 'mid' }],
            spaces: [s.piece.interior, { id: 'beside', rule: { kind: 'share', weight: 1 }, things: [] }],
          },
        },
      } as never,
      { kind: 'copy-layout', from: 'in', to: 'beside', ids: { d1: 'e1', d2: 'e2', d3: 'e3', r1: 'q1', r2: 'q2' } },
    );
    const making = two.interior.split?.spaces[1]?.split?.making as Drawers;
    expect(making.others?.map((o) => o.drawer)).toEqual(['e2']);
  });
});
