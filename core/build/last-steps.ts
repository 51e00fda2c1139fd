import { area, fine, len, mass, say, volume, type Sentence } from '../figure/index.js';
import { toMm } from '../length/index.js';
import { hangs } from '../piece/index.js';
import type { Part } from '../parts/index.js';
import { together, wallFasteners, type Solution } from '../solution/index.js';
import { takenSaid } from './held.js';
import { finishOf, timeAt } from './products.js';
import { TAKES } from './minutes.js';
import type { Building } from './spec.js';
import { ALONE, draft, type Draft } from './step.js';
import type { Work } from './works.js';

/** All faces and edges of a part, m². @example areaOf(PART) // 0.6264 */
export function areaOf({ length, width, thickness }: Part): number {
  const [l, w, t] = [length.value, width.value, thickness.value].map((x) => toMm(x) / 1000) as [number, number, number];
  return 2 * (l * w + l * t + w * t);
}

/** Coats of finish: how much of it, how long between, and what stays bare. */
export function coatSteps({ parts }: Solution, building: Building): readonly Draft[] {
  const finish = finishOf(building.finish);
  if (finish.id === 'none') return [];
  const painted = parts.reduce((sum, p) => sum + areaOf(p), 0);
  const between = timeAt(finish.between, building.celsius);
  const litres = (painted * building.coats) / finish.spread;
  return Array.from({ length: building.coats }, (_, i): Draft => {
    const last = i === building.coats - 1;
    const says: Sentence[] =
      i === 0
        ? [
            say`${area(painted)} with all faces and edges, ${building.coats} coats: about ${volume(litres)} of ${finish.name}; ${volume(1)} covers ${area(finish.spread)}.`,
            say`Bare stay: what is glued later, where drawers run, and the inside of housings.`,
          ]
        : [say`Between coats: 240 grit with light hands, and the dust off.`];
    return draft({
      id: `coat ${i + 1}`,
      phase: 'coats',
      title: `Coat ${i + 1} of ${building.coats}: ${finish.name}`,
      parts: parts.map((p) => p.id),
      says,
      cautions: finish.caution ? [finish.caution] : [],
      minutes: TAKES.brush + painted * TAKES.coatPerSquare,
      wait: last
        ? { minutes: timeAt(finish.before, building.celsius), why: `${finish.name} hardens before it is used` }
        : { minutes: between, why: `${finish.name} dries` },
    });
  });
}

const overallSaid = ({ shape: { overall } }: Solution): Sentence =>
  say`${len(overall.width.value)} wide, ${len(overall.height.value)} high, ${len(overall.depth.value)} deep`;

/** What is marked on the wall before a piece is hung. */
function marksOnWall({ shape }: Solution): Sentence[] {
  return [...shape.facts.values()]
    .flat()
    .flatMap(({ onWall, figure }): Sentence[] =>
      onWall && figure ? [say`Mark on the wall: ${onWall.what}, ${len(figure.value)} from ${onWall.from}.`] : [],
    );
}

/** What a last step says of its own, whatever the piece weighs and passes through. */
type Last = Pick<Draft, 'title' | 'cautions'> & { readonly heavy: string; readonly says: readonly Sentence[] };

const NOT_KNOWN = 'where you do not know what is in the wall, ask someone licensed before you drill';

function hung(solution: Solution): Last {
  return {
    title: 'Hang it on the wall',
    heavy: 'two people lift it, one more drives the first screws or tells when it sits',
    says: [
      ...marksOnWall(solution),
      say`Find each stud with a thin drill where it is covered later, and screw into studs or masonry, never into wallboard alone; ${NOT_KNOWN}.`,
      say`Pull at it downward and outward with both hands before anything stands in it.`,
    ],
    cautions: ['Nobody stands under it until it hangs and has been pulled at.'],
  };
}

function stood({ shape, piece }: Solution): Last {
  const built = shape.outside.is === 'built';
  const moves = shape.outside.foot !== null && !shape.outside.carried;
  const up = toMm(shape.diagonal.value);
  return {
    title: built ? 'Move it, stand it up, fix it' : 'Put it in its place',
    heavy: 'two people carry it, and drawers and loose shelves come out first',
    says: [
      ...(built && moves ? [say`Tipped up from its back it reaches ${fine(up, 1)}: so much must be free under the ceiling.`] : []),
      ...(moves
        ? [
            say`Set it from the highest place of the floor: shim the other feet until it is level both ways, then scribe what meets the wall.`,
          ]
        : []),
      ...(piece.fixedToWall ? [say`Fixed to the wall: into studs, or with the plug that the wall wants; ${NOT_KNOWN}.`] : []),
      ...(built ? [] : [say`Try it in its place before the last coat: it must go in without force.`]),
    ],
    cautions:
      !piece.fixedToWall && up > 1200 && !shape.outside.carried && built
        ? ['Tall and not fixed: it can be pulled over. Fix it to the wall where children are.']
        : [],
  };
}

