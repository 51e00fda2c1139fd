import { Type, type NumberOptions } from '@sinclair/typebox';

/**
 * What is not a length: forces, masses, pressures and angles, each a number of its own kind, so that one is never taken for
 * another. What is worked out from them is a plain number until it is said again what it is.
 */

/** A force, N. */
export type Newtons = number & { readonly __brand: 'Newtons' };

/** A mass, kg. */
export type Kilograms = number & { readonly __brand: 'Kilograms' };

/** A pressure, a stress or a strength, MPa, which is N/mm². */
export type Megapascals = number & { readonly __brand: 'Megapascals' };

/** A stiffness of a material, GPa: a thousand MPa. */
export type Gigapascals = number & { readonly __brand: 'Gigapascals' };

/** An angle, in degrees. */
export type Degrees = number & { readonly __brand: 'Degrees' };

/** A force from a number of N. @example asNewtons(9.81) // 9.81 */
export const asNewtons = (count: number): Newtons => count as Newtons;

/** A mass from a number of kg. @example asKg(2.5) // 2.5 */
export const asKg = (count: number): Kilograms => count as Kilograms;

/** A pressure from a number of MPa. @example asMPa(12) // 12 */
export const asMPa = (count: number): Megapascals => count as Megapascals;

/** A stiffness from a number of GPa. @example asGPa(9.5) // 9.5 */
export const asGPa = (count: number): Gigapascals => count as Gigapascals;

/** An angle from a number of degrees. @example asDegrees(13) // 13 */
export const asDegrees = (count: number): Degrees => count as Degrees;

/** An angle for the functions of a circle. @example Math.round(Math.sin(radians(asDegrees(30))) * 1000) // 500 */
export const radians = (angle: Degrees): number => (angle * Math.PI) / 180;

/** An angle from radians. @example inDegrees(Math.PI / 4) // 45 */
export const inDegrees = (count: number): Degrees => asDegrees((count * 180) / Math.PI);

/** A stored mass, kg. @example KilogramsSchema({ minimum: 0 }).minimum // 0 */
export const KilogramsSchema = (bounds: NumberOptions) => Type.Unsafe<Kilograms>(Type.Number(bounds));

/** A stored angle, degrees. @example DegreesSchema({ maximum: 90 }).maximum // 90 */
export const DegreesSchema = (bounds: NumberOptions) => Type.Unsafe<Degrees>(Type.Number(bounds));
