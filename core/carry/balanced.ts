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

/** So often it is gone back and forth at the most, and so near it is then enough, as a part of the whole. */
const [ROUNDS, NEAR] = [5000, 1e-9];

/**
 * What each foot carries so that all of them together hold the whole piece up where its weight is: what the posts get from above, changed
 * by as little as that takes. A foot that would pull at the floor lifts, and carries nothing. Found by Dykstra's alternating projections
 * onto what balances and what presses.
 * @example balanced([{ x: 0, z: 0, load: 10 }, { x: 100, z: 0, load: 10 }], { x: 25, z: 0, load: 20 }) // [15, 5]
 */
export function balanced(feet: readonly OnFloor[], whole: Whole): readonly number[] {
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
