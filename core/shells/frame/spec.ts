import { Type, type Static, type TObject } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../../length/index.js';
import { IdSchema } from '../../ids/index.js';
import { LevelSchema } from '../../interiors/levels/index.js';
import { PlacementSchema } from '../../things/index.js';
import type { PieceCommon } from '../../piece/index.js';
import { DegreesSchema, KilogramsSchema } from '../../measures/index.js';

const closed = { additionalProperties: false } as const;

/** A sheet over the outside of a frame, that keeps it square. */
const SheetSchema = Type.Object({ stock: IdSchema }, closed);

/** What posts stand on: feet that are set to an uneven floor, or castors. */
export const FeetSchema = Type.Object(
  {
    are: Type.Union([Type.Literal('feet'), Type.Literal('castors')]),
    /** How high each is, from the floor to the post. */
    high: SizeSchema,
    /** What one is rated for, kg; left out where that is not known. */
    rated: Type.Optional(KilogramsSchema({ exclusiveMinimum: 0, maximum: 5000 })),
  },
  closed,
);
export type Feet = Static<typeof FeetSchema>;

/** Strips from corner to corner of an opening, at both ends or along the rear: one, or two that cross; or gussets in its upper corners. */
export const BraceSchema = Type.Object(
  {
    at: Type.Union([Type.Literal('ends'), Type.Literal('rear')]),
    is: Type.Union([Type.Literal('diagonal'), Type.Literal('cross'), Type.Literal('gusset')]),
    /** The space that says how high it is. */
    space: IdSchema,
    stock: IdSchema,
    /** How wide a strip is, or how far a gusset reaches along post and rail. */
    wide: SizeSchema,
  },
  closed,
);
export type Brace = Static<typeof BraceSchema>;

/** What is drawn out of a frame on legs of its own, with every other slat of the deck. */
export const PullOutSchema = Type.Object(
  {
    /** Across its front, over the ends of its slats. */
    board: Type.Object({ stock: IdSchema, wide: SizeSchema }, closed),
    /** Behind that, and the rail on them that its slats lie on. */
    legs: Type.Object({ stock: IdSchema, wide: SizeSchema, count: Type.Integer({ minimum: 2, maximum: 20 }) }, closed),
    /** How much of its slats is still between the others when it is drawn out. */
    overlap: SizeSchema,
    /** What is left free behind its slats when it is shut. */
    behind: DistanceSchema,
    /** So many of its slats guide it, with gaps so small beside them. */
    guides: Type.Object({ count: Type.Integer({ minimum: 0, maximum: 20 }), gap: DistanceSchema }, closed),
    /** A hole for hands in its board. */
    handHold: Type.Optional(Type.Literal(true)),
    /** Its slats are hinged to its board, to be lifted from behind so far, degrees. */
    hinged: Type.Optional(Type.Object({ opens: DegreesSchema({ minimum: 10, maximum: 100 }) }, closed)),
    feet: Type.Optional(FeetSchema),
  },
  closed,
);
export type PullOut = Static<typeof PullOutSchema>;

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
      /** How deep rails are let in, lapped on them or between them, and glued; they lie on the shoulders of what is cut. */
      letIn: Type.Optional(SizeSchema),
    },
    closed,
  ),
  /** Rails between posts, lapped on the outside of them, or over inner posts while outer ones only tie. */
  joined: Type.Union([Type.Literal('between'), Type.Literal('lapped'), Type.Literal('end-on')]),
  /** What holds rails to posts, where they do not lie on them: screws where it is left out. */
  held: Type.Optional(Type.Literal('bolts')),
  /** Which rails of a ring run through. */
  through: Type.Union([Type.Literal('across'), Type.Literal('deep')]),
  top: Type.Object(
    {
      level: LevelSchema,
      /** What stands on it, and how much larger in all it is than that where it decides the size. */
      things: Type.Optional(Type.Array(PlacementSchema, { maxItems: 200 })),
      margin: Type.Optional(DistanceSchema),
      /** So many people lie, sit or stand on it at once. */
      people: Type.Optional(Type.Integer({ minimum: 1, maximum: 20 })),
      /** How far a deck that goes over the posts stands out past the frame. */
      over: Type.Object({ front: DistanceSchema, rear: DistanceSchema, left: DistanceSchema, right: DistanceSchema }, closed),
    },
    closed,
  ),
  /** What its posts stand on; the floor where it is left out. */
  feet: Type.Optional(FeetSchema),
  /** What is drawn out of it, where its deck is of slats. */
  pullOut: Type.Optional(PullOutSchema),
  braces: Type.Optional(Type.Array(BraceSchema, { maxItems: 20 })),
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
