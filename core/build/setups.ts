import { grouped, len, say, sold, type Sentence } from '../figure/index.js';
import { USUAL_KERF, bladePasses, recessWide } from '../joints/index.js';
import { fromUnits, inch, mm, type Length, type LengthUnit } from '../length/index.js';
import { edgeName, faceName, upEdge, type Part } from '../parts/index.js';
import { inDegrees } from '../measures/index.js';
import type { Edges } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import { stopAt } from './holes.js';
import { TAKES } from './minutes.js';
import type { Setup } from './step.js';
import type { PartWork } from './works.js';

type RecessWork = Extract<PartWork, { kind: 'recess' }>;
type HoleWork = Extract<PartWork, { kind: 'hole' }>;

/** Setups with what they take in all, minutes. */
export interface SetUp {
  readonly setups: readonly Setup[];
  readonly minutes: number;
}

const partsIn = (works: readonly { readonly part: string }[]) => [...new Set(works.map((w) => w.part))];

/** Whether a part is as wide as the boards that it is cut from: they are not ripped. */
const isBoughtWide = ({ cut, member: { stock } }: Part): boolean => stock.form === 'board' && stock.width === cut.width.set;

/** The settings of the saw: every width that is ripped, then every length that is crossed, the largest first. */
export function sawSetups(parts: readonly Part[]): SetUp {
  const ripped = parts.filter((p) => !isBoughtWide(p));
  const by = (some: readonly Part[], sizeOf: (p: Part) => Length, way: 'rip' | 'crosscut') =>
    grouped(
      [...some].sort((a, b) => sizeOf(b) - sizeOf(a)),
      (p) => `${sizeOf(p)}`,
    ).map((alike): Setup => {
      const at = len(sizeOf(alike[0] as Part));
      return { says: way === 'rip' ? say`Rip to ${at}` : say`Crosscut to ${at}`, parts: alike.map((p) => p.id), count: alike.length };
    });
  const setups = [...by(ripped, (p) => p.cut.width.set, 'rip'), ...by(parts, (p) => p.cut.length.set, 'crosscut')];
  return { setups, minutes: setups.length * TAKES.setSaw + (ripped.length + parts.length) * TAKES.cut };
}

/** Bits that a router is usually at hand with, by the unit of the shop. */
const BITS: Readonly<Record<LengthUnit, readonly Length[]>> = {
  mm: [20, 19, 18, 16, 15, 12, 10, 8, 6, 5, 4, 3].map((d) => mm(d)),
  in: [3 / 4, 23 / 32, 5 / 8, 1 / 2, 15 / 32, 3 / 8, 5 / 16, 1 / 4, 7 / 32, 3 / 16, 1 / 8].map((d) => inch(d)),
};

/** What is wider by less is as wide: what lies aslant is worked out through an angle. */
const ROUNDING = mm(0.01);

/** A recess as it is set up: which way it runs, how far from which edge, how wide, and whether it runs out at both ends. */
interface Cutting {
  readonly runs: 'along' | 'across';
  readonly from: keyof Edges;
  readonly at: Length;
  readonly width: Length;
  readonly depth: Length;
  readonly goesThrough: boolean;
  /** It runs aslant, so that no fence guides it. */
  readonly aslant?: true;
}

function cuttingOf({ recess }: RecessWork, { member }: Part): Cutting {
  const { u0, u1, v0, v1 } = recess.region;
  const { slant } = recess;
  if (slant) {
    const at = mm(upEdge({ ...recess, slant }, member));
    return {
      runs: 'across',
      from: 'u0',
      at,
      width: recessWide(recess),
      depth: recess.depth,
      goesThrough: v0 <= 0 && v1 >= member.width.value,
      aslant: true,
    };
  }
  const along = u1 - u0 > v1 - v0;
  const [from, to, whole] = along ? [v0, v1, member.width.value] : [u0, u1, member.length.value];
  const [start, end, run] = along ? [u0, u1, member.length.value] : [v0, v1, member.width.value];
  // Along a fence the nearer edge is the surer one; across, all are marked from the same end.
  const far = along ? whole - to < from : to === whole && from > 0;
  const edge = along ? (far ? 'v1' : 'v0') : far ? 'u1' : 'u0';
  return {
    runs: along ? 'along' : 'across',
    from: edge,
    at: fromUnits(far ? whole - to : from),
    width: fromUnits(to - from),
    depth: recess.depth,
    goesThrough: start <= 0 && end >= run,
  };
}

