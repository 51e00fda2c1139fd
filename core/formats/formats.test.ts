import fc from 'fast-check';
import { inch, mm } from '../length/index.js';
import { solve } from '../solution/index.js';
import { divided, opening, piece, stock, thing, workshop } from '../testing/samples.js';
import {
  VERSION,
  faultsIn,
  isTooDeep,
  partsCsv,
  readProject,
  readProjectFile,
  reportSolution,
  workshopOf,
  writeProjectFile,
  type ProjectFile,
} from './index.js';
import { pieceSchema } from '../kinds/index.js';
import { ThingSchema } from '../things/index.js';
import { runs } from '../testing/runs.js';

const { settings } = workshop();

const file: ProjectFile = {
  format: 'ruvok-project',
  version: VERSION,
  project: { name: 'Sample', settings },
  openings: { gap: opening() },
  things: { tin: thing() },
  stock: { ply: stock(), thin: stock({ thickness: mm(6) }) },
  people: {},
  pieces: { case: { piece: piece(divided('in', 'up', 3)), letters: {} } },
};

/** The file with something put at a path. */
function spoiled(path: string, value: unknown): unknown {
  const copy = structuredClone(file) as unknown as Record<string, unknown>;
  const keys = path.split('/').slice(1);
  const last = keys.pop() as string;
  const target = keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, copy);
  if (value === undefined) delete target[last];
  else target[last] = value;
  return copy;
}

const faults = (document: unknown) => {
  const reading = readProject(document);
  return reading.ok ? [] : reading.faults;
};

test('a file that was written is read back the same', () => {
  expect(readProjectFile(writeProjectFile(file))).toEqual({ ok: true, file });
});

test('sizes of any kind come through a file unchanged', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 8_000_000_000 }), (units) => {
      const document = spoiled('/stock/ply/thickness', units) as ProjectFile;
      expect(readProjectFile(writeProjectFile(document))).toEqual({ ok: true, file: document });
    }),
    { numRuns: runs(10) },
  );
});

test.each<[string, string, unknown, object]>([
  ['a length of 0', '/stock/ply/thickness', 0, { path: '/stock/ply/thickness', message: 'this is too small', given: 0 }],
  ['a negative length', '/openings/gap/widths/0/value', -5, { path: '/openings/gap/widths/0/value', given: -5 }],
  ['an absurd length', '/stock/ply/width', 9e12, { path: '/stock/ply/width', message: 'this is too large' }],
  ['half a unit', '/stock/ply/width', 1.5, { path: '/stock/ply/width', message: 'this is of the wrong kind' }],
  ['a text for a length', '/stock/ply/width', '20 mm', { path: '/stock/ply/width', given: '20 mm' }],
  ['a missing field', '/things/tin/stack', undefined, { path: '/things/tin/stack', message: 'this field is missing' }],
  [
    'a node that every object has already',
    '/pieces/case/piece/interior/split/members/0/id',
    'constructor',
    { path: '/pieces/case/piece/interior/split/members/0/id', given: 'constructor' },
  ],
  ['an extra field', '/things/tin/colour', 'red', { path: '/things/tin/colour', message: 'this field is not known here' }],
  [
    'an unknown rule',
    '/pieces/case/piece/interior/split/spaces/0/rule/kind',
    'magic',
    {
      path: '/pieces/case/piece/interior/split/spaces/0/rule/kind',
      message: 'this is not one of the kinds that are known',
      given: 'magic',
    },
  ],
  [
    'a rule without its size',
    '/pieces/case/piece/interior/split/spaces/0/rule',
    { kind: 'fixed' },
    { path: '/pieces/case/piece/interior/split/spaces/0/rule/size', message: 'this field is missing' },
  ],
  [
    'a stock that is not there',
    '/pieces/case/piece/stock/sides',
    'oak',
    { path: '/pieces/case/piece/stock/sides', message: 'there is no stock oak' },
  ],
  ['an opening that is not there', '/pieces/case/piece/opening', 'nook', { message: 'there is no opening nook', accepted: 'one of gap' }],
  [
    'a thing that is not there',
    '/pieces/case/piece/interior/split/spaces/0/things',
    [{ thing: 'jar', count: 1 }],
    { message: 'there is no thing jar' },
  ],
  ['one id twice', '/pieces/case/piece/interior/split/spaces/0/id', 'in-2', { message: 'the id in-2 stands twice' }],
  [
    'too few spaces',
    '/pieces/case/piece/interior/split/members',
    [{ id: 'a' }],
    { message: 'space in has 1 members and 3 spaces', accepted: 'one more space than members' },
  ],
])('%s is named with its path', (_, path, value, expected) => {
  expect(faults(spoiled(path, value))).toContainEqual(expect.objectContaining(expected));
});

