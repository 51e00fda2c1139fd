import { ZERO, scale, sub, type Length } from '../../../core/length/index.js';
import type { Frame } from '../../../core/shells/index.js';
import type { PieceEdit } from '../../../core/piece/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { EdgeFields, GridFields, usePieceFields } from '../../bench/piece-fields.js';
import { Ways, type OneWay } from '../../bench/ways.js';
import { usePrecision, useProject } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { StockSelect } from '../../shared/stock-select.js';
import { Grid, NumberInput, Section, Select, Wide, WideTick } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { LevelFields } from '../levels/fields.js';
import { BraceFields } from './brace-fields.js';
import { FeetFields } from './feet-fields.js';
import { JOINED } from './pictures.js';
import { PullOutFields } from './pull-out-fields.js';

const OVER = [
  ['front', 'Top over, front'],
  ['rear', 'Top over, rear'],
  ['left', 'Top over, left'],
  ['right', 'Top over, right'],
] as const;

const SHEETS = [
  ['rear', 'A sheet at its rear', 'Rear sheet of'],
  ['ends', 'Sheets at both ends', 'End sheets of'],
] as const;

/** So many posts more, evenly between those at the ends, by their left faces. */
function middlesFor(count: number, wide: Length, post: Length): readonly Length[] {
  const first = sub(wide, post);
  return Array.from({ length: count }, (_, i) => scale(first, (i + 1) / (count + 1)));
}

function PostFields({ piece }: { piece: Frame }) {
  const { settled } = useSettledBench();
  const { change, length } = usePieceFields();
  const { posts } = piece;
  const middles = posts.middles ?? [];
  const place = (count: number) => {
    const one = settled.shape.spaces.get(piece.interior.id)?.posts?.post.across.value ?? posts.wide;
    const next = middlesFor(count, settled.shape.overall.width.value, one);
    change({ posts: count > 0 ? { ...posts, middles: [...next] } : without(posts, 'middles') }, 'Changed the middle posts');
  };
  return (
    <>
      <StockSelect label="Posts of" value={posts.stock} onChange={(stock) => change({ posts: { ...posts, stock } }, 'Changed the posts')} />
      {length('Posts wide', posts.wide, (wide) => ({ posts: { ...posts, wide } }))}
      <Select
        label="Their wide side lies"
        value={posts.turned}
        choices={[
          { id: 'across', label: 'Across' },
          { id: 'deep', label: 'Front to rear' },
        ]}
        onChange={(turned) => change({ posts: { ...posts, turned } }, 'Turned the posts')}
      />
      <NumberInput
        label="Posts between the ends"
        value={middles.length}
        minValue={0}
        maxValue={20}
        onChange={(n) => Number.isFinite(n) && n !== middles.length && place(n)}
      />
      {middles.map((at, i) => (
        <div key={i}>
          {length(`Middle post ${i + 1} from the left`, at, (next) => ({
            posts: { ...posts, middles: middles.map((m, k) => (k === i ? next : m)) },
          }))}
        </div>
      ))}
    </>
  );
}

/** What stands on the highest level. */
function OnTop({ piece }: { piece: Frame }) {
  const { bench } = useProject();
  const { change, length } = usePieceFields();
  const { top } = piece;
  const [first] = top.things ?? [];
  const put = (thing: string) =>
    change(
      { top: thing === 'none' ? without(top, 'things') : { ...top, things: [{ thing, count: 1 }] } },
      thing === 'none' ? 'Took it off the top' : 'Put something on top',
    );
  return (
    <>
      <Select
        label="Stands on top"
        value={first?.thing ?? 'none'}
        choices={[{ id: 'none', label: 'Nothing' }, ...bench.records.things.map((t) => ({ id: t.id, label: t.data.name }))]}
        onChange={put}
      />
      <NumberInput
        label="People on it at once"
        value={top.people ?? 0}
        minValue={0}
        maxValue={20}
        onChange={(people) =>
          Number.isFinite(people) &&
          change({ top: people > 0 ? { ...top, people } : without(top, 'people') }, 'Changed how many people are on it')
        }
      />
      {first ? length('Larger than it, in all', top.margin ?? ZERO, (margin) => ({ top: { ...top, margin } }), true) : null}
    </>
  );
}

