import { len, say } from '../figure/index.js';
import { ZERO, add, ceilTo, floorTo, negative, sub, type Length } from '../length/index.js';
import { isFree } from './share.js';
import type { RunConflict, RunGap, RunLine, RunSpec, WayOut } from './types.js';

const share = { kind: 'share', weight: 1 } as const;

function gapsOf(lines: readonly RunLine[]): readonly RunGap[] {
  return lines.filter((line): line is RunGap => line.kind === 'gap');
}

function byWeight(ways: readonly WayOut[]): readonly WayOut[] {
  return [...ways].sort((a, b) => a.weight - b.weight);
}

function resizeTotal(spec: RunSpec, total: Length, change: Length): readonly WayOut[] {
  if (spec.total.kind !== 'given') return [];
  const next = add(total, change);
  if (next <= ZERO) return [];
  return [
    {
      label: say`Make the whole ${len(next)} instead of ${len(total)}`,
      change: { kind: 'total', total: next },
      weight: 0.2 + Math.abs(change) / Math.max(total, 1),
    },
  ];
}

/**
 * What the gaps that share must be left with for the answer to be one that can be built: a step of the grid each.
 * Where none shares, what is too much is given back exactly.
 */
function leftToShare(spec: RunSpec, lines: readonly RunLine[]): Length {
  return (gapsOf(lines).filter(isFree).length * spec.rounding.grid) as Length;
}

/** Ways to give back `by` that a stretch of a run has too much. */
function waysToShrink(
  spec: RunSpec,
  lines: readonly RunLine[],
  sizes: ReadonlyMap<string, Length>,
  by: Length,
  total: Length,
): readonly WayOut[] {
  const held = gapsOf(lines).filter((gap) => !isFree(gap));
  const toShare = leftToShare(spec, lines);
  const back = add(by, toShare);
  const { grid } = spec.rounding;
  const smaller = held.flatMap((gap): WayOut[] => {
    const now = sizes.get(gap.id) ?? ZERO;
    const left = toShare > ZERO ? floorTo(sub(now, back), grid) : sub(now, back);
    if (left <= ZERO) return [];
    return [
      {
        label: say`Make ${gap.label} ${len(left)} instead of ${len(now)}`,
        change: { kind: 'rule', gap: gap.id, rule: { kind: 'fixed', size: left } },
        weight: by / now,
      },
    ];
  });
  const shared = held.map((gap): WayOut => ({
    label: say`Let ${gap.label} share what is left`,
    change: { kind: 'rule', gap: gap.id, rule: share },
    weight: 0.5,
  }));
  const unbound = gapsOf(lines)
    .filter((gap) => isFree(gap) && gap.least !== undefined)
    .map((gap): WayOut => ({
      label: say`Take away the least size of ${gap.label}`,
      change: { kind: 'unbound', gap: gap.id },
      weight: 0.4,
    }));
  const dropped = lines
    .filter((line) => line.kind === 'member')
    .slice(-1)
    .map((member): WayOut => ({
      label: say`Leave out ${member.label}`,
      change: { kind: 'drop', member: member.id },
      weight: 0.8,
    }));
  return byWeight([
    ...smaller,
    ...shared,
    ...unbound,
    ...dropped,
    ...resizeTotal(spec, total, toShare > ZERO ? sub(ceilTo(add(total, back), grid), total) : by),
  ]);
}

/** Ways to take up `by` that nothing in a stretch of a run takes. */
function waysToGrow(
  spec: RunSpec,
  lines: readonly RunLine[],
  sizes: ReadonlyMap<string, Length>,
  by: Length,
  total: Length,
): readonly WayOut[] {
  const gaps = gapsOf(lines);
  const larger = gaps
    .filter((gap) => !isFree(gap))
    .flatMap((gap): WayOut[] => {
      const now = sizes.get(gap.id) ?? ZERO;
      return [
        {
          label: say`Let ${gap.label} take it and share what is left`,
          change: { kind: 'rule', gap: gap.id, rule: share },
          weight: 0.3 + by / Math.max(now, 1) / 10,
        },
        {
          label: say`Make ${gap.label} ${len(add(now, by))} instead of ${len(now)}`,
          change: { kind: 'rule', gap: gap.id, rule: { kind: 'fixed', size: add(now, by) } },
          weight: by / Math.max(now, 1),
        },
      ];
    });
  const unbound = gaps
    .filter((gap) => isFree(gap) && gap.greatest !== undefined)
    .map((gap): WayOut => ({
      label: say`Take away the greatest size of ${gap.label}`,
      change: { kind: 'unbound', gap: gap.id },
      weight: 0.4,
    }));
  return byWeight([...larger, ...unbound, ...resizeTotal(spec, total, negative(by))]);
}

/**
 * The conflict of a stretch of a run whose lines add up to `difference` more than there
 * is (less, when it is negative), with its ways out.
 * @example mismatch(RUN, RUN.lines, new Map(), mm(5), mm(1000)).kind // 'over'
 */
export function mismatch(
  spec: RunSpec,
  lines: readonly RunLine[],
  sizes: ReadonlyMap<string, Length>,
  difference: Length,
  total: Length,
): RunConflict {
  const by = Math.abs(difference) as Length;
  if (difference > 0) {
    return {
      kind: 'over',
      by,
      sentence: say`These need ${len(by)} more than there is.`,
      ways: waysToShrink(spec, lines, sizes, by, total),
    };
  }
  return {
    kind: 'under',
    by,
    sentence: say`${len(by)} is left over and nothing takes it up.`,
    ways: waysToGrow(spec, lines, sizes, by, total),
  };
}
