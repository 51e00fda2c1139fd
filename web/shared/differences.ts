import { formatLength, fromUnits, type Precision } from '../../core/length/index.js';
import { sameData } from '../data/same.js';

/** One field of a record that two versions of it have otherwise. */
export interface Difference {
  readonly path: readonly string[];
  readonly theirs: unknown;
  readonly mine: unknown;
}

const isFields = (value: unknown): value is Readonly<Record<string, unknown>> => value !== null && typeof value === 'object';

/** The fields in which two versions differ, as deep as both have them. */
export function differencesOf(theirs: unknown, mine: unknown, path: readonly string[] = []): readonly Difference[] {
  if (sameData(theirs, mine)) return [];
  if (!isFields(theirs) || !isFields(mine) || Array.isArray(theirs) !== Array.isArray(mine)) return [{ path, theirs, mine }];
  const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
  return keys.flatMap((key) => differencesOf(theirs[key], mine[key], [...path, key]));
}

/** The part of a schema that is looked into. */
interface Node {
  readonly description?: string;
  readonly properties?: Readonly<Record<string, Node>>;
  readonly items?: Node | readonly Node[];
  readonly anyOf?: readonly Node[];
  readonly patternProperties?: Readonly<Record<string, Node>>;
}

/** Whether what stands at a path of a document is a length, by its schema. */
export function isLengthAt(schema: Node, path: readonly string[]): boolean {
  if (schema.anyOf?.some((one) => isLengthAt(one, path))) return true;
  const [key, ...rest] = path;
  if (key === undefined) return schema.description?.includes('units of 1/80') ?? false;
  const within = [
    schema.properties?.[key],
    ...(Array.isArray(schema.items) ? (schema.items as readonly Node[]) : [schema.items as Node | undefined]),
    ...Object.values(schema.patternProperties ?? {}),
  ];
  return within.some((inner) => inner !== undefined && isLengthAt(inner, rest));
}

/** A value of a field for reading: lengths in the unit that is worked in, what has parts by how many. */
export function valueText(value: unknown, isLength: boolean, precision: Precision): string {
  if (value === undefined || value === null) return 'nothing';
  if (typeof value === 'number')
    return isLength ? `${formatLength(fromUnits(value), precision)}${precision.unit === 'mm' ? ' mm' : ''}` : `${value}`;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value === '' ? 'nothing' : value;
  return Array.isArray(value) ? `${value.length} ${value.length === 1 ? 'entry' : 'entries'}` : 'set';
}
