import { inDegrees, asDegrees, type Degrees } from '../../measures/index.js';
import { Figure } from '../../figure/index.js';
import { mm, toMm } from '../../length/index.js';
import { boxOf, posed, type Body, type Fact, type Member, type Shape } from '../../piece/index.js';
import type { Wood } from '../../project/index.js';
import { size, len, say } from '../../figure/index.js';
import { wallOf } from './bars.js';
import { BODIES, FOLDING } from './ids.js';
import { DRAWN_IN, type Holes } from './legs.js';
import type { Folding } from './spec.js';
import type { Stance } from './stance.js';

/**
 * How far off level the legs still lie when they are folded, degrees: the edge of a leg comes to rest on the top where it is drawn
 * in to its end, or on the bar. Of each, with a corner at X from the pivot and y over it: the edge, half of the leg's width from
 * its middle, passes under that from asin(w / 2√(X² + y²)) − atan(y / X) on. NaN where its rounded end alone fouls the top.
 */
export function foldedAt({ legs, pivot, bars }: Folding, { apart }: Stance, barWood: Wood): number {
  const half = toMm(legs.wide) / 2;
  const [below, round] = [toMm(pivot.below), toMm(legs.round)];
  if (round > below) return NaN;
  const passes = (x: number, y: number) => inDegrees(asDegrees(Math.asin(Math.min(1, half / Math.hypot(x, y))) - Math.atan2(y, x)));
  const taper = half > round ? DRAWN_IN : 0;
  // Where the edge has its full width it must be under the top.
  const shoulder = taper > 0 ? inDegrees(asDegrees(Math.acos(Math.min(1, below / Math.hypot(half, taper))) - Math.atan2(taper, half))) : 0;
  const rebate = toMm(bars.wide) - toMm(wallOf(barWood));
  const bar = toMm(barWood.thickness.value);
  const end = toMm(apart.value) + round;
  return Math.max(0, shoulder, passes(end - rebate, round), passes(end, below - bar));
}

/** What folds: the inner legs turn up about their pivot, the outer ones about the pins they cross on, out of the bar first. */
export function foldingBodies(members: readonly Member[], holes: Holes, degrees: Degrees, flat: number): readonly Body[] {
  const of = (pair: 'inner' | 'outer') =>
    [FOLDING.stretcher(pair), FOLDING.leg(pair, 'left'), FOLDING.leg(pair, 'right')].filter((id) => members.some((m) => m.id === id));
  const turned = (angle: Degrees) => Figure.leaf('angle', angle, 'turned');
  const common = { spaces: [], runsOn: { kind: 'plain', name: 'pins', rating: null } } as const;
  const away = ['standing', 'folded'] as const;
  return [
    {
      ...common,
      id: BODIES.inner,
      label: 'the inner legs',
      members: of('inner'),
      motion: { kind: 'turn', at: holes.pivot, axis: [-1, 0, 0], angle: turned(asDegrees(degrees - flat)) },
      away,
    },
    {
      ...common,
      id: BODIES.outer,
      label: 'the outer legs',
      members: of('outer'),
      motion: { kind: 'turn', at: holes.crossing, axis: [1, 0, 0], angle: turned(asDegrees(2 * degrees)) },
      on: BODIES.inner,
      outOf: [FOLDING.seatBar],
    },
  ];
}

/** How large it is when it is folded. */
export function foldedFacts({ members, bodies }: Pick<Shape, 'members' | 'bodies'>, flat: number): readonly Fact[] {
  const boxes = posed(members, bodies, new Map([[BODIES.inner, 1]])).map(boxOf);
  const span = (axis: 'y' | 'z') =>
    mm(toMm(Math.max(...boxes.map((b) => b[`${axis}1`])) as never) - toMm(Math.min(...boxes.map((b) => b[`${axis}0`])) as never));
  const [thick, long] = [span('y'), span('z')];
  return [
    { name: 'folded, thick', figure: size('folded, thick', thick) },
    { name: 'folded, long', figure: size('folded, long', long) },
    {
      name: 'folded',
      remark: say`Folded it is ${len(thick)} thick and ${len(long)} long; the legs lie ${flat.toFixed(1)}° off level, where their edges come to rest. Squeeze the feet together, lift the outer legs out of the bar, and fold.`,
    },
  ];
}
