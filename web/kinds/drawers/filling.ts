import { longestSlide } from '../../../core/interiors/drawers/index.js';
import type { Drawers } from '../../../core/interiors/index.js';
import { ZERO, sub, type Length } from '../../../core/length/index.js';
import type { Space } from '../../../core/piece/index.js';
import { newNodesFor } from '../../bench/nodes.js';
import { sizes, thicknessFor, widthFor, woodFor, type Ask, type FillingWay, type Means, type Use } from '../means.js';
import { fillWith, openPart } from '../parts.js';

const BOX = { use: 'box', label: 'Boxes of', thick: [15, 5 / 8], broad: [150, 5.5] } as const satisfies Use;
const BOTTOM = { use: 'bottom', label: 'Drawer bottoms of', thick: [6, 1 / 4], broad: [500, 20] } as const satisfies Use;
const FRONT = { use: 'front', label: 'Fronts of', thick: [18, 3 / 4], broad: [200, 7.25] } as const satisfies Use;
const RUNNER = { use: 'runner', label: 'Runners of', thick: [15, 5 / 8], wide: [30, 1.25] } as const satisfies Use;

/** Free behind a drawer, in mm and in inches. */
const BEHIND = [10, 3 / 8] as const;

/** What is chosen where drawers are to run on wood though there are slides. */
const WOODEN = 'wooden runners';

/** The slides on hand that go in behind a front, each as long as it may be. */
function slidesFor(means: Means) {
  const s = sizes(means.unit);
  const front = thicknessFor(means, FRONT);
  const free = sub(sub(means.clear.depth, front), s(...BEHIND));
  return means.slides.flatMap((r) => {
    const length = longestSlide(r.data, free);
    return length === null ? [] : [{ id: r.id, label: r.data.name, length }];
  });
}

/** The slide as chosen, or the first that goes in; undefined for wooden runners. */
function slideFor(means: Means) {
  const wanted = means.chosen?.slide;
  const fit = slidesFor(means);
  const slide = wanted === WOODEN ? undefined : (fit.find((f) => f.id === wanted) ?? fit[0]);
  return slide && ({ kind: 'slide', slide: slide.id, length: slide.length } as const);
}

/** Inset drawers on the slides on hand, or on wooden runners where there are none. */
function usualDrawers(means: Means): Drawers {
  const s = sizes(means.unit);
  const slide = slideFor(means);
  const gap = s(3, 1 / 8);
  // Wooden runners lie under the boxes, which stand on them.
  const runners = woodFor(means, RUNNER);
  const high = thicknessFor(means, RUNNER);
  const wooden = { kind: 'wooden', side: s(2, 1 / 16), stock: runners, wide: widthFor(means, RUNNER) } as const;
  const rise = slide ? s(12, 1 / 2) : (Math.max(s(12, 1 / 2), high) as Length);
  return {
    kind: 'drawers',
    face: 'front',
    front: { kind: 'inset', between: gap, below: gap, above: gap, sides: s(2, 1 / 16), setback: ZERO },
    oversize: ZERO,
    runner: slide ?? wooden,
    less: Math.max(s(24, 1), rise) as Length,
    rise,
    behind: s(...BEHIND),
    box: { order: 'ends-between', join: 'pocket', bottom: { kind: 'groove', depth: s(6, 1 / 4), up: s(10, 3 / 8), slack: s(1, 1 / 32) } },
    stock: { box: woodFor(means, BOX), bottom: woodFor(means, BOTTOM), front: woodFor(means, FRONT) },
    linesFrom: 'bottom',
  };
}

/** So high a drawer is begun with, about, and at most so many of them. */
const HIGH = [150, 6] as const;
const MOST = 8;

/** How many drawers a bank is begun with: as chosen, or as many of the usual height as go in. */
function howMany({ unit, clear, chosen }: Means): number {
  const each = sizes(unit)(...HIGH);
  const usual = Math.max(1, Math.min(MOST, Math.floor(clear.height / each)));
  return Number(chosen?.count ?? usual);
}

const COUNTS = Array.from({ length: MOST }, (_, i) => ({ id: `${i + 1}`, label: i === 0 ? 'one drawer' : `${i + 1} drawers` }));

/** What is asked before drawers are put in. */
function asksOf(means: Means): readonly Ask[] {
  const fit = slidesFor(means);
  const count: Ask = { use: 'count', label: 'How many', value: `${howMany(means)}`, choices: COUNTS };
  if (fit.length === 0) return [count];
  const choices = [...fit, { id: WOODEN, label: 'Wooden runners' }];
  return [count, { use: 'slide', label: 'They run on', value: slideFor(means)?.slide ?? WOODEN, choices }];
}

const usesOf = (means: Means) => [BOX, BOTTOM, FRONT, ...(slideFor(means) ? [] : [RUNNER])];

export const drawersFilling: FillingWay = {
  id: 'drawers',
  label: 'Drawers',
  uses: usesOf,
  asks: asksOf,
  fill: (piece, space, means) => {
    const parts = howMany(means);
    return fillWith(piece, space, { axis: 'up', making: usualDrawers(means), parts, members: parts - 1 });
  },
};

/** Left free between the drawers of the two ends, in mm and in inches. */
const MIDDLE = [24, 1] as const;

/** What a filling is begun with in one half of a space, from its rear to its front. */
function halfOf(means: Means): Means {
  const middle = sizes(means.unit)(...MIDDLE);
  return { ...means, clear: { ...means.clear, depth: Math.floor((means.clear.depth - middle) / 2) as Length } };
}

/** Banks that pull out to the front and to the rear, back to back. */
export const bothEndsFilling: FillingWay = {
  id: 'drawers-both-ends',
  label: 'Drawers from both ends',
  uses: (means) => usesOf(halfOf(means)),
  asks: (means) => asksOf(halfOf(means)),
  fill: (piece, space, means) => {
    const half = halfOf(means);
    const parts = howMany(half);
    const { newMembers, newSpaces } = newNodesFor(piece, 2 * parts + 2);
    const [rear, front] = newSpaces as [string, string];
    const bank = (id: string, name: string, face: Drawers['face'], from: number): Space => ({
      ...openPart(id),
      name,
      split: {
        axis: 'up',
        making: { ...usualDrawers(half), face, behind: ZERO },
        members: newMembers.slice(from, from + parts - 1).map((m) => ({ id: m })),
        spaces: newSpaces.slice(2 + from, 2 + from + parts).map(openPart),
      },
    });
    return {
      kind: 'fill',
      space,
      split: {
        axis: 'deep',
        members: [{ id: newMembers.at(-1) as string, room: sizes(means.unit)(...MIDDLE) }],
        spaces: [bank(rear, 'rear end', 'rear', 0), bank(front, 'front end', 'front', parts)],
      },
    };
  },
};
