import { solveBeam, type BeamSpec } from './index.js';
import { asNewtons } from '../measures/index.js';

const EI = 2;
const L = 3;
const q = 5;
const P = 7;
const simple = [{ x: 0 }, { x: L }];
const clamped = [
  { x: 0, fixed: true },
  { x: L, fixed: true },
];
const cantilever = [{ x: 0, fixed: true }];
const propped = [{ x: 0, fixed: true }, { x: L }];
const even = [{ from: 0, to: L, perMm: q }];
const at = (x: number) => [{ x, newtons: asNewtons(P) }];

function beam(supports: BeamSpec['supports'], load: Partial<BeamSpec>, extra: Partial<BeamSpec> = {}): BeamSpec {
  return { length: L, stretches: [{ to: L, EI }], supports, lines: [], points: [], ...load, ...extra };
}

/** Of the handbooks' tables (Roark, Formulas for Stress and Strain, table 8.1), and by integration of M²/EI where sections step. */
const DEFLECTIONS: readonly (readonly [string, BeamSpec, number])[] = [
  ['simple, even', beam(simple, { lines: even }), (5 * q * L ** 4) / 384],
  ['simple, at the middle', beam(simple, { points: at(L / 2) }), (P * L ** 3) / 48],
  ['simple, at third points', beam(simple, { points: [...at(L / 3), ...at((2 * L) / 3)] }), (23 * P * L ** 3) / 648],
  ['simple, at a quarter from each end', beam(simple, { points: [...at(L / 4), ...at((3 * L) / 4)] }), (11 * P * L ** 3) / 384],
  ['cantilever, even', beam(cantilever, { lines: even }), (q * L ** 4) / 8],
  ['cantilever, at its end', beam(cantilever, { points: at(L) }), (P * L ** 3) / 3],
  ['cantilever, at its middle', beam(cantilever, { points: at(L / 2) }), (5 * P * L ** 3) / 48],
  ['cantilever, even on its inner half', beam(cantilever, { lines: [{ from: 0, to: L / 2, perMm: q }] }), (7 * q * L ** 4) / 384],
  ['clamped, even', beam(clamped, { lines: even }), (q * L ** 4) / 384],
  ['clamped, at the middle', beam(clamped, { points: at(L / 2) }), (P * L ** 3) / 192],
  // 2 P a² b³ / 3 (3 b + ... )²: the load at a third, b the longer part: 2 P a² b³ / (3 (L + 2 b)²).
  ['clamped, at a third', beam(clamped, { points: at(L / 3) }), (2 * P * (L / 3) ** 2 * ((2 * L) / 3) ** 3) / (3 * (L + (4 * L) / 3) ** 2)],
  ['propped, even', beam(propped, { lines: even }), ((39 + 55 * Math.sqrt(33)) / 65536) * q * L ** 4],
  ['propped, at the middle', beam(propped, { points: at(L / 2) }), (P * L ** 3) / (48 * Math.sqrt(5))],
];

test.each(DEFLECTIONS)('%s: greatest deflection times EI', (_, spec, expected) => {
  expect((solveBeam(spec).greatest.mm * EI) / expected).toBeCloseTo(1, 6);
});

