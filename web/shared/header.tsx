import { memo } from 'react';
import { Link, useLocation } from 'react-router';
import styled from 'styled-components';
import { Eye, Redo2, Undo2 } from 'lucide-react';
import { PRECISIONS, UNIT_NAMES, fromUnits } from '../../core/length/index.js';
import type { useHistory } from '../data/history.js';
import { otherUnit, useProject, useSaverState } from '../data/project.js';
import { Button, Select } from './ui.js';
import { edge, ink, inkLine, inkPale, inkSoft, onInk, paper, phone, red, tape } from '../theme/tokens.js';
import { Laid } from './laid.js';

const Status = styled.span`
  font-size: 12px;
  min-width: 44px;
  white-space: nowrap;
  opacity: 0.8;
`;

const Bar = styled.header`
  display: flex;
  align-items: stretch;
  gap: 12px;
  background: ${ink};
  color: ${paper};
  min-height: 52px;
  padding: 0 16px;
  a {
    color: inherit;
    text-decoration: none;
  }
  :focus-visible {
    outline-color: ${tape};
    outline-offset: -3px;
  }
  @media ${phone} {
    flex-wrap: wrap;
    padding: 6px 8px 0;
    gap: 4px;
  }
  @media print {
    display: none;
  }
`;

const Brand = styled(Link)`
  display: flex;
  align-items: center;
  gap: 10px;
  font-weight: 750;
  font-size: 18px;
  font-stretch: 108%;
  &::before {
    content: '';
    width: 9px;
    height: 24px;
    background: ${tape};
  }
`;

const Crumbs = styled.nav`
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: 13px;
  white-space: nowrap;
  min-width: 0;
  max-width: 250px;
  overflow: hidden;
  > * {
    overflow: hidden;
    text-overflow: ellipsis;
  }
  a {
    opacity: 0.85;
  }
  a:hover {
    text-decoration: underline;
  }
`;

const Stations = styled.nav`
  display: flex;
  flex: 1;
  a {
    display: flex;
    align-items: center;
    gap: 7px;
    padding: 0 14px;
    border-left: 1px solid ${inkPale};
    font-weight: 600;
    min-height: 44px;
  }
  a small {
    font-size: 11px;
    color: ${onInk};
    font-weight: 500;
  }
  a[aria-current] {
    background: ${paper};
    color: ${ink};
  }
  a[aria-current] small {
    color: ${inkSoft};
  }
  @media ${phone} {
    order: 3;
    flex-basis: 100%;
    flex-wrap: wrap;
    a {
      flex: 1;
      padding: 0 6px;
      justify-content: center;
    }
    a small {
      display: none;
    }
  }
`;

const Badge = styled.span<{ $stop: boolean }>`
  background: ${(p) => (p.$stop ? red : tape)};
  color: ${(p) => (p.$stop ? 'white' : ink)};
  border-radius: 8px;
  padding: 0 7px;
  font-size: 12px;
  font-weight: 700;
`;

const Tools = styled.div`
  display: flex;
  align-items: center;
  gap: 6px;
  margin-left: auto;
  button {
    background: transparent;
    color: ${paper};
    border-color: ${inkLine};
  }
  button[data-hovered] {
    border-color: ${paper};
  }
  button[data-disabled] {
    color: ${edge};
  }
  button[aria-pressed='true'] {
    background: ${paper};
    color: ${ink};
  }
`;

export interface HeaderPiece {
  readonly id: string;
  readonly name: string;
  /** The station one is at, and all there are. */
  readonly station: string;
  readonly stations: readonly {
    readonly id: string;
    readonly label: string;
    readonly badge: { readonly text: string; readonly stops: boolean; readonly says: string } | null;
  }[];
}

/** The finest step that is written here, and a glance at the other unit for as long as it is held. */
const UnitTools = memo(function UnitTools() {
  const { bench, precision, setStep, glance } = useProject();
  const { unit } = bench.project.settings;
  const other = otherUnit(unit);
  return (
    <>
      <Button
        aria-label={`Hold to see ${UNIT_NAMES[other]}`}
        onPressStart={() => glance(true)}
        onPressEnd={() => glance(false)}
        aria-pressed={precision.unit === other}
      >
        <Eye aria-hidden /> {other}
      </Button>
      <Laid.div $width={112}>
        <Select
          label="Written to the nearest"
          hideLabel
          value={`${precision.step}`}
          choices={PRECISIONS[precision.unit].map((s) => ({ id: `${s.step}`, label: `to ${s.name} ${precision.unit}` }))}
          onChange={(step) => setStep(fromUnits(Number(step)))}
        />
      </Laid.div>
    </>
  );
});

/** The bar along the top: where one is, the stations of a piece, undo, and units. */
export const Header = memo(function Header({ piece, history }: { piece?: HeaderPiece; history?: ReturnType<typeof useHistory> }) {
  const { id, bench, saver } = useProject();
  const { waiting, away, fault } = useSaverState(saver);
  const { search, pathname } = useLocation();
  const links = [
    ['', 'Shed'],
    ['/stock', 'Stockroom'],
    ['/things', 'Things'],
    ['/people', 'People'],
    ['/handbook', 'Handbook'],
    ['/settings', 'Settings'],
  ] as const;
  return (
    <Bar>
      <Brand to="/">Ruvok</Brand>
      <Crumbs aria-label="Where you are">
        <Link to={`/p/${id}`}>{bench.project.name}</Link>
        {piece ? (
          <>
            <span>/</span>
            <span title={piece.name}>{piece.name}</span>
          </>
        ) : null}
      </Crumbs>
      <Stations aria-label={piece ? 'Stations' : 'Pages'}>
        {piece
          ? piece.stations.map(({ id: station, label, badge }, i) => (
              <Link
                key={station}
                to={{ pathname: `/p/${id}/pieces/${piece.id}/${station}`, search }}
                aria-current={piece.station === station ? 'page' : undefined}
                aria-keyshortcuts={`Alt+${i + 1}`}
              >
                <small>{i + 1}</small>
                {label}
                {badge ? (
                  <Badge $stop={badge.stops} aria-label={badge.says}>
                    {badge.text}
                  </Badge>
                ) : null}
              </Link>
            ))
          : links.map(([path, label]) => (
              <Link key={path} to={`/p/${id}${path}`} aria-current={pathname === `/p/${id}${path}` ? 'page' : undefined}>
                {label}
              </Link>
            ))}
      </Stations>
      <Tools>
        <Status role="status">{waiting > 0 ? (away || fault !== null ? `${waiting} waiting` : 'Saving') : ''}</Status>
        {history ? (
          <>
            <Button
              isDisabled={history.next.undo === null}
              onPress={history.undo}
              aria-label={history.next.undo ? `Undo: ${history.next.undo}` : 'Nothing to undo'}
            >
              <Undo2 aria-hidden />
            </Button>
            <Button
              isDisabled={history.next.redo === null}
              onPress={history.redo}
              aria-label={history.next.redo ? `Redo: ${history.next.redo}` : 'Nothing to redo'}
            >
              <Redo2 aria-hidden />
            </Button>
          </>
        ) : null}
        <UnitTools />
      </Tools>
    </Bar>
  );
});
