import { Figure, size } from '../figure/index.js';
import { ZERO, fromUnits, greatest, least, sub, type Length } from '../length/index.js';
import type { Opening, Reading } from './opening.js';

/** The three ways an opening is measured. */
export type Reach = 'width' | 'height' | 'depth';

const LISTS = { width: 'widths', height: 'heights', depth: 'depths' } as const;

/** Whether a tape was held along one reach of an opening at all. @example isMeasured(ALCOVE, 'width') // true */
export function isMeasured(opening: Opening, reach: Reach): boolean {
  return opening[LISTS[reach]].some((r) => !r.assumed);
}

/** The readings along one reach, with their places in its list: what was measured, and only where nothing was, what is assumed. */
function readingsOf(opening: Opening, reach: Reach): readonly (readonly [Reading, number])[] {
  const all = opening[LISTS[reach]].map((r, i) => [r, i] as const);
  const measured = all.filter(([r]) => !r.assumed);
  return measured.length > 0 ? measured : all;
}

/** What the tape says along one reach, or what is assumed until it does. @example valuesOf(ALCOVE, 'width') // [mm(1000)] */
export function valuesOf(opening: Opening, reach: Reach): readonly Length[] {
  return readingsOf(opening, reach).map(([r]) => r.value);
}

function readings(openingId: string, opening: Opening, reach: Reach): readonly Figure[] {
  return readingsOf(opening, reach).map(([r, i]) =>
    size(`${reach}, ${r.assumed ? 'assumed' : r.place}`, r.value, { in: 'opening', id: openingId, field: `${LISTS[reach]}.${i}` }),
  );
}

/**
 * How far the sides of an opening lean over its height, from its two diagonals: for a
 * parallelogram, (d1² − d2²) / 4w. Zero where not both diagonals were measured. Positive
 * when the sides lean to the right.
 * @example leanOf(ALCOVE) // mm(0)
 */
export function leanOf(opening: Opening): Length {
  const { rising, falling } = opening.diagonals ?? {};
  if (rising === undefined || falling === undefined) return ZERO;
  const width = least(valuesOf(opening, 'width'));
  return fromUnits(((rising - falling) * (rising + falling)) / (4 * width));
}

/** How far the readings along one reach differ from each other. @example spreadOf(ALCOVE, 'width') // mm(0) */
export function spreadOf(opening: Opening, reach: Reach): Length {
  const values = valuesOf(opening, reach);
  return sub(greatest(values), least(values));
}

/**
 * The largest square-cornered outside that goes into an opening: the least reading, less
 * the lean where the diagonals differ, less the slack.
 * @param openingId the record id, kept as the source of each reading
 * @example roomFor('gap', ALCOVE, 'depth').value // mm(400)
 */
export function roomFor(openingId: string, opening: Opening, reach: Reach): Figure {
  const narrowest = Figure.least(readings(openingId, opening, reach)).named(`least ${reach} of the opening`);
  const slack = (label: string, value: Length, part: string) =>
    size(label, value, { in: 'opening', id: openingId, field: `slack.${part}` });
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

/**
 * The height in which a piece can be turned upright: the ceiling where it was measured, else the opening's least height.
 * @example standingHeight('gap', ALCOVE).value // mm(2000)
 */
export function standingHeight(openingId: string, opening: Opening): Figure {
  return opening.ceiling
    ? size('ceiling', opening.ceiling, { in: 'opening', id: openingId, field: 'ceiling' })
    : Figure.least(readings(openingId, opening, 'height')).named('least height of the opening');
}
