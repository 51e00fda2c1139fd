import { useEffect, useRef, useState } from 'react';
import { StockSelect } from '../shared/stock-select.js';
import { Button, Fault, Grid, Panel, Row, Select } from '../shared/ui.js';
import { woodFor, type FillingWay, type Means } from './means.js';

interface MadeOfProps {
  readonly filling: FillingWay;
  readonly means: Means;
  /** What the button that settles it says. */
  readonly does: string;
  readonly onSettled: (chosen: Means['chosen']) => void;
  readonly onCancel: () => void;
}

/** Fields for what a filling is made of; what is nearest to the usual thickness stands there. */
export function useMade(filling: FillingWay | null, means: Means) {
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({});
  const now = { ...means, chosen };
  const keep = (use: string) => (id: string) => setChosen((before) => ({ ...before, [use]: id }));
  const asks = filling?.asks?.(now) ?? [];
  const woods = (filling?.uses(now) ?? []).map((use) => ({ ...use, stock: woodFor(now, use) }));
  const fields = [
    ...woods.map(({ use, label, stock }) => <StockSelect key={use} label={label} value={stock} onChange={keep(use)} />),
    ...asks.map(({ use, label, value, choices }) => (
      <Select key={use} label={label} value={value} choices={choices} onChange={keep(use)} />
    )),
  ];
  const made: Means['chosen'] = {
    ...Object.fromEntries(woods.map(({ use, stock }) => [use, stock])),
    ...Object.fromEntries(asks.map(({ use, value }) => [use, value])),
  };
  return { fields, made };
}

/** Asks what a filling is made of before it is put in. */
export function MadeOf(props: MadeOfProps) {
  if (props.means.stock.length === 0)
    return <Fault role="alert">There is no stock to make it of; put some into the stockroom first.</Fault>;
  return <Made {...props} />;
}

function Made({ filling, means, does, onSettled, onCancel }: MadeOfProps) {
  const { fields, made } = useMade(filling, means);
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    void panel.current?.scrollIntoView?.({ block: 'nearest' });
  }, []);
  return (
    <Panel ref={panel} role="group" aria-label="What it is made of" $pad={10} $above={8} $most={620}>
      <Grid>{fields}</Grid>
      <Row $above={8}>
        <Button data-main autoFocus onPress={() => onSettled(made)}>
          {does}
        </Button>
        <Button onPress={onCancel}>Cancel</Button>
      </Row>
    </Panel>
  );
}
