import { useState } from 'react';
import { FileDown } from 'lucide-react';
import type { ListFault } from '../../core/formats/csv.js';
import { download } from '../shared/download.js';
import { Button, Faint, Fault, Row } from '../shared/ui.js';
import { Laid } from '../shared/laid.js';

/** A list out as CSV and in again. */
export function CsvList({
  file,
  told: { one, more },
  write,
  read,
}: {
  /** What the file is called, without its ending. */
  file: string;
  /** What one of what it lists is called, and several. */
  told: { readonly one: string; readonly more: string };
  write: () => string;
  /** Takes what a text says, and tells how many and what could not be read. */
  read: (text: string) => { readonly count: number; readonly faults: readonly ListFault[] };
}) {
  const [last, setLast] = useState<ReturnType<typeof read> | null>(null);
  return (
    <>
      <Row>
        <Button aria-label={`${more} as CSV`} onPress={() => download(`${file}.csv`, 'text/csv;charset=utf-8', `\ufeff${write()}`)}>
          <FileDown aria-hidden /> As CSV
        </Button>
        <Laid.label $size={13}>
          Read a list (CSV):{' '}
          <Laid.input
            type="file"
            aria-label={`Read a list of ${more} (CSV)`}
            accept=".csv,.tsv,.txt,text/csv"
            $size={13}
            onChange={(e) => {
              const [given] = e.target.files ?? [];
              e.target.value = '';
              if (given) void given.text().then((text) => setLast(read(text)));
            }}
          />
        </Laid.label>
      </Row>
      {last ? (
        <Laid.div role="status" $above={6}>
          <Faint>{last.count === 1 ? `1 ${one} was read.` : `${last.count} ${more} were read.`}</Faint>
          {last.faults.map((f) => (
            <Fault key={`${f.line} ${f.column}`}>
              Line {f.line}
              {f.column ? `, ${f.column}` : ''}: {f.given === '' ? 'nothing is there' : `“${f.given}”`}; accepted: {f.accepted}.
            </Fault>
          ))}
        </Laid.div>
      ) : null}
    </>
  );
}
