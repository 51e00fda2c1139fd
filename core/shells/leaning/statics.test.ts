import type { Member } from '../../piece/index.js';
import { planeFrame, type FrameBar, type FrameNode } from '../../testing/plane-frame.js';
import { bentMost, type Standing } from './statics.js';
import { asNewtons, asDegrees } from '../../measures/index.js';

const LEAN = 13;
const slope = Math.tan((LEAN * Math.PI) / 180);
const shelf = (id: string) => ({ id, role: 'shelf' }) as Member;
/** How high shelves are, what is on both sides of each, and how far from the wall the middle of that is. */
const laid = [
  { shelf: shelf('a'), newtons: asNewtons(200), y: 411, z: 330 },
  { shelf: shelf('b'), newtons: asNewtons(120), y: 844, z: 250 },
  { shelf: shelf('c'), newtons: asNewtons(160), y: 1277, z: 170 },
  { shelf: shelf('d'), newtons: asNewtons(60), y: 1711, z: 90 },
];
const standing: Standing = { weight: asNewtons(540), out: 230, foot: [439, 562], high: 1900, wall: asNewtons(0), laid };

test('a side is bent at its shelves as a plane frame by stiffness says, reckoned from its foot up', () => {
  const middle = 500.5;
  const axis = (y: number) => middle - y * slope;
  // The side from foot to wall, with a stiff arm at each shelf to where its load lies.
  const levels = [0, ...laid.map((l) => l.y), 1900];
  const nodes: FrameNode[] = levels.map((y, i): FrameNode => {
    const held = i === 0 ? ([true, true, false] as const) : i === levels.length - 1 ? ([true, false, false] as const) : undefined;
    return { x: axis(y), y, ...(held ? { held } : {}) };
  });
  const stiff = { EA: 1e9, EI: 3e10, kGA: 1e9 };
  const bars: FrameBar[] = levels.slice(1).map((_, i) => ({ from: i, to: i + 1, ...stiff }));
  laid.forEach((l, i) => {
    nodes.push({ x: l.z, y: l.y });
    bars.push({ from: i + 1, to: nodes.length - 1, ...stiff });
  });
  const loads = nodes.map((_, i) => (i < levels.length ? 0 : (laid[i - levels.length]?.newtons ?? 0) / 2));
  const { reactions } = planeFrame(nodes, bars, loads);
  const [level, up] = reactions[0] as readonly [number, number, number];
  expect(Math.abs(up)).toBeCloseTo(270, 4);
  // From below: what the foot gives turns the side about each shelf, over and under it.
  const under = (y: number, counted: typeof laid) =>
    Math.abs(up) * (middle - axis(y)) - Math.abs(level) * y - counted.reduce((sum, l) => sum + (l.newtons / 2) * (l.z - axis(y)), 0);
  const all = laid.flatMap((l) => [laid.filter((k) => k.y < l.y), laid.filter((k) => k.y <= l.y)].map((c) => Math.abs(under(l.y, c))));
  const { moment } = bentMost(standing, asDegrees(LEAN));
  expect(moment).toBeGreaterThan(1000);
  expect(moment).toBeCloseTo(Math.max(...all), 0);
});

test('one load in the middle of a side that leans: W e / 2 at its arm, as a beam with a moment in it', () => {
  // The load over the middle of the side itself bends it as W a / 4 over the level span a.
  const one = [{ shelf: shelf('a'), newtons: asNewtons(400), y: 950, z: 500.5 - 950 * slope }];
  const { moment, at } = bentMost({ ...standing, laid: one }, asDegrees(LEAN));
  expect(at).toBe(950);
  expect(moment).toBeCloseTo((200 * 1900 * slope) / 4, 6);
});
