import { leftOn, partsOn, type LaidSheet, type Rect } from '../cutting/laid.js';
import { toMm } from '../length/index.js';
import { APART } from './layout-svg.js';

/** One group of a DXF file: a code and its value. */
const group = (code: number, value: string | number) => `${code}\n${value}`;

/** A closed outline on a layer, y upwards. */
function outline(layer: string, x: number, y: number, length: number, width: number): string {
  const corners = [
    [x, y],
    [x + length, y],
    [x + length, y + width],
    [x, y + width],
  ] as const;
  return [
    group(0, 'LWPOLYLINE'),
    group(100, 'AcDbEntity'),
    group(8, layer),
    group(100, 'AcDbPolyline'),
    group(90, 4),
    group(70, 1),
    ...corners.flatMap(([cx, cy]) => [group(10, cx), group(20, cy)]),
  ].join('\n');
}

function text(layer: string, x: number, y: number, size: number, value: string): string {
  return [
    group(0, 'TEXT'),
    group(100, 'AcDbEntity'),
    group(8, layer),
    group(100, 'AcDbText'),
    group(10, x),
    group(20, y),
    group(40, size),
    group(1, value.replace(/[\r\n]/g, ' ')),
  ].join('\n');
}

/**
 * Sheets laid out as DXF (ASCII, R2000) at full size in millimetres, sheets one over the other on the layers SHEET, PART, LEFT and MARK.
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
        text('MARK', toMm(p.x) + 5, at + high - toMm(p.y) - toMm(p.width) + 5, Math.min(30, toMm(p.width) / 2), marks.get(p.id) ?? p.id),
      ]),
    ];
  });
  const header = [
    group(0, 'SECTION'),
    group(2, 'HEADER'),
    group(9, '$ACADVER'),
    group(1, 'AC1015'),
    group(9, '$INSUNITS'),
    group(70, 4),
    group(0, 'ENDSEC'),
  ];
  return [...header, group(0, 'SECTION'), group(2, 'ENTITIES'), ...entities, group(0, 'ENDSEC'), group(0, 'EOF'), ''].join('\n');
}
