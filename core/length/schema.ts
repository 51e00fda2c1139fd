import { Type } from '@sinclair/typebox';
import { LONGEST, type Length } from './length.js';

/** A stored length: an integer count of 1/80 µm, more than zero. */
export const SizeSchema = Type.Unsafe<Length>(
  Type.Integer({ minimum: 1, maximum: LONGEST, description: 'A size in units of 1/80 µm (80,000 to the mm), more than zero' }),
);

/** A stored length of no less than so much: what is divided by it stays a number that can be made. @example sizeFrom(mm(1)).minimum // mm(1) */
export const sizeFrom = (least: Length) =>
  Type.Unsafe<Length>(
    Type.Integer({ minimum: least, maximum: LONGEST, description: `A size in units of 1/80 µm (80,000 to the mm), at least ${least}` }),
  );

/** A stored length that may be zero: a slack, a clearance, a setback, a place from a datum. */
export const DistanceSchema = Type.Unsafe<Length>(
  Type.Integer({ minimum: 0, maximum: LONGEST, description: 'A distance in units of 1/80 µm (80,000 to the mm), zero or more' }),
);
