import { Figure, len, say } from '../../figure/index.js';
import { ZERO, add, mm, toMm } from '../../length/index.js';
import type { SlatsLaid } from '../../interiors/levels/index.js';
import type { Body, Bought, Fact, Member, ShapeProblem } from '../../piece/index.js';
import { HINGED, PULL_OUT } from './ids.js';
import type { PullOut } from './spec.js';
import { radians } from '../../measures/index.js';

/** Fingers get in behind the slats where so much is free, typical. */
const FINGERS = mm(20);

/** What is hinged of a pull-out: the slats that go with it, and what is fixed to them. */
export interface Hinged {
  readonly body: Body;
  readonly facts: readonly Fact[];
  readonly bought: readonly Bought[];
}

/**
 * The slats of a pull-out, each hinged to its board along the upper edge of its front end: they are lifted from behind, shut or
 * drawn out, so that what is under them can be got at.
 * @param slats those that go with it, all alike
 */
export function hingedSlats(spec: PullOut, laid: SlatsLaid, slats: readonly Member[], stops: readonly Member[]): Hinged | null {
  const [first] = slats;
  if (!spec.hinged || !first) return null;
  const { opens } = spec.hinged;
  const { origin } = first.frame;
  const [top, front] = [add(laid.y, first.thickness.value), add(origin.z, first.length.value)];
  const angle = radians(opens);
  const [long, thick] = [first.length, first.thickness.named('slat')];
  const [l, t] = [toMm(long.value), toMm(thick.value)];
  const lifted = Figure.formula(
    'length',
    `how high they lie, and sin ${opens}° of their length`,
    [Figure.leaf('length', top, 'they lie'), long],
    add(top, mm(l * Math.sin(angle))),
  );
  const swings = Figure.formula('length', '√(length² + thickness²) − length', [long, thick], mm(Math.hypot(l, t) - l));
  return {
    body: {
      id: HINGED,
      label: 'the hinged slats',
      members: [...slats, ...stops].map((m) => m.id),
      spaces: [],
      motion: {
        kind: 'turn',
        at: { x: ZERO, y: top, z: front },
        axis: [1, 0, 0],
        angle: Figure.leaf('angle', opens, 'opens', { in: 'piece', field: 'pullOut.hinged.opens' }),
      },
      runsOn: { kind: 'plain', name: 'hinges', rating: null },
      on: PULL_OUT,
      byItself: true,
    },
    facts: [
      { name: 'lifted, their rear ends are high', figure: lifted },
      { name: 'they swing out behind by', figure: swings },
      {
        name: 'hinged slats',
        remark: say`One hinge to a slat, its knuckle at the upper edge against the board. Lift them from behind, where ${len(spec.behind)} are free, and prop them: one that falls shut takes fingers with it.`,
      },
    ],
    bought: [{ what: 'hinges', count: slats.length, each: 'piece' }],
  };
}

/** Slats that are to be lifted where no finger gets in behind them. */
export function hingedProblems(spec: PullOut): ShapeProblem[] {
  if (!spec.hinged || spec.behind >= FINGERS) return [];
  return [
    {
      id: 'hinged-behind',
      about: PULL_OUT,
      stops: false,
      sentence: say`The hinged slats are lifted from behind, where ${len(spec.behind)} are free: fingers want ${len(FINGERS)}.`,
      fixes: [{ label: say`${len(FINGERS)} free behind them`, edit: { kind: 'piece', patch: { pullOut: { ...spec, behind: FINGERS } } } }],
    },
  ];
}
