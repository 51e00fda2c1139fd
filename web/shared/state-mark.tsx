import { CircleAlert, CircleCheck, CircleHelp, TriangleAlert } from 'lucide-react';
import type { State } from '../../core/carry/index.js';
import type { Severity } from '../../core/checks/index.js';
import { amber, green, inkSoft, red, redPale } from '../theme/tokens.js';

/** A shape of its own for each state, never colour alone. */
export function StateMark({ state, severity, size = 18 }: { state: State; severity?: Severity; size?: number }) {
  const props = { size, 'aria-hidden': true, style: { flex: 'none' } } as const;
  if (state === 'not checked') return <CircleHelp {...props} color={inkSoft} />;
  if (severity === 'good' || (state === 'fine' && severity === undefined)) return <CircleCheck {...props} color={green} />;
  if (severity === 'stop' || (severity === undefined && state === 'fails')) return <TriangleAlert {...props} color={red} fill={redPale} />;
  return <CircleAlert {...props} color={amber} />;
}

/** The word for a check's weight, for those who cannot see its shape. */
export function severityWord(severity: Severity, state: State): string {
  if (state === 'not checked') return 'Not checked';
  return severity === 'stop' ? 'Stops the build' : severity === 'look' ? 'Look at this' : 'Fine';
}
