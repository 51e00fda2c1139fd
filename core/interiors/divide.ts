import { asBefore, say, size, type Figure } from '../figure/index.js';
import { ZERO, add, greatest, sub, type Length } from '../length/index.js';
import type { Built } from '../survey/index.js';
import {
  OPEN,
  findMember,
  findSpace,
  frontAt,
  spacesOf,
  type Axis,
  type Box,
  type DividingMember,
  type Inset,
  type Insets,
  type Neighbours,
  type Piece,
  type PlacedRun,
  type PlacedSpace,
  type ShapeProblem,
  type Space,
  type Split,
} from '../piece/index.js';
import { solveRun, type PlacedLine, type Rounding, type RunLine, type RunSolution, type RunSpec } from '../run/index.js';
import { blocksIn } from '../things/index.js';
import { dividingMemberId } from './ids.js';
import type { NeedContext, ClearRegion } from './kind.js';
import { dividingKind, kindOf } from './kinds.js';
import { runLines } from './need.js';

/** The spaces and runs of an interior, in their places. */
export interface Divided {
  readonly spaces: ReadonlyMap<string, PlacedSpace>;
  readonly runs: ReadonlyMap<string, PlacedRun>;
  readonly problems: readonly ShapeProblem[];
}

/** What a divided space comes to: its run, and the room of each of its parts with what lies round that. */
interface Parted {
  readonly run: PlacedRun;
  readonly parts: readonly { readonly id: string; readonly region: ClearRegion; readonly insets: Insets | null }[];
}

/** Most keys change one space of a piece: the others are divided as before, and placed as before. */
const partedAsBefore = asBefore<Space, Parted>();
const placedAsBefore = asBefore<ClearRegion, PlacedSpace>();

/** Divides the inside of a piece by its tree of spaces: outer runs before inner, and a run before those aligned with it. */
class Division {
  readonly spaces = new Map<string, PlacedSpace>();
  readonly runs = new Map<string, PlacedRun>();
  readonly problems: ShapeProblem[] = [];
  private readonly regions = new Map<string, ClearRegion>();
  private readonly insets = new Map<string, Insets>();
  private readonly solving = new Set<string>();

  constructor(
    private readonly piece: Piece,
    private readonly context: NeedContext,
    inside: ClearRegion,
  ) {
    this.regions.set(piece.interior.id, asMeasured(piece.interior, inside, this.context.workshop.built));
  }

  divide(): Divided {
    for (const { space } of spacesOf(this.piece.interior)) if (space.split) this.solve(space);
    for (const { space, parent, depth } of spacesOf(this.piece.interior)) {
      const region = this.regions.get(space.id);
      if (!region) continue;
      const line = parent ? this.lineOf(parent.space.id, space.id) : null;
      this.spaces.set(
        space.id,
        this.placed(space, region, parent && line ? { owner: parent.space.id, axis: parent.axis, line } : null, depth),
      );
    }
    return { spaces: this.spaces, runs: this.runs, problems: this.problems };
  }

  private lineOf(owner: string, id: string): PlacedLine | null {
    return this.runs.get(owner)?.run.lines.find((p) => p.line.id === id) ?? null;
  }

  private placed(space: Space, region: ClearRegion, within: PlacedSpace['within'], depth: number): PlacedSpace {
    const insets = this.insets.get(space.id) ?? null;
    const from = { same: [space, within?.line, insets, this.context.workshop], alike: [within?.owner, depth] };
    return placedAsBefore(region, from, () => this.placedAnew(space, region, within, depth, insets));
  }

