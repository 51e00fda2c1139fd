import { len, say, type Sentence } from '../../figure/index.js';
import { slipsOut, usualSlack } from '../../joints/index.js';
import { ZERO, add, greatest, mm, negative, sub } from '../../length/index.js';
import { PLACE, type PieceEdit, type PlacedSpace, type ShapeProblem, type Split } from '../../piece/index.js';
import { type Drawers } from './spec.js';
import { woodOf, type Workshop } from '../../project/index.js';
import { otherOf, withBoxOf } from './own.js';
import { boxDepth, freeDepth, longestSlide, slideFrom, type DrawerStock } from './sizes.js';

/** So little under a box is the play of its front. */
const LIES = mm(3);

/** How wide wooden runners usually are. */
const RUNNER_WIDE = mm(30);

/** Wooden runners lie under their boxes: on the wood below the lowest one, and between a box and the next. */
function runnersInTheWay(
  making: Drawers,
  split: Split,
  bank: PlacedSpace,
  workshop: Workshop,
  change: (patch: Partial<Drawers>) => PieceEdit,
): Pick<ShapeProblem, 'sentence' | 'fixes'>[] {
  const { runner, front } = making;
  if (runner.kind !== 'wooden') return [];
  const t = woodOf(workshop, runner.stock).thickness.value;
  // What is there already leaves room under its own opening for the runners on it.
  // So do the rails under an opening between posts.
  const onWood = bank.neighbours.below !== PLACE && !bank.posts;
  const below = front.kind === 'overlay' ? negative(front.over.below) : front.kind === 'lipped' ? ZERO : front.below;
  const under = add(below, making.rise);
  const between = add(front.between, making.less);
  const rise = onWood && under < t ? sub(t, below) : making.rise;
  const less = greatest([making.less, rise, ...(split.spaces.length > 1 ? [sub(t, front.between)] : [])]);
  if (rise === making.rise && (split.spaces.length < 2 || between >= t)) return [];
  const has = rise === making.rise ? between : under;
  return [
    {
      sentence: say`Runners of ${len(t)} lie under the boxes, and ${len(has)} is free there.`,
      fixes: [
        { label: say`Stand the boxes ${len(rise)} up and make them ${len(less)} lower than their fronts`, edit: change({ rise, less }) },
      ],
    },
  ];
}

/** Slides that stand so far back that they end past the depth there is; null where they do not. */
function pastTheRear(making: Drawers, stock: DrawerStock, bank: PlacedSpace): Sentence | null {
  const from = slideFrom(making, stock)?.value;
  if (from === undefined || making.runner.kind !== 'slide') return null;
  const past = sub(add(from, making.runner.length), bank.clear.depth.value);
  if (past <= ZERO) return null;
  return say`Slides of ${len(making.runner.length)} that stand ${len(from)} back from the face end ${len(past)} past the depth there is.`;
}

/** What is wrong with how a box is made, whatever its size. */
function boxProblems(
  box: Drawers['box'],
  put: (box: Drawers['box']) => PieceEdit,
): readonly (readonly [id: string, Pick<ShapeProblem, 'sentence' | 'fixes'>])[] {
  const { bottom } = box;
  if (bottom.kind !== 'groove' && bottom.kind !== 'rebate') return [];
  const sentence = slipsOut('The bottom', `${bottom.kind}s`, bottom.depth, bottom.slack);
  const slack = usualSlack(bottom.depth);
  const muntined = bottom.kind === 'groove' && bottom.slidIn && box.muntin;
  return [
    ...(sentence
      ? [
          [
            'bottom-slips',
            { sentence, fixes: [{ label: say`Cut it ${len(slack)} small`, edit: put({ ...box, bottom: { ...bottom, slack } }) }] },
          ] as const,
        ]
      : []),
    ...(muntined
      ? [
          [
            'muntin-slid',
            {
              sentence: say`A muntin is screwed to the back, which ends over a bottom that is slid in under it.`,
              fixes: [
                { label: say`Take the muntin out`, edit: put({ order: box.order, join: box.join, bottom }) },
                {
                  label: say`Put the bottom into grooves all round`,
                  edit: put({ ...box, bottom: { kind: 'groove', depth: bottom.depth, up: bottom.up, slack: bottom.slack } }),
                },
              ],
            },
          ] as const,
        ]
      : []),
  ];
}

