import { Type, type Static, type TObject } from '@sinclair/typebox';
import { IdSchema } from '../../ids/index.js';
import { SizeSchema } from '../../length/index.js';
import type { PieceCommon } from '../../piece/index.js';
import { DegreesSchema } from '../../measures/index.js';

const closed = { additionalProperties: false } as const;

/**
 * How the sides lean, by two of what there is to know: their angle off plumb or how far their foot stands out, and how long
 * they are; or how long they are and how high they reach. Where their length is left out, the height of the piece says it.
 */
export const LeanSchema = Type.Union([
  Type.Object({ by: Type.Literal('angle'), degrees: DegreesSchema({ minimum: 0, maximum: 90 }), along: Type.Optional(SizeSchema) }, closed),
  Type.Object({ by: Type.Literal('foot'), out: SizeSchema, along: Type.Optional(SizeSchema) }, closed),
  Type.Object({ by: Type.Literal('height'), along: SizeSchema }, closed),
]);
export type LeanBy = Static<typeof LeanSchema>;

/** What a leaning piece has of its own: two sides that lean on a wall, and what keeps them square. */
export const leaningFields = {
  sides: Type.Object(
    {
      stock: IdSchema,
      wide: SizeSchema,
      lean: LeanSchema,
      /** How high the corner that touches the wall is cut off plumb, so that it lies on it; a corner where it is left out. */
      flat: Type.Optional(SizeSchema),
    },
    closed,
  ),
  /** Screws through the sides are sunk and covered: how broad a plug is, and how deep the hole for it. */
  plugs: Type.Optional(Type.Object({ across: SizeSchema, deep: SizeSchema }, closed)),
  /** Plumb legs under the heads of the sides and feet that tie both, as wide: it stands free of the wall. */
  legs: Type.Optional(Type.Object({ stock: IdSchema, wide: SizeSchema }, closed)),
  /** A strip from corner to corner over the rear edges of the sides, in one of its spaces. */
  brace: Type.Optional(Type.Object({ stock: IdSchema, wide: SizeSchema, space: IdSchema }, closed)),
};

/** Level shelves between two sides that lean on a wall. */
export type Leaning = PieceCommon & { shell: 'leaning' } & Static<TObject<typeof leaningFields>>;

declare module '../../piece/spec.js' {
  interface Shells {
    leaning: Leaning;
  }
}
