import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../length/index.js';
import { IdSchema, NameSchema } from '../project/ids.js';
import { RoundingSchema } from '../run/index.js';
import { FixSchema, spaceSchema, type Space } from './space.js';

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

export const BaseSchema = Type.Union([
  Type.Object({ kind: Type.Literal('none') }, closed),
  /**
   * The sides run to the floor and a toe board stands back between them; bearers carry the dividers to the floor,
   * and one along the rear carries the rear edge of the bottom.
   */
  Type.Object(
    {
      kind: Type.Literal('toe'),
      height: SizeSchema,
      setback: DistanceSchema,
      bearers: Type.Boolean(),
      rear: Type.Optional(Type.Boolean()),
    },
    closed,
  ),
  /** A frame of its own that the case is set on; bearers in it carry the dividers. */
  Type.Object({ kind: Type.Literal('plinth'), height: SizeSchema, setback: DistanceSchema, bearers: Type.Boolean() }, closed),
]);
export type Base = Static<typeof BaseSchema>;

export const BackSchema = Type.Union([
  Type.Object({ kind: Type.Literal('none') }, closed),
  /** Over the rear edges, screwed to the sides, or `allRound`: to top and bottom as well. */
  Type.Object({ kind: Type.Literal('applied'), allRound: Type.Optional(Type.Boolean()) }, closed),
  /** In grooves `depth` deep, `inset` in from the rear edges, cut `slack` small in all on each axis. */
  Type.Object(
    {
      kind: Type.Literal('groove'),
      depth: SizeSchema,
      inset: DistanceSchema,
      slack: DistanceSchema,
      /** Glued into its grooves, so that it keeps the case square; loose in them where it is left out. */
      glued: Type.Optional(Type.Boolean()),
    },
    closed,
  ),
  /** In rebates `depth` wide on the rear edges, cut `slack` small in all on each axis. */
  Type.Object({ kind: Type.Literal('rebate'), depth: SizeSchema, slack: DistanceSchema }, closed),
]);
export type Back = Static<typeof BackSchema>;

export const CornerSchema = Type.Union([Type.Literal('between'), Type.Literal('over')]);

/** What every piece has, whatever its shell is. */
const common = {
  name: NameSchema,
  /** How many of it are made; one where it is left out. */
  times: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
  opening: Type.Optional(IdSchema),
  width: OverallSchema,
  height: OverallSchema,
  depth: OverallSchema,
  /** How shelves meet the sides unless one says otherwise. */
  shelves: Type.Object(
    {
      fix: FixSchema,
      /** How deep a housing goes into each side. */
      housing: SizeSchema,
      /** What a loose shelf is short at each end. */
      looseEnd: DistanceSchema,
      /** How far shelves stand back from the front. */
      setback: DistanceSchema,
    },
    closed,
  ),
  dividers: Type.Object({ fix: Type.Union([Type.Literal('butted'), Type.Literal('housed')]), housing: SizeSchema }, closed),
  /** The front edges: left square, eased, or covered with edging so thick. */
  edges: Type.Object(
    { front: Type.Union([Type.Literal('square'), Type.Literal('eased'), Type.Literal('banded')]), banding: DistanceSchema },
    closed,
  ),
  /** How this piece is brought to the grid, where it differs from the project. */
  rounding: Type.Optional(RoundingSchema),
  fixedToWall: Type.Boolean(),
  /** No one sits, steps or kneels on it, so that low tops and decks are not asked for that. */
  noOneOn: Type.Optional(Type.Boolean()),
};

const interior = (id: string) => Type.Unsafe<Space>(spaceSchema(id));

/** A case of panels: two sides, top and bottom, back, base, and spaces inside it. */
export const PanelCaseSchema = Type.Object(
  {
    ...common,
    shell: Type.Literal('panel-case'),
    interior: interior('Space'),
    base: BaseSchema,
    /** Whether top and bottom go between the sides or over their ends. */
    top: CornerSchema,
    bottom: CornerSchema,
    back: BackSchema,
    stock: Type.Object(
      {
        sides: IdSchema,
        shelves: IdSchema,
        dividers: IdSchema,
        /** Of the sides' stock where they are left out. */
        top: Type.Optional(IdSchema),
        bottom: Type.Optional(IdSchema),
        back: Type.Optional(IdSchema),
        base: Type.Optional(IdSchema),
      },
      closed,
    ),
  },
  closed,
);
export type PanelCase = Static<typeof PanelCaseSchema>;

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

/** A place that is there already, such as an old cabinet, a frame or a drawer: nothing is built round it. */
export const InPlaceSchema = Type.Object(
  {
    ...common,
    shell: Type.Literal('in-place'),
    interior: interior('SpaceInPlace'),
    /** What its sides, floor and rear are, in the words of whoever built it. */
    place: NameSchema,
    packing: Type.Optional(PackingSchema),
    /** How far what lies above stands out in front, where it should cover the fronts. */
    cover: Type.Optional(DistanceSchema),
    stock: Type.Object({ shelves: IdSchema, dividers: IdSchema }, closed),
  },
  closed,
);
export type InPlace = Static<typeof InPlaceSchema>;

/** A piece: a shell and what is inside it. */
export const PieceSchema = Type.Union([PanelCaseSchema, InPlaceSchema]);
export type Piece = PanelCase | InPlace;

/** What an edit may change of the piece itself: any field of any shell but those that say what it is. */
export type PiecePatch = Partial<Omit<PanelCase, 'interior' | 'shell'>> | Partial<Omit<InPlace, 'interior' | 'shell'>>;

/** The letters given to parts so far: a part keeps its letter, and a letter that was given is never given to another. */
export const LettersSchema = Type.Record(Type.String({ maxLength: 200 }), Type.String({ pattern: '^[A-Z]{1,3}$' }));
export type Letters = Static<typeof LettersSchema>;
