import fc from 'fast-check';
import { enColumn, ndsColumn } from './column.js';

// A post of 45 x 95, 605 long, twice that counted, about its weak axis.
const POST = { effective: 1210, thick: 45 };

test('the stability factor of NDS for a post of 605', () => {
  const { slender, part } = ndsColumn({ ...POST, Emin: 510_000, Fc: 1190.25 });
  expect(slender).toBeCloseTo(26.889, 3);
  expect(part).toBeCloseTo(0.42451, 5);
});

test('the factor of EN 1995-1-1 for the same post of C16', () => {
  const { slender, part } = enColumn({ ...POST, fc: 17, E05: 5400 });
  expect(slender).toBeCloseTo(93.146, 3);
  expect(part).toBeCloseTo(0.31585, 5);
});

test('both go over to the load of Euler where a post is slender, and to all it bears where it is short', () => {
  const long = { effective: 12_000, thick: 45 };
  const euler = (Math.PI ** 2 * 5400) / (enColumn({ ...long, fc: 17, E05: 5400 }).slender ** 2 * 17);
  expect(enColumn({ ...long, fc: 17, E05: 5400 }).part / euler).toBeCloseTo(1, 1);
  expect(enColumn({ effective: 100, thick: 95, fc: 17, E05: 5400 }).part).toBe(1);
  expect(ndsColumn({ effective: 100, thick: 95, Emin: 510_000, Fc: 1190 }).part).toBeCloseTo(1, 2);
});

test('a longer or thinner post never holds more', () => {
  const sizes = fc.record({
    effective: fc.double({ min: 50, max: 6000, noNaN: true }),
    thick: fc.double({ min: 15, max: 150, noNaN: true }),
  });
  fc.assert(
    fc.property(sizes, fc.double({ min: 1, max: 3, noNaN: true }), ({ effective, thick }, more) => {
      for (const of of [
        (e: number, t: number) => enColumn({ effective: e, thick: t, fc: 17, E05: 5400 }).part,
        (e: number, t: number) => ndsColumn({ effective: e, thick: t, Emin: 510_000, Fc: 1190 }).part,
      ]) {
        expect(of(effective * more, thick)).toBeLessThanOrEqual(of(effective, thick) + 1e-12);
        expect(of(effective, thick / more)).toBeLessThanOrEqual(of(effective, thick) + 1e-12);
      }
    }),
  );
});
