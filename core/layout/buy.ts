import type { Bought } from '../piece/index.js';
import { boughtFor, together } from '../solution/index.js';
import type { Stock } from '../stock/index.js';
import type { PieceToCut } from './blanks.js';
import type { Sums } from './sums.js';

/** A line of what to buy: whole sheets and boards of one size. */
export interface WoodToBuy {
  readonly name: string;
  readonly length: Stock['length'];
  readonly width: Stock['width'];
  readonly thickness: Stock['thickness'];
  readonly count: number;
  readonly each: number | null;
  readonly money: number | null;
}

/** Sheets and boards that must be bought, by their trade names. @example woodToBuy([]) // [] */
export function woodToBuy(stocks: readonly { readonly stock: Stock; readonly sums: Sums }[]): readonly WoodToBuy[] {
  return stocks.flatMap(({ stock, sums }) =>
    sums.used
      .filter((u) => u.source.from === 'to buy')
      .map(({ source, count, money }): WoodToBuy => ({
        name: stock.name,
        length: source.sheet.length,
        width: source.sheet.width,
        thickness: stock.nominal,
        count,
        each: source.price,
        money,
      })),
  );
}

/** What the pieces take besides wood, equal things together. @example fittingsToBuy([TO_CUT]).length // 5 */
export function fittingsToBuy(pieces: readonly PieceToCut[]): readonly Bought[] {
  return together(pieces.flatMap((p) => boughtFor(p.solution)));
}

/** What all the wood that is bought costs, and whether that is all of it. @example moneyInAll([]) // { money: 0, atLeast: false } */
export function moneyInAll(sums: readonly Sums[]): { readonly money: number; readonly atLeast: boolean } {
  return { money: sums.reduce((sum, s) => sum + s.money, 0), atLeast: sums.some((s) => s.atLeast) };
}
