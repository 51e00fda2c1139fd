import { memo } from 'react';
import { GridList, GridListItem, useDragAndDrop } from 'react-aria-components';
import styled from 'styled-components';
import { GripVertical } from 'lucide-react';
import { useSettledBench } from '../bench/bench.js';
import { useWaiting } from '../data/waiting.js';
import { THING, takeInHand } from '../shared/in-hand.js';
import { Button, Faint, Section } from '../shared/ui.js';
import { line, link } from '../theme/tokens.js';

const Item = styled(GridListItem)`
  display: flex;
  gap: 6px;
  align-items: center;
  padding: 4px 0;
  border-bottom: 1px solid ${line};
  cursor: grab;
  > span,
  > div {
    display: flex;
    gap: 6px;
    align-items: center;
    flex: 1;
  }
  .name {
    flex: 1;
  }
  &[data-focus-visible] {
    outline: 3px solid ${link};
  }
`;

const Grip = styled(Button)`
  padding: 2px;
  min-height: 0;
  cursor: grab;
`;

/** Things that exist more often than they stand anywhere in this piece. */
export const NotPlaced = memo(function NotPlaced() {
  const waiting = useWaiting().filter((t) => t.waiting > 0);
  const { settled, commit, space: spaceId } = useSettledBench();
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) => [...keys].map((key) => ({ [THING]: String(key) })),
    onDragStart: ({ keys: [key] }) => takeInHand(String(key)),
    onDragEnd: () => takeInHand(null),
  });
  const target = settled.shape.spaces.get(spaceId);
  if (waiting.length === 0) return null;
  return (
    <Section>
      <h3>Not placed yet</h3>
      <Faint>Drag one into a space, or put it into the selected one.</Faint>
      <GridList aria-label="Not placed yet" items={waiting} dependencies={[target]} dragAndDropHooks={dragAndDropHooks}>
        {(t) => (
          <Item id={t.id} textValue={t.data.name}>
            <Grip slot="drag" data-quiet aria-label={`Drag ${t.data.name}`}>
              <GripVertical aria-hidden />
            </Grip>
            <span className="name">
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
          </Item>
        )}
      </GridList>
    </Section>
  );
});
