import fc from 'fast-check';
import { writeExactly } from '../figure/index.js';
import { ZERO, mm } from '../length/index.js';
import { solve } from '../solution/index.js';
import { NO_OVER, framePiece, level, shop } from '../testing/frame-samples.js';
import { runs } from '../testing/runs.js';
import { space } from '../testing/samples.js';
import { balanced, massFromWall } from './index.js';

const sum = (all: readonly number[]) => all.reduce((a, b) => a + b, 0);

describe('four feet of a table of 1000 by 500', () => {
  const feet = [0, 1000].flatMap((x) => [0, 500].map((z) => ({ x, z, load: 5 })));

  test('a load in its middle changes nothing but its share', () => {
    expect(balanced(feet, { x: 500, z: 250, load: 28 })).toEqual([7, 7, 7, 7]);
  });

  test('one of 20 kg that stands 250 from the left: three quarters of it are on the two at the left', () => {
    // 20 kg of its own in the middle, 20 more at 250: the middle of all at 375.
    expect(balanced(feet, { x: 375, z: 250, load: 40 }).map((n) => Math.round(n * 1e9) / 1e9)).toEqual([12.5, 12.5, 7.5, 7.5]);
  });

  test('where it is past three of them the fourth lifts, and the three take all', () => {
    const loads = balanced(feet, { x: 250, z: 125, load: 40 });
    expect(loads.every((n) => n >= 0)).toBe(true);
    expect(sum(loads)).toBeCloseTo(40, 9);
    expect(sum(loads.map((n, i) => n * (feet[i]?.x ?? 0)))).toBeCloseTo(40 * 250, 6);
    expect(sum(loads.map((n, i) => n * (feet[i]?.z ?? 0)))).toBeCloseTo(40 * 125, 6);
  });
});

test('in a spread as narrow as a splinter it still comes to the whole: two posts in one place, two 7 apart', () => {
  const feet = [
    { x: 0, z: 200, load: 0 },
    { x: 0, z: 200, load: 0 },
    { x: 1034, z: 0, load: 0 },
    { x: 1027, z: 0, load: 0 },
  ];
  // 5 in all, at 619 and 80: two fifths of it over the far end, the rest as 2 to 1 on the others.
  const loads = balanced(feet, { x: 619, z: 80, load: 5 });
  [1, 1, 2, 1].forEach((n, i) => expect(loads[i]).toBeCloseTo(n, 6));
});

test('posts in two rows come to the weight of a piece where that is, and none pulls', () => {
  const foot = fc.record({
    x: fc.integer({ min: 0, max: 2000 }),
    load: fc.integer({ min: 0, max: 90 }),
    part: fc.integer({ min: 1, max: 50 }),
  });
  const row = fc.array(foot, { minLength: 2, maxLength: 5 });
  fc.assert(
    fc.property(row, row, fc.integer({ min: 200, max: 900 }), (front, rear, deep) => {
      const feet = [...front.map((f) => ({ ...f, z: deep })), ...rear.map((f) => ({ ...f, z: 0 }))];
      // Its weight lies somewhere among them: as if each carried some part of it.
      const load = sum(feet.map((f) => f.part));
      const whole = { x: sum(feet.map((f) => f.x * f.part)) / load, z: sum(feet.map((f) => f.z * f.part)) / load, load };
      const loads = balanced(feet, whole);
      expect(Math.min(...loads)).toBeGreaterThanOrEqual(0);
      const off = (of: (f: (typeof feet)[number]) => number, all: number) =>
        Math.abs(sum(loads.map((n, i) => n * of(feet[i] as (typeof feet)[number]))) - load * all);
      expect([off(() => 1, 1), off((f) => f.x, whole.x), off((f) => f.z, whole.z)].every((n) => n <= 1e-6 * load * 2000)).toBe(true);
    }),
    { numRuns: runs(200) },
  );
});

test('the feet of a frame whose top hangs over at the left carry all of it where it is', () => {
  const deck = { stock: 'ash27', goes: 'over', gap: ZERO } as const;
  const s = solve(
    framePiece(space('in'), { top: { level: { ...level('deal45', 95), deck }, over: { ...NO_OVER, left: mm(200) } } }),
    shop,
    {},
  );
  const said = writeExactly(s.checks.find((c) => c.id === 'feet')?.sentence ?? []);
  const posts = s.shape.members.filter((m) => m.role === 'post');
  const { kg, across } = massFromWall(s.shape, s.carried);
  // Level about its rear edge: the two at the left and the two at the right as a beam on two supports.
  const at = posts.map((p) => s.carried.members.get(p.id)?.member).map((m) => m?.frame.origin.x ?? 0);
  const [left, right] = [Math.min(...at) / 80_000 + 22.5, Math.max(...at) / 80_000 + 22.5];
  const onLeft = (kg * (right - across)) / (right - left) / 2;
  expect(said).toContain(onLeft.toPrecision(3).replace(/\.?0+$/, ''));
});
