import { OptionalKind, type TSchema } from '@sinclair/typebox';
import type { Length } from '../length/index.js';
import { mergedRule } from '../run/index.js';
import { findMember, findSpace, spacesOf, type DividingMember, type Piece, type PieceEdit, type Space } from '../piece/index.js';
import type { Placement } from '../things/index.js';
import { shellOf } from '../shells/index.js';
import { commonFields, dividingKind, holdsThings } from '../interiors/index.js';
import { EditError, spaceOf, withSpace } from './space-edit.js';

const share = { kind: 'share', weight: 1 } as const;

function copy(piece: Piece): Piece {
  return structuredClone(piece);
}

function memberOf(piece: Piece, id: string): DividingMember {
  const found = findMember(piece.interior, id);
  if (!found) throw new EditError(`there is no shelf or divider ${id} in ${piece.name}`);
  return found.member;
}

function split(space: Space, edit: Extract<PieceEdit, { kind: 'split' }>): void {
  if (space.split) throw new EditError(`${space.name ?? 'the space'} is already divided`);
  if (edit.spaces.length !== edit.members.length + 1) throw new EditError('one more space than members is needed');
  const spaces = edit.spaces.map((id): Space => ({ id, rule: share, things: [] }));
  (spaces[0] as Space).things = space.things;
  space.things = [];
  space.split = { axis: edit.axis, members: edit.members.map((id) => ({ id })), spaces };
}

function addMember(piece: Piece, edit: Extract<PieceEdit, { kind: 'add' }>): void {
  const path = findSpace(piece.interior, edit.space);
  const parts = path?.parent?.space.split;
  if (!path?.parent || !parts) throw new EditError('a member can only be added inside a divided space');
  parts.members.splice(path.parent.index, 0, { id: edit.member });
  parts.spaces.splice(path.parent.index + 1, 0, { id: edit.beyond, rule: share, things: [] });
}

/** All things in a space and in what it is divided into. */
function thingsWithin(space: Space): Placement[] {
  return [...space.things, ...(space.split?.spaces.flatMap(thingsWithin) ?? [])];
}

/**
 * Placements with those of the same thing put together.
 * @example mergePlacements([{ thing: 'tin', count: 1 }, { thing: 'tin', count: 2 }]) // [{ thing: 'tin', count: 3 }]
 */
export function mergePlacements(placements: readonly Placement[]): Placement[] {
  const merged = new Map<string, Placement>();
  placements.forEach((p) => {
    const known = merged.get(p.thing);
    merged.set(p.thing, known ? { ...known, count: known.count + p.count } : p);
  });
  return [...merged.values()];
}

function dropMember(piece: Piece, id: string): void {
  const found = findMember(piece.interior, id);
  const parts = found?.owner.split;
  if (!found || !parts) throw new EditError(`there is no shelf or divider ${id} in ${piece.name}`);
  const before = parts.spaces[found.index] as Space;
  const after = parts.spaces[found.index + 1] as Space;
  const kept = before.split || !after.split ? before : after;
  const gone = kept === before ? after : before;
  if (kept.split) {
    const first = kept.split.spaces[0] as Space;
    first.things = mergePlacements([...first.things, ...thingsWithin(gone)]);
  } else kept.things = mergePlacements([...kept.things, ...thingsWithin(gone)]);
  kept.rule = mergedRule(before.rule, after.rule);
  if (parts.spaces.length === 2 && !parts.making) {
    delete found.owner.split;
    if (kept.split) found.owner.split = kept.split;
    found.owner.things = kept.split ? [] : kept.things;
    return;
  }
  parts.members.splice(found.index, 1);
  parts.spaces.splice(found.index, 2, kept);
}

function dropPart(piece: Piece, id: string): void {
  const path = findSpace(piece.interior, id);
  const parts = path?.parent?.space.split;
  if (!path?.parent || !parts) throw new EditError('only a part of a divided space can be taken out');
  const { index } = path.parent;
  if (parts.spaces.length === 1) return clear(path.parent.space);
  const beside = parts.spaces[index === 0 ? 1 : index - 1] as Space;
  const heir = [...spacesOf(beside)].map((s) => s.space).find((s) => !s.split) as Space;
  heir.things = mergePlacements([...heir.things, ...thingsWithin(path.space)]);
  parts.members.splice(Math.max(0, index - 1), 1);
  parts.spaces.splice(index, 1);
}

function even(piece: Piece, edit: Extract<PieceEdit, { kind: 'even' }>): void {
  const owner = spaceOf(piece, edit.space);
  if (!owner.split || (edit.members < 1 && !owner.split.making))
    throw new EditError('only a divided space can be made even, with one member or more');
  while (owner.split.members.length > edit.members) dropMember(piece, (owner.split.members.at(-1) as DividingMember).id);
  for (let i = 0; owner.split.members.length < edit.members; i += 1) {
    const [member, space] = [edit.newMembers[i], edit.newSpaces[i]];
    if (member === undefined || space === undefined) throw new EditError('ids are missing for the new members');
    owner.split.members.push({ id: member });
    owner.split.spaces.push({ id: space, rule: share, things: [] });
  }
  owner.split.spaces.forEach((space) => {
    space.rule = share;
    delete space.least;
    delete space.greatest;
  });
  owner.split.members.forEach((member) => {
    delete member.at;
    delete member.sameAs;
  });
}

