import { InputError } from '../basics/checks';
import { BENT_LAMINATION } from './bent-lamination';
import { BREADBOARD } from './breadboard';
import { CASE } from './case';
import { DRIED_FILM } from './dried-film';
import { EDGE_PANEL } from './edge-panel';
import { FACE_LAMINATION } from './face-lamination';
import { HEAVY_SLAB } from './heavy-slab';
import { type Kind } from './kind';
import { CASING, MITRED_FRAME, TRIM_SET } from './mitred-frame';
import { ODD_ANGLE } from './odd-angle';
import { REGLUE } from './reglue';
import { ROUND_PANEL } from './round-panel';
import { SCARF } from './scarf';
import { SLATTED_FRAME } from './slatted-frame';
import { MITRED_POST } from './staves';
import { STRIP_PLANKING } from './strip-planking';
import { TENON_FRAME } from './tenon-frame';
import { VENEER_SEAM } from './veneer-seam';
import { EDGE_BANDING, VENEERED_SHEET } from './veneered-sheet';

/** Every kind that is laid out from answers, in the order in which people meet them. */
export const KINDS: readonly Kind[] = [
  EDGE_PANEL,
  ROUND_PANEL,
  HEAVY_SLAB,
  REGLUE,
  FACE_LAMINATION,
  MITRED_POST,
  MITRED_FRAME,
  TENON_FRAME,
  SLATTED_FRAME,
  CASE,
  BREADBOARD,
  VENEERED_SHEET,
  VENEER_SEAM,
  DRIED_FILM,
  BENT_LAMINATION,
  EDGE_BANDING,
  TRIM_SET,
  CASING,
  SCARF,
  STRIP_PLANKING,
  ODD_ANGLE,
];

/** Template id of a person's own parts and joints. */
export const FREE = 'free';

const byId: ReadonlyMap<string, Kind> = new Map(KINDS.map((kind) => [kind.id, kind]));

/**
 * Looks a kind up.
 * @throws InputError `unknown-id`.
 */
export function findKind(id: string): Kind {
  const kind = byId.get(id);
  if (kind === undefined) {
    throw new InputError(
      'unknown-id',
      'template',
      `There is no kind of glue-up "${id}".`,
      [...byId.keys(), 'free'].join(', '),
    );
  }
  return kind;
}

/**
 * The kind that a build was started from; null for a free assembly, which has none.
 * @throws InputError `unknown-id`.
 */
export const kindOf = (template: string): Kind | null => (template === FREE ? null : findKind(template));
