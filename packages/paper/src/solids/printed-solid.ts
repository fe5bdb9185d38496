import type { PrintableItem } from '@lean-clasp/core/full-size';
import { signedArea } from '@lean-clasp/core/solids';
import threeMf from '@jscad/3mf-serializer';
import modeling from '@jscad/modeling';
import stl from '@jscad/stl-serializer';

// The modeller is CommonJS: whole, then by name.
const { extrusions, primitives } = modeling;

/** A block for a printer, mm, lying on its sawn outline: binary STL, or 3MF, which tells its unit and name as well. */
export function printedSolid(
  { outline, thicknessMm }: PrintableItem,
  format: 'stl' | '3mf',
  name: string,
): Uint8Array {
  const corners = outline.map(([x, y]): [number, number] => [x, y]);
  if (signedArea(corners) < 0) corners.reverse();
  const solid = extrusions.extrudeLinear({ height: thicknessMm }, primitives.polygon({ points: corners }));
  const parts =
    format === 'stl'
      ? stl.serialize({ binary: true }, solid)
      : threeMf.serialize({ unit: 'millimeter', metadata: false }, { ...solid, name });
  return Buffer.concat(parts.map((part) => Buffer.from(part)));
}