/** Fills a space that is open; things that stood in it go into the first part, or stay on a deck. */
function fill(space: Space, edit: Extract<PieceEdit, { kind: 'fill' }>): void {
  if (space.split || space.filling) throw new EditError(`${space.name ?? 'the space'} is already divided`);
  if (edit.filling) {
    if (space.things.length > 0) throw new EditError(`take the things out of ${space.name ?? 'the space'} first`);
    space.filling = structuredClone(edit.filling);
  }
  if (!edit.split) return;
  const split = structuredClone(edit.split);
  const [outer] = split.spaces;
  const first = outer && [...spacesOf(outer)].map((s) => s.space).find((s) => !s.split);
  if (first && !holdsThings({ split })) {
    first.things = mergePlacements([...first.things, ...space.things]);
    space.things = [];
  }
  space.split = split;
}

/**
 * Every node id inside a space that a copy of its layout needs a new one for.
 * @example idsWithin(CASE.interior) // ['in-m1', 'in-1', 'in-2']
 */
export function idsWithin(space: Space): readonly string[] {
  return [...spacesOf(space)].flatMap(({ space: one }) => [
    ...(one === space ? [] : [one.id]),
    ...(one.split?.members.map((m) => m.id) ?? []),
  ]);
}

function copyLayout(piece: Piece, edit: Extract<PieceEdit, { kind: 'copy-layout' }>): void {
  const [from, to] = [spaceOf(piece, edit.from), spaceOf(piece, edit.to)];
  if (idsWithin(from).some((id) => edit.ids[id] === undefined)) throw new EditError('ids are missing for what is copied');
  if (!from.split && !from.filling) throw new EditError(`${from.name ?? 'the space'} is not divided`);
  clear(to);
  if (from.filling) to.filling = structuredClone(from.filling);
  if (!from.split) return;
  to.split = structuredClone(from.split);
  const renew = (id: string) => edit.ids[id] ?? id;
  for (const { space } of spacesOf({ ...to, split: to.split })) {
    if (space.id !== to.id) Object.assign(space, { id: renew(space.id), things: [] });
    space.split?.members.forEach((m) => Object.assign(m, { id: renew(m.id), ...(m.sameAs ? { sameAs: renew(m.sameAs) } : {}) }));
    const making = space.split?.making;
    if (space.split && making) space.split.making = dividingKind(space.split).renewed?.(making, renew) ?? making;
  }
  const [first] = [...spacesOf(to)].map((s) => s.space).filter((s) => !s.split);
  if (first && first !== to) {
    first.things = to.things;
    to.things = [];
  }
}

/** Leaves one open space, with all things that stood in it. */
function clear(space: Space): void {
  space.things = mergePlacements(thingsWithin(space));
  delete space.split;
  delete space.filling;
}

/** The piece with some fields replaced, or left out. @throws EditError for a field that its shell does not have, or must have */
function patched(piece: Piece, { patch, without = [] }: Extract<PieceEdit, { kind: 'piece' }>): Piece {
  const fields: Readonly<Record<string, TSchema>> = { ...commonFields(), ...shellOf(piece).fields };
  const strange = [...Object.keys(patch), ...without].find((key) => !(key in fields));
  if (strange) throw new EditError(`${piece.name} has no ${strange} to change`);
  const needed = without.find((key) => !(OptionalKind in (fields[key] as TSchema)));
  if (needed) throw new EditError(`${piece.name} cannot be without its ${needed}`);
  const next = { ...piece, ...structuredClone(patch) };
  without.forEach((key) => Reflect.deleteProperty(next, key));
  return next as Piece;
}

/** Takes away every alignment to members that are no longer there. */
function loosen(piece: Piece): void {
  const visit = (space: Space): void => {
    for (const member of space.split?.members ?? []) {
      if (member.sameAs && !findMember(piece.interior, member.sameAs)) delete member.sameAs;
    }
    space.split?.spaces.forEach(visit);
  };
  visit(piece.interior);
}

/** Whether the least of two bounds is more than the greatest. @example areCrossed({ least: mm(2), greatest: mm(1) }) // true */
export function areCrossed({ least, greatest }: { readonly least?: Length; readonly greatest?: Length }): boolean {
  return least !== undefined && greatest !== undefined && least > greatest;
}

function setOrDelete<T extends object, K extends keyof T>(target: T, key: K, value: T[K] | null | undefined): void {
  if (value === null || value === undefined) delete target[key];
  else target[key] = value;
}

/**
 * The piece after an edit; the given piece is not changed.
 * @throws EditError when the edit names a node that is not there or cannot be applied to it
 * @example applyEdit(CASE, { kind: 'piece', patch: { fixedToWall: false } }).fixedToWall // false
 */
