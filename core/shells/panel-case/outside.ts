import { Figure } from '../../figure/index.js';
import { ZERO, hypot, sub } from '../../length/index.js';
import type { Member, Outside, TapeEnd } from '../../piece/index.js';
import { standsOut, type Envelope } from './envelope.js';

import { CASE, HUNG } from './ids.js';
import { onPlinth } from './plinth.js';
import { footIn } from './side-outline.js';
import type { Inset, PanelCase } from './spec.js';

type Lower = NonNullable<Outside['lower']>;

/** The foot of the case: what lies under its bottom. */
function baseEnd({ base }: PanelCase): TapeEnd[] {
  if (base.kind === 'none') return [];
  return [
    {
      id: 'base',
      kind: 'wood',
      selects: base.kind === 'toe' ? CASE.toe : CASE.front,
      label: base.kind === 'toe' ? 'toe' : 'plinth',
      size: Figure.leaf('length', base.height, base.kind, { in: 'piece', field: 'base.height' }),
    },
  ];
}

/** The cleat behind a case that hangs. */
function cleatEnd({ hung, back }: PanelCase, members: readonly Member[]): TapeEnd[] {
  // Where it is let into the sides it lies in what the back stands in.
  if (hung && 'cleat' in hung && hung.cleat.notched && back.kind === 'groove') return [];
  const cleat = members.find((m) => m.id === HUNG.case);
  return cleat ? [{ id: 'cleat', kind: 'wood', label: 'cleat', selects: cleat.id, size: cleat.thickness }] : [];
}

/** What a back in grooves stands in from the rear. */
function insetEnd({ back }: PanelCase): TapeEnd[] {
  if (back.kind !== 'groove' || back.inset === ZERO) return [];
  const label = 'behind the back';
  return [{ id: 'inset', kind: 'gap', label, selects: CASE.back, size: Figure.leaf('length', back.inset, label) }];
}

/** With its base apart it is lower across its corners, where the base is a part of its sides. */
function lower({ base }: PanelCase, { height, overall: { depth } }: Envelope): Lower | null {
  if (base.kind !== 'toe') return null;
  return {
    way: 'Stand it on a loose plinth',
    diagonal: hypot(sub(height.value, base.height), depth.value),
    edit: { kind: 'piece', patch: { base: onPlinth(base) } },
  };
}

/** What follows from a case being one: its front feet, what lies round its inside, and how it is made lower to be stood up. */
export function outsideOf(piece: PanelCase, envelope: Envelope, members: readonly Member[]): Outside {
  const wood = (id: string, label: string): TapeEnd[] => {
    const member = members.find((m) => m.id === id);
    return member ? [{ id, kind: 'wood', label, selects: id, size: member.thickness }] : [];
  };
  const insetAt = (side: keyof Inset): TapeEnd[] => {
    const by = piece.inset?.[side] ?? ZERO;
    const label = `in from the ${side}`;
    const of = Figure.leaf('length', by, label, { in: 'piece', field: `inset.${side}` });
    return by > ZERO ? [{ id: `inset-${side}`, kind: 'gap', label, selects: CASE.left, size: of }] : [];
  };
  const apart = lower(piece, envelope);
  const past = standsOut(piece);
  const beyond = (id: string, at: readonly Figure[]): TapeEnd[] =>
    at.map((f) => ({ id, kind: 'gap', label: 'under the top', selects: CASE.top, size: f }));
  return {
    is: 'built',
    // The sides of a case with a toe board run to the floor at the front.
    foot: piece.hung ? null : sub(envelope.depth.value, piece.base.kind === 'plinth' ? piece.base.setback : footIn(piece)),
    ends: {
      up: {
        before: [...baseEnd(piece), ...insetAt('bottom'), ...wood(CASE.bottom, 'bottom')],
        after: [...wood(CASE.top, piece.lid ? 'lid' : 'top'), ...insetAt('top')],
      },
      across: {
        before: [...beyond('past-left', past.sides), ...wood(CASE.left, 'left side')],
        after: [...wood(CASE.right, 'right side'), ...beyond('past-right', past.sides)],
      },
      deep: {
        before: [...cleatEnd(piece, members), ...insetAt('rear'), ...insetEnd(piece), ...wood(CASE.back, 'back')],
        after: [...insetAt('front'), ...beyond('past-front', past.front)],
      },
    },
    members: new Set(members.map((m) => m.id)),
    ...(past.front[0] ? { cover: past.front[0].value } : {}),
    ...(piece.hung?.above === undefined ? {} : { above: piece.hung.above }),
    behind: new Set<string>([CASE.back, HUNG.case, HUNG.wall, HUNG.bumper, HUNG.rail]),
    ...(apart ? { lower: apart } : {}),
  };
}
