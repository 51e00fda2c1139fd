import { useMemo, useState } from 'react';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { fromWhere, type Step } from '../../../core/build/index.js';
import type { Stands } from '../../../core/drawing/index.js';
import { lettersText } from '../../../core/parts/index.js';
import type { Solution } from '../../../core/solution/index.js';
import { Button, Faint, Row } from '../../shared/ui.js';
import { StepDrawing } from './step-drawing.js';

/** What a step puts together: all of it, or what goes in one after the other, each drawn back on its way. */
export function StepPictures({
  solution,
  step,
  stands,
  label,
  all,
}: {
  solution: Solution;
  step: Step;
  stands: Stands;
  label: string;
  /** What is drawn where nothing is put together. */
  all: readonly string[];
}) {
  const [shown, setShown] = useState<{ readonly step: string; readonly nth: number } | null>(null);
  const { goesIn } = step;
  const nth = shown?.step === step.id ? shown.nth : null;
  const one = nth === null ? undefined : goesIn[nth];
  const letters = new Map(solution.parts.map((p) => [p.id, p.letter]));
  const show = (next: number) => setShown(next < 0 || next >= goesIn.length ? null : { step: step.id, nth: next });
  const ids = useMemo(() => {
    const later = new Set(nth === null ? [] : goesIn.slice(nth + 1).flatMap((g) => g.parts));
    return (step.standing.length > 0 ? step.standing : all).filter((id) => !later.has(id));
  }, [nth, goesIn, step, all]);
  const fresh = useMemo(() => new Set(one?.parts ?? step.parts), [one, step]);
  return (
    <>
      <StepDrawing
        solution={solution}
        ids={ids}
        fresh={fresh}
        back={one?.way ?? null}
        stands={stands}
        label={one ? `${label}: number ${(nth ?? 0) + 1}` : label}
      />
      {goesIn.length > 1 ? (
        <Row data-screen-only>
          <Button isDisabled={nth === null} onPress={() => show((nth ?? 0) - 1)} aria-label="The part before">
            <ArrowLeft aria-hidden />
          </Button>
          <Button onPress={() => show(nth === null ? 0 : nth + 1)}>
            {nth === null ? 'One part at a time' : nth + 1 < goesIn.length ? 'Next part' : 'All of it'} <ArrowRight aria-hidden />
          </Button>
          {one ? (
            <Faint role="status">
              {(nth ?? 0) + 1} of {goesIn.length}: {lettersText(one.parts.flatMap((id) => letters.get(id) ?? []))}
              {nth === 0 ? ' first' : one.way ? ` ${fromWhere(one.way)}` : ''}
            </Faint>
          ) : null}
        </Row>
      ) : null}
    </>
  );
}
