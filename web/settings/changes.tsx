import { useInfiniteQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { nameOfRecord } from '../../core/project/index.js';
import { api, type ToldChange } from '../data/api.js';
import { useEdition } from '../data/history.js';
import { useProject, useSaverState } from '../data/project.js';
import { momentText } from '../shared/clock.js';
import { Fold } from '../shared/fold.js';
import { Button, Faint, Fault, Row, Scroll, Section, Table } from '../shared/ui.js';

const When = styled.td`
  white-space: nowrap;
`;

/** So many the server tells at once. */
const PAGE = 50;

/** What a record is called now; nothing where it is taken out, or where it is the project itself. */
function useNames(): (told: ToldChange) => string {
  const { bench } = useProject();
  return ({ kind: of, recordId }) => {
    // What was found in what is built stands under its piece.
    const kind = of === 'readings' || of === 'made' ? 'pieces' : of;
    const record = Object.entries(bench.records)
      .find(([k]) => k === kind)?.[1]
      .find((r) => r.id === recordId);
    return record ? nameOfRecord(record.data) : '';
  };
}

function List() {
  const { id, saver } = useProject();
  const { waiting } = useSaverState(saver);
  const edition = useEdition();
  const nameOf = useNames();
  const query = useInfiniteQuery({
    queryKey: ['changes', id, edition],
    enabled: waiting === 0,
    queryFn: ({ pageParam }) => api.changes(id, pageParam),
    initialPageParam: null as number | null,
    getNextPageParam: (page) => (page.length < PAGE ? null : (page.at(-1)?.change ?? null)),
    placeholderData: (before) => before,
  });
  const rows = (query.data?.pages ?? []).flat();
  if (query.error) return <Fault role="alert">{query.error.message}</Fault>;
  if (query.isPending) return <Faint role="status">Looking…</Faint>;
  if (rows.length === 0) return <Faint>Nothing was changed yet.</Faint>;
  return (
    <>
      <Scroll>
        <Table>
          <thead>
            <tr>
              <th scope="col">When</th>
              <th scope="col">What</th>
              <th scope="col">Of</th>
              <th scope="col">By</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((told) => (
              <tr key={told.change}>
                <When>{momentText(told.at)}</When>
                <td>
                  {told.undone ? <del>{told.label}</del> : told.label}
                  {told.undone ? <Faint> taken back</Faint> : null}
                </td>
                <td>{nameOf(told)}</td>
                <td>{told.device ?? <Faint>not kept then</Faint>}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Scroll>
      {query.hasNextPage ? (
        <Row>
          <Button onPress={() => void query.fetchNextPage()} isDisabled={query.isFetching}>
            Older changes
          </Button>
        </Row>
      ) : null}
    </>
  );
}

/** What was changed in this project, when, and by which device. */
export function Changes() {
  return (
    <Section aria-label="What was changed">
      <h2>What was changed</h2>
      <Fold summary="Every edit, the latest first, with the device that it came from">{() => <List />}</Fold>
    </Section>
  );
}
