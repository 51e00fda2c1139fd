import { movementOf } from '../carry/index.js';
import { fine, say } from '../figure/index.js';
import { pieceFix, type Check, type Fix } from '../finding/index.js';
import { toMm } from '../length/index.js';
import { boxOf, type Letters, type Member, type Piece, type Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { shellOf } from '../shells/index.js';
import { propertiesOf } from '../stock/index.js';
import { capital, nameOf } from './names.js';

/** So little movement is taken up by the holes of screws, mm, typical. */
const TAKEN_UP = 1;

/** How much room a deck has beside a post that goes through it, across its grain, mm: the least of its notches; null for one that has none. */
function roomAtPosts(deck: Member, members: ReadonlyMap<string, Member>): number | null {
  const rooms = deck.features.flatMap((f): number[] => {
    const post = f.kind === 'notch' ? members.get(f.mate) : undefined;
    if (!post || f.kind === 'hole') return [];
    const { z0, z1 } = boxOf(post);
    return [toMm(f.region.v1) - toMm(f.region.v0) - (toMm(z1) - toMm(z0))];
  });
  return rooms.length > 0 ? Math.min(...rooms) : null;
}

/**
 * Decks of solid wood that are held so that they split, or have no room, when they move across their grain over a year.
 * @example movementChecks(CASE, SOLVED.shape, {}, SHOP) // []
 */
export function movementChecks(piece: Piece, { members }: Shape, letters: Letters, workshop: Workshop): Check[] {
  const byId = new Map(members.map((m) => [m.id, m]));
  return members.flatMap((deck): Check[] => {
    if (deck.role !== 'deck') return [];
    const { material } = propertiesOf(deck.stock);
    const moves = movementOf(material.id, toMm(deck.width.value), workshop.settings.serviceClass);
    if (!moves || moves.flat <= TAKEN_UP) return [];
    const about = { kind: 'member', id: deck.id } as const;
    const how = say`${capital(nameOf(deck, letters))} of ${deck.stock.name} moves ${fine(moves.quarter, 1)} to ${fine(moves.flat, 1)} across its grain over a year (${moves.from} to ${moves.to} % of moisture, Wood Handbook table 13-5)`;
    const room = roomAtPosts(deck, byId);
    const tight = room !== null && room < moves.flat / 2;
    const beside = tight ? say` Its notches leave ${fine(room, 1)} beside the posts: make them ${fine(moves.flat / 2, 1)} larger.` : say``;
    if (deck.slides) {
      const state = tight ? 'close' : 'fine';
      return [
        {
          id: `moves-${deck.id}`,
          severity: tight ? 'look' : 'good',
          state,
          about,
          sentence: say`${how}, and is held so that it may.${beside}`,
          fixes: [],
        },
      ];
    }
    const edit = shellOf(piece).lettingSlide?.(piece, deck);
    const fixes: Fix[] = edit ? [pieceFix(say`Hold it by buttons, or screws in slots`, edit)] : [];
    return [
      { id: `moves-${deck.id}`, severity: 'look', state: 'close', about, sentence: say`${how}: screwed fast it splits.${beside}`, fixes },
    ];
  });
}
