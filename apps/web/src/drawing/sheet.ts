import type { PanelMarks } from '@lean-clasp/core/drawing';
import { MM_PER_INCH, type UnitSystem } from '@lean-clasp/core/units';
import type { Size } from './use-size';

/** How millimetres of a panel land on pixels of the sheet. */
export interface Sheet {
  readonly scale: number;
  /** Pixel of x = 0 and of the first clamped edge. */
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
}

/** Room around the panel for labels, ruler, clamp heads and handles, in pixels. */
const ROOM = Object.freeze({ left: 112, right: 28, top: 92, bottom: 44 });
/** Width of one figure of a note at the right edge, and its distance from the panel. */
const NOTE = Object.freeze({ characterPx: 8.6, gapPx: 14 });
/** Characters of the width that stands after the name of a board, such as " 128 mm" or " 12 29/64\"". */
const WIDTH_CHARACTERS = 10;

/** Fits a panel into an area, keeping its proportions and leaving room for the notes at its right edge. */
export function sheetFor(
  { lengthMm, widthMm, edgeMm, boards }: PanelMarks,
  { width, height }: Size,
  notes: readonly (string | null)[] = [],
): Sheet {
  const longest = Math.max(0, ...notes.map((note) => note?.length ?? 0));
  const right = ROOM.right + (longest === 0 ? 0 : longest * NOTE.characterPx + NOTE.gapPx - ROOM.right / 2);
  const named = Math.max(0, ...boards.map(({ label }) => label.length)) + WIDTH_CHARACTERS;
  const leftRoom = Math.max(ROOM.left, named * NOTE.characterPx + NOTE.gapPx);
  const spanMm = widthMm + 2 * edgeMm;
  const freeWidth = Math.max(80, width - leftRoom - right);
  const freeHeight = Math.max(60, height - ROOM.top - ROOM.bottom);
  const scale = Math.min(freeWidth / lengthMm, freeHeight / spanMm);
  const left = leftRoom + (freeWidth - lengthMm * scale) / 2;
  const top = ROOM.top + edgeMm * scale;
  return {
    scale,
    left,
    top,
    width,
    height: ROOM.top + spanMm * scale + ROOM.bottom,
    x: (mm) => left + mm * scale,
    y: (mm) => top + mm * scale,
  };
}

/** Ticks of a ruler: positions in mm, with a label on the major ones. */
export interface Tick {
  readonly mm: number;
  readonly label: string | null;
}

const METRIC_STEPS_MM = [10, 20, 50, 100, 200, 500, 1000, 2000, 5000];
const INCH_STEPS = [1, 2, 3, 6, 12, 24, 48, 96, 192];
/** Closest that two labels may stand, in pixels. */
const LEAST_LABEL_GAP = 84;
/** Minor ticks to a major one. */
const MINOR = 5;

/** Ruler ticks over a length, as dense as they can be read. */
export function rulerTicks(lengthMm: number, scale: number, system: UnitSystem): Tick[] {
  const steps = system === 'metric' ? METRIC_STEPS_MM : INCH_STEPS.map((inches) => inches * MM_PER_INCH);
  const major = steps.find((step) => step * scale >= LEAST_LABEL_GAP) ?? steps.at(-1) ?? lengthMm;
  const minor = system === 'metric' ? major / MINOR : major / (major > 12 * MM_PER_INCH ? 4 : 6);
  const count = Math.floor(lengthMm / minor + 1e-9);
  const perMajor = Math.round(major / minor);
  return Array.from({ length: count + 1 }, (_, i) => ({
    mm: i * minor,
    label:
      i % perMajor === 0
        ? system === 'metric'
          ? String(Math.round(i * minor))
          : `${Math.round((i * minor) / MM_PER_INCH)}″`
        : null,
  }));
}
