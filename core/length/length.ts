/**
 * A length, as an integer count of 1/80 micrometre: the largest unit that holds
 * 1/128 inch (15,875), 1/1000 inch (2,032) and 1 µm (80) exactly. Sums of lengths
 * are exact; only a division or a sloping length rounds, once, to the unit.
 */
export type Length = number & { readonly __brand: 'Length' };

const UNITS_PER_MM = 80_000;
const UNITS_PER_INCH = 2_032_000;

/** The units a project can be drawn up in. */
export type LengthUnit = 'mm' | 'in';

/** How many length units one of the named unit holds. */
export const UNITS_PER: Readonly<Record<'mm' | 'cm' | 'm' | 'in' | 'ft', number>> = {
  mm: UNITS_PER_MM,
  cm: UNITS_PER_MM * 10,
  m: UNITS_PER_MM * 1000,
  in: UNITS_PER_INCH,
  ft: UNITS_PER_INCH * 12,
};

/** The zero length. */
export const ZERO = 0 as Length;

/** The longest length a reading may give: 100 m, far past any piece of furniture. */
export const LONGEST = (100_000 * UNITS_PER_MM) as Length;

/**
 * Rounds a raw count of units to a length.
 * @param units a finite number of 1/80 µm
 * @throws RangeError when the count is not finite or no longer exact as an integer
 * @example fromUnits(80_000) // mm(1)
 */
export function fromUnits(units: number): Length {
  const rounded = Math.round(units);
  if (!Number.isSafeInteger(rounded)) {
    throw new RangeError(`not a length: ${units} units`);
  }
  return (rounded === 0 ? 0 : rounded) as Length;
}

/**
 * A length from millimetres.
 * @example mm(17.6) // 1408000
 */
export function mm(millimetres: number): Length {
  return fromUnits(millimetres * UNITS_PER_MM);
}

/**
 * A length from decimal inches.
 * @example inch(0.75) // 1524000
 */
export function inch(inches: number): Length {
  return fromUnits(inches * UNITS_PER_INCH);
}

/**
 * A length in millimetres, as a floating-point number, for mechanics and drawing.
 * @example toMm(inch(1)) // 25.4
 */
export function toMm(length: Length): number {
  return length / UNITS_PER_MM;
}

/** A length in decimal inches. @example toInches(mm(25.4)) // 1 */
export function toInches(length: Length): number {
  return length / UNITS_PER_INCH;
}

/** The sum of lengths, exact. @example add(mm(15.4), inch(1)) // mm(40.8) */
export function add(...lengths: readonly Length[]): Length {
  return lengths.reduce((sum, length) => sum + length, 0) as Length;
}

/** The same length the other way. @example negative(mm(3)) // mm(-3) */
export const negative = (a: Length): Length => -(a as number) as Length;

/** `a` less `b`, exact. @example sub(mm(880), mm(25.4)) // mm(854.6) */
export function sub(a: Length, b: Length): Length {
  return (a - b) as Length;
}

/** A length times a number, rounded to the unit. @example scale(mm(116), 1 / 8) // mm(14.5) */
export function scale(length: Length, factor: number): Length {
  return fromUnits(length * factor);
}

/** The greatest of some lengths; zero for none. @example greatest([mm(3), mm(5), mm(4)]) // mm(5) */
export function greatest(lengths: readonly Length[]): Length {
  return lengths.reduce<Length>((best, l) => (l > best ? l : best), lengths[0] ?? ZERO);
}

/** The least of some lengths; zero for none. @example least([]) // ZERO */
export function least(lengths: readonly Length[]): Length {
  return lengths.reduce<Length>((best, l) => (l < best ? l : best), lengths[0] ?? ZERO);
}

/**
 * The straight distance across two lengths at right angles, rounded once.
 * @example hypot(mm(3), mm(4)) // mm(5)
 */
export function hypot(a: Length, b: Length): Length {
  return fromUnits(Math.hypot(a, b));
}

/** The greatest multiple of `step` that is not over `length`. @example floorTo(mm(16.769), mm(0.5)) // mm(16.5) */
export function floorTo(length: Length, step: Length): Length {
  return fromUnits(Math.floor(length / step) * step);
}

/** The least multiple of `step` that is not under `length`. @example ceilTo(mm(16.769), mm(0.5)) // mm(17) */
export function ceilTo(length: Length, step: Length): Length {
  return fromUnits(Math.ceil(length / step) * step);
}

/** The multiple of `step` nearest to `length`; halves go up. @example roundTo(mm(16.75), mm(0.5)) // mm(17) */
export function roundTo(length: Length, step: Length): Length {
  return fromUnits(Math.round(length / step) * step);
}
