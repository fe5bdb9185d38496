import type { AssemblyFacts } from '../../assembly';
import { type Finding, finding } from '../../findings';
import { band, opposedPulls } from '../../geometry';
import type { PlannedPull } from '../pulls/planned-pull';
import type { SqueezedJoint } from './squeezed';
import { jointsOf } from '../pulls/lines-of-pull';

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
      // A wrap is stretched as it is laid and loses nothing round the corners.
      friction: lot.kind === 'band' ? friction : 0,
      forceN,
    })),
  );
  const bands = pieces.filter(({ round }) => round);
  const singly =
    pieces.filter(({ round }) => !round).reduce((sum, { forceN }) => sum + forceN, 0) /
    Math.max(1, joints.length);
  const normal = joints.map(() => singly);
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

/** Kinds that go right round. */
export const ROUND: readonly string[] = ['band', 'elastic-wrap'];

/** What there is to mind with bands, and with four staves. */
export function bandFindings(planned: PlannedPull, facts: AssemblyFacts, slip: boolean): Finding[] {
  const staves = facts.parts.filter(({ part }) => part.role === 'stave').length;
  const bands = planned.taken
    .filter(({ lot }) => lot.kind === 'band')
    .reduce((sum, { count }) => sum + count, 0);
  const friction = slip ? SLIP_FRICTION : BAND_FRICTION;
  const found = bands === 0 ? [] : [finding('band-loses-pull', 'informs', { friction, bands })];
  if (staves !== 4) return found;
  const { mostRatio } = opposedPulls({ acrossN: 1, downN: 1, friction: WET_FRICTION });
  return [...found, finding('opposed-clamps', 'informs', { mostRatio })];
}
