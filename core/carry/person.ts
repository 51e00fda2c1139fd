import { asNewtons, type Newtons } from '../measures/index.js';
import { toMm } from '../length/index.js';
import type { Member, Shape } from '../piece/index.js';
import type { Settings } from '../project/index.js';
import { BeamError } from './beam.js';
import type { BendingAnswer } from './bend.js';
import { GRAVITY } from './gravity.js';
import { panelSpecOf } from './as-panel.js';
import { plateOf } from './panel.js';
import { loadPatterns } from './patterns.js';
import { PlateError, solveAllRound, solveStrips, type Patch, type StripsResult } from './plate/index.js';
import { longestOf, shortestSpan, spansOf } from './spans.js';
import { bendingStrength } from './strength.js';
import { allowed, stateOf, worstSag } from './verdict.js';
import type { Would } from './ask.js';

/** A person, kg, who stands on a square so wide, or sits on one, mm. */
export const PERSON = { kg: 120, wide: 50, sits: 300 } as const;

/** No less is put on what is made to be sat on, N (EN 12520, from memory). */
const SEAT_TAKES = 1300;

/**
 * The force of a person on something, N, with no factor for suddenness: that is in the load factor and what wood holds for a short while.
 * @example forceOfPerson(true) // 1300
 */
export const forceOfPerson = (seat: boolean): Newtons => asNewtons(Math.max(PERSON.kg * GRAVITY, seat ? SEAT_TAKES : 0));

/** Where on a member a person is put. */
export type Stands = 'in the middle' | 'at the middle of an edge';

/** What lies between a person and slats spreads them over no more than this to each side, mm. */
const SPREADS = 100;

/**
 * What part of a person one of several members side by side takes, where something soft or stiff lies over all of
 * them: as broad as they are under it at 45 degrees, against how far the members are apart; all of it where nothing does.
 * @example partOfPerson(SOLVED.shape, SHELF) // 1
 */
export function partOfPerson({ spaces, stands }: Pick<Shape, 'spaces' | 'stands'>, member: Member): number {
  const stand = [...stands.values()].find((s) => s.carriers.includes(member.id) && !s.endToEnd && s.carriers.length > 1);
  const space = stand && spaces.get(stand.space);
  if (!stand || !space) return 1;
  const room = toMm(space.clear.width.value);
  const over = space.blocks.filter((b) => toMm(b.width) >= 0.8 * room);
  if (over.length === 0) return 1;
  const thick = Math.min(SPREADS, ...over.map((b) => toMm(b.stance.height)));
  return Math.min(1, room / stand.carriers.length / (PERSON.wide + 2 * thick));
}

export interface WithPerson extends Would {
  readonly stands: Stands;
}

/** Narrower than this a member is as wide as what stands on it, and is a beam, mm. */
const PANEL_FROM = 3 * PERSON.wide;

/** The most that a panel is used, along its span and square to it; null where its strength is not known. */
function usedBy(moment: { x: number; y: number }, { section }: BendingAnswer, serviceClass: Settings['serviceClass']): number | null {
  const { material } = section.properties;
  const stress = (m: number) => (6 * m) / section.thickness ** 2;
  const along = bendingStrength(material, serviceClass, section.acrossGrain, 'short');
  if (!along.judged) return null;
  const across = bendingStrength(material, serviceClass, !section.acrossGrain, 'short');
  const second = across.judged ? stress(moment.y) / across.allowed : 0;
  return Math.max(stress(moment.x) / along.allowed, second);
}

