import { memo } from 'react';
import type { Back, Base, Fix, Piece } from '../../core/piece/index.js';
import { ZERO, inch, mm, type Length } from '../../core/length/index.js';
import type { Rounding } from '../../core/run/index.js';
import { usePrecision, useProject } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { Grid, Section, Select, Tick, type Choice } from '../shared/ui.js';
import { useSettledBench } from './bench.js';

type Patch = Partial<Omit<Piece, 'interior' | 'shell'>>;

const BASES: readonly Choice<Base['kind']>[] = [
  { id: 'toe', label: 'Sides to the floor, toe board' },
  { id: 'plinth', label: 'Loose plinth' },
  { id: 'none', label: 'None' },
];
const BACKS: readonly Choice<Back['kind']>[] = [
  { id: 'applied', label: 'Applied behind' },
  { id: 'groove', label: 'In grooves' },
  { id: 'rebate', label: 'In rebates' },
  { id: 'none', label: 'None' },
];
const FIXES: readonly Choice<Fix>[] = [
  { id: 'housed', label: 'Housed' },
  { id: 'loose', label: 'Loose on pins' },
  { id: 'butted', label: 'Butted and screwed' },
];
const CORNERS: readonly Choice<'between' | 'over'>[] = [
  { id: 'between', label: 'Between the sides' },
  { id: 'over', label: 'Over the sides' },
];
const USES = { sides: 'Sides, top, bottom', shelves: 'Shelves', dividers: 'Dividers', back: 'Back', base: 'Base' } as const;

function baseOf(kind: Base['kind'], now: Base, unit: 'mm' | 'in'): Base {
  if (kind === 'none') return { kind };
  const kept =
    now.kind === 'none'
      ? { height: unit === 'mm' ? mm(80) : inch(3), setback: unit === 'mm' ? mm(50) : inch(2), bearers: false }
      : { height: now.height, setback: now.setback, bearers: now.bearers };
  return { kind, ...kept };
}

function backOf(kind: Back['kind'], unit: 'mm' | 'in'): Back {
  const [six, ten, one] = unit === 'mm' ? [mm(6), mm(10), mm(1)] : [inch(1 / 4), inch(3 / 8), inch(1 / 32)];
  if (kind === 'groove') return { kind, depth: six, inset: ten, slack: one };
  if (kind === 'rebate') return { kind, depth: ten, slack: one };
  return { kind };
}

