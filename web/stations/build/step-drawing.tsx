import { useMemo } from 'react';
import { pictorialOf, type Stands } from '../../../core/drawing/index.js';
import type { Part } from '../../../core/parts/index.js';
import type { Solution } from '../../../core/solution/index.js';
import { ghostEdge, ink, paper, wood, woodDark } from '../../theme/tokens.js';

/** More letters than this on one drawing cover it. */
const MOST_LETTERS = 60;

/** A colour between two, by how much light there is. */
function lit(dark: string, light: string, part: number): string {
  const of = (hex: string) => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
  const [a, b] = [of(dark), of(light)];
  return `rgb(${a.map((x, i) => Math.round(x + ((b[i] as number) - x) * part)).join(' ')})`;
}

/** What is put together by a step, as it stands before its builder; what comes on in this step is drawn as wood. */
export function StepDrawing({
  solution,
  ids,
  fresh,
  stands,
  label,
}: {
  solution: Solution;
  ids: readonly string[];
  fresh: ReadonlySet<string>;
  stands: Stands;
  label: string;
}) {
  const { drawn, letters } = useMemo(() => {
    const parts = new Map(solution.parts.map((p) => [p.id, p]));
    const shown = ids.flatMap((id): readonly Part[] => [parts.get(id)].filter((p) => p !== undefined));
    return {
      drawn: pictorialOf(
        shown.map((p) => p.member),
        stands,
      ),
      letters: shown.filter((p) => fresh.has(p.id)),
    };
  }, [solution, ids, fresh, stands]);
  if (drawn.faces.length === 0) return null;
  const pad = Math.max(drawn.width, drawn.height) * 0.03;
  const size = Math.max(drawn.width / 46, drawn.height / 24);
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${-pad} ${-pad} ${drawn.width + 2 * pad} ${drawn.height + 2 * pad}`}
      style={{ display: 'block', width: '100%', height: 'min(46vh, 420px)', margin: '6px 0 10px' }}
    >
      {drawn.faces.map((f, i) => (
        <polygon
          key={i}
          points={f.points.map((p) => `${p[0].toFixed(1)},${p[1].toFixed(1)}`).join(' ')}
          fill={fresh.has(f.member) ? lit(woodDark, wood, f.light) : lit('#e6e9e2', paper, f.light)}
          stroke={fresh.has(f.member) ? ink : ghostEdge}
          strokeWidth={size / 14}
          strokeLinejoin="round"
        />
      ))}
      {letters.length <= MOST_LETTERS
        ? letters.map((p) => {
            const [x, y] = drawn.marks.get(p.id) ?? [0, 0];
            return (
              <text
                key={p.id}
                x={x}
                y={y}
                fontSize={size}
                fontWeight={750}
                textAnchor="middle"
                dominantBaseline="central"
                fill={ink}
                stroke={paper}
                strokeWidth={size / 4}
                paintOrder="stroke"
              >
                {p.letter}
              </text>
            );
          })
        : null}
    </svg>
  );
}
