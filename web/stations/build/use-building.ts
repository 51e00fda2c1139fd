import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { buildingOf, paceIn, stepsFor, type Building, type OwnPace, type Step } from '../../../core/build/index.js';
import type { Solution } from '../../../core/solution/index.js';
import { useSettledBench } from '../../bench/bench.js';
import type { Workbench } from '../../data/api.js';
import { useProject } from '../../data/project.js';
import { changeRecordOf } from '../../data/record-of.js';

/** What this builder's times are against what is reckoned, by all that was noted in the project. */
export function ownPaceIn(bench: Workbench): OwnPace {
  return paceIn(bench.records.buildings.map((b) => b.data));
}

/** The steps of a piece are worked out once for what they follow from: several parts of the page ask for them. */
const known = new WeakMap<Solution, { readonly by: string; readonly steps: readonly Step[] }>();

function knownSteps(solution: Solution, building: Building, pace: OwnPace): readonly Step[] {
  // What is done, and when there is time for the rest, changes no step.
  const by = JSON.stringify([{ ...building, done: [], hours: null, promised: null, keptDays: null }, pace]);
  const before = known.get(solution);
  if (before?.by === by) return before.steps;
  const steps = stepsFor(solution, building, pace);
  known.set(solution, { by, steps });
  return steps;
}

/** How the piece on the bench is built, its steps in the order that its builder wants, and how that is changed. */
export function useBuilding() {
  const { bench, saver } = useProject();
  const { pieceId, piece, settled } = useSettledBench();
  const kept = bench.records.buildings.find((b) => b.data.piece === pieceId);
  const building = useMemo(() => kept?.data ?? buildingOf(pieceId), [kept, pieceId]);
  const pace = useMemo(() => ownPaceIn(bench), [bench]);
  const steps = useMemo(() => knownSteps(settled, building, pace), [settled, building, pace]);
  const change = useCallback(
    (next: Partial<Building>, label: string) => {
      changeRecordOf(
        saver,
        {
          kind: 'buildings',
          owner: pieceId,
          kept,
          now: building,
          // One to a piece, under its own id: a phone that makes it at once makes the same one.
          newId: () => pieceId,
          made: `Began to build ${piece.name}`,
        },
        { ...building, ...next },
        label.slice(0, 150),
      );
    },
    [saver, pieceId, kept, building, piece.name],
  );
  const done = useMemo(() => new Map(building.done.map((d) => [d.step, d])), [building]);
  return { building, steps, done, pace, change };
}

/** The step that is looked at: the one in the address, else the first that is not done. */
export function useStepShown(
  steps: readonly Step[],
  done: ReadonlyMap<string, unknown>,
): readonly [Step | undefined, (id: string) => void] {
  const [params, setParams] = useSearchParams();
  const asked = params.get('step');
  const show = useCallback(
    (id: string) =>
      setParams(
        (now) => {
          now.set('step', id);
          return now;
        },
        { replace: true, preventScrollReset: true },
      ),
    [setParams],
  );
  return [steps.find((s) => s.id === asked) ?? steps.find((s) => !done.has(s.id)) ?? steps[0], show];
}
