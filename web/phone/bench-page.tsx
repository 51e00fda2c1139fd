import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { Check, ChevronLeft, ChevronRight } from 'lucide-react';
import { Link, Navigate, useParams } from 'react-router';
import styled from 'styled-components';
import { timeText, waitText, type Step } from '../../core/build/index.js';
import { writeSentence } from '../../core/figure/index.js';
import { lettersText } from '../../core/parts/index.js';
import { BenchProvider, useSettledBench } from '../bench/bench.js';
import { usePrecision, useProject } from '../data/project.js';
import { EVERY_BENCH } from '../data/told.js';
import { StepPictures } from '../stations/build/step-pictures.js';
import { PartPlaces } from '../stations/build/part-places.js';
import { useBuilding, useStepShown } from '../stations/build/use-building.js';
import { amber, film, green, ink, line, link, onInk, paper, tape } from '../theme/tokens.js';
import { Fold } from '../shared/fold.js';
import { Outbox } from './outbox.js';
import { useAwake } from './use-awake.js';
import { Laid } from '../shared/laid.js';

const Warning = styled.p`
  color: ${amber};
  font-weight: 700;
  margin: 8px 0;
`;

const Dotted = styled.ul`
  padding-left: 20px;
  list-style: square;
`;

const Whole = styled.div`
  min-height: 100dvh;
  display: flex;
  flex-direction: column;
  background: ${film};
  font-size: 18px;
`;

const Top = styled.header`
  background: ${ink};
  color: ${paper};
  padding: 10px 14px;
  display: flex;
  justify-content: space-between;
  gap: 10px;
  a {
    color: ${onInk};
  }
`;

const Body = styled.main`
  flex: 1;
  padding: 14px 14px 110px;
  h1 {
    font-size: 26px;
    line-height: 1.15;
  }
  li {
    padding: 5px 0;
    line-height: 1.35;
  }
`;

const Cards = styled.ul`
  list-style: none;
  margin: 12px 0;
  padding: 0;
  li {
    background: ${paper};
    border: 1px solid ${line};
    padding: 10px 12px;
    margin-bottom: 6px;
  }
  strong {
    font-size: 20px;
  }
`;

const Bar = styled.nav`
  position: fixed;
  inset: auto 0 0 0;
  display: grid;
  grid-template-columns: 76px 1fr 76px;
  background: ${paper};
  border-top: 1px solid ${ink};
  button {
    all: unset;
    box-sizing: border-box;
    min-height: 84px;
    display: flex;
    align-items: center;
    justify-content: center;
    gap: 10px;
    font-size: 22px;
    font-weight: 700;
    cursor: pointer;
  }
  button:disabled {
    opacity: 0.3;
  }
  button:focus-visible {
    outline: 4px solid ${link};
    outline-offset: -4px;
  }
  button[data-main] {
    background: ${tape};
    color: ${ink};
  }
  button[data-main][aria-pressed='true'] {
    background: ${green};
    color: ${paper};
  }
`;

let outbox: Outbox | null = null;

