import type { KeyboardEvent, PointerEvent } from 'react';
import styled from 'styled-components';
import { flawsOn, leftOn, partsOn, type LaidSheet } from '../../../core/cutting/laid.js';
import type { Blank } from '../../../core/layout/blanks.js';
import { formatLength, toMm, type Length, type Precision } from '../../../core/length/index.js';
import { film, ghost, ghostEdge, ink, inkSoft, link, red, tape, wood, woodDark, woodPale } from '../../theme/tokens.js';
import type { ShownSheet } from './use-cutting.js';

const Board = styled.svg`
  display: block;
  touch-action: pan-y;
  g[role='option'] {
    cursor: grab;
    outline: none;
  }
  g[role='option']:focus-visible > rect:first-child {
    stroke: ${link};
    stroke-width: 3px;
  }
  text {
    pointer-events: none;
    user-select: none;
  }
`;

/** Where a part was let go. */
export interface Dropped {
  readonly sheet: number;
  readonly x: Length;
  readonly y: Length;
}

/** What the drawing of sheets needs to know. */
export interface SheetsDrawn {
  readonly sheets: readonly ShownSheet[];
  readonly blanks: ReadonlyMap<string, Blank>;
  readonly marks: ReadonlyMap<string, string>;
  readonly pins: ReadonlySet<string>;
  /** Blanks that are picked: the one, and its like. */
  readonly picked: string | null;
  readonly like: ReadonlySet<string>;
  readonly nameOf: (sheet: ShownSheet, nth: number) => string;
  readonly precision: Precision;
  /** Pixels for a millimetre. */
  readonly scale: number;
  readonly onPick: (blank: Blank) => void;
  readonly onDrop: (blank: Blank, turned: boolean, at: Dropped) => void;
  readonly onTurn: (blank: Blank) => void;
  readonly onPin: (blank: Blank) => void;
  readonly onMove: (blank: Blank, by: { readonly x: number; readonly y: number }) => void;
  readonly onNextSheet: (blank: Blank) => void;
}

/** What is dragged: which blank, from where the pointer holds it, and where it is now on the screen. */
export interface Drag {
  readonly key: string;
  readonly turned: boolean;
  readonly grip: { readonly x: number; readonly y: number };
  readonly at: { readonly x: number; readonly y: number };
  readonly moved: boolean;
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowDown: [0, 1],
  ArrowUp: [0, -1],
};

/** The part next to another in a direction: the nearest that lies that way. */
function nextTo(laid: LaidSheet, id: string, [dx, dy]: readonly [number, number]): string | null {
  const middle = (p: { x: number; y: number; length: number; width: number }) => [p.x + p.length / 2, p.y + p.width / 2] as const;
  const parts = partsOn(laid);
  const from = parts.find((p) => p.id === id);
  if (!from) return null;
  const [fx, fy] = middle(from);
  let best: string | null = null;
  let least = Infinity;
  for (const p of parts) {
    const [x, y] = middle(p);
    const along = (x - fx) * dx + (y - fy) * dy;
    const aside = Math.abs((x - fx) * dy) + Math.abs((y - fy) * dx);
    if (p.id === id || along <= 0) continue;
    const far = along + 2 * aside;
    if (far < least) [best, least] = [p.id, far];
  }
  return best;
}

/** How much room a text of some letters takes at a size, in pixels. */
const roomFor = (text: string, size: number) => text.length * size * 0.58;

/** The letter of a part and its size, as large as there is room for. */
function PartText({ mark, size, w, h }: { mark: string; size: string; w: number; h: number }) {
  const upright = h > w * 1.4;
  const [along, across] = upright ? [h, w] : [w, h];
  const both = roomFor(size, 11) <= along - 6 && across >= 30;
  const only = across >= 11 && roomFor(mark, 12) <= along;
  if (!only) return null;
  const turn = upright ? `rotate(-90 ${w / 2} ${h / 2})` : undefined;
  return (
    <g transform={turn}>
      <text x={w / 2} y={h / 2 + (both ? -2 : 4)} textAnchor="middle" fontSize={both ? 14 : 12} fontWeight={700} fill={ink}>
        {mark}
      </text>
      {both ? (
        <text x={w / 2} y={h / 2 + 13} textAnchor="middle" fontSize={11} fill={ink}>
          {size}
        </text>
      ) : null}
    </g>
  );
}

