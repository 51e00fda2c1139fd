import { fine, len, say, type Sentence } from '../../figure/index.js';
import { mm, type LengthUnit } from '../../length/index.js';
import type { Member } from '../../piece/index.js';
import { ALONG, type BuiltUp } from '../built-up.js';
import { KEEP, shankOf } from '../screws.js';
import type { State } from '../verdict.js';
import { rowBetween, type Row } from './driven.js';
import { nothingHolds } from './ends.js';

/** The screws along a strip or a layer: how many, how long, and that none pokes through. */
export interface ScrewsAlong {
  readonly member: Member;
  readonly count: number;
  /** Null where none that holds stays inside. */
  readonly row: Row | null;
  readonly state: State;
  readonly sentence: Sentence;
}

/** What holds the screwed parts of a section to its base, from the thinner part into the other. @example screwsAlong({ parts: [] }, 'mm') // [] */
export function screwsAlong({ parts }: BuiltUp, unit: LengthUnit): readonly ScrewsAlong[] {
  const [base] = parts;
  return parts.flatMap((part): ScrewsAlong[] => {
    if (!base || part.how !== 'screwed along') return [];
    const { member } = part;
    const row = rowBetween(base.member, member, unit);
    if ('why' in row) {
      return [{ member, count: 0, row: null, state: 'fails', sentence: say`${member.label}: ${nothingHolds(row, base.member)}` }];
    }
    const { screw, length, inside, left, room } = row;
    const count = Math.max(2, Math.ceil((room[1] - room[0]) / ALONG.spacing));
    const sentence = say`${member.label}: ${count} screws ${screw.name} x ${len(mm(length))}, one every ${len(mm(ALONG.spacing))}, ${fine(inside, 1)} in the wood and ${fine(left, 1)} left before the point; ${fine(KEEP.edge * shankOf(screw), 1)} from the edges.`;
    return [{ member, count, row, state: 'fine', sentence }];
  });
}
