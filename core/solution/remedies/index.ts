import { forceOfPerson, isSeat, underPerson, withPerson, type CarriedMember, type State } from '../../carry/index.js';
import { weakEnds } from '../../checks/index.js';
import { say, type Sentence } from '../../figure/index.js';
import { ZERO, greatest, type Length } from '../../length/index.js';
import { type Letters, type PieceEdit } from '../../piece/index.js';
import { applyEdit } from '../../kinds/index.js';
import type { Workshop } from '../../project/index.js';
import { compare, type Moved } from '../compare.js';
import { addedCost } from '../cost.js';
import { solve, type Solution } from '../solve.js';
import type { Candidate } from '../../remedies/index.js';
import { candidatesFor } from './candidates.js';
import { failing, leavesUnchecked } from './failing.js';

export * from './choices.js';
export { failing, newStops } from './failing.js';
export * from './tried-fixes.js';

/** A change that makes a member pass, tried in the solver. */
export interface Remedy {
  readonly label: Sentence;
  readonly edit: PieceEdit;
  /** What one sees of it. */
  readonly looks: Sentence;
  /** Sag of the member after it, mm; null where it no longer bends, or is not checked. */
  readonly today: number | null;
  readonly later: number | null;
  readonly state: State;
  /** Its ends did not hold before, and do not after it. */
  readonly endsFail: boolean;
  /** By how much the piece gets heavier, kg, and dearer, in the project's money; null where a price is missing. */
  readonly addedKg: number;
  readonly addedCost: number | null;
  /** The most clear height that any space loses. */
  readonly lostHeight: Length;
  readonly moved: readonly Moved[];
  /** Members under it that carry more after it, by their ids, with N before and after. */
  readonly below: readonly { readonly id: string; readonly before: number; readonly after: number }[];
}

/** Whether a member itself is close to what it may. */
const isClose = ({ carried }: Solution, id: string) => carried.members.get(id)?.state === 'close';

/** An edit, or those that it is made of. */
const each = (edit: PieceEdit): readonly PieceEdit[] => (edit.kind === 'several' ? edit.edits.flatMap(each) : [edit]);

function lostHeight(before: Solution, after: Solution, edit: PieceEdit): Length {
  const lost = [...before.shape.spaces.values()].map((space) => {
    const now = after.shape.spaces.get(space.id);
    return now && !space.space.split ? space.clear.height.value - now.clear.height.value : ZERO;
  });
  const under = each(edit).map((e) => (e.kind === 'stiffen' && e.strip?.top === 'under' ? e.strip.high : ZERO));
  return greatest([ZERO, ...under, ...(lost as Length[])]);
}

/** Every member that a member's load goes through on its way down. */
function below(solution: Solution, memberId: string): readonly string[] {
  const seen = new Set<string>();
  const queue = [memberId];
  for (let id = queue.pop(); id !== undefined; id = queue.pop()) {
    for (const { carrier } of solution.carried.members.get(id)?.supports ?? []) {
      if (seen.has(carrier) || !solution.carried.members.has(carrier)) continue;
      seen.add(carrier);
      queue.push(carrier);
    }
  }
  return [...seen];
}

/** From this much more on, what a member below carries is told. */
const MORE = 1.01;

function moreBelow(before: Solution, after: Solution, memberId: string): Remedy['below'] {
  return below(after, memberId).flatMap((id) => {
    const [was, is] = [before, after].map((s) => s.carried.members.get(id)?.total ?? 0) as [number, number];
    return is > was * MORE ? [{ id, before: was, after: is }] : [];
  });
}

/** A member that something is asked for, as its piece is now. */
interface Before {
  readonly solution: Solution;
  readonly failed: ReadonlySet<string>;
  readonly workshop: Workshop;
  readonly ledger: Letters;
  readonly memberId: string;
}

