import { cutsOf, inOrder } from '../cutting/cuts.js';
import type { LaidSheet, Sawn } from '../cutting/laid.js';
import { fallsText } from '../layout/falls.js';
import { formatLength, toMm, type Precision } from '../length/index.js';
import { csvOf } from './csv.js';

const HEADER = ['cut', 'setting', 'sheet', 'way', 'at', 'of length', 'of width', 'gives', 'and', 'at mm'];

/**
 * The order of cuts as CSV. @param marks what is written on each blank, by its key
 * @example cutsCsv(LAID, new Map(), { unit: 'mm', step: mm(0.5) }).trim().split('\n').length // 10
 */
export function cutsCsv(sheets: readonly LaidSheet[], marks: ReadonlyMap<string, string>, precision: Precision): string {
  let nth = 0;
  const falls = (sawn: Sawn | null) => fallsText(sawn, marks, (l) => formatLength(l, precision));
  const rows = inOrder(cutsOf(sheets)).flatMap(({ way, at, cuts }, setting) =>
    cuts.map((cut) => {
      nth += 1;
      const { of } = cut;
      return [
        nth,
        setting + 1,
        sheets.indexOf(cut.sheet) + 1,
        way,
        formatLength(at, precision),
        formatLength(of.length, precision),
        formatLength(of.width, precision),
        falls(of.near),
        falls(of.far),
        toMm(at),
      ];
    }),
  );
  return csvOf([HEADER, ...rows]);
}
