import { useMemo } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Copy, Download } from 'lucide-react';
import { drawPiece, extentOf, type Drawing, type PlainShape } from '../../core/drawing/index.js';
import { ZERO, toMm } from '../../core/length/index.js';
import type { Role } from '../../core/piece/index.js';
import type { Solution } from '../../core/solution/index.js';
import { api } from '../data/api.js';
import { useHistory } from '../data/history.js';
import { usePrecision, useProject } from '../data/project.js';
import { solvedPiece } from '../data/solved.js';
import { useSize } from '../shared/use-size.js';
import { Person } from '../bench/person.js';
import { Header } from '../shared/header.js';
import { JobBar } from '../shared/job-bar.js';
import { useJob } from '../data/job.js';
import { download, fileName } from '../shared/download.js';
import { outline, type Placing } from '../shared/outline.js';
import { LengthText } from '../shared/length-text.js';
import { StateMark } from '../shared/state-mark.js';
import { NewPiece } from './new-piece.js';
import { TakeOut } from '../shared/take-out.js';
import { newId } from '../data/defaults.js';
import { Assumed, Button, Faint, Page, Row } from '../shared/ui.js';
import { ghost, ghostEdge, ink, inkSoft, line, paper, wood, woodDark } from '../theme/tokens.js';
import { Laid } from '../shared/laid.js';

const Floor = styled.div`
  position: relative;
  height: 400px;
  background: ${paper};
  border: 1px solid ${line};
  margin: 14px 0;
  overflow-x: auto;
  svg {
    display: block;
    height: 100%;
  }
  a:focus-visible path {
    stroke-width: 4;
  }
`;

const Cards = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 10px;
  li {
    background: ${paper};
    border: 1px solid ${line};
    padding: 10px 12px;
  }
  li a {
    font-weight: 700;
    font-size: 16px;
  }
