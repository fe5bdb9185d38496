import { finding } from '../finding';
import type { AssemblyBuild, ShopDocument } from '../formats';
import { type AssemblyPlan, clampsElsewhere, packingOf } from '../verdicts';
import type { Candidate } from './rank';

type Change = Candidate<AssemblyBuild>;
type Squeeze = NonNullable<AssemblyBuild['squeeze']>;

/** Clamps that one change adds to a pull, at most. */
const MOST_ADDED = 6;
/** Cauls that are proposed, mm, and how true a shooting board cuts, degrees [judgement]. */
const CAUL_MM = 30;
const SHOT_DEG = 0.02;
/** Difference of diagonals that is worth pulling, mm. */
const RACKED_MM = 0.5;

/** Changes to how an assembly is squeezed, cut or made ready. */
export function squeezeChanges(plan: AssemblyPlan, shop: ShopDocument): Change[] {
  const { build } = plan;
  const squeezed = (change: Squeeze): AssemblyBuild => ({
    ...build,
    squeeze: { ...build.squeeze, ...change },
  });
  return [
    ...moreOnPulls(plan, shop, squeezed),
    ...workedOut(plan, squeezed),
    ...otherPacking(build, squeezed),
    ...recut(plan),
    ...truerShape(plan, squeezed),
    ...evenMoisture(plan),
  ];
}

/** More clamps on a pull, as far as the rack has kinds that suit and open far enough. */
function moreOnPulls(
  { build, pulls }: AssemblyPlan,
  shop: ShopDocument,
  squeezed: (change: Squeeze) => AssemblyBuild,
): Change[] {
  return pulls.flatMap(({ pull, taken, word }): Change[] => {
    const now = taken.reduce((sum, { count }) => sum + count, 0);
    const suiting = shop.rack
      .filter(({ kind, maxOpeningMm }) => pull.kinds.includes(kind) && maxOpeningMm >= pull.openingMm)
      .reduce((sum, { count }) => sum + count, 0);
    const others = (build.squeeze?.counts ?? []).filter((each) => each.pull !== pull.id);
    const most = Math.min(MOST_ADDED, suiting - now);
    return Array.from({ length: Math.max(0, most) }, (_, i): Change => ({
      change: finding('more-on-pull', 'informs', { count: i + 1, now, word }),
      build: squeezed({
        counts: [...others, { pull: pull.id, count: now + i + 1 }],
        ...withoutPlaced(build, pull.id),
      }),
      effort: 1 + 0.2 * i,
    }));
  });
}

/** The clamps of a build without those placed on one pull; nothing where none are. */
const withoutPlaced = (build: AssemblyBuild, id: string): Squeeze =>
  build.squeeze?.clamps === undefined ? {} : { clamps: clampsElsewhere(build, id) };

/** Clamps where they would be put by themselves, in place of those that were put otherwise. */
function workedOut({ build, pulls }: AssemblyPlan, squeezed: (change: Squeeze) => AssemblyBuild): Change[] {
  return pulls
    .filter(({ placed, idle }) => placed.length + idle.length > 0)
    .map(({ pull, joint }) => ({
      change: finding('pull-worked-out', 'informs', { pull: pull.id, line: joint }),
      build: squeezed(withoutPlaced(build, pull.id)),
      effort: 0.5,
    }));
}

function otherPacking(build: AssemblyBuild, squeezed: (change: Squeeze) => AssemblyBuild): Change[] {
  const packing = packingOf(build);
  return [
    ...(packing.kind === 'cauls'
      ? []
      : [
          {
            change: finding('cauls-along', 'informs', { thicknessMm: CAUL_MM }),
            build: squeezed({ packing: { kind: 'cauls', thicknessMm: CAUL_MM } }),
            effort: 1.2,
          },
        ]),
    ...(packing.kind === 'bare'
      ? [
          {
            change: finding('blocks-under', 'informs', { thicknessMm: 20 }),
            build: squeezed({ packing: { kind: 'blocks', thicknessMm: 20 } }),
            effort: 0.6,
          },
        ]
      : []),
    ...(build.squeeze?.slip === true
      ? []
      : [{ change: finding('slip-round', 'informs'), build: squeezed({ slip: true }), effort: 0.6 }]),
    ...(build.squeeze?.press === 'cauls'
      ? []
      : [
          {
            change: finding('press-between-platens', 'informs'),
            build: squeezed({ press: 'cauls' }),
            effort: 3,
          },
        ]),
  ];
}

