import { useMemo } from 'react';
import type { Piece } from '../../core/piece/index.js';
import type { Workshop } from '../../core/project/index.js';
import { tiedTo, withinOf } from '../../core/solution/index.js';
import { useProject } from '../data/project.js';
import { solvedPiece } from '../data/solved.js';

/** What the piece on the bench is solved with, and what the drawer of another piece measures now that it is made to fit. */
export function useWorkshop(pieceId: string, piece: Piece): Workshop {
  const { bench, workshopOf } = useProject();
  const tie = tiedTo(piece);
  const [other, space] = [tie?.piece, tie?.space];
  const kept = other === pieceId ? undefined : bench.records.pieces.find((p) => p.id === other)?.data;
  return useMemo(() => {
    const workshop = workshopOf(pieceId);
    if (other === undefined || space === undefined) return workshop;
    // What it is made to fit is solved by itself, so that two that fit each other are no circle.
    return { ...workshop, within: withinOf(kept ? solvedPiece(other, kept, workshopOf) : null, space) };
  }, [workshopOf, pieceId, other, space, kept]);
}
