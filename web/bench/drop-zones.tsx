import { DropZone, type DropZoneProps } from 'react-aria-components';
import styled from 'styled-components';
import type { Drawing, PlainShape } from '../../core/drawing/index.js';
import type { Placing } from '../shared/outline.js';
import { THING, useInHand } from '../shared/in-hand.js';
import { link, tape } from '../theme/tokens.js';

const Zone = styled(DropZone)`
  position: absolute;
  z-index: 4;
  &[data-drop-target] {
    background: ${tape}88;
    outline: 3px solid ${link};
    outline-offset: -3px;
  }
`;

type DropEvent = Parameters<NonNullable<DropZoneProps['onDrop']>>[0];

/** The box round a shape on the stage, px. */
function boxOn(shape: PlainShape, { left, foot, scale }: Placing) {
  const [x0, x1, y0, y1] =
    shape.kind === 'circle'
      ? [shape.cx - shape.r, shape.cx + shape.r, shape.cy - shape.r, shape.cy + shape.r]
      : shape.kind === 'polygon'
        ? [0, 1].flatMap((i) => {
            const all = shape.loops.flat().map((p) => p[i] as number);
            return [Math.min(...all), Math.max(...all)];
          })
        : [shape.x, shape.x + shape.width, shape.y, shape.y + shape.height];
  const [l, r, b, t] = [x0, x1, y0, y1] as [number, number, number, number];
  return { left: left + l * scale, top: foot - t * scale, width: (r - l) * scale, height: (t - b) * scale };
}

interface DropZonesProps {
  readonly drawing: Drawing;
  readonly at: Placing;
  readonly onDrop: (space: string, thing: string) => void;
}

/** Where a thing in hand may be put: over each space that is drawn, by pointer and by Tab. */
export function DropZones({ drawing, at, onDrop }: DropZonesProps) {
  if (useInHand() === null) return null;
  const put = async (space: string, event: DropEvent) => {
    const item = event.items.find((i) => i.kind === 'text' && i.types.has(THING));
    if (item?.kind === 'text') onDrop(space, await item.getText(THING));
  };
  return drawing.shapes
    .filter((shape) => shape.of.kind === 'space')
    .map((shape) => (
      <Zone
        key={shape.of.id}
        aria-label={`Into ${shape.of.label}`}
        style={boxOn(shape, at)}
        getDropOperation={(types) => (types.has(THING) ? 'copy' : 'cancel')}
        onDrop={(event) => void put(shape.of.id, event)}
      />
    ));
}
