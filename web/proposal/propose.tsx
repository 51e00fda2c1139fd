import { negative } from '../../core/length/index.js';
import { useMemo, useState } from 'react';
import { Input, NumberField } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { sub } from '../../core/length/index.js';
import type { PlacedSpace } from '../../core/piece/index.js';
import {
  MOST_BAYS,
  bayRoom,
  editFor,
  fewestBays,
  highestBay,
  inBays,
  nodesFor,
  type Room,
  type ShelfGroup,
  type Wanted,
} from '../../core/proposal/index.js';
import { woodOf } from '../../core/project/index.js';
import { writeMass } from '../../core/figure/index.js';
import { useSettledBench } from '../bench/bench.js';
import { newNodesFor } from '../bench/nodes.js';
import { usePrecision, useProject } from '../data/project.js';
import { useWaiting } from '../data/waiting.js';
import { LengthText } from '../shared/length-text.js';
import { MassField } from '../shared/mass-field.js';
import { Button, Faint, Fault, NumberInput, Row, Section, Tick, fieldBox } from '../shared/ui.js';
import { line } from '../theme/tokens.js';
import { useProposal, type Surety } from './use-proposal.js';
import { Laid } from '../shared/laid.js';

const Amount = styled(NumberField)`
  input {
    ${fieldBox}
    width: 64px;
  }
`;

const Shelves = styled.ol`
  border-top: 1px solid ${line};
  margin-top: 6px;
  font-size: 13px;
  > li {
    border-bottom: 1px solid ${line};
    padding: 4px 0;
    display: flex;
    justify-content: space-between;
    gap: 8px;
  }
`;

function suretyText(surety: Surety): string {
  switch (surety.kind) {
    case 'looking':
      return 'A first answer; looking for a lower one.';
    case 'proven':
      return 'Proven: no shelves for these are lower in all.';
    case 'late':
      return 'Not proven: the time was up before anything lower was found.';
    case 'gap':
      return `Not proven: the lowest could be up to ${Math.ceil(surety.part * 100)} % lower.`;
    case 'large':
      return 'A first answer, not proven to be the lowest.';
  }
}

function ShelfLine({ shelf }: { shelf: ShelfGroup }) {
  const { bench } = useProject();
  const precision = usePrecision();
  const name = (id: string) => bench.records.things.find((t) => t.id === id)?.data.name ?? id;
  const counts = new Map<string, number>();
  shelf.items.flatMap((i) => i.placements).forEach((p) => counts.set(p.thing, (counts.get(p.thing) ?? 0) + p.count));
  return (
    <li>
      <span>
        {[...counts].map(([id, count]) => `${count} ${name(id)}`).join(', ')}
        <br />
        <Faint>
          {writeMass(shelf.kg, precision.unit)}, <LengthText value={shelf.spare} precision={precision} /> spare across,{' '}
          <LengthText value={shelf.depth} precision={precision} /> deep
        </Faint>
      </span>
      <strong>
        <LengthText value={shelf.height} precision={precision} />
      </strong>
    </li>
  );
}

interface AnswerProps {
  readonly wanted: readonly Wanted[];
  /** The room of one bay. */
  readonly room: Room;
  readonly bays: number;
  readonly space: PlacedSpace;
}

function Answer({ wanted, room, bays, space }: AnswerProps) {
  const { piece, commit, select } = useSettledBench();
  const { bench } = useProject();
  const precision = usePrecision();
  const { proposal, surety, stop } = useProposal(wanted, room);
  const dealt = useMemo(() => inBays(proposal, bays, room), [proposal, bays, room]);
  const name = (id: string) => bench.records.things.find((t) => t.id === id)?.data.name ?? id;
  const follows = piece.height.from === 'contents' || piece.height.from === 'bounded';
  const height = highestBay(dealt);
  const left = sub(space.clear.height.value, height);
  const use = () => {
    const { newMembers, newSpaces } = newNodesFor(piece, nodesFor(dealt));
    commit(
      editFor(dealt, piece, space.id, { members: newMembers, spaces: newSpaces }),
      `Shelved what was listed in ${space.label}`.slice(0, 150),
    );
    select(newSpaces[0] as string);
  };
  const count = proposal.shelves.length;
  return (
    <>
      <Laid.p $above={8} role="status">
        <strong>
          {count} {count === 1 ? 'space' : 'spaces'}
          {bays > 1 ? ` in ${bays} bays` : ''}
        </strong>
        , <LengthText value={height} precision={precision} unit /> in all with the shelves between.{' '}
        {bays > 1 ? (
          <>
            Each bay <LengthText value={room.width} precision={precision} unit /> wide.{' '}
          </>
        ) : null}
        {follows ? null : left < 0 ? (
          <>
            That is <LengthText value={negative(left)} precision={precision} unit /> too much.
          </>
        ) : (
          <>
            <LengthText value={left} precision={precision} unit /> stay open on top.
          </>
        )}
      </Laid.p>
      <Faint>{suretyText(surety)}</Faint>
      {surety.kind === 'looking' ? (
        <Button data-quiet onPress={stop}>
          Stop looking
        </Button>
      ) : null}
      {proposal.misfits.map((m) => (
        <Fault key={m.thing}>
          {name(m.thing)} is too {m.why} for any shelf here.
        </Fault>
      ))}
      {dealt.map((bay, n) => (
        <section key={n}>
          {bays > 1 ? (
            <h3>
              Bay {n + 1}, <LengthText value={bay.height} precision={precision} /> high
            </h3>
          ) : null}
          <Shelves aria-label={`Proposed shelves${bays > 1 ? ` of bay ${n + 1}` : ''}, from the top down`}>
            {[...bay.shelves].reverse().map((shelf, i) => (
              <ShelfLine key={i} shelf={shelf} />
            ))}
          </Shelves>
        </section>
      ))}
      <Row $above={8}>
        <Button data-main onPress={use} isDisabled={count === 0 || (!follows && left < 0)}>
          Use these shelves
        </Button>
      </Row>
    </>
  );
}

