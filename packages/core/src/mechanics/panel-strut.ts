import { type Cut, modulusAcross, poissonInFace, type WoodProperties } from '../materials';

/** A board seen by a push across its grain. */
export interface StrutBoard {
  readonly widthMm: number;
  readonly wood: WoodProperties;
  readonly cut: Cut;
}

/** A flat panel pressed edge to edge: a strut across the grain. */
export interface PanelStrut {
  readonly boards: readonly StrutBoard[];
  readonly thicknessMm: number;
  /** Total clamp force over panel length. */
  readonly lineLoadNPerMm: number;
  /** Force-weighted mean distance of the pull from mid-thickness; positive above. */
  readonly offsetMm: number;
}

/** How the strut answers. */
export interface StrutAnswer {
  /** Line load at which a free, pin-edged panel pops out of plane. */
  readonly bucklingNPerMm: number;
  /** Load over buckling load. */
  readonly loadShare: number;
  /** Bow at the middle while clamped and free to move; null once the panel would buckle. */
  readonly bowMm: number | null;
  /** |offset| over a sixth of the thickness; above 1 the far face of the line opens. */
  readonly kernRatio: number;
  /** Depth over which the faces part, counted from the far face. */
  readonly jointOpenMm: number;
}

/** Load share from which a free panel is warned about, and at which it is refused (docs/models.md). */
export const STRUT_SHARE = Object.freeze({ warn: 0.3, refuse: 0.8 });

/**
 * Bending stiffness modulus of the boards in series across the width, plane strain along the grain:
 * 1/E = Σ(w_i/E'_i)/W with E' = E_y/(1 − ν²·E_y/E_L).
 */
export function strutModulusMPa(boards: readonly StrutBoard[]): number {
  const width = boards.reduce((sum, board) => sum + board.widthMm, 0);
  const compliance = boards.reduce((sum, board) => sum + board.widthMm / plateModulusMPa(board), 0);
  return width / compliance;
}

function plateModulusMPa({ wood, cut }: StrutBoard): number {
  const across = modulusAcross(wood, cut);
  const nu = poissonInFace(wood, cut);
  return across / (1 - (nu ** 2 * across) / wood.eLMPa);
}

/**
 * Bow, buckling and face opening of a free panel between clamps.
 *
 * P_cr = π²·E'·t³/(12·W²) per mm; bow = e·(sec(½π·√(N/P_cr)) − 1); the far face of a line opens once
 * |e| > t/6, over t − 3·(t/2 − |e|).
 * Range: pinned edges (the worst case: flat jaws that cannot tilt hold up to four times as much), elastic wood,
 * 0 ≤ |e| < t/2. Source: Euler strut with eccentric load; checked in docs/models.md.
 */
export function panelStrut(panel: PanelStrut): StrutAnswer {
  const width = panel.boards.reduce((sum, board) => sum + board.widthMm, 0);
  const modulus = strutModulusMPa(panel.boards);
  const bucklingNPerMm = (Math.PI ** 2 * modulus * panel.thicknessMm ** 3) / (12 * width ** 2);
  const loadShare = panel.lineLoadNPerMm / bucklingNPerMm;
  const e = panel.offsetMm;
  const depth = Math.max(0, 3 * (panel.thicknessMm / 2 - Math.abs(e)));
  return {
    bucklingNPerMm,
    loadShare,
    bowMm: loadShare >= 1 ? null : e * (1 / Math.cos((Math.PI / 2) * Math.sqrt(loadShare)) - 1),
    kernRatio: Math.abs(e) / (panel.thicknessMm / 6),
    jointOpenMm: Math.abs(e) > panel.thicknessMm / 6 ? Math.max(0, panel.thicknessMm - depth) : 0,
  };
}
