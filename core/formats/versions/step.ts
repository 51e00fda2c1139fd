/** A document as it was read: what it holds is not known to be right yet. */
export type Raw = Readonly<Record<string, unknown>>;

/** What records a project has, each by its name in a file and in the data folder. */
export type RecordKind =
  | 'project'
  | 'openings'
  | 'things'
  | 'stock'
  | 'slides'
  | 'hardware'
  | 'people'
  | 'pieces'
  | 'cuttings'
  | 'buildings'
  | 'log'
  | 'readings'
  | 'made';

/** A record that was a part of another one before. */
export interface Found {
  readonly kind: Exclude<RecordKind, 'project'>;
  readonly record: Raw;
}

/**
 * Brings documents from one version to the next. A step is never changed once it was shipped: files and folders of
 * its version are there. It takes whatever it is given, leaves what it does not know as it is, and never throws.
 */
export interface Step {
  /** The version that it brings on. */
  readonly from: number;
  /** What becomes of a record of each kind; those that are left out stay as they are. */
  readonly records: Partial<Readonly<Record<RecordKind, (record: Raw) => Raw>>>;
  /** What becomes a record of its own out of a record of each kind, as it was before the step. */
  readonly found?: Partial<Readonly<Record<RecordKind, (id: string, record: Raw) => readonly Found[]>>>;
}

export const isRaw = (value: unknown): value is Raw => value !== null && typeof value === 'object' && !Array.isArray(value);

/** An object with one of its fields changed, where it has it and that is an object too. */
export function within(raw: Raw, key: string, change: (inner: Raw) => Raw): Raw {
  const inner = raw[key];
  return isRaw(inner) ? { ...raw, [key]: change(inner) } : raw;
}
