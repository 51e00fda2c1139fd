import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { SearchField } from 'react-aria-components';
import styled from 'styled-components';
import type { Length } from '../../core/length/index.js';
import { applyEdit, namedBy } from '../../core/kinds/index.js';
import type { Overall, Piece } from '../../core/piece/index.js';
import { newId, newOpening, newStock, newThing } from '../data/defaults.js';
import { usePrecision, useProject } from '../data/project.js';
import { begunAs, cards, useMade, type Card, type Idea } from '../kinds/index.js';
import type { Means, OnHand } from '../kinds/means.js';
import { LengthField } from '../shared/length-field.js';
import { StockSelect } from '../shared/stock-select.js';
import { Button, Faint, Fault, FieldLabel, Grid, Panel, Row, Select, TextInput } from '../shared/ui.js';
import { Laid } from '../shared/laid.js';
import { ink, line, link, paper, tape, wood } from '../theme/tokens.js';

/** What is wanted: a kind, and what builders make of it where that was chosen. */
interface Wanted {
  readonly card: Card;
  readonly idea: Idea | null;
}

const nameOf = ({ card, idea }: Wanted) => idea?.name ?? card.name;

const Cards = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 8px;
  margin-top: 12px;
`;

const CardButton = styled.button`
  all: unset;
  box-sizing: border-box;
  display: flex;
  width: 100%;
  height: 100%;
  gap: 10px;
  align-items: center;
  background: ${paper};
  border: 1px solid ${line};
  padding: 8px 10px;
  cursor: pointer;
  small {
    display: block;
    font-size: 12px;
    line-height: 1.25;
  }
  &:hover {
    border-color: ${ink};
  }
  &:focus-visible {
    outline: 3px solid ${link};
    background: ${tape}22;
  }
  svg {
    flex: none;
  }
