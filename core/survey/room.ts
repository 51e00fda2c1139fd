import { Figure, size } from '../figure/index.js';
import { ZERO, fromUnits, greatest, least, sub, type Length } from '../length/index.js';
import type { Opening, Reading } from './opening.js';

/** The three ways an opening is measured. */
export type Reach = 'width' | 'height' | 'depth';

const LISTS = { width: 'widths', height: 'heights', depth: 'depths' } as const;

function readings(openingId: string, opening: Opening, reach: Reach): readonly Figure[] {
  return opening[LISTS[reach]].map((r: Reading, i: number) =>
    size(`${reach}, ${r.place}`, r.value, { kind: 'reading', ref: `opening:${openingId}/${LISTS[reach]}/${i}` }),
  );
}

/**
 * How far the sides of an opening lean over its height, from its two diagonals: for a
 * parallelogram, (d1² − d2²) / 4w. Zero where the diagonals were not measured. Positive
 * when the sides lean to the right.
 */
export function leanOf(opening: Opening): Length {
  if (!opening.diagonals) return ZERO;
  const { rising, falling } = opening.diagonals;
  const width = least(opening.widths.map((r) => r.value));
  return fromUnits(((rising - falling) * (rising + falling)) / (4 * width));
}

/** How far the readings along one reach differ from each other. */
export function spreadOf(opening: Opening, reach: Reach): Length {
  const values = opening[LISTS[reach]].map((r) => r.value);
  return sub(greatest(values), least(values));
}

/**
 * The largest square-cornered outside that goes into an opening: the least reading, less
 * the lean where the diagonals differ, less the slack.
 * @param openingId the record id, kept as the source of each reading
 */
export function roomFor(openingId: string, opening: Opening, reach: Reach): Figure {
  const narrowest = Figure.least(readings(openingId, opening, reach)).named(`least ${reach} of the opening`);
  const slack = (label: string, value: Length, part: string) =>
    size(label, value, { kind: 'choice', ref: `opening:${openingId}/slack/${part}` });
  if (reach === 'height') {
    return opening.slack.above === ZERO ? narrowest : narrowest.minus(slack('slack above', opening.slack.above, 'above'));
  }
  if (reach === 'depth') {
    return opening.slack.behind === ZERO ? narrowest : narrowest.minus(slack('slack behind', opening.slack.behind, 'behind'));
  }
  const lean = Math.abs(leanOf(opening)) as Length;
  const square = lean === ZERO ? narrowest : narrowest.minus(size('out of square, by the diagonals', lean));
  return opening.slack.side === ZERO ? square : square.minus(slack('slack a side', opening.slack.side, 'side').times(2));
}

/** The height in which a piece can be turned upright: the ceiling where it was measured, else the opening's least height. */
export function standingHeight(openingId: string, opening: Opening): Figure {
  return opening.ceiling
    ? size('ceiling', opening.ceiling, { kind: 'reading', ref: `opening:${openingId}/ceiling` })
    : Figure.least(readings(openingId, opening, 'height')).named('least height of the opening');
}
