import styled from 'styled-components';
import { fittingsMoney, isSoldAs, soldAs, type FittingLine } from '../../../core/layout/fittings.js';
import { boughtText } from '../../../core/formats/bought-text.js';
import type { Bought } from '../../../core/piece/index.js';
import type { Hardware } from '../../../core/stock/index.js';
import { newId } from '../../data/defaults.js';
import { usePrecision, useProject } from '../../data/project.js';
import { changeRecordOf } from '../../data/record-of.js';
import { Faint, NumberInput, Table } from '../../shared/ui.js';
import { moneyText } from './words.js';

const Cell = styled.td`
  width: 96px;
  label {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  input {
    width: 84px;
    text-align: right;
  }
`;

const UNIT: Readonly<Record<Bought['each'], string>> = { piece: '', pair: 'pairs', run: 'm', litre: 'l' };

/** Keeps how something is sold: from the line that asks for it, where it is not known yet. */
function useHardware() {
  const { bench, saver } = useProject();
  return (bought: Bought, patch: Partial<Hardware>, label: string) => {
    const all = bench.records.hardware;
    const kept = all.find((h) => isSoldAs(h.data, bought));
    const now = kept?.data ?? soldAs(bought);
    const ids = all.map((h) => h.id);
    const owner = JSON.stringify(now);
    changeRecordOf(
      saver,
      { kind: 'hardware', owner, kept, now, newId: () => newId(now.what, ids), made: `How ${now.what} are sold` },
      { ...now, ...patch },
      label.slice(0, 150),
    );
  };
}

/** What is bought besides wood: how much is needed, what there is, how it is sold and for how much. */
export function FittingsTable({ lines }: { lines: readonly FittingLine[] }) {
  const precision = usePrecision();
  const keep = useHardware();
  const { money, atLeast } = fittingsMoney(lines);
  const number = (line: FittingLine, key: 'onHand' | 'pack' | 'price', label: string, text: string) => {
    const value = line.hardware?.[key];
    return (
      <Cell>
        <NumberInput
          label={`${label} of ${text}`}
          value={value ?? NaN}
          minValue={0}
          maxValue={1e6}
          formatOptions={{ maximumFractionDigits: 2, useGrouping: false }}
          onChange={(n) =>
            Number.isFinite(n) && n !== value && (key !== 'pack' || n > 0) && keep(line.bought, { [key]: n }, `${label}: ${text}`)
          }
        />
      </Cell>
    );
  };
  return (
    <Table aria-label="Besides wood">
      <thead>
        <tr>
          <th className="figure">Needed</th>
          <th>What</th>
          <th className="figure">On hand</th>
          <th className="figure">In one pack</th>
          <th className="figure">Price of a pack</th>
          <th className="figure">Packs</th>
          <th className="figure">In all</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => {
          const [amount, text] = boughtText(line.bought, precision);
          return (
            <tr key={`${amount} ${text}`}>
              <td className="figure">{amount}</td>
              <td>{text}</td>
              {number(line, 'onHand', 'On hand', text)}
              {number(line, 'pack', `In one pack${UNIT[line.bought.each] ? `, ${UNIT[line.bought.each]}` : ''},`, text)}
              {number(line, 'price', 'Price of a pack', text)}
              <td className="figure">{line.packs ?? ''}</td>
              <td className="figure">{line.money === null ? <Faint>no price</Faint> : moneyText(Math.round(line.money * 100) / 100)}</td>
            </tr>
          );
        })}
        <tr>
          <td colSpan={6}>
            <strong>Besides wood{atLeast ? ', at least: a price is missing' : ''}</strong>
          </td>
          <td className="figure">
            <strong>{moneyText(Math.round(money * 100) / 100)}</strong>
          </td>
        </tr>
      </tbody>
    </Table>
  );
}
