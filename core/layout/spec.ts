import { Type, type Static } from '@sinclair/typebox';
import { IdSchema, NameSchema } from '../ids/index.js';
import { DistanceSchema, SizeSchema } from '../length/index.js';

const closed = { additionalProperties: false } as const;
const whole = Type.Integer({ minimum: 0, maximum: 100_000 });
/** Which blank, sheet or cut is meant; made by Ruvok and never taken apart. */
const KeySchema = Type.String({ minLength: 1, maxLength: 300 });

const rect = { x: DistanceSchema, y: DistanceSchema, length: SizeSchema, width: SizeSchema };

/** A piece of a sheet that was begun: a part, something left, or cut in two. */
const SawnSchema = Type.Recursive(
  (Sawn) =>
    Type.Union([
      Type.Object({ ...rect, kind: Type.Literal('part'), id: KeySchema, turned: Type.Boolean() }, closed),
      Type.Object({ ...rect, kind: Type.Literal('left'), flaw: Type.Optional(Type.Literal(true)) }, closed),
      Type.Object(
        {
          ...rect,
          kind: Type.Literal('cut'),
          way: Type.Union([Type.Literal('rip'), Type.Literal('crosscut')]),
          at: SizeSchema,
          near: Sawn,
          far: Type.Union([Sawn, Type.Null()]),
        },
        closed,
      ),
    ]),
  { $id: 'Sawn' },
);

const whereSheet = {
  sheet: KeySchema,
  copy: whole,
  length: SizeSchema,
  width: SizeSchema,
  trim: Type.Object({ ends: DistanceSchema, edges: DistanceSchema }, closed),
  sawn: SawnSchema,
};

/** Layouts as they are sent to be printed: each stock with its sheets and what is written on each part. */
export const ToPrintSchema = Type.Object(
  {
    title: NameSchema,
    stocks: Type.Array(
      Type.Object(
        {
          name: NameSchema,
          form: Type.Union([Type.Literal('sheet'), Type.Literal('board')]),
          sheets: Type.Array(Type.Object(whereSheet, closed), { maxItems: 500 }),
          marks: Type.Record(KeySchema, Type.String({ maxLength: 40 })),
          /** What is done before a cut, by the key of the cut. */
          before: Type.Optional(Type.Record(KeySchema, Type.String({ maxLength: 2000 }))),
        },
        closed,
      ),
      { minItems: 1, maxItems: 60 },
    ),
  },
  closed,
);
export type ToPrint = Static<typeof ToPrintSchema>;

/** A sheet that was begun: it stays as it was laid out. */
const BegunSchema = Type.Object(
  {
    stock: IdSchema,
    ...whereSheet,
    /** The cuts that are made, by their keys. */
    done: Type.Array(KeySchema, { maxItems: 5000 }),
    /** It is taken off what is on hand already, and its rests were kept. */
    booked: Type.Optional(Type.Boolean()),
    /** The parts of it that went wrong: they are cut again elsewhere. */
    spoiled: Type.Optional(Type.Array(KeySchema, { maxItems: 1000 })),
  },
  closed,
);
export type Begun = Static<typeof BegunSchema>;

const FirstSchema = Type.Union([Type.Literal('either'), Type.Literal('rips'), Type.Literal('crosscuts')]);

/** What is cut together: the parts of which pieces, and what a person decided about where they lie. */
export const CuttingSchema = Type.Object(
  {
    name: NameSchema,
    pieces: Type.Array(IdSchema, { minItems: 1, maxItems: 200 }),
    first: FirstSchema,
    /** Parts that stay where a person put them. */
    pins: Type.Array(
      Type.Object(
        { part: KeySchema, stock: IdSchema, sheet: KeySchema, copy: whole, x: DistanceSchema, y: DistanceSchema, turned: Type.Boolean() },
        closed,
      ),
      { maxItems: 2000 },
    ),
    /** Parts that may lie across the grain. */
    turns: Type.Array(KeySchema, { maxItems: 2000 }),
    begun: Type.Array(BegunSchema, { maxItems: 500 }),
    /** What is on hand and kept for this, so that nothing else is laid out on it. */
    reserved: Type.Optional(
      Type.Array(Type.Object({ stock: IdSchema, sheet: KeySchema, count: Type.Integer({ minimum: 1, maximum: 10_000 }) }, closed), {
        maxItems: 1000,
      }),
    ),
    /** Fronts come from one strip in their order, so that the grain runs on over them. */
    matched: Type.Optional(Type.Boolean()),
    /** So long is a piece that is cut of each stock to try settings on; none where it is left out. */
    testLong: Type.Optional(SizeSchema),
    /** What it may cost, in the project's money. */
    budget: Type.Optional(Type.Number({ minimum: 0, maximum: 1e7 })),
  },
  closed,
);
export type Cutting = Static<typeof CuttingSchema>;

/**
 * What is cut together before anyone decided anything: the parts of one piece.
 * @example cuttingOf({ id: 'case', name: 'Case' }).pieces.length // 1
 */
export function cuttingOf(piece: { readonly id: string; readonly name: string }): Cutting {
  return { name: piece.name, pieces: [piece.id], first: 'either', pins: [], turns: [], begun: [] };
}
