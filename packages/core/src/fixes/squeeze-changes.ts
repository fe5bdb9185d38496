import { USUAL_BLOCK_MM } from '../clamps';
import { finding } from '../findings';
import type { BuildDocument, ShopDocument } from '../formats';
import { ACROSS, clampsElsewhere, packingOf, type Plan } from '../plan';
import { closedDry } from './common-changes';
import type { Candidate } from './rank';

type Squeeze = NonNullable<BuildDocument['squeeze']>;

/** Clamps that one change adds to a pull, at most. */
const MOST_ADDED = 6;
/** Cauls that are proposed, mm, and how true a shooting board cuts, degrees [judgement]. */
const CAUL_MM = 30;
const SHOT_DEG = 0.02;
/** Difference of diagonals that is worth pulling, mm. */
const RACKED_MM = 0.5;

/** Changes to how an assembly is squeezed, cut or made ready. */
export function squeezeChanges(plan: Plan, shop: ShopDocument): Candidate[] {
  const { build } = plan;
  const squeezed = (change: Squeeze): BuildDocument => ({
    ...build,
    squeeze: { ...build.squeeze, ...change },
  });
  const pulls = plan.pulls.filter(({ pull }) => plan.row === null || pull.id !== ACROSS);
  return [
    ...moreOnPulls(build, pulls, shop, squeezed),
    ...workedOut(build, pulls, squeezed),
    ...(plan.row === null ? otherPacking(build, pulls, squeezed) : []),
    ...recut(plan),
    ...truerShape(plan, squeezed),
    ...evenMoisture(plan),
    ...driedFirst(plan),
    ...gluedLess(plan),
  ];
}

/** More clamps on a pull, as far as the rack has kinds that suit and open far enough. */
function moreOnPulls(
  build: BuildDocument,
  pulls: Plan['pulls'],
  shop: ShopDocument,
  squeezed: (change: Squeeze) => BuildDocument,
): Candidate[] {
  return pulls.flatMap(({ pull, pieces }): Candidate[] => {
    const now = pieces.length;
    const suiting = shop.rack
      .filter(({ kind, maxOpeningMm }) => pull.kinds.includes(kind) && maxOpeningMm >= pull.openingMm)
      .reduce((sum, { count }) => sum + count, 0);
    const others = (build.squeeze?.counts ?? []).filter((each) => each.pull !== pull.id);
    const most = Math.min(MOST_ADDED, suiting - now);
    return Array.from({ length: Math.max(0, most) }, (_, i): Candidate => ({
      change: finding('more-on-pull', 'informs', { count: i + 1, now }),
      build: squeezed({
        counts: [...others, { pull: pull.id, count: now + i + 1 }],
        ...withoutPlaced(build, pull.id),
      }),
    }));
  });
}

/** The clamps of a build without those placed on one pull; nothing where none are. */
const withoutPlaced = (build: BuildDocument, id: string): Squeeze =>
  build.squeeze?.clamps === undefined ? {} : { clamps: clampsElsewhere(build, id) };

/** Clamps where they would be put by themselves, in place of those that were put otherwise. */
function workedOut(
  build: BuildDocument,
  pulls: Plan['pulls'],
  squeezed: (change: Squeeze) => BuildDocument,
): Candidate[] {
  return pulls
    .filter(({ placed, idle }) => placed.length + idle.length > 0)
    .map(({ pull, joint }) => ({
      change: finding('pull-worked-out', 'informs', { line: joint }),
      build: squeezed(withoutPlaced(build, pull.id)),
    }));
}

function otherPacking(
  build: BuildDocument,
  pulls: Plan['pulls'],
  squeezed: (change: Squeeze) => BuildDocument,
): Candidate[] {
  const packing = packingOf(build);
  const seats = pulls.some((pull) => pull.seats);
  return [
    ...(packing.kind === 'cauls'
      ? []
      : [
          {
            change: finding(seats ? 'cauls-across' : 'cauls-along', 'informs', { thicknessMm: CAUL_MM }),
            build: squeezed({ packing: { kind: 'cauls', thicknessMm: CAUL_MM } }),
          },
        ]),
    ...(packing.kind === 'bare'
      ? [
          {
            change: finding('blocks-under', 'informs', { thicknessMm: USUAL_BLOCK_MM }),
            build: squeezed({ packing: { kind: 'blocks', thicknessMm: USUAL_BLOCK_MM } }),
          },
        ]
      : []),
    ...(build.squeeze?.slip === true
      ? []
      : [{ change: finding('slip-round', 'informs'), build: squeezed({ slip: true }) }]),
    ...(build.squeeze?.press === 'cauls'
      ? []
      : [
          {
            change: finding('press-between-platens', 'informs'),
            build: squeezed({ press: 'cauls' }),
          },
        ]),
  ];
}

