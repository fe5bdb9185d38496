import { InputError } from '@lean-clasp/core/basics';
import type { Vec2 } from '@lean-clasp/core/solids';
import { svgPathProperties } from 'svg-path-properties';
import svgpath from 'svgpath';
import type { Stroke } from './contour';

/** What a pixel of a drawing without a size is, and how long the units of one with a size are, mm. */
const PX_MM = 25.4 / 96;
const UNIT_MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: PX_MM,
  '': PX_MM,
};
/** Curves are followed in steps of about this, mm. */
const STEP_MM = 2;
const MOST_STEPS = 400;
/** A path of more pieces than this takes too long to follow, and is no outline that somebody drew. */
const MOST_PIECES = 5000;

const numberOf = (element: Element, name: string): number => {
  const value = Number.parseFloat(element.getAttribute(name) ?? '0');
  return Number.isFinite(value) ? value : 0;
};

/** Any shape as the path that it is. */
function pathOf(element: Element): string | null {
  const get = (name: string) => numberOf(element, name);
  switch (element.tagName.toLowerCase()) {
    case 'path':
      return element.getAttribute('d');
    case 'polygon':
    case 'polyline': {
      const points = element.getAttribute('points')?.trim() ?? '';
      return points === '' ? null : `M${points}${element.tagName.toLowerCase() === 'polygon' ? 'Z' : ''}`;
    }
    case 'rect':
      return `M${get('x')} ${get('y')}h${get('width')}v${get('height')}h${-get('width')}Z`;
    case 'circle':
      return ellipse(get('cx'), get('cy'), get('r'), get('r'));
    case 'ellipse':
      return ellipse(get('cx'), get('cy'), get('rx'), get('ry'));
    case 'line':
      return `M${get('x1')} ${get('y1')}L${get('x2')} ${get('y2')}`;
    default:
      return null;
  }
}

const ellipse = (cx: number, cy: number, rx: number, ry: number) =>
  `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;

/** Transforms of an element and of all that it lies in, the outermost first. */
function transformsOf(element: Element): string {
  const own: string[] = [];
  for (let at: Element | null = element; at !== null; at = at.parentElement) {
    own.unshift(at.getAttribute('transform') ?? '');
  }
  return own.filter((each) => each !== '').join(' ');
}

/** How many mm a unit of the drawing is: by its size against its view, or as pixels. */
function scaleOf(svg: Element): number {
  const [, size = '', unit = ''] =
    /^\s*([\d.]+)\s*(mm|cm|in|pt|pc|px)?\s*$/.exec(svg.getAttribute('width') ?? '') ?? [];
  const view = (svg.getAttribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const sizeMm = Number(size) * (UNIT_MM[unit] ?? PX_MM);
  const wide = view[2] ?? 0;
  return sizeMm > 0 && wide > 0 ? sizeMm / wide : (UNIT_MM[unit] ?? PX_MM);
}

/** Every line of an SVG drawing in mm, y up. @throws InputError for what is no SVG. */
export function svgStrokes(text: string): Stroke[] {
  const document = new DOMParser().parseFromString(text, 'image/svg+xml');
  const svg = document.documentElement;
  if (svg.tagName.toLowerCase() !== 'svg' || document.getElementsByTagName('parsererror').length > 0) {
    throw new InputError('inconsistent', 'outline', 'The file is no SVG drawing.', 'a drawing saved as SVG');
  }
  const scale = scaleOf(svg);
  return [...svg.getElementsByTagName('*')].flatMap((element) => {
    const d = pathOf(element);
    if (d === null || element.closest('defs, clipPath, mask, symbol') !== null) return [];
    refuseEndless(d);
    const parsed = svgpath(d)
      .transform(`scale(${scale} ${-scale}) ${transformsOf(element)}`)
      .abs()
      .unshort()
      .toString();
    return parsed
      .split(/(?=M)/)
      .filter((piece) => piece.trim() !== '')
      .map(strokeOf);
  });
}

function refuseEndless(d: string): void {
  // Every piece has at least one number of its own.
  const numbers = d.match(/\d+/g)?.length ?? 0;
  if (numbers <= 6 * MOST_PIECES) return;
  throw new InputError(
    'out-of-range',
    'outline',
    `The drawing has a path with ${numbers} numbers.`,
    `an outline of ${MOST_PIECES} pieces at most; drawing programs call it simplifying a path`,
  );
}

/** One stretch of a path, its curves followed in short steps. */
function strokeOf(piece: string): Stroke {
  const points: Vec2[] = [];
  for (const part of new svgPathProperties(piece).getParts()) {
    const steps = Math.min(MOST_STEPS, Math.max(1, Math.ceil(part.length / STEP_MM)));
    if (points.length === 0) points.push([part.start.x, part.start.y]);
    for (let i = 1; i <= steps; i += 1) {
      const { x, y } = i === steps ? part.end : part.getPointAtLength((part.length * i) / steps);
      points.push([x, y]);
    }
  }
  return { points, closed: /z\s*$/i.test(piece) };
}
