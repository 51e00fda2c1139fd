import { inch, mm, type Length, type LengthUnit } from '../length/index.js';
import type { Slide, Stock } from '../stock/index.js';

/** A size as a yard tells it, in the unit of that yard. */
export const inUnit = (unit: LengthUnit, size: number): Length => (unit === 'mm' ? mm(size) : inch(size));

/** Sizes of something that a yard sells, in its unit: what it is called by, and what it measures. */
export interface Sold {
  readonly name: string;
  readonly material: string;
  readonly nominal: number;
  readonly thickness: number;
  readonly width: number;
  /** The lengths that it is sold in; the first is the usual one. */
  readonly lengths: readonly number[];
}

function stockOf(unit: LengthUnit, form: Stock['form'], { name, material, nominal, thickness, width, lengths }: Sold): Stock {
  const size = (n: number) => inUnit(unit, n);
  const [usual, ...others] = lengths as [number, ...number[]];
  return {
    name,
    form,
    material,
    nominal: size(nominal),
    thickness: size(thickness),
    length: size(usual),
    width: size(width),
    ...(others.length > 0 ? { sizes: others.map((length) => ({ length: size(length), width: size(width) })) } : {}),
  };
}

/** Boards that are sold as they are wide. */
export const board = (unit: LengthUnit, sold: Sold): Stock => stockOf(unit, 'board', sold);

/** Sheets that parts are laid out on. */
export const sheet = (unit: LengthUnit, sold: Sold): Stock => stockOf(unit, 'sheet', sold);

/** Slides that come right out, as most makers sell them: their rating is the maker's, and is left to be typed. */
export function slide(
  unit: LengthUnit,
  { name, lengths, side, height }: Record<'side' | 'height', number> & { name: string; lengths: readonly number[] },
): Slide {
  const size = (n: number) => inUnit(unit, n);
  return { name, lengths: lengths.map(size), side: size(side), height: size(height), setback: size(0), extension: 1 };
}
