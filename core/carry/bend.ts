import { toMm } from '../length/index.js';
import type { Joint, Member } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { BeamError, Falls, type BeamSpec } from './beam.js';
import { builtUpOf, type Attached, type BuiltUp } from './built-up.js';
import { creepOf, type Creep } from './creep.js';
import type { sagTwoWays, Beside, PanelSag } from './panel.js';
import { beamOf, sectionOf } from './placed-beam.js';
import { everyPattern, type PatternedLoads } from './patterns.js';
import { PlateError, type LineSupport } from './plate/index.js';
import { gluedNeutral } from './section.js';
import { longestOf, shortestSpan, spansOf } from './spans.js';
import type { Vector } from '../solid/index.js';
import { wayAlong } from './line.js';
import type { Load } from './standing.js';
import { bendingStrength, judgeStress, type StrengthVerdict } from './strength.js';
import { judge, worse, type Bending, type Sag, type State, type Verdict } from './verdict.js';
import type { Support } from './support.js';
import { apartAcross, dealt, heldBy, linesOf, linesShared, shared } from './held-by.js';
import { solvedOnce } from './bent.js';
import { asMPa, asNewtons } from '../measures/index.js';

/** How a member bends. */
export interface BendingAnswer {
  /** The longest stretch between two supports that are touched, mm. */
  readonly span: number;
  readonly sag: Sag;
  /** Load patterns that were tried, and whether a part of the load, or things that stand close together, were the worst. */
  readonly patterns: { readonly tried: number; readonly partial: boolean; readonly placed: boolean; readonly every: boolean };
  readonly verdict: Verdict;
  /** The greatest bending moment of any pattern, N mm. */
  readonly moment: number;
  /** Bending stress of the part of it that is used most. */
  readonly strength: StrengthVerdict;
  /** What is held along it, where anything is. */
  readonly builtUp: BuiltUp | null;
  /** As a plate, where a strip on one edge twists it, or more than the ends of its span is held. */
  readonly panel: PanelSag | null;
  /** Which edges of it are held beside the ends of its span, and what it lies on along it, from its front. */
  readonly beside: Beside;
  readonly lines: readonly LineSupport[];
  /** How far what holds it beside its span is apart, mm; Infinity where that is one edge or none. */
  readonly across: number;
  /** How much room is under what nobody sees, mm, which it may sag into; null for what is seen, which goes by the limit. */
  readonly room: number | null;
  /** How far it sags today at a place along it, mm: as a plate where it is one. */
  readonly at: (x: number) => number;
  /** The worse of sag and strength. */
  readonly state: State;
  /** What is missing where it is not checked. */
  readonly missing: string | null;
  /** The level direction that it spans along. */
  readonly along: Vector;
  /** Where the beam begins along that, and its length down its slope, mm. */
  readonly from: number;
  readonly length: number;
  /** The beam with its loads and its section, for questions asked of it. */
  readonly loads: PatternedLoads;
  readonly section: Bending;
  /** The beam under the load that it sags most under. */
  readonly heaviest: Omit<BeamSpec, 'stretches'>;
}

/** Thinner than this nothing is checked: it bends like a sheet of card, far past what small deflections hold for. */
const THINNEST = 3;

function longestSpan(supports: readonly Support[]): number {
  const { from, to } = longestOf(spansOf(supports.filter((s) => !s.lifted).map((s) => s.on?.at ?? 0)));
  return to - from;
}

/** The verdict that uses more of what is allowed, or is the more serious. */
function worseStress(a: StrengthVerdict, b: StrengthVerdict): StrengthVerdict {
  if (a.state !== b.state) return worse(a.state, b.state) === a.state ? a : b;
  return (b.used ?? 0) > (a.used ?? 0) ? b : a;
}

/** What is held on more than its ends also bends square to its span, where it may be the weaker. */
function acrossSpan({ moment }: PanelSag['result'], { thickness, properties, acrossGrain }: Bending, workshop: Workshop): StrengthVerdict {
  const strength = bendingStrength(properties.material, workshop.settings.serviceClass, !acrossGrain);
  return judgeStress(asMPa((6 * moment.y) / thickness ** 2), strength);
}

/** The stress of the part that is used most: M E z / E I, z from the neutral axis to its outer face. */
function strengthOf(moment: number, section: Bending, built: BuiltUp | null, workshop: Workshop): StrengthVerdict {
  const { serviceClass } = workshop.settings;
  const plain = () => {
    // The narrowest place is taken to be where it is bent most.
    const least = Math.min(1, ...(section.narrow ?? []).map((n) => n.share));
    const stress = (6 * moment) / (section.width * least * section.thickness ** 2);
    return judgeStress(asMPa(stress), bendingStrength(section.properties.material, serviceClass, section.acrossGrain));
  };
  if (!built) return plain();
  const neutral = gluedNeutral(built.parts.map((p) => p.layer));
  return built.parts
    .map(({ layer, properties }) => {
      const far = Math.max(Math.abs(layer.top - neutral), Math.abs(layer.top + layer.height - neutral));
      return judgeStress(asMPa((moment * layer.E * far) / built.EI), bendingStrength(properties.material, serviceClass));
    })
    .reduce(worseStress);
}

