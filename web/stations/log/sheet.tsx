import { useRef, useState } from 'react';
import { Input, TextArea, TextField } from 'react-aria-components';
import styled from 'styled-components';
import type { LogEntry } from '../../../core/build/index.js';
import { spentIn } from '../../../core/log/index.js';
import { timeText } from '../../../core/build/index.js';
import { api } from '../../data/api.js';
import { newId } from '../../data/defaults.js';
import { useMoney, useProject } from '../../data/project.js';
import { today } from '../../shared/clock.js';
import { Button, Faint, Fault, FieldLabel, NumberInput, Row, Select, fieldBox } from '../../shared/ui.js';
import { cuttingWith } from '../../data/cutting-with.js';
import { useSettledBench } from '../../bench/bench.js';
import { useBuilding } from '../build/use-building.js';
import { useLog } from './use-log.js';
import { Laid } from '../../shared/laid.js';

const Lines = styled(TextArea)`
  ${fieldBox}
  min-height: 84px;
  resize: vertical;
  width: 100%;
`;

const Day = styled(Input)`
  ${fieldBox}
`;

const IS: readonly { readonly id: LogEntry['is']; readonly label: string }[] = [
  { id: 'note', label: 'A note' },
  { id: 'decision', label: 'A decision, and why' },
  { id: 'time', label: 'Time' },
  { id: 'money', label: 'Money' },
  { id: 'next time', label: 'What to do next time' },
  { id: 'photo', label: 'A photo' },
];

/** Sends a photo and says under which name it is kept. */
function usePhotos() {
  const { id, bench } = useProject();
  return async (file: File): Promise<string> => {
    const taken = bench.records.log.flatMap((e) => e.data.photo ?? []);
    const name = newId(`photo ${Date.now().toString(36)}`, taken);
    await api.keepPhoto(id, name, file);
    return name;
  };
}

/** Something new for the log. */
function NewEntry() {
  const { add } = useLog();
  const keep = usePhotos();
  const [is, setIs] = useState<LogEntry['is']>('note');
  const [day, setDay] = useState(today());
  const [text, setText] = useState('');
  const [amount, setAmount] = useState(NaN);
  const [wrong, setWrong] = useState('');
  const [busy, setBusy] = useState(false);
  const picked = useRef<HTMLInputElement>(null);
  const needsAmount = is === 'time' || is === 'money';
  const ready =
    /^\d{4}-\d{2}-\d{2}$/.test(day) && (needsAmount ? Number.isFinite(amount) && amount !== 0 : is === 'photo' || text.trim() !== '');
  const send = async () => {
    const file = picked.current?.files?.[0];
    if (is === 'photo' && !file) return setWrong('Choose a photo first.');
    setBusy(true);
    setWrong('');
    try {
      const photo = is === 'photo' && file ? await keep(file) : undefined;
      // It is in the log at once, and waits there where the server is away.
      void add({
        day,
        is,
        text: text.trim(),
        ...(is === 'time' ? { minutes: amount } : {}),
        ...(is === 'money' ? { money: amount } : {}),
        ...(photo ? { photo } : {}),
      });
      setText('');
      setAmount(NaN);
      if (picked.current) picked.current.value = '';
    } catch (error) {
      setWrong((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Laid.section aria-label="Add to the log" $display="grid" $gap={8}>
      <Select label="What" value={is} choices={IS} onChange={setIs} />
      <TextField value={day} onChange={setDay}>
        <FieldLabel>Day</FieldLabel>
        <Day type="date" />
      </TextField>
      {needsAmount ? (
        <NumberInput
          label={is === 'time' ? 'Minutes' : 'Spent; what came back as less than nothing'}
          value={amount}
          minValue={is === 'time' ? 1 : -1e6}
          maxValue={is === 'time' ? 100_000 : 1e6}
          onChange={setAmount}
        />
      ) : null}
      {is === 'photo' ? (
        <label>
          <FieldLabel elementType="span">Photo</FieldLabel>
          <input
            ref={picked}
            type="file"
            accept="image/jpeg,image/png,image/webp,image/avif"
            aria-label="Photo"
            onChange={() => setWrong('')}
          />
          <Faint>
            {' '}
            It is scaled down, and where it was taken is removed. Photos stay in the data folder: a saved file does not hold them.
          </Faint>
        </label>
      ) : null}
      <TextField value={text} onChange={setText}>
        <FieldLabel>{is === 'decision' ? 'What was decided, and why' : needsAmount || is === 'photo' ? 'For what' : 'In words'}</FieldLabel>
        <Lines />
      </TextField>
      {wrong ? <Fault role="alert">{wrong}</Fault> : null}
      <Row>
        <Button isDisabled={!ready || busy} onPress={() => void send()}>
          {busy ? 'Keeping it…' : 'Add to the log'}
        </Button>
      </Row>
    </Laid.section>
  );
}

/** The worksheet of Log: what is added, and what it took against the plan. */
export function LogSheet() {
  const inMoney = useMoney();
  const { bench } = useProject();
  const { pieceId } = useSettledBench();
  const { building } = useBuilding();
  const { entries } = useLog();
  const spent = spentIn(entries.map((e) => e.data));
  const timed = building.done.flatMap((d) => d.took ?? []);
  const took = timed.reduce((sum, t) => sum + t.minutes, 0);
  const reckoned = timed.reduce((sum, t) => sum + t.reckoned, 0);
  const noted = spent.minutes + took;
  const budget = cuttingWith(bench, pieceId)?.data.budget;
  return (
    <>
      <Laid.header $below={10}>
        <h1>Log</h1>
        <Faint>What was done, what came out otherwise, and what to do next time.</Faint>
      </Laid.header>
      <NewEntry />
      <Laid.section aria-label="Against the plan" $above={18}>
        <h3>Against the plan</h3>
        <p>
          {noted > 0 ? `${timeText(noted)} noted` : 'No time noted yet'}
          {took > 0 ? `; the steps that were timed took ${timeText(took)}, and were reckoned at ${timeText(reckoned)}` : ''}.
        </p>
        <p>
          {spent.money === 0 ? 'No money noted yet' : `${inMoney(spent.money)} spent`}
          {budget === undefined ? '.' : ` of a budget of ${inMoney(budget)}.`}
        </p>
      </Laid.section>
    </>
  );
}
