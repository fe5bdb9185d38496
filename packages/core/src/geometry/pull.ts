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
