import { memo, type DragEvent } from 'react';
import { useSettledBench } from '../bench/bench.js';
import { useWaiting } from '../data/waiting.js';
import { Button, Faint, Section } from '../shared/ui.js';
import { line } from '../theme/tokens.js';

/** Things that exist more often than they stand anywhere in this piece. */
export const NotPlaced = memo(function NotPlaced() {
  const waiting = useWaiting().filter((t) => t.waiting > 0);
  const { settled, commit, space: spaceId } = useSettledBench();
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
              <strong>{t.waiting}</strong> {t.data.name}
            </span>
            {target && !target.space.split ? (
              <Button
                data-quiet
                aria-label={`Put ${t.waiting} ${t.data.name} into ${target.label}`}
                onPress={() =>
                  commit(
                    { kind: 'things', space: target.id, things: [...target.space.things, { thing: t.id, count: t.waiting }] },
                    `${t.waiting} ${t.data.name} into ${target.label}`.slice(0, 150),
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
