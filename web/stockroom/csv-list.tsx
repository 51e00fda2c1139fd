import { useState } from 'react';
import { FileDown } from 'lucide-react';
import type { ListFault } from '../../core/formats/csv.js';
import type { Understood } from '../../core/formats/list-table.js';
import { download } from '../shared/download.js';
import { Button, Faint, Row } from '../shared/ui.js';
import { UnderstoodList } from '../shared/understood.js';
import { Laid } from '../shared/laid.js';

/** What a list says, before it is used. */
export interface CsvRead {
  readonly count: number;
  readonly faults: readonly ListFault[];
  readonly understood: Understood;
  readonly use: () => void;
}

/** A list out as CSV and in again: it is told how it is understood before anything of it is used. */
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
  read: (text: string) => CsvRead;
}) {
  const [given, setGiven] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const found = given === null ? null : read(given);
  const counted = (count: number) => (count === 1 ? `1 ${one}` : `${count} ${more}`);
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
              const [list] = e.target.files ?? [];
              e.target.value = '';
              setDone(null);
              if (list) void list.text().then(setGiven);
            }}
          />
        </Laid.label>
      </Row>
      {found ? (
        <Laid.div role="group" aria-label="What the list says" $above={6}>
          <UnderstoodList understood={found.understood} faults={found.faults} />
          <Row $above={8}>
            <Button
              data-main
              isDisabled={found.count === 0}
              onPress={() => {
                found.use();
                setGiven(null);
                setDone(`${counted(found.count)} ${found.count === 1 ? 'was' : 'were'} read.`);
              }}
            >
              Take {counted(found.count)}
            </Button>
            <Button onPress={() => setGiven(null)}>Cancel</Button>
          </Row>
        </Laid.div>
      ) : null}
      {done ? (
        <Laid.div role="status" $above={6}>
          <Faint>{done}</Faint>
        </Laid.div>
      ) : null}
    </>
  );
}
