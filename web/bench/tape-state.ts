import { readLength, type Length, type Precision, fromUnits } from '../../core/length/index.js';
import type { GapRule } from '../../core/run/index.js';
import type { PieceEdit } from '../../core/piece/index.js';
import type { TapeAxis, TapeLine } from '../../core/solution/index.js';
import { entryText } from '../shared/length-field.js';

/** What a tape is doing: being walked along, typed on, or having a member moved. */
export type TapeMode =
  | { readonly kind: 'walk' }
  | {
      readonly kind: 'type';
      readonly text: string;
      /** What stood there first. */ readonly from: string;
      readonly problem: string | null;
      readonly echo: string | null;
    }
  | { readonly kind: 'move'; readonly at: Length };

export interface TapeState {
  readonly focus: number;
  readonly mode: TapeMode;
}

/** What a tape stands on: its lines, how lengths are written, and the step a member is moved by. */
export interface TapeContext {
  readonly axis: TapeAxis;
  readonly lines: readonly TapeLine[];
  readonly precision: Precision;
  /** Names for the nodes that an added member needs. */
  readonly freshIds: () => { readonly member: string; readonly first: string; readonly beyond: string };
}

/** What a tape asks of the bench. */
export type TapeEffect =
  | { readonly kind: 'select'; readonly id: string }
  | { readonly kind: 'draft'; readonly edit: PieceEdit | null }
  | { readonly kind: 'commit'; readonly edit: PieceEdit; readonly label: string }
  | { readonly kind: 'rules'; readonly line: TapeLine };

/** What a person does to a tape. */
export type TapeAction =
  | { readonly kind: 'focus'; readonly index: number }
  | { readonly kind: 'step'; readonly by: 1 | -1 }
  | { readonly kind: 'edge'; readonly end: 'first' | 'last' }
  | { readonly kind: 'type'; readonly text?: string }
  | { readonly kind: 'change'; readonly text: string }
  | { readonly kind: 'enter' }
  | { readonly kind: 'escape' }
  | { readonly kind: 'leave' }
  | { readonly kind: 'nudge'; readonly steps: number }
  | { readonly kind: 'drag'; readonly index: number; readonly at: Length }
  | { readonly kind: 'drop' }
  | { readonly kind: 'add' }
  | { readonly kind: 'remove' }
  | { readonly kind: 'rules' };

export interface TapeStep {
  readonly state: TapeState;
  readonly effects: readonly TapeEffect[];
}

const WALK: TapeMode = { kind: 'walk' };

export const TAPE_START: TapeState = { focus: 0, mode: WALK };

function sizeEdit(line: TapeLine, size: Length): PieceEdit | null {
  if (line.kind !== 'gap' || line.node === undefined) return null;
  return { kind: 'rule', space: line.node, rule: { kind: 'fixed', size } };
}

function pinEdit(line: TapeLine, at: Length): PieceEdit | null {
  return line.kind === 'wood' && line.node !== undefined ? { kind: 'pin', member: line.node, at } : null;
}

/** Whether a line can be typed on: a gap that a run decides, or a member that can be held at a place. */
export function canType(line: TapeLine | undefined): boolean {
  return line?.node !== undefined;
}

function typed(line: TapeLine, text: string, from: string, { precision }: TapeContext): { mode: TapeMode; edit: PieceEdit | null } {
  const reading = readLength(text, { unit: precision.unit });
  if (!reading.ok)
    return {
      mode: { kind: 'type', text, from, problem: `${reading.problem.message}. Accepted: ${reading.problem.accepted}`, echo: null },
      edit: null,
    };
  const edit = line.kind === 'gap' ? sizeEdit(line, reading.length) : pinEdit(line, reading.length);
  return { mode: { kind: 'type', text, from, problem: null, echo: reading.echo }, edit };
}

/** What a label says of a gap's or a member's change, as undo will name it. */
function labelFor(line: TapeLine, edit: PieceEdit): string {
  return edit.kind === 'pin' ? `Moved ${line.label}` : `Sized ${line.label}`;
}

