import { len, say, type Sentence } from '../figure/index.js';
import { ZERO, add, sub, type Length } from '../length/index.js';
import type { PlacedSpace, Shape, Stand } from '../piece/index.js';
import type { Workshop } from '../project/index.js';
import { howMany, isTurned, needOf, type Block } from '../things/index.js';
import { pieceFix, type Check, type Fix } from '../finding/index.js';

function tooTall(space: PlacedSpace, block: Block, over: Length): Fix[] {
  if (!space.within || space.within.axis !== 'up') return [];
  // Of a drawer it is its front that is sized, of which its inside is a part.
  const high = add(space.within.line.size.value, over);
  const { greatest } = space.space;
  if (greatest !== undefined && greatest < high)
    return [pieceFix(say`Take its bounds away`, { kind: 'bounds', space: space.id }), fewer(space, block, 0)];
  return [
    pieceFix(say`Make the space fit what stands in it`, { kind: 'rule', space: space.id, rule: { kind: 'fit', clearance: ZERO } }),
    pieceFix(say`Make the space ${len(high)} high`, { kind: 'rule', space: space.id, rule: { kind: 'fixed', size: high } }),
    fewer(space, block, 0),
  ];
}

function fewer(space: PlacedSpace, block: Block, count: number): Fix {
  const things = space.space.things.flatMap((t) => (t.thing === block.thingId ? (count > 0 ? [{ ...t, count }] : []) : [t]));
  return pieceFix(count > 0 ? say`Leave ${count} of them here` : say`Take ${block.thing.name} out`, {
    kind: 'things',
    space: space.id,
    things,
  });
}

/** What is left free beside what stands in a space, where nothing but room is. */
function besideIt({ insets }: PlacedSpace): Length {
  const round = insets ? [...insets.across.before, ...insets.across.after] : [];
  return round.some((i) => i.member !== undefined) ? ZERO : add(ZERO, ...round.map((i) => i.size.value));
}

/** The height that things have in a space, over the deck where there is one. */
/** What stands turned, since it goes in only so. */
function turnedIn({ blocks }: PlacedSpace): Sentence {
  const turned = blocks.filter(isTurned);
  if (turned.length === 0) return say``;
  return say` (turned: ${turned.map((b) => b.thing.name).join(', ')}, ${len((turned[0] as Block).stance.width)} wide so)`;
}

function headroom({ box, standing }: PlacedSpace): Length {
  return sub(box.y1, standing);
}

function heights(space: PlacedSpace, blocks: readonly Block[]): Check[] {
  const clear = headroom(space);
  return blocks.flatMap((block): Check[] => {
    const need = add(block.height, block.thing.clearance);
    if (need <= clear) return [];
    const bare = block.height <= clear;
    return [
      {
        id: `tall-${space.id}-${block.thingId}`,
        severity: bare ? 'look' : 'stop',
        state: 'fails',
        about: { kind: 'space', id: space.id },
        sentence: bare
          ? say`${block.thing.name} goes into ${space.label} with ${len(sub(clear, block.height))} above it, but ${len(block.thing.clearance)} was asked for.`
          : say`${block.thing.name} is ${len(sub(block.height, clear))} too tall for ${space.label}, which is ${len(clear)} clear.`,
        fixes: tooTall(space, block, sub(need, clear)),
      },
    ];
  });
}

function widths(space: PlacedSpace, blocks: readonly Block[]): Check[] {
  const need = needOf(blocks);
  const clear = space.clear.width.value;
  if (need.width <= clear) return [];
  const last = blocks.at(-1) as Block;
  const others = blocks.slice(0, -1).reduce((sum, b) => sum + b.width, 0);
  const room = {
    width: Math.max(0, clear - others) as Length,
    height: headroom(space),
    depth: sub(space.clear.depth.value, space.setback),
  };
  const fit = Math.min(last.count, howMany(last.thing, room).count);
  return [
    {
      id: `wide-${space.id}`,
      severity: 'stop',
      state: 'fails',
      about: { kind: 'space', id: space.id },
      sentence: say`What stands in ${space.label} needs ${len(need.width)} across and there is ${len(clear)}; ${fit} of ${last.count} ${last.thing.name} fit beside the rest.`,
      fixes: [fewer(space, last, fit)],
    },
  ];
}