  private placedAnew(space: Space, region: ClearRegion, within: PlacedSpace['within'], depth: number, insets: Insets | null): PlacedSpace {
    const { start, clear } = region;
    const box: Box = {
      x0: start.x.value,
      x1: start.x.plus(clear.width).value,
      y0: start.y.value,
      y1: start.y.plus(clear.height).value,
      z0: start.z.value,
      z1: start.z.plus(clear.depth).value,
    };
    const raised = (space.split && dividingKind(space.split).holdsAt?.(space.split.making, this.context.workshop)) ?? ZERO;
    const room = {
      width: clear.width.value,
      height: Math.max(0, clear.height.value - raised) as Length,
      depth: Math.max(0, clear.depth.value - region.setback) as Length,
    };
    const known = space.things.flatMap(({ thing: id, count, at }) => {
      const thing = this.context.workshop.things.get(id);
      return thing ? [{ id, thing, count, ...(at === undefined ? {} : { at }) }] : [];
    });
    const blocks = blocksIn(known, room);
    return {
      id: space.id,
      space,
      label: this.labelOf(space, within),
      box,
      clear,
      neighbours: region.neighbours,
      setback: region.setback,
      off: region.off ?? ZERO,
      standing: add(box.y0, raised),
      within,
      depth,
      blocks,
      insets,
      ...(region.posts ? { posts: region.posts } : {}),
      ...(region.lean ? { lean: region.lean } : {}),
    };
  }

  private labelOf(space: Space, within: PlacedSpace['within']): string {
    if (space.name) return space.name;
    if (!within) return 'inside';
    return within.line.line.label;
  }

  /** Solves the run of a divided space, once. @returns false when it is being solved already, which is a circle */
  private solve(space: Space): boolean {
    if (this.runs.has(space.id)) return true;
    if (this.solving.has(space.id) || !space.split) return false;
    this.solving.add(space.id);
    const region = this.regionOf(space.id);
    if (region) this.part(space, space.split, region);
    this.solving.delete(space.id);
    return region !== null;
  }

  private regionOf(id: string): ClearRegion | null {
    const known = this.regions.get(id);
    if (known) return known;
    const parent = findSpace(this.piece.interior, id)?.parent?.space;
    if (!parent || !this.solve(parent)) return null;
    return this.regions.get(id) ?? null;
  }

  private part(space: Space, split: Split, region: ClearRegion): void {
    const { workshop, panels, rounding } = this.context;
    const work = () => this.parted(space, split, region);
    // Where a member stands in line with one of another run, that run has a say as well.
    const alone = split.members.every((m) => m.sameAs === undefined);
    const { run, parts } = alone ? partedAsBefore(space, { same: [workshop], alike: [panels, rounding, region] }, work) : work();
    this.runs.set(space.id, run);
    for (const { id, region: own, insets } of parts) {
      this.regions.set(id, own);
      if (insets) this.insets.set(id, insets);
    }
  }

  private parted(space: Space, split: Split, region: ClearRegion): Parted {
    const { axis } = split;
    const kind = kindOf(split);
    const { over } = kind;
    const start = region.start[AT[axis]];
    const datum = over.before ? start.minus(over.before) : start;
    const total = [over.before, over.after].reduce<Figure>((sum, f) => (f ? sum.plus(f) : sum), region.clear[CLEAR[axis]]);
    const context: NeedContext = {
      ...this.context,
      depth: Math.max(1, region.clear.depth.value - region.setback) as Length,
      width: region.clear.width.value,
    };
    const lines = runLines(space, context).map((line) => this.pinned(line, split, datum));
    const { rounding: chosen } = this.context;
    // The outside is settled before what is in it, so a run inside cannot take its leftover out of the whole.
    const leftover = chosen.leftover === 'total' ? 'last' : chosen.leftover;
    const rounding: Rounding = { ...chosen, leftover, set: kind.set ? chosen.set : 'exact' };
    const spec: RunSpec = { lines, total: { kind: 'given', figure: total }, rounding };
    const run = solveRun(spec);
    const roles = new Map(split.members.map((m) => [m.id, kind.roleOf(m)]));
    const placed: PlacedRun = { owner: space.id, axis, spec, run, datum, roles, over, endIds: kind.endIds(space.id) };
    const parts = split.spaces.flatMap((part, i): Parted['parts'] => {
      const line = run.lines.find((p) => p.line.id === part.id);
      if (!line) return [];
      const own = levelOver(partRegion(region, split, datum, line, i, roles, space.id), split.members[i - 1], {
        run,
        datum,
        setback: region.setback,
      });
      const insets = kind.insets(part.id, context, region.clear);
      return [{ id: part.id, region: asMeasured(part, insets ? within(own, insets) : own, this.context.workshop.built), insets }];
    });
    return { run: placed, parts };
  }

