import { stripStiffness, torsionConstant } from '../composite.js';
import { rigidityOf, solvePlate, PlateError, type EdgeHold, type PlateSpec } from './index.js';
import { asNewtons } from '../../measures/index.js';

const ISOTROPIC = { x: 1, y: 1, coupling: 0.3, twist: 0.35 };

function plate(extra: Partial<PlateSpec> = {}): PlateSpec {
  const edges = { x0: 'simple', x1: 'simple', y0: 'simple', y1: 'simple' } as const;
  const [a, b] = [extra.a ?? 1, extra.b ?? 1];
  const all = { x0: 0, x1: a, y0: 0, y1: b, perMm2: 1 };
  return { a, b, rigidity: ISOTROPIC, edges, beams: [], props: [], patches: [all], points: [], ...extra };
}
const held = (x: EdgeHold, y: EdgeHold): PlateSpec['edges'] => ({ x0: x, x1: x, y0: y, y1: y });

/** Navier's series for a simple orthotropic plate under an even load: deflection at the middle. */
function navier(a: number, b: number, Dx: number, Dy: number, H: number): number {
  let sum = 0;
  for (let m = 1; m < 200; m += 2) {
    for (let n = 1; n < 200; n += 2) {
      const sign = Math.sin((m * Math.PI) / 2) * Math.sin((n * Math.PI) / 2);
      sum += sign / (m * n * (Dx * (m / a) ** 4 + 2 * H * ((m * n) / (a * b)) ** 2 + Dy * (n / b) ** 4));
    }
  }
  return (16 / Math.PI ** 6) * sum;
}

describe('against series, within half of one per cent', () => {
  const within = (value: number, series: number) => expect(Math.abs(value / series - 1)).toBeLessThan(0.005);

  test.each<[string, PlateSpec, number]>([
    ['a square, simple all round', plate(), 0.00406235],
    ['a square, clamped all round', plate({ edges: held('clamped', 'clamped') }), 0.00126532],
    // Timoshenko and Woinowsky-Krieger, Theory of Plates and Shells, table 8: b/a 1.5 and 2.
    ['1.5 to 1, simple', plate({ b: 1.5 }), 0.00772],
    ['2 to 1, simple', plate({ b: 2 }), 0.01013],
    // Table 35: b/a 1.5 and 2, clamped.
    ['1.5 to 1, clamped', plate({ b: 1.5, edges: held('clamped', 'clamped') }), 0.0022],
    ['2 to 1, clamped', plate({ b: 2, edges: held('clamped', 'clamped') }), 0.00254],
    // Table 29, two opposite edges simple and two clamped, square: 0.00192.
    ['simple and clamped', plate({ edges: held('simple', 'clamped') }), 0.00192],
  ])('%s', (_, spec, series) => within(solvePlate(spec).greatest.mm, series));

  test.each([
    ['birch plywood', 9500, 7000, 620],
    ['softwood plywood', 8000, 3000, 500],
    ['OSB', 4900, 1900, 1080],
  ])('orthotropic, %s, against Navier', (_, along, across, G) => {
    const D = rigidityOf(9, along, across, G);
    const result = solvePlate(plate({ a: 800, b: 500, rigidity: D, patches: [{ x0: 0, x1: 800, y0: 0, y1: 500, perMm2: 0.001 }] }));
    within(result.greatest.mm, 0.001 * navier(800, 500, D.x, D.y, D.coupling + 2 * D.twist));
  });

  test('a load at the middle of a simple square: 0.01160 P a² / D', () => {
    within(solvePlate(plate({ patches: [], points: [{ x: 0.5, y: 0.5, newtons: asNewtons(1) }] })).greatest.mm, 0.0116);
  });

  test('a load at the middle of a clamped square: 0.00560 P a² / D', () => {
    const clamped = { edges: held('clamped', 'clamped'), patches: [], points: [{ x: 0.5, y: 0.5, newtons: asNewtons(1) }] };
    within(solvePlate(plate(clamped)).greatest.mm, 0.0056);
  });

  test('the moment at the middle of a simple square: 0.0479 q a²', () => {
    expect(Math.abs(solvePlate(plate()).moment.x / 0.0479 - 1)).toBeLessThan(0.01);
  });

  test('held at two ends with no Poisson effect it is the beam: 5 q a⁴ / 384 D', () => {
    const strip = plate({ rigidity: { x: 1, y: 1, coupling: 0, twist: 0.5 }, edges: held('simple', 'free') });
    expect(solvePlate(strip).greatest.mm).toBeCloseTo(5 / 384, 6);
  });
});