`;

interface Shown {
  readonly id: string;
  readonly solution: Solution;
}

/** The pieces of the project, solved; the drawing needs no more than their members. */
function useSolved(): readonly Shown[] {
  const { bench, workshopOf } = useProject();
  return useMemo(
    () => bench.records.pieces.map((p) => ({ id: p.id, solution: solvedPiece(p.id, p.data, workshopOf) })),
    [bench, workshopOf],
  );
}

interface Look {
  readonly fill: string;
  readonly stroke: string;
}

function lookOf(kind: string, role: Role | undefined): Look {
  if (kind === 'space') return { fill: paper, stroke: 'none' };
  if (kind === 'thing') return { fill: ghost, stroke: ghostEdge };
  return { fill: role === 'toe board' || role === 'plinth rail' ? woodDark : wood, stroke: ink };
}

interface Extent {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

/** Where a shape lies, with the little that boards that touch may overlap by rounding taken off. */
function roomOf(shape: PlainShape): Extent {
  const slack = 0.01;
  const { x0, x1, y0, y1 } = extentOf(shape);
  return { x0: x0 + slack, x1: x1 - slack, y0: y0 + slack, y1: y1 - slack };
}

/** A drawing as a few outlines, one for each stretch of shapes that look alike: a rack has hundreds. */
function layersOf(solution: Solution, drawing: Drawing, at: Placing): readonly (Look & { readonly d: string })[] {
  const roles = new Map(solution.shape.members.map((m) => [m.id, m.role]));
  const layers: (Look & { d: string; boxes: Extent[] })[] = [];
  for (const shape of drawing.shapes) {
    if (shape.hidden) continue;
    const look = lookOf(shape.of.kind, roles.get(shape.of.id));
    const box = roomOf(shape);
    const last = layers.at(-1);
    // What covers something goes into a layer of its own, or the edges under it would show.
    const free = last?.boxes.every((b) => box.x1 <= b.x0 || b.x1 <= box.x0 || box.y1 <= b.y0 || b.y1 <= box.y0);
    if (last && free && last.fill === look.fill && last.stroke === look.stroke) {
      last.d += outline(shape, at);
      last.boxes.push(box);
    } else layers.push({ ...look, d: outline(shape, at), boxes: [box] });
  }
  return layers.map(({ d, fill, stroke }) => ({ d, fill, stroke }));
}

const GAP = 200;

/** How wide a letter of a name is, px. */
const NAME_LETTER = 7.4;

/** How high over the floor a piece hangs, mm, where that is known. */
const overFloor = ({ shape }: Solution) => toMm(shape.outside.above ?? ZERO);

/** Every piece at one scale, standing on one floor or hung over it, beside a person. */
function Lineup({ pieces }: { pieces: readonly Shown[] }) {
  const { id, bench } = useProject();
  const { ref, size } = useSize();
  const [person] = bench.records.people;
  const drawings = useMemo(() => pieces.map((p) => ({ ...p, drawing: drawPiece(p.solution, 'front', '') })), [pieces]);
  const tall = Math.max(1000, person ? toMm(person.data.height) : 0, ...drawings.map((d) => overFloor(d.solution) + d.drawing.height));
  const wood = drawings.reduce((sum, d) => sum + d.drawing.width + GAP, GAP) + (person ? 700 : 0);
  // Small enough to see many at once, large enough to tell them apart; what does not fit is scrolled to.
  const high = (size.height - 70) / tall;
  const scale = Math.min(high, Math.max(0.7 * high, (size.width - 10) / wood));
  const slot = (d: (typeof drawings)[number]) => Math.max(d.drawing.width, (d.solution.piece.name.length * NAME_LETTER + 8) / scale);
  // Where each begins: what stands before it, and a gap; the last place is behind them all.
  const begins = drawings.reduce<readonly number[]>((places, d) => [...places, (places.at(-1) as number) + slot(d) + GAP], [GAP]);
  const all = begins.at(-1) as number;
  const wide = all + (person ? 700 : 0);
  const foot = size.height - 40;
  const stands = (all + 250) * scale;
  return (
    <Floor ref={ref} tabIndex={0} aria-label="All pieces at one scale">
      {size.width > 0 ? (
        <svg width={Math.max(size.width, wide * scale)} role="group" aria-label="Pieces side by side">
          <line x1={0} x2={Math.max(size.width, wide * scale)} y1={foot} y2={foot} stroke={ink} />
          {drawings.map(({ id: pieceId, drawing, solution }, i) => {
            const room = slot({ id: pieceId, drawing, solution });
            const left = ((begins[i] ?? GAP) + (room - drawing.width) / 2) * scale;
            const at: Placing = { scale, left: left - drawing.left * scale, foot: foot - overFloor(solution) * scale };
            return (
              <Link key={pieceId} to={`/p/${id}/pieces/${pieceId}/divide`} aria-label={`Open ${solution.piece.name}`}>
                {layersOf(solution, drawing, at).map(({ d, ...look }, i) => (
                  <path key={i} d={d} strokeWidth={0.8} {...look} />
                ))}
                <text x={left + (drawing.width * scale) / 2} y={foot + 22} textAnchor="middle" fontSize={13} fontWeight={600} fill={ink}>
                  {solution.piece.name}
                </text>
              </Link>
            );
          })}
          {person ? (
            <>
              <Person name={person.data.name} height={toMm(person.data.height)} x={stands} foot={foot} scale={scale} />
              <text x={stands} y={foot + 22} textAnchor="middle" fontSize={13} fill={inkSoft}>
                {person.data.name}
              </text>
            </>
          ) : null}
        </svg>
      ) : null}
    </Floor>
  );
}

function PieceCard({ piece }: { piece: Shown }) {
  const { id, bench, saver } = useProject();
  const precision = usePrecision();
  const { solution } = piece;
  const stops = solution.checks.filter((c) => c.severity === 'stop').length;
  const looks = solution.checks.filter((c) => c.severity === 'look').length;
  const { width, height, depth } = solution.shape.overall;
  const { assumed } = solution.shape;
  const { name, times = 1 } = solution.piece;
  const refused = (error: Error) => saver.say({ tone: 'refused', text: error.message });
  const copy = () => {
    const taken = bench.records.pieces.map((p) => p.id);
    const copied = { ...solution.piece, name: `${name.slice(0, 70)}, copy` };
    void saver.create('pieces', newId(piece.id, taken), copied, `Copied ${name}`.slice(0, 150)).catch(refused);
  };
  return (
    <li>
      <Row $spread $wrap={false}>
        <Link to={`/p/${id}/pieces/${piece.id}/divide`}>{solution.piece.name}</Link>
        <Laid.span $unbroken>
          <Button data-quiet aria-label={`Copy ${solution.piece.name}`} onPress={copy}>
            <Copy aria-hidden />
          </Button>
          <TakeOut name={solution.piece.name} onPress={() => void saver.remove('pieces', piece.id)} />
        </Laid.span>
      </Row>
      <div>
        <LengthText value={width.value} precision={precision} /> × <LengthText value={height.value} precision={precision} /> ×{' '}
        <LengthText value={depth.value} precision={precision} unit />
        {times > 1 ? `, ${times} of them` : ''} {assumed.length > 0 ? <Assumed>{assumed.join(', ')} assumed</Assumed> : null}
      </div>
      <Row $gap={6} $above={4}>
        <StateMark state={stops > 0 ? 'fails' : looks > 0 ? 'close' : 'fine'} severity={stops > 0 ? 'stop' : looks > 0 ? 'look' : 'good'} />
        <Faint>
          {stops > 0
            ? `${stops} ${stops === 1 ? 'check stops' : 'checks stop'} the build`
            : looks > 0
              ? `${looks} to look at`
              : 'all checks fine'}
          , {solution.parts.length} parts
        </Faint>
      </Row>
    </li>
  );
}

const PIECES = ['pieces'];

/** The shed: every piece of a project at one scale, with its state. */
export function Shed() {
  const { id, bench, saver } = useProject();
  const pieces = useSolved();
  const history = useHistory(PIECES);
  const isEmpty = bench.records.stock.length === 0;
  const job = useJob();
  const save = async () => {
    await saver.settled();
    download(`${fileName(bench.project.name)}.json`, 'application/json', await api.file(id));
  };
  const hasPhotos = bench.records.log.some((e) => e.data.photo !== undefined);
  const savePacked = async () => {
    await saver.settled();
    try {
      const zip = await job.run((name, signal) => api.archive(id, name, signal));
      if (zip) download(`${fileName(bench.project.name)}.zip`, 'application/zip', zip);
    } catch (error) {
      saver.say({ tone: 'refused', text: (error as Error).message });
    }
  };
  return (
    <>
      <Header history={history} />
      <Page>
        <Row $spread>
          <h1>{bench.project.name}</h1>
          <Link to="/?all">All projects</Link>
          <Button onPress={() => void save()}>
            <Download aria-hidden /> Project file
          </Button>
          {hasPhotos ? (
            <Button isDisabled={job.isRunning} onPress={() => void savePacked()}>
              <Download aria-hidden /> With its photos
            </Button>
          ) : null}
        </Row>
        <JobBar job={job} label="Packing" />
        {pieces.length > 0 ? <Lineup pieces={pieces} /> : null}
        <Laid.h2 $above={14} $below={8}>
          New piece
        </Laid.h2>
        {isEmpty ? (
          <Faint>
            Nothing is in the stockroom yet: a first sheet is put there. Or{' '}
            <Link to={`/p/${id}/stock`}>put the usual stock of a yard there</Link>.
          </Faint>
        ) : null}
        <NewPiece />
        {pieces.length > 0 ? (
          <>
            <Laid.h2 $above={20} $below={8}>
              Pieces
            </Laid.h2>
            <Cards>
              {pieces.map((p) => (
                <PieceCard key={p.id} piece={p} />
              ))}
            </Cards>
          </>
        ) : null}
      </Page>
    </>
  );
}