/** What the plan comes to once the joint that stands open has been cut or planed again. */
function recut({ build, joints }: AssemblyPlan): Change[] {
  const [worst] = joints
    .filter(({ closing }) => closing === 'costly' || closing === 'back-to-plane')
    .sort((a, b) => Math.abs(b.gap?.gapMm ?? 0) - Math.abs(a.gap?.gapMm ?? 0));
  if (worst === undefined) return [];
  const { id } = worst.facts.joint;
  return [
    {
      change: finding('cut-again', 'informs', { line: worst.facts.label }),
      build: {
        ...build,
        jointNotes: build.jointNotes.map((note) =>
          note.id === id ? { ...note, gapMm: 0, gapsMm: [] } : note,
        ),
      },
      first: 'reading',
      effort: 3,
    },
  ];
}

/** Truer cuts, a pulled diagonal, a flat base. */
function truerShape({ build, facts }: AssemblyPlan, squeezed: (change: Squeeze) => AssemblyBuild): Change[] {
  const found: Change[] = [];
  const { acMm, bdMm, twistMm, bowMm } = build.dryFit;
  if (facts.assembly.square.kind === 'mitres' && (build.squeeze?.cutErrorDeg ?? 1) > SHOT_DEG) {
    found.push({
      change: finding('shoot-mitres', 'informs', { errorDeg: SHOT_DEG }),
      build: squeezed({ cutErrorDeg: SHOT_DEG }),
      effort: 1.5,
    });
  }
  if (acMm !== null && bdMm !== null && Math.abs(acMm - bdMm) > RACKED_MM) {
    const mean = (acMm + bdMm) / 2;
    found.push({
      change: finding('pull-diagonal', 'informs', {
        long: acMm > bdMm ? 'A–C' : 'B–D',
        pullMm: Math.abs(acMm - bdMm) / 2,
      }),
      build: { ...build, dryFit: { ...build.dryFit, acMm: mean, bdMm: mean } },
      first: 'reading',
      effort: 0.8,
    });
  }
  if ((twistMm !== null || bowMm !== null) && build.squeeze?.clampedDown !== true) {
    found.push({
      change: finding('clamp-down', 'informs'),
      build: squeezed({ clampedDown: true }),
      effort: 0.8,
    });
  }
  if (facts.assembly.flat.kind === 'balance' && !facts.assembly.flat.bothFaces && 'faces' in build.answers) {
    found.push({
      change: finding('veneer-both', 'informs'),
      build: { ...build, answers: { ...build.answers, faces: 'both' } },
      effort: 2,
    });
  }
  return found;
}

/** What the plan comes to once all parts have come to one moisture. */
function evenMoisture({ build, partMcPct, facts }: AssemblyPlan): Change[] {
  const [least, most] = [Math.min(...partMcPct), Math.max(...partMcPct)];
  if (most - least < 2) return [];
  const metered = new Set(build.partNotes.filter(({ mcPct }) => mcPct !== null).map(({ id }) => id));
  return facts.parts.some(({ part }) => metered.has(part.id))
    ? [
        {
          change: finding('let-settle', 'informs', { mcPct: least }),
          build: {
            ...build,
            partNotes: build.partNotes.map((note) =>
              note.mcPct === null ? note : { ...note, mcPct: least },
            ),
          },
          first: 'reading',
          effort: 5,
        },
      ]
    : [];
}
