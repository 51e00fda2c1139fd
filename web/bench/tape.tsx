import { memo, useEffect, useRef, type FocusEvent, type PointerEvent } from 'react';
import styled, { css } from 'styled-components';
import { fromUnits, toMm, type Length, type Precision } from '../../core/length/index.js';
import type { Tape as TapeData, TapeLine } from '../../core/solution/index.js';
import { LengthText, writtenWide } from '../shared/length-text.js';
import { Fault } from '../shared/ui.js';
import { ink, inkSoft, link, onTape, paper, red, tape as tapeYellow, tapePale } from '../theme/tokens.js';
import { canType, ruleName, type Way } from './tape-state.js';
import { useTape, type TapeHook, type TapeOptions } from './use-tape.js';

/** From how long on a gap says what it is along what leans, px. */
const ALONG_PX = 56;

/** How large figures are on a tape, how high a line of them is with a stacked fraction, and how wide a letter of a rule, px. */
const FIGURE_PX = 14;
const HIGH_PX = 17;
const RULE_PX = 6;

/** How thick a tape is drawn, px. */
export const TAPE_THICKNESS = 58;

const Frame = styled.div<{ $upright: boolean }>`
  /* Black and yellow say what is wood and what is a gap: they stay where a browser forces its own colours. */
  forced-color-adjust: none;
  position: absolute;
  touch-action: none;
  border: 1.5px solid ${ink};
  background: ${tapeYellow};
  > [role='listbox'] {
    position: absolute;
    inset: 0;
  }
`;

const Line = styled.div<{ $wood: boolean; $upright: boolean; $on: boolean; $movable: boolean }>`
  position: absolute;
  ${(p) => (p.$upright ? 'left: 0; right: 0;' : 'top: 0; bottom: 0;')}
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  overflow: hidden;
  font-weight: 700;
  line-height: 1.05;
  cursor: ${(p) => (p.$movable ? (p.$upright ? 'ns-resize' : 'ew-resize') : 'default')};
  user-select: none;
  ${(p) =>
    p.$wood
      ? css`
          background: ${ink};
          color: ${tapeYellow};
        `
      : css`
          background: ${p.$on ? tapePale : 'transparent'};
          cursor: text;
        `}
  ${(p) => p.$on && !p.$wood && `box-shadow: inset 0 0 0 2.5px ${ink};`}
  ${(p) => p.$on && p.$wood && `background: ${onTape}; box-shadow: inset 0 0 0 2px ${tapeYellow};`}
  &:focus-visible {
    outline: 3px solid ${link};
    outline-offset: 1px;
    z-index: 3;
    overflow: visible;
  }
  small {
    font-size: 11px;
    font-weight: 500;
    color: ${(p) => (p.$wood ? tapeYellow : onTape)};
    max-width: 100%;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    padding: 0 3px;
  }
`;

const Turned = styled.span`
  transform: rotate(-90deg);
`;

/** Wood that is drawn thinner than a finger still gets an easy place to take hold of. */
const Grip = styled.span<{ $upright: boolean }>`
  position: absolute;
  ${(p) => (p.$upright ? 'left: 0; right: 0; top: 50%; height: 12px; margin-top: -6px;' : 'top: 0; bottom: 0; left: 50%; width: 12px; margin-left: -6px;')}
`;

const Entry = styled.div`
  position: absolute;
  z-index: 20;
  width: 168px;
  background: ${paper};
  border: 2px solid ${ink};
  padding: 6px;
  input {
    width: 100%;
    font-weight: 700;
    font-size: 15px;
    padding: 3px 6px;
    border: 1px solid ${inkSoft};
  }
  p {
    font-size: 12px;
    color: ${inkSoft};
    margin-top: 3px;
  }
  input[aria-invalid='true'] {
    border: 2px solid ${red};
  }
`;

const Ticks = styled.svg`
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
`;

interface TapeProps extends Omit<TapeOptions, 'lines' | 'axis'> {
  readonly tape: TapeData;
  readonly label: string;
  /** Px for one mm, and where the tape begins on the page: its left and its top. */
  readonly scale: number;
  readonly left: number;
  readonly top: number;
}

