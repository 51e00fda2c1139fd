import type { Panels } from '../../core/interiors/index.js';
import { inch, type Length } from '../../core/length/index.js';
import type { Space } from '../../core/piece/index.js';

export const PLY = 'ply-3-4';

/** An overall size that is given. */
export const overall = (size: number) => ({ from: 'given', size: inch(size), of: 'overall' }) as const;

/** Shelves of 3/4 ply, and how they are held. */
export const panels = (fix: 'housed' | 'loose', setback: Length): Panels => ({
  stock: { shelves: PLY, dividers: PLY },
  shelves: { fix, housing: inch(1 / 4), looseEnd: inch(1 / 32), setback },
  dividers: { fix: 'housed', housing: inch(1 / 4) },
});

export const EASED = { front: 'eased', banding: inch(0) } as const;

/** A space that shares what is left, unless said otherwise. */
export const space = (id: string, extra: Partial<Space> = {}): Space => ({ id, rule: { kind: 'share', weight: 1 }, things: [], ...extra });
