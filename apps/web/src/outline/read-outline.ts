import { InputError } from '@lean-clasp/core/basics';
import {
  type BendCurve,
  bendCurve,
  type LiveEdges,
  liveEdges,
  type MitreCorners,
  mitreCorners,
} from '@lean-clasp/core/outline';
import { lengthOf, outlineAmong, type Stroke } from './contour';
import { dxfStrokes } from './dxf-strokes';
import { svgStrokes } from './svg-strokes';

const strokesIn = (text: string): Stroke[] => (/<svg[\s>]/i.test(text) ? svgStrokes(text) : dxfStrokes(text));

/** The outline of a slab out of a drawing, SVG or DXF. @throws InputError with what is wrong and what would do. */
export const readOutline = (text: string): LiveEdges => liveEdges(outlineAmong(strokesIn(text)));

/** The sides and corners of a mitred frame out of a drawing of its outside. @throws InputError likewise. */
export const readMitres = (text: string): MitreCorners => mitreCorners(outlineAmong(strokesIn(text)));

/** The curve of a bend out of a drawing: its longest line. @throws InputError likewise. */
export function readBend(text: string): BendCurve {
  const [longest] = strokesIn(text).sort((a, b) => lengthOf(b.points) - lengthOf(a.points));
  if (longest === undefined || longest.points.flat().some((each) => !Number.isFinite(each))) {
    throw new InputError('inconsistent', 'outline', 'The drawing has no lines.', 'one open arc of a circle');
  }
  return bendCurve(longest.points);
}
