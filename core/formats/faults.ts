import type { ErrorObject } from 'ajv';

/** One thing wrong in a document: where, what, and what would be taken. */
export interface Fault {
  /** JSON pointer to the value; empty for the document itself. */
  readonly path: string;
  readonly message: string;
  readonly given?: unknown;
  readonly accepted: string;
}

function valueAt(document: unknown, path: string): unknown {
  return path
    .split('/')
    .slice(1)
    .map((key) => key.replace(/~1/g, '/').replace(/~0/g, '~'))
    .reduce<unknown>(
      (value, key) => (value !== null && typeof value === 'object' ? (value as Record<string, unknown>)[key] : undefined),
      document,
    );
}

const MOST_TEXT = 80;

/** A value short enough to be shown in a message. */
function shown(value: unknown): unknown {
  if (value === null || typeof value !== 'object')
    return typeof value === 'string' && value.length > MOST_TEXT ? `${value.slice(0, MOST_TEXT)}…` : value;
  return Array.isArray(value) ? `a list of ${value.length}` : 'an object';
}

function describe(error: ErrorObject): { path: string; message: string; accepted: string } {
  const path = error.instancePath;
  const p = error.params as Record<string, unknown>;
  switch (error.keyword) {
    case 'additionalProperties':
      return {
        path: `${path}/${String(p['additionalProperty'])}`,
        message: 'this field is not known here',
        accepted: 'no other fields than those of the format',
      };
    case 'required':
      return { path: `${path}/${String(p['missingProperty'])}`, message: 'this field is missing', accepted: 'a value for it' };
    case 'const':
      return { path, message: 'this is not one of the values that are known', accepted: JSON.stringify(p['allowedValue']) };
    case 'type':
      return { path, message: 'this is of the wrong kind', accepted: `a value of type ${String(p['type'])}` };
    case 'minimum':
    case 'exclusiveMinimum':
      return { path, message: 'this is too small', accepted: `${String(p['comparison'])} ${String(p['limit'])}` };
    case 'maximum':
    case 'exclusiveMaximum':
      return { path, message: 'this is too large', accepted: `${String(p['comparison'])} ${String(p['limit'])}` };
    default:
      return { path, message: error.message ?? 'this is not valid', accepted: error.message ?? 'a valid value' };
  }
}

/** The fields that say which of several forms a value has. */
const TELLERS = ['kind', 'from', 'shell'];

/** The innermost alternative of a schema that an error belongs to. */
function branchOf(error: ErrorObject): string {
  return /^(.*\/anyOf\/\d+)\//.exec(error.schemaPath)?.[1] ?? '';
}

/** An alternative that was not meant: the value at a path says it is of another kind. */
interface Excluded {
  readonly path: string;
  readonly branch: string;
}

function isExcluded(error: ErrorObject, excluded: readonly Excluded[]): boolean {
  return excluded.some((x) => error.schemaPath.startsWith(`${x.branch}/`) && error.instancePath.startsWith(x.path));
}

/** A value whose kind is none of those there are: says which there are. */
function unknownKind(document: unknown, union: ErrorObject, errors: readonly ErrorObject[], kept: readonly ErrorObject[]): Fault[] {
  const inside = (e: ErrorObject) => e.schemaPath.startsWith(union.schemaPath) && e.instancePath.startsWith(union.instancePath);
  // What refers to itself has its own path in the schema, so what lies deeper is told by where it is in the document.
  if (kept.some((e) => inside(e) || e.instancePath.startsWith(`${union.instancePath}/`))) return [];
  const constants = errors.filter((e) => e.keyword === 'const' && inside(e));
  if (constants.length === 0) return [];
  const options = [...new Set(constants.map((e) => JSON.stringify((e.params as { allowedValue: unknown }).allowedValue)))];
  const path = constants[0]?.instancePath ?? union.instancePath;
  return [
    { path, message: 'this is not one of the kinds that are known', given: shown(valueAt(document, path)), accepted: options.join(', ') },
  ];
}

function faultOf(document: unknown, error: ErrorObject): Fault {
  const { path, message, accepted } = describe(error);
  const given = shown(valueAt(document, path));
  return given === undefined ? { path, message, accepted } : { path, message, given, accepted };
}

/**
 * Brings the errors of a schema with alternatives down to those of the alternative that
 * was meant: where a value says its kind, errors of the other kinds are left out.
 */
export function faultsOf(document: unknown, errors: readonly ErrorObject[]): readonly Fault[] {
  const excluded = errors.flatMap((e): Excluded[] => {
    const teller = TELLERS.find((t) => e.instancePath.endsWith(`/${t}`));
    return e.keyword === 'const' && teller ? [{ path: e.instancePath.slice(0, -teller.length - 1), branch: branchOf(e) }] : [];
  });
  const kept = errors.filter((e) => e.keyword !== 'anyOf' && !isExcluded(e, excluded));
  const unions = errors.filter((e) => e.keyword === 'anyOf' && !isExcluded(e, excluded));
  const faults = [...unions.flatMap((u) => unknownKind(document, u, errors, kept)), ...kept.map((e) => faultOf(document, e))];
  const seen = new Set<string>();
  return faults.filter((f) => {
    const key = `${f.path} ${f.message} ${f.accepted}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}
