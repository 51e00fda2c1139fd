import styled from 'styled-components';
import { Undo2, X } from 'lucide-react';
import { useProject, useSaverState } from '../data/project.js';
import { ink, inkLine, paper, phone, red, tape, shade } from '../theme/tokens.js';
import { Button } from './ui.js';

const Bar = styled.div<{ $refused: boolean }>`
  position: fixed;
  left: 50%;
  bottom: 16px;
  transform: translateX(-50%);
  z-index: 40;
  display: flex;
  align-items: center;
  gap: 10px;
  max-width: min(720px, 94vw);
  padding: 8px 8px 8px 14px;
  background: ${ink};
  color: ${paper};
  border-left: 5px solid ${(p) => (p.$refused ? red : tape)};
  box-shadow: ${shade};
  font-size: 14px;
  button {
    flex: none;
    background: transparent;
    color: ${paper};
    border-color: ${inkLine};
  }
  button[data-hovered] {
    border-color: ${paper};
  }
  @media ${phone} {
    width: 94vw;
  }
`;

/** So many of the edits that wait are named. */
const NAMED = 3;

/** Edits that wait because the server does not answer: which, that they are kept, and a way to ask at once. */
function AwayBar() {
  const { saver } = useProject();
  const names = saver.names();
  const more = names.length - NAMED;
  return (
    <Bar $refused={false} role="status">
      <span>
        Ruvok’s server does not answer. {names.length === 1 ? 'An edit waits' : `${names.length} edits wait`}:{' '}
        {names.slice(0, NAMED).join('; ')}
        {more > 0 ? ` and ${more} more` : ''}. {names.length === 1 ? 'It is' : 'They are'} kept in this browser, also when it is closed, and
        sent by {names.length === 1 ? 'itself' : 'themselves'}.
      </span>
      <Button onPress={() => saver.tryNow()}>Try now</Button>
    </Bar>
  );
}

/** An edit that the server could not keep by a fault of its own: what it said, that nothing typed is lost, and what can be done. */
function FaultBar({ fault }: { fault: string }) {
  const { saver } = useProject();
  const [first, ...after] = saver.names();
  return (
    <Bar $refused role="alert">
      <span>
        “{first}” could not be kept. {fault} It is kept in this browser
        {after.length > 0 ? `, and so ${after.length === 1 ? 'is the edit' : `are the ${after.length} edits`} after it` : ''}.
      </span>
      <Button onPress={() => saver.tryNow()}>Send it again</Button>
      <Button onPress={() => saver.leaveOut()}>Leave it out</Button>
    </Bar>
  );
}

/** What the saver tells at the foot of the page: what was taken out, with the way back, or why something was refused. */
export function NoticeBar() {
  const { saver } = useProject();
  const { notice, waiting, away, fault } = useSaverState(saver);
  if (away && waiting > 0) return <AwayBar />;
  if (fault !== null && waiting > 0) return <FaultBar fault={fault} />;
  if (!notice) return null;
  const { undo } = notice;
  return (
    <Bar $refused={notice.tone === 'refused'} role={notice.tone === 'refused' ? 'alert' : 'status'}>
      <span>{notice.text}</span>
      {undo ? (
        <Button onPress={() => void saver.walk('undo', undo)}>
          <Undo2 aria-hidden /> Bring it back
        </Button>
      ) : null}
      <Button data-quiet aria-label="Dismiss" onPress={() => saver.say(null)}>
        <X aria-hidden />
      </Button>
    </Bar>
  );
}
