import { consistentPressure } from './along';
import { type NodeSpan, shutLines } from './contact';
import { evenNodes, type PadSpan } from './mesh';
import { addPadForces, chainOfPanel } from './panel-chain';
import { endsWithin, type PressedPanel } from './panel-pressure';

/** A place along the edge where a pad could press. */
export interface PressPlace {
  readonly xMm: number;
  readonly padMm: number;
}

/** What each place does to every line, to be added up. */
export interface UnitPressures {
  /** Nodes along the length, the same on every line. */
  readonly xsMm: Float64Array;
  /** First and last node at which the two boards of each line meet; past them there is nothing to press. */
  readonly meets: readonly NodeSpan[];
  /** Pressure at the nodes of all lines, one after the other, for one newton at each place, MPa. */
  readonly perNewton: readonly Float64Array[];
  /** The same from the openings of the dry fit alone: what closing them costs, MPa; negative where it pulls apart. */
  readonly fromGaps: Float64Array;
}

/**
 * Pressures under one newton at each of many places, by the same elements as `panelPressure`, all lines shut.
 *
 * While nothing opens the panel is linear, so any set of clamps is the sum of its places: trying a thousand sets costs a
 * thousand additions. A sum that falls below nothing somewhere is only a sign that the line opens there, not how far.
 * Range: as `panelPressure`; elements are even along the length, so within about 3 % of the mean of its graded ones.
 */
export function unitPressures(
  panel: Omit<PressedPanel, 'clamps' | 'samples'>,
  places: readonly PressPlace[],
): UnitPressures {
  const { boards, batten, lengthMm, fineness = 1 } = panel;
  const xsMm = evenNodes(lengthMm, fineness, endsWithin(panel));
  const condensed = chainOfPanel({ boards, batten, gaps: panel.gaps, xsMm, fineness });
  const { chain, firstLine } = condensed;
  const forcesOf = shutLines(chain);
  const lines = boards.length - 1;
  const n = xsMm.length;
  const shut = new Float64Array(n);
  const heights = boards
    .slice(1)
    .map((board, i) => Math.min(board.thicknessMm, boards[i]?.thicknessMm ?? Infinity));
  const pressures = (openMm: readonly Float64Array[]): Float64Array => {
    const forces = forcesOf(openMm);
    const all = new Float64Array(lines * n);
    heights.forEach((thicknessMm, l) => {
      const [from, to] = condensed.meets[l + firstLine] ?? [0, n - 1];
      const part = (nodes: Float64Array) => nodes.slice(from, to + 1);
      const pressed = consistentPressure({
        xsMm: part(xsMm),
        forceN: part(forces[l + firstLine] ?? shut),
        openMm: part(shut),
        thicknessMm,
      });
      all.set(pressed, l * n + from);
    });
    return all;
  };
  return {
    xsMm,
    meets: condensed.meets.slice(firstLine, firstLine + lines),
    fromGaps: pressures(condensed.read()),
    perNewton: places.map(({ xMm, padMm }) => {
      const pad: PadSpan = { fromMm: xMm - padMm / 2, toMm: xMm + padMm / 2 };
      const push = new Float64Array(n);
      addPadForces(push, xsMm, pad, 1);
      const openMm = chain.own.map(() => new Float64Array(n));
      condensed.press(openMm, push);
      return pressures(openMm);
    }),
  };
}
