import { inch, mm } from '../../core/length/index.js';
import { isBack, type DividingMember, type Held, type Strip } from '../../core/piece/index.js';
import { usePrecision } from '../data/project.js';
import { LengthField } from '../shared/length-field.js';
import { Select, type Choice, Wide } from '../shared/ui.js';
import { StockSelect } from '../shared/stock-select.js';
import { useSettledBench } from './bench.js';

type Way = 'none' | 'doubled' | Strip['at'];

const WAYS: readonly Choice<Way>[] = [
  { id: 'none', label: 'Nothing' },
  { id: 'front', label: 'A strip along the front' },
  { id: 'back', label: 'A strip along the back' },
  { id: 'both', label: 'A strip along both edges' },
  { id: 'doubled', label: 'A second layer' },
];

const HELD: readonly Choice<Held>[] = [
  { id: 'glued', label: 'Glued' },
  { id: 'screwed', label: 'Screwed only' },
];

/** What a shelf is stiffened by: strips, a second layer, the back. */
export function StiffeningForm({ member, stock, name }: { member: DividingMember; stock: string; name: string }) {
  const { commit, settled } = useSettledBench();
  const hasBack = settled.shape.members.some(isBack);

  const precision = usePrecision();
  const { strip, doubled } = member;
  const way: Way = strip ? strip.at : doubled ? 'doubled' : 'none';
  const stiffen = (next: { strip?: Strip | null; doubled?: Held | null }, label: string) =>
    commit({ kind: 'stiffen', member: member.id, strip: next.strip ?? null, doubled: next.doubled ?? null }, label);
  const usual: Omit<Strip, 'at'> = { stock, high: precision.unit === 'mm' ? mm(40) : inch(1.5), top: 'under', held: 'glued' };
  const choose = (next: Way) => {
    if (next === 'none') stiffen({}, `Took the stiffening off ${name}`);
    else if (next === 'doubled') stiffen({ doubled: 'glued' }, `Doubled ${name}`);
    else stiffen({ strip: { ...usual, ...strip, at: next } }, `Stiffened ${name} with a strip`);
  };
  return (
    <>
      <Wide>
        <Select label="Stiffened by" value={way} choices={WAYS} onChange={choose} />
      </Wide>
      {strip ? (
        <>
          <StockSelect
            label="Strip of"
            value={strip.stock}
            onChange={(id) => stiffen({ strip: { ...strip, stock: id } }, `Made the strip of ${name} of other stock`)}
          />
          <LengthField
            label="Strip high"
            of={{ in: 'member', id: member.id, field: 'strip.high' }}
            value={strip.high}
            precision={precision}
            onCommit={(high) => high !== null && stiffen({ strip: { ...strip, high } }, `Made the strip of ${name} higher or lower`)}
          />
          <Select
            label="It lies"
            value={strip.top}
            choices={[
              { id: 'under', label: 'under the shelf' },
              { id: 'flush', label: 'against its edge, flush' },
            ]}
            onChange={(top) => stiffen({ strip: { ...strip, top } }, `Put the strip of ${name} another way`)}
          />
          <Select
            label="Held"
            value={strip.held}
            choices={HELD}
            onChange={(held) => stiffen({ strip: { ...strip, held } }, `Held the strip of ${name} another way`)}
          />
        </>
      ) : null}
      {doubled ? (
        <Select
          label="Layers held"
          value={doubled}
          choices={HELD}
          onChange={(held) => stiffen({ doubled: held }, `Held the layers of ${name} another way`)}
        />
      ) : null}
      {hasBack ? (
        <Wide>
          <Select
            label="To the back"
            value={member.toBack ?? 'free'}
            choices={[
              { id: 'free', label: 'Free of it' },
              { id: 'glued', label: 'Glued: counts from 12 mm' },
              { id: 'screwed', label: 'Screwed through it into studs' },
            ]}
            onChange={(held) =>
              commit({ kind: 'to-back', member: member.id, held: held === 'free' ? null : held }, `Held ${name} to the back another way`)
            }
          />
        </Wide>
      ) : null}
    </>
  );
}
