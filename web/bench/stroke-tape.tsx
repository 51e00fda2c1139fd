import { Slider, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';
import { fromUnits, mm, toInches, toMm } from '../../core/length/index.js';
import { boxOf, membersMovedBy, type Body, type Shape } from '../../core/piece/index.js';
import { usePrecision } from '../data/project.js';
import { LengthText, plainWide } from '../shared/length-text.js';
import { ink, link, paper, tape } from '../theme/tokens.js';

/** How thick the tape of a stroke is, px. */
export const STROKE_TAPE = 18;

/** How large its figures are, and how far off it, px. */
const TOLD_PX = 12;
const GAP = 10;

const Row = styled.div<{ $before: boolean }>`
  position: absolute;
  flex-direction: ${(p) => (p.$before ? 'row-reverse' : 'row')};
  height: ${STROKE_TAPE}px;
  display: flex;
  align-items: center;
  gap: ${GAP}px;
  font-size: ${TOLD_PX}px;
  white-space: nowrap;
  color: ${ink};
  .react-aria-SliderTrack {
    height: ${STROKE_TAPE}px;
    background: ${tape};
    border: 1px solid ${ink};
  }
  .react-aria-SliderThumb {
    width: 14px;
    height: ${STROKE_TAPE + 8}px;
    top: 50%;
    background: ${paper};
    border: 2px solid ${ink};
    cursor: ew-resize;
  }
  .react-aria-SliderThumb[data-focus-visible] {
    outline: 3px solid ${link};
  }
`;

/** A body that slides out to the front, with how far it may. */
export type Sliding = Body & { readonly motion: Extract<Body['motion'], { kind: 'slide' }> };

/** The body whose stroke is told: what is open, else what is selected, else what stands on feet of its own. */
export function strokeOf({ bodies }: Shape, open: string | null, selection: string): Sliding | null {
  const out = bodies.filter((b): b is Sliding => b.on === undefined && b.motion.kind === 'slide' && b.motion.along[2] > 0.99);
  const isSelected = (b: Body) => b.id === selection || b.members.includes(selection) || b.spaces.includes(selection);
  return out.find((b) => b.id === open) ?? out.find(isSelected) ?? out.find((b) => b.heldOut) ?? null;
}

/** The stroke of what slides out, beside the tape: from where its front is shut to where it is at its limit. Dragging opens it. */
export function StrokeTape({
  body,
  shape,
  part,
  at,
  onPart,
}: {
  body: Sliding;
  shape: Shape;
  /** From 0, shut, to 1, at its limit. */
  part: number;
  /** Where the piece begins, how large it is drawn, and how wide the page is, px. */
  at: { readonly left: number; readonly top: number; readonly scale: number; readonly width: number };
  onPart: (part: number) => void;
}) {
  const precision = usePrecision();
  const travel = body.motion.travel.value;
  const moved = membersMovedBy(body, shape.bodies);
  const front = shape.members.reduce((most, m) => (moved.includes(m.id) ? Math.max(most, boxOf(m).z1) : most), 0);
  const long = precision.unit === 'mm' ? toMm(travel) : toInches(travel);
  // Steps of about a millimetre, of which a whole number reaches the limit.
  const step = long / Math.max(1, Math.round(toMm(travel)));
  const from = at.left + toMm(fromUnits(front)) * at.scale;
  const track = Math.max(24, toMm(travel) * at.scale);
  const told = 2 * plainWide(travel, precision, TOLD_PX) + 60;
  // Where no room is left behind it, its figures stand before it.
  const before = from + track + GAP + told > at.width;
  return (
    <Row $before={before} style={{ left: from, top: at.top, ...(before ? { translate: `calc(-100% + ${track}px)` } : {}) }}>
      <Slider
        aria-label={`How far ${body.label} is drawn out, ${precision.unit}`}
        minValue={0}
        maxValue={long}
        step={step}
        value={long * part}
        onChange={(to) => onPart(Math.min(1, to / long))}
      >
        <SliderTrack style={{ width: track }}>
          <SliderThumb />
        </SliderTrack>
      </Slider>
      <span>
        out <LengthText value={mm(Math.round(toMm(travel) * part * 10) / 10)} precision={precision} /> of{' '}
        <strong>
          <LengthText value={travel} precision={precision} />
        </strong>
      </span>
    </Row>
  );
}
