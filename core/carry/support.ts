import type { Newtons } from '../measures/index.js';
import type { Joint } from '../piece/index.js';
import type { Line } from './line.js';

/** What a member gives on to what carries it. */
export interface Support {
  readonly carrier: string;
  readonly how: Joint['how'];
  readonly by?: Joint['by'];
  /** Where; left out for what holds it along its whole length. */
  readonly on?: Line;
  /** How far out from the face that holds it the load lies, mm, where that pulls at its screws besides. */
  readonly out?: number;
  /** Under all of the load. */
  readonly newtons: Newtons;
  /** The most under any pattern of load; as much as under all of it where it is left out. */
  readonly most?: number;
  /** True where a one-way support is not touched. */
  readonly lifted: boolean;
}

/** What a support has to hold, N: the most under any pattern of load. @example heldAt({ newtons: 10, most: 14 }) // 14 */
export const heldAt = ({ newtons, most }: Support): number => Math.max(newtons, most ?? newtons);
