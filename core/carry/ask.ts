import type { Limit, Settings } from '../project/index.js';
import { Falls } from './beam.js';
import type { BendingAnswer } from './bend.js';
import { sagAllRound } from './panel.js';
import { remembered } from './remembered.js';
import { allLoaded, loadPatterns, type BeamLoads, type LoadPattern, type PatternedLoads } from './patterns.js';
import { shortestSpan } from './spans.js';
import { allowed, sagOf, stateOf, stiffnessOf, worse, worstSag, type Sag, type Bending, type State } from './verdict.js';
import { asNewtons } from '../measures/index.js';

/** By how many times something is other than it was taken for; 1 where it is left out. */
export interface Times {
  readonly span?: number;
  readonly thickness?: number;
  readonly load?: number;
  readonly elastic?: number;
  readonly creep?: number;
}

/** What a member would do. */
export interface Would {
  /** In the long term where that is judged, else today, mm. */
  readonly mm: number;
  readonly allowed: number;
  /** Bending stress over what is allowed; null where it is not checked. */
  readonly used: number | null;
  readonly state: State;
}

/** A beam with everything on it stretched to so many times its length: loads per length stay as they are. */
function stretched({ base, always, maybe, rows = [] }: PatternedLoads, span: number, load: number, self: number): PatternedLoads {
  const of = ({ lines, points }: BeamLoads, times: number): BeamLoads => ({
    lines: lines.map((l) => ({ from: l.from * span, to: l.to * span, perMm: l.perMm * times })),
    points: points.map((p) => ({ x: p.x * span, newtons: asNewtons(p.newtons * times) })),
  });
  return {
    base: { length: base.length * span, supports: base.supports.map((s) => ({ ...s, x: s.x * span })) },
    always: of(always, self),
    maybe: of(maybe, load),
    rows: rows.map((r) => ({ from: r.from * span, to: r.to * span, parts: of({ lines: r.parts, points: [] }, load).lines })),
  };
}

/**
 * What a member would do if something about it were otherwise. One that is held all round is
 * solved anew; sag of a panel that twists is taken to change as that of its section does.
 * @param every whether all patterns of load are tried, where there are many; else those that come near to deciding as it is
 * @example wouldBe(CARRIED.bending, SHOP.settings, {}).state // 'fine'
 */
export function wouldBe(answer: BendingAnswer, settings: Pick<Settings, 'limit'>, times: Times, every = true): Would {
  const { span = 1, thickness = 1, load = 1, elastic = 1, creep = 1 } = times;
  const { section, verdict, strength } = answer;
  const changed: Bending = {
    ...section,
    thickness: section.thickness * thickness,
    EI: stiffnessOf(section) * elastic * thickness ** 3,
    ...(section.narrow ? { narrow: section.narrow.map((n) => ({ ...n, from: n.from * span, to: n.to * span })) } : {}),
  };
  const then = asFarAsHeld(() => bent(answer, stretched(answer.loads, span, load, thickness), changed, { elastic, every }));
  const factor = verdict.creep.judged ? verdict.creep.factor * creep : 1;
  const mm = then.mm * factor;
  // Held all round, the shorter way decides what is seen of it.
  const spans = answer.span * span;
  const most = answer.room ?? allowed(settings.limit, Math.min(spans, answer.across));
  const used = strength.used === null ? null : (strength.used * then.moments) / thickness ** 2;
  const state = worse(stateOf(mm, most), used === null ? 'fine' : stateOf(used, 1));
  return { mm, allowed: most, used, state: !verdict.creep.judged && state !== 'fails' ? 'not checked' : state };
}

/** What nothing holds any more, such as a thin board that a load on its end tips up, sags without end. */
function asFarAsHeld(bend: () => { mm: number; moments: number }): { mm: number; moments: number } {
  try {
    return bend();
  } catch (error) {
    if (error instanceof Falls) return { mm: Infinity, moments: Infinity };
    throw error;
  }
}

/** From so many patterns of load on, what would be is asked of those that come near to deciding as it is. */
const MANY_PATTERNS = 24;

/** A pattern that does less than this part of the worst is not the worst of the same member a little otherwise either. */
const FAR_FROM_WORST = 0.95;

/** The patterns that are known to decide something about a member. */
const deciding = new WeakMap<BendingAnswer, Set<number>>();

