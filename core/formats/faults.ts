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
const TELLERS = ['kind', 'from'];

/**
 * Brings the errors of a schema with alternatives down to those of the alternative that
 * was meant: where a value says its kind, errors of the other kinds are left out.
 */
export function faultsOf(document: unknown, errors: readonly ErrorObject[]): readonly Fault[] {
  const unions = errors.filter((e) => e.keyword === 'anyOf');
  const wrongBranches = errors.filter((e) => e.keyword === 'const' && TELLERS.some((t) => e.instancePath.endsWith(`/${t}`)));
  const branchOf = (e: ErrorObject) =>
    e.schemaPath.replace(
      /\/(properties|required|additionalProperties|const|type|minimum|maximum|exclusiveMinimum|exclusiveMaximum|pattern).*$/,
      '',
    );
  const excluded = new Set(wrongBranches.map((e) => branchOf(e)));
  const kept = errors.filter((e) => e.keyword !== 'anyOf' && !excluded.has(branchOf(e)));
  // A kind that is not known at all excludes every branch: say what kinds there are.
  const unknownKinds = unions.flatMap((u): Fault[] => {
    const inside = kept.filter((e) => e.instancePath.startsWith(u.instancePath) && e.schemaPath.startsWith(u.schemaPath));
    if (inside.length > 0) return [];
    const options = errors
      .filter((e) => e.keyword === 'const' && e.schemaPath.startsWith(u.schemaPath))
      .map((e) => JSON.stringify((e.params as { allowedValue: unknown }).allowedValue));
    if (options.length === 0) return [];
    const teller = wrongBranches.find((e) => e.schemaPath.startsWith(u.schemaPath));
    const path = teller?.instancePath ?? u.instancePath;
    return [
      {
        path,
        message: 'this is not one of the kinds that are known',
        given: shown(valueAt(document, path)),
        accepted: [...new Set(options)].join(', '),
      },
    ];
  });
  const faults = [
    ...unknownKinds,
    ...kept.map((e): Fault => {
      const { path, message, accepted } = describe(e);
      const given = shown(valueAt(document, path));
      return given === undefined ? { path, message, accepted } : { path, message, given, accepted };
    }),
  ];
  const seen = new Set<string>();
  return faults.filter((f) => {
    const key = `${f.path} ${f.message} ${f.accepted}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}
