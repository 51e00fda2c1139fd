import { QUARTS_PER_LITRE } from '../figure/index.js';
import { toMm, type LengthUnit } from '../length/index.js';
import type { Bought } from '../piece/index.js';
import type { Hardware, Slide } from '../stock/index.js';

/** What is needed of something besides wood, what of it is there, and what the rest costs by what is sold. */
export interface FittingLine {
  readonly bought: Bought;
  /** How it is sold; none where that is not known yet. */
  readonly hardware: Hardware | null;
  /** Pieces, pairs, metres or litres. */
  readonly need: number;
  readonly onHand: number;
  /** Of what is sold, so many are bought; null where it is not known how it is sold. */
  readonly packs: number | null;
  /** Null where a price is missing. */
  readonly money: number | null;
}

/**
 * How much of something is needed, in what it is counted by: metres for what comes off a roll.
 * @example needOf({ what: 'shelf pins Ø5', count: 4, each: 'piece' }) // 4
 */
export function needOf({ each, length, count }: Bought): number {
  return each === 'run' && length !== undefined ? toMm(length) / 1000 : count;
}

/**
 * Whether something sold is what a list asks for.
 * @example isSoldAs({ what: 'hinge', each: 'piece', pack: 10 }, { what: 'hinge', each: 'pair' }) // false
 */
export function isSoldAs(hardware: Hardware, { what, each, length, thick }: Bought): boolean {
  const sameLength = each === 'run' || hardware.length === length;
  return hardware.what === what && hardware.each === each && sameLength && hardware.thick === thick;
}

/** Slides as their own records have them: a pair at a time, by their price where that is known. @example slidesSold([]) // [] */
export function slidesSold(slides: readonly Slide[]): readonly Hardware[] {
  return slides.flatMap(({ name, lengths, price }) =>
    price === undefined ? [] : lengths.map((length): Hardware => ({ what: name, each: 'pair', length, pack: 1, price })),
  );
}

/** What there is to buy besides wood, by whole packets, rolls and tins. @example fittingLines([], []) // [] */
export function fittingLines(all: readonly Bought[], hardware: readonly Hardware[]): readonly FittingLine[] {
  return all.map((bought): FittingLine => {
    const sold = hardware.find((h) => isSoldAs(h, bought)) ?? null;
    const need = needOf(bought);
    const onHand = sold?.onHand ?? 0;
    const packs = sold ? Math.ceil(Math.max(0, need - onHand) / sold.pack - 1e-9) : null;
    const money = packs === 0 ? 0 : packs === null || sold?.price === undefined ? null : packs * sold.price;
    return { bought, hardware: sold, need, onHand, packs: packs === null ? null : Math.max(0, packs), money };
  });
}

/** What all of it costs, and whether a price is missing. @example fittingsMoney([]) // { money: 0, atLeast: false } */
export function fittingsMoney(lines: readonly FittingLine[]): { readonly money: number; readonly atLeast: boolean } {
  return { money: lines.reduce((sum, l) => sum + (l.money ?? 0), 0), atLeast: lines.some((l) => l.money === null) };
}

/** The usual roll and tin: 10 m or 25 ft, a litre or a quart. */
const USUAL_PACK = { mm: { run: 10, litre: 1 }, in: { run: 25 * 0.3048, litre: 1 / QUARTS_PER_LITRE } } as const;

/**
 * How something is sold before anyone said: one at a time, or by the usual box, roll or tin.
 * @example soldAs({ what: 'shelf pins Ø5', count: 4, each: 'piece' }, 'mm').what // 'shelf pins Ø5'
 */
export function soldAs({ what, each, length, thick }: Bought, unit: LengthUnit): Hardware {
  const pack = each === 'run' || each === 'litre' ? USUAL_PACK[unit][each] : /screws|brads/.test(what) ? 100 : 1;
  return {
    what,
    each,
    ...(length !== undefined && each !== 'run' ? { length } : {}),
    ...(thick === undefined ? {} : { thick }),
    pack,
  };
}
