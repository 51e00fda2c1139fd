/**
 * Bolts by NDS 2018, chapter 12: lateral yield (12.3-1 to 12.3-6) with the dowel bearing strengths and reduction terms
 * for 1/4 inch and more. Lengths are handed in as mm, forces handed out as N.
 */
import { yieldModes } from './screws.js';

const N_PER_LBF = 4.4482216152605;
const MM_PER_INCH = 25.4;

/** Bolts that furniture is put together with, mm, the usual one first. */
export const BOLTS: readonly number[] = [8, 10, 12];

/** A wood that a bolt goes through or into. */
export interface BoltedWood {
  /** How far the bolt bears in it, mm. */
  readonly thickness: number;
  readonly gravity: number;
  /** Whether the load goes along its grain. */
  readonly along: boolean;
}

/** Bending yield strength of a bolt of soft steel, psi (NDS table I1). */
const YIELD = 45_000;
/** Load duration factor of a permanent load (NDS table 2.3.2), and what is left in end grain (12.5.2.2). */
const PERMANENT = 0.9;
const END_GRAIN = 0.67;

/**
 * What wood bears under a bolt, psi: 11200 G along the grain, 6100 G^1.45 / √D across it (NDS table 12.3.3, note 2).
 * @param D in inches
 * @example boltBearing(0.4, 0.3125, true) // 4480
 */
export function boltBearing(gravity: number, D: number, along: boolean): number {
  return along ? 11_200 * gravity : (6_100 * gravity ** 1.45) / Math.sqrt(D);
}

/**
 * A bolt in single shear, for permanent load, N: the least of the six modes, with Rd of 4 Kθ, 3.6 Kθ and 3.2 Kθ
 * (NDS table 12.3.1B), 0.67 of it where it goes into end grain.
 * @param diameter mm
 * @example boltLateral(8, { thickness: 45, gravity: 0.4, along: true }, { thickness: 60, gravity: 0.4, along: false }, true) // 482.3
 */
export function boltLateral(diameter: number, side: BoltedWood, main: BoltedWood, endGrain: boolean): number {
  const D = diameter / MM_PER_INCH;
  const modes = yieldModes({
    D,
    main: main.thickness / MM_PER_INCH,
    side: side.thickness / MM_PER_INCH,
    mainBearing: boltBearing(main.gravity, D, main.along),
    sideBearing: boltBearing(side.gravity, D, side.along),
    yield: YIELD,
    reduction: 1,
  });
  // The steepest angle to the grain of the two counts.
  const K = main.along && side.along ? 1 : 1.25;
  const terms = [4 * K, 4 * K, 3.6 * K, 3.2 * K, 3.2 * K, 3.2 * K];
  const pounds = Math.min(...modes.map((mode, i) => mode / (terms[i] as number)));
  return pounds * PERMANENT * (endGrain ? END_GRAIN : 1) * N_PER_LBF;
}

/** Distances to keep with bolts, in diameters: from the edge that the load pushes to, from the other one, and between them (NDS tables 12.5.1C and 12.5.1B). */
export const KEEP_BOLTS = { loaded: 4, edge: 1.5, between: 4 } as const;

/** How many bolts go one over the other in a joint so high, mm. @example boltsIn(44, 8) // 1 */
export function boltsIn(high: number, diameter: number): number {
  const room = high - (KEEP_BOLTS.loaded + KEEP_BOLTS.edge) * diameter;
  return room < -1e-9 ? 0 : 1 + Math.floor(room / (KEEP_BOLTS.between * diameter) + 1e-9);
}
