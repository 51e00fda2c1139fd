import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { Plus } from 'lucide-react';
import type { LengthUnit } from '../../core/length/index.js';
import { applyEdit } from '../../core/kinds/index.js';
import type { Piece } from '../../core/piece/index.js';
import { newCase, newId, newOpening, newStock, newThing } from '../data/defaults.js';
import { useProject } from '../data/project.js';
import { Button, Fault, Row } from '../shared/ui.js';
import { ink, line, link, paper, tape, wood } from '../theme/tokens.js';
import { MadeOf, cards, type Card } from '../kinds/index.js';
import type { Means } from '../kinds/means.js';

/** Starts a piece, with what it needs to stand on: a sheet in the stockroom, an opening where it comes from one. */
export function useStart(chosen: string | null) {
  const { id, bench, saver } = useProject();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const start = async (from: 'opening' | 'contents' | 'sizes') => {
    const { unit } = bench.project.settings;
    const { things } = bench.records;
    try {
      let stock = chosen ?? undefined;
      if (!stock) {
        stock = 'first-sheet';
        await saver.create('stock', stock, newStock(unit), 'Put a first sheet into the stockroom');
      }
      const opening = newId(
        'opening',
        bench.records.openings.map((o) => o.id),
      );
      if (from === 'opening') await saver.create('openings', opening, newOpening(unit), 'Added an opening');
      const piece = newId(
        'case',
        bench.records.pieces.map((p) => p.id),
      );
      const origin = from === 'opening' ? ({ kind: 'opening', id: opening } as const) : ({ kind: from } as const);
      await saver.create('pieces', piece, newCase(unit, stock, origin), 'Started a case');
      const place = `/p/${id}/pieces/${piece}`;
      if (from === 'contents' && things.length === 0) void navigate(`/p/${id}/things?for=${piece}`);
      else void navigate(`${place}/${from === 'opening' ? 'measure' : 'divide'}`);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return { start, problem };
}

/** The stock that a new piece is begun with: what was chosen, or the first on hand; null where nothing is. */
export function useStartStock() {
  const { stock } = useProject().bench.records;
  const [chosen, choose] = useState<string | null>(null);
  const known = stock.some((s) => s.id === chosen) ? chosen : (stock[0]?.id ?? null);
  return { stock: known, choose };
}

export function StartButtons({ stock }: { stock: string | null }) {
  const { id } = useProject();
  const { start, problem } = useStart(stock);
  return (
    <>
      <Row>
        <Button data-main onPress={() => void start('opening')}>
          <Plus aria-hidden /> From an opening
        </Button>
        <Button onPress={() => void start('contents')}>
          <Plus aria-hidden /> From things it must hold
        </Button>
        <Button onPress={() => void start('sizes')}>
          <Plus aria-hidden /> From sizes I give
        </Button>
        <Link to={`/p/${id}/things`}>List the things first</Link>
      </Row>
      {problem ? <Fault role="alert">{problem}</Fault> : null}
    </>
  );
}

const Cards = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
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
    line-height: 1.2;
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

/** The room for what fills a piece that is begun. */
function roomIn(piece: Piece, unit: LengthUnit): Means['clear'] {
  const size = (o: Piece['width']) => (o.from === 'given' ? o.size : newThing(unit).clearance);
  return { width: size(piece.width), height: size(piece.height), depth: size(piece.depth) };
}

/** Starts a piece of a kind: its shell, and what fills it. */
function useStartKind(chosen: string | null) {
  const { id, bench, saver } = useProject();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const start = async (kind: Card, woods?: Means['chosen']) => {
    const { unit } = bench.project.settings;
    try {
      const stock = [...bench.records.stock];
      if (stock.length === 0) {
        const first = newStock(unit);
        await saver.create('stock', 'first-sheet', first, 'Put a first sheet into the stockroom');
        stock.push({ id: 'first-sheet', version: 1, data: first });
      }
      const things = [...bench.records.things];
      if (things.length === 0 && kind.filling?.needsThing) {
        const first = newThing(unit);
        await saver.create('things', 'first-thing', first, 'Added a thing for the cells');
        things.push({ id: 'first-thing', version: 1, data: first });
      }
      const bare = { ...kind.begin(unit, chosen ?? (stock[0]?.id as string)), name: `New ${kind.name.toLowerCase()}` };
      const means = { ...bench.records, unit, clear: roomIn(bare, unit), stock, things, chosen: woods };
      const whole = kind.made?.(bare, means) ?? bare;
      const filled = kind.filling ? applyEdit(whole, kind.filling.fill(whole, whole.interior.id, means)) : whole;
      const pieceId = newId(
        kind.id,
        bench.records.pieces.map((p) => p.id),
      );
      await saver.create('pieces', pieceId, filled, `Started a ${kind.name.toLowerCase()}`);
      void navigate(`/p/${id}/pieces/${pieceId}/divide`);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return { start, problem };
}

/** The kinds of piece to start from, each with a picture. */
export function KindCards({ stock }: { stock: string | null }) {
  const { start, problem } = useStartKind(stock);
  const { bench } = useProject();
  const { unit } = bench.project.settings;
  const [wanted, setWanted] = useState<Card | null>(null);
  // With nothing in the stockroom there is nothing to choose between: a first sheet is put there.
  const press = (kind: Card) => (kind.filling && stock !== null ? setWanted(kind) : void start(kind));
  return (
    <>
      <Cards aria-label="Kinds of piece">
        {cards().map((kind) => (
          <li key={kind.id}>
            <CardButton onClick={() => press(kind)} aria-label={`Start a ${kind.name.toLowerCase()}: ${kind.says.toLowerCase()}`}>
              <svg width={60} height={48} viewBox="0 0 60 48" aria-hidden>
                {kind.picture.map(([x, y, w, h], i) => (
                  <rect key={i} x={x} y={y} width={w} height={h} fill={wood} stroke={ink} strokeWidth={0.8} />
                ))}
              </svg>
              <span>
                <strong>{kind.name}</strong>
                <small>{kind.says}</small>
              </span>
            </CardButton>
          </li>
        ))}
      </Cards>
      {wanted?.filling && stock !== null ? (
        <MadeOf
          key={wanted.id}
          filling={wanted.filling}
          means={{ ...bench.records, unit, clear: roomIn(wanted.begin(unit, stock), unit) }}
          does={`Start the ${wanted.name.toLowerCase()}`}
          onSettled={(woods) => void start(wanted, woods)}
          onCancel={() => setWanted(null)}
        />
      ) : null}
      {problem ? <Fault role="alert">{problem}</Fault> : null}
    </>
  );
}