/** The piece after a candidate; null where it takes away what is asked about, makes something else fail, or leaves a joint unchecked that was not. */
function after({ solution, failed, workshop, ledger, memberId }: Before, { edit }: Candidate): Solution | null {
  const then = solve(applyEdit(solution.piece, edit), workshop, ledger);
  if (!then.carried.members.has(memberId) || then.shape.runs.size < solution.shape.runs.size) return null;
  if ([...failing(then)].some((id) => !failed.has(id))) return null;
  return leavesUnchecked(solution, then) ? null : then;
}

/** Whether a person breaks through a piece, at one of its members or anywhere. */
export const breaksThrough = ({ checks }: Solution, id?: string): boolean =>
  checks.some((c) => (c.id === 'people' || c.id === 'people-path') && c.state === 'fails' && (id === undefined || c.remedyFor === id));

/** Whether a member passes, and whether its ends do not hold; null where it does not. */
function passesIn(before: Before, then: Solution): { readonly member: CarriedMember; readonly endsFail: boolean } | null {
  const { solution, failed, memberId } = before;
  const member = then.carried.members.get(memberId);
  if (!member) return null;
  // With nothing left on it there is nothing to judge.
  const relieved = member.empty && member.unknown.length === 0 && member.state === 'not checked';
  const passes = member.state === 'fine' || member.state === 'close' || relieved;
  const endsFail = weakEnds(then.checks).has(memberId);
  if (breaksThrough(solution, memberId)) return passes && !breaksThrough(then) ? { member, endsFail } : null;
  // One that bends well enough is mended at its ends.
  return passes && (failed.has(memberId) || isClose(solution, memberId) || !endsFail) ? { member, endsFail } : null;
}

function remedyOf(before: Before, { label, edit, looks }: Candidate, then: Solution): Remedy | null {
  const passed = passesIn(before, then);
  if (!passed) return null;
  const { member, endsFail } = passed;
  const { solution, workshop, memberId } = before;
  return {
    label,
    edit,
    looks,
    today: member.bending?.verdict.today.mm ?? null,
    later: member.bending?.verdict.later?.mm ?? null,
    state: member.state,
    endsFail,
    addedKg: then.carried.massKg - solution.carried.massKg,
    addedCost: addedCost(solution, then, workshop),
    lostHeight: lostHeight(solution, then, edit),
    moved: compare(solution, then),
    below: moreBelow(solution, then, memberId),
  };
}

/** How far a member is from passing: what it sags, is bent or gives way to of what is allowed, and more where its ends do not hold. */
function farFrom({ solution, workshop, memberId }: Before, then: Solution): number {
  const { piece, shape, carried, checks } = then;
  const bending = carried.members.get(memberId)?.bending;
  const sag = bending ? (bending.verdict.later ?? bending.verdict.today).mm / bending.verdict.allowed : 0;
  const newtons = forceOfPerson(isSeat(piece, shape));
  const under = () => underPerson(piece, shape, carried, newtons, workshop)[0]?.used ?? 0;
  const on = () => (bending ? (withPerson(bending, workshop.settings, 1, newtons).used ?? 0) : 0);
  const person = breaksThrough(solution, memberId) ? Math.min(WORST, Math.max(under(), on())) : 0;
  return Math.max(sag, bending?.strength.used ?? 0, person) + (weakEnds(checks).has(memberId) ? 1 : 0);
}

/** What comes down is no further from passing than this. */
const WORST = 1000;

/** What was tried, with the piece after it. */
interface Step {
  readonly candidate: Candidate;
  readonly then: Solution;
}

/** Where changes do not mend it alone, so many of those that help most are each followed by another, up to so many together. */
const TOGETHER = { helping: 3, most: 3, enough: 3 } as const;

const small = (text: string) => `${text.charAt(0).toLowerCase()}${text.slice(1)}`;

const lowered = ([first = '', ...rest]: Sentence): Sentence => {
  if (typeof first === 'string') return [small(first), ...rest];
  return [first.kind === 'term' ? { ...first, word: small(first.word) } : first, ...rest];
};

