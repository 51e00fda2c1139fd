import { useMemo, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { Source } from '../../core/figure/index.js';
import { useSettledBench } from '../bench/bench.js';
import { LeadsProvider, focusField, type LeadsTo } from '../shared/leads.js';
import { STATIONS } from './index.js';

/** The screens of the records that figures come from. */
const SCREENS = { stock: 'stock', slide: 'stock', thing: 'things' } as const;

/** What has to be selected for the field of a source to be there; what is selected now where it is on the worksheet anyway. */
function selectedFor(source: Source, nodes: ReadonlyMap<string, string>, now: string): string {
  if (source.in === 'space') return source.id;
  return source.in === 'member' ? (nodes.get(source.id) ?? now) : now;
}

/** Lets figures lead to the fields that they come from: on the station that has them, or on the screen of the record. */
export function Leading({ children }: { children: ReactNode }) {
  const { project = '', piece = '' } = useParams();
  const { settled, selection } = useSettledBench();
  const navigate = useNavigate();
  const leads = useMemo<LeadsTo>(() => {
    const nodes = new Map(settled.shape.members.map((m) => [m.node, m.id]));
    return (source) => {
      const station = STATIONS.find((s) => s.holds?.(source));
      if (station) {
        const at = encodeURIComponent(selectedFor(source, nodes, selection));
        return () => {
          void navigate(`/p/${project}/pieces/${piece}/${station.id}?at=${at}`);
          focusField(source);
        };
      }
      const screen = SCREENS[source.in as keyof typeof SCREENS];
      if (!screen || !('id' in source)) return null;
      return () => {
        void navigate(`/p/${project}/${screen}?open=${encodeURIComponent(source.id)}`);
        focusField(source);
      };
    };
  }, [settled, selection, navigate, project, piece]);
  return <LeadsProvider value={leads}>{children}</LeadsProvider>;
}
