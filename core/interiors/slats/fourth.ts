import { ZERO, fromUnits, type Length } from '../../length/index.js';
import type { Slats } from './spec.js';

/** A deck of equal slats with equal gaps between: flush at both ends, or with half a gap there. */
export interface SlatDeck {
  readonly count: number;
  readonly width: Length;
  readonly gap: Length;
  readonly overall: Length;
  readonly ends: Slats['ends'];
}

/** How many whole gaps there are: one fewer than slats, or as many where half of one is left at each end. */
function gapsOf({ count, ends }: Pick<SlatDeck, 'count' | 'ends'>): number {
  return ends === 'flush' ? count - 1 : count;
}

/** The overall length of so many slats. @example slatOverall({ count: 14, width: mm(31), gap: mm(22), ends: 'flush' }) // mm(720) */
export function slatOverall(deck: Omit<SlatDeck, 'overall'>): Length {
  return fromUnits(deck.count * deck.width + gapsOf(deck) * deck.gap);
}

/**
 * The gap between so many slats in a length, exactly.
 * @throws RangeError where there is no gap
 * @example toMm(slatGap({ count: 14, width: mm(31), overall: mm(652), ends: 'flush' })) // 16.769
 */
export function slatGap(deck: Omit<SlatDeck, 'gap'>): Length {
  const gaps = gapsOf(deck);
  if (gaps < 1) throw new RangeError('there is no gap beside so few slats');
  return fromUnits((deck.overall - deck.count * deck.width) / gaps);
}

/**
 * How wide so many slats are in a length. @throws RangeError for no slats
 * @example slatWidth({ overall: mm(1000), count: 5, gap: mm(50), ends: 'flush' }) // mm(160)
 */
export function slatWidth(deck: Omit<SlatDeck, 'width'>): Length {
  if (deck.count < 1) throw new RangeError('there is no width where there are no slats');
  return fromUnits((deck.overall - gapsOf(deck) * deck.gap) / deck.count);
}

/** A count of slats near to a wanted gap, the gap it gives exactly, and what is left over with the wanted gap. */
export interface NearestSlats {
  readonly count: number;
  readonly gap: Length;
  /** What the length is longer (or, below zero, shorter) than the slats with the wanted gap. */
  readonly left: Length;
}

/**
 * The counts of slats that come nearest to a wanted gap in a length: the greatest that fits, and one more.
 * @example slatCounts({ overall: mm(1000), width: mm(160), gap: mm(50), ends: 'flush' })[0].count // 5
 */
export function slatCounts(deck: Omit<SlatDeck, 'count'>): readonly NearestSlats[] {
  const { width, gap, overall, ends } = deck;
  const most = Math.floor((overall + (ends === 'flush' ? gap : 0)) / (width + gap));
  return [most, most + 1]
    .filter((count) => count >= 2 && count * width <= overall)
    .map((count) => ({
      count,
      gap: slatGap({ count, width, overall, ends }),
      left: (overall - slatOverall({ count, width, gap, ends })) as Length,
    }))
    .sort((a, b) => Math.abs(a.gap - gap) - Math.abs(b.gap - gap) || a.left - b.left || ZERO);
}
