import { writeExactly } from '../figure/index.js';
import { mm } from '../length/index.js';
import { chest, drawers } from '../testing/chest.js';
import { stock, workshop } from '../testing/samples.js';

/** A chest whose drawer bottoms are of a board of white ash, or of a sheet. */
const bottomsOf = (solid: boolean, slack: number) => {
  const ash = stock({ name: 'ash 5', form: 'board', material: 'white-ash', thickness: mm(5), width: mm(400), length: mm(2400) });
  const shop = workshop({
    stock: { wall: stock({ name: 'wall', thickness: mm(10) }), bottom: solid ? ash : stock({ name: 'bottom', thickness: mm(5) }) },
  });
  const bottom = { kind: 'groove', depth: mm(4), up: mm(8), slack: mm(slack) } as const;
  return chest(drawers({ box: { order: 'ends-between', join: 'screwed', bottom } }), 1, {}, shop);
};
const told = (s: ReturnType<typeof bottomsOf>) => s.checks.find((c) => c.id === 'moves-d1/drawer-bottom/1');

// 300 deep, less a front of 20, 10 behind and two walls of 10: 250, and 8 in grooves less 1.
describe('a drawer bottom of solid wood in grooves of 4 on all sides, 257 across its grain', () => {
  test('swells by 257 · 0.00274 · 4 = 2.8 over a year, and 1 of play is too little', () => {
    const check = told(bottomsOf(true, 1));
    expect(check?.severity).toBe('look');
    expect(writeExactly(check?.sentence ?? [])).toMatch(/moves 1\.7 mm to 2\.8 mm across its grain .* and has 1 mm of play in its grooves/);
  });

  test('cut 4 smaller it has the room; a sheet does not move', () => {
    expect(told(bottomsOf(true, 4))).toBeUndefined();
    expect(told(bottomsOf(false, 1))).toBeUndefined();
  });
});
