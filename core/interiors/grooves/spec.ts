import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../../length/index.js';
import { IdSchema } from '../../ids/index.js';

const closed = { additionalProperties: false } as const;

/** No more grooves than this are laid out in one space. */
export const MOST_GROOVES = 500;

/** Grooves in the sides at a pitch, with thin loose shelves in some of them that can be moved to any other. */
export const GroovesSchema = Type.Object(
  {
    kind: Type.Literal('grooves'),
    /** How wide each groove is, and how deep. */
    wide: SizeSchema,
    deep: SizeSchema,
    /** How far up the lower edge of the first one is. */
    first: SizeSchema,
    /** From the lower edge of each to that of the next. */
    pitch: SizeSchema,
    /** What is left over the upper edge of the last one, at least. */
    last: DistanceSchema,
    /** What shelves are of. */
    stock: IdSchema,
    /** What they are cut short in all, so that they slide. */
    slack: DistanceSchema,
    /** The grooves that shelves lie in, from below, the first being 1. */
    shelves: Type.Array(Type.Integer({ minimum: 1, maximum: MOST_GROOVES }), { maxItems: 200 }),
    /** What lies on each of them, one by one. */
    thing: Type.Optional(IdSchema),
    /** Loose uprights between shelves, in grooves across these every `pitch`, so `deep`; over the shelf of which groove, in which of them from the left. */
    uprights: Type.Optional(
      Type.Object(
        {
          stock: IdSchema,
          deep: SizeSchema,
          pitch: SizeSchema,
          over: Type.Array(
            Type.Object(
              {
                shelf: Type.Integer({ minimum: 1, maximum: MOST_GROOVES }),
                at: Type.Array(Type.Integer({ minimum: 1, maximum: MOST_GROOVES }), { maxItems: 100 }),
              },
              closed,
            ),
            { maxItems: 200 },
          ),
        },
        closed,
      ),
    ),
    /** A notch in the middle of the front edge of each, to draw it out by. */
    fingers: Type.Optional(Type.Object({ wide: SizeSchema, deep: SizeSchema }, closed)),
  },
  closed,
);
export type Grooves = Static<typeof GroovesSchema>;

declare module '../../piece/space.js' {
  interface Fillings {
    grooves: Grooves;
  }
}
