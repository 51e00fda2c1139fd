import { Figure, fine, say, size } from '../../figure/index.js';
import { ZERO, add, scale, sub, toMm, type Length } from '../../length/index.js';
import { USUAL_KERF, bladePasses, recess } from '../../joints/index.js';
import {
  atX,
  flatFrame,
  notched,
  rectangular,
  stockNames,
  type Face,
  type Fact,
  type Feature,
  type Joint,
  type Member,
  type PlacedSpace,
  type Stand,
} from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import { NOTHING, type FillingKind, type Made, type MadeIn } from '../kind.js';
import { grooveProblems, hasSides, thingProblems } from './problems.js';
import { grooveAt, groovesIn, lowest } from './places.js';
import { GroovesSchema, MOST_GROOVES, type Grooves } from './spec.js';
import { stoodBetween } from './uprights.js';

function factsOf(grooves: Grooves, count: number, height: Figure, workshop: Workshop): readonly Fact[] {
  const kerf = workshop.settings.kerf ?? USUAL_KERF;
  const field = (label: string, value: Length, name: string) => size(label, value, { in: 'making', field: name });
  const first = field('first groove', grooves.first, 'first');
  const pitch = field('pitch', grooves.pitch, 'pitch');
  const top = count > 1 ? first.plus(pitch.times(count - 1).named(`${count - 1} pitches`)).named('last groove') : first;
  const over = height.minus(top).minus(field('groove', grooves.wide, 'wide'));
  const passes = bladePasses(ZERO, grooves.wide, kerf);
  const step = passes[1] ?? ZERO;
  const apart =
    passes.length === 1
      ? say`One pass of the blade for each`
      : say`${passes.length} passes of the blade for each, ${fine(toMm(step), 2)} apart`;
  return [
    { name: 'grooves in each side', count: Figure.leaf('count', count, 'grooves') },
    { name: 'lower edge of the last', figure: top },
    { name: 'left over the last', figure: over.named('left over the last') },
    {
      name: 'cutting them',
      remark: say`${apart}; both sides from one board, cut across before it is ripped, so that they face each other.`,
    },
  ];
}

/** Grooves in what stands at both sides, and the shelves that lie in some of them. */
export function grooveMembers(grooves: Grooves, { space, workshop, piece }: Pick<MadeIn, 'space' | 'workshop' | 'piece'>): Made {
  const { box, clear, neighbours } = space;
  const wood = woodOf(workshop, grooves.stock);
  const count = groovesIn(clear.height.value, grooves);
  const problems = [...grooveProblems(grooves, space, count, wood), ...thingProblems(grooves, space, workshop)];
  if (count === 0 || count > MOST_GROOVES || !hasSides(space)) return { ...NOTHING, problems };
  const into = size('groove', grooves.deep, { in: 'making', field: 'deep' }).times(2).named('into both grooves');
  const length = clear.width.plus(into).minus(size('slack', grooves.slack, { in: 'making', field: 'slack' }));
  const setback = size('back from the front', space.setback);
  const width = space.setback === ZERO ? clear.depth : clear.depth.minus(setback);
  const half = scale(grooves.slack, 0.5);
  const idAt = (n: number) => `${space.id}/shelf/${n}`;
  const at = (n: number) => add(box.y0, grooveAt(grooves, n));
  const { fingers } = grooves;
  const notch = (): Feature[] => {
    if (!fingers) return [];
    const u0 = scale(sub(length.value, fingers.wide), 0.5);
    const region = { u0, u1: add(u0, fingers.wide), v0: ZERO, v1: fingers.deep };
    return [{ kind: 'notch', face: 'up', region, depth: wood.thickness.value, mate: space.id }];
  };
  // One shelf in each groove that is there; what is said beyond that is told.
  const shelves = [...new Set(grooves.shelves)].filter((n) => n <= count).sort((a, b) => a - b);
  const members = shelves.map((n) =>
    notched(
      rectangular({
        id: idAt(n),
        node: space.id,
        role: 'shelf',
        label: `loose shelf in groove ${n}`,
        wood,
        length,
        width,
        frame: flatFrame({ x: add(sub(box.x0, grooves.deep), half), y: at(n), z: sub(box.z1, space.setback) }),
        features: notch(),
        edges: { v0: piece.edges.front },
      }),
    ),
  );
  const stood = stoodBetween(grooves, space, workshop, new Map(shelves.map((n, i) => [n, members[i] as Member])));
  const taken = new Set(shelves);
  const cut = (face: Face) =>
    Array.from({ length: count }, (_, i) => i + 1).map((n) => ({
      into: face === 'up' ? neighbours.left : neighbours.right,
      cut: (mate: Parameters<Made['cuts'][number]['cut']>[0]) => {
        const room = { ...box, y0: at(n), y1: add(at(n), grooves.wide) };
        return [recess('groove', mate, face, taken.has(n) ? idAt(n) : `${space.id}/groove/${n}`, room, grooves.deep)];
      },
    }));
  const joints = shelves.flatMap((n): Joint[] => [
    { carried: idAt(n), carrier: neighbours.left, how: 'housed', on: atX(box.x0) },
    { carried: idAt(n), carrier: neighbours.right, how: 'housed', on: atX(box.x1) },
  ]);
  return {
    ...NOTHING,
    members: [...stood.shelves, ...stood.uprights],
    cuts: [...cut('up'), ...cut('down')],
    joints: [...joints, ...stood.joints],
    problems: [...problems, ...stood.problems],
    facts: [{ space: space.id, facts: [...factsOf(grooves, count, clear.height, workshop), ...stood.facts] }],
    stands: members.length > 0 ? [standOf(grooves, space, shelves, workshop)] : [],
  };
}

/** What carries what is put there: all shelves alike, or one thing on each. */
function standOf(grooves: Grooves, space: PlacedSpace, shelves: readonly number[], workshop: Workshop): Stand {
  const carriers = shelves.map((n) => `${space.id}/shelf/${n}`);
  const { thing: id } = grooves;
  const thing = id === undefined ? undefined : workshop.things.get(id);
  if (id === undefined || !thing) return { space: space.id, carriers };
  const thick = woodOf(workshop, grooves.stock).thickness.value;
  const { width, height } = lowest(thing);
  const x = add(space.box.x0, scale(sub(space.clear.width.value, width), 0.5));
  const places = shelves.map((n) => ({ x, y: add(space.box.y0, grooveAt(grooves, n), thick) }));
  const room = { width, height };
  return { space: space.id, carriers, filled: { thingId: id, thing, called: ['shelf', 'shelves'], room, places } };
}

export const grooves: FillingKind<Grooves> = {
  kind: 'grooves',
  schema: GroovesSchema,
  names: ({ stock, thing, uprights }) => [
    ...stockNames([stock, ...(uprights ? [uprights.stock] : [])]),
    ...(thing === undefined ? [] : [{ kind: 'thing' as const, id: thing }]),
  ],
  filled: 'grooves',
  onPiece: null,
  seenFrom: 'front',
  made: grooveMembers,
  withStock: (made, { role }, stock) =>
    role === 'divider' && made.uprights ? { ...made, uprights: { ...made.uprights, stock } } : { ...made, stock },
  remedies: () => [],
};
