import type { Base } from './spec.js';

/** A base as a loose plinth: what only sides that run to the floor have is left out. */
export function onPlinth({ height, setback, bearers }: Exclude<Base, { kind: 'none' }>): Base {
  return { kind: 'plinth', height, setback, bearers };
}
