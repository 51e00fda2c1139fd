import type { Kind, Records, Versioned, Workbench } from './api.js';
import type { Errand } from './errands.js';

/** A project in which one record is another. */
export function withUpdated<K extends Kind>(
  bench: Workbench,
  kind: K,
  id: string,
  update: (record: Versioned<Records[K]>) => Versioned<Records[K]>,
): Workbench {
  const list = bench.records[kind] as readonly Versioned<Records[K]>[];
  return { ...bench, records: { ...bench.records, [kind]: list.map((r) => (r.id === id ? update(r) : r)) } };
}

/** A project with a record more; where it is there already it is put in its place. */
export function withRecord(bench: Workbench, kind: Kind, record: Versioned<unknown>): Workbench {
  const others = (bench.records[kind] as readonly Versioned<unknown>[]).filter((r) => r.id !== record.id);
  return { ...bench, records: { ...bench.records, [kind]: [...others, record] } };
}

/** Facts with one more; the same one is not taken twice. */
export function withFact<T>(facts: readonly Versioned<T>[], added: Versioned<T>): readonly Versioned<T>[] {
  return facts.some((f) => f.id === added.id) ? facts : [...facts, added];
}

/** A project as it looks with an edit that is on its way. What only the server can say is shown when it has said it. */
export function withErrand(bench: Workbench, errand: Errand): Workbench {
  if (errand.does === 'settings') return { ...bench, project: errand.data };
  // The letters of a piece are the server's to give.
  if (errand.does === 'create' && errand.kind !== 'pieces')
    return withRecord(bench, errand.kind, { id: errand.id, version: 1, data: errand.data });
  if (errand.does !== 'save') return bench;
  const { kind, id, data } = errand;
  const shown = (now: unknown) => (kind === 'pieces' ? { ...(now as Records['pieces']), piece: data } : data);
  return withUpdated(bench, kind, id, (record) => ({ ...record, data: shown(record.data) as never }));
}
