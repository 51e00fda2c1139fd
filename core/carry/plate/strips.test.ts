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
