import { useMemo } from 'react';
import { spacesOf } from '../../core/piece/index.js';
import { shellOf } from '../../core/shells/index.js';
import { useProject } from './project.js';

/** Every thing with how many of it stand in no piece yet. */
export function useWaiting() {
  const { bench } = useProject();
  return useMemo(() => {
    const placed = new Map<string, number>();
    for (const record of bench.records.pieces) {
      const { piece } = record.data;
      const inside = [...spacesOf(piece.interior)].flatMap(({ space }) => space.things);
      for (const t of [...inside, ...shellOf(piece).placed(piece)]) placed.set(t.thing, (placed.get(t.thing) ?? 0) + t.count);
    }
    return bench.records.things.map((t) => ({ ...t, waiting: Math.max(0, t.data.count - (placed.get(t.id) ?? 0)) }));
  }, [bench]);
}
