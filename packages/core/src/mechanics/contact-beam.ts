import { factor, solveFactored } from './banded';

/** A straight Timoshenko beam by its two stiffnesses. */
export interface BeamStiffness {
  /** E·I in N·mm². */
  readonly bendingNMm2: number;
  /** κ·G·A in N. */
  readonly shearN: number;
}

/** A beam pressed by point forces against a rigid bed that it does not touch everywhere. */
export interface BeamOnBed {
  readonly beam: BeamStiffness;
  readonly lengthMm: number;
  /** Distance to the bed at equally spaced stations from end to end. Sets the number of nodes. */
  readonly gapsMm: readonly number[];
  readonly pushes: readonly { readonly xMm: number; readonly forceN: number }[];
  /** Give of whatever is pressed, N/mm for each mm of length. */
  readonly bedNPerMm2: number;
  /** First guess of where it touches, such as the rest under a slightly different push. */
  readonly startTouching?: readonly boolean[] | undefined;
}

/** Where the beam comes to rest. */
export interface BeamAtRest {
  /** Distance still open at each station; 0 where it touches. */
  readonly openMm: readonly number[];
  readonly touching: readonly boolean[];
  /** Force with which the bed presses back at each station, N for each mm; 0 where it does not touch. */
  readonly bedNPerMm: readonly number[];
  readonly converged: boolean;
}

/** Contact iterations before giving up; ordinary gaps settle in under ten. */
const MOST_ITERATIONS = 60;
/** Soft springs against rigid motion, as a share of the bed's stiffness: too weak to carry load. */
const SOFT_SHARE = 1e-7;
/** Half-bandwidth of two-node elements with two unknowns to a node. */
const HALF_BAND = 3;

/**
 * Rest position of a Timoshenko beam on a tensionless bed with initial gaps.
 *
 * Two-node elements with exact shear flexibility, contact by springs of the bed's give and a primal active set (a
 * station touches while the beam stands below the bed), banded Cholesky. Range: small slopes, at least three
 * stations. Source: standard beam theory; checked in tests against closed forms and finite elements.
 */
export function beamAtRest(job: BeamOnBed): BeamAtRest {
  const nodes = job.gapsMm.length;
  const elementMm = job.lengthMm / (nodes - 1);
  const stiffness = assemble(job.beam, nodes, elementMm);
  const load = loads(job, nodes, elementMm);
  const least = Math.min(...job.gapsMm);
  let touching = job.startTouching ?? job.gapsMm.map((gap) => gap <= least + 1e-9);
  for (let iteration = 0; iteration < MOST_ITERATIONS; iteration += 1) {
    const moved = solveWith(job, stiffness, load, touching, elementMm);
    const next = moved.map((w, i) => w > (job.gapsMm[i] ?? 0));
    const settled = next.every((closed, i) => closed === touching[i]);
    if (settled || iteration === MOST_ITERATIONS - 1) {
      return {
        openMm: moved.map((w, i) => Math.max(0, (job.gapsMm[i] ?? 0) - w)),
        touching: next,
        bedNPerMm: moved.map((w, i) =>
          next[i] === true ? job.bedNPerMm2 * Math.max(0, w - (job.gapsMm[i] ?? 0)) : 0,
        ),
        converged: settled,
      };
    }
    touching = next;
  }
  throw new Error('unreachable: the last iteration always returns');
}

/** Lower band of the beam's stiffness, row by row: band[row·4 + (row − column)]. */
function assemble({ bendingNMm2, shearN }: BeamStiffness, nodes: number, l: number): Float64Array {
  const band = new Float64Array(2 * nodes * (HALF_BAND + 1));
  const phi = (12 * bendingNMm2) / (shearN * l ** 2);
  const k = bendingNMm2 / ((1 + phi) * l ** 3);
  const element = [
    [12, 6 * l, -12, 6 * l],
    [6 * l, (4 + phi) * l ** 2, -6 * l, (2 - phi) * l ** 2],
    [-12, -6 * l, 12, -6 * l],
    [6 * l, (2 - phi) * l ** 2, -6 * l, (4 + phi) * l ** 2],
  ];
  for (let e = 0; e < nodes - 1; e += 1) {
    for (let i = 0; i < 4; i += 1) {
      for (let j = 0; j <= i; j += 1) {
        const at = (2 * e + i) * (HALF_BAND + 1) + (i - j);
        band[at] = (band[at] ?? 0) + k * (element[i]?.[j] ?? 0);
      }
    }
  }
  return band;
}

/** Each push shared between its two neighbouring nodes. */
function loads({ pushes, lengthMm }: BeamOnBed, nodes: number, elementMm: number): Float64Array {
  const load = new Float64Array(2 * nodes);
  for (const { xMm, forceN } of pushes) {
    const at = Math.min(lengthMm, Math.max(0, xMm)) / elementMm;
    const first = Math.min(nodes - 2, Math.floor(at));
    const share = at - first;
    load[2 * first] = (load[2 * first] ?? 0) + forceN * (1 - share);
    load[2 * first + 2] = (load[2 * first + 2] ?? 0) + forceN * share;
  }
  return load;
}

function solveWith(
  { gapsMm, bedNPerMm2 }: BeamOnBed,
  stiffness: Float64Array,
  load: Float64Array,
  touching: readonly boolean[],
  elementMm: number,
): number[] {
  const matrix = stiffness.slice();
  const right = load.slice();
  gapsMm.forEach((gap, i) => {
    const reach = i === 0 || i === gapsMm.length - 1 ? elementMm / 2 : elementMm;
    const spring = bedNPerMm2 * reach * (touching[i] === true ? 1 : SOFT_SHARE);
    const at = 2 * i * (HALF_BAND + 1);
    matrix[at] = (matrix[at] ?? 0) + spring;
    right[2 * i] = (right[2 * i] ?? 0) + spring * (touching[i] === true ? gap : 0);
  });
  const band = { size: right.length, half: HALF_BAND, values: matrix };
  if (!factor(band)) throw new Error('a beam without stiffness');
  solveFactored(band, right);
  return gapsMm.map((_, i) => right[2 * i] ?? 0);
}
