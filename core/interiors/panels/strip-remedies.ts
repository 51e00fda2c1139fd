import {
  allLoaded,
  builtUpStiffness,
  quickSag,
  stiffnessOf,
  stripStiffness,
  torsionConstant,
  wouldBe,
  type BendingAnswer,
  type Layer,
} from '../../carry/index.js';
import { len, say, type Sentence } from '../../figure/index.js';
import { inch, mm, toMm, type Length } from '../../length/index.js';
import type { DividingMember, Strip } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { propertiesOf, type Stock } from '../../stock/index.js';
import type { Asked, Candidate } from '../../remedies/index.js';

/** Heights that strips are ripped to, tried from the least. */
const HEIGHTS = {
  mm: [30, 40, 50, 60, 80, 100].map((h) => mm(h)),
  in: [1.25, 1.5, 2, 2.5, 3, 4].map((h) => inch(h)),
} as const;

/** Strips thinner or thicker than this are not usual, mm. */
const STRIP_THICKNESS = [12, 30] as const;

/** What a strip is ripped from: the shelf's own stock, and the stiffest boards on hand. */
function stripStocks(workshop: Workshop, own: string): readonly string[] {
  const usable = [...workshop.stock].filter(([, s]) => toMm(s.thickness) >= STRIP_THICKNESS[0] && toMm(s.thickness) <= STRIP_THICKNESS[1]);
  const boards = usable.filter(([id, s]) => s.form === 'board' && id !== own);
  const [stiffest] = boards.sort(([, a], [, b]) => propertiesOf(b).elastic - propertiesOf(a).elastic);
  return [...usable.filter(([id]) => id === own), ...(stiffest ? [stiffest] : [])].map(([id]) => id);
}

function layerOf(stock: Stock, width: number, height: number, top: number): Layer {
  return { E: propertiesOf(stock).elastic * 1000, width, height, top };
}

/** How many times as stiff a panel is by its section alone with strips so high glued to it. */
function stiffer({ section, span }: BendingAnswer, own: Stock, stock: Stock, high: Length, strips: number): number {
  const base = layerOf(own, section.width, section.thickness, 0);
  const strip = layerOf(stock, toMm(stock.thickness) * strips, toMm(high), section.thickness);
  return builtUpStiffness([base, strip], { kind: 'glued' }, span) / stiffnessOf(section);
}

const FREE = { front: 'free', back: 'free' } as const;

/** Whether a strip along one edge might do: a plate with a beam along its edge, front and back alike. */
function mightOnOneEdge({ section, loads, verdict }: BendingAnswer, allowed: number, stock: Stock, high: Length): boolean {
  const [t, h] = [toMm(stock.thickness), toMm(high)];
  const properties = propertiesOf(stock);
  const panel = { E: section.properties.elastic * 1000, width: section.width, thickness: section.thickness };
  const strip = layerOf(stock, t, h, section.thickness);
  const EI = stripStiffness({ panel, strip, aside: (section.width - t) / 2, both: false });
  const sag = quickSag({
    beam: allLoaded(loads),
    section,
    edges: FREE,
    lines: [],
    beams: [{ edge: 'y0', EI, GJ: properties.shear * 1000 * torsionConstant(t, h) }],
  }).mm;
  return sag * (verdict.creep.judged ? verdict.creep.factor : 1) <= allowed;
}

const WHERE = {
  front: 'the front edge',
  back: 'the back edge',
  both: 'both edges',
} as const;

function looksOf(strip: Pick<Strip, 'at' | 'top'>, high: Length): Sentence {
  const under = strip.top === 'under' ? say`takes ${len(high)} of the clear height there` : say`upper faces flush`;
  return strip.at === 'back' ? say`not seen from the front; ${under}` : say`the front looks ${len(high)} deeper; ${under}`;
}

function stripped(spec: DividingMember, stock: Stock, strip: Strip): Candidate {
  return {
    label: say`Glue a strip of ${stock.name}, ${len(strip.high)} high, under ${WHERE[strip.at]}`,
    edit: { kind: 'stiffen', member: spec.id, strip, doubled: null },
    looks: looksOf(strip, strip.high),
  };
}

/** Strips under or against the edges of a shelf, and a second layer on it, each as small as might do. */
export function stiffeners({ workshop, carried: all, member }: Asked, spec: DividingMember): readonly Candidate[] {
  const carried = all.members.get(member.id);
  const answer = carried?.bending;
  if (!carried || !answer || answer.builtUp) return [];
  const own = carried.member.stock;
  const stocks = stripStocks(workshop, carried.member.stockId);
  const { mm: sag, allowed } = wouldBe(answer, workshop.settings, {});
  const strips = stocks.flatMap((id) => {
    const stock = workshop.stock.get(id) as Stock;
    // By the section alone: those that might do are tried in earnest afterwards.
    const heights = (strips: number) =>
      HEIGHTS[workshop.settings.unit].filter((high) => sag / stiffer(answer, own, stock, high, strips) <= allowed);
    // On one edge the section alone flatters it, since the other edge sags: the least that a plate lets pass.
    const one = heights(1).find((high) => mightOnOneEdge(answer, allowed, stock, high));
    const [two] = heights(2);
    return (['front', 'back', 'both'] as const).flatMap((at): Candidate[] => {
      const high = at === 'both' ? two : one;
      return high === undefined ? [] : [stripped(spec, stock, { stock: id, high, at, top: 'under', held: 'glued' })];
    });
  });
  const doubled: Candidate = {
    label: say`Double it: a second layer of ${own.name}, glued`,
    edit: { kind: 'stiffen', member: spec.id, strip: null, doubled: 'glued' },
    looks: say`an edge twice as thick`,
  };
  return [...strips, doubled];
}
