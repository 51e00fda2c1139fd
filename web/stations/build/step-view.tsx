import { useMemo, useState } from 'react';
import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp } from 'lucide-react';

import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { movedBy, outOfOrder, timeText, waitText, type Building, type Step } from '../../../core/build/index.js';
import { writeSentence } from '../../../core/figure/index.js';
import { lettersText } from '../../../core/parts/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { Button, Faint, Fault, NumberInput, Row, Table, Tick } from '../../shared/ui.js';
import { amber } from '../../theme/tokens.js';
import { ArrangeStep } from './arrange-step.js';
import { PartPlaces } from './part-places.js';
import { StepPictures } from './step-pictures.js';
import { useBuilding } from './use-building.js';
import { Laid } from '../../shared/laid.js';

const Caution = styled.p`
  color: ${amber};
  font-weight: 650;
  margin: 6px 0;
`;

const Says = styled.ul`
  margin: 8px 0;
  padding-left: 18px;
  list-style: square;
  max-width: 76ch;
  li {
    padding: 2px 0;
  }
`;

/** Steps of which the parts are drawn with what is cut into them. */
const SET_OUT: ReadonlySet<Step['phase']> = new Set(['recess', 'drill', 'shape']);

/** A step is done, or not yet: what it took is noted beside it, so that the step stays in view. */
function DoneField({ step, reckoned, onTick }: { step: Step; reckoned: number; onTick: () => void }) {
  const { building, done, change } = useBuilding();
  const entry = done.get(step.id);
  const others = building.done.filter((d) => d.step !== step.id);
  const [minutes, setMinutes] = useState(NaN);
  return (
    <Row>
      <Tick
        isSelected={entry !== undefined}
        onChange={(is) => {
          onTick();
          change(
            { done: is ? [...others, { step: step.id, at: new Date().toISOString() }] : others },
            is ? `Done: ${step.title}` : `Not done after all: ${step.title}`,
          );
        }}
      >
        This step is done
      </Tick>
      {entry ? (
        <NumberInput
          label="It took, minutes"
          value={entry.took?.minutes ?? minutes}
          minValue={1}
          maxValue={100_000}
          onChange={(took) => {
            setMinutes(took);
            if (!Number.isFinite(took) || took === entry.took?.minutes) return;
            const noted: Building['done'][number] = { ...entry, took: { phase: step.phase, minutes: took, reckoned } };
            change({ done: building.done.map((d) => (d.step === step.id ? noted : d)) }, `${step.title} took ${timeText(took)}`);
          }}
        />
      ) : null}
    </Row>
  );
}

/** One step: what it looks like, its settings, what is done, what to look out for. */
export function StepView({ step, show }: { step: Step; show: (id: string) => void }) {
  const { building, steps, pace, change } = useBuilding();
  const { settled, pieceId } = useSettledBench();
  const { project } = useParams();
  const precision = usePrecision();
  const at = steps.indexOf(step);
  const fresh = useMemo(() => new Set(step.parts), [step]);
  const all = useMemo(() => settled.parts.map((p) => p.id), [settled]);
  const letterOf = useMemo(() => new Map(settled.parts.map((p) => [p.id, p.letter])), [settled]);
  const letters = (ids: readonly string[]) => lettersText(ids.flatMap((id) => letterOf.get(id) ?? []));
  const out = outOfOrder(steps).find((o) => o.step.id === step.id);
  const move = (by: -1 | 1) => change({ moved: [...movedBy(steps, step.id, by)] }, `${step.title} comes ${by < 0 ? 'earlier' : 'later'}`);
  const stands = step.phase === 'together' ? building.stands : 'upright';
  return (
    <article aria-label={`Step ${at + 1}: ${step.title}`}>
      <Row $spread>
        <h2>
          {at + 1}. {step.title}
        </h2>
        <Row data-screen-only>
          <Button data-quiet isDisabled={at <= 0} onPress={() => move(-1)} aria-label="Do this step earlier">
            <ArrowUp aria-hidden />
          </Button>
          <Button data-quiet isDisabled={at >= steps.length - 1} onPress={() => move(1)} aria-label="Do this step later">
            <ArrowDown aria-hidden />
          </Button>
          <Link to={`/p/${project}/pieces/${pieceId}/bench?step=${encodeURIComponent(step.id)}`}>At the bench</Link>
          <Button isDisabled={at <= 0} onPress={() => show(steps[at - 1]?.id ?? step.id)}>
            <ArrowLeft aria-hidden /> Before
          </Button>
          <Button isDisabled={at >= steps.length - 1} onPress={() => show(steps[at + 1]?.id ?? step.id)}>
            Next <ArrowRight aria-hidden />
          </Button>
        </Row>
      </Row>
      <Faint>
        About {timeText(step.minutes)} of work
        {step.wait ? `, then ${waitText(step.wait.minutes)} while ${step.wait.why}` : ''}.
        {step.parts.length < settled.parts.length
          ? ` ${step.parts.length} ${step.parts.length === 1 ? 'part' : 'parts'}: ${letters(step.parts)}.`
          : ' All parts.'}
      </Faint>
      {out ? (
        <Fault role="alert">
          It needs {out.before.map((b) => `“${b.title}”`).join(' and ')} first, which you put after it.{' '}
          <Button data-screen-only onPress={() => change({ moved: [] }, 'The order worked out')}>
            Put all steps back in order
          </Button>
        </Fault>
      ) : null}
      <StepPictures
        solution={settled}
        step={step}
        all={all}
        stands={stands}
        label={
          step.standing.length > 0
            ? `What is put together by step ${at + 1}${stands === 'upright' ? '' : `, ${stands}`}`
            : `The parts of step ${at + 1}, in their places`
        }
      />
      {step.cautions.map((text) => (
        <Caution key={text}>{text}</Caution>
      ))}
      <Says aria-label="What is done">
        {step.says.map((s, i) => (
          <li key={i}>{writeSentence(s, precision)}</li>
        ))}
      </Says>
      {step.setups.length > 0 ? (
        <Table aria-label="Settings" $below={14}>
          <thead>
            <tr>
              <th>Setting</th>
              <th>Parts</th>
              <th className="figure">Times</th>
            </tr>
          </thead>
          <tbody>
            {step.setups.map((setup, i) => (
              <tr key={i}>
                <td>{writeSentence(setup.says, precision)}</td>
                <td>{letters(setup.parts)}</td>
                <td className="figure">{setup.count}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      ) : null}
      {SET_OUT.has(step.phase) ? <PartPlaces solution={settled} only={fresh} /> : null}
      <Laid.div data-screen-only $above={12}>
        <DoneField key={step.id} step={step} reckoned={step.minutes / (pace[step.phase] ?? 1)} onTick={() => show(step.id)} />
        <ArrangeStep key={`arrange ${step.id}`} step={step} next={steps[at + 1]} show={show} />
      </Laid.div>
    </article>
  );
}