const sagsUnder = (patterns: readonly LoadPattern[], section: Bending, { base }: PatternedLoads): readonly Sag[] =>
  patterns.map((p) => sagOf(p, section, shortestSpan(base)));

/** The places of the greatest sag and of the greatest moment. */
function placesOfWorst(sags: readonly Sag[]): readonly number[] {
  const greatest = (of: (s: Sag) => number) => sags.reduce((w, s, i) => (of(s) > of(sags[w] as Sag) ? i : w), 0);
  return [greatest((s) => s.mm), greatest((s) => s.result.moment)];
}

/** Which patterns come near to the greatest sag or moment of a member as it is, and which were found to decide since. */
function patternsThatDecide(answer: BendingAnswer): Set<number> {
  const known = deciding.get(answer);
  if (known) return known;
  const as = sagsUnder(loadPatterns(answer.loads), answer.section, answer.loads);
  const [sag, moment] = placesOfWorst(as).map((i) => as[i] as Sag) as [Sag, Sag];
  const isNear = (s: Sag) => s.mm >= FAR_FROM_WORST * sag.mm || s.result.moment >= FAR_FROM_WORST * moment.result.moment;
  // Of those that do the same within a hundredth, such as one bay loaded or another like it, one is enough.
  const alike = (s: Sag) => `${s.mm.toPrecision(2)} ${s.result.moment.toPrecision(2)}`;
  const first = new Map<string, number>();
  as.forEach((s, i) => {
    if (isNear(s) && !first.has(alike(s))) first.set(alike(s), i);
  });
  const chosen = new Set(first.values());
  deciding.set(answer, chosen);
  return chosen;
}

/** The sag of a changed member today, mm, and by how many times its moments are greater. */
function bent(
  answer: BendingAnswer,
  loads: PatternedLoads,
  changed: Bending,
  { elastic, every }: { elastic: number; every: boolean },
): { mm: number; moments: number } {
  const { panel } = answer;
  if (panel && answer.beside === 'both') {
    const then = sagAllRound({ beam: allLoaded(loads), section: changed, soften: 1 / elastic });
    const [was, is] = [panel.result.moment, then.result.moment];
    return { mm: then.mm, moments: Math.max(is.x / was.x, is.y / was.y) };
  }
  const patterns = loadPatterns(loads);
  const decide = patterns.length < MANY_PATTERNS ? null : patternsThatDecide(answer);
  const sags = sagsUnder(decide && !every ? patterns.filter((_, i) => decide.has(i)) : patterns, changed, loads);
  const worst = placesOfWorst(sags);
  if (every) worst.forEach((i) => decide?.add(i));
  const [sag, moment] = worst.map((i) => sags[i] as Sag) as [Sag, Sag];
  return { mm: sag.mm * (panel ? panel.mm / answer.sag.mm : 1), moments: moment.result.moment / answer.moment };
}

/**
 * What a beam would sag today with its ends held so that they cannot turn, mm: the best there could be; null for a panel, whose edges are held already.
 * @example bestCase(CARRIED.bending) // 0.09
 */
export function bestCase({ panel, loads, section }: BendingAnswer): number | null {
  if (panel) return null;
  const places = loads.base.supports.map((s) => s.x);
  const ends = [Math.min(...places), Math.max(...places)];
  const supports = loads.base.supports.map((s) => (ends.includes(s.x) ? { x: s.x, fixed: true } : s));
  const held = { ...loads, base: { ...loads.base, supports } };
  return worstSag(loadPatterns(held), section, shortestSpan(loads.base)).sag.mm;
}

const passes = ({ mm, allowed: most, used }: Would) => mm <= most && (used === null || used <= 1);

/** Halvings that bring four hundredfold to less than a millionth. */
const HALVINGS = 27;
/** As many for a plate, which takes longer: within a thousandth. */
const PLATE_HALVINGS = 14;

/** Whether something holds with a factor, by the patterns that come near to deciding, or by every one. */
type Holds = (factor: number, every: boolean) => boolean;

/**
 * The greatest factor up to `most` with which something still holds, where holding ends once and for all; null for none from
 * `least` on. What the patterns that come near to deciding say is tried with every one in the end.
 */
function greatestThatHolds(holds: Holds, least: number, most: number, halvings: number): number | null {
  for (let tries = 0; tries < 8; tries += 1) {
    const found = byHalving((factor) => holds(factor, false), least, most, halvings);
    // Where every one is tried, those that decide there are known from then on.
    if (found === null || holds(found, true)) return found;
  }
  return byHalving((factor) => holds(factor, true), least, most, halvings);
}

