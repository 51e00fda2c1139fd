import { len, say, type Sentence } from '../../figure/index.js';
import { add, mm, sub, type Length } from '../../length/index.js';
import { slipsOut, usualSlack } from '../../joints/index.js';
import { OPEN, PLACE, type PieceEdit, type PlacedSpace, type ShapeProblem } from '../../piece/index.js';
import { woodOf, type Wood, type Workshop } from '../../project/index.js';
import { freeOver, lowest } from './places.js';
import { MOST_GROOVES, type Grooves } from './spec.js';
import { widestOn } from './uprights.js';

/** Nearer to the end of a side than this the wood beside a groove breaks out. */
const NEAR_END = mm(15);
/** A shelf that is so much thinner than its groove rattles in it. */
const LOOSE = mm(1);

/**
 * Whether something of the piece itself stands at both sides, so that grooves can be cut into it.
 * @example hasSides(SOLVED.shape.spaces.get('in-1')) // true
 */
export const hasSides = ({ posts, neighbours: { left, right } }: PlacedSpace): boolean =>
  !posts && [left, right].every((id) => id !== PLACE && id !== OPEN);

/** What is wrong with grooves, with ways out. */
export function grooveProblems(grooves: Grooves, space: PlacedSpace, count: number, wood: Wood): ShapeProblem[] {
  const { wide, deep, pitch, first, last, slack, shelves } = grooves;
  const edit = (patch: Partial<Grooves>): PieceEdit => ({ kind: 'filling', space: space.id, filling: { ...grooves, ...patch } });
  const found: ShapeProblem[] = [];
  const told = (id: string, sentence: Sentence, fixes: ShapeProblem['fixes'], stops = true) =>
    found.push({ id: `grooves-${id}-${space.id}`, about: space.id, stops, sentence, fixes });
  const thick = wood.thickness.value;

  if (!hasSides(space))
    told(
      'sides',
      say`Grooves are cut into what stands at both sides, and ${space.label} has nothing of this piece there: put a case round it, or dividers beside it.`,
      [{ label: say`Make ${space.label} one space again`, edit: { kind: 'clear', space: space.id } }],
    );
  if (pitch <= wide)
    told('pitch', say`Grooves of ${len(wide)} every ${len(pitch)} run into each other.`, [
      { label: say`One every ${len((wide * 2) as Length)}`, edit: edit({ pitch: (wide * 2) as Length }) },
    ]);
  else if (count === 0)
    told(
      'none',
      say`No groove goes into ${len(space.clear.height.value)}: the first is ${len(first)} up, and ${len(last)} is to be left over it.`,
      [{ label: say`The first ${len(NEAR_END)} up, and as much left over`, edit: edit({ first: NEAR_END, last: NEAR_END }) }],
    );
  else if (count > MOST_GROOVES) {
    const wider = Math.ceil(space.clear.height.value / MOST_GROOVES) as Length;
    told('many', say`${count} grooves would go in, and no more than ${MOST_GROOVES} are laid out: take a greater pitch.`, [
      { label: say`One every ${len(wider)}`, edit: edit({ pitch: wider }) },
    ]);
  }
  const gone = shelves.filter((n) => n > count);
  if (count > 0 && gone.length > 0)
    told('beyond', say`A shelf lies in groove ${Math.max(...gone)}, and there are ${count}.`, [
      { label: gone.length === 1 ? say`Take it out` : say`Take them out`, edit: edit({ shelves: shelves.filter((n) => n <= count) }) },
    ]);
  const once = [...new Set(shelves)];
  if (once.length < shelves.length)
    told('twice', say`Two shelves lie in one groove.`, [{ label: say`Leave one of them out`, edit: edit({ shelves: once }) }]);
  if (thick > wide)
    told('thick', say`Shelves of ${len(thick)} do not go into grooves of ${len(wide)}.`, [
      { label: say`Grooves ${len(thick)} wide`, edit: edit({ wide: thick }) },
    ]);
  else if (sub(wide, thick) > LOOSE)
    told(
      'loose',
      say`Shelves of ${len(thick)} are loose in grooves of ${len(wide)}: they tip forward as they are drawn out.`,
      [{ label: say`Grooves ${len(thick)} wide`, edit: edit({ wide: thick }) }],
      false,
    );
  const slips = slipsOut('A shelf', 'grooves', deep, slack);
  if (slips) told('slips', slips, [{ label: say`Cut it ${len(usualSlack(deep))} small`, edit: edit({ slack: usualSlack(deep) }) }]);
  if (count > 0 && (first < NEAR_END || last < NEAR_END))
    told(
      'near-end',
      say`Grooves begin ${len(first)} from the foot and end ${len(last)} from the head of their sides: nearer than ${len(NEAR_END)} the wood beside them breaks out.`,
      [{ label: say`${len(NEAR_END)} at both ends`, edit: edit({ first: max(first, NEAR_END), last: max(last, NEAR_END) }) }],
      false,
    );
  const { fingers } = grooves;
  if (fingers && (fingers.wide >= space.clear.width.value || fingers.deep * 2 >= space.clear.depth.value))
    told('fingers', say`A notch for fingers ${len(fingers.wide)} by ${len(fingers.deep)} leaves too little of a shelf.`, [
      { label: say`Leave the notches out`, edit: { kind: 'filling', space: space.id, filling: withoutFingers(grooves) } },
    ]);
  return found;
}

const max = (a: Length, b: Length) => Math.max(a, b) as Length;

function withoutFingers(grooves: Grooves): Grooves {
  const rest = { ...grooves };
  delete rest.fingers;
  return rest;
}

/** A thing that is to lie on each shelf, and does not go in there. */
export function thingProblems(grooves: Grooves, space: PlacedSpace, workshop: Workshop): ShapeProblem[] {
  const { thing: id, shelves } = grooves;
  if (id === undefined) return [];
  const thing = workshop.things.get(id);
  const problem = (why: string, sentence: Sentence, stops: boolean): ShapeProblem[] => [
    { id: `grooves-${why}-${space.id}`, about: space.id, stops, sentence, fixes: [] },
  ];
  if (!thing) return problem('thing', say`The thing that lies on the shelves of ${space.label} is not in the library any more.`, true);
  const order = [...shelves].sort((a, b) => a - b);
  const thick = woodOf(workshop, grooves.stock).thickness.value;
  const lies = lowest(thing);
  const high = add(lies.height, thing.clearance);
  const low = order.filter((_, i) => freeOver(grooves, order, i, space.clear.height.value, thick) < high);
  if (low.length > 0)
    return problem(
      'high',
      say`${thing.name}, ${len(high)} high, does not go in over ${low.length === 1 ? `the shelf in groove ${low[0] as number}` : `${low.length} of the shelves`}: move the shelf over it up.`,
      false,
    );
  const narrow = order.filter((n) => widestOn(grooves, n, space.clear.width.value, workshop) < lies.width);
  if (narrow.length > 0 && lies.width <= space.clear.width.value)
    return problem(
      'between',
      say`${thing.name}, ${len(lies.width)} wide, does not lie beside the uprights over ${narrow.length === 1 ? `groove ${narrow[0] as number}` : `${narrow.length} of the shelves`}: take those out, or nothing lies there.`,
      false,
    );
  if (lies.width > space.clear.width.value || lies.depth > sub(space.clear.depth.value, space.setback))
    return problem('wide', say`${thing.name}, ${len(lies.width)} by ${len(lies.depth)}, is larger than the shelves.`, false);
  return [];
}
