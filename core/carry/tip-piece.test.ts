import type { Space } from '../piece/index.js';
import type { PanelCase } from '../shells/index.js';
import { mm } from '../length/index.js';
import { solve } from '../solution/index.js';
import { divided, piece, workshop } from '../testing/samples.js';
import { tippingCases, worstTipping } from './index.js';

describe('what tips a case of 1000 x 2000 x 300', () => {
  const tall = (extra: Partial<PanelCase> = {}) => {
    const inside = divided('in', 'up', 2);
    (inside.split as NonNullable<Space['split']>).spaces.forEach((s) => (s.things = [{ thing: 'tin', count: 5 }]));
    const p = piece(inside, { fixedToWall: false, ...extra });
    return { p, s: solve(p, workshop(), {}) };
  };

  test('empty: its middle is 150 before its feet and 1000 up, on carpet 150 cos 1° − 1000 sin 1° = 132.53', () => {
    const { s } = tall();
    const empty = tippingCases(s.shape, s.carried).find((c) => c.filling === 'empty');
    expect(empty?.kg).toBeCloseTo(s.carried.massKg, 9);
    expect(empty?.tipping.margin).toBeCloseTo(132.53, 1);
    expect(empty?.tipping.pull).toBeCloseTo((s.carried.massKg * 132.525 * 9.81) / 1422, 1);
  });

  test('only the top filled counts what stands above the middle, and tips more easily than all of it', () => {
    const { s } = tall();
    const cases = tippingCases(s.shape, s.carried);
    const of = (filling: string) => cases.find((c) => c.filling === filling);
    expect([of('top only')?.kg, of('all')?.kg].map((kg) => (kg as number) - s.carried.massKg)).toEqual([
      expect.closeTo(10, 9),
      expect.closeTo(20, 9),
    ]);
    expect(worstTipping(cases)?.tipping.pull).toBe(Math.min(...cases.map((c) => c.tipping.pull)));
  });

  test('its check offers the wall, and is silent once it is fixed there', () => {
    const shallow = { depth: { from: 'given', size: mm(150), of: 'overall' } } as const;
    expect(tall(shallow).s.checks.find((c) => c.id === 'tips-child')?.fixes).toHaveLength(1);
    expect(tall({ ...shallow, fixedToWall: true }).s.checks.some((c) => c.id.startsWith('tips'))).toBe(false);
  });
});
