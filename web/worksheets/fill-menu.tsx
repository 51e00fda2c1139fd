import { useState } from 'react';
import type { PieceEdit, PlacedSpace, Making, Space } from '../../core/piece/index.js';
import { useSettledBench } from '../bench/bench.js';
import { newNodesFor } from '../bench/nodes.js';
import { usePrecision, useProject } from '../data/project.js';
import { Fault, Select, type Choice } from '../shared/ui.js';
import { MadeOf } from './made-of.js';
import { usualBoards, usualCells, usualDrawers, usualSlats, type Filling, type Means } from './usual.js';

const FILLINGS: readonly Choice<Filling>[] = [
  { id: 'drawers', label: 'Drawers' },
  { id: 'pigeon-holes', label: 'Pigeon-holes, half-lapped boards' },
  { id: 'rack', label: 'A rack of equal cells' },
  { id: 'lanes', label: 'Boards on edge: lanes, compartments' },
  { id: 'slats', label: 'A deck of slats' },
];

/** How many parts a filling is begun with. */
function countFor(filling: Filling, means: Means, making: Making): { parts: number; members: number } {
  const { height, depth } = means.clear;
  if (filling === 'drawers') {
    const each = means.unit === 'mm' ? 12_000_000 : 12_192_000;
    const parts = Math.max(1, Math.min(8, Math.floor(height / each)));
    return { parts, members: parts - 1 };
  }
  if (making.kind === 'slats') {
    const slats = Math.max(3, Math.floor(depth / (making.wide * 1.5)));
    return { parts: slats - 1, members: slats - 2 };
  }
  return { parts: 2, members: 1 };
}

/**
 * The edit that fills an open space.
 * @throws Error when something it is made of is not on hand
 */
export function fillEdit(piece: Parameters<typeof newNodesFor>[0], space: string, filling: Filling, means: Means): PieceEdit {
  if (filling === 'pigeon-holes' || filling === 'rack') {
    return { kind: 'fill', space, cells: usualCells(means, filling === 'rack' ? 'ladders' : 'half-lapped') };
  }
  const making = filling === 'drawers' ? usualDrawers(means) : filling === 'lanes' ? usualBoards(means) : usualSlats(means);
  const { parts, members } = countFor(filling, means, making);
  const { newMembers, newSpaces } = newNodesFor(piece, Math.max(members, parts));
  const spaces = newSpaces.slice(0, parts).map((id): Space => ({ id, rule: { kind: 'share', weight: 1 }, things: [] }));
  return {
    kind: 'fill',
    space,
    split: { axis: filling === 'drawers' ? 'up' : 'deep', making, members: newMembers.slice(0, members).map((id) => ({ id })), spaces },
  };
}

/** Fills an open space with drawers, cells, boards or slats. */
export function FillMenu({ space }: { space: PlacedSpace }) {
  const { piece, commit, select } = useSettledBench();
  const { bench } = useProject();
  const { unit } = usePrecision();
  const [problem, setProblem] = useState<string | null>(null);
  const [wanted, setWanted] = useState<Filling | null>(null);
  const { stock, slides, things } = bench.records;
  const { width, height, depth } = space.clear;
  const means: Means = { unit, stock, slides, things, clear: { width: width.value, height: height.value, depth: depth.value } };
  const fill = (filling: Filling, chosen: Means['chosen']) => {
    setWanted(null);
    try {
      const edit = fillEdit(piece, space.id, filling, { ...means, chosen });
      commit(edit, `Filled ${space.label}`.slice(0, 150));
      if (edit.kind === 'fill') select(edit.split?.spaces.at(-1)?.id ?? space.id);
      setProblem(null);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <div style={{ marginTop: 8 }}>
      <Select label="Or fill it with" value={wanted} placeholder="Choose what" choices={FILLINGS} onChange={setWanted} />
      {wanted ? (
        <MadeOf
          key={wanted}
          filling={wanted}
          means={means}
          does="Fill it"
          onSettled={(chosen) => fill(wanted, chosen)}
          onCancel={() => setWanted(null)}
        />
      ) : null}
      {problem ? <Fault role="alert">{problem}</Fault> : null}
    </div>
  );
}
