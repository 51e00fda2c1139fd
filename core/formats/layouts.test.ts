import * as dxfModule from 'dxf-parser';
import { JSDOM } from 'jsdom';
import Papa from 'papaparse';
import type { LaidSheet } from '../cutting/laid.js';
import { SheetSearch } from '../cutting/sheets/index.js';
import { mm } from '../length/index.js';
import { cutsCsv } from './cuts-csv.js';
import { layoutDxf } from './layout-dxf.js';
import { APART, layoutSvg } from './layout-svg.js';
import { toBuyCsv } from './to-buy-csv.js';

const DxfParser = ((dxfModule as { default?: unknown }).default ?? dxfModule) as typeof dxfModule.DxfParser;
const precision = { unit: 'mm', step: mm(0.1) } as const;

/** Two sheets: 800 x 500 twice beside each other and 1000 x 600 below on the first, the like on the second. */
function laid(): readonly LaidSheet[] {
  const wanted = [...Array.from({ length: 4 }, (_, i) => [`a${i}`, 800, 500]), ['b', 1000, 600], ['c', 1000, 600]] as [
    string,
    number,
    number,
  ][];
  const search = new SheetSearch({
    kerf: mm(3),
    wanted: wanted.map(([id, length, width]) => ({ id, length: mm(length), width: mm(width), turns: false })),
    sheets: [{ id: 's', length: mm(2000), width: mm(1200), count: Infinity, cost: 1, trim: { ends: mm(0), edges: mm(0) } }],
    first: 'rips',
    pins: [],
  });
  return search.answer().laid;
}

const sheets = laid();
const marks = new Map(['a0', 'a1', 'a2', 'a3', 'b', 'c'].map((id) => [id, id === 'b' ? '<B>' : id.toUpperCase()]));
const size = (a: number, b: number) => `${Math.round(a)} x ${Math.round(b)}`;
const SIZES = ['1000 x 600', '1000 x 600', '800 x 500', '800 x 500', '800 x 500', '800 x 500'];

test('the SVG is read back at full size: sheets, parts and their marks', () => {
  const { document } = new JSDOM(layoutSvg(sheets, marks), { contentType: 'image/svg+xml' }).window;
  const svg = document.documentElement;
  expect(svg.getAttribute('width')).toBe('2000mm');
  expect(svg.getAttribute('viewBox')).toBe(`0 0 2000 ${2 * 1200 + APART}`);
  const boxes = (kind: string) =>
    [...document.querySelectorAll(`rect.${kind}`)].map(
      (r) => ['x', 'y', 'width', 'height'].map((k) => Number(r.getAttribute(k))) as [number, number, number, number],
    );
  expect(boxes('sheet')).toEqual([
    [0, 0, 2000, 1200],
    [0, 1260, 2000, 1200],
  ]);
  expect(
    boxes('part')
      .map(([, , w, h]) => size(w, h))
      .sort(),
  ).toEqual(SIZES);
  for (const [x, y, w, h] of boxes('part')) {
    expect(boxes('sheet').some(([sx, sy, sw, sh]) => x >= sx && y >= sy && x + w <= sx + sw && y + h <= sy + sh)).toBe(true);
  }
  expect([...document.querySelectorAll('text')].map((t) => t.textContent).sort()).toEqual(['<B>', 'A0', 'A1', 'A2', 'A3', 'C']);
});

test('each layer of the DXF has a colour of its own', () => {
  const dxf = new DxfParser().parseSync(layoutDxf(sheets, marks));
  const { layers } = (dxf?.tables as unknown as { layer: { layers: Record<string, { name: string; colorIndex: number }> } }).layer;
  expect(Object.keys(layers).sort()).toEqual(['LEFT', 'MARK', 'PART', 'SHEET']);
  expect(new Set(Object.values(layers).map((l) => l.colorIndex)).size).toBe(4);
  // Nothing lies on a layer that is not told.
  expect([...new Set(dxf?.entities.map((e) => e.layer))].filter((name) => !(name in layers))).toEqual([]);
});

test('the DXF is read back in millimetres: closed outlines on their layers, a mark in each part', () => {
  const dxf = new DxfParser().parseSync(layoutDxf(sheets, marks));
  expect(dxf?.header['$INSUNITS']).toBe(4);
  const outlines = (layer: string) =>
    (dxf?.entities ?? []).flatMap((e) => {
      const { vertices, shape } = e as unknown as { vertices?: { x: number; y: number }[]; shape?: boolean };
      if (e.layer !== layer || !vertices) return [];
      expect(shape).toBe(true);
      const [xs, ys] = [vertices.map((v) => v.x), vertices.map((v) => v.y)];
      return [{ x: Math.min(...xs), y: Math.min(...ys), w: Math.max(...xs) - Math.min(...xs), h: Math.max(...ys) - Math.min(...ys) }];
    });
  expect(outlines('SHEET').map(({ w, h }) => size(w, h))).toEqual(['2000 x 1200', '2000 x 1200']);
  expect(
    outlines('PART')
      .map(({ w, h }) => size(w, h))
      .sort(),
  ).toEqual(SIZES);
  const texts = (dxf?.entities ?? []).filter((e) => e.type === 'TEXT') as unknown as {
    text: string;
    startPoint: { x: number; y: number };
  }[];
  expect(texts).toHaveLength(6);
  for (const { startPoint: p } of texts) {
    expect(outlines('PART').some((o) => p.x > o.x && p.x < o.x + o.w && p.y > o.y && p.y < o.y + o.h)).toBe(true);
  }
});

test('the order of cuts as CSV: every cut numbered, with its setting, and what falls off', () => {
  const rows = Papa.parse<Record<string, string>>(cutsCsv(sheets, marks, precision), { header: true, skipEmptyLines: true }).data;
  expect(rows.map((r) => Number(r['cut']))).toEqual(rows.map((_, i) => i + 1));
  // Both sheets are ripped before any strip is crosscut.
  const ways = rows.map((r) => r['way']);
  expect(ways.lastIndexOf('rip')).toBeGreaterThanOrEqual(0);
  expect(ways[0]).toBe('rip');
  const settings = rows.map((r) => `${r['setting']} ${r['way']} ${r['at']}`);
  expect(new Set(settings).size).toBe(Number(rows.at(-1)?.['setting']));
  for (const r of rows) expect(Number(r['at mm'])).toBeLessThan(r['way'] === 'rip' ? Number(r['of width']) : Number(r['of length']));
});

test('what to buy as CSV: no price is an empty cell, a name that a spreadsheet would run is made plain', () => {
  const wood = [{ name: '=1+1', length: mm(2500), width: mm(1250), thickness: mm(18), count: 3, each: null, money: null }];
  const rows = Papa.parse<string[]>(
    toBuyCsv(wood, [{ bought: { what: 'pins', count: 14, each: 'piece' }, packs: null, money: null }], precision),
    { skipEmptyLines: true },
  ).data;
  expect(rows[1]).toEqual(['3', "'=1+1", '2500 x 1250 mm', '', '']);
  expect(rows[2]).toEqual(['14', 'pins', '', '', '']);
});
