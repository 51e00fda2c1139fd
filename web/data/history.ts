import { useCallback, useEffect, useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import { api } from './api.js';
import { useProject, useSaverState } from './project.js';

/** The field in which something is typed that is not an edit yet: there Ctrl+Z takes back the typing. */
class Typing {
  private field: EventTarget | null = null;

  at(field: EventTarget | null): void {
    const writes =
      field instanceof HTMLTextAreaElement || (field instanceof HTMLInputElement && !/^(checkbox|radio|range)$/.test(field.type));
    this.field = writes ? field : null;
  }

  end(): void {
    this.field = null;
  }

  isAt(target: EventTarget | null): boolean {
    return target !== null && this.field === target;
  }
}

/** What tells one state of the project's history from the next: any edit gives its record another version. */
export function useEdition(): string {
  const { bench } = useProject();
  return useMemo(() => {
    const versions = Object.values(bench.records).flatMap((kind) => kind.map((r) => `${r.id} ${r.version}`));
    return `${bench.version} ${versions.join(' ')}`;
  }, [bench]);
}

/** Undo and redo over some records, `kind/id` or a whole `kind` each, kept on the server so that they outlive a reload. */
export function useHistory(scope: readonly string[]) {
  const { id, saver } = useProject();
  const { waiting } = useSaverState(saver);
  const edition = useEdition();
  const query = useQuery({
    queryKey: ['history', id, scope, edition],
    queryFn: () => api.history(id, scope),
    enabled: waiting === 0 && scope.length > 0,
    placeholderData: (before) => before,
  });
  const next = query.data;
  const asOf = query.dataUpdatedAt;
  // The change that is shown as the next one, and since when that is known.
  const meant = useCallback((direction: 'undo' | 'redo') => ({ change: next?.[`${direction}Change`] ?? null, asOf }), [next, asOf]);
  useEffect(() => {
    const typing = new Typing();
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Enter' || event.key === 'Escape') typing.end();
      if (typing.isAt(event.target) || !(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      const direction = key === 'y' || event.shiftKey ? 'redo' : 'undo';
      void saver.walk(direction, scope, meant(direction));
    };
    const onInput = (event: Event) => typing.at(event.target);
    const onLeave = () => typing.end();
    window.addEventListener('keydown', onKey, true);
    window.addEventListener('input', onInput, true);
    window.addEventListener('focusin', onLeave, true);
    return () => {
      window.removeEventListener('keydown', onKey, true);
      window.removeEventListener('input', onInput, true);
      window.removeEventListener('focusin', onLeave, true);
    };
  }, [saver, scope, meant]);
  return useMemo(
    () => ({
      undo: () => void saver.walk('undo', scope, meant('undo')),
      redo: () => void saver.walk('redo', scope, meant('redo')),
      next: next ?? { undo: null, redo: null },
    }),
    [saver, scope, next, meant],
  );
}
