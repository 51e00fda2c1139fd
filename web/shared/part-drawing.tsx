import { flatOutline } from '../../core/drawing/index.js';
import type { Hole, HoleUse } from '../../core/build/index.js';
import { recessCorners } from '../../core/joints/index.js';
import { formatLength, toMm } from '../../core/length/index.js';
import { faceName, type Part } from '../../core/parts/index.js';
import { usePrecision } from '../data/project.js';
import { ink, inkSoft, paper, wood, woodDark } from '../theme/tokens.js';
import { Laid } from './laid.js';

/** Holes that no joint cuts into a part, but what it is fastened with. */
const FOR_FIXINGS: ReadonlySet<HoleUse> = new Set<HoleUse>(['screw', 'pilot', 'bolt', 'nut']);

/** Where a hole is on a part that lies flat: those in its ends and edges at the rim of it. */
function onFlat({ on, along, across }: Hole, { length, width }: Part): readonly [u: number, v: number] {
  const [l, w] = [toMm(length.value), toMm(width.value)];
  switch (on) {
    case 'u0':
      return [0, along];
    case 'u1':
      return [l, along];
    case 'v0':
      return [along, 0];
    case 'v1':
      return [along, w];
    default:
      return [along, across];
  }
}

/** One part drawn flat, its upper face towards you, with what is cut into it. */
export function PartDrawing({ part, holes = [] }: { part: Part; holes?: readonly Hole[] }) {
  const precision = usePrecision();
  const [l, w] = [toMm(part.length.value), toMm(part.width.value)];
  const upright = l > w * 1.2;
  const [across, up] = upright ? [w, l] : [l, w];
  const scale = Math.min(150 / across, 300 / up, 1);
  const [W, H] = [across * scale, up * scale];
  const left = (270 - W) / 2;
  // On an upright sheet u runs up the page and v to the left, else u to the right and v up: the upper face looks out of it.
  const place = (u: number, v: number) =>
    upright ? { x: left + (w - v) * scale, y: 24 + (l - u) * scale } : { x: left + u * scale, y: 24 + (w - v) * scale };
  const point = ([u, v]: readonly [number, number]) => {
    const { x, y } = place(u, v);
    return `${x} ${y}`;
  };
  const flat = flatOutline(part.member)
    .map((loop) => `M${loop.map(point).join('L')}z`)
    .join('');
  return (
    <Laid.svg
      viewBox={`0 0 270 ${H + 48}`}
      width="100%"
      role="img"
      aria-label={`${part.member.role} ${part.letter} drawn flat`}
      $mostHigh={360}
      $display="block"
    >
      <path d={flat} fillRule="evenodd" fill={wood} stroke={ink} />
      {part.features.map((f, i) => {
        if (f.kind === 'hole') {
          const at = place(toMm(f.at.u), toMm(f.at.v));
          return (
            <circle
              key={i}
              cx={at.x}
              cy={at.y}
              r={Math.max(1.6, (toMm(f.diameter) / 2) * scale)}
              fill={f.face === 'up' ? ink : 'none'}
              stroke={ink}
              strokeDasharray={f.face === 'up' ? undefined : '2 1'}
            />
          );
        }
        return (
          <polygon
            key={i}
            points={recessCorners(f).map(point).join(',')}
            fill={f.face === 'up' ? woodDark : 'none'}
            stroke={ink}
            strokeWidth={0.9}
            strokeDasharray={f.face === 'up' ? undefined : '3 2'}
          />
        );
      })}
      {holes
        .filter((h) => FOR_FIXINGS.has(h.use))
        .map((h) => {
          const [u, v] = onFlat(h, part);
          const at = place(u, v);
          return (
            <circle
              key={h.id}
              cx={at.x}
              cy={at.y}
              r={Math.max(2.4, (h.diameter / 2) * scale)}
              fill={h.on === 'down' ? 'none' : h.use === 'pilot' ? paper : ink}
              stroke={ink}
              strokeDasharray={h.on === 'down' ? '2 1' : undefined}
            />
          );
        })}
      <text x={left + W / 2} y={16} textAnchor="middle" fontSize={12} fontWeight={700} fill={ink}>
        {formatLength(upright ? part.cut.width.set : part.cut.length.set, precision)}
      </text>
      <text x={left - 6} y={24 + H / 2} textAnchor="end" fontSize={12} fontWeight={700} fill={ink} dominantBaseline="middle">
        {formatLength(upright ? part.cut.length.set : part.cut.width.set, precision)}
      </text>
      <text x={left + W / 2} y={H + 42} textAnchor="middle" fontSize={11} fill={inkSoft}>
        {part.features.length > 0 || holes.length > 0
          ? `solid: ${faceName(part.member, 'up')}; dashed: ${faceName(part.member, 'down')}`
          : 'nothing is cut into it'}
      </text>
    </Laid.svg>
  );
}
