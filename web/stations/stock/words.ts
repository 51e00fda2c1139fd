import type { Unpinned } from '../../../core/cutting/sheets/index.js';
import type { Answer } from '../../../core/layout/plan.js';
import { whyNot, type Sums } from '../../../core/layout/sums.js';
import type { StockToCut, ShownSheet } from './use-cutting.js';
import { formatLength, type Precision } from '../../../core/length/index.js';

/** "1 sheet", "3 boards". */
export function counted(count: number, form: 'sheet' | 'board' | 'part'): string {
  return `${count} ${form}${count === 1 ? '' : 's'}`;
}

/** What a sheet is called on the page. */
export function sheetName({ asked, stock }: StockToCut, { laid, begun }: ShownSheet, nth: number): string {
  const source = asked.sources.find((s) => s.sheet.id === laid.sheet);
  const form = stock.form === 'sheet' ? 'Sheet' : 'Board';
  const from = source?.from === 'offcut' ? `, ${source.name}` : source?.from === 'to buy' ? ', to buy' : ', on hand';
  return `${form} ${nth + 1}${begun?.booked ? ', used up' : from}${begun && !begun.booked ? ', begun' : ''}`;
}

/** What a stock comes to, in one line: what is opened, and what is bought. */
export function sumsText(stock: StockToCut, sums: Sums): string {
  const { form } = stock.stock;
  const count = (from: string) => sums.used.filter((u) => u.source.from === from).reduce((n, u) => n + u.count, 0);
  const offcuts = count('offcut');
  const [own, bought] = [count('on hand'), count('to buy')];
  return [
    ...(offcuts > 0 ? [`${offcuts} ${offcuts === 1 ? 'offcut' : 'offcuts'}`] : []),
    ...(own > 0 ? [`${counted(own, form)} on hand`] : []),
    ...(bought > 0 ? [`${counted(bought, form)} to buy`] : []),
  ].join(', ');
}

/** Whether fewer would do, in words. */
export function boundText(
  stock: StockToCut,
  sums: Sums,
  { missing, proven }: Pick<Answer, 'missing' | 'proven'>,
  looking: boolean,
): string {
  const few = counted(sums.fewest, stock.stock.form);
  if (missing.length > 0) return '';
  const rest = stock.begun.length > 0 ? 'For what is not begun, no' : 'No';
  if (sums.isFewest) return `${rest} layout opens fewer than ${few}.`;
  if (proven) return `${rest} layout costs less; one with fewer would open what must be bought.`;
  const open = sums.used.reduce((n, u) => n + u.count, 0);
  return `${open} are opened; none could open fewer than ${few}${looking ? ', and fewer are looked for' : ', but a layout with fewer was not found'}.`;
}

const WHY: Readonly<Record<Unpinned['why'], string>> = {
  gone: 'it is not cut from this any more',
  'no such sheet': 'there is no such sheet any more',
  'off the sheet': 'it would reach over the edge there',
  overlaps: 'another part is held in the same place',
  'not edge to edge': 'no cut from edge to edge goes past it there',
  thin: 'a strip thinner than the blade would be left beside it',
  'against the grain': 'its grain would run the wrong way',
};

/** Why a part does not stay where it was put. */
export const unpinnedText = ({ why }: Unpinned): string => WHY[why];

/** Parts that the blade is wider than: the kerf is likely a slip. */
export function thinText(stock: StockToCut, marks: ReadonlyMap<string, string>, precision: Precision): string | null {
  const { kerf } = stock.asked.problem;
  const thin = stock.blanks.filter((b) => b.width <= kerf || b.length <= kerf);
  if (thin.length === 0) return null;
  const names = thin.map((b) => marks.get(b.key) ?? '').join(', ');
  return `The saw blade takes ${formatLength(kerf, precision)}, which is wider than ${names}. Is the kerf in the settings right?`;
}

/** Why some parts have no place, and what to do about it. */
export function missingText(
  stock: StockToCut,
  keys: readonly string[],
  marks: ReadonlyMap<string, string>,
  precision: Precision,
): readonly string[] {
  const blanks = keys.flatMap((key) => stock.blanks.filter((b) => b.key === key));
  const large = blanks.filter((b) => whyNot(b, stock.asked) === 'too large');
  const short = blanks.filter((b) => !large.includes(b));
  const [one] = large;
  const names = (list: typeof blanks) => list.map((b) => marks.get(b.key) ?? '').join(', ');
  return [
    ...(one
      ? [
          `${names(large)} ${large.length === 1 ? 'is' : 'are'} larger than any ${stock.stock.form} of ${stock.stock.name}: ${formatLength(one.length, precision)} × ${formatLength(one.width, precision)} does not go on ${formatLength(stock.stock.length, precision)} × ${formatLength(stock.stock.width, precision)}. Choose another stock, give it a larger size, or make the part smaller.`,
        ]
      : []),
    ...(short.length > 0
      ? [`${names(short)} ${short.length === 1 ? 'has' : 'have'} no place: there is no more of ${stock.stock.name}.`]
      : []),
  ];
}
