import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../length/index.js';
import { NameSchema } from '../ids/index.js';
import { KilogramsSchema } from '../measures/index.js';

const closed = { additionalProperties: false } as const;

/** A kind of drawer slide as it is bought, in pairs, and as it was measured. */
export const SlideSchema = Type.Object(
  {
    name: NameSchema,
    /** The lengths it is sold in. */
    lengths: Type.Array(SizeSchema, { minItems: 1, maxItems: 40 }),
    /** What it takes up at each side, by the calliper. */
    side: SizeSchema,
    /** How high its profile is. */
    height: SizeSchema,
    /** How far its front end stands back from the front of what it is screwed to. */
    setback: DistanceSchema,
    /** The maker's rating of a pair, kg, drawn right out. */
    rating: Type.Optional(KilogramsSchema({ exclusiveMinimum: 0, maximum: 1000 })),
    /** How much of its length it comes out, 1 for full extension. */
    extension: Type.Number({ exclusiveMinimum: 0, maximum: 1.2 }),
    /** Price of a pair, in the project's money. */
    price: Type.Optional(Type.Number({ minimum: 0, maximum: 1e6 })),
  },
  closed,
);
export type Slide = Static<typeof SlideSchema>;
