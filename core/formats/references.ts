import { dividingMembersOf, namedIn, spacesOf, type Piece } from '../piece/index.js';
import type { Fault } from './faults.js';
import type { ProjectFile } from './project-file.js';

/** Node ids that stand twice in a piece, and runs with the wrong number of spaces for their members. */
export function pieceFaults(piece: Piece, path: string): readonly Fault[] {
  const faults: Fault[] = [];
  const seen = new Set<string>();
  const once = (id: string) => {
    if (seen.has(id))
      faults.push({ path: `${path}/interior`, message: `the id ${id} stands twice`, given: id, accepted: 'each node id once in a piece' });
    seen.add(id);
  };
  for (const { space } of spacesOf(piece.interior)) {
    once(space.id);
    const split = space.split;
    if (split && split.spaces.length !== split.members.length + 1) {
      faults.push({
        path: `${path}/interior`,
        message: `space ${space.id} has ${split.members.length} members and ${split.spaces.length} spaces`,
        accepted: 'one more space than members',
      });
    }
  }
  for (const { member } of dividingMembersOf(piece.interior)) once(member.id);
  return faults;
}

function missing(path: string, what: string, id: string, known: object): Fault[] {
  if (id in known) return [];
  const ids = Object.keys(known).slice(0, 8).join(', ');
  return [{ path, message: `there is no ${what} ${id}`, given: id, accepted: ids ? `one of ${ids}` : `a ${what} that is in the file` }];
}

/** Ids in a project file that lead nowhere. */
export function referenceFaults(file: ProjectFile): readonly Fault[] {
  return Object.entries(file.pieces).flatMap(([id, { piece }]) => {
    const path = `/pieces/${id}/piece`;
    const stocks = Object.entries(piece.stock).flatMap(([use, stock]) => missing(`${path}/stock/${use}`, 'stock', stock, file.stock));
    const opening = piece.opening === undefined ? [] : missing(`${path}/opening`, 'opening', piece.opening, file.openings);
    const records = { stock: file.stock, slide: file.slides ?? {}, thing: file.things };
    const inside = namedIn(piece.interior).flatMap((n) => missing(`${path}/interior (${n.where})`, n.kind, n.id, records[n.kind]));
    const packing =
      piece.shell === 'in-place' && piece.packing ? missing(`${path}/packing/stock`, 'stock', piece.packing.stock, file.stock) : [];
    return [...pieceFaults(piece, path), ...opening, ...stocks, ...inside, ...packing];
  });
}
