import type { Axis, DividingMember, Space } from './space.js';

/** Where a node sits in the tree of spaces. */
export interface SpacePath {
  readonly space: Space;
  /** The space that is divided, with its index among the parts; null for the whole interior. */
  readonly parent: { readonly space: Space; readonly axis: Axis; readonly index: number } | null;
  readonly depth: number;
}

/**
 * Every space of an interior, each before what it is divided into.
 * @example [...spacesOf(CASE.interior)].map((path) => path.space.id) // ['in', 'in-1', 'in-2']
 */
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

/** The path to a space by its id; undefined where there is none. @example findSpace(CASE.interior, 'in-2').parent.index // 1 */
export function findSpace(root: Space, id: string): SpacePath | undefined {
  for (const path of spacesOf(root)) if (path.space.id === id) return path;
  return undefined;
}

/**
 * The space that a dividing member divides, with the member and its index; undefined where there is none.
 * @example findMember(CASE.interior, 'in-m1').index // 0
 */
export function findMember(root: Space, id: string): { owner: Space; member: DividingMember; index: number } | undefined {
  for (const { space } of spacesOf(root)) {
    const index = space.split?.members.findIndex((m) => m.id === id) ?? -1;
    const member = space.split?.members[index];
    if (member) return { owner: space, member, index };
  }
  return undefined;
}

/**
 * Every dividing member of an interior with the space it divides.
 * @example [...dividingMembersOf(CASE.interior)].map((m) => m.member.id) // ['in-m1']
 */
export function* dividingMembersOf(root: Space): Generator<{ owner: Space; member: DividingMember; index: number }> {
  for (const { space } of spacesOf(root)) {
    for (const [index, member] of (space.split?.members ?? []).entries()) yield { owner: space, member, index };
  }
}
