import type { LengthUnit } from '../length/index.js';
import { isSameHardware, type Hardware } from '../stock/index.js';
import {
  cellsOf,
  csvOf,
  exactly,
  field,
  isFault,
  lengthIn,
  numberIn,
  type CellOf,
  type FieldFault,
  type ListFault,
  type Read,
} from './csv.js';

const HEADER = ['what', 'counted by', 'length', 'thick', 'in one pack', 'price', 'on hand'] as const;
type Column = (typeof HEADER)[number];

/** The longest list that is read at once. */
const LONGEST = 1000;

/** What each is counted by, as it is written. */
const COUNTED: Readonly<Record<Hardware['each'], string>> = { piece: 'piece', pair: 'pair', run: 'metre', litre: 'litre' };

/**
 * Screws, edging, finish and the like as CSV, as each is sold and what there is of it.
 * @example hardwareCsv([], 'mm').trim().split('\n').length // 1
 */
export function hardwareCsv(all: readonly Hardware[], unit: LengthUnit): string {
  const rows = all.map((h) => [
    h.what,
    COUNTED[h.each],
    h.length === undefined ? '' : exactly(h.length, unit),
    h.thick === undefined ? '' : exactly(h.thick, unit),
    h.pack,
    h.price ?? '',
    h.onHand ?? '',
  ]);
  return csvOf([[...HEADER], ...rows]);
}

function countedIn(text: string): Read<Hardware['each']> {
  const found = (Object.keys(COUNTED) as Hardware['each'][]).find(
    (each) => COUNTED[each] === text.toLowerCase() || each === text.toLowerCase(),
  );
  return found ? { ok: true, value: found } : { ok: false, accepted: Object.values(COUNTED).join(', ') };
}

/** The least of a packet, so that it is more than nothing. */
const LEAST_PACK = 0.001;

function hardwareFrom(cell: CellOf<Column>, unit: LengthUnit, known: readonly Hardware[]): Hardware | FieldFault<Column> {
  const what = cell('what').slice(0, 120);
  if (what === '') return { column: 'what', given: '', accepted: 'what it is called, as lists of what to buy call it' };
  const each = field(cell, 'counted by', 'piece' as const, countedIn);
  const length = field(cell, 'length', undefined, (text) => lengthIn(text, unit));
  const thick = field(cell, 'thick', undefined, (text) => lengthIn(text, unit));
  for (const one of [each, length, thick]) if (isFault<Column>(one)) return one;
  const is = { what, each, ...(length === undefined ? {} : { length }), ...(thick === undefined ? {} : { thick }) } as Omit<
    Hardware,
    'pack'
  >;
  const before = known.find((h) => isSameHardware(h, is));
  const pack = field(cell, 'in one pack', before?.pack ?? 1, (text) => numberIn(text, false, LEAST_PACK, 100_000));
  const price = field(cell, 'price', before?.price, (text) => numberIn(text, false, 0, 1e6));
  const onHand = field(cell, 'on hand', before?.onHand, (text) => numberIn(text, false, 0, 1e6));
  for (const one of [pack, price, onHand]) if (isFault<Column>(one)) return one;
  return {
    ...is,
    pack: pack as number,
    ...(price === undefined ? {} : { price: price as number }),
    ...(onHand === undefined ? {} : { onHand: onHand as number }),
  };
}

/**
 * Reads a list of what is bought besides wood. A line changes what is there by its name, what it is counted by, its length and its thickness;
 * another is added. Empty cells leave what was known.
 * @returns what changed, and every line that could not be read; never throws
 * @example readHardware('', 'mm', []).faults // []
 */
export function readHardware(
  text: string,
  unit: LengthUnit,
  known: readonly Hardware[],
): { readonly hardware: readonly Hardware[]; readonly faults: readonly ListFault[] } {
  const [head = [], ...rows] = cellsOf(text);
  if (head.length === 0) return { hardware: [], faults: [] };
  const columns = head.map((h) => h.trim().toLowerCase());
  if (!columns.includes('what'))
    return { hardware: [], faults: [{ line: 1, column: 'what', given: head.join(', '), accepted: `a heading with ${HEADER.join(', ')}` }] };
  const read: Hardware[] = [];
  const faults: ListFault[] = [];
  rows.slice(0, LONGEST).forEach((row, i) => {
    const cell: CellOf<Column> = (column) => (row[columns.indexOf(column)] ?? '').trim();
    const one = hardwareFrom(cell, unit, [...read, ...known]);
    if (isFault<Column>(one)) return faults.push({ line: i + 2, ...one });
    const at = read.findIndex((h) => isSameHardware(h, one));
    return at < 0 ? read.push(one) : read.splice(at, 1, one);
  });
  if (rows.length > LONGEST)
    faults.push({ line: LONGEST + 2, column: '', given: `${rows.length} lines`, accepted: `at most ${LONGEST} at once` });
  return { hardware: read, faults };
}
