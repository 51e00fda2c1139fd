import Papa from 'papaparse';
import { ZERO, readLength, type Length, type LengthUnit } from '../length/index.js';
import type { Thing } from '../things/index.js';

/** A line of a list that could not be read: which, what was wrong, and what would be taken. */
export interface ListFault {
  /** From 1, the heading counted. */
  readonly line: number;
  readonly column: string;
  readonly given: string;
  readonly accepted: string;
}

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
  clearance: 'clearance',
  'free above': 'clearance',
  diameter: 'diameter',
  Ø: 'diameter',
  stack: 'stack',
};

/** The longest list that is read at once. */
export const LONGEST_LIST = 500;

function columnsOf(first: readonly string[]): { columns: readonly (Column | null)[]; heading: boolean } {
  const known = first.map(
    (cell) =>
      HEADINGS[
        cell
          .trim()
          .toLowerCase()
          .replace(/[\s,(]+(mm|in|kg)\)?$/, '')
      ] ?? null,
  );
  if (known.filter(Boolean).length >= 2) return { columns: known, heading: true };
  return { columns: ['name', 'width', 'height', 'depth', 'count', 'mass'], heading: false };
}

type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly accepted: string };

function lengthIn(text: string, unit: LengthUnit, least?: Length): Read<Length> {
  const read = readLength(text, least === undefined ? { unit } : { unit, least });
  return read.ok ? { ok: true, value: read.length } : { ok: false, accepted: 'a length, such as 240 or 9 1/2"' };
}

function numberIn(text: string, whole: boolean, least: number, most: number): Read<number> {
  const value = Number(text.replace(',', '.'));
  const fits = text !== '' && Number.isFinite(value) && value >= least && value <= most && (!whole || Number.isInteger(value));
  return fits ? { ok: true, value } : { ok: false, accepted: `a${whole ? ' whole' : ''} number from ${least} to ${most}` };
}

function thingFrom(cell: (column: Column) => string, unit: LengthUnit): { thing: Thing } | { fault: Omit<ListFault, 'line'> } {
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
  const mass = cell('mass') === '' ? null : numberIn(cell('mass').replace(/\s*kg$/i, ''), false, 0, 5000);
  if (mass && !mass.ok) return fault('mass', mass.accepted);
  return {
    thing: {
      name,
      shape: round
        ? { kind: 'cylinder', diameter: width.value, height: height.value }
        : { kind: 'box', width: width.value, height: height.value, depth: depth.value },
      ...(mass ? { mass: mass.value } : {}),
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
 * columns; without it they are name, width, height, depth, count, mass.
 * @returns what could be read, and every line that could not; never throws
 */
export function readThings(text: string, unit: LengthUnit): ListReading {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const [first, ...rest] = data;
  if (!first) return { things: [], faults: [] };
  const { columns, heading } = columnsOf(first);
  const rows = heading ? rest : data;
  const things: Thing[] = [];
  const faults: ListFault[] = [];
  rows.slice(0, LONGEST_LIST).forEach((row, i) => {
    const cell = (column: Column) => (row[columns.indexOf(column)] ?? '').trim();
    const read = thingFrom(cell, unit);
    if ('thing' in read) things.push(read.thing);
    else faults.push({ line: i + (heading ? 2 : 1), ...read.fault });
  });
  if (rows.length > LONGEST_LIST) {
    faults.push({ line: LONGEST_LIST + 1, column: '', given: `${rows.length} lines`, accepted: `at most ${LONGEST_LIST} at once` });
  }
  return { things, faults };
}