function depths(space: PlacedSpace, blocks: readonly Block[]): Check[] {
  const clear = sub(space.clear.depth.value, space.setback);
  return blocks.flatMap((block): Check[] =>
    block.depth <= add(clear, block.thing.mayStandOut ?? (0 as Length))
      ? []
      : [
          {
            id: `deep-${space.id}-${block.thingId}`,
            severity: 'look',
            state: 'fails',
            about: { kind: 'space', id: space.id },
            sentence: say`${block.thing.name} stands out ${len(sub(block.depth, clear))} from ${space.label}, which is ${len(clear)} deep.`,
            fixes: [fewer(space, block, 0)],
          },
        ],
  );
}

/** Things in a space that has no floor: over a rail, or over nothing but room. */
function unheld(space: PlacedSpace, shape: Shape): Check[] {
  const { below } = space.neighbours;
  if (shape.stands.has(space.id)) return [];
  if (!below.endsWith('/rail/1') && !overRoom(space, shape)) return [];
  return [
    {
      id: `unheld-${space.id}`,
      severity: 'stop',
      state: 'fails',
      about: { kind: 'space', id: space.id },
      sentence: say`Nothing holds ${space.blocks.map((b) => b.thing.name).join(', ')} in ${space.label}: nothing under it goes from side to side.`,
      fixes: [pieceFix(say`Take them out`, { kind: 'things', space: space.id, things: [] })],
    },
  ];
}

/** Whether a space has room and not wood between it and the one below it. */
function overRoom(space: PlacedSpace, shape: Shape): boolean {
  if (space.within?.axis !== 'up' || space.insets) return false;
  const run = shape.runs.get(space.within.owner);
  const at = run?.run.lines.findIndex((l) => l.line.id === space.id) ?? 0;
  const before = run?.run.lines[at - 1]?.line;
  return before !== undefined && run?.roles.get(before.id) === 'room';
}

/** Things of a space that was divided after they were put there: they stand nowhere, and load nothing. */
function nowhere(space: PlacedSpace): Check[] {
  const { split } = space.space;
  const [first] = split?.spaces ?? [];
  const names = space.blocks.map((b) => b.thing.name).join(', ');
  if (!first || names === '') return [];
  return [
    {
      id: `nowhere-${space.id}`,
      severity: 'look',
      state: 'not checked',
      about: { kind: 'space', id: space.id },
      sentence: say`${names} was put into ${space.label}, which is divided now: it stands nowhere and its load is not counted. Put it into one of the parts.`,
      fixes: [pieceFix(say`Take it out of ${space.label}`, { kind: 'things', space: space.id, things: [] })],
    },
  ];
}

/** Where things are said to stand along their space: past its end, or on each other. */
function places(space: PlacedSpace): Check[] {
  const placed = space.blocks
    .flatMap((block) => (typeof block.at === 'number' ? [{ block, from: block.at, to: add(block.at, block.width) }] : []))
    .sort((a, b) => a.from - b.from);
  const clear = space.clear.width.value;
  return placed.flatMap(({ block, to }, i): Check[] => {
    const next = placed[i + 1];
    const over = to > clear ? sub(to, clear) : next && next.from < to ? sub(to, next.from) : null;
    if (over === null) return [];
    const where = to > clear ? say`past the end of ${space.label}` : say`where ${next?.block.thing.name ?? 'the next'} stands`;
    return [
      {
        id: `place-${space.id}-${block.thingId}`,
        severity: 'look',
        state: 'fails',
        about: { kind: 'space', id: space.id },
        sentence: say`${block.thing.name}, ${len(block.at as Length)} from the left, reaches ${len(over)} ${where}.`,
        fixes: [
          pieceFix(say`Let it stand anywhere`, {
            kind: 'things',
            space: space.id,
            things: space.space.things.map((t) => (t.thing === block.thingId ? { thing: t.thing, count: t.count } : t)),
          }),
        ],
      },
    ];
  });
}

