import fc from 'fast-check';
import { solveBeam, type BeamSpec } from './index.js';
import { settledOn, type Held } from './touching.js';
import { runs } from '../testing/runs.js';

const oneWay = (xs: readonly number[]) => xs.map((x) => ({ x, oneWay: true }));
const beam = (length: number, xs: readonly number[], lines: BeamSpec['lines']): BeamSpec => ({
  length,
  supports: oneWay(xs),
  lines,
  points: [],
  stretches: [{ to: length, EI: 4.07484e9 }],
});

/** What must hold of a beam on supports that only push: nothing pulled, nothing sunk through, one or the other none, and the loads carried. */
function expectSettled(spec: BeamSpec): void {
  const result = solveBeam(spec);
  const load = spec.lines.reduce((sum, l) => sum + l.perMm * (l.to - l.from), 0);
  const greatest = Math.max(...result.reactions.map((r) => r.newtons));
  expect(result.reactions.reduce((sum, r) => sum + r.newtons, 0)).toBeCloseTo(load, 4);
  for (const { x, newtons, lifted } of result.reactions) {
    expect(newtons).toBeGreaterThanOrEqual(-1e-8 * greatest);
    expect(result.at(x)).toBeLessThanOrEqual(1e-9);
    if (lifted) expect(newtons).toBe(0);
    else expect(Math.abs(result.at(x))).toBeLessThan(1e-9);
  }
}

test('a board of a bench over 29 rails with two people at its ends, on which taking all at once goes round in circles', () => {
  const inner = Array.from({ length: 27 }, (_, i) => 122.8125 + i * 40.9375);
  expectSettled(
    beam(
      1310,
      [42, ...inner, 1268],
      [
        { from: 0, to: 1310, perMm: 0.087 },
        { from: 42, to: 122.8125, perMm: 56.16 },
        { from: 1064.375, to: 1105.3125, perMm: 56.16 },
      ],
    ),
  );
});

test('beams over many supports that only push, with heavy loads here and there', () => {
  const stretch = fc.tuple(fc.integer({ min: 0, max: 39 }), fc.integer({ min: 1, max: 8 }), fc.integer({ min: 1, max: 90 }));
  fc.assert(
    fc.property(fc.integer({ min: 3, max: 40 }), fc.array(stretch, { minLength: 1, maxLength: 4 }), (count, loads) => {
      const xs = Array.from({ length: count }, (_, i) => 40 + (i * 1240) / (count - 1));
      const lines = loads.map(([from, wide, perMm]) => ({ from: 40 + from * 31, to: Math.min(1280, 40 + (from + wide) * 31), perMm }));
      expectSettled(beam(1320, xs, [{ from: 40, to: 1280, perMm: 0.08 }, ...lines]));
    }),
    { numRuns: runs(30) },
  );
});

test('where taking all at once goes round for ever, one at a time ends', () => {
  // A cycle made for it: with both touching the second pulls, with the first alone it is sunk through, with neither both are.
  const states: Readonly<Record<string, Held>> = {
    'true,true,true': { sunk: [0, 0, 0], pushes: [5, -1, -1] },
    'true,false,false': { sunk: [0, 1, 1], pushes: [5, 0, 0] },
    'true,true,false': { sunk: [0, 0, 0.5], pushes: [5, 1, 0] },
    'true,false,true': { sunk: [0, -0.5, 0], pushes: [4, 0, 1] },
  };
  const tried: string[] = [];
  const settled = settledOn([false, true, true], (touching) => {
    tried.push(touching.join());
    return states[touching.join()] as Held;
  });
  expect(settled?.touching).toEqual([true, false, true]);
  expect(tried.slice(0, 3)).toEqual(['true,true,true', 'true,false,false', 'true,true,true']);
});
