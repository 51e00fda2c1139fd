import { len, say, size, type Figure } from '../../figure/index.js';
import { mm, sub, toMm, type Length } from '../../length/index.js';
import { alongOf, boxOf, type Fact, type Lean, type Member } from '../../piece/index.js';
import { CLEARANCE, footWhereTheyTouch } from './sides.js';
import type { Leaning } from './spec.js';
import type { Stance } from './stance.js';

/** Steps that differ by less are equal, mm. */
const EQUAL = 0.1;

/** The upper faces of shelves, from the lowest. */
const upperFaces = (shelves: readonly Member[]): readonly Length[] => shelves.map((s) => boxOf(s).y1).sort((a, b) => a - b);

/** What is marked on the sides: where each shelf is along them, and the steps where they are equal. */
function marks(shelves: readonly Member[], lean: Lean): readonly Fact[] {
  const faces = upperFaces(shelves);
  const steps = faces.slice(1).map((y, i) => sub(y, faces[i] as Length));
  const [first] = steps;
  const equal = first !== undefined && steps.length > 1 && steps.every((s) => Math.abs(toMm(s) - toMm(first)) < EQUAL);
  return [
    ...faces.map((y, i): Fact => ({
      name: `upper face ${i + 1}, along the side`,
      figure: alongOf(lean, size('upper face, from the floor', y)),
    })),
    ...(equal ? [{ name: 'from shelf to shelf, along the side', figure: alongOf(lean, size('from shelf to shelf', first)) }] : []),
  ];
}

/** Where the sides stand off the wall since a shelf touches it first. */
function standsOff(off: Length): readonly Fact[] {
  if (toMm(off) < EQUAL) return [];
  return [
    {
      name: 'at the wall',
      remark: say`A shelf is deeper than the room behind the sides and touches the wall first: their heads stand ${len(off)} off it. Pack that out where they are fixed.`,
    },
  ];
}

/** How the holes for screws under plugs are drilled, and what is left under their heads. */
function plugged({ plugs, panels }: Leaning, thick: Figure): readonly Fact[] {
  if (!plugs) return [];
  const housed =
    panels.shelves.fix === 'housed' ? [size('housing', panels.shelves.housing, { in: 'piece', field: 'panels.shelves.housing' })] : [];
  const deep = size('hole for the plug', plugs.deep, { in: 'piece', field: 'plugs.deep' });
  return [
    { name: 'left under the head of a screw', figure: [...housed, deep].reduce((rest, f) => rest.minus(f), thick) },
    {
      name: 'plugs',
      remark: say`From outside drill ${len(plugs.across)} wide and ${len(plugs.deep)} deep, then ${len(CLEARANCE)} right through, and a pilot hole of ${len(PILOT)} into the shelf's end. Glue the plugs in with their grain along the side; cut them in a drill press only.`,
    },
  ];
}

/** The pilot hole of the usual screw in the end of hardwood. */
const PILOT = mm(3);

/** What is told of the sides of a leaning piece: their angle, length and foot, and all that is marked on them. */
export function leaningFacts(
  piece: Leaning,
  stance: Stance,
  lean: Lean,
  thick: Figure,
  shelves: readonly Member[],
  off: Length,
): readonly Fact[] {
  const [first] = shelves;
  const housed = piece.panels.shelves.fix === 'housed' && first;
  const housing = housed ? [{ name: 'housing, along the side', figure: alongOf(lean, first.thickness.named('shelf')) }] : [];
  return [
    { name: 'sides, along', figure: stance.along },
    {
      name: 'lean',
      remark: say`${stance.degrees.toFixed(2)}° off plumb; both ends of the sides are cut at that, and the shelves' front edges bevelled.`,
    },
    { name: 'foot, out', figure: footWhereTheyTouch(piece, stance) },
    ...marks(shelves, lean),
    ...housing,
    ...(first
      ? [
          {
            name: 'jig',
            remark: say`The sides are mirror images: mark one face of the jig left and the other right, and put its foot to the same edge each time.`,
          },
        ]
      : []),
    ...plugged(piece, thick),
    ...standsOff(off),
  ];
}
