import type { TSchema } from '@sinclair/typebox';
import { kindList, pieceFields } from '../piece/index.js';
import type { Filling, Making, Space, Split } from '../piece/index.js';
import { boards } from './boards/index.js';
import { cells } from './cells/index.js';
import { drawers } from './drawers/index.js';
import { equipment } from './equipment/index.js';
import type { DividingKind, FillingKind, SplitKind } from './kind.js';
import { grooves } from './grooves/index.js';
import { levels } from './levels/index.js';
import { panels } from './panels/index.js';
import { slats } from './slats/index.js';

/** What a divided space may be made of; the first is what is meant where nothing is said. */
export const DIVIDING = kindList<DividingKind>([panels, drawers, boards, slats, levels]);

/** What a space may be filled with as a whole. */
export const FILLINGS = kindList<FillingKind>([cells, grooves, equipment]);

/** The kind of a divided space. @throws Error where there is no such kind @example dividingKind({}).kind // 'panels' */
export function dividingKind({ making }: { readonly making?: Making | undefined }): DividingKind {
  return DIVIDING.of(making?.kind ?? panels.kind);
}

/** The kind of what fills a space. @throws Error where there is no such kind @example fillingKind({ kind: 'cells' }).kind // 'cells' */
export function fillingKind({ kind }: Filling): FillingKind {
  return FILLINGS.of(kind);
}

/** What the kinds say of a piece as a whole. */
export function ofInteriors() {
  return [...DIVIDING.all, ...FILLINGS.all].flatMap(({ onPiece }) => onPiece ?? []);
}

/** The fields that every piece has, whatever its shell is. @example 'name' in commonFields() // true */
export function commonFields(): Readonly<Record<string, TSchema>> {
  return ofInteriors().reduce((fields, kind) => ({ ...fields, ...kind.fields }), { ...pieceFields });
}

/** Whether something is what fills a space as a whole, and not what divides one. @example isFilling({ kind: 'cells' }) // true */
export function isFilling(made: Making | Filling): made is Filling {
  return FILLINGS.all.some((k) => k.kind === made.kind);
}

/** How a divided space lies in its run. @example kindOf(CASE.interior.split).names.one // 'shelf' */
export function kindOf(split: Split): SplitKind {
  return dividingKind(split).split(split.making, split.axis);
}

/** Whether things stand on what divides or fills a space, rather than in its parts. @example holdsThings({}) // false */
export function holdsThings({ split }: Pick<Space, 'split'>): boolean {
  return split !== undefined && dividingKind(split).holdsAt !== null;
}
