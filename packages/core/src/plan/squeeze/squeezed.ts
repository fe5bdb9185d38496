import type { PressureWord } from '../../clamps';
import type { PlanFinding } from '../../findings';
import type { RackLot } from '../../formats';
import type { Vec3 } from '../../solids';
import type { PlannedPull } from '../pulls/planned-pull';
import type { ClampPlace } from './pull-frame';

/** A clamp, a band, a strip or a bag in its place on an assembly. */
export interface ClampInSpace {
  /** Counts over all pulls of the assembly from 1. */
  readonly number: number;
  /** Id of the clamp that was placed here; null where it was worked out. */
  readonly id: string | null;
  readonly pull: string;
  readonly lot: RackLot;
  readonly forceN: number;
  readonly openingMm: number;
  /** Null for what has no place of its own, such as strips of tape. */
  readonly place: ClampPlace | null;
  readonly shape:
    /** Jaws at both ends, and the side of the work on which the bar lies; null where that is left to how it fits. */
    | { readonly kind: 'jaws'; readonly from: Vec3; readonly to: Vec3; readonly off: Vec3 | null }
    /** Right round, as corners of a closed line. */
    | { readonly kind: 'band'; readonly loop: readonly Vec3[] }
    /** At one spot, such as a strip of tape or a spring across a corner. */
    | { readonly kind: 'spot'; readonly at: Vec3 };
  /** Joints that it closes. */
  readonly joints: readonly string[];
}

/** Pressure on one joint, as far as it is known place by place. */
export interface SqueezedJoint {
  readonly joint: string;
  readonly label: string;
  readonly minMPa: number;
  readonly meanMPa: number;
  readonly maxMPa: number;
  /** Inside angle of a mitre under a band; null elsewhere. */
  readonly angleDeg: number | null;
  readonly word: PressureWord;
}

/** Pressure along the joints of a stack. */
export interface PressedAlong {
  readonly lengthMm: number;
  readonly clampsMm: readonly number[];
  readonly lines: readonly {
    readonly joint: string;
    readonly label: string;
    /** At equal steps from one end to the other; under narrow jaws along the edges of the work, where it is least. */
    readonly pressureMPa: readonly number[];
    readonly minMPa: number;
    readonly minAtMm: number;
    readonly maxMPa: number;
  }[];
}

/** One pull with its clamps in place and what they do. */
export interface SqueezedPull {
  readonly planned: PlannedPull;
  readonly clamps: readonly ClampInSpace[];
  /** How the pressure was got; by the mean where nothing finer is known, and seats only want seating. */
  readonly by: 'elements' | 'layer' | 'band' | 'bag' | 'mean' | 'seat';
  readonly joints: readonly SqueezedJoint[];
  /** Along the joints; null where it is not known place by place. */
  readonly along: PressedAlong | null;
  readonly findings: readonly PlanFinding[];
}

/** All pulls of an assembly with their clamps, numbered through. */
export interface Squeeze {
  readonly pulls: readonly SqueezedPull[];
}
