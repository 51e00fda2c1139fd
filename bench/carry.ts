import { carry, rigidityOf, sagOf, solveBeam, solvePlate, type PlateSpec } from '../core/carry/index.js';
import { workshopOf } from '../core/formats/index.js';
import type { Piece } from '../core/piece/index.js';
import { propertiesOf, type Stock } from '../core/stock/index.js';
import { remediesFor, solve } from '../core/solution/index.js';
import { PRINT_SHED } from '../demo/print-shed.js';
import { ms, print, timed } from './figures.js';
import { asNewtons } from '../core/measures/index.js';

const workshop = workshopOf(PRINT_SHED);

function pieceOf(id: string): Piece {
  return (PRINT_SHED.pieces[id] as { piece: Piece }).piece;
}

function plate(a: number, b: number, edges: PlateSpec['edges']['x0'], mesh?: number): PlateSpec {
  return {
    a,
    b,
    rigidity: { x: 1, y: 1, coupling: 0.3, twist: 0.35 },
    edges: { x0: edges, x1: edges, y0: edges, y1: edges },
    beams: [],
    props: [],
    patches: [{ x0: 0, x1: a, y0: 0, y1: b, perMm2: 1 }],
    points: [],
    ...(mesh === undefined ? {} : { mesh }),
  };
}

/** How far answers are from closed forms and series, per cent. */
function accuracy(): void {
  const E = 9000;
  const I = 145_800;
  const w = 0.5;
  const beam = (supports: readonly { x: number; fixed?: boolean }[], length: number) =>
    solveBeam({ length, stretches: [{ to: length, EI: E * I }], supports, lines: [{ from: 0, to: length, perMm: w }], points: [] }).greatest
      .mm;
  const rows: readonly (readonly [string, number, number])[] = [
    ['simple span', beam([{ x: 0 }, { x: 900 }], 900), (5 * w * 900 ** 4) / (384 * E * I)],
    [
      'both ends fixed',
      beam(
        [
          { x: 0, fixed: true },
          { x: 900, fixed: true },
        ],
        900,
      ),
      (w * 900 ** 4) / (384 * E * I),
    ],
    ['two spans', beam([{ x: 0 }, { x: 900 }, { x: 1800 }], 1800), 1.3540304],
    ['three spans', beam([{ x: 0 }, { x: 900 }, { x: 1800 }, { x: 2700 }], 2700), 1.72105332],
    ['plate, simple, mesh 12', solvePlate(plate(1, 1, 'simple')).greatest.mm, 0.00406235],
    ['plate, simple, mesh 6', solvePlate(plate(1, 1, 'simple', 6)).greatest.mm, 0.00406235],
    ['plate, clamped, mesh 12', solvePlate(plate(1, 1, 'clamped')).greatest.mm, 0.00126532],
    ['plate, 2 to 1, simple', solvePlate(plate(1, 2, 'simple')).greatest.mm, 0.01013],
    ['plate, 2 to 1, clamped', solvePlate(plate(1, 2, 'clamped')).greatest.mm, 0.00254],
  ];
  for (const [name, found, known] of rows) {
    const digits = name.startsWith('plate') ? 'under 0.5 %' : 'under 0.0001 %';
    print(`off by, ${name}`, `${(Math.abs(found / known - 1) * 100).toFixed(5)} %`, digits);
  }
}

export function benchCarry(): void {
  const stock = PRINT_SHED.stock['birch-18'] as Stock;
  const spans = [0, 500, 1000, 1500, 2000, 2500].map((x) => ({ x, oneWay: true }));
  const beam = { length: 2500, supports: spans, lines: [{ from: 0, to: 2500, perMm: 0.5 }], points: [{ x: 777, newtons: asNewtons(200) }] };
  print(
    'beam of five spans, median',
    ms(timed(() => solveBeam({ ...beam, stretches: [{ to: 2500, EI: 1.3e9 }] }), 2000).median),
    'under 0.2 ms',
  );
  const section = { width: 300, thickness: 30, properties: propertiesOf(stock) };
  print('the same, read both ways', ms(timed(() => sagOf(beam, section), 2000).median), '');

  const rack = solve(pieceOf('tube-rack'), workshop, {});
  print(
    `all ${rack.shape.members.length} members of the tube rack, median`,
    ms(timed(() => carry(rack.shape, workshop), 100).median),
    'under 10 ms',
  );
  const ink = solve(pieceOf('ink-case'), workshop, {});
  for (const [name, id] of [
    ['a shelf, plates among them', 'right-2/shelf/1'],
    ['the bottom, no plates', 'case/bottom/1'],
  ] as const) {
    const { median } = timed(() => remediesFor(ink, workshop, ink.letters, id), 20);
    print(`remedies for ${name}, median`, ms(median), id.startsWith('case') ? 'under 50 ms' : '');
  }
  const drawer: PlateSpec = {
    ...plate(483, 837, 'simple'),
    rigidity: rigidityOf(9, 9500, 7000, 620),
    patches: [{ x0: 0, x1: 483, y0: 0, y1: 837, perMm2: 0.0003 }],
  };
  print('a drawer bottom as a plate, median', ms(timed(() => solvePlate(drawer), 20).median), 'under 300 ms');
  const strip = {
    ...drawer,
    edges: { ...drawer.edges, y0: 'free', y1: 'free' },
    beams: [{ edge: 'y0', EI: 2e9, GJ: 1e8 }],
    mesh: 6,
  } as const;
  print('a shelf with a strip, mesh 6, median', ms(timed(() => solvePlate(strip), 50).median), '');
  accuracy();
}
