import { leastBy, remembered } from '../../basics';
import {
  type Cut,
  modulusAcross,
  poissonInFace,
  shearModulusInFace,
  type WoodProperties,
} from '../../materials';
import { edgeGive, type EdgeGive } from './block';
import type { Block } from './columns';
import type { Chain, NodeSpan } from './contact';
import type { PlaneWood } from './element';
import { nodesAcross, type PadSpan } from './mesh';

/** A board of a panel, seen flat. */
export interface PressedBoard {
  readonly widthMm: number;
  readonly wood: WoodProperties;
  readonly cut: Cut;
  readonly thicknessMm: number;
  /** Where it begins along the panel, and how long it is; as long as the panel unless said otherwise. */
  readonly fromMm?: number | undefined;
  readonly lengthMm?: number | undefined;
}

/** An opening read at the dry fit, at equal steps from one end of a line to the other; + open. */
export interface LineGap {
  readonly line: number;
  readonly profileMm: readonly number[];
}

/** A board that nothing touches drifts against this, N/mm for the whole of it: soft beside any wood. */
const DRIFT_N_PER_MM = 0.01;

/** From where to where a board of a panel so long lies. */
export const spanOf = ({ fromMm = 0, lengthMm }: PressedBoard, panelMm: number): PadSpan => ({
  fromMm,
  toMm: lengthMm === undefined ? panelMm : fromMm + lengthMm,
});

/** Where a pad may press: on both outer boards. */
export function pressableSpan(boards: readonly PressedBoard[], panelMm: number): PadSpan {
  const outer = [boards[0], boards.at(-1)].flatMap((board) =>
    board === undefined ? [] : [spanOf(board, panelMm)],
  );
  return {
    fromMm: Math.max(...outer.map(({ fromMm }) => fromMm)),
    toMm: Math.min(...outer.map(({ toMm }) => toMm)),
  };
}

/** Where the two boards of each line lie beside each other. */
export function overlapsOf(boards: readonly PressedBoard[], panelMm: number): PadSpan[] {
  const spans = boards.map((board) => spanOf(board, panelMm));
  return spans.slice(1).map((span, l) => ({
    fromMm: Math.max(span.fromMm, spans[l]?.fromMm ?? 0),
    toMm: Math.min(span.toMm, spans[l]?.toMm ?? panelMm),
  }));
}

/** A panel condensed onto its glue lines. */
export interface PanelChain {
  /** Lines under a batten count too, the first and the last. */
  readonly chain: Chain;
  /** How many lines come before the first one of the panel. */
  readonly firstLine: number;
  /** Nodes at which the two boards of each line meet. */
  readonly meets: readonly NodeSpan[];
  /** Nodes of each board, battens included. */
  readonly spans: readonly NodeSpan[];
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
  const lengthMm = xsMm.at(-1) ?? 1;
  const [first, last] = [boards[0], boards.at(-1)];
  // A batten is as long as the board that it lies against.
  const besides = (board: PressedBoard | undefined): PressedBoard[] =>
    batten === undefined
      ? []
      : [{ ...batten, fromMm: board?.fromMm ?? undefined, lengthMm: board?.lengthMm ?? undefined }];
  const rows = [...besides(first), ...boards, ...besides(last)];
  const spans = rows.map((board) => nodesOf(spanOf(board, lengthMm), xsMm));
  const blocks = rows.map((board, i) => {
    const [from, to] = spans[i] ?? [0, xsMm.length - 1];
    const acrossMm = nodesAcross(board.widthMm, i === 0 || i === rows.length - 1, fineness);
    return blockOf(board, xsMm.slice(from, to + 1), acrossMm);
  });
  const gives = givesOf(blocks, spans, xsMm.length);
  const wholes = wholesOf(spans, xsMm);
  const meets = spans
    .slice(1)
    .map(([from, to], l): NodeSpan => [
      Math.max(from, spans[l]?.[0] ?? 0),
      Math.min(to, spans[l]?.[1] ?? to),
    ]);
  const chain = { ...chainOf(gives, wholes, xsMm.length), meets };
  const firstLine = batten === undefined ? 0 : 1;
  const profileOf = (l: number) => gaps?.find(({ line }) => line === l - firstLine)?.profileMm;
  return {
    chain,
    firstLine,
    meets,
    spans,
    unknowns: blocks.reduce((sum, block) => sum + 2 * block.xsMm.length * block.ysMm.length, 0),
    read: () =>
      chain.own.map((_, l) => {
        const [from = 0, to = lengthMm] = (meets[l] ?? []).map((node) => xsMm[node]);
        return xsMm.map((x) => profileAt(profileOf(l), (x - from) / (to - from)));
      }),
    press: (openMm, push) => press(openMm, gives, push, wholes),
  };
}

