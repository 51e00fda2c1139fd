import { memo, useMemo, type ReactNode } from 'react';
import styled from 'styled-components';
import { drawPiece, type Drawing as DrawingData, type PlainShape, type View } from '../../core/drawing/index.js';
import { ZERO, toMm, type Length } from '../../core/length/index.js';
import { hangs, type Pose } from '../../core/piece/index.js';
import { valuesOf } from '../../core/survey/index.js';
import { tapeAlong, tapeThrough, type TapeLine } from '../../core/solution/index.js';
import { usePrecision } from '../data/project.js';
import { LengthText, plainWide } from '../shared/length-text.js';
import {
  ghost,
  ghostEdge,
  ink,
  inkSoft,
  metal,
  paper,
  phone,
  tape as tapeYellow,
  tapePale,
  wood,
  woodCut,
  woodDark,
  woodPale,
} from '../theme/tokens.js';
import { outline, type Placing } from '../shared/outline.js';
import { useSize } from '../shared/use-size.js';
import { PersonBeside, besideBy, tallOf, type Beside } from './person.js';
import { AlongTape } from './along-tape.js';
import { useBench, useOpening } from './bench.js';
import { DropZones } from './drop-zones.js';
import { newNodes } from './nodes.js';
import { STROKE_TAPE, StrokeTape, type Sliding } from './stroke-tape.js';
import { TAPE_THICKNESS, Tape } from './tape.js';

const Stage = styled.div`
  forced-color-adjust: none;
  position: relative;
  flex: 1;
  min-height: 340px;
  overflow: hidden;
  @media ${phone} {
    flex: none;
    height: 480px;
  }
  svg.drawing {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
`;

const Mark = styled.div`
  position: absolute;
  font-size: 12px;
  white-space: nowrap;
  color: ${inkSoft};
  pointer-events: none;
  &.overall {
    color: ${ink};
    font-weight: 700;
    font-size: 14px;
  }
`;

/** Room round a drawing for tapes, marks and the opening, px. */
const ROOM = { left: TAPE_THICKNESS + 76, right: 78, top: 34, bottom: TAPE_THICKNESS + 30 };

/** What tapes take besides: the widest mark of the upright one at the left, all of the other at its end, and another tape below; px. */
interface TapeRoom {
  readonly marks: number;
  readonly end: number;
  readonly below: number;
}

function placing(drawing: DrawingData, width: number, height: number, tapes: TapeRoom | null): Placing {
  const room = tapes
    ? {
        ...ROOM,
        left: Math.max(ROOM.left, TAPE_THICKNESS + 26 + tapes.marks),
        right: Math.max(ROOM.right, tapes.end),
        bottom: ROOM.bottom + tapes.below,
      }
    : { left: 40, right: 40, top: 34, bottom: 40 };
  const scale = Math.max(
    0.005,
    Math.min((width - room.left - room.right) / drawing.width, (height - room.top - room.bottom) / drawing.height),
  );
  const left = room.left + Math.max(0, (width - room.left - room.right - drawing.width * scale) / 2) - drawing.left * scale;
  const spare = Math.max(0, height - room.top - room.bottom - drawing.height * scale);
  return { scale, left, foot: height - room.bottom - spare / 2 };
}

const FILL: Readonly<Record<string, string>> = {
  'toe board': woodDark,
  'plinth rail': woodDark,
  'plinth end': woodDark,
  bearer: woodDark,
  runner: woodDark,
  'slat support': woodDark,
  'drawer front': woodPale,
  back: woodCut,
  'wall board': woodCut,
};

function shapeStyle(kind: PlainShape['of']['kind'], hidden: boolean, selected: boolean, role: string) {
  if (kind === 'thing') return { fill: ghost, stroke: ghostEdge, strokeWidth: 1, fillOpacity: 0.85 };
  if (kind === 'fitting') return { fill: metal, stroke: ink, strokeWidth: 1 };
  if (kind === 'space') return { fill: selected ? tapePale : paper, stroke: selected ? tapeYellow : 'none', strokeWidth: selected ? 3 : 0 };
  if (hidden) return { fill: 'none', stroke: ink, strokeWidth: 1, strokeDasharray: '4 3', opacity: 0.5 };
  return { fill: selected ? tapeYellow : (FILL[role] ?? wood), stroke: ink, strokeWidth: selected ? 2 : 1.1 };
}

