import { asBuilt } from './as-built.js';
import { filling } from './filling.js';
import { frameDepth } from './frame-depth.js';
import { panels } from './panels.js';
import { isRaw, within, type Found, type Raw, type RecordKind, type Step } from './step.js';

export type { Found, Raw, RecordKind } from './step.js';

/** Every step there was, in order: each brings documents of its version to the next one. */
const STEPS: readonly Step[] = [filling, asBuilt, panels, frameDepth];

/** The version that this program reads and writes. */
export const VERSION = STEPS.length + 1;

/** The oldest version that it reads. */
export const OLDEST = 1;

/**
 * A record of a kind as this program has it. @param from the version it was written in
 * @example recordBroughtUp('things', TIN, FILE.version) // TIN
 */
export function recordBroughtUp(kind: RecordKind, record: unknown, from: number): unknown {
  return STEPS.filter((step) => step.from >= from).reduce((now, { records }) => (isRaw(now) ? (records[kind]?.(now) ?? now) : now), record);
}

/** The kinds of record a project holds. */
export const RECORD_KINDS = [
  'openings',
  'things',
  'stock',
  'slides',
  'hardware',
  'people',
  'pieces',
  'cuttings',
  'buildings',
  'log',
  'readings',
  'made',
] as const satisfies readonly RecordKind[];

/**
 * The records that were a part of a record in an earlier version, as this program has them. @param from the version it was written in
 * @example foundIn('pieces', 'case', FILE.pieces.case, FILE.version) // []
 */
export function foundIn(kind: RecordKind, id: string, record: unknown, from: number): readonly Found[] {
  let now = record;
  return STEPS.filter((step) => step.from >= from).flatMap((step) => {
    if (!isRaw(now)) return [];
    const found = step.found?.[kind]?.(id, now) ?? [];
    now = step.records[kind]?.(now) ?? now;
    return found.map((f) => ({ ...f, record: recordBroughtUp(f.kind, f.record, step.from + 1) as Raw }));
  });
}

/** An id for the nth record that was a part of another one. @example idOfFound(2) // 'found-2' */
export const idOfFound = (nth: number): string => `found-${nth}`;

/** A project file as this program writes it. @param from its own version @example fileBroughtUp(FILE, FILE.version) // FILE */
export function fileBroughtUp(file: Raw, from: number): Raw {
  const each = (kind: RecordKind) => (records: Raw) =>
    Object.fromEntries(Object.entries(records).map(([id, record]) => [id, recordBroughtUp(kind, record, from)]));
  const project = within(file, 'project', (p) => recordBroughtUp('project', p, from) as Raw);
  const done = RECORD_KINDS.reduce((now, kind) => within(now, kind, each(kind)), project);
  const found = RECORD_KINDS.flatMap((kind) =>
    Object.entries(isRaw(file[kind]) ? file[kind] : {}).flatMap(([id, record]) => foundIn(kind, id, record, from)),
  );
  const added = found.reduce<Raw>((now, { kind, record }, i) => {
    const known = now[kind];
    return { ...now, [kind]: { ...(isRaw(known) ? known : {}), [idOfFound(i + 1)]: record } };
  }, done);
  return { ...added, version: VERSION };
}
