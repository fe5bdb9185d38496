import { radians } from './angles';

/** A clamp that pulls at an angle to a joint. */
export interface AngledPull {
  /** Direction of the joint line and of the pull, from one axis. */
  readonly jointAngleDeg: number;
  readonly pullAngleDeg: number;
  readonly forceN: number;
  /** Distance of the pull from the middle of the joint. */
  readonly offsetMm: number;
  /** Length of the joint face. */
  readonly faceMm: number;
  readonly friction: number;
}

/** What an angled pull does to its joint. */
export interface AngledPullAnswer {
  readonly normalN: number;
  readonly slideN: number;
  readonly slides: boolean;
  /** Lowest edge pressure over the mean; 0 once one side opens. */
  readonly edgeRatio: number;
}

/**
 * Splits a pull into pressing and sliding: N = F·|sin φ|, S = F·|cos φ| with φ from the joint line; slides when
 * S > μ·N. Off the middle the edge pressure falls to 1 − 6·|offset|/face of the mean.
 * Range: a flat face pressed through its whole length; friction [judgement]: .75 abrasive-backed block on wood, .35 dry
 * wood, .12 wet glue. Source: statics.
 */
export function angledPull(pull: AngledPull): AngledPullAnswer {
  const phi = radians(pull.pullAngleDeg - pull.jointAngleDeg);
  const normalN = pull.forceN * Math.abs(Math.sin(phi));
  const slideN = pull.forceN * Math.abs(Math.cos(phi));
  return {
    normalN,
    slideN,
    slides: slideN > pull.friction * normalN,
    edgeRatio: Math.max(0, 1 - (6 * Math.abs(pull.offsetMm)) / pull.faceMm),
  };
}

/** A band around a mitred polygon. */
export interface Band {
  readonly interiorAnglesDeg: readonly number[];
  /** At the first corner, where the ratchet is, both ways round. */
  readonly tensionN: number;
  /** Of one mitre face. */
  readonly faceAreaMm2: number;
  readonly friction?: number | undefined;
}

/** One corner under a band. */
export interface BandCorner {
  readonly angleDeg: number;
  readonly tensionN: number;
  readonly normalN: number;
  readonly pressureMPa: number;
}

/**
 * Mitre pressure of a band at each corner: N = T·sin(θ/2), the band's load acting along the bisector.
 *
 * Away from the first corner tension falls by e^(−μ·turn) at each corner passed, either way round; a corner has what the
 * better way brings. Without friction every corner has the same tension. Range: convex polygons. Source: statics and
 * the rope equation; μ about 0.25 on bare wood [judgement].
 */
export function band({ interiorAnglesDeg, tensionN, faceAreaMm2, friction = 0 }: Band): BandCorner[] {
  const turns = interiorAnglesDeg.map((angle) => radians(180 - angle));
  const n = turns.length;
  const turned = (passed: readonly number[]) => passed.reduce((sum, corner) => sum + (turns[corner] ?? 0), 0);
  return interiorAnglesDeg.map((angleDeg, k) => {
    const forward = Array.from({ length: k }, (_, j) => j);
    const backward = k === 0 ? [] : [0, ...Array.from({ length: n - 1 - k }, (_, j) => n - 1 - j)];
    const least = Math.min(turned(forward), turned(backward));
    const tension = tensionN * Math.exp(-friction * least);
    const normalN = tension * Math.sin(radians(angleDeg) / 2);
    return { angleDeg, tensionN: tension, normalN, pressureMPa: normalN / faceAreaMm2 };
  });
}

/** Two pairs of clamps at right angles on a mitred post of four staves. */
export interface OpposedPulls {
  readonly acrossN: number;
  readonly downN: number;
  /** Between wet faces. */
  readonly friction: number;
}

/** What they do to each mitre. */
export interface OpposedAnswer {
  readonly normalN: number;
  readonly slideN: number;
  readonly slides: boolean;
  /** The stronger pull may be at most so many times the weaker one before the mitres slide. */
  readonly mostRatio: number;
}

/**
 * Opposed clamps on a square mitred post: each mitre gets N = (F_h + F_v)·cos 45°/2 and slides with
 * |F_h − F_v|·cos 45°/2; it holds while slide ≤ μ·N, that is up to a ratio of (1 + μ)/(1 − μ).
 * Range: four staves, 45° mitres, pulls through the middle. Source: statics.
 */
export function opposedPulls({ acrossN, downN, friction }: OpposedPulls): OpposedAnswer {
  const half = Math.cos(Math.PI / 4) / 2;
  const normalN = (acrossN + downN) * half;
  const slideN = Math.abs(acrossN - downN) * half;
  return {
    normalN,
    slideN,
    slides: slideN > friction * normalN,
    mostRatio: (1 + friction) / (1 - friction),
  };
}

/**
 * Force that racks a frame when a clamp stands askew: F·δ/ℓ, with δ how far one jaw is off the line through the other
 * and ℓ the distance between them. Range: small skew. Source: statics.
 */
export const rackingN = (forceN: number, skewMm: number, spanMm: number): number =>
  (forceN * skewMm) / spanMm;
