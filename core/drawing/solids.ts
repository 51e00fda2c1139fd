import { fromUnits, toMm, type Length } from '../length/index.js';
import { cornersOf, dot, minus, type Vector } from '../solid/index.js';
import { SHUT, boxOf, isPlain, posed, solidOfMember, type Box, type Direction, type Member, type Pose } from '../piece/index.js';
import type { Solution } from '../solution/index.js';
import { posedFeet, posedSpaces } from './posed.js';
import { blockBoxes } from './views.js';

/** A member as a solid: its middle, its frame, and how long it is along u, v and n, mm. */
export interface SceneBoard {
  readonly id: string;
  readonly label: string;
  readonly role: string;
  readonly middle: readonly [number, number, number];
  readonly u: Direction;
  readonly v: Direction;
  readonly n: Direction;
  readonly size: readonly [number, number, number];
  /** Its faces in its own u, v and n from its middle, each going round left as seen from outside; none for a plain board. */
  readonly faces?: readonly (readonly (readonly [number, number, number])[])[];
}

/** What stands in a space, as one box, mm. */
export interface ThingSolid {
  readonly space: string;
  readonly label: string;
  readonly middle: readonly [number, number, number];
  readonly size: readonly [number, number, number];
}

/** A piece in space: x across, y up, z to the front. */
export interface Scene {
  readonly solids: readonly SceneBoard[];
  readonly things: readonly ThingSolid[];
  /** Feet and castors. */
  readonly feet: readonly Pick<ThingSolid, 'label' | 'middle' | 'size'>[];
  /** The middle of the piece shut, and half its diagonal, mm. */
  readonly middle: readonly [number, number, number];
  readonly reach: number;
}

function middleOf(box: Box): [number, number, number] {
  const half = (a: Length, b: Length) => (toMm(a) + toMm(b)) / 2;
  return [half(box.x0, box.x1), half(box.y0, box.y1), half(box.z0, box.z1)];
}

function sizeOf(box: Box): [number, number, number] {
  const span = (a: Length, b: Length) => toMm(b) - toMm(a);
  return [span(box.x0, box.x1), span(box.y0, box.y1), span(box.z0, box.z1)];
}

type Faces = NonNullable<SceneBoard['faces']>;

/** What two faces of the bodies that a member is put together from have in common, where they lie on each other. */
const whereItLies = (face: Faces[number]) =>
  face
    .map((p) => p.map((x) => Math.round(x * 1000)).join(' '))
    .sort()
    .join(';');

/** The faces of a member in its own directions, from a place in it; without those that its bodies meet in. */
function facesOf(member: Member, from: Vector): Faces {
  const { u, v, n } = member.frame;
  const all = solidOfMember(member).bodies.flatMap(({ faces }) =>
    faces.map(({ corners }) =>
      corners.map((p) => {
        const arm = minus(p, from);
        return [dot(u, arm), dot(v, arm), dot(n, arm)] as const;
      }),
    ),
  );
  const met = new Map<string, number>();
  for (const face of all) met.set(whereItLies(face), (met.get(whereItLies(face)) ?? 0) + 1);
  return all.filter((face) => met.get(whereItLies(face)) === 1);
}

/**
 * A piece as solids.
 * @param pose how far its bodies stand out
 * @param apart how far members are moved away from the middle, as a part of their way from it; 0 for not at all
 * @example sceneOf(SOLVED).solids.length // 5
 */
export function sceneOf(solution: Solution, pose: Pose = SHUT, apart = 0): Scene {
  const { shape } = solution;
  const { width, height, depth } = shape.overall;
  const placed = posed(shape.members, shape.bodies, pose);
  // What stands on top is seen too, and what is opened.
  const onTop = [...shape.spaces.values()].flatMap((s) => (s.blocks.length > 0 ? [s.box.y1] : []));
  const high = Math.max(height.value, ...onTop, ...(pose.size > 0 ? placed.map((m) => boxOf(m).y1) : []));
  const middle = [width.value, fromUnits(high), depth.value].map((l) => toMm(l) / 2) as [number, number, number];
  const away = (at: readonly [number, number, number]) =>
    at.map((a, i) => a + (a - (middle[i] as number)) * apart) as [number, number, number];
  const solids = placed.map((m): SceneBoard => {
    const { u, v, n } = m.frame;
    const size = [m.length, m.width, m.thickness].map((f) => toMm(f.value)) as [number, number, number];
    const origin = [m.frame.origin.x, m.frame.origin.y, m.frame.origin.z].map(toMm) as [number, number, number];
    const at = origin.map(
      (o, i) => o + (u[i] as number) * (size[0] / 2) + (v[i] as number) * (size[1] / 2) + (n[i] as number) * (size[2] / 2),
    );
    const board = { id: m.id, label: m.label, role: m.role, middle: away(at as [number, number, number]), u, v, n, size };
    return isPlain(m) ? board : { ...board, faces: facesOf(m, at as [number, number, number]) };
  });
  const things = posedSpaces(solution, pose).flatMap((space) =>
    space.space.split && !shape.stands.has(space.id)
      ? []
      : blockBoxes(space).map(({ block, box }): ThingSolid => ({
          space: space.id,
          label: `${block.count} ${block.thing.name}`,
          middle: away(middleOf(box)),
          size: sizeOf(box),
        })),
  );
  const feet = posedFeet(shape, pose).map(({ is, box }) => ({ label: is, middle: away(middleOf(box)), size: sizeOf(box) }));
  return { solids, things, feet, middle, reach: Math.hypot(...middle) };
}

/**
 * The true outline of a member as it lies on the bench, its holes after it: loops of straight lines, mm along u and v.
 * @example flatOutline(RAIL)[0].length // 4
 */
export function flatOutline(member: Member): readonly (readonly (readonly [u: number, v: number])[])[] {
  if (member.section) {
    const [l, w] = [toMm(member.length.value), toMm(member.width.value)];
    return [
      [
        [0, 0],
        [l, 0],
        [l, w],
        [0, w],
      ],
    ];
  }
  const { outline, holes } = solidOfMember(member).form.profile;
  return [outline, ...holes].map((loop) => cornersOf(loop));
}
