import { type LiveEdges, liveEdges } from '@lean-clasp/core/outline';
import { outlineAmong } from './contour';
import { dxfStrokes } from './dxf-strokes';
import { svgStrokes } from './svg-strokes';

/** The outline of a slab out of a drawing, SVG or DXF. @throws InputError with what is wrong and what would do. */
export const readOutline = (text: string): LiveEdges =>
  liveEdges(outlineAmong(/<svg[\s>]/i.test(text) ? svgStrokes(text) : dxfStrokes(text)));