const both = (first: Candidate, second: Candidate): Candidate => ({
  label: say`${first.label}, and ${lowered(second.label)}`,
  edit: { kind: 'several', edits: [first.edit, second.edit] },
  looks: say`${first.looks}; ${second.looks}`,
  ...(second.sort === undefined ? {} : { sort: second.sort }),
});

const named = ({ label }: Candidate) => JSON.stringify(label);

/**
 * Several changes together that leave nothing of it failing, one on top of the other from those that help most: where some made its
 * ends hold alone, those are what the others are tried with.
 */
function together(before: Before, helping: readonly Step[], holding: ReadonlySet<string>, count = 2): readonly Remedy[] {
  const { solution, workshop, memberId } = before;
  const nearest = [...helping].sort((a, b) => farFrom(before, a.then) - farFrom(before, b.then)).slice(0, TOGETHER.helping);
  const found: Remedy[] = [];
  const further: Step[] = [];
  for (const { candidate, then } of nearest) {
    const member = then.carried.members.get(memberId)?.member;
    const enough = new Set(candidate.sort === undefined ? [] : [candidate.sort]);
    const all = member ? candidatesFor({ ...then, workshop, member }) : [];
    const hold = all.filter((c) => holding.has(named(c)));
    for (const second of hold.length > 0 ? hold : all) {
      if (found.length === TOGETHER.enough) return found;
      if (second.sort !== undefined && enough.has(second.sort)) continue;
      const pair = both(candidate, second);
      const end = after(before, pair);
      const remedy = end && remedyOf(before, pair, end);
      if (remedy && !remedy.endsFail) {
        found.push(remedy);
        if (second.sort !== undefined) enough.add(second.sort);
      } else if (end && farFrom(before, end) < farFrom(before, then)) further.push({ candidate: pair, then: end });
    }
  }
  if (found.length > 0 || count === TOGETHER.most || solution.shape.members.length > MANY) return found;
  return together(before, further, holding, count + 1);
}

/** Of a piece of more members than this no more than two changes are tried together. */
const MANY = 150;

const grams = (kg: number) => Math.round(kg * 1000);

/** Least wood first, then least cost, then least height lost, then fewest sizes moved. */
const leastFirst = (a: Remedy, b: Remedy) =>
  grams(a.addedKg) - grams(b.addedKg) ||
  (a.addedCost ?? 0) - (b.addedCost ?? 0) ||
  a.lostHeight - b.lostHeight ||
  a.moved.length - b.moved.length;

/**
 * Changes that make a member pass in the long term, its joints too, found by trying them in the solver, several together where
 * none alone is enough; one that makes anything else fail is left out. Least wood first, then least cost, then least height lost.
 * @example remediesFor(SOLVED, SHOP, SOLVED.letters, 'in-m1/shelf/1')[0].label // ['Screw its ends']
 */
export function remediesFor(solution: Solution, workshop: Workshop, ledger: Letters, memberId: string): readonly Remedy[] {
  const carried = solution.carried.members.get(memberId);
  if (!carried) return [];
  const before = { solution, failed: failing(solution), workshop, ledger, memberId };
  const remedies: Remedy[] = [];
  const helping: Step[] = [];
  const holding = new Set<string>();
  const isWeak = weakEnds(solution.checks).has(memberId);
  const far = farFrom(before, solution);
  const enough = new Set<string>();
  for (const candidate of candidatesFor({ ...solution, workshop, member: carried.member })) {
    if (candidate.sort !== undefined && enough.has(candidate.sort)) continue;
    const then = after(before, candidate);
    const remedy = then && remedyOf(before, candidate, then);
    if (remedy) remedies.push(remedy);
    if (then && (!remedy || remedy.endsFail) && farFrom(before, then) < far) helping.push({ candidate, then });
    if (then && isWeak && !weakEnds(then.checks).has(memberId)) holding.add(named(candidate));
    if (remedy && candidate.sort !== undefined) enough.add(candidate.sort);
  }
  const whole = remedies.some((r) => !r.endsFail) ? [] : together(before, helping, holding);
  return [...whole.toSorted(leastFirst), ...remedies.sort(leastFirst)];
}
