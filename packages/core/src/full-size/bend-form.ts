import { ofCode } from '../findings';
import { radians } from '../geometry';
import type { Plan } from '../plan';
import type { Vec2 } from '../solids';
import { type FullSizeItem, lengthAt, mark, type Shape } from './item';

/** Plies are left this much long at either end and trimmed afterwards, mm [judgement]. */
const LEFT_LONG_MM = 25;
/** Round holes for the jaws of clamps: how large, and how far in from the face their edge stays, mm [judgement]. */
const HOLE = { acrossMm: 45, inMm: 30 };
/** The form is at least so deep behind its face, mm [judgement]. */
const DEPTH_MM = HOLE.inMm + HOLE.acrossMm + 35;
/** Clamps no further apart than this where none is placed yet, mm [judgement]. */
const EVERY_MM = 100;

/**
 * The form of a bent lamination, tighter by the springback than the curve that is wanted: its face as an arc, lines to trim by, and a
 * hole for each clamp, evenly along it, radial. The arc keeps the length of the wanted one.
 */
export function bendFormItems(plan: Plan): FullSizeItem[] {
  const { build, findings, squeeze, facts } = plan;
  const bent = ofCode(findings, 'bend-plies');
  const { radiusMm, arcDeg } = build.answers as { readonly radiusMm?: number; readonly arcDeg?: number };
  if (bent === undefined || radiusMm === undefined || arcDeg === undefined) return [];
  const { formRadiusMm } = bent.values;
  const half = (radians(arcDeg) * radiusMm) / formRadiusMm / 2;
  const whole = half + LEFT_LONG_MM / formRadiusMm;
  const behind = Math.max(0, formRadiusMm - DEPTH_MM);
  // Standing on its crown: the arc about straight up.
  const at = (radius: number, angle: number): Vec2 => [radius * Math.sin(angle), radius * Math.cos(angle)];
  const deg = (angle: number) => 90 - (angle * 180) / Math.PI;
  const placed = squeeze?.pulls.flatMap(({ clamps }) => clamps).length ?? 0;
  const lengthMm = 2 * half * formRadiusMm;
  const count = Math.max(2, placed, Math.ceil(lengthMm / EVERY_MM));
  const holeRadius = formRadiusMm - HOLE.inMm - HOLE.acrossMm / 2;
  const angles = Array.from({ length: count }, (_, i) => -half + (2 * half * (i + 0.5)) / count);
  const holes: Shape[] = angles.flatMap((angle): Shape[] => [
    { kind: 'circle', layer: 'drill', centre: at(holeRadius, angle), radiusMm: HOLE.acrossMm / 2 },
    mark([at(holeRadius, angle), at(formRadiusMm, angle)]),
  ]);
  const widths = facts.parts.map(({ part }) => part.blankMm[1]);
  return [
    {
      id: 'bend-form',
      kind: 'bend-form',
      count: 1,
      thicknessMm: Math.max(...widths),
      shapes: [
        {
          kind: 'arc',
          layer: 'cut',
          centre: [0, 0],
          radiusMm: formRadiusMm,
          fromDeg: deg(whole),
          toDeg: deg(-whole),
        },
        {
          kind: 'line',
          layer: 'cut',
          closed: false,
          points: [at(formRadiusMm, -whole), at(behind, -whole), at(behind, whole), at(formRadiusMm, whole)],
        },
        ...[-half, half].map((angle) => mark([at(formRadiusMm - 15, angle), at(formRadiusMm, angle)])),
        mark([at(formRadiusMm - 20, 0), at(formRadiusMm, 0)]),
        ...(holeRadius > HOLE.acrossMm ? holes : []),
      ],
      labels: [
        { ...lengthAt(at(formRadiusMm - DEPTH_MM + 12, 0), formRadiusMm, 6) },
        ...[-half, half].map((angle) => ({
          at: at(formRadiusMm - 20, angle),
          highMm: 4,
          says: { code: 'trim' as const },
        })),
      ],
    },
  ];
}
