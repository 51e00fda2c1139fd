import { useCallback, useMemo } from 'react';
import type { LogEntry } from '../../../core/build/index.js';
import { formatLength, type Length } from '../../../core/length/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { newId } from '../../data/defaults.js';
import { usePrecision, useProject } from '../../data/project.js';
import { today } from '../../shared/clock.js';
import { WRONG } from '../build/came-out.js';
import { useBuilding } from '../build/use-building.js';

/** One line of the log as it is shown: written by hand, or noted by the work itself. */
export interface LogLine {
  readonly key: string;
  readonly day: string;
  /** What is later on a day comes after. */
  readonly at: string;
  readonly what: string;
  readonly text: string;
  /** The entry that can be changed; none for what is a fact. */
  readonly entry: { readonly id: string; readonly data: LogEntry } | null;
}

const WHAT: Readonly<Record<LogEntry['is'], string>> = {
  note: 'Note',
  decision: 'Decision',
  time: 'Time',
  money: 'Money',
  'next time': 'Next time',
  photo: 'Photo',
};

/** All that is known of how a piece was built, the oldest first. */
export function useLog() {
  const { bench, saver } = useProject();
  const { pieceId, settled } = useSettledBench();
  const { building, steps } = useBuilding();
  const precision = usePrecision();
  const entries = useMemo(() => bench.records.log.filter((e) => e.data.piece === pieceId), [bench.records.log, pieceId]);
  const lines = useMemo(() => {
    const write = (l: Length) => formatLength(l, precision);
    const letters = settled.letters;
    const dayOf = (at: string) => today(new Date(at));
    const title = new Map(steps.map((s) => [s.id, s.title]));
    const written = entries.map((e, i): LogLine => ({
      key: e.id,
      day: e.data.day,
      at: `${e.data.day}T99 ${`${i}`.padStart(5, '0')}`,
      what: WHAT[e.data.is],
      text: e.data.text,
      entry: e,
    }));
    const done = building.done.map((d): LogLine => ({
      key: `done ${d.step}`,
      day: dayOf(d.at),
      at: d.at,
      what: 'Done',
      text: `${title.get(d.step) ?? 'A step that is no longer in the plan'}${d.took ? `, ${Math.round(d.took.minutes)} min` : ''}`,
      entry: null,
    }));
    const made = bench.made
      .filter((m) => m.data.piece === pieceId)
      .map((m): LogLine => {
        const { part, is, length, width, planned, wrong, at } = m.data;
        const letter = letters[part] ?? 'A part that is gone';
        const sizes = `${write(length)} × ${write(width)}`;
        const off =
          length === planned.length && width === planned.width
            ? 'as planned'
            : `planned ${write(planned.length)} × ${write(planned.width)}`;
        const text =
          is === 'cut' || is === 'fitted'
            ? `${letter} is ${is}: ${sizes}, ${off}${wrong ? `; ${WRONG[wrong]}` : ''}`
            : is === 'spoiled'
              ? `${letter} was spoiled, and is cut anew`
              : `${letter} was not cut after all`;
        return { key: m.id, day: dayOf(at), at, what: 'Part', text, entry: null };
      });
    const read = bench.readings
      .filter((r) => r.data.piece === pieceId)
      .map((r): LogLine => {
        const { space, reach, value, at } = r.data;
        const label = settled.shape.spaces.get(space)?.label ?? 'a space that is gone';
        const text = `${label}: ${reach} ${value === null ? 'by the plan again' : `${write(value)} by the tape`}`;
        return { key: r.id, day: at ? dayOf(at) : '', at: at ?? '', what: 'Reading', text, entry: null };
      });
    return [...written, ...done, ...made, ...read].sort((a, b) =>
      a.day === b.day ? a.at.localeCompare(b.at) : a.day.localeCompare(b.day),
    );
  }, [entries, building.done, bench.made, bench.readings, pieceId, settled, steps, precision]);
  const add = useCallback(
    (data: Omit<LogEntry, 'piece'>) =>
      saver
        .create(
          'log',
          newId(
            `log ${data.day} ${data.is}`,
            bench.records.log.map((e) => e.id),
          ),
          { ...data, piece: pieceId },
          `${WHAT[data.is]} in the log`,
        )
        .catch((e: Error) => saver.say({ tone: 'refused', text: e.message })),
    [saver, bench.records.log, pieceId],
  );
  return { lines, entries, add };
}
