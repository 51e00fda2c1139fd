import {
  isSatOn,
  isSeat,
  ofWhatIsSafe,
  partOfPerson,
  withPerson,
  type Carried,
  type CarriedMember,
  type WithPerson,
} from '../carry/index.js';
import { fine, say } from '../figure/index.js';
import type { Letters, Piece, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { pieceFix, type Check } from '../finding/index.js';
import { capital, nameOf } from './names.js';

interface Asked {
  readonly carried: CarriedMember;
  readonly then: WithPerson;
}

/** Whether benches, decks and low tops carry someone who sits down, steps or kneels on them. */
export function peopleChecks(piece: Piece, shape: Shape, carried: Carried, letters: Letters, { settings }: Workshop): Check[] {
  const asked = [...carried.members.values()].flatMap((c): Asked[] =>
    c.bending && isSatOn(piece, shape, c.member)
      ? [{ carried: c, then: withPerson(c.bending, settings, partOfPerson(shape, c.member)) }]
      : [],
  );
  if (asked.length === 0) return [];
  const worst = asked.reduce((a, b) => ((b.then.used ?? Infinity) > (a.then.used ?? Infinity) ? b : a));
  const { then } = worst;
  const { member } = worst.carried;
  const about = { kind: 'member', id: member.id } as const;
  const others = asked.length > 1 ? say` and ${asked.length - 1} like it` : say``;
  const who = say`${capital(nameOf(member, letters))}${others}`;
  // What is made to be sat on is made to hold.
  const fixes = isSeat(piece, shape) ? [] : [pieceFix(say`No one will sit or step on it`, { kind: 'piece', patch: { noOneOn: true } })];
  if (then.used === null) {
    const sentence = say`${who}: what happens when someone sits or steps on it is not judged, since its strength is not known.`;
    return [{ id: 'people', severity: 'look', state: 'not judged', about, sentence, fixes }];
  }
  const used = say`${ofWhatIsSafe(then.used, false)}, and ${fine(then.mm)} down`;
  if (then.state === 'fine') {
    return [
      {
        id: 'people',
        severity: 'good',
        state: 'fine',
        about,
        sentence: say`Someone who sits or steps on ${nameOf(member, letters)}: ${used}.`,
        fixes: [],
      },
    ];
  }
  const fails = then.state === 'fails';
  const sentence = say`${who}: someone who sits or steps on it ${fails ? 'may break it' : 'is close to what it carries'}, ${used}.`;
  return [{ id: 'people', severity: fails ? 'stop' : 'look', state: then.state, about, sentence, fixes }];
}
