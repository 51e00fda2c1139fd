import Papa from 'papaparse';
import { exactText, readLength, type Length, type LengthUnit } from '../length/index.js';

/** What a spreadsheet begins a formula with, written narrow or wide. */
const FORMULA = '[=+\\-@\uff1d\uff0b\uff0d\uff20]';
/** Where a cell begins: at its start, and for spreadsheets that part cells at a semicolon or a tab after every one of those. */
const RUN = new RegExp(`(^|[;\\t\\r\\n|])(["\\s]*)(?=${FORMULA})`, 'g');
const PLAIN = new RegExp(`(^|[;\\t\\r\\n|])(["\\s]*)'(?=${FORMULA})`, 'g');

/** A cell that no spreadsheet runs, whichever sign it parts cells at. */
const plain = (cell: string | number): string | number => (typeof cell === 'string' ? cell.replace(RUN, "$1$2'") : cell);

/**
 * Rows as CSV with line ends as spreadsheets have them; what one would take for a formula is made plain.
 * @example csvOf([['=1+1']]).trim() // "'=1+1"
 */
export function csvOf(rows: readonly (readonly (string | number)[])[]): string {
  return `${Papa.unparse(
    rows.map((row) => row.map(plain)),
    { newline: '\r\n' },
  )}\r\n`;
}

/** A cell as it was before it was made plain for spreadsheets. @example cellAsItWas("'=1+1") // '=1+1' */
export const cellAsItWas = (cell: string): string => cell.replace(PLAIN, '$1$2');

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

/** A number in a cell, with a point before its decimals. @example numberIn('2.5', false, 0, 10) // { ok: true, value: 2.5 } */
export function numberIn(text: string, whole: boolean, least: number, most: number): Read<number> {
  const value = Number(text);
  const fits = text !== '' && Number.isFinite(value) && value >= least && value <= most && (!whole || Number.isInteger(value));
  return fits ? { ok: true, value } : { ok: false, accepted: `a${whole ? ' whole' : ''} number from ${least} to ${most}` };
}

/** A cell of a line by its column; empty where there is no such column. */
export type CellOf<C extends string> = (column: C) => string;

/** A cell that could not be read, without its line. */
export interface FieldFault<C extends string = string> {
  readonly column: C;
  readonly given: string;
  readonly accepted: string;
}

/** A field of a line, where it is filled in; else as it was. */
export function field<C extends string, T>(
  cell: CellOf<C>,
  column: C,
  before: T | undefined,
  read: (text: string) => Read<T>,
): T | FieldFault<C> | undefined {
  const given = cell(column);
  if (given === '') return before;
  const found = read(given);
  return found.ok ? found.value : { column, given, accepted: found.accepted };
}

export function isFault<C extends string>(value: unknown): value is FieldFault<C> {
  return typeof value === 'object' && value !== null && 'accepted' in value;
}

/**
 * A length so that it is read back the same: in mm, and saying so, where it is no decimal of an inch.
 * @example exactly(mm(17.6), 'mm') // '17.6'
 */
export function exactly(length: Length, unit: LengthUnit): string {
  const text = exactText(length, unit);
  const read = readLength(text, { unit });
  return read.ok && read.length === length ? text : `${exactText(length, 'mm')} mm`;
}
