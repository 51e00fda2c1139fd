import { exactText, formatLength, toMm, type Precision } from '../length/index.js';
import { aslantText, edgesText, lettersText, machiningText, rowsOf, type Part, type PartRow } from '../parts/index.js';
import { csvOf } from './csv.js';

const HEADER = [
  'letters',
  'name',
  'count',
  'spares',
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

function lineOf({ parts, first, count, spares, hand }: PartRow, precision: Precision, times: number): readonly (string | number)[] {
  return [
    lettersText(
      parts.map((p) => p.letter),
      ' ',
    ),
    first.member.role,
    count * times,
    spares * times,
    hand ?? '',
    formatLength(first.length.value, precision),
    formatLength(first.width.value, precision),
    formatLength(first.thickness.value, precision),
    formatLength(first.cut.length.set, precision),
    formatLength(first.cut.width.set, precision),
    first.member.stock.name,
    edgesText(first),
    [...aslantText(first.member, precision), ...new Set(first.features.map((f) => machiningText(f, first, precision)))].join('; '),
    exactText(first.length.value, 'mm'),
    exactText(first.width.value, 'mm'),
    toMm(first.thickness.value),
  ];
}

/**
 * The list of parts as CSV, equal parts on one line. @param times how many of the piece are made
 * @example partsCsv([PART], { unit: 'mm', step: mm(0.1) }).trim().split('\n').length // 2
 */
export function partsCsv(parts: readonly Part[], precision: Precision, times = 1): string {
  const rows = [HEADER, ...rowsOf(parts).map((row) => lineOf(row, precision, times))];
  return csvOf(rows);
}
