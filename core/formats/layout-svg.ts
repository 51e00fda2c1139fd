import { leftOn, partsOn, type LaidSheet, type Rect } from '../cutting/laid.js';
import { toMm } from '../length/index.js';

/** Between one sheet and the next, mm. */
export const APART = 60;

const escaped = (text: string) => text.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);

/**
 * Sheets laid out as SVG at full size: one user unit is one millimetre, sheets one under the other. Classes tell sheets,
 * parts and what is left apart; each part has its mark.
 * @example layoutSvg(LAID, new Map()).startsWith('<svg') // true
 */
export function layoutSvg(sheets: readonly LaidSheet[], marks: ReadonlyMap<string, string>): string {
  const width = Math.max(1, ...sheets.map((s) => toMm(s.length)));
  const height = Math.max(
    1,
    sheets.reduce((sum, s) => sum + toMm(s.width) + APART, -APART),
  );
  const box = (r: Rect, top: number, kind: string) =>
    `<rect class="${kind}" x="${toMm(r.x)}" y="${top + toMm(r.y)}" width="${toMm(r.length)}" height="${toMm(r.width)}"/>`;
  let top = 0;
  const drawn = sheets.map((sheet) => {
    const at = top;
    top += toMm(sheet.width) + APART;
    const parts = partsOn(sheet).map((p) => {
      const size = Math.min(40, toMm(p.width) * 0.6, toMm(p.length) * 0.4);
      const [x, y] = [toMm(p.x) + toMm(p.length) / 2, at + toMm(p.y) + toMm(p.width) / 2 + size * 0.35];
      return `${box(p, at, 'part')}<text x="${x}" y="${y}" font-size="${size.toFixed(1)}">${escaped(marks.get(p.id) ?? p.id)}</text>`;
    });
    const whole = `<rect class="sheet" x="0" y="${at}" width="${toMm(sheet.length)}" height="${toMm(sheet.width)}"/>`;
    return [whole, ...leftOn(sheet).map((l) => box(l, at, 'left')), ...parts].join('\n');
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    '<style>rect{fill:none;stroke:black;stroke-width:1}.left{stroke-dasharray:8 6}text{font-family:sans-serif;text-anchor:middle}</style>',
    ...drawn,
    '</svg>',
    '',
  ].join('\n');
}
