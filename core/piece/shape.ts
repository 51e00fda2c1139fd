import type { Figure, Sentence } from '../figure/index.js';
import type { Length } from '../length/index.js';
import type { PieceEdit } from './edit.js';
import type { Box, Member } from './member.js';
import type { Axis, Space } from './spec.js';
import type { PlacedLine, RunSolution, RunSpec } from '../run/index.js';
import type { Block } from '../things/index.js';

/** The members round a space. */
export interface Neighbours {
  readonly left: string;
  readonly right: string;
  readonly below: string;
  readonly above: string;
}

/** A space in its place. */
export interface PlacedSpace {
  readonly id: string;
  readonly space: Space;
  readonly label: string;
  readonly box: Box;
  readonly clear: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  readonly neighbours: Neighbours;
  /** The space that this one is a part of, and its line in that run; null for the whole interior. */
  readonly within: { readonly owner: string; readonly axis: Axis; readonly line: PlacedLine } | null;
  readonly depth: number;
  /** What stands in it, side by side from the left. */
  readonly blocks: readonly Block[];
}

/** The run that divides a space. */
export interface PlacedRun {
  readonly owner: string;
  readonly axis: Axis;
  readonly spec: RunSpec;
  readonly run: RunSolution;
  /** Where the datum of the run lies in the piece, along its axis. */
  readonly datum: Figure;
}

/** How one member bears on another, or on the floor. */
export type Bearing = 'bearing' | 'housed' | 'pins' | 'screws';

/** A place where a member gives its load to another. */
export interface Joint {
  readonly carried: string;
  /** A member, or the floor. */
  readonly carrier: string;
  readonly how: Bearing;
  /** Where along x the load is given; left out where the carrier holds it along its whole length. */
  readonly x?: Length;
}

export const FLOOR = 'floor';

/** Something that keeps a piece from being worked out, or from being right, with edits that would mend it. */
export interface ShapeProblem {
  readonly id: string;
  readonly about: string;
  readonly stops: boolean;
  readonly sentence: Sentence;
  readonly fixes: readonly { readonly label: Sentence; readonly edit: PieceEdit }[];
}

/** The geometry of a piece: what a shell and its interior make of a spec. */
export interface Shape {
  readonly overall: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  /** The height of the case without a loose plinth. */
  readonly caseHeight: Figure;
  /** Across the corners of the case, from the foot of its rear to the top of its front: what it needs to be tipped upright. */
  readonly diagonal: Figure;
  readonly spaces: ReadonlyMap<string, PlacedSpace>;
  readonly runs: ReadonlyMap<string, PlacedRun>;
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  readonly problems: readonly ShapeProblem[];
}
