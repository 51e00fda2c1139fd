import type { Length } from '../length/index.js';
import type { Member, Outline, OutlineSide, Region } from './member.js';

/** A place on an outline, and where it is met when one goes round it from the lower left corner. */
interface Corner {
  readonly u: Length;
  readonly v: Length;
}

/** The corners of a notch that is open to the edge below it, as one goes along that from the left; in u and v turned so. */
function alongEdge(notches: readonly Region[], long: Length): Corner[] {
  const open = notches.filter((n) => n.v0 <= 0 && n.v1 > 0).sort((a, b) => a.u0 - b.u0);
  return open.flatMap(({ u0, u1, v1 }): Corner[] => {
    const foot = 0 as Length;
    // One in a corner is entered from this edge, and left on to the next one.
    if (u0 <= 0) return [{ u: u1, v: foot }];
    if (u1 >= long)
      return [
        { u: u0, v: foot },
        { u: u0, v: v1 },
      ];
    return [
      { u: u0, v: foot },
      { u: u0, v: v1 },
      { u: u1, v: v1 },
      { u: u1, v: foot },
    ];
  });
}

/** A region as it lies when the outline is turned a quarter, so that its right edge is below. */
const turnedRegion = ({ u0, u1, v0, v1 }: Region, long: Length): Region => ({
  u0: v0,
  u1: v1,
  v0: (long - u1) as Length,
  v1: (long - u0) as Length,
});

/**
 * A rectangular member with its outline cut away where notches go in from its edges, so that it is drawn, weighed and
 * met as it is cut. Notches that meet each other, or no edge, are left as they are marked.
 * @example notched(SHELF) // SHELF
 */
export function notched(member: Member): Member {
  const regions = member.features.flatMap((f) => (f.kind === 'notch' && f.depth >= member.thickness.value ? [f.region] : []));
  if (regions.length === 0) return member;
  const sizes: readonly [Length, Length] = [member.length.value, member.width.value];
  const corners: Corner[] = [];
  let turned = regions;
  for (let quarter = 0; quarter < 4; quarter += 1) {
    const long = sizes[quarter % 2] as Length;
    const cut = (u: Length) => turned.some((n) => n.v0 <= 0 && n.u0 <= u && n.u1 >= u);
    const first: Corner[] = cut(0 as Length) ? [] : [{ u: 0 as Length, v: 0 as Length }];
    corners.push(...[...first, ...alongEdge(turned, long)].map((c) => backTurned(c, quarter, sizes)));
    turned = turned.map((n) => turnedRegion(n, long));
  }
  const [start, ...rest] = corners;
  if (!start) return member;
  const sides = [...rest, start].map((to): OutlineSide => ({ kind: 'line', to }));
  const outline: Outline = { start, sides };
  return { ...member, outline };
}

/** A place on an outline that was turned so many quarters, as it lies on the member. */
function backTurned({ u, v }: Corner, quarter: number, [long, broad]: readonly [Length, Length]): Corner {
  switch (quarter) {
    case 1:
      return { u: (long - v) as Length, v: u };
    case 2:
      return { u: (long - u) as Length, v: (broad - v) as Length };
    case 3:
      return { u: v, v: (broad - u) as Length };
    default:
      return { u, v };
  }
}
