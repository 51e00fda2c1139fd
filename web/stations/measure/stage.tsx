import styled from 'styled-components';
import { Plus } from 'lucide-react';
import { toMm, type Length } from '../../../core/length/index.js';
import { valuesOf, type Opening } from '../../../core/survey/index.js';
import { shellPage } from '../../kinds/index.js';
import { SHUT } from '../../../core/piece/index.js';
import { usePrecision, useProject } from '../../data/project.js';
import { useBench, useOpening } from '../../bench/bench.js';
import { PieceStage } from '../../bench/drawing.js';
import { useSize } from '../../shared/use-size.js';
import { besideOf } from '../../bench/person.js';
import { LengthField } from '../../shared/length-field.js';
import { Button, Faint, Grid, Row } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { ghostEdge, inkSoft, line, paper, phone, wood, woodDark } from '../../theme/tokens.js';

/** At the foot of the drawing. */
const Under = styled(Row)`
  position: absolute;
  left: 16px;
  bottom: 12px;
`;

/** Narrower than this the fields stand in a list, since the drawing would be no larger than they are; px. */
const NARROW = 620;

const Board = styled.div`
  position: relative;
  flex: 1;
  min-height: 460px;
  @media ${phone} {
    min-height: 0;
  }
  > svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
`;

const Spot = styled.div`
  position: absolute;
  width: 122px;
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
  /** Its path in the opening, where figures come from it. */
  readonly field?: string;
  readonly value: Length | null;
  readonly optional: boolean;
  /** What stands in until it is measured. */
  readonly assumed?: Length | null;
  readonly x: number;
  readonly y: number;
  readonly with: (value: Length | null) => Opening;
}

const LISTS = ['widths', 'heights', 'depths'] as const;

function withReading(opening: Opening, list: (typeof LISTS)[number], index: number, value: Length | null): Opening {
  if (value === null) {
    const { length } = opening[list];
    const left = opening[list].filter((_, i) => i !== index);
    return { ...opening, [list]: length > 1 ? left : opening[list].map((r) => ({ ...r, assumed: true })) };
  }
  return { ...opening, [list]: opening[list].map((r, i) => (i === index ? { place: r.place, value } : r)) };
}

/** An opening without the readings that were never taken; one of each list stays. */
function withoutBlanks(opening: Opening): Opening {
  const kept = LISTS.map((list) => {
    const taken = opening[list].filter((r) => !r.assumed);
    return [list, taken.length > 0 ? taken : opening[list].slice(0, 1)] as const;
  });
  return { ...opening, ...Object.fromEntries(kept) };
}

const Note = styled.div`
  padding: 24px 40px 0;
  max-width: 560px;
