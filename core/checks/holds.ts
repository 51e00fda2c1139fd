import {
  fixingsOf,
  heldAt,
  ofWhatIsSafe,
  saidOfFixing,
  screwsAlong,
  type Carried,
  type CarriedMember,
  type Fixing,
} from '../carry/index.js';
import { force, say } from '../figure/index.js';
import type { Letters, Member, Piece } from '../piece/index.js';
import type { Settings, Workshop } from '../project/index.js';
import type { Check } from '../finding/index.js';
import { capital, manyOf, nameOf } from './names.js';
import { otherWays } from './screws.js';
import { asNewtons } from '../measures/index.js';

function strength(c: CarriedMember, letters: Letters): Check[] {
  const verdict = c.bending?.strength;
  if (!verdict || verdict.used === null || verdict.state === 'fine') return [];
  const fails = verdict.state === 'fails';
  return [
    {
      id: `strength-${c.member.id}`,
      severity: fails ? 'stop' : 'look',
      state: verdict.state,
      about: { kind: 'member', id: c.member.id },
      sentence: say`${capital(nameOf(c.member, letters))} carries ${ofWhatIsSafe(verdict.used)} for ${c.member.stock.name}${fails ? ': it may break' : ''}.`,
      fixes: [],
      remedyFor: c.member.id,
    },
  ];
}

/** A joint that holds less than it has to, or hardly more. */
function weakJoint(
  piece: Piece,
  c: CarriedMember,
  fixings: readonly Fixing[],
  all: Carried,
  letters: Letters,
  settings: Settings,
): Check[] {
  const fails = fixings.find((f) => f.state === 'fails');
  const joint = fails ?? fixings.find((f) => f.state === 'close' && f.holds !== undefined);
  if (!joint) return [];
  const gives = say`${capital(nameOf(c.member, letters))} gives ${force(asNewtons(heldAt(joint.support)))} on at one end`;
  return [
    {
      id: `ends-${c.member.id}`,
      joint: 'ends',
      severity: fails ? 'stop' : 'look',
      state: joint.state,
      about: { kind: 'member', id: c.member.id },
      sentence: fails
        ? say`${gives}, more than that holds. ${saidOfFixing(joint, c.member.id, all)}`
        : say`${gives}, close to what that holds. ${saidOfFixing(joint, c.member.id, all)}`,
      fixes: fails ? otherWays(piece, all, c.member.id, letters, settings) : [],
    },
  ];
}

/** Letters that are named one by one; of more only the count is told. */
const NAMED = 12;

/** Some members by their letters, and how many more there are. @example namesOf([SHELF, RAIL], { shelf: 'C', rail: 'D' }) // 'C, D' */
export function namesOf(members: readonly Member[], letters: Letters): string {
  const names = [...new Set(members.map((m) => letters[m.id] ?? m.label))];
  return names.length > NAMED ? `${names.slice(0, NAMED).join(', ')} and ${names.length - NAMED} more` : names.join(', ');
}

/** Members that come down, since what is to carry them does not; those of one kind for one reason together. */
function falling(carried: readonly CarriedMember[], letters: Letters): Check[] {
  const alike = new Map<string, CarriedMember[]>();
  for (const c of carried.filter((one) => one.falls)) {
    const key = `${c.member.role} ${c.missing}`;
    alike.set(key, [...(alike.get(key) ?? []), c]);
  }
  return [...alike.values()].map((all): Check => {
    const [first] = all as [CarriedMember];
    const { role, id } = first.member;
    const names = namesOf(
      all.map((c) => c.member),
      letters,
    );
    const who =
      all.length === 1 ? say`${capital(nameOf(first.member, letters))} comes down` : say`${manyOf(all.length, role)} come down (${names})`;
    return {
      id: `falls-${id}`,
      severity: 'stop',
      state: 'fails',
      about: { kind: 'member', id },
      sentence: say`${who}: ${first.missing ?? 'nothing holds it'}.`,
      fixes: [],
    };
  });
}

/**
 * Whether members are strong enough, whether anything falls, and whether every joint holds, whether or not a member bends there.
 * @example holdChecks(CASE, SOLVED.carried, {}, SHOP) // []
 */
export function holdChecks(piece: Piece, all: Carried, letters: Letters, workshop: Workshop): Check[] {
  const carried = [...all.members.values()];
  const byId = new Map(carried.map((c) => [c.member.id, c.member]));
  const each = carried.flatMap((c): Check[] => {
    const fixings = fixingsOf(c, byId, workshop.settings);
    const loose = c.bending?.builtUp ? screwsAlong(c.bending.builtUp, workshop.settings.unit).filter((f) => f.state === 'fails') : [];
    const along = loose.map((f): Check => ({
      id: `along-${f.member.id}`,
      joint: 'along',
      severity: 'stop',
      state: 'fails',
      about: { kind: 'member', id: f.member.id },
      sentence: f.sentence,
      fixes: [],
    }));
    return [...strength(c, letters), ...weakJoint(piece, c, fixings, all, letters, workshop.settings), ...along];
  });
  return [...falling(carried, letters), ...each];
}
