import { letterAt } from '../parts/index.js';
import { dividingMembersOf, spacesOf, type Piece } from '../piece/index.js';

/** Every node id in use in a piece. @example takenIds(CASE).has('in-m1') // true */
export function takenIds(piece: Piece): ReadonlySet<string> {
  const ids = new Set<string>();
  for (const { space } of spacesOf(piece.interior)) ids.add(space.id);
  for (const { member } of dividingMembersOf(piece.interior)) ids.add(member.id);
  return ids;
}

/** Fresh ids for new nodes, none of them taken: `prefix-a`, `prefix-b` and on. @example freshIds(new Set(['shelf-1']), 'shelf', 1) // ['shelf-a'] */
export function freshIds(taken: ReadonlySet<string>, prefix: string, count: number): readonly string[] {
  const ids: string[] = [];
  for (let i = 0; ids.length < count; i += 1) {
    const id = `${prefix}-${letterAt(i).toLowerCase()}`;
    if (!taken.has(id)) ids.push(id);
  }
  return ids;
}