/** How the case is made: base, back, corners, shelves, edges, stock, and how it is brought to the grid. */
export const CaseForm = memo(function CaseForm() {
  const { piece, commit, setDraft, workshop } = useSettledBench();
  const { bench } = useProject();
  const precision = usePrecision();
  const { unit } = precision;
  const change = (patch: Patch, label: string) => commit({ kind: 'piece', patch }, label);
  const length = (label: string, value: Length, patch: (value: Length) => Patch, zero = false) => (
    <LengthField
      label={label}
      value={value}
      precision={precision}
      {...(zero ? { least: ZERO } : {})}
      onCommit={(next) => next !== null && change(patch(next), `Changed ${label.toLowerCase()}`)}
      onDraft={(next) => setDraft(next === null ? null : { kind: 'edit', edit: { kind: 'piece', patch: patch(next) } })}
    />
  );
  const { base, back, shelves, edges } = piece;
  const rounding = piece.rounding ?? workshop.settings.rounding;
  return (
    <Section>
      <h2>How the case is made</h2>
      <Grid>
        <Select
          label="Base"
          value={base.kind}
          choices={BASES}
          onChange={(kind) => change({ base: baseOf(kind, base, unit) }, 'Changed the base')}
        />
        <Select
          label="Back"
          value={back.kind}
          choices={BACKS}
          onChange={(kind) => change({ back: backOf(kind, unit) }, 'Changed the back')}
        />
        {base.kind !== 'none' ? (
          <>
            {length('Base height', base.height, (height) => ({ base: { ...base, height } }))}
            {length('Base back from front', base.setback, (setback) => ({ base: { ...base, setback } }), true)}
            <div style={{ gridColumn: '1 / -1' }}>
              <Tick
                isSelected={base.bearers}
                onChange={(bearers) =>
                  change({ base: { ...base, bearers } }, bearers ? 'Put bearers under the dividers' : 'Took the bearers out')
                }
              >
                Bearers under the dividers
              </Tick>
            </div>
          </>
        ) : null}
        {back.kind === 'groove' || back.kind === 'rebate' ? (
          <>
            {length(back.kind === 'groove' ? 'Groove depth' : 'Rebate width', back.depth, (depth) => ({ back: { ...back, depth } }))}
            {length('Back cut small by', back.slack, (slack) => ({ back: { ...back, slack } }), true)}
          </>
        ) : null}
        {back.kind === 'groove' ? length('Groove in from rear', back.inset, (inset) => ({ back: { ...back, inset } }), true) : null}
        <Select label="Top" value={piece.top} choices={CORNERS} onChange={(top) => change({ top }, 'Changed how the top sits')} />
        <Select
          label="Bottom"
          value={piece.bottom}
          choices={CORNERS}
          onChange={(bottom) => change({ bottom }, 'Changed how the bottom sits')}
        />
        <Select
          label="Shelves fixed"
          value={shelves.fix}
          choices={FIXES}
          onChange={(fix) => change({ shelves: { ...shelves, fix } }, 'Fixed the shelves another way')}
        />
        {shelves.fix === 'housed'
          ? length('Housing depth', shelves.housing, (housing) => ({ shelves: { ...shelves, housing } }))
          : length('Short at each end', shelves.looseEnd, (looseEnd) => ({ shelves: { ...shelves, looseEnd } }), true)}
        {length('Shelves back from front', shelves.setback, (setback) => ({ shelves: { ...shelves, setback } }), true)}
        <Select
          label="Front edges"
          value={edges.front}
          choices={[
            { id: 'eased', label: 'Eased' },
            { id: 'banded', label: 'Covered' },
            { id: 'square', label: 'Left square' },
          ]}
          onChange={(front) =>
            change(
              { edges: { front, banding: front === 'banded' ? edges.banding || (unit === 'mm' ? mm(1) : inch(1 / 32)) : edges.banding } },
              'Changed the front edges',
            )
          }
        />
        {edges.front === 'banded' ? length('Edging thick', edges.banding, (banding) => ({ edges: { ...edges, banding } }), true) : null}
        {(Object.keys(USES) as (keyof typeof USES)[]).map((use) => (
          <Select
            key={use}
            label={USES[use]}
            value={piece.stock[use] ?? piece.stock.sides}
            choices={bench.records.stock.map((s) => ({ id: s.id, label: s.data.name }))}
            onChange={(id) => change({ stock: { ...piece.stock, [use]: id } }, `Changed the stock of ${USES[use].toLowerCase()}`)}
          />
        ))}
        <Select
          label="Set to the grid"
          value={rounding.set}
          choices={[
            { id: 'gaps', label: 'The spaces (for spacers)' },
            { id: 'edges', label: 'The edges (for a tape)' },
            { id: 'exact', label: 'Nothing: exact' },
          ]}
          onChange={(set) => change({ rounding: { ...rounding, set } }, 'Changed what is set to the grid')}
        />
        {rounding.set === 'gaps' ? (
          <Select
            label="Steps left over go"
            value={rounding.leftover}
            choices={[
              { id: 'last', label: 'to the last spaces' },
              { id: 'first', label: 'to the first spaces' },
              { id: 'spread', label: 'spread evenly' },
            ]}
            onChange={(leftover: Rounding['leftover']) => change({ rounding: { ...rounding, leftover } }, 'Changed where steps go')}
          />
        ) : null}
        {rounding.set !== 'exact' ? length('Grid', rounding.grid, (grid) => ({ rounding: { ...rounding, grid } })) : null}
        <div style={{ gridColumn: '1 / -1' }}>
          <Tick
            isSelected={piece.fixedToWall}
            onChange={(fixedToWall) => change({ fixedToWall }, fixedToWall ? 'To be fixed to the wall' : 'Not fixed to the wall')}
          >
            Will be fixed to the wall
          </Tick>
        </div>
      </Grid>
    </Section>
  );
});
