import { dividingMembersOf, findMember, spacesOf, type Named, type Piece } from '../piece/index.js';
import { areCrossed, namedBy } from '../kinds/index.js';
import { shapeOf } from '../shells/index.js';
import type { Fault } from './faults.js';
import { partFaults, spaceFaults } from './limits.js';
import { workshopOf, type ProjectFile } from './project-file.js';
import { firstOf } from './validate.js';

/** The records that there are, by their ids; a workshop is one. */
export type Known = Readonly<Record<'openings' | 'stock' | 'slides' | 'things' | 'people', ReadonlyMap<string, unknown>>>;

/** Where the records of each kind that a piece names are kept. */
export const KEPT_IN = {
  opening: 'openings',
  stock: 'stock',
  slide: 'slides',
  thing: 'things',
  person: 'people',
} as const satisfies Record<Named['kind'], keyof Known>;

/** A least size that is more than the greatest one. */
function crossed(path: string): Fault {
  return { path, message: 'the least size is more than the greatest', accepted: 'a least size up to the greatest' };
}

/** Node ids that stand twice in a piece, members in line with none, and runs with the wrong number of spaces for their members. */
function nodeFaults(piece: Piece, path: string): readonly Fault[] {
  const faults: Fault[] = [];
  const seen = new Set<string>();
  for (const reach of ['width', 'height', 'depth'] as const) {
    const overall = piece[reach];
    if (overall.from === 'bounded' && areCrossed(overall)) faults.push(crossed(`${path}/${reach}`));
  }
  const once = (id: string) => {
    if (seen.has(id))
      faults.push({ path: `${path}/interior`, message: `the id ${id} stands twice`, given: id, accepted: 'each node id once in a piece' });
    seen.add(id);
  };
  for (const { space } of spacesOf(piece.interior)) {
    once(space.id);
    if (areCrossed(space)) faults.push(crossed(`${path}/interior (space ${space.id})`));
    const split = space.split;
    if (split && split.spaces.length !== split.members.length + 1) {
      faults.push({
        path: `${path}/interior`,
        message: `space ${space.id} has ${split.members.length} members and ${split.spaces.length} spaces`,
        accepted: 'one more space than members',
      });
    }
  }
  for (const { member } of dividingMembersOf(piece.interior)) {
    once(member.id);
    if (member.sameAs !== undefined && !findMember(piece.interior, member.sameAs))
      faults.push({
        path: `${path}/interior (member ${member.id})`,
        message: `there is no member ${member.sameAs} to be in line with`,
        given: member.sameAs,
        accepted: 'another member of the piece',
      });
  }
  return faults;
}

/**
 * What a piece names that is not there.
 * @example missingOf(CASE, SHOP) // []
 */
export function missingOf(piece: Piece, known: Known): readonly Named[] {
  return namedBy(piece).filter((n) => !known[KEPT_IN[n.kind]].has(n.id));
}

/**
 * What is wrong with a piece that is right by its schema: in itself, and in what it refers to.
 * The one check on create, save, import, undo and redo.
 * @param path of the piece in its document
 * @example pieceFaults(CASE, SHOP, '/pieces/case') // []
 */
export function pieceFaults(piece: Piece, known: Known, path: string): readonly Fault[] {
  const tooMany = spaceFaults(piece, path);
  if (tooMany.length > 0) return tooMany;
  const missing = missingOf(piece, known).map(({ kind, id, where }): Fault => {
    const ids = [...known[KEPT_IN[kind]].keys()].slice(0, 8).join(', ');
    return {
      path: where.includes(' ') ? `${path}/interior (${where})` : `${path}/${where}`,
      message: `there is no ${kind} ${id}`,
      given: id,
      accepted: ids ? `one of ${ids}` : `a ${kind} that is there`,
    };
  });
  return [...nodeFaults(piece, path), ...missing];
}

/**
 * Ids in a project file that lead nowhere, and pieces that have more of something than is worked out. @param told how many pieces were looked at
 * @example referenceFaults(FILE) // []
 */
export function referenceFaults(file: ProjectFile, told: (done: number, of: number) => void = () => undefined): readonly Fault[] {
  const known = workshopOf(file);
  const pieces = Object.entries(file.pieces).flatMap(([id, { piece }], i, { length }) => {
    told(i, length);
    const path = `/pieces/${id}/piece`;
    const faults = pieceFaults(piece, known, path);
    // What leads nowhere cannot be worked out, so that its parts cannot be counted.
    return faults.length > 0 ? faults : partFaults(shapeOf(piece, known), path);
  });
  const accepted = `one of ${Object.keys(file.pieces).slice(0, 8).join(', ')}`;
  const ofPieces = (['readings', 'made', 'buildings', 'log'] as const).flatMap((kind) =>
    Object.entries<{ readonly piece: string }>(file[kind] ?? {}).flatMap(([id, { piece }]): readonly Fault[] =>
      Object.hasOwn(file.pieces, piece)
        ? []
        : [{ path: `/${kind}/${id}/piece`, message: `there is no piece ${piece}`, given: piece, accepted }],
    ),
  );
  return firstOf([...pieces, ...ofPieces]);
}
