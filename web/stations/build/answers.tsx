import { DAY, dayAfter, nextDayOf, timeText } from '../../../core/build/index.js';
import { massOf } from '../../../core/carry/index.js';
import { writeMass } from '../../../core/figure/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { Faint, WordButton } from '../../shared/ui.js';
import { clockText, dayText } from '../../shared/clock.js';
import { usePlan } from './plan-view.js';
import { useBuilding, useStepShown } from './use-building.js';
import { Laid } from '../../shared/laid.js';
import { asKg } from '../../../core/measures/index.js';

/** What is next, when it is ready, and what is handled in the step that is looked at. */
export function BuildAnswers() {
  const { steps, done } = useBuilding();
  const { settled } = useSettledBench();
  const precision = usePrecision();
  const [step, show] = useStepShown(steps, done);
  const { plan, hours, why } = usePlan();
  const known = new Map(steps.map((s) => [s.id, s]));
  const dayOf = (minute: number) => dayText(dayAfter(hours.from, Math.floor(minute / DAY)));
  const next = plan ? nextDayOf(plan) : [];
  const kg = settled.parts.reduce((sum, p) => sum + massOf(p.member), 0);
  return (
    <>
      <section aria-label="What is next">
        <h1>What is next</h1>
        {why ? <Faint>No plan: {why}.</Faint> : null}
        {next.length > 0 ? (
          <>
            <Faint>{dayOf(next[0]?.from ?? 0)}</Faint>
            <ul>
              {next.map((s) => (
                <li key={`${s.step} ${s.from}`}>
                  {clockText(s.from % DAY)}{' '}
                  <WordButton type="button" onClick={() => show(s.step)}>
                    {known.get(s.step)?.title}
                  </WordButton>
                </li>
              ))}
            </ul>
          </>
        ) : null}
        {plan && plan.done !== null && next.length > 0 ? (
          <Laid.p $above={8}>
            <strong>Ready on {dayOf(plan.done)}</strong>
          </Laid.p>
        ) : null}
      </section>
      {step ? (
        <Laid.section aria-label="This step" $above={14}>
          <h3>This step</h3>
          <Faint>
            {timeText(step.minutes)} of work
            {step.kg > 0 ? `; ${writeMass(step.kg, precision.unit)} by then, of ${writeMass(asKg(kg), precision.unit)}` : ''}
            {step.works.length > 0 ? `; cuts, holes and joints in it: ${step.works.length}` : ''}.
          </Faint>
        </Laid.section>
      ) : null}
    </>
  );
}
