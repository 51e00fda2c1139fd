import { Type, type TSchema } from '@sinclair/typebox';
import { DIVIDING, FILLINGS } from '../interiors/index.js';
import { pieceFields, spaceSchema, type Piece, type Space } from '../piece/index.js';
import { SHELLS } from '../shells/index.js';

const closed = { additionalProperties: false } as const;

/** The schema of a piece, made of what each kind says of its own. */
function makeSchema(): TSchema {
  const kept = (kinds: readonly { readonly schema: TSchema | null }[]) => kinds.flatMap((k) => k.schema ?? []);
  const kinds = { makings: kept(DIVIDING.all), fillings: kept(FILLINGS.all) };
  return Type.Union(
    SHELLS.all.map(({ kind, fields }) =>
      Type.Object(
        {
          ...pieceFields,
          shell: Type.Literal(kind),
          // Each shell has its own name for a space that refers to itself, as JSON Schema asks.
          interior: Type.Unsafe<Space>(spaceSchema(`space-in-${kind}`, kinds)),
          ...fields,
        },
        closed,
      ),
    ),
  );
}

let made: { readonly of: readonly unknown[]; readonly schema: TSchema } | null = null;

/** The schema of a piece of any kind that there is. */
export function pieceSchema() {
  const of = [SHELLS.all, DIVIDING.all, FILLINGS.all];
  if (!made || of.some((kinds, i) => kinds !== made?.of[i])) made = { of, schema: makeSchema() };
  return Type.Unsafe<Piece>(made.schema);
}

/** The schema of a piece of the kinds that ship with this program. */
export const PieceSchema = pieceSchema();
