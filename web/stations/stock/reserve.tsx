import type { Sums } from '../../../core/layout/sums.js';
import { Button, Faint, Row } from '../../shared/ui.js';
import { areSame, onHandUsed } from './edits.js';
import { useCutting, type StockToCut } from './use-cutting.js';
import { counted } from './words.js';

/** What layouts take of what is on hand, kept for this, so that nothing else is laid out on it meanwhile. */
export function Reserve({ laid }: { laid: readonly { readonly stock: StockToCut; readonly sums: Sums }[] }) {
  const { cutting, stocks, change } = useCutting();
  const { reserved = [] } = cutting;
  const wanted = onHandUsed(laid.map(({ stock, sums }) => ({ id: stock.id, sums })));
  const names = reserved.map(({ stock: id, sheet, count }) => {
    const stock = stocks.find((s) => s.id === id);
    const source = stock?.asked.sources.find((s) => s.sheet.id === sheet);
    if (!stock || !source) return `${count} of what is there no more`;
    return source.from === 'offcut' ? source.name : `${counted(count, stock.stock.form)} of ${stock.stock.name}`;
  });
  if (wanted.length === 0 && reserved.length === 0) return null;
  const isSo = areSame(reserved, wanted);
  // Before every stock is laid out it is not known what all of them take.
  const isWhole = laid.length === stocks.length;
  return (
    <section aria-label="Reserved">
      {reserved.length > 0 ? <p>Reserved for this: {names.join(', ')}.</p> : null}
      <Row>
        {!isSo && wanted.length > 0 ? (
          <Button isDisabled={!isWhole} onPress={() => change({ reserved: wanted }, 'Reserved what is on hand')}>
            {reserved.length > 0 ? 'Reserve what it takes now' : 'Reserve what is on hand'}
          </Button>
        ) : null}
        {reserved.length > 0 ? <Button onPress={() => change({ reserved: [] }, 'Let go of what was reserved')}>Let it go</Button> : null}
      </Row>
      {reserved.length > 0 && !isSo && isWhole ? <Faint>The layout takes something else by now.</Faint> : null}
    </section>
  );
}
