/** What a beam does while some of its supports touch it, for each support in order. */
export interface Held {
  /** How far the beam is below the support, mm; nothing where it touches. */
  readonly sunk: readonly number[];
  /** What the support pushes with, N; a pull below zero, nothing where it does not touch. */
  readonly pushes: readonly number[];
}

/** A pull that is so small beside the greatest push is none. */
const PULL = 1e-9;

/** The beam is through a support when it is further below it than this, mm. */
const SUNK = 1e-12;

/** Which supports touch, and what the beam does then. */
export interface Settled<T> {
  readonly touching: readonly boolean[];
  readonly held: T;
}

const pullsOf = ({ pushes }: Held, oneWay: readonly boolean[]) => {
  const scale = Math.max(...pushes.map(Math.abs), 1e-12);
  return (i: number) => oneWay[i] === true && (pushes[i] as number) < -PULL * scale;
};

/** Lets go of all that pull and takes up all that the beam sinks through, again and again; null where that does not end. */
function allAtOnce<T extends Held>(oneWay: readonly boolean[], hold: (touching: readonly boolean[]) => T): Settled<T> | null {
  let touching: readonly boolean[] = oneWay.map(() => true);
  for (let round = 0; round <= 2 * oneWay.length + 2; round += 1) {
    const held = hold(touching);
    const pulls = pullsOf(held, oneWay);
    const next = touching.map((touches, i) => (touches ? !pulls(i) : (held.sunk[i] as number) > SUNK));
    if (next.every((touches, i) => touches === touching[i])) return { touching, held };
    touching = next;
  }
  return null;
}

/** One support at a time, from all of them on: the energy of the beam falls with each step, so that it ends. */
function oneAtATime<T extends Held>(oneWay: readonly boolean[], hold: (touching: readonly boolean[]) => T): Settled<T> | null {
  const touching = oneWay.map(() => true);
  let sunk: readonly number[] = oneWay.map(() => 0);
  for (let step = 0; step <= 20 * oneWay.length; step += 1) {
    const held = hold(touching);
    // As far towards where the beam would go as it does before it meets the first support that it does not touch.
    let [way, met] = [1, -1];
    for (const [i, to] of held.sunk.entries()) {
      const from = sunk[i] as number;
      if (touching[i] || to <= SUNK || to <= from) continue;
      const part = Math.max(0, -from) / (to - from);
      if (part < way) [way, met] = [part, i];
    }
    sunk = held.sunk.map((to, i) => (sunk[i] as number) + way * (to - (sunk[i] as number)));
    if (met >= 0) {
      touching[met] = true;
      continue;
    }
    const pulls = pullsOf(held, oneWay);
    const worst = held.pushes.reduce((w, push, i) => (pulls(i) && (w < 0 || push < (held.pushes[w] as number)) ? i : w), -1);
    if (worst < 0) return { touching: [...touching], held };
    touching[worst] = false;
  }
  return null;
}

/**
 * Which of its supports a beam touches, where those that push one way let go of it rather than pull. First by all at once,
 * which most beams settle by in a round or two; where that goes round in circles by the active-set method for convex
 * quadratic programs (Nocedal and Wright, Numerical Optimization, 16.5), whose objective is the energy of the beam.
 * @param hold what the beam does while those supports touch it; may throw where it falls
 * @returns null where no answer was found
 */
export function settledOn<T extends Held>(oneWay: readonly boolean[], hold: (touching: readonly boolean[]) => T): Settled<T> | null {
  return allAtOnce(oneWay, hold) ?? oneAtATime(oneWay, hold);
}
