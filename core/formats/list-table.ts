import Papa from 'papaparse';
import { readLength } from '../length/index.js';
import { cellAsItWas } from './csv.js';

/** What a column of a list holds, and the names that people head it with, in small letters. */
export interface ListColumn {
  readonly called: readonly string[];
  readonly holds: 'words' | 'length' | 'number' | 'count' | 'money' | 'mass';
}

/** What one column was taken for: null where it was left out. */
export interface TakenColumn {
  /** As it stands over the column; empty where nothing does. */
  readonly head: string;
  readonly as: readonly string[] | null;
  /** What a bare number in it is in, where its head says so. */
  readonly unit: string | null;
}

/** How a list was understood, to be looked at before anything of it is used. */
export interface Understood {
  readonly taken: readonly TakenColumn[];
  /** Lines over the heading, with what stands in them. */
  readonly leftOut: readonly { readonly line: number; readonly text: string }[];
  /** Whether a line named the columns. */
  readonly headed: boolean;
  /** Whether numbers have a comma before their decimals. */
  readonly comma: boolean;
}

/** A list laid out by its columns. */
export interface ListTable<C extends string> {
  readonly rows: readonly { readonly line: number; readonly cell: (column: C) => string }[];
  readonly understood: Understood;
}

/** How a list may be laid out. */
export interface ListLayout<C extends string> {
  readonly columns: Readonly<Record<C, ListColumn>>;
  /** The order of a list without a heading; none where it must have one. */
  readonly usual?: readonly C[];
  /** The columns of three sizes in one cell, in the order that they are usually written in. */
  readonly sizes?: readonly [C, C, C];
  /** Thickness, width and length in one cell: what is least says which end the cell begins at. */
  readonly leastIsFirst?: boolean;
  /** Letters that stand for columns in a heading such as W x H x D. */
  readonly letters?: Readonly<Record<string, C>>;
}

/** A heading is looked for in so many lines. */
const HEADED_WITHIN = 10;

