import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { projectFileSchema, type KeptPiece } from '../../core/formats/project-file.js';
import type { Piece } from '../../core/piece/index.js';
import { compare, solve } from '../../core/solution/index.js';
import { usePrecision, useProject, useSaverState } from '../data/project.js';
import type { Trouble } from '../data/told.js';
import { pathText } from '../../core/sense/index.js';
import { differencesOf, isLengthAt, valueText } from './differences.js';
import { LengthText } from './length-text.js';
import { Button, Faint, Row } from './ui.js';
import { ink, paper, veil } from '../theme/tokens.js';

const Title = styled(Heading)`
  font-size: 19px;
  margin-top: 0;
`;

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: ${veil};
  display: grid;
  place-items: center;
  z-index: 50;
`;

const Sheet = styled(Modal)`
  background: ${paper};
  border: 1px solid ${ink};
  max-width: min(640px, 94vw);
  max-height: 86vh;
  overflow: auto;
  padding: 20px 22px;
  table {
    width: 100%;
    margin: 10px 0;
    font-size: 13px;
  }
  th {
    text-align: left;
  }
  td,
  th {
    padding: 3px 8px 3px 0;
  }
`;

/** What differs between two versions of a piece: the sizes that follow from each. */
function PieceDifference({ id, mine, theirs }: { id: string; mine: Piece; theirs: KeptPiece }) {
  const workshop = useProject().workshopOf(id);
  const precision = usePrecision();
  const moved = compare(solve(theirs.piece, workshop, theirs.letters), solve(mine, workshop, theirs.letters));
  if (moved.length === 0) return <p>Both give the same sizes; they differ in names, things or how parts are fixed.</p>;
  return (
    <table>
      <thead>
        <tr>
          <th>Size</th>
          <th>Stored now</th>
          <th>Yours</th>
        </tr>
      </thead>
      <tbody>
        {moved.slice(0, 10).map((m) => (
          <tr key={`${m.kind}${m.id}${m.what}`}>
            <td>
              {m.label} <Faint>{m.what}</Faint>
            </td>
            <td>{m.before === null ? 'not there' : <LengthText value={m.before} precision={precision} />}</td>
            <td>{m.after === null ? 'not there' : <LengthText value={m.after} precision={precision} />}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** So many fields are shown. */
const SHOWN = 12;

/** What differs between two versions of any record: field by field, as it is stored now and as the edit would have it. */
function FieldDifference({ trouble }: { trouble: Trouble }) {
  const precision = usePrecision();
  const { kind, id, yours } = trouble;
  const stored = trouble.error.problem.current?.data;
  const differing = differencesOf(stored, yours);
  const schema = projectFileSchema().properties[kind] as Parameters<typeof isLengthAt>[0];
  const write = (value: unknown, path: readonly string[]) => valueText(value, isLengthAt(schema, [id, ...path]), precision);
  return (
    <table aria-label="What differs">
      <thead>
        <tr>
          <th>Field</th>
          <th>Stored now</th>
          <th>Yours</th>
        </tr>
      </thead>
      <tbody>
        {differing.slice(0, SHOWN).map(({ path, theirs, mine }) => (
          <tr key={path.join('/')}>
            <td>{pathText(path)}</td>
            <td>{write(theirs, path)}</td>
            <td>{write(mine, path)}</td>
          </tr>
        ))}
        {differing.length > SHOWN ? (
          <tr>
            <td colSpan={3}>and {differing.length - SHOWN} more</td>
          </tr>
        ) : null}
      </tbody>
    </table>
  );
}

/** An edit that lost a race or could not be kept: both are shown, and the person chooses. */
export function TroubleDialog() {
  const { saver } = useProject();
  const { trouble } = useSaverState(saver);
  if (!trouble) return null;
  const { error } = trouble;
  const raced = error.lostRace;
  return (
    <Veil isOpen isDismissable={false} isKeyboardDismissDisabled>
      <Sheet>
        <Dialog role="alertdialog">
          <Title slot="title">{raced ? 'Changed in two places' : 'Not saved'}</Title>
          <p>{error.problem.detail}</p>
          {error.problem.errors?.map((e) => (
            <p key={e.path}>
              {e.path}: {e.message}. Accepted: {e.accepted}
            </p>
          ))}
          <p>
            Your edit: <strong>{trouble.label}</strong>
          </p>
          {raced && trouble.kind === 'pieces' ? (
            <PieceDifference id={trouble.id} mine={trouble.yours as Piece} theirs={error.problem.current?.data as KeptPiece} />
          ) : null}
          {raced && trouble.kind !== 'pieces' ? <FieldDifference trouble={trouble} /> : null}
          {raced ? <Faint>Keeping yours changes only what you changed: what else was changed there stays.</Faint> : null}
          <Row $above={14}>
            <Button data-main autoFocus onPress={() => saver.resolve('mine')}>
              {raced ? 'Keep mine' : 'Try again'}
            </Button>
            <Button onPress={() => saver.resolve('theirs')}>{raced ? 'Take what is stored' : 'Give the edit up'}</Button>
          </Row>
        </Dialog>
      </Sheet>
    </Veil>
  );
}
