import type { AssemblyFacts } from '../../../assembly';
import { findClampKind, pressureWord } from '../../../clamps';
import { type Finding, finding } from '../../../finding';
import type { AssemblyBuild } from '../../../formats';
import { band, opposedPulls, rackingN } from '../../../geometry';
import { resolveSpecies } from '../../../materials';
import { layerPressure, type Press } from '../../../mechanics';
import { dot, reach, solidPoints } from '../../../solids';
import type { AssemblyPlanParts } from '../assembly-parts';
import type { PlannedPull } from '../planned-pull';
import { PLATEN_MM, vacuumMPa } from '../pulls';
import { clampsInSpace } from './clamps-in-space';
import { type Packing, type PressedStack, pressStack } from './press-stack';
import type { AssemblySqueeze, ClampInSpace, SqueezedJoint, SqueezedPull } from './squeezed';

/** Blocks as thick as this lie under jaws unless the person says otherwise, mm. */
const USUAL_BLOCK_MM = 20;
/** Between band and wood round a corner, the same over waxed paper or rollers; wet mitre faces [judgement]. */
const BAND_FRICTION = 0.25;
const SLIP_FRICTION = 0.1;
const WET_FRICTION = 0.12;
/** Skew for which the racking force is told, mm. */
const SKEW_MM = 10;
/** Diagonals that differ by more than this are worth a skewed clamp, mm. */
const RACKED_MM = 0.5;

/** What lies under the jaws of a build. */
export const packingOf = ({ squeeze }: AssemblyBuild): Packing =>
  squeeze?.packing ?? { kind: 'blocks', thicknessMm: USUAL_BLOCK_MM };

/** Places the clamps of every pull and works out what each joint gets, as finely as its shape allows. */
export function squeezeAssembly(parts: AssemblyPlanParts, press: Press): AssemblySqueeze {
  const { pulls, facts } = parts;
  let next = 1;
  const squeezed = pulls.map((planned): SqueezedPull => {
    const clamps = clampsInSpace(planned, facts, next);
    next += clamps.length;
    return squeezePull(parts, planned, clamps, press);
  });
  // What is said of the frame as a whole is said once.
  const said = squeezed.findIndex(({ findings }) => findings.some(isSkew));
  return {
    pulls: squeezed.map((pull, i) =>
      i === said ? pull : { ...pull, findings: pull.findings.filter((each) => !isSkew(each)) },
    ),
  };
}

const isSkew = ({ code }: Finding): boolean => code === 'skew-racks' || code === 'skew-corrects';

function squeezePull(
  parts: AssemblyPlanParts,
  planned: PlannedPull,
  clamps: readonly ClampInSpace[],
  press: Press,
): SqueezedPull {
  const { facts, build } = parts;
  const packing = packingOf(build);
  const findings = [
    ...padFindings(planned, clamps, packing),
    ...depthFindings(planned, facts, clamps),
    ...skewFindings(parts, planned, clamps),
  ];
  const word = (mpa: number) => pressureWord(mpa, planned.wanted, planned.crushMPa);
  const labelOf = (id: string) => facts.joints.find(({ joint }) => joint.id === id)?.label ?? id;
  const base = { planned, clamps };
  if (planned.taken.length === 0) return { ...base, by: 'mean', joints: [], findings };
  if (planned.pull.need === 'band') {
    const corners = cornersUnderBands(
      planned,
      facts,
      build.squeeze?.slip === true ? SLIP_FRICTION : BAND_FRICTION,
    );
    return {
      ...base,
      by: 'band',
      joints: corners.map((corner) => ({ ...corner, word: word(corner.minMPa) })),
      findings: [...findings, ...bandFindings(planned, facts, build.squeeze?.slip === true)],
    };
  }
  if (planned.taken.some(({ lot }) => findClampKind(lot.kind).pressureMPa !== null)) {
    const mpa = vacuumMPa(parts.shop);
    return {
      ...base,
      by: 'bag',
      joints: planned.pull.joints.map((joint) => ({
        joint,
        label: labelOf(joint),
        minMPa: mpa,
        meanMPa: mpa,
        angleDeg: null,
        word: word(mpa),
      })),
      findings,
    };
  }
  if (planned.pull.need === 'seat') return { ...base, by: 'seat', joints: [], findings };
  const stack = pressStack(planned, facts, clamps, packing, press);
  if (stack !== null) {
    return {
      ...base,
      by: 'elements',
      joints: stack.joints.map(({ joint, minMPa, meanMPa }) => ({
        joint,
        label: labelOf(joint),
        minMPa,
        meanMPa,
        angleDeg: null,
        word: word(minMPa),
      })),
      findings: [...findings, ...stackFindings(stack)],
    };
  }
  const under = underCauls(parts, planned, clamps);
  if (under !== null) {
    return {
      ...base,
      by: 'layer',
      joints: planned.pull.joints.map((joint) => ({
        joint,
        label: labelOf(joint),
        ...under,
        angleDeg: null,
        word: word(under.minMPa),
      })),
      findings,
    };
  }
  return {
    ...base,
    by: 'mean',
    joints: [],
    findings: [...findings, ...apartFindings(planned, facts, clamps, packing)],
  };
}

