import { Type, type Static } from '@sinclair/typebox';
import { IdSchema } from '../ids/index.js';
import { SizeSchema } from '../length/index.js';

/** The version of this program, as package.json has it. */
export const PROGRAM = '0.1.0';

const closed = { additionalProperties: false } as const;

/** What became of a part, as the tape found it: a fact that is added and never changed. */
export const MadePartSchema = Type.Object(
  {
    piece: IdSchema,
    part: Type.String({ minLength: 1, maxLength: 200 }),
    /** `planned`: what was said of it before is not to be gone by. */
    is: Type.Union([Type.Literal('cut'), Type.Literal('fitted'), Type.Literal('spoiled'), Type.Literal('planned')]),
    /** As measured; as it was planned where nothing was measured. */
    length: SizeSchema,
    width: SizeSchema,
    thickness: SizeSchema,
    /** What was planned then. */
    planned: Type.Object({ length: SizeSchema, width: SizeSchema, thickness: SizeSchema }, closed),
    /** The version of the program that worked those sizes out; left out in what was noted before it was kept. */
    program: Type.Optional(Type.String({ minLength: 1, maxLength: 40 })),
    /** What is wrong with it besides its sizes: it came out as its reflection, or with a sloping end the wrong way round. */
    wrong: Type.Optional(Type.Union([Type.Literal('reflection'), Type.Literal('slope')])),
    at: Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}(\\.\\d+)?Z$' }),
  },
  closed,
);
export type MadePart = Static<typeof MadePartSchema>;

/** What counts of each part of a piece, by its id: the last that was noted of it. */
export type Made = ReadonlyMap<string, MadePart>;

/** What counts of the parts of one piece that are cut. @param facts in the order they were added @example madeOf([], 'case').size // 0 */
export function madeOf(facts: Iterable<MadePart>, piece: string): Made {
  const made = new Map<string, MadePart>();
  for (const fact of facts) {
    if (fact.piece !== piece) continue;
    if (fact.is === 'cut' || fact.is === 'fitted') made.set(fact.part, fact);
    else made.delete(fact.part);
  }
  return made;
}
