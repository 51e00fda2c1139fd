import { asNewtons, type Newtons } from '../../measures/index.js';
import { UNBRACED, columnOf, fixingsOf, pushOf, worse, type Carried, type Fixing, type State } from '../../carry/index.js';
import { force, say } from '../../figure/index.js';
import { severityOf, toWall, type Check } from '../../finding/index.js';
import { toMm } from '../../length/index.js';
import { boxOf, type Member, type Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { LEANING } from './ids.js';
import type { Leaning } from './spec.js';
import type { Standing } from './statics.js';

/** A rear leg with what its side puts on it, N, and how that holds a push besides. */
interface OnLeg {
  readonly leg: Member;
  readonly newtons: Newtons;
  readonly held: (pushed: number) => Fixing | undefined;
}

function onLegs({ members }: Shape, carried: Carried, workshop: Workshop): readonly OnLeg[] {
  const byId = new Map(members.map((m) => [m.id, m]));
  return (['left', 'right'] as const).flatMap((hand): OnLeg[] => {
    const [leg, side] = [byId.get(LEANING.leg(hand)), carried.members.get(LEANING[hand])];
    const support = side?.supports.find((s) => s.carrier === leg?.id);
    if (!leg || !side || !support) return [];
    const { newtons } = support;
    const held = (pushed: number) =>
      fixingsOf({ ...side, supports: [{ ...support, newtons: asNewtons(newtons + pushed) }] }, byId, workshop.settings)[0];
    return [{ leg, newtons, held }];
  });
}

/**
 * What stands free on rear legs: they take of its weight by where the middle of that is between the feet, and of a push at the top
 * to the rear P h / s, both together, with the feet s apart; the bolts between side and leg take the same. To the rear it tips
 * from W (out) / h on.
 */
export function legsCheck(piece: Leaning, shape: Shape, carried: Carried, workshop: Workshop, standing: Standing): readonly Check[] {
  const all = onLegs(shape, carried, workshop);
  const [first, ...rest] = all;
  if (!first) return [];
  const worst = rest.reduce((most, l) => (l.newtons > most.newtons ? l : most), first);
  const { z0, z1 } = boxOf(worst.leg);
  const { weight, out, foot } = standing;
  const [rear, high] = [toMm(z0), toMm(shape.overall.height.value)];
  const apart = (foot[0] + foot[1]) / 2 - (toMm(z0) + toMm(z1)) / 2;
  const push = pushOf(carried);
  // Fixed at its top the wall takes a push there.
  const pushed = piece.fixedToWall ? 0 : (push * high) / apart / 2;
  const times = piece.fixedToWall || piece.brace ? 1 : UNBRACED;
  const column = columnOf({ member: worst.leg, total: asNewtons(worst.newtons + pushed) }, [], new Map(), workshop.settings, times);
  const tips = (weight * (out - rear)) / high;
  const legs = all.reduce((sum, l) => sum + l.newtons, 0);
  const bows = column
    ? say` One bows out from ${force(column.holds)} on (EN 1995-1-1 6.3.2).`
    : say` What they bow out under is not checked: no values are published for sheets.`;
  const held = worst.held(pushed);
  const bolted = held?.holds === undefined ? say` What bolts it is not checked.` : say` What bolts it holds ${force(held.holds)}.`;
  const states: readonly State[] = [
    column?.state ?? 'not checked',
    held?.state ?? 'not checked',
    piece.fixedToWall || tips >= push ? 'fine' : tips > 0 ? 'close' : 'fails',
  ];
  const state = states.reduce(worse);
  const more = piece.fixedToWall
    ? say`; the wall that it is fixed to at its top takes a push there.`
    : say`, and pushed at its top with ${force(push)} each takes ${force(asNewtons(pushed))} more; to the rear it ${tips > 0 ? say`tips from ${force(asNewtons(tips))} at its top on` : say`falls`}.`;
  const sentence = say`It stands on rear legs: of ${force(weight)} they carry ${force(asNewtons(legs))}${more}${bows}${bolted}`;
  return [
    {
      id: 'leans',
      severity: severityOf(state),
      state,
      about: { kind: 'piece' },
      sentence,
      fixes: state === 'fine' || piece.fixedToWall ? [] : [toWall()],
    },
  ];
}
