import { Type, type Static } from '@sinclair/typebox';
import { IdSchema } from '../ids/index.js';
import { SizeSchema, type Length } from '../length/index.js';
import type { Reach } from './room.js';

const closed = { additionalProperties: false } as const;

/** What the tape found in a space of a piece once it stood there: a fact that is added and never changed. */
export const BuiltReadingSchema = Type.Object(
  {
    piece: IdSchema,
    space: IdSchema,
    reach: Type.Union([Type.Literal('width'), Type.Literal('height'), Type.Literal('depth')]),
    /** Null where the reading before it is not to be gone by: the plan counts again. */
    value: Type.Union([SizeSchema, Type.Null()]),
    /** When it was taken; left out where that is not known. */
    at: Type.Optional(Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}(\\.\\d+)?Z$' })),
  },
  closed,
);
export type BuiltReading = Static<typeof BuiltReadingSchema>;

/** What counts in each space of a piece, by its id. */
export type Built = ReadonlyMap<string, Readonly<Partial<Record<Reach, Length>>>>;

/**
 * What counts after one more reading.
 * @example readAgain(new Map(), { space: 'in', reach: 'width', value: mm(958) }).get('in') // { width: mm(958) }
 */
export function readAgain(built: Built, { space, reach, value }: Pick<BuiltReading, 'space' | 'reach' | 'value'>): Built {
  const others = Object.entries(built.get(space) ?? {}).filter(([key]) => key !== reach);
  return new Map(built).set(space, Object.fromEntries(value === null ? others : [...others, [reach, value]]));
}

/**
 * What counts in the spaces of one piece: the last of each that was read. @param readings in the order they were added
 * @example builtOf([{ piece: 'case', space: 'in', reach: 'width', value: mm(958) }], 'other').size // 0
 */
export function builtOf(readings: Iterable<BuiltReading>, piece: string): Built {
  let built: Built = new Map();
  for (const reading of readings) if (reading.piece === piece) built = readAgain(built, reading);
  return built;
}
