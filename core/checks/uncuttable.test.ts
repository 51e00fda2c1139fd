import { writeExactly } from '../figure/index.js';
import { ZERO, mm } from '../length/index.js';
import type { Drawers } from '../interiors/index.js';
import type { PanelCase } from '../shells/index.js';
import { solve, type Solution } from '../solution/index.js';
import { chest, chestShop, drawers } from '../testing/chest.js';
import { divided, opening, piece, workshop, panels } from '../testing/samples.js';

const shelves = (extra: Partial<PanelCase> = {}) => solve(piece(divided('in', 'up', 3), extra), workshop(), {});
const boxed = (bottom: Drawers['box']['bottom']) => drawers({ box: { order: 'ends-between', join: 'screwed', bottom } });
const stops = (s: Solution) => s.checks.filter((c) => c.severity === 'stop').map((c) => writeExactly(c.sentence));

test.each<[string, () => Solution]>([
  ['end clearance 300', () => shelves({ panels: panels({ looseEnd: mm(600) }) })],
  ['a setback deeper than the case', () => shelves({ panels: panels({ setback: mm(350) }) })],
  ['a groove slack of 400', () => chest(boxed({ kind: 'groove', depth: mm(4), up: mm(8), slack: mm(400) }))],
  ['a groove slack of 2000', () => chest(boxed({ kind: 'groove', depth: mm(4), up: mm(8), slack: mm(2000) }))],
  ['a back slack of 2000', () => shelves({ back: { kind: 'groove', depth: mm(5), inset: ZERO, slack: mm(2000) } })],
  ['banding of 400', () => shelves({ edges: { front: 'banded', banding: mm(400) } })],
  ['a plinth set back by more than the case', () => shelves({ base: { kind: 'plinth', height: mm(80), setback: mm(290), bearers: true } })],
  [
    'reveals wider than the opening',
    () => chest(drawers({ front: { kind: 'inset', between: mm(4), below: mm(4), above: mm(4), sides: mm(600), setback: ZERO } })),
  ],
  ['a box lower by more than its front', () => chest(drawers({ less: mm(700) }))],
  ['free behind by more than the depth', () => chest(drawers({ behind: mm(400) }))],
  ['runners free by more than the opening', () => chest(drawers({ runner: { kind: 'plain', side: mm(600) } }))],
  [
    'a front set back by more than the depth',
    () => chest(drawers({ front: { kind: 'inset', between: mm(4), below: mm(4), above: mm(4), sides: mm(2), setback: mm(350) } })),
  ],
  [
    'drawers on a grid of 1000',
    () => solve({ ...chest(drawers()).piece, rounding: { grid: mm(1000), set: 'gaps', leftover: 'last' } }, chestShop, {}),
  ],
  [
    'a slack round it that leaves nothing',
    () =>
      solve(
        piece(divided('in', 'up', 3), { opening: 'gap', width: { from: 'opening' } }),
        workshop({ opening: opening({ slack: { side: mm(495), above: ZERO, behind: ZERO } }) }),
        {},
      ),
  ],
  [
    'a space measured wider than the case',
    () => solve(piece(divided('in', 'up', 3)), workshop({ built: { in: { width: mm(1500) } } }), {}),
  ],
])('%s: no part without a size is listed, and the build is stopped', (_, make) => {
  const s = make();
  for (const part of s.parts) {
    for (const size of [part.length.value, part.width.value, part.cut.length.set, part.cut.width.set]) expect(size).toBeGreaterThan(0);
  }
  expect(stops(s)).not.toEqual([]);
});

test.each([0.1, 0.5, 1, 50, 100, 400])('a setting-out grid of %s sets no saw', (grid) => {
  const s = solve({ ...piece(divided('in', 'up', 3)), rounding: { grid: mm(grid), set: 'gaps', leftover: 'last' } }, workshop(), {});
  // 2000 − 2 × 20 less nothing, in 960 between the sides, 300 deep: whatever the spaces are set to.
  expect(s.parts.filter((p) => p.member.role === 'shelf').map((p) => [p.cut.length.set, p.cut.width.set])).toEqual([
    [mm(960), mm(300)],
    [mm(960), mm(300)],
  ]);
});