/** Deflections at one place. */
const PLACES: readonly (readonly [string, BeamSpec, number, number])[] = [
  ['simple, under a load at a', beam(simple, { points: at(1) }), 1, (P * 1 ** 2 * 2 ** 2) / (3 * L)],
  ['simple, even on half of it, at the middle', beam(simple, { lines: [{ from: 0, to: L / 2, perMm: q }] }), L / 2, (5 * q * L ** 4) / 768],
  ['clamped, under a load at a', beam(clamped, { points: at(1) }), 1, (P * 1 ** 3 * 2 ** 3) / (3 * L ** 3)],
  [
    'an overhang of 1 beyond a span of 3, loaded at its end',
    beam([{ x: 0 }, { x: 3 }], { points: at(4) }, { length: 4, stretches: [{ to: 4, EI }] }),
    4,
    (P * 1 ** 2 * (3 + 1)) / 3,
  ],
  [
    'a cantilever three times as stiff on its inner half',
    beam(
      cantilever,
      { points: at(L) },
      {
        stretches: [
          { to: L / 2, EI: 3 * EI },
          { to: L, EI },
        ],
      },
    ),
    L,
    (P / 3) * ((L ** 3 - (L / 2) ** 3) / 3 + (L / 2) ** 3),
  ],
  [
    'a simple span twice as stiff in its middle half',
    beam(
      simple,
      { points: at(L / 2) },
      {
        stretches: [
          { to: L / 4, EI },
          { to: (3 * L) / 4, EI: 2 * EI },
          { to: L, EI },
        ],
      },
    ),
    L / 2,
    P * ((L / 4) ** 3 / 6 + ((L / 2) ** 3 - (L / 4) ** 3) / 12),
  ],
];

test.each(PLACES)('%s', (_, spec, x, expected) => {
  expect((solveBeam(spec).at(x) * EI) / expected).toBeCloseTo(1, 6);
});

/** What shear adds: q L² / 8 κGA, P L / 4 κGA, P L / κGA, q L² / 2 κGA (Timoshenko). */
const shear = 11;
const SHEARED: readonly (readonly [string, BeamSpec, number])[] = [
  ['simple, even', beam(simple, { lines: even }), (q * L ** 2) / 8],
  ['simple, at the middle', beam(simple, { points: at(L / 2) }), (P * L) / 4],
  ['cantilever, at its end', beam(cantilever, { points: at(L) }), P * L],
  ['cantilever, even', beam(cantilever, { lines: even }), (q * L ** 2) / 2],
];

test.each(SHEARED)('shear of a beam, %s', (_, spec, expected) => {
  const stretches = [{ to: L, EI, shear }];
  expect(((solveBeam({ ...spec, stretches }).greatest.mm - solveBeam(spec).greatest.mm) * shear) / expected).toBeCloseTo(1, 6);
});

/** Greatest moments and reactions. */
const FORCES: readonly (readonly [string, BeamSpec, number, readonly number[]])[] = [
  ['simple, even', beam(simple, { lines: even }), (q * L ** 2) / 8, [(q * L) / 2, (q * L) / 2]],
  ['clamped, even', beam(clamped, { lines: even }), (q * L ** 2) / 12, [(q * L) / 2, (q * L) / 2]],
  ['propped, even', beam(propped, { lines: even }), (q * L ** 2) / 8, [(5 * q * L) / 8, (3 * q * L) / 8]],
  ['propped, at the middle', beam(propped, { points: at(L / 2) }), (3 * P * L) / 16, [(11 * P) / 16, (5 * P) / 16]],
  ['cantilever, even', beam(cantilever, { lines: even }), (q * L ** 2) / 2, [q * L]],
  ['simple, at 1 of 3', beam(simple, { points: at(1) }), (P * 1 * 2) / 3, [(2 * P) / 3, P / 3]],
];

test.each(FORCES)('moment and reactions, %s', (_, spec, moment, reactions) => {
  const result = solveBeam(spec);
  expect(result.moment / moment).toBeCloseTo(1, 9);
  expect(result.reactions.map((r) => r.newtons)).toEqual(reactions.map((n) => expect.closeTo(n, 9)));
});

test('five equal spans, all loaded: the inner reactions of the tables, 1.132, 0.974 q L', () => {
  const supports = [0, 1, 2, 3, 4, 5].map((x) => ({ x }));
  const result = solveBeam({ length: 5, stretches: [{ to: 5, EI }], supports, lines: [{ from: 0, to: 5, perMm: 1 }], points: [] });
  const expected = [0.3947, 1.1316, 0.9737, 0.9737, 1.1316, 0.3947];
  expect(result.reactions.map((r) => Number(r.newtons.toFixed(4)))).toEqual(expected);
});
