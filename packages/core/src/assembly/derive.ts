import { InputError } from '../basics/checks';
import {
  AT_TWELVE_PCT,
  type GluingTraits,
  type OwnWood,
  resolveSpecies,
  type WoodProperties,
} from '../materials';
import { MAIN_AXES, reach, solidPoints, solidVolume, type Surface, surfacesOf, type Vec3 } from '../solids';
import type { Assembly, Part } from './assembly';
import { type JointFacts, jointFacts } from './joint-facts';
import { type ReferenceMarks, referenceMarks } from './reference-marks';

/** A part with its wood looked up and its solid measured. */
export interface PartFacts {
  readonly part: Part;
  readonly wood: WoodProperties;
  readonly traits: GluingTraits;
  readonly woodName: string;
  /** The wood of the catalogue that it is or resembles; null where there is none. */
  readonly woodLike: string | null;
  readonly volumeMm3: number;
  readonly massKg: number;
  readonly surfaces: readonly Surface[];
  /** Of each surface, how much lies against another part, mm². */
  readonly coveredMm2: readonly number[];
  /** Null for a part without a side along the grain. */
  readonly marks: ReferenceMarks | null;
}

/** An assembly measured: what its solids weigh and where they touch. */
export interface AssemblyFacts {
  readonly assembly: Assembly;
  readonly parts: readonly PartFacts[];
  readonly joints: readonly JointFacts[];
  readonly massKg: number;
  readonly gluedMm2: number;
  /** Corners of the smallest upright box around the parts. */
  readonly fromMm: Vec3;
  readonly toMm: Vec3;
}

type Reach = readonly [number, number];

/**
 * Measures an assembly. Mass is at 12 % moisture: volume × specific gravity × `AT_TWELVE_PCT`.
 * @throws InputError `inconsistent` where ids repeat, a joint names no part or joins one with itself, or two
 * parts that are to be joined do not touch; `unknown-id` for a species outside the catalogue.
 */
export function deriveAssembly(assembly: Assembly): AssemblyFacts {
  const byId = new Map(assembly.parts.map((part) => [part.id, part]));
  if (byId.size < assembly.parts.length) throw unfit('parts', 'Two parts have one id.', 'ids that differ');
  const parts = assembly.parts.map((part, i) => partFacts(part, i, assembly.woods ?? []));
  const surfaces = new Map(parts.map(({ part, surfaces: own }) => [part.id, own]));
  const seen = new Set<string>();
  const joints = assembly.joints.map((joint, i) => {
    const field = `joints.${i}`;
    const [a, b] = [byId.get(joint.a), byId.get(joint.b)];
    if (a === undefined || b === undefined)
      throw unfit(field, 'A joint names a part that is not there.', 'two parts of this build');
    if (a === b) throw unfit(field, 'A part cannot be joined with itself.', 'two different parts');
    if (seen.has(joint.id)) throw unfit(field, 'Two joints have one id.', 'ids that differ');
    seen.add(joint.id);
    const facts = jointFacts(joint, a, b, surfaces);
    if (facts.contacts.length === 0) {
      throw unfit(
        field,
        `“${a.label}” and “${b.label}” are to be joined and do not touch anywhere.`,
        'parts whose faces lie against each other; move or size one of them',
      );
    }
    return facts;
  });
  const covered = coverage(joints, parts);
  const points = assembly.parts.flatMap(({ solid }) => solidPoints(solid));
  const [x, y, z] = MAIN_AXES.map((axis) => reach(points, axis)) as [Reach, Reach, Reach];
  return {
    assembly,
    parts: parts.map((facts, i) => {
      const coveredMm2 = covered[i] ?? [];
      return { ...facts, coveredMm2, marks: referenceMarks(facts.part, facts.surfaces, coveredMm2) };
    }),
    joints,
    massKg: parts.reduce((sum, { massKg }) => sum + massKg, 0),
    gluedMm2: joints.reduce((sum, { gluedMm2 }) => sum + gluedMm2, 0),
    fromMm: [x[0], y[0], z[0]],
    toMm: [x[1], y[1], z[1]],
  };
}

/** Area of each surface of each part that its joints cover. */
function coverage(
  joints: readonly JointFacts[],
  parts: readonly { readonly part: Part; readonly surfaces: readonly Surface[] }[],
): number[][] {
  const covered = parts.map(({ surfaces }) => surfaces.map(() => 0));
  const rowOf = new Map(parts.map(({ part }, i) => [part.id, covered[i] ?? []]));
  for (const { joint, contacts } of joints) {
    for (const { areaMm2, ofA, ofB } of contacts) {
      const [a, b] = [rowOf.get(joint.a) ?? [], rowOf.get(joint.b) ?? []];
      a[ofA] = (a[ofA] ?? 0) + areaMm2;
      b[ofB] = (b[ofB] ?? 0) + areaMm2;
    }
  }
  return covered;
}

function partFacts(
  part: Part,
  index: number,
  woods: readonly OwnWood[],
): Omit<PartFacts, 'coveredMm2' | 'marks'> {
  const { properties, traits, name, like } = resolveSpecies(part.species, `parts.${index}.species`, woods);
  const volumeMm3 = solidVolume(part.solid);
  return {
    part,
    wood: properties,
    traits,
    woodName: name,
    woodLike: like,
    volumeMm3,
    massKg: volumeMm3 * properties.sg * AT_TWELVE_PCT * 1e-6,
    surfaces: surfacesOf(part.solid),
  };
}

function unfit(field: string, message: string, allowed: string): InputError {
  return new InputError('inconsistent', field, message, allowed);
}
