import type { Reinforcement } from './assembly';

/** Size of a mitred corner: length of its faces along the cut, thickness, interior angle. */
export interface Corner {
  readonly faceMm: number;
  readonly thicknessMm: number;
  readonly angleDeg: number;
}

/** What a reinforcement would add. */
export interface ReinforcementOption {
  readonly reinforcement: Reinforcement;
  /** Long grain on long grain gained, mm². */
  readonly gainMm2: number;
  /** Faces shorter than this have no room for it, mm. */
  readonly leastFaceMm: number;
  readonly fits: boolean;
  /** Cut after the corner is glued, so that it asks nothing of the glue-up itself. */
  readonly afterwards: boolean;
}

/** Sizes that a careful worker would choose, all [judgement], as shares of face and thickness. */
const SIZES = Object.freeze({
  keyDepth: 0.4,
  splineDepth: 1 / 3,
  splineLength: 0.8,
  biscuit: { lengthMm: 56, depthMm: 11 },
  tenonDepth: 0.5,
  tenonWidth: 0.4,
  dowel: { count: 2, diameter: 1 / 3, depthPerDiameter: 2.5 },
});

/** Shortest face with room for each [judgement], mm. */
const LEAST_FACE_MM: Readonly<Record<Reinforcement, number>> = {
  none: 0,
  key: 20,
  spline: 15,
  biscuit: 66,
  'loose-tenon': 50,
  dowel: 45,
};

/**
 * Long-grain area that each reinforcement adds to one mitred corner.
 *
 * A key of depth d along the bisector is a triangle of d²·tan(θ/2), glued on both faces. A spline or loose tenon
 * is glued on both faces in both members. Dowels count half their wall, the half that meets long grain. Range: flat
 * mitres from 30 to 170°. Source: geometry; sizes [judgement].
 */
export function reinforcementOptions({ faceMm, thicknessMm, angleDeg }: Corner): ReinforcementOption[] {
  const half = Math.tan((angleDeg * Math.PI) / 360);
  const keyDepth = SIZES.keyDepth * faceMm;
  const dowelMm = SIZES.dowel.diameter * thicknessMm;
  const gains: Readonly<Record<Reinforcement, number>> = {
    none: 0,
    key: 2 * keyDepth ** 2 * half,
    spline: 4 * SIZES.splineDepth * thicknessMm * SIZES.splineLength * faceMm,
    biscuit: 4 * (2 / 3) * SIZES.biscuit.depthMm * SIZES.biscuit.lengthMm,
    'loose-tenon': 4 * SIZES.tenonDepth * faceMm * SIZES.tenonWidth * faceMm,
    dowel: (SIZES.dowel.count * 2 * Math.PI * dowelMm * SIZES.dowel.depthPerDiameter * dowelMm) / 2,
  };
  return (Object.keys(gains) as Reinforcement[]).map((reinforcement) => ({
    reinforcement,
    gainMm2: gains[reinforcement],
    leastFaceMm: LEAST_FACE_MM[reinforcement],
    fits: faceMm >= LEAST_FACE_MM[reinforcement],
    afterwards: reinforcement === 'key',
  }));
}
