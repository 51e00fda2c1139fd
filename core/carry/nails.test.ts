import fc from 'fast-check';
import { nailEmbedment, nailModes, nailMoment } from './nails.js';

const WOOD = { embedment: 20, deep: 10 };

test('what wood presses a nail of 2 back with, by the formulas of EN 1995-1-1', () => {
  // 2^-0.3 is 0.81225, 2^-0.7 is 0.61557.
  expect(nailEmbedment({ kind: 'solid', density: 310 }, 2)).toBeCloseTo(20.6475, 3);
  expect(nailEmbedment({ kind: 'plywood', density: 560 }, 2)).toBeCloseTo(50.0347, 3);
  expect(nailEmbedment({ kind: 'chips', thick: 16 }, 2)).toBeCloseTo(65 * 0.615572 * 1.319508, 3);
  expect(nailEmbedment({ kind: 'hardboard', thick: 6 }, 2)).toBeCloseTo(30 * 0.812252 * 2.930156, 3);
});

test('a nail of 2 bends at 0.3 · 600 · 2^2.6', () => {
  expect(nailMoment(2)).toBeCloseTo(180 * 6.0628663, 3);
});

test('two equal woods: crushed, turned and bent as worked out by hand', () => {
  // β 1, equal depths: (c) f t d (√(1 + 6 + 1) − 2) / 2 = 400 · 0.41421; (f) 1.15 √(2 M f d).
  const modes = nailModes({ d: 2, side: WOOD, main: WOOD });
  expect(modes[0]).toBe(400);
  expect(modes[1]).toBe(400);
  expect(modes[2]).toBeCloseTo(165.6854, 3);
  expect(modes[5]).toBeCloseTo(1.15 * Math.sqrt(2 * 1091.316 * 40), 2);
  // (d) and (e) are one where both sides are alike: 1.05 · 400 / 3 · (√(4 + 12 · 1091.316 / 4000) − 1).
  expect(modes[3]).toBeCloseTo(140 * (Math.sqrt(4 + 3.273948) - 1), 2);
  expect(modes[4]).toBeCloseTo(modes[3] as number, 9);
});

test('each way of yielding is in balance: what wood presses on a stiff nail has the force as its sum and no moment left', () => {
  // Mode c by statics: over a of the side and b of the main the wood presses one way, over the rest the other.
  const side = { embedment: 22, deep: 12 };
  const main = { embedment: 31, deep: 25 };
  const d = 1.6;
  const F = nailModes({ d, side, main })[2] as number;
  const [q1, q2] = [side.embedment * d, main.embedment * d];
  const a = (F / q1 + side.deep) / 2;
  const b = (F / q2 + main.deep) / 2;
  // About the plane between the two.
  const m1 = q1 * (a ** 2 / 2 - (side.deep ** 2 - a ** 2) / 2);
  const m2 = q2 * (b ** 2 / 2 - (main.deep ** 2 - b ** 2) / 2);
  expect(m1 + m2).toBeCloseTo(0, 6);
});

test('more wood never holds less', () => {
  const size = fc.double({ min: 5, max: 60, noNaN: true });
  fc.assert(
    fc.property(size, size, fc.double({ min: 1, max: 1.5, noNaN: true }), (t1, t2, more) => {
      const least = (deep: number) =>
        Math.min(...nailModes({ d: 1.6, side: { embedment: 25, deep: t1 }, main: { embedment: 25, deep } }).slice(0, 3));
      expect(least(t2 * more)).toBeGreaterThanOrEqual(least(t2) - 1e-9);
    }),
  );
});
