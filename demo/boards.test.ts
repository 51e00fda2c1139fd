import { assemblyBoards } from '../core/build/index.js';
import { fullSizesOf } from '../core/drawing/index.js';
import { mm, toMm } from '../core/length/index.js';
import { boxOf } from '../core/piece/index.js';
import { solved } from './solved.js';

const PRECISION = { unit: 'mm', step: mm(0.5) } as const;
const boardsOf = (id: string) => assemblyBoards(solved(id), PRECISION);

/** The area of a loop, by the shoelace formula. */
const areaOf = (loop: readonly (readonly [number, number])[]) =>
  Math.abs(
    loop.reduce(
      (sum, [x, y], i) =>
        sum +
        x * (loop[(i + 1) % loop.length] as readonly [number, number])[1] -
        (loop[(i + 1) % loop.length] as readonly [number, number])[0] * y,
      0,
    ),
  ) / 2;

test('the two side frames of legs are put together on one board, as large as a frame and a block all round', () => {
  const [board, ...more] = boardsOf('composing-legs');
  if (!board) throw new Error('no board');
  expect(more).toEqual([]);
  const s = solved('composing-legs');
  const frame = s.parts.filter((p) => board.parts.some((b) => b.letter === p.letter)).map((p) => boxOf(p.member));
  const reach = (axis: 'y' | 'z') =>
    toMm((Math.max(...frame.map((b) => b[`${axis}1`])) - Math.min(...frame.map((b) => b[`${axis}0`]))) as (typeof frame)[0]['x0']);
  expect([toMm(board.length), toMm(board.width)].sort((a, b) => a - b)).toEqual([reach('y') + 120, reach('z') + 120].sort((a, b) => a - b));
  // 1040 by 640 of frame: 1221.15 from corner to corner.
  expect(board.why).toContain('≈1221 both');
});

test('each part lies on its board as large as it is seen, and inside of it', () => {
  for (const id of ['composing-legs', 'sink-drawers', 'guest-bed', 'trolley-stand']) {
    const s = solved(id);
    const boards = boardsOf(id);
    expect(boards.length).toBeGreaterThan(0);
    for (const board of boards)
      for (const { letter, loops } of board.parts) {
        const part = s.parts.find((p) => p.letter === letter);
        if (!part) throw new Error(`no part ${letter}`);
        const [outline = []] = loops;
        // Seen square to one of its faces: two of its three sizes.
        const sizes = [part.length.value, part.width.value, part.thickness.value].map(toMm) as [number, number, number];
        const faces = [sizes[0] * sizes[1], sizes[0] * sizes[2], sizes[1] * sizes[2]];
        expect(faces.some((face) => Math.abs(face - areaOf(outline)) < 0.5)).toBe(true);
        for (const [x, y] of outline) {
          expect(x).toBeGreaterThanOrEqual(-1e-6);
          expect(x).toBeLessThanOrEqual(toMm(board.length) - 120 + 1e-6);
          expect(y).toBeGreaterThanOrEqual(-1e-6);
          expect(y).toBeLessThanOrEqual(toMm(board.width) - 120 + 1e-6);
        }
      }
  }
});

test('printed at full size it has the outline of each part with its letter, a block’s breadth in', () => {
  const s = solved('composing-legs');
  const [board] = boardsOf('composing-legs');
  const [drawing] = board ? fullSizesOf(s, [board], PRECISION) : [];
  expect(drawing).toMatchObject({ width: 1160, height: 760 });
  expect(drawing?.texts.map((t) => t.text)).toEqual(board?.parts.map((p) => p.letter));
  const marks = (drawing?.lines ?? []).filter((l) => l.use === 'mark');
  expect(Math.min(...marks.flatMap((l) => l.points.map(([x]) => x)))).toBeCloseTo(60, 6);
});

test('what there is one of, and what is longer than a board, has none', () => {
  expect(boardsOf('ink-case')).toEqual([]);
  expect(boardsOf('loft-shelf')).toEqual([]);
});
