import { useState } from 'react';

import { stiffnessFromTest } from '../../core/carry/index.js';
import { writeStiffness } from '../../core/figure/index.js';
import { MassField } from '../shared/mass-field.js';
import { inch, mm, toMm, type Length } from '../../core/length/index.js';
import type { Stock } from '../../core/stock/index.js';
import { usePrecision } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { Button, Faint, Grid, Select } from '../shared/ui.js';
import { Laid } from '../shared/laid.js';

type Test = NonNullable<Stock['test']>;

/** Lay a board of a stock on two supports, load it, read the sag: how stiff it is, and how sure that is. */
export function BoardTest({ stock, onUse }: { stock: Stock; onUse: (stock: Stock, label: string) => void }) {
  const precision = usePrecision();
  const s = (metric: number, imperial: number) => (precision.unit === 'mm' ? mm(metric) : inch(imperial));
  const [test, setTest] = useState<Test>(stock.test ?? { span: s(800, 32), width: s(200, 8), kg: 20, load: 'middle', sag: 3, readTo: 0.5 });
  const set = (patch: Partial<Test>) => setTest({ ...test, ...patch });
  const length = (label: string, key: 'span' | 'width') => (
    <LengthField
      label={label}
      value={test[key]}
      least={mm(10)}
      precision={precision}
      onCommit={(value: Length | null) => value !== null && set({ [key]: value })}
    />
  );
  const reading = (label: string, key: 'sag' | 'readTo', most: number) => (
    <LengthField
      label={label}
      value={mm(test[key])}
      least={mm(0.01)}
      greatest={mm(most)}
      precision={precision}
      onCommit={(value) => value !== null && set({ [key]: toMm(value) })}
    />
  );
  const found = whatItSays(stock, test);
  return (
    <Laid.details $above={10}>
      <Laid.summary $pressed>Your own test: how stiff is this board?</Laid.summary>
      <Laid.p $size={13} $above={6} $below={6}>
        Lay a board on two supports, note where its middle is, load it, and note how far the middle went down. It replaces the table’s
        figure from then on.
      </Laid.p>
      <Grid $columns={3}>
        {length('Between the supports', 'span')}
        {length('Width of the board', 'width')}
        <MassField label="Load" value={test.kg} least={0.01} most={1000} onChange={(kg) => Number.isFinite(kg) && kg > 0 && set({ kg })} />
        <Select
          label="The load lies"
          value={test.load}
          choices={[
            { id: 'middle', label: 'in the middle' },
            { id: 'even', label: 'spread evenly' },
          ]}
          onChange={(load) => set({ load })}
        />
        {reading('It sagged', 'sag', 500)}
        {reading('Read to', 'readTo', 10)}
      </Grid>
      {typeof found === 'string' ? (
        <Laid.p role="alert" $above={6}>
          Not checked: {found}.
        </Laid.p>
      ) : (
        <Laid.p $above={6}>
          E is <strong>{writeStiffness(found.elastic, precision.unit)}</strong>, somewhere from{' '}
          {writeStiffness(found.least, precision.unit)} to {writeStiffness(found.greatest, precision.unit)}: the reading may be out by{' '}
          {Math.round(found.spread * 100)} %.{' '}
          <Button onPress={() => onUse({ ...stock, elastic: Number(found.elastic.toFixed(3)), test }, `Tested ${stock.name}`)}>
            Use it from now on
          </Button>
        </Laid.p>
      )}
      <Faint>A longer span, a heavier load and a finer reading make it surer.</Faint>
    </Laid.details>
  );
}

/** What a test says, or why it says nothing. */
function whatItSays(stock: Stock, test: Test): ReturnType<typeof stiffnessFromTest> | string {
  try {
    const found = stiffnessFromTest({ ...test, span: toMm(test.span), width: toMm(test.width), thickness: toMm(stock.thickness) });
    if (found.elastic < 0.05 || found.elastic > 250)
      return `E would be ${found.elastic.toFixed(2)} GPa, which no wood or metal is; check the readings`;
    return found;
  } catch (error) {
    return error instanceof RangeError ? error.message : 'the readings do not go together';
  }
}
