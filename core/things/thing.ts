import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, mm, sizeFrom, type Length } from '../length/index.js';
import { IdSchema, NameSchema } from '../ids/index.js';
import { KilogramsSchema } from '../measures/index.js';

const closed = { additionalProperties: false } as const;

/** A size of a thing: thinner than a sheet of card there is none to keep. */
const LeastSchema = sizeFrom(mm(0.5));

/** Something that a piece must hold. */
export const ThingSchema = Type.Object(
  {
    name: NameSchema,
    shape: Type.Union([
      Type.Object({ kind: Type.Literal('box'), width: LeastSchema, height: LeastSchema, depth: LeastSchema }, closed),
      Type.Object({ kind: Type.Literal('cylinder'), diameter: LeastSchema, height: LeastSchema }, closed),
    ]),
    /** Of one, kg. Left out where it is not known: what it loads is then not checked. */
    mass: Type.Optional(KilogramsSchema({ minimum: 0, maximum: 5000 })),
    /** How many there are in all. */
    count: Type.Integer({ minimum: 1, maximum: 10_000 }),
    /** What must stay free above it, for a hand. */
    clearance: DistanceSchema,
    /** Which way up it may stand. */
    wayUp: Type.Union([Type.Literal('upright'), Type.Literal('lying'), Type.Literal('any')]),
    /** Its front must face out, so that it is never turned. */
    facesOut: Type.Optional(Type.Boolean()),
    /** One row only: none may stand behind another. */
    oneRow: Type.Optional(Type.Boolean()),
    /** How many may stand on each other. */
    stack: Type.Integer({ minimum: 1, maximum: 100 }),
    /** Used often, so wanted within easy reach. */
    often: Type.Optional(Type.Boolean()),
    /** Wanted on one shelf with all that bear the same word. */
    together: Type.Optional(NameSchema),
    /** How far it may stand out over the front of a shelf. */
    mayStandOut: Type.Optional(DistanceSchema),
    /** It stands on four feet, so far in from its sides, and from its front and rear; all over where it is left out. */
    feet: Type.Optional(Type.Object({ aside: DistanceSchema, deep: DistanceSchema }, closed)),
  },
  closed,
);
export type Thing = Static<typeof ThingSchema>;

/**
 * So many of a thing, put in a space. Along a shelf they stand `at` a place, their left end so far from the left of
 * the space, or spread over all of it, or anywhere; where nothing is said a row that fills the space counts as spread.
 */
export const PlacementSchema = Type.Object(
  {
    thing: IdSchema,
    count: Type.Integer({ minimum: 1, maximum: 10_000 }),
    at: Type.Optional(Type.Union([Type.Literal('spread'), Type.Literal('anywhere'), DistanceSchema])),
  },
  closed,
);
export type Placement = Static<typeof PlacementSchema>;

/** The outside of a thing in one way of putting it down. */
export interface Stance {
  readonly width: Length;
  readonly height: Length;
  readonly depth: Length;
  /** True where a cylinder stands on its end, so that it shows as a circle from above. */
  readonly round: boolean;
}

function distinct(stances: readonly Stance[]): readonly Stance[] {
  const seen = new Set<string>();
  return stances.filter((s) => {
    const key = `${s.width}/${s.height}/${s.depth}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

// A thing is asked for its ways on every keystroke, and never changes itself.
const known = new WeakMap<Thing, readonly Stance[]>();

/**
 * The ways a thing may be put down, in the order they are tried. Upright things keep their
 * height and may be turned; lying things put a side down; a cylinder lies along or across.
 * @example stancesOf(TIN).length // 1
 */
export function stancesOf(thing: Thing): readonly Stance[] {
  let stances = known.get(thing);
  if (!stances) {
    stances = waysDown(thing);
    known.set(thing, stances);
  }
  return stances;
}

function waysDown(thing: Thing): readonly Stance[] {
  const { shape, wayUp } = thing;
  const stance = (width: Length, height: Length, depth: Length, round = false): Stance => ({ width, height, depth, round });
  if (shape.kind === 'cylinder') {
    const d = shape.diameter;
    const upright = [stance(d, shape.height, d, true)];
    const lying = [stance(d, d, shape.height), stance(shape.height, d, d)];
    return wayUp === 'upright' ? upright : wayUp === 'lying' ? lying : [...upright, ...lying];
  }
  const { width: w, height: h, depth: d } = shape;
  // What faces out is not turned: upright its front stays in front, lying on its back or its side that front still shows.
  const upright = thing.facesOut ? [stance(w, h, d)] : [stance(w, h, d), stance(d, h, w)];
  const lying = thing.facesOut ? [stance(h, w, d)] : [stance(w, d, h), stance(h, d, w), stance(h, w, d), stance(d, w, h)];
  return distinct(wayUp === 'upright' ? upright : wayUp === 'lying' ? lying : [...upright, ...lying]);
}
