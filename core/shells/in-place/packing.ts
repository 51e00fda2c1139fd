import { len, say, size, type Figure } from '../../figure/index.js';
import { ZERO, add, fromUnits, negative, sub, type Length } from '../../length/index.js';
import { recess } from '../../joints/index.js';
import type { Divided, Made } from '../../interiors/index.js';
import {
  atZ,
  boxOf,
  onEdgeFrame,
  PLACE,
  rectangular,
  uprightFrame,
  type Joint,
  type Member,
  type ShapeProblem,
} from '../../piece/index.js';
import { type InPlace } from './spec.js';
import { woodOf, type Workshop } from '../../project/index.js';

/** What the packing adds: joints in place of those that went to the place itself. */
export interface Packed {
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  readonly cuts: Made['cuts'];
  readonly facts: Made['facts'];
  readonly problems: readonly ShapeProblem[];
}

/**
 * Packing behind a face frame: at each side two uprights with a runner board let into them
 * for every slide, flush with the frame's inner side. Two layers of the stock are thicker
 * than the frame stands in, so the boards are housed by what is too much.
 * @example packed out 24 with 16.5: 33 − 24 = 9 deep
 */
export function packingMembers(
  packing: NonNullable<InPlace['packing']>,
  made: Made,
  divided: Divided,
  clear: { readonly width: Figure; readonly height: Figure; readonly depth: Figure },
  workshop: Workshop,
): Packed {
  const wood = woodOf(workshop, packing.stock);
  const t = wood.thickness;
  const housing = t
    .times(2)
    .named('two layers')
    .minus(size('packed out', packing.out, { in: 'piece', field: 'packing.out' }))
    .named('housing');
  const wide = size('wide', packing.wide, { in: 'piece', field: 'packing.wide' });
  const rearmost = sub(clear.depth.value, packing.wide);
  const members: Member[] = [];
  const cuts: { into: string; cut: Made['cuts'][number]['cut'] }[] = [];
  const joints: Joint[] = made.joints.filter((j) => !(j.how === 'slide' && j.carrier === PLACE));
  const sideOf = (hand: 'left' | 'right') => {
    const left = hand === 'left';
    // The frame's inner side is the datum; uprights stand on the cabinet's side, the boards end flush with the frame.
    const uprightX = left ? negative(packing.out) : add(clear.width.value, sub(packing.out, t.value));
    const boardX = left ? negative(t.value) : clear.width.value;
    const uprights = (['rear', 'front'] as const).map((where) =>
      rectangular({
        id: `packing/upright/${hand}-${where}`,
        node: 'packing',
        role: 'packing upright',
        label: `${hand} packing upright, ${where}`,
        wood,
        length: clear.height,
        width: wide,
        frame: uprightFrame({ x: uprightX, y: ZERO, z: where === 'rear' ? ZERO : rearmost }),
      }),
    );
    members.push(...uprights);
    joints.push(...uprights.map((u): Joint => ({ carried: u.id, carrier: PLACE, how: 'bearing' })));
    for (const body of made.bodies) {
      const side = made.members.find((m) => m.id === `${body.id}/drawer-side/${hand}`);
      if (!side || body.runsOn.kind !== 'slide') continue;
      const sideBox = boxOf(side);
      const middle = (sideBox.y0 + Math.min(packing.wide, sideBox.y1 - sideBox.y0) / 2) as Length;
      const y = fromUnits(middle - packing.wide / 2);
      const id = `${body.id}/runner-board/${hand}`;
      const board = rectangular({
        id,
        node: 'packing',
        role: 'runner board',
        label: `${hand} runner board of ${body.label}`,
        wood,
        length: clear.depth,
        width: wide,
        frame: onEdgeFrame({ x: add(boardX, t.value), y, z: ZERO }),
      });
      members.push(board);
      for (const upright of uprights) {
        cuts.push({ into: upright.id, cut: (mate) => [recess('housing', mate, left ? 'up' : 'down', id, boxOf(board), housing.value)] });
        const box = boxOf(upright);
        joints.push({ carried: id, carrier: upright.id, how: 'housed', on: atZ(fromUnits((box.z0 + box.z1) / 2)) });
      }
      joints.push({ carried: side.id, carrier: id, how: 'slide', apart: made.joints.find((j) => j.carried === side.id)?.apart ?? ZERO });
    }
  };
  sideOf('left');
  sideOf('right');

  const boards = members.filter((m) => m.role === 'runner board' && m.id.endsWith('left')).map((m) => m.frame.origin.y);
  const steps = boards.slice(1).map((y, i) => Math.abs(y - (boards[i] as Length)) as Length);
  const [first] = made.bodies;
  const problems: ShapeProblem[] =
    housing.value < ZERO
      ? [
          {
            id: 'packing-thin',
            about: 'packing',
            stops: true,
            sentence: say`Two layers of ${len(t.value)} do not reach ${len(packing.out)}: the slides would stand behind the frame.`,
            fixes: [],
          },
        ]
      : housing.value >= t.value
        ? [
            {
              id: 'packing-thick',
              about: 'packing',
              stops: true,
              sentence: say`Housings ${len(housing.value)} deep would go right through uprights of ${len(t.value)}: use thinner stock.`,
              fixes: [],
            },
          ]
        : [];
  return {
    members,
    joints,
    cuts,
    problems,
    facts: first
      ? [
          {
            space: divided.spaces.keys().next().value ?? first.id,
            facts: [
              { name: 'housings in the packing, deep', figure: housing },
              ...(steps[0] === undefined
                ? []
                : [{ name: 'from one runner board to the next', figure: size('from one to the next', steps[0]) }]),
              { name: 'packing', remark: say`Left and right are mirror images; screw the slides on before the frames go in.` },
            ],
          },
        ]
      : [],
  };
}
