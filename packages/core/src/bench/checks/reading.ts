import type { Finding } from '../../findings';

/** One thing that a check asks for: a length, an angle, or one of a few words. */
export interface Field {
  readonly id: string;
  readonly ask: 'length' | 'angle' | 'word';
  /** For words. */
  readonly choices?: readonly string[];
  /** May be left out. */
  readonly optional?: boolean;
}

/** What was read, field by field, mm, degrees and words. */
export type Values = Readonly<Record<string, number | string>>;

/** What a build is held to, mm. */
export interface Tolerances {
  readonly flatMm: number;
  readonly squareMm: number;
}

/** What is being read: of which kind of glue-up, and its joints by name. */
export interface Subject {
  readonly template: string;
  readonly joints: readonly string[];
  readonly within: Tolerances;
}

/** What a reading comes to. */
export interface Judged {
  /** Nothing left to do, or nothing that clamps could do. */
  readonly accepted: boolean;
  readonly says: readonly Finding[];
}

/** A check: what it asks, and what readings mean. */
export interface Check {
  readonly fields: (subject: Subject) => readonly Field[];
  readonly judge: (values: Values, subject: Subject) => Judged;
  /** How far off it is, mm or degrees, to follow from one reading to the next; left out where a look has no number. */
  readonly off?: (values: Values, subject: Subject) => number | undefined;
}

/** A length or angle that was read; nothing where it was left out. */
export const numberAt = (values: Values, id: string): number | undefined => {
  const value = values[id];
  return typeof value === 'number' && Number.isFinite(value) ? value : undefined;
};

/** A word that was chosen. */
export const wordAt = (values: Values, id: string): string | undefined => {
  const value = values[id];
  return typeof value === 'string' ? value : undefined;
};
