import { useState } from 'react';
import styled from 'styled-components';
import { formatLength, type Length } from '../../../core/length/index.js';
import type { PlacedSpace } from '../../../core/piece/index.js';
import type { BuiltReading, Reach } from '../../../core/survey/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision, useProject } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { isUnlikely } from '../../shared/unlikely.js';
import { Button, Faint, Fault, Grid } from '../../shared/ui.js';
import { Laid } from '../../shared/laid.js';

const Plain = styled.ul`
  margin: 6px 0;
  padding: 0;
  list-style: none;
  li[data-past] {
    text-decoration: line-through;
    opacity: 0.75;
  }
`;

/** What the tape says of a space once it is built; everything inside follows it. Each reading is kept: the last one counts. */
export function AsBuilt({ space }: { space: PlacedSpace }) {
  const { addReading, workshop, pieceId } = useSettledBench();
  const { bench } = useProject();
  const precision = usePrecision();
  const [doubt, setDoubt] = useState<{ readonly reach: Reach; readonly value: Length; readonly planned: Length } | null>(null);
  const measured = workshop.built?.get(space.id) ?? {};
  const taken = bench.readings.filter(({ data }) => data.piece === pieceId && data.space === space.id);
  return (
    <Laid.details $above={8} open={taken.length > 0}>
      <Laid.summary $pressed $size={13}>
        It is built: what the tape says
      </Laid.summary>
      <Grid $above={6}>
        {(['width', 'height', 'depth'] as const).map((reach) => (
          <LengthField
            key={reach}
            of={{ in: 'space', id: space.id, field: `built.${reach}` }}
            label={`${reach.charAt(0).toUpperCase()}${reach.slice(1)} as built`}
            optional
            value={measured[reach] ?? null}
            precision={precision}
            onCommit={(value) => {
              if (value === (measured[reach] ?? null)) return;
              const planned = space.clear[reach].value;
              if (value !== null && isUnlikely(value, planned)) setDoubt({ reach, value, planned });
              else {
                setDoubt(null);
                addReading({ space: space.id, reach, value });
              }
            }}
          />
        ))}
      </Grid>
      {doubt ? (
        <Fault role="alert">
          A {doubt.reach} of {formatLength(doubt.value, precision)} {precision.unit} is far from the{' '}
          {formatLength(doubt.planned, precision)} that was planned. Read the tape again, or{' '}
          <Button
            onPress={() => {
              addReading({ space: space.id, reach: doubt.reach, value: doubt.value });
              setDoubt(null);
            }}
          >
            note it: it is so
          </Button>
        </Fault>
      ) : null}
      <Taken readings={taken.map((r) => r.data)} />
    </Laid.details>
  );
}

const DATE = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' });

/** All that was read in a space, the last one first; what a later reading took the place of is struck through. */
function Taken({ readings }: { readings: readonly BuiltReading[] }) {
  const precision = usePrecision();
  if (readings.length === 0) return null;
  const counts = (r: BuiltReading, i: number) => !readings.slice(i + 1).some((later) => later.reach === r.reach);
  return (
    <>
      <Plain aria-label="Readings of what was built">
        {readings
          .map((r, i) => ({ r, on: counts(r, i) }))
          .reverse()
          .map(({ r, on }, i) => {
            const said = r.value === null ? 'by the plan again' : formatLength(r.value, precision);
            return (
              <li key={i} {...(on ? {} : { 'data-past': '' })}>
                {r.reach} {said}
                {r.at ? <Faint>, {DATE.format(new Date(r.at))}</Faint> : null}
              </li>
            );
          })}
      </Plain>
      <Faint>Readings stay: a new one takes the place of the last, an empty field goes by the plan again. Undo leaves them.</Faint>
    </>
  );
}
