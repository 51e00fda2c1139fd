import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { Plus } from 'lucide-react';
import type { LengthUnit } from '../../core/length/index.js';
import { applyEdit } from '../../core/kinds/index.js';
import { chestSizes, newCase, newId, newInPlace, newOpening, newStock, newThing } from '../data/defaults.js';
import { useProject } from '../data/project.js';
import { Button, Fault, Row } from '../shared/ui.js';
import { ink, line, paper, tape, wood } from '../theme/tokens.js';
import { fillEdit } from '../worksheets/fill-menu.js';
import { MadeOf } from '../worksheets/made-of.js';
import type { Filling, Means } from '../worksheets/usual.js';

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

interface Kind {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly shell: 'case' | 'place';
  readonly filling: Filling | null;
  /** Boxes of a picture 60 by 48: x, y, width, height; dark ones last. */
  readonly picture: readonly (readonly [number, number, number, number])[];
}

const rows = (count: number, x: number, width: number, height: number, gap: number, top = 4): [number, number, number, number][] =>
  Array.from({ length: count }, (_, i) => [x, top + i * (height + gap), width, height]);
const frame: [number, number, number, number][] = [
  [6, 2, 3, 44],
  [51, 2, 3, 44],
  [6, 2, 48, 3],
  [6, 43, 48, 3],
];

const KINDS: readonly Kind[] = [
  { id: 'case', name: 'Case', says: 'Shelves and bays', shell: 'case', filling: null, picture: [...frame, ...rows(2, 9, 42, 2.5, 11, 15)] },
  {
    id: 'chest',
    name: 'Chest',
    says: 'A bank of drawers',
    shell: 'case',
    filling: 'drawers',
    picture: [...frame, ...rows(4, 10, 40, 8, 1.2, 6)],
  },
  {
    id: 'drawers',
    name: 'Drawers',
    says: 'Into a cabinet that is there',
    shell: 'place',
    filling: 'drawers',
    picture: [...rows(2, 8, 44, 17, 4, 5)],
  },
  {
    id: 'pigeon-holes',
    name: 'Pigeon-holes',
    says: 'Half-lapped boards in a case',
    shell: 'case',
    filling: 'pigeon-holes',
    picture: [...frame, [22, 5, 2, 38], [36, 5, 2, 38], [9, 17, 42, 2], [9, 30, 42, 2]],
  },
  {
    id: 'rack',
    name: 'Rack',
    says: 'Cells for equal things',
    shell: 'place',
    filling: 'rack',
    picture: [0, 1, 2, 3, 4].flatMap((i): [number, number, number, number][] => [
      [6 + i * 11.5, 2, 2, 44],
      ...(i < 4 ? rows(3, 8 + i * 11.5, 9.5, 1.6, 12, 14) : []),
    ]),
  },
  {
    id: 'tray',
    name: 'Tray',
    says: 'Lanes for small things',
    shell: 'place',
    filling: 'lanes',
    picture: [
      [4, 8, 52, 2.5],
      [4, 38, 52, 2.5],
      [4, 26, 52, 2.5],
      [20, 10, 2.5, 16],
      [38, 10, 2.5, 16],
    ],
  },
  { id: 'deck', name: 'Deck', says: 'Slats on supports', shell: 'place', filling: 'slats', picture: rows(6, 4, 52, 4.4, 3, 3) },
];

const Cards = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px;
  margin-top: 12px;
`;

const Card = styled.button`
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
    outline: 3px solid #1b5aa8;
    background: ${tape}22;
  }
  svg {
    flex: none;
  }
`;

/** A piece of a kind with nothing in it yet, and the room for what fills it. */
function begun(kind: Kind, sheet: string, unit: LengthUnit) {
  const bare = kind.shell === 'case' ? newCase(unit, sheet, { kind: 'sizes' }) : newInPlace(unit, sheet, kind.filling ?? 'drawers');
  if (kind.filling === 'drawers' && kind.shell === 'case') Object.assign(bare, chestSizes(unit));
  const size = (o: typeof bare.width) => (o.from === 'given' ? o.size : newThing(unit).clearance);
  const clear = { width: size(bare.width), height: size(bare.height), depth: size(bare.depth) };
  return { bare: { ...bare, name: `New ${kind.name.toLowerCase()}` }, means: { unit, clear } };
}

/** Starts a piece of a kind: its shell, and what fills it. */
function useStartKind(chosen: string | null) {
  const { id, bench, saver } = useProject();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const start = async (kind: Kind, woods?: Means['chosen']) => {
    const { unit } = bench.project.settings;
    try {
      const stock = [...bench.records.stock];
      if (stock.length === 0) {
        const first = newStock(unit);
        await saver.create('stock', 'first-sheet', first, 'Put a first sheet into the stockroom');
        stock.push({ id: 'first-sheet', version: 1, data: first });
      }
      const things = [...bench.records.things];
      if (things.length === 0 && (kind.filling === 'rack' || kind.filling === 'pigeon-holes')) {
        const first = newThing(unit);
        await saver.create('things', 'first-thing', first, 'Added a thing for the cells');
        things.push({ id: 'first-thing', version: 1, data: first });
      }
      const { bare, means } = begun(kind, chosen ?? (stock[0]?.id as string), unit);
      const filled = kind.filling
        ? applyEdit(bare, fillEdit(bare, bare.interior.id, kind.filling, { ...means, ...bench.records, stock, things, chosen: woods }))
        : bare;
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
  const [wanted, setWanted] = useState<Kind | null>(null);
  // With nothing in the stockroom there is nothing to choose between: a first sheet is put there.
  const press = (kind: Kind) => (kind.filling && stock !== null ? setWanted(kind) : void start(kind));
  return (
    <>
      <Cards aria-label="Kinds of piece">
        {KINDS.map((kind) => (
          <li key={kind.id}>
            <Card onClick={() => press(kind)} aria-label={`Start a ${kind.name.toLowerCase()}: ${kind.says.toLowerCase()}`}>
              <svg width={60} height={48} viewBox="0 0 60 48" aria-hidden>
                {kind.picture.map(([x, y, w, h], i) => (
                  <rect key={i} x={x} y={y} width={w} height={h} fill={wood} stroke={ink} strokeWidth={0.8} />
                ))}
              </svg>
              <span>
                <strong>{kind.name}</strong>
                <small>{kind.says}</small>
              </span>
            </Card>
          </li>
        ))}
      </Cards>
      {wanted?.filling && stock !== null ? (
        <MadeOf
          key={wanted.id}
          filling={wanted.filling}
          means={{ ...begun(wanted, stock, bench.project.settings.unit).means, ...bench.records }}
          does={`Start the ${wanted.name.toLowerCase()}`}
          onSettled={(woods) => void start(wanted, woods)}
          onCancel={() => setWanted(null)}
        />
      ) : null}
      {problem ? <Fault role="alert">{problem}</Fault> : null}
    </>
  );
}
