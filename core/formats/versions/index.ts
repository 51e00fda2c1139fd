import { filling } from './filling.js';
import { isRaw, within, type Raw, type RecordKind, type Step } from './step.js';

export type { Raw, RecordKind } from './step.js';

/** Every step there was, in order: each brings documents of its version to the next one. */
const STEPS: readonly Step[] = [filling];

/** The version that this program reads and writes. */
export const VERSION = STEPS.length + 1;

/** The oldest version that it reads. */
export const OLDEST = 1;

/** A record of a kind as this program has it. @param from the version it was written in */
export function recordBroughtUp(kind: RecordKind, record: unknown, from: number): unknown {
  return STEPS.filter((step) => step.from >= from).reduce((now, { records }) => (isRaw(now) ? (records[kind]?.(now) ?? now) : now), record);
}

/** The kinds of record a project holds. */
export const RECORD_KINDS = ['openings', 'things', 'stock', 'slides', 'people', 'pieces'] as const satisfies readonly RecordKind[];

/** A project file as this program writes it. @param from its own version */
export function fileBroughtUp(file: Raw, from: number): Raw {
  const each = (kind: RecordKind) => (records: Raw) =>
    Object.fromEntries(Object.entries(records).map(([id, record]) => [id, recordBroughtUp(kind, record, from)]));
  const project = within(file, 'project', (p) => recordBroughtUp('project', p, from) as Raw);
  const done = RECORD_KINDS.reduce((now, kind) => within(now, kind, each(kind)), project);
  return { ...done, version: VERSION };
}
