import {
  Colors,
  DxfWriter,
  LWPolylineFlags,
  point2d,
  point3d,
  TextHorizontalAlignment,
  Units,
} from '@tarikjabiri/dxf';
import type { Drawing } from './drawing';

/** Colours by layer, as numbered by the format; any other is drawn in ink. */
const COLOURS: Readonly<Record<string, number>> = {
  cut: Colors.Red,
  mark: Colors.Blue,
  drill: Colors.Green,
  glue: Colors.Yellow,
};

/** Words keep to what every reader of the format knows. */
const plainText = (text: string): string =>
  text
    .replaceAll('–', '-')
    .replaceAll('×', 'x')
    .replaceAll('·', '/')
    .replaceAll('°', '%%d')
    .replaceAll(/[^\x20-\x7e]/g, '?');

/** A drawing as DXF in millimetres: a layer for each kind of line, arcs as arcs. */
export function dxfOf({ layers, shapes, words }: Drawing): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  for (const layer of layers) dxf.addLayer(layer, COLOURS[layer] ?? Colors.White, 'Continuous');
  for (const shape of shapes) {
    dxf.setCurrentLayerName(shape.layer);
    switch (shape.kind) {
      case 'line':
        dxf.addLWPolyline(
          shape.points.map(([x, y]) => ({ point: point2d(x, y) })),
          shape.closed ? { flags: LWPolylineFlags.Closed } : {},
        );
        break;
      case 'circle':
        dxf.addCircle(point3d(...shape.centre), shape.radiusMm);
        break;
      case 'arc':
        dxf.addArc(point3d(...shape.centre), shape.radiusMm, shape.fromDeg, shape.toDeg);
    }
  }
  if (words.length > 0) {
    dxf.addLayer('words', Colors.White, 'Continuous');
    dxf.setCurrentLayerName('words');
    for (const { at, highMm, text } of words) {
      dxf.addText(point3d(...at), highMm, plainText(text), {
        horizontalAlignment: TextHorizontalAlignment.Center,
        secondAlignmentPoint: point3d(...at),
      });
    }
  }
  return dxf.stringify();
}
