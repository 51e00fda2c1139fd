import { len, say, size, type Figure } from '../../figure/index.js';
import { ZERO, add, sub, toMm, type Length } from '../../length/index.js';
import { atZ, rectangular, type Fact, type Joint, type Member } from '../../piece/index.js';
import { woodOf } from '../../project/index.js';
import { solveRun, type RunLine, type RunSolution } from '../../run/index.js';
import { NO_OVERHANG, SIDES, levelIds, middle, type Built, type LevelAt, type Rails } from './level.js';
import { common } from './seams.js';
import type { Level } from './spec.js';

type Slats = NonNullable<NonNullable<Level['deck']>['slats']>;

/** The slats of a deck along its run, from its left end: those that are held so far apart, and equal gaps between the others. */
export function slatRun(whole: Figure, slats: Slats, at: Pick<LevelAt, 'rounding' | 'dealt' | 'source'>): RunSolution {
  const extent = size('slat', slats.wide, at.source('deck.slats.wide'));
  const lines = Array.from({ length: slats.count }, (_, n): readonly RunLine[] => {
    const slat: RunLine = { kind: 'member', id: `slat-${n}`, label: `slat ${n + 1}`, plural: 'slats', extent };
    if (n === slats.count - 1) return [slat];
    const held = at.dealt?.held(n);
    const rule = held ? ({ kind: 'fixed', size: held.value } as const) : ({ kind: 'share', weight: 1 } as const);
    return [slat, { kind: 'gap', id: `gap-${n}`, label: `gap ${n + 1}`, rule }];
  }).flat();
  return solveRun({ lines, total: { kind: 'given', figure: whole }, rounding: at.rounding });
}

/** How a deck of slats is laid out: its slats from the left, and how long they are from the rear to the front. */
export interface SlatsLaid {
  readonly run: RunSolution;
  readonly slats: readonly { readonly n: number; readonly x: Length; readonly width: Figure }[];
  /** Where the slats of the level itself begin, from the rear, how long they are, and how high they lie. */
  readonly z: Length;
  readonly y: Length;
  readonly long: Figure;
}

/** A size grown by what lies over it at some sides. */
function grown(of: Figure, { over = NO_OVERHANG, source }: LevelAt, sides: readonly (keyof typeof NO_OVERHANG)[]): Figure {
  return sides.reduce(
    (sum, side) => (over[side] === ZERO ? sum : sum.plus(size(`overhang, ${side}`, over[side], source(`over.${side}`)))),
    of,
  );
}

/** Where the slats of a deck lie; null for a deck that has none, or where they cannot be laid. */
export function slatsLaid({ at, high }: Pick<Rails, 'at' | 'high'>): SlatsLaid | null {
  const slats = at.level.deck?.slats;
  if (!slats || slatProblems({ at }).some((p) => p.stops)) return null;
  const { ring } = at.posts;
  const over = at.over ?? NO_OVERHANG;
  const run = slatRun(grown(ring.width, at, ['left', 'right']), slats, at);
  const left = sub(ring.x, over.left);
  const members = run.lines.filter((l) => l.line.kind === 'member');
  return {
    run,
    slats: members.map((l, n) => ({ n, x: add(left, l.near.value), width: l.size })),
    z: sub(ring.z, over.rear),
    y: add(at.y, high.value),
    long: grown(ring.depth, at, ['rear', 'front']),
  };
}

/** A slat from the rear to the front. */
export function slatMember(
  { at }: Pick<Rails, 'at'>,
  { n, x, width }: SlatsLaid['slats'][number],
  { y, z, long }: { readonly y: Length; readonly z: Length; readonly long: Figure },
): Member {
  const trim = at.level.deck?.slats?.trim ?? ZERO;
  return rectangular({
    id: levelIds(at.node).slat(n + 1),
    node: at.node,
    role: 'slat',
    label: `slat ${n + 1} of ${at.label}`,
    wood: woodOf(at.workshop, at.level.deck?.stock ?? ''),
    length: long,
    width: width.named('slat'),
    frame: { origin: { x, y, z }, u: [0, 0, 1], v: [1, 0, 0], n: [0, 1, 0] },
    edges: { v0: 'eased', v1: 'eased' },
    ...(trim === ZERO ? {} : { purpose: { length: 'trimmed', width: 'between' }, over: { length: trim, width: ZERO } }),
  });
}

/** From where to where a rail across lies from the rear, and across. */
function lies({ frame: { origin, v }, length }: Member, broad: Length) {
  const z = v[2] === -1 ? sub(origin.z, broad) : origin.z;
  return { across: { from: origin.x, to: add(origin.x, length.value) }, deep: { from: z, to: add(z, broad) } };
}

