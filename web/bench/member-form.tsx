import { memo } from 'react';
import type { Fix } from '../../core/piece/index.js';
import { dividingMembersOf, findMember } from '../../core/piece/index.js';
import { dividingMemberId, kindOf } from '../../core/interiors/index.js';
import { inch, mm, type Length } from '../../core/length/index.js';
import { usePrecision, useTerms } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { Button, Grid, Select, type Choice, Wide } from '../shared/ui.js';
import { StockSelect } from '../shared/stock-select.js';
import { useSettledBench } from './bench.js';
import { StiffeningForm } from './stiffening-form.js';

const SHELF_FIXES: readonly Choice<Fix>[] = [
  { id: 'housed', label: 'Housed: stiffens the case, stays' },
  { id: 'loose', label: 'Loose on pins: can move later' },
  { id: 'butted', label: 'Butted and screwed' },
];
const DIVIDER_FIXES = SHELF_FIXES.filter((f) => f.id !== 'loose');
const NONE = 'none';

/** How one shelf or divider is made, fixed and placed. */
export const MemberForm = memo(function MemberForm({ node, memberId }: { node: string; memberId: string }) {
  const { piece, commit, setDraft, settled, select } = useSettledBench();
  const precision = usePrecision();
  const t = useTerms();
  const found = findMember(piece.interior, node);
  if (!found?.owner.split) return null;
  const up = found.owner.split.axis === 'up';
  const { member } = found;
  // Where a space is made of something else, how all of that is made is said for it as a whole.
  const { making } = found.owner.split;
  const run = settled.shape.runs.get(found.owner.id);
  const line = run?.run.lines.find((l) => l.line.id === node);
  const place = run && line ? run.datum.plus(line.near).value : null;
  const letter = settled.letters[memberId] ?? '';
  const one = making ? kindOf(found.owner.split).names.one : member.rail !== undefined ? 'rail' : up ? 'shelf' : 'divider';
  const name = `${one} ${letter}`.trim();
  const others = [...dividingMembersOf(piece.interior)].filter(
    (d) => d.member.id !== node && d.owner.id !== found.owner.id && d.owner.split?.axis === found.owner.split?.axis,
  );
  const stock = member.stock ?? (up ? piece.panels.stock.shelves : piece.panels.stock.dividers);
  const below = found.owner.split.spaces[found.index];
  const usual = precision.unit === 'mm' ? mm(40) : inch(1.5);
  const is = (what: 'panel' | 'rail', high: Length = member.rail ?? usual) => {
    const label = what === 'rail' ? `Made ${name} a rail` : `Made ${name} a shelf`;
    commit({ kind: 'is', member: node, rail: what === 'rail' ? high : null, room: null }, label);
    select(dividingMemberId(node, what === 'rail' ? 'rail' : 'shelf'));
  };
  const kind = member.rail !== undefined ? 'rail' : 'panel';
  return (
    <Grid $pad="6px 0 10px">
      {up && !making ? (
        <Select
          label="It is"
          value={kind}
          choices={[
            { id: 'panel', label: 'A shelf' },
            { id: 'rail', label: 'A rail along the front' },
          ]}
          onChange={(next) => next !== kind && is(next)}
        />
      ) : null}
      {member.rail !== undefined ? (
        <LengthField
          label="Rail high"
          of={{ in: 'member', id: node, field: 'rail' }}
          value={member.rail}
          precision={precision}
          onCommit={(high) => high !== null && is('rail', high)}
        />
      ) : null}
      {kind === 'panel' && !making ? (
        <Wide>
          <Select
            label="Fixed how"
            value={member.fix ?? (up ? piece.panels.shelves.fix : piece.panels.dividers.fix)}
            choices={(up ? SHELF_FIXES : DIVIDER_FIXES).map((f) => ({ ...f, label: t(f.label) }))}
            onChange={(fix) => commit({ kind: 'member', member: node, patch: { fix } }, `Fixed ${name} another way`)}
          />
        </Wide>
      ) : null}
      {making ? null : (
        <Wide>
          <StockSelect
            label="Made of"
            value={stock}
            onChange={(id) => commit({ kind: 'member', member: node, patch: { stock: id } }, `Made ${name} of another stock`)}
          />
        </Wide>
      )}
      {up && member.rail === undefined && !making ? (
        <LengthField
          label="Its own depth"
          of={{ in: 'member', id: node, field: 'deep' }}
          optional
          value={member.deep ?? null}
          precision={precision}
          onCommit={(deep) => commit({ kind: 'own-depth', member: node, deep }, `Changed how deep ${name} is`)}
          onDraft={(deep) => setDraft(deep === null ? null : { kind: 'edit', edit: { kind: 'own-depth', member: node, deep } })}
        />
      ) : null}
      {up && member.rail === undefined && !making ? <StiffeningForm member={member} stock={stock} name={name} /> : null}
      <LengthField
        label={up ? 'Underside from the floor' : 'Left face from the outside left'}
        of={{ in: 'member', id: node, field: 'at' }}
        value={place}
        precision={precision}
        onCommit={(at) => at !== null && commit({ kind: 'pin', member: node, at }, `Held ${name} in place`)}
        onDraft={(at) => setDraft(at === null ? null : { kind: 'edit', edit: { kind: 'pin', member: node, at } })}
      />
      {others.length > 0 ? (
        <Select
          label="In line with"
          value={member.sameAs ?? NONE}
          choices={[
            { id: NONE, label: 'nothing' },
            ...others.map((o) => ({
              id: o.member.id,
              label: `${up ? 'shelf' : 'divider'} ${settled.letters[`${o.member.id}/${up ? 'shelf' : 'divider'}/1`] ?? o.member.id}`,
            })),
          ]}
          onChange={(id) => commit({ kind: 'align', member: node, sameAs: id === NONE ? null : id }, `Lined up ${name}`)}
        />
      ) : null}
      {member.at !== undefined ? (
        <Button onPress={() => commit({ kind: 'pin', member: node, at: null }, `Let go of ${name}`)}>Let it go</Button>
      ) : null}
      <Button
        onPress={() => {
          commit({ kind: 'drop', member: node }, `Took out ${name}`);
          if (below) select(below.id);
        }}
      >
        Remove it
      </Button>
    </Grid>
  );
});
