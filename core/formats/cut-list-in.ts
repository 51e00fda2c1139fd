import type { PlanRow } from '../elsewhere/list.js';
import { ZERO, type LengthUnit } from '../length/index.js';
import { lengthIn, numberIn, type ListFault } from './csv.js';
import { readTable, type ListColumn, type ListLayout, type Understood } from './list-table.js';

/** A cut list that was typed or pasted: its lines, and those that could not be read. */
export interface ListRead {
  readonly rows: readonly PlanRow[];
  readonly faults: readonly ListFault[];
  readonly understood: Understood;
}

/** What columns are called in lists that are found. */
const COLUMNS = {
  name: { called: ['part', 'parts', 'piece', 'item', 'description', 'what', 'member', 'part name'], holds: 'words' },
  count: { called: ['qty', 'quantity', 'no', 'nos', 'number', 'pcs', 'pieces', '#', 'how many', 'off'], holds: 'count' },
  length: { called: ['long', 'l', 'len', 'finished length'], holds: 'length' },
  width: { called: ['wide', 'w', 'finished width'], holds: 'length' },
  thickness: { called: ['thick', 't', 'th', 'thk', 'finished thickness'], holds: 'length' },
} as const satisfies Readonly<Record<string, ListColumn>>;
type Column = keyof typeof COLUMNS;

const LAYOUT: ListLayout<Column> = {
  columns: COLUMNS,
  usual: ['name', 'count', 'length', 'width', 'thickness'],
  sizes: ['thickness', 'width', 'length'],
  leastIsFirst: true,
  letters: { l: 'length', w: 'width', t: 'thickness', th: 'thickness' },
};

/** The longest list that is read at once. */
const LONGEST = 500;

/** Reads a cut list: commas, semicolons or tabs between name, count, length, width and thickness, with a heading or without. @param unit of lengths that name none */
export function readCutList(text: string, unit: LengthUnit): ListRead {
  const { rows: lines, understood } = readTable(text, LAYOUT);
  const faults: ListFault[] = [];
  const next = lines[LONGEST];
  if (next) faults.push({ line: next.line, column: '', given: `${lines.length} lines`, accepted: `at most ${LONGEST} lines` });
  const rows = lines.slice(0, LONGEST).flatMap(({ line, cell }): PlanRow[] => {
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
  return { rows, faults, understood };
}