/** The rails across that a slat lies on, each in the middle of what it covers of it. */
export function slatJoints(slat: Member, rails: readonly Member[], broad: Length, how: 'bearing' | 'screws'): Joint[] {
  const { origin } = slat.frame;
  const [x, z] = [
    { from: origin.x, to: add(origin.x, slat.width.value) },
    { from: origin.z, to: add(origin.z, slat.length.value) },
  ];
  return rails.flatMap((rail): Joint[] => {
    if (rail.frame.u[0] !== 1) return [];
    const { across, deep } = lies(rail, broad);
    const [met, over] = [common(x, across), common(z, deep)];
    if (!met || !over) return [];
    return [{ carried: slat.id, carrier: rail.id, how, on: atZ(middle(over.from, over.to)), part: toMm(sub(met.to, met.from)) }];
  });
}

/** The heads of posts that a slat of the highest level lies on, on one line with the rail beside where there is one, which it then lies on as well. */
function onPosts(slat: Member, { at: { posts, above } }: Pick<Rails, 'at'>, onRails: readonly Joint[]): Joint[] {
  if (above || posts.joined === 'end-on') return [];
  const { origin } = slat.frame;
  const [x, z] = [
    { from: origin.x, to: add(origin.x, slat.width.value) },
    { from: origin.z, to: add(origin.z, slat.length.value) },
  ];
  return posts.pairs.flatMap((pair) =>
    SIDES.flatMap((side): Joint[] => {
      const { id, x0, x1, z0, z1 } = pair[side];
      const [met, over] = [common(x, { from: x0, to: x1 }), common(z, { from: z0, to: z1 })];
      if (!met || !over) return [];
      const own = middle(over.from, over.to);
      const on = onRails.find((j) => j.on && Math.abs(j.on.at - own) < z1 - z0)?.on ?? atZ(own);
      return [{ carried: slat.id, carrier: id, how: 'screws', on, part: toMm(sub(met.to, met.from)) }];
    }),
  );
}

/** The slats of a deck that are its own, screwed to the rails that they lie on, and to the heads of the posts. */
export function slatsOf(rails: Rails, under: readonly Member[]): Built {
  const laid = slatsLaid(rails);
  if (!laid) return { members: [], joints: [] };
  const members = laid.slats.filter(({ n }) => !rails.at.dealt?.slides(n)).map((slat) => slatMember(rails, slat, laid));
  return {
    members,
    joints: members.flatMap((m) => {
      const onRails = slatJoints(m, under, rails.broad.value, 'screws');
      return [...onRails, ...onPosts(m, rails, onRails)];
    }),
  };
}

/** What one needs to lay slats out: how many spacer blocks of which size. */
export function slatFacts({ run, slats }: SlatsLaid): readonly Fact[] {
  const gaps = run.lines.filter((l) => l.line.kind === 'gap');
  const sizes = new Map<Length, number>();
  gaps.forEach((g) => sizes.set(g.size.value, (sizes.get(g.size.value) ?? 0) + 1));
  const blocks = [...sizes].sort(([a], [b]) => b - a).map(([gap, n]) => say`${n} of ${len(gap)}`);
  const shared = gaps.find((g) => g.line.kind === 'gap' && g.line.rule.kind === 'share');
  return [
    { name: 'slats', remark: say`${slats.length} slats; spacer blocks: ${blocks.flatMap((b, i) => (i === 0 ? b : [', ', ...b]))}.` },
    ...(shared ? [{ name: 'a gap exactly', figure: shared.exact }] : []),
  ];
}

/** Slats that are together wider than their deck, or that lie round posts. */
export function slatProblems({ at }: Pick<Rails, 'at'>) {
  const { deck } = at.level;
  if (!deck?.slats) return [];
  const { slats } = deck;
  const room = at.posts.ring.width.value;
  const all = slats.count * slats.wide;
  const problem = (id: string, sentence: ReturnType<typeof say>) => [
    { id: `${id}-${at.node}`, about: at.node, stops: true, sentence, fixes: [] },
  ];
  if (at.level.cross)
    return [
      {
        id: `slats-cross-${at.node}`,
        about: at.node,
        stops: false,
        sentence: say`Cross pieces of ${at.label} would lie the same way as its slats, and hold none of them: they are left out.`,
        fixes: [],
      },
    ];
  if (deck.goes === 'round')
    return problem('slats-round', say`Slats of ${at.label} lie over the posts, and its deck goes round them: a sheet can, slats cannot.`);
  if (all >= room + (at.over?.left ?? ZERO) + (at.over?.right ?? ZERO))
    return problem(
      'slats-wide',
      say`${slats.count} slats of ${len(slats.wide)} are ${len(all as Length)} and ${at.label} is ${len(room)} wide: nothing is left between them. Take fewer, or narrower ones.`,
    );
  return [];
}
