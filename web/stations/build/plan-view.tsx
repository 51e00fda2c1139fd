import { CalendarPlus } from 'lucide-react';
import { useMemo } from 'react';
import {
  DAY,
  NoHours,
  dayAfter,
  daysBetween,
  daysOf,
  hoursNow,
  movedSteps,
  nextDayOf,
  planLeft,
  timeText,
  type Hours,
  type Plan,
  type Step,
} from '../../../core/build/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { useProject } from '../../data/project.js';
import { Button, Faint, Fault, Row, Table } from '../../shared/ui.js';
import { download, fileName } from '../../shared/download.js';
import { clockText, dayText } from '../../shared/clock.js';
import { useBuilding } from './use-building.js';
import { Laid } from '../../shared/laid.js';

interface Planned {
  readonly plan: Plan | null;
  readonly hours: Hours;
  readonly why: string | null;
}

/** The plan of what is left, from now on: waits of what is done count from when it was done. */
export function usePlan(): Planned {
  const { building, steps } = useBuilding();
  return useMemo(() => {
    const now = new Date();
    const hours = hoursNow(building, now);
    try {
      return { plan: planLeft(steps, building, now), hours, why: null };
    } catch (error) {
      if (error instanceof NoHours) return { plan: null, hours, why: error.message };
      throw error;
    }
  }, [building, steps]);
}

const byId = (steps: readonly Step[]) => new Map(steps.map((s) => [s.id, s]));

/** How a plan has moved against the day that was kept. @example "Three days later than Mon 14 Dec, which was kept." */
function laterText(kept: string, now: string): string {
  const by = daysBetween(kept, now);
  if (by === 0) return `As kept: ${dayText(kept)}.`;
  const days = `${Math.abs(by)} ${Math.abs(by) === 1 ? 'day' : 'days'}`;
  return `${days} ${by > 0 ? 'later' : 'sooner'} than ${dayText(kept)}, which was kept.`;
}

/** So many steps that moved are named. */
const MOVED = 6;

/** When each step is done in the hours there are, what to do next, and when it is ready. */
export function PlanView() {
  const { building, steps, change } = useBuilding();
  const { pieceId, piece } = useSettledBench();
  const { bench } = useProject();
  const { plan, hours, why } = usePlan();
  const known = byId(steps);
  if (!plan) return <Fault role="alert">There is no plan: {why}.</Fault>;
  if (plan.sessions.length === 0) return <Faint>Nothing is left to plan: every step is done.</Faint>;
  const dayOf = (minute: number) => dayAfter(hours.from, Math.floor(minute / DAY));
  const clock = (minute: number) => clockText(minute % DAY === 0 && minute > 0 ? DAY : minute % DAY);
  const next = nextDayOf(plan);
  const moved = movedSteps(building.keptDays ?? [], plan, hours.from).filter((m) => known.has(m.step));
  const days = [...new Set(plan.sessions.map((s) => dayOf(s.from)))];
  const chain = plan.chain.flatMap((id) => known.get(id) ?? []);
  const waits = chain.reduce((sum, s) => sum + (s.wait?.minutes ?? 0), 0);
  const calendar = async () => {
    const { calendarOf } = await import('../../../core/formats/calendar.js');
    const planned = { project: bench.project.name, piece: pieceId, name: piece.name };
    download(`${fileName(piece.name)}.ics`, 'text/calendar;charset=utf-8', calendarOf(planned, plan, steps, hours.from));
  };
  return (
    <>
      <Row $spread>
        <h2>{plan.done === null ? 'It does not end within three years' : `Ready on ${dayText(dayOf(plan.done))}`}</h2>
        <Row data-screen-only>
          <Button onPress={() => void calendar()}>
            <CalendarPlus aria-hidden /> As a calendar
          </Button>
        </Row>
      </Row>
      <Faint>
        {building.hours ? '' : 'By evenings and Saturdays, until you say which hours you have. '}
        {days.length} {days.length === 1 ? 'day' : 'days'} of work. Its end hangs on a chain of {chain.length} steps, of which{' '}
        {timeText(waits)} are waits: glue and finish dry while you are away.
      </Faint>
      {plan.done === null ? null : (
        <Row $above={8}>
          {building.promised ? <span>{laterText(building.promised, dayOf(plan.done))}</span> : null}
          <Button
            data-screen-only
            onPress={() =>
              change(
                { promised: dayOf(plan.done as number), keptDays: [...daysOf(plan, hours.from)] },
                `Ready on ${dayText(dayOf(plan.done as number))}`,
              )
            }
          >
            {building.promised ? 'Keep this day instead' : 'Keep this day'}
          </Button>
        </Row>
      )}
      {moved.length > 0 ? (
        <Laid.ul aria-label="What moved since" $above={8}>
          {moved.slice(0, MOVED).map((m) => (
            <li key={m.step}>
              {known.get(m.step)?.title}: {dayText(m.day)}, was {dayText(m.was)}
            </li>
          ))}
          {moved.length > MOVED ? <li>and {moved.length - MOVED} more steps</li> : null}
        </Laid.ul>
      ) : null}
      <Laid.h3 $above={14}>Next, on {dayText(dayOf(next[0]?.from ?? 0))}</Laid.h3>
      <ul>
        {next.map((s) => (
          <li key={`${s.step} ${s.from}`}>
            {clock(s.from)}–{clock(s.to)} {known.get(s.step)?.title}
          </li>
        ))}
      </ul>
      <Table aria-label="The plan" $above={14}>
        <thead>
          <tr>
            <th>Day</th>
            <th>From</th>
            <th>To</th>
            <th>Step</th>
            <th>Then</th>
          </tr>
        </thead>
        <tbody>
          {plan.sessions.map((s, i) => {
            const step = known.get(s.step);
            const ends = plan.ends.get(s.step);
            const last = ends?.work === s.to;
            const day = dayOf(s.from);
            return (
              <tr key={`${s.step} ${s.from}`}>
                <td>{i === 0 || dayOf(plan.sessions[i - 1]?.from ?? 0) !== day ? dayText(day) : ''}</td>
                <td>{clock(s.from)}</td>
                <td>{clock(s.to)}</td>
                <td>
                  {step?.title}
                  {last ? '' : ', goes on'}
                </td>
                <td>
                  {last && step?.wait && ends ? (
                    <Faint>
                      {step.wait.why} until {dayText(dayOf(ends.ready))}, {clock(ends.ready)}
                    </Faint>
                  ) : null}
                </td>
              </tr>
            );
          })}
        </tbody>
      </Table>
    </>
  );
}
