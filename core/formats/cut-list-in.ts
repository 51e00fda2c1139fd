import type { PlanRow } from '../elsewhere/list.js';
import { ZERO, type LengthUnit } from '../length/index.js';
import { cellsOf, lengthIn, numberIn, type ListFault } from './csv.js';

/** A cut list that was typed or pasted: its lines, and those that could not be read. */
export interface ListRead {
  readonly rows: readonly PlanRow[];
  readonly faults: readonly ListFault[];
}

const COLUMNS = ['name', 'count', 'length', 'width', 'thickness'] as const;
type Column = (typeof COLUMNS)[number];

/** What columns are called in lists that are found. */
const CALLED: Readonly<Record<Column, RegExp>> = {
  name: /^(name|part|piece|item|description|what)/i,
  count: /^(count|qty|quantity|no\.?|number|pcs|pieces|#)/i,
  length: /^(length|long|l)\b/i,
  width: /^(width|wide|w)\b/i,
  thickness: /^(thick|thickness|t)\b/i,
};

/** The longest list that is read at once. */
const LONGEST = 500;

/** Where each column is: by the heading, where there is one, else in the usual order. */
function columnsOf(first: readonly string[]): { readonly at: ReadonlyMap<Column, number>; readonly heading: boolean } {
  const at = new Map<Column, number>();
  for (const column of COLUMNS) {
    const found = first.findIndex((cell, i) => CALLED[column].test(cell.trim()) && ![...at.values()].includes(i));
    if (found >= 0) at.set(column, found);
  }
  const heading = at.has('length') && at.has('width');
  return { at: heading ? at : new Map(COLUMNS.map((c, i) => [c, i])), heading };
}

/** Reads a cut list: commas, semicolons or tabs between name, count, length, width and thickness, with a heading or without. @param unit of lengths that name none */
export function readCutList(text: string, unit: LengthUnit): ListRead {
  const data = cellsOf(text, ['\t', ';', ',', '|']);
  if (data.length === 0) return { rows: [], faults: [] };
  const { at, heading } = columnsOf(data[0] ?? []);
  const lines = data.map((cells, i) => ({ cells, line: i + 1 })).slice(heading ? 1 : 0);
  const faults: ListFault[] =
    lines.length > LONGEST ? [{ line: LONGEST + 1, column: '', given: `${lines.length} lines`, accepted: `at most ${LONGEST} lines` }] : [];
  const rows = lines.slice(0, LONGEST).flatMap(({ cells, line }): PlanRow[] => {
    const cell = (column: Column) => (cells[at.get(column) ?? -1] ?? '').trim();
    const wrong = (column: Column, accepted: string) => faults.push({ line, column, given: cell(column), accepted });
    const count = cell('count') === '' ? ({ ok: true, value: 1 } as const) : numberIn(cell('count'), true, 1, 1000);
    if (!count.ok) wrong('count', count.accepted);
    const [length, width, thickness] = (['length', 'width', 'thickness'] as const).map((column) => {
      const read = lengthIn(cell(column), unit, ZERO);
      const isSize = read.ok && read.value > ZERO;
      if (!isSize) wrong(column, 'a length over nothing, such as 240 or 9 1/2"');
      return isSize ? read.value : null;
    });
    if (!count.ok || !length || !width || !thickness) return [];
    return [{ line, name: cell('name') || 'a part', count: count.value, length, width, thickness }];
  });
  return { rows, faults };
}