/** Ticks along one edge, longer for rounder lengths, no closer than can be told apart. */
function tickMarks(length: number, scale: number, unit: Precision['unit']): { at: number; long: number }[] {
  const steps = unit === 'mm' ? [10, 50, 100, 500] : [25.4 / 4, 25.4, 25.4 * 6, 25.4 * 12];
  const fine = steps.findIndex((s) => s * scale >= 5);
  const step = steps[fine === -1 ? steps.length - 1 : fine] as number;
  const count = Math.min(600, Math.floor(length / step));
  return Array.from({ length: count }, (_, i) => {
    const at = (i + 1) * step;
    const rank = steps.filter((s) => s > step && Math.abs(at / s - Math.round(at / s)) < 1e-6).length;
    return { at, long: 4 + rank * 3 };
  });
}

interface TickProps {
  /** Of the tape, mm. */
  readonly length: number;
  readonly scale: number;
  readonly unit: Precision['unit'];
  readonly way: Way;
}

const TickMarks = memo(function TickMarks({ length, scale, unit, way }: TickProps) {
  const marks = tickMarks(length, scale, unit).map(({ at, long }) =>
    way === 'across'
      ? `M${(at * scale).toFixed(1)} 0v${long}`
      : `M${TAPE_THICKNESS - 3} ${((way === 'down' ? at : length - at) * scale).toFixed(1)}h${-long}`,
  );
  return (
    <Ticks aria-hidden>
      <path d={marks.join('')} stroke={ink} strokeWidth={1} opacity={0.55} />
    </Ticks>
  );
});

function optionName(line: TapeLine, precision: Precision): string {
  const rule = ruleName(line);
  const along = line.along ? `, ${toMm(line.along.value).toFixed(1)} mm along the side` : '';
  return `${line.label}, ${toMm(line.size.value).toFixed(1)} mm${along}${rule ? `, ${rule}` : ''}${precision.unit === 'in' ? `, ${(toMm(line.size.value) / 25.4).toFixed(3)} in` : ''}`;
}

function sizeOf(lines: readonly TapeLine[]): number {
  return toMm(lines.at(-1)?.far.value ?? fromUnits(0));
}

/** The field that opens over a line when it is typed on. */
function EntryBox({ hook, line, style }: { hook: TapeHook; line: TapeLine; style: { left: number; top: number } }) {
  const field = useRef<HTMLInputElement>(null);
  const { mode } = hook.state;
  const opened = useRef(mode);
  useEffect(() => {
    field.current?.focus();
    if (opened.current.kind === 'type' && opened.current.text === opened.current.from) field.current?.select();
  }, []);
  if (mode.kind !== 'type') return null;
  const name = line.kind === 'gap' ? `Size of ${line.label}` : `Place of ${line.label}, from the datum`;
  return (
    <Entry style={style}>
      <input
        ref={field}
        aria-label={name}
        aria-invalid={mode.problem !== null}
        value={mode.text}
        autoComplete="off"
        spellCheck={false}
        onChange={(e) => hook.change(e.target.value)}
        onKeyDown={hook.onFieldKeyDown}
        onBlur={() => hook.leave()}
      />
      {mode.problem ? <Fault role="alert">{mode.problem}</Fault> : <p>{mode.echo ?? name}</p>}
    </Entry>
  );
}

/** The size of a line as large as it is written on a tape: along it where it has the room, else turned across it; what has room for neither is told by the line itself. */
function LineFigure({ value, precision, room, upright }: { value: Length; precision: Precision; room: number; upright: boolean }) {
  const wide = writtenWide(value, precision, FIGURE_PX);
  const figure = <LengthText value={value} precision={precision} stacked />;
  if (upright ? room >= HIGH_PX : room >= wide + 4) return figure;
  return !upright && room >= HIGH_PX && wide <= TAPE_THICKNESS - 6 ? <Turned>{figure}</Turned> : null;
}

/** How long a gap of a tape across must be to say its rule, px: under a figure that is turned there is no room for it. */
const acrossRoom = (line: TapeLine, precision: Precision) =>
  Math.max(ruleName(line).length * RULE_PX + 8, writtenWide(line.size.value, precision, FIGURE_PX) + 4);

