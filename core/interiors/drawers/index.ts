import { size, type Figure } from '../../figure/index.js';
import { ZERO, sub, type Length } from '../../length/index.js';
import type { Inset, Insets } from '../../piece/index.js';
import { stockNames } from '../../piece/index.js';
import type { DividingKind, NeedContext, SplitKind } from '../kind.js';
import { muntins, withStock } from './remedies.js';
import { DrawersSchema, type Drawers, type Front } from './spec.js';
import { drawerIds } from './ids.js';
import { drawerMembers } from './members.js';
import { makingOf } from './own.js';
import { boxDepth, drawerStock, frontDepth, sideClearance } from './sizes.js';

export { drawerIds } from './ids.js';
export { makingOf, otherOf, withBoxOf } from './own.js';
export * from './spec.js';
export { freeDepth, longestSlide } from './sizes.js';

function some(label: string, length: Length, field: string): Inset[] {
  return length === ZERO ? [] : [{ label, size: size(label, length, { in: 'making', field }) }];
}

function edge(label: string, length: Length, field: string): Figure | null {
  return length === ZERO ? null : size(label, length, { in: 'making', field });
}

function ends(front: Front): { before: Figure | null; after: Figure | null } {
  if (front.kind === 'inset' || front.kind === 'none')
    return { before: edge('reveal below', front.below, 'front.below'), after: edge('reveal above', front.above, 'front.above') };
  return { before: null, after: null };
}

/** What lies between a drawer's line in its run, and its clear inside: clearances, the walls and the bottom of the box. */
function insetsOf(bank: Drawers, part: string, { workshop }: NeedContext, clear: { readonly depth?: Figure }): Insets {
  const making = makingOf(bank, part);
  const stock = drawerStock(making, workshop);
  const ids = drawerIds(part);
  const wall = (label: string, member: string): Inset => ({ label, size: stock.box.thickness, member });
  const free: Inset = { label: making.runner.kind === 'slide' ? 'slide' : 'free at the side', size: sideClearance(making, stock) };
  const { bottom } = making.box;
  const front = frontDepth(making, stock);
  const known = clear.depth;
  const depth = known && boxDepth(making, stock, known);
  const behind: Inset[] = depth
    ? [{ label: 'left behind', size: (front ? known.minus(front) : known).minus(depth) }]
    : some('left behind', making.behind, 'behind');
  const rear = [...behind, wall('back of the box', ids.back)];
  const face = [wall('front of the box', ids.inner), ...(front ? [{ label: 'front', size: front, member: ids.front }] : [])];
  return {
    across: { before: [free, wall('side of the box', ids.left)], after: [wall('side of the box', ids.right), free] },
    up: {
      before: [
        ...some('under the box', making.rise, 'rise'),
        ...(bottom.kind === 'groove' ? some('under the bottom', bottom.up, 'box.bottom.up') : []),
        { label: 'bottom of the box', size: stock.bottom.thickness, member: ids.bottom },
      ],
      after: some('over the box', sub(making.less, making.rise), 'less'),
    },
    deep: making.face === 'front' ? { before: rear, after: face } : { before: [...face].reverse(), after: [...rear].reverse() },
  };
}

/** A bank of drawers: its parts are the drawers, as high as their fronts or openings; what lies between is room. */
function inRun(making: Drawers): SplitKind {
  const { front } = making;
  return {
    names: { one: 'reveal', many: 'reveals', part: 'drawer' },
    set: true,
    roleOf: () => 'room',
    extent: () => size('reveal', front.between, { in: 'making', field: 'front.between' }),
    ends: () => ends(front),
    endShare: 1,
    endIds: () => null,
    over:
      front.kind === 'overlay'
        ? {
            before: edge('over what is below', front.over.below, 'front.over.below'),
            after: edge('over what is above', front.over.above, 'front.over.above'),
          }
        : { before: null, after: null },
    insets: (part, context, clear) => insetsOf(making, part, context, clear),
  };
}

export const drawers: DividingKind<Drawers> = {
  kind: 'drawers',
  schema: DrawersSchema,
  names: ({ stock, runner, box, others = [] }) => [
    ...stockNames([
      ...Object.values(stock),
      ...(runner.kind === 'wooden' ? [runner.stock] : []),
      ...others.flatMap((o) => Object.values(o.stock)),
      ...[box, ...others.map((o) => o.box)].flatMap(({ muntin }) => muntin?.stock ?? []),
    ]),
    ...(runner.kind === 'slide' ? [{ kind: 'slide', id: runner.slide } as const] : []),
  ],
  onPiece: null,
  seenFrom: 'front',
  split: inRun,
  made: drawerMembers,
  filled: () => 'drawers',
  holdsAt: null,
  withStock,
  remedies: muntins,
  onSlides: (making, id, { lengths }) => {
    const { runner } = making;
    if (runner.kind !== 'slide' || !lengths.includes(runner.length)) return null;
    return { ...making, runner: { ...runner, slide: id } };
  },
  renewed: (making, renew) => ({
    ...making,
    ...(making.others ? { others: making.others.map((o) => ({ ...o, drawer: renew(o.drawer) })) } : {}),
  }),
  memberRemedies: null,
};
