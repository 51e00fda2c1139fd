import { hardwareCsv, readHardware } from '../../core/formats/hardware-csv.js';
import { inShop, soldBy } from '../../core/formats/sold-by.js';
import { isSameHardware } from '../../core/stock/index.js';
import { formatLength } from '../../core/length/index.js';
import type { Hardware } from '../../core/stock/index.js';
import { newId } from '../data/defaults.js';
import { useMoney, usePrecision, useProject } from '../data/project.js';
import { TakeOut } from '../shared/take-out.js';
import { Faint, Row, Section, Table } from '../shared/ui.js';
import { CsvList } from './csv-list.js';

/** Screws, edging, finish and the like as they are sold: entered where they are asked for, listed here. */
export function HardwareList() {
  const { bench, saver } = useProject();
  const precision = usePrecision();
  const inMoney = useMoney();
  const all = bench.records.hardware;
  const read = (text: string) => {
    const { hardware, faults, understood } = readHardware(
      text,
      precision.unit,
      all.map((h) => h.data),
    );
    return { count: hardware.length, faults, understood, use: () => keep(hardware) };
  };
  const keep = (hardware: readonly Hardware[]) => {
    const ids = all.map((h) => h.id);
    for (const one of hardware) {
      const there = all.find((h) => isSameHardware(h.data, one));
      const label = `Read ${one.what} from a list`.slice(0, 150);
      if (there) saver.save('hardware', there.id, one, label, there.data);
      else {
        const id = newId(one.what, ids);
        ids.push(id);
        void saver.create('hardware', id, one, label);
      }
    }
  };
  return (
    <Section aria-label="Hardware, edging and finish">
      <h2>Hardware, edging and finish</h2>
      <Faint>
        How each is sold, for how much, and what there is, is entered where a piece asks for it: at Stock, under What to buy; or read from a
        list.
      </Faint>
      <Row>
        <CsvList
          file="hardware"
          told={{ one: 'line', more: 'lines of hardware' }}
          write={() =>
            hardwareCsv(
              all.map((h) => h.data),
              precision.unit,
            )
          }
          read={read}
        />
      </Row>
      {all.length > 0 ? (
        <Table aria-label="Hardware" $above={8}>
          <thead>
            <tr>
              <th>What</th>
              <th className="figure">In one pack</th>
              <th className="figure">Price</th>
              <th className="figure">On hand</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {all.map(({ id, data: h }) => (
              <tr key={id}>
                <td>
                  {h.what}
                  {h.length === undefined ? '' : `, ${formatLength(h.length, precision)} ${precision.unit}`}
                </td>
                <td className="figure">
                  {inShop(h.pack, h.each, precision.unit)} {soldBy(h.each, precision.unit).short}
                </td>
                <td className="figure">{h.price === undefined ? '' : inMoney(h.price)}</td>
                <td className="figure">
                  {inShop(h.onHand ?? 0, h.each, precision.unit)} {soldBy(h.each, precision.unit).short}
                </td>
                <td>
                  <TakeOut name={h.what} onPress={() => void saver.remove('hardware', id)} />
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      ) : null}
    </Section>
  );
}
