import type { Sentence } from '../figure/index.js';
import type { State } from '../carry/index.js';
import type { Bought, PieceEdit } from '../piece/index.js';
import type { BuiltReading, Opening } from '../survey/index.js';

/** How serious a check is: it stops the build, wants a look, or is good to know. */
export type Severity = 'stop' | 'look' | 'good';

/** A change that a check offers: to the piece, to what was decided about its opening, or another reading of what was built. */
export type Change =
  | { readonly target: 'piece'; readonly edit: PieceEdit }
  | { readonly target: 'opening'; readonly id: string; readonly opening: Opening }
  | ({ readonly target: 'built' } & Pick<BuiltReading, 'space' | 'reach' | 'value'>);

export interface Fix {
  readonly label: Sentence;
  readonly change: Change;
}

/** What a check is about, so that it can be selected. */
export type About =
  | { readonly kind: 'piece' }
  | { readonly kind: 'opening' }
  | { readonly kind: 'member'; readonly id: string }
  | { readonly kind: 'space'; readonly id: string };

/** One plain sentence about a piece, with what would mend it. */
export interface Check {
  readonly id: string;
  readonly severity: Severity;
  /** A check that lacks what it needs is not checked; it is never fine. */
  readonly state: State;
  readonly about: About;
  readonly sentence: Sentence;
  readonly fixes: readonly Fix[];
  /** What was found to hold it, as it is bought. */
  readonly takes?: readonly Bought[];
  /** Where it is about how members are held to each other: at the ends of one, along it, or screws that meet. */
  readonly joint?: 'ends' | 'along' | 'screws';
  /** The member that remedies can be tried for; they are worked out when asked for. */
  readonly remedyFor?: string;
}

/**
 * How serious it is that what could break or fall is in a state: it stops the build where it fails.
 * @example severityOf('close') // 'look'
 */
export const severityOf = (state: State): Severity => (state === 'fails' ? 'stop' : state === 'fine' ? 'good' : 'look');

const SEVERITIES: readonly Severity[] = ['stop', 'look', 'good'];
const STATES: readonly State[] = ['fails', 'close', 'not checked', 'fine'];

/** Checks with the worst first; equal ones keep their order. @example worstFirst([]) // [] */
export function worstFirst(checks: readonly Check[]): readonly Check[] {
  const rank = (c: Check) => SEVERITIES.indexOf(c.severity) * 10 + STATES.indexOf(c.state);
  return [...checks].sort((a, b) => rank(a) - rank(b));
}

/** A change to the piece as a fix. @example pieceFix(['Fix it'], { kind: 'piece', patch: {} }).change.target // 'piece' */
export function pieceFix(label: Sentence, edit: PieceEdit): Fix {
  return { label, change: { target: 'piece', edit } };
}
