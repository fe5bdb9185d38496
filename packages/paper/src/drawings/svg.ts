import type { Drawing, LayeredShape } from './drawing';

/** Around a drawing, mm: lines on its edge are drawn whole. */
const EDGE_MM = 5;
/** Colours by layer; any other is drawn in ink. */
const COLOURS: Readonly<Record<string, string>> = {
  cut: '#c02020',
  mark: '#2050a0',
  drill: '#208040',
  wood: '#6b5836',
  glue: '#b3701c',
  force: '#9c2f2a',
};
const INK = '#20282b';

const plain = (value: number): string => String(Math.round(value * 1e4) / 1e4);
const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

/** A drawing as SVG at full size: one unit is one millimetre, each layer a group of that name. */
export function svgOf({ title, layers, shapes, words, bounds }: Drawing): string {
  const [width, height] = [bounds.widthMm + 2 * EDGE_MM, bounds.heightMm + 2 * EDGE_MM];
  const [x0, y0] = [bounds.leftMm - EDGE_MM, -(bounds.topMm + EDGE_MM)];
  const groups = layers.map(
    (layer) =>
      `<g id="${escaped(layer)}" fill="none" stroke="${COLOURS[layer] ?? INK}" stroke-width="0.25">${shapes
        .filter((shape) => shape.layer === layer)
        .map(element)
        .join('')}</g>`,
  );
  const said = words.map(
    ({ at: [x, y], highMm, text }) =>
      `<text x="${plain(x)}" y="${plain(-y)}" font-size="${plain(highMm)}" text-anchor="middle">${escaped(text)}</text>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${plain(width)}mm" height="${plain(height)}mm" viewBox="${[x0, y0, width, height].map(plain).join(' ')}">`,
    `<title>${escaped(title)}</title>`,
    ...groups,
    `<g id="words" font-family="sans-serif" fill="${INK}">${said.join('')}</g>`,
    '</svg>',
    '',
  ].join('\n');
}

function element(shape: LayeredShape): string {
  switch (shape.kind) {
    case 'line': {
      const points = shape.points.map(([x, y]) => `${plain(x)} ${plain(-y)}`).join('L');
      return `<path d="M${points}${shape.closed ? 'Z' : ''}"/>`;
    }
    case 'circle':
      return `<circle cx="${plain(shape.centre[0])}" cy="${plain(-shape.centre[1])}" r="${plain(shape.radiusMm)}"/>`;
    case 'arc': {
      const at = (deg: number) => {
        const angle = (deg * Math.PI) / 180;
        const [x, y] = [
          shape.centre[0] + shape.radiusMm * Math.cos(angle),
          shape.centre[1] + shape.radiusMm * Math.sin(angle),
        ];
        return `${plain(x)} ${plain(-y)}`;
      };
      const large = shape.toDeg - shape.fromDeg > 180 ? 1 : 0;
      const r = plain(shape.radiusMm);
      // Up is up: what turns anticlockwise with y up turns against the sweep of a page, whose y is down.
      return `<path d="M${at(shape.fromDeg)}A${r} ${r} 0 ${large} 0 ${at(shape.toDeg)}"/>`;
    }
  }
}
