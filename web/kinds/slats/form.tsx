import { useState } from 'react';
import { TextField } from 'react-aria-components';
import { slatCounts, slatOverall, slatWidth } from '../../../core/interiors/slats/index.js';
import { ZERO, inch, mm, type Length } from '../../../core/length/index.js';
import type { PlacedSpace } from '../../../core/piece/index.js';
import type { Slats } from '../../../core/interiors/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { newNodesFor } from '../../bench/nodes.js';
import { usePrecision } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { LengthText } from '../../shared/length-text.js';
import { Button, FieldLabel, Grid, NumberInput, Section, Select, TextInput, WideTick, Wide } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { useMakingFields } from '../fields.js';
import { Laid } from '../../shared/laid.js';

/** The inverse questions: which counts come near a wanted gap, and how long a deck is with a spacer of it. */
function WantedGap({ space, making }: { space: PlacedSpace; making: Slats }) {
  const { settled, commit, piece } = useSettledBench();
  const precision = usePrecision();
  const [gap, setGap] = useState<Length | null>(null);
  const run = settled.shape.runs.get(space.id);
  if (!run) return null;
  const { ends, wide: width } = making;
  const overall = run.run.total.value;
  const now = run.run.lines.filter((l) => l.line.kind === 'member').length;
  const use = (count: number) =>
    commit(
      { kind: 'even', space: space.id, members: ends === 'flush' ? count - 2 : count, ...newNodesFor(piece, count) },
      `Made ${count} slats with equal gaps`,
    );
  return (
    <Laid.details $above={8}>
      <Laid.summary $pressed $size={13}>
        Start from a gap, or from a spacer
      </Laid.summary>
      <LengthField label="Wanted gap" optional value={gap} precision={precision} onCommit={setGap} />
      {gap === null ? null : (
        <Laid.div $size={13} $above={6}>
          {slatCounts({ width, gap, overall, ends }).map((n) => (
            <p key={n.count}>
              <strong>{n.count} slats</strong> leave gaps of <LengthText value={n.gap} precision={precision} />; with just that spacer{' '}
              <LengthText value={Math.abs(n.left) as Length} precision={precision} /> {n.left < 0 ? 'too much' : 'left over'}.{' '}
              {n.count > 2 ? <Button onPress={() => use(n.count)}>Use {n.count}</Button> : null}
            </p>
          ))}
          <p>
            {now} slats with it are <LengthText value={slatOverall({ count: now, width, gap, ends })} precision={precision} /> in all; to
            fill this one each would be <LengthText value={slatWidth({ count: now, gap, overall, ends })} precision={precision} /> wide.
          </p>
        </Laid.div>
      )}
    </Laid.details>
  );
}

function DealFields({ space, making }: { space: PlacedSpace; making: Slats }) {
  const { unit } = usePrecision();
  const { commit } = useSettledBench();
  const { change, length, wood } = useMakingFields(space.id, making);
  const { deal } = making;
  const [pattern, setPattern] = useState<string | null>(null);
  const set = () => {
    if (deal && pattern !== null && /^[fs]{1,40}$/.test(pattern)) change({ deal: { ...deal, pattern } }, 'Dealt the slats another way');
    setPattern(null);
  };
  const usual = { pattern: 'fs', stroke: unit === 'mm' ? mm(400) : inch(16), shorter: unit === 'mm' ? mm(20) : inch(3 / 4) };
  const fixed = () => {
    const all = { ...making };
    delete all.deal;
    commit({ kind: 'making', space: space.id, making: all }, 'All slats fixed');
  };
  return (
    <>
      <WideTick
        isSelected={deal !== undefined}
        onChange={(on) => (on ? change({ deal: usual }, 'Dealt the slats to two bodies') : fixed())}
      >
        Some slats slide out
      </WideTick>
      {deal ? (
        <>
          <TextField value={pattern ?? deal.pattern} onChange={setPattern} onBlur={set} onKeyDown={(e) => e.key === 'Enter' && set()}>
            <FieldLabel>Pattern, f fixed, s slides</FieldLabel>
            <TextInput />
          </TextField>
          {length('They come out', deal.stroke, (stroke) => ({ deal: { ...deal, stroke } }))}
          {length('Sliding ones shorter', deal.shorter, (shorter) => ({ deal: { ...deal, shorter } }), true)}
          <WideTick
            isSelected={deal.frame !== undefined}
            onChange={(framed) => {
              const rest = without(deal, 'frame');
              const frame = { stock: making.supports.stock, wide: making.supports.wide };
              change(
                { deal: framed ? { ...rest, frame } : rest },
                framed ? 'Framed the sliding slats' : 'Took the frame from the sliding slats',
              );
            }}
          >
            A frame of rails under the sliding ones
          </WideTick>
          {deal.frame ? (
            <>
              {wood('Their rails of', deal.frame.stock, (stock) => ({
                deal: { ...deal, frame: { stock, wide: deal.frame?.wide ?? making.supports.wide } },
              }))}
              {length('Their rails high', deal.frame.wide, (wide) => ({
                deal: { ...deal, frame: { stock: deal.frame?.stock ?? making.supports.stock, wide } },
              }))}
            </>
          ) : null}
        </>
      ) : null}
    </>
  );
}

/** How a deck of slats is made. */
export function SlatsForm({ space, making }: { space: PlacedSpace; making: Slats }) {
  const { change, length, wood } = useMakingFields(space.id, making);
  const { supports } = making;
  return (
    <Section>
      <h2>How the slats are made</h2>
      <Grid>
        {wood('Slats of', making.stock, (stock) => ({ stock }))}
        {length('Slats wide', making.wide, (wide) => ({ wide }))}
        {length('Slats cut long by', making.trim ?? ZERO, (trim) => ({ trim }), true)}
        <NumberInput
          label="Supports under them"
          value={supports.count}
          minValue={0}
          maxValue={20}
          onChange={(count) => Number.isFinite(count) && change({ supports: { ...supports, count } }, 'Changed how many supports')}
        />
        {supports.count > 0 ? (
          <>
            {wood('Supports of', supports.stock, (stock) => ({ supports: { ...supports, stock } }))}
            {length('Supports high', supports.wide, (wide) => ({ supports: { ...supports, wide } }))}
            {length('In from the ends', supports.inset, (inset) => ({ supports: { ...supports, inset } }), true)}
            {length('Cut over, to trim', supports.trim, (trim) => ({ supports: { ...supports, trim } }), true)}
          </>
        ) : null}
        <Wide>
          <Select
            label="At both ends"
            value={making.ends}
            choices={[
              { id: 'flush', label: 'A slat, flush' },
              { id: 'half-gap', label: 'Half a gap' },
            ]}
            onChange={(ends) => change({ ends }, 'Changed how the deck ends')}
          />
        </Wide>
        <DealFields space={space} making={making} />
      </Grid>
      <WantedGap space={space} making={making} />
    </Section>
  );
}
