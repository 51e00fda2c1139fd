import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema, type Length } from '../length/index.js';
import { IdSchema, NameSchema } from '../project/ids.js';
import { GapRuleSchema, RoundingSchema, type GapRule } from '../run/index.js';
import { PlacementSchema, type Placement } from '../things/index.js';

const closed = { additionalProperties: false } as const;

/** How a shelf or divider meets what it stands between. */
export const FixSchema = Type.Union([Type.Literal('butted'), Type.Literal('housed'), Type.Literal('loose')]);
export type Fix = Static<typeof FixSchema>;

/** A shelf or a divider between two spaces. */
export const DividingMemberSchema = Type.Object(
  {
    id: IdSchema,
    fix: Type.Optional(FixSchema),
    stock: Type.Optional(IdSchema),
    /** Where its lower or left face is held: from the floor, or from the outside left. */
    at: Type.Optional(SizeSchema),
    /** In line with this member of another run. */
    sameAs: Type.Optional(IdSchema),
  },
  closed,
);
export type DividingMember = Static<typeof DividingMemberSchema>;

/** A space of a piece: open, or divided up or across into further spaces. */
export interface Space {
  id: string;
  name?: string;
  rule: GapRule;
  least?: Length;
  greatest?: Length;
  things: Placement[];
  split?: { axis: Axis; members: DividingMember[]; spaces: Space[] };
}

/** The direction in which a space is divided: `up` by shelves, `across` by dividers. */
export type Axis = 'up' | 'across';

export const SpaceSchema = Type.Recursive(
  (Self) =>
    Type.Object(
      {
        id: IdSchema,
        name: Type.Optional(NameSchema),
        rule: GapRuleSchema,
        least: Type.Optional(SizeSchema),
        greatest: Type.Optional(SizeSchema),
        things: Type.Array(PlacementSchema, { maxItems: 200 }),
        split: Type.Optional(
          Type.Object(
            {
              axis: Type.Union([Type.Literal('up'), Type.Literal('across')]),
              members: Type.Array(DividingMemberSchema, { minItems: 1, maxItems: 400 }),
              spaces: Type.Array(Self, { minItems: 2, maxItems: 401 }),
            },
            closed,
          ),
        ),
      },
      closed,
    ),
  { $id: 'Space' },
);

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
  /** The sides run to the floor and a toe board stands back between them; bearers carry the dividers to the floor. */
  Type.Object({ kind: Type.Literal('toe'), height: SizeSchema, setback: DistanceSchema, bearers: Type.Boolean() }, closed),
  /** A frame of its own that the case is set on; bearers in it carry the dividers. */
  Type.Object({ kind: Type.Literal('plinth'), height: SizeSchema, setback: DistanceSchema, bearers: Type.Boolean() }, closed),
]);
export type Base = Static<typeof BaseSchema>;

export const BackSchema = Type.Union([
  Type.Object({ kind: Type.Literal('none') }, closed),
  Type.Object({ kind: Type.Literal('applied') }, closed),
  /** In grooves `depth` deep, `inset` in from the rear edges, cut `slack` small in all on each axis. */
  Type.Object({ kind: Type.Literal('groove'), depth: SizeSchema, inset: DistanceSchema, slack: DistanceSchema }, closed),
  /** In rebates `depth` wide on the rear edges, cut `slack` small in all on each axis. */
  Type.Object({ kind: Type.Literal('rebate'), depth: SizeSchema, slack: DistanceSchema }, closed),
]);
export type Back = Static<typeof BackSchema>;

export const CornerSchema = Type.Union([Type.Literal('between'), Type.Literal('over')]);

/** A case of panels: two sides, top and bottom, back, base, and spaces inside it. */
export const PieceSchema = Type.Object(
  {
    name: NameSchema,
    shell: Type.Literal('panel-case'),
    opening: Type.Optional(IdSchema),
    width: OverallSchema,
    height: OverallSchema,
    depth: OverallSchema,
    base: BaseSchema,
    /** Whether top and bottom go between the sides or over their ends. */
    top: CornerSchema,
    bottom: CornerSchema,
    back: BackSchema,
    stock: Type.Object(
      { sides: IdSchema, shelves: IdSchema, dividers: IdSchema, back: Type.Optional(IdSchema), base: Type.Optional(IdSchema) },
      closed,
    ),
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
    interior: Type.Unsafe<Space>(SpaceSchema),
  },
  closed,
);
export type Piece = Static<typeof PieceSchema>;

/** The letters given to parts so far: a part keeps its letter, and a letter that was given is never given to another. */
export const LettersSchema = Type.Record(Type.String({ maxLength: 200 }), Type.String({ pattern: '^[A-Z]{1,3}$' }));
export type Letters = Static<typeof LettersSchema>;
