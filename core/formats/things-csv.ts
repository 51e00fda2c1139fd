import { KG_PER_POUND } from '../figure/index.js';
import { ZERO, type LengthUnit } from '../length/index.js';
import type { Thing } from '../things/index.js';
import { cellsOf, lengthIn, numberIn, type ListFault, type Read } from './csv.js';
import { asKg } from '../measures/index.js';

/** The things of a list, and its lines that could not be read. */
export interface ListReading {
  readonly things: readonly Thing[];
  readonly faults: readonly ListFault[];
}

type Column = 'name' | 'width' | 'height' | 'depth' | 'count' | 'mass' | 'clearance' | 'diameter' | 'stack';

/** Headings as people write them. */
const HEADINGS: Readonly<Record<string, Column>> = {
  name: 'name',
  thing: 'name',
  what: 'name',
  width: 'width',
  wide: 'width',
  w: 'width',
  height: 'height',
  high: 'height',
  h: 'height',
  depth: 'depth',
  deep: 'depth',
  d: 'depth',
  count: 'count',
  number: 'count',
  'how many': 'count',
  mass: 'mass',
  weight: 'mass',
  kg: 'mass',
  lb: 'mass',
  pounds: 'mass',
  clearance: 'clearance',
  'free above': 'clearance',
  diameter: 'diameter',
  Ø: 'diameter',
  stack: 'stack',
};

/** The longest list that is read at once. */
export const LONGEST_LIST = 500;

interface Columns {
  readonly columns: readonly (Column | null)[];
  readonly heading: boolean;
  /** What a bare number of the mass is in. */
  readonly mass: 'kg' | 'lb';
}

function columnsOf(first: readonly string[], unit: LengthUnit): Columns {
  const heads = first.map((cell) => cell.trim().toLowerCase());
  const known = heads.map((head) => HEADINGS[head.replace(/[\s,(]+(mm|in|kg|lbs?)\)?$/, '')] ?? null);
  const usual = unit === 'mm' ? 'kg' : 'lb';
  if (known.filter(Boolean).length < 2) {
    return { columns: ['name', 'width', 'height', 'depth', 'count', 'mass'], heading: false, mass: usual };
  }
  const head = heads[known.indexOf('mass')] ?? '';
  return { columns: known, heading: true, mass: /kg/.test(head) ? 'kg' : /lb|pound/.test(head) ? 'lb' : usual };
}

/** A mass in kg: "2.5 kg" and "5 lb" as they say, a bare number in what its column is in. */
function massIn(text: string, bare: 'kg' | 'lb'): Read<number> {
  const said = /^(.*?)\s*(kg|lbs?)$/i.exec(text);
  const inPounds = said ? said[2]?.toLowerCase() !== 'kg' : bare === 'lb';
  const read = numberIn(said?.[1] ?? text, false, 0, inPounds ? 11_000 : 5000);
  return read.ok
    ? { ok: true, value: read.value * (inPounds ? KG_PER_POUND : 1) }
    : { ok: false, accepted: `${read.accepted}, in ${inPounds ? 'lb' : 'kg'}` };
}

function thingFrom(
  cell: (column: Column) => string,
  unit: LengthUnit,
  bare: 'kg' | 'lb',
): { thing: Thing } | { fault: Omit<ListFault, 'line'> } {
  const name = cell('name').slice(0, 80);
  const fault = (column: Column, accepted: string) => ({ fault: { column, given: cell(column), accepted } });
  if (name === '') return fault('name', 'what the thing is called');
  const need = (column: Column) => lengthIn(cell(column), unit);
  const height = need('height');
  if (!height.ok) return fault('height', height.accepted);
  const round = cell('diameter') !== '';
  const width = need(round ? 'diameter' : 'width');
  if (!width.ok) return fault(round ? 'diameter' : 'width', width.accepted);
  const depth = round ? width : need('depth');
  if (!depth.ok) return fault('depth', depth.accepted);
  const count = cell('count') === '' ? ({ ok: true, value: 1 } as const) : numberIn(cell('count'), true, 1, 10_000);
  if (!count.ok) return fault('count', count.accepted);
  const stack = cell('stack') === '' ? ({ ok: true, value: 1 } as const) : numberIn(cell('stack'), true, 1, 100);
  if (!stack.ok) return fault('stack', stack.accepted);
  const clearance = cell('clearance') === '' ? ({ ok: true, value: ZERO } as const) : lengthIn(cell('clearance'), unit, ZERO);
  if (!clearance.ok) return fault('clearance', clearance.accepted);
  const mass = cell('mass') === '' ? null : massIn(cell('mass'), bare);
  if (mass && !mass.ok) return fault('mass', mass.accepted);
  return {
    thing: {
      name,
      shape: round
        ? { kind: 'cylinder', diameter: width.value, height: height.value }
        : { kind: 'box', width: width.value, height: height.value, depth: depth.value },
      ...(mass ? { mass: asKg(mass.value) } : {}),
      count: count.value,
      clearance: clearance.value,
      wayUp: 'upright',
      stack: stack.value,
    },
  };
}

/**
 * Reads a list of things as it is typed, pasted from a spreadsheet, or kept as CSV: one a
 * line, in columns parted by tabs, commas or semicolons. The first line may name its
 * columns; without it they are name, width, height, depth, count, mass;
 * a mass is in kg where lengths are in mm and in pounds where they are in inches, unless it or its heading says so.
 * @returns what could be read, and every line that could not; never throws
 * @example readThings('tin,100,100,100,4', 'mm').things[0].count // 4
 */
export function readThings(text: string, unit: LengthUnit): ListReading {
  const data = cellsOf(text);
  const [first, ...rest] = data;
  if (!first) return { things: [], faults: [] };
  const { columns, heading, mass } = columnsOf(first, unit);
  const rows = heading ? rest : data;
  const things: Thing[] = [];
  const faults: ListFault[] = [];
  rows.slice(0, LONGEST_LIST).forEach((row, i) => {
    const cell = (column: Column) => (row[columns.indexOf(column)] ?? '').trim();
    const read = thingFrom(cell, unit, mass);
    if ('thing' in read) things.push(read.thing);
    else faults.push({ line: i + (heading ? 2 : 1), ...read.fault });
  });
  if (rows.length > LONGEST_LIST) {
    faults.push({ line: LONGEST_LIST + 1, column: '', given: `${rows.length} lines`, accepted: `at most ${LONGEST_LIST} at once` });
  }
  return { things, faults };
}
