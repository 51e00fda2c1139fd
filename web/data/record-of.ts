import type { Kind, Versioned } from './api.js';
import type { Saver } from './saver.js';
import type { Sent } from './told.js';

/** Records that are being made, by what they belong to: what is changed meanwhile is changed in them. */
const beingMade = new Map<string, string>();

/** A record of which something has at most one, which is made when something is first decided about it. */
export interface RecordOf<K extends Kind> {
  readonly kind: K;
  /** What it belongs to. */
  readonly owner: string;
  readonly kept: Versioned<Sent<K>> | undefined;
  /** As it is before anything is decided. */
  readonly now: Sent<K>;
  readonly newId: () => string;
  /** What making it is called. */
  readonly made: string;
}

/** Changes such a record, and makes it first where there is none: as it was, so that the first choice can be taken back too. */
export function changeRecordOf<K extends Kind>(saver: Saver, of: RecordOf<K>, data: Sent<K>, label: string): void {
  const { kind, owner, kept, now } = of;
  if (kept) return saver.save(kind, kept.id, data, label, now);
  const key = `${kind} ${owner}`;
  const making = beingMade.get(key);
  const id = making ?? of.newId();
  if (making === undefined) {
    beingMade.set(key, id);
    void saver
      .create(kind, id, now, of.made.slice(0, 150))
      .catch((e: Error) => saver.say({ tone: 'refused', text: e.message }))
      .finally(() => beingMade.delete(key));
  }
  // Sent right behind it, so that it waits with it where the server is away.
  saver.save(kind, id, data, label, now);
}
