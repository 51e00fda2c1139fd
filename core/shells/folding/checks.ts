import {
  bendingStrength,
  boltLateral,
  gravityOf,
  lateral,
  pushOf,
  rowBetween,
  stateOf,
  unweighedIn,
  worse,
  type Carried,
} from '../../carry/index.js';
import { force, say, stress } from '../../figure/index.js';
import { leanCheck, pieceFix, severityOf, toWall, type Check } from '../../finding/index.js';
import { mm, toMm } from '../../length/index.js';
import type { Member, Shape } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { propertiesOf } from '../../stock/index.js';
import { woodOf } from '../../project/index.js';
import { FOLDING } from './ids.js';
import type { Folding } from './spec.js';
import { stanceOf, type Stance } from './stance.js';
import { asMPa, asNewtons } from '../../measures/index.js';

/** What one of the two crosses of legs is pressed with, N and N mm. */
export interface Crossed {
  /** On the top over one cross. */
  readonly load: number;
  /** The tie in the top, and the pin where the legs cross: W s / h. */
  readonly tie: number;
  /** What each leg is bent with at the hole there: W s / 4. */
  readonly moment: number;
}

/**
 * What a cross of two legs is pressed with that carries W in the middle of its top, its pin half-way, its feet s apart and
 * its holes h high, on a floor that holds by no friction. With 580 high and 435 apart the tie and the pin take 0.75 W.
 * @example crossedBy(1000, 435, 580).tie // 750
 */
export function crossedBy(load: number, apart: number, high: number): Crossed {
  return { load, tie: (load * apart) / high, moment: (load * apart) / 4 };
}

/** How deep the pins under the top go into the ends of their bar, mm. */
const PIN_IN_BAR = 50;

/** Legs one board wider, as a fix. */
const WIDER = mm(5);

/** The legs at the hole where they cross, and the pin in it. */
function crossing(piece: Folding, shape: Shape, workshop: Workshop, { load, moment, tie }: Crossed): Check[] {
  const leg = shape.members.find((m) => m.id === FOLDING.leg('inner', 'left'));
  if (!leg) return [];
  const about = { kind: 'member', id: leg.id } as const;
  const properties = propertiesOf(leg.stock);
  const strength = bendingStrength(properties.material, workshop.settings.serviceClass);
  const gravity = gravityOf(properties);
  if (!strength.judged || gravity === undefined) {
    const sentence = say`What legs of ${leg.stock.name} bear where they cross is not checked: no values are published for it.`;
    return [{ id: 'crossing', severity: 'look', state: 'not checked', about, sentence, fixes: [] }];
  }
  const [wide, thick, pin] = [piece.legs.wide, leg.thickness.value, piece.pivot.pin].map(toMm) as [number, number, number];
  // With the hole for the pin in the middle of it.
  const bent = (6 * wide * moment) / (thick * (wide ** 3 - pin ** 3));
  const side = { thickness: thick, gravity, along: false };
  const holds = boltLateral(pin, side, side, false);
  // Under the top the pin goes into the end of its bar, with half of the load down and the tie out.
  const atPivot = boltLateral(pin, side, { ...side, thickness: PIN_IN_BAR }, true);
  const onPivot = Math.hypot(tie, load / 2);
  const state = [stateOf(bent, strength.allowed), stateOf(tie, holds), stateOf(onPivot, atPivot)].reduce(worse);
  const sentence = say`Where they cross each leg is bent with ${stress(asMPa(bent))} and may be with ${stress(strength.allowed)} (${strength.basis}); the pin takes ${force(asNewtons(tie))} and may take ${force(asNewtons(holds))}, and that in the end of the pivot bar ${force(asNewtons(onPivot))} of ${force(asNewtons(atPivot))} (NDS 2018 12.3.1, as bolts of steel).`;
  const wider = pieceFix(say`Legs 5 wider`, {
    kind: 'piece',
    patch: { legs: { ...piece.legs, wide: (piece.legs.wide + WIDER) as typeof WIDER } },
  });
  return [{ id: 'crossing', severity: severityOf(state), state, about, sentence, fixes: state === 'fine' ? [] : [wider] }];
}

/** What a glue line under a sheet may be sheared with for years, MPa: its plies roll before it gives (typical for plywood and boards). */
const GLUE_SHEAR = 0.3;

