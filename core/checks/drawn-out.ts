import { carry, drawnOut, unweighedIn, type Carried } from '../carry/index.js';
import { fine, mass, say } from '../figure/index.js';
import type { Check } from '../finding/index.js';
import { membersMovedBy, type Body, type Letters, type Piece, type Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { holdChecks } from './holds.js';
import { memberSags } from './members.js';
import { peopleChecks } from './people.js';
import { postChecks } from './posts.js';
import { asKg } from '../measures/index.js';

/** A piece with one of its bodies drawn out: where its members are then, how all is carried, and what is asked of it. */
export interface DrawnOut {
  readonly shape: Shape;
  readonly carried: Carried;
  readonly checks: readonly Check[];
}

/**
 * The same with one of its bodies drawn out; null where that is held no otherwise than it is shut.
 * @example drawnOutAt(CASE, SOLVED.shape, TRAY, SOLVED.letters, SHOP) // null
 */
export function drawnOutAt(piece: Piece, shape: Shape, body: Body, letters: Letters, workshop: Workshop): DrawnOut | null {
  const out = drawnOut(shape, body);
  if (!out) return null;
  const carried = carry(out, workshop);
  const checks = [
    ...memberSags(carried, letters, workshop),
    ...holdChecks(piece, carried, letters, workshop),
    ...peopleChecks(piece, out, carried, letters, workshop, false),
    ...postChecks(piece, out, carried, letters, workshop),
  ];
  return { shape: out, carried, checks };
}

/** What is held otherwise when it is drawn out than when it is shut, asked the same there as it is shut. */
export function drawnOutChecks(piece: Piece, shape: Shape, letters: Letters, workshop: Workshop): Check[] {
  return shape.bodies.flatMap((body): Check[] => {
    const out = drawnOutAt(piece, shape, body, letters, workshop);
    if (!out) return [];
    const { carried, checks } = out;
    const open = checks
      .filter((c) => c.state !== 'fine')
      .map((c): Check => ({ ...c, id: `out-${c.id}`, sentence: say`With ${body.label} drawn out: ${c.sentence}` }));
    if (open.length > 0) return open;
    const unknown = unweighedIn(carried);
    if (unknown.length > 0) {
      const sentence = say`With ${body.label} drawn out it is not checked, since the mass of ${unknown.join(', ')} is not known.`;
      return [{ id: `out-${body.id}`, severity: 'look', state: 'not checked', about: { kind: 'piece' }, sentence, fixes: [] }];
    }
    const worst = Math.max(0, ...[...carried.members.values()].map((c) => c.bending?.verdict.today.mm ?? 0));
    const weighs = membersMovedBy(body, shape.bodies).reduce((sum, id) => sum + (carried.members.get(id)?.selfKg ?? 0), 0);
    return [
      {
        id: `out-${body.id}`,
        severity: 'good',
        state: 'fine',
        about: { kind: 'piece' },
        sentence: say`With ${body.label} drawn out, all that is on it is carried, and nothing sags more than ${fine(worst)} today. What is drawn weighs ${mass(asKg(weighs))}.`,
        fixes: [],
      },
    ];
  });
}
