import { ArrowRight } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import styled from 'styled-components';
import { useProject } from '../data/project.js';
import { ink, line, tapePale } from '../theme/tokens.js';
import { useSettledBench } from './bench.js';
import type { Station } from './stations.js';

const Step = styled(Link)`
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  margin-top: 22px;
  padding: 9px 12px;
  border: 1px solid ${line};
  color: ${ink};
  font-weight: 650;
  text-decoration: none;
  &:hover {
    background: ${tapePale};
    border-color: ${ink};
  }
  svg {
    width: 16px;
    flex: none;
  }
  @media print {
    display: none;
  }
`;

const NEXT: Readonly<Record<Station, { readonly station: Station | null; readonly says: string }>> = {
  measure: { station: 'divide', says: 'Next: divide it into spaces' },
  divide: { station: 'carry', says: 'Next: see what it carries' },
  carry: { station: 'parts', says: 'Next: the list of parts' },
  parts: { station: null, says: 'Back to the shed' },
};

/** What comes after a station, in the order of the work. */
export function NextStep({ station }: { station: Station }) {
  const { id } = useProject();
  const { pieceId, settled, piece } = useSettledBench();
  const { search } = useLocation();
  const next = NEXT[station];
  const blank = settled.shape.assumed.some((reach) => piece[reach].from === 'opening');
  if (station === 'measure' && blank) {
    return <p style={{ marginTop: 22, fontWeight: 650 }}>First: hold the tape at each place on the drawing and type what it says.</p>;
  }
  const to = next.station ? { pathname: `/p/${id}/pieces/${pieceId}/${next.station}`, search } : `/p/${id}`;
  return (
    <Step to={to}>
      {next.says} <ArrowRight aria-hidden />
    </Step>
  );
}
