/** One group of a DXF file: a code and its value. */
const group = (code: number, value: string | number) => `${code}\n${value}`;

/** Straight lines from point to point on a layer, y upwards. */
export function dxfLines(layer: string, points: readonly (readonly [number, number])[], closed: boolean): string {
  return [
    group(0, 'LWPOLYLINE'),
    group(100, 'AcDbEntity'),
    group(8, layer),
    group(100, 'AcDbPolyline'),
    group(90, points.length),
    group(70, closed ? 1 : 0),
    ...points.flatMap(([x, y]) => [group(10, x), group(20, y)]),
  ].join('\n');
}

export function dxfCircle(layer: string, [x, y]: readonly [number, number], radius: number): string {
  return [
    group(0, 'CIRCLE'),
    group(100, 'AcDbEntity'),
    group(8, layer),
    group(100, 'AcDbCircle'),
    group(10, x),
    group(20, y),
    group(40, radius),
  ].join('\n');
}

export function dxfText(layer: string, [x, y]: readonly [number, number], size: number, value: string): string {
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

/** Colours of layers by their number in the format's own palette. */
export const DXF_COLOURS = { red: 1, blue: 5, plain: 7, grey: 8 } as const;

/** The layers of a file, each with its colour. */
export type DxfLayers = Readonly<Record<string, keyof typeof DXF_COLOURS>>;

/** What says which layers there are. */
function layerTable(layers: DxfLayers): string {
  const each = Object.entries(layers).flatMap(([name, colour]) => [
    group(0, 'LAYER'),
    group(100, 'AcDbSymbolTableRecord'),
    group(100, 'AcDbLayerTableRecord'),
    group(2, name),
    group(70, 0),
    group(62, DXF_COLOURS[colour]),
    group(6, 'CONTINUOUS'),
  ]);
  return [
    group(0, 'SECTION'),
    group(2, 'TABLES'),
    group(0, 'TABLE'),
    group(2, 'LAYER'),
    group(70, Object.keys(layers).length),
    ...each,
    group(0, 'ENDTAB'),
    group(0, 'ENDSEC'),
  ].join('\n');
}

/** A whole DXF file (ASCII, R2000) in millimetres. @param layers that its entities are on */
export function dxfFile(entities: readonly string[], layers: DxfLayers): string {
  const header = [
    group(0, 'SECTION'),
    group(2, 'HEADER'),
    group(9, '$ACADVER'),
    group(1, 'AC1015'),
    group(9, '$INSUNITS'),
    group(70, 4),
    group(0, 'ENDSEC'),
  ];
  return [
    ...header,
    layerTable(layers),
    group(0, 'SECTION'),
    group(2, 'ENTITIES'),
    ...entities,
    group(0, 'ENDSEC'),
    group(0, 'EOF'),
    '',
  ].join('\n');
}