function byHalving(holds: (factor: number) => boolean, least: number, most: number, halvings: number): number | null {
  if (!holds(least)) return null;
  if (holds(most)) return most;
  let [low, high] = [least, most];
  for (let n = 0; n < halvings; n += 1) {
    const middle = Math.sqrt(low * high);
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return low;
}

/** What a member could be, everything else as it is. Each is null where nothing within reason passes. */
export interface GetAwayWith {
  /** The longest span, mm, under as much on each length of it; Infinity where any passes, since edges beside it hold it too. */
  readonly span: number | null;
  /** The least thickness, mm; null for a section of several parts. */
  readonly thickness: number | null;
  /** The most load, as so many times what stands on it. */
  readonly load: number | null;
}

const WITHIN = 20;

const halvingsFor = ({ beside }: BendingAnswer) => (beside === 'both' ? PLATE_HALVINGS : HALVINGS);

/**
 * The longest span that passes under as much on each length of it, mm; null where none within reason does, Infinity where all do.
 * @example longestThatPasses(CARRIED.bending, SHOP.settings) // 1376.7
 */
export function longestThatPasses(answer: BendingAnswer, settings: Pick<Settings, 'limit'>): number | null {
  const span = greatestThatHolds(
    (times, every) => passes(wouldBe(answer, settings, { span: times }, every)),
    1 / WITHIN,
    WITHIN,
    halvingsFor(answer),
  );
  return span === null ? null : span === WITHIN ? Infinity : answer.span * span;
}

const kept = remembered<GetAwayWith>(500);

/**
 * The longest, thinnest and heaviest that still passes the limit in the long term and holds; of members that bend alike worked out once.
 * @example getAwayWith(CARRIED.bending, SHOP.settings).load // 4.86
 */
export function getAwayWith(answer: BendingAnswer, settings: Pick<Settings, 'limit'>): GetAwayWith {
  // All that is asked follows from what is in the answer, however it was come by.
  return kept(JSON.stringify([answer, settings.limit]), () => mostThatPasses(answer, settings));
}

function mostThatPasses(answer: BendingAnswer, settings: Pick<Settings, 'limit'>): GetAwayWith {
  const holds = (times: Times, every: boolean) => passes(wouldBe(answer, settings, times, every));
  const thin = answer.builtUp
    ? null
    : greatestThatHolds((f, every) => holds({ thickness: 1 / f }, every), 1 / WITHIN, WITHIN, halvingsFor(answer));
  const { maybe, rows = [] } = answer.loads;
  const live = maybe.lines.length + maybe.points.length + rows.length > 0;
  const load = live
    ? greatestThatHolds((load, every) => holds({ load }, every), 1 / (WITHIN * 50), WITHIN * 50, halvingsFor(answer))
    : null;
  return {
    span: longestThatPasses(answer, settings),
    thickness: thin === null ? null : answer.section.thickness / thin,
    load,
  };
}

/** How a verdict changes when one of the things it rests on is off by a fifth. */
export interface IfOff {
  readonly what: keyof Times;
  /** Off against the builder, and for. */
  readonly against: Would;
  readonly better: Would;
}

/** By how much each thing that a verdict rests on is taken to be off. */
export const OFF_BY = 0.2;

const AGAINST: Readonly<Record<keyof Times, 1 | -1>> = { load: 1, span: 1, thickness: -1, elastic: -1, creep: 1 };

/**
 * How a verdict changes when each thing it rests on is off by a fifth, one at a time, and all against the builder.
 * @example ifOff(CARRIED.bending, SHOP.settings).each.length // 5
 */
export function ifOff(
  answer: BendingAnswer,
  settings: { readonly limit: Limit },
): { readonly each: readonly IfOff[]; readonly all: Would } {
  const whats = (Object.keys(AGAINST) as (keyof Times)[]).filter((w) => w !== 'creep' || answer.verdict.creep.judged);
  const off = (what: keyof Times, way: 1 | -1) => 1 + OFF_BY * way * AGAINST[what];
  return {
    each: whats.map((what) => ({
      what,
      against: wouldBe(answer, settings, { [what]: off(what, 1) }),
      better: wouldBe(answer, settings, { [what]: off(what, -1) }),
    })),
    all: wouldBe(answer, settings, Object.fromEntries(whats.map((what) => [what, off(what, 1)]))),
  };
}
