import type { Board } from '../../formats';
import { EDGE_PANEL } from '../edge-panel';
import { ROUND_PANEL } from '../round-panel';
import { HEAVY_SLAB } from '../heavy-slab';
import { REGLUE } from '../reglue';
import { FACE_LAMINATION } from '../face-lamination';
import { MITRED_POST } from '../staves';
import { MITRED_FRAME, TRIM_SET, CASING } from '../mitred-frame';
import { TENON_FRAME } from '../tenon-frame';
import { SLATTED_FRAME } from '../slatted-frame';
import { CASE } from '../case';
import { BREADBOARD } from '../breadboard';
import { VENEERED_SHEET, EDGE_BANDING } from '../veneered-sheet';
import { VENEER_SEAM } from '../veneer-seam';
import { DRIED_FILM } from '../dried-film';
import { BENT_LAMINATION } from '../bent-lamination';
import { SCARF } from '../scarf';
import { STRIP_PLANKING } from '../strip-planking';
import { ODD_ANGLE } from '../odd-angle';
import { type Kind, type LayOut, type Layout, PLAIN_LAYOUT, type Season } from '../kind';
import { type Answers, checkAnswers, type Questions } from '../question';
import { layEdgePanel } from './edge-panel';
import { layRoundPanel } from './round-panel';
import { layHeavySlab } from './heavy-slab';
import { layReglue } from './reglue';
import { layFaceLamination } from './face-lamination';
import { layMitredPost } from './staves';
import { layMitredFrame, layTrimSet, layCasing } from './mitred-frame';
import { layTenonFrame } from './tenon-frame';
import { laySlattedFrame } from './slatted-frame';
import { layCase } from './case';
import { layBreadboard } from './breadboard';
import { layVeneeredSheet, layEdgeBanding } from './veneered-sheet';
import { layVeneerSeam } from './veneer-seam';
import { layDriedFilm } from './dried-film';
import { layBentLamination } from './bent-lamination';
import { layScarf } from './scarf';
import { layStripPlanking } from './strip-planking';
import { layOddAngle } from './odd-angle';

type LaidOut = (answers: Answers, season: Season, boards: readonly Board[]) => Layout;

/** Ties a layout to the kind whose answers it takes. */
export const laid = <Q extends Questions>(
  kind: Kind & { readonly questions: Q },
  layOut: LayOut<{ readonly questions: Q }>,
): readonly [string, LaidOut] => [
  kind.id,
  (answers, season, boards) => ({
    ...PLAIN_LAYOUT,
    row: kind.row !== null,
    oneGo: kind.row !== null,
    inTurn: kind.row !== null,
    ...layOut(checkAnswers(kind.questions, answers, season.woods), season, boards),
  }),
];

/** The layout of every kind, in the order of `KINDS`. */
const LAYOUTS: ReadonlyMap<string, LaidOut> = new Map([
  laid(EDGE_PANEL, layEdgePanel),
  laid(ROUND_PANEL, layRoundPanel),
  laid(HEAVY_SLAB, layHeavySlab),
  laid(REGLUE, layReglue),
  laid(FACE_LAMINATION, layFaceLamination),
  laid(MITRED_POST, layMitredPost),
  laid(MITRED_FRAME, layMitredFrame),
  laid(TENON_FRAME, layTenonFrame),
  laid(SLATTED_FRAME, laySlattedFrame),
  laid(CASE, layCase),
  laid(BREADBOARD, layBreadboard),
  laid(VENEERED_SHEET, layVeneeredSheet),
  laid(VENEER_SEAM, layVeneerSeam),
  laid(DRIED_FILM, layDriedFilm),
  laid(BENT_LAMINATION, layBentLamination),
  laid(EDGE_BANDING, layEdgeBanding),
  laid(TRIM_SET, layTrimSet),
  laid(CASING, layCasing),
  laid(SCARF, layScarf),
  laid(STRIP_PLANKING, layStripPlanking),
  laid(ODD_ANGLE, layOddAngle),
]);

/**
 * Lays a kind out.
 * @param boards the person's own, for kinds that have them; empty: as the answers say.
 * @throws InputError for answers out of bounds or that do not go together.
 */
export function layOutKind(
  { id }: Kind,
  answers: Answers,
  season: Season,
  boards: readonly Board[] = [],
): Layout {
  const layOut = LAYOUTS.get(id);
  if (layOut === undefined) throw new Error(`no layout of "${id}" is known`);
  return layOut(answers, season, boards);
}