const UNIT = /(?:^|[\s,([_-])(mm|cm|m|inches|inch|in|feet|ft|"|kg|g|pounds|lbs?)\s*[)\]]?\.?$/i;
const UNIT_AS: Readonly<Record<string, string>> = { inches: 'in', inch: 'in', '"': 'in', feet: 'ft', pounds: 'lb', lbs: 'lb' };
const CURRENCY = /[$€£¥]|\b(?:usd|eur|gbp|chf|cad|aud|kr)\b/gi;
const TIMES = /\s*[x×*]\s*|\s+by\s+/i;
const SIZES = /^(sizes?|dim(s|ension|ensions)?|measure(s|ments)?|(th|[lwhdt])\s*[x×])/i;

/** A head without its unit, its money and its signs. */
function headOf(cell: string): { readonly name: string; readonly unit: string | null } {
  const text = cell
    .trim()
    .toLowerCase()
    .replace(CURRENCY, '')
    .replace(/[()[\]]\s*$/, (end) => end.trim());
  const found = UNIT.exec(text);
  const unit = found?.[1] ?? null;
  // What is nothing but a unit names a column itself, such as kg.
  const name = (found && found.index > 0 ? text.slice(0, found.index) : text)
    .replace(/[\s:.,;()[\]_/-]+$/g, '')
    .replaceAll('_', ' ')
    .trim();
  return { name, unit: unit === null ? null : (UNIT_AS[unit] ?? unit) };
}

/** Whether the numbers of a list have a comma before their decimals, and no point there. */
function hasCommas(cells: readonly string[]): boolean {
  const numbers = cells.map((cell) => cell.replace(CURRENCY, '').trim()).filter((cell) => /^-?[\d.,]+\s*[a-z"']*$/i.test(cell));
  const isComma = (n: string) => /\d,\d+\s*[a-z"']*$/i.test(n) && !/,\d{3}\s*[a-z"']*$/i.test(n);
  return numbers.some(isComma) && !numbers.some((n) => /\.\d+\s*[a-z"']*$/i.test(n) && !/\.\d{3}\s*[a-z"']*$/i.test(n));
}

/** A number as it is read everywhere: a point before its decimals, nothing between thousands. */
const pointed = (text: string, comma: boolean): string =>
  comma
    ? text.replace(/(\d)\.(?=\d{3}(\D|$))/g, '$1').replace(/(\d),(?=\d)/g, '$1.')
    : text.replace(/^(\D*\d{1,3}(?:,\d{3})+)(?=\.\d)/, (whole) => whole.replaceAll(',', ''));

/** A length as it is read: with its unit, and 11-1/4 as eleven and a quarter, which is not less a quarter. */
function lengthText(text: string, unit: string | null): string {
  const plain = text.replace(/(\d)-(\d+\/\d+)/g, '$1 $2');
  return unit !== null && /^[\d\s./+*()-]+$/.test(plain) ? `${plain} ${unit}` : plain;
}

const countText = (text: string) =>
  /^(?:x\s*)?(\d+)\s*(?:x|off|pcs?|pieces?|pairs?|ea|each|no|nos|st|stk|stück)?\.?$/i.exec(text)?.[1] ?? text;

/** What stands in a cell, as the readers of lists take it. */
function cellText(given: string, { holds }: ListColumn, unit: string | null, comma: boolean): string {
  const text = given.trim();
  if (text === '' || holds === 'words') return text;
  if (holds === 'count') return countText(pointed(text, comma));
  if (holds === 'money') return pointed(text.replace(CURRENCY, '').trim(), comma);
  if (holds === 'length') return lengthText(pointed(text, comma), unit);
  const number = pointed(text, comma);
  return holds === 'mass' && unit !== null && /^[\d.]+$/.test(number) ? `${number} ${unit}` : number;
}

interface Split {
  readonly parts: readonly string[];
  readonly unit: string | null;
}

/** Sizes in one cell, such as 3/4 x 11-1/4 x 36 in. */
function splitSizes(text: string, unit: string | null): Split {
  const said = UNIT.exec(text);
  const bare = said && !/["']/.test(text) ? text.slice(0, said.index) : text;
  const own = said?.[1]?.toLowerCase();
  return { parts: bare.trim().split(TIMES), unit: own === undefined || /["']/.test(text) ? unit : (UNIT_AS[own] ?? own) };
}

/** The columns that a head such as W x H x D names by letters; none where it does not. */
function namedBy<C extends string>(head: string, { letters }: ListLayout<C>): readonly C[] {
  const said = head.split(/\s*[x×*]\s*/).map((letter) => letters?.[letter.trim()]);
  return said.length > 1 && said.every((c) => c !== undefined) ? said : [];
}

/** The columns that three sizes of a cell are, by which of them is least or in the usual order; null where that is not plain. */
function orderOf<C extends string>(sizes: readonly string[], layout: ListLayout<C>): readonly C[] | null {
  if (!layout.sizes || sizes.length !== 3) return null;
  if (!layout.leastIsFirst) return layout.sizes;
  const lengths = sizes.map((text) => readLength(text, { unit: 'mm' }));
  const [first, middle, last] = lengths.map((l) => (l.ok ? l.length : Number.NaN)) as [number, number, number];
  if (first <= middle && first <= last) return layout.sizes;
  return last < middle && last < first ? layout.sizes.toReversed() : null;
}

/** What a column is taken for, and the sizes that its head names by letters. */
interface Taking<C extends string> extends TakenColumn {
  readonly as: readonly C[] | null;
  readonly named: readonly C[];
}

/**
 * Lays a list out by its columns: a heading in one of its first lines names them, in any order and with units, or they
 * are in the usual order. What is over the heading is left out, and told. Numbers have a point or a comma by the list.
 * @param text typed, pasted from a spreadsheet, or CSV; parted by tabs, semicolons, commas or strokes
 * @returns never throws; no row where there is nothing to lay out
 * @example readTable('Qty,W (in)\n2 pcs,3 1/2', { columns: { n: { called: ['qty'], holds: 'count' }, w: { called: ['w'], holds: 'length' } } }).rows.map((r) => [r.cell('n'), r.cell('w')]) // [['2', '3 1/2 in']]
 */
export function readTable<C extends string>(text: string, layout: ListLayout<C>): ListTable<C> {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { delimitersToGuess: ['\t', ';', ',', '|'] });
  const lines = data
    .map((cells, i) => ({ cells: cells.map((c) => cellAsItWas(c).trim()), line: i + 1 }))
    .filter(({ cells }) => cells.some((c) => c !== ''));
  const names = Object.keys(layout.columns) as C[];
  const find = (is: (called: string) => boolean) => names.find((c) => is(c) || layout.columns[c].called.some(is)) ?? null;
  // By its whole name, or by how it begins: length finished, part no. of the plan.
  const columnOf = (name: string) =>
    find((called) => called === name) ?? (SIZES.test(name) ? null : find((called) => name.startsWith(`${called} `)));
  const known = (cells: readonly string[]) =>
    new Set(cells.map((c) => columnOf(headOf(c).name) ?? (SIZES.test(c) ? 'sizes' : null)).values());
  const at = lines.slice(0, HEADED_WITHIN).findIndex(({ cells }) => [...known(cells)].filter((c) => c !== null).length >= 2);
  const headed = at >= 0;
  const widest = Math.max(0, ...lines.map(({ cells }) => cells.filter((c) => c !== '').length));
  // Without a heading, lines of one word over lines of several are a title.
  const begins = headed ? at : widest > 1 ? lines.findIndex(({ cells }) => cells.filter((c) => c !== '').length > 1) : 0;
  const heads = headed ? (lines[at]?.cells ?? []).map((cell) => ({ cell, ...headOf(cell) })) : [];
  const body = lines.slice(headed ? at + 1 : Math.max(0, begins));
  const comma = hasCommas(body.flatMap(({ cells }) => cells.flatMap((cell) => cell.split(TIMES))));

  const used = new Set<C>();
  const once = (column: C | null) => (column === null || used.has(column) ? null : [(used.add(column), column)]);
  const width = Math.max(heads.length, headed ? 0 : widest);
  const single = Array.from({ length: width }, (_, i) => once(headed ? columnOf(heads[i]?.name ?? '') : (layout.usual?.[i] ?? null)));
  // What has a column of its own is not looked for among sizes in one cell.
  const taken = single.map((own, i): Taking<C> => {
    const { cell = '', name = '', unit = null } = heads[i] ?? {};
    const named = namedBy(name, layout);
    const sizes =
      own === null && layout.sizes && SIZES.test(cell) ? (named.length > 0 ? named : layout.sizes).filter((c) => !used.has(c)) : null;
    sizes?.forEach((c) => used.add(c));
    return { head: cell, as: own ?? sizes, unit, named };
  });

  const rows = body.map(({ cells, line }) => {
    const read = new Map<C, string>();
    taken.forEach(({ as, unit, named }, i) => {
      const given = cells[i] ?? '';
      const [only] = as ?? [];
      if (as === null || only === undefined) return;
      if (named.length === 0 && as.length === 1) return void read.set(only, cellText(given, layout.columns[only], unit, comma));
      const split = splitSizes(given, unit);
      const parts = split.parts.map((part) => lengthText(pointed(part.trim(), comma), split.unit));
      const order = named.length === parts.length ? named : orderOf(parts, layout);
      // What is not plain stands whole in each, where it is refused with what would be accepted.
      for (const c of as) read.set(c, order === null ? given : (parts[order.indexOf(c)] ?? ''));
    });
    return { line, cell: (column: C) => read.get(column) ?? '' };
  });
  const over = lines.slice(0, headed ? at : Math.max(0, begins));
  const leftOut = over.map(({ cells, line }) => ({ line, text: cells.filter((c) => c !== '').join(', ') }));
  const said = taken.map(({ head, as, unit }) => ({ head, as, unit }));
  return { rows, understood: { taken: said, leftOut, headed, comma } };
}
