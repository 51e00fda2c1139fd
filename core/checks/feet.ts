import { asKg, type Kilograms } from '../measures/index.js';
import { GRAVITY, balanced, massFromWall, stateOf, type Carried } from '../carry/index.js';
import { mass, say } from '../figure/index.js';
import type { Check } from '../finding/index.js';
import { toMm } from '../length/index.js';
import { FLOOR, boxOf, type Foot, type Letters, type Member, type Shape } from '../piece/index.js';
import { nameOf } from './names.js';

interface Loaded {
  readonly id: string;
  readonly name: string;
  readonly kg: Kilograms;
  readonly foot: Foot | undefined;
  readonly at: { readonly x: number; readonly z: number };
}

/** Where the middle of a post is across and out, mm. */
function middleOf(post: Member): Loaded['at'] {
  const { x0, x1, z0, z1 } = boxOf(post);
  return { x: (toMm(x0) + toMm(x1)) / 2, z: (toMm(z0) + toMm(z1)) / 2 };
}

/** Whether all of a piece stands on some posts, and nothing else holds any of it. */
const standsFree = (posts: readonly Loaded[], { floor }: Carried): boolean =>
  Math.abs(posts.reduce((sum, p) => sum + p.kg * GRAVITY, 0) - floor) < 1e-6 * floor;

/** The same posts with what they carry so that together they hold the piece up where its weight is. */
function together(posts: readonly Loaded[], shape: Shape, carried: Carried): readonly Loaded[] {
  const { kg, out, across } = massFromWall(shape, carried);
  const loads = balanced(
    posts.map((p) => ({ ...p.at, load: p.kg })),
    { x: across, z: out, load: kg },
  );
  return posts.map((p, i) => ({ ...p, kg: asKg(loads[i] as number) }));
}

/** On a floor that is not flat one of them carries nothing. */
const onUneven = (count: number) => (count > 3 ? count / (count - 1) : 1);

/** What a foot, or a castor, carries against what it is rated for. */
function rated(loaded: readonly Loaded[]): Check[] {
  const on = loaded.filter((l) => l.foot !== undefined);
  const [first] = on;
  if (!first?.foot) return [];
  const worst = on.reduce((most, l) => (l.kg > most.kg ? l : most), first);
  const foot = worst.foot as Foot;
  const kg = worst.kg * onUneven(on.length);
  const about = { kind: 'member', id: worst.id } as const;
  const carries = say`${foot.is} under ${worst.name} carries ${mass(asKg(kg))}, with one of ${on.length} clear of an uneven floor`;
  if (foot.rated === null) {
    return [
      {
        id: 'feet-rated',
        severity: 'look',
        state: 'not checked',
        about,
        sentence: say`Not checked, since what the ${foot.is === 'castor' ? 'castors are' : 'feet are'} rated for is not known: the ${carries}.`,
        fixes: [],
      },
    ];
  }
  const state = stateOf(kg, foot.rated);
  const sentence = say`The ${carries}: ${Math.round((kg / foot.rated) * 100)} % of the ${mass(foot.rated)} it is rated for.`;
  return [
    { id: 'feet-rated', severity: state === 'fails' ? 'stop' : state === 'fine' ? 'good' : 'look', state, about, sentence, fixes: [] },
  ];
}

/**
 * What each foot of a piece on posts carries, and whether that is more than it is rated for.
 * @example feetChecks(SOLVED.shape, SOLVED.carried, {}) // []
 */
export function feetChecks(shape: Shape, carried: Carried, letters: Letters): Check[] {
  const { members, feet = [] } = shape;
  const posts = members.filter((m) => m.role === 'post');
  const byPost = new Map(feet.map((f) => [f.under, f]));
  const stand = posts.flatMap((post): Loaded[] => {
    const c = carried.members.get(post.id);
    if (!c || c.unknown.length > 0 || !c.supports.some((s) => s.carrier === FLOOR)) return [];
    return [{ id: post.id, name: nameOf(post, letters), kg: asKg(c.total / GRAVITY), foot: byPost.get(post.id), at: middleOf(post) }];
  });
  const loaded = standsFree(stand, carried) ? together(stand, shape, carried) : stand;
  const [first] = loaded;
  if (!first) return [];
  const worst = loaded.reduce((most, l) => (l.kg > most.kg ? l : most), first);
  const least = Math.min(...loaded.map((l) => l.kg));
  const each =
    worst.kg - least < 0.05 * worst.kg
      ? say`Each of its ${loaded.length} feet carries about ${mass(worst.kg)}.`
      : say`Its ${loaded.length} feet carry ${mass(asKg(least))} to ${mass(worst.kg)}, the most under ${worst.name}.`;
  return [
    ...rated(loaded),
    { id: 'feet', severity: 'good', state: 'fine', about: { kind: 'member', id: worst.id }, sentence: each, fixes: [] },
  ];
}