// Both ends and the rear edge of 900 x 300 x 18 held, 0.5 N/mm of length spread over it; by a series of another hand.
test.each([
  [620, 2.6683],
  [640, 2.6317],
])('held on three edges it twists by its own G of %d: %d at the middle of the front', (G, mm) => {
  const result = solvePlate({
    ...plate({ a: 900, b: 300 }),
    rigidity: rigidityOf(18, 9500, 7000, G),
    edges: { x0: 'simple', x1: 'simple', y0: 'free', y1: 'simple' },
    patches: [{ x0: 0, x1: 900, y0: 0, y1: 300, perMm2: 0.5 / 300 }],
  });
  expect(Math.abs(result.at(450, 0) / mm - 1)).toBeLessThan(0.002);
});

describe('a panel with a strip on one edge', () => {
  const spec = (both: boolean): PlateSpec => {
    const strip = { E: 9000, width: 18, height: 45, top: 0 };
    const EI = stripStiffness({ panel: { E: 3500, width: 300, thickness: 18 }, strip, aside: 159, both });
    const beam = (edge: 'y0' | 'y1') => ({ edge, EI, GJ: (9000 / 16) * torsionConstant(18, 45) });
    return {
      ...plate({ a: 900, b: 300 }),
      rigidity: rigidityOf(18, 3500, 3500, 3500 / 2.6),
      edges: held('simple', 'free'),
      beams: both ? [beam('y0'), beam('y1')] : [beam('y0')],
      patches: [{ x0: 0, x1: 900, y0: 0, y1: 300, perMm2: 0.5 / 300 }],
    };
  };

  test('twists: the edge without it sags twice as far, as in the reference by shells (1.72 and 3.60)', () => {
    const result = solvePlate(spec(false));
    expect(Math.abs(result.at(450, 0) / 1.72 - 1)).toBeLessThan(0.03);
    expect(Math.abs(result.at(450, 300) / 3.6 - 1)).toBeLessThan(0.04);
    expect(result.meshError()).toBeLessThan(0.005);
  });

  test('with one on each edge both sag alike, and less', () => {
    const result = solvePlate(spec(true));
    expect(result.at(450, 0)).toBeCloseTo(result.at(450, 300), 9);
    expect(result.greatest.mm).toBeLessThan(1.72);
  });
});

test('a square simple all round gives a quarter to each edge, its corners pulled down at two of them', () => {
  const { edges } = solvePlate(plate());
  expect(edges.x0 + edges.x1 + edges.y0 + edges.y1).toBeCloseTo(1, 9);
  expect(edges.y0).toBeCloseTo(edges.y1, 9);
});

describe('props', () => {
  const corners = [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 0, y: 1 },
    { x: 1, y: 1 },
  ];

  test('four at the corners carry a quarter each; the middle sags 0.0255 q a⁴ / D', () => {
    const result = solvePlate(plate({ edges: held('free', 'free'), props: corners }));
    result.props.forEach((n) => expect(n).toBeCloseTo(0.25, 9));
    // Timoshenko and Woinowsky-Krieger, table 53 article 47: 0.0255 for ν 0.25 and 0.3 within its digits.
    expect(Math.abs(result.at(0.5, 0.5) / 0.0255 - 1)).toBeLessThan(0.01);
  });

  test('one that would pull is let go where it may lift', () => {
    const props = [...corners.map((p) => ({ ...p, oneWay: true })), { x: 0.5, y: 0.5, oneWay: true }];
    const load = [{ x0: 0, x1: 0.1, y0: 0, y1: 0.1, perMm2: 1 }];
    const result = solvePlate(plate({ edges: held('free', 'free'), props, patches: load }));
    expect(Math.min(...result.props)).toBeGreaterThanOrEqual(0);
    expect(result.props.reduce((sum, n) => sum + n, 0)).toBeCloseTo(0.01, 9);
  });
});

test.each<[string, Partial<PlateSpec>, string]>([
  ['nothing holds it', { edges: held('free', 'free') }, 'can fall'],
  ['a load beside it', { points: [{ x: 2, y: 0, newtons: asNewtons(1) }] }, 'beside the panel'],
  ['a load that is no number', { points: [{ x: 0, y: 0, newtons: asNewtons(NaN) }] }, 'not a number'],
  ['no stiffness', { rigidity: { x: 0, y: 1, coupling: 0, twist: 1 } }, 'stiffness above 0'],
  ['no width', { b: 0 }, 'wider than 0'],
])('%s is refused', (_, extra, said) => {
  expect(() => solvePlate(plate(extra))).toThrow(PlateError);
  expect(() => solvePlate(plate(extra))).toThrow(said);
});
