import { InputError } from '../basics/checks';
import type { FreeJoint, FreePart } from '../formats';
import { box, reach, solidOf, solidPoints, type Vec3 } from '../solids';
import { BAR_CLAMPS, joint, type Layout, PADS_MM, X, Y, Z } from './kind';

const AXES: Readonly<Record<'x' | 'y' | 'z', Vec3>> = { x: X, y: Y, z: Z };

/**
 * Lays out a person's own parts and joints; every joint is pulled along the direction in which its parts lie
 * furthest apart.
 * @throws InputError `inconsistent` when two parts overlap.
 */
export function freeLayout(parts: readonly FreePart[], joints: readonly FreeJoint[]): Layout {
  parts.forEach((a, i) => {
    const into = parts.slice(i + 1).find((b) => overlap(a, b));
    if (into !== undefined) {
      throw new InputError(
        'inconsistent',
        `parts.${i}`,
        `“${a.name}” and “${into.name}” are in the same place.`,
        'parts that touch without overlapping; move or size one of them',
      );
    }
  });
  const drafts = parts.map((own, i) => {
    const [x = 0, y = 0, z = 0] = own.atMm;
    const [dx = 0, dy = 0, dz = 0] = own.sizeMm;
    const along = 'xyz'.indexOf(own.grain);
    const across = [dx, dy, dz].filter((_, axis) => axis !== along).sort((p, q) => q - p);
    return {
      id: own.id,
      label: own.name,
      role: 'part' as const,
      number: i + 1,
      species: own.species,
      solid: solidOf(box([x, y, z], [x + dx, y + dy, z + dz])),
      grain: AXES[own.grain],
      sheetNormal: null,
      blankMm: [[dx, dy, dz][along] ?? 0, across[0] ?? 0, across[1] ?? 0] as const,
    };
  });
  const points = drafts.flatMap(({ solid }) => solidPoints(solid));
  const laid = joints.map(({ id, kind, a, b }) => ({ ...joint(kind, a, b), id }));
  const pulls = (['x', 'y', 'z'] as const).map((name) => {
    const [low, high] = points.length === 0 ? [0, 0] : reach(points, AXES[name]);
    const own = joints.filter(({ a, b }) => axisBetween(parts, a, b) === name).map(({ id }) => id);
    return {
      id: name,
      joints: own,
      need: 'line' as const,
      stacked: false,
      axis: AXES[name],
      openingMm: high - low + PADS_MM,
      kinds: BAR_CLAMPS,
    };
  });
  return {
    parts: drafts,
    joints: laid,
    aids: [],
    pulls: pulls.filter((pull) => pull.joints.length > 0),
    square: { kind: 'none' },
    flat: { kind: 'wind' },
    dimensions: [],
    sets: 1,
    dryJig: false,
    setDry: false,
    pressedBy: 'clamps',
    row: false,
    oneGo: false,
    inTurn: false,
    findings: [],
  };
}

const span = (part: FreePart, axis: number) =>
  [part.atMm[axis] ?? 0, (part.atMm[axis] ?? 0) + (part.sizeMm[axis] ?? 0)] as const;

function overlap(a: FreePart, b: FreePart): boolean {
  return [0, 1, 2].every((axis) => {
    const [p, q] = [span(a, axis), span(b, axis)];
    return Math.min(p[1], q[1]) - Math.max(p[0], q[0]) > 0.05;
  });
}

/** Direction in which two blocks touch: the one in which they overlap least. */
function axisBetween(parts: readonly FreePart[], a: string, b: string): 'x' | 'y' | 'z' {
  const [first, second] = [parts.find(({ id }) => id === a), parts.find(({ id }) => id === b)];
  if (first === undefined || second === undefined) return 'x';
  const overlaps = [0, 1, 2].map((axis) => {
    const [p, q] = [span(first, axis), span(second, axis)];
    return Math.min(p[1], q[1]) - Math.max(p[0], q[0]);
  });
  return (['x', 'y', 'z'] as const)[overlaps.indexOf(Math.min(...overlaps))] ?? 'x';
}
