/** A clamp that a fix proposes. */
export interface GhostClamp {
  readonly xMm: number;
  readonly side: 'above' | 'below';
}

/** What a step wants to see on the panel. */
export type Dressing = 'plain' | 'gaps' | 'glue' | 'order' | 'pressure';

/** A stretch of a line that was marked: its third, or all of it. */
export interface MarkedStretch {
  readonly line: string;
  readonly where: 'all' | 'start' | 'middle' | 'end';
}

/** What the drawing shows on top of the panel itself. */
export interface DrawingExtras {
  readonly dressing: Dressing;
  /** Text beside a line at the right edge, by line index: gap, grams, order. */
  readonly lineNotes?: readonly (string | null)[];
  readonly ghosts?: readonly GhostClamp[];
  /** When given, only these are inked fully: bench mode shows what is touched now. */
  readonly focus?: { readonly lines: readonly number[]; readonly clamp: number | null };
  readonly marked?: readonly MarkedStretch[];
  readonly onMoveClamp?: ((id: string, xMm: number) => void) | undefined;
  /** Where a clamp is while it is dragged; null when it is let go where it was. */
  readonly onDragClamp?: ((id: string, xMm: number | null) => void) | undefined;
  readonly onRemoveClamp?: ((id: string) => void) | undefined;
}
