import type { Adhesive } from '../adhesive';
import { HIDE_GLUES } from './hide-glues';
import { OTHERS } from './others';
import { RESINS } from './resins';
import { WHITE_GLUES } from './white-glues';

/**
 * Generic adhesive families at 20 °C, 50 % RH, 9 % MC. No maker is meant: each figure is a range into which
 * published sheets of the family commonly fall.
 */
export const ADHESIVE_TABLE: readonly Adhesive[] = [...WHITE_GLUES, ...HIDE_GLUES, ...RESINS, ...OTHERS];
