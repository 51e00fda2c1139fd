import { readStock, stockCsv } from '../../core/formats/stock-csv.js';
import type { Stock } from '../../core/stock/index.js';
import { usePrecision } from '../data/project.js';
import { CsvList } from './csv-list.js';

/** What is on hand out as CSV and in again. */
export function StockList({ stocks, onRead }: { stocks: readonly Stock[]; onRead: (stocks: readonly Stock[]) => void }) {
  const { unit } = usePrecision();
  const read = (text: string) => {
    const { stocks: changed, faults, understood } = readStock(text, unit, stocks);
    return { count: changed.length, faults, understood, use: () => onRead(changed) };
  };
  return <CsvList file="stock" told={{ one: 'stock', more: 'stocks' }} write={() => stockCsv(stocks, unit)} read={read} />;
}
