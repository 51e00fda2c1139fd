import styled from 'styled-components';
import { fittingsMoney, isSoldAs, soldAs, type FittingLine } from '../../../core/layout/fittings.js';
import { boughtText } from '../../../core/formats/bought-text.js';
import { soldBy } from '../../../core/formats/sold-by.js';
import type { Bought } from '../../../core/piece/index.js';
import type { Hardware } from '../../../core/stock/index.js';
import { newId } from '../../data/defaults.js';
import { useMoney, usePrecision, useProject } from '../../data/project.js';
import { changeRecordOf } from '../../data/record-of.js';
import { Faint, NumberInput, Table } from '../../shared/ui.js';

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

/** Keeps how something is sold: from the line that asks for it, where it is not known yet. */
function useHardware() {
  const { bench, saver } = useProject();
  return (bought: Bought, patch: Partial<Hardware>, label: string) => {
    const all = bench.records.hardware;
    const kept = all.find((h) => isSoldAs(h.data, bought));
    const now = kept?.data ?? soldAs(bought, bench.project.settings.unit);
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
  const inMoney = useMoney();
  const precision = usePrecision();
  const keep = useHardware();
  const { money, atLeast } = fittingsMoney(lines);
  const number = (line: FittingLine, key: 'onHand' | 'pack' | 'price', label: string, text: string) => {
    const { each } = line.bought;
    // A price is of a pack; amounts are in what the shop counts by.
    const times = key === 'price' ? 1 : soldBy(each, precision.unit).times;
    const own = line.hardware?.[key];
    const value = own === undefined ? undefined : Math.round(own * times * 100) / 100;
    return (
      <Cell>
        <NumberInput
          label={`${label} of ${text}`}
          value={value ?? NaN}
          minValue={0}
          maxValue={1e6}
          formatOptions={{ maximumFractionDigits: 2, useGrouping: false }}
          onChange={(n) =>
            Number.isFinite(n) && n !== value && (key !== 'pack' || n > 0) && keep(line.bought, { [key]: n / times }, `${label}: ${text}`)
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
          const { short } = soldBy(line.bought.each, precision.unit);
          return (
            <tr key={`${amount} ${text}`}>
              <td className="figure">{amount}</td>
              <td>{text}</td>
              {number(line, 'onHand', 'On hand', text)}
              {number(line, 'pack', `In one pack${short ? `, ${short}` : ''},`, text)}
              {number(line, 'price', 'Price of a pack', text)}
              <td className="figure">{line.packs ?? ''}</td>
              <td className="figure">{line.money === null ? <Faint>no price</Faint> : inMoney(line.money)}</td>
            </tr>
          );
        })}
        <tr>
          <td colSpan={6}>
            <strong>Besides wood{atLeast ? ', at least: a price is missing' : ''}</strong>
          </td>
          <td className="figure">
            <strong>{inMoney(money)}</strong>
          </td>
        </tr>
      </tbody>
    </Table>
  );
}
