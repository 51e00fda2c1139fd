import type { Piece } from '../../core/piece/index.js';
import type { ApiError, Kind, Records } from './api.js';
import type { Waiting } from './errand-queue.js';

/** What is sent for a record of each kind; of a piece only the piece, its letters are the server's. */
export type Sent<K extends Kind> = K extends 'pieces' ? Piece : Records[K];

/** An edit that lost a race or was refused, waiting for a choice. */
export interface Trouble {
  readonly kind: Kind;
  readonly id: string;
  readonly label: string;
  /** The record as the first of these edits had it, and as the last of them makes it. */
  readonly seen: unknown;
  readonly yours: unknown;
  readonly error: ApiError;
  /** What is kept of it until it is settled. */
  readonly kept: readonly Waiting[];
}

/** What is told at the foot of the page until it is dismissed: something that was refused, or taken out and can be brought back. */
export interface Notice {
  readonly text: string;
  readonly tone: 'done' | 'refused';
  /** The records whose latest change brings it back. */
  readonly undo?: readonly string[];
}

export const EVERY_BENCH = ['bench'] as const;
export const benchKey = (project: string) => [...EVERY_BENCH, project] as const;
