import { len, say, size, type Figure, type Sentence } from '../../figure/index.js';
import { ZERO, add, scale, sub } from '../../length/index.js';
import type { Axis, Fact, PlacedSpace, ShapeProblem } from '../../piece/index.js';
import type { Workshop } from '../../project/index.js';
import { stancesOf, type Stance } from '../../things/index.js';
import { NOTHING, type FillingKind, type Made, type MadeIn, type NeedContext } from '../kind.js';
import { EquipmentSchema, type DeviceSide, type Equipment } from './spec.js';

/** A device as it stands: upright, its front out. */
function stanceOf({ thing }: Equipment, workshop: Workshop): Stance | null {
  const record = workshop.things.get(thing);
  return record ? (stancesOf(record)[0] ?? null) : null;
}

const WHY = { heat: 'for heat', cables: 'for cables', hands: 'for hands', controls: 'for controls', fit: 'to fit' } as const;
const ENDS: Readonly<Record<Axis, readonly [DeviceSide, DeviceSide]>> = {
  across: ['left', 'right'],
  up: ['below', 'above'],
  deep: ['rear', 'front'],
};
const REACH = { across: 'width', up: 'height', deep: 'depth' } as const;

/**
 * What devices need along an axis, with what is kept free at both ends, and between them.
 * @example toMm(equipmentNeed({ thing: 'tin', count: 2, between: mm(50), free: { left: { size: mm(0) }, right: { size: mm(10), why: 'air' } } }, 'across', SHOP).value) // 260
 */
export function equipmentNeed(equipment: Equipment, axis: Axis, workshop: Workshop): Figure | null {
  const stance = stanceOf(equipment, workshop);
  const name = workshop.things.get(equipment.thing)?.name;
  if (!stance || name === undefined) return null;
  const reach = REACH[axis];
  const one = size(`${name}, ${{ width: 'wide', height: 'high', depth: 'deep' }[reach]}`, stance[reach], {
    in: 'thing',
    id: equipment.thing,
    field: 'shape',
  });
  const { count, between, free } = equipment;
  const several = axis === 'across' && count > 1;
  const gaps = several && between > ZERO ? size('between two', between, { in: 'making', field: 'between' }).times(count - 1) : null;
  const all = several ? one.times(count).named(`${count} of them`) : one;
  const kept = ENDS[axis].flatMap((end) =>
    free[end].size > ZERO ? [size(`${end}, ${WHY[free[end].why]}`, free[end].size, { in: 'making', field: `free.${end}.size` })] : [],
  );
  return [...(gaps ? [gaps.named('between them')] : []), ...kept].reduce((sum, f) => sum.plus(f), all);
}

/** Where a space has less room than devices and what is free round them take. */
function tight(equipment: Equipment, space: PlacedSpace, workshop: Workshop): ShapeProblem[] {
  const name = workshop.things.get(equipment.thing)?.name ?? 'it';
  return (['across', 'up', 'deep'] as const).flatMap((axis): ShapeProblem[] => {
    const need = equipmentNeed(equipment, axis, workshop);
    const clear = space.clear[REACH[axis]];
    if (!need || clear.value >= need.value) return [];
    const own = space.within?.axis === axis;
    return [
      {
        id: `equipment-${space.id}-${axis}`,
        about: space.id,
        stops: true,
        sentence: say`${name} in ${space.label} needs ${len(need.value)} ${{ across: 'across', up: 'up', deep: 'from the rear to the front' }[axis]} with what is kept free, and there is ${len(clear.value)}.`,
        fixes: own
          ? [{ label: say`Make it as large as that`, edit: { kind: 'rule', space: space.id, rule: { kind: 'fixed', size: need.value } } }]
          : [],
      },
    ];
  });
}

