import { useState } from 'react';
import type { PlacedSpace } from '../../core/piece/index.js';
import { useSettledBench } from '../bench/bench.js';
import { usePrecision, useProject } from '../data/project.js';
import { Fault, Select } from '../shared/ui.js';
import { fillings } from './kinds.js';
import { MadeOf } from './made-of.js';
import type { FillingWay, Means } from './means.js';
import { Laid } from '../shared/laid.js';

/** Fills an open space in one of the ways that the kinds offer. */
export function FillMenu({ space }: { space: PlacedSpace }) {
  const { piece, commit, select } = useSettledBench();
  const { bench } = useProject();
  const { unit } = usePrecision();
  const [problem, setProblem] = useState<string | null>(null);
  const [wanted, setWanted] = useState<FillingWay | null>(null);
  const { stock, slides, things } = bench.records;
  const { width, height, depth } = space.clear;
  const means: Means = { unit, stock, slides, things, clear: { width: width.value, height: height.value, depth: depth.value } };
  const fill = (filling: FillingWay, chosen: Means['chosen']) => {
    setWanted(null);
    try {
      const edit = filling.fill(piece, space.id, { ...means, chosen });
      commit(edit, `Filled ${space.label}`.slice(0, 150));
      if (edit.kind === 'fill') select(edit.split?.spaces.at(-1)?.id ?? space.id);
      setProblem(null);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  // With nothing to be asked first it is filled at once.
  const choose = (way: FillingWay | null) => {
    const asked = way === null || way.uses(means).length > 0 || (way.asks?.(means) ?? []).length > 0;
    if (asked) setWanted(way);
    else fill(way, undefined);
  };
  return (
    <Laid.div $above={8}>
      <Select
        label="Or fill it with"
        value={wanted?.id ?? null}
        placeholder="Choose what"
        choices={fillings().filter((f) => f.goesInto?.(space) ?? true)}
        onChange={(id) => choose(fillings().find((f) => f.id === id) ?? null)}
      />
      {wanted ? (
        <MadeOf
          key={wanted.id}
          filling={wanted}
          means={means}
          does="Fill it"
          onSettled={(chosen) => fill(wanted, chosen)}
          onCancel={() => setWanted(null)}
        />
      ) : null}
      {problem ? <Fault role="alert">{problem}</Fault> : null}
    </Laid.div>
  );
}
