import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { LaidSheet } from '../core/cutting/laid.js';
import { ZERO, mm } from '../core/length/index.js';
import { layoutPages } from './layouts.js';

const folder = mkdtempSync(join(tmpdir(), 'ruvok-layouts-'));
afterAll(() => rmSync(folder, { recursive: true }));

const box = (x: number, y: number, length: number, width: number) => ({ x: mm(x), y: mm(y), length: mm(length), width: mm(width) });

// A sheet of 1000 x 500: ripped at 300, the strip crosscut at 600; a kerf of 4.
const sheet: LaidSheet = {
  sheet: 'buy 0',
  copy: 0,
  length: mm(1000),
  width: mm(500),
  trim: { ends: ZERO, edges: ZERO },
  sawn: {
    kind: 'cut',
    ...box(0, 0, 1000, 500),
    way: 'rip',
    at: mm(300),
    near: {
      kind: 'cut',
      ...box(0, 0, 1000, 300),
      way: 'crosscut',
      at: mm(600),
      near: { kind: 'part', id: 'a', turned: false, ...box(0, 0, 600, 300) },
      far: { kind: 'left', ...box(604, 0, 396, 300) },
    },
    far: { kind: 'left', ...box(0, 304, 1000, 196) },
  },
};

test('a layout is read back by another library: its parts with their sizes, and its cuts in order', async () => {
  const file = join(folder, 'layout.pdf');
  writeFileSync(
    file,
    await layoutPages(
      'Case',
      [{ name: 'Ply 18', form: 'sheet', sheets: [sheet], marks: new Map([['a', 'A']]), offcuts: new Map([['buy 0', 'Offcut 2']]) }],
      {
        precision: { unit: 'mm', step: mm(0.1) },
      },
    ),
  );
  const [page, ...more] = JSON.parse(execFileSync(process.execPath, ['print/test/read-pdf.mjs', file], { encoding: 'utf8' })) as {
    texts: string[];
  }[];
  expect(more).toEqual([]);
  const text = page?.texts.join(' ').replace(/\s+/g, ' ') ?? '';
  for (const said of [
    'Ply 18',
    'Sheet 1, Offcut 2: 1000 × 500 mm',
    '1000 × 196',
    'A 600 × 300',
    'Rip, fence at 300',
    'Crosscut, stop at 600',
    '1. from 1: A, 1000 × 300 and left over, 1000 × 196',
    '2. from 1, of cut 1: A, 600 × 300 and left over, 396 × 300',
  ])
    expect(text).toContain(said);
  expect(text.indexOf('Rip, fence')).toBeLessThan(text.indexOf('Crosscut, stop'));
});
