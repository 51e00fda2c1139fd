import styled from 'styled-components';
import { Undo2, X } from 'lucide-react';
import { useProject, useSaverState } from '../data/project.js';
import { ink, inkLine, paper, phone, red, tape } from '../theme/tokens.js';
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
  box-shadow: 0 6px 20px rgb(0 0 0 / 18%);
  font-size: 14px;
  button {
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

/** What the saver tells at the foot of the page: what was taken out, with the way back, or why something was refused. */
export function NoticeBar() {
  const { saver } = useProject();
  const { notice } = useSaverState(saver);
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
