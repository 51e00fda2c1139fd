import { mm } from '../length/index.js';
import type { Outline, Point } from '../piece/index.js';

/** A place in an opening, mm along it and up. */
export type Spot = readonly [along: number, up: number];

/** Where a line that corners are cut off by goes: what lies further along `normal` than `at` is gone. */
export interface Cut {
  readonly normal: Spot;
  readonly at: number;
}

/** A convex outline with what lies beyond a line cut off. */
function cutOff(points: readonly Spot[], { normal, at }: Cut): readonly Spot[] {
  const past = ([a, b]: Spot) => a * normal[0] + b * normal[1] - at;
  return points.flatMap((p, i): Spot[] => {
    const q = points[(i + 1) % points.length] as Spot;
    const [dp, dq] = [past(p), past(q)];
    const kept: Spot[] = dp <= 1e-9 ? [p] : [];
    if ((dp < -1e-9 && dq > 1e-9) || (dp > 1e-9 && dq < -1e-9)) {
      const t = dp / (dp - dq);
      kept.push([p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])]);
    }
    return kept;
  });
}

/** How a brace lies in its opening: from which corner, and which way it goes from there. */
export type Way = 'rising' | 'falling' | 'back';

/** The directions of a brace along and across it, in the plane of its opening: along and up. */
function waysOf(way: Way, c: number, s: number): { readonly u: Spot; readonly v: Spot } {
  switch (way) {
    case 'rising':
      return { u: [c, s], v: [-s, c] };
    case 'falling':
      return { u: [c, -s], v: [s, c] };
    case 'back':
      return { u: [-c, s], v: [-s, -c] };
  }
}

/** A strip in an opening: its outline in its own directions, and where it begins and these go in the opening. */
export interface Strip {
  readonly outline: Outline;
  readonly origin: Spot;
  readonly u: Spot;
  readonly v: Spot;
}

/** A strip from corner to corner of an opening, its ends fitted into the corners, or only up to the one that it crosses; all in mm. */
export function stripIn(W: number, H: number, w: number, way: Way, upTo: Cut | null): Strip {
  const long = Math.hypot(W, H);
  const { u, v } = waysOf(way, W / long, H / long);
  const start: Spot = way === 'rising' ? [0, 0] : way === 'falling' ? [0, H] : [W, 0];
  const whole: readonly Spot[] = [
    [0, 0],
    [W, 0],
    [W, H],
    [0, H],
  ];
  const dot = (a: Spot, b: Spot) => a[0] * b[0] + a[1] * b[1];
  const band: Cut[] = [
    { normal: v, at: dot(v, start) + w / 2 },
    { normal: [-v[0], -v[1]], at: -dot(v, start) + w / 2 },
  ];
  const kept = [...band, ...(upTo ? [upTo] : [])].reduce<readonly Spot[]>(cutOff, whole);
  const origin: Spot = [start[0] - (w / 2) * v[0], start[1] - (w / 2) * v[1]];
  const points = kept.map(([a, b]): Point => {
    const p: Spot = [a - origin[0], b - origin[1]];
    return { u: mm(dot(p, u)), v: mm(dot(p, v)) };
  });
  const [first, ...rest] = points;
  return {
    outline: { start: first as Point, sides: [...rest, first as Point].map((to) => ({ kind: 'line', to })) },
    origin,
    u,
    v,
  };
}
