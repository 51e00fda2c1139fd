import {
  WOOD_SCREWS,
  combined,
  lagWithdrawal,
  lateral,
  leftBeforePoint,
  screwsFor,
  withdrawal,
  yieldModes,
  type ScrewJoint,
} from './screws.js';
import { asDegrees, asNewtons } from '../measures/index.js';

const N_PER_LBF = 4.4482216152605;
const [no8, no10] = [WOOD_SCREWS[1], WOOD_SCREWS[2]] as [(typeof WOOD_SCREWS)[number], (typeof WOOD_SCREWS)[number]];

function joint(extra: Partial<ScrewJoint> = {}, gravity: number | null = 0.5, endGrain = false): ScrewJoint {
  const wood = { ...(gravity === null ? {} : { gravity }), endGrain };
  return { screw: no8, length: 80, side: { thickness: 19.05, wood }, main: { thickness: 70, wood }, ...extra };
}

describe('one screw in shear', () => {
  // By hand, a side member of 3/4 and Fe = 16600 G^1.84. IIIs of No. 8 in G 0.50, Fe 4637: k3 = −1 + √(4 + 2 · 90000 · 3 · 0.131² /
  // (3 · 4637 · 0.75²)) = 1.2769; 1.2769 · 0.131 · 0.75 · 4637 / (3 · 2.2) = 88.14 lb, less than IV's 92.0.
  test.each([
    ['No. 6, mode IV', 0, 0.5, 72.16],
    ['No. 8, mode IIIs', 1, 0.5, 88.14],
    ['No. 10, mode IIIs', 2, 0.5, 106.3],
    ['No. 8 in softer wood, mode IIIs', 1, 0.42, 68.77],
  ])('%s', (_, index, gravity, pounds) => {
    const screw = WOOD_SCREWS[index] as (typeof WOOD_SCREWS)[number];
    const value = lateral(joint({ screw }, gravity));
    expect(value.judged && value.newtons / (pounds * 0.9 * N_PER_LBF)).toBeCloseTo(1, 3);
  });

  test('mode IV by hand: No. 8 in G 0.50', () => {
    // D 0.131, Fe = 16600 · 0.5^1.84 = 4637; Re 1; Z = 0.131² / 2.2 · √(2 · 4637 · 100000 / 6) = 0.0078005 · 12433 = 96.98 lb.
    const modes = yieldModes({ D: 0.131, main: 1.5, side: 0.75, mainBearing: 4637, sideBearing: 4637, yield: 100_000 });
    expect(modes[5]).toBeCloseTo(96.98, 1);
  });

  test('in end grain two thirds of it; with 8 D in the wood 0.8 of it', () => {
    const at = (j: ScrewJoint) => {
      const value = lateral(j);
      return value.judged ? value.newtons : NaN;
    };
    expect(at(joint({}, 0.5, true)) / at(joint())).toBeCloseTo(0.67, 9);
    const eight = 19.05 + 8 * no8.shank * 25.4;
    // The modes that bend in the main part do not decide here, so that only the factor remains.
    expect(at(joint({ length: eight })) / at(joint())).toBeCloseTo(0.8, 3);
  });

  test('shorter than NDS asks it goes by its true length: 3 D in the wood, mode II decides, 0.3 of it', () => {
    const length = 19.05 + 3 * no8.shank * 25.4;
    const value = lateral(joint({ length }));
    // p = 0.492, side 0.75, Re 1, Rt 0.656: k1 = (√(1 + 2 (1 + 0.656 + 0.4303) + 0.4303) − 1.656) / 2 = 0.3493; 0.3493 · 0.131 · 0.75 · 4637 / 2.2 = 72.33;
    // IIIm: k2 = −1 + √(4 + 9266.9 / (3 · 4637 · 0.492²)) = 1.5948, 1.5948 · 0.131 · 0.492 · 4637 / 6.6 = 72.22. Times 3 / 10 and 0.9.
    expect(value.judged && value.newtons / (72.22 * 0.3 * 0.9 * N_PER_LBF)).toBeCloseTo(1, 2);
    expect(value.judged && value.basis).toContain('shorter than that asks');
  });

  test.each([
    ['under 1.5 D in the wood', joint({ length: 25 }), 'only 6 mm of it is in the wood; at least 6 is needed'],
    ['MDF', joint({}, null), 'no values are published'],
  ])('%s is not checked', (_, spec, said) => {
    const value = lateral(spec);
    expect(value.judged ? '' : value.reason).toContain(said);
  });
});

describe('a screw pulled out', () => {
  test('half of 2850 G² D per inch: No. 10 in G 0.5 with 25.4 of thread', () => {
    // 2850 · 0.25 · 0.19 = 135.375 lb/in; half, and 0.9 for permanent: 60.92 lb = 270.98 N.
    const value = withdrawal(joint({ screw: no10, length: 44.45 }));
    expect(value.judged && value.newtons).toBeCloseTo(270.98, 1);
  });

  test('nothing in end grain', () => {
    expect(withdrawal(joint({}, 0.5, true))).toMatchObject({ judged: true, newtons: 0 });
  });

  test('a lag of 3/8 in G 0.5, 50.8 of thread: 1800 · 0.35355 · 0.47922 · 2 = 609.96 lb', () => {
    expect(lagWithdrawal(0.5, 0.375, 50.8)).toBeCloseTo(609.96 * 0.45 * N_PER_LBF, 0);
  });
});

test('at 0° it is shear alone, at 90° pull alone, between as the equation has it', () => {
  expect(combined(asNewtons(300), asNewtons(500), asDegrees(0))).toBeCloseTo(500, 9);
  expect(combined(asNewtons(300), asNewtons(500), asDegrees(90))).toBeCloseTo(300, 9);
  // 300 · 500 / (300 · 0.5 + 500 · 0.5) = 375.
  expect(combined(asNewtons(300), asNewtons(500), asDegrees(45))).toBeCloseTo(375, 9);
});

test('how many, and none where one holds nothing', () => {
  expect([
    screwsFor(asNewtons(1000), asNewtons(400)),
    screwsFor(asNewtons(800), asNewtons(400)),
    screwsFor(asNewtons(10), asNewtons(400)),
    screwsFor(asNewtons(100), asNewtons(0)),
  ]).toEqual([3, 2, 1, null]);
});

test('a screw of 50 through 18 into 18 pokes 14 out of it', () => {
  const wood = { gravity: 0.5, endGrain: false };
  expect(leftBeforePoint(joint({ length: 50, side: { thickness: 18, wood }, main: { thickness: 18, wood } }))).toBe(-14);
});
