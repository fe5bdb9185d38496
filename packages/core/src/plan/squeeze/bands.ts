import type { AssemblyFacts } from '../../assembly';
import { BANDS, ROUND } from '../../clamps';
import { finding, type PlanFinding } from '../../findings';
import { band, opposedPulls, radians } from '../../geometry';
import type { PlannedPull } from '../pulls/planned-pull';
import type { SqueezedJoint } from './squeezed';
import { jointsOf } from '../pulls/lines-of-pull';
import { isOpposed, OPPOSED_SHARE, waysOf } from '../pulls/opposed';

/** Between band and wood round a corner, the same over waxed paper or rollers; wet mitre faces [judgement]. */
const BAND_FRICTION = 0.25;
const SLIP_FRICTION = 0.1;
const WET_FRICTION = 0.12;

/** Mitres under one band or several, each ratcheted at its own corner, with friction round the corners. */
export function cornersUnderBands(
  planned: PlannedPull,
  facts: AssemblyFacts,
  slip: boolean,
): Omit<SqueezedJoint, 'word'>[] {
  const joints = jointsOf(planned.pull, facts).filter(({ gluedMm2 }) => gluedMm2 > 0);
  const angles = joints.map(({ joint }) => joint.angleDeg ?? 180);
  const areaMm2 = Math.max(...joints.map(({ gluedMm2 }) => gluedMm2));
  const friction = slip ? SLIP_FRICTION : BAND_FRICTION;
  const pieces = planned.taken.flatMap(({ lot, count, forceN }) =>
    Array.from({ length: count }, () => ({
      round: ROUND.includes(lot.kind),
      opposed: isOpposed(planned.pull, lot.kind),
      // A wrap is stretched as it is laid and loses nothing round the corners.
      friction: lot.kind === 'elastic-wrap' ? 0 : friction,
      forceN,
    })),
  );
  const bands = pieces.filter(({ round }) => round);
  const sum = (of: typeof pieces) => of.reduce((total, { forceN }) => total + forceN, 0);
  const singly = sum(pieces.filter(({ round, opposed }) => !round && !opposed)) / Math.max(1, joints.length);
  const pairsN = sum(pieces.filter(({ opposed }) => opposed));
  const normal = joints.map(
    ({ joint }) => singly + OPPOSED_SHARE * pairsN * Math.sin(radians(joint.angleDeg ?? 90) / 2),
  );
  bands.forEach(({ forceN, friction: own }, b) => {
    // Ratchets are set on opposite corners, so that one band is tight where the other has lost most.
    const first = Math.round((b * joints.length) / Math.max(1, bands.length)) % joints.length;
    const turned = [...angles.slice(first), ...angles.slice(0, first)];
    band({
      interiorAnglesDeg: turned,
      tensionN: forceN,
      faceAreaMm2: areaMm2,
      friction: own,
    }).forEach(({ normalN }, k) => {
      const at = (k + first) % joints.length;
      normal[at] = (normal[at] ?? 0) + normalN;
    });
  });
  return joints.map(({ joint, label, gluedMm2 }, i) => {
    const mpa = (normal[i] ?? 0) / gluedMm2;
    return { joint: joint.id, label, minMPa: mpa, meanMPa: mpa, maxMPa: mpa, angleDeg: joint.angleDeg };
  });
}

/** What there is to mind with bands, and with four staves. */
export function bandFindings(planned: PlannedPull, facts: AssemblyFacts, slip: boolean): PlanFinding[] {
  const staves = facts.parts.filter(({ part }) => part.role === 'stave').length;
  const bands = planned.taken
    .filter(({ lot }) => BANDS.includes(lot.kind))
    .reduce((sum, { count }) => sum + count, 0);
  const friction = slip ? SLIP_FRICTION : BAND_FRICTION;
  const screwed = planned.taken.some(({ lot }) => lot.kind === 'screw-band');
  const found = [
    ...(bands === 0 ? [] : [finding('band-loses-pull', 'informs', { friction, bands })]),
    ...(screwed ? [finding('screw-bands-turned', 'informs')] : []),
  ];
  if (staves !== 4) return found;
  const { mostRatio } = opposedPulls({ acrossN: 1, downN: 1, friction: WET_FRICTION });
  return [...found, finding('opposed-clamps', 'informs', { mostRatio }), ...unpaired(planned, mostRatio)];
}

/** Opposed clamps of which the two directions do not balance: one without a partner, or much stronger ones one way. */
function unpaired(planned: PlannedPull, mostRatio: number): PlanFinding[] {
  const { pieces } = planned;
  const ways = waysOf(planned.pull, pieces);
  const pulled = (way: 0 | 1) =>
    pieces.reduce((sum, { forceN }, i) => sum + (ways[i] === way ? forceN : 0), 0);
  const [acrossN, downN] = [pulled(0), pulled(1)];
  const ratio = Math.max(acrossN, downN) / Math.max(1e-9, Math.min(acrossN, downN));
  return ways.every((way) => way === null) || ratio <= mostRatio
    ? []
    : [finding('opposed-uneven', 'refuses', { acrossN, downN, mostRatio })];
}
