import { TASKS, type Asked } from './tasks.js';

/** Does one task on a thread of its own. */
export default function work({ task, given }: Asked): unknown {
  return (TASKS[task] as (...given: readonly unknown[]) => unknown)(...given);
}
