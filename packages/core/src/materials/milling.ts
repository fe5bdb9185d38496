/** A size: length along the grain, width, thickness, mm. */
type Size = readonly [number, number, number];

/** What is to come off a rough board, mm, and where it is too small for that. */
export interface ToMill {
  /** Off each face, off each edge, off each end. */
  readonly faceMm: number;
  readonly edgeMm: number;
  readonly endMm: number;
  readonly short: readonly ('length' | 'width' | 'thickness')[];
}

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

/**
 * What comes off a rough board on its way to its finished size: joint one face and one edge, which then are the reference, plane the
 * other face and saw the other edge as much. Too small is what leaves less than a straight board needs. Source: shop practice
 * [judgement].
 */
export function toMill(finished: Size, rough: readonly number[]): ToMill {
  const [endMm, edgeMm, faceMm] = finished.map((mm, i) => ((rough[i] ?? 0) - mm) / 2) as [
    number,
    number,
    number,
  ];
  // Ends are cut to length after: any length more will do.
  const short = (
    [
      ['length', endMm, 0],
      ['width', edgeMm, EDGE_MM],
      ['thickness', faceMm, FACE_MM],
    ] as const
  ).flatMap(([what, off, least]) => (off < least - 1e-9 ? [what] : []));
  return { faceMm, edgeMm, endMm, short };
}

/** Rough size to saw for a straight board. */
export function usualRough([lengthMm, widthMm, thicknessMm]: Size): Size {
  const rough = roughSize({ lengthMm, widthMm, thicknessMm, cupMm: 0, bowMm: 0, twistMm: 0 });
  return [rough.lengthMm, rough.widthMm, rough.thicknessMm];
}
