import type { Figure } from '@lean-clasp/core/drawing';
import { type FullSizeItem, type Shape, shapePoints } from '@lean-clasp/core/full-size';
import { type Format, shapeLabelWords } from '@lean-clasp/words';
import { type Bounds, boundsOf } from './bounds';

/** A drawing for other programs: lines by layer and words, mm, y up. */
export interface Drawing {
  readonly title: string;
  readonly layers: readonly string[];
  readonly shapes: readonly LayeredShape[];
  readonly words: readonly DrawnWord[];
  readonly bounds: Bounds;
}

/** A shape on any layer. */
export type LayeredShape = OnAnyLayer<Shape>;
type OnAnyLayer<Each> = Each extends Shape ? Omit<Each, 'layer'> & { readonly layer: string } : never;

/** Words in the middle above a point. */
export interface DrawnWord {
  readonly at: readonly [number, number];
  readonly highMm: number;
  readonly text: string;
}

/** Words of a figure, as a share of how far it reaches. */
const WORD_SHARE = 1 / 60;

/** A figure of the core, a layer to each of its inks. */
export function drawingOfFigure(figure: Figure, title: string): Drawing {
  const bounds = boundsOf(figure.paths);
  const highMm = Math.max(2, WORD_SHARE * Math.max(bounds.widthMm, bounds.heightMm));
  const shapes = figure.paths.flatMap(({ points, holes = [], ink, closed }) =>
    [points, ...holes].map((loop) => ({ kind: 'line' as const, layer: ink, points: loop, closed })),
  );
  return {
    title,
    layers: [...new Set(shapes.map(({ layer }) => layer))],
    shapes,
    words: figure.labels.map(({ at, text }) => ({ at, highMm, text })),
    bounds,
  };
}

/** A template at full size, on layers for cutting, marking and drilling. */
export function drawingOfItem(item: FullSizeItem, title: string, f: Format): Drawing {
  return {
    title,
    layers: [...new Set(item.shapes.map(({ layer }) => layer))],
    shapes: item.shapes,
    words: item.labels.map(({ at, highMm, ...label }) => ({ at, highMm, text: shapeLabelWords(label, f) })),
    bounds: boundsOf(item.shapes.map((shape) => ({ points: shapePoints(shape) }))),
  };
}
