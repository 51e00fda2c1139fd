import { cutsOf, inOrder } from '../cutting/cuts.js';
import { leftOn, partsOn, type LaidSheet } from '../cutting/laid.js';
import { mm, toMm, type Length } from '../length/index.js';
import type { Tools } from '../project/index.js';
import type { Blank } from './blanks.js';
import { sheetOf, type Answer, type Asked } from './plan.js';
import type { Begun } from './spec.js';
import type { Source } from './supply.js';

/** The least rest that is kept where nothing is said about it. */
export const USUAL_KEEP = { length: mm(300), width: mm(100) };

/** So many of a sheet are used, and what that costs. */
export interface Used {
  readonly source: Source;
  readonly count: number;
  /** In all; null where the price is not known. Nothing for what lies there. */
  readonly money: number | null;
}

/** Something left over that is worth keeping. */
export interface Rest {
  readonly sheet: LaidSheet;
  readonly length: Length;
  readonly width: Length;
}

/** What a layout of one stock comes to. */
export interface Sums {
  readonly used: readonly Used[];
  /** What is bought costs so much; at least, where a price is missing. */
  readonly money: number;
  readonly atLeast: boolean;
  /** How much of the area of what is opened becomes parts, from 0 to 1. */
  readonly yield: number;
  readonly cuts: number;
  readonly settings: number;
  /** Rests worth keeping, the largest first. */
  readonly rests: readonly Rest[];
  /** No layout opens fewer sheets, and whether this one opens no more. */
  readonly fewest: number;
  readonly isFewest: boolean;
}

/** Rests that are worth keeping: as long and as wide as is wanted, one way or the other. @example restsOf([], undefined) // [] */
export function restsOf(laid: readonly LaidSheet[], tools: Tools | undefined): readonly Rest[] {
  const keep = tools?.keep ?? USUAL_KEEP;
  const kept = (a: Length, b: Length) =>
    Math.max(a, b) >= Math.max(keep.length, keep.width) && Math.min(a, b) >= Math.min(keep.length, keep.width);
  return laid
    .flatMap((sheet) => leftOn(sheet).map(({ length, width }): Rest => ({ sheet, length, width })))
    .filter(({ length, width }) => kept(length, width))
    .sort((a, b) => b.length * b.width - a.length * a.width);
}

/**
 * What a layout comes to, with the sheets that were begun and not taken off what is on hand yet.
 * @example sumsOf(ASKED, { laid: LAID, bound: { count: 1, cost: 0 } }, undefined).cuts // 9
 */
export function sumsOf(
  { sources }: Pick<Asked, 'sources'>,
  { laid: open, bound }: Answer,
  tools: Tools | undefined,
  begun: readonly Begun[] = [],
): Sums {
  const laid = [...begun.filter((b) => !b.booked).map(sheetOf), ...open];
  const used = sources
    .map((source): Used => {
      const count = laid.filter((l) => l.sheet === source.sheet.id).length;
      return { source, count, money: source.from === 'to buy' ? (source.price === null ? null : source.price * count) : 0 };
    })
    .filter((u) => u.count > 0);
  const parts = laid.flatMap(partsOn).reduce((sum, p) => sum + toMm(p.length) * toMm(p.width), 0);
  const all = laid.reduce((sum, l) => sum + toMm(l.length) * toMm(l.width), 0);
  const cuts = cutsOf(laid);
  return {
    used,
    money: used.reduce((sum, u) => sum + (u.money ?? 0), 0),
    atLeast: used.some((u) => u.money === null),
    yield: all > 0 ? parts / all : 0,
    cuts: cuts.length,
    settings: inOrder(cuts).length,
    rests: restsOf(laid, tools),
    fewest: bound.count,
    isFewest: open.length <= bound.count,
  };
}

/** Why a blank has no place. */
export type NoPlace = 'too large' | 'no more';

/**
 * Why a blank is on no sheet: it is larger than any, or there are no more.
 * @example whyNot({ length: mm(3000), width: mm(100), grain: true }, ASKED) // 'too large'
 */
export function whyNot({ length, width, grain }: Pick<Blank, 'length' | 'width' | 'grain'>, { sources, problem }: Asked): NoPlace {
  if (sources.length === 0) return 'no more';
  const fits = problem.sheets.some(({ length: l, width: w, trim }) => {
    const [long, wide] = [l - 2 * trim.ends, w - 2 * trim.edges];
    return (length <= long && width <= wide) || (!grain && width <= long && length <= wide);
  });
  return fits ? 'no more' : 'too large';
}

/**
 * What the wood of each piece costs: what is bought for a stock, shared by the area of the parts.
 * @example moneyByPiece(BLANKS, 60).get('case') // 60
 */
export function moneyByPiece(blanks: readonly Blank[], money: number): ReadonlyMap<string, number> {
  const area = (b: Blank) => toMm(b.length) * toMm(b.width);
  const all = blanks.reduce((sum, b) => sum + area(b), 0);
  const by = new Map<string, number>();
  for (const b of blanks) by.set(b.piece.id, (by.get(b.piece.id) ?? 0) + (all > 0 ? (money * area(b)) / all : 0));
  return by;
}