interface Drawn {
  readonly of: PlainShape['of'];
  readonly hidden: boolean;
  d: string;
}

/** The shapes as they are drawn: a block of equal things is one outline, which keeps large drawings light. */
function drawn(drawing: DrawingData, at: Placing): readonly Drawn[] {
  const all: Drawn[] = [];
  for (const shape of drawing.shapes) {
    const last = all.at(-1);
    if (shape.of.kind === 'thing' && last?.of.id === shape.of.id) last.d += outline(shape, at);
    else all.push({ of: shape.of, hidden: shape.hidden, d: outline(shape, at) });
  }
  return all;
}

/** One outline, drawn anew only when it looks other than before. */
const ShapeMark = memo(function ShapeMark({
  d,
  kind,
  id,
  label,
  space,
  hidden,
  selected,
  role,
}: Pick<Drawn, 'd' | 'hidden'> & PlainShape['of'] & { readonly selected: boolean; readonly role: string }) {
  return (
    <path d={d} fillRule="evenodd" {...shapeStyle(kind, hidden, selected, role)} data-of={`${kind}:${id}`} data-space={space}>
      <title>{label}</title>
    </path>
  );
});

/** What the shape under the pointer stands for; of a thing, the space it stands in. */
function pointedAt(event: { readonly target: EventTarget }): { readonly kind: string; readonly id: string } | null {
  const shape = (event.target as Element).closest('[data-of]');
  const [, kind, id] = /^(\w+):(.*)$/.exec(shape?.getAttribute('data-of') ?? '') ?? [];
  if (!kind || id === undefined) return null;
  return { kind, id: shape?.getAttribute('data-space') ?? id };
}

/** The shapes of a drawing; a click picks what a shape stands for. */
export function Shapes({ drawing, at }: { drawing: DrawingData; at: Placing }) {
  const { selection, select, solution, space } = useBench();
  const members = useMemo(() => new Map(solution.shape.members.map((m) => [m.id, m])), [solution]);
  return (
    <g
      cursor="pointer"
      onClick={(event) => {
        const found = pointedAt(event);
        if (!found) return;
        // A front stands for its drawer until one looks into that.
        const member = members.get(found.id);
        select(member?.role === 'drawer front' && member.node !== space ? member.node : found.id);
      }}
    >
      {drawn(drawing, at).map(({ of, hidden, d }, i) => (
        <ShapeMark key={i} {...of} hidden={hidden} d={d} selected={of.id === selection} role={members.get(of.id)?.role ?? ''} />
      ))}
    </g>
  );
}

/** The opening round the piece, dashed: as wide as its least width, as high as its least height; or the place that a piece is put into. */
function OpeningOutline({ at, view }: { at: Placing; view: View }) {
  const { solution } = useBench();
  const found = useOpening();
  const { shape } = solution;
  const overall = {
    width: toMm(shape.overall.width.value),
    height: toMm(shape.overall.height.value),
    depth: toMm(shape.overall.depth.value),
  };
  const dashed = { fill: 'none', stroke: inkSoft, strokeWidth: 1.2, strokeDasharray: '6 4', pointerEvents: 'none' } as const;
  if (shape.outside.is === 'found') {
    const [w, h] = [view === 'side' ? overall.depth : overall.width, view === 'top' ? overall.depth : overall.height];
    return <rect x={at.left} y={at.foot - h * at.scale} width={w * at.scale} height={h * at.scale} {...dashed} />;
  }
  if (!found || view === 'top') return null;
  const { opening } = found;
  const least = (reach: 'width' | 'height' | 'depth') => Math.min(...valuesOf(opening, reach).map(toMm));
  const width = least(view === 'front' ? 'width' : 'depth');
  const left = view === 'front' ? at.left - ((width - overall.width) / 2) * at.scale : at.left - toMm(opening.slack.behind) * at.scale;
  const top = at.foot - least('height') * at.scale;
  return <path d={`M${left} ${at.foot}V${top}H${left + width * at.scale}V${at.foot}`} {...dashed} />;
}

