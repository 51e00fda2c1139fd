import { afterCreep, builtUpStiffness, gammaOf, slipOf, stripStiffness, torsionConstant } from './composite.js';
import type { Layer } from './section.js';

const sheet = (top: number): Layer => ({ E: 9000, width: 300, height: 18, top });
const one = 9000 * 145_800;
const mdf: Layer = { E: 3500, width: 300, height: 18, top: 0 };
const strip: Layer = { E: 9000, width: 18, height: 45, top: 0 };

describe('built-up sections', () => {
  test.each([
    ['glued', { kind: 'glued' }, 8],
    ['loose', { kind: 'loose' }, 2],
    ['unknown, a tenth of the way', { kind: 'unknown' }, 2.6],
  ] as const)('two sheets of 18 %s', (_, connection, times) => {
    expect(builtUpStiffness([sheet(0), sheet(18)], connection, 900) / one).toBeCloseTo(times, 9);
  });

  test('screws that never slip are glue, screws that slip freely are nothing', () => {
    const screwed = (slip: number) => builtUpStiffness([sheet(0), sheet(18)], { kind: 'screwed', spacing: 150, slip }, 900) / one;
    expect(screwed(1e15)).toBeCloseTo(8, 6);
    expect(screwed(1e-9)).toBeCloseTo(2, 6);
  });

  test('by hand, annex B: two sheets of 18 with screws of 4 every 150 over 900', () => {
    // K = 680^1.5 · 4 / 23 = 3083.87 N/mm; EA = 9000 · 5400 = 48.6e6 N;
    // γ = 1 / (1 + π² · 48.6e6 · 150 / (3083.87 · 810000)) = 1 / 29.80 = 0.03355.
    expect(slipOf(680, 4)).toBeCloseTo(3083.87, 1);
    const gamma = gammaOf(48.6e6, 150, slipOf(680, 4), 900);
    expect(gamma).toBeCloseTo(0.03355, 4);
    // a2 = γ · 18 / (1 + γ) = 0.5843 and a1 = 17.4157: EI = 2 EI1 + EA (γ a1² + a2²).
    const [near, far] = [(gamma * 18) / (1 + gamma), 18 / (1 + gamma)];
    const byHand = 2 * one + 48.6e6 * (gamma * far ** 2 + near ** 2);
    const connection = { kind: 'screwed', spacing: 150, slip: slipOf(680, 4) } as const;
    expect(builtUpStiffness([sheet(0), sheet(18)], connection, 900)).toBeCloseTo(byHand, 0);
    // Far nearer to loose (2) than to glued (8).
    expect(byHand / one).toBeCloseTo(2.39, 1);
  });

  test('each part creeps by itself: MDF by 3.25, the strip by 1.6', () => {
    const later = afterCreep([mdf, strip], [3.25, 1.6]);
    expect(later.map((l) => l.E)).toEqual([3500 / 3.25, 5625]);
    // n = 5625 / 1076.9 = 5.2232. By the transformed section: A = 5400 + 5.2232 · 810 = 9630.8,
    // neutral 9 + 4230.8 · 13.5 / 9630.8 = 14.9306; I = 145800 + 5400 · 5.9306² + 5.2232 (136687.5 + 810 · 7.5694²).
    const I = 145_800 + 5400 * 5.9306 ** 2 + 5.22321 * (136_687.5 + 810 * 7.5694 ** 2);
    expect(builtUpStiffness(later, { kind: 'glued' }, 900) / (1076.923 * I)).toBeCloseTo(1, 5);
  });
});

test('torsion of a square, 0.1406 a⁴, and of a long strip, w t³ / 3', () => {
  expect(torsionConstant(10, 10) / 1e4).toBeCloseTo(0.1408, 3);
  expect(torsionConstant(10, 1000) / (1000 * 1000)).toBeCloseTo(0.3333 - 0.0021, 4);
});

test('strips on both edges share the whole breadth of the panel', () => {
  const panel = { E: 3500, width: 300, thickness: 18 };
  const each = stripStiffness({ panel, strip, aside: 159, both: true });
  // Own 1,230,187,500; half the panel 9.45e6 N, the strip 7.29e6 N, 13.5 apart: 7.29 · 9.45 / 16.74 · 182.25e6 = 750,017,540.
  expect(each).toBeCloseTo(1_230_187_500 + 750_017_540, -3);
  const alone = stripStiffness({ panel, strip, aside: 159, both: false });
  // 300 / (1 + 12 · 0.2809) = 68.62 of breadth: 4,323,300 N; 7.29e6 · 4,323,300 / 11,613,300 · 182.25.
  expect(alone / (1_230_187_500 + ((7.29e6 * 4_323_300) / 11_613_300) * 182.25)).toBeCloseTo(1, 4);
});
