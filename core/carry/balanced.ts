/** Something that a piece stands on: where it is across and out, mm, and what it carries, of any unit. */
export interface OnFloor {
  readonly x: number;
  readonly z: number;
  readonly load: number;
}

/** All that a piece and what is in it weigh, and where the middle of that is. */
export type Whole = OnFloor;

/** So flat a spread of feet tells nothing of that direction, mm². */
const IN_LINE = 1;

/** The least change of all loads, even but for a slope each way, with which they come to the whole and turn as it does. */
function brought(feet: readonly OnFloor[], whole: Whole): readonly number[] {
  const mean = (of: (f: OnFloor) => number) => feet.reduce((sum, f) => sum + of(f), 0) / feet.length;
  const [x, z] = [mean((f) => f.x), mean((f) => f.z)];
  const over = (of: (dx: number, dz: number, load: number) => number) => feet.reduce((sum, f) => sum + of(f.x - x, f.z - z, f.load), 0);
  const [xx, zz, xz] = [over((dx) => dx * dx), over((_, dz) => dz * dz), over((dx, dz) => dx * dz)];
  const [turnsX, turnsZ] = [
    whole.load * (whole.x - x) - over((dx, _, n) => dx * n),
    whole.load * (whole.z - z) - over((_, dz, n) => dz * n),
  ];
  const even = (whole.load - over((_, __, n) => n)) / feet.length;
  const both = xx * zz - xz * xz;
  const [byX, byZ] =
    both > IN_LINE * (xx + zz)
      ? [(turnsX * zz - turnsZ * xz) / both, (turnsZ * xx - turnsX * xz) / both]
      : xx > zz
        ? [xx > IN_LINE ? turnsX / xx : 0, 0]
        : [0, zz > IN_LINE ? turnsZ / zz : 0];
  return feet.map((f) => f.load + even + byX * (f.x - x) + byZ * (f.z - z));
}

type Three = readonly [number, number, number];

/** The solution of three equations, by determinants (Cramer); null where they are not three. */
function solved(m: readonly [Three, Three, Three], r: Three): Three | null {
  const det = ([a, b, c]: readonly [Three, Three, Three]) =>
    a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0]) + a[2] * (b[0] * c[1] - b[1] * c[0]);
  const all = det(m);
  if (Math.abs(all) < 1e-15) return null;
  const instead = (k: number) => m.map((row, i) => row.map((v, j) => (j === k ? (r[i] as number) : v))) as unknown as [Three, Three, Three];
  return [det(instead(0)) / all, det(instead(1)) / all, det(instead(2)) / all];
}

const dot3 = (a: Three, b: Three) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** So many steps are enough, for what has an answer. */
const STEPS = 60;

/**
 * The same at once: each foot takes what it got, more by three figures alike for all (even, and by where it is), and nothing where that is
 * below nothing; these are found by Newton's way on the dual. Null where no such loads hold the whole.
 */
function atOnce(feet: readonly OnFloor[], whole: Whole): readonly number[] | null {
  const wide = Math.max(1, ...feet.map((f) => Math.max(Math.abs(f.x - whole.x), Math.abs(f.z - whole.z))));
  const at = feet.map((f): Three => [1, (f.x - whole.x) / wide, (f.z - whole.z) / wide]);
  const wanted: Three = [whole.load, 0, 0];
  const loadsFor = (by: Three) => feet.map((f, i) => Math.max(0, f.load + dot3(by, at[i] as Three)));
  const worth = (by: Three) => dot3(wanted, by) - loadsFor(by).reduce((sum, n) => sum + (n * n) / 2, 0);
  let by: Three = [0, 0, 0];
  for (let step = 0; step < STEPS; step += 1) {
    const loads = loadsFor(by);
    const short = [0, 1, 2].map((k) => (wanted[k] as number) - loads.reduce((sum, n, i) => sum + n * ((at[i] as Three)[k] as number), 0));
    if (short.every((s) => Math.abs(s) <= 1e-12 * whole.load)) return loads;
    // Those at nothing count with those that press, or none would begin to.
    const press = at.filter((a, i) => (feet[i] as OnFloor).load + dot3(by, a) >= 0);
    const bends = [0, 1, 2].map((k) => [0, 1, 2].map((j) => press.reduce((sum, a) => sum + (a[k] as number) * (a[j] as number), 0)));
    const way = solved(bends as unknown as readonly [Three, Three, Three], short as unknown as Three);
    if (!way) return null;
    const gain = dot3(short as unknown as Three, way);
    let part = 1;
    const moved = (): Three => [by[0] + part * way[0], by[1] + part * way[1], by[2] + part * way[2]];
    while (part > 1e-9 && worth(moved()) < worth(by) + 1e-4 * part * gain - 1e-9 * Math.abs(worth(by))) part /= 2;
    by = moved();
  }
  return null;
}

/** So often it is gone back and forth at the most, and so near it is then enough, as a part of the whole. */
const [ROUNDS, NEAR] = [5000, 1e-9];

/**
 * What each foot carries so that all of them together hold the whole piece up where its weight is: what the posts get from above, changed
 * by as little as that takes. A foot that would pull at the floor lifts, and carries nothing. Where nothing balances, Dykstra's alternating
 * projections onto what balances and what presses come as near as can be.
 * @example balanced([{ x: 0, z: 0, load: 10 }, { x: 100, z: 0, load: 10 }], { x: 25, z: 0, load: 20 }) // [15, 5]
 */
export function balanced(feet: readonly OnFloor[], whole: Whole): readonly number[] {
  const found = atOnce(feet, whole);
  if (found) return found;
  let loads = feet.map((f) => f.load);
  let lifted = feet.map(() => 0);
  for (let round = 0; round < ROUNDS; round += 1) {
    const now = brought(
      feet.map((f, i) => ({ ...f, load: loads[i] as number })),
      whole,
    );
    loads = now.map((n, i) => Math.max(0, n + (lifted[i] as number)));
    lifted = now.map((n, i) => n + (lifted[i] as number) - (loads[i] as number));
    if (now.every((n, i) => Math.abs(n - (loads[i] as number)) <= NEAR * whole.load)) break;
  }
  return loads;
}
