import { exactText, formatLength, toMm, type Precision } from '../length/index.js';
import { PIN } from '../joints/index.js';
import { rowsOf, type Part, type PartRow } from '../parts/index.js';
import type { Feature } from '../piece/index.js';

/** A cell of CSV by RFC 4180; text that a spreadsheet would take for a formula is made plain. */
function cell(value: string | number): string {
  const text = typeof value === 'string' && /^[=+\-@\t]/.test(value) ? `'${value}` : `${value}`;
  return /[",\r\n]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text;
}

const HEADER = [
  'letters',
  'name',
  'count',
  'hand',
  'length',
  'width',
  'thickness',
  'cut length',
  'cut width',
  'stock',
  'edges',
  'machining',
  'length mm',
  'width mm',
  'thickness mm',
];

/** Which edges of a part are covered or eased, as builders note it. */
export function edgesText(part: Part): string {
  const names = { u0: 'one end', u1: 'other end', v0: 'one long edge', v1: 'one long edge' } as const;
  return (Object.keys(names) as (keyof typeof names)[])
    .filter((key) => part.edges[key] !== 'square')
    .map((key) => `${part.edges[key]} on ${names[key]}`)
    .join('; ');
}

/** What the holes of a part are for, by how they are drilled. */
export function holesText(feature: Extract<Feature, { kind: 'hole' }>, part: Part): string {
  if (feature.depth >= part.thickness.value) return 'screw holes';
  return feature.diameter > PIN.diameter ? 'pocket holes' : 'pin holes';
}

/** One line of machining: what, how wide, how deep, and where from the start of the part. */
export function machiningText(feature: Feature, precision: Precision): string {
  const write = (l: Parameters<typeof formatLength>[0]) => formatLength(l, precision);
  if (feature.kind === 'hole') {
    return `hole Ø${write(feature.diameter)}, ${write(feature.depth)} deep, at ${write(feature.at.u)}, ${write(feature.at.v)} in`;
  }
  const { u0, u1, v0, v1 } = feature.region;
  const along = u1 - u0 >= v1 - v0;
  const [width, from] = along ? [v1 - v0, v0] : [u1 - u0, u0];
  if (feature.kind === 'notch') {
    const long = (along ? u1 - u0 : v1 - v0) as typeof u0;
    return `notch ${write(width as typeof u0)} wide, ${write(long)} long, right through, ${write(from)} from the ${along ? 'edge' : 'end'}`;
  }
  return `${feature.kind} ${write(width as typeof u0)} wide, ${write(feature.depth)} deep, ${write(from)} from the ${along ? 'edge' : 'end'}`;
}

function lineOf({ parts, first, count, hand }: PartRow, precision: Precision): readonly (string | number)[] {
  return [
    parts.map((p) => p.letter).join(' '),
    first.member.role,
    count,
    hand ?? '',
    formatLength(first.length.value, precision),
    formatLength(first.width.value, precision),
    formatLength(first.thickness.value, precision),
    formatLength(first.cut.length.set, precision),
    formatLength(first.cut.width.set, precision),
    first.member.stock.name,
    edgesText(first),
    first.features.map((f) => machiningText(f, precision)).join('; '),
    exactText(first.length.value, 'mm'),
    exactText(first.width.value, 'mm'),
    toMm(first.thickness.value),
  ];
}

/** The list of parts as CSV, equal parts on one line. */
export function partsCsv(parts: readonly Part[], precision: Precision): string {
  const rows = [HEADER, ...rowsOf(parts).map((row) => lineOf(row, precision))];
  return rows.map((row) => row.map(cell).join(',')).join('\r\n') + '\r\n';
}
