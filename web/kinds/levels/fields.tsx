import type { ReactNode } from 'react';

import styled from 'styled-components';
import type { Level } from '../../../core/interiors/index.js';
import { materialOf } from '../../../core/stock/index.js';
import { ZERO, inch, mm, type Length } from '../../../core/length/index.js';
import { usePrecision, useProject } from '../../data/project.js';
import { LengthField } from '../../shared/length-field.js';
import { StockSelect } from '../../shared/stock-select.js';
import { NumberInput, Select, Tick, WideTick } from '../../shared/ui.js';
import { without } from '../../shared/without.js';
import { inkSoft } from '../../theme/tokens.js';

const SIDES = [
  ['front', 'Front'],
  ['rear', 'Rear'],
  ['left', 'Left'],
  ['right', 'Right'],
] as const;

const Sides = styled.div`
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  > span {
    flex-basis: 100%;
    font-size: 12px;
    color: ${inkSoft};
  }
`;

interface LevelFieldsProps<P> {
  readonly level: Level;
  /** The patch that makes it another one. */
  readonly as: (level: Level) => P;
  readonly fields: {
    readonly change: (patch: P, label: string) => void;
    readonly length: (label: string, value: Length, patch: (value: Length) => P, zero?: boolean) => ReactNode;
  };
  /** What its labels begin with, so that no two forms say the same. */
  readonly of: string;
}

type Deck = NonNullable<Level['deck']>;
const slatsOf = (deck: Deck) => deck.slats as NonNullable<Deck['slats']>;

