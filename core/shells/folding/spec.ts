import { Type, type Static, type TObject } from '@sinclair/typebox';
import { IdSchema } from '../../ids/index.js';
import { DistanceSchema, SizeSchema } from '../../length/index.js';
import type { PieceCommon } from '../../piece/index.js';
import { PlacementSchema } from '../../things/index.js';
import { DegreesSchema } from '../../measures/index.js';

const closed = { additionalProperties: false } as const;

/** What a folding table has of its own: a top on two pairs of legs that cross on a pin. */
export const foldingFields = {
  top: Type.Object(
    {
      stock: IdSchema,
      /** What stands on it, with so much between and round it. */
      things: Type.Optional(Type.Array(PlacementSchema, { maxItems: 12 })),
      between: DistanceSchema,
      margin: DistanceSchema,
    },
    closed,
  ),
  legs: Type.Object(
    {
      stock: IdSchema,
      wide: SizeSchema,
      /** How far the holes at both ends of a leg are from its ends, which are rounded by as much. */
      round: SizeSchema,
      /** Over both outer legs, from outside to outside. */
      over: SizeSchema,
      /** What lies between an outer and an inner leg, such as a washer. */
      spacer: DistanceSchema,
      /** How they stand: how far the feet of a pair are from those of the other, or the angle from the floor; by both the height follows. */
      apart: Type.Optional(SizeSchema),
      degrees: Type.Optional(DegreesSchema({ minimum: 0, maximum: 90 })),
    },
    closed,
  ),
  /** The pin that the inner legs turn on under the top, and those that the pairs cross on. */
  pivot: Type.Object({ below: SizeSchema, pin: SizeSchema }, closed),
  /** The bar that the inner legs are pinned to, and the rebated one that the outer legs stand in. */
  bars: Type.Object({ stock: IdSchema, wide: SizeSchema }, closed),
  /** What joins the legs of a pair near their feet: a board over their lower edges, or for the inner pair a rod between them. */
  stretchers: Type.Object(
    {
      stock: IdSchema,
      wide: SizeSchema,
      /** From the hole at the foot along the leg. */
      up: SizeSchema,
      rod: Type.Optional(SizeSchema),
    },
    closed,
  ),
};

/** A table whose legs cross and fold flat under its top. */
export type Folding = PieceCommon & { shell: 'folding' } & Static<TObject<typeof foldingFields>>;

declare module '../../piece/spec.js' {
  interface Shells {
    folding: Folding;
  }
}