function commit(state: TapeState, line: TapeLine | undefined, context: TapeContext): TapeStep {
  const { mode } = state;
  const walking = { ...state, mode: WALK };
  if (!line || mode.kind === 'walk') return { state: walking, effects: [] };
  if (mode.kind === 'move') {
    const edit = pinEdit(line, mode.at);
    return { state: walking, effects: edit ? [{ kind: 'commit', edit, label: labelFor(line, edit) }] : [{ kind: 'draft', edit: null }] };
  }
  if (mode.text === mode.from) return { state: walking, effects: [{ kind: 'draft', edit: null }] };
  const { edit, mode: next } = typed(line, mode.text, mode.from, context);
  if (!edit) return { state: { ...state, mode: next }, effects: [] };
  return { state: walking, effects: [{ kind: 'commit', edit, label: labelFor(line, edit) }] };
}

/** What stands in the field when a line is opened: the size of a gap, the place of a member. */
export function startText(line: TapeLine, { precision }: TapeContext): string {
  return entryText(line.kind === 'gap' ? line.size.value : line.near.value, precision);
}

function moveTo(state: TapeState, index: number, context: TapeContext): TapeStep {
  const line = context.lines[index];
  if (!line) return { state, effects: [] };
  const left = state.mode.kind === 'move' ? commit(state, context.lines[state.focus], context).effects : [];
  return { state: { focus: index, mode: WALK }, effects: [...left, { kind: 'select', id: line.selects }] };
}

function shift(state: TapeState, line: TapeLine, at: Length): TapeStep {
  const edit = pinEdit(line, at);
  if (!edit || at <= 0) return { state, effects: [] };
  return { state: { ...state, mode: { kind: 'move', at } }, effects: [{ kind: 'draft', edit }] };
}

function add(state: TapeState, context: TapeContext): TapeStep {
  const line = context.lines[state.focus];
  const gap = line?.kind === 'gap' ? line : context.lines.slice(0, state.focus).findLast((l) => l.kind === 'gap');
  const { member, first, beyond } = context.freshIds();
  if (gap?.splits && context.axis !== 'deep') {
    const edit: PieceEdit = { kind: 'split', space: gap.splits, axis: context.axis, members: [member], spaces: [first, beyond] };
    return { state: { ...state, mode: WALK }, effects: [{ kind: 'commit', edit, label: `Divided ${gap.label}` }] };
  }
  if (!gap?.node) return { state, effects: [] };
  return {
    state: { ...state, mode: WALK },
    effects: [{ kind: 'commit', edit: { kind: 'add', space: gap.node, member, beyond }, label: `Divided ${gap.label}` }],
  };
}

function remove(state: TapeState, context: TapeContext): TapeStep {
  const line = context.lines[state.focus];
  if (line?.node === undefined || (line.kind === 'gap' && !line.part)) return { state, effects: [] };
  const edit: PieceEdit = line.kind === 'wood' ? { kind: 'drop', member: line.node } : { kind: 'drop-part', space: line.node };
  // What was selected goes away, so the line before it is selected in its place.
  const before = context.lines.slice(0, state.focus).findLast((l) => l.selects !== line.selects);
  const selects: TapeEffect[] = before ? [{ kind: 'select', id: before.selects }] : [];
  return {
    state: { focus: Math.max(0, state.focus - 1), mode: WALK },
    effects: [{ kind: 'commit', edit, label: `Took out ${line.label}` }, ...selects],
  };
}

/**
 * One step of a tape: what it does next and what it asks of the bench. Pure, so that the
 * whole behaviour is tested without a picture.
 */