/** Moving it, standing it up or hanging it, and fixing it where it stays. */
export function standStep(solution: Solution, works: readonly Work[]): Draft {
  const takes = together(wallFasteners(solution));
  const { shape, parts, checks } = solution;
  const kg = solution.carried.massKg;
  const door = checks.find((c) => c.id === 'passes-door');
  const { title, heavy, says, cautions } = hangs(shape) ? hung(solution) : stood(solution);
  return draft({
    id: 'stand',
    phase: 'stand',
    title,
    parts: parts.map((p) => p.id),
    works,
    standing: parts.map((p) => p.id),
    says: [
      say`It weighs ${mass(kg)} with nothing in it${kg > ALONE ? `: ${heavy}` : ''}.`,
      ...(shape.outside.is === 'built' ? [say`${overallSaid(solution)}: hold that against every door and turn on its way.`] : []),
      ...(door ? [door.sentence] : []),
      ...says,
      ...takes.map((b) => say`Takes ${takenSaid(b)}.`),
    ],
    cautions,
    takes,
    kg,
    minutes: TAKES.stand,
  });
}

/** What is tried and measured before it is used. */
export function checkStep(solution: Solution): Draft {
  const { shape, parts } = solution;
  const bodies = shape.bodies.length;
  return draft({
    id: 'check',
    phase: 'check',
    title: 'Check it, and write down how it came out',
    parts: parts.map((p) => p.id),
    standing: parts.map((p) => p.id),
    says: [
      say`As planned it is ${overallSaid(solution)}. Measure it, and enter what differs.`,
      ...(bodies > 0
        ? [
            say`Everything that moves goes all the way and stops: ${shape.bodies.length === 1 ? (shape.bodies[0]?.label ?? '') : `all ${bodies}`}.`,
          ]
        : []),
      say`Load it as it will be, and look along the shelves after a day.`,
    ],
    minutes: TAKES.check,
  });
}

/** What is there already and comes out before anything is measured for good. @example takeOutStep(SOLVED) // [] */
export function takeOutStep({ shape }: Solution): readonly Draft[] {
  const { takenOut = [] } = shape.outside;
  if (takenOut.length === 0) return [];
  const whats = takenOut.map((t) => t.what);
  return [
    draft({
      id: 'take out',
      phase: 'take out',
      title: `Take out ${whats.length === 1 ? 'what is there' : `${whats.length} things that are there`}`,
      parts: [],
      says: [
        say`${whats.join('; ')}: out before anything is sawn, whole where that goes. Straight and dry it does for strips and packing.`,
        say`Then measure the opening again at both ends and in the middle, and enter that: every part follows it.`,
      ],
      cautions: takenOut.some((t) => t.carries)
        ? ['It carries what lies on it: prop that first, and leave the prop until what is put in for it holds.']
        : [],
      minutes: TAKES.takeOut * takenOut.length,
    }),
  ];
}

/** The trip to the yard, and the time that wood needs to come to rest. */
export function buyStep({ parts }: Solution): Draft {
  const thin = parts.some((p) => toMm(p.thickness.value) < 12);
  return draft({
    id: 'buy',
    phase: 'buy',
    title: 'Buy, and let it settle',
    parts: parts.map((p) => p.id),
    says: [
      say`What to buy is listed at Stock. Measure the thickness of what you brought before anything is sawn: every part follows it.`,
      say`Stickered flat where it will be worked${thin ? '; thin boards warp, so weigh them down' : ''}.`,
    ],
    minutes: TAKES.trip,
    wait: { minutes: 2 * 24 * 60, why: 'boards and sheets come to rest in the room' },
  });
}

/** Everything put together without glue. */
export function dryStep(parts: readonly string[], minutes: number): Draft {
  return draft({
    id: 'dry fit',
    phase: 'dry fit',
    title: 'Dry fit',
    parts,
    standing: parts,
    says: [
      say`Without glue, with the clamps that will be used, in the order of the steps after this one: what is missing or too tight shows now.`,
      say`Measure what came out otherwise than planned and enter it: what is not cut yet follows.`,
    ],
    minutes,
  });
}
