import { useCallback, useLayoutEffect, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Length } from '../../core/length/index.js';
import type { PieceEdit } from '../../core/piece/index.js';
import type { TapeLine } from '../../core/solution/index.js';
import { TAPE_START, keyAction, tapeStep, type TapeAction, type TapeContext, type TapeState, type Way } from './tape-state.js';

export interface TapeOptions extends TapeContext {
  readonly way: Way;
  /** The selected space or member; the tape goes to its line. */
  readonly selection: string;
  readonly onSelect: (id: string) => void;
  readonly onDraft: (edit: PieceEdit | null) => void;
  readonly onCommit: (edit: PieceEdit, label: string) => void;
  readonly onRules: (line: TapeLine) => void;
}

export interface TapeHook {
  readonly state: TapeState;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  readonly onFieldKeyDown: (event: KeyboardEvent) => void;
  readonly focus: (index: number) => void;
  readonly open: (index: number) => void;
  readonly change: (text: string) => void;
  readonly leave: () => void;
  readonly drag: (index: number, at: Length) => void;
  readonly drop: () => void;
}

/** The state of one tape, apart from how it looks. */
export function useTape(options: TapeOptions): TapeHook {
  const [state, setState] = useState<TapeState>(TAPE_START);
  const latest = useRef({ options, state });
  useLayoutEffect(() => {
    latest.current = { options, state };
  });

  const act = useCallback((action: TapeAction) => {
    const { options: now, state: before } = latest.current;
    const { state: after, effects } = tapeStep(before, action, now);
    latest.current.state = after;
    setState(after);
    for (const effect of effects) {
      if (effect.kind === 'select') now.onSelect(effect.id);
      else if (effect.kind === 'draft') now.onDraft(effect.edit);
      else if (effect.kind === 'commit') now.onCommit(effect.edit, effect.label);
      else now.onRules(effect.line);
    }
  }, []);

  const { lines, selection } = options;
  useEffect(() => {
    const { state: before } = latest.current;
    // Several lines may select the same, such as a drawer and what is free round it: the tape stays where it is among them.
    const stays = lines[before.focus]?.selects === selection;
    const index = stays ? before.focus : lines.findIndex((l) => l.selects === selection);
    const kept = Math.min(before.focus, Math.max(0, lines.length - 1));
    const next = index >= 0 && before.mode.kind === 'walk' ? index : kept;
    if (next !== before.focus) setState({ ...before, focus: next });
  }, [lines, selection]);

  const onKeyDown = (event: KeyboardEvent) => {
    if (event.altKey || event.metaKey) return;
    if (event.ctrlKey && !event.key.startsWith('Arrow')) return;
    const action = keyAction(event.key, options.way, event.shiftKey, event.ctrlKey);
    if (!action) return;
    event.preventDefault();
    event.stopPropagation();
    act(action);
  };
  const onFieldKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== 'Escape') return;
    event.preventDefault();
    event.stopPropagation();
    act({ kind: event.key === 'Enter' ? 'enter' : 'escape' });
  };
  return {
    state,
    onKeyDown,
    onFieldKeyDown,
    focus: (index) => act({ kind: 'focus', index }),
    open: (index) => {
      act({ kind: 'focus', index });
      act({ kind: 'type' });
    },
    change: (text) => act({ kind: 'change', text }),
    leave: () => act({ kind: 'leave' }),
    drag: (index, at) => act({ kind: 'drag', index, at }),
    drop: () => act({ kind: 'drop' }),
  };
}
