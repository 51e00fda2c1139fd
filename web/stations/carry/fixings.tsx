import { useMemo } from 'react';
import {
  allScrews,
  clashesOf,
  fixingsOf,
  heldAt,
  onSlides,
  saidOfFixing,
  screwsAlong,
  worse,
  type CarriedMember,
  type Fixing,
  type OnSlides,
  type State,
} from '../../../core/carry/index.js';
import { clashSentence, heldIn, type Severity } from '../../../core/checks/index.js';
import { writeWeight, writeMass, writeSentence } from '../../../core/figure/index.js';
import type { Precision } from '../../../core/length/index.js';
import { useBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { HandbookLink } from '../../shared/handbook-link.js';
import { StateMark } from '../../shared/state-mark.js';
import { STATE_WORD, nameIn } from './loaded.js';
import { Laid } from '../../shared/laid.js';
import { asKg, asNewtons } from '../../../core/measures/index.js';

interface Line {
  readonly state: State;
  readonly text: string;
  /** How much it weighs, where it is not what holds or not. */
  readonly severity?: Severity;
}

/** What is said of several ends alike is said once, with all of their names. */
function together(ends: readonly Fixing[], name: (f: Fixing) => string, text: (f: Fixing) => string): readonly Line[] {
  const groups = new Map<string, Fixing[]>();
  for (const end of ends) groups.set(text(end), [...(groups.get(text(end)) ?? []), end]);
  return [...groups].map(([said, group]) => ({ state: group[0]?.state ?? 'fine', text: `${group.map(name).join('; ')}. ${said}` }));
}

/** What a drawer weighs against its slides. */
function slidesText({ name, rating, contents, self, used, empty, assumed }: OnSlides, unit: Precision['unit']): string {
  if (rating === null) return `Runs on ${name}, whose rating is not known: not checked.`;
  if (contents === null || used === null)
    return `Runs on ${name}; not checked, since ${empty ? 'nothing is said to be in it' : 'something in it has no mass'}.`;
  return `Runs on a pair of ${name}, rated ${writeMass(rating, unit)} at full extension: ${writeMass(asKg(contents + self), unit)} with ${assumed ? 'what drawers of its size usually hold' : 'all in it'}, ${Math.round(used * 100)} %.`;
}

/** How the ends of a member are held, what that takes, and whether its screws are in the way of others. */
export function Fixings({ c }: { c: CarriedMember }) {
  const { solution, workshop } = useBench();
  const precision = usePrecision();
  const ends = useMemo(() => {
    const members = new Map(solution.shape.members.map((m) => [m.id, m]));
    return fixingsOf(c, members, workshop.settings);
  }, [solution, c, workshop]);
  const clashes = useMemo(
    () => clashesOf(allScrews(solution.carried)).filter((clash) => heldIn(clash).includes(c.member.id)),
    [solution, c],
  );
  const body = solution.shape.bodies.find((b) => b.members.includes(c.member.id));
  const slides = body ? onSlides(body, solution.carried) : null;
  const along = c.bending?.builtUp ? screwsAlong(c.bending.builtUp, solution.carried.unit) : [];
  const lines: readonly Line[] = [
    ...together(
      ends,
      (f) => `${nameIn(solution, f.support.carrier)}, ${writeWeight(asNewtons(heldAt(f.support)), precision.unit)}`,
      (f) => writeSentence(saidOfFixing(f, c.member.id, solution.carried), precision),
    ),
    ...clashes.map((clash): Line => ({
      state: 'fails',
      severity: 'look',
      text: writeSentence(
        clashSentence(clash, (id) => nameIn(solution, id)),
        precision,
      ),
    })),
    ...(slides ? [{ state: slides.state, text: slidesText(slides, precision.unit) }] : []),
    ...along.map((f): Line => ({ state: f.state, text: writeSentence(f.sentence, precision) })),
  ];
  if (lines.length === 0) return null;
  const worst = lines.map((l) => l.state).reduce(worse, 'fine');
  const onlyClash = worst === 'fails' && lines.every((l) => l.state !== 'fails' || l.severity === 'look');
  return (
    <Laid.details $above={8} $size={13}>
      <summary>
        <StateMark state={worst} {...(onlyClash ? { severity: 'look' } : {})} size={14} /> How it is held:{' '}
        {onlyClash ? 'screws in the way' : worst === 'fails' ? 'does not hold' : STATE_WORD[worst]}
      </summary>
      <ul>
        {lines.map((l) => (
          <Laid.li key={l.text} $pad="3px 0">
            <StateMark state={l.state} {...(l.severity ? { severity: l.severity } : {})} size={13} /> {l.text}
          </Laid.li>
        ))}
      </ul>
      <HandbookLink page="screws">What screws hold</HandbookLink>
    </Laid.details>
  );
}