/** A tape hooked on the drawing at its own scale: black is wood, yellow a gap with its size and rule. */
export function Tape({ tape, label, scale, left, top, way, ...rest }: TapeProps) {
  const upright = way !== 'across';
  const { lines, axis } = tape;
  const hook = useTape({ ...rest, lines, axis, way });
  const list = useRef<HTMLDivElement>(null);
  const held = useRef<{ index: number; from: number; near: number; moved: boolean } | null>(null);
  const length = sizeOf(lines) * scale;
  const { state } = hook;
  const frame = useRef<HTMLDivElement>(null);
  const hasFocus = useRef(false);

  useEffect(() => {
    // Focus follows the arrow keys, and comes back when the line or the field that had it is no longer there.
    const lost = hasFocus.current && document.activeElement === document.body;
    if (lost || list.current?.contains(document.activeElement)) list.current?.querySelector<HTMLElement>('[tabindex="0"]')?.focus();
  }, [state, lines]);

  const onBlur = (event: FocusEvent<HTMLDivElement>) => {
    if (frame.current?.contains(event.relatedTarget)) return;
    const { target } = event;
    // What is taken out of the page loses its focus too, but then the tape has not been left.
    queueMicrotask(() => {
      if (target.isConnected) hasFocus.current = false;
    });
    if (state.mode.kind === 'move') hook.leave();
  };

  const along = (event: PointerEvent) => ({ up: -event.clientY, down: event.clientY, across: event.clientX })[way] / scale;
  const onPointerDown = (event: PointerEvent, index: number) => {
    const line = lines[index];
    if (!line || line.kind !== 'wood' || !canType(line) || event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { index, from: along(event), near: toMm(line.near.value), moved: false };
  };
  const onPointerMove = (event: PointerEvent) => {
    const hold = held.current;
    if (!hold) return;
    const by = along(event) - hold.from;
    if (!hold.moved && Math.abs(by * scale) < 3) return;
    hold.moved = true;
    hook.drag(hold.index, fromUnits((hold.near + by) * 80_000));
  };
  const onPointerUp = () => {
    if (held.current?.moved) hook.drop();
    held.current = null;
  };

  const box = upright ? { left, top, width: TAPE_THICKNESS, height: length } : { left, top, width: length, height: TAPE_THICKNESS };
  const focusedLine = lines[state.focus];
  const middle = focusedLine ? (toMm(focusedLine.near.value) + toMm(focusedLine.size.value) / 2) * scale : 0;
  const place = (line: TapeLine) => {
    const near = toMm(line.near.value) * scale;
    const size = Math.max(0, toMm(line.size.value) * scale);
    return { up: { bottom: near, height: size }, down: { top: near, height: size }, across: { left: near, width: size } }[way];
  };
  return (
    <Frame $upright={upright} style={box} ref={frame} onFocus={() => (hasFocus.current = true)} onBlur={onBlur}>
      <TickMarks length={sizeOf(lines)} scale={scale} unit={rest.precision.unit} way={way} />
      <div
        role="listbox"
        tabIndex={-1}
        aria-label={label}
        aria-orientation={upright ? 'vertical' : 'horizontal'}
        ref={list}
        onKeyDown={hook.onKeyDown}
      >
        {lines.map((line, index) => {
          const px = toMm(line.size.value) * scale;
          const wide = upright ? TAPE_THICKNESS : px;
          const on = rest.selection === line.selects;
          const movable = line.kind === 'wood' && canType(line);
          return (
            <Line
              key={line.id}
              role="option"
              aria-selected={on}
              aria-label={optionName(line, rest.precision)}
              tabIndex={index === state.focus ? 0 : -1}
              $wood={line.kind === 'wood'}
              $upright={upright}
              $on={on}
              $movable={movable}
              style={place(line)}
              onClick={() => (line.kind === 'gap' && canType(line) && on ? hook.open(index) : hook.focus(index))}
              onDoubleClick={() => canType(line) && hook.open(index)}
              onPointerDown={(e) => onPointerDown(e, index)}
              onPointerMove={onPointerMove}
              onPointerUp={onPointerUp}
              onPointerCancel={onPointerUp}
            >
              {movable ? <Grip $upright={upright} /> : null}
              <LineFigure value={line.size.value} precision={rest.precision} room={px} upright={upright} />
              {line.along && px >= ALONG_PX ? (
                <>
                  <small>
                    <LengthText value={line.along.value} precision={rest.precision} stacked />
                  </small>
                  <small>along</small>
                </>
              ) : null}
              {ruleName(line) && (upright ? px >= (line.along ? ALONG_PX + 16 : 34) : wide >= acrossRoom(line, rest.precision)) ? (
                <small>{ruleName(line)}</small>
              ) : null}
            </Line>
          );
        })}
      </div>
      {state.mode.kind === 'type' && focusedLine ? (
        <EntryBox
          hook={hook}
          line={focusedLine}
          style={
            upright
              ? {
                  left: TAPE_THICKNESS + 6,
                  top: Math.max(0, (way === 'down' ? middle : length - middle) - 20),
                }
              : { top: -84, left: Math.max(0, middle - 84) }
          }
        />
      ) : null}
    </Frame>
  );
}
