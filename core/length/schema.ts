import { Type } from '@sinclair/typebox';
import { LONGEST, mm, type Length } from './length.js';

const IN = 'units of 1/80 µm (80,000 to the mm)';

/** No part of what a builder makes is longer, and no room that it stands in. */
export const LONGEST_MEANT = mm(20_000);

/**
 * Lengths that are taken, and those that are meant: what is taken can be opened and worked out, whatever it is; what nobody
 * means is told, and no edit brings it in.
 */
const lengthSchema = (what: string, minimum: number, [least, most]: readonly [Length, Length]) =>
  Type.Unsafe<Length>(
    Type.Integer({
      minimum,
      maximum: LONGEST,
      sense: [least, most],
      description: `A ${what} in ${IN}, ${minimum} or more; meant are ${least} to ${most}`,
    }),
  );

/** What is meant by a length: no less and no more. */
export interface Meant {
  readonly least: Length;
  readonly greatest: Length;
}

/** A stored length that is a size: more than zero, and meant to be so much. @example sizeMeant({ least: mm(0.5), greatest: mm(10) }).minimum // 1 */
export const sizeMeant = ({ least, greatest }: Meant) => lengthSchema('size', 1, [least, greatest]);

/** A stored length that is a size, more than zero. */
export const SizeSchema = sizeMeant({ least: mm(0.1), greatest: LONGEST_MEANT });

/** A stored length of no less than so much, and meant to be no less than that: what is divided by it stays a number that can be made. @example sizeFrom(mm(1)).minimum // mm(1) */
export const sizeFrom = (least: Length, meant = least) => lengthSchema('size', least, [meant, LONGEST_MEANT]);

/** A stored length that may be zero: a slack, a clearance, a setback, a place from a datum. */
export const DistanceSchema = lengthSchema('distance', 0, [mm(0), LONGEST_MEANT]);
