import { Type, type Static } from '@sinclair/typebox';
import { DistanceSchema, SizeSchema, mm, sizeMeant, type Meant, type Precision } from '../length/index.js';
import { RoundingSchema } from '../run/index.js';
import { NameSchema } from '../ids/index.js';

const closed = { additionalProperties: false } as const;

/** What a saw blade takes away. */
export const KERF_MEANT: Meant = { least: mm(0.5), greatest: mm(10) };
const KerfSchema = sizeMeant(KERF_MEANT);

/** What is measured of a body. */
export const BODY_MEANT: Meant = { least: mm(50), greatest: mm(3000) };
const BodySchema = sizeMeant(BODY_MEANT);

/** Someone who uses what is built. What was not measured of them follows from their height. */
export const PersonSchema = Type.Object(
  {
    name: NameSchema,
    height: BodySchema,
    /** As high as they reach. */
    reach: Type.Optional(BodySchema),
    /** To the elbow of someone who stands, in shoes. */
    elbow: Type.Optional(BodySchema),
    /** To the hollow of the knee of someone who sits, in shoes. */
    hollow: Type.Optional(BodySchema),
    /** To the upper side of the thigh of someone who sits, in shoes. */
    lap: Type.Optional(BodySchema),
    /** Across the lap, of someone who sits. */
    lapWide: Type.Optional(BodySchema),
    /** From the seat to the crown of someone who sits. */
    sitting: Type.Optional(BodySchema),
  },
  closed,
);
export type Person = Static<typeof PersonSchema>;

/** How far a member may sag: a part of its span, or a fixed amount in mm. */
export const LimitSchema = Type.Union([
  Type.Object({ kind: Type.Literal('span'), over: Type.Integer({ minimum: 50, maximum: 2000 }) }, closed),
  Type.Object({ kind: Type.Literal('amount'), mm: Type.Number({ exclusiveMinimum: 0, maximum: 100 }) }, closed),
]);
export type Limit = Static<typeof LimitSchema>;

/** What there is to saw with, what limits it, and what is kept. */
export const ToolsSchema = Type.Object(
  {
    /** Taken off each end of a board, and off each edge of a sheet, before anything is measured from it. */
    trimEnds: Type.Optional(DistanceSchema),
    trimEdges: Type.Optional(DistanceSchema),
    /** The widest that a fence is set to; none where there is no table saw. */
    fence: Type.Optional(SizeSchema),
    /** The longest cut along a guide with a hand saw. */
    guide: Type.Optional(SizeSchema),
    /** The widest board that a mitre saw crosses. */
    mitre: Type.Optional(SizeSchema),
    /** What the blade of each takes, where it is another than the usual one of the settings. */
    kerfs: Type.Optional(
      Type.Object(
        {
          fence: Type.Optional(KerfSchema),
          guide: Type.Optional(KerfSchema),
          mitre: Type.Optional(KerfSchema),
          shop: Type.Optional(KerfSchema),
        },
        closed,
      ),
    ),
    /** Whether there is a router; taken to be there where nothing is said. */
    router: Type.Optional(Type.Boolean()),
    /** The clamps there are: so many, of which the longest opens so far. */
    clamps: Type.Optional(Type.Object({ count: Type.Integer({ minimum: 0, maximum: 200 }), reach: SizeSchema }, closed)),
    /** The shop that sells it cuts sheets: so many cuts in the price, so much for each more, and no part narrower than this. */
    shop: Type.Optional(
      Type.Object(
        {
          free: Type.Integer({ minimum: 0, maximum: 1000 }),
          each: Type.Number({ minimum: 0, maximum: 1e4 }),
          least: SizeSchema,
        },
        closed,
      ),
    ),
    /** What goes into the car: so long and so wide. */
    car: Type.Optional(Type.Object({ length: SizeSchema, width: SizeSchema }, closed)),
    /** The least rest that is worth keeping. */
    keep: Type.Optional(Type.Object({ length: SizeSchema, width: SizeSchema }, closed)),
  },
  closed,
);
export type Tools = Static<typeof ToolsSchema>;

/** The choices that hold for every piece of a project. */
export const SettingsSchema = Type.Object(
  {
    unit: Type.Union([Type.Literal('mm'), Type.Literal('in')]),
    /** The finest step that is written. */
    step: sizeMeant({ least: mm(0.01), greatest: mm(50) }),
    rounding: RoundingSchema,
    /** EN 1995-1-1: 1 heated room, 2 unheated or garden building, 3 wet. */
    serviceClass: Type.Union([Type.Literal(1), Type.Literal(2), Type.Literal(3)]),
    /** `kdef` by the table, or `half`: half as much again, for seasoned solid wood. */
    creepSchool: Type.Union([Type.Literal('kdef'), Type.Literal('half')]),
    limit: LimitSchema,
    /** What the saw blade takes away; the usual one where it was not measured. */
    kerf: Type.Optional(KerfSchema),
    tools: Type.Optional(ToolsSchema),
    /** Whose words of the trade are read, where they are not those of the unit: housing and rebate, or dado and rabbet. */
    terms: Type.Optional(Type.Union([Type.Literal('mm'), Type.Literal('in')])),
    /** The currency of all prices, by its ISO 4217 code; numbers alone where it is left out. */
    currency: Type.Optional(Type.String({ pattern: '^[A-Z]{3}$' })),
  },
  closed,
);
export type Settings = Static<typeof SettingsSchema>;

/**
 * How lengths, words and money are written in a project.
 * @example precisionOf(SHOP.settings).unit // 'mm'
 */
export function precisionOf({ unit, step, terms, currency }: Settings): Precision {
  return { unit, step, ...(terms ? { terms } : {}), ...(currency ? { currency } : {}) };
}

/** A project by itself, without what is in it. */
export const ProjectSchema = Type.Object({ name: NameSchema, settings: SettingsSchema }, closed);
export type Project = Static<typeof ProjectSchema>;
