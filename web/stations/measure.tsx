import { useState } from 'react';
import styled from 'styled-components';
import { Plus, Trash2 } from 'lucide-react';
import { ZERO, inch, mm, toMm, type Length } from '../../core/length/index.js';
import type { Overall, Piece } from '../../core/piece/index.js';
import type { Obstacle, Opening } from '../../core/survey/index.js';
import { usePrecision, useProject } from '../data/project.js';
import { useBench, useOpening } from '../bench/bench.js';
import { useSize } from '../bench/drawing.js';
import { LengthField } from '../shared/length-field.js';
import { LengthText } from '../shared/length-text.js';
import { Button, Faint, Grid, Row, Section, Select, type Choice } from '../shared/ui.js';
import { newId, newOpening } from '../data/defaults.js';
import { inkSoft, line, paper, wood } from '../theme/tokens.js';

const REACHES = ['width', 'height', 'depth'] as const;
type Reach = (typeof REACHES)[number];

const FROM: readonly Choice<Overall['from']>[] = [
  { id: 'opening', label: 'The opening' },
  { id: 'given', label: 'A size I give' },
  { id: 'contents', label: 'What it holds' },
  { id: 'bounded', label: 'What it holds, within bounds' },
];

function overallOf(from: Overall['from'], now: Length): Overall {
  if (from === 'given') return { from, size: now, of: 'overall' };
  return from === 'bounded' ? { from, greatest: now } : { from };
}

/** What decides one overall size. */
function OverallForm({ reach }: { reach: Reach }) {
  const { piece, commit, setDraft, solution } = useBench();
  const precision = usePrecision();
  const rule = piece[reach];
  const now = solution.shape.overall[reach].value;
  const change = (next: Overall, label: string) => commit({ kind: 'piece', patch: { [reach]: next } }, label);
  const draft = (next: Overall | null) => setDraft(next ? { kind: 'edit', edit: { kind: 'piece', patch: { [reach]: next } } } : null);
  const ofs: Choice<'overall' | 'inside' | 'sides'>[] = [
    { id: 'overall', label: 'of the outside' },
    { id: 'inside', label: 'of the clear inside' },
    ...(reach === 'depth' ? [{ id: 'sides' as const, label: 'of the sides' }] : []),
  ];
  return (
    <div style={{ marginBottom: 12 }}>
      <Row style={{ justifyContent: 'space-between' }}>
        <h3>{reach.charAt(0).toUpperCase() + reach.slice(1)}</h3>
        <strong style={{ fontSize: 16 }}>
          <LengthText value={now} precision={precision} stacked />
        </strong>
      </Row>
      <Grid>
        <Select
          label="Comes from"
          value={rule.from}
          choices={FROM}
          onChange={(from) => from !== rule.from && change(overallOf(from, now), `The ${reach} comes from elsewhere`)}
        />
        {rule.from === 'given' ? (
          <>
            <LengthField
              label="Size"
              value={rule.size}
              precision={precision}
              onCommit={(size) => size !== null && change({ ...rule, size }, `Gave the ${reach}`)}
              onDraft={(size) => draft(size === null ? null : { ...rule, size })}
            />
            <Select
              label="It is the size"
              value={rule.of}
              choices={ofs}
              onChange={(of) => change({ ...rule, of }, `Gave the ${reach} another way`)}
            />
          </>
        ) : null}
        {rule.from === 'bounded' ? (
          <>
            {(['least', 'greatest'] as const).map((end) => (
              <LengthField
                key={end}
                label={end === 'least' ? 'At least' : 'At most'}
                optional
                value={rule[end] ?? null}
                precision={precision}
                onCommit={(value) => {
                  const { [end]: gone, ...kept } = rule;
                  void gone;
                  change(value === null ? kept : { ...kept, [end]: value }, `Bounded the ${reach}`);
                }}
              />
            ))}
          </>
        ) : null}
      </Grid>
    </div>
  );
}

