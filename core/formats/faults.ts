import type { ErrorObject } from 'ajv';
import { ID_ACCEPTED } from '../ids/index.js';

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
      (value, key) =>
        value !== null && typeof value === 'object' && Object.hasOwn(value, key) ? (value as Record<string, unknown>)[key] : undefined,
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
      // Records are kept under their ids; anything else there is no field that is not known, but a name that is none.
      if (/^#\/properties\/\w+\/additionalProperties$/.test(error.schemaPath))
        return {
          path: `${path}/${String(p['additionalProperty'])}`,
          message: 'this is no id',
          accepted: ID_ACCEPTED,
        };
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

/** A path and every path above it, the document itself last. */
function upFrom(path: string): readonly string[] {
  const all = [path];
  for (let at = path.lastIndexOf('/'); at >= 0; at = path.lastIndexOf('/', at - 1)) {
    all.push(path.slice(0, at));
    if (at === 0) break;
  }
  return all;
}

/** What is listed under each path, one or more to a path. */
class ByPath<T> {
  private readonly at = new Map<string, T[]>();

  add(path: string, item: T): void {
    const there = this.at.get(path);
    if (there) there.push(item);
    else this.at.set(path, [item]);
  }

  get(path: string): readonly T[] {
    return this.at.get(path) ?? [];
  }
}

/** Alternatives that were not meant, since the value at a path says that it is of another kind: paths by branch. */
function alternativesLeftOut(errors: readonly ErrorObject[]): ReadonlyMap<string, ReadonlySet<string>> {
  const out = new Map<string, Set<string>>();
  for (const e of errors) {
    const teller = e.keyword === 'const' ? TELLERS.find((t) => e.instancePath.endsWith(`/${t}`)) : undefined;
    if (!teller) continue;
    const paths = out.get(branchOf(e)) ?? new Set<string>();
    paths.add(e.instancePath.slice(0, -teller.length - 1));
    out.set(branchOf(e), paths);
  }
  return out;
}

/** Every alternative that a place in a schema lies in, the innermost first. */
function branchesOf({ schemaPath }: ErrorObject): readonly string[] {
  return upFrom(schemaPath)
    .slice(1)
    .filter((path) => /\/anyOf\/\d+$/.test(path));
}

function isLeftOut(error: ErrorObject, out: ReadonlyMap<string, ReadonlySet<string>>): boolean {
  return branchesOf(error).some((branch) => {
    const paths = out.get(branch);
    return paths !== undefined && upFrom(error.instancePath).some((path) => paths.has(path));
  });
}

/** Values whose kind is none of those there are: says which there are. */
function unknownKinds(
  document: unknown,
  unions: readonly ErrorObject[],
  errors: readonly ErrorObject[],
  kept: readonly ErrorObject[],
): Fault[] {
  const [keptAt, keptUnder, constantsIn] = [new ByPath<ErrorObject>(), new Set<string>(), new ByPath<ErrorObject>()];
  for (const e of kept) {
    keptAt.add(e.instancePath, e);
    upFrom(e.instancePath)
      .slice(1)
      .forEach((path) => keptUnder.add(path));
  }
  // The field that tells a kind lies right in the value that it is told of.
  for (const e of errors)
    if (e.keyword === 'const')
      upFrom(e.instancePath)
        .slice(0, 2)
        .forEach((path) => constantsIn.add(path, e));
  return unions.flatMap((union): Fault[] => {
    const inside = (e: ErrorObject) => e.schemaPath.startsWith(union.schemaPath);
    // What refers to itself has its own path in the schema, so what lies deeper is told by where it is in the document.
    if (keptUnder.has(union.instancePath) || keptAt.get(union.instancePath).some(inside)) return [];
    const constants = constantsIn.get(union.instancePath).filter(inside);
    if (constants.length === 0) return [];
    const options = [...new Set(constants.map((e) => JSON.stringify((e.params as { allowedValue: unknown }).allowedValue)))];
    const path = constants[0]?.instancePath ?? union.instancePath;
    return [
      { path, message: 'this is not one of the kinds that are known', given: shown(valueAt(document, path)), accepted: options.join(', ') },
    ];
  });
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
  const out = alternativesLeftOut(errors);
  const meant = errors.filter((e) => !isLeftOut(e, out));
  const kept = meant.filter((e) => e.keyword !== 'anyOf');
  const unions = meant.filter((e) => e.keyword === 'anyOf');
  const faults = [...unknownKinds(document, unions, errors, kept), ...kept.map((e) => faultOf(document, e))];
  const seen = new Set<string>();
  return faults.filter((f) => {
    const key = `${f.path} ${f.message} ${f.accepted}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}
