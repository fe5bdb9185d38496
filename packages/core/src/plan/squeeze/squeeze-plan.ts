import type { AssemblyFacts } from '../../assembly';
import { isBag, pressureWord } from '../../clamps';
import { finding, type PlanFinding } from '../../findings';
import { resolveSpecies } from '../../materials';
import { layerPressure, type Press } from '../../mechanics';
import type { PlanParts } from '../plan';
import { ACROSS } from '../row/row-job';
import type { RowPlan } from '../row/row-plan';
import type { PlannedPull } from '../pulls/planned-pull';
import { PLATEN_MM, vacuumMPa } from '../pulls/pulls';
import { bandFindings, cornersUnderBands } from './bands';
import {
  apartFindings,
  seatFindings,
  depthFindings,
  padFindings,
  skewFindings,
  stackFindings,
} from './clamp-findings';
import { clampsInSpace } from './clamps-in-space';
import { placedFindings } from './placed-findings';
import { packingOf } from '../pulls/packing';
import { pressStack, type PressedStack, stackOf } from './press-stack';
import type { ClampInSpace, PressedAlong, Squeeze, SqueezedJoint, SqueezedPull } from './squeezed';
import { jointsOf, linesOfPull } from '../pulls/lines-of-pull';
import { pressedMm2 } from '../pulls/wanted-lines';

/** Whether settling takes finite elements, which are slow; whatever else is settled is so at once. */
export const wantsElements = ({ row, pulls, facts, build }: PlanParts): boolean =>
  row !== null || pulls.some(({ pull }) => stackOf(pull, facts, packingOf(build)) !== null);

/** Places the clamps of every pull and works out what each joint gets, as finely as its shape allows. */
export function squeezePlan(parts: PlanParts, press: Press): Squeeze {
  const { pulls, facts } = parts;
  let next = 1;
  const squeezed = pulls.map((planned): SqueezedPull => {
    const clamps = clampsInSpace(planned, facts, next);
    next += planned.pieces.length;
    return parts.row !== null && planned.pull.id === ACROSS
      ? squeezedRow(planned, clamps, parts.row)
      : squeezePull(parts, planned, clamps, press);
  });
  // What is said of the frame as a whole is said once.
  const said = squeezed.findIndex(({ findings }) => findings.some(isSkew));
  return {
    pulls: squeezed.map((pull, i) =>
      i === said ? pull : { ...pull, findings: pull.findings.filter((each) => !isSkew(each)) },
    ),
  };
}

/** A row in its clamps, as row mechanics have found it. */
function squeezedRow(
  planned: PlannedPull,
  clamps: readonly ClampInSpace[],
  { lines, panel, clampSet, pressed }: RowPlan,
): SqueezedPull {
  // Those that are too short stay off, and keep their numbers.
  const able = clampSet.clamps.filter(({ fit }) => fit !== 'too-short');
  return {
    planned,
    clamps: clamps.map((clamp, i) => ({ ...clamp, number: able[i]?.number ?? clamp.number })),
    by: pressed === null ? 'mean' : 'elements',
    joints: lines.map(({ line, pressure, lowestWord }) => ({
      joint: line.id,
      label: line.label,
      minMPa: pressure.minMPa,
      meanMPa: pressure.meanMPa,
      maxMPa: pressure.maxMPa,
      angleDeg: null,
      word: lowestWord,
    })),
    along: {
      lengthMm: panel.lengthMm,
      clampsMm: clampSet.clamps.map(({ placed }) => placed.xMm),
      lines: lines.map(({ line, pressure }) => ({
        joint: line.id,
        label: line.label,
        pressureMPa: pressure.pressureMPa,
        minMPa: pressure.minMPa,
        minAtMm: pressure.minAtMm,
        maxMPa: pressure.maxMPa,
      })),
    },
    findings:
      pressed === null ? [] : [finding('pressed-by-elements', 'informs', { unknowns: pressed.unknowns })],
  };
}

const isSkew = ({ code }: PlanFinding): boolean => code === 'skew-racks' || code === 'skew-corrects';

function squeezePull(
  parts: PlanParts,
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
    ...seatFindings(planned, facts, clamps, packing),
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
  if (planned.taken.some(({ lot }) => isBag(lot.kind))) {
    const mpa = vacuumMPa(parts.shop);
    return {
      ...base,
      by: 'bag',
      joints: planned.pull.joints.map((joint) => ({
        joint,
        label: labelOf(joint),
        minMPa: mpa,
        meanMPa: mpa,
        maxMPa: mpa,
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
      joints: pressed.joints.map(({ joint: { joint, label }, minMPa, meanMPa, maxMPa }) => ({
        joint: joint.id,
        label,
        minMPa,
        meanMPa,
        maxMPa,
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
    joints: lineByLine(planned, facts).map((joint) => ({ ...joint, word: word(joint.minMPa) })),
    findings: [...findings, ...apartFindings(planned, facts, clamps, packing)],
  };
}

/** Means of joints on lines beside each other, each under the clamps of its own; none where clamps stand between lines. */
function lineByLine({ pull, pieces }: PlannedPull, facts: AssemblyFacts): Omit<SqueezedJoint, 'word'>[] {
  if (pieces.some(({ line }) => line === null)) return [];
  return linesOfPull(pull, jointsOf(pull, facts)).flatMap(({ joints }, line) => {
    const own = pieces.filter((piece) => piece.line === line);
    const forceN = own.reduce((sum, piece) => sum + piece.forceN, 0);
    return joints
      .filter(({ gluedMm2 }) => gluedMm2 > 0)
      .map((each) => {
        const mpa = forceN / pressedMm2(each, pull.axis);
        return {
          joint: each.joint.id,
          label: each.label,
          minMPa: mpa,
          meanMPa: mpa,
          maxMPa: mpa,
          angleDeg: null,
        };
      });
  });
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
  { facts, build }: PlanParts,
  { pull, reachN }: PlannedPull,
  clamps: readonly ClampInSpace[],
): { readonly minMPa: number; readonly meanMPa: number; readonly maxMPa: number } | null {
  const sheets = jointsOf(pull, facts);
  if (!sheets.every(({ joint }) => joint.kind === 'veneer')) return null;
  const core = facts.parts.find(({ part }) => part.role === 'core');
  if (core === undefined) return null;
  const [lengthMm, widthMm, coreMm] = core.part.blankMm;
  const pairs = Math.max(1, Math.floor(clamps.length / 2));
  const platenMm = build.squeeze?.packing?.thicknessMm ?? PLATEN_MM;
  const mdf = resolveSpecies('mdf').properties;
  const { minMPa, meanMPa, maxMPa } = layerPressure({
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
  return { minMPa, meanMPa, maxMPa };
}
