import { Type, type Static, type TObject } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../../length/index.js';
import { IdSchema } from '../../ids/index.js';
import { LevelSchema } from '../../interiors/levels/index.js';
import { PlacementSchema } from '../../things/index.js';
import type { PieceCommon } from '../../piece/index.js';

const closed = { additionalProperties: false } as const;

/** A sheet over the outside of a frame, that keeps it square. */
const SheetSchema = Type.Object({ stock: IdSchema }, closed);

/** What a frame has of its own: posts, how rails meet them, its highest level, and what keeps it square. */
export const frameFields = {
  posts: Type.Object(
    {
      stock: IdSchema,
      /** The other side of their section, beside the thickness of their stock. */
      wide: SizeSchema,
      /** Which way that lies. */
      turned: Type.Union([Type.Literal('across'), Type.Literal('deep')]),
      /** The left faces of more pairs of posts, from the outside left. */
      middles: Type.Optional(Type.Array(SizeSchema, { maxItems: 20 })),
    },
    closed,
  ),
  /** Rails between posts, lapped on the outside of them, or over inner posts while outer ones only tie. */
  joined: Type.Union([Type.Literal('between'), Type.Literal('lapped'), Type.Literal('end-on')]),
  /** Which rails of a ring run through. */
  through: Type.Union([Type.Literal('across'), Type.Literal('deep')]),
  top: Type.Object(
    {
      level: LevelSchema,
      /** What stands on it, and how much larger in all it is than that where it decides the size. */
      things: Type.Optional(Type.Array(PlacementSchema, { maxItems: 200 })),
      margin: Type.Optional(DistanceSchema),
      /** How far a deck that goes over the posts stands out past the frame. */
      over: Type.Object({ front: DistanceSchema, rear: DistanceSchema, left: DistanceSchema, right: DistanceSchema }, closed),
    },
    closed,
  ),
  /** Sheets on its outside: at the rear against leaning sideways, at both ends against leaning to the front or the rear. */
  sheets: Type.Optional(Type.Object({ rear: Type.Optional(SheetSchema), ends: Type.Optional(SheetSchema) }, closed)),
};

/** Posts with rings of rails at levels: the base of most furniture that is no box. */
export type Frame = PieceCommon & { shell: 'frame' } & Static<TObject<typeof frameFields>>;

declare module '../../piece/spec.js' {
  interface Shells {
    frame: Frame;
  }
}
