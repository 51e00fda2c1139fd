import { asKg, type Kilograms } from '../measures/index.js';
import { massOf } from '../carry/index.js';
import { GRAVITY, mass, say, type Sentence } from '../figure/index.js';
import { lettersText, type Part } from '../parts/index.js';
import { FLOOR, PLACE, type Joint } from '../piece/index.js';
import type { Building } from '../build/spec.js';
import type { Solution } from '../solution/index.js';

/** What whoever owns a piece later should know. */
export interface OwnersPage {
  readonly madeOf: readonly Sentence[];
  readonly carries: readonly Sentence[];
  readonly fixed: readonly Sentence[];
  readonly apart: readonly Sentence[];
}

/** Less than this is nothing that a shelf carries, kg. */
const NOTHING = 0.05;

function madeOf({ parts }: Solution): Sentence[] {
  const stocks = new Map<string, Part[]>();
  for (const part of parts) stocks.set(part.member.stock.name, [...(stocks.get(part.member.stock.name) ?? []), part]);
  return [...stocks].map(([name, some]) => {
    const kg = some.reduce((sum, p) => sum + massOf(p.member), 0);
    return say`${name}: ${some.length} ${some.length === 1 ? 'part' : 'parts'}, ${mass(asKg(kg))}.`;
  });
}

function carries({ carried, parts }: Solution): Sentence[] {
  const loads = parts.flatMap((part): [number, Part, boolean][] => {
    const c = carried.members.get(part.id);
    const own = massOf(part.member);
    const kg = (c?.total ?? 0) / GRAVITY - own;
    const lies = part.member.frame.n[1] !== 0;
    return c && lies && kg > NOTHING ? [[Math.round(kg * 10) / 10, part, c.bending?.verdict.state === 'fails']] : [];
  });
  const byLoad = new Map<string, { kg: Kilograms; letters: string[]; over: boolean }>();
  for (const [kg, part, over] of loads) {
    const key = `${kg} ${over}`;
    const line = byLoad.get(key) ?? { kg: asKg(kg), letters: [], over };
    line.letters.push(part.letter);
    byLoad.set(key, line);
  }
  return [...byLoad.values()]
    .sort((a, b) => b.kg - a.kg)
    .map(
      ({ kg, letters, over }) =>
        say`${lettersText(letters)}: planned for ${mass(kg)}${over ? ', which was more than it is judged to carry well' : ''}.`,
    );
}

/** What comes apart whether glue was used or not. */
const OPENS: ReadonlyMap<Joint['how'], string> = new Map([
  ['bolts', 'undo the bolts'],
  ['screwed along', 'unscrew'],
  ['pins', 'lift off its pins'],
  ['bearing', 'lift off'],
  ['hung', 'lift off the cleat'],
  ['slide', 'take off its slides'],
  ['pivot', 'draw the pivot'],
]);

/** What comes apart only where it was put together without glue. */
const OPENS_DRY: ReadonlyMap<Joint['how'], string> = new Map([
  ['screws', 'unscrew'],
  ['pocket screws', 'unscrew'],
  ['housed', 'draw out of its housing'],
]);

/** What comes off what is there already. */
const FROM_PLACE: ReadonlyMap<Joint['how'], string> = new Map([...OPENS, ['hung', 'take off the wall']]);

const GLUED = 'glued: does not come apart';

function apart({ shape, parts }: Solution, glue: Building['glue']): Sentence[] {
  const letter = new Map(parts.map((p) => [p.id, p.letter]));
  const byHow = new Map<string, Set<string>>();
  for (const { how, carried, carrier } of shape.joints) {
    const l = letter.get(carried);
    if (!l || carrier === FLOOR) continue;
    const way = (carrier === PLACE ? FROM_PLACE : OPENS).get(how) ?? (glue === 'none' ? OPENS_DRY.get(how) : undefined) ?? GLUED;
    byHow.set(way, (byHow.get(way) ?? new Set<string>()).add(l));
  }
  return [...byHow].map(([way, letters]) => say`${lettersText([...letters])}: ${way}.`);
}

function fixedTo({ piece, shape }: Solution): Sentence[] {
  const hung = shape.joints.some((j) => j.how === 'hung');
  const inPlace = shape.joints.some((j) => j.carrier === PLACE && j.how !== 'hung');
  if (hung) return [say`It hangs on the wall: look at its screws once a year, and empty it before it is taken off.`];
  if (piece.fixedToWall) return [say`It is fixed to the wall at its top. It must be again wherever it goes: it can be pulled over.`];
  if (inPlace) return [say`It is put into a place that carries it, and does not stand by itself.`];
  return [say`It stands by itself, and is fixed to nothing.`];
}

/**
 * What a piece is made of, what it was planned to carry, where it is fixed, and how it comes apart.
 * @example ownersPage(SOLVED, BUILDING).madeOf.length // 1
 */
export function ownersPage(solution: Solution, { glue }: Pick<Building, 'glue'>): OwnersPage {
  return { madeOf: madeOf(solution), carries: carries(solution), fixed: fixedTo(solution), apart: apart(solution, glue) };
}