`;

/** All kinds, or what is found by a word: ideas and kinds that have it. */
function foundBy(words: string): readonly Wanted[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  const has = (...texts: readonly (string | undefined)[]) => {
    const text = texts.join(' ').toLowerCase();
    return wanted.every((word) => text.includes(word));
  };
  return cards().flatMap((card): Wanted[] => {
    const ideas = card.ideas.filter((i) => has(i.name, i.words)).map((idea) => ({ card, idea }));
    if (wanted.length === 0) return [{ card, idea: null }];
    return has(card.name, card.says) ? [{ card, idea: null }, ...ideas] : ideas;
  });
}

/** Kinds of piece and what is made of them, with pictures, narrowed by a word. */
function Kinds({ onChoose }: { onChoose: (wanted: Wanted) => void }) {
  const [words, setWords] = useState('');
  const found = foundBy(words);
  return (
    <>
      <Laid.div $width={340}>
        <SearchField value={words} onChange={setWords}>
          <FieldLabel>What do you want to make?</FieldLabel>
          <TextInput placeholder="nightstand, closet shelves, tool wall" />
        </SearchField>
      </Laid.div>
      <Faint role="status">
        {found.length === 0 ? `No kind of piece is found by “${words.trim()}”. Try shelf, table, drawers, rack or bench.` : ''}
      </Faint>
      <Cards aria-label="Kinds of piece">
        {(found.length > 0 ? found : foundBy('')).map((wanted) => {
          const { card, idea } = wanted;
          return (
            <li key={`${card.id} ${idea?.name ?? ''}`}>
              <CardButton onClick={() => onChoose(wanted)}>
                <svg width={60} height={48} viewBox="0 0 60 48" aria-hidden>
                  {card.picture.map(([x, y, w, h], i) => (
                    <rect key={i} x={x} y={y} width={w} height={h} fill={wood} stroke={ink} strokeWidth={0.8} />
                  ))}
                </svg>
                <span>
                  <strong>{nameOf(wanted)}</strong>
                  <small>{idea ? `${card.name}: ${card.says.toLowerCase()}` : card.ideas.map((i) => i.name).join(', ')}</small>
                </span>
              </CardButton>
            </li>
          );
        })}
      </Cards>
    </>
  );
}

const REACHES = ['width', 'height', 'depth'] as const;
type Reach = (typeof REACHES)[number];
type From = 'given' | 'opening' | 'contents';

const FROM = [
  { id: 'given', label: 'a size I give' },
  { id: 'opening', label: 'an opening I measure' },
  { id: 'contents', label: 'the things it holds' },
] as const;

/** Stands for an opening that is made with the piece. */
const NEW = 'a new opening';

/** The room for what fills a piece that is begun. */
function roomIn(piece: Piece, usual: Length): Means['clear'] {
  const size = (o: Overall) => (o.from === 'given' ? o.size : usual);
  return { width: size(piece.width), height: size(piece.height), depth: size(piece.depth) };
}

const started = (name: string) => `Started ${/^[aeiou]/i.test(name) ? 'an' : 'a'} ${name.toLowerCase()}`;

/** Puts a piece into the project, with what it needs to stand on. */
function useStart({ card, idea }: Wanted) {
  const { id, bench, saver } = useProject();
  const navigate = useNavigate();
  const { unit } = bench.project.settings;
  const taken = (kind: 'openings' | 'pieces') => bench.records[kind].map((r) => r.id);
  const openingOf = async (chosen: string) => {
    if (chosen !== NEW) return chosen;
    const opening = newId('opening', taken('openings'));
    await saver.create('openings', opening, newOpening(unit), 'Added an opening');
    return opening;
  };
  const thingsFor = async () => {
    const { things } = bench.records;
    if (things.length > 0 || !card.filling?.needsThing) return things;
    await saver.create('things', 'first-thing', newThing(unit), 'Added a thing for the cells');
    return [{ id: 'first-thing' }];
  };
  return async (bare: Piece, onHand: OnHand, froms: readonly From[], chosenOpening: string) => {
    const inOpening = froms.includes('opening');
    const roundThings = !inOpening && froms.includes('contents');
    const placed = inOpening ? { ...bare, opening: await openingOf(chosenOpening) } : bare;
    const shell = roundThings && card.roundThings ? card.roundThings(placed) : placed;
    const things = await thingsFor();
    const means = { ...bench.records, ...onHand, clear: roomIn(shell, newThing(unit).clearance), things };
    const piece = card.filling ? applyEdit(shell, card.filling.fill(shell, shell.interior.id, means)) : shell;
    const pieceId = newId(card.id, taken('pieces'));
    await saver.create('pieces', pieceId, piece, started(idea?.name ?? card.name));
    const first = onHand.stock.find((s) => s.id === onHand.first);
    if (first && !namedBy(piece).some((n) => n.kind === 'stock' && n.id === first.id))
      saver.say({
        tone: 'refused',
        text: `No part of ${piece.name.toLowerCase()} can be cut from ${first.data.name}. Its parts begin with what suits them.`,
      });
    const place = `/p/${id}/pieces/${pieceId}`;
    if (inOpening) return navigate(`${place}/measure`);
    return navigate(roundThings && bench.records.things.length === 0 ? `/p/${id}/things?for=${pieceId}` : `${place}/divide`);
  };
}

/** What decides the sizes of a piece and what it is made of, before it stands. */
function Settle({ wanted, stock, onBack }: { wanted: Wanted; stock: OnHand['stock']; onBack: () => void }) {
  const { bench } = useProject();
  const precision = usePrecision();
  const { unit } = bench.project.settings;
  const { card, idea } = wanted;
  const name = nameOf(wanted).toLowerCase();
  const [first, setFirst] = useState<string>();
  const [froms, setFroms] = useState<Readonly<Partial<Record<Reach, From>>>>(
    idea?.inOpening ? { width: 'opening', height: 'opening', depth: 'opening' } : {},
  );
  const [given, setGiven] = useState<Readonly<Partial<Record<Reach, Length>>>>({});
  const [opening, setOpening] = useState<string>(bench.records.openings[0]?.id ?? NEW);
  const [problem, setProblem] = useState<string | null>(null);
  const onHand: OnHand = { unit, stock, first, usual: idea?.usual };
  const fromOf = (reach: Reach): From => froms[reach] ?? 'given';
  const sizeOf = (piece: Piece, reach: Reach): Overall => {
    const from = fromOf(reach);
    const now = piece[reach];
    const size = given[reach];
    if (from !== 'given') return { from };
    return now.from === 'given' && size !== undefined ? { ...now, size } : now;
  };
  const begun = (means: OnHand): Piece => {
    const piece = begunAs(card, idea, means);
    const [width, height, depth] = REACHES.map((reach) => sizeOf(piece, reach)) as [Overall, Overall, Overall];
    return { ...piece, name: `New ${name}`, width, height, depth };
  };
  const usual = begun(onHand);
  const { fields, made } = useMade(card.filling, { ...bench.records, ...onHand, clear: roomIn(usual, newThing(unit).clearance) });
  const start = useStart(wanted);
  const all = REACHES.map(fromOf);
  const panel = useRef<HTMLDivElement>(null);
  // Chosen at the foot of a long page, it would begin out of sight.
  useEffect(() => {
    void panel.current?.scrollIntoView?.({ block: 'nearest' });
  }, []);
  const press = () => {
    const chosen = { ...onHand, chosen: made };
    void start(begun(chosen), chosen, all, opening).catch((error: unknown) => setProblem((error as Error).message));
  };
  return (
    <Panel ref={panel} role="group" aria-label={`New ${name}`} $pad={14} $most={760} $above={8}>
      <h3>{nameOf(wanted)}</h3>
      <Faint>{`${card.name}: ${card.says.toLowerCase()}`}</Faint>
      <Grid $columns={3} $above={8}>
        {REACHES.map((reach) => {
          const rule = usual[reach];
          const whole = reach.charAt(0).toUpperCase() + reach.slice(1);
          return (
            <div key={reach}>
              <Select
                label={`${whole} from`}
                value={fromOf(reach)}
                choices={FROM}
                onChange={(from) => setFroms((now) => ({ ...now, [reach]: from }))}
              />
              {rule.from === 'given' ? (
                <LengthField
                  label={whole}
                  value={rule.size}
                  precision={precision}
                  onCommit={(size) => size !== null && setGiven((now) => ({ ...now, [reach]: size }))}
                />
              ) : null}
            </div>
          );
        })}
      </Grid>
      <Grid $columns={3} $above={10}>
        {all.includes('opening') && bench.records.openings.length > 0 ? (
          <Select
            label="Opening"
            value={opening}
            choices={[...bench.records.openings.map((o) => ({ id: o.id, label: o.data.name })), { id: NEW, label: 'A new one' }]}
            onChange={setOpening}
          />
        ) : null}
        <StockSelect
          label="Made of, to begin with"
          value={first ?? null}
          none="What suits each part"
          onChange={(id) => setFirst(id ?? undefined)}
        />
        {fields}
      </Grid>
      {problem ? <Fault role="alert">{problem}</Fault> : null}
      <Row $above={12}>
        <Button data-main autoFocus onPress={press}>
          Start the {name}
        </Button>
        <Button onPress={onBack}>Another kind</Button>
      </Row>
    </Panel>
  );
}

/** The one way to a new piece: what it is, what decides its sizes, what it is made of. */
export function NewPiece() {
  const { bench, saver } = useProject();
  const { stock } = bench.records;
  const [wanted, setWanted] = useState<Wanted | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const choose = async (next: Wanted) => {
    try {
      // Nothing can be made of nothing: a first sheet is put there, to be measured and changed.
      if (stock.length === 0)
        await saver.create('stock', 'first-sheet', newStock(bench.project.settings.unit), 'Put a first sheet into the stockroom');
      setWanted(next);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <>
      {problem ? <Fault role="alert">{problem}</Fault> : null}
      {wanted && stock.length > 0 ? (
        <Settle key={nameOf(wanted)} wanted={wanted} stock={stock} onBack={() => setWanted(null)} />
      ) : (
        <Kinds onChoose={(next) => void choose(next)} />
      )}
    </>
  );
}