export function tapeStep(state: TapeState, action: TapeAction, context: TapeContext): TapeStep {
  const { lines } = context;
  const line = lines[state.focus];
  const stay: TapeStep = { state, effects: [] };
  switch (action.kind) {
    case 'focus':
      return action.index === state.focus && state.mode.kind === 'walk'
        ? { state, effects: line ? [{ kind: 'select', id: line.selects }] : [] }
        : moveTo(state, action.index, context);
    case 'step':
      return moveTo(state, Math.min(Math.max(state.focus + action.by, 0), lines.length - 1), context);
    case 'edge':
      return moveTo(state, action.end === 'first' ? 0 : lines.length - 1, context);
    case 'type': {
      if (!line || !canType(line)) return stay;
      const from = startText(line, context);
      if (action.text === undefined)
        return { state: { ...state, mode: { kind: 'type', text: from, from, problem: null, echo: null } }, effects: [] };
      const { mode, edit } = typed(line, action.text, from, context);
      return { state: { ...state, mode }, effects: [{ kind: 'draft', edit }] };
    }
    case 'change': {
      if (!line || state.mode.kind !== 'type') return stay;
      const { mode, edit } = typed(line, action.text, state.mode.from, context);
      return { state: { ...state, mode }, effects: [{ kind: 'draft', edit }] };
    }
    case 'enter':
      return state.mode.kind === 'walk' ? tapeStep(state, { kind: 'type' }, context) : commit(state, line, context);
    case 'escape':
      return { state: { ...state, mode: WALK }, effects: [{ kind: 'draft', edit: null }] };
    case 'leave': {
      const left = commit(state, line, context);
      const refused = left.state.mode.kind === 'type';
      return { state: { ...left.state, mode: WALK }, effects: refused ? [{ kind: 'draft', edit: null }] : left.effects };
    }
    case 'nudge': {
      if (!line) return stay;
      const from = state.mode.kind === 'move' ? state.mode.at : line.near.value;
      return shift(state, line, fromUnits(from + action.steps * context.precision.step));
    }
    case 'drag': {
      const dragged = lines[action.index];
      if (!dragged) return stay;
      const snapped = fromUnits(Math.round(action.at / context.precision.step) * context.precision.step);
      return shift({ ...state, focus: action.index }, dragged, snapped);
    }
    case 'drop':
      return commit(state, line, context);
    case 'add':
      return add(state, context);
    case 'remove':
      return remove(state, context);
    case 'rules':
      return line?.kind === 'gap' && line.node !== undefined ? { state, effects: [{ kind: 'rules', line }] } : stay;
  }
}

/** Which way a tape runs on the page from its datum. */
export type Way = 'up' | 'down' | 'across';

const ARROWS: Readonly<Record<Way, readonly [forward: string, backward: string]>> = {
  up: ['ArrowUp', 'ArrowDown'],
  down: ['ArrowDown', 'ArrowUp'],
  across: ['ArrowRight', 'ArrowLeft'],
};

/** The action of a key on a tape that lies so; null for a key that is not the tape's. */
export function keyAction(key: string, way: Way, shiftKey: boolean, fast: boolean): TapeAction | null {
  const [forward, backward] = ARROWS[way];
  const stride = fast ? 10 : 1;
  if (key === forward) return shiftKey ? { kind: 'nudge', steps: stride } : { kind: 'step', by: 1 };
  if (key === backward) return shiftKey ? { kind: 'nudge', steps: -stride } : { kind: 'step', by: -1 };
  if (key === 'Home') return { kind: 'edge', end: 'first' };
  if (key === 'End') return { kind: 'edge', end: 'last' };
  if (key === 'Enter') return { kind: 'enter' };
  if (key === 'Escape') return { kind: 'escape' };
  if (key === 'Delete' || key === 'Backspace') return { kind: 'remove' };
  if (key === '+' || key === 'Insert') return { kind: 'add' };
  if (key.toLowerCase() === 'r') return { kind: 'rules' };
  if (/^[\d.]$/.test(key)) return { kind: 'type', text: key };
  return null;
}

const RULE_NAMES: Readonly<Record<GapRule['kind'], string>> = {
  fixed: 'fixed',
  fit: 'fits',
  share: 'share',
  graded: 'graded',
  grid: 'on a pitch',
};

/** What decides a gap, in a word. */
export function ruleName(line: TapeLine): string {
  if (line.kind === 'wood') return line.held === 'pinned' ? 'held' : line.held === 'aligned' ? 'in line' : '';
  return line.rule ? RULE_NAMES[line.rule.kind] : '';
}
