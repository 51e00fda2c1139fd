import { Type, type Static, type TSchema } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema, type Length } from '../length/index.js';
import { IdSchema, NameSchema } from '../ids/index.js';
import { GapRuleSchema, type GapRule } from '../run/index.js';
import { PlacementSchema, type Placement } from '../things/index.js';

const closed = { additionalProperties: false } as const;

/** How a shelf or divider meets what it stands between. */
export const FixSchema = Type.Union([Type.Literal('butted'), Type.Literal('housed'), Type.Literal('loose')]);
export type Fix = Static<typeof FixSchema>;

/** How two pieces of wood are held to each other along their length. */
export const HeldSchema = Type.Union([Type.Literal('glued'), Type.Literal('screwed')]);
export type Held = Static<typeof HeldSchema>;

/** A strip on edge along a shelf, that stiffens it. */
export const StripSchema = Type.Object(
  {
    stock: IdSchema,
    high: SizeSchema,
    at: Type.Union([Type.Literal('front'), Type.Literal('back'), Type.Literal('both')]),
    /** Under the shelf, or against its edge with the upper faces flush. */
    top: Type.Union([Type.Literal('under'), Type.Literal('flush')]),
    held: HeldSchema,
  },
  closed,
);
export type Strip = Static<typeof StripSchema>;

/** What lies between two parts of a divided space: a shelf, a divider, a slat, a board, or nothing but room. */
export const DividingMemberSchema = Type.Object(
  {
    id: IdSchema,
    fix: Type.Optional(FixSchema),
    stock: Type.Optional(IdSchema),
    /** A rail along the front in place of a panel, so high. */
    rail: Type.Optional(SizeSchema),
    /** Nothing but so much room. */
    room: Type.Optional(DistanceSchema),
    /** A shelf with strips along its edges, and one of two layers held to each other. */
    strip: Type.Optional(StripSchema),
    doubled: Type.Optional(HeldSchema),
    /** How deep a shelf is from its rear, where it is not as deep as the others. */
    deep: Type.Optional(SizeSchema),
    /** A shelf held to the back of its case along its rear edge: glued to it, or screwed through it into studs. */
    toBack: Type.Optional(HeldSchema),
    /** Where its lower, left or rear face is held: from the floor, the outside left, or the rear. */
    at: Type.Optional(SizeSchema),
    /** In line with this member of another run. */
    sameAs: Type.Optional(IdSchema),
  },
  closed,
);
export type DividingMember = Static<typeof DividingMemberSchema>;

/** The direction in which a space is divided: `up`, `across`, or `deep` from the rear to the front. */
export type Axis = 'up' | 'across' | 'deep';

/** The kinds of divided spaces by their names, and of what fills a space whole: each adds its own to these, where it is defined. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export interface Makings {}
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export interface Fillings {}

/** What the parts of a divided space are, and what lies between them; panels where it is left out. */
export type Making = Makings[keyof Makings];

/** What fills a space as a whole. */
export type Filling = Fillings[keyof Fillings];

/** A divided space: members between parts, in order from the datum. */
export interface Split {
  axis: Axis;
  members: DividingMember[];
  spaces: Space[];
  making?: Making;
}

/** A load along a shelf, kg on a metre. */
export const LineLoadSchema = Type.Number({ minimum: 0, maximum: 2000, description: 'kg on a metre' });

/** A space of a piece: open, divided into further spaces, or filled as a whole. */
export interface Space {
  id: string;
  name?: string;
  rule: GapRule;
  least?: Length;
  greatest?: Length;
  /** What stands on what is under it, kg on a metre of its width, besides its things. */
  load?: number;
  things: Placement[];
  split?: Split;
  filling?: Filling;
}

/**
 * The schema of a space and all that is in it.
 * @param id under which it refers to itself, and others to it
 * @param kinds what a space may be divided by, and filled with
 */
export const spaceSchema = (id: string, kinds: { readonly makings: readonly TSchema[]; readonly fillings: readonly TSchema[] }) =>
  Type.Recursive(
    (Self) =>
      Type.Object(
        {
          id: IdSchema,
          name: Type.Optional(NameSchema),
          rule: GapRuleSchema,
          least: Type.Optional(SizeSchema),
          greatest: Type.Optional(SizeSchema),
          load: Type.Optional(LineLoadSchema),
          things: Type.Array(PlacementSchema, { maxItems: 200 }),
          split: Type.Optional(
            Type.Object(
              {
                axis: Type.Union([Type.Literal('up'), Type.Literal('across'), Type.Literal('deep')]),
                members: Type.Array(DividingMemberSchema, { maxItems: 400 }),
                spaces: Type.Array(Self, { minItems: 1, maxItems: 401 }),
                making: Type.Optional(Type.Union([...kinds.makings])),
              },
              closed,
            ),
          ),
          filling: Type.Optional(Type.Union([...kinds.fillings])),
        },
        closed,
      ),
    { $id: id },
  );
