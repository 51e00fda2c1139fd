import { BeamError, solveBeam, type BeamSpec } from './beam.js';
import { gluedStiffness, rectangleSecondMoment } from './section.js';
import { asNewtons } from '../measures/index.js';

const EI = 9000 * rectangleSecondMoment(300, 18);

function beam(length: number, parts: Partial<BeamSpec>): BeamSpec {
  return {
    length,
    stretches: [{ to: length, EI }],
    supports: [{ x: 0 }, { x: length }],
    lines: [{ from: 0, to: length, perMm: 0.5 }],
    points: [],
    ...parts,
  };
}

const references: readonly [name: string, spec: BeamSpec, mm: number, x: readonly number[]][] = [
  ['simple', beam(900, {}), 3.25520833, [450]],
  [
    'both ends fixed',
    beam(900, {
      supports: [
        { x: 0, fixed: true },
        { x: 900, fixed: true },
      ],
    }),
    0.65104167,
    [450],
  ],
  ['two spans, both loaded', beam(1800, { supports: [{ x: 0 }, { x: 900 }, { x: 1800 }] }), 1.3540304, [379.382, 1420.618]],
  [
    'two spans, one loaded',
    beam(1800, { supports: [{ x: 0 }, { x: 900 }, { x: 1800 }], lines: [{ from: 0, to: 900, perMm: 0.5 }] }),
    2.28763902,
    [425.198],
  ],
  ['three spans', beam(2700, { supports: [{ x: 0 }, { x: 900 }, { x: 1800 }, { x: 2700 }] }), 1.72105332, [401.433, 2700 - 401.433]],
  ['loaded on the first 300 only', beam(900, { lines: [{ from: 0, to: 300, perMm: 0.8 }] }), 1.30842543, [395.025]],
  ['200 N at 300', beam(900, { lines: [], points: [{ x: 300, newtons: asNewtons(200) }] }), 1.99115155, [410.102]],
  ['on supports at 100 and 800', beam(900, { supports: [{ x: 100 }, { x: 800 }] }), 1.07455117, [450]],
];

test.each(references)('%s', (_, spec, mm, places) => {
  const { greatest } = solveBeam(spec);
  expect(greatest.mm).toBeCloseTo(mm, 7);
  expect(Math.min(...places.map((x) => Math.abs(x - greatest.x)))).toBeLessThan(0.01);
});

test('the middle of a partly loaded span, and the ends of an overhanging one', () => {
  expect(solveBeam(beam(900, { lines: [{ from: 0, to: 300, perMm: 0.8 }] })).at(450)).toBeCloseTo(1.28600823, 7);
  const over = solveBeam(beam(900, { supports: [{ x: 100 }, { x: 800 }] }));
  expect(over.rise.mm).toBeCloseTo(0.47312402, 7);
  expect(over.at(900)).toBeCloseTo(-0.47312402, 7);
});

test('two spans, one loaded: w L⁴ (3u − 7u³ + 4u⁴) / 96 EI, a little past 425', () => {
  const result = solveBeam(beam(1800, { supports: [{ x: 0 }, { x: 900 }, { x: 1800 }], lines: [{ from: 0, to: 900, perMm: 0.5 }] }));
  const closed = (u: number) => (0.5 * 900 ** 4 * (3 * u - 7 * u ** 3 + 4 * u ** 4)) / (96 * EI);
  expect(result.at(425)).toBeCloseTo(2.28763846, 7);
  expect(result.at(425)).toBeCloseTo(closed(425 / 900), 10);
  expect(result.greatest.mm).toBeGreaterThan(result.at(425));
});

test('a glued stiffener by the transformed section', () => {
  const board = { E: 3500, width: 300, height: 18, top: 0 };
  const strip = { E: 9000, width: 18, height: 45, top: 0 };
  expect(gluedStiffness([board, strip])).toBeCloseTo(2_699_272_809.28, 1);
  expect(gluedStiffness([board])).toBeCloseTo(510_300_000, 6);
  const stiff = solveBeam(beam(900, { stretches: [{ to: 900, EI: gluedStiffness([board, strip]) }] }));
  expect(stiff.greatest.mm).toBeCloseTo(1.58245745, 7);
  const sheet = { E: 9000, width: 300, height: 18, top: 0 };
  expect(gluedStiffness([sheet, { ...sheet, top: 18 }]) / EI).toBeCloseTo(8, 12);
});

