import { say, size } from '../../figure/index.js';
import { ZERO } from '../../length/index.js';
import { divide, interiorMembers } from '../../interiors/index.js';
import { PLACE, type Shape, type ShapeProblem } from '../../piece/index.js';
import { inPlaceFields, type InPlace } from './spec.js';
import type { Workshop } from '../../project/index.js';
import { NO_SHAPE, assembled, diagonalOf } from '../assemble.js';
import { assumedOf, axisSize, nothingClear } from '../overall.js';
import type { ShellKind } from '../kind.js';
import { packingMembers } from './packing.js';
import { placeRacking } from './racking.js';
import { tieProblems } from './tied.js';

const NO_MEMBERS: ReadonlySet<string> = new Set();
const NO_ENDS = { before: [], after: [] } as const;

/** What is taken out though something lies on it: how the place carries that then is not known here. */
function heldUp({ out = [], place }: InPlace): ShapeProblem[] {
  return out.flatMap(({ what, carries }, i): ShapeProblem[] =>
    carries
      ? [
          {
            id: `taken-out-${i + 1}`,
            about: 'out',
            stops: false,
            sentence: say`${what} carries what lies on it. Prop that before it comes out, and put in what carries it for good: how ${place} holds without it is not checked here; ask someone who knows such work where you are not sure.`,
            fixes: [],
          },
        ]
      : [],
  );
}

/** The geometry of what is built into a place that is there already: only what is inside it. */
function shape(piece: InPlace, workshop: Workshop): Shape {
  const context = { workshop, panels: piece.panels, rounding: piece.rounding ?? workshop.settings.rounding };
  const depth = axisSize(piece, 'depth', context, [], []);
  const width = axisSize(piece, 'width', { ...context, depth: depth.overall.value }, [], []);
  const height = axisSize(piece, 'height', { ...context, depth: depth.overall.value, width: width.overall.value }, [], []);
  const clear = { width: width.overall, height: height.overall, depth: depth.overall };
  const outside = {
    overall: clear,
    assumed: assumedOf({ width, height, depth }),
    caseHeight: clear.height,
    diagonal: diagonalOf(clear.height, clear.depth),
    outside: {
      is: 'found',
      foot: null,
      ends: { up: NO_ENDS, across: NO_ENDS, deep: NO_ENDS },
      members: NO_MEMBERS,
      behind: NO_MEMBERS,
      ...(piece.cover === undefined ? {} : { cover: piece.cover }),
      ...(piece.out === undefined ? {} : { takenOut: piece.out }),
    },
  } as const;
  const problems: ShapeProblem[] = [
    ...tieProblems(piece, workshop),
    ...heldUp(piece),
    ...[depth, width, height].flatMap((a) => a.problems),
    ...nothingClear('depth', clear.depth),
    ...nothingClear('width', clear.width),
    ...nothingClear('height', clear.height),
  ];
  if (clear.width.value <= ZERO || clear.height.value <= ZERO || clear.depth.value <= piece.panels.shelves.setback) {
    return { ...NO_SHAPE, ...outside, problems };
  }
  const at = (label: string) => size(label, ZERO);
  const divided = divide(piece, context, {
    start: { x: at('left of the place'), y: at('floor of the place'), z: at('rear of the place') },
    clear,
    neighbours: { left: PLACE, right: PLACE, below: PLACE, above: PLACE },
    setback: piece.panels.shelves.setback,
  });
  const made = interiorMembers(piece, workshop, divided);
  if (!piece.packing) return assembled(divided, made, outside, problems);
  const slid = made.bodies.filter((b) => b.runsOn.kind === 'slide');
  if (slid.length === 0) {
    return assembled(divided, made, outside, [
      ...problems,
      {
        id: 'packing-idle',
        about: 'packing',
        stops: false,
        sentence: say`Packing is asked for, but no drawer here runs on slides.`,
        fixes: [],
      },
    ]);
  }
  const packed = packingMembers(piece.packing, made, divided, clear, workshop);
  return assembled(
    divided,
    {
      ...made,
      members: [...made.members, ...packed.members],
      joints: packed.joints,
      facts: [...made.facts, ...packed.facts],
      cuts: [...made.cuts, ...packed.cuts],
    },
    outside,
    [...problems, ...packed.problems],
  );
}

export const inPlace: ShellKind<InPlace> = {
  kind: 'in-place',
  inside: 'Inside',
  fields: inPlaceFields,
  uses: () => [],
  names: ({ packing }) => (packing ? [{ kind: 'stock', id: packing.stock, where: 'packing/stock' }] : []),
  placed: () => [],
  tiedTo: ({ tied }) => tied ?? null,
  shape,
  racking: placeRacking,
  withStock: () => null,
  remedies: () => [],
};
