import { allScrews, clashesOf, wouldHold, type Carried, type Clash, type PlacedRow } from '../carry/index.js';
import { fine, say, type Sentence } from '../figure/index.js';
import { findMember, type Letters, type Piece } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import { pieceFix, type Check, type Fix } from '../finding/index.js';
import { capital, nameOf } from './names.js';

type Names = (id: string) => string;

/** What is wrong with where screws go, in one sentence. */
export function clashSentence(clash: Clash, name: Names): Sentence {
  const held = (row: PlacedRow) => name(row.holds);
  switch (clash.kind) {
    case 'facing':
      return say`${capital(held(clash.row))} and ${held(clash.other)} meet ${name(clash.row.row.through.id)} from both sides at one height: only one of them can be screwed through it, since the other one covers the heads.`;
    case 'meets':
      return say`Screws of ${held(clash.row)} and of ${held(clash.other)} ${clash.apart > 0 ? say`come within ${fine(clash.apart, 1)} of each other` : 'meet'} in ${name(common(clash))}: set one row out anew, or glue one of the two.`;
    case 'lands':
      return say`A screw of ${held(clash.row)} lands in the ${clash.in} that ${name(clash.member)} has for ${name(clash.mate)}: shift it clear of that.`;
  }
}

/** The member that two rows meet in. */
function common({ row, other }: Extract<Clash, { kind: 'meets' }>): string {
  const theirs = new Set([other.row.through.id, other.row.into.id]);
  return theirs.has(row.row.into.id) ? row.row.into.id : row.row.through.id;
}

/** The members whose screws a clash is about. @example heldIn({ kind: 'lands', row: { holds: 'shelf' } }) // ['shelf'] */
export function heldIn(clash: Clash): readonly string[] {
  return clash.kind === 'lands' ? [clash.row.holds] : [clash.row.holds, clash.other.holds];
}

/** Other ways of holding a shelf whose screws can't be driven, or do not hold: those that would hold what it gives on at every end. */
export function otherWays(piece: Piece, carried: Carried, id: string, letters: Letters, settings: Settings): readonly Fix[] {
  const own = carried.members.get(id);
  const member = own?.member;
  if (member?.role !== 'shelf' || !findMember(piece.interior, member.node)) return [];
  const ends = own?.supports.filter((s) => s.on !== undefined) ?? [];
  const holds = (how: 'housed' | 'pins') =>
    ends.every((s) => {
      const carrier = carried.members.get(s.carrier)?.member;
      return carrier !== undefined && wouldHold(how, s, member, carrier, piece.panels.shelves.housing, settings);
    });
  const held = (fix: 'housed' | 'loose', label: Sentence) => pieceFix(label, { kind: 'member', member: member.node, patch: { fix } });
  const name = nameOf(member, letters);
  return [
    ...(holds('housed') ? [held('housed', say`House ${name}`)] : []),
    ...(holds('pins') ? [held('loose', say`Put ${name} on pins`)] : []),
  ];
}

/**
 * Screws that can't be driven, meet each other, or land in what is cut for something else.
 * @example screwChecks(CASE, SOLVED.carried, {}, SHOP.settings) // []
 */
export function screwChecks(piece: Piece, carried: Carried, letters: Letters, settings: Settings): Check[] {
  const clashes = clashesOf(allScrews(carried));
  if (clashes.length === 0) return [];
  const name: Names = (id) => {
    const member = carried.members.get(id)?.member;
    return member ? nameOf(member, letters) : id;
  };
  return clashes.map((clash): Check => {
    const [first, second = ''] = heldIn(clash);
    return {
      id: `screws-${clash.kind}-${first}-${second}`,
      joint: 'screws',
      severity: 'look',
      state: 'fails',
      about: { kind: 'member', id: clash.row.holds },
      sentence: clashSentence(clash, name),
      fixes: clash.kind === 'facing' ? otherWays(piece, carried, clash.row.holds, letters, settings) : [],
    };
  });
}