/** Controls that hang under what devices stand on, into what is below. */
function hanging(
  { controls }: Equipment,
  space: PlacedSpace,
  { spaces }: Pick<MadeIn, 'spaces'>,
): { facts: Fact[]; problems: ShapeProblem[] } {
  if (!controls) return { facts: [], problems: [] };
  const field = (name: string) => ({ in: 'making', field: `controls.${name}` }) as const;
  const takes = size('controls hang', controls.hang, field('hang')).plus(size('free under them', controls.free, field('free')));
  const under = [...spaces.values()].find((s) => s.neighbours.above === space.neighbours.below && s.id !== space.id);
  const short = under && under.clear.height.value < takes.value;
  const sentence: Sentence = under
    ? say`Controls under ${space.label} take ${len(takes.value)}, and ${under.label} below is ${len(under.clear.height.value)} high.`
    : say``;
  return {
    facts: [{ name: 'clear under what it stands on', figure: takes.named('clear under what it stands on') }],
    problems: short
      ? [
          {
            id: `controls-${space.id}`,
            about: space.id,
            stops: true,
            sentence,
            fixes:
              under.within?.axis === 'up'
                ? [
                    {
                      label: say`Make ${under.label} as high`,
                      edit: { kind: 'rule', space: under.id, rule: { kind: 'fixed', size: takes.value } },
                    },
                  ]
                : [],
          },
        ]
      : [],
  };
}

/** What devices need along each axis, and a word where they get warm. */
function factsOf(equipment: Equipment, workshop: Workshop): readonly Fact[] {
  const { heat, count } = equipment;
  const needs = (['across', 'up', 'deep'] as const).flatMap((axis): Fact[] => {
    const figure = equipmentNeed(equipment, axis, workshop);
    return figure ? [{ name: `needed ${{ across: 'across', up: 'up', deep: 'deep' }[axis]}`, figure }] : [];
  });
  const warm: Fact[] =
    heat === undefined
      ? []
      : [
          {
            name: 'heat',
            remark: say`It gives off ${heat * count} W: keep what its maker asks free, let air in low and out high, and never cover it. What its maker says comes first.`,
          },
        ];
  return [...needs, ...warm];
}

/** Devices where they stand, from the left with what is free there, what is spare at both ends alike. */
export function equipmentIn(equipment: Equipment, { space, spaces, workshop }: Pick<MadeIn, 'space' | 'spaces' | 'workshop'>): Made {
  const stance = stanceOf(equipment, workshop);
  const thing = workshop.things.get(equipment.thing);
  const need = equipmentNeed(equipment, 'across', workshop);
  if (!stance || !thing || !need) return NOTHING;
  const { count, free, between } = equipment;
  const spare = scale(sub(space.clear.width.value, need.value), 0.5);
  const first = add(space.box.x0, free.left.size, spare);
  const up = add(space.standing, free.below.size);
  const places = Array.from({ length: count }, (_, i) => ({ x: add(first, scale(add(stance.width, between), i)), y: up }));
  const hang = hanging(equipment, space, { spaces });
  return {
    ...NOTHING,
    problems: [...tight(equipment, space, workshop), ...hang.problems],
    facts: [{ space: space.id, facts: [...factsOf(equipment, workshop), ...hang.facts] }],
    stands: [
      {
        space: space.id,
        carriers: [space.neighbours.below],
        filled: {
          thingId: equipment.thing,
          thing,
          called: ['place', 'places'],
          room: { width: stance.width, height: stance.height },
          deep: { from: add(space.box.z0, free.rear.size), to: add(space.box.z0, free.rear.size, stance.depth) },
          places,
        },
      },
    ],
  };
}

export const equipment: FillingKind<Equipment> = {
  cablesBehind: ({ free }) => free.rear.why === 'cables',
  kind: 'equipment',
  schema: EquipmentSchema,
  names: ({ thing }) => [{ kind: 'thing', id: thing }],
  filled: 'equipment',
  onPiece: null,
  seenFrom: 'front',
  made: equipmentIn,
  need: (filling, axis, { workshop }: NeedContext) => equipmentNeed(filling, axis, workshop),
  withStock: () => null,
  remedies: () => [],
};
