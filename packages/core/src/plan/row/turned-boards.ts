import type { Panel } from '../../assembly';
import type { Board, BuildDocument } from '../../formats';

/** What may be said anew of a board of a row, whatever its kind. */
export type BoardChange = Partial<Pick<Board, 'cut' | 'heart' | 'ringRadiusMm'>>;

/** A part of which nothing has been noted yet. */
const BLANK_NOTE = { species: null, mcPct: null, condition: 'fresh' } as const;

/**
 * The build with boards of its row turned or sawn otherwise: in the person's own list of boards where there is one, else in the notes
 * about its parts.
 */
export function withBoards(
  build: BuildDocument,
  panel: Panel,
  changeOf: (index: number) => BoardChange,
): BuildDocument {
  if (build.boards !== undefined) {
    return { ...build, boards: build.boards.map((board, i) => ({ ...board, ...changeOf(i) })) };
  }
  const noted = panel.boards.map(({ board }, i) => {
    const note = build.partNotes.find(({ id }) => id === board.id) ?? { id: board.id, ...BLANK_NOTE };
    return { ...note, ...changeOf(i) };
  });
  const ids = new Set(noted.map(({ id }) => id));
  return { ...build, partNotes: [...build.partNotes.filter(({ id }) => !ids.has(id)), ...noted] };
}
