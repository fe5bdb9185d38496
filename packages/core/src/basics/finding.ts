/** How much a finding matters: it forbids the plan, asks for care, or only informs. */
export type Severity = 'refuses' | 'warns' | 'informs';

/** One numbered or named fact inside a finding, in core units. */
export type FindingValue = number | string;

/**
 * Something worth telling about a plan, as data. The code is stable; interfaces turn it into a sentence
 * and never the other way round.
 */
export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly values: Readonly<Record<string, FindingValue>>;
}

/** Shorthand for building a finding. */
export function finding(
  code: string,
  severity: Severity,
  values: Readonly<Record<string, FindingValue>> = {},
): Finding {
  return { code, severity, values };
}
