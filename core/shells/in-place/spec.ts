import { Type, type Static, type TObject } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../../length/index.js';
import type { PieceCommon } from '../../piece/index.js';
import { IdSchema, NameSchema } from '../../ids/index.js';

const closed = { additionalProperties: false } as const;

/** Runner boards on uprights behind a face frame, so that slides clear it. */
export const PackingSchema = Type.Object(
  {
    /** How far the face frame stands in past the inner side, at each side. */
    out: SizeSchema,
    stock: IdSchema,
    /** How wide the uprights and the runner boards are. */
    wide: SizeSchema,
  },
  closed,
);

/** What a place that is there already has of its own. */
export const inPlaceFields = {
  /** What its sides, floor and rear are, in the words of whoever built it. */
  place: NameSchema,
  packing: Type.Optional(PackingSchema),
  /** The space of another piece, mostly a drawer, that it is made to fit; its sizes are given as that one was when it was last held against it. */
  tied: Type.Optional(Type.Object({ piece: IdSchema, space: IdSchema }, closed)),
  /** What is taken out of the place first, such as a post in the middle of a face frame; `carries` what lies on it. */
  out: Type.Optional(
    Type.Array(Type.Object({ what: NameSchema, carries: Type.Optional(Type.Literal(true)) }, closed), { minItems: 1, maxItems: 20 }),
  ),
  /** How far what lies above stands out in front, where it should cover the fronts. */
  cover: Type.Optional(DistanceSchema),
};

/** A place that is there already, such as an old cabinet, a frame or a drawer: nothing is built round it. */
export type InPlace = PieceCommon & { shell: 'in-place' } & Static<TObject<typeof inPlaceFields>>;

declare module '../../piece/spec.js' {
  interface Shells {
    'in-place': InPlace;
  }
}
