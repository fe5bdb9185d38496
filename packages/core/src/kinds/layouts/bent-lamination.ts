import { bend, resawList } from '../../bending';
import { InputError } from '../../basics/checks';
import { finding, type PlanFinding } from '../../findings';
import { radians } from '../../geometry';
import { extruded, solidOf } from '../../solids';
import type { LayOut } from '../kind';
import { upTo } from '../names';
import type { BENT_LAMINATION } from '../bent-lamination';
import { arcCorners } from './arcs';
import { downThrough, joint, part, partId, X } from './pieces';

/** Straight stretches that a curve is drawn with; the chord is short of the arc by less than 0.1 % up to 180°. */
const FACETS = 40;

export const layBentLamination: LayOut<typeof BENT_LAMINATION> = ({
  species,
  radiusMm,
  arcDeg,
  thicknessMm,
  widthMm,
  plyMm,
  spare,
  springPct,
  ...stock
}) => {
  const thickest = bend({ radiusMm, thicknessMm });
  const most = (2 * radiusMm * thickest.strainLimitPct) / 100;
  if (plyMm > most + 1e-9) {
    throw new InputError(
      'inconsistent',
      'answers.plyMm',
      `Plies of ${plyMm} mm would break around a radius of ${radiusMm} mm.`,
      `plies up to ${most.toFixed(1)} mm, or a radius of ${Math.ceil((plyMm * 100) / (2 * thickest.strainLimitPct))} mm`,
    );
  }
  const plies = Math.max(2, Math.ceil(thicknessMm / plyMm - 1e-9));
  if (plies > 60) {
    throw new InputError(
      'inconsistent',
      'answers.plyMm',
      `${plies} plies are more than anybody spreads in one go.`,
      `plies of ${(thicknessMm / 60).toFixed(1)} mm or thicker`,
    );
  }
  const each = thicknessMm / plies;
  const reckoned = bend({ radiusMm, thicknessMm, pliesMin: plies });
  const springbackPct = springPct > 0 ? springPct : reckoned.springbackPct;
  const formRadiusMm = radiusMm * (1 - springbackPct / 100);
  const half = radians(arcDeg) / 2;
  const arc = (r: number) => arcCorners(r, 0, half, FACETS);
  const ring = (from: number, to: number) => extruded('y', [...arc(to), ...arc(from).reverse()], 0, widthMm);
  const blank = (r: number) => 2 * half * r;
  const joints = upTo(plies - 1).map((n) => joint('ply', partId('ply', n), partId('ply', n + 1)));
  // Ends of an arc whose curvature opens by the springback move apart by this much.
  const opened =
    2 * radiusMm * Math.sin(half) -
    2 * (radiusMm / (1 - springbackPct / 100)) * Math.sin(half * (1 - springbackPct / 100));
  return {
    parts: upTo(plies).map((n) => {
      const inner = radiusMm + (n - 1) * each;
      // Grain follows the arc; at its crown that is along x.
      return part('ply', n, species, solidOf(ring(inner, inner + each)), X, [
        blank(inner + each),
        widthMm,
        each,
      ]);
    }),
    joints,
    aids: [{ id: 'form', role: 'form', solid: solidOf(ring(Math.max(1, radiusMm * 0.82), radiusMm)) }],
    oneGo: true,
    inTurn: true,
    pulls: downThrough(joints, thicknessMm + radiusMm * 0.18 + 20),
    flat: { kind: 'springback', springbackMm: Math.abs(opened) },
    findings: [
      finding('bend-plies', 'informs', {
        plies,
        spare,
        plyMm: each,
        springbackPct,
        formRadiusMm,
        measured: springPct > 0 ? 'yes' : 'no',
        strainPct: (100 * each) / (2 * radiusMm),
      }),
      ...stripFindings({ plies, spare, plyMm: each, ...stock }),
    ],
  };
};

/** Strips to saw for the plies; thick plies are planed from boards of their own thickness. */
function stripFindings(job: Parameters<typeof resawList>[0]): PlanFinding[] {
  if (job.plyMm + 2 * job.planedMm > job.boardMm) return [];
  const { stripMm, stripsPerBoard, boards } = resawList(job);
  return [
    finding('strips-to-saw', 'informs', {
      strips: job.plies + job.spare,
      stripMm,
      boardMm: job.boardMm,
      perBoard: stripsPerBoard,
      boards,
    }),
  ];
}
