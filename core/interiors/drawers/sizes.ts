import { size, type Figure } from '../../figure/index.js';
import { ZERO, greatest, type Length } from '../../length/index.js';
import type { Drawers } from './spec.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import type { Slide } from '../../stock/index.js';

/** The woods of a bank of drawers, and the slide it runs on where it does. */
export interface DrawerStock {
  readonly box: Wood;
  readonly bottom: Wood;
  readonly front: Wood;
  readonly muntin: Wood | null;
  readonly slide: Slide | null;
}

export function drawerStock(making: Drawers, workshop: Workshop): DrawerStock {
  return {
    box: woodOf(workshop, making.stock.box),
    bottom: woodOf(workshop, making.stock.bottom),
    front: woodOf(workshop, making.stock.front),
    muntin: making.box.muntin ? woodOf(workshop, making.box.muntin.stock) : null,
    slide: making.runner.kind === 'slide' ? (workshop.slides.get(making.runner.slide) ?? null) : null,
  };
}

/** What stands in for the side clearance of a slide that is no longer in the stockroom: 12.7, the commonest. */
const USUAL_SIDE = 1_016_000 as Length;

const choice = (field: string) => ({ in: 'making', field }) as const;

/** What a drawer box is narrower at each side than its opening: the measured slide, or what is left free. */
export function sideClearance({ runner }: Drawers, { slide }: DrawerStock): Figure {
  if (runner.kind !== 'slide') return size('free at a side', runner.side, choice('runner.side'));
  return size(slide?.name ?? 'slide', slide?.side ?? USUAL_SIDE, { in: 'slide', id: runner.slide, field: 'side' });
}

/** The width of the box: the opening less both side clearances. @example 880 − 2 × 12.7 = 854.6 */
export function boxWidth(making: Drawers, stock: DrawerStock, opening: Figure): Figure {
  return opening.minus(
    sideClearance(making, stock)
      .times(2)
      .named(making.runner.kind === 'slide' ? 'a slide at each side' : 'free at both sides'),
  );
}

/** How much of the depth the front takes up: an inset one its thickness and setback, one that stands in front nothing. */
export function frontDepth({ front }: Drawers, stock: DrawerStock): Figure | null {
  if (front.kind !== 'inset') return null;
  const thick = stock.front.thickness.named('front');
  return front.setback === ZERO
    ? thick
    : thick.plus(size('set back', front.setback, choice('front.setback'))).named('front and its setback');
}

/** How far back from the face the front end of a slide stands: behind an inset front, and what the slide itself is set back; null without slides. */
export function slideFrom(making: Drawers, stock: DrawerStock): Figure | null {
  const { slide } = stock;
  if (!slide || making.runner.kind !== 'slide') return null;
  const back = size(`${slide.name}, set back`, slide.setback, { in: 'slide', id: making.runner.slide, field: 'setback' });
  const front = frontDepth(making, stock);
  return front ? front.plus(back) : back;
}

/** The depth there is for the box. @example 560 − 18 − 10 = 532 */
export function freeDepth(making: Drawers, stock: DrawerStock, clear: Figure): Figure {
  const front = frontDepth(making, stock);
  const behindFront = front ? clear.minus(front) : clear;
  return making.behind === ZERO ? behindFront : behindFront.minus(size('left behind', making.behind, choice('behind')));
}

/**
 * The longest slide of a series that goes into a depth; null where none does.
 * @example longestSlide({ lengths: [mm(450), mm(500), mm(550)] }, mm(532)) // mm(500)
 */
export function longestSlide(slide: Slide, free: Length): Length | null {
  const fitting = slide.lengths.filter((l) => l <= free);
  return fitting.length > 0 ? greatest(fitting) : null;
}

/** The depth of the box: as long as the slide that was chosen, or all there is. */
export function boxDepth(making: Drawers, stock: DrawerStock, clear: Figure): Figure {
  const { runner } = making;
  if (runner.kind === 'slide') return size('slide', runner.length, choice('runner.length')).named('as long as the slide');
  return freeDepth(making, stock, clear);
}

/** The height of the box from that of its front or opening. @example 142 − 7 = 135 */
export function boxHeight({ less, front }: Drawers, line: Figure): Figure {
  if (less === ZERO) return line;
  return line.minus(
    size(front.kind === 'inset' || front.kind === 'overlay' ? 'lower than the front' : 'lower than the opening', less, choice('less')),
  );
}

/** The size of a front; null where the box itself is seen. @example lipped by 9: 371 + 18 by 142 + 18 */
export function frontSize({ front }: Drawers, opening: Figure, line: Figure): { width: Figure; height: Figure } | null {
  switch (front.kind) {
    case 'none':
      return null;
    case 'inset':
      return {
        width:
          front.sides === ZERO
            ? opening
            : opening.minus(size('reveal', front.sides, choice('front.sides')).times(2).named('a reveal at each side')),
        height: line,
      };
    case 'overlay': {
      const over = size('over the left', front.over.left, choice('front.over.left')).plus(
        size('over the right', front.over.right, choice('front.over.right')),
      );
      return { width: opening.plus(over.named('over both sides')), height: line };
    }
    case 'lipped': {
      const lips = size('lip', front.lip, choice('front.lip')).times(2).named('a lip at each side');
      return { width: opening.plus(lips), height: line.plus(lips) };
    }
  }
}

/**
 * The depth of a bottom that is slid in from behind: from the groove in the front to the outside of the back over it.
 * @example 470 between, 15 of the back, 7 into the groove, 1 slack: 491
 */
export function slidDepth({ box }: Drawers, stock: DrawerStock, between: Figure): Figure | null {
  const { bottom } = box;
  if (bottom.kind !== 'groove' || !bottom.slidIn) return null;
  const whole = between
    .plus(stock.box.thickness.named('under the back'))
    .plus(size('groove', bottom.depth, choice('box.bottom.depth')).named('into the groove of the front'));
  return bottom.slack === ZERO ? whole : whole.minus(size('fitting slack', bottom.slack, choice('box.bottom.slack')));
}

/** The bottom of the box along one axis, from what is clear between its walls and what is outside them. */
export function bottomSize({ box }: Drawers, between: Figure, outside: Figure): Figure {
  const { bottom } = box;
  if (bottom.kind === 'applied' || bottom.kind === 'tray') return outside;
  const into = size(bottom.kind, bottom.depth, choice('box.bottom.depth')).times(2).named(`into both ${bottom.kind}s`);
  return bottom.slack === ZERO
    ? between.plus(into)
    : between.plus(into).minus(size('fitting slack', bottom.slack, choice('box.bottom.slack')));
}
