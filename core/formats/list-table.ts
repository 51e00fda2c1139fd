import Papa from 'papaparse';
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

/** About how long a size is, only to tell which of three is least. */
function about(text: string): number {
  const [, whole = '', over = '', under = ''] = /^(?:([\d.]+)(?:[\s-]+|$))?(?:(\d+)\/(\d+))?/.exec(text.trim()) ?? [];
  return Number(whole || 0) + (over ? Number(over) / Number(under) : 0);
}

/** The columns that the sizes of a cell are, by the letters of its head, by what is least, or in the usual order; null where that is not plain. */
function orderOf<C extends string>(head: string, parts: readonly string[], layout: ListLayout<C>): readonly C[] | null {
  const { sizes, letters, leastIsFirst } = layout;
  const said = head.split(/\s*[x×*]\s*/).map((letter) => letters?.[letter.trim()]);
  if (said.length > 1 && said.length === parts.length && said.every((c) => c !== undefined)) return said;
  if (!sizes || parts.length !== 3) return null;
  if (!leastIsFirst) return sizes;
  const [first = 0, middle = 0, last = 0] = parts.map(about);
  if (first <= middle && first <= last) return sizes;
  return last < middle && last < first ? sizes.toReversed() : null;
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
  const columnOf = (name: string) => names.find((c) => c === name || layout.columns[c].called.includes(name)) ?? null;
  const known = (cells: readonly string[]) =>
    new Set(cells.map((c) => columnOf(headOf(c).name) ?? (SIZES.test(c) ? 'sizes' : null)).values());
  const at = lines.slice(0, HEADED_WITHIN).findIndex(({ cells }) => [...known(cells)].filter((c) => c !== null).length >= 2);
  const headed = at >= 0;
  const widest = Math.max(0, ...lines.map(({ cells }) => cells.filter((c) => c !== '').length));
  // Without a heading, lines of one word over lines of several are a title.
  const begins = headed ? at : widest > 1 ? lines.findIndex(({ cells }) => cells.filter((c) => c !== '').length > 1) : 0;
  const heads = headed ? (lines[at]?.cells ?? []).map((cell) => ({ cell, ...headOf(cell) })) : [];
  const body = lines.slice(headed ? at + 1 : Math.max(0, begins));
  const comma = hasCommas(body.flatMap(({ cells }) => cells));

  const taken: (TakenColumn & { readonly as: readonly C[] | null })[] = [];
  const used = new Set<C>();
  const width = Math.max(heads.length, headed ? 0 : widest);
  for (let i = 0; i < width; i += 1) {
    const head = heads[i];
    const column = headed ? columnOf(head?.name ?? '') : (layout.usual?.[i] ?? null);
    const isSizes = column === null && head !== undefined && layout.sizes !== undefined && SIZES.test(head.cell);
    const as = isSizes ? layout.sizes.filter((c) => !used.has(c)) : column !== null && !used.has(column) ? [column] : null;
    as?.forEach((c) => used.add(c));
    taken.push({ head: head?.cell ?? '', as, unit: head?.unit ?? null });
  }

  const rows = body.map(({ cells, line }) => {
    const read = new Map<C, string>();
    taken.forEach(({ as, unit, head }, i) => {
      const given = cells[i] ?? '';
      if (as === null) return;
      if (as.length === 1) return void read.set(as[0] as C, cellText(given, layout.columns[as[0] as C], unit, comma));
      const { parts, unit: own } = splitSizes(given, unit);
      const order = orderOf(headOf(head).name, parts, layout);
      // What is not plain stands whole in each, where it is refused with what would be accepted.
      for (const c of as) {
        const part = order === null ? given : (parts[order.indexOf(c)] ?? '');
        read.set(c, cellText(part, layout.columns[c], own, comma));
      }
    });
    return { line, cell: (column: C) => read.get(column) ?? '' };
  });
  const over = lines.slice(0, headed ? at : Math.max(0, begins));
  const leftOut = over.map(({ cells, line }) => ({ line, text: cells.filter((c) => c !== '').join(', ') }));
  return { rows, understood: { taken, leftOut, headed, comma } };
}
