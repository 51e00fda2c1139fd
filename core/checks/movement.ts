import { allKept, movementOf, reachAlong, type Carried, type Kept } from '../carry/index.js';
import { fine, say } from '../figure/index.js';
import { pieceFix, type Check } from '../finding/index.js';
import { toMm } from '../length/index.js';
import { boxOf, placingOf, type Letters, type Member, type Piece, type Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { sortOfKeep } from '../shells/index.js';
import { dot, placeOf } from '../solid/index.js';
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

/** How much play a panel has across its grain between the grooves that both of its edges lie in, mm; null where one of them is free. */
function playInGrooves(panel: Member, members: readonly Member[]): number | null {
  const across = panel.frame.v;
  const [low, high] = reachAlong(panel, across);
  const bottoms = members.flatMap((m) =>
    Math.abs(dot(m.frame.n, across)) < 1 - 1e-9
      ? []
      : m.features.flatMap((f): number[] => {
          if (f.kind !== 'groove' || f.mate !== panel.id) return [];
          const up = f.face === 'up' ? toMm(m.thickness.value) - toMm(f.depth) : toMm(f.depth);
          return [dot(placeOf(placingOf(m), [0, 0, up]), across)];
        }),
  );
  const [below, above] = [bottoms.filter((b) => b <= low + 1e-6), bottoms.filter((b) => b >= high - 1e-6)];
  return below.length > 0 && above.length > 0 ? low - Math.max(...below) + (Math.min(...above) - high) : null;
}

/** Panels of solid wood that lie in grooves at both of their edges, and swell by more than the play that is there. */
function grooved(panel: Member, members: readonly Member[], letters: Letters, workshop: Workshop): Check[] {
  const { material } = propertiesOf(panel.stock);
  const moves = movementOf(material.id, toMm(panel.width.value), workshop.settings.serviceClass);
  const play = moves && moves.flat > TAKEN_UP ? playInGrooves(panel, members) : null;
  if (!moves || play === null || play >= moves.flat) return [];
  const sentence = say`${capital(nameOf(panel, letters))} of ${panel.stock.name} moves ${fine(moves.quarter, 1)} to ${fine(moves.flat, 1)} across its grain over a year (${moves.from} to ${moves.to} % of moisture, Wood Handbook table 13-5), and has ${fine(play, 1)} of play in its grooves: swollen it presses their sides apart. Cut it as much smaller, or turn its grain.`;
  return [{ id: `moves-${panel.id}`, severity: 'look', state: 'close', about: { kind: 'member', id: panel.id }, sentence, fixes: [] }];
}

/** What keeps a panel and still lets it move. */
const LETS_MOVE: ReadonlySet<Kept['way']> = new Set(['plates', 'rests']);

/**
 * Decks of solid wood that are held so that they split, or have no room, and panels in grooves without play, when they move across their grain over a year.
 * @example movementChecks(CASE, SOLVED.shape, SOLVED.carried, {}, SHOP) // []
 */
export function movementChecks(piece: Piece, { members }: Shape, carried: Carried, letters: Letters, workshop: Workshop): Check[] {
  const kept = allKept(carried);
  const keptFast = new Set(kept.flatMap(({ way, held }) => (LETS_MOVE.has(way) ? [] : [held.id])));
  const byId = new Map(members.map((m) => [m.id, m]));
  const inGrooves = new Set(members.flatMap((m) => m.features.flatMap((f) => (f.kind === 'groove' ? [f.mate] : []))));
  return members.flatMap((deck): Check[] => {
    if (deck.role !== 'deck') return inGrooves.has(deck.id) ? grooved(deck, members, letters, workshop) : [];
    const { material } = propertiesOf(deck.stock);
    const moves = movementOf(material.id, toMm(deck.width.value), workshop.settings.serviceClass);
    if (!moves || moves.flat <= TAKEN_UP) return [];
    const about = { kind: 'member', id: deck.id } as const;
    const how = say`${capital(nameOf(deck, letters))} of ${deck.stock.name} moves ${fine(moves.quarter, 1)} to ${fine(moves.flat, 1)} across its grain over a year (${moves.from} to ${moves.to} % of moisture, Wood Handbook table 13-5)`;
    const room = roomAtPosts(deck, byId);
    const tight = room !== null && room < moves.flat / 2;
    const beside = tight ? say` Its notches leave ${fine(room, 1)} beside the posts: make them ${fine(moves.flat / 2, 1)} larger.` : say``;
    if (deck.slides || !keptFast.has(deck.id)) {
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
    // Told apart or by its sort, what holds it fast is told anew.
    const told = kept.flatMap(({ held, by, way }) =>
      held.id !== deck.id || LETS_MOVE.has(way) ? [] : [`${held.id} on ${by.id}`, sortOfKeep(held.role, by.role)],
    );
    const fastened = { ...piece.fastened, ...Object.fromEntries(told.map((key) => [key, 'plates' as const])) };
    const fixes = [pieceFix(say`Hold it by plates that let it move`, { kind: 'piece', patch: { fastened } })];
    return [
      { id: `moves-${deck.id}`, severity: 'look', state: 'close', about, sentence: say`${how}: screwed fast it splits.${beside}`, fixes },
    ];
  });
}
