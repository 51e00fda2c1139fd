import type { ComponentType } from 'react';
import { Anchoring } from './anchoring.js';
import { Chained } from './chained.js';
import { Cleat } from './cleat.js';
import { Creep } from './creep.js';
import { Direction } from './direction.js';
import { FirstPiece } from './first-piece.js';
import { FixedLoose } from './fixed-loose.js';
import { HeldRound } from './held-round.js';
import { Movement } from './movement.js';
import { Rated } from './rated.js';
import { Sag } from './sag.js';
import { Screws } from './screws.js';
import { Sight } from './sight.js';
import { Stiffeners } from './stiffeners.js';
import { Tables } from './tables.js';
import { Thumb } from './thumb.js';
import { Waits } from './waits.js';

/** A page of the handbook. */
export interface HandbookPage {
  readonly id: string;
  readonly title: string;
  readonly body: ComponentType;
}

export const PAGES: readonly HandbookPage[] = [
  { id: 'first-piece', title: 'Your first piece', body: FirstPiece },
  { id: 'sag', title: 'Why shelves sag', body: Sag },
  { id: 'thumb', title: 'Rules of thumb, put to the test', body: Thumb },
  { id: 'sight', title: 'What the eye sees', body: Sight },
  { id: 'tables', title: 'Why tables in books disagree', body: Tables },
  { id: 'creep', title: 'Today and later: creep', body: Creep },
  { id: 'fixed', title: 'Fixed and loose shelves', body: FixedLoose },
  { id: 'stiffeners', title: 'Strips, layers and twist', body: Stiffeners },
  { id: 'round', title: 'Panels held all round', body: HeldRound },
  { id: 'direction', title: 'Which way the plywood runs', body: Direction },
  { id: 'screws', title: 'Screws', body: Screws },
  { id: 'rated', title: 'What “rated” means', body: Rated },
  { id: 'anchoring', title: 'Tipping and anchoring', body: Anchoring },
  { id: 'cleat', title: 'Hung on a bevelled cleat', body: Cleat },
  { id: 'movement', title: 'Solid wood moves', body: Movement },
  { id: 'chained', title: 'Chained, or from one end', body: Chained },
  { id: 'waits', title: 'Glue, paint and the cold', body: Waits },
];
