import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { Plus } from 'lucide-react';
import type { LengthUnit } from '../../core/length/index.js';
import { applyEdit } from '../../core/kinds/index.js';
import { namedBy } from '../../core/kinds/index.js';
import type { Piece } from '../../core/piece/index.js';
import { newId, newOpening, newStock, newThing } from '../data/defaults.js';
import type { Saver } from '../data/saver.js';
import type { Workbench } from '../data/api.js';
import { useProject } from '../data/project.js';
import { Button, Fault, Row } from '../shared/ui.js';
import { ink, line, link, paper, tape, wood } from '../theme/tokens.js';
import { MadeOf, cards, newCase, type Card } from '../kinds/index.js';
import type { Means, OnHand } from '../kinds/means.js';

/** What is on hand to make a piece of; where nothing is, a first sheet is put into the stockroom. */
async function stocked(bench: Workbench, saver: Saver, first: string | null): Promise<OnHand> {
  const { unit } = bench.project.settings;
  const { stock } = bench.records;
  if (stock.length > 0) return { unit, stock, first: first ?? undefined };
  const sheet = newStock(unit);
  await saver.create('stock', 'first-sheet', sheet, 'Put a first sheet into the stockroom');
  return { unit, stock: [{ id: 'first-sheet', data: sheet }] };
}

/** Tells where nothing of a piece that was begun can be of what was chosen for all of it. */
function tellUnused(saver: Saver, piece: Piece, { first, stock }: OnHand) {
  const chosen = stock.find((s) => s.id === first);
  if (!chosen || namedBy(piece).some((n) => n.kind === 'stock' && n.id === first)) return;
  const { name } = chosen.data;
  saver.say({
    tone: 'refused',
    text: `No part of ${piece.name.toLowerCase()} can be cut from ${name}. Its parts begin with what suits them.`,
  });
}

/** Starts a piece, with what it needs to stand on: a sheet in the stockroom, an opening where it comes from one. */
export function useStart(chosen: string | null) {
  const { id, bench, saver } = useProject();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const start = async (from: 'opening' | 'contents' | 'sizes') => {
    const { unit } = bench.project.settings;
    const { things } = bench.records;
    try {
      const onHand = await stocked(bench, saver, chosen);
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
      const fresh = newCase(onHand, origin);
      await saver.create('pieces', piece, fresh, 'Started a case');
      tellUnused(saver, fresh, onHand);
      const place = `/p/${id}/pieces/${piece}`;
      if (from === 'contents' && things.length === 0) void navigate(`/p/${id}/things?for=${piece}`);
      else void navigate(`${place}/${from === 'opening' ? 'measure' : 'divide'}`);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return { start, problem };
}

/** The stock that all of a new piece is begun with; null for what suits each part. */
export function useStartStock() {
  const { stock } = useProject().bench.records;
  const [chosen, choose] = useState<string | null>(null);
  return { stock: stock.some((s) => s.id === chosen) ? chosen : null, isEmpty: stock.length === 0, choose };
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
      const onHand = { ...(await stocked(bench, saver, chosen)), chosen: woods };
      const things = [...bench.records.things];
      if (things.length === 0 && kind.filling?.needsThing) {
        const first = newThing(unit);
        await saver.create('things', 'first-thing', first, 'Added a thing for the cells');
        things.push({ id: 'first-thing', version: 1, data: first });
      }
      const bare = { ...kind.begin(onHand), name: `New ${kind.name.toLowerCase()}` };
      const means = { ...bench.records, ...onHand, clear: roomIn(bare, unit), things };
      const filled = kind.filling ? applyEdit(bare, kind.filling.fill(bare, bare.interior.id, means)) : bare;
      const pieceId = newId(
        kind.id,
        bench.records.pieces.map((p) => p.id),
      );
      await saver.create('pieces', pieceId, filled, `Started a ${kind.name.toLowerCase()}`);
      tellUnused(saver, filled, onHand);
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
  const isEmpty = bench.records.stock.length === 0;
  const press = (kind: Card) => (kind.filling && !isEmpty ? setWanted(kind) : void start(kind));
  const onHand: OnHand = { unit, stock: bench.records.stock, first: stock ?? undefined };
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
      {wanted?.filling && !isEmpty ? (
        <MadeOf
          key={`${wanted.id} ${stock ?? ''}`}
          filling={wanted.filling}
          means={{ ...bench.records, ...onHand, clear: roomIn(wanted.begin(onHand), unit) }}
          does={`Start the ${wanted.name.toLowerCase()}`}
          onSettled={(woods) => void start(wanted, woods)}
          onCancel={() => setWanted(null)}
        />
      ) : null}
      {problem ? <Fault role="alert">{problem}</Fault> : null}
    </>
  );
}