/** The rails and the deck of a level. */
export function LevelFields<P>({ level, as, fields: { change, length }, of }: LevelFieldsProps<P>) {
  const precision = usePrecision();
  const { unit } = precision;
  const { bench } = useProject();
  const { rails, deck, cross, splice } = level;
  const withRails = (patch: Partial<Level['rails']>) => as({ ...level, rails: { ...rails, ...patch } });
  const lay = (flat: boolean) => as({ ...level, rails: flat ? { ...rails, flat } : without(rails, 'flat') });
  const put = (to: 'none' | 'round' | 'over' | 'slatted') => {
    const stock = deck?.stock ?? bench.records.stock.find((s) => s.data.form === 'sheet')?.id ?? rails.stock;
    const gap = deck?.gap ?? (unit === 'mm' ? mm(1) : inch(1 / 32));
    const slats = deck?.slats ?? { wide: unit === 'mm' ? mm(95) : inch(3.75), count: 9 };
    const next = to === 'slatted' ? { stock, goes: 'over' as const, gap, slats } : { stock, goes: to as 'round' | 'over', gap };
    change(as(to === 'none' ? without(level, 'deck') : { ...level, deck: next }), 'Changed the deck');
  };
  return (
    <>
      <StockSelect label={`${of} rails of`} value={rails.stock} onChange={(stock) => change(withRails({ stock }), 'Changed the rails')} />
      {length(`${of} rails wide`, rails.wide, (wide) => withRails({ wide }))}
      <Select
        label={`${of} rails lie`}
        value={rails.flat ? 'flat' : 'edge'}
        choices={[
          { id: 'edge', label: 'On edge' },
          { id: 'flat', label: 'Flat' },
        ]}
        onChange={(id) => change(lay(id === 'flat'), 'Turned the rails')}
      />
      <Select
        label={`${of} deck`}
        value={deck?.slats ? 'slatted' : (deck?.goes ?? 'none')}
        choices={[
          { id: 'none', label: 'None' },
          { id: 'round', label: 'Round the posts' },
          { id: 'over', label: 'Over the posts' },
          { id: 'slatted', label: 'Slats over the posts' },
        ]}
        onChange={put}
      />
      {deck ? (
        <>
          <StockSelect
            label={`${of} deck of`}
            value={deck.stock}
            onChange={(stock) => change(as({ ...level, deck: { ...deck, stock } }), 'Changed the deck')}
          />
          <WideTick
            isSelected={deck.slides ?? false}
            onChange={(on) =>
              change(as({ ...level, deck: on ? { ...deck, slides: true } : without(deck, 'slides') }), 'Changed how the deck is held')
            }
          >
            {`${of} deck held so that it may move`}
          </WideTick>
          {deck.slats ? (
            <>
              {length(`${of} slats wide`, deck.slats.wide, (wide) =>
                as({ ...level, deck: { ...deck, slats: { ...slatsOf(deck), wide } } }),
              )}
              {length(
                `${of} slats cut long by`,
                deck.slats.trim ?? ZERO,
                (trim) => as({ ...level, deck: { ...deck, slats: { ...slatsOf(deck), trim } } }),
                true,
              )}
              <NumberInput
                label={`${of} slats`}
                value={deck.slats.count}
                minValue={2}
                maxValue={100}
                onChange={(count) =>
                  Number.isFinite(count) &&
                  change(as({ ...level, deck: { ...deck, slats: { ...slatsOf(deck), count } } }), 'Changed how many slats there are')
                }
              />
            </>
          ) : null}
          {deck.goes === 'round'
            ? length(`${of} notches larger by`, deck.gap, (gap) => as({ ...level, deck: { ...deck, gap } }), true)
            : null}
          {deck.goes === 'round' ? (
            <LengthField
              label={`${of} deck deep, less than its frame`}
              optional
              value={deck.wide ?? null}
              precision={precision}
              onCommit={(wide) =>
                change(as({ ...level, deck: wide === null ? without(deck, 'wide') : { ...deck, wide } }), 'Changed the deck')
              }
            />
          ) : null}
        </>
      ) : null}
      <Sides role="group" aria-label={`${of} rails at`}>
        <span>Rails at</span>
        {SIDES.map(([side, label]) => (
          <Tick
            key={side}
            isSelected={rails[side]}
            onChange={(on) => change(withRails({ [side]: on }), `${on ? 'Put' : 'Left out'} a rail`)}
          >
            {label}
          </Tick>
        ))}
      </Sides>
      <WideTick
        isSelected={cross !== undefined}
        onChange={(on) =>
          change(
            as(on ? { ...level, cross: { most: unit === 'mm' ? mm(550) : inch(22) } } : without(level, 'cross')),
            'Changed the cross pieces',
          )
        }
      >
        {`Cross pieces under the ${of.toLowerCase()} deck`}
      </WideTick>
      <WideTick
        isSelected={level.corners !== undefined}
        onChange={(on) =>
          change(as(on ? { ...level, corners: { stock: rails.stock } } : without(level, 'corners')), 'Changed the corner blocks')
        }
      >
        {`Blocks in the corners of the ${of.toLowerCase()} rails`}
      </WideTick>
      {level.corners ? (
        <StockSelect
          label={`${of} corner blocks of`}
          value={level.corners.stock}
          onChange={(stock) => change(as({ ...level, corners: { stock } }), 'Changed the corner blocks')}
        />
      ) : null}
      <WideTick
        isSelected={rails.bar !== undefined}
        onChange={(on) => {
          const stock = bench.records.stock.find((s) => materialOf(s.data.material)?.form === 'metal')?.id ?? rails.stock;
          const bar = { stock, high: unit === 'mm' ? mm(30) : inch(1.25) };
          change(on ? withRails({ bar }) : as({ ...level, rails: without(rails, 'bar') }), 'Changed the bars');
        }}
      >
        {`Bars along the ${of.toLowerCase()} rails, to stiffen them`}
      </WideTick>
      {rails.bar ? (
        <>
          <StockSelect
            label={`${of} bars of`}
            value={rails.bar.stock}
            onChange={(stock) => change(withRails({ bar: { ...(rails.bar as NonNullable<typeof rails.bar>), stock } }), 'Changed the bars')}
          />
          {length(`${of} bars high`, rails.bar.high, (high) =>
            withRails({ bar: { ...(rails.bar as NonNullable<typeof rails.bar>), high } }),
          )}
        </>
      ) : null}
      <WideTick
        isSelected={splice !== undefined}
        onChange={(on) =>
          change(
            as(
              on
                ? { ...level, splice: { stock: deck?.stock ?? rails.stock, long: unit === 'mm' ? mm(240) : inch(10) } }
                : without(level, 'splice'),
            ),
            'Changed the splice plates',
          )
        }
      >
        {`Plates over seams of the ${of.toLowerCase()} rails`}
      </WideTick>
      {splice ? (
        <>
          <StockSelect
            label={`${of} splice plates of`}
            value={splice.stock}
            onChange={(stock) => change(as({ ...level, splice: { ...splice, stock } }), 'Changed the splice plates')}
          />
          {length(`${of} splice plates long`, splice.long, (long) => as({ ...level, splice: { ...splice, long } }))}
        </>
      ) : null}
      {cross ? length(`${of} cross pieces, at most apart`, cross.most, (most) => as({ ...level, cross: { most } })) : null}
    </>
  );
}
