import { useState } from 'react';

import { ZERO, mm, inch, sub, type Length } from '../../core/length/index.js';
import { nearestCounts, type GapRule } from '../../core/run/index.js';
import type { PieceEdit, PlacedSpace } from '../../core/piece/index.js';
import { partsStandAlone } from '../../core/solution/index.js';
import { usePrecision } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { LengthText } from '../shared/length-text.js';
import { Button, type Choice, Faint, Grid, NumberInput, Select, Tick, Wide } from '../shared/ui.js';
import { useSettledBench } from './bench.js';
import { newNodesFor } from './nodes.js';
import { Laid } from '../shared/laid.js';

type RuleKind = GapRule['kind'];

const KINDS: readonly Choice<RuleKind>[] = [
  { id: 'share', label: 'Shares what is left' },
  { id: 'fixed', label: 'A size I give' },
  { id: 'fit', label: 'Fits what stands in it' },
  { id: 'graded', label: 'A step from the one before' },
  { id: 'grid', label: 'On a hole or groove pitch' },
];

/** A rule of another kind that keeps a gap near the size it has. */
export function ruleOf(kind: RuleKind, now: Length, unit: 'mm' | 'in'): GapRule {
  const pitch = unit === 'mm' ? mm(32) : inch(1.25);
  switch (kind) {
    case 'share':
      return { kind, weight: 1 };
    case 'fixed':
      return { kind, size: now };
    case 'fit':
      return { kind, clearance: ZERO };
    case 'graded':
      return { kind, step: unit === 'mm' ? mm(20) : inch(0.75) };
    case 'grid':
      return { kind, pitch, steps: Math.max(1, Math.round(now / pitch)), overMember: true };
  }
}

function NumberEntry({
  label,
  value,
  onChange,
  step = 1,
  least = 0.01,
  most = 1000,
}: {
  label: string;
  value: number;
  onChange: (value: number) => void;
  step?: number;
  least?: number;
  most?: number;
}) {
  return (
    <NumberInput
      label={label}
      value={value}
      onChange={(n) => globalThis.Number.isFinite(n) && onChange(n)}
      minValue={least}
      maxValue={most}
      step={step}
      aria-label={label}
      formatOptions={{ maximumFractionDigits: 3, useGrouping: false }}
    />
  );
}

/** The fields of a rule, each with its own. */
function RuleFields({
  space,
  rule,
  change,
  draft,
}: {
  space: string;
  rule: GapRule;
  change: (rule: GapRule) => void;
  draft: (rule: GapRule | null) => void;
}) {
  const precision = usePrecision();
  switch (rule.kind) {
    case 'fixed':
      return (
        <LengthField
          label="Size"
          of={{ in: 'space', id: space, field: 'rule.size' }}
          value={rule.size}
          precision={precision}
          onCommit={(size) => size !== null && change({ ...rule, size })}
          onDraft={(size) => draft(size === null ? null : { ...rule, size })}
        />
      );
    case 'fit':
      return (
        <LengthField
          label="Clear over it"
          of={{ in: 'space', id: space, field: 'rule.clearance' }}
          value={rule.clearance}
          least={ZERO}
          precision={precision}
          onCommit={(clearance) => clearance !== null && change({ ...rule, clearance })}
          onDraft={(clearance) => draft(clearance === null ? null : { ...rule, clearance })}
        />
      );
    case 'share':
      return (
        <NumberEntry
          label="Share (1x, 2x)"
          value={rule.weight}
          step={0.25}
          least={0.25}
          onChange={(weight) => change({ ...rule, weight })}
        />
      );
    case 'graded':
      return 'step' in rule ? (
        <LengthField
          label="Larger by (minus: smaller)"
          value={rule.step as Length}
          least={mm(-5000)}
          precision={precision}
          onCommit={(step) => step !== null && change({ kind: 'graded', step })}
          onDraft={(step) => draft(step === null ? null : { kind: 'graded', step })}
        />
      ) : (
        <NumberEntry
          label="Times the one before"
          value={rule.ratio}
          step={0.05}
          least={0.05}
          most={10}
          onChange={(ratio) => change({ kind: 'graded', ratio })}
        />
      );
    case 'grid':
      return (
        <>
          <LengthField
            label="Pitch"
            of={{ in: 'space', id: space, field: 'rule.pitch' }}
            value={rule.pitch}
            precision={precision}
            onCommit={(pitch) => pitch !== null && change({ ...rule, pitch })}
            onDraft={(pitch) => draft(pitch === null ? null : { ...rule, pitch })}
          />
          <NumberEntry
            label="Steps"
            value={rule.steps}
            least={1}
            most={10_000}
            onChange={(steps) => change({ ...rule, steps: Math.round(steps) })}
          />
        </>
      );
  }
}

