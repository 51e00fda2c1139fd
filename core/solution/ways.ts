import { len, mass, money as amountOf, say, type Sentence } from '../figure/index.js';
import { applyEdit } from '../kinds/index.js';
import { asKg } from '../measures/index.js';
import type { Bought, Feature, Letters, PieceEdit } from '../piece/index.js';
import type { Length } from '../length/index.js';
import type { Workshop } from '../project/index.js';
import { boughtFor } from './bought.js';
import { addedCost } from './cost.js';
import { failing, saidOf } from './remedies/index.js';
import { solve, type Solution } from './solve.js';

/** Another way to make something of a piece. */
export interface Way {
  readonly id: string;
  readonly edit: PieceEdit;
}

/** What a piece comes to where it is made another way, beside how it is made now. */
export interface WayCosts {
  readonly id: string;
  /** What is more and what is less: weight, money, sizes, parts, cuts and what is bought, the weightiest first; nothing where all is as it is now. */
  readonly differs: readonly Sentence[];
  /** What fails then and does not now, each once. */
  readonly fails: readonly Sentence[];
  /** How many of what fails now do not then. */
  readonly mends: number;
}

/** Lighter or heavier than this is nothing to speak of, kg. */
const NOTHING_KG = 0.005;
/** Nor is money under this. */
const NOTHING_MONEY = 0.005;

const CUTS: Readonly<Record<Feature['kind'], readonly [one: string, many: string]>> = {
  housing: ['housing', 'housings'],
  groove: ['groove', 'grooves'],
  rebate: ['rebate', 'rebates'],
  notch: ['notch', 'notches'],
  hole: ['hole', 'holes'],
};

const moreOf = (by: number, [one, many]: readonly [string, string]): Sentence =>
  say`${Math.abs(by)} ${Math.abs(by) === 1 ? one : many} ${by > 0 ? 'more' : 'fewer'}`;

function weighs(before: Solution, after: Solution): Sentence[] {
  const by = after.carried.massKg - before.carried.massKg;
  return Math.abs(by) < NOTHING_KG ? [] : [say`${mass(asKg(Math.abs(by)))} ${by > 0 ? 'heavier' : 'lighter'}`];
}

function money(before: Solution, after: Solution, workshop: Workshop): Sentence[] {
  const by = addedCost(before, after, workshop);
  if (by === null) return [say`what its wood costs is not known`];
  return Math.abs(by) < NOTHING_MONEY ? [] : [say`its wood ${amountOf(Math.abs(by))} ${by > 0 ? 'dearer' : 'cheaper'}`];
}

const SIDES = [
  ['width', 'wider', 'narrower'],
  ['height', 'higher', 'lower'],
  ['depth', 'deeper', 'less deep'],
] as const;

function overall(before: Solution, after: Solution): Sentence[] {
  return SIDES.flatMap(([side, more, less]): Sentence[] => {
    const by = after.shape.overall[side].value - before.shape.overall[side].value;
    return by === 0 ? [] : [say`${len(Math.abs(by) as Length)} ${by > 0 ? more : less}`];
  });
}

function parts(before: Solution, after: Solution): Sentence[] {
  const by = after.parts.length - before.parts.length;
  return by === 0 ? [] : [moreOf(by, ['part', 'parts'])];
}

/** How many of each kind are cut into its members. */
function cutsOf({ shape }: Solution): ReadonlyMap<Feature['kind'], number> {
  const counts = new Map<Feature['kind'], number>();
  for (const { features } of shape.members) for (const { kind } of features) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return counts;
}

function cuts(before: Solution, after: Solution): Sentence[] {
  const [was, is] = [cutsOf(before), cutsOf(after)];
  return (Object.keys(CUTS) as Feature['kind'][]).flatMap((kind): Sentence[] => {
    const by = (is.get(kind) ?? 0) - (was.get(kind) ?? 0);
    return by === 0 ? [] : [moreOf(by, CUTS[kind])];
  });
}

const PAIR: Readonly<Record<Bought['each'], string>> = { pair: 'pairs of ', piece: '', run: '', litre: 'l of ' };

/** What is bought by the piece; what is bought by its length is in the weight and the money of edges. */
function bought(before: Solution, after: Solution): Sentence[] {
  const counts = new Map<string, { readonly one: Bought; by: number }>();
  const count = (solution: Solution, sign: 1 | -1) => {
    for (const one of boughtFor(solution)) {
      if (one.each === 'run') continue;
      const key = `${one.what} ${one.length ?? ''}`;
      const known = counts.get(key) ?? { one, by: 0 };
      known.by += sign * one.count;
      counts.set(key, known);
    }
  };
  count(after, 1);
  count(before, -1);
  return [...counts.values()].flatMap(({ one: { what, length, each }, by }): Sentence[] => {
    if (by === 0) return [];
    const size = length === undefined ? say`` : say` x ${len(length)}`;
    return [say`${Math.abs(by)} ${PAIR[each]}${what}${size} ${by > 0 ? 'more' : 'fewer'}`];
  });
}

/** A member and the check of it are told by the same sentence. */
const eachOnce = (said: readonly Sentence[]) => [...new Map(said.map((one) => [JSON.stringify(one), one])).values()];

/**
 * What ways to make a piece come to, each solved: weight, money, sizes, parts, cuts, what is bought, and what fails then.
 * @param ledger the letters given to its parts so far
 * @throws EditError where one of the edits can't be made
 * @example waysCompared(SOLVED, SHOP, SOLVED.letters, []) // []
 */
export function waysCompared(before: Solution, workshop: Workshop, ledger: Letters, ways: readonly Way[]): readonly WayCosts[] {
  const failed = failing(before);
  return ways.map(({ id, edit }): WayCosts => {
    const after = solve(applyEdit(before.piece, edit), workshop, ledger);
    const failsThen = failing(after);
    const more = [...failsThen].filter((one) => !failed.has(one));
    return {
      id,
      differs: [
        ...weighs(before, after),
        ...money(before, after, workshop),
        ...overall(before, after),
        ...parts(before, after),
        ...cuts(before, after),
        ...bought(before, after),
      ],
      fails: eachOnce(more.map((one) => saidOf(after, one))),
      mends: [...failed].filter((one) => !failsThen.has(one)).length,
    };
  });
}
