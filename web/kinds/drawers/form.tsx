import { freeDepth, longestSlide, makingOf, otherOf, takesMuntin, withBoxOf } from '../../../core/interiors/drawers/index.js';
import { drawerStock } from '../../../core/interiors/drawers/sizes.js';
import { ZERO, formatLength, mm, inch, type Length, type LengthUnit } from '../../../core/length/index.js';
import type { PlacedSpace } from '../../../core/piece/index.js';
import type { BoxBottom, Drawers, Front, Runner } from '../../../core/interiors/index.js';
import { useSettledBench } from '../../bench/bench.js';
import type { OneWay } from '../../bench/ways.js';
import { usePrecision, useProject } from '../../data/project.js';
import { Button, Faint, Grid, Section, Select, WideTick } from '../../shared/ui.js';
import { useMakingFields } from '../fields.js';
import { fieldOf } from '../../shared/leads.js';
import { without } from '../../shared/without.js';
import { BOTTOMS, FRONTS, JOINS, ORDERS, RUNNERS } from './pictures.js';

/** A front of another kind, with usual sizes. */
export function frontOf(kind: Front['kind'], unit: LengthUnit): Front {
  const s = (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
  const gap = s(3, 1 / 8);
  switch (kind) {
    case 'inset':
      return { kind, between: gap, below: gap, above: gap, sides: s(2, 1 / 16), setback: ZERO };
    case 'overlay': {
      const over = s(8, 3 / 8);
      return { kind, between: gap, over: { left: over, right: over, below: over, above: over } };
    }
    case 'lipped':
      return { kind, lip: s(9, 3 / 8), between: s(27, 1 + 1 / 8) };
    case 'none':
      return { kind, between: gap, below: gap, above: gap };
  }
}

function bottomOf(kind: BoxBottom['kind'], unit: LengthUnit): BoxBottom {
  const s = (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
  switch (kind) {
    case 'groove':
      return { kind, depth: s(6, 1 / 4), up: s(10, 3 / 8), slack: s(1, 1 / 32) };
    case 'rebate':
      return { kind, depth: s(6, 1 / 4), slack: s(1, 1 / 32) };
    case 'applied':
      return { kind };
    case 'tray':
      return { kind, strip: s(40, 1.5) };
  }
}

function FrontFields({ bank, making }: { bank: string; making: Drawers }) {
  const { unit } = usePrecision();
  const { length, way } = useMakingFields(bank, making);
  const { front } = making;
  return (
    <>
      {way(
        'Fronts',
        front.kind,
        FRONTS,
        (kind) => ({ front: frontOf(kind, unit), ...(kind === 'overlay' ? roomUnder(making, unit) : {}) }),
        'Changed the fronts',
      )}
      {length('Between two', front.between, (between) => ({ front: { ...front, between } }), true)}
      {front.kind === 'inset' || front.kind === 'none' ? (
        <>
          {length('Below the lowest', front.below, (below) => ({ front: { ...front, below } }), true)}
          {length('Above the highest', front.above, (above) => ({ front: { ...front, above } }), true)}
        </>
      ) : null}
      {front.kind === 'inset' ? (
        <>
          {length('Free at a side', front.sides, (sides) => ({ front: { ...front, sides } }), true)}
          {length('Set back', front.setback, (setback) => ({ front: { ...front, setback } }), true)}
        </>
      ) : null}
      {front.kind === 'lipped' ? length('Lip', front.lip, (lip) => ({ front: { ...front, lip } })) : null}
      {front.kind === 'overlay'
        ? (['left', 'right', 'below', 'above'] as const).map((side) => (
            <div key={side}>
              {length(
                `Over ${side === 'left' || side === 'right' ? `the ${side}` : `what is ${side}`}`,
                front.over[side],
                (value) => ({ front: { ...front, over: { ...front.over, [side]: value } } }),
                true,
              )}
            </div>
          ))
        : null}
      {front.kind === 'none' ? null : length('Trim allowance', making.oversize, (oversize) => ({ oversize }), true)}
    </>
  );
}

/** Boxes far enough in from fronts that reach over what is below and above. */
function roomUnder(making: Drawers, unit: LengthUnit): Partial<Drawers> {
  const front = frontOf('overlay', unit);
  if (front.kind !== 'overlay') return {};
  const rise = Math.max(making.rise, front.over.below) as typeof making.rise;
  return { rise, less: Math.max(making.less, rise + front.over.above) as typeof making.less };
}

const LINES: readonly OneWay<Drawers['linesFrom']>[] = [
  { id: 'bottom', label: 'the bottom, on spacers', says: 'Spacers of scrap set both sides alike. The bottom has to be true.' },
  { id: 'top', label: 'the top, floor uneven', says: 'Lines are measured down from the top, whatever the floor is like.' },
];

function RunnerFields({ bank, making }: { bank: PlacedSpace; making: Drawers }) {
  const { workshop } = useSettledBench();
  const { bench } = useProject();
  const precision = usePrecision();
  const { change, length, way, wood } = useMakingFields(bank.id, making);
  const { runner } = making;
  const stock = drawerStock(making, workshop);
  const slides = bench.records.slides;
  const s = (metric: number, imperial: number) => (precision.unit === 'mm' ? mm(metric) : inch(imperial));
  const onSlide = ({ id, data }: (typeof slides)[number]): Runner => {
    const free = freeDepth(making, stock, bank.clear.depth).value;
    return { kind: 'slide', slide: id, length: longestSlide(data, free) ?? (data.lengths[0] as Length) };
  };
  // Another slide is of the same length where it is made so.
  const another = (id: string, length: Length): Runner => {
    const slide = slides.find((r) => r.id === id);
    return slide && !slide.data.lengths.includes(length) ? onSlide(slide) : { kind: 'slide', slide: id, length };
  };
  const other = (kind: Runner['kind']): Runner => {
    const [first] = slides;
    if (kind === 'wooden') return { kind, side: s(2, 1 / 16), stock: making.stock.box, wide: s(30, 1.25) };
    // Slides are offered only where there are some.
    if (kind === 'plain' || !first) return { kind: 'plain', side: s(2, 1 / 16) };
    return onSlide(first);
  };
  return (
    <>
      {way(
        'They run on',
        runner.kind,
        RUNNERS.filter((r) => r.id !== 'slide' || slides.length > 0),
        (kind) => ({ runner: other(kind) }),
        'Changed what the drawers run on',
      )}
      {slides.length === 0 ? <Faint>Slides are kept in the stockroom; there are none yet.</Faint> : null}
      {runner.kind === 'slide' ? (
        <>
          <Select
            label="Slide"
            value={runner.slide}
            choices={slides.map((r) => ({ id: r.id, label: r.data.name }))}
            onChange={(slide) => change({ runner: another(slide, runner.length) }, 'Changed the slide')}
          />
          <Select
            {...fieldOf({ in: 'making', field: 'runner.length' })}
            label="Slide length"
            value={`${runner.length}`}
            choices={[...new Set([...(stock.slide?.lengths ?? []), runner.length])]
              .sort((a, b) => a - b)
              .map((l) => ({ id: `${l}`, label: formatLength(l, precision) }))}
            onChange={(l) => change({ runner: { ...runner, length: Number(l) as typeof runner.length } }, 'Changed the slide length')}
          />
        </>
      ) : (
        length('Free beside the box', runner.side, (side) => ({ runner: { ...runner, side } }), true)
      )}
      {runner.kind === 'wooden' ? (
        <>
          {wood('Runners of', runner.stock, (id) => ({ runner: { ...runner, stock: id } }))}
          {length('Runner wide', runner.wide, (wide) => ({ runner: { ...runner, wide } }))}
        </>
      ) : null}
      {length('Free behind', making.behind, (behind) => ({ behind }), true)}
      {length('Box height clearance', making.less, (less) => ({ less }), true)}
      {length('Lift above opening', making.rise, (rise) => ({ rise }), true)}
      {way('Lines set out from', making.linesFrom, LINES, (linesFrom) => ({ linesFrom }), 'Changed where the lines start')}
    </>
  );
}

/** How the box of all drawers of a bank is made, or of one of them alone, which `of` then names. */
function BoxFields({ bank, making, part, of = '' }: { bank: string; making: Drawers; part: string; of?: string }) {
  const { unit } = usePrecision();
  const { change, length, way, wood } = useMakingFields(bank, making);
  const { box, stock } = makingOf(making, part);
  const { bottom } = box;
  const put = (patch: Partial<Drawers['box']>): Partial<Drawers> => withBoxOf(making, part, { box: { ...box, ...patch }, stock });
  const made = (patch: Partial<Drawers['stock']>): Partial<Drawers> => withBoxOf(making, part, { box, stock: { ...stock, ...patch } });
  return (
    <>
      {way(`Box joined with${of}`, box.join, JOINS, (join) => put({ join }), 'Joined the boxes another way')}
      {way(`Which way round${of}`, box.order, ORDERS, (order) => put({ order }), 'Turned the corners of the boxes round')}
      {way(`Drawer bottom${of}`, bottom.kind, BOTTOMS, (kind) => put({ bottom: bottomOf(kind, unit) }), 'Held the bottoms another way')}
      {bottom.kind === 'groove' || bottom.kind === 'rebate' ? (
        <>
          {length(`${bottom.kind === 'groove' ? 'Groove deep' : 'Rebate wide'}${of}`, bottom.depth, (depth) =>
            put({ bottom: { ...bottom, depth } }),
          )}
          {length(`Cut small by${of}`, bottom.slack, (slack) => put({ bottom: { ...bottom, slack } }), true)}
        </>
      ) : null}
      {bottom.kind === 'groove' ? (
        <>
          {length(`Groove up${of}`, bottom.up, (up) => put({ bottom: { ...bottom, up } }))}
          <WideTick
            isSelected={bottom.slidIn === true}
            onChange={(slid) => {
              const held = without(bottom, 'slidIn');
              change(
                slid
                  ? withBoxOf(making, part, { box: { ...without(box, 'muntin'), bottom: { ...held, slidIn: true } }, stock })
                  : put({ bottom: held }),
                slid ? 'Slid the bottoms in under a low back' : 'Grooved the backs for the bottoms',
              );
            }}
          >
            {`Slid in from behind, under a low back${of}`}
          </WideTick>
        </>
      ) : null}
      {bottom.kind === 'tray' ? length(`Strips high${of}`, bottom.strip, (strip) => put({ bottom: { ...bottom, strip } })) : null}
      {takesMuntin(box) || box.muntin ? (
        <WideTick
          isSelected={box.muntin !== undefined}
          onChange={(has) => {
            const rest = without(box, 'muntin');
            const muntin = { stock: stock.box, wide: unit === 'mm' ? mm(80) : inch(3) };
            const edit = withBoxOf(making, part, { box: has ? { ...rest, muntin } : rest, stock });
            change(edit, has ? 'Put muntins under the bottoms' : 'Took the muntins out');
          }}
        >
          {`A muntin under the middle of each bottom${of}`}
        </WideTick>
      ) : null}
      {box.muntin ? (
        <>
          {wood(`Muntin of${of}`, box.muntin.stock, (id) => put({ muntin: { stock: id, wide: box.muntin?.wide ?? mm(80) } }))}
          {length(`Muntin wide${of}`, box.muntin.wide, (wide) => put({ muntin: { stock: box.muntin?.stock ?? stock.box, wide } }))}
        </>
      ) : null}
      {wood(`Boxes of${of}`, stock.box, (id) => made({ box: id }))}
      {wood(`Drawer bottoms of${of}`, stock.bottom, (id) => made({ bottom: id }))}
    </>
  );
}

/** Drawers of the bank whose boxes are made otherwise than the rest. */
function OtherBoxes({ bank, making }: { bank: PlacedSpace; making: Drawers }) {
  const { change } = useMakingFields(bank.id, making);
  const { shape } = useSettledBench().settled;
  const parts = (bank.space.split?.spaces ?? []).map(({ id }) => ({ id, label: shape.spaces.get(id)?.label ?? 'a drawer' }));
  const own = parts.filter((p) => otherOf(making, p.id));
  const rest = parts.filter((p) => !otherOf(making, p.id));
  const others = making.others ?? [];
  if (parts.length < 2) return null;
  return (
    <>
      {own.map(({ id, label }) => (
        <Section key={id} role="group" aria-label={`The box of ${label}`}>
          <h3>The box of {label}, made otherwise</h3>
          <Grid>
            <BoxFields bank={bank.id} making={making} part={id} of={`, ${label}`} />
          </Grid>
          <Button onPress={() => change({ others: others.filter((o) => o.drawer !== id) }, `Made ${label} as the others are`)}>
            Make {label} as the others are
          </Button>
        </Section>
      ))}
      {rest.length > 0 ? (
        <Section>
          <Select
            label="Make one box otherwise"
            value={null}
            placeholder="Choose which"
            choices={rest}
            onChange={(drawer) => {
              const { box, stock } = making;
              change({ others: [...others, { drawer, box, stock: { box: stock.box, bottom: stock.bottom } }] }, 'A box is made otherwise');
            }}
          />
        </Section>
      ) : null}
    </>
  );
}

/** How a bank of drawers is made: fronts, what they run on, and the box. */
export function DrawersForm({ bank, making }: { bank: PlacedSpace; making: Drawers }) {
  const { change, wood } = useMakingFields(bank.id, making);
  return (
    <Section>
      <h2>How the drawers are made</h2>
      <Grid>
        <FrontFields bank={bank.id} making={making} />
        <RunnerFields bank={bank} making={making} />
        <BoxFields bank={bank.id} making={making} part={bank.id} />
        {making.front.kind === 'none' ? null : wood('Fronts of', making.stock.front, (id) => ({ stock: { ...making.stock, front: id } }))}
        <Select
          label="They pull out to"
          value={making.face}
          choices={[
            { id: 'front', label: 'the front' },
            { id: 'rear', label: 'the rear' },
          ]}
          onChange={(face) => change({ face }, 'Turned the drawers round')}
        />
      </Grid>
      <OtherBoxes bank={bank} making={making} />
    </Section>
  );
}
