import { KG_PER_POUND } from '../figure/index.js';
import { ZERO, type LengthUnit } from '../length/index.js';
import type { Thing } from '../things/index.js';
import { lengthIn, numberIn, type ListFault, type Read } from './csv.js';
import { readTable, type ListColumn, type ListLayout, type Understood } from './list-table.js';
import { asKg } from '../measures/index.js';

/** The things of a list, and its lines that could not be read. */
export interface ListReading {
  readonly things: readonly Thing[];
  readonly faults: readonly ListFault[];
  readonly understood: Understood;
}

const COLUMNS = {
  name: { called: ['thing', 'things', 'what', 'item', 'description'], holds: 'words' },
  width: { called: ['wide', 'w', 'breadth'], holds: 'length' },
  height: { called: ['high', 'h', 'tall'], holds: 'length' },
  depth: { called: ['deep', 'd', 'length', 'long', 'l'], holds: 'length' },
  count: { called: ['number', 'how many', 'qty', 'quantity', 'pcs', 'pieces', 'no', 'nos', '#'], holds: 'count' },
  mass: { called: ['weight', 'kg', 'lb', 'lbs', 'pounds', 'each weighs'], holds: 'mass' },
  clearance: { called: ['free above', 'clear above'], holds: 'length' },
  diameter: { called: ['ø', 'dia', 'across'], holds: 'length' },
  stack: { called: ['stacked'], holds: 'count' },
} as const satisfies Readonly<Record<string, ListColumn>>;
type Column = keyof typeof COLUMNS;

const LAYOUT: ListLayout<Column> = {
  columns: COLUMNS,
  usual: ['name', 'width', 'height', 'depth', 'count', 'mass'],
  sizes: ['width', 'height', 'depth'],
  letters: { w: 'width', h: 'height', d: 'depth', l: 'depth' },
};

/** The longest list that is read at once. */
export const LONGEST_LIST = 500;

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
  const { rows: lines, understood } = readTable(text, LAYOUT);
  const head = understood.taken.find((t) => t.as?.[0] === 'mass')?.head ?? '';
  const mass = /kg/i.test(head) ? 'kg' : /lb|pound/i.test(head) ? 'lb' : unit === 'mm' ? 'kg' : 'lb';
  const things: Thing[] = [];
  const faults: ListFault[] = [];
  for (const { line, cell } of lines.slice(0, LONGEST_LIST)) {
    const read = thingFrom(cell, unit, mass);
    if ('thing' in read) things.push(read.thing);
    else faults.push({ line, ...read.fault });
  }
  const next = lines[LONGEST_LIST];
  if (next) faults.push({ line: next.line, column: '', given: `${lines.length} lines`, accepted: `at most ${LONGEST_LIST} at once` });
  return { things, faults, understood };
}
