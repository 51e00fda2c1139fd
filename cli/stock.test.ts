import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PRINT_SHED } from '../demo/print-shed.js';
import { boughtText } from '../core/formats/bought-text.js';
import { fittingsFor, solvedIn } from '../core/formats/index.js';
import { mm } from '../core/length/index.js';
import type { Solution } from '../core/solution/index.js';
import { main } from './main.js';

const folder = mkdtempSync(join(tmpdir(), 'ruvok-stock-'));
afterAll(() => rmSync(folder, { recursive: true }));

interface Report {
  cuttings: {
    name: string;
    pieces: string[];
    money: number;
    stocks: {
      stock: string;
      sheets: { from: string; parts: { mark: string; length: number; width: number }[] }[];
      settings: { way: string; at: number; cuts: object[] }[];
      missing: { part: string; why: string }[];
      isFewest: boolean;
    }[];
  }[];
}

async function run(file: unknown, ...args: string[]) {
  const path = join(folder, 'file.json');
  writeFileSync(path, JSON.stringify(file));
  const out: string[] = [];
  const err: string[] = [];
  const code = await main(['stock', path, ...args], { write: (t) => out.push(t) }, { write: (t) => err.push(t) });
  return { code, report: code === 2 ? null : (JSON.parse(out.join('')) as Report), err: err.join('') };
}

test('the ink case: thirteen parts on two sheets, and no layout has fewer; written at full size beside it', async () => {
  const out = join(folder, 'files');
  const { code, report } = await run(PRINT_SHED, '--piece', 'ink-case', '--out', out);
  expect(code).toBe(0);
  const [case_] = report?.cuttings ?? [];
  const birch = case_?.stocks.find((s) => s.stock === 'birch-18');
  expect(birch?.sheets.flatMap((s) => s.parts)).toHaveLength(13);
  expect(birch?.sheets).toHaveLength(2);
  expect(birch?.isFewest).toBe(true);
  expect(birch?.missing).toEqual([]);
  // Three of the print shed's sheets are on hand, so nothing is bought.
  expect(case_?.money).toBe(0);
  expect(readdirSync(out).sort()).toEqual([
    'ink-case-birch-ply-18-cuts.csv',
    'ink-case-birch-ply-18.dxf',
    'ink-case-birch-ply-18.svg',
    'ink-case-birch-ply-6-cuts.csv',
    'ink-case-birch-ply-6.dxf',
    'ink-case-birch-ply-6.svg',
    'ink-case-layouts.pdf',
    'ink-case-to-buy.csv',
  ]);
  expect(readFileSync(join(out, 'ink-case-birch-ply-18.svg'), 'utf8')).toContain('width="2500mm"');
});

test('a part that is larger than any sheet: named, the rest still laid out, and the command ends with 1', async () => {
  const small = { ...PRINT_SHED, stock: { ...PRINT_SHED.stock, 'birch-18': { ...PRINT_SHED.stock['birch-18'], length: mm(2000) } } };
  const { code, report } = await run(small, '--piece', 'ink-case');
  expect(code).toBe(1);
  const birch = report?.cuttings[0]?.stocks.find((s) => s.stock === 'birch-18');
  // Both sides are 2091 long.
  expect(birch?.missing.map((m) => m.why)).toEqual(['too large', 'too large']);
  expect(birch?.sheets.flatMap((s) => s.parts)).toHaveLength(11);
});

test('--together goes with stock alone', () => {
  const err: string[] = [];
  expect(main(['solve', 'x.json', '--together'], { write: () => 0 }, { write: (t) => err.push(t) })).toBe(2);
  expect(err.join('')).toMatch(/goes with stock/);
});

test('a piece that is not there is told with those that are', async () => {
  const { code, err } = await run(PRINT_SHED, '--piece', 'nothing');
  expect(code).toBe(2);
  expect(err).toMatch(/there is no piece nothing/);
});

test('what is bought besides wood is in the list that the command writes, as on the page', async () => {
  const out = join(folder, 'fittings');
  await run(PRINT_SHED, '--piece', 'ink-case', '--out', out);
  const list = readFileSync(join(out, readdirSync(out).find((f) => f.endsWith('-to-buy.csv')) as string), 'utf8');
  const { pieces, buildings = {}, hardware = {}, slides = {} } = PRINT_SHED;
  const solution = solvedIn(PRINT_SHED, 'ink-case') as Solution;
  const lines = fittingsFor([{ id: 'ink-case', solution }], {
    buildings: Object.values(buildings),
    hardware: Object.values(hardware),
    slides: Object.values(slides),
  });
  expect(pieces['ink-case']).toBeDefined();
  expect(lines.length).toBeGreaterThan(2);
  for (const { bought } of lines) expect(list).toContain(boughtText(bought, PRINT_SHED.project.settings)[1]);
});