  /** A line with the place it is held at, from the datum of its run. */
  private pinned(line: RunLine, split: Split, datum: Figure): RunLine {
    const member = line.kind === 'member' && split.members.find((m) => m.id === line.id);
    if (!member) return line;
    if (member.at !== undefined) {
      const from = { up: 'from the floor', across: 'from the outside left', deep: 'from the rear' }[split.axis];
      return { ...line, at: size(`${line.label} held ${from}`, member.at, { in: 'member', id: member.id, field: 'at' }).minus(datum) };
    }
    if (member.sameAs === undefined) return line;
    const target = this.placeOf(member.sameAs, split.axis);
    if (!target) {
      this.problems.push({
        id: `circle-${member.id}`,
        about: member.id,
        stops: true,
        sentence: say`${line.label} is lined up with a shelf that is itself placed by this run, or that runs the other way.`,
        fixes: [{ label: say`Let ${line.label} go where the spaces put it`, edit: { kind: 'align', member: member.id, sameAs: null } }],
      });
      return line;
    }
    return { ...line, at: target.minus(datum) };
  }

  /** The near edge of a member from the floor or the outside left; null where it cannot be known first. */
  private placeOf(memberId: string, axis: Axis): Figure | null {
    const found = findMember(this.piece.interior, memberId);
    if (!found || found.owner.split?.axis !== axis || !this.solve(found.owner)) return null;
    const placed = this.runs.get(found.owner.id);
    const line = placed?.run.lines.find((p) => p.line.id === memberId);
    return placed && line ? placed.datum.plus(line.near).named('in line with the other run') : null;
  }
}

const AT = { up: 'y', across: 'x', deep: 'z' } as const;
const CLEAR = { up: 'height', across: 'width', deep: 'depth' } as const;
const BEFORE = { up: 'below', across: 'left', deep: 'rear' } as const;
const AFTER = { up: 'above', across: 'right', deep: 'front' } as const;

/**
 * Between sides that lean, the room over a shelf is level and as deep as that, from the sides' front at its upper face;
 * what is in it stands upright again.
 */
function levelOver(
  { lean, ...region }: ClearRegion,
  under: DividingMember | undefined,
  { run, datum, setback }: { readonly run: RunSolution; readonly datum: Figure; readonly setback: Length },
): ClearRegion {
  const foot = under?.room === undefined && run.lines.find((p) => p.line.id === under?.id)?.near;
  if (!lean || !under || !foot) return region;
  const deep =
    under.deep === undefined ? region.clear.depth : size('shelf, deep', under.deep, { in: 'member', id: under.id, field: 'deep' });
  const front = (height: Figure) =>
    setback === ZERO ? frontAt(lean, height) : frontAt(lean, height).minus(size('shelves back from the front', setback));
  const rear = front(datum.plus(foot)).minus(deep);
  return {
    ...region,
    start: { ...region.start, z: rear },
    clear: { ...region.clear, depth: front(region.start.y).minus(rear) },
    setback: ZERO,
  };
}