/** How one recess is made with the tools that are there. */
function madeBy(cutting: Cutting, { kerf = USUAL_KERF, tools = {}, unit }: Settings): { readonly says: Sentence; readonly passes: number } {
  const { at, width, depth, goesThrough, aslant } = cutting;
  if (tools.fence !== undefined && goesThrough && !aslant && at <= tools.fence) {
    const passes = bladePasses(at, width, kerf);
    const last = passes.at(-1) as Length;
    const says =
      passes.length === 1
        ? say`the blade ${len(depth)} high, the fence at ${len(at)}, one pass`
        : passes.length === 2
          ? say`the blade ${len(depth)} high, two passes, the fence at ${len(at)} and ${len(last)}`
          : say`the blade ${len(depth)} high, ${passes.length} passes, the fence from ${len(at)} on by ${len(fromUnits((last - at) / (passes.length - 1)))} to ${len(last)}`;
    return { says, passes: passes.length };
  }
  if (tools.router === false) {
    return { says: say`saw both sides ${len(depth)} deep and clear it with a chisel`, passes: Math.max(2, Math.ceil(width / mm(4))) };
  }
  const bit = BITS[unit].find((b) => b <= width + ROUNDING);
  const deep = Math.max(1, Math.ceil(depth / mm(5)));
  if (!bit) return { says: say`saw it along a guide, ${len(depth)} deep`, passes: deep };
  const wide = Math.ceil((width - ROUNDING) / bit);
  const stops = goesThrough ? '' : ', and stop where it is marked';
  return {
    says: say`router, bit of ${sold(bit)}, ${len(depth)} deep${deep > 1 ? ` in ${deep} goes` : ''}${wide > 1 ? ', its guide moved for the rest of the width' : ''}${stops}`,
    passes: deep * wide,
  };
}

/** The settings for grooves, housings, rebates and notches: what is cut alike is cut together. */
export function recessSetups(works: readonly RecessWork[], parts: ReadonlyMap<string, Part>, settings: Settings): SetUp {
  let minutes = 0;
  const all = works.flatMap((work) => {
    const part = parts.get(work.part);
    return part ? [{ work, part, cutting: cuttingOf(work, part) }] : [];
  });
  const key = ({ work, part, cutting: c }: (typeof all)[number]) =>
    [work.recess.kind, c.runs, c.at, c.width, c.depth, c.goesThrough, edgeName(part.member, c.from), work.recess.slant ?? 0].join(' ');
  const setups = grouped(all, key).map((alike): Setup => {
    const [{ work, part, cutting }] = alike as [(typeof all)[number]];
    const { recess } = work;
    const count = alike.length;
    const what = count === 1 ? recess.kind : recess.kind === 'notch' ? 'notches' : `${recess.kind}s`;
    const edge = edgeName(part.member, cutting.from);
    const along = recess.slant ? ' up the edges' : '';
    const place = cutting.at > 0 ? say`${len(cutting.at)}${along} from the ${edge}` : say`at the ${edge}`;
    if (recess.kind === 'notch') {
      minutes += TAKES.setDrill + count * TAKES.shape;
      return {
        says: say`${count} ${what} ${len(cutting.width)} wide, ${place}: sawn out`,
        parts: partsIn(alike.map((a) => a.work)),
        count,
      };
    }
    const made = madeBy(cutting, settings);
    minutes += TAKES.setRecess + count * made.passes * TAKES.pass;
    const slant = recess.slant ? `, ${inDegrees(Math.atan(Math.abs(recess.slant))).toFixed(1)}° off square` : '';
    return {
      says: say`${count} ${what} ${len(cutting.width)} wide${slant}, on the ${faceName(part.member, recess.face)}, ${place}: ${made.says}`,
      parts: partsIn(alike.map((a) => a.work)),
      count,
    };
  });
  return { setups, minutes };
}

const USES: Readonly<Record<HoleWork['hole']['use'], string>> = {
  pin: 'shelf pin holes',
  pocket: 'pocket holes, in the pocket jig',
  plugged: 'holes for head and plug',
  through: 'holes',
  screw: 'screw holes, countersunk',
  pilot: 'pilot holes',
  bolt: 'bolt holes',
  nut: 'holes for barrel nuts (by the nut that you have)',
};

/** The settings of the drill: what has the same bit and the same depth is drilled together. */
export function drillSetups(works: readonly HoleWork[], { unit }: Pick<Settings, 'unit'>): SetUp {
  const setups = grouped(works, ({ hole: h }) => `${h.use} ${h.diameter} ${h.through ? 'through' : h.depth.toFixed(1)}`).map(
    (alike): Setup => {
      const { use, diameter, depth, through } = (alike[0] as HoleWork).hole;
      const deep: Sentence = through
        ? say`right through`
        : say`${sold(mm(use === 'pin' ? depth : stopAt(depth, unit)))} deep, by a stop on the bit`;
      return { says: say`${alike.length} ${USES[use]}, Ø${sold(mm(diameter))}, ${deep}`, parts: partsIn(alike), count: alike.length };
    },
  );
  return { setups, minutes: setups.length * TAKES.setDrill + works.length * TAKES.hole };
}