/** The worksheet of Measure: what decides the outside, which opening, what is left free round it. */
export function MeasureSheet() {
  const { piece, commit } = useBench();
  const { bench, saver } = useProject();
  const found = useOpening();
  const [busy, setBusy] = useState(false);
  const choices = [{ id: '', label: 'None' }, ...bench.records.openings.map((o) => ({ id: o.id, label: o.data.name }))];
  const make = async () => {
    setBusy(true);
    const id = newId(
      'opening',
      bench.records.openings.map((o) => o.id),
    );
    await saver.create('openings', id, newOpening(bench.project.settings.unit), 'Added an opening').catch(() => undefined);
    setBusy(false);
    commit({ kind: 'piece', patch: { opening: id } }, 'Put it into a new opening');
  };
  const choose = (id: string) => {
    if (id) commit({ kind: 'piece', patch: { opening: id } }, 'Chose an opening');
    else commit({ kind: 'piece', patch: { opening: undefined } as unknown as Partial<Piece> }, 'Took it out of the opening');
  };
  return (
    <>
      <header style={{ marginBottom: 10 }}>
        <h1>What decides the outside</h1>
        <Faint>The place it goes into, what it must hold, or sizes you give.</Faint>
      </header>
      {REACHES.map((reach) => (
        <OverallForm key={reach} reach={reach} />
      ))}
      <Section>
        <h2>The opening</h2>
        <Grid $columns={1}>
          <Select label="Goes into" value={piece.opening ?? ''} choices={choices} onChange={choose} />
          <Row>
            <Button isDisabled={busy} onPress={() => void make()}>
              <Plus aria-hidden /> Measure another opening
            </Button>
          </Row>
        </Grid>
        {found ? <OpeningSheet id={found.id} opening={found.opening} /> : null}
      </Section>
    </>
  );
}

const OBSTACLES: readonly Choice<Obstacle['kind']>[] = [
  { id: 'skirting', label: 'Skirting' },
  { id: 'pipe', label: 'Pipe' },
  { id: 'beam', label: 'Beam' },
  { id: 'other', label: 'Something else' },
];

