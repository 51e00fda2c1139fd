import { dividingKind, fillingKind, ofInteriors } from '../interiors/index.js';
import { spacesOf, type Named, type Names, type Piece, type Space, type StockUse } from '../piece/index.js';
import { shellOf } from '../shells/index.js';

/**
 * Everything outside itself that the inside of a piece names: what it holds, and what it is made of.
 * @example namedIn(CASE.interior).map((named) => named.id) // ['tin']
 */
export function namedIn(root: Space): readonly Named[] {
  return [...spacesOf(root)].flatMap(({ space }): Named[] => {
    const here = (names: readonly Names[]) => names.map((n): Named => ({ ...n, where: `space ${space.id}` }));
    const members = (space.split?.members ?? []).flatMap(({ id, stock, strip }) =>
      [stock, strip?.stock].flatMap((used): Named[] => (used === undefined ? [] : [{ kind: 'stock', id: used, where: `member ${id}` }])),
    );
    return [
      ...here(space.things.map((t) => ({ kind: 'thing', id: t.thing }))),
      ...(space.filling ? here(fillingKind(space.filling).names(space.filling)) : []),
      ...members,
      ...(space.split ? here(dividingKind(space.split).names(space.split.making)) : []),
    ];
  });
}

/**
 * The stock that a piece itself is made of: its shell, and what kinds of interiors say of all of it.
 * @example ownStock(CASE).map((use) => use.id) // ['ply', 'thin', 'ply', 'ply', 'ply']
 */
export function ownStock(piece: Piece): readonly StockUse[] {
  return [...shellOf(piece).uses(piece), ...ofInteriors().flatMap((kind) => kind.uses(piece))];
}

/** Pieces never change, so that what each names is found once. */
const known = new WeakMap<Piece, readonly Named[]>();

/** Every record outside itself that a piece names. @example namedBy(CASE).length // 6 */
export function namedBy(piece: Piece): readonly Named[] {
  const named = known.get(piece) ?? newlyNamed(piece);
  known.set(piece, named);
  return named;
}

function newlyNamed(piece: Piece): readonly Named[] {
  const opening: Named[] = piece.opening === undefined ? [] : [{ kind: 'opening', id: piece.opening, where: 'opening' }];
  const stock = ownStock(piece).map(({ id, where }): Named => ({ kind: 'stock', id, where }));
  const people: Named[] = piece.usedBy ? [{ kind: 'person', id: piece.usedBy.person, where: 'usedBy' }] : [];
  return [...opening, ...people, ...stock, ...namedIn(piece.interior), ...shellOf(piece).names(piece)];
}
