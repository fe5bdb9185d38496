import type { Reinforcement } from './assembly';

/** Size of a mitred corner: length of its faces along the cut, thickness, interior angle. */
export interface Corner {
  readonly faceMm: number;
  readonly thicknessMm: number;
  readonly angleDeg: number;
}

/** How a reinforcement is cut and what of it is let in, mm. */
export interface ReinforcementCut {
  readonly count: number;
  /** Diameter of a dowel; thickness of everything else. */
  readonly thickMm: number;
  /** Across the face; nothing for dowels, which are round. */
  readonly wideMm: number | null;
  /** Into each member, square to the mitre; along the bisector from the corner for keys; into the back for a patch. */
  readonly deepMm: number;
  /** What a blade is set to above its table; null where no blade cuts it. */
  readonly bladeMm: number | null;
}

/** What a reinforcement would add. */
export interface ReinforcementOption {
  readonly reinforcement: Reinforcement;
  /** Long grain on long grain gained, mm². */
  readonly gainMm2: number;
  /** Glued to one of the two members, mm². */
  readonly oneSideMm2: number;
  /** So many times as strong as the mitre glued alone [judgement]. */
  readonly strength: number;
  /** Null for none, and where there is no room for it. */
  readonly cut: ReinforcementCut | null;
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
  biscuit: { lengthMm: 56, depthMm: 11, thickMm: 4 },
  tenonDepth: 0.5,
  tenonWidth: 0.4,
  dowel: { count: 2, diameter: 1 / 3, depthPerDiameter: 2.5 },
  patch: { leg: 0.75, depth: 1 / 3 },
});
/** Wood that stays around whatever is let in, mm. */
const INSIDE_MM = 3;
/** Thickness of a kerf, and of the key or spline that fills it, mm. */
const KERF_MM = 3;
/** One key for so much thickness [judgement], mm. */
const KEY_EVERY_MM = 12;
/** Dowels that are sold, mm. */
const DOWELS_MM = [4, 5, 6, 8, 10, 12, 16];
/** Sized end grain of a mitre counts so much of long grain [judgement]. */
const MITRE_SHARE = 0.25;

/** Shortest face with room for each [judgement], mm. */
const LEAST_FACE_MM: Readonly<Record<Reinforcement, number>> = {
  none: 0,
  key: 20,
  spline: 15,
  biscuit: 66,
  'loose-tenon': 50,
  dowel: 45,
  patch: 30,
};

interface Let {
  readonly gainMm2: number;
  readonly oneSideMm2: number;
  readonly cut: ReinforcementCut | null;
}

/**
 * What each reinforcement adds to one mitred corner, and its settings.
 *
 * A key of depth d along the bisector is a triangle of d²·tan(θ/2), glued on both faces. A spline or loose tenon is glued on both
 * faces in both members. Dowels count half their wall as long grain, all of it as glued. A patch is a triangle let into the back. What
 * is let in square to the face stays 3 mm inside: at s from the outer corner there is s·tan(θ/2) of wood behind the face. Strength:
 * a mitre alone counts a quarter of its face as long grain. Range: flat mitres from 30 to 170°. Source: geometry; sizes and strengths
 * [judgement].
 */
export function reinforcementOptions(corner: Corner): ReinforcementOption[] {
  const { faceMm, thicknessMm } = corner;
  const plainMm2 = MITRE_SHARE * faceMm * thicknessMm;
  const lets = letsOf(corner);
  return (Object.keys(lets) as Reinforcement[]).map((reinforcement) => {
    const { gainMm2, oneSideMm2, cut } = lets[reinforcement];
    const roomy = faceMm >= LEAST_FACE_MM[reinforcement];
    const fits = roomy && (reinforcement === 'none' || (cut !== null && cut.deepMm > 0 && cut.thickMm > 0));
    return {
      reinforcement,
      gainMm2,
      oneSideMm2,
      strength: 1 + gainMm2 / 2 / plainMm2,
      cut: fits ? cut : null,
      leastFaceMm: LEAST_FACE_MM[reinforcement],
      fits,
      afterwards: reinforcement === 'key' || reinforcement === 'patch',
    };
  });
}

