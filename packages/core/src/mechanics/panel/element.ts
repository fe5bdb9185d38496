/** Elastic constants of wood in its plane: x along the grain, y across it. */
export interface PlaneWood {
  readonly exMPa: number;
  readonly eyMPa: number;
  readonly gMPa: number;
  /** Contraction across for a stretch along. */
  readonly nuXy: number;
}

/** Corners anticlockwise from the lower left, in units of half a side. */
const CORNERS: readonly (readonly [xi: number, eta: number])[] = [
  [-1, -1],
  [1, -1],
  [1, 1],
  [-1, 1],
];
const GAUSS = [-1 / Math.sqrt(3), 1 / Math.sqrt(3)] as const;
/** Unknowns of a rectangle: u and v at four corners; and four bubbles that are eliminated. */
const NODAL = 8;
const ALL = 12;

/**
 * Stiffness of a four-node rectangle in plane stress with Wilson's incompatible modes, which let it bend without
 * shearing. Row by row, unknowns u and v of each corner in turn.
 *
 * Source: E. L. Wilson's incompatible modes 1 − ξ² and 1 − η², eliminated statically; exact for constant strain and, in
 * a rectangle, for pure bending. Checked in tests by both.
 */
export function rectangleStiffness(
  { exMPa, eyMPa, gMPa, nuXy }: PlaneWood,
  widthMm: number,
  heightMm: number,
  thicknessMm: number,
): Float64Array {
  const nuYx = (nuXy * eyMPa) / exMPa;
  const scale = 1 / (1 - nuXy * nuYx);
  const [dxx, dyy, dxy] = [exMPa * scale, eyMPa * scale, nuXy * eyMPa * scale];
  const full = new Float64Array(ALL * ALL);
  const weight = (thicknessMm * widthMm * heightMm) / 4;
  const [gx, gy] = [new Float64Array(ALL / 2), new Float64Array(ALL / 2)];
  for (const xi of GAUSS) {
    for (const eta of GAUSS) {
      gradients(xi, eta, 2 / widthMm, 2 / heightMm, gx, gy);
      for (let i = 0; i < ALL / 2; i += 1) {
        const [xi1, yi1] = [weight * (gx[i] ?? 0), weight * (gy[i] ?? 0)];
        const [u, v] = [2 * i * ALL, (2 * i + 1) * ALL];
        for (let j = 0; j < ALL / 2; j += 1) {
          const [xj1, yj1] = [gx[j] ?? 0, gy[j] ?? 0];
          const [alongJ, acrossJ] = [2 * j, 2 * j + 1];
          full[u + alongJ] = (full[u + alongJ] ?? 0) + xi1 * dxx * xj1 + yi1 * gMPa * yj1;
          full[u + acrossJ] = (full[u + acrossJ] ?? 0) + xi1 * dxy * yj1 + yi1 * gMPa * xj1;
          full[v + alongJ] = (full[v + alongJ] ?? 0) + yi1 * dxy * xj1 + xi1 * gMPa * yj1;
          full[v + acrossJ] = (full[v + acrossJ] ?? 0) + yi1 * dyy * yj1 + xi1 * gMPa * xj1;
        }
      }
    }
  }
  return withoutBubbles(full);
}

/** Derivatives along x and y of the four corner functions and the two bubbles. */
function gradients(
  xi: number,
  eta: number,
  toX: number,
  toY: number,
  gx: Float64Array,
  gy: Float64Array,
): void {
  CORNERS.forEach(([x, y], corner) => {
    gx[corner] = (x * (1 + y * eta) * toX) / 4;
    gy[corner] = (y * (1 + x * xi) * toY) / 4;
  });
  gx[CORNERS.length] = -2 * xi * toX;
  gy[CORNERS.length + 1] = -2 * eta * toY;
}

/** Takes the four bubble unknowns out, one after the other. */
function withoutBubbles(full: Float64Array): Float64Array {
  const left = full.slice();
  for (let out = ALL - 1; out >= NODAL; out -= 1) {
    const pivot = left[out * ALL + out] ?? 1;
    for (let i = 0; i < out; i += 1) {
      const share = (left[i * ALL + out] ?? 0) / pivot;
      for (let j = 0; j < out; j += 1) {
        left[i * ALL + j] = (left[i * ALL + j] ?? 0) - share * (left[out * ALL + j] ?? 0);
      }
    }
  }
  const nodal = new Float64Array(NODAL * NODAL);
  for (let i = 0; i < NODAL; i += 1) {
    for (let j = 0; j < NODAL; j += 1) nodal[i * NODAL + j] = left[i * ALL + j] ?? 0;
  }
  return nodal;
}
