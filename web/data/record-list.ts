import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Kind } from './api.js';
import { newId } from './defaults.js';
import { useProject } from './project.js';
import type { Sent } from './told.js';

/** A list of records of one kind on a screen: which is open, what went wrong, and how one is added, kept and taken out. */
export function useRecordList<K extends Kind>(kind: K) {
  const { bench, saver } = useProject();
  const records = bench.records[kind];
  const [asked] = useSearchParams();
  const [open, setOpen] = useState<string | null>(asked.get('open'));
  const [problem, setProblem] = useState<string | null>(null);
  const told = (e: Error) => setProblem(e.message);
  return {
    records,
    open,
    setOpen,
    problem,
    chosen: records.find((r) => r.id === open),
    add: async (fresh: Sent<K> & { name: string }) => {
      const id = newId(
        fresh.name,
        records.map((r) => r.id),
      );
      await saver.create(kind, id, fresh, `Added ${fresh.name}`.slice(0, 150)).catch(told);
      setOpen(id);
    },
    keep: (id: string, next: Sent<K>, label: string) =>
      saver.save(kind, id, next, label.slice(0, 150), records.find((r) => r.id === id)?.data as Sent<K> | undefined),
    takeOut: (id: string) => void saver.remove(kind, id),
  };
}
