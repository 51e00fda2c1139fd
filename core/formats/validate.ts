import type { TSchema } from '@sinclair/typebox';
import { Ajv, type ValidateFunction } from 'ajv';
import { faultsOf, type Fault } from './faults.js';

const ajv = new Ajv({ allErrors: true, strict: false });
const compiled = new WeakMap<TSchema, ValidateFunction>();

/** How deep a document may be nested: a piece divided twenty times over, and no more. */
export const DEEPEST = 100;

/** How many faults are named at once. */
const MOST_FAULTS = 20;

/** Whether a document is nested deeper than `most`; it never recurses itself. */
export function isTooDeep(document: unknown, most = DEEPEST): boolean {
  let level: unknown[] = [document];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > most) return true;
    level = level.flatMap((value) => (value !== null && typeof value === 'object' ? Object.values(value) : []));
  }
  return false;
}

/**
 * Holds a document against a schema.
 * @returns what is wrong with it, nothing when it is right
 */
export function faultsIn(schema: TSchema, document: unknown): readonly Fault[] {
  if (isTooDeep(document)) {
    return [{ path: '', message: `this is nested more than ${DEEPEST} levels deep`, accepted: `at most ${DEEPEST} levels` }];
  }
  let check = compiled.get(schema);
  if (!check) {
    check = ajv.compile(schema);
    compiled.set(schema, check);
  }
  if (check(document)) return [];
  return faultsOf(document, check.errors ?? []).slice(0, MOST_FAULTS);
}
