import { InputError } from '../../checks';
import {
  type Cut,
  modulusAcross,
  poissonInFace,
  shearModulusInFace,
  type WoodProperties,
} from '../../materials';
import { alongLine, type PressedLine } from './along';
import { type Block, edgeGive, type EdgeGive } from './block';
import { type Chain, contactOf } from './contact';
import type { PlaneWood } from './element';
import { nodesAcross, nodesAlong, type PadSpan } from './mesh';

/** A board of a panel, seen flat. */
export interface PressedBoard {
  readonly widthMm: number;
  readonly wood: WoodProperties;
  readonly cut: Cut;
  readonly thicknessMm: number;
}

/** A clamp that presses both outer edges at one place. */
export interface PressingClamp {
  readonly xMm: number;
  readonly forceN: number;
  /** Length of its pad along the edge. */
  readonly padMm: number;
}

/** An opening read at the dry fit, at equal steps from one end of a line to the other; + open. */
export interface LineGap {
  readonly line: number;
  readonly profileMm: readonly number[];
}

/** A panel in its clamps. */
export interface PressedPanel {
  /** From one clamped edge to the other. */
  readonly boards: readonly PressedBoard[];
  readonly lengthMm: number;
  readonly clamps: readonly PressingClamp[];
  /** One on each side between pads and edge, grain along the panel. */
  readonly batten?: PressedBoard | undefined;
  readonly gaps?: readonly LineGap[] | undefined;
  /** Stations along a line at which the pressure is told. */
  readonly samples?: number | undefined;
  /** 2 halves every element, for finding out what the mesh costs; 1 unless said otherwise. */
  readonly fineness?: number | undefined;
}

/** How a panel presses along all its lines. */
export interface PanelPressure {
  readonly lines: readonly PressedLine[];
  /** Unstable where a board is not held by clamps and its neighbours alone. */
  readonly status: 'converged' | 'not-converged' | 'unstable';
  readonly unknowns: number;
  readonly iterations: number;
  /** Share of the pull that what keeps boards from drifting had to carry; next to nothing where all is well. */
  readonly strayShare: number;
}

/** A board that nothing touches drifts against this, N/mm for the whole of it: soft beside any wood. */
const DRIFT_N_PER_MM = 0.01;
/** More than this share of the pull in what should carry nothing means that a board is not held. */
const MOST_STRAY = 0.01;

/**
 * Pressure along the glue lines of an edge-clamped panel.
 *
 * Each board is a block of four-node rectangles in orthotropic plane stress. Wet lines are slippery and cannot pull, so only
 * forces across them pass from board to board: each block is condensed onto the gives of its two edges once, and contact
 * is settled among those. Pads press evenly over their length and the full thickness. Pressure from nodal forces by the
 * consistent mass of the touching stretch; its mean is the pull over the area exactly.
 *
 * Range: pads no shorter than the thickness (shorter ones press deeper than plane stress knows), slant of rings between
 * flat and quarter by the mean of both. Source: docs/models.md; within 2 % of fine-mesh finite elements, see the tests.
 * @throws InputError for fewer than two boards, a pad past an end, a negative force, or gaps on lines that are not there.
 */
