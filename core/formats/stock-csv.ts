import { ZERO, type Length, type LengthUnit } from '../length/index.js';
import { MATERIALS, propertiesOf, type Flaw, type Stock } from '../stock/index.js';
import { csvOf, exactly, field, isFault, lengthIn, numberIn, type CellOf, type FieldFault, type ListFault } from './csv.js';
import { readTable, type ListColumn, type ListLayout, type Understood } from './list-table.js';

const HEADER = [
  'stock',
  'offcut',
  'form',
  'material',
  'sold as',
  'thickness',
  'length',
  'width',
  'price',
  'on hand',
  'keep clear',
] as const;
type Column = (typeof HEADER)[number];

const COLUMNS: Readonly<Record<Column, ListColumn>> = {
  stock: { called: ['name', 'item', 'description', 'what'], holds: 'words' },
  offcut: { called: ['rest'], holds: 'words' },
  form: { called: ['kind', 'sheet or board'], holds: 'words' },
  material: { called: ['wood', 'species'], holds: 'words' },
  'sold as': { called: ['nominal', 'nominal thickness'], holds: 'length' },
  thickness: { called: ['thick', 't', 'th', 'thk', 'measured thickness'], holds: 'length' },
  length: { called: ['long', 'l', 'len'], holds: 'length' },
  width: { called: ['wide', 'w'], holds: 'length' },
  price: { called: ['cost', 'price each', 'unit price'], holds: 'money' },
  'on hand': { called: ['qty', 'quantity', 'count', 'have', 'no', 'pcs', 'pieces'], holds: 'count' },
  'keep clear': { called: ['knots', 'flaws'], holds: 'words' },
};
const LAYOUT: ListLayout<Column> = {
  columns: COLUMNS,
  sizes: ['thickness', 'width', 'length'],
  leastIsFirst: true,
  letters: { l: 'length', w: 'width', t: 'thickness', th: 'thickness' },
};

/** The longest list that is read at once. */
const LONGEST = 1000;

/**
 * What is on hand as CSV: a line for each stock, and one for each of its offcuts, with its name beside that of its stock.
 * @example stockCsv([PLY], 'mm').trim().split('\n').length // 2
 */
export function stockCsv(stocks: readonly Stock[], unit: LengthUnit): string {
  const write = (l: Length) => exactly(l, unit);
  const rows = stocks.flatMap((s) => [
    [
      s.name,
      '',
      s.form,
      propertiesOf(s).material.name,
      write(s.nominal),
      write(s.thickness),
      write(s.length),
      write(s.width),
      s.price ?? '',
      s.onHand ?? '',
      '',
    ],
    ...(s.offcuts ?? []).map((o) => {
      const flaws = (o.flaws ?? []).map(({ from, to }) => `${write(from)} to ${write(to)}`).join('; ');
      return [s.name, o.name, '', '', '', '', write(o.length), write(o.width), '', o.count, flaws];
    }),
  ]);
  return csvOf([[...HEADER], ...rows]);
}

/** The stocks that a list changes or adds, and its lines that could not be read. */
export interface StockReading {
  readonly stocks: readonly Stock[];
  readonly faults: readonly ListFault[];
  readonly understood: Understood;
}

type Cell = CellOf<Column>;
type Fault = FieldFault<Column>;

function materialIn(text: string): { readonly ok: true; readonly value: string } | { readonly ok: false; readonly accepted: string } {
  const found = MATERIALS.find((m) => m.name.toLowerCase() === text.toLowerCase() || m.id === text.toLowerCase());
  return found
    ? { ok: true, value: found.id }
    : {
        ok: false,
        accepted: `a material, such as ${MATERIALS.slice(0, 3)
          .map((m) => m.name)
          .join(', ')}`,
      };
}

function formIn(text: string): { readonly ok: true; readonly value: Stock['form'] } | { readonly ok: false; readonly accepted: string } {
  const form = text.toLowerCase();
  return form === 'sheet' || form === 'board' ? { ok: true, value: form } : { ok: false, accepted: 'sheet or board' };
}

/** What a line says of a stock, over what was known of it. */
function stockFrom(cell: Cell, unit: LengthUnit, before: Stock | undefined): Stock | Fault {
  const length = (column: Column, known: Length | undefined) => field(cell, column, known, (text) => lengthIn(text, unit));
  const thickness = length('thickness', before?.thickness);
  const read = {
    form: field(cell, 'form', before?.form, formIn),
    material: field(cell, 'material', before?.material, materialIn),
    thickness,
    nominal: cell('sold as') === '' && !before ? thickness : length('sold as', before?.nominal),
    length: length('length', before?.length),
    width: length('width', before?.width),
    price: field(cell, 'price', before?.price, (text) => numberIn(text, false, 0, 1e6)),
    onHand: field(cell, 'on hand', before?.onHand, (text) => numberIn(text, true, 0, 10_000)),
  };
  const wrong = Object.values(read).find((one) => isFault<Column>(one));
  if (wrong) return wrong;
  const columns: Readonly<Record<string, Column>> = {
    form: 'form',
    material: 'material',
    thickness: 'thickness',
    nominal: 'sold as',
    length: 'length',
    width: 'width',
  };
  const lacking = Object.entries(columns).find(([key]) => read[key as keyof typeof read] === undefined);
  if (lacking) return { column: lacking[1], given: '', accepted: 'filled in, since this stock is not there yet' };
  const said = Object.fromEntries(Object.entries(read).filter(([, value]) => value !== undefined));
  return { ...before, name: cell('stock').slice(0, 80), ...said } as Stock;
}

