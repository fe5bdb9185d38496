/** What the second opinions on sequences are asked; in terms of its own, so that they share nothing with the solver. */
export interface Question {
  readonly joints: readonly {
    readonly id: string;
    readonly a: string;
    readonly b: string;
    readonly spreadMin: number;
    readonly closeMin: number;
    readonly clampMin: number;
    readonly hands?: number | undefined;
    readonly release: readonly string[];
    readonly clamps?: Readonly<Record<string, number>> | undefined;
  }[];
  readonly window: { readonly openMin: number; readonly closedMin: number; readonly totalMin: number };
  readonly crew: number;
  readonly clamps?: Readonly<Record<string, number>> | undefined;
  readonly marginShare?: number | undefined;
}
