import { carry } from '../carry/index.js';
import { writeExactly } from '../figure/index.js';
import { mm } from '../length/index.js';
import { boxOf, facingFrame, rectangular, type Space } from '../piece/index.js';
import { size } from '../figure/index.js';
import { woodOf } from '../project/index.js';
import { solve, type Solution } from '../solution/index.js';
import { boltedBench, divided, panels, piece, workshop } from '../testing/samples.js';
import { handChecks } from './hands.js';

const told = (s: Solution) => s.checks.filter((c) => c.id.startsWith('driver-')).map((c) => [c.state, writeExactly(c.sentence)]);

/** A case with a narrow bay at its left and a shelf in the bay beside, screwed through the divider between. */
function narrowBay(wide: number): Solution {
  const bays: Space = divided('bays', 'across', 2);
  const [left, right] = bays.split?.spaces ?? [];
  if (!bays.split || !left || !right) throw new Error('not divided');
  const shelf = { ...divided(right.id, 'up', 2), id: right.id };
  const spaces = [{ ...left, rule: { kind: 'fixed', size: mm(wide) } as const }, shelf];
  return solve(piece({ ...bays, split: { ...bays.split, spaces } }, { panels: panels({ fix: 'butted' }) }), workshop(), {});
}

test('a driver needs room behind what it screws through: a bay of 60 has none, one of 150 takes an angled head, one of 300 any', () => {
  expect(told(narrowBay(60))).toEqual([['fails', expect.stringMatching(/^No driver gets to the screws of .*: there are 60 mm between /)]]);
  expect(told(narrowBay(150))).toEqual([
    ['close', expect.stringMatching(/^Only a driver with an angled head .*: there are 150 mm between /)],
  ]);
  expect(told(narrowBay(300))).toEqual([]);
});

test('nuts in the end of a rail want one of its faces free', () => {
  const { bench, shop } = boltedBench();
  const s = solve(bench, shop, {});
  const nuts = (of: Solution['shape']) => handChecks(of, carry(of, shop), s.letters, shop.settings).filter((c) => c.id.startsWith('nuts-'));
  // The bar covers the inside; from outside they are put in.
  expect(nuts(s.shape)).toEqual([]);
  const rail = s.shape.members.find((m) => m.id === 'frame-top/rail/1');
  if (!rail) throw new Error('no rail');
  const box = boxOf(rail);
  const before = (gap: number) =>
    rectangular({
      id: 'apron',
      node: 'apron',
      role: 'rail',
      label: 'apron',
      wood: woodOf(shop, 'rail'),
      length: size('long', mm(1200)),
      width: size('wide', mm(95)),
      frame: facingFrame({ x: mm(0), y: box.y0, z: (box.z1 + mm(gap)) as typeof box.z1 }),
    });
  const withApron = (gap: number) => nuts({ ...s.shape, members: [...s.shape.members, before(gap)] });
  expect(withApron(0).map((c) => [c.id, c.severity])).toEqual([['nuts-frame-top/rail/1', 'look']]);
  expect(withApron(40)).toHaveLength(1);
  expect(withApron(80)).toEqual([]);
});