export function panelPressure(panel: PressedPanel): PanelPressure {
  check(panel);
  const { boards, batten, lengthMm, clamps, fineness = 1 } = panel;
  const pads = clamps.map(({ xMm, padMm }): PadSpan => ({ fromMm: xMm - padMm / 2, toMm: xMm + padMm / 2 }));
  const xsMm = nodesAlong(lengthMm, pads, fineness);
  const rows = batten === undefined ? boards : [batten, ...boards, batten];
  const blocks = rows.map((board, i) =>
    blockOf(board, xsMm, nodesAcross(board.widthMm, i === 0 || i === rows.length - 1, fineness)),
  );
  const gives = givesOf(blocks);
  const whole = movesAsWhole(xsMm);
  const chain = chainOf(gives, whole, xsMm.length);
  const push = padForces(xsMm, pads, clamps);
  const first = batten === undefined ? 0 : 1;
  const read = (l: number) => panel.gaps?.find(({ line }) => line === l - first)?.profileMm;
  const free = chain.own.map((_, l) => xsMm.map((x) => profileAt(read(l), x / lengthMm)));
  press(free, gives, push, whole);
  const contact = contactOf(chain, free);
  const totalN = clamps.reduce((sum, { forceN }) => sum + forceN, 0);
  const strayShare = totalN === 0 ? 0 : strayOf(contact.forceN, push, xsMm) / totalN;
  const nothing = new Float64Array(xsMm.length);
  const lines = boards.slice(1).map((board, i) => {
    const l = i + first;
    const thicknessMm = Math.min(board.thicknessMm, boards[i]?.thicknessMm ?? Infinity);
    return alongLine({
      lengthMm,
      samples: panel.samples,
      xsMm,
      forceN: contact.forceN[l] ?? nothing,
      openMm: contact.openMm[l] ?? nothing,
      thicknessMm,
    });
  });
  return {
    lines,
    status: !contact.converged ? 'not-converged' : strayShare > MOST_STRAY ? 'unstable' : 'converged',
    unknowns: blocks.reduce((sum, block) => sum + 2 * block.xsMm.length * block.ysMm.length, 0),
    iterations: contact.iterations,
    strayShare,
  };
}

function check({ boards, lengthMm, clamps, gaps }: PressedPanel): void {
  if (boards.length < 2) {
    throw new InputError(
      'inconsistent',
      'boards',
      'A panel with a glue line has two boards or more.',
      'two boards',
    );
  }
  clamps.forEach(({ xMm, forceN, padMm }, i) => {
    if (!(forceN >= 0)) {
      throw new InputError(
        'out-of-range',
        `clamps.${i}.forceN`,
        `Clamp ${i + 1} pulls with ${forceN} N; a clamp cannot push.`,
        'a force of 0 or more',
      );
    }
    if (!(padMm > 0) || xMm - padMm / 2 < -1e-9 || xMm + padMm / 2 > lengthMm + 1e-9) {
      throw new InputError(
        'out-of-range',
        `clamps.${i}.xMm`,
        `The pad of clamp ${i + 1}, ${padMm} mm long at ${xMm} mm, reaches past an end of the panel.`,
        `a place between ${padMm / 2} and ${lengthMm - padMm / 2} mm`,
      );
    }
  });
  gaps?.forEach(({ line, profileMm }, i) => {
    if (line >= boards.length - 1 || line < 0 || profileMm.length < 2) {
      throw new InputError(
        'inconsistent',
        `gaps.${i}`,
        `Gap ${i + 1} is on line ${line} with ${profileMm.length} readings; there are lines 0 to ${boards.length - 2}, and it takes two readings.`,
        `a line from 0 to ${boards.length - 2} with two readings or more`,
      );
    }
  });
}

function blockOf({ thicknessMm, wood, cut }: PressedBoard, xsMm: Float64Array, ysMm: Float64Array): Block {
  return { wood: planeOf(wood, cut), thicknessMm, xsMm, ysMm };
}

function planeOf(wood: WoodProperties, cut: Cut): PlaneWood {
  return {
    exMPa: wood.eLMPa,
    eyMPa: modulusAcross(wood, cut),
    gMPa: shearModulusInFace(wood, cut),
    nuXy: poissonInFace(wood, cut),
  };
}

/** Equal boards are worked out once. */
function givesOf(blocks: readonly Block[]): EdgeGive[] {
  const known = new Map<string, EdgeGive>();
  return blocks.map((block) => {
    const key = JSON.stringify([block.wood, block.thicknessMm, block.ysMm.at(-1), block.ysMm.length]);
    const give = known.get(key) ?? edgeGive(block);
    known.set(key, give);
    return give;
  });
}

