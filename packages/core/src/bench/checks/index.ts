import type { CheckCode } from '../../findings';
import { DIAGONALS } from './diagonals';
import {
  ANGLE,
  BORE,
  COVERS,
  DEPTH,
  FEELER,
  FAIR,
  FLUSH,
  GAUGE,
  HOLLOW,
  LIGHT_THROUGH,
  SPLAY,
  SQUEEZE_OUT,
  STRAIGHTEDGE,
  TRY_SQUARE,
  WINDING,
} from './looks';
import type { Check, Field, Judged, Subject, Values } from './reading';

export type { Field, Judged, Subject, Tolerances, Values } from './reading';

/** Every check that a plan may ask for. */
const CHECKS: Readonly<Record<CheckCode, Check>> = {
  'squeeze-out': SQUEEZE_OUT,
  straightedge: STRAIGHTEDGE,
  flush: FLUSH,
  feeler: FEELER,
  diagonals: DIAGONALS,
  winding: WINDING,
  'try-square': TRY_SQUARE,
  bore: BORE,
  depth: DEPTH,
  angle: ANGLE,
  hollow: HOLLOW,
  'light-through': LIGHT_THROUGH,
  fair: FAIR,
  splay: SPLAY,
  gauge: GAUGE,
  covers: COVERS,
};

/** What a check asks for. */
export const fieldsOf = (check: CheckCode, subject: Subject): readonly Field[] =>
  CHECKS[check].fields(subject);

/** Whether all that has to be read was. */
export const isRead = (check: CheckCode, values: Values, subject: Subject): boolean =>
  fieldsOf(check, subject).every(({ id, optional }) => optional === true || values[id] !== undefined);

/** How far off a reading is, mm or degrees; undefined for a look without a number. */
export const offBy = (check: CheckCode, values: Values, subject: Subject): number | undefined =>
  CHECKS[check].off?.(values, subject);

/** What a reading comes to, and what to do about it while it still moves. */
export const judgeReading = (check: CheckCode, values: Values, subject: Subject): Judged =>
  CHECKS[check].judge(values, subject);