test('a fault in one kind of rule does not tell of the other kinds', () => {
  expect(faults(spoiled('/pieces/case/piece/interior/split/spaces/0/rule', { kind: 'fixed' }))).toHaveLength(1);
});

test.each<[string, unknown]>([
  ['nothing', null],
  ['a list', []],
  ['a text', 'project'],
])('%s is not a project', (_, document) => {
  expect(faults(document)[0]?.message).toBe('this is not a project file');
});

test('a newer file says so, and what is read', () => {
  expect(faults({ ...file, version: VERSION + 1 })[0]).toMatchObject({
    path: '/version',
    accepted: `version ${VERSION} or older`,
    given: VERSION + 1,
  });
});

test('a truncated file, and one that is too long, are refused without being parsed further', () => {
  const text = writeProjectFile(file);
  expect(readProjectFile(text.slice(0, text.length / 2))).toMatchObject({
    ok: false,
    faults: [{ message: expect.stringContaining('breaks off') as string }],
  });
  expect(readProjectFile('x'.repeat(10_000_001))).toMatchObject({ ok: false, faults: [{ message: 'this file is 10 MB long' }] });
});

test('reading any JSON never throws', () => {
  fc.assert(fc.property(fc.json(), (text) => typeof readProjectFile(text).ok === 'boolean'));
});

test('deep nesting is found without recursing', () => {
  let deep: unknown = 1;
  for (let i = 0; i < 200_000; i += 1) deep = [deep];
  expect(isTooDeep(deep)).toBe(true);
  expect(isTooDeep([[1]], 2)).toBe(false);
  expect(faultsIn(pieceSchema(), deep)[0]?.message).toContain('nested more than');
  expect(faultsIn(ThingSchema, thing())).toEqual([]);
});

test('parts as CSV: one line a kind, figures of the unit and of mm, nothing a spreadsheet would run', () => {
  const named = workshop({ stock: { ply: stock({ name: '=cmd, "18"' }) } });
  const csv = partsCsv(solve(piece(divided('in', 'up', 3)), named, {}).parts, { unit: 'in', step: inch(1 / 32) });
  const lines = csv.trim().split('\r\n');
  expect(lines).toHaveLength(5);
  expect(lines[4]).toContain('E F,shelf,2,0,,≈37 25/32,');
  expect(lines[4]).toContain('"\'=cmd, ""18"""');
  expect(lines[4]).toMatch(/,960,300,20$/);
});

test('a report has lengths in mm beside exact units, and every sum closes', () => {
  const solution = solve(file.pieces['case']?.piece ?? piece(divided('x', 'up', 2)), workshopOf(file), {});
  const report = reportSolution(solution, mm(0.5));
  expect(report.overall.width).toEqual({ mm: 1000, units: 80_000_000 });
  const [space] = report.spaces.filter((s) => s.id === 'in-2');
  // (1960 − 40) / 3 = 640 each.
  expect(space?.height.mm).toBe(640);
  expect(space && 'sum' in space ? space.sum.map((l) => [l.sign, 'mm' in l ? l.mm : l.count]) : []).toEqual([
    ['', 2000],
    ['−', 40],
    ['−', 40],
    ['=', 1920],
    ['÷', 3],
    ['=', 640],
  ]);
  expect(report.runs[0]?.marks.map((m) => m.near.mm)).toEqual([640, 1300]);
});
