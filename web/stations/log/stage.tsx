import { useDeferredValue, useMemo } from 'react';
import { Printer } from 'lucide-react';
import styled from 'styled-components';
import { writeSentence, type Sentence } from '../../../core/figure/index.js';
import { ownersPage } from '../../../core/log/index.js';
import { formatLength } from '../../../core/length/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { useMoney, usePrecision, useProject } from '../../data/project.js';
import { dayText } from '../../shared/clock.js';
import { TakeOut } from '../../shared/take-out.js';
import { Button, Faint, Row, Section } from '../../shared/ui.js';
import { Area, Views, useView } from '../views.js';
import { useBuilding } from '../build/use-building.js';
import { StepDrawing } from '../build/step-drawing.js';
import { line } from '../../theme/tokens.js';
import { useLog, type LogLine } from './use-log.js';

/** Lines are broken where they were when it was typed. */
const AsTyped = styled.div`
  flex: 1;
  white-space: pre-wrap;
`;

const Days = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  max-width: 760px;
  > li {
    border-top: 1px solid ${line};
    padding: 8px 0;
    /* Days that are not on the screen are laid out once they come there. */
    content-visibility: auto;
    contain-intrinsic-size: auto 300px;
    @media print {
      content-visibility: visible;
    }
  }
  ul {
    margin: 4px 0 0;
    padding: 0;
    list-style: none;
  }
  img {
    display: block;
    max-width: min(100%, 420px);
    max-height: 340px;
    margin-top: 6px;
  }
`;

function Line({ of }: { of: LogLine }) {
  const { id, saver } = useProject();
  const inMoney = useMoney();
  const { entry } = of;
  const said = entry?.data.minutes
    ? `${Math.round(entry.data.minutes)} min. `
    : entry?.data.money !== undefined
      ? `${inMoney(entry.data.money)}. `
      : '';
  return (
    <li>
      <Row $align="flex-start" $wrap={false}>
        <Faint $flex="0 0 74px">{of.what}</Faint>
        <AsTyped>
          {said}
          {of.text}
          {entry?.data.photo ? (
            <img src={`/api/projects/${id}/photos/${entry.data.photo}`} alt={of.text || `Photo of ${dayText(of.day)}`} loading="lazy" />
          ) : null}
        </AsTyped>
        {entry ? (
          <span data-screen-only>
            <TakeOut name={`“${of.text.slice(0, 40) || of.what}” from the log`} onPress={() => void saver.remove('log', entry.id)} />
          </span>
        ) : null}
      </Row>
    </li>
  );
}

/** So many days are shown before the rest is worked out. */
const FIRST_DAYS = 20;

/** What was noted, day by day, the last day first. */
function ByDay() {
  const { lines } = useLog();
  const days = useMemo(() => {
    const found = new Map<string, LogLine[]>();
    for (const l of lines) found.set(l.day, [...(found.get(l.day) ?? []), l]);
    return [...found].reverse();
  }, [lines]);
  // The last days are there at once, a long year of others right after.
  const shown = useDeferredValue(days, days.slice(0, FIRST_DAYS));
  if (days.length === 0)
    return (
      <Faint>
        Nothing is noted yet. Steps that are ticked off, parts that are measured and readings of the tape come here by themselves.
      </Faint>
    );
  return (
    <Days>
      {shown.map(([day, some]) => (
        <li key={day}>
          <h3>{day ? dayText(day) : 'Before there were dates'}</h3>
          <ul>
            {some.map((l) => (
              <Line key={l.key} of={l} />
            ))}
          </ul>
        </li>
      ))}
    </Days>
  );
}

function Told({ title, lines }: { title: string; lines: readonly Sentence[] }) {
  const precision = usePrecision();
  if (lines.length === 0) return null;
  return (
    <Section aria-label={title} $whole>
      <h3>{title}</h3>
      <ul>
        {lines.map((s, i) => (
          <li key={i}>{writeSentence(s, precision)}</li>
        ))}
      </ul>
    </Section>
  );
}

/** A page for whoever owns the piece later. */
function OwnersPage() {
  const { settled } = useSettledBench();
  const precision = usePrecision();
  const { entries } = useLog();
  const { building } = useBuilding();
  const page = useMemo(() => ownersPage(settled, building), [settled, building]);
  const all = useMemo(() => settled.parts.map((p) => p.id), [settled]);
  const fresh = useMemo(() => new Set(all), [all]);
  const { width, height, depth } = settled.shape.overall;
  const decisions = entries.filter((e) => e.data.is === 'decision').map((e): Sentence => [e.data.text]);
  return (
    <>
      <h2>
        {settled.piece.name}: {[width, height, depth].map((f) => formatLength(f.value, precision)).join(' × ')} {precision.unit}
      </h2>
      <StepDrawing solution={settled} ids={all} fresh={fresh} stands="upright" label={`${settled.piece.name} as it stands`} />
      <Told title="What it is made of" lines={page.madeOf} />
      <Told title="What it was planned to carry" lines={page.carries} />
      <Told title="Where it is fixed" lines={page.fixed} />
      <Told title="How it comes apart" lines={page.apart} />
      <Told title="What was decided" lines={decisions} />
    </>
  );
}

const VIEWS = [
  { id: 'days', label: 'By day' },
  { id: 'owner', label: 'For its owner' },
] as const;

/** The log by day, and the page for whoever owns the piece later. */
export function LogStage() {
  const [view, show] = useView(VIEWS);
  return (
    <>
      <Views views={VIEWS} shown={view} onShow={show}>
        <Button onPress={() => window.print()}>
          <Printer aria-hidden /> Print
        </Button>
      </Views>
      <Area role="region" aria-label="The log" tabIndex={0}>
        {view === 'owner' ? <OwnersPage /> : <ByDay />}
      </Area>
    </>
  );
}
