import { workshopFor } from '../../project/index.js';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { solve } from '../../solution/index.js';
import { readProject, readProjectFile, workshopOf } from '../index.js';
import { OLDEST, VERSION, fileBroughtUp, foundIn, recordBroughtUp } from './index.js';

const kept = (name: string) => readFileSync(`core/formats/versions/kept/${name}`, 'utf8');

/** What each piece of a kept file measured, in 1/80 µm, as the program of its time worked it out. */
interface Sizes {
  readonly overall: readonly number[];
  /** Length, width and thickness, with the letters of all parts that have them. */
  readonly parts: readonly (readonly [number, number, number, string])[];
}

const versions = Array.from({ length: VERSION - OLDEST }, (_, i) => OLDEST + i);

test.each(versions)('a file of version %i opens with every figure as it was', (version) => {
  const reading = readProjectFile(kept(`${version}.json`));
  if (!reading.ok) throw new Error(JSON.stringify(reading.faults.slice(0, 3)));
  const sizes = JSON.parse(kept(`${version}-sizes.json`)) as Record<string, Sizes>;
  expect(reading.file.version).toBe(VERSION);
  expect(Object.keys(reading.file.pieces)).toEqual(Object.keys(sizes));
  for (const [id, { piece, letters }] of Object.entries(reading.file.pieces)) {
    const shop = workshopFor(workshopOf(reading.file), Object.values(reading.file.readings ?? {}), id);
    const { shape, parts } = solve(piece, shop, letters);
    const { overall, parts: were } = sizes[id] as Sizes;
    expect([id, shape.overall.width.value, shape.overall.height.value, shape.overall.depth.value]).toEqual([id, ...overall]);
    const now = Object.fromEntries(parts.map((p) => [p.letter, [p.length.value, p.width.value, p.thickness.value]]));
    expect(now).toEqual(Object.fromEntries(were.flatMap(([l, w, t, all]) => all.split(' ').map((letter) => [letter, [l, w, t]]))));
  }
});

test('what fills a space goes where it is kept now, however deep it lies, and all else stays', () => {
  const space = (id: string, more: object) => ({ id, rule: { kind: 'share', weight: 1 }, things: [], ...more });
  const cells = { kind: 'cells', thing: 'tube' };
  const before = {
    piece: { name: 'Rack', interior: space('in', { split: { axis: 'up', spaces: [space('a', { cells }), space('b', {})] } }) },
  };
  const after = recordBroughtUp('pieces', before, 1);
  expect(after).toEqual({
    piece: { name: 'Rack', interior: space('in', { split: { axis: 'up', spaces: [space('a', { filling: cells }), space('b', {})] } }) },
  });
  expect(recordBroughtUp('pieces', after, VERSION)).toBe(after);
});

test('what the tape said of a space leaves the plan and is a reading, however deep the space lies', () => {
  const space = (id: string, more: object) => ({ id, rule: { kind: 'share', weight: 1 }, things: [], ...more });
  const parts = [space('a', { measured: { width: 80, depth: 240 } }), space('b', {})];
  const before = { piece: { name: 'Rack', interior: space('in', { measured: { height: 160 }, split: { axis: 'up', spaces: parts } }) } };
  const after = { piece: { name: 'Rack', interior: space('in', { split: { axis: 'up', spaces: [space('a', {}), space('b', {})] } }) } };
  expect(recordBroughtUp('pieces', before, 2)).toEqual(after);
  const readings = [
    { piece: 'rack', space: 'in', reach: 'height', value: 160 },
    { piece: 'rack', space: 'a', reach: 'width', value: 80 },
    { piece: 'rack', space: 'a', reach: 'depth', value: 240 },
  ];
  expect(foundIn('pieces', 'rack', before, 1)).toEqual(readings.map((record) => ({ kind: 'readings', record })));
  expect(foundIn('pieces', 'rack', after, VERSION)).toEqual([]);
  const file = fileBroughtUp({ version: 2, pieces: { rack: before } }, 2);
  expect(file).toEqual({
    version: VERSION,
    pieces: { rack: after },
    readings: { 'found-1': readings[0], 'found-2': readings[1], 'found-3': readings[2] },
  });
});

test('how shelves and dividers are made goes together, with their stock; all else stays', () => {
  const [shelves, dividers] = [{ fix: 'loose' }, { fix: 'butted' }];
  const before = { name: 'Rack', shelves, dividers, stock: { sides: 'ply', shelves: 'thin', dividers: 'ply' } };
  const up = (piece: object) => (recordBroughtUp('pieces', { piece }, 3) as { piece: unknown }).piece;
  expect(up(before)).toEqual({
    name: 'Rack',
    stock: { sides: 'ply' },
    panels: { stock: { shelves: 'thin', dividers: 'ply' }, shelves, dividers },
  });
  // A place that is there already has no stock but that of its panels.
  const inPlace = { name: 'Deck', shelves, stock: { shelves: 'thin', dividers: 'ply' } };
  expect(up(inPlace)).toEqual({ name: 'Deck', panels: { stock: inPlace.stock, shelves } });
  const now = up(before) as object;
  expect(up(now)).toBe(now);
});

test('whatever is given comes back without a fault of the program', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      recordBroughtUp('pieces', value, OLDEST);
      recordBroughtUp('pieces', { piece: { interior: value } }, OLDEST);
      foundIn('pieces', 'it', { piece: { interior: value } }, OLDEST);
      fileBroughtUp({ project: value, pieces: value }, OLDEST);
    }),
  );
});

test('a version that there never was is told, with those that are read', () => {
  const of = (version: unknown) => readProject({ format: 'ruvok-project', version });
  for (const version of [0, 1.5, '1', VERSION + 1]) {
    const reading = of(version);
    expect([version, reading.ok ? '' : reading.faults.map((f) => f.path)]).toEqual([version, expect.arrayContaining(['/version'])]);
  }
});

test('the depth of the inside of a frame is that of the frame as it was; of other pieces it stays', () => {
  const up = (piece: object) => (recordBroughtUp('pieces', { piece }, 4) as { piece: unknown }).piece;
  const depth = (of: string) => ({ from: 'given', size: 400, of });
  expect(up({ shell: 'frame', depth: depth('inside') })).toEqual({ shell: 'frame', depth: depth('sides') });
  expect(up({ shell: 'frame', depth: depth('overall') })).toEqual({ shell: 'frame', depth: depth('overall') });
  expect(up({ shell: 'panel-case', depth: depth('inside') })).toEqual({ shell: 'panel-case', depth: depth('inside') });
});