/** Shelves proposed from what an open space is to hold. */
export function Propose({ space }: { space: PlacedSpace }) {
  const { piece, workshop, pieceId } = useSettledBench();
  const { id: project } = useProject();
  const waiting = useWaiting();
  const [chosen, setChosen] = useState<ReadonlyMap<string, number> | null>(null);
  const [mostKg, setMostKg] = useState<number | undefined>(undefined);
  const [asked, setAsked] = useState(false);
  const [wantedBays, setWantedBays] = useState<number | null>(null);
  const counts = useMemo(() => chosen ?? new Map(waiting.filter((t) => t.waiting > 0).map((t) => [t.id, t.waiting])), [chosen, waiting]);
  const wanted = useMemo(
    () =>
      waiting.flatMap((t): Wanted[] =>
        (counts.get(t.id) ?? 0) > 0 ? [{ id: t.id, thing: t.data, count: counts.get(t.id) as number }] : [],
      ),
    [waiting, counts],
  );
  const { clear } = space;
  const shelf = woodOf(workshop, piece.panels.stock.shelves).stock.thickness;
  const divider = woodOf(workshop, piece.panels.stock.dividers).thickness.value;
  const whole = useMemo(
    (): Room => ({
      width: clear.width.value,
      depth: sub(clear.depth.value, space.setback),
      shelf,
      foot: space.box.y0,
      ...(mostKg === undefined ? {} : { mostKg }),
    }),
    [clear.width.value, clear.depth.value, space.setback, space.box.y0, shelf, mostKg],
  );
  // As few as go in, where the height is given; one where it follows from what is put in.
  const given = piece.height.from !== 'contents' && piece.height.from !== 'bounded';
  const fewest = useMemo(
    () => (asked && given ? fewestBays(wanted, whole, clear.height.value, divider) : 1),
    [asked, given, wanted, whole, clear.height.value, divider],
  );
  const bays = wantedBays ?? fewest;
  const room = useMemo(() => bayRoom(whole, bays, divider), [whole, bays, divider]);
  if (waiting.length === 0) {
    return (
      <Section>
        <h2>Shelves from the things</h2>
        <Laid.p $above={4} $below={4}>
          Nothing is listed yet. List what it must hold, with sizes and mass; spaces and sizes follow from that.
        </Laid.p>
        <Link to={`/p/${project}/things?for=${pieceId}`}>List the things</Link>
      </Section>
    );
  }
  const set = (id: string, count: number) => setChosen(new Map(counts).set(id, count));
  return (
    <Section>
      <h2>Shelves from the things</h2>
      <Faint>Say what it must hold; which share a shelf, and how high each is, follows.</Faint>
      <Laid.ul $above={6}>
        {waiting.map((t) => (
          <Laid.li key={t.id} $display="flex" $spread $align="center" $pad="2px 0">
            <Tick isSelected={(counts.get(t.id) ?? 0) > 0} onChange={(on) => set(t.id, on ? t.waiting || t.data.count : 0)}>
              {t.data.name}
            </Tick>
            <Amount
              aria-label={`How many ${t.data.name}`}
              value={counts.get(t.id) ?? 0}
              minValue={0}
              maxValue={10_000}
              onChange={(n) => Number.isFinite(n) && set(t.id, n)}
            >
              <Input />
            </Amount>
          </Laid.li>
        ))}
      </Laid.ul>
      <Row $above={6} $align="end">
        <Laid.div $width={130}>
          <MassField
            label="Most on one shelf"
            value={mostKg ?? NaN}
            most={2000}
            onChange={(kg) => setMostKg(Number.isFinite(kg) && kg > 0 ? kg : undefined)}
          />
        </Laid.div>
        <NumberInput
          label="Bays side by side"
          value={bays}
          minValue={1}
          maxValue={MOST_BAYS}
          onChange={(n) => {
            if (Number.isInteger(n)) setWantedBays(n);
          }}
        />
        <Button onPress={() => setAsked(true)} isDisabled={wanted.length === 0}>
          Propose shelves
        </Button>
      </Row>
      {asked && wanted.length > 0 ? <Answer wanted={wanted} room={room} bays={bays} space={space} /> : null}
    </Section>
  );
}
