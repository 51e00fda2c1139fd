import type { TSchema } from '@sinclair/typebox';
import { Ajv, type ValidateFunction } from 'ajv';
import { faultsOf, type Fault } from './faults.js';

const compiled = new WeakMap<TSchema, ValidateFunction>();
const quick = new WeakMap<TSchema, QuickCheck>();

let compiler: Ajv | null = null;

function compile(schema: TSchema): ValidateFunction {
  compiler ??= new Ajv({ allErrors: true, strict: false });
  return compiler.compile(schema);
}

/** Whether a document is right, without what is wrong with it. */
export type QuickCheck = (document: unknown) => boolean;

/** Asks a check of a schema that was made ahead first; only for a document that it refuses the whole one is made. */
export function keepQuick(schema: TSchema, check: QuickCheck): void {
  quick.set(schema, check);
}

/**
 * The quick check of a schema as the code of a module.
 * @param write the compiler's own writer of modules, which only a build needs
 */
export function quickCheckCode(schema: TSchema, write: (compiler: Ajv, check: ValidateFunction) => string): string {
  const own = new Ajv({ strict: false, messages: false, code: { source: true, esm: true } });
  return write(own, own.compile(schema));
}

/** How deep a document may be nested: a piece divided twenty times over, and no more. */
export const DEEPEST = 100;

/** So many faults are named at once; of more it is said how many there are. */
export const MOST_FAULTS = 50;

/** Whether a document is nested deeper than `most`; it never recurses itself. @example isTooDeep({ a: { b: 1 } }, 1) // true */
export function isTooDeep(document: unknown, most = DEEPEST): boolean {
  let level: unknown[] = [document];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > most) return true;
    level = level.flatMap((value) => (value !== null && typeof value === 'object' ? (Object.values(value) as unknown[]) : []));
  }
  return false;
}

/**
 * Holds a document against a schema.
 * @returns what is wrong with it, nothing when it is right
 * @example faultsIn(sizeFrom(mm(1)), mm(2)) // []
 */
export function faultsIn(schema: TSchema, document: unknown): readonly Fault[] {
  if (isTooDeep(document)) {
    return [{ path: '', message: `this is nested more than ${DEEPEST} levels deep`, accepted: `at most ${DEEPEST} levels` }];
  }
  if (quick.get(schema)?.(document)) return [];
  let check = compiled.get(schema);
  if (!check) {
    check = compile(schema);
    compiled.set(schema, check);
  }
  if (check(document)) return [];
  return firstOf(faultsOf(document, check.errors ?? []));
}

/** As many faults as can be read, and how many more there are. @example firstOf([]) // [] */
export function firstOf(faults: readonly Fault[]): readonly Fault[] {
  const more = faults.length - MOST_FAULTS;
  if (more <= 0) return faults;
  return [
    ...faults.slice(0, MOST_FAULTS),
    { path: '', message: `and ${more} more like these`, accepted: 'mend those that are named first' },
  ];
}
