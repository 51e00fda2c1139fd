import type { Newtons } from '../../measures/index.js';
import type { Sentence } from '../../figure/index.js';
import type { Vector } from '../../solid/index.js';
import type { Support } from '../support.js';
import type { State } from '../verdict.js';
import type { Row } from './driven.js';

/** A row of screws and how many go in it. */
export interface ScrewedEnd {
  readonly row: Row;
  readonly count: number;
}

/** A row of bolts and how many go in it. */
export interface BoltedEnd {
  readonly diameter: number;
  readonly length: number;
  readonly count: number;
  /** With a nut let in from the side, or with one on its far end. */
  readonly nut: 'barrel' | 'plain';
  /** Where each comes out of what carries into what it holds, the upper one first. */
  readonly at: readonly Vector[];
  /** The way that they go in. */
  readonly way: Vector;
  /** How far they go through what carries, and to the nut or right through what they hold, mm. */
  readonly through: number;
  readonly into: number;
}

/** How one end of a member is held, and whether that holds what it gives on. */
export interface Fixing {
  readonly support: Support;
  readonly state: State;
  /** Why it is not checked, where it is not. */
  readonly reason?: string;
  /** What it holds, N, where that is one figure. */
  readonly holds?: Newtons;
  /** What is said of it, put together when it is asked for: with its screws where they usually go, or so far along, mm. */
  readonly sentence: (moved?: number) => Sentence;
  /** Bolts that it takes, where it is bolted. */
  readonly bolts?: BoltedEnd;
  /** Screws that it takes, where it is screwed. */
  readonly screws?: ScrewedEnd;
}

export const notJudged = (support: Support, reason: string, sentence: () => Sentence): Fixing => ({
  support,
  state: 'not checked',
  reason,
  sentence,
});
