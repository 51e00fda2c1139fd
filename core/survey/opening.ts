import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../length/index.js';
import { IdSchema, NameSchema } from '../ids/index.js';

const closed = { additionalProperties: false } as const;

/** One tape reading and where it was taken, such as "top" or "left"; `assumed` where no tape was there yet and the value only stands in. */
export const ReadingSchema = Type.Object({ place: NameSchema, value: SizeSchema, assumed: Type.Optional(Type.Literal(true)) }, closed);
export type Reading = Static<typeof ReadingSchema>;

/**
 * Something in the way inside an opening, as a box: `x` from the left, `y` from the
 * floor, `z` out from the back wall.
 */
export const ObstacleSchema = Type.Object(
  {
    id: IdSchema,
    kind: Type.Union(['skirting', 'pipe', 'beam', 'other'].map((k) => Type.Literal(k as 'skirting' | 'pipe' | 'beam' | 'other'))),
    name: NameSchema,
    x: DistanceSchema,
    y: DistanceSchema,
    z: DistanceSchema,
    width: SizeSchema,
    height: SizeSchema,
    depth: SizeSchema,
  },
  closed,
);
export type Obstacle = Static<typeof ObstacleSchema>;

/** What was measured of a place that a piece goes into. */
export const OpeningSchema = Type.Object(
  {
    name: NameSchema,
    widths: Type.Array(ReadingSchema, { minItems: 1, maxItems: 20 }),
    heights: Type.Array(ReadingSchema, { minItems: 1, maxItems: 20 }),
    depths: Type.Array(ReadingSchema, { minItems: 1, maxItems: 20 }),
    /** Bottom left to top right, and bottom right to top left; each once it was measured. */
    diagonals: Type.Optional(Type.Object({ rising: Type.Optional(SizeSchema), falling: Type.Optional(SizeSchema) }, closed)),
    obstacles: Type.Array(ObstacleSchema, { maxItems: 50 }),
    /** The middles of the studs that were found in the wall behind it, from its left. */
    studs: Type.Optional(Type.Array(SizeSchema, { maxItems: 60 })),
    /** What is left free at each side, above, and behind. */
    slack: Type.Object({ side: DistanceSchema, above: DistanceSchema, behind: DistanceSchema }, closed),
    /** The height of the room where a piece can be stood up, and the door it comes through. */
    ceiling: Type.Optional(SizeSchema),
    /** What is free in front of it, for doors, drawers and the person who opens them. */
    inFront: Type.Optional(SizeSchema),
    door: Type.Optional(Type.Object({ width: SizeSchema, height: SizeSchema }, closed)),
  },
  closed,
);
export type Opening = Static<typeof OpeningSchema>;