/** The region of the part of a divided space at an index. */
function partRegion(
  region: ClearRegion,
  split: Split,
  datum: Figure,
  line: PlacedLine,
  index: number,
  roles: PlacedRun['roles'],
  owner: string,
): ClearRegion {
  const { axis } = split;
  const ends = kindOf(split).endIds(owner);
  const beside = (member: DividingMember | undefined, end: keyof Neighbours, atEnd: string | undefined): Partial<Neighbours> => {
    if (!member) return atEnd === undefined ? {} : { [end]: atEnd };
    const role = roles.get(member.id);
    if (!role) return {};
    // Beyond nothing but room there is nothing to hold on to.
    return { [end]: role === 'room' ? OPEN : dividingMemberId(member.id, role) };
  };
  const start = line.near.amount === ZERO ? datum : datum.plus(line.near);
  const under = split.members[index - 1];
  // Things stand at the front of a shelf that is less deep than the others.
  const short = axis === 'up' && !split.making && under?.deep !== undefined ? sub(region.clear.depth.value, under.deep) : ZERO;
  const last = axis === 'deep' && index < split.spaces.length - 1;
  return {
    ...region,
    start: { ...region.start, [AT[axis]]: start },
    clear: { ...region.clear, [CLEAR[axis]]: line.size },
    neighbours: {
      ...region.neighbours,
      ...beside(split.members[index - 1], BEFORE[axis], ends?.before),
      ...beside(split.members[index], AFTER[axis], ends?.after),
    },
    // Only the foremost part stands behind the front that things stand back from.
    setback: last ? ZERO : greatest([region.setback, short]),
  };
}

const hasWalls = (insets: Insets) =>
  Object.values(insets).some(({ before, after }) => [...before, ...after].some((i) => i.member !== undefined));

/** A region less what lies round its inside. */
function within(region: ClearRegion, insets: Insets): ClearRegion {
  const sum = (list: readonly Inset[]) => list.map((i) => i.size.named(i.label));
  const start = (axis: Axis) => sum(insets[axis].before).reduce((at, i) => at.plus(i), region.start[AT[axis]]);
  const clear = (axis: Axis) =>
    [...sum(insets[axis].before), ...sum(insets[axis].after)].reduce((rest, i) => rest.minus(i), region.clear[CLEAR[axis]]);
  const member = (list: readonly Inset[], known: string) => list.findLast((i) => i.member !== undefined)?.member ?? known;
  const { neighbours } = region;
  return {
    start: { x: start('across'), y: start('up'), z: start('deep') },
    clear: { width: clear('across'), height: clear('up'), depth: clear('deep') },
    neighbours: {
      ...neighbours,
      left: member(insets.across.before, neighbours.left),
      right: member([...insets.across.after].reverse(), neighbours.right),
      below: member(insets.up.before, neighbours.below),
    },
    setback: ZERO,
    ...(region.off === undefined ? {} : { off: region.off }),
    // Where nothing but room lies round its inside, it stands between the same posts.
    ...(region.posts && !hasWalls(insets) ? { posts: region.posts } : {}),
  };
}

/** A region with what the tape said of it in place of what was planned. */
function asMeasured(space: Space, region: ClearRegion, built: Built | undefined): ClearRegion {
  const measured = built?.get(space.id);
  if (!measured) return region;
  const read = (reach: 'width' | 'height' | 'depth') => {
    const value = measured[reach];
    const planned = region.clear[reach];
    return value === undefined ? planned : size(`${reach} as measured`, value, { in: 'space', id: space.id, field: `built.${reach}` });
  };
  const clear = { width: read('width'), height: read('height'), depth: read('depth') };
  const apart = (['width', 'height', 'depth'] as const).map((reach) => Math.abs(clear[reach].value - region.clear[reach].value));
  return { ...region, clear, off: add(region.off ?? ZERO, Math.max(...apart) as Length) };
}

/**
 * Divides the clear inside of a shell.
 * @returns every space in its place, every run with its sums, and alignments that go in a circle
 */
export function divide(piece: Piece, context: NeedContext, inside: ClearRegion): Divided {
  return new Division(piece, context, inside).divide();
}
