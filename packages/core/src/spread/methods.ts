import { DRIED_COATS } from '../adhesives';
import { InputError } from '../basics/checks';

/**
 * A way of getting glue onto the wood. Rates are one person's [judgement], to be calibrated from the log. Glue comes out of the
 * bottle as a bead first; then it is worked along an edge, or over a face, whichever takes longer.
 */
export interface SpreadMethod {
  readonly id: string;
  readonly name: string;
  /** m of bead per minute. */
  readonly beadMPerMin: number;
  /** m of edge per minute; null for methods that lay the bead and leave it. */
  readonly alongMPerMin: number | null;
  /** m² of face per minute; null as above. */
  readonly areaM2PerMin: number | null;
  /** How often each face is gone over. */
  readonly coats: number;
  /** Share of extra glue that ends up on the tool, the rag and the floor. */
  readonly waste: number;
}

/** Picking up, loading and putting down, for each face [judgement]. */
export const TAKE_UP_MIN = 0.1;

const BEAD = 5;

const METHODS: readonly SpreadMethod[] = [
  bead('bead', 'bead only', BEAD),
  worked('finger', 'finger', 3, 0.05, 0.05),
  worked('card', 'card', 2.5, 0.12, 0.05),
  worked('brush', 'brush', 2.5, 0.1, 0.1),
  worked('joint-brush', 'small joint brush', 1.5, 0.06, 0.1),
  worked('trowel', 'notched trowel', 3, 0.5, 0.1),
  worked('roller', 'hand roller', 5, 0.4, 0.12),
  worked('hopper-roller', 'hopper roller', 5, 1.5, 0.12),
  worked('stiff-brush', 'short stiff brush', 2.5, 0.15, 0.1),
  bead('hot-nozzle', 'hot nozzle', 2.5),
  { ...worked('thinned-coats', 'thinned coats', 2.5, 0.12, 0.1), coats: DRIED_COATS },
];

function bead(id: string, name: string, beadMPerMin: number): SpreadMethod {
  return { id, name, beadMPerMin, alongMPerMin: null, areaM2PerMin: null, coats: 1, waste: 0.05 };
}

function worked(
  id: string,
  name: string,
  alongMPerMin: number,
  areaM2PerMin: number,
  waste: number,
): SpreadMethod {
  return { id, name, beadMPerMin: BEAD, alongMPerMin, areaM2PerMin, coats: 1, waste };
}

const byId: ReadonlyMap<string, SpreadMethod> = new Map(METHODS.map((method) => [method.id, method]));

/** All spreading methods. */
export function listSpreadMethods(): readonly SpreadMethod[] {
  return METHODS;
}

/** A method of the person's own: as any other, once over. */
export type OwnMethod = Omit<SpreadMethod, 'coats'>;

/**
 * Looks a method up.
 * @param own methods of the person's own, beside the catalogue.
 * @throws InputError `unknown-id`.
 */
export function findSpreadMethod(id: string, own: readonly OwnMethod[] = []): SpreadMethod {
  const mine = own.find((method) => method.id === id);
  const found = byId.get(id) ?? (mine === undefined ? undefined : { ...mine, coats: 1 });
  if (found === undefined) {
    throw new InputError(
      'unknown-id',
      'method',
      `There is no spreading method "${id}", nor among the shop’s own.`,
      `one of ${[...byId.keys(), ...own.map((method) => method.id)].join(', ')}`,
    );
  }
  return found;
}

/** A bead that is left to spread under the clamps reaches so far across a face, mm [judgement]. */
const BEAD_REACHES_MM = 60;

/** Whether a method wets a whole face so wide: a bead that nobody works does so on edges only. */
export const covers = ({ areaM2PerMin }: SpreadMethod, widthMm: number): boolean =>
  areaM2PerMin !== null || widthMm <= BEAD_REACHES_MM;