/** Knots and splits as they are written in one cell; null where one of them cannot be read. */
function flawsIn(text: string, unit: LengthUnit): Flaw[] | null {
  const flaws = text
    .split(';')
    .filter((one) => one.trim() !== '')
    .map((one): Flaw | null => {
      const [from, to, ...more] = one.split(/\bto\b/).map((side) => lengthIn(side.trim(), unit, ZERO));
      return from?.ok && to?.ok && more.length === 0 && to.value > from.value ? { from: from.value, to: to.value } : null;
    });
  return flaws.every((f) => f !== null) ? flaws : null;
}

function offcutFrom(cell: Cell, unit: LengthUnit): NonNullable<Stock['offcuts']>[number] | Fault {
  const length = lengthIn(cell('length'), unit);
  if (!length.ok) return { column: 'length', given: cell('length'), accepted: length.accepted };
  const width = lengthIn(cell('width'), unit);
  if (!width.ok) return { column: 'width', given: cell('width'), accepted: width.accepted };
  const count = cell('on hand') === '' ? ({ ok: true, value: 1 } as const) : numberIn(cell('on hand'), true, 1, 1000);
  if (!count.ok) return { column: 'on hand', given: cell('on hand'), accepted: count.accepted };
  const flaws = flawsIn(cell('keep clear'), unit);
  if (!flaws)
    return {
      column: 'keep clear',
      given: cell('keep clear'),
      accepted: 'from and to of each knot or split, such as 310 to 355; 900 to 940',
    };
  return {
    name: cell('offcut').slice(0, 80),
    length: length.value,
    width: width.value,
    count: count.value,
    ...(flaws.length > 0 ? { flaws } : {}),
  };
}

/** What a line makes of its stock: a new one, another, or one more offcut of it. @param there the stock of a name, as it is by then */
function stockOfLine(cell: Cell, unit: LengthUnit, there: (name: string) => Stock | undefined): Stock | Fault {
  const name = cell('stock');
  const before = there(name);
  if (name === '') return { column: 'stock', given: '', accepted: 'what the stock is called' };
  if (cell('offcut') === '') return stockFrom(cell, unit, before);
  if (!before) return { column: 'stock', given: name, accepted: 'a stock that is there, or stands in a line above' };
  const offcut = offcutFrom(cell, unit);
  if (isFault<Column>(offcut)) return offcut;
  const others = (before.offcuts ?? []).filter((o) => o.name !== offcut.name);
  return { ...before, offcuts: [...others, offcut] };
}

/**
 * Reads a list of what is on hand, as it is written here or kept in a spreadsheet. A stock that is there by its name is changed in what the line
 * says, another is added; a line with an offcut adds it to its stock, or takes the place of the one of that name.
 * @param known the stocks that are there
 * @returns what changed, and every line that could not be read; never throws
 * @example readStock('', 'mm', [PLY]).faults // []
 */
export function readStock(text: string, unit: LengthUnit, known: readonly Stock[]): StockReading {
  const { rows: lines, understood } = readTable(text, LAYOUT);
  const [first] = lines;
  const given = new Set(understood.taken.flatMap((t) => t.as ?? []));
  const needed = (['stock', 'length', 'width'] as const).filter((c) => !given.has(c));
  if (first && needed.length > 0) {
    const heads = understood.taken.map((t) => t.head).join(', ');
    const fault = { line: first.line, column: needed.join(', '), given: heads, accepted: `a heading with ${HEADER.join(', ')}` };
    return { stocks: [], faults: [fault], understood };
  }
  const changed = new Map<string, Stock>();
  const faults: ListFault[] = [];
  for (const { line, cell } of lines.slice(0, LONGEST)) {
    const read = stockOfLine(cell, unit, (name) => changed.get(name) ?? known.find((s) => s.name === name));
    if (isFault<Column>(read)) faults.push({ line, ...read });
    else changed.set(read.name, read);
  }
  const next = lines[LONGEST];
  if (next) faults.push({ line: next.line, column: '', given: `${lines.length} lines`, accepted: `at most ${LONGEST} at once` });
  return { stocks: [...changed.values()], faults, understood };
}
