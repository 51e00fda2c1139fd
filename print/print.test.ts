import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildingOf, jigsOf, stepsOf } from '../core/build/index.js';
import { cutsOf, inOrder } from '../core/cutting/cuts.js';
import { fullSizesOf, type FullSize } from '../core/drawing/index.js';
import { layCutting } from '../core/formats/index.js';
import { cuttingOf } from '../core/layout/index.js';
import { solve } from '../core/solution/index.js';
import { programSolver } from '../core/testing/programs.js';
import { divided, piece, workshop } from '../core/testing/samples.js';
import { shopSheets } from './shop-sheets.js';
import { CHECK, fullSizePages, tilesFor } from './tiles.js';

interface Page {
  readonly width: number;
  readonly height: number;
  readonly texts: readonly string[];
  readonly lines: readonly (readonly [number, number, number, number])[];
}

const folder = mkdtempSync(join(tmpdir(), 'ruvok-print-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** What another library finds in a PDF. */
function read(bytes: Buffer): readonly Page[] {
  const file = join(folder, 'print.pdf');
  writeFileSync(file, bytes);
  return JSON.parse(execFileSync(process.execPath, ['print/test/read-pdf.mjs', file], { encoding: 'utf8', maxBuffer: 1e8 })) as Page[];
}

const MM = 25.4 / 72;
const long = ([x0, y0, x1, y1]: Page['lines'][number]) => Math.hypot(x1 - x0, y1 - y0) * MM;

// A case of 1000 x 2000 x 300 with two loose shelves.
const solution = solve(piece(divided('in', 'up', 3)), workshop(), {});
const rectangle = (width: number, height: number): FullSize => ({
  name: 'A board',
  width,
  height,
  lines: [
    {
      use: 'cut',
      points: [
        [0, 0],
        [width, 0],
        [width, height],
        [0, height],
      ],
      closed: true,
    },
  ],
  circles: [],
  texts: [],
});

test('the line that is measured is 100 mm on every page, and so is what is drawn', async () => {
  const pages = read(await fullSizePages('Test', [rectangle(150, 200)]));
  expect(pages).toHaveLength(1);
  const [page] = pages as [Page];
  expect([page.width * MM, page.height * MM].map((x) => Math.round(x))).toEqual([210, 297]);
  const lengths = page.lines.map(long);
  expect(lengths.some((l) => Math.abs(l - CHECK) < 0.05)).toBe(true);
  expect(lengths.filter((l) => Math.abs(l - 150) < 0.05)).toHaveLength(2);
  expect(lengths.filter((l) => Math.abs(l - 200) < 0.05)).toHaveLength(2);
  expect(page.texts.join(' ')).toContain('Measure this line: 100 mm');
});

// A page shows 186 x 259 and the next goes on 176 and 249 further: 400 across takes 1 + ceil(214 / 176) = 3, 600 up 1 + ceil(341 / 249) = 3.
test.each([
  [186, 259, 1, 1],
  [186.1, 259, 2, 1],
  [400, 600, 3, 3],
  [2400, 100, 14, 1],
])('%d x %d takes %d pages across and %d down', (width, height, across, down) => {
  expect(tilesFor({ width, height })).toEqual({ across, down });
});

test('pages lie on each other: the same edge is found where the overlap says it is', async () => {
  const pages = read(await fullSizePages('Test', [rectangle(300, 100)]));
  // 300 x 100: two windows of 186 with 10 in common, one under the other on one page.
  expect(pages).toHaveLength(1);
  const upright = (pages[0] as Page).lines
    .filter((l) => Math.abs(l[0] - l[2]) < 0.01 && Math.abs(long(l) - 100) < 0.05)
    .map((l) => l[0] * MM);
  // The left edge is at 12 in the first window; the right edge is 300 − 176 = 124 from the left of the second.
  for (const x of [12, 136]) expect(upright.some((u) => Math.abs(u - x) < 0.05)).toBe(true);
});

test('a stick and the sheets for the shop: every part and every step is in them', async () => {
  const settings = solution.workshop.settings;
  const jigs = jigsOf(solution, settings);
  const stick = jigs.find((j) => j.kind === 'stick');
  // Between bottom and top 1960: (1960 − 2 × 20) / 3 = 640: 640, 660, 1300, 1320.
  expect(stick && stick.kind === 'stick' ? stick.marks.map((m) => m.at / 80_000) : []).toEqual([640, 660, 1300, 1320]);
  expect(fullSizesOf(solution, jigs, settings)[0]).toMatchObject({ width: 1960 });
  const building = buildingOf('sample');
  const steps = stepsOf(solution, building);
  const told: number[] = [];
  const cutting = cuttingOf({ id: 'sample', name: 'Sample' });
  const laid = layCutting(cutting, [{ id: 'sample', solution }], settings, await programSolver()).map((s) => ({
    ...s,
    name: s.stock.name,
    form: s.stock.form,
  }));
  const pages = read(
    await shopSheets({ solution, building, steps, laid, address: 'http://127.0.0.1:4173/p/shed/pieces/sample/build' }, (part) =>
      told.push(part),
    ),
  );
  const text = pages.flatMap((p) => p.texts).join(' ');
  for (const s of steps) expect(text).toContain(s.title);
  for (const p of solution.parts) expect(text).toContain(p.member.role);
  // Every part falls in one cut of the order, which stands on the sheets with its fence or stop.
  const fall = laid.flatMap((s) =>
    inOrder(cutsOf(s.sheets)).flatMap((setting) =>
      setting.cuts.flatMap((c) => (c.of.near.kind === 'part' ? [s.marks.get(c.of.near.id)] : [])),
    ),
  );
  expect(fall.length).toBeGreaterThan(0);
  expect(text).toContain('Order of cuts');
  for (const mark of fall) expect(text).toMatch(new RegExp(`(: | and )${mark}, \\d`));
  expect(text).toMatch(/(Rip, fence|Crosscut, stop) at \d/);
  expect(text).toMatch(/No check stops the build|checks? stops? the build/);
  expect(told.at(-1)).toBeCloseTo(1, 9);
  expect([...told].sort((a, b) => a - b)).toEqual(told);
});
