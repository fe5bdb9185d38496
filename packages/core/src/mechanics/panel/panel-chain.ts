import {
  type Cut,
  modulusAcross,
  poissonInFace,
  shearModulusInFace,
  type WoodProperties,
} from '../../materials';
import { edgeGive, type EdgeGive } from './block';
import type { Block } from './columns';
import type { Chain } from './contact';
import type { PlaneWood } from './element';
import { nodesAcross, type PadSpan } from './mesh';

/** A board of a panel, seen flat. */
export interface PressedBoard {
  readonly widthMm: number;
  readonly wood: WoodProperties;
  readonly cut: Cut;
  readonly thicknessMm: number;
}

/** An opening read at the dry fit, at equal steps from one end of a line to the other; + open. */
export interface LineGap {
  readonly line: number;
  readonly profileMm: readonly number[];
}

/** A board that nothing touches drifts against this, N/mm for the whole of it: soft beside any wood. */
const DRIFT_N_PER_MM = 0.01;

/** A panel condensed onto its glue lines. */
export interface PanelChain {
  /** Lines under a batten count too, the first and the last. */
  readonly chain: Chain;
  /** How many lines come before the first one of the panel. */
  readonly firstLine: number;
  readonly unknowns: number;
  /** Openings of all lines, as read at the dry fit, before anything presses. */
  readonly read: () => Float64Array[];
  /** Adds to the openings what forces on the nodes of both outer edges do. */
  readonly press: (openMm: readonly Float64Array[], push: Float64Array) => void;
}

/** What a panel is condensed from. */
interface PanelMesh {
  readonly boards: readonly PressedBoard[];
  readonly batten: PressedBoard | undefined;
  readonly gaps: readonly LineGap[] | undefined;
  readonly xsMm: Float64Array;
  readonly fineness: number;
}

/** Condenses every board, and a batten at either edge, onto the nodes of its edges. */
export function chainOfPanel({ boards, batten, gaps, xsMm, fineness }: PanelMesh): PanelChain {
  const rows = batten === undefined ? boards : [batten, ...boards, batten];
  const blocks = rows.map((board, i) =>
    blockOf(board, xsMm, nodesAcross(board.widthMm, i === 0 || i === rows.length - 1, fineness)),
  );
  const gives = givesOf(blocks);
  const whole = movesAsWhole(xsMm);
  const chain = chainOf(gives, whole, xsMm.length);
  const firstLine = batten === undefined ? 0 : 1;
  const lengthMm = xsMm.at(-1) ?? 1;
  const profileOf = (l: number) => gaps?.find(({ line }) => line === l - firstLine)?.profileMm;
  return {
    chain,
    firstLine,
    unknowns: blocks.reduce((sum, block) => sum + 2 * block.xsMm.length * block.ysMm.length, 0),
    read: () => chain.own.map((_, l) => xsMm.map((x) => profileAt(profileOf(l), x / lengthMm))),
    press: (openMm, push) => press(openMm, gives, push, whole),
  };
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
    own: lines.map((l) => summed([gives[l]?.same, gives[l + 1]?.same, whole, whole], 1)),
    // The next line presses the board between them down where this one lifts it.
    next: lines.slice(0, -1).map((l) => summed([gives[l + 1]?.opposite, whole], -1)),
  };
}

/** Matrices of one size added up, entry by entry, and taken `times`. */
function summed(matrices: readonly (Float64Array | undefined)[], times: number): Float64Array {
  const sum = new Float64Array(matrices[0]?.length ?? 0);
  for (const matrix of matrices)
    for (let i = 0; i < sum.length; i += 1) sum[i] = (sum[i] ?? 0) + times * (matrix?.[i] ?? 0);
  return sum;
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

/** What a pad of so much force, spread evenly, puts on the nodes of an outer edge, N; its edges may lie between nodes. */
export function addPadForces(push: Float64Array, xsMm: Float64Array, pad: PadSpan, forceN: number): void {
  const perMm = forceN / (pad.toMm - pad.fromMm);
  for (let i = 0; i + 1 < xsMm.length; i += 1) {
    const [from, to] = [xsMm[i] ?? 0, xsMm[i + 1] ?? 0];
    const [low, high] = [Math.max(from, pad.fromMm), Math.min(to, pad.toMm)];
    if (high <= low) continue;
    // Linear between the two nodes: the later one has the share at the middle of what is covered.
    const later = ((low + high) / 2 - from) / (to - from);
    const load = perMm * (high - low);
    push[i] = (push[i] ?? 0) + load * (1 - later);
    push[i + 1] = (push[i + 1] ?? 0) + load * later;
  }
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
