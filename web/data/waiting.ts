import { useMemo } from 'react';
import { fillingKind } from '../../core/interiors/index.js';
import { spacesOf, type Piece, type Space } from '../../core/piece/index.js';
import { shellOf } from '../../core/shells/index.js';
import type { Thing } from '../../core/things/index.js';
import { useProject } from './project.js';

/** The things that what fills a space is for. */
function thingsOf({ filling }: Space): readonly string[] {
  const names = filling ? fillingKind(filling).names(filling) : [];
  return names.flatMap((n) => (n.kind === 'thing' ? [n.id] : []));
}

/**
 * How many of each thing stand in none of some pieces, by its id. What a filling is for lies in that, as far as there is
 * room: its checks tell of the rest.
 */
export function waitingIn(
  pieces: readonly Piece[],
  things: readonly { readonly id: string; readonly data: Pick<Thing, 'count'> }[],
): ReadonlyMap<string, number> {
  const spaces = pieces.flatMap((piece) => [...spacesOf(piece.interior)].map(({ space }) => space));
  const filling = new Set(spaces.flatMap(thingsOf));
  const placed = new Map<string, number>();
  for (const t of [...spaces.flatMap((s) => s.things), ...pieces.flatMap((piece) => shellOf(piece).placed(piece))])
    placed.set(t.thing, (placed.get(t.thing) ?? 0) + t.count);
  return new Map(things.map(({ id, data }) => [id, filling.has(id) ? 0 : Math.max(0, data.count - (placed.get(id) ?? 0))]));
}

/** Every thing with how many of it stand in no piece yet. */
export function useWaiting() {
  const { bench } = useProject();
  return useMemo(() => {
    const { pieces, things } = bench.records;
    const waiting = waitingIn(
      pieces.map((p) => p.data.piece),
      things,
    );
    return things.map((t) => ({ ...t, waiting: waiting.get(t.id) ?? 0 }));
  }, [bench]);
}
