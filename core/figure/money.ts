import type { Precision } from '../length/index.js';

const formats = new Map<string, Intl.NumberFormat>();

function formatOf(currency: string | undefined, isWhole: boolean): Intl.NumberFormat {
  const key = `${currency ?? ''} ${isWhole}`;
  const known = formats.get(key);
  if (known) return known;
  const digits = isWhole ? { minimumFractionDigits: 0, maximumFractionDigits: 0 } : {};
  const format = new Intl.NumberFormat(
    undefined,
    currency === undefined ? { minimumFractionDigits: 2, maximumFractionDigits: 2, ...digits } : { style: 'currency', currency, ...digits },
  );
  formats.set(key, format);
  return format;
}

/**
 * An amount of the project's money as it is written here: by the reader's own marks, with its currency where the project says one,
 * and cents where there are some.
 * @example writeMoney(12, {}) // '12'
 */
export function writeMoney(amount: number, { currency }: Pick<Precision, 'currency'>): string {
  const cents = Math.round(amount * 100) / 100;
  return formatOf(currency, Number.isInteger(cents)).format(cents);
}
