import { fixingsOf, type Carried } from '../carry/index.js';
import { asBefore, grouped, say, type Sentence } from '../figure/index.js';
import type { Check } from '../finding/index.js';
import type { Letters, Member, Piece, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { namesOf } from './holds.js';
import { columnsIn } from './posts.js';

/** Something that is not checked, and why. */
interface Open {
  readonly what: 'joint' | 'part' | 'upright';
  readonly member: Member;
  readonly reason: string;
}

/** Parts that carry something and are not checked. */
const parts = ({ members }: Carried): readonly Open[] =>
  [...members.values()]
    .filter((c) => c.state === 'not checked' && (!c.empty || c.unknown.length > 0))
    .map(({ member, missing, unknown }) => ({
      what: 'part',
      member,
      reason: unknown.length > 0 ? `${missing ?? ''} is not known` : (missing ?? 'something is missing'),
    }));

const jointsAsBefore = asBefore<Carried, readonly Open[]>();

/** The joints of a piece that are not checked. @example uncheckedJoints(SOLVED.carried, SHOP).length // 0 */
export function uncheckedJoints(carried: Carried, { settings }: Pick<Workshop, 'settings'>): readonly Open[] {
  return jointsAsBefore(carried, { same: [settings], alike: null }, () => {
    const all = [...carried.members.values()];
    const byId = new Map(all.map((c) => [c.member.id, c.member]));
    return all.flatMap((c) =>
      fixingsOf(c, byId, settings)
        .filter((f) => f.state === 'not checked')
        .map((f): Open => ({ what: 'joint', member: c.member, reason: f.reason ?? 'something is not known of them' })),
    );
  });
}

const uprights = (piece: Piece, shape: Shape, carried: Carried, workshop: Workshop): readonly Open[] =>
  columnsIn(piece, shape, carried, workshop).flatMap(({ c: { member }, answer }): Open[] =>
    answer ? [] : [{ what: 'upright', member, reason: `no values are published for ${member.stock.name} as a post` }],
  );

/** How many of what there are of one reason, and which. */
function counted(open: readonly Open[], letters: Letters): Sentence {
  const [{ what, reason }] = open as [Open];
  const names = namesOf(
    open.map((o) => o.member),
    letters,
  );
  return say`${open.length} ${open.length === 1 ? what : `${what}s`}, since ${reason} (${names})`;
}

/**
 * All that is not checked of a piece's strength in one line, counted by reason: what is not known to hold is no part of what is fine.
 * @example notChecked(CASE, SOLVED.shape, SOLVED.carried, {}, SHOP) // []
 */
export function notChecked(piece: Piece, shape: Shape, carried: Carried, letters: Letters, workshop: Workshop): Check[] {
  const all = [...uncheckedJoints(carried, workshop), ...parts(carried), ...uprights(piece, shape, carried, workshop)];
  const [first] = all;
  if (!first) return [];
  const each = grouped(all, (o) => `${o.what} ${o.reason}`)
    .sort((a, b) => b.length - a.length)
    .map((open) => counted(open, letters));
  return [
    {
      id: 'not-checked',
      severity: 'look',
      state: 'not checked',
      about: { kind: 'member', id: first.member.id },
      sentence: say`Not checked: ${each.flatMap((s, i) => (i > 0 ? ['; ', ...s] : s))}.`,
      fixes: [],
    },
  ];
}
