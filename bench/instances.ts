import { seeded } from '../core/cutting/index.js';

/** A whole number from one to the other, each as likely. */
type Draw = (from: number, to: number) => number;

function draws(seed: number): Draw {
  const random = seeded(seed);
  return (from, to) => from + Math.floor(random() * (to - from + 1));
}

/** Uniform sizes in a range, for boards of 100 (Martello and Toth 1990). */
export function uniformLengths(count: number, from: number, seed: number): number[] {
  const draw = draws(seed);
  return Array.from({ length: count }, () => draw(from, 100));
}

/** Three to a board of 1000 with nothing left: one of 380 to 490, one of 250 to half of the rest (Falkenauer 1996). */
export function triplets(boards: number, seed: number): number[] {
  const draw = draws(seed);
  return Array.from({ length: boards }, () => {
    const first = draw(380, 490);
    const second = draw(250, Math.floor((1000 - first) / 2));
    return [first, second, 1000 - first - second];
  }).flat();
}

/** Items of the ten classes: the greatest side and the bin of the first six (Berkey and Wang 1987). */
const UNIFORM = [
  [10, 10],
  [10, 30],
  [35, 40],
  [35, 100],
  [100, 100],
  [100, 300],
] as const;

/** Rectangles of one of the ten published classes, and how large the square sheet is (1 to 6 Berkey and Wang 1987, 7 to 10 Martello and Vigo 1998). */
export function rectangles(
  cls: number,
  count: number,
  seed: number,
): { readonly sheet: number; readonly items: readonly (readonly [number, number])[] } {
  const draw = draws(seed * 1000 + cls * 17 + count);
  const uniform = UNIFORM[cls - 1];
  if (uniform) {
    const [most, sheet] = uniform;
    return { sheet, items: Array.from({ length: count }, () => [draw(1, most), draw(1, most)] as const) };
  }
  const types: readonly (() => readonly [number, number])[] = [
    () => [draw(67, 100), draw(1, 50)],
    () => [draw(1, 50), draw(67, 100)],
    () => [draw(50, 100), draw(50, 100)],
    () => [draw(1, 50), draw(1, 50)],
  ];
  const main = cls - 7;
  const items = Array.from({ length: count }, () => {
    // Seven in ten are of the type that the class is named for, each of the others one in ten.
    const other = [0, 1, 2, 3].filter((t) => t !== main)[draw(0, 2)] as number;
    return (types[draw(1, 10) <= 7 ? main : other] as () => readonly [number, number])();
  });
  return { sheet: 100, items };
}

/** A workshop's list: a few kinds of part, each several times, some of which may turn. */
export function workshopParts(
  count: number,
  seed: number,
): readonly { readonly length: number; readonly width: number; readonly turns: boolean }[] {
  const draw = draws(seed);
  const parts: { length: number; width: number; turns: boolean }[] = [];
  while (parts.length < count) {
    const one = { length: draw(120, 2000) / 1, width: draw(60, 620), turns: draw(1, 10) <= 3 };
    for (let n = draw(1, 6); n > 0 && parts.length < count; n -= 1) parts.push(one);
  }
  return parts;
}