/** What holds the bars to the top, which ties the legs together: glue, over all of a bar. */
function tied(shape: Shape, { tie }: Crossed): Check[] {
  const bars = [FOLDING.seatBar, FOLDING.pivotBar].flatMap((id) => shape.members.find((m) => m.id === id) ?? []);
  const [bar] = bars;
  if (!bar) return [];
  // The pivot bar stands on edge, and is glued by its thickness.
  const areas = bars.map((m) => toMm(m.length.value) * toMm(m.role === 'pivot bar' ? m.thickness.value : m.width.value));
  const holds = Math.min(...areas) * GLUE_SHEAR;
  const both = 2 * tie;
  const state = stateOf(both, holds);
  const sentence = say`The legs push the bars apart with ${force(asNewtons(both))}, which the top ties: glued all over, a bar takes ${force(asNewtons(holds))} (${stress(asMPa(GLUE_SHEAR))}, typical). Two screws hold it while the glue sets.`;
  return [{ id: 'tie', severity: severityOf(state), state, about: { kind: 'member', id: bar.id }, sentence, fixes: [] }];
}

/** Screws in each end of a stretcher. */
const IN_AN_END = 2;

/** What keeps the legs of a pair from leaning over sideways: a board over their edges, its screws as far apart as it is wide. */
function sideways(piece: Folding, shape: Shape, carried: Carried, stance: Stance): Check {
  const push = pushOf(carried);
  const pushed = say`A push of ${force(push)} at its top, sideways`;
  const boards = shape.members.filter((m) => m.role === 'stretcher' && !m.section);
  const each = boards.map((board: Member) => {
    const legs = shape.joints.filter((j) => j.carried === board.id).flatMap((j) => shape.members.find((m) => m.id === j.carrier) ?? []);
    const [row] = legs.map((leg) => rowBetween(board, leg, carried.unit)).flatMap((r) => ('why' in r ? [] : [r]));
    const value = row && lateral(row.joint);
    return value?.judged ? legs.length * value.newtons * Math.max(0, toMm(board.width.value) - 2 * EDGE) : null;
  });
  if (each.some((m) => m === null) || each.length === 0)
    return leanCheck('look', 'not checked', say`${pushed}: what its stretchers hold is not checked.`, [toWall()]);
  // The pairs lean together: each leg turns about its foot, held where its stretcher is.
  const takes = each.reduce<number>((sum, m) => sum + (m ?? 0), 0) / toMm(stance.vertical.value);
  const state = stateOf(push, takes);
  const wider = pieceFix(say`Stretchers twice as wide`, {
    kind: 'piece',
    patch: { stretchers: { ...piece.stretchers, wide: (piece.stretchers.wide * 2) as typeof WIDER } },
  });
  const rod = piece.stretchers.rod === undefined ? say`` : say` The rod holds nothing of that.`;
  return leanCheck(
    state === 'fine' ? 'good' : 'look',
    state,
    say`${pushed}: its stretchers take ${force(asNewtons(takes))}, with ${IN_AN_END} screws in each end, as far apart as they are wide.${rod}`,
    state === 'fine' ? [] : [wider],
  );
}

/** From the edge of a stretcher to a screw in it, mm. */
const EDGE = 10;

/** What only crossing legs are asked: the tie, the pin, their holes, and leaning over sideways; to the front and the rear they stand as triangles. */
export function foldingChecks(piece: Folding, shape: Shape, carried: Carried, workshop: Workshop): readonly Check[] {
  const context = { workshop, panels: piece.panels, rounding: workshop.settings.rounding };
  const stance = stanceOf(piece, context, woodOf(workshop, piece.top.stock));
  const racking = sideways(piece, shape, carried, stance);
  const unknown = unweighedIn(carried);
  if (unknown.length > 0) {
    const sentence = say`What the legs carry is not checked, since the mass of ${unknown.join(', ')} is not known.`;
    return [{ id: 'crossing', severity: 'look', state: 'not checked', about: { kind: 'piece' }, sentence, fixes: [] }, racking];
  }
  const top = carried.members.get(FOLDING.top);
  const crossed = crossedBy((top?.total ?? 0) / 2, toMm(stance.apart.value), toMm(stance.vertical.value));
  return [...crossing(piece, shape, workshop, crossed), ...tied(shape, crossed), racking];
}