export function applyEdit(before: Piece, edit: PieceEdit): Piece {
  switch (edit.kind) {
    case 'rule':
      return withSpace(before, edit.space, (space) => {
        space.rule = edit.rule;
      });
    case 'bounds':
      return withSpace(before, edit.space, (space) => {
        if (areCrossed(edit)) throw new EditError(`the least size of ${space.name ?? 'the space'} would be more than its greatest`);
        setOrDelete(space, 'least', edit.least);
        setOrDelete(space, 'greatest', edit.greatest);
      });
    case 'name':
      return withSpace(before, edit.space, (space) => setOrDelete(space, 'name', edit.name.trim() || null));
    case 'load':
      return withSpace(before, edit.space, (space) => setOrDelete(space, 'load', edit.load));
    case 'things': {
      const own = shellOf(before).withThings?.(before, edit.space, mergePlacements(edit.things));
      if (own) return own;
      return withSpace(before, edit.space, (space) => {
        space.things = mergePlacements(edit.things);
      });
    }
    case 'several':
      return edit.edits.reduce(applyEdit, before);
    default:
      return edited(copy(before), edit);
  }
}

/** Makes an edit that changes more than one space in a copy of the piece. */
function edited(piece: Piece, edit: Exclude<PieceEdit, { kind: 'rule' | 'bounds' | 'name' | 'load' | 'things' | 'several' }>): Piece {
  switch (edit.kind) {
    case 'split':
      split(spaceOf(piece, edit.space), edit);
      return piece;
    case 'add':
      addMember(piece, edit);
      return piece;
    case 'even':
      even(piece, edit);
      loosen(piece);
      return piece;
    case 'drop':
      dropMember(piece, edit.member);
      loosen(piece);
      return piece;
    case 'drop-part':
      dropPart(piece, edit.space);
      loosen(piece);
      return piece;
    case 'pin': {
      const member = memberOf(piece, edit.member);
      setOrDelete(member, 'at', edit.at);
      delete member.sameAs;
      return piece;
    }
    case 'align': {
      const member = memberOf(piece, edit.member);
      if (edit.sameAs !== null) memberOf(piece, edit.sameAs);
      setOrDelete(member, 'sameAs', edit.sameAs);
      delete member.at;
      return piece;
    }
    case 'is': {
      const member = memberOf(piece, edit.member);
      if (edit.rail !== null && edit.room !== null) throw new EditError('a member is a rail or room, not both');
      setOrDelete(member, 'rail', edit.rail);
      setOrDelete(member, 'room', edit.room);
      // What only panels have goes with the panel.
      if (edit.rail !== null || edit.room !== null)
        for (const key of ['strip', 'doubled', 'toBack', 'fix', 'deep'] as const) delete member[key];
      return piece;
    }
    case 'own-depth':
      setOrDelete(memberOf(piece, edit.member), 'deep', edit.deep);
      return piece;
    case 'to-back': {
      const member = memberOf(piece, edit.member);
      delete member.toBack;
      if (edit.held) member.toBack = edit.held;
      return piece;
    }
    case 'stiffen': {
      const member = memberOf(piece, edit.member);
      delete member.strip;
      delete member.doubled;
      if (edit.strip) member.strip = structuredClone(edit.strip);
      if (edit.doubled) member.doubled = edit.doubled;
      return piece;
    }
    case 'member':
      Object.assign(memberOf(piece, edit.member), edit.patch);
      return piece;
    case 'move': {
      const [from, to] = [spaceOf(piece, edit.from), spaceOf(piece, edit.to)];
      const moved = from.things.filter((t) => t.thing === edit.thing);
      if (moved.length === 0) throw new EditError(`there is no ${edit.thing} to move in that space`);
      if (to.split || to.filling) throw new EditError(`${to.name ?? 'the space'} is divided: move it into one of its parts`);
      from.things = from.things.filter((t) => t.thing !== edit.thing);
      to.things = mergePlacements([...to.things, ...moved.map(({ thing, count }) => ({ thing, count }))]);
      return piece;
    }
    case 'fill':
      fill(spaceOf(piece, edit.space), edit);
      return piece;
    case 'making': {
      const { split: parts } = spaceOf(piece, edit.space);
      if (parts?.making?.kind !== edit.making.kind) throw new EditError(`that space is not made of ${edit.making.kind}`);
      parts.making = structuredClone(edit.making);
      return piece;
    }
    case 'filling': {
      const space = spaceOf(piece, edit.space);
      if (space.filling?.kind !== edit.filling.kind) throw new EditError(`that space is not filled with ${edit.filling.kind}`);
      space.filling = structuredClone(edit.filling);
      return piece;
    }
    case 'copy-layout':
      copyLayout(piece, edit);
      loosen(piece);
      return piece;
    case 'clear':
      clear(spaceOf(piece, edit.space));
      loosen(piece);
      return piece;
    case 'piece':
      return patched(piece, edit);
  }
}
