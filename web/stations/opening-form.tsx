import styled from 'styled-components';
import { Plus, Trash2 } from 'lucide-react';
import { ZERO, inch, least, mm, type Length } from '../../core/length/index.js';
import { valuesOf, type Obstacle, type Opening } from '../../core/survey/index.js';
import { usePrecision } from '../data/project.js';
import { useBench } from '../bench/bench.js';
import { LengthField } from '../shared/length-field.js';
import { Button, Faint, Grid, Row, type Choice } from '../shared/ui.js';
import { newId } from '../data/defaults.js';
import { line } from '../theme/tokens.js';
import { without } from '../shared/without.js';
import { Laid } from '../shared/laid.js';

const Reading = styled.div`
  border-bottom: 1px solid ${line};
  padding: 6px 0;
`;

const OBSTACLES: readonly Choice<Obstacle['kind']>[] = [
  { id: 'skirting', label: 'Skirting' },
  { id: 'pipe', label: 'Pipe' },
  { id: 'beam', label: 'Beam' },
  { id: 'other', label: 'Something else' },
];

function newObstacle(kind: Obstacle['kind'], opening: Opening, unit: 'mm' | 'in'): Obstacle {
  const s = (metric: number, imperial: number) => (unit === 'mm' ? mm(metric) : inch(imperial));
  const width = least(valuesOf(opening, 'width'));
  const height = least(valuesOf(opening, 'height'));
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

/** What is left free round a piece in an opening, the room, and what is in the way. */
export function OpeningForm({ id, opening }: { id: string; opening: Opening }) {
  const { commitOpening, setDraft } = useBench();
  const precision = usePrecision();
  const save = (next: Opening, label: string) => commitOpening(id, next, label);
  const draft = (next: Opening | null) => setDraft(next ? { kind: 'opening', id, opening: next } : null);
  const slack = (part: keyof Opening['slack'], label: string) => (
    <LengthField
      label={label}
      of={{ in: 'opening', id, field: `slack.${part}` }}
      value={opening.slack[part]}
      least={ZERO}
      precision={precision}
      onCommit={(value) =>
        value !== null && save({ ...opening, slack: { ...opening.slack, [part]: value } }, `Left ${label.toLowerCase()} free`)
      }
      onDraft={(value) => draft(value === null ? null : { ...opening, slack: { ...opening.slack, [part]: value } })}
    />
  );
  const studs = opening.studs ?? [];
  const readStud = (index: number, value: Length | null) => {
    const kept = studs.filter((_, i) => i !== index);
    const next = value === null ? kept : [...kept, value].sort((a, b) => a - b);
    save(next.length > 0 ? { ...opening, studs: next } : without(opening, 'studs'), value === null ? 'Took a stud out' : 'Found a stud');
  };
  const door = (side: 'width' | 'height', value: Length | null) => {
    if (value === null) return save(without(opening, 'door'), 'Took the door out');
    const now = opening.door ?? {
      width: precision.unit === 'mm' ? mm(838) : inch(33),
      height: precision.unit === 'mm' ? mm(1981) : inch(78),
    };
    save({ ...opening, door: { ...now, [side]: value } }, 'Measured the door');
  };
  return (
    <>
      <Laid.h3 $above={12}>Left free</Laid.h3>
      <Grid $columns={3}>
        {slack('side', 'Each side')}
        {slack('above', 'Above')}
        {slack('behind', 'Behind')}
      </Grid>
      <Laid.h3 $above={12}>The room</Laid.h3>
      <Grid>
        <LengthField
          label="Ceiling"
          of={{ in: 'opening', id, field: 'ceiling' }}
          optional
          value={opening.ceiling ?? null}
          precision={precision}
          onCommit={(value) => save(value === null ? without(opening, 'ceiling') : { ...opening, ceiling: value }, 'Measured the ceiling')}
        />
        <LengthField
          label="Free in front"
          optional
          value={opening.inFront ?? null}
          precision={precision}
          onCommit={(value) =>
            save(value === null ? without(opening, 'inFront') : { ...opening, inFront: value }, 'Measured what is free in front')
          }
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
      <Laid.h3 $above={12}>Studs behind it</Laid.h3>
      <Faint>Their middles, from the left of the opening: screws through a back count only into studs that were found.</Faint>
      <Grid $columns={3}>
        {[...studs, null].map((at, i) => (
          <LengthField
            key={at === null ? 'next' : `${i} ${at}`}
            label={at === null ? 'Another stud' : `Stud ${i + 1}`}
            optional
            value={at}
            precision={precision}
            onCommit={(value) => readStud(i, value)}
          />
        ))}
      </Grid>
      <Laid.h3 $above={12}>In the way</Laid.h3>
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
      <Laid.div $above={6}>
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
      </Laid.div>
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
    <Reading>
      <Row $spread>
        <strong>{obstacle.name}</strong>
        <Button data-quiet aria-label={`Remove ${obstacle.name}`} onPress={() => onChange(null, `Took out ${obstacle.name}`)}>
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
    </Reading>
  );
}