/** How lines open under forces on them; a block that drifts or turns as a whole does so against almost nothing. */
function chainOf(gives: readonly EdgeGive[], whole: Float64Array, nodes: number): Chain {
  const lines = gives.slice(1).map((_, l) => l);
  return {
    nodes,
    own: lines.map((l) => {
      const [below, above] = [gives[l]?.same, gives[l + 1]?.same];
      return whole.map((drift, i) => (below?.[i] ?? 0) + (above?.[i] ?? 0) + 2 * drift);
    }),
    // The next line presses the board between them down where this one lifts it.
    next: lines.slice(0, -1).map((l) => {
      const between = gives[l + 1]?.opposite;
      return whole.map((drift, i) => -(between?.[i] ?? 0) - drift);
    }),
  };
}

/** Movement of node i for a newton at node j by drifting and turning as a whole. */
function movesAsWhole(xsMm: Float64Array): Float64Array {
  const n = xsMm.length;
  const length = xsMm[n - 1] ?? 1;
  const whole = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) {
    for (let j = 0; j < n; j += 1) {
      const turn = (12 * ((xsMm[i] ?? 0) - length / 2) * ((xsMm[j] ?? 0) - length / 2)) / length ** 2;
      whole[i * n + j] = (1 + turn) / DRIFT_N_PER_MM;
    }
  }
  return whole;
}

/** What pads put on the nodes of an outer edge, N. */
function padForces(
  xsMm: Float64Array,
  pads: readonly PadSpan[],
  clamps: readonly PressingClamp[],
): Float64Array {
  const push = new Float64Array(xsMm.length);
  pads.forEach(({ fromMm, toMm }, c) => {
    const perMm = (clamps[c]?.forceN ?? 0) / (toMm - fromMm);
    for (let i = 0; i + 1 < xsMm.length; i += 1) {
      const [from, to] = [xsMm[i] ?? 0, xsMm[i + 1] ?? 0];
      if (from < fromMm - 0.005 || to > toMm + 0.005) continue;
      const half = (perMm * (to - from)) / 2;
      push[i] = (push[i] ?? 0) + half;
      push[i + 1] = (push[i + 1] ?? 0) + half;
    }
  });
  return push;
}

/** Adds what the pads do to the outermost lines on either side. */
function press(
  free: readonly Float64Array[],
  gives: readonly EdgeGive[],
  push: Float64Array,
  whole: Float64Array,
): void {
  const n = push.length;
  const sides = [
    { line: free[0], give: gives[0]?.opposite },
    { line: free.at(-1), give: gives.at(-1)?.opposite },
  ];
  for (const { line, give } of sides) {
    if (line === undefined || give === undefined) continue;
    for (let i = 0; i < n; i += 1) {
      let sum = 0;
      for (let j = 0; j < n; j += 1)
        sum += ((give[i * n + j] ?? 0) + (whole[i * n + j] ?? 0)) * (push[j] ?? 0);
      line[i] = (line[i] ?? 0) - sum;
    }
  }
}

/** Opening at a share of the length, linear between readings; closed where nothing was read. */
function profileAt(profile: readonly number[] | undefined, share: number): number {
  if (profile === undefined) return 0;
  const at = Math.min(1, Math.max(0, share)) * (profile.length - 1);
  const low = Math.min(profile.length - 2, Math.floor(at));
  const [from = 0, to = 0] = [profile[low], profile[low + 1]];
  return from + (to - from) * (at - low);
}

/** Greatest force or moment, as a force at the ends, by which any block is out of balance, N. */
function strayOf(forceN: readonly Float64Array[], push: Float64Array, xsMm: Float64Array): number {
  const length = xsMm.at(-1) ?? 1;
  const sides = [push, ...forceN, push];
  let most = 0;
  for (let b = 0; b + 1 < sides.length; b += 1) {
    let [force, moment] = [0, 0];
    xsMm.forEach((x, i) => {
      const net = (sides[b]?.[i] ?? 0) - (sides[b + 1]?.[i] ?? 0);
      force += net;
      moment += net * (x - length / 2);
    });
    most = Math.max(most, Math.abs(force), Math.abs(moment) / length);
  }
  return most;
}
