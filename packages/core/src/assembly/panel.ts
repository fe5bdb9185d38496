import { InputError } from '../basics/checks';
import type { Board } from '../formats';
import type { GluingTraits, WoodProperties } from '../materials';
import { MAIN_AXES, reach, solidPoints } from '../solids';
import type { BlockSeat, ClampsOnBlocks } from './assembly';
import type { AssemblyFacts, PartFacts } from './derive';
import type { JointFacts } from './joint-facts';

/** A board of a row with its wood looked up, as a rectangle. */
export interface PanelBoard {
  readonly board: Board;
  /** What it is called at the bench, such as "A". */
  readonly label: string;
  readonly wood: WoodProperties;
  readonly traits: GluingTraits;
  readonly woodName: string;
  /** Distance of its first edge from the first clamped edge of the panel. */
  readonly fromMm: number;
  /** Distance of its first end from the first end of the panel. */
  readonly startMm: number;
}

/** One glue line between two neighbouring boards. */
export interface PanelLine {
  readonly index: number;
  /** Of its joint. */
  readonly id: string;
  readonly label: string;
  readonly first: PanelBoard;
  readonly second: PanelBoard;
  /** Where along the panel it begins, and the length along which the two boards really meet. */
  readonly startMm: number;
  readonly lengthMm: number;
  readonly heightMm: number;
  readonly areaMm2: number;
  /** Distance from the first clamped edge. */
  readonly atMm: number;
  /** Wood between the nearer clamped edge and the line. */
  readonly depthMm: number;
}

/** A stretch along the panel, from and to, mm. */
export type Stretch = readonly [number, number];

/** Boards edge to edge that lie in the bars together. */
export interface BoardsInBars {
  readonly boards: readonly PanelBoard[];
  readonly lines: readonly PanelLine[];
  readonly widthMm: number;
  /** From the first end of any board to the last of any. */
  readonly lengthMm: number;
  /** Boards that jaws ever bear on: the two outermost, and where a row is glued in stages those of every stage. */
  readonly outer: readonly PanelBoard[];
  /** Where jaws may stand: on all of those, or on the blocks along a curved edge. */
  readonly stands: readonly Stretch[];
}

/** A row of boards edge to edge. */
export interface Panel extends BoardsInBars {
  /** Thinnest board. */
  readonly thicknessMm: number;
  readonly volumeMm3: number;
  readonly massKg: number;
  readonly faceAreaMm2: number;
  readonly gluedAreaMm2: number;
  /** Its outline is cut before it is glued, so that ends are no measure of squareness. */
  readonly outlined: boolean;
  /** How blocks along a curved edge sit on it, x from the first end of the row and rising along each face; empty where edges are straight. */
  readonly seats: readonly BlockSeat[];
  readonly blockClamps: ClampsOnBlocks | undefined;
}

const [ALONG] = MAIN_AXES;

/**
 * The row that an assembly's boards make: x along their grain, y across from one clamped edge to the other.
 * @throws InputError `inconsistent` where the assembly is no row.
 */
export function panelOf(facts: AssemblyFacts): Panel {
  if (!facts.assembly.row) {
    throw new InputError(
      'inconsistent',
      'template',
      'These parts do not lie in a row.',
      'boards side by side',
    );
  }
  const startsAt = facts.fromMm[0];
  const boards: PanelBoard[] = [];
  let fromMm = 0;
  for (const own of facts.parts) {
    boards.push(boardOf(own, fromMm, startsAt));
    fromMm += own.part.blankMm[1];
  }
  const widthMm = fromMm;
  const lines = boards.slice(1).map((second, index): PanelLine => {
    const first = boards[index] as PanelBoard;
    return lineBetween(first, second, index, {
      widthMm,
      joint: jointBetween(facts, first, second),
      startsAt,
    });
  });
  const outer = outermost(boards);
  const blocks = blockStands(facts, startsAt);
  return {
    boards,
    lines,
    outer,
    widthMm,
    lengthMm: facts.toMm[0] - startsAt,
    thicknessMm: Math.min(...boards.map(({ board }) => board.thicknessMm)),
    volumeMm3: sum(facts.parts.map(({ volumeMm3 }) => volumeMm3)),
    massKg: facts.massKg,
    faceAreaMm2: sum(facts.parts.map(({ volumeMm3, part }) => volumeMm3 / part.blankMm[2])),
    gluedAreaMm2: sum(lines.map((line) => line.areaMm2)),
    stands: blocks.length > 0 ? blocks : [sharedStretch(outer)],
    outlined: blocks.length > 0,
    seats: seatsOf(facts, startsAt),
    blockClamps: facts.assembly.blockClamps,
  };
}

