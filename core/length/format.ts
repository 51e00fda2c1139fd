import { UNITS_PER, fromUnits, type Length, type LengthUnit } from './length.js';

/** How lengths are written: the unit and the finest step of the shop. */
export interface Precision {
  readonly unit: LengthUnit;
  /** The finest step that is written: mm 1, 0.5 or 0.1; inches 1/8 to 1/64. */
  readonly step: Length;
  /** Whose words of the trade are read: those of the unit where nothing is said. */
  readonly terms?: LengthUnit;
  /** The currency that money is written in, by its ISO 4217 code. */
  readonly currency?: string;
}

/** What units are called. */
export const UNIT_NAMES: Readonly<Record<LengthUnit, string>> = { mm: 'millimetres', in: 'inches' };

/** The precisions a project may choose from, coarse to fine, with the name on the switch. */
export const PRECISIONS: Readonly<Record<LengthUnit, readonly { name: string; step: Length }[]>> = {
  mm: [1, 0.5, 0.1].map((s) => ({ name: `${s}`, step: fromUnits(s * UNITS_PER.mm) })),
  in: [8, 16, 32, 64].map((d) => ({ name: `1/${d}`, step: fromUnits(UNITS_PER.in / d) })),
};

/** The step used when nothing else is chosen: 0.5 mm or 1/32 in. */
export const DEFAULT_STEP: Readonly<Record<LengthUnit, Length>> = {
  mm: fromUnits(UNITS_PER.mm / 2),
  in: fromUnits(UNITS_PER.in / 32),
};

/** A written length, taken apart so that a view can stack the fraction. */
export interface WrittenLength {
  readonly negative: boolean;
  /** The whole part, or the whole decimal number in mm; empty where only a fraction is left. */
  readonly whole: string;
  readonly numerator?: number;
  readonly denominator?: number;
  /** False where the length does not lie on the step, so that what is written is the nearest. */
  readonly exact: boolean;
}

/** The greatest whole number that both are a multiple of. @example greatestCommonDivisor(12, 18) // 6 */
export function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}

/**
 * Writes a length to a precision, in pieces.
 * @example writeLength(inch(12.375), { unit: 'in', step: inch(1 / 32) }) // { negative: false, whole: '12', numerator: 3, denominator: 8, exact: true }
 */
export function writeLength(length: Length, { unit, step }: Precision): WrittenLength {
  const steps = Math.round(Math.abs(length) / step);
  const exact = steps * step === Math.abs(length);
  const negative = length < 0 && steps > 0;
  if (unit === 'mm') {
    const digits = step % UNITS_PER.mm === 0 ? 0 : 1;
    return { negative, whole: ((steps * step) / UNITS_PER.mm).toFixed(digits).replace(/\.0$/, ''), exact };
  }
  const perInch = Math.round(UNITS_PER.in / step);
  const inches = Math.floor(steps / perInch);
  const over = steps % perInch;
  if (over === 0) return { negative, whole: `${inches}`, exact };
  const divisor = greatestCommonDivisor(over, perInch);
  return {
    negative,
    whole: inches === 0 ? '' : `${inches}`,
    numerator: over / divisor,
    denominator: perInch / divisor,
    exact,
  };
}

/**
 * Writes a length as one line of text, without its unit. What is not exact at the
 * precision begins with "≈".
 * @example formatLength(inch(12.375), { unit: 'in', step: inch(1 / 32) }) // '12 3/8'
 * @example formatLength(mm(381.35), { unit: 'mm', step: mm(0.5) }) // '≈381.5'
 */
export function formatLength(length: Length, precision: Precision): string {
  const w = writeLength(length, precision);
  const fraction = w.numerator === undefined ? '' : `${w.numerator}/${w.denominator}`;
  const text = [w.whole, fraction].filter(Boolean).join(' ');
  return `${w.exact ? '' : '≈'}${w.negative ? '−' : ''}${text}`;
}

/** Whether a length is one that things are sold in, in a unit: a whole 1/64 in, or a whole tenth of a mm. */
const soldIn = (length: Length, unit: LengthUnit): boolean => length % (unit === 'in' ? UNITS_PER.in / 64 : UNITS_PER.mm / 10) === 0;

/**
 * Writes the size of something that is sold, with its unit where that is not the shop's: a pin of 5 mm is one in inches too.
 * @example formatSold(mm(5), { unit: 'in', step: inch(1 / 32) }) // '5 mm'
 * @example formatSold(inch(1 / 4), { unit: 'mm', step: mm(0.5) }) // '1/4 in'
 */
export function formatSold(length: Length, precision: Precision): string {
  const { unit } = precision;
  if (soldIn(length, unit)) return exactText(length, unit);
  const other = unit === 'mm' ? 'in' : 'mm';
  return soldIn(length, other) ? `${exactText(length, other)} ${other}` : formatLength(length, precision);
}

/** The finest fraction of an inch that a rule is divided into: 1/128. */
const FINEST = fromUnits(UNITS_PER.in / 128);

/**
 * Writes a length exactly: decimal mm, as many digits as it takes, or inches as a fraction, decimal only where no rule has it.
 * @example exactText(mm(381.35), 'mm') // '381.35'
 * @example exactText(inch(1 / 64), 'in') // '1/64'
 */
export function exactText(length: Length, unit: LengthUnit): string {
  if (unit === 'in' && length % FINEST === 0) return formatLength(length, { unit, step: FINEST }).replace('−', '-');
  return `${Number((length / UNITS_PER[unit]).toFixed(6))}`;
}
