import { InputError } from '../basics/checks';

/** Plies to be sawn from rough stock, mm. */
export interface Resaw {
  readonly plies: number;
  readonly spare: number;
  readonly plyMm: number;
  /** Thickness of the rough board that strips are sawn off. */
  readonly boardMm: number;
  readonly kerfMm: number;
  /** Taken off each face of a strip when it is planed. */
  readonly planedMm: number;
}

/** What to saw. */
export interface ResawList {
  readonly stripMm: number;
  readonly stripsPerBoard: number;
  readonly boards: number;
  /** Share of the board that ends as sawdust and shavings. */
  readonly lostShare: number;
}

/**
 * Strips for the plies of a bend: each as thick as its ply and what is planed off both faces, a kerf between them.
 * @throws InputError `inconsistent` where not one strip comes out of the board.
 */
export function resawList({ plies, spare, plyMm, boardMm, kerfMm, planedMm }: Resaw): ResawList {
  const stripMm = plyMm + 2 * planedMm;
  const stripsPerBoard = Math.floor((boardMm + kerfMm + 1e-9) / (stripMm + kerfMm));
  if (stripsPerBoard < 1) {
    throw new InputError(
      'inconsistent',
      'boardMm',
      `No strip of ${stripMm.toFixed(1)} mm comes out of a board ${boardMm} mm thick.`,
      `boards from ${stripMm.toFixed(1)} mm on`,
    );
  }
  return {
    stripMm,
    stripsPerBoard,
    boards: Math.ceil((plies + spare) / stripsPerBoard),
    lostShare: 1 - (stripsPerBoard * plyMm) / boardMm,
  };
}
