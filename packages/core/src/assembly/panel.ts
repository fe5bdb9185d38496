import type { Board, PanelBuild } from '../formats';
import { type GluingTraits, resolveSpecies, type WoodProperties } from '../materials';

/** A board with its letter and its wood looked up. */
export interface PanelBoard {
  readonly board: Board;
  /** A, B, C … from the first clamped edge. */
  readonly label: string;
  readonly wood: WoodProperties;
  readonly traits: GluingTraits;
  readonly woodName: string;
  /** Distance of its first edge from the first clamped edge of the panel. */
  readonly fromMm: number;
}

/** One glue line between two neighbouring boards. */
export interface PanelLine {
  readonly index: number;
  readonly label: string;
  readonly first: PanelBoard;
  readonly second: PanelBoard;
  /** Length along which the two boards really meet. */
  readonly lengthMm: number;
  readonly heightMm: number;
  readonly areaMm2: number;
  /** Distance from the first clamped edge. */
  readonly atMm: number;
  /** Wood between the nearer clamped edge and the line. */
  readonly depthMm: number;
}

/** An edge-glued panel: boards side by side, flush at their first end. */
export interface Panel {
  readonly boards: readonly PanelBoard[];
  readonly lines: readonly PanelLine[];
  readonly widthMm: number;
  /** Longest board. */
  readonly lengthMm: number;
  /** Thinnest board. */
  readonly thicknessMm: number;
  readonly volumeMm3: number;
  readonly massKg: number;
  readonly faceAreaMm2: number;
  readonly gluedAreaMm2: number;
}

/** Letters for boards: A … Z, AA, AB … */
export function boardLabel(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 26 ? letter : boardLabel(Math.floor(index / 26) - 1) + letter;
}

/**
 * Derives the solids of a panel from its build.
 * Specific gravity is oven-dry mass over volume at 12 % MC, so mass at 12 % is volume × sg × 1.12 g/cm³.
 * @throws InputError for a species id that the catalogue does not hold.
 */
export function panelOf(build: PanelBuild): Panel {
  const boards: PanelBoard[] = [];
  let fromMm = 0;
  build.boards.forEach((board, index) => {
    const { properties, traits, name } = resolveSpecies(board.species, `boards.${index}.species`);
    boards.push({ board, label: boardLabel(index), wood: properties, traits, woodName: name, fromMm });
    fromMm += board.widthMm;
  });
  const widthMm = fromMm;
  const lines = boards
    .slice(1)
    .map((second, index) => lineBetween(boards[index] as PanelBoard, second, index, widthMm));
  const volumes = boards.map(({ board }) => board.widthMm * board.thicknessMm * board.lengthMm);
  return {
    boards,
    lines,
    widthMm,
    lengthMm: Math.max(...boards.map(({ board }) => board.lengthMm)),
    thicknessMm: Math.min(...boards.map(({ board }) => board.thicknessMm)),
    volumeMm3: sum(volumes),
    massKg: sum(boards.map(({ wood }, i) => (volumes[i] ?? 0) * wood.sg * 1.12 * 1e-6)),
    faceAreaMm2: sum(boards.map(({ board }) => board.widthMm * board.lengthMm)),
    gluedAreaMm2: sum(lines.map((line) => line.areaMm2)),
  };
}

function lineBetween(first: PanelBoard, second: PanelBoard, index: number, widthMm: number): PanelLine {
  const lengthMm = Math.min(first.board.lengthMm, second.board.lengthMm);
  const heightMm = Math.min(first.board.thicknessMm, second.board.thicknessMm);
  return {
    index,
    label: `${first.label}–${second.label}`,
    first,
    second,
    lengthMm,
    heightMm,
    areaMm2: lengthMm * heightMm,
    atMm: second.fromMm,
    depthMm: Math.min(second.fromMm, widthMm - second.fromMm),
  };
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
