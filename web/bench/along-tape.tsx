import styled from 'styled-components';
import { formatLength, toMm, type Length } from '../../core/length/index.js';
import type { View } from '../../core/drawing/index.js';
import type { Along } from '../../core/solution/index.js';
import { usePrecision } from '../data/project.js';
import { LengthText, plainWide } from '../shared/length-text.js';
import type { Placing } from '../shared/outline.js';
import { ink, tape } from '../theme/tokens.js';

/** How thick the tape along a member is, and how far it lies off it, px. */
const THICK = 34;
const OFF = 5;
/** Figures of holes are at least so far apart, px. */
const APART = 48;
/** What the whole length takes at the end, with the figure of a hole before it, px. */
const OVERALL = 110;

/** How large figures of holes are, px. */
const FIGURE_PX = 12;

const Lies = styled.div<{ $left: number; $top: number; $long: number; $turned: number }>`
  position: absolute;
  left: ${(p) => p.$left}px;
  top: ${(p) => p.$top}px;
  width: ${(p) => p.$long}px;
  height: ${THICK}px;
  transform-origin: 0 0;
  transform: rotate(${(p) => p.$turned}rad);
  background: ${tape};
  border: 1.5px solid ${ink};
  color: ${ink};
  font-size: ${FIGURE_PX}px;
  font-weight: 700;
  line-height: 15px;
  white-space: nowrap;
  pointer-events: none;
  forced-color-adjust: none;
`;

/** A hole: a line over the tape, with how far it is from the end at its left above and from that at its right below. */
const Hole = styled.span<{ $at: number; $near: number; $far: number }>`
  position: absolute;
  left: ${(p) => p.$at}px;
  top: 0;
  bottom: 0;
  border-left: 2px solid ${ink};
  > :first-child {
    position: absolute;
    right: ${(p) => p.$near}px;
    top: 0;
  }
  > :last-child {
    position: absolute;
    left: ${(p) => p.$far}px;
    bottom: 0;
  }
`;

/** How long all of it is: at its end, or past that where a hole is near it. */
const Overall = styled.strong<{ $past: number | null }>`
  position: absolute;
  ${(p) => (p.$past === null ? 'right: 8px;' : `left: calc(100% + ${p.$past}px);`)}
  top: 8px;
  font-size: 14px;
`;

/** Where a tape lies that runs along a member, from its end that is further left, px and radians. */
function lieOf({ member }: Along, view: View, at: Placing) {
  const level = view === 'side' ? 2 : 0;
  const onPage = ([x, y, z]: readonly [number, number, number]) => [level === 2 ? z : x, -y] as const;
  const { origin, u, v } = member.frame;
  const long = toMm(member.length.value);
  const far = toMm(member.width.value);
  const [ux, uy] = onPage(u);
  const [vx, vy] = onPage(v);
  const [ox, oy] = onPage([toMm(origin.x), toMm(origin.y), toMm(origin.z)]);
  // From left to right its upper side is a quarter turn back: it lies with its lower side along that edge of the member.
  const flip = ux < 0;
  const [dx, dy] = flip ? [-ux, -uy] : [ux, uy];
  const above = vx * dy - vy * dx > 0;
  const along = flip ? long : 0;
  const across = above ? far : 0;
  const corner = [ox + ux * along + vx * across, oy + uy * along + vy * across] as const;
  const out = OFF + THICK;
  return {
    left: at.left + corner[0] * at.scale + dy * out,
    top: at.foot + corner[1] * at.scale - dx * out,
    turned: Math.atan2(dy, dx),
    flip,
    upward: u[1] > 0,
  };
}

/** A tape along a member that stands at an angle, beside it on the drawing: each of its holes from both of its ends. */
export function AlongTape({ along, view, at }: { along: Along; view: View; at: Placing }) {
  const precision = usePrecision();
  const { member, holes } = along;
  const { left, top, turned, flip, upward } = lieOf(along, view, at);
  const long = toMm(member.length.value) * at.scale;
  const said = (value: Length) => `${formatLength(value, precision)} ${precision.unit}`;
  // At the left of the page is the lower end or the upper one.
  const lowerLeft = upward !== flip;
  // What has no room between a hole and the end of the tape stands past that.
  const wide = (value: Length) => plainWide(value, precision, FIGURE_PX) + 6;
  const text = (value: Length) => <LengthText value={value} precision={precision} />;
  const placed = holes
    .map((hole) => {
      const [near, far] = lowerLeft ? [hole.fromLower, hole.fromUpper] : [hole.fromUpper, hole.fromLower];
      return { ...hole, near, far, px: toMm(near) * at.scale };
    })
    .sort((a, b) => a.px - b.px);
  // The figures of holes that lie close to each other would lie over each other: those of the first are told.
  const marks = placed.reduce<readonly ((typeof placed)[number] & { readonly told: boolean })[]>((all, mark) => {
    const last = all.findLast((m) => m.told);
    return [...all, { ...mark, told: !last || mark.px - last.px >= APART }];
  }, []);
  const last = marks.at(-1);
  return (
    <Lies role="group" aria-label={`Tape along ${member.label}, from its ends`} $left={left} $top={top} $long={long} $turned={turned}>
      {marks.map(({ label, fromLower, fromUpper, near, far, px, told }) => (
        <Hole
          key={`${label} ${fromLower}`}
          $at={px}
          $near={wide(near) > px ? px + 6 : 4}
          $far={wide(far) > long - px ? long - px + 6 : 3}
          role="img"
          aria-label={`${label}: ${said(fromLower)} from its lower end, ${said(fromUpper)} from its upper end`}
        >
          {told ? (
            <>
              <span>{text(near)}</span>
              <span>{text(far)}</span>
            </>
          ) : null}
        </Hole>
      ))}
      <Overall $past={last && last.px > long - OVERALL ? (last.told && wide(last.far) > long - last.px ? wide(last.far) + 10 : 8) : null}>
        {text(member.length.value)}
      </Overall>
    </Lies>
  );
}