/** What is wrong with the making of a bank as a whole, with edits that mend it. */
export function drawerProblems(
  making: Drawers,
  split: Split,
  stock: DrawerStock,
  bank: PlacedSpace,
  workshop: Workshop,
): readonly ShapeProblem[] {
  const change = (patch: Partial<Drawers>): PieceEdit => ({ kind: 'making', space: bank.id, making: { ...making, ...patch } });
  const problem = (id: string, stops: boolean, rest: Pick<ShapeProblem, 'sentence' | 'fixes'>): ShapeProblem => ({
    id: `${id}-${bank.id}`,
    about: bank.id,
    stops,
    ...rest,
  });
  const found: ShapeProblem[] = [];
  const { runner, front } = making;
  found.push(...boxProblems(making.box, (box) => change({ box })).map(([id, rest]) => problem(id, true, rest)));
  for (const own of split.spaces.flatMap((s) => otherOf(making, s.id) ?? [])) {
    const put = (box: Drawers['box']) => change(withBoxOf(making, own.drawer, { ...own, box }));
    found.push(
      ...boxProblems(own.box, put).map(([id, rest]) => ({ ...problem(id, true, rest), id: `${id}-${own.drawer}`, about: own.drawer })),
    );
  }
  const past = pastTheRear(making, stock, bank);
  const free = freeDepth(making, stock, bank.clear.depth);
  const depth = boxDepth(making, stock, bank.clear.depth);
  if (runner.kind === 'slide' && !stock.slide) {
    found.push(
      problem('slide-missing', true, { sentence: say`The slide chosen for the drawers is no longer in the stockroom.`, fixes: [] }),
    );
  }
  const best = stock.slide && longestSlide(stock.slide, free.value);
  const useBest =
    runner.kind === 'slide' && best
      ? [{ label: say`Use slides of ${len(best)}`, edit: change({ runner: { ...runner, length: best } }) }]
      : [];
  if (depth.value > free.value) {
    found.push(
      problem('drawer-deep', true, {
        sentence: say`The drawers are ${len(depth.value)} deep, and ${len(free.value)} is free behind their fronts.`,
        fixes: useBest,
      }),
    );
  } else if (past) {
    const shorter = stock.slide && longestSlide(stock.slide, sub(bank.clear.depth.value, slideFrom(making, stock)?.value ?? ZERO));
    found.push(
      problem('slide-behind', true, {
        sentence: past,
        fixes:
          runner.kind === 'slide' && shorter
            ? [{ label: say`Use slides of ${len(shorter)}`, edit: change({ runner: { ...runner, length: shorter } }) }]
            : [],
      }),
    );
  } else if (best && runner.kind === 'slide' && best > runner.length) {
    found.push(
      problem('slide-longer', false, {
        sentence: say`Slides of ${len(best)} would go in too: ${len(free.value)} is free, ${len(runner.length)} is chosen.`,
        fixes: useBest,
      }),
    );
  } else if (stock.slide && runner.kind === 'slide' && !stock.slide.lengths.includes(runner.length)) {
    found.push(
      problem('slide-length', true, { sentence: say`${stock.slide.name} is not sold ${len(runner.length)} long.`, fixes: useBest }),
    );
  }
  if (making.rise > making.less) {
    found.push(
      problem('box-high', true, {
        sentence: say`The box stands ${len(making.rise)} up but is only ${len(making.less)} lower than its front, so it reaches above it.`,
        fixes: [{ label: say`Make the box ${len(making.rise)} lower`, edit: change({ less: making.rise }) }],
      }),
    );
  }
  if (front.kind === 'overlay' && making.rise < front.over.below) {
    found.push(
      problem('box-low', true, {
        sentence: say`The fronts reach ${len(front.over.below)} over what is below, but the boxes stand only ${len(making.rise)} up from them: the lowest would not go in.`,
        fixes: [
          {
            label: say`Stand the boxes ${len(front.over.below)} up`,
            edit: change({ rise: front.over.below, less: greatest([making.less, add(front.over.below, front.over.above)]) }),
          },
        ],
      }),
    );
  } else if (front.kind === 'overlay' && sub(making.less, making.rise) < front.over.above) {
    found.push(
      problem('box-over', true, {
        sentence: say`The fronts reach ${len(front.over.above)} over what is above, so the highest box would not go in under it.`,
        fixes: [
          {
            label: say`Make the boxes ${len(add(making.rise, front.over.above))} lower than their fronts`,
            edit: change({ less: add(making.rise, front.over.above) }),
          },
        ],
      }),
    );
  }
  if (runner.kind === 'wooden')
    found.push(...runnersInTheWay(making, split, bank, workshop, change).map((p) => problem('runner-room', true, p)));
  if (runner.kind === 'plain' && making.rise > LIES) {
    found.push(
      problem('plain-up', true, {
        sentence: say`The boxes lie on what is below them, but are to stand ${len(making.rise)} up: nothing is under them.`,
        fixes: [{ label: say`Let them lie on it`, edit: change({ rise: ZERO }) }],
      }),
    );
  }
  if (runner.kind === 'plain' && split.spaces.length > 1) {
    const box = stock.box.thickness.value;
    found.push(
      problem('plain-stacked', true, {
        sentence: say`Only the lowest of ${split.spaces.length} drawers lies on what is below it: nothing carries the others.`,
        fixes: [
          {
            label: say`Run them on wooden runners of ${len(box)}`,
            edit: change({
              runner: { kind: 'wooden', side: runner.side, stock: making.stock.box, wide: RUNNER_WIDE },
              rise: greatest([making.rise, box]),
              less: greatest([making.less, box]),
            }),
          },
        ],
      }),
    );
  }
  if (front.kind === 'lipped' && split.spaces.length > 1 && front.between < front.lip * 2) {
    found.push(
      problem('lips-meet', true, {
        sentence: say`Lips of ${len(front.lip)} meet where ${len(front.between)} lies between two drawers.`,
        fixes: [
          {
            label: say`Leave a lip and a half for each between them`,
            edit: change({ front: { ...front, between: (front.lip * 3) as typeof front.lip } }),
          },
        ],
      }),
    );
  }
  return found;
}
