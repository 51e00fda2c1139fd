import { len, say } from '../figure/index.js';
import { ZERO, add, greatest, least, mm, negative, sub, type Length } from '../length/index.js';
import type { Box, Piece, Shape } from '../piece/index.js';
import { leanOf, roomFor, spreadOf, standingHeight, valuesOf, type Obstacle, type Opening } from '../survey/index.js';
import { pieceFix, type Check, type Fix } from '../finding/index.js';
import { reachChecks } from './reach.js';

/** What the checks of a place look at. */
export interface PlaceContext {
  readonly piece: Piece;
  readonly shape: Shape;
  readonly openingId: string;
  readonly opening: Opening;
}

const REACHES = ['width', 'height', 'depth'] as const;

/** Whether the outside goes into the opening, and what is to spare at its narrowest. */
function fits({ piece, shape, openingId, opening }: PlaceContext): Check[] {
  const bare: Opening = { ...opening, slack: { side: ZERO, above: ZERO, behind: ZERO } };
  return REACHES.flatMap((reach): Check[] => {
    const room = roomFor(openingId, bare, reach).value;
    const outside = shape.overall[reach].value;
    const taken = reach === 'depth' ? add(outside, opening.slack.behind) : outside;
    const spare = sub(room, taken);
    if (spare >= ZERO) {
      if (reach === 'depth') return [];
      return [
        {
          id: `fits-${reach}`,
          severity: 'good',
          state: 'fine',
          about: { kind: 'opening' },
          sentence:
            reach === 'width'
              ? say`Goes into the opening with ${len((spare / 2) as Length)} to spare each side at its narrowest.`
              : say`Goes under the opening with ${len(spare)} to spare at its lowest.`,
          fixes: [],
        },
      ];
    }
    const fix =
      piece[reach].from === 'opening'
        ? []
        : [pieceFix(say`Take the ${reach} from the opening`, { kind: 'piece', patch: { [reach]: { from: 'opening' } } })];
    return [
      {
        id: `fits-${reach}`,
        severity: reach === 'depth' ? 'look' : 'stop',
        state: 'fails',
        about: { kind: 'opening' },
        sentence:
          reach === 'depth'
            ? say`Stands ${len(negative(spare))} out of the opening, which is ${len(room)} deep.`
            : say`Is ${len(negative(spare))} too large for the ${reach} of the opening, ${len(room)} at its least.`,
        fixes: fix,
      },
    ];
  });
}

function overlap(a0: number, a1: number, b0: number, b1: number): number {
  return Math.min(a1, b1) - Math.max(a0, b0);
}

/** Where the outside of the piece stands in the opening: in the middle across, on the floor, off the back by the slack. */
function standingBox({ shape, openingId, opening }: PlaceContext): Box {
  const room = roomFor(openingId, { ...opening, slack: { ...opening.slack, side: ZERO } }, 'width').value;
  const x0 = Math.round((room - shape.overall.width.value) / 2) as Length;
  const z0 = opening.slack.behind;
  return {
    x0,
    x1: add(x0, shape.overall.width.value),
    y0: ZERO,
    y1: shape.overall.height.value,
    z0,
    z1: add(z0, shape.overall.depth.value),
  };
}

function clearOf(obstacle: Obstacle, box: Box, context: PlaceContext): Fix[] {
  const { opening, openingId, piece } = context;
  const room = least(valuesOf(opening, 'width'));
  const slackFix = (part: keyof Opening['slack'], value: Length, what: string): Fix[] =>
    value > opening.slack[part]
      ? [
          {
            label: say`Leave ${len(value)} ${what}`,
            change: { target: 'opening', id: openingId, opening: { ...opening, slack: { ...opening.slack, [part]: value } } },
          },
        ]
      : [];
  const behind = slackFix('behind', add(obstacle.z, obstacle.depth), 'behind');
  const above =
    piece.height.from === 'opening' && obstacle.y > box.y1 / 2
      ? slackFix('above', sub(least(valuesOf(opening, 'height')), obstacle.y), 'above')
      : [];
  const fromLeft = add(obstacle.x, obstacle.width);
  const fromRight = sub(room, obstacle.x);
  const side =
    piece.width.from === 'opening' && Math.min(fromLeft, fromRight) < room / 3
      ? slackFix('side', Math.min(fromLeft, fromRight) as Length, 'at each side')
      : [];
  return [...above, ...behind, ...side];
}

/** Things in the way: skirting, pipes, beams. */
function obstacles(context: PlaceContext): Check[] {
  const box = standingBox(context);
  return context.opening.obstacles.flatMap((o): Check[] => {
    const deep = overlap(box.z0, box.z1, o.z, o.z + o.depth);
    const hit = overlap(box.x0, box.x1, o.x, o.x + o.width) > 0 && overlap(box.y0, box.y1, o.y, o.y + o.height) > 0 && deep > 0;
    if (!hit) return [];
    return [
      {
        id: `obstacle-${o.id}`,
        severity: 'stop',
        state: 'fails',
        about: { kind: 'opening' },
        sentence: say`${o.name} is in the way: it stands ${len(deep as Length)} into the piece.`,
        fixes: clearOf(o, box, context),
      },
    ];
  });
}

