import { memo, type DragEvent } from 'react';
import type { PlacedSpace } from '../../core/piece/index.js';
import { useSettledBench } from '../bench/bench.js';
import { useProject } from '../data/project.js';
import { Button, Faint, Section } from '../shared/ui.js';
import { line } from '../theme/tokens.js';

/** Things that exist more often than they stand anywhere in this piece. */
export const NotPlaced = memo(function NotPlaced() {
  const { bench } = useProject();
  const { settled, commit, space: spaceId } = useSettledBench();
  const placed = new Map<string, number>();
  for (const record of bench.records.pieces) {
    const visit = (space: PlacedSpace['space']): void => {
      space.things.forEach((t) => placed.set(t.thing, (placed.get(t.thing) ?? 0) + t.count));
      space.split?.spaces.forEach(visit);
    };
    visit(record.data.piece.interior);
  }
  const waiting = bench.records.things.map((t) => ({ ...t, left: t.data.count - (placed.get(t.id) ?? 0) })).filter((t) => t.left > 0);
  const target = settled.shape.spaces.get(spaceId);
  if (waiting.length === 0) return null;
  return (
    <Section>
      <h3>Not placed yet</h3>
      <Faint>Drag one into a space, or put it into the selected one.</Faint>
      <ul>
        {waiting.map((t) => (
          <li
            key={t.id}
            draggable
            onDragStart={(e: DragEvent) => e.dataTransfer.setData('text/ruvok-thing', t.id)}
            style={{
              display: 'flex',
              justifyContent: 'space-between',
              alignItems: 'center',
              padding: '4px 0',
              cursor: 'grab',
              borderBottom: `1px solid ${line}`,
            }}
          >
            <span>
              <strong>{t.left}</strong> {t.data.name}
            </span>
            {target && !target.space.split ? (
              <Button
                data-quiet
                aria-label={`Put ${t.left} ${t.data.name} into ${target.label}`}
                onPress={() =>
                  commit(
                    { kind: 'things', space: target.id, things: [...target.space.things, { thing: t.id, count: t.left }] },
                    `${t.left} ${t.data.name} into ${target.label}`.slice(0, 150),
                  )
                }
              >
                Put here
              </Button>
            ) : null}
          </li>
        ))}
      </ul>
    </Section>
  );
});