/** A reading of what was built that cannot be: more than there is of what it lies in. */
function readings(space: PlacedSpace, shape: Shape, { built }: Workshop): Check[] {
  const measured = built?.get(space.id);
  if (!measured) return [];
  const owner = space.within ? shape.spaces.get(space.within.owner) : undefined;
  const along = space.within && ({ up: 'height', across: 'width', deep: 'depth' } as const)[space.within.axis];
  return (['width', 'height', 'depth'] as const).flatMap((reach): Check[] => {
    const read = measured[reach];
    if (read === undefined) return [];
    const whole = shape.overall[reach].value;
    const within = owner && reach !== along ? owner.clear[reach].value : whole;
    if (read <= within) return [];
    const what = owner && reach !== along ? owner.label : 'the whole piece';
    return [
      {
        id: `reading-${space.id}-${reach}`,
        severity: 'stop',
        state: 'fails',
        about: { kind: 'space', id: space.id },
        sentence: say`The tape is said to have found a ${reach} of ${len(read)} in ${space.label}, and ${what} has ${len(within)}: read it again.`,
        fixes: [{ label: say`Go by the plan until it is read again`, change: { target: 'built', space: space.id, reach, value: null } }],
      },
    ];
  });
}

/** Whether all that are listed of a thing have a place in what it fills. */
function cellCheck(space: PlacedSpace, filled: NonNullable<Stand['filled']>): Check[] {
  const { thing, called } = filled;
  const [one, many] = called;
  const room = filled.places.length;
  const about = { kind: 'space', id: space.id } as const;
  const id = `cells-room-${space.id}`;
  if (room < thing.count) {
    const sentence = say`${space.label} has ${room} ${room === 1 ? one : many}, and ${thing.count} ${thing.name} are listed.`;
    return [{ id, severity: 'look', state: 'fails', about, sentence, fixes: [] }];
  }
  const sentence = say`All ${thing.count} ${thing.name} have a ${one} in ${space.label}; ${room - thing.count} are to spare.`;
  return [{ id, severity: 'good', state: 'fine', about, sentence, fixes: [] }];
}

/** Whether what stands in each space fits in it, and what was named but is not in the library or stands nowhere. */
export function thingChecks(shape: Shape, workshop: Workshop): Check[] {
  return [...shape.spaces.values()].flatMap((space): Check[] => [...readings(space, shape, workshop), ...standing(space, shape, workshop)]);
}

/** Whether what stands in one space fits in it. */
function standing(space: PlacedSpace, shape: Shape, workshop: Workshop): Check[] {
  const stand = shape.stands.get(space.id);
  if (stand?.filled) return cellCheck(space, stand.filled);
  if (space.space.filling) return [];
  const gone = space.space.things.filter((t) => !workshop.things.has(t.thing));
  const missing = gone.map((t): Check => ({
    id: `unknown-${space.id}-${t.thing}`,
    severity: 'look',
    state: 'not checked',
    about: { kind: 'space', id: space.id },
    sentence: say`Something in ${space.label} is no longer among the things.`,
    fixes: [pieceFix(say`Take it out`, { kind: 'things', space: space.id, things: space.space.things.filter((o) => !gone.includes(o)) })],
  }));
  const divided = space.space.split !== undefined && !stand;
  if (divided && space.space.things.length > 0) return [...missing, ...nowhere(space)];
  if (space.blocks.length === 0 || divided) return missing;
  const faults = [
    ...unheld(space, shape),
    ...heights(space, space.blocks),
    ...widths(space, space.blocks),
    ...depths(space, space.blocks),
    ...places(space),
  ];
  if (faults.length > 0 || !space.within) return [...missing, ...faults];
  const need = needOf(space.blocks);
  const above = sub(headroom(space), sub(need.height, need.tallest?.thing.clearance ?? (0 as Length)));
  const beside = sub(add(space.clear.width.value, besideIt(space)), need.width);
  const tight = above === 0 || beside === 0;
  return [
    ...missing,
    {
      id: `fits-${space.id}`,
      // With nothing to spare it goes in, but for how true the saw and the tape are.
      severity: tight ? 'look' : 'good',
      state: tight ? 'close' : 'fine',
      about: { kind: 'space', id: space.id },
      sentence: say`${space.blocks.map((b) => b.thing.name).join(', ')} in ${space.label}${turnedIn(space)}: ${len(above)} above, ${len(beside)} to spare across.`,
      fixes: [],
    },
  ];
}
