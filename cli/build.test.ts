import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { execFileSync } from 'node:child_process';
import * as dxfModule from 'dxf-parser';
import ICAL from 'ical.js';
import { buildingOf } from '../core/build/index.js';
import { PRINT_SHED } from '../demo/print-shed.js';
import { main } from './main.js';

// Its default is the class, or holds it, by how modules are put together.
const DxfParser = ((dxfModule as { default?: unknown }).default ?? dxfModule) as typeof dxfModule.DxfParser;

const folder = mkdtempSync(join(tmpdir(), 'ruvok-build-'));
afterAll(() => rmSync(folder, { recursive: true }));

async function run(verb: string, file: unknown, ...args: string[]) {
  const path = join(folder, 'file.json');
  writeFileSync(path, JSON.stringify(file));
  const out: string[] = [];
  const err: string[] = [];
  const code = await main([verb, path, ...args], { write: (t) => out.push(t) }, { write: (t) => err.push(t) });
  return { code, out: out.join(''), err: err.join('') };
}

test('the steps, settings and holes of the ink case as JSON, and beside it what is printed', async () => {
  const out = join(folder, 'files');
  const { code, out: text } = await run('build', PRINT_SHED, '--piece', 'ink-case', '--out', out);
  expect(code).toBe(0);
  const [piece] = (
    JSON.parse(text) as { pieces: { steps: { id: string; minutes: number; needs: string[] }[]; holes: Record<string, unknown>[] }[] }
  ).pieces;
  const ids = piece?.steps.map((s) => s.id) ?? [];
  expect(ids[0]).toBe('buy');
  expect(ids.at(-1)).toBe('check');
  for (const [i, s] of (piece?.steps ?? []).entries()) for (const need of s.needs) expect(ids.indexOf(need)).toBeLessThan(i);
  // The top C: pilots in its ends, 37 from the front edge and 320 − 37 from the rear one, in the middle of 17.6.
  const top = piece?.holes.filter((h) => h['part'] === 'C' && h['in'] === 'left end');
  expect(top?.map((h) => h['from'])).toEqual(
    expect.arrayContaining([
      { 'front edge': 37, 'rear edge': 283 },
      { 'front edge': 283, 'rear edge': 37 },
    ]),
  );
  expect(top?.map((h) => h['aside'])).toEqual([
    { from: 'underside', mm: 8.8 },
    { from: 'underside', mm: 8.8 },
  ]);
  const files = readdirSync(out);
  expect(files).toEqual(
    expect.arrayContaining(['ink-case.pdf', 'ink-case-full-size.pdf', 'ink-case-full-size.dxf', 'ink-case-full-size-1.svg']),
  );
  // The stick across is as long as the inside is wide: 1167.8; another library finds it in the DXF.
  const drawn = new DxfParser().parseSync(readFileSync(join(out, 'ink-case-full-size.dxf'), 'utf8'));
  const cut = drawn?.entities.filter((e) => e.layer === 'CUT') as unknown as { vertices: { x: number; y: number }[] }[];
  const wide = cut.map((e) => Math.max(...e.vertices.map((v) => v.x)) - Math.min(...e.vertices.map((v) => v.x)));
  expect(wide.some((w) => Math.abs(w - 1167.8) < 0.001)).toBe(true);
  expect(readFileSync(join(out, 'ink-case-full-size-1.svg'), 'utf8')).toMatch(/width="1167.8mm"/);
  const pages = JSON.parse(
    execFileSync(process.execPath, ['print/test/read-pdf.mjs', join(out, 'ink-case.pdf')], { encoding: 'utf8', maxBuffer: 1e8 }),
  ) as {
    texts: string[];
  }[];
  expect(pages[0]?.texts.join(' ')).toContain('2 checks stop the build');
}, 60_000);

