import { columnSum, len, say, type Figure, type Sentence } from '../figure/index.js';
import { greatest } from '../length/index.js';
import type { Part } from '../parts/index.js';
import type { Letters } from '../piece/index.js';
import type { Check } from '../finding/index.js';
import { capital, nameOf } from './names.js';

/** What takes most from a size, as far as it is known. */
function taker(figure: Figure): Sentence {
  const taken = columnSum(figure).filter((l) => l.sign === '−' && l.figure.unit === 'length');
  if (taken.length === 0) return [];
  const most = greatest(taken.map((l) => l.figure.value));
  const line = taken.find((l) => l.figure.value === most);
  return line ? say` “${line.label}” takes ${len(most)}.` : [];
}

/** Parts that would have no size left to cut; they are in no list, and stop the build. */
export function uncuttableChecks(parts: readonly Part[], letters: Letters): Check[] {
  const alike = new Map<string, Part[]>();
  for (const part of parts) {
    const key = `${part.member.role} ${part.cut.length.set} ${part.cut.width.set}`;
    alike.set(key, [...(alike.get(key) ?? []), part]);
  }
  return [...alike.values()].map((equal): Check => {
    const [part] = equal as [Part, ...Part[]];
    const { length, width } = part.cut;
    const others = equal.length > 1 ? ` and ${equal.length - 1} like it` : '';
    const worst = length.figure.value <= width.figure.value ? length.figure : width.figure;
    return {
      id: `uncuttable-${part.id}`,
      severity: 'stop',
      state: 'fails',
      about: { kind: 'member', id: part.id },
      sentence: say`${capital(nameOf(part.member, letters))}${others} would be ${len(length.figure.value)} by ${len(width.figure.value)}: nothing is left to cut.${taker(worst)}`,
      fixes: [],
    };
  });
}
