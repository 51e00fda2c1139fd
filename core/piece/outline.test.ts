import { mm, toMm } from '../length/index.js';
import { areaOf, lengthOf } from '../solid/index.js';
import { corneredOutline, type CornerAt, type Corners } from './outline.js';
import { loopOf } from './solid.js';

const all = (is: 'round' | 'cut', by: number): Corners =>
  Object.fromEntries((['u0v0', 'u1v0', 'u1v1', 'u0v1'] as const).map((at) => [at, { is, by: mm(by) }]));
const loop = (corners: Corners) => loopOf(corneredOutline(mm(700), mm(520), corners));
const area = (corners: Corners) => areaOf({ outline: loop(corners), holes: [] });

test('corners of 60 round 700 by 520: 2336.99 along it, and as much less of its area as four squares less a circle', () => {
  expect(lengthOf(loop(all('round', 60)))).toBeCloseTo(2 * (580 + 400) + 2 * Math.PI * 60, 6);
  expect(lengthOf(loop(all('round', 60)))).toBeCloseTo(2336.99, 2);
  expect(area(all('round', 60))).toBeCloseTo(700 * 520 - (4 - Math.PI) * 60 ** 2, 4);
});

test('cut off they go straight across: four triangles less', () => {
  expect(area(all('cut', 60))).toBeCloseTo(700 * 520 - (4 * 60 ** 2) / 2, 6);
  expect(lengthOf(loop(all('cut', 60)))).toBeCloseTo(2 * (580 + 400) + 4 * Math.hypot(60, 60), 6);
});

test.each(['u0v0', 'u1v0', 'u1v1', 'u0v1'] as const)('%s alone: that corner is gone, the others are there', (at: CornerAt) => {
  const outline = corneredOutline(mm(700), mm(520), { [at]: { is: 'cut', by: mm(60) } });
  const corners = [outline.start, ...outline.sides.map((s) => s.to)].map(({ u, v }) => `${toMm(u)} ${toMm(v)}`);
  const own = `${at.startsWith('u1') ? 700 : 0} ${at.endsWith('v1') ? 520 : 0}`;
  expect(corners).not.toContain(own);
  for (const other of ['0 0', '700 0', '700 520', '0 520']) if (other !== own) expect(corners).toContain(other);
  expect(area({ [at]: { is: 'cut', by: mm(60) } })).toBeCloseTo(700 * 520 - 60 ** 2 / 2, 6);
});

test('an edge of its own in place of the one at the end of v', () => {
  const steps = [
    { u: mm(700), v: mm(100) },
    { u: mm(400), v: mm(100) },
    { u: mm(400), v: mm(300) },
    { u: mm(0), v: mm(300) },
  ];
  expect(areaOf({ outline: loopOf(corneredOutline(mm(700), mm(520), {}, steps)), holes: [] })).toBeCloseTo(300 * 100 + 400 * 300, 6);
});
