import { len, say, size, type Sentence } from '../../figure/index.js';
import { ZERO, add, greatest, mm, scale, sub, type Length } from '../../length/index.js';
import { recess, slipsOut, usualSlack } from '../../joints/index.js';
import {
  atX,
  boxOf,
  rectangular,
  uprightFrame,
  type Fact,
  type Feature,
  type Joint,
  type Member,
  type PieceEdit,
  type PlacedSpace,
  type ShapeProblem,
} from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import { groovesIn } from './places.js';
import { MOST_GROOVES, type Grooves } from './spec.js';

type Uprights = NonNullable<Grooves['uprights']>;

/** So much of a shelf is left under a groove at least, or between those of both its faces. */
const LEFT = mm(3);

/** How many grooves for uprights a shelf has at their pitch: the first and the last at least a pitch from the sides. */
export function uprightsIn(clear: Length, uprights: Uprights, thick: Length): number {
  const { pitch } = uprights;
  return groovesIn(clear, { first: pitch, last: greatest([ZERO, sub(pitch, thick)]), wide: thick, pitch });
}

/** The shelves with what is cut into them, and the uprights that stand between them. */
export interface Stood {
  readonly shelves: readonly Member[];
  readonly uprights: readonly Member[];
  readonly joints: readonly Joint[];
  readonly facts: readonly Fact[];
  readonly problems: readonly ShapeProblem[];
}

/** In which grooves across the shelf of a groove uprights stand over it, from the left: those that are there, each once. */
function placesOver(uprights: Uprights, shelf: number, count: number): readonly number[] {
  const own = uprights.over.find((o) => o.shelf === shelf)?.at ?? [];
  return [...new Set(own)].filter((n) => n <= count).sort((a, b) => a - b);
}

/** How far from the left of a shelf the left of its nth groove for uprights is. */
const placeOf = ({ pitch }: Uprights, n: number) => (pitch * n) as Length;

/** The widest that is clear on the shelf of a groove beside and between the uprights over it. */
export function widestOn({ uprights }: Grooves, shelf: number, clear: Length, workshop: Workshop): Length {
  if (!uprights) return clear;
  const t = woodOf(workshop, uprights.stock).thickness.value;
  const at = placesOver(uprights, shelf, uprightsIn(clear, uprights, t)).map((n) => placeOf(uprights, n));
  const ends = [...at, clear];
  return greatest(ends.map((to, i) => sub(to, i === 0 ? ZERO : add(at[i - 1] as Length, t))));
}

/**
 * Loose uprights between shelves, in grooves across these: those of both shelves over one another, all at one pitch, so
 * that an upright can be moved to any of them.
 * @param shelves from below, by the groove that each lies in
 */
export function stoodBetween(grooves: Grooves, space: PlacedSpace, workshop: Workshop, shelves: ReadonlyMap<number, Member>): Stood {
  const { uprights } = grooves;
  const all = [...shelves.values()];
  if (!uprights) return { shelves: all, uprights: [], joints: [], facts: [], problems: [] };
  const wood = woodOf(workshop, uprights.stock);
  const t = wood.thickness.value;
  const { box, clear } = space;
  const count = uprightsIn(clear.width.value, uprights, t);
  const order = [...shelves.keys()];
  const problems = problemsOf(grooves, uprights, space, workshop, order, count);
  if (count > MOST_GROOVES) return { shelves: all, uprights: [], joints: [], facts: [], problems };
  const xOf = (n: number) => add(box.x0, placeOf(uprights, n));
  const cuts = new Map<string, Feature[]>();
  const cut = ({ id }: Member, groove: Feature) => {
    const own = cuts.get(id);
    if (own) own.push(groove);
    else cuts.set(id, [groove]);
  };
  const made: Member[] = [];
  const joints: Joint[] = [];
  order.forEach((n, i) => {
    const [lower, upper] = [shelves.get(n), shelves.get(order[i + 1] ?? 0)];
    const places = placesOver(uprights, n, count);
    if (!lower || !upper || places.length === 0) return;
    const [under, over] = [boxOf(lower), boxOf(upper)];
    const between = size('between the shelves', sub(over.y0, under.y1));
    const into = size('groove', uprights.deep, { in: 'making', field: 'uprights.deep' }).times(2).named('into both shelves');
    const length = between.plus(into).minus(size('slack', grooves.slack, { in: 'making', field: 'slack' }));
    // Cut alike in both shelves: all that are at the pitch, so that uprights can be moved.
    for (let k = 1; k <= count; k += 1) {
      const room = { x0: xOf(k), x1: add(xOf(k), t) };
      const mate = places.includes(k) ? `${space.id}/upright/${n}-${k}` : `${space.id}/upright-groove/${n}-${k}`;
      cut(lower, recess('groove', lower, 'up', mate, { ...under, ...room }, uprights.deep));
      cut(upper, recess('groove', upper, 'down', mate, { ...over, ...room }, uprights.deep));
    }
    for (const k of places) {
      const upright = rectangular({
        id: `${space.id}/upright/${n}-${k}`,
        node: space.id,
        role: 'divider',
        label: `loose upright ${k} over the shelf in groove ${n}`,
        wood,
        length,
        width: lower.width,
        frame: uprightFrame({ x: xOf(k), y: sub(under.y1, uprights.deep), z: under.z0 }),
        edges: { v1: lower.edges.v0 ?? 'square' },
      });
      made.push(upright);
      joints.push({ carried: upright.id, carrier: lower.id, how: 'bearing', on: atX(add(xOf(k), scale(t, 0.5))) });
    }
  });
  return {
    shelves: all.map((m) => (cuts.has(m.id) ? { ...m, features: [...m.features, ...(cuts.get(m.id) ?? [])] } : m)),
    uprights: made,
    joints,
    facts: made.length > 0 ? factsOf(uprights, count, t) : [],
    problems,
  };
}

