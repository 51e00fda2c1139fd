import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import type { Change } from '../../core/checks/index.js';
import { findMember, type Piece, type PieceEdit } from '../../core/piece/index.js';
import { EditError, applyEdit } from '../../core/kinds/index.js';
import type { Workshop } from '../../core/project/index.js';
import { compare, solve, tapeThrough, type Moved, type Solution } from '../../core/solution/index.js';
import { readAgain, type BuiltReading, type Opening } from '../../core/survey/index.js';
import { newId } from '../data/defaults.js';
import { useProject, useRecord } from '../data/project.js';
import { useWorkshop } from './use-workshop.js';
import { rebaseEdit } from './rebase-edit.js';
import { useSelection } from './selection.js';

/** What is tried but not committed: an edit while it is typed or dragged, or (`look`) a fix that is looked at. */
export type Draft =
  | { readonly kind: 'edit'; readonly edit: PieceEdit; readonly look?: boolean }
  | { readonly kind: 'opening'; readonly id: string; readonly opening: Opening; readonly look?: boolean }
  | { readonly kind: 'built'; readonly read: Read; readonly look?: boolean }
  | null;

/** A reading of what was built: null where the plan counts again. */
export type Read = Pick<BuiltReading, 'space' | 'reach' | 'value'>;

/** The piece on the bench, solved, with its one selection and the ways to change it. */
export interface BenchValue {
  readonly pieceId: string;
  readonly piece: Piece;
  readonly workshop: Workshop;
  /** Of the draft while there is one. */
  readonly solution: Solution;
  /** Of what is committed. */
  readonly settled: Solution;
  readonly draft: Draft;
  readonly setDraft: (draft: Draft) => void;
  readonly commit: (edit: PieceEdit, label: string) => void;
  readonly commitOpening: (id: string, opening: Opening, label: string) => void;
  /** Adds what the tape found in a space once the piece stood there. */
  readonly addReading: (reading: Read) => void;
  readonly applyChange: (change: Change, label: string) => void;
  /** What the last committed edit moved, until it is looked at. */
  readonly moved: readonly Moved[];
  readonly lookedAt: () => void;
  /** A space or a member. */
  readonly selection: string;
  readonly select: (id: string) => void;
  /** The space that the tapes and sections go through. */
  readonly space: string;
}

const BenchContext = createContext<BenchValue | null>(null);

/** What of the bench stays the same while something is typed or dragged. */
export type SettledBench = Omit<BenchValue, 'solution' | 'draft' | 'moved' | 'lookedAt'>;

const SettledContext = createContext<SettledBench | null>(null);

/** The settled part of the bench, for large forms that must not be drawn anew on every keystroke. */
export function useSettledBench(): SettledBench {
  const value = useContext(SettledContext);
  if (!value) throw new Error('useSettledBench is used without a piece');
  return value;
}

/** The piece on the bench. */
export function useBench(): BenchValue {
  const value = useContext(BenchContext);
  if (!value) throw new Error('useBench is used without a piece');
  return value;
}

const read = (workshop: Workshop, reading: Read): Workshop => ({ ...workshop, built: readAgain(workshop.built ?? new Map(), reading) });

function solveDraft(piece: Piece, workshop: Workshop, settled: Solution, draft: Draft): Solution {
  if (!draft) return settled;
  if (draft.kind === 'opening') {
    return solve(piece, { ...workshop, openings: new Map(workshop.openings).set(draft.id, draft.opening) }, settled.letters);
  }
  if (draft.kind === 'built') return solve(piece, read(workshop, draft.read), settled.letters);
  try {
    return solve(applyEdit(piece, draft.edit), workshop, settled.letters);
  } catch (error) {
    // A fix that is looked at may name what an edit has just taken out: the piece stays as it is.
    if (error instanceof EditError) return settled;
    throw error;
  }
}

/** The first space that can hold something, from the datum up. */
function firstSpace(solution: Solution): string {
  for (const space of solution.shape.spaces.values()) if (!space.space.split) return space.id;
  return solution.piece.interior.id;
}

/** Whether a selected member lies on one of the tapes through a space, or belongs to the case. */
function goesWith(solution: Solution, space: string, member: string): boolean {
  if (!solution.shape.spaces.has(space)) return false;
  const found = solution.shape.members.find((m) => m.id === member);
  const dividing =
    found !== undefined && findMember(solution.piece.interior, found.node) !== undefined && found.role !== 'board' && found.role !== 'slat';
  return (
    !dividing || (['up', 'across'] as const).some((axis) => tapeThrough(solution, space, axis).lines.some((l) => l.selects === member))
  );
}