/** The nodes from one end of a board to the other. */
function nodesOf({ fromMm, toMm }: PadSpan, xsMm: Float64Array): NodeSpan {
  const nodes = [...xsMm.keys()];
  const at = (mm: number) => leastBy(nodes, (i) => Math.abs((xsMm[i] ?? 0) - mm));
  return [at(fromMm), at(toMm)];
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

/** Boards condensed lately: a harder pull, another gap or glue leave them as they were. */
const MOST_REMEMBERED = 12;
const giveOf = remembered(edgeGive, MOST_REMEMBERED);

/** Equal boards are worked out once; a board shorter than the panel moves nothing past its ends. */
function givesOf(blocks: readonly Block[], spans: readonly NodeSpan[], nodes: number): EdgeGive[] {
  const known = new Map<string, EdgeGive>();
  return blocks.map((block, b) => {
    const span = spans[b] ?? [0, nodes - 1];
    const key = JSON.stringify([block.wood, block.thicknessMm, block.ysMm.at(-1), block.ysMm.length, span]);
    const found = known.get(key);
    if (found !== undefined) return found;
    const own = giveOf(block);
    const give = {
      same: placedAt(own.same, span, nodes),
      opposite: placedAt(own.opposite, span, nodes),
    };
    known.set(key, give);
    return give;
  });
}

/** A square matrix of some nodes among all of them, with nothing elsewhere. */
function placedAt(matrix: Float64Array, [from, to]: NodeSpan, nodes: number): Float64Array {
  const own = to - from + 1;
  if (own === nodes) return matrix;
  const all = new Float64Array(nodes * nodes);
  for (let i = 0; i < own; i += 1) {
    all.set(matrix.subarray(i * own, (i + 1) * own), (from + i) * nodes + from);
  }
  return all;
}

/** How each board moves as a whole; boards of one stretch alike. */
function wholesOf(spans: readonly NodeSpan[], xsMm: Float64Array): Float64Array[] {
  const known = new Map<string, Float64Array>();
  return spans.map((span) => {
    const key = span.join(' ');
    const whole =
      known.get(key) ?? placedAt(movesAsWhole(xsMm.slice(span[0], span[1] + 1)), span, xsMm.length);
    known.set(key, whole);
    return whole;
  });
}

/** How lines open under forces on them; a block that drifts or turns as a whole does so against almost nothing. */
function chainOf(
  gives: readonly EdgeGive[],
  wholes: readonly Float64Array[],
  nodes: number,
): Omit<Chain, 'meets'> {
  const lines = gives.slice(1).map((_, l) => l);
  return {
    nodes,
    own: lines.map((l) => summed([gives[l]?.same, gives[l + 1]?.same, wholes[l], wholes[l + 1]], 1)),
    // The next line presses the board between them down where this one lifts it.
    next: lines.slice(0, -1).map((l) => summed([gives[l + 1]?.opposite, wholes[l + 1]], -1)),
  };
}

/** Matrices of one size added up, entry by entry, and taken `times`. */
function summed(matrices: readonly (Float64Array | undefined)[], times: number): Float64Array {
  const sum = new Float64Array(matrices[0]?.length ?? 0);
  for (const matrix of matrices) if (matrix !== undefined) addTimes(sum, matrix, times);
  return sum;
}

function addTimes(sum: Float64Array, matrix: Float64Array, times: number): void {
  for (let i = 0; i < sum.length; i += 1) sum[i] = (sum[i] ?? 0) + times * (matrix[i] ?? 0);
}

/** Movement of node i for a newton at node j by drifting and turning as a whole. */
function movesAsWhole(xsMm: Float64Array): Float64Array {
  const n = xsMm.length;
  const length = (xsMm[n - 1] ?? 1) - (xsMm[0] ?? 0);
  const middle = (xsMm[0] ?? 0) + length / 2;
  const whole = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) {
    for (let j = 0; j < n; j += 1) {
      const turn = (12 * ((xsMm[i] ?? 0) - middle) * ((xsMm[j] ?? 0) - middle)) / length ** 2;
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
  wholes: readonly Float64Array[],
): void {
  const n = push.length;
  const sides = [
    { line: free[0], give: gives[0]?.opposite, whole: wholes[0] },
    { line: free.at(-1), give: gives.at(-1)?.opposite, whole: wholes.at(-1) },
  ];
  for (const { line, give, whole } of sides) {
    if (line === undefined || give === undefined) continue;
    for (let i = 0; i < n; i += 1) {
      let sum = 0;
      for (let j = 0; j < n; j += 1)
        sum += ((give[i * n + j] ?? 0) + (whole?.[i * n + j] ?? 0)) * (push[j] ?? 0);
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