/**
 * The moment to judge strength by: that of the plate where it is one without strips; where a strip
 * twists it, that of the beam, and more by as much as the edge with the strip sags further than the section says.
 */
function momentFor(moment: number, sag: number, panel: PanelSag | null, built: BuiltUp | null, { width }: Bending): number {
  if (!panel) return moment;
  if (!built || built.panel.now.length === 0) return panel.result.moment.x * width;
  return moment * Math.max(1, Math.min(panel.front, panel.back) / sag);
}

/** A strip on one edge leaves the other edge to sag: what the panel does later is by its own creep as well as the strip's. */
function creepOfPanel({ now, later }: ReturnType<typeof sagTwoWays>, creep: Creep): Creep {
  return creep.judged && later ? { ...creep, factor: Math.max(1, later.mm / now.mm) } : creep;
}

/**
 * A member that lies on supports at places: a beam, or a plate where a strip twists it, or edges or lines beside its span hold it.
 * @param room how much room is under what nobody sees, mm; null for what is seen
 */
export function bend(
  member: Member,
  load: Load,
  held: readonly Joint[],
  attached: readonly Attached[],
  workshop: Workshop,
  byId: ReadonlyMap<string, Member>,
  room: number | null = null,
): { readonly answer: BendingAnswer; readonly supports: readonly Support[] } | { readonly error: string; readonly falls: boolean } {
  const { settings } = workshop;
  const lines = linesShared(held);
  const by = heldBy(
    member,
    lines.map(([first]) => first),
    byId,
  );
  const beside: Beside = by.edges.length > 1 ? 'both' : by.edges.length === 1 ? 'back' : 'none';
  if (toMm(member.thickness.value) < THINNEST) return { error: `it is thinner than ${THINNEST} mm`, falls: false };
  if (by.ends.length === 0) return { error: 'nothing holds it', falls: true };
  const { loads, from, along, level } = beamOf(member, load, by.ends);
  const plain = sectionOf(member, along, from);
  const alongIt = attached.filter((a) => wayAlong(along, a.member.frame.u) !== 0);
  const built = alongIt.length > 0 ? builtUpOf(member, alongIt, shortestSpan(loads.base), settings) : null;
  const section = built ? { ...plain, EI: built.EI } : plain;
  try {
    const own = creepOf(plain.properties.material, settings);
    const under = linesOf(member, by.lines);
    const { bent, heaviest, panel, atMost } = solvedOnce({ loads, section, plain, built, beside, lines: under, own });
    const { sag, full, tried, worst, moment } = bent;
    const ends = by.ends.map((j, i): Support => {
      const reaction = full.reactions[i];
      return {
        carrier: j.carrier,
        how: j.how,
        on: { along, at: (loads.base.supports[i]?.x ?? 0) * level + from },
        // Down a slope what is square to it is less than what goes straight down.
        newtons: asNewtons((reaction?.newtons ?? 0) / level),
        most: (atMost[i] ?? 0) / level,
        lifted: reaction?.lifted ?? false,
      };
    });
    const supports = dealt(panel ? shared(ends, by, panel.now, heaviest) : ends, lines);
    const creep = panel ? creepOfPanel(panel, built?.creep ?? own) : (built?.creep ?? own);
    const span = longestSpan(ends) / level;
    const across = apartAcross(beside, under, section.width);
    const verdict = judge(panel?.now.mm ?? sag.mm, Math.min(span, across), creep, settings, room);
    const alongSpan = strengthOf(momentFor(moment, sag.mm, panel?.now ?? null, built, section), section, built, workshop);
    const twoWays = panel && !built;
    const strength = twoWays ? worseStress(alongSpan, acrossSpan(panel.now.result, plain, workshop)) : alongSpan;
    return {
      supports,
      answer: {
        span,
        sag,
        patterns: { tried, partial: worst.partial, placed: worst.placed, every: everyPattern(loads) },
        verdict,
        moment,
        strength,
        builtUp: built,
        panel: panel?.now ?? null,
        beside,
        lines: under,
        across,
        room,
        at: panel ? panel.now.along : sag.result.at,
        state: worse(verdict.state, strength.state),
        missing: verdict.creep.judged ? (strength.strength.judged ? null : strength.strength.reason) : verdict.creep.reason,
        along,
        from,
        length: loads.base.length,
        loads,
        section,
        heaviest,
      },
    };
  } catch (error) {
    if (!(error instanceof BeamError || error instanceof PlateError)) throw error;
    return { error: error.message, falls: error instanceof Falls };
  }
}
