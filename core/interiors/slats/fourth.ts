import { ZERO, fromUnits, type Length } from '../../length/index.js';

/** A deck of equal slats with equal gaps between, flush at both ends. */
export interface SlatDeck {
  readonly count: number;
  readonly width: Length;
  readonly gap: Length;
  readonly overall: Length;
}

/** The overall length of so many slats. @example 14 of 31 with 22 between: 720 */
export function slatOverall({ count, width, gap }: Omit<SlatDeck, 'overall'>): Length {
  return fromUnits(count * width + (count - 1) * gap);
}

/** The gap between so many slats in a length, exactly. @example 14 of 31 in 652: 16.769 @throws RangeError for fewer than two slats */
export function slatGap({ count, width, overall }: Omit<SlatDeck, 'gap'>): Length {
  if (count < 2) throw new RangeError('one slat has no gap beside it');
  return fromUnits((overall - count * width) / (count - 1));
}

/** How wide so many slats are in a length. @throws RangeError for no slats */
export function slatWidth({ count, gap, overall }: Omit<SlatDeck, 'width'>): Length {
  if (count < 1) throw new RangeError('there is no width where there are no slats');
  return fromUnits((overall - (count - 1) * gap) / count);
}

/** A count of slats near to a wanted gap, the gap it gives exactly, and what is left over with the wanted gap. */
export interface NearestSlats {
  readonly count: number;
  readonly gap: Length;
  /** What the length is longer (or, below zero, shorter) than the slats with the wanted gap. */
  readonly left: Length;
}

/** The counts of slats that come nearest to a wanted gap in a length: the greatest that fits, and one more. */
export function slatCounts({ width, gap, overall }: Omit<SlatDeck, 'count'>): readonly NearestSlats[] {
  const most = Math.floor((overall + gap) / (width + gap));
  return [most, most + 1]
    .filter((count) => count >= 2 && count * width <= overall)
    .map((count) => ({
      count,
      gap: slatGap({ count, width, overall }),
      left: (overall - slatOverall({ count, width, gap })) as Length,
    }))
    .sort((a, b) => Math.abs(a.gap - gap) - Math.abs(b.gap - gap) || a.left - b.left || ZERO);
}
