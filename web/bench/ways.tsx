import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { writeSentence } from '../../core/figure/index.js';
import type { PieceEdit } from '../../core/piece/index.js';
import type { WayCosts } from '../../core/solution/index.js';
import { usePrecision, useTerms } from '../data/project.js';
import { PictureChoice, type Picture } from '../shared/picture-choice.js';
import { Button, Faint, Row, Select, Wide, WideTick, type Choice } from '../shared/ui.js';
import { useWorker } from '../shared/use-worker.js';
import { line } from '../theme/tokens.js';
import { useSettledBench } from './bench.js';
import type { WaysAsked } from './ways.worker.js';

const startWays = () => new Worker(new URL('./ways.worker.ts', import.meta.url), { type: 'module' });
const NONE: readonly WayCosts[] = [];

/** One of a few ways to make something: what one gets and gives up with it that no figure says. */
export interface OneWay<T extends string> extends Choice<T> {
  readonly says: string;
  readonly picture?: Picture;
}

const List = styled.ul`
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
  font-size: 13px;
  li {
    padding: 5px 0;
    border-top: 1px solid ${line};
  }
`;

/** So much of what fails is told, and how many more there are. */
const TOLD = 2;

/** What one way comes to beside how it is made now. */
function Comes({ costs: { differs, fails, mends } }: { costs: WayCosts }) {
  const precision = usePrecision();
  const first = differs.map((one) => writeSentence(one, precision)).join(', ');
  return (
    <>
      <div>{differs.length > 0 ? `${first.charAt(0).toUpperCase()}${first.slice(1)}.` : 'Weighs, costs and is cut as it is now.'}</div>
      {fails.slice(0, TOLD).map((one, i) => (
        <div key={i}>
          <strong>Then fails:</strong> {writeSentence(one, precision)}
        </div>
      ))}
      {fails.length > TOLD ? <div>And {fails.length - TOLD} more.</div> : null}
      {mends > 0 ? (
        <div>{mends === 1 ? 'One thing that fails now does not then.' : `${mends} things that fail now do not then.`}</div>
      ) : null}
    </>
  );
}

interface WaysProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly OneWay<T>[];
  /** The edit that makes it so. */
  readonly edit: (way: T) => PieceEdit;
  /** What is asked: of something that is there or not it is what that alone costs. */
  readonly asks?: string;
}

function Costs<T extends string>({ label, value, choices, edit, asks = 'What each costs' }: WaysProps<T>) {
  // The label comes first, so that no other chooser ends with it.
  const name = `${label}: ${asks.toLowerCase()}`;
  const { settled, workshop } = useSettledBench();
  const [asked, setAsked] = useState<{ readonly of: typeof settled; readonly ask: WaysAsked } | null>(null);
  const ask = asked?.of === settled ? asked.ask : null;
  // Closed, the focus is where it was opened from.
  const [closed, setClosed] = useState(false);
  const start = () => {
    const ways = choices.filter((c) => c.id !== value).map((c) => ({ id: c.id, edit: edit(c.id) }));
    setClosed(false);
    setAsked({ of: settled, ask: { piece: settled.piece, workshop, letters: settled.letters, ways } });
  };
  const { work } = useWorker(startWays, ask, NONE);
  const done = ask !== null && work.kind === 'done';
  const told = useRef<HTMLUListElement>(null);
  useEffect(() => {
    if (done) told.current?.focus();
  }, [done]);
  if (!ask) {
    return (
      <Button data-quiet aria-label={name} autoFocus={closed} onPress={start}>
        {asks}
      </Button>
    );
  }
  if (!done) return <Faint role="status">Making it each way…</Faint>;
  return (
    <>
      <List ref={told} tabIndex={-1} aria-label={name}>
        {choices.map((c) => {
          const costs = work.reply.find((w) => w.id === c.id);
          return (
            <li key={c.id}>
              <strong>{c.label}</strong> {c.id === value ? <Faint>as it is now</Faint> : null}
              {costs ? <Comes costs={costs} /> : c.id === value ? null : <div>Could not be made so: nothing is known of it.</div>}
              <Faint as="div">{c.says}</Faint>
            </li>
          );
        })}
      </List>
      <Row>
        <Button
          data-quiet
          onPress={() => {
            setClosed(true);
            setAsked(null);
          }}
        >
          Close
        </Button>
      </Row>
    </>
  );
}

/** One of a few ways to make something, by its picture where there is one, with what each of them costs where that is asked for. */
export function Ways<T extends string>({ said, ...asked }: WaysProps<T> & { readonly said: (way: T) => string }) {
  const { commit } = useSettledBench();
  const t = useTerms();
  const { value, edit } = asked;
  const label = t(asked.label);
  const choices = asked.choices.map((c) => ({ ...c, label: t(c.label), says: t(c.says) }));
  const onChange = (way: T) => commit(edit(way), said(way));
  const pictured = choices.flatMap((c) => (c.picture ? [{ ...c, picture: c.picture }] : []));
  return (
    <Wide>
      {pictured.length === choices.length ? (
        <PictureChoice label={label} value={value} choices={pictured} onChange={onChange} />
      ) : (
        <Select label={label} value={value} choices={choices} onChange={onChange} />
      )}
      <Costs {...asked} label={label} choices={choices} />
    </Wide>
  );
}

/** What is said of something that is there or is not. */
interface WithAndWithout {
  readonly with: string;
  readonly without: string;
}

/** Something that is there or not, ticked, with what it costs where that is asked for. */
export function WayTick({
  label,
  is,
  says,
  edit,
  said,
}: {
  label: string;
  is: boolean;
  /** What one gets and gives up that no figure says. */
  says: WithAndWithout;
  edit: (on: boolean) => PieceEdit;
  /** What was done, as the log says it. */
  said: WithAndWithout;
}) {
  const { commit } = useSettledBench();
  return (
    <Wide>
      <WideTick isSelected={is} onChange={(on) => commit(edit(on), on ? said.with : said.without)}>
        {label}
      </WideTick>
      <Costs
        label={label}
        value={is ? 'with' : 'without'}
        choices={[
          { id: 'with', label: 'With it', says: says.with },
          { id: 'without', label: 'Without it', says: says.without },
        ]}
        edit={(way) => edit(way === 'with')}
        asks="What it costs"
      />
    </Wide>
  );
}
