import type { Axis, DividingMember, Space } from './space.js';

/** Where a node sits in the tree of spaces. */
export interface SpacePath {
  readonly space: Space;
  /** The space that is divided, with its index among the parts; null for the whole interior. */
  readonly parent: { readonly space: Space; readonly axis: Axis; readonly index: number } | null;
  readonly depth: number;
}

/** Every space of an interior, each before what it is divided into. */
export function* spacesOf(root: Space): Generator<SpacePath> {
  const stack: SpacePath[] = [{ space: root, parent: null, depth: 0 }];
  for (let next = stack.pop(); next; next = stack.pop()) {
    yield next;
    const { space, depth } = next;
    const split = space.split;
    if (!split) continue;
    for (let index = split.spaces.length - 1; index >= 0; index -= 1) {
      stack.push({ space: split.spaces[index] as Space, parent: { space, axis: split.axis, index }, depth: depth + 1 });
    }
  }
}

/** The path to a space by its id; undefined where there is none. */
export function findSpace(root: Space, id: string): SpacePath | undefined {
  for (const path of spacesOf(root)) if (path.space.id === id) return path;
  return undefined;
}

/** The space that a dividing member divides, with the member and its index; undefined where there is none. */
export function findMember(root: Space, id: string): { owner: Space; member: DividingMember; index: number } | undefined {
  for (const { space } of spacesOf(root)) {
    const index = space.split?.members.findIndex((m) => m.id === id) ?? -1;
    const member = space.split?.members[index];
    if (member) return { owner: space, member, index };
  }
  return undefined;
}

/** Every dividing member of an interior with the space it divides. */
export function* dividingMembersOf(root: Space): Generator<{ owner: Space; member: DividingMember; index: number }> {
  for (const { space } of spacesOf(root)) {
    for (const [index, member] of (space.split?.members ?? []).entries()) yield { owner: space, member, index };
  }
}

/** A stock, slide or thing that a piece names, and where. */
export interface Named {
  readonly kind: 'stock' | 'slide' | 'thing';
  readonly id: string;
  /** Where, in words: a use of the piece, or a node of its interior. */
  readonly where: string;
}

/** Everything outside itself that the inside of a piece names: what it holds, and what it is made of. */
export function namedIn(root: Space): readonly Named[] {
  const all: Named[] = [];
  const put = (kind: Named['kind'], id: string, where: string) => all.push({ kind, id, where });
  for (const { space } of spacesOf(root)) {
    const here = `space ${space.id}`;
    space.things.forEach((t) => put('thing', t.thing, here));
    if (space.cells) {
      put('thing', space.cells.thing, here);
      const { make } = space.cells;
      const woods = make.kind === 'ladders' ? [make.upright.stock, make.support.stock] : [make.stock];
      woods.forEach((id) => put('stock', id, here));
    }
    for (const { id, stock, strip } of space.split?.members ?? []) {
      for (const used of [stock, strip?.stock]) if (used !== undefined) put('stock', used, `member ${id}`);
    }
    const making = space.split?.making;
    switch (making?.kind) {
      case 'drawers':
        Object.values(making.stock).forEach((id) => put('stock', id, here));
        if (making.runner.kind === 'slide') put('slide', making.runner.slide, here);
        if (making.runner.kind === 'wooden') put('stock', making.runner.stock, here);
        if (making.box.muntin) put('stock', making.box.muntin.stock, here);
        break;
      case 'boards':
        put('stock', making.stock, here);
        break;
      case 'slats':
        put('stock', making.stock, here);
        put('stock', making.supports.stock, here);
        break;
      case undefined:
    }
  }
  return all;
}
