import { InputError } from '../basics/checks';

/**
 * A way of getting glue onto the wood. Rates are one person's [judgement], to be calibrated from the log.
 * `basis` says whether the rate counts square metres of face or metres of line.
 */
export interface SpreadMethod {
  readonly id: string;
  readonly name: string;
  readonly basis: 'area' | 'length';
  /** m² of face per minute, or m of line per minute. */
  readonly ratePerMin: number;
  /** Picking up, loading and putting down, per joint. */
  readonly setUpMin: number;
  /** Share of extra glue that ends up on the tool, the rag and the floor. */
  readonly waste: number;
}

const METHODS: readonly SpreadMethod[] = [
  { id: 'bead', name: 'bead only', basis: 'length', ratePerMin: 1.5, setUpMin: 0.1, waste: 0.05 },
  { id: 'finger', name: 'finger', basis: 'area', ratePerMin: 0.05, setUpMin: 0.1, waste: 0.05 },
  { id: 'card', name: 'card', basis: 'area', ratePerMin: 0.12, setUpMin: 0.15, waste: 0.05 },
  { id: 'brush', name: 'brush', basis: 'area', ratePerMin: 0.1, setUpMin: 0.15, waste: 0.1 },
  {
    id: 'joint-brush',
    name: 'small joint brush',
    basis: 'area',
    ratePerMin: 0.06,
    setUpMin: 0.15,
    waste: 0.1,
  },
  { id: 'trowel', name: 'notched trowel', basis: 'area', ratePerMin: 0.5, setUpMin: 0.3, waste: 0.1 },
  { id: 'roller', name: 'hand roller', basis: 'area', ratePerMin: 0.4, setUpMin: 0.3, waste: 0.12 },
  { id: 'hopper-roller', name: 'hopper roller', basis: 'area', ratePerMin: 0.9, setUpMin: 0.5, waste: 0.12 },
  {
    id: 'stiff-brush',
    name: 'short stiff brush',
    basis: 'area',
    ratePerMin: 0.15,
    setUpMin: 0.15,
    waste: 0.1,
  },
  { id: 'hot-nozzle', name: 'hot nozzle', basis: 'length', ratePerMin: 1.5, setUpMin: 0.1, waste: 0.05 },
  { id: 'thinned-coats', name: 'thinned coats', basis: 'area', ratePerMin: 0.12, setUpMin: 0.3, waste: 0.1 },
];

const byId: ReadonlyMap<string, SpreadMethod> = new Map(METHODS.map((method) => [method.id, method]));

/** All spreading methods. */
export function listSpreadMethods(): readonly SpreadMethod[] {
  return METHODS;
}

/**
 * Looks a method up.
 * @throws InputError `unknown-id`.
 */
export function findSpreadMethod(id: string): SpreadMethod {
  const found = byId.get(id);
  if (found === undefined) {
    throw new InputError(
      'unknown-id',
      'method',
      `There is no spreading method "${id}".`,
      `one of ${[...byId.keys()].join(', ')}`,
    );
  }
  return found;
}
