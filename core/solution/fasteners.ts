import { allBolts, allBrads, allKept, allScrews, bracketScrew } from '../carry/index.js';
import { PIN, POCKET_HOLE, pocketScrewLength } from '../joints/index.js';
import { mm } from '../length/index.js';
import type { Bought, Fastener, Feature } from '../piece/index.js';
import type { Solution } from './solve.js';
import { wallFasteners } from './wall.js';

type Hole = Extract<Feature, { kind: 'hole' }>;

/** A fastener for every hole of one sort that is made for another member, by the two. */
function inHoles(
  { shape }: Solution,
  are: (hole: Hole) => boolean,
  bought: (of: string) => Omit<Bought, 'count' | 'each'> | null,
): Fastener[] {
  return shape.members.flatMap((member) => {
    const counts = new Map<string, number>();
    for (const f of member.features) if (f.kind === 'hole' && are(f)) counts.set(f.mate, (counts.get(f.mate) ?? 0) + 1);
    const one = counts.size > 0 ? bought(member.id) : null;
    return one ? [...counts].map(([mate, count]): Fastener => ({ ...one, between: [member.id, mate], count, each: 'piece' })) : [];
  });
}

/**
 * Every screw, bolt, brad, pin and bracket of a piece, made once, by the two members that it is between; what is bought, drilled and driven follows
 * from it.
 * @example fastenersOf(SOLVED).map((f) => f.what)[0] // 'shelf pins Ø5'
 */
export function fastenersOf(solution: Solution): readonly Fastener[] {
  const { carried, shape } = solution;
  const members = new Map(shape.members.map((m) => [m.id, m]));
  const screw = bracketScrew(carried.unit);
  return [
    ...inHoles(
      solution,
      (h) => h.diameter === PIN.diameter && !h.spare,
      () => ({ what: `shelf pins Ø${PIN.diameter / mm(1)}` }),
    ),
    ...allScrews(carried).map(({ row, screws }): Fastener => ({
      what: `wood screws ${row.screw.name}`,
      length: mm(row.length),
      count: screws.length,
      each: 'piece',
      between: [row.through.id, row.into.id],
    })),
    ...allBrads(carried).map(({ length, count, through, into }): Fastener => ({
      what: 'brads, 16 gauge',
      length: mm(length),
      count,
      each: 'piece',
      between: [through.id, into.id],
    })),
    ...allBolts(carried).map(({ end, member, carrier }): Fastener => ({
      what: `bolts M${end.diameter} with ${end.nut === 'barrel' ? 'barrel nuts' : 'nuts'}`,
      length: mm(end.length),
      count: end.count,
      each: 'piece',
      between: [carrier.id, member.id],
    })),
    ...inHoles(
      solution,
      (h) => h.diameter === POCKET_HOLE,
      (id) => {
        const length = pocketScrewLength(members.get(id)?.thickness.value ?? mm(0), carried.unit);
        return length && { what: 'pocket screws', length };
      },
    ),
    ...allKept(carried).flatMap(({ way, held, by, count = 0 }): Fastener[] => {
      const between = [by.id, held.id] as const;
      if (way === 'plates')
        return [
          { what: 'figure-eight plates', count, each: 'piece', between },
          { what: `wood screws ${screw.name}`, length: screw.length, count: 2 * count, each: 'piece', between },
        ];
      return way === 'brackets'
        ? [
            { what: 'angle brackets', length: screw.leg, count, each: 'piece', between },
            { what: `wood screws ${screw.name}`, length: screw.length, count: screw.count * count, each: 'piece', between },
          ]
        : [];
    }),
    ...wallFasteners(solution),
  ];
}
