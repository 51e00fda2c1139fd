import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PRINT_SHED } from '../demo/print-shed.js';
import { main } from './main.js';

const folder = mkdtempSync(join(tmpdir(), 'ruvok-cli-'));
afterAll(() => rmSync(folder, { recursive: true }));

function file(content: unknown, name = 'shed.json'): string {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
}

function run(...args: string[]) {
  const out: string[] = [];
  const err: string[] = [];
  const code = main(args, { write: (t) => out.push(t) }, { write: (t) => err.push(t) });
  return { code, out: out.join(''), err: err.join('') };
}

interface Report {
  pieces: {
    id: string;
    overall: Record<string, { mm: number; units: number }>;
    spaces: { id: string; height: { mm: number }; exact?: { mm: number } }[];
    loads: { id: string; today?: number; later?: number; plate?: { today: number; meshError: number } }[];
    tipping: { pose: string; filling: string; state: string }[];
    checks: { id: string; severity: string; sentence: string }[];
    facts: { space: string; facts: { name: string; mm?: number; count?: number }[] }[];
    parts: { ids: string[]; length: { mm: number } }[];
  }[];
}

const shed = file(PRINT_SHED);

test('solve prints the ink case in mm beside the exact units, and ends with 1 since it cannot be stood up', () => {
  const { code, out } = run('solve', shed, '--piece', 'ink-case');
  const [ink] = (JSON.parse(out) as Report).pieces;
  expect(code).toBe(1);
  expect(ink?.overall['width']).toEqual({ mm: 1203, units: 1203 * 80_000 });
  expect(ink?.spaces.find((s) => s.id === 'bottles')?.exact?.mm).toBe(381.35);
  expect(ink?.loads.find((l) => l.id === 'right-2/shelf/1')?.today).toBeCloseTo(1.335, 3);
  expect(ink?.parts.find((p) => p.ids.includes('left-1/shelf/1'))?.length.mm).toBe(587.1);
});

test('with --plates a drawer bottom is solved by elements, and sags as the series that judges it says', () => {
  const [chest] = (JSON.parse(run('solve', shed, '--piece', 'paper-chest', '--plates').out) as Report).pieces;
  const bottom = chest?.loads.find((l) => l.id === 'drawer-sixth/drawer-bottom/1');
  expect(bottom?.plate?.today).toBeGreaterThan(0);
  expect(Math.abs((bottom?.plate?.today as number) / (bottom?.today as number) - 1)).toBeLessThan(0.002);
  expect(bottom?.plate?.meshError).toBeLessThan(0.005);
  expect(chest?.tipping.find((t) => t.pose === 'open' && t.filling === 'all')?.state).toBe('fails');
});

test('--plates goes with solve alone', () => {
  expect(run('check', shed, '--plates')).toMatchObject({ code: 2, err: expect.stringContaining('--plates goes with solve') });
});

test.each([
  ['paper-chest', 'drawer-top', 'box, wide', 854.6],
  ['paper-chest', 'drawer-top', 'depth there is for a slide', 532],
  ['mat-drawer', 'mats', 'front, wide', 389],
  ['mat-drawer', 'mats', 'box, high', 135],
  ['composing-table', 'front-1', 'box, deep', 489],
  ['sink-drawers', 'rags-drawer', 'box, wide', 729.6],
  ['sink-drawers', 'cabinet', 'from one runner board to the next', 312.5],
  ['type-tray', 'sticks-lane', 'channel for board 5', 450],
  ['drying-deck', 'ledge', 'a gap exactly', 218 / 13],
  ['tube-rack', 'gable', 'pitch across', 104],
])('solve prints of %s, %s: %s %d', (id, space, name, size) => {
  const [piece] = (JSON.parse(run('solve', shed, '--piece', id).out) as Report).pieces;
  expect(piece?.facts.find((f) => f.space === space)?.facts.find((f) => f.name === name)?.mm).toBeCloseTo(size, 4);
});

test('solve prints how many tubes the rack takes', () => {
  const [rack] = (JSON.parse(run('solve', shed, '--piece', 'tube-rack').out) as Report).pieces;
  expect(rack?.facts[0]?.facts.find((f) => f.count !== undefined)?.count).toBe(162);
});

test('solve prints the inch forms', () => {
  const heights = (id: string) =>
    (JSON.parse(run('solve', shed, '--piece', id).out) as Report).pieces[0]?.spaces.map((s) => [s.id, s.height.mm / 25.4]);
  expect(heights('roller-case')).toContainEqual(['third', 12.375]);
  expect(heights('brayer-rack')).toContainEqual(['gap-2', 12.65625]);
});