test('a calendar of one piece is read by another library: an event for each stretch, none of them before the one it needs', async () => {
  const { code, out } = await run('calendar', PRINT_SHED, '--piece', 'composing-table');
  expect(code).toBe(0);
  const events = new ICAL.Component(ICAL.parse(out) as unknown[]).getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
  const titles = events.map((e) => e.summary);
  expect(titles.at(-1)).toBe('Composing table is ready');
  // What is done is not planned again.
  expect(titles.some((t) => t.includes('Buy'))).toBe(false);
  expect(titles.filter((t) => t.includes('Coat')).length).toBeGreaterThanOrEqual(3);
  for (const e of events) expect(e.startDate.compare(e.endDate)).toBeLessThan(0);
  for (let i = 1; i < events.length; i += 1)
    expect(events[i - 1]?.endDate.compare(events[i]?.startDate as ICAL.Time)).toBeLessThanOrEqual(0);
});

test('an event keeps its UID when the piece is planned anew, and no other piece nor project has it', async () => {
  const { buildings = {}, project } = PRINT_SHED;
  const uids = async (hours: { from: string; each: [number, number] }, piece = 'composing-table', name = project.name) => {
    const [from, to] = hours.each;
    const week = Array.from({ length: 7 }, () => [{ from: from * 60, to: to * 60 }]);
    const planned = Object.entries(buildings).map(([id, b]) => [id, { ...b, hours: { from: hours.from, week, off: [] } }]);
    const file = { ...PRINT_SHED, project: { ...project, name }, buildings: Object.fromEntries(planned) };
    const { out } = await run('calendar', file, '--piece', piece);
    return new ICAL.Component(ICAL.parse(out) as unknown[]).getAllSubcomponents('vevent').map((e) => new ICAL.Event(e).uid);
  };
  const first = await uids({ from: '2101-05-02', each: [8, 18] });
  expect(new Set(first).size).toBe(first.length);
  expect(first.at(-1)).toBe('Print%20shed/composing-table/ready@ruvok');
  // A week later all have those that they had; in evenings of an hour there are more stretches, and these as well.
  expect(await uids({ from: '2101-05-09', each: [8, 18] })).toEqual(first);
  const evenings = await uids({ from: '2101-05-02', each: [19, 20] });
  expect(evenings.length).toBeGreaterThan(first.length);
  expect(evenings).toEqual(expect.arrayContaining(first));
  expect(new Set(evenings).size).toBe(evenings.length);
  const others = [
    ...(await uids({ from: '2101-05-02', each: [8, 18] }, 'ink-case')),
    ...(await uids({ from: '2101-05-02', each: [8, 18] }, 'composing-table', 'Other shed')),
  ];
  expect(others.filter((uid) => evenings.includes(uid))).toEqual([]);
});

test('a file with several pieces wants to know which one is put into a calendar', async () => {
  const { code, err } = await run('calendar', PRINT_SHED);
  expect([code, err]).toEqual([2, expect.stringContaining('say which piece with --piece')]);
});

test('a week without hours is told in words', async () => {
  const week = [[], [], [], [], [], [], []];
  const none = { ...PRINT_SHED.buildings?.['build-composing-table'], hours: { from: '2026-10-05', week, off: [] } };
  const { code, err } = await run('calendar', { ...PRINT_SHED, buildings: { none } }, '--piece', 'composing-table');
  expect([code, err]).toEqual([2, expect.stringContaining('there are no hours to work in')]);
});

test('the calendar goes by the builder’s own pace, as the page does', async () => {
  const first = Object.values(PRINT_SHED.buildings ?? {}).find((b) => b.piece === 'mat-stand');
  const took = { phase: 'saw', minutes: 90, reckoned: 30 } as const;
  const building = { ...(first ?? buildingOf('mat-stand')), done: [{ step: 'buy', at: '2026-11-02T09:00:00.000Z', took }] };
  const at = (buildings: Record<string, unknown>) => run('calendar', { ...PRINT_SHED, buildings }, '--piece', 'mat-stand');
  const [own, reckoned] = [await at({ a: building }), await at({ a: { ...building, done: [{ step: 'buy', at: building.done[0]?.at }] } })];
  const long = (text: string) => {
    const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent');
    return events.reduce((sum, e) => sum + new ICAL.Event(e).duration.toSeconds(), 0);
  };
  expect([own.code, reckoned.code]).toEqual([0, 0]);
  expect(long(own.out)).toBeGreaterThan(long(reckoned.out));
});
