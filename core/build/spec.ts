import { Type, type Static } from '@sinclair/typebox';
import { IdSchema } from '../ids/index.js';
import { FINISHES, GLUES } from './products.js';
import { PHASES } from './step.js';

const closed = { additionalProperties: false } as const;

/** Which step is meant; made by Ruvok and never taken apart. */
const StepKeySchema = Type.String({ minLength: 1, maxLength: 300 });
/** A day, such as 2026-05-04. */
const DaySchema = Type.String({ pattern: '^\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])$' });
/** Minutes from midnight. */
const ClockSchema = Type.Integer({ minimum: 0, maximum: 24 * 60 });

/** The hours one has on each day of the week, Monday first, and the days on which one has none. */
export const HoursSchema = Type.Object(
  {
    from: DaySchema,
    week: Type.Array(Type.Array(Type.Object({ from: ClockSchema, to: ClockSchema }, closed), { maxItems: 6 }), {
      minItems: 7,
      maxItems: 7,
    }),
    off: Type.Array(DaySchema, { maxItems: 400 }),
  },
  closed,
);
export type Hours = Static<typeof HoursSchema>;

const choice = <const T extends readonly string[]>(all: T) => Type.Union(all.map((one) => Type.Literal(one as T[number])));

/** How one piece is built: what its builder chose, in which order, and how far it is. */
export const BuildingSchema = Type.Object(
  {
    piece: IdSchema,
    /** Every part before anything is put together, or what comes later once it can be measured. */
    cut: choice(['all first', 'as it goes']),
    /** From the floor up, or from the top down where the floor is uneven. */
    order: choice(['bottom up', 'top down']),
    /** How the main of it stands while it is put together. */
    stands: choice(['upright', 'upside down', 'on its back']),
    glue: choice(GLUES.map((g) => g.id)),
    finish: choice(FINISHES.map((f) => f.id)),
    coats: Type.Integer({ minimum: 1, maximum: 12 }),
    /** Where it is glued and dries, °C. */
    celsius: Type.Number({ minimum: -10, maximum: 45 }),
    hours: Type.Optional(HoursSchema),
    /** The day that it was planned to be ready on, when that was kept: what is later or sooner is told against it. */
    promised: Type.Optional(DaySchema),
    /** The days that its steps were to be done on then. */
    keptDays: Type.Optional(Type.Array(Type.Object({ step: StepKeySchema, day: DaySchema }, closed), { maxItems: 2000 })),
    /** Steps in the order that a person wants them; those that are not named keep theirs. */
    moved: Type.Array(StepKeySchema, { maxItems: 1000 }),
    /** Parts of a step that are done by themselves, after the rest of it. */
    apart: Type.Optional(
      Type.Array(
        Type.Object(
          { step: StepKeySchema, parts: Type.Array(Type.String({ minLength: 1, maxLength: 200 }), { minItems: 1, maxItems: 2000 }) },
          closed,
        ),
        { maxItems: 200 },
      ),
    ),
    /** Steps that are done in one go, each time under the first of them. */
    inOneGo: Type.Optional(Type.Array(Type.Array(StepKeySchema, { minItems: 2, maxItems: 50 }), { maxItems: 200 })),
    /** Steps that are done, when, and how long they took where that was noted. */
    done: Type.Array(
      Type.Object(
        {
          step: StepKeySchema,
          at: Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}(\\.\\d+)?Z$' }),
          /** How long it took, beside what was reckoned for such a step without one's own times. */
          took: Type.Optional(
            Type.Object(
              {
                phase: choice(PHASES),
                minutes: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
                reckoned: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }),
              },
              closed,
            ),
          ),
        },
        closed,
      ),
      { maxItems: 2000 },
    ),
  },
  closed,
);
export type Building = Static<typeof BuildingSchema>;

/** How a piece is built before anyone chose anything. @example buildingOf('case').piece // 'case' */
export function buildingOf(piece: string): Building {
  return {
    piece,
    cut: 'all first',
    order: 'bottom up',
    stands: 'upright',
    glue: 'pva',
    finish: 'none',
    coats: 3,
    celsius: 18,
    moved: [],
    done: [],
  };
}

/** How a piece is built: as its builder chose, or as it is before that. @example buildingFor([], 'case').piece // 'case' */
export function buildingFor(all: Iterable<Building>, piece: string): Building {
  for (const building of all) if (building.piece === piece) return building;
  return buildingOf(piece);
}

/** One line of the log of a piece. */
export const LogEntrySchema = Type.Object(
  {
    piece: IdSchema,
    /** The day it is about. */
    day: DaySchema,
    is: choice(['note', 'decision', 'time', 'money', 'next time', 'photo']),
    text: Type.String({ maxLength: 4000 }),
    /** The step or the part it is about. */
    step: Type.Optional(StepKeySchema),
    part: Type.Optional(Type.String({ minLength: 1, maxLength: 200 })),
    minutes: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })),
    /** In the project's money. */
    money: Type.Optional(Type.Number({ minimum: -1e6, maximum: 1e6 })),
    /** The piece that this one was started from. */
    from: Type.Optional(IdSchema),
    /** The photo that it shows, by the name it is kept under. */
    photo: Type.Optional(IdSchema),
  },
  closed,
);
export type LogEntry = Static<typeof LogEntrySchema>;
