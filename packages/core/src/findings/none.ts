/** The values of a finding that is told without any. */
export type None = Readonly<Record<string, never>>;
