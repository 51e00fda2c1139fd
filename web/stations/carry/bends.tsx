import { isAcross, pathLines, allScrews } from '../../../core/carry/index.js';
import type { Vector } from '../../../core/solid/index.js';
import { writeWeight } from '../../../core/figure/index.js';
import { fromUnits, toMm } from '../../../core/length/index.js';
import { boxOf } from '../../../core/piece/index.js';
import { useBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import type { Placing } from '../../shared/outline.js';
import { amber, green, ink, inkSoft, link, paper, red } from '../../theme/tokens.js';
import { standingOf, useCarried, useLoaded } from './loaded.js';

/** How deep a bend is drawn at most, mm of the piece. */
const DEEPEST_BEND = 42;

/** How many times a sag is magnified so that it can be seen and no more. */
function magnification(sag: number): number {
  return [1, 2, 5, 10, 20, 50, 100, 200].findLast((m) => m * sag <= DEEPEST_BEND) ?? 1;
}

/** Red is what stops the build, amber what is for a look, as everywhere. */
function colorOf({ state, severity }: ReturnType<typeof standingOf>): string {
  if (state === 'not checked') return inkSoft;
  return severity === 'stop' ? red : severity === 'look' ? amber : green;
}

/** How wide and how high such a number is, px. */
const NUMBER = { wide: 36, high: 13 } as const;

/** A text of a drawing from its left end, px. */
interface Written {
  readonly x: number;
  readonly y: number;
  readonly text: string;
}

/** How wide a letter of such a text is at most, px. */
const LETTER = 6.5;

/**
 * Finds places for numbers that lie over each other or over what is written there, each below the last; one that says the same at the
 * same place is said once.
 */
function placesFor(written: readonly Written[]) {
  const taken: { readonly x: number; readonly y: number; readonly wide: number; readonly times?: number }[] = written.map(
    ({ x, y, text }) => ({ x: x + text.length * LETTER, y, wide: text.length * LETTER }),
  );
  return (x: number, wanted: number, times: number): { readonly x: number; readonly y: number } | null => {
    for (let y = wanted; ; y += NUMBER.high) {
      const there = taken.find((t) => t.x > x - NUMBER.wide && t.x - t.wide < x && Math.abs(t.y - y) < NUMBER.high);
      if (there?.times === times) return null;
      if (there) continue;
      taken.push({ x, y, wide: NUMBER.wide, times });
      return { x, y };
    }
  };
}

/** Every member that bends, drawn bent over the piece; the number beside each says how much it is magnified. */
export function Bends({ at }: { at: Placing }) {
  const loaded = useLoaded();
  const { selection, select, solution } = useBench();
  const floor = useFloorLines(at);
  const free = placesFor(floor.told);
  return (
    <g>
      <FloorLines {...floor} />
      <Screws at={at} />
      {loaded.flatMap((c) => {
        // What spans from the rear to the front is seen end on here, and listed beside.
        if (!c.bending || !isAcross(c.bending.along)) return [];
        const { from, length, at: sagAt, verdict } = c.bending;
        const box = boxOf(c.member);
        const y = toMm(fromUnits((box.y0 + box.y1) / 2));
        const times = magnification(verdict.today.mm);
        const points = Array.from({ length: 33 }, (_, i) => {
          const s = (length * i) / 32;
          return `${(at.left + (from + s) * at.scale).toFixed(1)},${(at.foot - (y - sagAt(s) * times) * at.scale).toFixed(1)}`;
        });
        const on = selection === c.member.id;
        const color = colorOf(standingOf(solution, c));
        const place = free(at.left + (from + length) * at.scale - 4, at.foot - y * at.scale + 15, times);
        return [
          place === null ? null : (
            <text
              key={`${c.member.id} times`}
              x={place.x}
              y={place.y}
              textAnchor="end"
              fontSize={11}
              fontWeight={700}
              fill={color}
              stroke={paper}
              strokeWidth={3}
              paintOrder="stroke"
            >
              × {times}
            </text>
          ),
          <polyline
            key={c.member.id}
            points={points.join(' ')}
            fill="none"
            stroke={color}
            strokeWidth={on ? 4 : 2.2}
            strokeDasharray={c.state === 'not checked' ? '2 4' : '6 3'}
            onClick={() => select(c.member.id)}
            cursor="pointer"
          />,
        ];
      })}
    </g>
  );
}

/** The way of the selected member's load down to the floor, with the force at each joint. */
function useFloorLines(at: Placing) {
  const { solution } = useBench();
  const { unit } = usePrecision();
  const carried = useCarried();
  const lines = carried ? pathLines(solution.carried, carried.member.id) : [];
  const x = (n: number) => at.left + n * at.scale;
  const y = (n: number) => at.foot - n * at.scale;
  const spots = new Map(lines.map(({ step }) => [`${Math.round(step.at.x)} ${Math.round(step.at.y)}`, step]));
  // A sum at each joint; those that would lie on another one are left to the list.
  const apart = [...spots.values()].filter((s, i, all) => !all.slice(0, i).some((o) => near(o.at, s.at, at.scale)));
  return {
    lines: lines.map(({ from, step }) => ({ x1: x(from.x), y1: y(from.y), x2: x(step.at.x), y2: y(step.at.y) })),
    spots: [...spots.values()].map((s) => ({ cx: x(s.at.x), cy: y(s.at.y) })),
    told: apart.map((s): Written => ({ x: x(s.at.x) + 8, y: y(s.at.y) - 5, text: writeWeight(s.newtons, unit) })),
  };
}

function FloorLines({ lines, spots, told }: ReturnType<typeof useFloorLines>) {
  return (
    <g aria-hidden>
      {lines.map((line, i) => (
        <line key={i} {...line} stroke={link} strokeWidth={2} opacity={0.75} />
      ))}
      {spots.map((spot, i) => (
        <circle key={i} {...spot} r={4} fill={link} />
      ))}
      {told.map((s, i) => (
        <text key={i} x={s.x} y={s.y} fontSize={11} fontWeight={650} fill={link} stroke={paper} strokeWidth={3} paintOrder="stroke">
          {s.text}
        </text>
      ))}
    </g>
  );
}

/** A head of a screw as a short line square to it, px. */
function headAcross([right, up]: Vector, x: number, y: number): string {
  const [dx, dy] = [3 * up, 3 * right];
  return `M${x - dx} ${y - dy}l${2 * dx} ${2 * dy}`;
}

/** The screws that hold the selected member, to scale: a head and a shaft, or a cross where they are seen end on. */
function Screws({ at }: { at: Placing }) {
  const { solution } = useBench();
  const carried = useCarried();
  if (!carried) return null;
  const rows = allScrews(solution.carried).filter((r) => r.holds === carried.member.id);
  const x = (n: number) => at.left + n * at.scale;
  const y = (n: number) => at.foot - n * at.scale;
  return (
    <g aria-hidden stroke={ink} strokeWidth={1.6}>
      {rows.flatMap(({ screws }, row) =>
        screws.map(({ head, point, way }, i) => {
          const [hx, hy] = [x(head[0]), y(head[1])];
          if (Math.abs(way[2]) >= Math.SQRT1_2) return <path key={`${row} ${i}`} d={`M${hx - 3} ${hy}h6M${hx} ${hy - 3}v6`} />;
          return <path key={`${row} ${i}`} d={`M${hx} ${hy}L${x(point[0])} ${y(point[1])}${headAcross(way, hx, hy)}`} />;
        }),
      )}
    </g>
  );
}

/** Whether two sums would be written over each other, px. */
function near(a: { x: number; y: number }, b: { x: number; y: number }, scale: number): boolean {
  return Math.abs(a.y - b.y) * scale < 16 && Math.abs(a.x - b.x) * scale < 60;
}
