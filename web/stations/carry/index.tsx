import { standsWithJoints } from '../../../core/checks/index.js';
import type { Solution } from '../../../core/solution/index.js';
import { fetched } from '../../shared/boundary.js';
import { inPose } from './in-pose.js';
import type { Badge, Station } from '../station.js';

/** How many members fail, or are not checked: a member that fails and one whose ends do not hold are each one. */
function badge({ carried, checks }: Solution): Badge | null {
  const failing = [...carried.members.values()].map((c) => standsWithJoints(checks, c)).filter((c) => c.state === 'fails');
  const stops = failing.some((c) => c.severity === 'stop');
  if (failing.length > 0) {
    const says = stops ? `${failing.length} that do not hold or are past the limit` : `${failing.length} past the limit`;
    return { text: `${failing.length}`, stops, says };
  }
  const unjudged = checks.filter((c) => c.state === 'not checked').length;
  return unjudged > 0 ? { text: '?', stops: false, says: `${unjudged} not checked` } : null;
}

export const carry: Station = {
  id: 'carry',
  label: 'Carry',
  badge,
  shows: 'The drawing',
  next: 'Next: see what it carries',
  Sheet: inPose(fetched(() => import('./sheet.js').then((m) => m.CarrySheet))),
  Stage: inPose(fetched(() => import('../drawing-middle.js').then((m) => m.CarriedMiddle))),
  Answers: inPose(fetched(() => import('./answers.js').then((m) => m.CarryAnswers))),
};
