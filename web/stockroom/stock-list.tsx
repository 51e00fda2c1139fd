import { useState } from 'react';
import { FileDown } from 'lucide-react';
import type { ListFault } from '../../core/formats/csv.js';
import { readStock, stockCsv } from '../../core/formats/stock-csv.js';
import type { Stock } from '../../core/stock/index.js';
import { usePrecision } from '../data/project.js';
import { download } from '../shared/download.js';
import { Button, Faint, Fault, Row } from '../shared/ui.js';

/** What is on hand out as CSV and in again. */
export function StockList({ stocks, onRead }: { stocks: readonly Stock[]; onRead: (stocks: readonly Stock[]) => void }) {
  const { unit } = usePrecision();
  const [told, setTold] = useState<{ readonly count: number; readonly faults: readonly ListFault[] } | null>(null);
  const load = async (file: File | undefined) => {
    if (!file) return;
    const { stocks: read, faults } = readStock(await file.text(), unit, stocks);
    setTold({ count: read.length, faults });
    if (read.length > 0) onRead(read);
  };
  return (
    <>
      <Row>
        <Button onPress={() => download('stock.csv', 'text/csv;charset=utf-8', `\ufeff${stockCsv(stocks, unit)}`)}>
          <FileDown aria-hidden /> As CSV
        </Button>
        <label style={{ fontSize: 13 }}>
          Read a list (CSV):{' '}
          <input
            type="file"
            accept=".csv,.tsv,.txt,text/csv"
            style={{ fontSize: 13 }}
            onChange={(e) => {
              void load(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </label>
      </Row>
      {told ? (
        <div role="status" style={{ marginTop: 6 }}>
          <Faint>{told.count === 1 ? '1 stock was read.' : `${told.count} stocks were read.`}</Faint>
          {told.faults.map((f) => (
            <Fault key={`${f.line} ${f.column}`}>
              Line {f.line}
              {f.column ? `, ${f.column}` : ''}: {f.given === '' ? 'nothing is there' : `“${f.given}”`}; accepted: {f.accepted}.
            </Fault>
          ))}
        </div>
      ) : null}
    </>
  );
}
