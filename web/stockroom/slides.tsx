import { useState } from 'react';
import { TextField } from 'react-aria-components';
import { Plus } from 'lucide-react';
import { writeMass } from '../../core/figure/index.js';
import { ZERO, formatLength, inch, mm, readLength, type Length, type LengthUnit } from '../../core/length/index.js';
import type { Slide } from '../../core/stock/index.js';
import { usePrecision } from '../data/project.js';
import { useRecordList } from '../data/record-list.js';
import { HandbookLink } from '../shared/handbook-link.js';
import { LengthField } from '../shared/length-field.js';
import { LengthText } from '../shared/length-text.js';
import { Button, Faint, Fault, FieldLabel, Grid, NumberInput, Panel, Row, Scroll, Table, TextInput, Wide } from '../shared/ui.js';
import { MassField } from '../shared/mass-field.js';
import { TakeOut } from '../shared/take-out.js';
import { without } from '../shared/without.js';
import { Laid } from '../shared/laid.js';
import { asKg } from '../../core/measures/index.js';

/** A full-extension slide as most are sold, to be measured. */
function newSlide(unit: LengthUnit): Slide {
  const series = unit === 'mm' ? [250, 300, 350, 400, 450, 500, 550, 600].map(mm) : [10, 12, 14, 16, 18, 20, 22, 24].map(inch);
  return {
    name: 'Ball slide',
    lengths: series,
    side: unit === 'mm' ? mm(12.7) : inch(1 / 2),
    height: unit === 'mm' ? mm(45) : inch(1 + 3 / 4),
    setback: ZERO,
    extension: 1,
  };
}

/** Reads a series of lengths: separated by commas or spaces that no fraction needs. */
function readSeries(text: string, unit: LengthUnit): Length[] | string {
  const words = text
    .split(/[,;]/)
    .map((w) => w.trim())
    .filter(Boolean);
  const read = words.map((w) => readLength(w, { unit }));
  const bad = read.findIndex((r) => !r.ok);
  if (words.length === 0) return 'Give at least one length, such as 250, 300, 350.';
  if (bad >= 0) return `“${words[bad]}” is not a length; give lengths with commas between, such as 250, 300, 350.`;
  return read.flatMap((r) => (r.ok ? [r.length] : [])).sort((a, b) => a - b);
}

