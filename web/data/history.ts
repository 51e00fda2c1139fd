import { useEffect, useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import { api } from './api.js';
import { useProject, useSaverState } from './project.js';

/** Undo and redo over some records, `kind/id` each, kept on the server so that they outlive a reload. */
export function useHistory(scope: readonly string[]) {
  const { id, bench, saver } = useProject();
  const { waiting } = useSaverState(saver);
  // Any edit gives its record another version, and with it another history.
  const edition = useMemo(() => {
    const versions = Object.values(bench.records).flatMap((kind) => kind.map((r) => `${r.id} ${r.version}`));
    return `${bench.version} ${versions.join(' ')}`;
  }, [bench]);
  const query = useQuery({
    queryKey: ['history', id, scope, edition],
    queryFn: () => api.history(id, scope),
    enabled: waiting === 0 && scope.length > 0,
    placeholderData: (before) => before,
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName);
      if (typing || !(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      void saver.walk(key === 'y' || event.shiftKey ? 'redo' : 'undo', scope);
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, [saver, scope]);
  const next = query.data;
  return useMemo(
    () => ({
      undo: () => void saver.walk('undo', scope),
      redo: () => void saver.walk('redo', scope),
      next: next ?? { undo: null, redo: null },
    }),
    [saver, scope, next],
  );
}
