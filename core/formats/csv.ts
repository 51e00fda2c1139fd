import Papa from 'papaparse';
import { readLength, type Length, type LengthUnit } from '../length/index.js';

/** Rows as CSV with line ends as spreadsheets have them; what one would take for a formula is made plain. */
export function csvOf(rows: readonly (readonly (string | number)[])[]): string {
  return `${Papa.unparse(rows as (string | number)[][], { newline: '\r\n', escapeFormulae: /^[=+\-@\t]/ })}\r\n`;
}

/** A line of a list that could not be read: which, what was wrong, and what would be taken. */
export interface ListFault {
  /** From 1, the heading counted. */
  readonly line: number;
  readonly column: string;
  readonly given: string;
  readonly accepted: string;
}

/** A cell that was read, or what would be accepted in it. */
export type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly accepted: string };

/** A length in a cell. */
export function lengthIn(text: string, unit: LengthUnit, least?: Length): Read<Length> {
  const read = readLength(text, least === undefined ? { unit } : { unit, least });
  return read.ok ? { ok: true, value: read.length } : { ok: false, accepted: 'a length, such as 240 or 9 1/2"' };
}

/** A number in a cell, with a point or a comma. */
export function numberIn(text: string, whole: boolean, least: number, most: number): Read<number> {
  const value = Number(text.replace(',', '.'));
  const fits = text !== '' && Number.isFinite(value) && value >= least && value <= most && (!whole || Number.isInteger(value));
  return fits ? { ok: true, value } : { ok: false, accepted: `a${whole ? ' whole' : ''} number from ${least} to ${most}` };
}
