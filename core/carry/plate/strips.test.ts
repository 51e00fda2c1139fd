import { stripStiffness, torsionConstant } from '../composite.js';
import { PlateError, rigidityOf, solveAllRound, solvePlate, solveStrips, type StripsSpec } from './index.js';

const even = (a: number, b: number, total: number) => [{ x0: 0, x1: a, y0: 0, y1: b, perMm2: total / (a * b) }];

const panel = (extra: Partial<StripsSpec> = {}): StripsSpec => ({
  a: 900,
  b: 300,
  rigidity: rigidityOf(18, 9500, 7000, 620),
  edges: { y0: 'free', y1: 'simple' },
  beams: [],
  lines: [],
  patches: even(900, 300, 450),
  ...extra,
});

// By a series of another hand: ends and rear held, front free.
test.each([
  [620, 2.6683],
  [640, 2.6317],
])('held on three edges, G %d: %d at the middle of the front', (G, mm) => {
  const { greatest } = solveStrips(panel({ rigidity: rigidityOf(18, 9500, 7000, G) }));
  expect(Math.abs(greatest.mm / mm - 1)).toBeLessThan(0.0005);
  expect([greatest.x, greatest.y]).toEqual([450, 0]);
});

test('held all round it is Navier', () => {
  const all = panel({ edges: { y0: 'simple', y1: 'simple' } });
  const series = solveAllRound(all);
  const strips = solveStrips(all);
  expect(Math.abs(strips.greatest.mm / series.mm - 1)).toBeLessThan(0.001);
  expect(Math.abs(strips.moment.y / series.moment.y - 1)).toBeLessThan(0.02);
});

test('a square, simple all round: 0.00406235 q a⁴ / D', () => {
  const rigidity = { x: 1, y: 1, coupling: 0.3, twist: 0.35 };
  const square = panel({ a: 1, b: 1, rigidity, edges: { y0: 'simple', y1: 'simple' }, patches: even(1, 1, 1) });
  expect(Math.abs(solveStrips(square).greatest.mm / 0.00406235 - 1)).toBeLessThan(0.001);
});

test('with an edge beam, and loaded on one side only, it is what elements say', () => {
  const spec = panel({
    beams: [{ edge: 'y0', EI: 4e8, GJ: 2e7 }],
    patches: [{ x0: 100, x1: 400, y0: 0, y1: 300, perMm2: 0.004 }],
  });
  const elements = solvePlate({ ...spec, edges: { x0: 'simple', x1: 'simple', ...spec.edges }, props: [], points: [] });
  const strips = solveStrips(spec);
  expect(Math.abs(strips.at(450, 0) / elements.at(450, 0) - 1)).toBeLessThan(0.002);
  expect(Math.abs(strips.edges.y1 / elements.edges.y1 - 1)).toBeLessThan(0.02);
  const { x0, x1, y0, y1 } = strips.edges;
  expect(x0 + x1 + y0 + y1).toBeCloseTo(0.004 * 300 * 300, 6);
  expect(x0).toBeGreaterThan(x1);
});

describe('lines of support', () => {
  // A long panel on two lines 300 apart bends like a strip between them far from its ends: 5 q L⁴ / 384 D.
  test('far from the ends a panel on two lines is the strip between them', () => {
    const D = rigidityOf(12, 9500, 7000, 620);
    const q = 0.003;
    const long = panel({
      a: 6000,
      rigidity: D,
      edges: { y0: 'free', y1: 'free' },
      lines: [
        { y: 0, oneWay: true },
        { y: 300, oneWay: true },
      ],
      patches: even(6000, 300, q * 6000 * 300),
    });
    const { at, lines } = solveStrips(long);
    // Held against curling along its length, so by D and not by E t³ / 12.
    expect(Math.abs(at(3000, 150) / ((5 * q * 300 ** 4) / (384 * D.y)) - 1)).toBeLessThan(0.01);
    expect(lines[0]).toBeCloseTo(lines[1] as number, 6);
  });

  test('one that would pull is let go: a load on the overhang behind it lifts the panel off the front', () => {
    const spec = panel({
      edges: { y0: 'free', y1: 'free' },
      lines: [
        { y: 20, oneWay: true },
        { y: 100, oneWay: true },
      ],
      patches: [{ x0: 0, x1: 900, y0: 250, y1: 300, perMm2: 0.01 }],
    });
    const { lines } = solveStrips(spec);
    expect(lines[0]).toBe(0);
    expect(lines[1]).toBeGreaterThan(0);
    const pulled = solveStrips({ ...spec, lines: spec.lines.map((l) => ({ ...l, oneWay: false })) });
    expect(pulled.lines[0]).toBeLessThan(0);
  });
});

test.each<[string, Partial<StripsSpec>, string]>([
  ['no width', { b: 0 }, 'wider than 0'],
  ['no stiffness', { rigidity: { x: 0, y: 1, coupling: 0, twist: 1 } }, 'stiffness above 0'],
  ['a load that is no number', { patches: even(900, 300, NaN) }, 'not a number'],
])('%s is refused', (_, extra, said) => {
  expect(() => solveStrips(panel(extra))).toThrow(PlateError);
  expect(() => solveStrips(panel(extra))).toThrow(said);
});

// Panels 900 x 300 x 18 with a strip of 18 glued under the front edge, 0.5 N/mm: folded plates by finite strips with
// their membranes, summed apart from this code. E along and across, G; the strip's E and G; its height; front and back.
test.each<[string, number, number, number, number, number, number, number, number]>([
  ['birch ply, oak', 9500, 7000, 620, 12500, 12500 / 16, 30, 0.6721, 2.6012],
  ['birch ply, its own', 9500, 7000, 620, 9500, 620, 45, 0.3715, 2.5097],
  ['softwood ply, oak', 8000, 3000, 500, 12500, 12500 / 16, 60, 0.1579, 2.8184],
  ['MDF, its own', 3000, 3000, 1200, 3000, 1200, 30, 3.149, 4.7449],
  ['MDF, oak', 3000, 3000, 1200, 12500, 12500 / 16, 45, 0.7191, 2.873],
  ['oak, oak', 12500, 12500 / 30, 12500 / 16, 12500, 12500 / 16, 45, 0.2641, 1.8399],
])(
  '%s under one edge: the free edge up to 7 %% on the safe side, the strip’s within 12 %%',
  (_, E, across, G, own, ownG, high, front, back) => {
    const strip = { E: own, width: 18, height: high, top: 18 };
    const EI = stripStiffness({ panel: { E, width: 300, thickness: 18 }, strip, aside: 141, both: false });
    const { along } = solveStrips(
      panel({
        rigidity: rigidityOf(18, E, across, G),
        edges: { y0: 'free', y1: 'free' },
        beams: [{ edge: 'y0', EI, GJ: ownG * torsionConstant(18, high) }],
      }),
    );
    expect(along.y1 / back).toBeGreaterThan(1);
    expect(along.y1 / back).toBeLessThan(1.07);
    expect(Math.abs(along.y0 / front - 1)).toBeLessThan(0.125);
  },
);
