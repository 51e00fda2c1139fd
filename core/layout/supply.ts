import { ZERO } from '../length/index.js';
import type { Sheet } from '../cutting/sheets/index.js';
import type { Tools } from '../project/index.js';
import type { Flaw, Stock } from '../stock/index.js';
import type { Begun, Cutting } from './spec.js';

/** A kind of sheet or board that parts can come from. */
export interface Source {
  readonly sheet: Sheet;
  readonly from: 'offcut' | 'on hand' | 'to buy';
  /** As builders call it: the name of an offcut, else of the stock. */
  readonly name: string;
  /** What one costs that is bought; null where no price is known. */
  readonly price: number | null;
  /** Knots and splits in it. */
  readonly flaws?: readonly Flaw[];
}

/** So many of a sheet that is on hand are kept for something else. */
export interface Reserved {
  readonly sheet: string;
  readonly count: number;
}

/**
 * What other cuttings keep of a stock: what they reserved, and what they began and did not take off what is on hand yet; the more of the two.
 * @example reservedOf('ply', [CUTTING]) // []
 */
export function reservedOf(stockId: string, others: readonly Cutting[]): readonly Reserved[] {
  return others.flatMap(({ reserved = [], begun }) => {
    const open = begun.filter((b) => b.stock === stockId && !b.booked);
    const kept = reserved.filter((r) => r.stock === stockId);
    const sheets = [...new Set([...open.map((b) => b.sheet), ...kept.map((r) => r.sheet)])];
    return sheets.map((sheet): Reserved => {
      const own = kept.filter((r) => r.sheet === sheet).reduce((sum, r) => sum + r.count, 0);
      return { sheet, count: Math.max(own, open.filter((b) => b.sheet === sheet).length) };
    });
  });
}

/**
 * What opening a sheet that lies there already counts beside money: next to nothing, so that nothing is bought in its place, but
 * enough that a rest is taken before a whole one.
 */
const OPENED = 0.01;

/** What stands in for a price that is not known, so that fewer are still better. */
const UNPRICED = 1;

/**
 * What there is of a stock, and what can be bought: offcuts, whole ones on hand, and as many new ones as are needed.
 * @param begun the sheets that were begun: those that are not taken off what is on hand yet are taken off here
 * @param reserved what is kept for something else
 * @example sourcesOf(PLY, undefined, []).at(-1).from // 'to buy'
 */
export function sourcesOf(
  stock: Stock,
  tools: Tools | undefined,
  begun: readonly Pick<Begun, 'sheet' | 'copy' | 'booked'>[],
  reserved: readonly Reserved[] = [],
): readonly Source[] {
  const trim = { ends: tools?.trimEnds ?? ZERO, edges: stock.form === 'sheet' ? (tools?.trimEdges ?? ZERO) : ZERO };
  const used = (id: string) => begun.filter((b) => b.sheet === id && !b.booked).map((b) => b.copy);
  const whole = stock.length * stock.width;
  const offcuts = (stock.offcuts ?? []).map((o): Source => {
    const id = `offcut ${o.name}`;
    const share = Math.min(1, (o.length * o.width) / whole);
    const sheet: Sheet = {
      id,
      length: o.length,
      width: o.width,
      count: o.flaws?.length ? 1 : o.count,
      cost: OPENED * (0.2 + share / 2),
      trim: { ends: ZERO, edges: ZERO },
    };
    return { sheet, from: 'offcut', name: o.name, price: null, ...(o.flaws?.length ? { flaws: o.flaws } : {}) };
  });
  const sizes = [{ length: stock.length, width: stock.width, price: stock.price, onHand: stock.onHand }, ...(stock.sizes ?? [])];
  const sold = sizes.flatMap(({ length, width, price, onHand = 0 }, i): Source[] => {
    const of = { length, width, trim };
    return [
      { sheet: { ...of, id: `have ${i}`, count: onHand, cost: OPENED }, from: 'on hand', name: stock.name, price: null },
      {
        sheet: { ...of, id: `buy ${i}`, count: Infinity, cost: OPENED + (price ?? UNPRICED) },
        from: 'to buy',
        name: stock.name,
        price: price ?? null,
      },
    ];
  });
  return [...offcuts, ...sold].map((s) => {
    const taken = used(s.sheet.id);
    const kept = reserved.reduce((sum, r) => (r.sheet === s.sheet.id ? sum + r.count : sum), 0);
    // What is bought is bought for this alone.
    const others = s.from === 'to buy' ? 0 : kept;
    return { ...s, sheet: { ...s.sheet, taken, count: Math.max(0, s.sheet.count - taken.length - others) } };
  });
}
