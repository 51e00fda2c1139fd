import { size } from '../../figure/index.js';
import { stockNames } from '../../piece/index.js';
import type { DividingKind, SplitKind } from '../kind.js';
import { deckHeight } from './height.js';
import { slatMembers } from './members.js';
import { SlatsSchema, type Slats } from './spec.js';

export * from './spec.js';
export * from './fourth.js';
export * from './height.js';

/** A deck of slats: its members are the slats, its parts the gaps between them. */
function inRun(making: Slats): SplitKind {
  const wide = size('slat', making.wide, { in: 'making', field: 'wide' });
  const flush = making.ends === 'flush';
  return {
    names: { one: 'slat', many: 'slats', part: 'gap' },
    set: true,
    roleOf: (member) => (member.room === undefined ? 'slat' : 'room'),
    extent: (member) => (member.room === undefined ? wide : size('left free', member.room)),
    ends: () => (flush ? { before: wide, after: wide } : { before: null, after: null }),
    endIds: (owner) => (flush ? { before: `${owner}/slat/first`, after: `${owner}/slat/last` } : null),
    // Half a gap at each end, so that decks set end to end go on at the same gap.
    endShare: flush ? 1 : 0.5,
    over: { before: null, after: null },
    insets: () => null,
  };
}

export const slats: DividingKind<Slats> = {
  kind: 'slats',
  schema: SlatsSchema,
  names: ({ stock, supports, deal }) => stockNames([stock, supports.stock, ...(deal?.frame ? [deal.frame.stock] : [])]),
  onPiece: null,
  seenFrom: 'top',
  split: inRun,
  made: slatMembers,
  filled: () => 'slats',
  holdsAt: deckHeight,
  withStock: (making, { role }, stock) => {
    const { deal } = making;
    if (role === 'rail') return deal?.frame ? { ...making, deal: { ...deal, frame: { ...deal.frame, stock } } } : null;
    return role === 'slat support' ? { ...making, supports: { ...making.supports, stock } } : { ...making, stock };
  },
  remedies: () => [],
  memberRemedies: null,
};