/** One sheet, to scale: its parts with their letters, what is left, and the cuts between them. Parts are dragged, turned and held here. */
export function OneSheet({
  sheet,
  nth,
  drawn,
  drag,
  onGrab,
  svgRef,
}: {
  sheet: ShownSheet;
  nth: number;
  drawn: SheetsDrawn;
  drag: Drag | null;
  onGrab: (event: PointerEvent<SVGGElement>, blank: Blank, turned: boolean, x: number, y: number) => void;
  svgRef: (svg: SVGSVGElement | null) => void;
}) {
  const { laid, begun } = sheet;
  const { scale, precision, blanks, marks, pins, picked, like } = drawn;
  const px = (l: number) => toMm(l as Length) * scale;
  const [W, H] = [px(laid.length), px(laid.width)];
  const write = (l: Length) => formatLength(l, precision);
  const parts = partsOn(laid);
  const firstKey = parts.some((p) => p.id === picked) ? picked : parts[0]?.id;
  const onKeyDown = (event: KeyboardEvent<SVGGElement>, blank: Blank) => {
    const step = ARROWS[event.key];
    if (step && !event.ctrlKey && !event.metaKey && !event.altKey) {
      event.preventDefault();
      event.stopPropagation();
      if (event.shiftKey) return drawn.onMove(blank, { x: step[0], y: step[1] });
      const next = nextTo(laid, blank.key, step);
      const to = next === null ? undefined : blanks.get(next);
      if (!to) return;
      drawn.onPick(to);
      document.getElementById(`blank-${to.key}`)?.focus();
      return;
    }
    const keys: Readonly<Record<string, () => void>> = {
      Enter: () => drawn.onPick(blank),
      ' ': () => drawn.onPick(blank),
      t: () => drawn.onTurn(blank),
      p: () => drawn.onPin(blank),
      m: () => drawn.onNextSheet(blank),
    };
    const act =
      event.ctrlKey || event.metaKey || event.altKey ? undefined : keys[event.key.length === 1 ? event.key.toLowerCase() : event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };
  return (
    <Board
      ref={svgRef}
      width={W + 2}
      height={H + 2}
      viewBox={`-1 -1 ${W + 2} ${H + 2}`}
      role="listbox"
      aria-label={`${drawn.nameOf(sheet, nth)}: its parts`}
      data-sheet={nth}
    >
      <rect x={0} y={0} width={W} height={H} fill={film} stroke={ink} />
      {laid.trim.ends > 0 || laid.trim.edges > 0 ? (
        <rect
          x={px(laid.trim.ends)}
          y={px(laid.trim.edges)}
          width={W - 2 * px(laid.trim.ends)}
          height={H - 2 * px(laid.trim.edges)}
          fill="none"
          stroke={ghostEdge}
          strokeDasharray="4 3"
        />
      ) : null}
      {leftOn(laid).map((l) => {
        const [w, h] = [px(l.length), px(l.width)];
        const text = `${write(l.length)} × ${write(l.width)}`;
        const upright = h > w;
        const [x, y] = [px(l.x), px(l.y)];
        return (
          <g key={`${l.x} ${l.y}`} aria-hidden>
            <rect x={x} y={y} width={w} height={h} fill={ghost} />
            {Math.min(w, h) > 14 && roomFor(text, 11) < Math.max(w, h) ? (
              <text
                x={x + w / 2}
                y={y + h / 2 + 4}
                textAnchor="middle"
                fontSize={11}
                fontStyle="italic"
                fill={inkSoft}
                transform={upright ? `rotate(-90 ${x + w / 2} ${y + h / 2})` : undefined}
              >
                {text}
              </text>
            ) : null}
          </g>
        );
      })}
      {flawsOn(laid).map((f) => {
        const [x, y, w, h] = [px(f.x), px(f.y), px(f.length), px(f.width)];
        return (
          <g key={`flaw ${f.x}`} aria-hidden>
            <rect x={x} y={y} width={w} height={h} fill={film} stroke={red} />
            <path d={`M${x} ${y}l${w} ${h}m${-w} 0l${w} ${-h}`} stroke={red} fill="none" />
          </g>
        );
      })}
      {parts.map((p) => {
        const blank = blanks.get(p.id);
        const [w, h] = [px(p.length), px(p.width)];
        const isPicked = p.id === picked;
        const wrong = begun?.spoiled?.includes(p.id) ?? false;
        const size = `${write(p.length)} × ${write(p.width)}`;
        const mark = marks.get(p.id) ?? '?';
        const words = [
          `${mark}, ${size}`,
          ...(p.turned ? ['lies across'] : []),
          ...(pins.has(p.id) ? ['held here'] : []),
          ...(begun ? ['on a sheet that is begun'] : []),
          ...(wrong ? ['went wrong'] : []),
        ];
        return (
          <g
            key={p.id}
            id={wrong ? undefined : `blank-${p.id}`}
            transform={`translate(${px(p.x)} ${px(p.y)})`}
            role="option"
            aria-selected={isPicked}
            aria-label={words.join(', ')}
            tabIndex={p.id === firstKey ? 0 : -1}
            opacity={drag?.key === p.id && drag.moved ? 0.35 : 1}
            onFocus={() => blank && !isPicked && drawn.onPick(blank)}
            onKeyDown={(event) => blank && onKeyDown(event, blank)}
            onPointerDown={(event) => {
              if (!blank) return;
              drawn.onPick(blank);
              if (!begun) onGrab(event, blank, p.turned, p.x, p.y);
            }}
          >
            <rect
              width={w}
              height={h}
              fill={isPicked ? tape : like.has(p.id) ? woodPale : wood}
              stroke={ink}
              strokeWidth={isPicked ? 2 : 1}
            />
            {begun && !wrong ? (
              <rect x={2} y={2} width={Math.max(0, w - 4)} height={Math.max(0, h - 4)} fill="none" stroke={woodDark} />
            ) : null}
            <PartText mark={mark} size={size} w={w} h={h} />
            {pins.has(p.id) && w > 10 && h > 10 ? <circle cx={7} cy={7} r={3.5} fill={ink} /> : null}
            {wrong ? <path d={`M0 0L${w} ${h}M${w} 0L0 ${h}`} stroke={red} strokeWidth={1.5} /> : null}
          </g>
        );
      })}
    </Board>
  );
}