function letsOf({ faceMm, thicknessMm, angleDeg }: Corner): Readonly<Record<Reinforcement, Let>> {
  const half = Math.tan((angleDeg * Math.PI) / 360);
  /** Wood square to the face at so far from the nearer end of it, less what must stay. */
  const insideAt = (fromEndMm: number) => Math.max(0, fromEndMm * Math.min(half, 1 / half) - INSIDE_MM);
  const keyDeep = SIZES.keyDepth * faceMm;
  const keys = Math.max(1, Math.floor(thicknessMm / KEY_EVERY_MM));
  const keyMm2 = keys * keyDeep ** 2 * half;
  const splineDeep = SIZES.splineDepth * thicknessMm;
  const splineWide = SIZES.splineLength * faceMm;
  const { biscuit } = SIZES;
  const biscuitMm2 = 2 * (2 / 3) * biscuit.depthMm * biscuit.lengthMm;
  const tenonWide = SIZES.tenonWidth * faceMm;
  const tenonDeep = Math.min(SIZES.tenonDepth * faceMm, insideAt((faceMm - tenonWide) / 2));
  const tenonMm2 = 2 * tenonDeep * tenonWide;
  const dowelMm = DOWELS_MM.filter((mm) => mm <= SIZES.dowel.diameter * thicknessMm + 1e-9).at(-1) ?? 0;
  const dowelDeep = Math.min(SIZES.dowel.depthPerDiameter * dowelMm, insideAt(faceMm / 3));
  const dowelsMm2 = SIZES.dowel.count * Math.PI * dowelMm * dowelDeep;
  const leg = Math.min(SIZES.patch.leg * faceMm, faceMm - 2 * INSIDE_MM);
  // One half of a right-angled plate lies in each member.
  const patchMm2 = leg ** 2 / 2;
  return {
    none: { gainMm2: 0, oneSideMm2: 0, cut: null },
    key: {
      gainMm2: 2 * keyMm2,
      oneSideMm2: keyMm2,
      cut: { count: keys, thickMm: KERF_MM, wideMm: 2 * keyDeep * half, deepMm: keyDeep, bladeMm: keyDeep },
    },
    spline: {
      gainMm2: 4 * splineDeep * splineWide,
      oneSideMm2: 2 * splineDeep * splineWide,
      cut: { count: 1, thickMm: KERF_MM, wideMm: splineWide, deepMm: splineDeep, bladeMm: splineDeep },
    },
    biscuit: {
      gainMm2: 2 * biscuitMm2,
      oneSideMm2: biscuitMm2,
      cut: {
        count: 1,
        thickMm: biscuit.thickMm,
        wideMm: biscuit.lengthMm,
        deepMm: biscuit.depthMm,
        bladeMm: null,
      },
    },
    'loose-tenon': {
      gainMm2: 2 * tenonMm2,
      oneSideMm2: tenonMm2,
      cut: { count: 1, thickMm: thicknessMm / 3, wideMm: tenonWide, deepMm: tenonDeep, bladeMm: null },
    },
    dowel: {
      // Half of a round wall meets long grain.
      gainMm2: dowelsMm2,
      oneSideMm2: dowelsMm2,
      cut: { count: SIZES.dowel.count, thickMm: dowelMm, wideMm: null, deepMm: dowelDeep, bladeMm: null },
    },
    patch: {
      gainMm2: 2 * patchMm2,
      oneSideMm2: patchMm2,
      cut: {
        count: 1,
        thickMm: SIZES.patch.depth * thicknessMm,
        wideMm: leg,
        deepMm: SIZES.patch.depth * thicknessMm,
        bladeMm: null,
      },
    },
  };
}