interface MarksProps {
  readonly lines: readonly TapeLine[];
  readonly at: Placing;
  readonly side: number;
  readonly overall: Length;
  /** Where the tape begins, px, and whether it hangs down from there. */
  readonly datum: number;
  readonly down: boolean;
}

/** How large marks are written, and the dash after one of them, px. */
const MARK_PX = 12;
const OVERALL_PX = 14;
const DASH = 16;

/** Whether the near edge of a line is marked beside its tape. */
const isMarked = (line: TapeLine) => line.kind === 'wood' && line.near.value > 0;

/** The marks of the upright tape: the near edge of each shelf from its datum, those that would touch left out. */
function UprightMarks({ lines, at, side, overall, datum, down }: MarksProps) {
  const precision = usePrecision();
  const whole = toMm(overall) * at.scale;
  const right = `calc(100% - ${side - TAPE_THICKNESS - 26}px)`;
  const place = (px: number) => (down ? datum + px : datum - px) - 8;
  const readable = lines
    .filter(isMarked)
    .map((line) => ({ line, px: toMm(line.near.value) * at.scale }))
    .reduce<readonly { line: TapeLine; px: number }[]>(
      (kept, mark) => (mark.px - (kept.at(-1)?.px ?? -Infinity) < 15 || whole - mark.px < 15 ? kept : [...kept, mark]),
      [],
    );
  return (
    <>
      <Mark className="overall" style={{ right, top: place(whole) }}>
        <LengthText value={overall} precision={precision} />
      </Mark>
      {readable.map(({ line, px }) => (
        <Mark key={line.id} style={{ right, top: place(px) }}>
          <LengthText value={line.near.value} precision={precision} /> –
        </Mark>
      ))}
    </>
  );
}

export interface StageProps {
  readonly view: View;
  /** How far what moves stands out. */
  readonly pose: Pose;
  readonly contents: boolean;
  readonly tapes: boolean;
  readonly person: Beside | null;
  readonly onRules: (line: TapeLine) => void;
  readonly onDropThing?: (space: string, thing: string) => void;
  /** What slides out, how far it is and how it is drawn; none where nothing does. */
  readonly stroke?: { readonly body: Sliding; readonly part: number; readonly onPart: (part: number) => void } | null;
  /** Drawn over the piece, at its scale. */
  readonly over?: (at: Placing) => ReactNode;
}

