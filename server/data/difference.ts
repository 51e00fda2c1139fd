import { isDeepStrictEqual } from 'node:util';
import { create, type Delta } from 'jsondiffpatch';
import type { KeptPiece } from '../../core/formats/index.js';
import type { EditedKind, PROJECT } from './kinds.js';
import type { changes } from './schema.js';

/** What a change keeps of the documents on its two sides: both or one, or how they differ. */
export type Sides = Pick<typeof changes.$inferSelect, 'before' | 'after' | 'delta'>;

type Edited = EditedKind | typeof PROJECT;

const differ = create({
  // Members, spaces and the like are told from each other by their ids, wherever they stand in their list; what has none by its place.
  objectHash: (item, index) => ('id' in item ? String(item.id) : `at ${index}`),
});

/** A document as it is compared: letters that were given stay given, so they are no part of what is walked. */
function bare(kind: Edited, document: unknown): unknown {
  if (kind !== 'pieces') return document;
  return { piece: (document as KeptPiece).piece };
}

/** A document as it is read from the store. */
const read = (text: string): unknown => JSON.parse(text);
const copied = (document: unknown): unknown => read(JSON.stringify(document));

const forth = (document: unknown, delta: unknown) => differ.patch(copied(document), copied(delta) as Delta);
const back = (document: unknown, delta: unknown) => differ.unpatch(copied(document), copied(delta) as Delta);

/** What is kept of an edit: how its documents differ, or both where one is none or the difference is larger or not exact. */
export function sidesOf(kind: Edited, before: unknown, after: unknown): Sides {
  if (before === null || after === null) return { before, after, delta: null };
  const [was, is] = [JSON.stringify(bare(kind, before)), JSON.stringify(bare(kind, after))];
  const delta = differ.diff(read(was), read(is)) ?? {};
  const kept = JSON.stringify(delta);
  const isSmaller = kept.length < was.length + is.length;
  // A document that a difference was walked on is another from then on, so that each is read anew.
  const isExact =
    isSmaller &&
    isDeepStrictEqual(differ.patch(read(was), read(kept) as Delta), read(is)) &&
    isDeepStrictEqual(differ.unpatch(read(is), read(kept) as Delta), read(was));
  return isExact ? { before: null, after: null, delta } : { before, after, delta: null };
}

/**
 * The document on the other side of a change.
 * @param now the document on this side; null where there is none
 * @param again whether the change is done again; else it is taken back
 * @returns null where there is none on that side
 */
export function acrossChange(kind: Edited, { before, after, delta }: Sides, now: unknown, again: boolean): unknown {
  if (delta === null) return again ? after : before;
  return again ? forth(bare(kind, now), delta) : back(bare(kind, now), delta);
}
