import { bracketScrew, extentsOf, longestSold } from '../carry/index.js';
import { inch, mm, toMm, type LengthUnit } from '../length/index.js';
import { ON_THE_WALL, PLACE, WALL_WAYS, hangs, type Bought, type Fastener, type Member } from '../piece/index.js';
import type { Solution } from './solve.js';

type WallWay = (typeof WALL_WAYS)[number];

/** Whether a piece that stands is fixed to a wall, or hangs on one. @example isOnWall(SOLVED) // true */
export const isOnWall = ({ piece, shape }: Pick<Solution, 'piece' | 'shape'>): boolean =>
  hangs(shape) || (piece.fixedToWall && shape.outside.is === 'built');

/** What a piece may be fixed to: what hangs must not hang on plaster board. @example wallWays(SOLVED).length // 4 */
export const wallWays = ({ shape }: Pick<Solution, 'shape'>): readonly WallWay[] =>
  hangs(shape) ? WALL_WAYS.filter((way) => way !== 'hollow') : WALL_WAYS;

/** What wall a piece was told to be fixed to, where it may be. @example wallOf(SOLVED) // 'usual' */
export function wallOf(solution: Pick<Solution, 'piece' | 'shape'>): WallWay {
  const told = solution.piece.fastened?.[ON_THE_WALL];
  return wallWays(solution).find((way) => way === told) ?? 'usual';
}

/** What goes into a wall in place of so many screws into studs. */
function intoWall(wall: WallWay, studs: Bought, unit: LengthUnit): Bought {
  if (wall === 'masonry')
    return { what: 'wall plugs 8 mm with screws', length: unit === 'mm' ? mm(60) : inch(2.5), count: studs.count, each: 'piece' };
  return wall === 'hollow' ? { what: 'hollow-wall anchors', count: studs.count, each: 'piece' } : studs;
}

/** Against being pulled over: a bracket near each end of what is uppermost, and one more where it is wide, mm. */
const BRACKETS = { wide: 1200, few: 2, more: 3 } as const;
/** Through plaster board and so far into a stud, mm. */
const INTO_STUD = 50;

/** The brackets that keep a piece from being pulled over, with their screws into it and into the wall. */
function restrained(solution: Solution): readonly Bought[] {
  const { unit } = solution.workshop.settings;
  const screw = bracketScrew(unit);
  const count = toMm(solution.shape.overall.width.value) > BRACKETS.wide ? BRACKETS.more : BRACKETS.few;
  const short = { what: `wood screws ${screw.name}`, length: screw.length, count: 2 * count, each: 'piece' } as const;
  const long = { what: `wood screws ${screw.name}`, length: mm(longestSold(INTO_STUD, unit)), count: 2 * count, each: 'piece' } as const;
  return [{ what: 'angle brackets', length: screw.leg, count, each: 'piece' }, short, intoWall(wallOf(solution), long, unit)];
}

/** In a place that is there, a part that lies along it is screwed by two, so far in, mm. */
const IN_PLACE = { count: 2, in: 25 } as const;

/** What fixes each part to a place that is there: screws through what lies along it, a bracket at each end of what goes across. */
function inPlace({ shape, workshop }: Solution): readonly Fastener[] {
  const { unit } = workshop.settings;
  const members = new Map(shape.members.map((m) => [m.id, m]));
  const bracket = bracketScrew(unit);
  return shape.joints.flatMap(({ carried, carrier, how, on }): Fastener[] => {
    const member = members.get(carried);
    if (!member || carrier !== PLACE || how !== 'screws') return [];
    const of = (bought: Omit<Bought, 'each'>): Fastener => ({ ...bought, each: 'piece', between: [carried, PLACE] });
    if (on)
      return [
        of({ what: 'angle brackets', length: bracket.leg, count: 1 }),
        of({ what: `wood screws ${bracket.name}`, length: bracket.length, count: bracket.count }),
      ];
    const thin = Math.min(...extentsOf(member).map(([low, high]) => high - low));
    return [of({ what: 'wood screws No. 8', length: mm(longestSold(thin + IN_PLACE.in, unit)), count: IN_PLACE.count })];
  });
}

/**
 * What fixes a piece to its wall, or its parts to a place that is there: the screws that were found to hold what hangs, brackets against being
 * pulled over, and two screws for each part that is screwed to what is there.
 * @example wallFasteners(SOLVED).length // 3
 */
export function wallFasteners(solution: Solution): readonly Fastener[] {
  const { shape, workshop } = solution;
  const parts = inPlace(solution);
  if (!isOnWall(solution)) return parts;
  const [first] = shape.members;
  const uppermost = shape.members.reduce<Member | undefined>(
    (most, m) => (!most || extentsOf(m)[1][1] > extentsOf(most)[1][1] ? m : most),
    first,
  );
  if (!uppermost) return parts;
  const hung = () => solution.checks.flatMap((c) => (c.takes ?? []).map((b) => intoWall(wallOf(solution), b, workshop.settings.unit)));
  const bought = hangs(shape) ? hung() : restrained(solution);
  return [...parts, ...bought.map((b): Fastener => ({ ...b, between: [uppermost.id, PLACE] }))];
}
