/** A finished board, and how far from flat and straight the rough one is, mm. */
export interface Milling {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly cupMm: number;
  readonly bowMm: number;
  readonly twistMm: number;
}

/** Taken off each face and edge even of a straight board, and left at each end for snipe and checks [judgement], mm. */
const FACE_MM = 1.5;
const EDGE_MM = 3;
const END_MM = 25;

/**
 * Rough size to saw for a finished one: joint one face and one edge, plane the other face, saw the other edge. What is out of flat or
 * straight comes off the first face, and once more off the second when that is planed parallel to it. Source: shop practice [judgement].
 */
export function roughSize({ lengthMm, widthMm, thicknessMm, cupMm, bowMm, twistMm }: Milling) {
  const flattened = cupMm + bowMm + twistMm;
  return {
    lengthMm: lengthMm + 2 * END_MM,
    widthMm: widthMm + 2 * EDGE_MM + bowMm,
    thicknessMm: thicknessMm + 2 * (FACE_MM + flattened),
  };
}
