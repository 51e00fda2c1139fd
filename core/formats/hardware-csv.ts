import type { LengthUnit } from '../length/index.js';
import { countedBy, soldBy } from './sold-by.js';
import { isSameHardware, type Hardware } from '../stock/index.js';
import { csvOf, exactly, field, isFault, lengthIn, numberIn, type CellOf, type FieldFault, type ListFault, type Read } from './csv.js';
import { readTable, type ListColumn, type ListLayout, type Understood } from './list-table.js';

const HEADER = ['what', 'counted by', 'length', 'thick', 'in one pack', 'price', 'on hand'] as const;
type Column = (typeof HEADER)[number];

const COLUMNS: Readonly<Record<Column, ListColumn>> = {
  what: { called: ['item', 'name', 'description', 'hardware'], holds: 'words' },
  'counted by': { called: ['sold by', 'unit', 'by'], holds: 'words' },
  length: { called: ['long', 'l', 'len'], holds: 'length' },
  thick: { called: ['thickness', 't', 'th', 'ø', 'dia', 'diameter', 'gauge'], holds: 'length' },
  'in one pack': { called: ['pack', 'per pack', 'pack of', 'pieces in a pack'], holds: 'count' },
  price: { called: ['cost', 'price each', 'unit price'], holds: 'money' },
  'on hand': { called: ['qty', 'quantity', 'count', 'stock', 'have', 'no', 'pcs'], holds: 'count' },
};
const LAYOUT: ListLayout<Column> = { columns: COLUMNS };

/** An amount counted in something else, to a millionth, so that it comes back as it was. */
const counted = (amount: number, times: number): number => Math.round(amount * times * 1e6) / 1e6;

/** The longest list that is read at once. */
const LONGEST = 1000;

/**
 * Screws, edging, finish and the like as CSV, as each is sold and what there is of it.
 * @example hardwareCsv([], 'mm').trim().split('\n').length // 1
 */
export function hardwareCsv(all: readonly Hardware[], unit: LengthUnit): string {
  const rows = all.map((h) => [
    h.what,
    soldBy(h.each, unit).name,
    h.length === undefined ? '' : exactly(h.length, unit),
    h.thick === undefined ? '' : exactly(h.thick, unit),
    counted(h.pack, soldBy(h.each, unit).times),
    h.price ?? '',
    h.onHand === undefined ? '' : counted(h.onHand, soldBy(h.each, unit).times),
  ]);
  return csvOf([[...HEADER], ...rows]);
}

type Counted = NonNullable<ReturnType<typeof countedBy>>;

function countedIn(text: string): Read<Counted> {
  const found = countedBy(text);
  return found ? { ok: true, value: found } : { ok: false, accepted: 'piece, pair, metre or foot, litre or quart' };
}

/** The least of a packet, so that it is more than nothing. */
const LEAST_PACK = 0.001;

function hardwareFrom(cell: CellOf<Column>, unit: LengthUnit, known: readonly Hardware[]): Hardware | FieldFault<Column> {
  const what = cell('what').slice(0, 120);
  if (what === '') return { column: 'what', given: '', accepted: 'what it is called, as lists of what to buy call it' };
  const by = field(cell, 'counted by', { each: 'piece', times: 1 }, countedIn);
  const length = field(cell, 'length', undefined, (text) => lengthIn(text, unit));
  const thick = field(cell, 'thick', undefined, (text) => lengthIn(text, unit));
  for (const one of [by, length, thick]) if (isFault<Column>(one)) return one;
  const { each, times } = by as Counted;
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
    pack: cell('in one pack') === '' ? (pack as number) : counted(pack as number, 1 / times),
    ...(price === undefined ? {} : { price: price as number }),
    ...(onHand === undefined ? {} : { onHand: cell('on hand') === '' ? (onHand as number) : counted(onHand as number, 1 / times) }),
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
): { readonly hardware: readonly Hardware[]; readonly faults: readonly ListFault[]; readonly understood: Understood } {
  const { rows: lines, understood } = readTable(text, LAYOUT);
  const [first] = lines;
  if (first && !understood.taken.some((t) => t.as?.[0] === 'what'))
    return {
      hardware: [],
      faults: [{ line: first.line, column: 'what', given: '', accepted: `a heading with ${HEADER.join(', ')}` }],
      understood,
    };
  const read: Hardware[] = [];
  const faults: ListFault[] = [];
  for (const { line, cell } of lines.slice(0, LONGEST)) {
    const one = hardwareFrom(cell, unit, [...read, ...known]);
    const at = isFault<Column>(one) ? -1 : read.findIndex((h) => isSameHardware(h, one));
    if (isFault<Column>(one)) faults.push({ line, ...one });
    else if (at < 0) read.push(one);
    else read.splice(at, 1, one);
  }
  const next = lines[LONGEST];
  if (next) faults.push({ line: next.line, column: '', given: `${lines.length} lines`, accepted: `at most ${LONGEST} at once` });
  return { hardware: read, faults, understood };
}
