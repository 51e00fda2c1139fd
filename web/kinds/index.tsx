import { Suspense, memo } from 'react';
import type { PlacedSpace } from '../../core/piece/index.js';
import { useSettledBench } from '../bench/bench.js';
import { INTERIOR_PAGES, shellPage } from './kinds.js';

export { FillMenu } from './fill-menu.js';
export { MadeOf } from './made-of.js';
export { cards, shellPage } from './kinds.js';
export type { Card } from './card.js';

/** The worksheet of what a space is filled with; none for shelves and dividers, which the piece itself makes. */
export function MakingForm({ space }: { space: PlacedSpace }) {
  const { split, filling } = space.space;
  const kind = filling?.kind ?? split?.making?.kind;
  if (!kind) return null;
  const { Form } = INTERIOR_PAGES.of(kind);
  return (
    <Suspense fallback={null}>
      <Form space={space} />
    </Suspense>
  );
}

/** How the shell of the piece is made. */
export const ShellForm = memo(function ShellForm() {
  const { piece } = useSettledBench();
  const { Form } = shellPage(piece);
  return (
    <Suspense fallback={null}>
      <Form piece={piece} />
    </Suspense>
  );
});
