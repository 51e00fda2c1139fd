import { Suspense, memo } from 'react';
import type { PlacedSpace } from '../../core/piece/index.js';
import { useSettledBench } from '../bench/bench.js';
import { INTERIOR_PAGES, shellPage } from './kinds.js';

export { FillMenu } from './fill-menu.js';
export { useMade } from './made-of.js';
export { cards, shellPage } from './kinds.js';
export { begunAs, type Card, type Idea } from './card.js';

/** The worksheet of what a space is filled with; none for shelves and dividers, which are made alike all over the piece. */
export function MakingForm({ space }: { space: PlacedSpace }) {
  const { split, filling } = space.space;
  const kind = filling?.kind ?? split?.making?.kind;
  if (!kind) return null;
  const { Form } = INTERIOR_PAGES.of(kind);
  return (
    Form && (
      <Suspense fallback={null}>
        <Form space={space} />
      </Suspense>
    )
  );
}

/** How the shell of the piece is made, and what is made alike all over its inside. */
export const ShellForm = memo(function ShellForm() {
  const { piece } = useSettledBench();
  const { Form } = shellPage(piece);
  return (
    <Suspense fallback={null}>
      <Form piece={piece} />
      {INTERIOR_PAGES.all.map(({ kind, onPiece }) => onPiece?.inUse(piece) && <onPiece.Form key={kind} />)}
    </Suspense>
  );
});
