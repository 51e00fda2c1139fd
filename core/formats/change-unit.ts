import { pieceSchema } from '../kinds/index.js';
import { DEFAULT_STEP, mm, type LengthUnit } from '../length/index.js';
import type { Piece } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import { setToSteps } from '../sense/index.js';

/** Sizes from this one on are set anew; shorter ones are those of pins, grooves and clearances. */
export const LEAST_SET = mm(25);

/** What becomes of the sizes of pieces where a project is to work in another unit. */
export type SizesThen = 'kept' | 'set';

/**
 * Settings of a project that is to work in another unit: written and rounded to the usual step of that.
 * @example settingsIn(SHOP.settings, 'in').rounding.grid // inch(1 / 32)
 */
export function settingsIn(settings: Settings, unit: LengthUnit): Settings {
  const step = DEFAULT_STEP[unit];
  return { ...settings, unit, step, rounding: { ...settings.rounding, grid: step } };
}

/**
 * A piece of such a project: rounded to that step where it had one of its own, with sizes from `LEAST_SET` on set to it or kept.
 * The same piece comes back where nothing of it changes.
 * @example pieceInUnit(CASE, 'mm', 'kept') === CASE // true
 */
export function pieceInUnit(piece: Piece, unit: LengthUnit, sizes: SizesThen): Piece {
  const step = DEFAULT_STEP[unit];
  const own = piece.rounding && piece.rounding.grid !== step ? { ...piece, rounding: { ...piece.rounding, grid: step } } : piece;
  return sizes === 'set' ? setToSteps(pieceSchema(), own, LEAST_SET, step) : own;
}
