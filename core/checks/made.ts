import { len, say, type Sentence } from '../figure/index.js';
import { fromUnits, mm, negative, type Length } from '../length/index.js';
import { isHanded, likenessOf, lostBySlope, type Part } from '../parts/index.js';
import type { Letters } from '../piece/index.js';
import type { Made, MadePart } from '../survey/index.js';
import type { Check } from '../finding/index.js';
import { capital, nameOf } from './names.js';

/** What a part may differ by and still go where it should: half a millimetre, about what a saw and a tape leave. */
export const CUT_SLACK = mm(0.5);

/** How a part that is cut compares with what is planned of it now. */
export interface AgainstPlan {
  readonly made: MadePart;
  /** What it would have to lose to be as planned; below zero it is too small. */
  readonly length: Length;
  readonly width: Length;
  readonly thickness: Length;
  readonly is: 'as planned' | 'too large' | 'too small';
}

/**
 * A part that is cut, held against the plan as it is now.
 * @example againstPlan(PART, { length: mm(960), width: mm(302), thickness: mm(20) }).is // 'too large'
 */
export function againstPlan(part: Part, made: MadePart): AgainstPlan {
  const length = fromUnits(made.length - part.cut.length.set);
  const width = fromUnits(made.width - part.cut.width.set);
  const thickness = fromUnits(made.thickness - part.thickness.value);
  const small = Math.min(length, width) < negative(CUT_SLACK);
  const large = Math.max(length, width) > CUT_SLACK;
  return { made, length, width, thickness, is: small ? 'too small' : large ? 'too large' : 'as planned' };
}

function byHow(off: AgainstPlan): Sentence {
  const said = (by: Length, way: readonly [small: string, large: string]): Sentence =>
    Math.abs(by) <= CUT_SLACK ? [] : say`${len(fromUnits(Math.abs(by)))} ${by < 0 ? way[0] : way[1]}`;
  const [a, b] = [said(off.length, ['too short', 'too long']), said(off.width, ['too narrow', 'too wide'])];
  return a.length > 0 && b.length > 0 ? say`${a} and ${b}` : [...a, ...b];
}

/** The part that is the reflection of another one, where the piece has one. @example otherHand(PART, SOLVED.parts) // undefined */
export function otherHand(part: Part, parts: readonly Part[]): Part | undefined {
  if (!isHanded(part.member)) return undefined;
  const { mirrored } = likenessOf(part.member);
  return parts.find((p) => likenessOf(p.member).same === mirrored);
}

/** A part that came out as its reflection, or with an end that slopes the wrong way. */
function wrongWay(part: Part, fact: MadePart, parts: readonly Part[], letters: Letters, made: Made): Check[] {
  if (fact.wrong === undefined) return [];
  const name = capital(nameOf(part.member, letters));
  const check = (sentence: Sentence): Check[] => [
    { id: `made-wrong-${part.id}`, severity: 'stop', state: 'fails', about: { kind: 'member', id: part.id }, sentence, fixes: [] },
  ];
  if (fact.wrong === 'slope') {
    const loses = lostBySlope(part.member);
    if (loses === null) return [];
    return check(
      say`${name} has an end that slopes the wrong way round. Cut again to slope as it should, it comes out ${len(mm(loses))} shorter: cut it anew, both ends marked before the saw is set.`,
    );
  }
  const other = otherHand(part, parts);
  if (!other) return check(say`${name} came out as its reflection, with what is cut into it on the wrong side: cut it anew.`);
  const [its, there] = [nameOf(other.member, letters), made.get(other.id)];
  return check(
    there && there.wrong === undefined
      ? say`${name} came out the same as ${its}, and the two are to be reflections of each other: cut it anew, its inside marked before anything is cut into it.`
      : there
        ? say`${name} and ${its} each came out as the other: take one for the other.`
        : say`${name} came out as its reflection, which is what ${its} is to be: take it for that, and cut ${nameOf(part.member, letters)} anew.`,
  );
}

/**
 * Parts that were cut and are not what is planned now: a cut part never changes, so that the plan, or another part, must.
 * @example madeChecks(SOLVED.parts, {}, undefined) // []
 */
export function madeChecks(parts: readonly Part[], letters: Letters, made: Made | undefined): Check[] {
  if (!made || made.size === 0) return [];
  const byId = new Map(parts.map((p) => [p.id, p]));
  return [...made.values()].flatMap((fact): Check[] => {
    const part = byId.get(fact.part);
    if (!part) {
      const sentence = say`${letters[fact.part] ?? 'A part'} is cut, ${len(fact.length)} by ${len(fact.width)}, and this piece has no such part now. It may do for another one, or go back to the offcuts.`;
      return [{ id: `made-${fact.part}`, severity: 'look', state: 'fails', about: { kind: 'piece' }, sentence, fixes: [] }];
    }
    const off = againstPlan(part, fact);
    const name = capital(nameOf(part.member, letters));
    const about = { kind: 'member', id: part.id } as const;
    const thick: Check[] =
      Math.abs(off.thickness) > CUT_SLACK
        ? [
            {
              id: `made-thick-${part.id}`,
              severity: 'look',
              state: 'fails',
              about,
              sentence: say`${name} came out ${len(fact.thickness)} thick, and its stock is entered as ${len(part.thickness.value)}. Measure the stock again: all that is not cut follows it.`,
              fixes: [],
            },
          ]
        : [];
    const wrong = wrongWay(part, fact, parts, letters, made);
    if (off.is === 'as planned') return [...wrong, ...thick];
    const small = off.is === 'too small';
    const then = small
      ? 'Change the plan to fit it, or cut it anew and use this one for something smaller.'
      : 'It can be cut down to the plan.';
    const sentence = say`${name} is cut, and is ${byHow(off)} for what is planned now. ${then}`;
    return [{ id: `made-${part.id}`, severity: small ? 'stop' : 'look', state: 'fails', about, sentence, fixes: [] }, ...wrong, ...thick];
  });
}
