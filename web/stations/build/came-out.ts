import { isHanded, lostBySlope, type Part } from '../../../core/parts/index.js';
import type { MadePart } from '../../../core/survey/index.js';
import type { Choice } from '../../shared/ui.js';

export type CameOut = 'as drawn' | NonNullable<MadePart['wrong']>;

/** How a part came out that is not as it is drawn, in the middle of a sentence. */
export const WRONG: Readonly<Record<NonNullable<MadePart['wrong']>, string>> = {
  reflection: 'as its reflection',
  slope: 'an end slopes the wrong way',
};

/** The ways that a part can come out: only one that differs from its reflection can be that, and only an end that slopes the other way round. */
export function waysOut({ member }: Part): readonly Choice<CameOut>[] {
  return [
    { id: 'as drawn', label: 'As it is drawn' },
    ...(isHanded(member) ? [{ id: 'reflection', label: 'As its reflection' } as const] : []),
    ...(lostBySlope(member) === null ? [] : [{ id: 'slope', label: 'A sloping end the wrong way' } as const]),
  ];
}
