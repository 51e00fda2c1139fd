import { wouldBe, builtUpStiffness, stiffnessOf, type BendingAnswer, type Layer } from '../../carry/index.js';
import { len, say, type Sentence } from '../../figure/index.js';
import { inch, mm, toMm, type Length } from '../../length/index.js';
import type { DividingMember, Strip } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { propertiesOf, type Stock } from '../../stock/index.js';
import type { Solution } from '../solve.js';
import type { Candidate } from './candidate.js';

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

/** Whether strips so high might do, by the section alone: it is tried in earnest afterwards. */
function might(answer: BendingAnswer, workshop: Workshop, own: Stock, stock: Stock, high: Length, strips: number): boolean {
  const { width, thickness } = answer.section;
  const base = layerOf(own, width, thickness, 0);
  const strip = layerOf(stock, toMm(stock.thickness) * strips, toMm(high), thickness);
  const elastic = builtUpStiffness([base, strip], { kind: 'glued' }, answer.span) / stiffnessOf(answer.section);
  const { mm: sag, allowed } = wouldBe(answer, workshop.settings, { elastic });
  return sag <= allowed;
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

/** Strips under or against the edges of a shelf, and a second layer on it, each as small as might do. */
export function stiffeners(solution: Solution, workshop: Workshop, spec: DividingMember, memberId: string): readonly Candidate[] {
  const carried = solution.carried.members.get(memberId);
  const answer = carried?.bending;
  if (!carried || !answer || answer.builtUp) return [];
  const own = carried.member.stock;
  const stocks = stripStocks(workshop, carried.member.stockId);
  const strips = (['front', 'back', 'both'] as const).flatMap((at) =>
    stocks.flatMap((id): Candidate[] => {
      const stock = workshop.stock.get(id) as Stock;
      const fitting = HEIGHTS[workshop.settings.unit].filter((high) => might(answer, workshop, own, stock, high, at === 'both' ? 2 : 1));
      return fitting.slice(0, at === 'both' ? 1 : TRIED).map((high): Candidate => {
        const strip: Strip = { stock: id, high, at, top: 'under', held: 'glued' };
        return {
          label: say`Glue a strip of ${stock.name}, ${len(high)} high, under ${WHERE[at]}`,
          edit: { kind: 'stiffen', member: spec.id, strip, doubled: null },
          looks: looksOf(strip, high),
        };
      });
    }),
  );
  const doubled: Candidate = {
    label: say`Double it: a second layer of ${own.name}, glued`,
    edit: { kind: 'stiffen', member: spec.id, strip: null, doubled: 'glued' },
    looks: say`an edge twice as thick`,
  };
  return [...strips, doubled];
}

/** A strip on one edge leaves the other to sag, so that some heights above the least are tried too. */
const TRIED = 2;