test('reactions add up to the loads: two spans share 3/8, 10/8, 3/8', () => {
  const { reactions } = solveBeam(beam(1800, { supports: [{ x: 0 }, { x: 900 }, { x: 1800 }] }));
  const one = 0.5 * 900;
  expect(reactions.map((r) => r.newtons / one)).toEqual([expect.closeTo(3 / 8, 9), expect.closeTo(10 / 8, 9), expect.closeTo(3 / 8, 9)]);
});

test('greatest moment and shear of a simple span: w L²/8 and w L/2', () => {
  const result = solveBeam(beam(900, {}));
  expect(result.moment).toBeCloseTo((0.5 * 900 ** 2) / 8, 6);
  expect(result.shearForce).toBeCloseTo(225, 9);
});

test('a one-way support lets go where it would pull', () => {
  // 100 N on the overhang lifts the far end: what is left is a cantilever of no use, so a third support must hold it down.
  const supports = [
    { x: 0, oneWay: true },
    { x: 300, oneWay: true },
    { x: 600, oneWay: true },
  ];
  const { reactions } = solveBeam(
    beam(900, {
      supports,
      lines: [{ from: 0, to: 900, perMm: 0.01 }],
      points: [
        { x: 750, newtons: asNewtons(20) },
        { x: 20, newtons: asNewtons(50) },
      ],
    }),
  );
  expect(reactions.every((r) => r.newtons >= 0)).toBe(true);
  expect(reactions.reduce((sum, r) => sum + r.newtons, 0)).toBeCloseTo(79, 6);
});

test('shear adds w L² / 8 κGA to a simple span', () => {
  const shear = 100_000;
  const result = solveBeam(beam(900, { stretches: [{ to: 900, EI, shear }] }));
  expect(result.greatest.mm).toBeCloseTo(3.25520833 + (0.5 * 900 ** 2) / (8 * shear), 7);
});

test.each<[string, BeamSpec, RegExp]>([
  ['one support', beam(900, { supports: [{ x: 450 }] }), /can fall/],
  ['no stiffness', beam(900, { stretches: [{ to: 900, EI: 0 }] }), /stiffness above 0/],
  ['a load beside it', beam(900, { points: [{ x: 1000, newtons: asNewtons(1) }] }), /beside/],
  ['a load that is not a number', beam(900, { points: [{ x: 100, newtons: asNewtons(NaN) }] }), /not a number/],
  ['no length', beam(0, {}), /longer than 0/],
])('a beam with %s is refused', (_, spec, message) => {
  expect(() => solveBeam(spec)).toThrow(BeamError);
  expect(() => solveBeam(spec)).toThrow(message);
});

test('loads that are moved onto a support or each other keep their moment as well as their force', () => {
  const spec = {
    length: 1000,
    supports: [{ x: 0.3 }, { x: 400.2 }, { x: 999.8 }],
    stretches: [
      { EI: 1e9, to: 400 },
      { EI: 5e8, to: 400.1 },
      { EI: 1e9, to: 1000 },
    ],
    points: [
      { x: 400.35, newtons: asNewtons(700) },
      { x: 0.1, newtons: asNewtons(90) },
    ],
    lines: [
      { from: 0.2, to: 400.4, perMm: 0.5 },
      { from: 400.1, to: 400.3, perMm: 40 },
    ],
  };
  const { reactions } = solveBeam(spec);
  const put = [...spec.points, ...spec.lines.map((l) => ({ x: (l.from + l.to) / 2, newtons: l.perMm * (l.to - l.from) }))];
  const sum = (all: readonly { x: number; newtons: number }[], of: (x: number) => number) =>
    all.reduce((n, p) => n + p.newtons * of(p.x), 0);
  const [force, moment] = [sum(put, () => 1), sum(put, (x) => x)];
  expect(Math.abs(sum(reactions, () => 1) / force - 1)).toBeLessThan(1e-9);
  expect(Math.abs(sum(reactions, (x) => x) / moment - 1)).toBeLessThan(1e-9);
});
