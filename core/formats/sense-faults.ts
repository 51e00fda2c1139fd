import type { TSchema } from '@sinclair/typebox';
import { fromUnits, toMm } from '../length/index.js';
import { outOfSense, type NumberIn } from '../sense/index.js';
import { pieceSchema } from '../kinds/index.js';
import { ProjectSchema } from '../project/index.js';
import type { Fault } from './faults.js';
import { projectFileSchema } from './project-file.js';

/** The kinds of record that a project file has. */
type RecordKind = Exclude<keyof ReturnType<typeof projectFileSchema>['properties'], 'format' | 'version' | 'project'>;

function schemaOf(kind: RecordKind | 'project'): TSchema {
  if (kind === 'project') return ProjectSchema;
  if (kind === 'pieces') return pieceSchema();
  const [schema] = Object.values(projectFileSchema().properties[kind].patternProperties as Readonly<Record<string, TSchema>>);
  return schema ?? ProjectSchema;
}

const shown = (value: number, { isLength }: NumberIn): string => (isLength ? `${toMm(fromUnits(value))} mm` : `${value}`);

const keyOf = ({ path, value }: NumberIn): string => `${path.join('/')} ${value}`;

/**
 * Numbers of a record that nobody means and that it did not have before: an edit may leave what a file brought, and mends one
 * after the other.
 * @param before the record as it was, a piece without its letters; null for a new one
 * @example senseFaults('pieces', CASE, null) // []
 */
export function senseFaults(kind: RecordKind | 'project', sent: unknown, before: unknown): readonly Fault[] {
  const schema = schemaOf(kind);
  const found = outOfSense(schema, sent);
  if (found.length === 0) return [];
  const known = new Set(outOfSense(schema, before).map(keyOf));
  return found
    .filter((number) => !known.has(keyOf(number)))
    .map((number) => {
      const [least, most] = number.meant;
      return {
        path: `/data/${number.path.join('/')}`,
        message: number.value < least ? 'this is less than makes sense' : 'this is more than makes sense',
        given: shown(number.value, number),
        accepted: `${shown(least, number)} to ${shown(most, number)}`,
      };
    });
}