/** A person on a panel of one span, as a plate: in the middle where it is held all round, else on the edge that gives most. */
function onPanel(answer: BendingAnswer, settings: Pick<Settings, 'serviceClass'>, force: Newtons): Omit<WithPerson, 'allowed' | 'state'> {
  const { beside } = answer;
  const panel = panelSpecOf(answer);
  const spec = plateOf({ ...panel, lines: [] });
  const half = Math.min(PERSON.wide, spec.a, spec.b) / 2;
  const middle = spec.a / 2;
  const at = (y: number) => {
    const patch: Patch = { x0: middle - half, x1: middle + half, y0: y - half, y1: y + half, perMm2: force / (2 * half) ** 2 };
    return { ...spec, patches: [...spec.patches, patch] };
  };
  // A strip takes most of what the panel would be bent to.
  const used = (moment: { x: number; y: number }) => (panel.beams.length > 0 ? null : usedBy(moment, answer, settings.serviceClass));
  if (beside === 'both') {
    const { mm, moment } = solveAllRound(at(spec.b / 2));
    return { mm, used: used(moment), stands: 'in the middle' };
  }
  const edges = { y0: 'free', y1: beside === 'back' ? 'simple' : 'free' } as const;
  const [front, back] = [half, spec.b - half].map((y) => solveStrips({ ...at(y), edges, lines: panel.lines })) as [
    StripsResult,
    StripsResult,
  ];
  const { greatest, moment } = front.greatest.mm >= back.greatest.mm ? front : back;
  return { mm: greatest.mm, used: used(moment), stands: 'at the middle of an edge' };
}

/** What a beam is used for a short while, by what it is used for years. */
function usedOfBeam(
  { strength, moment, section, builtUp }: BendingAnswer,
  then: number,
  { serviceClass }: Pick<Settings, 'serviceClass'>,
): number | null {
  if (strength.used === null) return null;
  const { material } = section.properties;
  const [years, short] = (['years', 'short'] as const).map((how) => bendingStrength(material, serviceClass, section.acrossGrain, how));
  const easier = !builtUp && years?.judged && short?.judged ? years.allowed / short.allowed : 1;
  return (strength.used * then * easier) / moment;
}

/** A person on the middle of the longest span of a beam. */
function onBeam(answer: BendingAnswer, settings: Pick<Settings, 'serviceClass'>, force: Newtons): Omit<WithPerson, 'allowed' | 'state'> {
  const { base, always, maybe, rows = [] } = answer.loads;
  const longest = longestOf(spansOf(base.supports.map((s) => s.x)));
  const person = { x: (longest.from + longest.to) / 2, newtons: force };
  const loads = { base, always, maybe: { lines: maybe.lines, points: [...maybe.points, person] }, rows };
  const then = worstSag(loadPatterns(loads), answer.section, shortestSpan(answer.loads.base));
  return { mm: then.sag.mm, used: usedOfBeam(answer, then.moment, settings), stands: 'in the middle' };
}

/**
 * What a member does when someone sits down or stands on it, beside all that is on it: a broad
 * panel as a plate under a square of 50 mm, all else as a beam. It is over soon, so that nothing creeps.
 * @param part what part of them it takes, where others beside it take the rest
 * @example withPerson(CARRIED.bending, SHOP.settings).state // 'fails'
 */
export function withPerson(
  answer: BendingAnswer,
  settings: Pick<Settings, 'limit' | 'serviceClass'>,
  part = 1,
  newtons = forceOfPerson(false),
): WithPerson {
  const force = asNewtons(part * newtons);
  const key = JSON.stringify([force, answer.span, settings.limit, settings.serviceClass]);
  const known = asked.get(answer.sag) ?? new Map<string, WithPerson>();
  asked.set(answer.sag, known);
  const then = known.get(key) ?? newPerson(answer, settings, force);
  known.set(key, then);
  return then;
}

/** Members that bend alike share what came of it, so that each kind of them is asked once. */
const asked = new WeakMap<BendingAnswer['sag'], Map<string, WithPerson>>();

function newPerson(answer: BendingAnswer, settings: Pick<Settings, 'limit' | 'serviceClass'>, force: Newtons): WithPerson {
  const most = allowed(settings.limit, answer.span);
  try {
    const layered = answer.builtUp !== null && !answer.builtUp.oneSided;
    const panel = answer.section.width >= PANEL_FROM && answer.loads.base.supports.length === 2 && !layered;
    const { mm, used, stands } = panel ? onPanel(answer, settings, force) : onBeam(answer, settings, force);
    return { mm, allowed: most, used, stands, state: used === null ? 'not checked' : stateOf(used, 1) };
  } catch (error) {
    if (!(error instanceof BeamError || error instanceof PlateError)) throw error;
    return { mm: 0, allowed: most, used: null, stands: 'in the middle', state: 'not checked' };
  }
}