/** The space that goes with a selection: itself, the last one while the selected member is on its tapes, or one beside the member. */
function spaceFor(solution: Solution, selection: string, last: string): string {
  if (solution.shape.spaces.has(selection)) return selection;
  const own = solution.shape.members.find((m) => m.id === selection)?.node;
  if (own !== undefined && solution.shape.spaces.get(own)?.insets) return own;
  if (goesWith(solution, last, selection)) return last;
  for (const space of solution.shape.spaces.values()) {
    if (!space.space.split && Object.values(space.neighbours).includes(selection)) return space.id;
  }
  return firstSpace(solution);
}

export function BenchProvider({ pieceId, children }: { pieceId: string; children: ReactNode }) {
  const { bench, saver } = useProject();
  const kept = bench.records.pieces.find((p) => p.id === pieceId)?.data;
  if (!kept) throw new Error(`there is no piece ${pieceId}`);
  const { piece, letters } = kept;
  const workshop = useWorkshop(pieceId, piece);
  const settled = useMemo(() => solve(piece, workshop, letters), [piece, workshop, letters]);
  const [draft, setDraft] = useState<Draft>(null);
  const [before, setBefore] = useState<Solution | null>(null);
  // It follows the record: what is taken back has moved nothing.
  const moved = useMemo(() => (before === null || before === settled ? [] : compare(before, settled)), [before, settled]);
  const solution = useMemo(() => solveDraft(piece, workshop, settled, draft), [piece, workshop, settled, draft]);
  const [selection, select] = useSelection(firstSpace(settled));
  const [lastSpace, setLastSpace] = useState('');
  const space = spaceFor(solution, selection, lastSpace);
  if (space !== lastSpace) setLastSpace(space);

  const commit = useCallback(
    (edit: PieceEdit, label: string) => {
      setDraft(null);
      // Another edit may have been made since this one's form was drawn: it is applied to what there is now.
      const now = saver.latest('pieces', pieceId)?.piece ?? piece;
      try {
        const next = applyEdit(now, rebaseEdit(edit, piece, now));
        setBefore(settled);
        saver.save('pieces', pieceId, next, label);
      } catch (error) {
        saver.say({ tone: 'refused', text: `“${label}” was not done, and nothing was changed: ${(error as Error).message}.` });
      }
    },
    [piece, settled, saver, pieceId],
  );
  const commitOpening = useCallback(
    (id: string, opening: Opening, label: string) => {
      setDraft(null);
      setBefore(settled);
      saver.save('openings', id, opening, label, workshop.openings.get(id));
    },
    [settled, workshop, saver],
  );
  const addReading = useCallback(
    (reading: Read) => {
      setDraft(null);
      setBefore(settled);
      const taken = bench.readings.map((r) => r.id);
      void saver.read(newId(`${reading.space} ${reading.reach}`, taken), {
        piece: pieceId,
        space: reading.space,
        reach: reading.reach,
        value: reading.value,
        at: new Date().toISOString(),
      });
    },
    [bench, settled, saver, pieceId],
  );
  const applyChange = useCallback(
    (change: Change, label: string) => {
      if (change.target === 'piece') commit(change.edit, label);
      else if (change.target === 'opening') commitOpening(change.id, change.opening, label);
      else addReading(change);
    },
    [commit, commitOpening, addReading],
  );
  const still = useMemo<SettledBench>(
    () => ({ pieceId, piece, workshop, settled, setDraft, commit, commitOpening, addReading, applyChange, selection, select, space }),
    [pieceId, piece, workshop, settled, commit, commitOpening, addReading, applyChange, selection, select, space],
  );
  const lookedAt = useCallback(() => setBefore(null), []);
  const value = useMemo<BenchValue>(() => ({ ...still, solution, draft, moved, lookedAt }), [still, solution, draft, moved, lookedAt]);
  return (
    <SettledContext.Provider value={still}>
      <BenchContext.Provider value={value}>{children}</BenchContext.Provider>
    </SettledContext.Provider>
  );
}

/** The bench with the piece in another pose, for what asks only what follows from it. */
export function PosedBench({ posed, children }: { posed: Solution; children: ReactNode }) {
  const value = useBench();
  const settled = useSettledBench();
  const still = useMemo<SettledBench>(() => ({ ...settled, settled: posed }), [settled, posed]);
  const whole = useMemo<BenchValue>(() => ({ ...value, settled: posed, solution: posed }), [value, posed]);
  return (
    <SettledContext.Provider value={still}>
      <BenchContext.Provider value={whole}>{children}</BenchContext.Provider>
    </SettledContext.Provider>
  );
}

/** The opening of the piece on the bench, with its id. */
export function useOpening(): { readonly id: string; readonly opening: Opening } | null {
  const { piece } = useBench();
  const opening = useRecord('openings', piece.opening);
  return piece.opening && opening ? { id: piece.opening, opening } : null;
}
