/**
 * The one kind of error the core throws: an argument outside what a function can answer for.
 * Infeasible plans are never errors, they are results with findings.
 */
export class InputError extends Error {
  constructor(
    /** Stable code that callers may branch on. */
    readonly code: 'out-of-range' | 'not-a-number' | 'unknown-id' | 'missing' | 'inconsistent',
    /** Name of the offending field, dotted where nested. */
    readonly field: string,
    message: string,
    /** What would have been accepted, in words. */
    readonly allowed: string,
  ) {
    super(message);
    this.name = 'InputError';
  }
}

/** A closed interval of accepted values with its unit, the single source of every bound in the product. */
export interface Bounds {
  readonly min: number;
  readonly max: number;
  readonly unit: string;
}

/** Words for an interval, such as "10 to 1500 mm". */
export function boundsInWords({ min, max, unit }: Bounds): string {
  return `${min} to ${max}${unit === '' ? '' : ` ${unit}`}`;
}

/**
 * Returns `value` when it is a finite number inside `bounds`.
 * @throws InputError naming the field and the accepted interval.
 */
export function within(value: number, field: string, bounds: Bounds): number {
  if (!Number.isFinite(value)) {
    throw new InputError('not-a-number', field, `${field} must be a number.`, boundsInWords(bounds));
  }
  if (value < bounds.min || value > bounds.max) {
    const unit = bounds.unit === '' ? '' : ` ${bounds.unit}`;
    throw new InputError(
      'out-of-range',
      field,
      `${field} is ${value}${unit}; it must be ${boundsInWords(bounds)}.`,
      boundsInWords(bounds),
    );
  }
  return value;
}
