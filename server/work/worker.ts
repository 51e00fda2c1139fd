import type { MessagePort } from 'node:worker_threads';
import { doTask, type Asked, type Told } from './tasks.js';

/** Does one task on a thread of its own, and tells how far it is. */
export default async function work({ task, given, port }: Asked & { readonly port: MessagePort }): Promise<unknown> {
  const told: Told = (done, of) => port.postMessage({ done, of });
  try {
    return await doTask(task, told, given);
  } finally {
    port.close();
  }
}
