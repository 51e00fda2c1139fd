import type { Figure, Sentence } from '../figure/index.js';
import type { Length } from '../length/index.js';
import type { GapRule, Rounding } from './rule.js';

/** Something with an extent along the run. */
export interface RunMember {
  readonly kind: 'member';
  readonly id: string;
  readonly label: string;
  /** What several of it are called in a sum, such as "shelves". */
  readonly plural: string;
  readonly extent: Figure;
  /** Where its near edge is held, from the datum; free when left out. */
  readonly at?: Figure;
}

/** An open length between members, with the rule that decides it. */
export interface RunGap {
  readonly kind: 'gap';
  readonly id: string;
  readonly label: string;
  readonly rule: GapRule;
  readonly least?: Length;
  readonly greatest?: Length;
  /** What stands in it needs this much, its own clearance included; none when nothing with a size stands in it. */
  readonly need?: Figure;
}

export type RunLine = RunMember | RunGap;

/** What decides the whole length. */
export type RunTotal =
  | { readonly kind: 'given'; readonly figure: Figure }
  | { readonly kind: 'follows' }
  | { readonly kind: 'bounded'; readonly least?: Figure; readonly greatest?: Figure };

/** One line through a piece along one axis, from one datum. */
export interface RunSpec {
  readonly lines: readonly RunLine[];
  readonly total: RunTotal;
  readonly rounding: Rounding;
}

/** A line of a run in its place. */
export interface PlacedLine {
  readonly line: RunLine;
  /** The size as it will be built, with the sum that gave it. */
  readonly size: Figure;
  /** The size before it was brought to the grid. */
  readonly exact: Figure;
  /** The near and the far edge, from the datum. */
  readonly near: Figure;
  readonly far: Figure;
}

/** A change to a run that would settle a conflict. */
export type RunChange =
  | { readonly kind: 'rule'; readonly gap: string; readonly rule: GapRule }
  | { readonly kind: 'drop'; readonly member: string }
  | { readonly kind: 'total'; readonly total: Length }
  | { readonly kind: 'unpin'; readonly member: string }
  | { readonly kind: 'unbound'; readonly gap: string };

/** A way out of a conflict: what it is called, the change, and how much of the run it changes (0 to 1). */
export interface WayOut {
  readonly label: Sentence;
  readonly change: RunChange;
  readonly weight: number;
}

/** A run that cannot be met: by how much, and what would settle it, least change first. */
export interface RunConflict {
  /** `over`: the lines need more than there is; `under`: nothing takes up what is left; `pins`: two members are held in the wrong order. */
  readonly kind: 'over' | 'under' | 'pins';
  readonly by: Length;
  readonly sentence: Sentence;
  readonly ways: readonly WayOut[];
}

/** What is smaller than a step of the grid, and the gap that holds it. */
export interface Residue {
  readonly amount: Length;
  readonly gap: string;
}

export interface RunSolution {
  readonly total: Figure;
  readonly lines: readonly PlacedLine[];
  readonly residues: readonly Residue[];
  readonly conflicts: readonly RunConflict[];
  /** Gaps that should fit what stands in them while nothing with a size does; they share instead. */
  readonly unfitted: readonly string[];
}