/** Whether the case can be tipped upright when it was built lying down. */
function standsUp({ shape, openingId, opening }: PlaceContext): Check {
  const diagonal = shape.diagonal.value;
  const room = standingHeight(openingId, opening).value;
  const about = { kind: 'piece' } as const;
  if (diagonal <= room) {
    return {
      id: 'stands-up',
      severity: 'good',
      state: 'fine',
      about,
      sentence: say`Can be stood up in the room: ${len(diagonal)} across its corners, under ${len(room)}.`,
      fixes: [],
    };
  }
  const { lower } = shape.outside;
  const fixes =
    lower && lower.diagonal <= room ? [pieceFix(say`${lower.way}: then it is ${len(lower.diagonal)} across its corners`, lower.edit)] : [];
  return {
    id: 'stands-up',
    severity: 'stop',
    state: 'fails',
    about,
    sentence: say`Built lying down it cannot be tipped upright: ${len(diagonal)} across its corners, and the room has ${len(room)}.`,
    fixes,
  };
}

/** Whether the case goes through the door: its two smaller sizes must pass. */
function passesDoor({ shape, opening }: PlaceContext): Check[] {
  if (!opening.door) return [];
  const sizes = [shape.overall.width.value, shape.caseHeight.value, shape.overall.depth.value].sort((a, b) => a - b) as [
    Length,
    Length,
    Length,
  ];
  const door = [opening.door.width, opening.door.height].sort((a, b) => a - b) as [Length, Length];
  const passes = sizes[0] <= door[0] && sizes[1] <= door[1];
  return [
    {
      id: 'passes-door',
      severity: passes ? 'good' : 'look',
      state: passes ? 'fine' : 'fails',
      about: { kind: 'piece' },
      sentence: passes
        ? say`Goes through the door: ${len(sizes[0])} by ${len(sizes[1])} through ${len(opening.door.width)} by ${len(opening.door.height)}.`
        : say`Does not go through the door put together: ${len(sizes[0])} by ${len(sizes[1])} at the least, and the door is ${len(opening.door.width)} by ${len(opening.door.height)}. Put it together in the room.`,
      fixes: [],
    },
  ];
}

/** What the readings say of the opening itself. */
function squareness({ opening }: PlaceContext): Check[] {
  const lean = leanOf(opening);
  const spread = spreadOf(opening, 'width');
  const checks: Check[] = [];
  if (lean !== ZERO) {
    checks.push({
      id: 'out-of-square',
      severity: 'look',
      state: 'close',
      about: { kind: 'opening' },
      sentence: say`The opening leans ${len(Math.abs(lean) as Length)} to the ${lean > 0 ? 'right' : 'left'} over its height, by its diagonals; the width was made that much less.`,
      fixes: [],
    });
  }
  if (spread > mm(5)) {
    checks.push({
      id: 'uneven-width',
      severity: 'look',
      state: 'close',
      about: { kind: 'opening' },
      sentence: say`The widths of the opening differ by ${len(spread)}. A scribe strip hides the gap.`,
      fixes: [],
    });
  }
  return checks;
}

/** Studs that were read past the end of the wall, where nothing can be screwed into them. */
function studsPastTheWall({ openingId, opening }: PlaceContext): Check[] {
  const { studs = [], ...rest } = opening;
  const wide = greatest(valuesOf(opening, 'width'));
  const [first, ...more] = studs.filter((at) => at >= wide);
  if (first === undefined) return [];
  const kept = studs.filter((at) => at < wide);
  const others = more.length > 0 ? say` and ${more.length} more past that` : say``;
  return [
    {
      id: 'studs-past',
      severity: 'look',
      state: 'fails',
      about: { kind: 'opening' },
      sentence: say`A stud is noted at ${len(first)}${others}, and the wall is ${len(wide)} wide by its widest reading: nothing is counted on there. They are read from the left of the opening to their middles.`,
      fixes: [
        {
          label: more.length > 0 ? say`Take them out` : say`Take it out`,
          change: { target: 'opening', id: openingId, opening: kept.length > 0 ? { ...rest, studs: kept } : rest },
        },
      ],
    },
  ];
}

/** Every check of a piece against the place it goes into. */
export function placeChecks(context: PlaceContext): Check[] {
  return [
    ...fits(context),
    ...obstacles(context),
    ...reachChecks(context.shape, context.opening, standingBox(context)),
    standsUp(context),
    ...passesDoor(context),
    ...squareness(context),
    ...studsPastTheWall(context),
  ];
}
