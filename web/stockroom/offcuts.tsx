import { Input, TextField } from 'react-aria-components';
import { Plus } from 'lucide-react';
import { inch, mm, type Length } from '../../core/length/index.js';
import { hasGrain, type Offcut, type Stock } from '../../core/stock/index.js';
import { usePrecision } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { Button, Faint, FieldLabel, Grid, NumberBox, Row, Select, TextInput } from '../shared/ui.js';

/** A name that no other offcut has. */
function newName(offcuts: readonly Offcut[]): string {
  for (let n = 1; ; n += 1) if (!offcuts.some((o) => o.name === `Offcut ${n}`)) return `Offcut ${n}`;
}

/** What is left of a stock from before, which is offered first, and what else it is sold in. */
export function Offcuts({ stock, onSave }: { stock: Stock; onSave: (stock: Stock, label: string) => void }) {
  const precision = usePrecision();
  const { offcuts = [], sizes = [] } = stock;
  const size = (metric: number, imperial: number): Length => (precision.unit === 'mm' ? mm(metric) : inch(imperial));
  const keepOffcuts = (next: readonly Offcut[], label: string) => onSave({ ...stock, offcuts: [...next] }, `${label} of ${stock.name}`);
  const change = (at: number, patch: Partial<Offcut>) =>
    keepOffcuts(
      offcuts.map((o, i) => (i === at ? { ...o, ...patch } : o)),
      offcuts[at]?.name ?? 'Offcut',
    );
  const keepSizes = (next: NonNullable<Stock['sizes']>) => onSave({ ...stock, sizes: next }, `Other sizes of ${stock.name}`);
  const changeSize = (at: number, patch: Partial<NonNullable<Stock['sizes']>[number]>) =>
    keepSizes(sizes.map((s, i) => (i === at ? { ...s, ...patch } : s)));
  return (
    <section aria-label={`Offcuts of ${stock.name}`} style={{ marginTop: 12 }}>
      <h3>Offcuts, and other sizes</h3>
      <Faint>Offcuts are used before anything whole. Their edges are taken to be true.</Faint>
      {offcuts.map((o, i) => (
        <Grid key={i} $columns={5} style={{ marginTop: 6, alignItems: 'end' }} role="group" aria-label={o.name}>
          <TextField
            defaultValue={o.name}
            onBlur={(event) => {
              const name = event.target instanceof HTMLInputElement ? event.target.value.trim() : '';
              if (name !== '' && name !== o.name && !offcuts.some((other) => other.name === name)) change(i, { name });
            }}
          >
            <FieldLabel>Offcut</FieldLabel>
            <TextInput maxLength={60} />
          </TextField>
          <LengthField
            label="Long"
            value={o.length}
            precision={precision}
            onCommit={(length) => length !== null && change(i, { length })}
          />
          <LengthField label="Wide" value={o.width} precision={precision} onCommit={(width) => width !== null && change(i, { width })} />
          <NumberBox
            value={o.count}
            minValue={1}
            maxValue={1000}
            onChange={(n) => Number.isFinite(n) && change(i, { count: Math.round(n) })}
          >
            <FieldLabel>How many</FieldLabel>
            <Input />
          </NumberBox>
          <Button
            aria-label={`Take out ${o.name}`}
            onPress={() =>
              keepOffcuts(
                offcuts.filter((_, at) => at !== i),
                `Took out ${o.name}`,
              )
            }
          >
            Take out
          </Button>
        </Grid>
      ))}
      {sizes.map((s, i) => (
        <Grid key={`size ${i}`} $columns={5} style={{ marginTop: 6, alignItems: 'end' }} role="group" aria-label={`Other size ${i + 1}`}>
          <LengthField
            label="Also sold, long"
            value={s.length}
            precision={precision}
            onCommit={(length) => length !== null && changeSize(i, { length })}
          />
          <LengthField
            label="Wide"
            value={s.width}
            precision={precision}
            onCommit={(width) => width !== null && changeSize(i, { width })}
          />
          <NumberBox
            value={s.price ?? NaN}
            minValue={0}
            maxValue={1e6}
            formatOptions={{ maximumFractionDigits: 2, useGrouping: false }}
            onChange={(price) => Number.isFinite(price) && changeSize(i, { price })}
          >
            <FieldLabel>Price of one</FieldLabel>
            <Input />
          </NumberBox>
          <NumberBox
            value={s.onHand ?? NaN}
            minValue={0}
            maxValue={10_000}
            onChange={(n) => Number.isFinite(n) && changeSize(i, { onHand: Math.round(n) })}
          >
            <FieldLabel>On hand</FieldLabel>
            <Input />
          </NumberBox>
          <Button aria-label={`Take out other size ${i + 1}`} onPress={() => keepSizes(sizes.filter((_, at) => at !== i))}>
            Take out
          </Button>
        </Grid>
      ))}
      <Row style={{ marginTop: 8 }}>
        <Button
          onPress={() =>
            keepOffcuts([...offcuts, { name: newName(offcuts), length: size(600, 24), width: size(300, 12), count: 1 }], 'Added an offcut')
          }
        >
          <Plus aria-hidden /> Offcut
        </Button>
        <Button onPress={() => keepSizes([...sizes, { length: stock.length, width: stock.width }])}>
          <Plus aria-hidden /> Other size
        </Button>
        <Select
          label="Grain"
          hideLabel
          value={hasGrain(stock) ? 'along' : 'none'}
          choices={[
            { id: 'along', label: 'its grain runs along it' },
            { id: 'none', label: 'parts may lie either way' },
          ]}
          onChange={(grain) => onSave({ ...stock, grain }, `Grain of ${stock.name}`)}
        />
      </Row>
    </section>
  );
}
