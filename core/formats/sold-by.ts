import { QUARTS_PER_LITRE } from '../figure/index.js';
import type { LengthUnit } from '../length/index.js';
import type { Hardware } from '../stock/index.js';

/** What something is counted by in a shop: its name, as it is written after an amount, and how many of them one of the record's is. */
export interface SoldBy {
  readonly name: string;
  readonly short: string;
  readonly times: number;
}

const ALIKE = { piece: { name: 'piece', short: '', times: 1 }, pair: { name: 'pair', short: 'pairs', times: 1 } } as const;

const SOLD_BY: Readonly<Record<LengthUnit, Readonly<Record<Hardware['each'], SoldBy>>>> = {
  mm: { ...ALIKE, run: { name: 'metre', short: 'm', times: 1 }, litre: { name: 'litre', short: 'l', times: 1 } },
  in: { ...ALIKE, run: { name: 'foot', short: 'ft', times: 1 / 0.3048 }, litre: { name: 'quart', short: 'qt', times: QUARTS_PER_LITRE } },
};

/** What something is counted by in a shop of a unit: runs by the metre or foot, finish by the litre or quart. @example soldBy('run', 'in').short // 'ft' */
export const soldBy = (each: Hardware['each'], unit: LengthUnit): SoldBy => SOLD_BY[unit][each];

/** What a word on a list counts by, whichever shop wrote it; undefined for none. @example countedBy('quart').each // 'litre' */
export function countedBy(word: string): { readonly each: Hardware['each']; readonly times: number } | undefined {
  for (const all of Object.values(SOLD_BY))
    for (const [each, { name, short, times }] of Object.entries(all) as [Hardware['each'], SoldBy][])
      if ([name, short, `${name}s`, each].includes(word.toLowerCase())) return { each, times };
  return undefined;
}

/** An amount of a record in what the shop counts by, to a hundredth. @example inShop(10, 'run', 'in') // 32.81 */
export const inShop = (amount: number, each: Hardware['each'], unit: LengthUnit): number =>
  Math.round(amount * soldBy(each, unit).times * 100) / 100;
