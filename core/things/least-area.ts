/** Something that lies flat on a top, seen from above, mm; round things as the square round them. */
export interface LaidOut {
  readonly id: string;
  readonly wide: number;
  readonly deep: number;
}

/** Where it lies, from the left and from the rear, turned or as it was given. */
export interface Place extends LaidOut {
  readonly x: number;
  readonly z: number;
}

/** A layout of things on a top. */
export interface Layout {
  readonly wide: number;
  readonly deep: number;
  readonly places: readonly Place[];
  /** Whether every layout was looked at, so that none is smaller. */
  readonly proven: boolean;
}

/** What is left between things, and to the edges, and how large the top may be at most, mm. */
export interface Spacing {
  readonly between: number;
  readonly margin: number;
  readonly most?: { readonly wide: number; readonly deep: number };
}

/** So many placings are tried at most. */
const MOST_TRIED = 60_000;

const CLOSE = 1e-6;

interface Put {
  readonly x: number;
  readonly z: number;
  readonly w: number;
  readonly d: number;
  readonly item: LaidOut;
}

const apart = (a: Put, b: Put) =>
  a.x >= b.x + b.w - CLOSE || b.x >= a.x + a.w - CLOSE || a.z >= b.z + b.d - CLOSE || b.z >= a.z + a.d - CLOSE;

/**
 * The top of least area that things lie on beside each other, none over another. Every thing is as much larger as is left
 * between them, and pushed to the left and the rear as far as it goes: in a least layout each then lies at an edge of another
 * or of the top, so that only such places are tried, in every order (branch and bound; exact for a few things).
 * @returns null where they do not go on so large a top
 * @example leastArea([{ id: 'tray', wide: 300, deep: 200 }], { between: 0, margin: 10 }).wide // 320
 */
export function leastArea(things: readonly LaidOut[], { between, margin, most }: Spacing): Layout | null {
  if (things.length === 0) return null;
  const around = 2 * margin - between;
  const limit = { w: (most?.wide ?? Infinity) - around, d: (most?.deep ?? Infinity) - around };
  // The largest first: those decide most.
  const items = [...things].sort((a, b) => b.wide * b.deep - a.wide * a.deep);
  const owned = items.reduce((sum, t) => sum + (t.wide + between) * (t.deep + between), 0);
  const areaOf = (w: number, d: number) => (w + around) * (d + around);
  let best: { readonly area: number; readonly w: number; readonly d: number; readonly placed: readonly Put[] } | null = null;
  let tried = 0;
  const used = new Set<LaidOut>();

  const go = (placed: readonly Put[], w: number, d: number) => {
    if (best && (areaOf(w, d) >= best.area - CLOSE || owned > best.w * best.d + CLOSE)) return;
    if (placed.length === items.length) {
      best = { area: areaOf(w, d), w, d, placed };
      return;
    }
    const seen = new Set<string>();
    const xs = [...new Set([0, ...placed.map((p) => p.x + p.w)])];
    const zs = [...new Set([0, ...placed.map((p) => p.z + p.d)])];
    for (const item of items) {
      const kind = `${item.wide} ${item.deep}`;
      if (used.has(item) || seen.has(kind)) continue;
      seen.add(kind);
      const [a, b] = [item.wide + between, item.deep + between];
      used.add(item);
      for (const [iw, id] of a === b ? [[a, b] as const] : [[a, b] as const, [b, a] as const])
        for (const x of xs)
          for (const z of zs) {
            if ((tried += 1) > MOST_TRIED) break;
            const put: Put = { x, z, w: iw, d: id, item };
            const [nw, nd] = [Math.max(w, x + iw), Math.max(d, z + id)];
            if (nw > limit.w + CLOSE || nd > limit.d + CLOSE) continue;
            if (placed.every((p) => apart(p, put))) go([...placed, put], nw, nd);
          }
      used.delete(item);
    }
  };
  go([], 0, 0);
  const found = best as { readonly w: number; readonly d: number; readonly placed: readonly Put[] } | null;
  if (!found) return null;
  // The longer side lies across, unless there is no room for that.
  const turned = found.w < found.d && found.d <= limit.w + CLOSE && found.w <= limit.d + CLOSE;
  const places = found.placed.map(({ x, z, w, d, item }): Place => {
    const [px, pz, pw, pd] = turned ? [z, x, d, w] : [x, z, w, d];
    return { id: item.id, x: px + margin, z: pz + margin, wide: pw - between, deep: pd - between };
  });
  const [w, d] = turned ? [found.d, found.w] : [found.w, found.d];
  return { wide: w + around, deep: d + around, places, proven: tried <= MOST_TRIED };
}
