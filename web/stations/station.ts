import type { Source } from '../../core/figure/index.js';
import type { Solution } from '../../core/solution/index.js';
import type { Fetched } from '../shared/boundary.js';

/** What a station tells beside its name before one goes there. */
export interface Badge {
  readonly text: string;
  /** Something there stops the build. */
  readonly stops: boolean;
  /** The same in words. */
  readonly says: string;
}

/** A place on the bench where one part of the work is done. */
export interface Station {
  readonly id: string;
  readonly label: string;
  readonly badge: (solution: Solution) => Badge | null;
  /** What its middle shows, as it is called where it could not be shown. */
  readonly shows: string;
  /** What the link to it says at the station before. */
  readonly next: string;
  /** What comes before any other station, where it does: such as what must be measured first. */
  readonly first?: (settled: Solution) => string | null;
  /** Whether the field that a figure comes from is on its worksheet or its drawing. */
  readonly holds?: (source: Source) => boolean;
  /** What is typed, what is drawn, and what it comes to. */
  readonly Sheet: Fetched<object>;
  readonly Stage: Fetched<object>;
  readonly Answers: Fetched<object>;
}
