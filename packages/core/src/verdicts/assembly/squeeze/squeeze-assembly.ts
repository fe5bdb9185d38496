import { findClampKind, pressureWord } from '../../../clamps';
import type { Finding } from '../../../finding';
import type { AssemblyBuild } from '../../../formats';
import { resolveSpecies } from '../../../materials';
import { layerPressure, type Press } from '../../../mechanics';
import type { AssemblyPlanParts } from '../assembly-parts';
import type { PlannedPull } from '../planned-pull';
import { PLATEN_MM, vacuumMPa } from '../pulls';
import { bandFindings, cornersUnderBands } from './bands';
import { apartFindings, depthFindings, padFindings, skewFindings, stackFindings } from './clamp-findings';
import { clampsInSpace } from './clamps-in-space';
import { placedFindings } from './placed-findings';
import { type Packing, pressStack, type PressedStack, stackOf } from './press-stack';
import type { AssemblySqueeze, ClampInSpace, PressedAlong, SqueezedPull } from './squeezed';
import { jointsOf } from '../lines-of-pull';

/** Blocks as thick as this lie under jaws unless the person says otherwise, mm. */
const USUAL_BLOCK_MM = 20;

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
    ...placedFindings(planned, facts, clamps, packing),
    ...skewFindings(parts, planned, clamps),
  ];
  const word = (mpa: number) => pressureWord(mpa, planned.wanted, planned.crushMPa);
  const labelOf = (id: string) => facts.joints.find(({ joint }) => joint.id === id)?.label ?? id;
  const base = { planned, clamps, along: null };
  if (planned.taken.length === 0) return { ...base, by: 'mean', joints: [], findings };
  if (planned.pull.need === 'band') {
    const corners = cornersUnderBands(planned, facts, build.squeeze?.slip === true);
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
  const stack = stackOf(planned.pull, facts, packing);
  const pressed = stack === null ? null : pressStack(stack, clamps, packing, press);
  if (pressed !== null) {
    return {
      ...base,
      by: 'elements',
      joints: pressed.joints.map(({ joint: { joint, label }, minMPa, meanMPa }) => ({
        joint: joint.id,
        label,
        minMPa,
        meanMPa,
        angleDeg: null,
        word: word(minMPa),
      })),
      along: alongOf(pressed),
      findings: [...findings, ...stackFindings(pressed)],
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

/** Curves of a stack, at the edges of the work where jaws are narrow. */
function alongOf({ joints, lengthMm, clampsMm, acrossShare }: PressedStack): PressedAlong {
  return {
    lengthMm,
    clampsMm,
    lines: joints.map(({ joint: { joint, label }, pressureMPa, minMPa, minAtMm, maxMPa }) => ({
      joint: joint.id,
      label,
      pressureMPa: pressureMPa.map((value) => value * acrossShare),
      minMPa,
      minAtMm,
      maxMPa: maxMPa * acrossShare,
    })),
  };
}

/** Sheets pressed between platens by crowned cauls: the platen as a beam on the veneer between the cauls. */
function underCauls(
  { facts, build }: AssemblyPlanParts,
  { pull, reachN }: PlannedPull,
  clamps: readonly ClampInSpace[],
): { readonly minMPa: number; readonly meanMPa: number } | null {
  const sheets = jointsOf(pull, facts);
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
