import { len, say, size } from '../../figure/index.js';
import { NOTHING, type Made } from '../../interiors/kind.js';
import { ZERO, add, mm, scale, sub, type Length } from '../../length/index.js';
import { facingFrame, rectangular, uprightFrame, type Joint, type PlacedSpace, type ShapeProblem } from '../../piece/index.js';
import { woodOf, type Workshop } from '../../project/index.js';
import { BAR } from './ids.js';
import type { PanelCase } from './spec.js';

/** Tabs behind a bar are so long, and so far in from its ends, typical. */
const TAB = { long: mm(40), in: mm(60) } as const;

/** A bar that stands on the floor of a space, flush with its front, between tabs glued down behind it and catches at its ends. */
export function accessBar(piece: PanelCase, spaces: ReadonlyMap<string, PlacedSpace>, workshop: Workshop): Made {
  const { bar } = piece;
  const space = bar && spaces.get(bar.space);
  if (!bar || !space || space.space.split) return NOTHING;
  const { box, clear, neighbours } = space;
  const wood = woodOf(workshop, bar.stock);
  const thick = wood.thickness.value;
  const lifts = sub(clear.height.value, bar.wide);
  const problem = (id: string, sentence: ShapeProblem['sentence'], fixes: ShapeProblem['fixes'] = []): Made => ({
    ...NOTHING,
    problems: [{ id: `bar-${id}`, about: space.id, stops: true, sentence, fixes }],
  });
  if (lifts <= ZERO) {
    const half = scale(clear.height.value, 0.5);
    return problem(
      'high',
      say`A bar ${len(bar.wide)} high closes all of ${space.label}, ${len(clear.height.value)} high, and cannot be lifted out.`,
      [{ label: say`Half as high as that`, edit: { kind: 'piece', patch: { bar: { ...bar, wide: half } } } }],
    );
  }
  if (clear.width.value < TAB.in * 2 + thick * 2)
    return problem('narrow', say`${space.label} is ${len(clear.width.value)} wide: a bar with tabs behind both ends has no room.`);
  const slack = size('free at both ends', bar.slack, { in: 'piece', field: 'bar.slack' }).times(2).named('free at both ends');
  const z = sub(box.z1, thick);
  const member = rectangular({
    id: BAR.bar,
    node: BAR.node,
    role: 'rail',
    label: 'access bar',
    wood,
    length: clear.width.minus(slack),
    width: size('access bar', bar.wide, { in: 'piece', field: 'bar.wide' }),
    frame: facingFrame({ x: add(box.x0, bar.slack), y: box.y0, z }),
  });
  // On edge behind it, as high as they are long.
  const tab = (n: 1 | 2, x: Length) =>
    rectangular({
      id: BAR.tab(n),
      node: BAR.node,
      role: 'stop',
      label: `tab behind the access bar, ${n === 1 ? 'left' : 'right'}`,
      wood,
      length: size('tab', TAB.long),
      width: size('tab', TAB.long),
      frame: uprightFrame({ x, y: box.y0, z: sub(z, TAB.long) }),
    });
  const tabs = [tab(1, add(box.x0, TAB.in)), tab(2, sub(sub(box.x1, TAB.in), thick))];
  return {
    ...NOTHING,
    members: [member, ...tabs],
    joints: [
      { carried: BAR.bar, carrier: neighbours.below, how: 'bearing' },
      ...tabs.map((t): Joint => ({ carried: t.id, carrier: neighbours.below, how: 'glued' })),
    ],
    bodies: [
      {
        id: BAR.node,
        label: 'the access bar',
        members: [BAR.bar],
        spaces: [],
        motion: { kind: 'slide', along: [0, 1, 0], travel: clear.height.minus(size('access bar', bar.wide)).named('lifted') },
        runsOn: { kind: 'plain', name: 'nothing', rating: null },
      },
    ],
    bought: [{ what: 'magnetic catches', count: 2, each: 'piece' }],
  };
}
