/** A node of a plane frame, mm. */
export interface FrameNode {
  readonly x: number;
  readonly y: number;
  /** What of it is held: across, upright, from turning. */
  readonly held?: readonly [boolean, boolean, boolean];
}

/** A straight bar between two nodes: stiff against stretching (EA), bending (EI) and shear (kGA), N and mm; hinged at an end where it says so. */
export interface FrameBar {
  readonly from: number;
  readonly to: number;
  readonly EA: number;
  readonly EI: number;
  readonly kGA: number;
  readonly hinged?: readonly [boolean, boolean];
  /** Down on each mm of it. */
  readonly perMm?: number;
}

/** What comes of a plane frame: how each node moves, and what the held ones press on, N. */
export interface FrameAnswer {
  readonly moves: readonly (readonly [x: number, y: number, turn: number])[];
  readonly reactions: readonly (readonly [x: number, y: number, turn: number])[];
}

type Matrix = number[][];
const zeros = (n: number, m: number): Matrix => Array.from({ length: n }, () => Array<number>(m).fill(0));

/** Gauss with the greatest pivot. */
function solveLinear(a: Matrix, b: number[]): number[] {
  const n = b.length;
  for (let c = 0; c < n; c += 1) {
    let best = c;
    for (let r = c + 1; r < n; r += 1)
      if (Math.abs((a[r] as number[])[c] as number) > Math.abs((a[best] as number[])[c] as number)) best = r;
    [a[c], a[best]] = [a[best] as number[], a[c] as number[]];
    [b[c], b[best]] = [b[best] as number, b[c] as number];
    const top = a[c] as number[];
    for (let r = c + 1; r < n; r += 1) {
      const row = a[r] as number[];
      const times = (row[c] as number) / (top[c] as number);
      for (let k = c; k < n; k += 1) row[k] = (row[k] as number) - times * (top[k] as number);
      b[r] = (b[r] as number) - times * (b[c] as number);
    }
  }
  const x = Array<number>(n).fill(0);
  for (let r = n - 1; r >= 0; r -= 1) {
    const row = a[r] as number[];
    let rest = b[r] as number;
    for (let k = r + 1; k < n; k += 1) rest -= (row[k] as number) * (x[k] as number);
    x[r] = rest / (row[r] as number);
  }
  return x;
}

/** The stiffness of a bar in its own directions, and what its load presses on its ends while they are held fast. */
function barOf({ EA, EI, kGA, hinged = [false, false], perMm = 0 }: FrameBar, long: number, level: number): { k: Matrix; f: number[] } {
  const phi = (12 * EI) / (kGA * long ** 2);
  const s = EI / (long * (1 + phi));
  const k = zeros(6, 6);
  const set = (i: number, j: number, value: number) => {
    (k[i] as number[])[j] = value;
    (k[j] as number[])[i] = value;
  };
  const axial = EA / long;
  set(0, 0, axial);
  set(3, 3, axial);
  set(0, 3, -axial);
  const q = (12 * s) / long ** 2;
  const m = (6 * s) / long;
  set(1, 1, q);
  set(4, 4, q);
  set(1, 4, -q);
  set(1, 2, m);
  set(1, 5, m);
  set(2, 4, -m);
  set(4, 5, -m);
  set(2, 2, (4 + phi) * s);
  set(5, 5, (4 + phi) * s);
  set(2, 5, (2 - phi) * s);
  // Square to the bar, and along it, of a load that goes straight down.
  const w = -perMm * level;
  const along = -perMm * Math.sqrt(Math.max(0, 1 - level ** 2));
  const f = [along * (long / 2), w * (long / 2), (w * long ** 2) / 12, along * (long / 2), w * (long / 2), (-w * long ** 2) / 12];
  [2, 5].forEach((i, end) => {
    if (!hinged[end]) return;
    // A hinge gives way to its turn: that freedom is taken out.
    const pivot = (k[i] as number[])[i] as number;
    const row = [...(k[i] as number[])];
    const load = f[i] as number;
    for (let r = 0; r < 6; r += 1) {
      for (let c = 0; c < 6; c += 1)
        (k[r] as number[])[c] = ((k[r] as number[])[c] as number) - ((row[r] as number) * (row[c] as number)) / pivot;
      f[r] = (f[r] as number) - ((row[r] as number) * load) / pivot;
    }
  });
  return { k, f };
}

/** A plane frame by stiffness, with shear: a second way to what carries frames. @param loads straight down on nodes, N */
export function planeFrame(nodes: readonly FrameNode[], bars: readonly FrameBar[], loads: readonly number[]): FrameAnswer {
  const n = nodes.length * 3;
  const K = zeros(n, n);
  const F = Array<number>(n).fill(0);
  loads.forEach((down, i) => (F[3 * i + 1] = (F[3 * i + 1] as number) - down));
  for (const bar of bars) {
    const [a, b] = [nodes[bar.from] as FrameNode, nodes[bar.to] as FrameNode];
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    const [c, s] = [(b.x - a.x) / long, (b.y - a.y) / long];
    const { k, f } = barOf(bar, long, c);
    const T = zeros(6, 6);
    for (const at of [0, 3]) {
      (T[at] as number[])[at] = c;
      (T[at] as number[])[at + 1] = s;
      (T[at + 1] as number[])[at] = -s;
      (T[at + 1] as number[])[at + 1] = c;
      (T[at + 2] as number[])[at + 2] = 1;
    }
    const place = [0, 1, 2].map((d) => 3 * bar.from + d).concat([0, 1, 2].map((d) => 3 * bar.to + d));
    for (let i = 0; i < 6; i += 1) {
      const row = place[i] as number;
      for (let j = 0; j < 6; j += 1) {
        let sum = 0;
        for (let p = 0; p < 6; p += 1)
          for (let q = 0; q < 6; q += 1)
            sum += ((T[p] as number[])[i] as number) * ((k[p] as number[])[q] as number) * ((T[q] as number[])[j] as number);
        const column = place[j] as number;
        (K[row] as number[])[column] = ((K[row] as number[])[column] as number) + sum;
      }
      let load = 0;
      for (let p = 0; p < 6; p += 1) load += ((T[p] as number[])[i] as number) * (f[p] as number);
      F[row] = (F[row] as number) + load;
    }
  }
  const held = nodes.flatMap(({ held: h = [false, false, false] }) => [...h]);
  // A turn that every bar is hinged at turns freely, and is held so that the sums can be solved.
  const free = Array.from({ length: n }, (_, i) => i).filter((i) => !held[i] && Math.abs((K[i] as number[])[i] as number) > 1e-6);
  const moved = solveLinear(
    free.map((i) => free.map((j) => (K[i] as number[])[j] as number)),
    free.map((i) => F[i] as number),
  );
  const all = Array<number>(n).fill(0);
  free.forEach((i, k) => (all[i] = moved[k] as number));
  const reactions = Array.from({ length: n }, (_, i) =>
    held[i] ? (K[i] as number[]).reduce((sum, k, j) => sum + k * (all[j] as number), 0) - (F[i] as number) : 0,
  );
  const three = (list: readonly number[], i: number) =>
    [list[3 * i] as number, list[3 * i + 1] as number, list[3 * i + 2] as number] as const;
  return { moves: nodes.map((_, i) => three(all, i)), reactions: nodes.map((_, i) => three(reactions, i)) };
}
