import { len, say } from '../figure/index.js';
import { least, mm, type Length } from '../length/index.js';
import type { Part } from '../parts/index.js';
import type { Letters, Shape } from '../piece/index.js';
import type { Check } from '../finding/index.js';
import { capital, nameOf } from './names.js';

/** What is narrower is no part that hands can saw and hold: what made it so is somewhere else. */
const LEAST_PART = mm(4);

const stop = (id: string, about: Check['about'], sentence: Check['sentence']): Check => ({
  id,
  severity: 'stop',
  state: 'fails',
  about,
  sentence,
  fixes: [],
});

/** Spaces that would be less than nothing, where nothing else stops on them. */
function spaceless(shape: Shape): Check[] {
  const told = new Set(shape.problems.filter((p) => p.stops).map((p) => p.about));
  return [...shape.spaces.values()].flatMap((space) => {
    const reach = (['width', 'height', 'depth'] as const).find((r) => space.clear[r].value < 0);
    if (reach === undefined || told.has(space.id)) return [];
    return [
      stop(
        `no-space-${space.id}`,
        { kind: 'space', id: space.id },
        say`${capital(space.label)} would be ${len(space.clear[reach].value)} in ${reach}: what bounds it meets.`,
      ),
    ];
  });
}

/** Parts that are so narrow that nobody meant them. */
function slivers(parts: readonly Part[], letters: Letters): Check[] {
  return parts.flatMap((part) => {
    const narrow = least([part.length.value, part.width.value]);
    if (narrow >= LEAST_PART) return [];
    return [
      stop(
        `sliver-${part.id}`,
        { kind: 'member', id: part.id },
        say`${capital(nameOf(part.member, letters))} would be ${len(narrow)} wide: that cannot be sawn and held.`,
      ),
    ];
  });
}

/** Holes that would be drilled past the edge of their part, one for each part. */
function strayHoles(shape: Shape, letters: Letters): Check[] {
  return shape.members.flatMap((member) => {
    const stray = member.features.find((f) => {
      if (f.kind !== 'hole') return false;
      const r = f.diameter / 2;
      const isOut = (at: Length, all: Length) => at < r || at + r > all;
      return isOut(f.at.u, member.length.value) || isOut(f.at.v, member.width.value);
    });
    if (stray?.kind !== 'hole') return [];
    return [
      stop(
        `stray-hole-${member.id}`,
        { kind: 'member', id: member.id },
        say`A hole of ${len(stray.diameter)} in ${nameOf(member, letters)} would go over its edge: its middle is ${len(stray.at.u)} along and ${len(stray.at.v)} across.`,
      ),
    ];
  });
}

/**
 * What no piece can have: spaces of less than nothing, parts like slivers, holes beside their part.
 * @example absurdChecks(SOLVED.shape, SOLVED.parts, SOLVED.letters) // []
 */
export function absurdChecks(shape: Shape, parts: readonly Part[], letters: Letters): readonly Check[] {
  return [...spaceless(shape), ...slivers(parts, letters), ...strayHoles(shape, letters)];
}
