import { columnSum, writeExactly, type Figure } from '../../figure/index.js';
import { ZERO, mm, toMm } from '../../length/index.js';
import type { Solution } from '../../solution/index.js';
import { chest, chestShop, drawers } from '../../testing/chest.js';
import { workshop } from '../../testing/samples.js';

const facts = (s: Solution, id: string) => (s.shape.facts.get(id) ?? []).map((f) => [f.name, f.figure && toMm(f.figure.value)] as const);
const stops = (s: Solution, start: string) =>
  s.checks.filter((c) => c.id.startsWith(start)).map((c) => [c.severity, writeExactly(c.sentence)]);

describe('slides and handles', () => {
  const slide = { name: 'slide', lengths: [mm(250), mm(300)], side: mm(12), height: mm(45), setback: mm(3), extension: 1 };
  const shop = workshop({ ...{ stock: Object.fromEntries(chestShop.stock) }, slides: { slide } });
  const on = (length: number, extra = {}) =>
    chest(drawers({ runner: { kind: 'slide', slide: 'slide', length: mm(length) }, ...extra }), 3, {}, shop);

  test('where a slide begins is a fact: behind the front of 20 and its own 3', () => {
    expect(facts(on(250), 'd1')).toContainEqual(['front end of the slide, back from the face', 23]);
  });

  test('a slide that ends past the depth, or is higher than the walls, stops the build', () => {
    // 300 deep: 23 + 300 ends 23 behind.
    expect(stops(on(300, { behind: ZERO }), 'drawer-deep')).toHaveLength(1);
    const far = workshop({ stock: Object.fromEntries(chestShop.stock), slides: { slide: { ...slide, setback: mm(40) } } });
    const late = chest(drawers({ runner: { kind: 'slide', slide: 'slide', length: mm(250) }, behind: ZERO }), 3, {}, far);
    expect(stops(late, 'slide-behind')).toEqual([
      ['stop', 'Slides of 250 mm that stand 60 mm back from the face end 10 mm past the depth there is.'],
    ]);
    // Tray strips of 40 under a profile of 45.
    const low = on(250, { box: { order: 'ends-between', join: 'screwed', bottom: { kind: 'tray', strip: mm(40) } } });
    expect(stops(low, 'slide-high-d1')).toEqual([
      ['stop', 'slide is 45 mm high, and the sides of drawer 1 that it is screwed to are 40 mm.'],
    ]);
  });

  test('a handle in the middle of a front that was set to the grid adds up', () => {
    // 1960 − 4 × 4 over three: 648, and 490 − 3 × 4 over seven is not on the grid.
    const s = chest(drawers({ handle: { name: 'knob', down: 'middle' } }), 7);
    for (const [name, figure] of [...s.shape.facts.values()].flat().flatMap((f) => (f.figure ? [[f.name, f.figure] as const] : [])))
      expect([name, closes(figure)]).toEqual([name, true]);
  });

  test('a handle below its front stops the build', () => {
    expect(stops(chest(drawers({ handle: { name: 'knob', down: mm(700) } })), 'handle-low-d1')).toHaveLength(1);
  });
});

/** Whether a column adds up, worked out from its signs alone. */
function closes(figure: Figure): boolean {
  let sum = 0;
  let right = true;
  const close = (a: number) => (right &&= Math.abs(sum - a) <= 4);
  columnSum(figure).forEach(({ sign, figure: { amount } }, i) => {
    if (i === 0) sum = amount;
    else if (sign === '+' || sign === '') sum += amount;
    else if (sign === '−') sum -= amount;
    else if (sign === '×') sum *= amount;
    else if (sign === '÷') sum /= amount;
    else if (sign === '=') close(amount);
    else if (sign === '→') sum = amount;
  });
  return right;
}
