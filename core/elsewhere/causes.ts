import { fine, len, say, type Sentence } from '../figure/index.js';
import { fromUnits, mm, toMm, type Length } from '../length/index.js';
import type { Part } from '../parts/index.js';
import type { Solution } from '../solution/index.js';

/** Nearer than this two figures are one, mm: what lists are usually rounded to. */
const NEAR = 0.35;

/** Something that is often forgotten in a list, or taken twice, and by how much that makes a part wrong, mm. */
interface Slip {
  readonly by: number;
  /** What was done where the part is too large, and where it is too small. */
  readonly over: Sentence;
  readonly under: Sentence;
}

function thicknessSlips(solution: Solution): Slip[] {
  const stocks = new Map(solution.parts.map((p) => [p.member.stockId, p.member.stock]));
  return [...stocks.values()].flatMap((stock): Slip[] => {
    const t = toMm(stock.thickness);
    const off = toMm(fromUnits(stock.nominal - stock.thickness));
    const nominal = Math.abs(off) > 0.05 ? off : 0;
    const both = [1, 2].flatMap((n): Slip[] => {
      const once = n === 1 ? 'a thickness' : 'two thicknesses';
      return [
        {
          by: n * t,
          over: say`it was not made shorter by ${once} of ${stock.name}: it goes between, and is cut as if it went over`,
          under: say`${once} of ${stock.name} was taken off that is not there: it goes over, and is cut as if it went between`,
        },
        ...(nominal
          ? [
              {
                by: n * toMm(stock.nominal),
                over: say`it was not made shorter by ${once}, ${stock.name} taken as ${len(stock.nominal)}`,
                under: say`${once} was taken off that is not there, ${stock.name} taken as ${len(stock.nominal)}`,
              },
            ]
          : []),
      ];
    });
    const taken = nominal
      ? [1, 2, 3, 4].map((n): Slip => {
          const said = say`${stock.name} was taken as the ${len(stock.nominal)} that it is sold as, and measures ${len(stock.thickness)}${n > 1 ? `, ${n} times over` : ''}`;
          return { by: Math.abs(n * nominal), over: said, under: said };
        })
      : [];
    return [...both, ...taken];
  });
}

function jointSlips({ shape }: Solution, part: Part): Slip[] {
  const depths = new Set(
    shape.members.flatMap((m) => m.features.flatMap((f) => (f.kind !== 'hole' && f.mate === part.id ? [toMm(f.depth)] : []))),
  );
  return [...depths].flatMap((depth): Slip[] =>
    [1, 2].map((n) => ({
      by: n * depth,
      over: say`it was made longer for ${n === 1 ? 'a housing' : 'both housings'} ${fine(depth, 1)} deep that ${n === 1 ? 'is' : 'are'} not there`,
      under: say`the ${fine(depth, 1)} that it goes into ${n === 1 ? 'one side' : 'each side'} ${n === 1 ? 'was' : 'were'} forgotten`,
    })),
  );
}

function runnerSlips({ workshop, shape }: Solution): Slip[] {
  const used = new Set(shape.bodies.map((b) => b.runsOn.name));
  return [...workshop.slides.values()]
    .filter((s) => used.has(s.name))
    .flatMap((slide): Slip[] =>
      [1, 2].map((n) => ({
        by: n * toMm(slide.side),
        over: say`${n === 1 ? 'one runner' : 'both runners'} of ${len(slide.side)} ${n === 1 ? 'was' : 'were'} forgotten`,
        under: say`${n === 1 ? 'a runner' : 'two runners'} of ${len(slide.side)} too much ${n === 1 ? 'was' : 'were'} taken off`,
      })),
    );
}

function otherSlips({ piece, workshop }: Solution): Slip[] {
  const banding = toMm(piece.edges.banding);
  const kerf = toMm(workshop.settings.kerf ?? mm(3));
  const edges =
    banding > 0
      ? [1, 2].map((n): Slip => {
          const which = n === 1 ? 'one edge' : 'two edges';
          return {
            by: n * banding,
            over: say`the edging of ${fine(banding, 1)} on ${which} was not taken off`,
            under: say`edging of ${fine(banding, 1)} was taken off ${which} that ${n === 1 ? 'has' : 'have'} none`,
          };
        })
      : [];
  return [
    ...edges,
    {
      by: kerf,
      over: say`it may be a saw cut of ${fine(kerf, 1)}, which is no part of a size`,
      under: say`it may be a saw cut of ${fine(kerf, 1)}: the line was sawn away`,
    },
  ];
}

/**
 * What a size that does not add up most likely comes from; null where it is nothing that is usually forgotten. @param by how much larger it is in the list than it should be
 * @example causeOf(mm(0), PART, SOLVED) // null
 */
export function causeOf(by: Length, part: Part, solution: Solution): Sentence | null {
  const off = Math.abs(toMm(by));
  const slips = [...jointSlips(solution, part), ...runnerSlips(solution), ...thicknessSlips(solution), ...otherSlips(solution)];
  const near = slips.filter((s) => Math.abs(s.by - off) <= NEAR).sort((a, b) => Math.abs(a.by - off) - Math.abs(b.by - off));
  const [first] = near;
  return first ? (by > 0 ? first.over : first.under) : null;
}