test('check prints the checks, and ends with 0 where nothing stops the build', () => {
  const { code, out } = run('check', shed, '--piece', 'roller-case');
  // Nothing stops it, and what nothing is entered for takes an assumed load.
  expect(code).toBe(0);
  expect(out).toContain('is assumed, as stores at home weigh');
  const [roller] = (JSON.parse(out) as Report).pieces;
  expect(roller?.checks.length).toBeGreaterThan(0);
  expect(roller?.checks.every((c) => c.severity !== 'stop')).toBe(true);
});

test('parts as CSV has one line a kind of part', () => {
  const { out } = run('parts', shed, '--piece', 'ink-case', '--csv');
  const lines = out.trim().split('\r\n');
  expect(lines[0]).toMatch(/^letters,name,count,spares,hand,length/);
  expect(lines.find((l) => l.includes(',divider,'))).toContain('1975.8');
});

test.each<[string, string, RegExp]>([
  ['a file that is not there', join(folder, 'no.json'), /no such file/],
  ['a file that breaks off', file('{"format": "ruvok-pro', 'cut.json'), /breaks off or is not JSON/],
  ['another kind of file', file({ a: 1 }, 'other.json'), /\/format: this is not a project file/],
  ['a newer file', file({ ...PRINT_SHED, version: 9 }, 'newer.json'), /\/version: .*newer program.*given 9/],
  ['an extra field', file({ ...PRINT_SHED, extra: true }, 'extra.json'), /\/extra: this field is not known/],
  ['a deeply nested file', file(`${'['.repeat(100_000)}${']'.repeat(100_000)}`, 'deep.json'), /not a project file/],
  [
    'a deep field',
    file(`{"format":"ruvok-project","version":1,"pieces":${'['.repeat(5000)}${']'.repeat(5000)}}`, 'deeper.json'),
    /nested more than 100 levels/,
  ],
  ['a file of 50 MB', file(`"${'x'.repeat(50_000_000)}"`, 'large.json'), /50 MB/],
])('%s is refused with code 2 and the path of the fault', (_, path, message) => {
  const { code, err, out } = run('check', path);
  expect(code).toBe(2);
  expect(err).toMatch(message);
  expect(out).toBe('');
});

test.each([
  ['no file', ['solve']],
  ['an unknown verb', ['saw', shed]],
  ['csv with solve', ['solve', shed, '--csv']],
  ['an unknown option', ['solve', shed, '--fast']],
  ['a piece that is not there', ['solve', shed, '--piece', 'boat']],
])('%s is a bad call', (_, args) => {
  const { code, err } = run(...args);
  expect(code).toBe(2);
  expect(err).not.toBe('');
});

test('a bad size names its path, what was given and what is accepted', () => {
  const bad = structuredClone(PRINT_SHED) as unknown as { openings: { alcove: { widths: { value: number }[] } } };
  (bad.openings.alcove.widths[1] as { value: number }).value = -5;
  expect(run('solve', file(bad, 'bad.json')).err).toContain('/openings/alcove/widths/1/value: this is too small, given -5; accepted: >= 1');
});

test('joints that are not checked count, and end with 3; all checked and nothing wrong ends with 0', () => {
  const { code, out } = run('check', shed, '--piece', 'mat-drawer');
  expect(code).toBe(3);
  expect(out).toContain('Not checked: 2 joints, since what is there already is not known');
  expect(run('check', shed, '--piece', 'tube-rack').code).toBe(0);
  expect(run('check', shed, '--piece', 'brayer-rack').code).toBe(0);
  // Pins that hold less than they have to stop the build.
  expect(run('check', shed, '--piece', 'ink-case').out).toContain('more than that holds');
});

test('a piece by a name that every object has, a mark before the file, and a fault of ours', () => {
  expect(run('solve', shed, '--piece', 'constructor')).toMatchObject({
    code: 2,
    err: expect.stringContaining('there is no piece constructor'),
  });
  expect(run('solve', shed, '--piece', '__proto__')).toMatchObject({ code: 2 });
  expect(run('parts', file(`\ufeff${JSON.stringify(PRINT_SHED)}`, 'marked.json'), '--piece', 'ink-case').code).toBe(1);
  const broken = {
    write: () => {
      throw new TypeError('x of nothing');
    },
  };
  const err: string[] = [];
  expect(main(['check', shed, '--piece', 'ink-case'], broken, { write: (t) => err.push(t) })).toBe(70);
  expect(err.join('')).toContain('a fault of Ruvok and not of your file');
});