/** Mitres under one band or several, each ratcheted at its own corner, with friction round the corners. */
function cornersUnderBands(
  planned: PlannedPull,
  facts: AssemblyFacts,
  friction: number,
): Omit<SqueezedJoint, 'word'>[] {
  const joints = facts.joints.filter(
    ({ joint, gluedMm2 }) => planned.pull.joints.includes(joint.id) && gluedMm2 > 0,
  );
  const angles = joints.map(({ joint }) => joint.angleDeg ?? 180);
  const areaMm2 = Math.max(...joints.map(({ gluedMm2 }) => gluedMm2));
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
    return { joint: joint.id, label, minMPa: mpa, meanMPa: mpa, angleDeg: joint.angleDeg };
  });
}

const ROUND: readonly string[] = ['band', 'elastic-wrap'];

function bandFindings(planned: PlannedPull, facts: AssemblyFacts, slip: boolean): Finding[] {
  const staves = facts.parts.filter(({ part }) => part.role === 'stave').length;
  const bands = planned.taken
    .filter(({ lot }) => lot.kind === 'band')
    .reduce((sum, { count }) => sum + count, 0);
  const friction = slip ? SLIP_FRICTION : BAND_FRICTION;
  const found = bands === 0 ? [] : [finding('band-loses-pull', 'informs', { friction, bands })];
  if (staves !== 4) return found;
  const { mostRatio } = opposedPulls({ acrossN: 1, downN: 1, friction: WET_FRICTION });
  return [...found, finding('opposed-clamps', 'informs', { mostRatio, friction: WET_FRICTION })];
}

/** Jaws, through their packing, against what the wood bears. */
function padFindings(
  { pull, crushMPa }: PlannedPull,
  clamps: readonly ClampInSpace[],
  packing: Packing,
): Finding[] {
  if (pull.need === 'band' || pull.need === 'tape') return [];
  const spread = packing.kind === 'bare' ? 0 : 2 * packing.thicknessMm;
  const biting = clamps
    .filter(({ shape }) => shape.kind === 'jaws')
    .map((clamp) => ({
      clamp,
      padMPa: clamp.forceN / ((clamp.lot.padWidthMm + spread) * (clamp.lot.padHeightMm + spread)),
    }))
    .filter(({ padMPa }) => padMPa > crushMPa);
  const [worst] = biting.sort((a, b) => b.padMPa - a.padMPa);
  return worst === undefined
    ? []
    : [finding('pad-crushes', 'warns', { clamp: worst.clamp.number, padMPa: worst.padMPa, crushMPa })];
}

/** Jaws that do not reach the middle of what they press. */
function depthFindings(
  { pull }: PlannedPull,
  facts: AssemblyFacts,
  clamps: readonly ClampInSpace[],
): Finding[] {
  if (pull.need !== 'line' || !pull.stacked) return [];
  const joints = facts.joints.filter(({ joint }) => pull.joints.includes(joint.id));
  if (!joints.every(({ joint }) => joint.kind === 'face')) return [];
  const across = Math.min(
    ...[0, 1, 2].map((k) => {
      const axis = [0, 1, 2].map((j) => (j === k ? 1 : 0)) as unknown as readonly [number, number, number];
      if (Math.abs(dot(axis, pull.axis)) > 0.1) return Infinity;
      const [low, high] = reach(
        facts.parts.flatMap(({ part }) => solidPoints(part.solid)),
        axis,
      );
      return high - low;
    }),
  );
  const shallow = clamps.find(({ lot }) => {
    const { jawDepthMm } = findClampKind(lot.kind);
    return jawDepthMm > 0 && jawDepthMm < across / 2;
  });
  return shallow === undefined
    ? []
    : [
        finding('jaws-from-both-sides', 'warns', {
          kind: shallow.lot.kind,
          depthMm: findClampKind(shallow.lot.kind).jawDepthMm,
          neededMm: across / 2,
        }),
      ];
}

