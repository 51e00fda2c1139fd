import { Type, type Static, type TObject } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../../length/index.js';
import type { PieceCommon } from '../../piece/index.js';
import { IdSchema } from '../../ids/index.js';
import { DegreesSchema, KilogramsSchema } from '../../measures/index.js';

const closed = { additionalProperties: false } as const;

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
  /** Over the rear edges, screwed to the sides, or `allRound`: to top and bottom as well. It may stop so far over the bottom, to let `air` and cables through. */
  Type.Object({ kind: Type.Literal('applied'), allRound: Type.Optional(Type.Boolean()), air: Type.Optional(SizeSchema) }, closed),
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

export const CornerSchema = Type.Union([
  Type.Literal('between'),
  Type.Literal('over'),
  Type.Literal('rebated'),
  Type.Literal('housed'),
  Type.Literal('mitred'),
]);
export type Corner = Static<typeof CornerSchema>;

/** How high over the floor its lower edge is to hang, where that is known. */
const above = Type.Optional(SizeSchema);

/** What a case hangs on the wall by, in place of standing. */
export const HungSchema = Type.Union([
  /**
   * A board so wide, ripped at 45° down its middle: one half on the wall, the other on the case; a bumper of it below.
   * `notched` it goes through notches in the rear edges of the sides under the top, which then reach the wall themselves.
   */
  Type.Object(
    { cleat: Type.Object({ stock: IdSchema, wide: SizeSchema, notched: Type.Optional(Type.Literal(true)) }, closed), above },
    closed,
  ),
  /** A rail so high between the sides, under the top and behind the back, that is screwed to the wall. */
  Type.Object({ rail: Type.Object({ stock: IdSchema, wide: SizeSchema }, closed), above }, closed),
  /** Keyhole plates let into the rear edges of the sides, so far under their upper ends; what one is rated for, kg, where that is known. */
  Type.Object(
    {
      keyholes: Type.Object({ under: SizeSchema, rated: Type.Optional(KilogramsSchema({ exclusiveMinimum: 0, maximum: 1000 })) }, closed),
      above,
    },
    closed,
  ),
]);
export type Hung = Static<typeof HungSchema>;
export type HungByCleat = Extract<Hung, { cleat: unknown }>;

const CornerCutSchema = Type.Object({ is: Type.Union([Type.Literal('round'), Type.Literal('cut')]), by: SizeSchema }, closed);

/** What the sides are cut to, where they are no rectangles. */
export const OutlineSchema = Type.Object(
  {
    /** Corners that are rounded, or cut off. */
    corners: Type.Optional(
      Type.Object(
        {
          frontTop: Type.Optional(CornerCutSchema),
          rearTop: Type.Optional(CornerCutSchema),
          frontBottom: Type.Optional(CornerCutSchema),
          rearBottom: Type.Optional(CornerCutSchema),
        },
        closed,
      ),
    ),
    /** Their front edges follow the shelves: in steps under each, or aslant from one to the next. */
    front: Type.Optional(Type.Union([Type.Literal('stepped'), Type.Literal('sloped')])),
  },
  closed,
);
export type SideOutline = Static<typeof OutlineSchema>;

/** How far all that is between the sides stands in from their edges: for trim on these, or for corners that are rounded. */
export const InsetSchema = Type.Object(
  { front: DistanceSchema, rear: DistanceSchema, top: DistanceSchema, bottom: DistanceSchema },
  closed,
);
export type Inset = Static<typeof InsetSchema>;

/** A top that opens: between the sides, on ledges along them, or over their ends. */
export const LidSchema = Type.Object(
  {
    how: Type.Union([Type.Literal('hinged'), Type.Literal('lift-off')]),
    /** Free at each side of it, and at its rear edge. */
    slack: DistanceSchema,
    /** Strips under it along the sides, or inside them under one that goes over, so high. */
    ledge: Type.Object({ stock: IdSchema, wide: SizeSchema }, closed),
    /** A rail along the back that it is hinged to, so that it clears what is behind it; so high. */
    packed: Type.Optional(Type.Object({ stock: IdSchema, wide: SizeSchema }, closed)),
    /** How far it opens, degrees. */
    opens: Type.Optional(DegreesSchema({ minimum: 30, maximum: 120 })),
    /** Held open by a stay. */
    stay: Type.Optional(Type.Literal(true)),
  },
  closed,
);
export type Lid = Static<typeof LidSchema>;

/** What a case of panels has of its own: two sides, top and bottom, back and base. */
export const panelCaseFields = {
  base: BaseSchema,
  /** Whether top and bottom go between the sides, over their ends, into rebates or housings of them, or are mitred with them. */
  top: CornerSchema,
  bottom: CornerSchema,
  /** How far they go into the sides where these are rebated or housed; half of these where it is left out. */
  rebate: Type.Optional(SizeSchema),
  back: BackSchema,
  /** The top is only so deep, from the rear; as deep as what is under it where it is left out. */
  topDeep: Type.Optional(SizeSchema),
  /** How far a top that goes over the sides stands out past them, and in front of them. */
  overhang: Type.Optional(Type.Object({ sides: DistanceSchema, front: DistanceSchema }, closed)),
  /** A bar so high across the front of a space, that is lifted out; free at each end by `slack`. */
  bar: Type.Optional(Type.Object({ space: IdSchema, stock: IdSchema, wide: SizeSchema, slack: DistanceSchema }, closed)),
  /** Round holes in the back so far across, for the cables of devices. */
  cables: Type.Optional(SizeSchema),
  /** Strips so high in the corners where top and bottom end between the sides, glued there in place of screws through these. */
  blocks: Type.Optional(Type.Object({ stock: IdSchema, wide: SizeSchema }, closed)),
  outline: Type.Optional(OutlineSchema),
  inset: Type.Optional(InsetSchema),
  lid: Type.Optional(LidSchema),
  hung: Type.Optional(HungSchema),
  stock: Type.Object(
    {
      sides: IdSchema,
      /** Of the sides' stock where they are left out. */
      top: Type.Optional(IdSchema),
      bottom: Type.Optional(IdSchema),
      back: Type.Optional(IdSchema),
      base: Type.Optional(IdSchema),
    },
    closed,
  ),
};

/** A case of panels: two sides, top and bottom, back, base, and spaces inside it. */
export type PanelCase = PieceCommon & { shell: 'panel-case' } & Static<TObject<typeof panelCaseFields>>;

declare module '../../piece/spec.js' {
  interface Shells {
    'panel-case': PanelCase;
  }
}
