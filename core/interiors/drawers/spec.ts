import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema } from '../../length/index.js';
import { IdSchema, NameSchema } from '../../ids/index.js';

const closed = { additionalProperties: false } as const;

/** What is seen of a drawer, and what decides the run of its front. */
export const FrontSchema = Type.Union([
  /** Between what it stands in, with so much left free all round, `setback` behind the face. */
  Type.Object(
    {
      kind: Type.Literal('inset'),
      between: DistanceSchema,
      below: DistanceSchema,
      above: DistanceSchema,
      sides: DistanceSchema,
      setback: DistanceSchema,
    },
    closed,
  ),
  /** In front of what it stands in, covering so much of it on each side. */
  Type.Object(
    {
      kind: Type.Literal('overlay'),
      between: DistanceSchema,
      over: Type.Object({ left: DistanceSchema, right: DistanceSchema, below: DistanceSchema, above: DistanceSchema }, closed),
    },
    closed,
  ),
  /** In front of its own opening, larger than it by the lip all round. */
  Type.Object({ kind: Type.Literal('lipped'), lip: SizeSchema, between: DistanceSchema }, closed),
  /** None: the box itself is seen. */
  Type.Object({ kind: Type.Literal('none'), between: DistanceSchema, below: DistanceSchema, above: DistanceSchema }, closed),
]);
export type Front = Static<typeof FrontSchema>;

/** What a drawer runs on. */
export const RunnerSchema = Type.Union([
  /** A pair of bought slides; the length is a choice out of the slide's series. */
  Type.Object({ kind: Type.Literal('slide'), slide: IdSchema, length: SizeSchema }, closed),
  /** Wooden runners under the sides, with so much free at each side. */
  Type.Object({ kind: Type.Literal('wooden'), side: DistanceSchema, stock: IdSchema, wide: SizeSchema }, closed),
  /** The opening itself. */
  Type.Object({ kind: Type.Literal('plain'), side: DistanceSchema }, closed),
]);
export type Runner = Static<typeof RunnerSchema>;

/** How the bottom of a drawer box is held. */
export const BoxBottomSchema = Type.Union([
  /**
   * In grooves `depth` deep, `up` from the lower edge, cut `slack` small in all on each axis. `slidIn` goes in from
   * behind, under a back that is so much lower.
   */
  Type.Object(
    {
      kind: Type.Literal('groove'),
      depth: SizeSchema,
      up: SizeSchema,
      slack: DistanceSchema,
      slidIn: Type.Optional(Type.Literal(true)),
    },
    closed,
  ),
  /** From below in rebates `depth` wide, cut `slack` small in all on each axis. */
  Type.Object({ kind: Type.Literal('rebate'), depth: SizeSchema, slack: DistanceSchema }, closed),
  /** Under the box. */
  Type.Object({ kind: Type.Literal('applied') }, closed),
  /** A tray: strips so high stand round on the base and take the screws of the runners. */
  Type.Object({ kind: Type.Literal('tray'), strip: SizeSchema }, closed),
]);
export type BoxBottom = Static<typeof BoxBottomSchema>;

/** Which way round the corners of a box go. */
export const BoxOrderSchema = Type.Union([Type.Literal('ends-between'), Type.Literal('sides-between')]);
/** The three usual ways to join a box. */
export const BoxJoinSchema = Type.Union([Type.Literal('pocket'), Type.Literal('nailed'), Type.Literal('screwed')]);
export type BoxJoin = Static<typeof BoxJoinSchema>;

/** How the box of a drawer is made. */
export const DrawerBoxSchema = Type.Object(
  {
    order: BoxOrderSchema,
    join: BoxJoinSchema,
    bottom: BoxBottomSchema,
    /** A strip so wide under the middle of the bottom, from its front to its back. */
    muntin: Type.Optional(Type.Object({ stock: IdSchema, wide: SizeSchema }, closed)),
  },
  closed,
);

/** A drawer of a bank whose box is made otherwise than those of the others. */
export const OtherBoxSchema = Type.Object(
  { drawer: IdSchema, box: DrawerBoxSchema, stock: Type.Object({ box: IdSchema, bottom: IdSchema }, closed) },
  closed,
);
export type OtherBox = Static<typeof OtherBoxSchema>;

/** A bank of drawers: the parts of the divided space are the drawers, what lies between them is left free. */
export const DrawersSchema = Type.Object(
  {
    kind: Type.Literal('drawers'),
    /** Which way they pull out. */
    face: Type.Union([Type.Literal('front'), Type.Literal('rear')]),
    front: FrontSchema,
    /** So much thicker or longer the fronts are cut, to be planed to fit. */
    oversize: DistanceSchema,
    runner: RunnerSchema,
    /** What the box is lower than its front, or than its opening where it has none. */
    less: DistanceSchema,
    /** How far the box stands above the lower edge of its front or opening. */
    rise: DistanceSchema,
    /** What stays free behind the box. */
    behind: DistanceSchema,
    box: DrawerBoxSchema,
    stock: Type.Object({ box: IdSchema, bottom: IdSchema, front: IdSchema }, closed),
    /** Those that are made otherwise. */
    others: Type.Optional(Type.Array(OtherBoxSchema, { maxItems: 100 })),
    /** Lines are set out from the bottom up on spacers, or from the top down where the floor is uneven. */
    linesFrom: Type.Union([Type.Literal('bottom'), Type.Literal('top')]),
    handle: Type.Optional(Type.Object({ name: NameSchema, down: Type.Union([Type.Literal('middle'), DistanceSchema]) }, closed)),
  },
  closed,
);
export type Drawers = Static<typeof DrawersSchema>;

/**
 * Whether the bottom lies in all four walls and ends at them, so that a muntin can go under it from wall to wall.
 * @example takesMuntin({ bottom: { kind: 'groove', slidIn: true } }) // false
 */
export function takesMuntin({ bottom, muntin }: Drawers['box']): boolean {
  if (muntin) return false;
  return bottom.kind === 'rebate' || (bottom.kind === 'groove' && !bottom.slidIn);
}

declare module '../../piece/space.js' {
  interface Makings {
    drawers: Drawers;
  }
}
