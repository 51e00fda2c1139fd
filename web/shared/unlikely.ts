import type { Length } from '../../core/length/index.js';

/** Half as much again as was planned, or half of it, is more likely a slip of the finger than what the tape says: it is asked back, and not refused. */
export function isUnlikely(measured: Length, planned: Length): boolean {
  const ratio = measured / planned;
  return ratio > 1.5 || ratio < 0.5;
}
