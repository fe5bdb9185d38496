import { within } from '../basics/checks';
import { beamAtRest } from './contact-beam';

/** A stiff strip, such as a platen or a caul, that presses an elastic layer such as veneer on its core. */
export interface PressedLayer {
  readonly lengthMm: number;
  /** Of strip and layer alike, across the length. */
  readonly widthMm: number;
  /** Thickness of the strip and its modulus along the length, MPa. */
  readonly stripMm: number;
  readonly stripMPa: number;
  /** Thickness of what is pressed, and its modulus through the thickness, MPa. */
  readonly layerMm: number;
  readonly layerMPa: number;
  readonly pushes: readonly { readonly xMm: number; readonly forceN: number }[];
  /** How far the strip stands off where it lies free: crown at the middle of its length, planed as a parabola. */
  readonly crownMm?: number | undefined;
}

/** Pressure under a strip. */
export interface LayerPressure {
  readonly stationsMm: readonly number[];
  readonly pressureMPa: readonly number[];
  readonly minMPa: number;
  readonly meanMPa: number;
  readonly maxMPa: number;
  /** Whether the strip stands off somewhere. */
  readonly lifts: boolean;
  readonly converged: boolean;
}

/** E over G of wood and sheet in bending, and the shear correction of a rectangle. */
const E_OVER_G = 15;
const KAPPA = 5 / 6;
/** Stations along the strip. */
const STATIONS = 121;

/**
 * Pressure under a beam with shear on an elastic layer that cannot pull (Winkler): layer stiffness E/t for each mm².
 *
 * The layer presses back by how far the strip goes into it. A crowned strip touches in the middle first.
 * Range: strip stiffer than the layer is thick, small slopes, layer much softer through its thickness than along.
 * Source: beam on elastic foundation; against its Fourier integral in the tests.
 * @throws InputError for sizes and stiffnesses that are not above zero.
 */
export function layerPressure(job: PressedLayer): LayerPressure {
  for (const field of ['lengthMm', 'widthMm', 'stripMm', 'stripMPa', 'layerMm', 'layerMPa'] as const) {
    within(job[field], field, { min: Number.MIN_VALUE, max: 1e7, unit: '' });
  }
  const { lengthMm, widthMm, stripMm, stripMPa, layerMm, layerMPa, pushes, crownMm = 0 } = job;
  const bedNPerMm2 = (layerMPa / layerMm) * widthMm;
  const stationsMm = Array.from({ length: STATIONS }, (_, i) => (lengthMm * i) / (STATIONS - 1));
  const { bedNPerMm, converged } = beamAtRest({
    beam: {
      bendingNMm2: (stripMPa * widthMm * stripMm ** 3) / 12,
      shearN: (KAPPA * stripMPa * widthMm * stripMm) / E_OVER_G,
    },
    lengthMm,
    // The ends of a crowned strip stand off.
    gapsMm: stationsMm.map((x) => crownMm * ((2 * x) / lengthMm - 1) ** 2),
    pushes,
    bedNPerMm2,
  });
  const pressureMPa = bedNPerMm.map((force) => force / widthMm);
  const totalN = pushes.reduce((sum, { forceN }) => sum + forceN, 0);
  return {
    stationsMm,
    pressureMPa,
    minMPa: Math.min(...pressureMPa),
    meanMPa: totalN / (lengthMm * widthMm),
    maxMPa: Math.max(...pressureMPa),
    lifts: bedNPerMm.some((force) => force <= 0),
    converged,
  };
}
