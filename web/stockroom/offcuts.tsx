import { TextField } from 'react-aria-components';
import { Plus } from 'lucide-react';
import styled from 'styled-components';
import { ZERO, fromUnits, inch, mm, type Length } from '../../core/length/index.js';
import { hasGrain, type Flaw, type Offcut, type Stock } from '../../core/stock/index.js';
import { usePrecision } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { Button, Faint, FieldLabel, Grid, NumberInput, Row, Select, TextInput } from '../shared/ui.js';
import { Laid } from '../shared/laid.js';

const Line = styled(Grid).attrs({ $columns: 5 })`
  margin-top: 6px;
  align-items: end;
`;

/** A name that no other offcut has. */
function newName(offcuts: readonly Offcut[]): string {
  for (let n = 1; ; n += 1) if (!offcuts.some((o) => o.name === `Offcut ${n}`)) return `Offcut ${n}`;
}

/** Where a new knot is put until it is measured, and how long it is. */
const NEW_FLAW = { mm: { at: mm(100), long: mm(40) }, in: { at: inch(4), long: inch(1.5) } } as const;

/** The knots and splits of one board, by where they begin and end from its left end. */
function Flaws({ offcut, onChange }: { offcut: Offcut; onChange: (patch: Partial<Offcut>) => void }) {
  const precision = usePrecision();
  const { flaws = [], name, length } = offcut;
  const keep = (next: readonly Flaw[]) => onChange({ flaws: [...next], count: 1 });
  const change = (at: number, patch: Partial<Flaw>) => keep(flaws.map((f, i) => (i === at ? { ...f, ...patch } : f)));
  const add = () => {
    const { at, long } = NEW_FLAW[precision.unit];
    const last = flaws.reduce<Length>((most, f) => (f.to > most ? f.to : most), ZERO);
    const from = fromUnits(Math.min(last + at, Math.max(0, length - long)));
    keep([...flaws, { from, to: fromUnits(from + long) }]);
  };
  return (
    <>
      {flaws.map((f, i) => (
        <Line key={i} role="group" aria-label={`Knot or split ${i + 1} of ${name}`}>
          <span />
          <LengthField
            label="Knot or split, from"
            value={f.from}
            least={ZERO}
            greatest={f.to}
            precision={precision}
            onCommit={(from) => from !== null && from < f.to && change(i, { from })}
          />
          <LengthField
            label="to, from the same end"
            value={f.to}
            least={f.from}
            greatest={length}
            precision={precision}
            onCommit={(to) => to !== null && to > f.from && change(i, { to })}
          />
          <span />
          <Button aria-label={`Take out knot or split ${i + 1} of ${name}`} onPress={() => keep(flaws.filter((_, at) => at !== i))}>
            Take out
          </Button>
        </Line>
      ))}
      {offcut.count === 1 ? (
        <Button data-quiet aria-label={`Knot or split in ${name}`} onPress={add}>
          <Plus aria-hidden /> Knot or split
        </Button>
      ) : null}
    </>
  );
}

/** One offcut: its name, how large it is, how many there are, and what parts are laid clear of. */
function OneOffcut({
  offcut,
  isFree,
  onChange,
  onTakeOut,
}: {
  offcut: Offcut;
  isFree: (name: string) => boolean;
  onChange: (patch: Partial<Offcut>) => void;
  onTakeOut: () => void;
}) {
  const precision = usePrecision();
  const { name, length, width, count } = offcut;
  return (
    <>
      <Line role="group" aria-label={name}>
        <TextField
          defaultValue={name}
          onBlur={(event) => {
            const typed = event.target instanceof HTMLInputElement ? event.target.value.trim() : '';
            if (typed !== '' && typed !== name && isFree(typed)) onChange({ name: typed });
          }}
        >
          <FieldLabel>Offcut</FieldLabel>
          <TextInput maxLength={60} />
        </TextField>
        <LengthField label="Long" value={length} precision={precision} onCommit={(l) => l !== null && onChange({ length: l })} />
        <LengthField label="Wide" value={width} precision={precision} onCommit={(w) => w !== null && onChange({ width: w })} />
        <NumberInput
          label="How many"
          value={count}
          minValue={1}
          maxValue={offcut.flaws ? 1 : 1000}
          onChange={(n) => Number.isFinite(n) && onChange({ count: Math.round(n) })}
        />
        <Button aria-label={`Take out ${name}`} onPress={onTakeOut}>
          Take out
        </Button>
      </Line>
      <Flaws offcut={offcut} onChange={onChange} />
    </>
  );
}

/** What is left of a stock from before, which is offered first, and what else it is sold in. */
export function Offcuts({ stock, onSave }: { stock: Stock; onSave: (stock: Stock, label: string) => void }) {
  const precision = usePrecision();
  const { offcuts = [], sizes = [] } = stock;
  const size = (metric: number, imperial: number): Length => (precision.unit === 'mm' ? mm(metric) : inch(imperial));
  const keepOffcuts = (next: readonly Offcut[], label: string) => onSave({ ...stock, offcuts: [...next] }, `${label} of ${stock.name}`);
  const change = (at: number, patch: Partial<Offcut>) => {
    const patched = (o: Offcut) => {
      const { flaws, ...rest } = { ...o, ...patch };
      return flaws?.length ? { ...rest, flaws } : rest;
    };
    keepOffcuts(
      offcuts.map((o, i) => (i === at ? patched(o) : o)),
      offcuts[at]?.name ?? 'Offcut',
    );
  };
  const keepSizes = (next: NonNullable<Stock['sizes']>) => onSave({ ...stock, sizes: next }, `Other sizes of ${stock.name}`);
  const changeSize = (at: number, patch: Partial<NonNullable<Stock['sizes']>[number]>) =>
    keepSizes(sizes.map((s, i) => (i === at ? { ...s, ...patch } : s)));
  return (
    <Laid.section aria-label={`Offcuts of ${stock.name}`} $above={12}>
      <h3>Offcuts, and other sizes</h3>
      <Faint>
        Offcuts are used before anything whole. Their edges are taken to be true. A board that you looked over is one as well: note its
        knots and splits, and parts are laid clear of them.
      </Faint>
      {offcuts.map((o, i) => (
        <OneOffcut
          key={i}
          offcut={o}
          isFree={(name) => !offcuts.some((other) => other.name === name)}
          onChange={(patch) => change(i, patch)}
          onTakeOut={() =>
            keepOffcuts(
              offcuts.filter((_, at) => at !== i),
              `Took out ${o.name}`,
            )
          }
        />
      ))}
      {sizes.map((s, i) => (
        <Line key={`size ${i}`} role="group" aria-label={`Other size ${i + 1}`}>
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
          <NumberInput
            label="Price of one"
            value={s.price ?? NaN}
            minValue={0}
            maxValue={1e6}
            formatOptions={{ maximumFractionDigits: 2, useGrouping: false }}
            onChange={(price) => Number.isFinite(price) && changeSize(i, { price })}
          />
          <NumberInput
            label="On hand"
            value={s.onHand ?? NaN}
            minValue={0}
            maxValue={10_000}
            onChange={(n) => Number.isFinite(n) && changeSize(i, { onHand: Math.round(n) })}
          />
          <Button aria-label={`Take out other size ${i + 1}`} onPress={() => keepSizes(sizes.filter((_, at) => at !== i))}>
            Take out
          </Button>
        </Line>
      ))}
      <Row $above={8}>
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
    </Laid.section>
  );
}