/** What waits to be sent from this phone; read anew from the server once it is. */
function useOutbox() {
  const client = useQueryClient();
  // Whatever project a tick was for: what is shown of it is read anew.
  outbox ??= new Outbox(window.localStorage, undefined, () => void client.invalidateQueries({ queryKey: EVERY_BENCH }));
  const box = outbox;
  const waiting = useSyncExternalStore(box.subscribe, box.getWaiting);
  useEffect(() => {
    const again = () => void box.flush();
    again();
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, [box]);
  return { box, waiting };
}

function StepOnPhone({ step, nth }: { step: Step; nth: number }) {
  const { settled } = useSettledBench();
  const { building } = useBuilding();
  const precision = usePrecision();
  const fresh = useMemo(() => new Set(step.parts), [step]);
  const letter = useMemo(() => new Map(settled.parts.map((p) => [p.id, p.letter])), [settled]);
  const letters = (ids: readonly string[]) => lettersText(ids.flatMap((id) => letter.get(id) ?? []));
  const all = step.parts.length === settled.parts.length;
  return (
    <>
      <h1>
        {nth}. {step.title}
      </h1>
      <p>
        {all ? 'All parts' : letters(step.parts)}. About {timeText(step.minutes)}
        {step.wait ? `, then ${waitText(step.wait.minutes)} of waiting` : ''}.
      </p>
      {step.cautions.map((text) => (
        <Warning key={text}>{text}</Warning>
      ))}
      {step.standing.length > 0 ? (
        <StepPictures
          solution={settled}
          step={step}
          all={step.standing}
          stands={step.phase === 'together' ? building.stands : 'upright'}
          label={`What is put together by step ${nth}`}
        />
      ) : null}
      {step.setups.length > 0 ? (
        <Cards aria-label="Settings">
          {step.setups.map((setup, i) => (
            <li key={i}>
              {writeSentence(setup.says, precision)}
              <br />
              <strong>{letters(setup.parts)}</strong>
            </li>
          ))}
        </Cards>
      ) : null}
      <Dotted>
        {step.says.map((s, i) => (
          <li key={i}>{writeSentence(s, precision)}</li>
        ))}
      </Dotted>
      {step.works.some((w) => w.kind === 'hole' || w.kind === 'recess') ? (
        <Fold summary="Each part, as it is set out" size={18}>
          {() => <PartPlaces solution={settled} only={fresh} />}
        </Fold>
      ) : null}
    </>
  );
}

function Bench({ piece }: { piece: string }) {
  const { id } = useProject();
  const { settled } = useSettledBench();
  const { steps, done } = useBuilding();
  const { box, waiting } = useOutbox();
  const awake = useAwake();
  const isDone = (s: Step) => box.isDone({ project: id, piece }, s.id, done.has(s.id));
  // The one to begin with is chosen once: a tick must not take the page away under the thumb.
  const [begun] = useState(() => new Map([...done]));
  const [step, show] = useStepShown(steps, begun);
  const at = step ? steps.indexOf(step) : -1;
  const go = (by: number) => {
    const next = steps[at + by];
    if (!next) return;
    show(next.id);
    window.scrollTo(0, 0);
  };
  useEffect(() => {
    document.title = `${settled.piece.name}, at the bench – Ruvok`;
  }, [settled.piece.name]);
  if (!step) return <p>There are no parts to build from yet.</p>;
  const ticked = isDone(step);
  const left = steps.filter((s) => !isDone(s)).length;
  return (
    <Whole>
      <Top>
        <span>
          <strong>{settled.piece.name}</strong>
          <br />
          Step {at + 1} of {steps.length}, {left === 0 ? 'all done' : `${left} to go`}
        </span>
        <Laid.span $text="right" role="status">
          {waiting.length > 0 ? `${waiting.length} waiting to be sent` : 'all sent'}
          <br />
          <Link to={`/p/${id}/pieces/${piece}/build`}>the whole page</Link>
        </Laid.span>
      </Top>
      <Body>
        <StepOnPhone key={step.id} step={step} nth={at + 1} />
        {box.refused ? <p role="alert">The desk did not take a tick: {box.refused}</p> : null}
        {awake ? null : (
          <Laid.p $size={14} $above={16}>
            This browser lets the screen go dark here: set the phone to stay on while you work.
          </Laid.p>
        )}
      </Body>
      <Bar aria-label="Steps">
        <button type="button" aria-label="The step before" disabled={at === 0} onClick={() => go(-1)}>
          <ChevronLeft size={34} aria-hidden />
        </button>
        <button
          type="button"
          data-main
          aria-pressed={ticked}
          onClick={() => {
            box.add({ project: id, piece, step: step.id, at: new Date().toISOString(), done: !ticked });
            if (!ticked) go(1);
          }}
        >
          <Check size={28} aria-hidden /> {ticked ? 'Done' : at === steps.length - 1 ? 'Done' : 'Done, next'}
        </button>
        <button type="button" aria-label="The next step" disabled={at === steps.length - 1} onClick={() => go(1)}>
          <ChevronRight size={34} aria-hidden />
        </button>
      </Bar>
    </Whole>
  );
}

/** A piece at the bench: one step at a time, in large type, for one hand. */
export function BenchOnPhone() {
  const { piece, project } = useParams();
  const { bench } = useProject();
  if (!piece || !bench.records.pieces.some((p) => p.id === piece)) return <Navigate to={`/p/${project}`} replace />;
  return (
    <BenchProvider pieceId={piece} key={piece}>
      <Bench piece={piece} />
    </BenchProvider>
  );
}
