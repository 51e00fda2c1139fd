import { RECORD_KINDS } from '../../core/formats/index.js';
import type { PgTable } from 'drizzle-orm/pg-core';
import * as schema from './schema.js';

/** The kinds of record a project holds, each in a table of its own. */
export const KINDS = RECORD_KINDS;
export type Kind = (typeof KINDS)[number];

/** Those that are facts: added, never changed, and no part of undo. */
export const FACTS = ['readings', 'made'] as const satisfies readonly Kind[];
export type FactKind = (typeof FACTS)[number];
export type EditedKind = Exclude<Kind, FactKind>;

/** Those that are edited, each edit a change that can be taken back. */
export const EDITED = KINDS.filter((kind): kind is EditedKind => !FACTS.some((fact) => fact === kind));

/** The project itself, among the changes that can be taken back. */
export const PROJECT = 'project';

type OwnedTable = typeof schema.openings;

/** The table of a kind. The tables are alike in their columns, so one service serves them all. */
export function tableOf(kind: Kind): OwnedTable {
  return schema[kind] as PgTable as OwnedTable;
}

/** A record as it is stored. */
export interface StoredRecord {
  readonly id: string;
  /** Goes up with every change; an edit must name the version it was made on. */
  readonly version: number;
  readonly data: unknown;
}

/** What one of a kind is called. */
export const ONE: Readonly<Record<Kind, string>> = {
  openings: 'opening',
  things: 'thing',
  stock: 'stock',
  slides: 'slide',
  hardware: 'hardware',
  people: 'person',
  pieces: 'piece',
  cuttings: 'cutting',
  buildings: 'plan of building',
  log: 'entry of the log',
  readings: 'reading',
  made: 'note of a part',
};
