import type { AssemblyFacts, JointFacts, Pull } from '../../assembly';
import { leastBy } from '../../basics/least-by';
import { pressureWord, type TargetPressure } from '../../clamps';
import type { BuildDocument, RackLot } from '../../formats';
import { pullFrame } from '../squeeze/pull-frame';
import { nearestLine } from './lines-of-pull';
import { type Piece, piecesOf, piecesPlaced } from './pieces';
import { countAsked, type PlacedOnPull, placementsOf, takenBy } from './placed-on-pull';
import type { PlannedPull } from './planned-pull';
import { placeableLots, takeFromRack } from './take-from-rack';
import { clampsForLines, lineGroups, stoodOnLines, type WantedLine } from './wanted-lines';

/** What a pull along lines is planned from. */
export interface LineJob {
  readonly pull: Pull;
  /** Joints that it closes: those with glue, all of them where none has any. */
  readonly joints: readonly JointFacts[];
  /** The one of most area, which the pull is called by. */
  readonly largest: JointFacts;
  readonly areaMm2: number;
  readonly wanted: TargetPressure;
  /** What the softest wood bears across the grain. */
  readonly crushMPa: number;
  readonly facts: AssemblyFacts;
  readonly rack: readonly RackLot[];
  readonly squeeze: NonNullable<BuildDocument['squeeze']>;
}

/**
 * A pull that closes joints line by line: brings shoulders and housings home, or presses glue where lines lie beside each other.
 * @param seats whether force counts, not pressure.
 */
export function linewisePull(job: LineJob, lines: readonly WantedLine[], seats: boolean): PlannedPull {
  const { pull, largest, areaMm2, wanted, crushMPa, rack, squeeze } = job;
  const { placed, idle } = placementsOf(pull, squeeze, placeableLots(pull, rack));
  const byHand = placed.length + idle.length > 0;
  const standing = byHand ? placedOnLines(job, lines, placed) : takenForLines(job, lines, seats);
  const groups = lineGroups(lines, standing);
  const groupOf = ({ line }: Piece) => groups[groups.length === 1 ? 0 : (line ?? 0)];
  // To the newton, so that what is pulled alike is told together.
  const pieces = standing.map((piece) => ({
    ...piece,
    forceN: Math.min(piece.mostN, Math.round(groupOf(piece)?.easedToN ?? piece.mostN)),
  }));
  // Pegs draw joints home where nothing is pulled.
  const offsetMm = pull.pegs?.offsetMm ?? 0;
  const drawnMm = pieces.length === 0 && offsetMm > 0 ? offsetMm : null;
  const neededN = lines.reduce((sum, line) => sum + line.neededN, 0);
  const reachedN = pieces.reduce((sum, { forceN }) => sum + forceN, 0);
  const least = leastBy(groups, (group) => group.reachN / group.neededN);
  const leastMet =
    drawnMm === null
      ? {
          label: groups.length === 1 ? largest.label : least.label,
          neededN: least.neededN,
          reachN: least.reachN,
        }
      : { label: largest.label, neededN, reachN: neededN };
  const share = leastMet.reachN / leastMet.neededN;
  const reachMPa = wanted.lowMPa * share;
  return {
    pull,
    joint: largest.label,
    seats,
    areaMm2,
    wanted,
    crushMPa,
    neededN,
    taken: takenBy(pieces),
    pieces,
    placed: placed.map((each, i) => ({ ...each, forceN: pieces[i]?.forceN ?? each.forceN })),
    idle,
    reachN: drawnMm === null ? reachedN : neededN,
    mostN: pieces.reduce((sum, { mostN }) => sum + mostN, 0),
    leastMet,
    lines: lines.map(({ neededN: own, clamps }) => ({ neededN: own, clamps })),
    reachMPa,
    // A seat is right between what brings it home and a little more, which its pull is eased to.
    word: seats && share >= 1 - 1e-9 ? 'right' : pressureWord(reachMPa, wanted, crushMPa),
    drawnMm,
  };
}

/** Clamps off the rack, for seats the lightest that do, each on the line that wants it most. */
function takenForLines(
  { pull, joints, rack, squeeze }: LineJob,
  lines: readonly WantedLine[],
  seats: boolean,
): readonly Piece[] {
  const neededN = lines.reduce((sum, line) => sum + line.neededN, 0);
  const longestMm = Math.max(...joints.map(({ lengthMm }) => lengthMm));
  const taken = takeFromRack(pull, neededN, rack, longestMm, joints.length, {
    wanted: countAsked(pull, squeeze),
    leastOf: (forceN) => clampsForLines(lines, forceN),
    roomMm: Infinity,
    lightestFromN: seats ? Math.max(...lines.map((line) => line.neededN / line.clamps)) : null,
  });
  const pieces = piecesOf(taken);
  return standsOnLines(pull) ? stoodOnLines(lines, pieces) : pieces;
}

/** Clamps that the person has placed, each on the line nearest to it. */
function placedOnLines(
  { pull, facts }: LineJob,
  lines: readonly WantedLine[],
  placed: readonly PlacedOnPull[],
): readonly Piece[] {
  const frame = pullFrame(pull, facts);
  return piecesPlaced(placed).map((piece, i) => {
    const clamp = placed[i]?.clamp;
    return clamp === undefined || !standsOnLines(pull)
      ? piece
      : { ...piece, line: nearestLine(lines, frame.at(clamp)) };
  });
}

/** What goes round, into a bag or through a stack has no line of its own. */
const standsOnLines = ({ need, stacked }: Pull): boolean => (need === 'seat' || need === 'line') && !stacked;
