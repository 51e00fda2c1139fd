import type { BeamSpec } from './beam.js';
import type { BuiltUp } from './built-up.js';
import type { Creep } from './creep.js';
import { edgesBeside, sagAllRound, sagTwoWays, type Beside, type PanelSpec } from './panel.js';
import { allLoaded, loadPatterns, pushedTo, type PatternedLoads } from './patterns.js';
import type { LineSupport } from './plate/index.js';
import { shortestSpan } from './spans.js';
import { remembered } from './remembered.js';
import { sagOf, worstSag, type WorstSag, type Bending } from './verdict.js';

/** The panel as a plate, now and later, where it is no beam; null where it is one. */
function plateFor(
  panel: Pick<PanelSpec, 'beam' | 'section' | 'lines'>,
  beside: Beside,
  built: BuiltUp | null,
  own: Creep,
): ReturnType<typeof sagTwoWays> | null {
  if (beside === 'both' && panel.beam.supports.length === 2) return { now: sagAllRound(panel), later: null };
  if (beside === 'none' && panel.lines.length === 0 && !built?.oneSided) return null;
  return sagTwoWays({ ...panel, edges: edgesBeside(beside) }, built?.panel ?? null, own.judged ? own.factor : null);
}

/**
 * The most that each support carries: under any pattern, or with what may stand anywhere pushed towards it. With two
 * supports that is a lever; with more a row right over one of them goes into that one, and no more than all of it does.
 */
function mostOf(loads: PatternedLoads, tried: readonly number[], section: Bending): readonly number[] {
  const { supports } = loads.base;
  const { rows = [], ...rest } = loads;
  if (rows.length === 0) return tried;
  const [a, b] = supports;
  if (supports.length === 2 && a && b) {
    return tried.map((n, i) => {
      const [own, other] = i === 0 ? [a, b] : [b, a];
      const arm = (x: number) => (x - other.x) / (own.x - other.x);
      const { lines, points } = pushedTo(loads, own.x);
      const all = lines.reduce((sum, l) => sum + l.perMm * (l.to - l.from) * arm((l.from + l.to) / 2), 0);
      return Math.max(n, all + points.reduce((sum, p) => sum + p.newtons * arm(p.x), 0));
    });
  }
  const weight = rows.reduce((sum, r) => sum + r.parts.reduce((part, p) => part + p.perMm * (p.to - p.from), 0), 0);
  const { reactions } = sagOf(allLoaded(rest), section).result;
  return tried.map((n, i) => Math.max(n, (reactions[i]?.newtons ?? 0) + weight));
}

/** All that how a member bends follows from. */
interface Bends {
  readonly loads: PatternedLoads;
  readonly section: Bending;
  readonly plain: Bending;
  readonly built: BuiltUp | null;
  readonly beside: Beside;
  readonly lines: readonly LineSupport[];
  readonly own: Creep;
}

/** How a member bends, as a beam and as a plate where it is one. */
interface Bent {
  readonly bent: WorstSag;
  readonly heaviest: Omit<BeamSpec, 'stretches'>;
  readonly panel: ReturnType<typeof plateFor>;
  readonly atMost: readonly number[];
}

function solved({ loads, section, plain, built, beside, lines, own }: Bends): Bent {
  const bent = worstSag(loadPatterns(loads), section, shortestSpan(loads.base));
  const flat = built ? { ...plain, thickness: built.panel.thickness } : plain;
  // A plate bears all of its load, with things that stand close together where they bend a beam most.
  const heaviest = bent.whole;
  const panel = plateFor({ beam: heaviest, section: flat, lines }, beside, built, own);
  return { bent, heaviest, panel, atMost: mostOf(loads, bent.most, section) };
}

const keep = remembered<Bent>(2000);

export function solvedOnce(bends: Bends): Bent {
  const { loads, section, built, beside, lines, own } = bends;
  const { width, thickness, EI, narrow, acrossGrain, properties } = section;
  const { material, elastic, elasticAcross, shear } = properties;
  const wood = [material.id, elastic, elasticAcross, shear];
  return keep(JSON.stringify([loads, width, thickness, EI, narrow, acrossGrain, wood, built?.panel, beside, lines, own]), () =>
    solved(bends),
  );
}
