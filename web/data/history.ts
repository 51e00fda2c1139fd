import { useEffect } from 'react';
import { useQuery } from '@tanstack/react-query';
import { api } from './api.js';
import { useProject, useSaverState } from './project.js';

/** Undo and redo over some records, `kind/id` each, kept on the server so that they outlive a reload. */
export function useHistory(scope: readonly string[]) {
  const { id, bench, saver } = useProject();
  const { waiting } = useSaverState(saver);
  const query = useQuery({
    queryKey: ['history', id, scope, bench],
    queryFn: () => api.history(id, scope),
    enabled: waiting === 0 && scope.length > 0,
    placeholderData: (before) => before,
  });
  const undo = () => void saver.walk('undo', scope);
  const redo = () => void saver.walk('redo', scope);
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
  return { undo, redo, next: query.data ?? { undo: null, redo: null } };
}