/** The drawing to scale in the middle, with a tape up and a tape along. */
export function PieceStage({ view, pose, contents, tapes, person, onRules, onDropThing, stroke, over: drawOver }: StageProps) {
  const { solution, space, selection, select, setDraft, commit, piece } = useBench();
  const precision = usePrecision();
  const { ref, size } = useSize();
  const full = useMemo(() => drawPiece(solution, view, space, pose), [solution, view, space, pose]);
  const drawing = contents ? full : { ...full, shapes: full.shapes.filter((s) => s.of.kind !== 'thing') };
  const hung = hangs(solution.shape);
  // Someone beside what hangs stands on the floor, so far below it as is known.
  const over = person && hung ? toMm(solution.shape.outside.above ?? ZERO) : 0;
  const withPerson = person
    ? { ...drawing, width: drawing.width + besideBy(person).room, height: Math.max(drawing.height + over, tallOf(person)) }
    : drawing;
  const drawn = view === 'side' && tapes && stroke ? stroke : null;
  const farOut = drawn?.body.id;
  // The scale stays as it is while something is drawn out: there is room for all of its way from the start.
  const open = useMemo(
    () => (farOut === undefined ? null : drawPiece(solution, view, space, new Map([[farOut, 1]]))),
    [solution, view, space, farOut],
  );
  const whole = open ? { ...withPerson, width: Math.max(withPerson.width, open.width) } : withPerson;
  const upright = useMemo(() => tapeThrough(solution, space, view === 'top' ? 'deep' : 'up'), [solution, space, view]);
  const overallUp = view === 'top' ? solution.shape.overall.depth.value : solution.shape.overall.height.value;
  const overallAlong = view === 'side' ? solution.shape.overall.depth.value : solution.shape.overall.width.value;
  const tapeRoom = {
    marks: Math.max(
      plainWide(overallUp, precision, OVERALL_PX),
      ...upright.lines.filter(isMarked).map((l) => plainWide(l.near.value, precision, MARK_PX) + DASH),
    ),
    end: plainWide(overallAlong, precision, OVERALL_PX) + 12,
    below: drawn ? STROKE_TAPE + 12 : 0,
  };
  const placed = placing(whole, size.width, size.height, tapes ? tapeRoom : null);
  const at = { ...placed, foot: placed.foot - over * placed.scale };
  const floored = view !== 'top' && (!hung || over > 0);
  const along = useMemo(() => tapeThrough(solution, space, view === 'side' ? 'deep' : 'across'), [solution, space, view]);
  // What stands open is not where its tape would lie.
  const asItStands = view !== 'top' && [...pose.values()].every((part) => part === 0);
  const leaning = useMemo(() => (asItStands ? tapeAlong(solution.shape, selection) : null), [solution, selection, asItStands]);
  // Seen from where it comes towards one it is not as long as it is.
  const beside = leaning && Math.abs(leaning.member.frame.u[view === 'side' ? 0 : 2]) < 1e-6 ? leaning : null;
  const shared = {
    precision,
    selection,
    scale: at.scale,
    freshIds: () => newNodes(piece),
    onSelect: select,
    onDraft: (edit: Parameters<typeof commit>[0] | null) => setDraft(edit ? { kind: 'edit', edit } : null),
    onCommit: commit,
    onRules,
  };
  // Left of all that is drawn, also of what stands open to the rear.
  const side = at.left + drawing.left * at.scale;
  // From above the tape is hooked on the rear, which lies at the head of the page.
  const down = view === 'top';
  const datum = at.foot - drawing.datum * at.scale;
  const ready = size.width > 0;
  return (
    <Stage ref={ref}>
      {ready ? (
        <svg
          className="drawing"
          role="group"
          aria-label={`${piece.name}, ${view === 'front' ? 'from the front' : view === 'side' ? 'a section from the side' : 'a section from above'}, to scale`}
        >
          <OpeningOutline at={at} view={view} />
          <Shapes drawing={drawing} at={at} />
          {floored ? <line x1={0} x2={size.width} y1={placed.foot + 0.5} y2={placed.foot + 0.5} stroke={inkSoft} strokeWidth={1} /> : null}
          {person && view !== 'top' ? (
            <PersonBeside
              person={person}
              x={at.left + (drawing.width + drawing.left + besideBy(person).at) * at.scale}
              from={at.left + drawing.left * at.scale}
              foot={placed.foot}
              scale={at.scale}
            />
          ) : null}
          {drawOver?.(at)}
        </svg>
      ) : null}
      {ready && onDropThing ? <DropZones drawing={drawing} at={at} onDrop={onDropThing} /> : null}
      {tapes && ready && solution.shape.spaces.size > 0 ? (
        <>
          <UprightMarks lines={upright.lines} at={at} side={side} overall={overallUp} datum={datum} down={down} />
          <Tape
            {...shared}
            tape={upright}
            way={down ? 'down' : 'up'}
            label={view === 'top' ? 'Tape from the rear to the front' : 'Upright tape, from the floor'}
            left={side - TAPE_THICKNESS - 18}
            top={down ? datum : datum - toMm(overallUp) * at.scale}
          />
          <Tape
            {...shared}
            tape={along}
            way="across"
            label={view === 'side' ? 'Tape from the rear to the front' : 'Tape along the bottom, from the left'}
            left={at.left}
            top={at.foot + 14}
          />
          {beside ? <AlongTape along={beside} view={view} at={at} /> : null}
          {drawn ? (
            <StrokeTape
              {...drawn}
              shape={solution.shape}
              at={{ left: at.left, top: at.foot + 14 + TAPE_THICKNESS + 10, scale: at.scale, width: size.width }}
            />
          ) : null}
          <Mark className="overall" style={{ left: at.left + toMm(overallAlong) * at.scale + 8, top: at.foot + 34 }}>
            <LengthText value={overallAlong} precision={precision} />
          </Mark>
        </>
      ) : null}
    </Stage>
  );
}