function factsOf(uprights: Uprights, count: number, thick: Length): readonly Fact[] {
  return [
    {
      name: 'grooves for uprights',
      remark: say`${count} across each of the two shelves, ${len(thick)} wide, every ${len(uprights.pitch)} from the left: both shelves cut with one setting, from the same end, so that they face each other.`,
    },
  ];
}

/** What is wrong with uprights in grooved shelves, with ways out. */
function problemsOf(
  grooves: Grooves,
  uprights: Uprights,
  space: PlacedSpace,
  workshop: Workshop,
  order: readonly number[],
  count: number,
): ShapeProblem[] {
  const thick = woodOf(workshop, uprights.stock).thickness.value;
  const shelf = woodOf(workshop, grooves.stock).thickness.value;
  const edit = (patch: Partial<Uprights>): PieceEdit => ({
    kind: 'filling',
    space: space.id,
    filling: { ...grooves, uprights: { ...uprights, ...patch } },
  });
  const found: ShapeProblem[] = [];
  const told = (id: string, sentence: Sentence, fixes: ShapeProblem['fixes'] = []) =>
    found.push({ id: `uprights-${id}-${space.id}`, about: space.id, stops: true, sentence, fixes });
  const stood = uprights.over.filter((o) => o.at.length > 0);
  const open = stood.filter((o) => !order.includes(o.shelf) || order.at(-1) === o.shelf);
  if (open.length > 0)
    told(
      'open',
      say`Uprights want a shelf under them and one over them, and over groove ${(open[0] as (typeof open)[number]).shelf} there are not both.`,
      [{ label: say`Take those out`, edit: edit({ over: uprights.over.filter((o) => !open.includes(o)) }) }],
    );
  const both = order.some((n, i) => placesOver(uprights, n, count).length > 0 && placesOver(uprights, order[i - 1] ?? 0, count).length > 0);
  const most = scale(sub(shelf, LEFT), both ? 0.5 : 1);
  if (stood.length > 0 && uprights.deep > most)
    told(
      'deep',
      say`Grooves ${len(uprights.deep)} deep ${both ? 'in both faces ' : ''}leave less than ${len(LEFT)} of shelves of ${len(shelf)}: take thicker shelves, or shallower grooves.`,
      most > ZERO ? [{ label: say`${len(most)} deep`, edit: edit({ deep: most }) }] : [],
    );
  if (uprights.pitch <= thick)
    told('pitch', say`Grooves of ${len(thick)} every ${len(uprights.pitch)} run into each other.`, [
      { label: say`One every ${len((thick * 2) as Length)}`, edit: edit({ pitch: (thick * 2) as Length }) },
    ]);
  if (count > MOST_GROOVES) {
    const wider = Math.ceil(space.clear.width.value / MOST_GROOVES) as Length;
    told(
      'many',
      say`${count} grooves for uprights would go across a shelf, and no more than ${MOST_GROOVES} are laid out: take a greater pitch.`,
      [{ label: say`One every ${len(wider)}`, edit: edit({ pitch: wider }) }],
    );
  }
  const beyond = stood.flatMap((o) => o.at).filter((n) => n > count);
  if (uprights.pitch > thick && beyond.length > 0)
    told('beyond', say`An upright stands in groove ${Math.max(...beyond)}, and there ${count === 1 ? 'is one' : `are ${count}`}.`, [
      { label: say`Take it out`, edit: edit({ over: uprights.over.map((o) => ({ ...o, at: o.at.filter((n) => n <= count) })) }) },
    ]);
  const slips = slipsOut('An upright', 'grooves', uprights.deep, grooves.slack);
  if (slips && stood.length > 0)
    told('slips', slips, [
      {
        label: say`Cut shelves and uprights ${len(usualSlack(uprights.deep))} small`,
        edit: { kind: 'filling', space: space.id, filling: { ...grooves, slack: usualSlack(uprights.deep) } },
      },
    ]);
  return found;
}
