import type { FacetedPart } from '@lean-clasp/core/drawing';
import { BufferGeometry, Float32BufferAttribute, ShapeUtils, Vector2, Vector3 } from 'three';

/** Triangles of all sides, holes left open, and the lines around them. */
export function geometryOf({ sides }: FacetedPart): { faces: BufferGeometry; edges: BufferGeometry } {
  const corners: number[] = [];
  const normals: number[] = [];
  const lines: number[] = [];
  for (const { loops, normal } of sides) {
    const [u, v] = planeOf(normal);
    const flat = loops.map((loop) =>
      loop.map(([x, y, z]) => {
        const point = new Vector3(x, y, z);
        return new Vector2(point.dot(u), point.dot(v));
      }),
    );
    const all = loops.flat();
    for (const triangle of ShapeUtils.triangulateShape(flat[0] ?? [], flat.slice(1))) {
      for (const index of triangle) {
        corners.push(...(all[index] ?? []));
        normals.push(...normal);
      }
    }
    for (const loop of loops) {
      loop.forEach((point, i) => lines.push(...point, ...(loop[(i + 1) % loop.length] ?? point)));
    }
  }
  const faces = new BufferGeometry();
  faces.setAttribute('position', new Float32BufferAttribute(corners, 3));
  faces.setAttribute('normal', new Float32BufferAttribute(normals, 3));
  const edges = new BufferGeometry();
  edges.setAttribute('position', new Float32BufferAttribute(lines, 3));
  return { faces, edges };
}

/** Two directions in the plane of a side, u × v along its normal, so that outlines run anticlockwise. */
function planeOf([x, y, z]: readonly [number, number, number]): [Vector3, Vector3] {
  const normal = new Vector3(x, y, z);
  const helper = Math.abs(z) > 0.9 ? new Vector3(1, 0, 0) : new Vector3(0, 0, 1);
  const u = helper.cross(normal).normalize();
  return [u, normal.clone().cross(u)];
}
