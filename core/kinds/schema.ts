import { Type, type TSchema } from '@sinclair/typebox';
import { DIVIDING, FILLINGS, commonFields } from '../interiors/index.js';
import { spaceSchema, type Piece, type Space } from '../piece/index.js';
import { SHELLS } from '../shells/index.js';

const closed = { additionalProperties: false } as const;

/** What a space is called in the schema. */
const SPACE = 'space';

/** The schema of a piece, made of what each kind says of its own. */
function makeSchema() {
  const kept = (kinds: readonly { readonly schema: TSchema | null }[]) => kinds.flatMap((k) => k.schema ?? []);
  const kinds = { makings: kept(DIVIDING.all), fillings: kept(FILLINGS.all) };
  // One space for all shells: told whole in the first, and referred to by the others, as it refers to itself.
  const space = spaceSchema(SPACE, kinds);
  const any = Type.Union(
    SHELLS.all.map(({ kind, fields }, i) =>
      Type.Object(
        {
          ...commonFields(),
          shell: Type.Literal(kind),
          interior: Type.Unsafe<Space>(i === 0 ? space : { $ref: SPACE }),
          ...fields,
        },
        closed,
      ),
    ),
  );
  return Type.Unsafe<Piece>(any);
}

let made: { readonly of: readonly unknown[]; readonly schema: ReturnType<typeof makeSchema> } | null = null;

/** The schema of a piece of any kind that there is; the same one until another kind is added. @example pieceSchema() === pieceSchema() // true */
export function pieceSchema() {
  const of = [SHELLS.all, DIVIDING.all, FILLINGS.all];
  if (!made || of.some((kinds, i) => kinds !== made?.of[i])) made = { of, schema: makeSchema() };
  return made.schema;
}