function stackFindings({ acrossShare, unknowns }: PressedStack): Finding[] {
  return [
    ...(acrossShare < 0.9 ? [finding('narrow-jaws', 'informs', { sharePct: 100 * acrossShare })] : []),
    finding('pressed-by-elements', 'informs', { unknowns }),
  ];
}

/** What a skewed clamp does to a frame, and which way to skew when the diagonals say that it is racked. */
function skewFindings(
  { facts, build }: AssemblyPlanParts,
  { pull }: PlannedPull,
  clamps: readonly ClampInSpace[],
): Finding[] {
  const [one] = clamps;
  if (facts.assembly.square.kind !== 'diagonals' || pull.need !== 'seat' || one?.shape.kind !== 'jaws')
    return [];
  const { from, to } = one.shape;
  const spanMm = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
  const values = { skewMm: SKEW_MM, spanMm, forceN: rackingN(one.forceN, SKEW_MM, spanMm) };
  const { acMm, bdMm } = build.dryFit;
  const off = (acMm ?? 0) - (bdMm ?? 0);
  return acMm === null || bdMm === null || Math.abs(off) <= RACKED_MM
    ? [finding('skew-racks', 'informs', values)]
    : [
        finding('skew-corrects', 'informs', {
          ...values,
          long: off > 0 ? 'A–C' : 'B–D',
          pullMm: Math.abs(off) / 2,
        }),
      ];
}

/** Clamps on what is neither a row nor a sheet: near enough that what they press reaches the next one (45°). */
function apartFindings(
  { pull, joint }: PlannedPull,
  facts: AssemblyFacts,
  clamps: readonly ClampInSpace[],
  packing: Packing,
): Finding[] {
  if (pull.need !== 'line' || clamps.length === 0) return [];
  const joints = facts.joints.filter(({ joint: own }) => pull.joints.includes(own.id));
  const lengthMm = Math.max(...joints.map((own) => own.lengthMm));
  const [low, high] = reach(
    facts.parts.flatMap(({ part }) => solidPoints(part.solid)),
    pull.axis,
  );
  const caul = packing.kind === 'bare' ? 0 : packing.thicknessMm;
  // Half of the stack is above the middle line; a bend is as thick as its plies, not as high as its arc.
  const thickMm = joints.length > 1 ? joints.length * 1 : high - low;
  const padMm = clamps[0]?.lot.padWidthMm ?? 0;
  const coversMm = padMm + 2 * caul + Math.min(thickMm, padMm);
  const count = Math.ceil(lengthMm / Math.max(1, coversMm));
  return count > clamps.length
    ? [finding('clamps-far-apart', 'warns', { line: joint, count, have: clamps.length, everyMm: coversMm })]
    : [];
}

/** Sheets pressed between platens by crowned cauls: the platen as a beam on the veneer between the cauls. */
function underCauls(
  { facts, build }: AssemblyPlanParts,
  { pull, reachN }: PlannedPull,
  clamps: readonly ClampInSpace[],
): { readonly minMPa: number; readonly meanMPa: number } | null {
  const sheets = facts.joints.filter(({ joint }) => pull.joints.includes(joint.id));
  if (!sheets.every(({ joint }) => joint.kind === 'veneer')) return null;
  const core = facts.parts.find(({ part }) => part.role === 'core');
  if (core === undefined) return null;
  const [lengthMm, widthMm, coreMm] = core.part.blankMm;
  const pairs = Math.max(1, Math.floor(clamps.length / 2));
  const platenMm = build.squeeze?.packing?.thicknessMm ?? PLATEN_MM;
  const mdf = resolveSpecies('mdf').properties;
  const { minMPa, meanMPa } = layerPressure({
    lengthMm,
    widthMm,
    stripMm: platenMm,
    stripMPa: mdf.eLMPa,
    layerMm: coreMm / 2,
    layerMPa: core.wood.eTMPa,
    pushes: Array.from({ length: pairs }, (_, i) => ({
      xMm: (lengthMm * (i + 0.5)) / pairs,
      forceN: reachN / pairs,
    })),
  });
  return { minMPa, meanMPa };
}
