import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema, mm, sizeFrom } from '../../length/index.js';
import { IdSchema } from '../../ids/index.js';

const closed = { additionalProperties: false } as const;

/** A ring of rails with a deck on it. */
export const LevelSchema = Type.Object(
  {
    rails: Type.Object(
      {
        stock: IdSchema,
        /** How wide the rails are; as high as that where they stand on edge. */
        wide: SizeSchema,
        /** A bar or an angle, mostly of metal, so high, screwed along the inside of those across. */
        bar: Type.Optional(Type.Object({ stock: IdSchema, high: SizeSchema }, closed)),
        /** Laid on their faces rather than on edge. */
        flat: Type.Optional(Type.Literal(true)),
        front: Type.Boolean(),
        rear: Type.Boolean(),
        left: Type.Boolean(),
        right: Type.Boolean(),
      },
      closed,
    ),
    /** A sheet or glued boards on the rails; none for rails alone. */
    deck: Type.Optional(
      Type.Object(
        {
          stock: IdSchema,
          /** Round the posts, with notches so much larger than they are, or over their ends. */
          goes: Type.Union([Type.Literal('round'), Type.Literal('over')]),
          gap: DistanceSchema,
          /** Held by screws in slots, or by buttons, so that solid wood may move across its grain. */
          slides: Type.Optional(Type.Literal(true)),
          /** So much of a sheet from the rear to the front, in the middle of its frame; as deep as that where it is left out. */
          wide: Type.Optional(SizeSchema),
          /** So many slats from the rear to the front in place of a sheet, with equal gaps between. */
          slats: Type.Optional(
            Type.Object(
              {
                wide: SizeSchema,
                count: Type.Integer({ minimum: 2, maximum: 100 }),
                /** So much longer they are cut, to be trimmed flush when they are on. */
                trim: Type.Optional(DistanceSchema),
              },
              closed,
            ),
          ),
        },
        closed,
      ),
    ),
    /** Blocks in its corners, glued to both rails and screwed to the post, where rails go from post to post. */
    corners: Type.Optional(Type.Object({ stock: IdSchema }, closed)),
    /** Plates over the seams of rails that are longer than their stock, on the inside of them. */
    splice: Type.Optional(Type.Object({ stock: IdSchema, long: SizeSchema }, closed)),
    /** Pieces from the rear rail to the front one, at most so far apart. */
    cross: Type.Optional(Type.Object({ most: sizeFrom(mm(20), mm(80)) }, closed)),
  },
  closed,
);
export type Level = Static<typeof LevelSchema>;

/** Levels of rails and decks between posts: the members of the divided space are levels, its parts the gaps between them. */
export const LevelsSchema = Type.Object(
  {
    kind: Type.Literal('levels'),
    /** How all of them are made, but for those that are made otherwise. */
    level: LevelSchema,
    own: Type.Optional(Type.Record(IdSchema, LevelSchema)),
    /** What rolls into one of the spaces: free at each side of it, and how far it may stand out in front. */
    rollsIn: Type.Optional(Type.Object({ space: IdSchema, aside: DistanceSchema, out: DistanceSchema }, closed)),
  },
  closed,
);
export type Levels = Static<typeof LevelsSchema>;

declare module '../../piece/space.js' {
  interface Makings {
    levels: Levels;
  }
}

/** How one level is made. @example levelOf({ level: 'usual', own: { top: 'other' } }, 'top') // 'other' */
export const levelOf = ({ level, own }: Levels, id: string): Level => own?.[id] ?? level;
