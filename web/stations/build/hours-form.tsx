import { useState } from 'react';
import { Input, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { usualHours, type Hours } from '../../../core/build/index.js';
import { Button, Faint, Fault, FieldLabel, Row, TextInput } from '../../shared/ui.js';
import { TakeOut } from '../../shared/take-out.js';
import { clockOf, clockText, dayText, today } from '../../shared/clock.js';
import { useBuilding } from './use-building.js';
import { Laid } from '../../shared/laid.js';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

const Week = styled.div`
  display: grid;
  grid-template-columns: 1fr 74px 74px;
  gap: 4px 6px;
  align-items: center;
  margin: 8px 0;
`;

/** One time of the day: typed as 19:30, empty where there is none. */
function ClockField({ label, value, onCommit }: { label: string; value: number | null; onCommit: (minutes: number | null) => void }) {
  const said = value === null ? '' : clockText(value);
  const [text, setText] = useState<string | null>(null);
  const bad = text !== null && text.trim() !== '' && clockOf(text) === null;
  const commit = () => {
    if (text !== null && !bad) onCommit(text.trim() === '' ? null : clockOf(text));
    if (!bad) setText(null);
  };
  return (
    <TextField
      aria-label={label}
      value={text ?? said}
      isInvalid={bad}
      onChange={setText}
      onBlur={commit}
      onKeyDown={(e) => e.key === 'Enter' && commit()}
    >
      <TextInput placeholder="–" inputMode="numeric" />
      {bad ? <Fault role="alert">As 19:30</Fault> : null}
    </TextField>
  );
}

/** The hours one has in a week, and the days on which there are none. */
export function HoursForm() {
  const { building, change } = useBuilding();
  const hours = building.hours ?? usualHours(today());
  const [off, setOff] = useState('');
  const save = (next: Partial<Hours>, label: string) => change({ hours: { ...hours, ...next } }, label);
  const set = (day: number, times: Hours['week'][number]) =>
    save({ week: hours.week.map((known, i) => (i === day ? times : known)) }, `Hours on ${DAYS[day] ?? ''}s`);
  return (
    <>
      {building.hours ? null : (
        <Row $above={8}>
          <Faint>Evenings and Saturdays, until you say which hours you have.</Faint>
          <Button onPress={() => change({ hours }, 'The usual hours')}>Take these</Button>
        </Row>
      )}
      <Week>
        {DAYS.map((name, day) => {
          const [first, ...more] = hours.week[day] ?? [];
          // One time that is emptied empties the day; one that is typed alone makes an hour.
          const put = (from: number | null, to: number | null, typed: number | null) => {
            if (typed === null) return set(day, more);
            const [begins, ends] = [from ?? Math.max(0, typed - 60), to ?? Math.min(24 * 60, typed + 60)];
            return set(day, [{ from: Math.min(begins, ends), to: Math.max(begins, ends) }, ...more]);
          };
          return [
            <span key={name}>{name}</span>,
            <ClockField
              key={`${name} from`}
              label={`${name} from`}
              value={first?.from ?? null}
              onCommit={(t) => t !== (first?.from ?? null) && put(t, first?.to ?? null, t)}
            />,
            <ClockField
              key={`${name} to`}
              label={`${name} to`}
              value={first?.to ?? null}
              onCommit={(t) => t !== (first?.to ?? null) && put(first?.from ?? null, t, t)}
            />,
          ];
        })}
      </Week>
      <Row>
        <TextField value={off} onChange={setOff} aria-label="A day off">
          <FieldLabel>A day off</FieldLabel>
          <Input type="date" />
        </TextField>
        <Button
          isDisabled={!/^\d{4}-\d{2}-\d{2}$/.test(off) || hours.off.includes(off)}
          onPress={() => {
            save({ off: [...hours.off, off].sort() }, `Off on ${dayText(off)}`);
            setOff('');
          }}
        >
          Keep it free
        </Button>
      </Row>
      <Laid.ul $above={6}>
        {hours.off.map((day) => (
          <li key={day}>
            <Row>
              {dayText(day)}
              <TakeOut
                name={`the day off, ${dayText(day)}`}
                onPress={() => save({ off: hours.off.filter((d) => d !== day) }, `Not off on ${dayText(day)}`)}
              />
            </Row>
          </li>
        ))}
      </Laid.ul>
    </>
  );
}
