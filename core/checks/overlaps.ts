import { fine, len, say } from '../figure/index.js';
import { fromUnits, mm, negative, toMm } from '../length/index.js';
import { overlapOf } from '../solid/index.js';
import { boxOf, isBlock, solidOfMember, type Box, type Letters, type Member, type Shape } from '../piece/index.js';
import type { Check } from '../finding/index.js';
import { capital, nameOf } from './names.js';

/** Less than this is rounding, mm. */
const LEAST = 0.05;

/** Whether one of two is let into the other. */
function letIn(a: Member, b: Member): boolean {
  return a.features.some((f) => f.mate === housedAs(b)) || b.features.some((f) => f.mate === housedAs(a));
}

/** One housing takes both layers of a shelf. */
const housedAs = ({ id, housedWith }: Member) => housedWith ?? id;

function boxDepth(a: Box, b: Box): number {
  const shared = (a0: number, a1: number, b0: number, b1: number) => Math.min(a1, b1) - Math.max(a0, b0);
  return toMm(fromUnits(Math.min(shared(a.x0, a.x1, b.x0, b.x1), shared(a.y0, a.y1, b.y0, b.y1), shared(a.z0, a.z1, b.z0, b.z1))));
}

/** Members that are in each other while all is shut, in an order that does not depend on them. */
function overlapping(members: readonly Member[]): { readonly a: Member; readonly b: Member; readonly by: number }[] {
  const sorted = members.map((member) => ({ member, box: boxOf(member) })).sort((p, q) => p.box.x0 - q.box.x0);
  const found: { a: Member; b: Member; by: number }[] = [];
  sorted.forEach((p, i) => {
    for (let k = i + 1; k < sorted.length; k += 1) {
      const q = sorted[k] as (typeof sorted)[number];
      if (q.box.x0 >= p.box.x1) break;
      if (q.box.y0 >= p.box.y1 || p.box.y0 >= q.box.y1 || q.box.z0 >= p.box.z1 || p.box.z0 >= q.box.z1) continue;
      const rough = boxDepth(p.box, q.box);
      if (rough <= LEAST || letIn(p.member, q.member)) continue;
      const by = isBlock(p.member) && isBlock(q.member) ? rough : overlapOf(solidOfMember(p.member), solidOfMember(q.member));
      if (by > LEAST) found.push({ a: p.member, b: q.member, by });
    }
  });
  return found;
}

/** Fronts that reach past the outside of their case. */
function pastTheCase(shape: Shape, letters: Letters): Check[] {
  if (shape.outside.is !== 'built') return [];
  const past = shape.members.flatMap((member) => {
    if (member.role !== 'drawer front') return [];
    const { x0, x1, y0, y1 } = boxOf(member);
    const by = Math.max(negative(x0), x1 - shape.overall.width.value, negative(y0), y1 - shape.overall.height.value);
    return by > mm(LEAST) ? [{ member, by }] : [];
  });
  const [first] = past;
  if (!first) return [];
  const others = past.length > 1 ? say` and ${past.length - 1} like it` : say``;
  return [
    {
      id: `past-${first.member.id}`,
      severity: 'look',
      state: 'fails',
      about: { kind: 'member', id: first.member.id },
      sentence: say`${capital(nameOf(first.member, letters))}${others} reaches ${len(fromUnits(first.by))} past the outside of the case.`,
      fixes: [],
    },
  ];
}

/**
 * What is in the same place while all is shut: it can't be put together. Pairs of one kind are told together.
 * @example overlapChecks(SOLVED.shape, {}) // []
 */
export function overlapChecks(shape: Shape, letters: Letters): Check[] {
  const kinds = new Map<string, { a: Member; b: Member; by: number; count: number }>();
  for (const { a, b, by } of overlapping(shape.members)) {
    const key = [a.role, b.role].sort().join(' ');
    const known = kinds.get(key);
    if (known) known.count += 1;
    else kinds.set(key, { a, b, by, count: 1 });
  }
  const told = [...kinds.values()].map(({ a, b, by, count }): Check => {
    const more = count > 1 ? say`, and ${count - 1} more pairs like them` : say``;
    return {
      id: `overlap-${a.id}-${b.id}`,
      severity: 'stop',
      state: 'fails',
      about: { kind: 'member', id: a.id },
      sentence: say`${capital(nameOf(a, letters))} and ${nameOf(b, letters)} are in the same place by ${fine(by)}${more}.`,
      fixes: [],
    };
  });
  return [...told, ...pastTheCase(shape, letters)];
}
