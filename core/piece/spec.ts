import { Type, type Static, type TObject } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../length/index.js';
import { IdSchema, NameSchema } from '../ids/index.js';
import { RoundingSchema } from '../run/index.js';
import { HOLD_WAYS, KEEP_WAYS, WALL_WAYS } from './joint.js';
import { LineLoadSchema, type Space } from './space.js';

const closed = { additionalProperties: false } as const;

/** What decides one overall size of a piece. */
export const OverallSchema = Type.Union([
  /** As large as the opening lets it be. */
  Type.Object({ from: Type.Literal('opening') }, closed),
  /** As large as what it holds asks for. */
  Type.Object({ from: Type.Literal('contents') }, closed),
  /** Given, of the outside, the clear inside, or (depth) the sides without the back. */
  Type.Object(
    {
      from: Type.Literal('given'),
      size: SizeSchema,
      of: Type.Union([Type.Literal('overall'), Type.Literal('inside'), Type.Literal('sides')]),
    },
    closed,
  ),
  /** As large as what it holds asks for, but within bounds. */
  Type.Object({ from: Type.Literal('bounded'), least: Type.Optional(SizeSchema), greatest: Type.Optional(SizeSchema) }, closed),
]);
export type Overall = Static<typeof OverallSchema>;

/** What every piece has, whatever its shell is. */
export const pieceFields = {
  name: NameSchema,
  /** How many of it are made; one where it is left out. */
  times: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
  opening: Type.Optional(IdSchema),
  width: OverallSchema,
  height: OverallSchema,
  depth: OverallSchema,
  /** The front edges: left square, eased, or covered with edging so thick. */
  edges: Type.Object(
    { front: Type.Union([Type.Literal('square'), Type.Literal('eased'), Type.Literal('banded')]), banding: DistanceSchema },
    closed,
  ),
  /** How this piece is brought to the grid, where it differs from the project. */
  rounding: Type.Optional(RoundingSchema),
  fixedToWall: Type.Boolean(),
  /** Who uses it, and how. */
  usedBy: Type.Optional(
    Type.Object(
      {
        person: IdSchema,
        how: Type.Union([Type.Literal('stands at'), Type.Literal('sits at'), Type.Literal('sits on')]),
        /** What is free over the floor where they sit, such as under a slope. */
        headroom: Type.Optional(SizeSchema),
      },
      closed,
    ),
  ),
  /** No one sits, steps or kneels on it, so that low tops and decks are not asked for that. */
  noOneOn: Type.Optional(Type.Boolean()),
  /** What its shelves and drawers are taken to hold where nothing is entered: books, or stores of a home where it is left out. */
  forBooks: Type.Optional(Type.Boolean()),
  /** What stands on each of its shelves and in each drawer where nothing else is entered, kg on a metre. */
  shelfLoad: Type.Optional(LineLoadSchema),
  /** How members are held, or kept where they lie, by two sorts of members (`deck on rail`) or by two members; what is usual where it is left out. */
  fastened: Type.Optional(
    Type.Record(
      Type.String({ maxLength: 200 }),
      Type.Union([...new Set([...KEEP_WAYS, ...HOLD_WAYS, ...WALL_WAYS])].map((way) => Type.Literal(way))),
    ),
  ),
  /** No head of a screw is to be seen from its left, right, front or top. */
  noHeads: Type.Optional(Type.Boolean()),
};

/** What kinds of interiors say of a piece as a whole: each adds its own fields to this, where it is defined. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export interface OfInteriors {}

/** The clear inside of a piece, and what the fields of every kind of shell have in common. */
export type PieceCommon = Static<TObject<typeof pieceFields>> & OfInteriors & { interior: Space };

/** A stock that a piece itself is made of: what for, where it says so, and what makes it of another. */
export interface StockUse {
  readonly use: string;
  readonly where: string;
  readonly id: string;
  readonly with: (id: string) => PiecePatch;
}

/** The kinds of shells by their names: each adds its own spec to this, where it is defined. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export interface Shells {}

/** A piece: a shell and what is inside it. */
export type Piece = Shells[keyof Shells];

type PatchOf<P> = P extends unknown ? Partial<Omit<P, 'interior' | 'shell'>> : never;

/** What an edit may change of the piece itself: any field of any shell but those that say what it is. */
export type PiecePatch = PatchOf<Piece>;

/** The letters given to parts so far: a part keeps its letter, and a letter that was given is never given to another. */
export const LettersSchema = Type.Record(Type.String({ maxLength: 200 }), Type.String({ pattern: '^[A-Z]{1,3}$' }));
export type Letters = Static<typeof LettersSchema>;
