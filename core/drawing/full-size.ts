import { recessCorners } from '../joints/index.js';
import { formatLength, toMm, type Precision } from '../length/index.js';
import { holesByPart, type Hole, type Jig } from '../build/index.js';
import { faceName, type Part } from '../parts/index.js';
import type { Solution } from '../solution/index.js';
import { flatOutline } from './solids.js';

type At = readonly [x: number, y: number];

/** What a line is for: it is sawn along, marked, or lies on the far face. */
export type LineUse = 'cut' | 'mark' | 'far';

/** A drawing that is printed as large as the wood: mm, x to the right and y up. */
export interface FullSize {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly lines: readonly { readonly use: LineUse; readonly points: readonly At[]; readonly closed: boolean }[];
  readonly circles: readonly { readonly use: LineUse; readonly at: At; readonly across: number }[];
  readonly texts: readonly { readonly at: At; readonly size: number; readonly text: string }[];
}

/** A cross where a hole is bored, mm to each side. */
const CROSS = 4;

function crossAt([x, y]: At): FullSize['lines'] {
  return [
    {
      use: 'mark',
      points: [
        [x - CROSS, y],
        [x + CROSS, y],
      ],
      closed: false,
    },
    {
      use: 'mark',
      points: [
        [x, y - CROSS],
        [x, y + CROSS],
      ],
      closed: false,
    },
  ];
}

/**
 * A part at full size: its outline, what is cut into it, and every hole in its faces with its middle.
 * @example partFullSize(PART, []).width // 960
 */
export function partFullSize(part: Part, holes: readonly Hole[]): FullSize {
  const faced = holes.filter((h) => h.on === 'up' || h.on === 'down');
  const use = (face: 'up' | 'down'): LineUse => (face === 'up' ? 'mark' : 'far');
  const recesses = part.features.flatMap((f) => (f.kind === 'hole' ? [] : [{ use: use(f.face), points: recessCorners(f), closed: true }]));
  const [width, height] = [toMm(part.length.value), toMm(part.width.value)];
  return {
    name: `${part.letter}, ${part.member.role}, ${faceName(part.member, 'up')}`,
    width,
    height,
    lines: [
      ...flatOutline(part.member).map((loop) => ({ use: 'cut' as const, points: loop, closed: true })),
      ...recesses,
      ...faced.flatMap((h) => crossAt([h.along, h.across])),
    ],
    circles: faced.map((h) => ({ use: use(h.on === 'up' ? 'up' : 'down'), at: [h.along, h.across], across: h.diameter })),
    texts: [{ at: [Math.min(12, width / 4), Math.min(12, height / 4)], size: Math.min(10, height / 3), text: part.letter }],
  };
}

const boxPoints = (width: number, height: number): readonly At[] => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
];

/** As wide as a stick is drawn, mm. */
const STICK = 40;

/**
 * A stick with every mark on it, from its datum.
 * @example stickFullSize({ name: 'Stick', marks: [{ at: mm(300), label: 'shelf' }], length: mm(1000) }, { unit: 'mm', step: mm(0.5) }).lines[1].points // [[300, 0], [300, 40]]
 */
export function stickFullSize({ name, marks, length }: Extract<Jig, { kind: 'stick' }>, precision: Precision): FullSize {
  const long = toMm(length);
  return {
    name,
    width: long,
    height: STICK,
    lines: [
      {
        use: 'cut',
        points: boxPoints(long, STICK),
        closed: true,
      },
      ...marks.map(({ at }) => ({
        use: 'mark' as const,
        points: [
          [toMm(at), 0],
          [toMm(at), STICK],
        ] as const,
        closed: false,
      })),
    ],
    circles: [],
    texts: marks.map(({ at, label }, i) => ({
      at: [toMm(at) + 2, 6 + (i % 3) * 11],
      size: 5,
      text: `${label} ${formatLength(at, precision)}`,
    })),
  };
}

/** A board with the parts of a frame as they lie on it. */
function boardFullSize({ name, length, width, margin, parts }: Extract<Jig, { kind: 'board' }>): FullSize {
  const [long, wide, edge] = [toMm(length), toMm(width), toMm(margin)];
  const onBoard = ([x, y]: At): At => [x + edge, y + edge];
  const middle = (points: readonly At[], i: 0 | 1) => points.reduce((sum, p) => sum + p[i], 0) / points.length;
  return {
    name,
    width: long,
    height: wide,
    lines: [
      { use: 'cut', points: boxPoints(long, wide), closed: true },
      ...parts.flatMap((p) => p.loops.map((loop) => ({ use: 'mark' as const, points: loop.map(onBoard), closed: true }))),
    ],
    circles: [],
    texts: parts.flatMap(({ letter, loops: [outline = []] }) => {
      const points = outline.map(onBoard);
      return points.length > 0 ? [{ at: [middle(points, 0), middle(points, 1)] as const, size: 10, text: letter }] : [];
    }),
  };
}

/**
 * Everything of a piece that is worth printing as large as it is: outlines that are no rectangles, parts to drill by, and sticks.
 * @example fullSizesOf(SOLVED, [], { unit: 'mm', step: mm(0.5) }) // []
 */
export function fullSizesOf(solution: Solution, jigs: readonly Jig[], precision: Precision): readonly FullSize[] {
  const holes = holesByPart(solution);
  return jigs.flatMap((jig): FullSize[] => {
    if (jig.kind === 'stick') return [stickFullSize(jig, precision)];
    if (jig.kind === 'board') return [boardFullSize(jig)];
    const part = jig.kind === 'template' ? solution.parts.find((p) => p.id === jig.part) : undefined;
    return part ? [{ ...partFullSize(part, holes.get(part.id) ?? []), name: jig.name }] : [];
  });
}
