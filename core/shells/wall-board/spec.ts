import { Type, type Static, type TObject } from '@sinclair/typebox';
import { IdSchema } from '../../ids/index.js';
import { DistanceSchema, SizeSchema } from '../../length/index.js';
import type { PieceCommon } from '../../piece/index.js';

const closed = { additionalProperties: false } as const;

/** What a row of fins on a wall board has of its own: the board, and the fins that stand out from it. */
export const wallBoardFields = {
  board: Type.Object(
    {
      stock: IdSchema,
      /** How far the board goes on past the fins: beyond the outermost at each end, over them, and under them. */
      bare: Type.Object({ ends: DistanceSchema, above: DistanceSchema, below: DistanceSchema }, closed),
      /** How high over the floor its lower edge is to be, where that is known. */
      above: Type.Optional(SizeSchema),
      /** How far from the left of the wall its left end is; as near as that allows where it is left out. */
      left: Type.Optional(DistanceSchema),
    },
    closed,
  ),
  fins: Type.Object(
    {
      stock: IdSchema,
      /** Their front edges follow the shelves: in steps under each, or aslant from one to the next. */
      front: Type.Optional(Type.Union([Type.Literal('stepped'), Type.Literal('sloped')])),
    },
    closed,
  ),
};

/** Fins and shelves on a board that is screwed to a wall, with no case round them. */
export type WallBoard = PieceCommon & { shell: 'wall-board' } & Static<TObject<typeof wallBoardFields>>;

declare module '../../piece/spec.js' {
  interface Shells {
    'wall-board': WallBoard;
  }
}
