import { useDeferredValue, useEffect, useState } from 'react';
import { useBench } from './bench.js';
import type { Solution } from '../../core/solution/index.js';

/** From so many parts on, what follows for the loads takes longer than a frame or two. */
const MANY = 300;

/** So long a pause in what is typed, ms. */
const PAUSE = 200;

/**
 * A value as it is, or while it waits for a pause, as it was at the last one.
 * @param first what is told until there was one
 */
export function usePaused<T>(value: T, waits: boolean, first: T): T {
  const [paused, setPaused] = useState<{ readonly value: T } | null>(null);
  // What was told at a pause is nothing to the next that is typed.
  if (!waits && paused) setPaused(null);
  useEffect(() => {
    if (!waits) return undefined;
    const timer = setTimeout(() => setPaused({ value }), PAUSE);
    return () => clearTimeout(timer);
  }, [value, waits]);
  if (!waits) return value;
  return paused ? paused.value : first;
}

/**
 * The piece on the bench for what follows from its loads: the figures that are typed are painted first, and of a large piece it is
 * worked out once the typing pauses.
 * @param solution as it is typed, or as it is kept
 */
export function useLater(solution: Solution): Solution {
  const { settled, draft } = useBench();
  return useDeferredValue(usePaused(solution, draft !== null && solution.parts.length > MANY, settled));
}
