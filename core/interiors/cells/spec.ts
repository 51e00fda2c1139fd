import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../../length/index.js';
import { IdSchema, NameSchema } from '../../ids/index.js';
import { DegreesSchema } from '../../measures/index.js';

const closed = { additionalProperties: false } as const;

/** A rectangle that cells keep clear of, from the lower left of the space. */
export const BlockedSchema = Type.Object(
  { name: NameSchema, x: DistanceSchema, y: DistanceSchema, width: SizeSchema, height: SizeSchema },
  closed,
);

const slope = {
  /** Degrees from level. */
  tilt: DegreesSchema({ exclusiveMinimum: 0, maximum: 45 }),
  /** How long the things are. */
  long: SizeSchema,
};

/** Cells that are tilted to show what lies in them: a row from below, or a column from the left, each from 1. */
export const TiltedSchema = Type.Union([
  Type.Object({ row: Type.Integer({ minimum: 1, maximum: 400 }), ...slope }, closed),
  Type.Object({ column: Type.Integer({ minimum: 1, maximum: 400 }), ...slope }, closed),
]);

/** Cells for equal things, at a pitch, between ladders of uprights and supports, or half-lapped boards. */
export const CellsSchema = Type.Object(
  {
    kind: Type.Literal('cells'),
    /** The thing that lies in each cell. */
    thing: IdSchema,
    /** What stays free round it in a cell. */
    free: DistanceSchema,
    make: Type.Union([
      /** Uprights with supports between them. */
      Type.Object(
        {
          kind: Type.Literal('ladders'),
          /** One as deep as so much, or with `pair` one at the front and one at the rear of what lies on the supports. */
          upright: Type.Object({ stock: IdSchema, deep: SizeSchema, pair: Type.Optional(Type.Literal(true)) }, closed),
          support: Type.Object(
            {
              stock: IdSchema,
              long: SizeSchema,
              /** As long as what lies on them is deep, and not `long`. */
              asThing: Type.Optional(Type.Literal(true)),
              wide: SizeSchema,
              spares: Type.Integer({ minimum: 0, maximum: 1000 }),
            },
            closed,
          ),
          /** Built as so many sections that stand beside each other, each with uprights at both its ends; one where it is left out. */
          sections: Type.Optional(Type.Integer({ minimum: 1, maximum: 20 })),
        },
        closed,
      ),
      /** Boards across and up, half-lapped into each other. */
      Type.Object({ kind: Type.Literal('half-lapped'), stock: IdSchema }, closed),
    ]),
    blocked: Type.Array(BlockedSchema, { maxItems: 30 }),
    features: Type.Array(TiltedSchema, { maxItems: 30 }),
  },
  closed,
);
export type Cells = Static<typeof CellsSchema>;
export type Blocked = Static<typeof BlockedSchema>;
export type Tilted = Static<typeof TiltedSchema>;

declare module '../../piece/space.js' {
  interface Fillings {
    cells: Cells;
  }
}