function SlideForm({
  id,
  slide,
  onSave,
  onClose,
}: {
  id: string;
  slide: Slide;
  onSave: (slide: Slide, label: string) => void;
  onClose: () => void;
}) {
  const precision = usePrecision();
  const [name, setName] = useState(slide.name);
  const [series, setSeries] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const length = (key: 'side' | 'height' | 'setback', label: string) => (
    <LengthField
      label={label}
      of={{ in: 'slide', id, field: key }}
      value={slide[key]}
      precision={precision}
      {...(key === 'setback' ? { least: ZERO } : {})}
      onCommit={(value) => value !== null && onSave({ ...slide, [key]: value }, `${label} of ${slide.name}`)}
    />
  );
  const number = (key: 'price', label: string, most: number) => (
    <NumberInput
      label={label}
      value={slide[key] ?? NaN}
      minValue={0}
      maxValue={most}
      onChange={(n) => {
        const next = { ...slide };
        if (Number.isFinite(n) && n > 0) next[key] = n;
        else delete next[key];
        onSave(next, `${label} of ${slide.name}`);
      }}
      formatOptions={{ maximumFractionDigits: 2, useGrouping: false }}
    />
  );
  const keepName = () =>
    name.trim() !== '' && name.trim() !== slide.name && onSave({ ...slide, name: name.trim() }, `Renamed ${slide.name}`);
  const keepSeries = () => {
    if (series === null) return;
    const read = readSeries(series, precision.unit);
    if (typeof read === 'string') return setProblem(read);
    setProblem(null);
    setSeries(null);
    onSave({ ...slide, lengths: read }, `Lengths of ${slide.name}`);
  };
  const shown = slide.lengths.map((l) => formatLength(l, precision)).join(', ');
  return (
    <Panel $above={10} $below={10} role="group" aria-label={`What is known of ${slide.name}`}>
      <Grid $columns={4}>
        <TextField value={name} onChange={setName} onBlur={keepName} autoFocus>
          <FieldLabel>Name</FieldLabel>
          <TextInput />
        </TextField>
        {length('side', 'Takes at each side')}
        {length('height', 'Profile high')}
        {length('setback', 'Back from the front')}
        <MassField
          label="Rating of a pair"
          value={slide.rating ?? NaN}
          most={1000}
          onChange={(kg) => {
            const rest = without(slide, 'rating');
            onSave(Number.isFinite(kg) && kg > 0 ? { ...rest, rating: asKg(kg) } : rest, `Rating of ${slide.name}`);
          }}
        />
        <NumberInput
          label="Comes out, % of length"
          value={slide.extension * 100}
          minValue={10}
          maxValue={120}
          onChange={(n) => Number.isFinite(n) && onSave({ ...slide, extension: n / 100 }, `Extension of ${slide.name}`)}
        />
        {number('price', 'Price of a pair', 1e6)}
        <Wide>
          <TextField value={series ?? shown} onChange={setSeries} onBlur={keepSeries} onKeyDown={(e) => e.key === 'Enter' && keepSeries()}>
            <FieldLabel>Sold in lengths</FieldLabel>
            <TextInput />
          </TextField>
          {problem ? <Fault role="alert">{problem}</Fault> : null}
        </Wide>
      </Grid>
      <Laid.p $above={8}>
        <Faint>
          Measure a pair with the calliper: slides sold as the same differ by half a millimetre. The maker’s rating has the last word.
        </Faint>
      </Laid.p>
      <Row $above={8}>
        <Button onPress={onClose}>Close</Button>
      </Row>
    </Panel>
  );
}

/** Drawer slides on hand, as they measure. */
export function Slides() {
  const precision = usePrecision();
  const { records: slides, open, setOpen, problem, chosen, add, keep, takeOut } = useRecordList('slides');
  return (
    <section aria-label="Drawer slides">
      <Laid.h2 $above={26}>Drawer slides</Laid.h2>
      <HandbookLink page="rated">What “rated” means</HandbookLink>
      {problem ? <Fault role="alert">{problem}</Fault> : null}
      <Row $above={12} $below={12}>
        <Button onPress={() => void add(newSlide(precision.unit))}>
          <Plus aria-hidden /> Slide
        </Button>
      </Row>
      {slides.length > 0 ? (
        <Scroll>
          <Table>
            <thead>
              <tr>
                <th>Slide</th>
                <th className="figure">At each side</th>
                <th className="figure">High</th>
                <th>Lengths</th>
                <th className="figure">Rated, a pair</th>
                <th className="figure">Price</th>
                <th>
                  <span className="visually-hidden">Take out</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {slides.map(({ id, data }) => (
                <tr key={id} aria-selected={open === id}>
                  <td>
                    <Button data-quiet onPress={() => setOpen(id)} aria-label={`Change ${data.name}`}>
                      {data.name}
                    </Button>
                  </td>
                  <td className="figure">
                    <LengthText value={data.side} precision={precision} />
                  </td>
                  <td className="figure">
                    <LengthText value={data.height} precision={precision} />
                  </td>
                  <td>{data.lengths.map((l) => formatLength(l, precision)).join(', ')}</td>
                  <td className="figure">{data.rating === undefined ? 'not known' : writeMass(asKg(data.rating), precision.unit)}</td>
                  <td className="figure">{data.price ?? ''}</td>
                  <td>
                    <TakeOut name={data.name} onPress={() => takeOut(id)} />
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Scroll>
      ) : (
        <Faint>None yet. Drawers on slides are sized by what the calliper says of them.</Faint>
      )}
      {chosen ? (
        <SlideForm
          key={chosen.id}
          id={chosen.id}
          slide={chosen.data}
          onSave={(next, label) => keep(chosen.id, next, label)}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </section>
  );
}