function boardOf({ part, wood, traits, woodName }: PartFacts, fromMm: number, startsAt: number): PanelBoard {
  const [low, high] = reach(solidPoints(part.solid), ALONG);
  return {
    board: {
      id: part.id,
      species: part.species,
      widthMm: part.blankMm[1],
      thicknessMm: part.blankMm[2],
      lengthMm: high - low,
      cut: part.ring?.cut ?? 'flat',
      heart: part.ring?.heart ?? 'up',
      ringRadiusMm: part.ring?.radiusMm ?? Infinity,
      mcPct: part.mcPct,
    },
    label: part.label,
    wood,
    traits,
    woodName,
    fromMm,
    startMm: low - startsAt,
  };
}

function jointBetween({ joints }: AssemblyFacts, first: PanelBoard, second: PanelBoard): JointFacts {
  const found = joints.find(({ joint }) => joint.a === first.board.id && joint.b === second.board.id);
  if (found === undefined) throw new Error('unreachable: neighbours in a row are joined');
  return found;
}

function lineBetween(
  first: PanelBoard,
  second: PanelBoard,
  index: number,
  {
    widthMm,
    joint: facts,
    startsAt,
  }: { readonly widthMm: number; readonly joint: JointFacts; readonly startsAt: number },
): PanelLine {
  const [low, high] = reach(
    facts.contacts.flatMap(({ loops }) => loops.flat()),
    ALONG,
  );
  return {
    index,
    id: facts.joint.id,
    label: facts.label,
    first,
    second,
    startMm: low - startsAt,
    lengthMm: high - low,
    heightMm: Math.min(first.board.thicknessMm, second.board.thicknessMm),
    areaMm2: facts.contactMm2,
    atMm: second.fromMm,
    depthMm: Math.min(second.fromMm, widthMm - second.fromMm),
  };
}

/** Along curved and live edges jaws stand on the blocks that are cut to them; nothing where there are none. */
function blockStands({ assembly }: AssemblyFacts, startsAt: number): Stretch[] {
  const blocks = assembly.aids
    .filter(({ role }) => role === 'block')
    .map(({ solid }) => reach(solidPoints(solid), ALONG))
    .map(([low, high]): Stretch => [low - startsAt, high - startsAt])
    .sort((a, b) => a[0] - b[0]);
  // Blocks stand in pairs, one on each side.
  return blocks.filter(([low], i) => i === 0 || low > (blocks[i - 1]?.[0] ?? 0) + 1);
}

const seatsOf = ({ assembly }: AssemblyFacts, startsAt: number): BlockSeat[] =>
  assembly.aids.flatMap(({ seat }) =>
    seat === undefined
      ? []
      : [
          {
            ...seat,
            face: seat.face.map(([x, y]) => [x - startsAt, y] as const).sort((a, b) => a[0] - b[0]),
          },
        ],
  );

/** The first and the last of boards side by side. */
export const outermost = (boards: readonly PanelBoard[]): PanelBoard[] =>
  [boards[0], boards.at(-1)].filter((board) => board !== undefined);

/** Where all of these boards are, along the panel. */
export const sharedStretch = (boards: readonly PanelBoard[]): Stretch => [
  Math.max(...boards.map(({ startMm }) => startMm)),
  Math.min(...boards.map(({ startMm, board }) => startMm + board.lengthMm)),
];

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
