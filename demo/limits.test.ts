import { writeSentence } from '../core/figure/index.js';
import { PRINT_SHED } from './print-shed.js';
import { mm } from '../core/length/index.js';
import type { Piece, Space } from '../core/piece/index.js';
import { solve } from '../core/solution/index.js';
import { pieceFaults, referenceFaults, workshopOf } from '../core/formats/index.js';
import type { ProjectFile } from '../core/formats/index.js';

const share = { kind: 'share', weight: 1 } as const;
const space = (id: string): Space => ({ id, rule: share, things: [] });

/** So many bays of so many shelves' spaces in the ink case. */
function ofSpaces(bays: number, each: number): Piece {
  const ink = structuredClone((PRINT_SHED.pieces['ink-case'] as { piece: Piece }).piece);
  const divided = (id: string, axis: 'across' | 'up', spaces: Space[]): Space => ({
    ...space(id),
    split: { axis, members: spaces.slice(1).map((s) => ({ id: `m-${s.id}` })), spaces },
  });
  const bay = (b: number) =>
    divided(
      `b${b}`,
      'up',
      Array.from({ length: each }, (_, s) => space(`s${b}-${s}`)),
    );
  return {
    ...ink,
    width: { from: 'given', size: mm(600 * bays), of: 'overall' },
    height: { from: 'given', size: mm(100 * each), of: 'overall' },
    interior: divided(
      'all',
      'across',
      Array.from({ length: bays }, (_, b) => bay(b)),
    ),
  };
}

const fileWith = (piece: Piece): ProjectFile => ({
  ...PRINT_SHED,
  pieces: { large: { piece, letters: {} } },
  buildings: {},
  log: {},
  readings: {},
  made: {},
});
const workshop = workshopOf(PRINT_SHED);

test('more spaces than are worked out are refused before anything is', () => {
  // 5 x 400 and the bays and the whole: 2006.
  expect(pieceFaults(ofSpaces(5, 400), workshop, '/data')).toEqual([
    { path: '/data/interior', message: 'this piece has 2006 spaces', accepted: 'up to 2000; divide it into several pieces' },
  ]);
  expect(pieceFaults(ofSpaces(4, 400), workshop, '/data')).toEqual([]);
});

test('a piece that would have more parts than are worked out is refused with their number', () => {
  const bench = structuredClone(PRINT_SHED.pieces['sleeping-bench'] as { piece: Piece }).piece as Piece & {
    top: { level: { cross: { most: number } } };
  };
  bench.top.level.cross.most = mm(20);
  // As it is some 60 cross pieces, and 90 m long some 4,400.
  expect(referenceFaults(fileWith(bench))).toEqual([]);
  const long = { ...bench, width: { from: 'given', size: mm(90_000), of: 'overall' } } as Piece;
  const faults = referenceFaults(fileWith(long));
  expect(faults).toEqual([
    {
      path: '/pieces/large/piece',
      message: expect.stringMatching(/^this piece would have 4[3-5]\d\d parts$/),
      accepted: 'up to 3000; divide it into several pieces',
    },
  ]);
});

test('worked out all the same, it is told by the one check that stops it', () => {
  const bench = structuredClone(PRINT_SHED.pieces['sleeping-bench'] as { piece: Piece }).piece;
  Object.assign((bench as unknown as { top: { level: { cross: object } } }).top.level.cross, { most: mm(20) });
  const { checks } = solve({ ...bench, width: { from: 'given', size: mm(90_000), of: 'overall' } }, workshop, {});
  expect(checks.map((c) => [c.id, c.severity])).toEqual([['too-many-parts', 'stop']]);
});

test('cells by the thousand are told, and none of them is made', () => {
  const things = new Map(workshop.things);
  const tube = things.get('proof-tube');
  if (!tube) throw new Error('no proof tube');
  // 4 across with 7 left free, and wood between: in a rack that is some 2 m wide and high, more than 45 by 45 of them.
  things.set('proof-tube', { ...tube, shape: { kind: 'cylinder', diameter: mm(4), height: mm(420) } });
  const { checks, parts } = solve((PRINT_SHED.pieces['tube-rack'] as { piece: Piece }).piece, { ...workshop, things }, {});
  const told = checks.find((c) => c.id.startsWith('cells-many'));
  expect(told?.severity).toBe('stop');
  expect(told && writeSentence(told.sentence, { unit: 'mm', step: mm(0.5) })).toMatch(
    /cells of .* would go into .*; up to .*2000.* are worked out\. Leave more free round .*Proof tube.*, or divide the space/,
  );
  expect(parts.length).toBeLessThan(40);
});
