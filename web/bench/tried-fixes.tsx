import { useMemo } from 'react';
import type { Check } from '../../core/checks/index.js';
import { writeMass, writeMoney, writeSentence } from '../../core/figure/index.js';
import type { TriedFix } from '../../core/solution/index.js';
import { usePrecision } from '../data/project.js';
import { Faint } from '../shared/ui.js';
import { useWorker } from '../shared/use-worker.js';
import { useBench, useSettledBench } from './bench.js';
import { usePaused } from './use-later.js';
import type { FixesAsked, FixesTried } from './fixes.worker.js';
import { asKg } from '../../core/measures/index.js';

const startFixes = () => new Worker(new URL('./fixes.worker.ts', import.meta.url), { type: 'module' });
const NONE: FixesTried = new Map();

/** Less than this is nothing: a gram, a hundredth of the money of the project. */
const NOTHING = { kg: 0.001, cost: 0.01 };

/** What a fix that was tried comes to, in one line. */
export function TriedLine({ tried: { mends, why, addedKg, addedCost } }: { tried: TriedFix }) {
  const precision = usePrecision();
  if (!mends) return <Faint>Not enough: {why ? writeSentence(why, precision) : ''}</Faint>;
  const signed = (n: number, text: string) => `${n < 0 ? '−' : '+'}${text}`;
  const adds = [
    ...(Math.abs(addedKg) < NOTHING.kg ? [] : [signed(addedKg, writeMass(asKg(Math.abs(addedKg)), precision.unit))]),
    ...(addedCost === null ? ['price not known'] : []),
    ...(addedCost === null || Math.abs(addedCost) < NOTHING.cost
      ? []
      : [`cost ${signed(addedCost, writeMoney(Math.abs(addedCost), precision))}`]),
  ];
  return <Faint>{['Fixes it', ...(adds.length > 0 ? adds : ['adds nothing'])].join(' · ')}</Faint>;
}

/** The fixes of checks of a piece that rests, each tried in the solver by a worker; none until they were. */
export function useTriedFixes(checks: readonly Check[]): FixesTried {
  const { settled, workshop } = useSettledBench();
  const { draft } = useBench();
  const asked = checks.filter((c) => c.fixes.some((f) => f.change.target === 'piece')).map((c) => c.id);
  const ids = asked.join('\n');
  // While somebody types they would be tried for nothing, and the checks are those of what is typed.
  const rests = draft === null && ids !== '';
  const ask = useMemo<FixesAsked | null>(
    () => (rests ? { piece: settled.piece, workshop, letters: settled.letters, checks: ids.split('\n') } : null),
    [settled, workshop, rests, ids],
  );
  const rested = usePaused(ask, true, null);
  const { work } = useWorker(startFixes, rested === ask ? ask : null, NONE);
  return work.kind === 'done' ? work.reply : NONE;
}