/** What decides a gap, changed in place. */
export function RuleForm({ space }: { space: PlacedSpace }) {
  const { commit, setDraft } = useSettledBench();
  const precision = usePrecision();
  const { rule, least, greatest } = space.space;
  const axis = space.within?.axis;
  const edit = (next: GapRule): PieceEdit => ({ kind: 'rule', space: space.id, rule: next });
  const change = (next: GapRule) => commit(edit(next), `Changed what decides ${space.label}`.slice(0, 150));
  const bounds = (patch: { least?: Length | null; greatest?: Length | null }) => {
    const next = { least, greatest, ...patch };
    commit(
      {
        kind: 'bounds',
        space: space.id,
        ...(next.least ? { least: next.least } : {}),
        ...(next.greatest ? { greatest: next.greatest } : {}),
      },
      `Bounded ${space.label}`.slice(0, 150),
    );
  };
  const now = axis === 'across' ? space.clear.width.value : space.clear.height.value;
  const free = rule.kind === 'share' || rule.kind === 'graded';
  return (
    <Grid $above={8}>
      <Wide>
        <Select
          label="What decides it"
          value={rule.kind}
          choices={KINDS}
          onChange={(kind) => kind !== rule.kind && change(ruleOf(kind, now, precision.unit))}
        />
      </Wide>
      <RuleFields
        space={space.id}
        rule={rule}
        change={change}
        draft={(next) => setDraft(next ? { kind: 'edit', edit: edit(next) } : null)}
      />
      {rule.kind === 'graded' ? (
        <Select
          label="Graded by"
          value={'step' in rule ? 'step' : 'ratio'}
          choices={[
            { id: 'step', label: 'A step' },
            { id: 'ratio', label: 'A ratio' },
          ]}
          onChange={(by) => change(by === 'step' ? ruleOf('graded', now, precision.unit) : { kind: 'graded', ratio: 1.1 })}
        />
      ) : null}
      {rule.kind === 'grid' ? (
        <Tick isSelected={rule.overMember} onChange={(overMember) => change({ ...rule, overMember })}>
          From shelf to shelf
        </Tick>
      ) : null}
      {free ? (
        <>
          <LengthField
            label="At least"
            optional
            value={least ?? null}
            precision={precision}
            onCommit={(value) => bounds({ least: value })}
          />
          <LengthField
            label="At most"
            optional
            value={greatest ?? null}
            precision={precision}
            onCommit={(value) => bounds({ greatest: value })}
          />
        </>
      ) : null}
      {axis === 'up' ? <CountForWanted space={space} /> : null}
    </Grid>
  );
}

/** The inverse question: how many shelves come nearest to a wanted gap. */
function CountForWanted({ space }: { space: PlacedSpace }) {
  const { settled, commit, workshop, piece } = useSettledBench();
  const precision = usePrecision();
  const [wanted, setWanted] = useState<Length | null>(null);
  const owner = settled.shape.spaces.get(space.within?.owner ?? '');
  const run = settled.shape.runs.get(space.within?.owner ?? '');
  const member = run?.run.lines.find((l) => l.line.kind === 'member' && run.roles.has(l.line.id));
  if (!owner || !run || !member) return null;
  const drawers = partsStandAlone(run);
  const grid = (piece.rounding ?? workshop.settings.rounding).grid;
  // Reveals above and below are there whatever the count.
  const ends = run.run.lines.filter((l) => l.line.kind === 'member' && !run.roles.has(l.line.id));
  const total = ends.reduce((rest, l) => sub(rest, l.size.value), run.run.total.value);
  const counts = wanted === null ? [] : nearestCounts(total, member.size.value, wanted, 1, grid);
  const use = (members: number) => {
    const { newMembers, newSpaces } = newNodesFor(piece, members);
    commit(
      { kind: 'even', space: owner.id, members, newMembers, newSpaces },
      drawers ? `Made ${members + 1} equal drawers` : `Made ${members} shelves with equal spaces`,
    );
  };
  return (
    <Laid.details $across>
      <Laid.summary $pressed $size={13}>
        {drawers ? 'How many drawers for a wanted height?' : 'How many shelves for a wanted space?'}
      </Laid.summary>
      <Laid.div $above={6}>
        <LengthField label="Wanted space, all equal" optional value={wanted} precision={precision} onCommit={setWanted} />
        {counts.map((c) => (
          <Laid.p key={c.members} $size={13} $above={4}>
            <strong>{drawers ? `${c.members + 1} drawers` : `${c.members} shelves`}</strong> give{' '}
            <LengthText value={c.gap} precision={precision} />
            <Faint>
              {' '}
              set to <LengthText value={c.set} precision={precision} /> with <LengthText value={c.leftover} precision={precision} /> left
              over
            </Faint>{' '}
            {c.members > 0 ? <Button onPress={() => use(c.members)}>Use {drawers ? c.members + 1 : c.members}</Button> : null}
          </Laid.p>
        ))}
      </Laid.div>
    </Laid.details>
  );
}