function newObstacle(kind: Obstacle['kind'], opening: Opening, unit: 'mm' | 'in'): Obstacle {
  const s = (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
  const width = Math.min(...opening.widths.map((r) => r.value)) as Length;
  const height = Math.min(...opening.heights.map((r) => r.value)) as Length;
  const id = newId(
    kind,
    opening.obstacles.map((o) => o.id),
  );
  const base = { id, kind, x: ZERO, y: ZERO, z: ZERO };
  const size =
    kind === 'skirting'
      ? { width, height: s(95, 3.75), depth: s(18, 0.75) }
      : kind === 'pipe'
        ? { width: s(28, 1.125), height, depth: s(40, 1.5) }
        : kind === 'beam'
          ? { width, height: s(120, 4.75), depth: s(90, 3.5), y: (height - s(120, 4.75)) as Length }
          : { width: s(100, 4), height: s(100, 4), depth: s(100, 4) };
  const name = kind === 'other' ? 'Something in the way' : kind.charAt(0).toUpperCase() + kind.slice(1);
  return { ...base, name, ...size };
}

function OpeningSheet({ id, opening }: { id: string; opening: Opening }) {
  const { commitOpening, setDraft } = useBench();
  const precision = usePrecision();
  const save = (next: Opening, label: string) => commitOpening(id, next, label);
  const draft = (next: Opening | null) => setDraft(next ? { kind: 'opening', id, opening: next } : null);
  const slack = (part: keyof Opening['slack'], label: string) => (
    <LengthField
      label={label}
      value={opening.slack[part]}
      least={ZERO}
      precision={precision}
      onCommit={(value) =>
        value !== null && save({ ...opening, slack: { ...opening.slack, [part]: value } }, `Left ${label.toLowerCase()} free`)
      }
      onDraft={(value) => draft(value === null ? null : { ...opening, slack: { ...opening.slack, [part]: value } })}
    />
  );
  const without = <K extends 'ceiling' | 'door'>(key: K): Opening => {
    const { [key]: gone, ...rest } = opening;
    void gone;
    return rest as Opening;
  };
  const door = (side: 'width' | 'height', value: Length | null) => {
    if (value === null) return save(without('door'), 'Took the door out');
    const now = opening.door ?? {
      width: precision.unit === 'mm' ? mm(838) : inch(33),
      height: precision.unit === 'mm' ? mm(1981) : inch(78),
    };
    save({ ...opening, door: { ...now, [side]: value } }, 'Measured the door');
  };
  return (
    <>
      <h3 style={{ marginTop: 12 }}>Left free</h3>
      <Grid $columns={3}>
        {slack('side', 'Each side')}
        {slack('above', 'Above')}
        {slack('behind', 'Behind')}
      </Grid>
      <h3 style={{ marginTop: 12 }}>The room</h3>
      <Grid $columns={3}>
        <LengthField
          label="Ceiling"
          optional
          value={opening.ceiling ?? null}
          precision={precision}
          onCommit={(value) => save(value === null ? without('ceiling') : { ...opening, ceiling: value }, 'Measured the ceiling')}
        />
        <LengthField
          label="Door, wide"
          optional
          value={opening.door?.width ?? null}
          precision={precision}
          onCommit={(value) => door('width', value)}
        />
        <LengthField
          label="Door, high"
          optional
          value={opening.door?.height ?? null}
          precision={precision}
          onCommit={(value) => door('height', value)}
        />
      </Grid>
      <h3 style={{ marginTop: 12 }}>In the way</h3>
      {opening.obstacles.length === 0 ? <Faint>Skirting, pipes, beams: nothing so far.</Faint> : null}
      {opening.obstacles.map((o) => (
        <ObstacleForm
          key={o.id}
          obstacle={o}
          onChange={(next, label) =>
            save({ ...opening, obstacles: opening.obstacles.flatMap((p) => (p.id === o.id ? (next ? [next] : []) : [p])) }, label)
          }
        />
      ))}
      <div style={{ marginTop: 6 }}>
        <Row>
          {OBSTACLES.map((o) => (
            <Button
              key={o.id}
              onPress={() =>
                save(
                  { ...opening, obstacles: [...opening.obstacles, newObstacle(o.id, opening, precision.unit)] },
                  `Added ${o.label.toLowerCase()}`,
                )
              }
            >
              <Plus aria-hidden /> {o.label}
            </Button>
          ))}
        </Row>
      </div>
    </>
  );
}

function ObstacleForm({ obstacle, onChange }: { obstacle: Obstacle; onChange: (next: Obstacle | null, label: string) => void }) {
  const precision = usePrecision();
  const field = (key: 'x' | 'y' | 'z' | 'width' | 'height' | 'depth', label: string) => (
    <LengthField
      label={label}
      value={obstacle[key]}
      precision={precision}
      {...(key.length === 1 ? { least: ZERO } : {})}
      onCommit={(value) => value !== null && onChange({ ...obstacle, [key]: value }, `Measured ${obstacle.name}`)}
    />
  );
  return (
    <div style={{ borderBottom: `1px solid ${line}`, padding: '6px 0' }}>
      <Row style={{ justifyContent: 'space-between' }}>
        <strong>{obstacle.name}</strong>
        <Button data-quiet aria-label={`Take ${obstacle.name} out`} onPress={() => onChange(null, `Took out ${obstacle.name}`)}>
          <Trash2 aria-hidden />
        </Button>
      </Row>
      <Grid $columns={3}>
        {field('width', 'Wide')}
        {field('height', 'High')}
        {field('depth', 'Deep')}
        {field('x', 'From left')}
        {field('y', 'From floor')}
        {field('z', 'Off the wall')}
      </Grid>
    </div>
  );
}

const Board = styled.div`
  position: relative;
  flex: 1;
  min-height: 460px;
  > svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
`;

const Spot = styled.div`
  position: absolute;
  width: 104px;
  background: ${paper};
  padding: 2px 4px 4px;
  border: 1px solid ${line};
  z-index: 1;
  &:focus-within {
    z-index: 5;
  }
`;

interface ReadingSpot {
  readonly label: string;
  readonly value: Length | null;
  readonly optional: boolean;
  readonly x: number;
  readonly y: number;
  readonly with: (value: Length | null) => Opening;
}

function withReading(opening: Opening, list: 'widths' | 'heights' | 'depths', index: number, value: Length | null): Opening {
  if (value === null) return { ...opening, [list]: opening[list].filter((_, i) => i !== index) };
  return { ...opening, [list]: opening[list].map((r, i) => (i === index ? { ...r, value } : r)) };
}

/** The opening drawn with a field at each place a tape goes. */
export function MeasureStage() {
  const found = useOpening();
  const { ref, size } = useSize();
  const { solution, commitOpening, setDraft } = useBench();
  const precision = usePrecision();
  if (!found) {
    return (
      <Board ref={ref}>
        <div style={{ padding: 40, maxWidth: 460 }}>
          <h2>No opening yet</h2>
          <p>
            This piece stands free. Measure an opening at the left if it must fit a place; or put things into its spaces under Divide and
            let them decide its size.
          </p>
        </div>
      </Board>
    );
  }
  const { id, opening } = found;
  const width = Math.max(...opening.widths.map((r) => toMm(r.value)));
  const height = Math.max(...opening.heights.map((r) => toMm(r.value)));
  const room = { left: 140, right: 260, top: 56, bottom: 70 };
  const scale = Math.max(0.01, Math.min((size.width - room.left - room.right) / width, (size.height - room.top - room.bottom) / height));
  const [w, h] = [width * scale, height * scale];
  const left = room.left + Math.max(0, (size.width - room.left - room.right - w) / 2);
  const top = room.top + Math.max(0, (size.height - room.top - room.bottom - h) / 2);
  const foot = top + h;

  const spread = (count: number, i: number) => (count === 1 ? 0.5 : 0.08 + (0.84 * i) / (count - 1));
  const spots: ReadingSpot[] = [
    ...opening.widths.map((r, i) => ({
      label: `Width, ${r.place}`,
      value: r.value,
      optional: opening.widths.length > 1,
      x: left + w / 2 - 52,
      y: top + h * spread(opening.widths.length, i) - 24,
      with: (v: Length | null) => withReading(opening, 'widths', i, v),
    })),
    ...opening.heights.map((r, i) => ({
      label: `Height, ${r.place}`,
      value: r.value,
      optional: opening.heights.length > 1,
      x: i === 0 ? left - 116 : left + w + 12,
      y: top + h * 0.3 + (i > 1 ? 60 * (i - 1) : 0),
      with: (v: Length | null) => withReading(opening, 'heights', i, v),
    })),
    ...opening.depths.map((r, i) => ({
      label: `Depth, ${r.place}`,
      value: r.value,
      optional: opening.depths.length > 1,
      x: left + w + 126,
      y: foot - 60 - i * 56,
      with: (v: Length | null) => withReading(opening, 'depths', i, v),
    })),
    {
      label: 'Diagonal, rising',
      value: opening.diagonals?.rising ?? null,
      optional: true,
      x: left + w + 126,
      y: top + 4,
      with: (v) => withDiagonal(opening, 'rising', v),
    },
    {
      label: 'Diagonal, falling',
      value: opening.diagonals?.falling ?? null,
      optional: true,
      x: left + w + 126,
      y: top + 62,
      with: (v) => withDiagonal(opening, 'falling', v),
    },
  ];
  const add = (list: 'widths' | 'heights' | 'depths', place: string) => {
    const first = opening[list][0];
    if (first) commitOpening(id, { ...opening, [list]: [...opening[list], { place, value: first.value }] }, 'Added a reading');
  };
  const piece = solution.shape.overall;
  const pw = toMm(piece.width.value) * scale;
  const ph = toMm(piece.height.value) * scale;
  return (
    <Board ref={ref}>
      {size.width > 0 ? (
        <>
          <svg role="img" aria-label={`${opening.name} with the piece in it, to scale`}>
            <path
              d={`M${left - 40} ${foot}H${left}V${top}H${left + w}V${foot}H${left + w + 40}`}
              fill="none"
              stroke={inkSoft}
              strokeWidth={2}
            />
            <rect
              x={left + (w - pw) / 2}
              y={foot - ph}
              width={pw}
              height={ph}
              fill={wood}
              fillOpacity={0.25}
              stroke={inkSoft}
              strokeDasharray="5 4"
            />
            {opening.obstacles.map((o) => (
              <rect
                key={o.id}
                x={left + toMm(o.x) * scale}
                y={foot - toMm((o.y + o.height) as Length) * scale}
                width={toMm(o.width) * scale}
                height={toMm(o.height) * scale}
                fill="#bfc7c0"
                stroke={inkSoft}
              >
                <title>{o.name}</title>
              </rect>
            ))}
            <path d={`M${left} ${foot}L${left + w} ${top}M${left} ${top}L${left + w} ${foot}`} stroke={line} strokeDasharray="2 5" />
            {opening.widths.map((_, i) => {
              const y = top + h * spread(opening.widths.length, i);
              return (
                <path
                  key={i}
                  d={`M${left + 3} ${y}H${left + w - 3}M${left + 3} ${y - 5}V${y + 5}M${left + w - 3} ${y - 5}V${y + 5}`}
                  stroke={inkSoft}
                />
              );
            })}
          </svg>
          {spots.map((spot) => (
            <Spot key={spot.label} style={{ left: spot.x, top: spot.y }}>
              <LengthField
                label={spot.label}
                value={spot.value}
                optional={spot.optional}
                precision={precision}
                onCommit={(value) => commitOpening(id, spot.with(value), `Measured ${spot.label.toLowerCase()}`)}
                onDraft={(value) => setDraft(value === null ? null : { kind: 'opening', id, opening: spot.with(value) })}
              />
            </Spot>
          ))}
          <Row style={{ position: 'absolute', left: 16, bottom: 12 }}>
            <Button onPress={() => add('widths', `width ${opening.widths.length + 1}`)}>
              <Plus aria-hidden /> Width
            </Button>
            <Button onPress={() => add('heights', `height ${opening.heights.length + 1}`)}>
              <Plus aria-hidden /> Height
            </Button>
            <Button onPress={() => add('depths', `depth ${opening.depths.length + 1}`)}>
              <Plus aria-hidden /> Depth
            </Button>
            <Faint>Measure a width at the top, the middle and the bottom. Empty a reading to take it out.</Faint>
          </Row>
        </>
      ) : null}
    </Board>
  );
}

function withDiagonal(opening: Opening, which: 'rising' | 'falling', value: Length | null): Opening {
  const { diagonals, ...rest } = opening;
  if (value === null) return rest;
  const other = diagonals ?? { rising: value, falling: value };
  return { ...rest, diagonals: { ...other, [which]: value } };
}
