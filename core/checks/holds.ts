import { fixingsOf, screwsAlong, type CarriedMember } from '../carry/index.js';
import { force, say } from '../figure/index.js';
import type { Letters, Member, Piece, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import type { Check } from './check.js';
import { capital, nameOf } from './names.js';
import { otherWays } from './screws.js';

function strength(c: CarriedMember, name: string): Check[] {
  const verdict = c.bending?.strength;
  if (!verdict || verdict.used === null || verdict.state === 'fine') return [];
  const fails = verdict.state === 'fails';
  return [
    {
      id: `strength-${c.member.id}`,
      severity: fails ? 'stop' : 'look',
      state: verdict.state,
      about: { kind: 'member', id: c.member.id },
      sentence: say`${name} is bent to ${Math.round(verdict.used * 100)} % of what ${c.member.stock.name} may carry for years${fails ? ': it may break' : ''}.`,
      fixes: [],
      remedyFor: c.member.id,
    },
  ];
}

/** Whether members are strong enough, and whether their ends are held; what is fine is not told. */
export function holdChecks(piece: Piece, shape: Shape, carried: readonly CarriedMember[], letters: Letters, workshop: Workshop): Check[] {
  let byId: ReadonlyMap<string, Member> | null = null;
  return carried.flatMap((c): Check[] => {
    if (!c.bending) return [];
    const name = capital(nameOf(c.member, letters));
    byId ??= new Map(shape.members.map((m) => [m.id, m]));
    const end = fixingsOf(c, byId, workshop.settings).find((f) => f.state === 'fails');
    const ends: Check[] = end
      ? [
          {
            id: `ends-${c.member.id}`,
            severity: 'look',
            state: 'fails',
            about: { kind: 'member', id: c.member.id },
            sentence: say`${name} gives ${force(end.support.newtons)} on at one end, more than that holds. ${end.sentence()}`,
            fixes: end.support.how === 'screws' ? otherWays(piece, c.member, letters) : [],
          },
        ]
      : [];
    const loose = c.bending.builtUp ? screwsAlong(c.bending.builtUp).filter((f) => f.state === 'fails') : [];
    const along = loose.map((f): Check => ({
      id: `along-${f.member.id}`,
      severity: 'look',
      state: 'fails',
      about: { kind: 'member', id: f.member.id },
      sentence: f.sentence,
      fixes: [],
    }));
    return [...strength(c, name), ...ends, ...along];
  });
}
