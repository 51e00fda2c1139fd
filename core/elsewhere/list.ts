import type { Length } from '../length/index.js';

/** One line of a cut list that was found or bought. */
export interface PlanRow {
  /** From 1, as it stood in the list. */
  readonly line: number;
  readonly name: string;
  readonly count: number;
  readonly length: Length;
  readonly width: Length;
  readonly thickness: Length;
}
