import {
  forceOfPerson,
  isSatOn,
  isSeat,
  ofWhatIsSafe,
  partOfPerson,
  underPerson,
  withPerson,
  type Carried,
  type CarriedMember,
  type GivesWay,
  type WithPerson,
} from '../carry/index.js';
import { fine, force as inNewtons, say, type Sentence } from '../figure/index.js';
import { pieceFix, type Check } from '../finding/index.js';
import type { Letters, Piece, Shape } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { capital, nameOf } from './names.js';
import { otherWays } from './screws.js';

interface Asked {
  readonly carried: CarriedMember;
  readonly then: WithPerson;
}

/** What gives way, in words. */
function gives({ member, how, used, fixing }: GivesWay, letters: Letters): Sentence {
  const name = nameOf(member, letters);
  if (how === 'comes down') return say`${name} comes down.`;
  if (how === 'its joint') return say`what holds ${name} gives way. ${fixing ? fixing.sentence() : say``}`;
  return say`${name} ${how === 'breaks' ? 'may break' : 'may bow out'}, ${ofWhatIsSafe(used, false)}.`;
}

/** What a person on it takes with them on the way to the floor: what is under what they are on, and what holds that. */
function onTheWay(piece: Piece, shape: Shape, carried: Carried, letters: Letters, workshop: Workshop): Check[] {
  const newtons = forceOfPerson(isSeat(piece, shape));
  // What they are on is told by itself.
  const ways = underPerson(piece, shape, carried, newtons, workshop).filter((w) => w.how !== 'breaks' || !isSatOn(piece, shape, w.member));
  const [worst] = ways;
  if (!worst) return [];
  const more = ways.length > 1 ? say` ${ways.length - 1} more on the way to the floor.` : say``;
  const byJoint = worst.how === 'its joint' ? otherWays(piece, carried, worst.member.id, letters, workshop.settings) : [];
  return [
    {
      id: 'people-path',
      severity: 'stop',
      state: 'fails',
      about: { kind: 'member', id: worst.member.id },
      sentence: say`Under someone on ${nameOf(worst.on, letters)}, ${inNewtons(newtons)}, ${gives(worst, letters)}${more}`,
      fixes: byJoint,
      remedyFor: worst.member.id,
    },
  ];
}

/**
 * Whether benches, decks and low tops carry someone who sits down, steps or kneels on them.
 * @param toFloor whether what is under them is asked as well, down to the floor
 */
export function peopleChecks(
  piece: Piece,
  shape: Shape,
  carried: Carried,
  letters: Letters,
  workshop: Workshop,
  toFloor: boolean,
): Check[] {
  const seat = isSeat(piece, shape);
  const newtons = forceOfPerson(seat);
  const asked = [...carried.members.values()].flatMap((c): Asked[] =>
    c.bending && isSatOn(piece, shape, c.member)
      ? [{ carried: c, then: withPerson(c.bending, workshop.settings, partOfPerson(shape, c.member), newtons) }]
      : [],
  );
  if (asked.length === 0) return [];
  const way = toFloor ? onTheWay(piece, shape, carried, letters, workshop) : [];
  const worst = asked.reduce((a, b) => ((b.then.used ?? Infinity) > (a.then.used ?? Infinity) ? b : a));
  const { then } = worst;
  const { member } = worst.carried;
  const about = { kind: 'member', id: member.id } as const;
  const others = asked.length > 1 ? say` and ${asked.length - 1} like it` : say``;
  const who = say`${capital(nameOf(member, letters))}${others}`;
  // What is made to be sat on is made to hold.
  const nobody = seat ? [] : [pieceFix(say`No one will sit or step on it`, { kind: 'piece', patch: { noOneOn: true } })];
  if (then.used === null) {
    const sentence = say`${who}: what happens when someone sits or steps on it is not checked, since its strength is not known.`;
    return [...way, { id: 'people', severity: 'look', state: 'not checked', about, sentence, fixes: nobody }];
  }
  const used = say`${ofWhatIsSafe(then.used, false)}, and ${fine(then.mm)} down`;
  if (then.state === 'fine') {
    // Nothing is good on top while something under it is not.
    if (way.length > 0) return way;
    const sentence = say`Someone who sits or steps on ${nameOf(member, letters)}: ${used}.`;
    return [{ id: 'people', severity: 'good', state: 'fine', about, sentence, fixes: [] }];
  }
  const fails = then.state === 'fails';
  const sentence = say`${who}: someone who sits or steps on it ${fails ? 'may break it' : 'is close to what it carries'}, ${used}.`;
  const mended = fails ? { remedyFor: member.id } : {};
  return [...way, { id: 'people', severity: fails ? 'stop' : 'look', state: then.state, about, sentence, fixes: nobody, ...mended }];
}
