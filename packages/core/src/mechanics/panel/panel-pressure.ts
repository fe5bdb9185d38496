import { remembered } from '../../basics';
import { InputError } from '../../basics/checks';
import { alongLine, type PressedLine } from './along';
import { contactOf } from './contact';
import { evenNodes, nodesAlong, type PadSpan } from './mesh';
import {
  addPadForces,
  chainOfPanel,
  type LineGap,
  overlapsOf,
  pressableSpan,
  type PressedBoard,
  spanOf,
} from './panel-chain';
import type { NodeSpan } from './contact';

/** A clamp that presses both outer edges at one place. */
export interface PressingClamp {
  readonly xMm: number;
  readonly forceN: number;
  /** Length of its pad along the edge. */
  readonly padMm: number;
}

/** A panel in its clamps. */
export interface PressedPanel {
  /** From one clamped edge to the other. */
  readonly boards: readonly PressedBoard[];
  /** From the first end of any board to the last of any. */
  readonly lengthMm: number;
  readonly clamps: readonly PressingClamp[];
  /** One on each side between pads and edge, grain along the panel. */
  readonly batten?: PressedBoard | undefined;
  readonly gaps?: readonly LineGap[] | undefined;
  /** Stations along a line at which the pressure is told. */
  readonly samples?: number | undefined;
  /** 2 halves every element, for finding out what the mesh costs; 1 unless said otherwise. */
  readonly fineness?: number | undefined;
  /** Even elements stay where they are when clamps move, so that boards are condensed once for all their places. */
  readonly elements?: 'graded' | 'even' | undefined;
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

/** Presses a panel; handed about so that answers may be remembered. */
export type Press = (panel: PressedPanel) => PanelPressure;

/** The panel pressed last: while its elements stay where they are, only its clamps are another. */
const chainAsBefore = remembered(chainOfPanel, 1);

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
  const ends = endsWithin(panel);
  const xsMm =
    panel.elements === 'even'
      ? evenNodes(lengthMm, fineness, ends)
      : nodesAlong(lengthMm, pads, fineness, ends);
  const condensed = chainAsBefore({ boards, batten, gaps: panel.gaps, xsMm, fineness });
  const push = new Float64Array(xsMm.length);
  pads.forEach((pad, c) => addPadForces(push, xsMm, pad, clamps[c]?.forceN ?? 0));
  const free = condensed.read();
  condensed.press(free, push);
  const contact = contactOf(condensed.chain, free);
  const totalN = clamps.reduce((sum, { forceN }) => sum + forceN, 0);
  const strayShare = totalN === 0 ? 0 : strayOf(contact.forceN, push, xsMm, condensed.spans) / totalN;
  const nothing = new Float64Array(xsMm.length);
  const lines = boards.slice(1).map((board, i) => {
    const l = i + condensed.firstLine;
    const [from, to] = condensed.meets[l] ?? [0, xsMm.length - 1];
    return alongLine({
      samples: panel.samples,
      xsMm: xsMm.slice(from, to + 1),
      forceN: (contact.forceN[l] ?? nothing).slice(from, to + 1),
      openMm: (contact.openMm[l] ?? nothing).slice(from, to + 1),
      thicknessMm: Math.min(board.thicknessMm, boards[i]?.thicknessMm ?? Infinity),
    });
  });
  return {
    lines,
    status: !contact.converged ? 'not-converged' : strayShare > MOST_STRAY ? 'unstable' : 'converged',
    unknowns: condensed.unknowns,
    iterations: contact.iterations,
    strayShare,
  };
}

/**
 * The same by even elements: after the first time a panel takes a third as long with its clamps elsewhere, which is what it is for.
 *
 * Range: as `panelPressure`, from which the lowest of a line differs by less than 5 % of its mean, mostly by less than 1 %, and no
 * station of a line that is shut by more than 5 % of the highest, see the tests; at the edge of what stays open by up to a tenth.
 */
export const steadyPressure: Press = (panel) => panelPressure({ ...panel, elements: 'even' });

/** Where boards begin and end between the two ends of a panel. */
export function endsWithin({ boards, lengthMm }: Pick<PressedPanel, 'boards' | 'lengthMm'>): number[] {
  const ends = boards.map((board) => spanOf(board, lengthMm)).flatMap(({ fromMm, toMm }) => [fromMm, toMm]);
  return [...new Set(ends)].filter((at) => at > 0 && at < lengthMm);
}

/** Shortest stretch along which two boards of a line must meet, mm: a few elements. */
const LEAST_OVERLAP_MM = 20;

function check({ boards, lengthMm, clamps, gaps }: PressedPanel): void {
  if (boards.length < 2) {
    throw new InputError(
      'inconsistent',
      'boards',
      'A panel with a glue line has two boards or more.',
      'two boards',
    );
  }
  boards.forEach((board, i) => {
    const { fromMm, toMm } = spanOf(board, lengthMm);
    if (fromMm < 0 || toMm > lengthMm + 1e-9) {
      throw new InputError(
        'out-of-range',
        `boards.${i}.fromMm`,
        `Board ${i + 1} lies from ${fromMm} to ${toMm} mm, past an end of the panel, which is ${lengthMm} mm long.`,
        `a stretch between 0 and ${lengthMm} mm`,
      );
    }
  });
  overlapsOf(boards, lengthMm).forEach(({ fromMm, toMm }, l) => {
    if (toMm - fromMm < LEAST_OVERLAP_MM) {
      throw new InputError(
        'inconsistent',
        `boards.${l + 1}.fromMm`,
        `Boards ${l + 1} and ${l + 2} do not lie beside each other.`,
        `boards that meet along ${LEAST_OVERLAP_MM} mm or more`,
      );
    }
  });
  const { fromMm: lowMm, toMm: highMm } = pressableSpan(boards, lengthMm);
  clamps.forEach(({ xMm, forceN, padMm }, i) => {
    if (!(forceN >= 0)) {
      throw new InputError(
        'out-of-range',
        `clamps.${i}.forceN`,
        `Clamp ${i + 1} pulls with ${forceN} N; a clamp cannot push.`,
        'a force of 0 or more',
      );
    }
    if (!(padMm > 0) || xMm - padMm / 2 < lowMm - 1e-9 || xMm + padMm / 2 > highMm + 1e-9) {
      throw new InputError(
        'out-of-range',
        `clamps.${i}.xMm`,
        `The pad of clamp ${i + 1}, ${padMm} mm long at ${xMm} mm, reaches past an end of an outer board.`,
        `a place between ${lowMm + padMm / 2} and ${highMm - padMm / 2} mm`,
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

/** Greatest force or moment, as a force at the ends, by which any block is out of balance, N. */
function strayOf(
  forceN: readonly Float64Array[],
  push: Float64Array,
  xsMm: Float64Array,
  spans: readonly NodeSpan[],
): number {
  const sides = [push, ...forceN, push];
  let most = 0;
  for (let b = 0; b + 1 < sides.length; b += 1) {
    const [first, last] = spans[b] ?? [0, xsMm.length - 1];
    const [fromMm, toMm] = [xsMm[first] ?? 0, xsMm[last] ?? 1];
    let [force, moment] = [0, 0];
    xsMm.forEach((x, i) => {
      const net = (sides[b]?.[i] ?? 0) - (sides[b + 1]?.[i] ?? 0);
      force += net;
      moment += net * (x - (fromMm + toMm) / 2);
    });
    most = Math.max(most, Math.abs(force), Math.abs(moment) / (toMm - fromMm));
  }
  return most;
}
