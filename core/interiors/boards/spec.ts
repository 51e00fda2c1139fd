import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../../length/index.js';
import { IdSchema } from '../../ids/index.js';

const closed = { additionalProperties: false } as const;

/** Boards on edge that divide a drawer or a tray in plan, into lanes (`deep`) or compartments (`across`). */
export const BoardsSchema = Type.Object(
  {
    kind: Type.Literal('boards'),
    stock: IdSchema,
    /** How high the boards stand. */
    high: SizeSchema,
    /** A board at both ends too, so that the layout lifts out as one. */
    ends: Type.Boolean(),
    /** What the boards are short of the space in all, so that they press in without force. */
    fit: DistanceSchema,
    /** How deep the boards go into channels of those they meet; zero where they only butt. */
    channel: DistanceSchema,
    glued: Type.Boolean(),
  },
  closed,
);
export type Boards = Static<typeof BoardsSchema>;

declare module '../../piece/space.js' {
  interface Makings {
    boards: Boards;
  }
}