/** What the plan comes to once the joint that stands open has been cut or planed again. */
function recut({ build, joints }: Plan): Candidate[] {
  const [worst] = joints
    .filter(({ closing }) => closing === 'costly' || closing === 'back-to-plane')
    .sort((a, b) => Math.abs(b.gap?.gapMm ?? 0) - Math.abs(a.gap?.gapMm ?? 0));
  if (worst === undefined) return [];
  return [
    {
      change: finding('cut-again', 'informs', { line: worst.facts.label }),
      build: closedDry(build, worst.facts.joint.id),
      first: 'reading',
    },
  ];
}

/** Truer cuts, a pulled diagonal, a flat base. */
function truerShape({ build, facts }: Plan, squeezed: (change: Squeeze) => BuildDocument): Candidate[] {
  const found: Candidate[] = [];
  const { acMm, bdMm, twistMm, bowMm } = build.dryFit;
  if (facts.assembly.square.kind === 'mitres' && (build.squeeze?.cutErrorDeg ?? 1) > SHOT_DEG) {
    found.push({
      change: finding('shoot-mitres', 'informs', { errorDeg: SHOT_DEG }),
      build: squeezed({ cutErrorDeg: SHOT_DEG }),
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
    });
  }
  if ((twistMm !== null || bowMm !== null) && build.squeeze?.clampedDown !== true) {
    found.push({
      change: finding('clamp-down', 'informs'),
      build: squeezed({ clampedDown: true }),
    });
  }
  if (
    facts.assembly.flat.kind === 'balance' &&
    facts.assembly.flat.oneSided !== null &&
    'faces' in build.answers
  ) {
    found.push({
      change: finding('veneer-both', 'informs'),
      build: { ...build, answers: { ...build.answers, faces: 'both' } },
    });
  }
  return found;
}

/** What the plan comes to once all parts have come to one moisture. */
function evenMoisture({ build, partMcPct, facts }: Plan): Candidate[] {
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
        },
      ]
    : [];
}

/** What the plan comes to once wood that is too wet has dried to what the glue takes. */
function driedFirst({ build, adhesive, partMcPct, facts }: Plan): Candidate[] {
  const most = adhesive.moisturePct.max;
  const wet = new Set(facts.parts.flatMap(({ part }, i) => ((partMcPct[i] ?? 0) > most ? [part.id] : [])));
  if (wet.size === 0) return [];
  const noted = [...wet].map((id) => ({
    ...(build.partNotes.find((note) => note.id === id) ?? { id, species: null, condition: 'fresh' as const }),
    mcPct: most,
  }));
  return [
    {
      change: finding('dry-boards', 'informs', { mcPct: most }),
      build: { ...build, partNotes: [...build.partNotes.filter(({ id }) => !wet.has(id)), ...noted] },
      first: 'reading',
    },
  ];
}

/** Glue kept to where the kind lays it, in all joints whose wood could be held too wide across its grain. */
function gluedLess({ build, joints }: Plan): Candidate[] {
  const wide = joints.filter(
    ({ facts: { joint, crossedMm } }) =>
      crossedMm !== null && build.jointNotes.some(({ id, glued }) => id === joint.id && glued !== undefined),
  );
  const [first, ...others] = wide;
  if (first === undefined) return [];
  const ids = new Set(wide.map(({ facts }) => facts.joint.id));
  const jointNotes = build.jointNotes.map((note) => {
    if (!ids.has(note.id)) return note;
    const asLaid = { ...note };
    delete asLaid.glued;
    return asLaid;
  });
  const change = finding('glue-less-across', 'informs', { line: first.facts.label, others: others.length });
  return [{ change, build: { ...build, jointNotes } }];
}
