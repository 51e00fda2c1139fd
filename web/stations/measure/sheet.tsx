import { useState } from 'react';
import styled from 'styled-components';
import { Plus } from 'lucide-react';
import type { Length } from '../../../core/length/index.js';
import type { Overall, Piece } from '../../../core/piece/index.js';
import { usePrecision, useProject } from '../../data/project.js';
import { useBench, useOpening } from '../../bench/bench.js';
import { NameForm } from '../../bench/name-form.js';
import { LengthField } from '../../shared/length-field.js';
import { LengthText } from '../../shared/length-text.js';
import { Assumed, Button, Faint, Grid, Row, Section, Select, Wide, type Choice } from '../../shared/ui.js';
import { newId, newOpening } from '../../data/defaults.js';
import { shellPage } from '../../kinds/kinds.js';
import { OpeningForm } from '../opening-form.js';
import { UsedByFields } from './used-by.js';
import { Laid } from '../../shared/laid.js';

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

const Reached = styled.div`
  margin-bottom: 12px;
`;

/** What decides one overall size. */
function OverallForm({ reach }: { reach: Reach }) {
  const { piece, commit, setDraft, solution } = useBench();
  const precision = usePrecision();
  const rule = piece[reach];
  const said = shellPage(piece).outside?.(piece)[reach];
  const of = said && 'of' in said ? said.of : null;
  const whole = reach.charAt(0).toUpperCase() + reach.slice(1);
  const title = of ?? whole;
  const overall = solution.shape.overall[reach].value;
  const now = of === null ? overall : (solution.shape.spaces.get(piece.interior.id)?.clear[reach].value ?? overall);
  const change = (next: Overall, label: string) => commit({ kind: 'piece', patch: { [reach]: next } }, label);
  const draft = (next: Overall | null) => setDraft(next ? { kind: 'edit', edit: { kind: 'piece', patch: { [reach]: next } } } : null);
  const ofs: Choice<'overall' | 'inside' | 'sides'>[] = [
    { id: 'overall', label: 'of the outside' },
    { id: 'inside', label: 'of the clear inside' },
    ...(reach === 'depth' ? [{ id: 'sides' as const, label: 'of the sides' }] : []),
  ];
  const head = (
    <Row $spread>
      <h3>{whole}</h3>
      {solution.shape.assumed.includes(reach) ? (
        <Assumed>
          <LengthText value={overall} precision={precision} /> assumed
        </Assumed>
      ) : (
        <Laid.strong $size={16}>
          <LengthText value={overall} precision={precision} stacked />
        </Laid.strong>
      )}
    </Row>
  );
  if (said && 'follows' in said)
    return (
      <Reached>
        {head}
        <Faint>{said.follows}</Faint>
      </Reached>
    );
  return (
    <Reached>
      {head}
      <Grid>
        <Select
          label={`${title} comes from`}
          value={rule.from}
          choices={FROM}
          onChange={(from) => from !== rule.from && change(overallOf(from, now), `The ${reach} comes from elsewhere`)}
        />
        {rule.from === 'given' ? (
          <>
            <LengthField
              label={`${title}, given`}
              of={{ in: 'overall', field: `${reach}.size` }}
              value={rule.size}
              precision={precision}
              onCommit={(size) => size !== null && change({ ...rule, size }, `Gave the ${reach}`)}
              onDraft={(size) => draft(size === null ? null : { ...rule, size })}
            />
            {of === null ? (
              <Wide>
                <Select
                  label={`The ${reach} is`}
                  value={rule.of}
                  choices={ofs}
                  onChange={(of) => change({ ...rule, of }, `Gave the ${reach} another way`)}
                />
              </Wide>
            ) : null}
          </>
        ) : null}
        {rule.from === 'bounded' ? (
          <>
            {(['least', 'greatest'] as const).map((end) => (
              <LengthField
                key={end}
                label={end === 'least' ? 'At least' : 'At most'}
                of={{ in: 'overall', field: `${reach}.${end}` }}
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
    </Reached>
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
      <NameForm />
      <Laid.header $below={10}>
        <h1>What decides the outside</h1>
        <Faint>The place it goes into, what it must hold, or sizes you give.</Faint>
      </Laid.header>
      {REACHES.map((reach) => (
        <OverallForm key={reach} reach={reach} />
      ))}
      <UsedByFields />
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
        {found ? <OpeningForm id={found.id} opening={found.opening} /> : null}
      </Section>
    </>
  );
}
