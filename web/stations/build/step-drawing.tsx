import { useMemo } from 'react';
import { apart, pictorialOf, type Stands } from '../../../core/drawing/index.js';
import type { Part } from '../../../core/parts/index.js';
import { fromUnits, type Length } from '../../../core/length/index.js';
import { boxOf, boxRound, shifted, type Place } from '../../../core/piece/index.js';
import type { Vector } from '../../../core/solid/index.js';
import type { Solution } from '../../../core/solution/index.js';
import { ghostEdge, ink, paper, wood, woodBefore, woodDark } from '../../theme/tokens.js';
import { Laid } from '../../shared/laid.js';

/** More letters than this on one drawing cover it. */
const MOST_LETTERS = 60;

/** The room that a letter takes, as a share of its size. */
const LETTER_WIDE = 0.72;
const LETTER_HIGH = 1.05;

/** So far back on its way, as a part of the largest size of all. */
const BACK = 0.16;

function backOn(way: Vector, shown: readonly Part[]): Place {
  const { x0, x1, y0, y1, z0, z1 } = boxRound(shown.map((p) => boxOf(p.member)));
  const far = BACK * Math.max(x1 - x0, y1 - y0, z1 - z0);
  const [x, y, z] = way.map((c) => fromUnits(-c * far)) as [Length, Length, Length];
  return { x, y, z };
}

/** A colour between two, by how much light there is. */
const lit = (dark: string, light: string, part: number): string => `color-mix(in srgb, ${light} ${(part * 100).toFixed(1)}%, ${dark})`;

/** What is put together by a step, as it stands before its builder; what comes on in this step is drawn as wood. */
export function StepDrawing({
  solution,
  ids,
  fresh,
  back,
  stands,
  label,
}: {
  solution: Solution;
  ids: readonly string[];
  fresh: ReadonlySet<string>;
  /** The way that what comes on goes in: it is drawn so far back on it that both are seen. */
  back?: Vector | null;
  stands: Stands;
  label: string;
}) {
  const { drawn, size, named, places } = useMemo(() => {
    const parts = new Map(solution.parts.map((p) => [p.id, p]));
    const shown = ids.flatMap((id): readonly Part[] => [parts.get(id)].filter((p) => p !== undefined));
    const drawn = pictorialOf(
      shown.map(({ id, member }) => (back && fresh.has(id) ? shifted(member, backOn(back, shown)) : member)),
      stands,
    );
    const size = Math.max(drawn.width / 46, drawn.height / 24);
    const letters = shown.filter((p) => fresh.has(p.id));
    const named = letters.length <= MOST_LETTERS ? letters : [];
    const places = apart(
      named.map(({ id, letter }) => {
        const [x, y] = drawn.marks.get(id) ?? [0, 0];
        return { x, y, wide: size * (0.2 + LETTER_WIDE * letter.length), high: size * LETTER_HIGH };
      }),
    );
    return { drawn, size, named, places };
  }, [solution, ids, fresh, back, stands]);
  if (drawn.faces.length === 0) return null;
  const pad = Math.max(drawn.width, drawn.height) * 0.03;
  return (
    <Laid.svg
      role="img"
      aria-label={label}
      viewBox={`${-pad} ${-pad} ${drawn.width + 2 * pad} ${drawn.height + 2 * pad}`}
      $display="block"
      $width="100%"
      $high="min(46vh, 420px)"
      $above={6}
      $below={10}
    >
      {drawn.faces.map((f, i) => (
        <polygon
          key={i}
          points={f.points.map((p) => `${p[0].toFixed(1)},${p[1].toFixed(1)}`).join(' ')}
          fill={fresh.has(f.member) ? lit(woodDark, wood, f.light) : lit(woodBefore, paper, f.light)}
          stroke={fresh.has(f.member) ? ink : ghostEdge}
          strokeWidth={size / 14}
          strokeLinejoin="round"
        />
      ))}
      {named.map((p, i) => (
        <text
          key={p.id}
          x={places[i]?.[0]}
          y={places[i]?.[1]}
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
      ))}
    </Laid.svg>
  );
}
