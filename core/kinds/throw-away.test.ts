import { toMm, mm } from '../length/index.js';
import { readProjectFile, reportSolution, partsCsv, writeProjectFile, type ProjectFile } from '../formats/index.js';
import { drawPiece } from '../drawing/index.js';
import { candidatesFor } from '../solution/remedies/candidates.js';
import { remediesFor, solve, tapeThrough } from '../solution/index.js';
import { addThrowAway, throwAway } from '../testing/throw-away.js';
import { opening, stock, thing, workshop } from '../testing/samples.js';
import { VERSION } from '../formats/versions/index.js';
import { applyEdit, namedBy } from './index.js';

let takeOut: () => void;
beforeAll(() => (takeOut = addThrowAway()));
afterAll(() => takeOut());

const shop = workshop();
const file = (): ProjectFile => ({
  format: 'ruvok-project',
  version: VERSION,
  project: { name: 'Sample', settings: shop.settings },
  openings: { gap: opening() },
  things: { tin: thing() },
  stock: { ply: stock() },
  people: {},
  pieces: { it: { piece: throwAway, letters: {} } },
});

test('it is divided: 900 less 100 and 20 leaves 780, less two rods of 20 in three gaps of 246.67, set 246.5, 246.5 and 247', () => {
  const { shape } = solve(throwAway, shop, {});
  const gaps = shape.runs
    .get('in')
    ?.run.lines.filter((l) => l.line.kind === 'gap')
    .map((l) => toMm(l.size.value));
  expect(gaps?.reduce((sum, g) => sum + g, 0)).toBeCloseTo(740, 9);
  expect(gaps?.every((g) => Math.abs(g - 740 / 3) <= 0.5)).toBe(true);
  expect([...shape.spaces.values()].every((s) => toMm(s.clear.width.value) === 960)).toBe(true);
});

test('its tapes add up to its outside, by its own ends', () => {
  const solution = solve(throwAway, shop, {});
  const tape = (axis: 'up' | 'across' | 'deep') => tapeThrough(solution, 'g1', axis);
  for (const [axis, whole] of [
    ['up', 900],
    ['across', 1000],
    ['deep', 300],
  ] as const)
    expect([axis, tape(axis).lines.reduce((sum, l) => sum + toMm(l.size.value), 0)]).toEqual([axis, whole]);
  expect(
    tape('up')
      .lines.map((l) => l.label)
      .slice(0, 2),
  ).toEqual(['lift', 'floor']);
});

test('it carries: three tins of 2 kg go down through its floor and both ends, with its own weight', () => {
  const { carried } = solve(throwAway, shop, {});
  expect(carried.floor).toBeCloseTo((carried.massKg + 6) * 9.81, 6);
  expect(
    carried.members
      .get('trestle/floor/1')
      ?.supports.map((s) => s.carrier)
      .sort(),
  ).toEqual(['trestle/end/left', 'trestle/end/right']);
});

test('it is checked in its own words, for tipping too, and something can be done about its members', () => {
  const solution = solve(throwAway, shop, {});
  expect(solution.checks.find((c) => c.id === 'racking')?.sentence).toEqual(['Nothing keeps the ends of the trestle from leaning over.']);
  expect(solution.checks.some((c) => c.id.startsWith('tips'))).toBe(true);
  const thicker = workshop({ stock: { thick: stock({ name: 'ply 30', thickness: mm(30) }) } });
  const now = solve(throwAway, thicker, {});
  const asked = (id: string) => {
    const member = now.shape.members.find((m) => m.id === id);
    return member ? candidatesFor({ ...now, workshop: thicker, member }).map((c) => c.edit) : [];
  };
  expect(asked('r1/slat/1')).toContainEqual(
    expect.objectContaining({ kind: 'making', making: expect.objectContaining({ stock: 'thick' }) }),
  );
  expect(() => remediesFor(now, thicker, {}, 'r1/slat/1')).not.toThrow();
});

test('it has parts, a list, and views', () => {
  const solution = solve(throwAway, shop, {});
  expect(solution.parts.map((p) => p.member.role).sort()).toEqual(['bottom', 'side', 'side', 'slat', 'slat']);
  expect(partsCsv(solution.parts, { unit: 'mm', step: mm(0.1) })).toMatch(/slat/);
  expect(reportSolution(solution, shop.settings.rounding.grid).parts).toHaveLength(3);
  for (const view of ['front', 'side', 'top'] as const) expect(drawPiece(solution, view, 'g1').shapes.length).toBeGreaterThan(0);
});

test('it is written to a file and read again; its own fields are held against its own schema', () => {
  expect(readProjectFile(writeProjectFile(file()))).toEqual({ ok: true, file: file() });
  const broken = { ...file(), pieces: { it: { piece: { ...throwAway, lift: -1 }, letters: {} } } } as unknown as ProjectFile;
  const reading = readProjectFile(writeProjectFile(broken));
  expect(reading.ok ? [] : reading.faults.map((f) => f.path)).toContain('/pieces/it/piece/lift');
  const strange = { ...file(), stock: {} };
  const missing = readProjectFile(writeProjectFile(strange));
  expect(missing.ok ? [] : missing.faults.map((f) => f.message)).toContain('there is no stock ply');
});

test('it is edited like any other, its own fields too', () => {
  const higher = applyEdit(throwAway, { kind: 'piece', patch: { lift: mm(150) } as never });
  expect(toMm(solve(higher, shop, {}).shape.spaces.get('in')?.clear.height.value ?? mm(0))).toBe(730);
  expect(() => applyEdit(throwAway, { kind: 'piece', patch: { base: { kind: 'none' } } })).toThrow(/has no base/);
  const fewer = applyEdit(throwAway, { kind: 'even', space: 'in', members: 1, newMembers: [], newSpaces: [] });
  expect(solve(fewer, shop, {}).parts).toHaveLength(4);
  expect(namedBy(throwAway).filter((n) => n.where === 'space in')).toEqual([{ kind: 'stock', id: 'ply', where: 'space in' }]);
});

test('once it is taken out again, a file that has it is refused', () => {
  takeOut();
  const reading = readProjectFile(writeProjectFile(file()));
  expect(reading.ok).toBe(false);
  takeOut = addThrowAway();
});
