import { leftOn, partsOn, type LaidSheet, type Rect } from '../cutting/laid.js';
import { toMm } from '../length/index.js';
import { dxfFile, dxfLines, dxfText } from './dxf.js';
import { APART } from './layout-svg.js';

/** A closed box on a layer, y upwards. */
function outline(layer: string, x: number, y: number, length: number, width: number): string {
  return dxfLines(
    layer,
    [
      [x, y],
      [x + length, y],
      [x + length, y + width],
      [x, y + width],
    ],
    true,
  );
}

/**
 * Sheets laid out as DXF (ASCII, R2000) at full size in millimetres, sheets one over the other on the layers SHEET, PART, LEFT and MARK, each with a colour.
 * @example layoutDxf(LAID, new Map()).trim().endsWith('EOF') // true
 */
export function layoutDxf(sheets: readonly LaidSheet[], marks: ReadonlyMap<string, string>): string {
  let foot = 0;
  const entities = sheets.flatMap((sheet) => {
    const at = foot;
    const high = toMm(sheet.width);
    foot += high + APART;
    // The page measures down from the near edge, a drawing file upwards.
    const box = (layer: string, r: Rect) => outline(layer, toMm(r.x), at + high - toMm(r.y) - toMm(r.width), toMm(r.length), toMm(r.width));
    return [
      outline('SHEET', 0, at, toMm(sheet.length), high),
      ...leftOn(sheet).map((l) => box('LEFT', l)),
      ...partsOn(sheet).flatMap((p) => [
        box('PART', p),
        dxfText(
          'MARK',
          [toMm(p.x) + 5, at + high - toMm(p.y) - toMm(p.width) + 5],
          Math.min(30, toMm(p.width) / 2),
          marks.get(p.id) ?? p.id,
        ),
      ]),
    ];
  });
  return dxfFile(entities, { SHEET: 'plain', PART: 'red', LEFT: 'grey', MARK: 'blue' });
}
