import { say, size, type Figure } from '../figure/index.js';
import { ZERO, type Length } from '../length/index.js';
import {
  findMember,
  findSpace,
  spacesOf,
  type Axis,
  type Box,
  type DividingMember,
  type Neighbours,
  type Piece,
  type PlacedRun,
  type PlacedSpace,
  type ShapeProblem,
  type Space,
} from '../piece/index.js';
import { solveRun, type PlacedLine, type Rounding, type RunLine, type RunSpec } from '../run/index.js';

import { blockIn } from '../things/index.js';
import { runLines, type NeedContext } from './need.js';

/** The clear inside of a shell, ready to be divided. */
export interface Inside {
  readonly start: { readonly x: Figure; readonly y: Figure; readonly z: Figure };
  readonly clear: { readonly width: Figure; readonly height: Figure; readonly depth: Figure };
  readonly neighbours: Neighbours;
}

/** The spaces and runs of an interior, in their places. */
export interface Divided {
  readonly spaces: ReadonlyMap<string, PlacedSpace>;
  readonly runs: ReadonlyMap<string, PlacedRun>;
  readonly problems: readonly ShapeProblem[];
}

/** The member id of a dividing member: its node, role and instance. */
export function dividingMemberId(node: string, axis: Axis): string {
  return axis === 'up' ? `${node}/shelf/1` : `${node}/divider/1`;
}

interface Region {
  readonly start: Inside['start'];
  readonly clear: Inside['clear'];
  readonly neighbours: Neighbours;
}

/** Divides the inside of a piece by its tree of spaces: outer runs before inner, and a run before those aligned with it. */
class Division {
  readonly spaces = new Map<string, PlacedSpace>();
  readonly runs = new Map<string, PlacedRun>();
  readonly problems: ShapeProblem[] = [];
  private readonly regions = new Map<string, Region>();
  private readonly solving = new Set<string>();

  constructor(
    private readonly piece: Piece,
    private readonly context: NeedContext,
    inside: Inside,
  ) {
    this.regions.set(piece.interior.id, inside);
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

  private placed(space: Space, region: Region, within: PlacedSpace['within'], depth: number): PlacedSpace {
    const { start, clear } = region;
    const box: Box = {
      x0: start.x.value,
      x1: start.x.plus(clear.width).value,
      y0: start.y.value,
      y1: start.y.plus(clear.height).value,
      z0: start.z.value,
      z1: start.z.plus(clear.depth).value,
    };
    const standing = Math.max(0, clear.depth.value - this.piece.shelves.setback) as Length;
    const room = { width: clear.width.value, height: clear.height.value, depth: standing };
    const blocks = space.things.flatMap(({ thing: id, count }) => {
      const thing = this.context.workshop.things.get(id);
      return thing ? [blockIn(id, thing, count, room)] : [];
    });
    return {
      id: space.id,
      space,
      label: this.labelOf(space, within),
      box,
      clear,
      neighbours: region.neighbours,
      within,
      depth,
      blocks,
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
    if (region) this.place(space, space.split, region);
    this.solving.delete(space.id);
    return region !== null;
  }

  private regionOf(id: string): Region | null {
    const known = this.regions.get(id);
    if (known) return known;
    const parent = findSpace(this.piece.interior, id)?.parent?.space;
    if (!parent || !this.solve(parent)) return null;
    return this.regions.get(id) ?? null;
  }

  private place(space: Space, split: NonNullable<Space['split']>, region: Region): void {
    const up = split.axis === 'up';
    const datum = up ? region.start.y : region.start.x;
    const total = up ? region.clear.height : region.clear.width;
    const context: NeedContext = {
      ...this.context,
      depth: Math.max(1, region.clear.depth.value - this.piece.shelves.setback) as Length,
      width: region.clear.width.value,
    };
    const lines = runLines(space, context, (i) => `${up ? 'space' : 'bay'} ${i + 1}`).map((line) => this.pinned(line, split, datum));
    // Bays stay exactly equal, so that all shelves in them are cut with one setting; only heights are set out by spacer or tape.
    const { rounding: chosen } = this.context;
    // The outside is settled before what is in it, so a run inside cannot take its leftover out of the whole.
    const leftover = chosen.leftover === 'total' ? 'last' : chosen.leftover;
    const rounding: Rounding = { ...chosen, leftover, set: up ? chosen.set : 'exact' };
    const spec: RunSpec = { lines, total: { kind: 'given', figure: total }, rounding };
    const run = solveRun(spec);
    this.runs.set(space.id, { owner: space.id, axis: split.axis, spec, run, datum });
    split.spaces.forEach((part, i) => {
      const line = run.lines.find((p) => p.line.id === part.id);
      if (line) this.regions.set(part.id, partRegion(region, split, line, i));
    });
  }

  /** A line with the place it is held at, from the datum of its run. */
  private pinned(line: RunLine, split: NonNullable<Space['split']>, datum: Figure): RunLine {
    if (line.kind === 'gap') return line;
    const member = split.members.find((m) => m.id === line.id) as DividingMember;
    if (member.at !== undefined) {
      const from = split.axis === 'up' ? 'from the floor' : 'from the outside left';
      return { ...line, at: size(`${line.label} held ${from}`, member.at, { kind: 'choice', ref: `member:${member.id}` }).minus(datum) };
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

/** The region of the part of a divided space at an index. */
function partRegion(region: Region, split: NonNullable<Space['split']>, line: PlacedLine, index: number): Region {
  const before = split.members[index - 1];
  const after = split.members[index];
  const id = (member: DividingMember) => dividingMemberId(member.id, split.axis);
  const { start, clear, neighbours } = region;
  const moved = (datum: Figure) => (line.near.amount === ZERO ? datum : datum.plus(line.near));
  if (split.axis === 'up') {
    return {
      start: { ...start, y: moved(start.y) },
      clear: { ...clear, height: line.size },
      neighbours: { ...neighbours, below: before ? id(before) : neighbours.below, above: after ? id(after) : neighbours.above },
    };
  }
  return {
    start: { ...start, x: moved(start.x) },
    clear: { ...clear, width: line.size },
    neighbours: { ...neighbours, left: before ? id(before) : neighbours.left, right: after ? id(after) : neighbours.right },
  };
}

/**
 * Divides the clear inside of a shell.
 * @returns every space in its place, every run with its sums, and alignments that go in a circle
 */
export function divide(piece: Piece, context: NeedContext, inside: Inside): Divided {
  return new Division(piece, context, inside).divide();
}
