import type { Length } from '../length/index.js';
import type { Feature, Member, Region } from '../piece/index.js';

function overlaps(a: Region, b: Region): boolean {
  return a.u0 < b.u1 && b.u0 < a.u1 && a.v0 < b.v1 && b.v0 < a.v1;
}

type Recess = Extract<Feature, { region: Region }>;

/** What is left of a member where it is machined, whether from both faces, and for which mate. */
export interface Kept {
  readonly left: Length;
  readonly both: boolean;
  readonly mate: string;
}

/**
 * The least that is left of a member where it is machined, from one face or from both at one place; null where it is not. Notches go through and are not counted.
 * @example keptOf(SHELF) // null
 */
export function keptOf(member: Member): Kept | null {
  const recesses = member.features
    .filter((f): f is Recess => f.kind !== 'hole' && f.kind !== 'notch')
    .sort((a, b) => a.region.u0 - b.region.u0);
  let worst: Kept | null = null;
  const consider = (depth: number, both: boolean, mate: string) => {
    const left = (member.thickness.value - depth) as Length;
    if (!worst || left < worst.left) worst = { left, both, mate };
  };
  recesses.forEach((a, i) => {
    consider(a.depth, false, a.mate);
    for (let j = i + 1; j < recesses.length && (recesses[j] as Recess).region.u0 < a.region.u1; j += 1) {
      const b = recesses[j] as Recess;
      if (a.face !== b.face && overlaps(a.region, b.region)) consider(a.depth + b.depth, true, b.mate);
    }
  });
  return worst;
}
