import { useEffect, useMemo, useRef, useState } from 'react';
import type { Check } from '../../core/checks/index.js';
import { writeMass, writeSentence } from '../../core/figure/index.js';
import type { TriedFix } from '../../core/solution/index.js';
import { usePrecision } from '../data/project.js';
import { Button, Faint, Row } from '../shared/ui.js';
import { useWorker } from '../shared/use-worker.js';
import { useSettledBench } from './bench.js';
import type { FixesAsked } from './fixes.worker.js';
import { asKg } from '../../core/measures/index.js';

const startFixes = () => new Worker(new URL('./fixes.worker.ts', import.meta.url), { type: 'module' });
const NONE: readonly TriedFix[] = [];

/** What a fix that was tried comes to, in one line. */
export function TriedLine({ tried: { mends, why, addedKg, addedCost } }: { tried: TriedFix }) {
  const precision = usePrecision();
  if (!mends) return <Faint>Not enough: {why ? writeSentence(why, precision) : ''}</Faint>;
  if (addedKg === 0 && addedCost === 0) return <Faint>Mends it · adds nothing</Faint>;
  const signed = (n: number, text: string) => `${n < 0 ? '−' : '+'}${text}`;
  const cost = addedCost === null ? 'price not known' : `cost ${signed(addedCost, Math.abs(addedCost).toFixed(2))}`;
  return (
    <Faint>
      Mends it · {signed(addedKg, writeMass(asKg(Math.abs(addedKg)), precision.unit))} · {cost}
    </Faint>
  );
}

/** The fixes of a check, tried in the solver in a worker where that is asked for. */
export function useTriedFixes(check: Check) {
  const { settled, workshop } = useSettledBench();
  const [of, setOf] = useState<typeof settled | null>(null);
  const asked = of === settled;
  const ask = useMemo<FixesAsked | null>(
    () => (asked ? { piece: settled.piece, workshop, letters: settled.letters, check: check.id } : null),
    [asked, settled, workshop, check.id],
  );
  const { work, stop } = useWorker(startFixes, ask, NONE);
  const state = asked ? work.kind : 'asked for';
  return {
    state,
    tried: asked && work.kind === 'done' ? work.reply : NONE,
    start: () => setOf(settled),
    stop,
  } as const;
}

/** Told once they are tried, where the button was that asked for it, so that the focus stays there. */
function Tried() {
  const told = useRef<HTMLSpanElement>(null);
  useEffect(() => told.current?.focus(), []);
  return (
    <Faint as="span" role="status" tabIndex={-1} ref={told}>
      Each was tried: those that mend it come first.
    </Faint>
  );
}

/** Asks for all fixes to be tried, where there is a choice of them. */
export function TryAll({ check, trying }: { check: Check; trying: ReturnType<typeof useTriedFixes> }) {
  const choice = check.fixes.filter((f) => f.change.target === 'piece').length > 1;
  if (!choice) return null;
  if (trying.state === 'done') return <Tried />;
  if (trying.state === 'working')
    return (
      <Row role="status">
        Trying each… <Button onPress={trying.stop}>Stop</Button>
      </Row>
    );
  return (
    <Button data-quiet onPress={trying.start}>
      Try each of them
    </Button>
  );
}
