import { ArrowRight } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import styled from 'styled-components';
import { useProject } from '../data/project.js';
import { ink, line, tapePale } from '../theme/tokens.js';
import { useSettledBench } from '../bench/bench.js';
import { STATIONS } from './index.js';
import type { Station } from './station.js';
import { Laid } from '../shared/laid.js';

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

/** What comes after a station, in the order of the work. */
export function NextStep({ station }: { station: Station }) {
  const { id } = useProject();
  const { pieceId, settled } = useSettledBench();
  const { search } = useLocation();
  const first = station.first?.(settled);
  if (first)
    return (
      <Laid.p $above={22} $weight={650}>
        {first}
      </Laid.p>
    );
  const next = STATIONS[STATIONS.indexOf(station) + 1];
  return (
    <Step to={next ? { pathname: `/p/${id}/pieces/${pieceId}/${next.id}`, search } : `/p/${id}`}>
      {next?.next ?? 'Back to the shed'} <ArrowRight aria-hidden />
    </Step>
  );
}