const HELD: readonly OneWay<'screws' | 'bolts'>[] = [
  { id: 'screws', label: 'Screws', says: 'Quick, and nothing to line up. They come out a few times, and hold least in end grain.' },
  { id: 'bolts', label: 'Bolts: comes apart', says: 'Comes apart as often as one likes, and is pulled tight again. Holes have to meet.' },
];

const heldBy = (held: 'screws' | 'bolts'): PieceEdit =>
  held === 'bolts' ? { kind: 'piece', patch: { held } } : { kind: 'piece', patch: {}, without: ['held'] };

/** How a frame is made: posts, how rails meet them, its top, and what keeps it square. */
export function FrameForm({ piece }: { piece: Frame }) {
  const { bench } = useProject();
  const { commit } = useSettledBench();
  const fields = usePieceFields();
  const { change, length, way } = fields;
  const { top, sheets } = piece;
  const precision = usePrecision();
  const sheet = (which: 'rear' | 'ends', stock: string | null) =>
    change(
      { sheets: stock === null ? without(sheets ?? {}, which) : { ...sheets, [which]: { stock } } },
      stock === null ? 'Took a sheet off' : 'Put a sheet on',
    );
  const thin = bench.records.stock.filter((s) => s.data.form === 'sheet').sort((a, b) => a.data.thickness - b.data.thickness)[0];
  return (
    <>
      <Section>
        <h2>How the frame is made</h2>
        <Grid>
          {way('Rails and posts', piece.joined, JOINED, (joined) => ({ joined }), 'Joined the rails another way')}
          <PostFields piece={piece} />
          <FeetFields
            of="Posts stand"
            feet={piece.feet}
            as={(feet) => ({ feet })}
            onFloor={() => commit({ kind: 'piece', patch: {}, without: ['feet'] }, 'Put it on the floor')}
            change={change}
            length={length}
          />
          {piece.joined === 'end-on' || piece.posts.letIn !== undefined ? null : (
            <Ways
              label="Rails held by"
              value={piece.held ?? 'screws'}
              choices={HELD}
              edit={heldBy}
              said={(held) => (held === 'bolts' ? 'Held the rails by bolts' : 'Held the rails by screws')}
            />
          )}
          {piece.joined !== 'end-on' ? (
            <LengthField
              label="Let into the posts, glued, by"
              optional
              value={piece.posts.letIn ?? null}
              precision={precision}
              onCommit={(by) =>
                change(
                  { posts: by === null ? without(piece.posts, 'letIn') : { ...piece.posts, letIn: by } },
                  'Changed how the rails are let in',
                )
              }
            />
          ) : null}
          {piece.joined === 'between' ? null : (
            <Select
              label="Runs through"
              value={piece.through}
              choices={[
                { id: 'across', label: 'Rails across' },
                { id: 'deep', label: 'Rails front to rear' },
              ]}
              onChange={(through) => change({ through }, 'Other rails run through')}
            />
          )}
        </Grid>
      </Section>
      <Section>
        <h2>Its top</h2>
        <Grid>
          <OnTop piece={piece} />
          <LevelFields level={top.level} as={(level) => ({ top: { ...top, level } })} fields={fields} of="Top" />
          {top.level.deck?.goes === 'over'
            ? OVER.filter(([side]) => !(side === 'front' && piece.pullOut)).map(([side, label]) => (
                <div key={side}>
                  {length(label, top.over[side], (by) => ({ top: { ...top, over: { ...top.over, [side]: by } } }), true)}
                </div>
              ))
            : null}
        </Grid>
      </Section>
      <PullOutFields piece={piece} />
      <Section>
        <h2>What keeps it square</h2>
        <Grid>
          {SHEETS.map(([which, label, of]) => {
            const there = sheets?.[which];
            return (
              <Wide key={which}>
                <WideTick isSelected={there !== undefined} onChange={(on) => sheet(which, on ? (thin?.id ?? piece.posts.stock) : null)}>
                  {label}
                </WideTick>
                {there ? <StockSelect label={of} value={there.stock} onChange={(stock) => sheet(which, stock)} /> : null}
              </Wide>
            );
          })}
          <BraceFields piece={piece} />
          <GridFields />
          <EdgeFields />
        </Grid>
      </Section>
    </>
  );
}
