import { useRef, useState, type PointerEvent } from 'react';
import styled from 'styled-components';
import type { Blank } from '../../../core/layout/blanks.js';
import { mm, toMm, type Length } from '../../../core/length/index.js';
import { useFocusKept } from '../../shared/use-focus-kept.js';
import { ink, tape } from '../../theme/tokens.js';
import { OneSheet, type Drag, type SheetsDrawn } from './one-sheet.js';
import type { ShownSheet } from './use-cutting.js';

const Figure = styled.figure`
  margin: 0 0 14px;
  figcaption {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    font-size: 13px;
    margin-bottom: 3px;
  }
`;

/** A part on its way from one sheet to another, under the pointer. */
const Held = styled.div`
  position: fixed;
  background: ${tape};
  border: 1px solid ${ink};
  opacity: 0.7;
  pointer-events: none;
  z-index: 10;
`;

/** The sheets of one stock, one under the other at one scale. */
export function SheetsDrawing({ drawn, captionOf }: { drawn: SheetsDrawn; captionOf: (sheet: ShownSheet, nth: number) => string }) {
  const [drag, setDrag] = useState<Drag | null>(null);
  const svgs = useRef(new Map<number, SVGSVGElement>());
  const { scale } = drawn;
  // A part that moves to another sheet is drawn anew there: the focus goes with it.
  const kept = useFocusKept(drawn.sheets);
  const grab = (event: PointerEvent<SVGGElement>, blank: Blank, turned: boolean, x: number, y: number) => {
    if (event.button !== 0) return;
    const svg = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    if (!svg) return;
    const grip = { x: event.clientX - svg.left - toMm(x as Length) * scale, y: event.clientY - svg.top - toMm(y as Length) * scale };
    const start = { x: event.clientX, y: event.clientY };
    const state: Drag = { key: blank.key, turned, grip, at: start, moved: false };
    const move = (e: globalThis.PointerEvent) => {
      const moved = Math.hypot(e.clientX - start.x, e.clientY - start.y) > 4;
      setDrag((now) => (now ? { ...now, at: { x: e.clientX, y: e.clientY }, moved: now.moved || moved } : now));
    };
    const end = (e: globalThis.PointerEvent, drop: boolean) => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', cancel);
      window.removeEventListener('keydown', key, true);
      setDrag(null);
      if (!drop || Math.hypot(e.clientX - start.x, e.clientY - start.y) <= 4) return;
      for (const [sheet, board] of svgs.current) {
        const box = board.getBoundingClientRect();
        if (e.clientX < box.left || e.clientX > box.right || e.clientY < box.top || e.clientY > box.bottom) continue;
        const to = (px: number) => mm(Math.max(0, px / scale));
        drawn.onDrop(blank, turned, { sheet, x: to(e.clientX - box.left - grip.x), y: to(e.clientY - box.top - grip.y) });
      }
    };
    const up = (e: globalThis.PointerEvent) => end(e, true);
    const cancel = (e: globalThis.PointerEvent) => end(e, false);
    const key = (e: globalThis.KeyboardEvent) => {
      if (e.key !== 'Escape') return;
      e.preventDefault();
      end(new globalThis.PointerEvent('pointercancel'), false);
    };
    setDrag(state);
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', cancel);
    window.addEventListener('keydown', key, true);
  };
  const held = drag?.moved ? drawn.blanks.get(drag.key) : undefined;
  return (
    <div {...kept}>
      {drawn.sheets.map((sheet, nth) => (
        <Figure key={`${sheet.begun ? 'begun' : 'laid'} ${sheet.laid.sheet} ${sheet.laid.copy} ${nth}`}>
          <figcaption>
            <strong>{drawn.nameOf(sheet, nth)}</strong>
            <span>{captionOf(sheet, nth)}</span>
          </figcaption>
          <OneSheet
            sheet={sheet}
            nth={nth}
            drawn={drawn}
            drag={drag}
            onGrab={grab}
            svgRef={(svg) => {
              if (svg) svgs.current.set(nth, svg);
              else svgs.current.delete(nth);
            }}
          />
        </Figure>
      ))}
      {drag && held ? (
        <Held
          style={{
            left: drag.at.x - drag.grip.x,
            top: drag.at.y - drag.grip.y,
            width: toMm(drag.turned ? held.width : held.length) * scale,
            height: toMm(drag.turned ? held.length : held.width) * scale,
          }}
        />
      ) : null}
    </div>
  );
}
