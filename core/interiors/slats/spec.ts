import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../../length/index.js';
import { IdSchema } from '../../ids/index.js';

const closed = { additionalProperties: false } as const;

/** A deck of slats side by side: the members of the divided space are slats, its parts the gaps between them. */
export const SlatsSchema = Type.Object(
  {
    kind: Type.Literal('slats'),
    stock: IdSchema,
    /** How wide each slat is, along the run. */
    wide: SizeSchema,
    /** So much longer they are cut, to be trimmed flush when they are on. */
    trim: Type.Optional(DistanceSchema),
    /** A slat flush at both ends, or half a gap left there. */
    ends: Type.Union([Type.Literal('flush'), Type.Literal('half-gap')]),
    /** Supports under the slats, this many, cut over-length by `trim` to be trimmed flush after. */
    supports: Type.Object(
      { stock: IdSchema, count: Type.Integer({ minimum: 0, maximum: 20 }), wide: SizeSchema, inset: DistanceSchema, trim: DistanceSchema },
      closed,
    ),
    /** Slats are dealt to two bodies by a pattern, over and over; all are fixed where this is left out. */
    deal: Type.Optional(
      Type.Object(
        {
          /** `s` slides and `f` is fixed. */
          pattern: Type.String({ pattern: '^[fs]{1,40}$' }),
          /** How far the sliding body comes out. */
          stroke: SizeSchema,
          /** How much shorter the sliding slats are. */
          shorter: DistanceSchema,
          /** Rails so wide on edge under the sliding slats, which slide with them. */
          frame: Type.Optional(Type.Object({ stock: IdSchema, wide: SizeSchema }, closed)),
        },
        closed,
      ),
    ),
  },
  closed,
);
export type Slats = Static<typeof SlatsSchema>;

declare module '../../piece/space.js' {
  interface Makings {
    slats: Slats;
  }
}