`;

const nothing = () => undefined;

/** A piece that stands in no opening, beside who uses it. */
function Alone() {
  const { solution } = useBench();
  const { bench } = useProject();
  const { usedBy } = solution.piece;
  const who = bench.records.people.find((p) => p.id === usedBy?.person) ?? bench.records.people[0];
  if (solution.shape.members.length === 0) return null;
  return (
    <PieceStage
      view={usedBy && usedBy.how !== 'stands at' ? 'side' : 'front'}
      pose={SHUT}
      contents
      tapes={false}
      person={who ? besideOf(who.data, usedBy) : null}
      onRules={nothing}
    />
  );
}

/** The opening drawn with a field at each place a tape goes. */
export function MeasureStage() {
  const found = useOpening();
  const { ref, size } = useSize();
  const { solution, commitOpening, setDraft } = useBench();
  const precision = usePrecision();
  if (!found) {
    const unmeasured = shellPage(solution.piece).unmeasured(solution.piece);
    return (
      <>
        <Note>
          <h2>{unmeasured.title}</h2>
          <p>{unmeasured.text}</p>
        </Note>
        <Alone />
      </>
    );
  }
  const { id, opening } = found;
  const width = Math.max(...valuesOf(opening, 'width').map(toMm));
  const height = Math.max(...valuesOf(opening, 'height').map(toMm));
  const room = { left: 150, right: 276, top: 56, bottom: 70 };
  const scale = Math.max(0.01, Math.min((size.width - room.left - room.right) / width, (size.height - room.top - room.bottom) / height));
  const [w, h] = [width * scale, height * scale];
  const left = room.left + Math.max(0, (size.width - room.left - room.right - w) / 2);
  const top = room.top + Math.max(0, (size.height - room.top - room.bottom - h) / 2);
  const foot = top + h;

  const spread = (count: number, i: number) => (count === 1 ? 0.5 : 0.08 + (0.84 * i) / (count - 1));
  const spots: ReadingSpot[] = [
    ...opening.widths.map((r, i) => ({
      label: `Width, ${r.place}`,
      field: `widths.${i}`,
      value: r.assumed ? null : r.value,
      optional: true,
      assumed: r.assumed ? r.value : null,
      x: left + w / 2 - 61,
      y: top + h * spread(opening.widths.length, i) - 24,
      with: (v: Length | null) => withReading(opening, 'widths', i, v),
    })),
    ...opening.heights.map((r, i) => ({
      label: `Height, ${r.place}`,
      field: `heights.${i}`,
      value: r.assumed ? null : r.value,
      optional: true,
      assumed: r.assumed ? r.value : null,
      x: i === 0 ? left - 134 : left + w + 12,
      y: top + h * 0.3 + (i > 1 ? 60 * (i - 1) : 0),
      with: (v: Length | null) => withReading(opening, 'heights', i, v),
    })),
    ...opening.depths.map((r, i) => ({
      label: `Depth, ${r.place}`,
      field: `depths.${i}`,
      value: r.assumed ? null : r.value,
      optional: true,
      assumed: r.assumed ? r.value : null,
      x: left + w + 142,
      y: foot - 60 - i * 56,
      with: (v: Length | null) => withReading(opening, 'depths', i, v),
    })),
    {
      label: 'Diagonal, rising',
      value: opening.diagonals?.rising ?? null,
      optional: true,
      x: left + w + 142,
      y: top + 4,
      with: (v) => withDiagonal(opening, 'rising', v),
    },
    {
      label: 'Diagonal, falling',
      value: opening.diagonals?.falling ?? null,
      optional: true,
      x: left + w + 142,
      y: top + 62,
      with: (v) => withDiagonal(opening, 'falling', v),
    },
  ];
  const add = (list: (typeof LISTS)[number], place: string) => {
    const first = opening[list][0];
    if (first)
      commitOpening(id, { ...opening, [list]: [...opening[list], { place, value: first.value, assumed: true }] }, 'Added a reading');
  };
  const measured = withoutBlanks(opening);
  const piece = solution.shape.overall;
  const pw = toMm(piece.width.value) * scale;
  const ph = toMm(piece.height.value) * scale;
  const field = (spot: ReadingSpot) => (
    <LengthField
      label={spot.label}
      {...(spot.field ? { of: { in: 'opening', id, field: spot.field } as const } : {})}
      value={spot.value}
      optional={spot.optional}
      {...(spot.assumed ? { standsIn: spot.assumed } : {})}
      precision={precision}
      onCommit={(value) => commitOpening(id, spot.with(value), `Measured ${spot.label.toLowerCase()}`)}
      onDraft={(value) => setDraft(value === null ? null : { kind: 'opening', id, opening: spot.with(value) })}
    />
  );
  if (size.width > 0 && size.width < NARROW) {
    return (
      <Board ref={ref}>
        <Grid $pad={16}>
          {spots.map((spot) => (
            <div key={spot.label}>{field(spot)}</div>
          ))}
        </Grid>
      </Board>
    );
  }
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
            {(opening.studs ?? []).map((at) => (
              <line
                key={at}
                x1={left + toMm(at) * scale}
                x2={left + toMm(at) * scale}
                y1={top}
                y2={foot}
                stroke={woodDark}
                strokeWidth={6}
                strokeOpacity={0.45}
              >
                <title>Stud</title>
              </line>
            ))}
            {opening.obstacles.map((o) => (
              <rect
                key={o.id}
                x={left + toMm(o.x) * scale}
                y={foot - toMm((o.y + o.height) as Length) * scale}
                width={toMm(o.width) * scale}
                height={toMm(o.height) * scale}
                fill={ghostEdge}
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
              {field(spot)}
            </Spot>
          ))}
          <Under>
            <Button onPress={() => add('widths', `reading ${opening.widths.length + 1}`)}>
              <Plus aria-hidden /> Width
            </Button>
            <Button onPress={() => add('heights', `reading ${opening.heights.length + 1}`)}>
              <Plus aria-hidden /> Height
            </Button>
            <Button onPress={() => add('depths', `reading ${opening.depths.length + 1}`)}>
              <Plus aria-hidden /> Depth
            </Button>
            {LISTS.some((list) => measured[list].length < opening[list].length) ? (
              <Button data-quiet onPress={() => commitOpening(id, measured, 'Took out blank readings')}>
                Remove blank readings
              </Button>
            ) : (
              <Faint>Empty a reading to remove it.</Faint>
            )}
          </Under>
        </>
      ) : null}
    </Board>
  );
}

function withDiagonal(opening: Opening, which: 'rising' | 'falling', value: Length | null): Opening {
  const { diagonals, ...rest } = opening;
  // The other one stays as it is: what was not measured is not made up.
  const kept = without(diagonals ?? {}, which);
  const next = value === null ? kept : { ...kept, [which]: value };
  return Object.keys(next).length === 0 ? rest : { ...rest, diagonals: next };
}
