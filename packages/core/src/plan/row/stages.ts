import { type BoardsInBars, outermost, type Panel, type PanelBoard, sharedStretch } from '../../assembly';
import { leastBy } from '../../basics/least-by';
import { sessionIndexes } from '../order/session-indexes';

/** What lies in the bars in one session of a row. */
export interface RowStage {
  /** From 0. */
  readonly session: number;
  /** Ids of the lines that are glued in it. */
  readonly glued: readonly string[];
  /** Boards glued before, as the one board they are by now, and those put to them; lines that stay dry are among its lines. */
  readonly panel: BoardsInBars;
}

/**
 * A row by its sessions: in each lie the boards of the lines it glues, with whatever has been glued to them before. Further boards
 * are not there yet, so that bars close further and the pull spreads over less wood. A row whose outline is cut beforehand always
 * lies in its bars as a whole, since its blocks fit nothing else.
 * @param sessions ids of the lines of each; lines that none names are glued in the last.
 */
export function stagesOf(panel: Panel, sessions: readonly (readonly string[])[]): RowStage[] {
  const ids = panel.lines.map(({ id }) => id);
  const all = sessionIndexes(ids, sessions).map((own) => ids.filter((_, i) => own.includes(i)));
  if (all.length < 2) return [{ session: 0, glued: all.flat(), panel }];
  return all.map((glued, session) => ({
    session,
    glued,
    panel: inBars(panel, glued, all.slice(0, session).flat()),
  }));
}

/** The row of a build as all its stages ask of clamps: jaws come to bear on the outer boards of each. */
export function withStages(panel: Panel, stages: readonly RowStage[]): Panel {
  if (panel.outlined || stages.length < 2) return panel;
  const outer = stages.flatMap((stage) => stage.panel.outer);
  return { ...panel, outer, stands: [sharedStretch(outer)] };
}

/** The stage in which a line is glued, and the line as it lies in it. */
export function stageOfLine(
  stages: readonly RowStage[],
  id: string,
): { readonly stage: RowStage; readonly line: BoardsInBars['lines'][number] } {
  const stage = stages.find(({ glued }) => glued.includes(id));
  const line = stage?.panel.lines.find((own) => own.id === id);
  if (stage === undefined || line === undefined) {
    throw new Error('unreachable: every line is glued in a stage');
  }
  return { stage, line };
}

function inBars(panel: Panel, glued: readonly string[], cured: readonly string[]): BoardsInBars {
  const [from, to] = panel.outlined ? [0, panel.boards.length - 1] : reachOfStage(panel, glued, cured);
  const bodies = bodiesOf(panel, from, to, cured);
  const startsAt = bodies[0]?.fromMm ?? 0;
  const boards = bodies.map((board) => ({ ...board, fromMm: board.fromMm - startsAt }));
  const widthMm = boards.reduce((sum, { board }) => sum + board.widthMm, 0);
  const outer = outermost(boards);
  return {
    boards,
    widthMm,
    lengthMm: panel.lengthMm,
    outer,
    stands: panel.outlined ? panel.stands : [sharedStretch(outer)],
    lines: boards.slice(1).map((second, index) => {
      const first = boards[index] as PanelBoard;
      // The line of the whole panel that lies nearest is this one.
      const own = leastBy(panel.lines, ({ atMm }) => Math.abs(atMm - startsAt - second.fromMm));
      const depthMm = Math.min(second.fromMm, widthMm - second.fromMm);
      return { ...own, index, first, second, atMm: second.fromMm, depthMm };
    }),
  };
}

/** First and last board of a stage: those of its lines, and what has been glued to them before. */
function reachOfStage(
  { lines }: Panel,
  glued: readonly string[],
  cured: readonly string[],
): [from: number, to: number] {
  const own = lines.filter(({ id }) => glued.includes(id)).map(({ index }) => index);
  let from = Math.min(...own);
  let to = Math.max(...own) + 1;
  const isCured = (line: number) => cured.includes(lines[line]?.id ?? '');
  while (isCured(from - 1)) from -= 1;
  while (isCured(to)) to += 1;
  return [from, to];
}

/** Boards from one to another; neighbours that have cured together and are alike are one wide board. */
function bodiesOf(
  { boards, lines }: Panel,
  from: number,
  to: number,
  cured: readonly string[],
): PanelBoard[] {
  const bodies: PanelBoard[] = [];
  for (let i = from; i <= to; i += 1) {
    const board = boards[i] as PanelBoard;
    const before = bodies.at(-1);
    if (before !== undefined && cured.includes(lines[i - 1]?.id ?? '') && alike(before, board)) {
      const widthMm = before.board.widthMm + board.board.widthMm;
      bodies[bodies.length - 1] = {
        ...before,
        label: `${before.label.split('–')[0]}–${board.label}`,
        board: { ...before.board, widthMm },
      };
    } else bodies.push(board);
  }
  return bodies;
}

/** Whether two boards bend and spread as one once they are together; others stay apart, as if still wet, on the safe side. */
const alike = (a: PanelBoard, b: PanelBoard): boolean =>
  a.board.species === b.board.species &&
  a.board.cut === b.board.cut &&
  a.board.thicknessMm === b.board.thicknessMm &&
  a.board.lengthMm === b.board.lengthMm &&
  a.startMm === b.startMm;
