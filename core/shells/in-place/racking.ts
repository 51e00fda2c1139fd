import { say, type Sentence } from '../../figure/index.js';
import { leanCheck, toWall, type Check } from '../../finding/index.js';
import type { Shape } from '../../piece/index.js';
import type { InPlace } from './spec.js';

/** What stands in a place that is there already leans on that; a rack of ladders stands by itself. */
export function placeRacking(piece: InPlace, shape: Shape): readonly Check[] {
  if (piece.fixedToWall) return [];
  const ladders = shape.members.some((m) => m.role === 'ladder upright');
  const sentence: Sentence = ladders
    ? say`Nothing keeps the ladders from leaning over sideways: fix the rack to the wall, or brace it.`
    : say`Whether it leans over sideways goes by the place that it is put into: not checked.`;
  return [leanCheck('look', ladders ? 'fails' : 'not checked', sentence, [toWall()])];
}
