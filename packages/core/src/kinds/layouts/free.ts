import type { JointKind, Pull } from '../../assembly';
import { InputError } from '../../basics/checks';
import type { FreeJoint, FreePart } from '../../formats';
import { add, box, MAIN_AXES, reach, scale, type Solid, solidPoints, unit, type Vec3 } from '../../solids';
import { type Layout, PLAIN_LAYOUT } from '../kind';
import { AXIS_NAMES, grainAxis, grainOf, overlap, touchAxis } from './free-blocks';
import { type Joinery, joineryOf, letsIn } from './free-joinery';
import { type MitreCuts, mitreCuts, mitredSolid } from './free-mitres';
import { squareOfRing } from './free-ring';
import { BAR_CLAMPS, CORNER_CLAMPS, joint, PADS_MM } from './pieces';

/** Joints that are only drawn home; all others are pressed on their faces. */
const SEATED: readonly JointKind[] = [
  'mortise-tenon',
  'bridle',
  'half-lap',
  'housing',
  'rebate',
  'tongue',
  'dowel',
  'loose-tenon',
  'biscuit',
  'breadboard',
];
/** Edges thinner than this would buckle under a clamp: tape holds them, mm. */
const TAPED_UNDER_MM = 3;
/** What presses faces as well as edges; weights and a bag reach thin stock that bars would not. */
const PRESSES = [...BAR_CLAMPS, 'c-clamp', 'hand-screw', 'weight'];

/** A joint with its parts, and what its solids come to. */
interface Joined {
  readonly own: FreeJoint;
  readonly a: FreePart;
  readonly b: FreePart;
  readonly cuts: MitreCuts | null;
  readonly joinery: Joinery | null;
}

/**
 * Lays out a person's own parts and joints: tenons, bridles and housings with their solids, mitres cut where parts are laid into one
 * corner. Every joint is pulled in the direction in which its parts touch; what is let in is only seated.
 * @throws InputError `inconsistent` when two parts overlap that no mitre cuts, or when a joint cannot be made.
 */
export function freeLayout(parts: readonly FreePart[], joints: readonly FreeJoint[]): Layout {
  const joined = joinedParts(parts, joints);
  refuseOverlaps(parts, joined);
  const drafts = parts.map((own, i) => {
    const sizes = [...own.sizeMm];
    const along = grainAxis(own);
    const across = sizes.filter((_, axis) => axis !== along).sort((p, q) => q - p);
    const longerMm = joined.reduce(
      (sum, { joinery }) => sum + (joinery?.enters === own.id ? joinery.longerMm : 0),
      0,
    );
    return {
      id: own.id,
      label: own.name,
      role: 'part' as const,
      number: i + 1,
      species: own.species,
      solid: solidOfPart(own, joined),
      grain: grainOf(own),
      sheetNormal: null,
      blankMm: [(sizes[along] ?? 0) + longerMm, across[0] ?? 0, across[1] ?? 0] as const,
    };
  });
  return {
    ...PLAIN_LAYOUT,
    parts: drafts,
    joints: joints.map(({ id, kind, a, b }) => {
      const mitred = joined.some(({ own, cuts }) => own.id === id && cuts !== null);
      return { ...joint(kind, a, b, mitred ? { angleDeg: 90 } : {}), id };
    }),
    pulls: pullsOf(
      joined,
      drafts.flatMap(({ solid }) => solidPoints(solid)),
    ),
    square: squareOfRing(parts, joints),
    flat: { kind: 'wind' },
  };
}

function joinedParts(parts: readonly FreePart[], joints: readonly FreeJoint[]): Joined[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  return joints.flatMap((own, i) => {
    const [a, b] = [byId.get(own.a), byId.get(own.b)];
    if (a === undefined || b === undefined) return [];
    return [
      {
        own,
        a,
        b,
        // Two parts that only touch may be called a mitre without being cut as one.
        cuts: own.kind === 'mitre' && overlap(a, b) ? mitreCuts(a, b, i) : null,
        joinery: letsIn(own) ? joineryOf(own, a, b, i) : null,
      },
    ];
  });
}

function refuseOverlaps(parts: readonly FreePart[], joined: readonly Joined[]): void {
  const mitred = (a: FreePart, b: FreePart) =>
    joined.some(({ cuts, a: p, b: q }) => cuts !== null && [a, b].includes(p) && [a, b].includes(q));
  parts.forEach((a, i) => {
    const into = parts.slice(i + 1).find((b) => overlap(a, b) && !mitred(a, b));
    if (into !== undefined) {
      throw new InputError(
        'inconsistent',
        `parts.${i}`,
        `“${a.name}” and “${into.name}” are in the same place.`,
        'parts that touch without overlapping, or a mitre between them; move or size one of them',
      );
    }
  });
}

/** A part with its mitres cut, its tongues on and its pockets out. */
function solidOfPart(own: FreePart, joined: readonly Joined[]): Solid {
  const [x = 0, y = 0, z = 0] = own.atMm;
  const [dx = 0, dy = 0, dz = 0] = own.sizeMm;
  const cuts = joined.flatMap(({ a, b, cuts: both }) => {
    if (both === null || (a !== own && b !== own)) return [];
    const partner = a === own ? b : a;
    return [
      { cut: a === own ? both.a : both.b, partnerMm: partner.sizeMm[acrossOf(partner, both.a.normal)] ?? 0 },
    ];
  });
  const body = cuts.length === 0 ? box([x, y, z], [x + dx, y + dy, z + dz]) : mitredSolid(own, cuts);
  return {
    blocks: [body, ...joined.flatMap(({ joinery }) => (joinery?.enters === own.id ? [joinery.tongue] : []))],
    pockets: joined.flatMap(({ joinery }) => (joinery?.receives === own.id ? [joinery.pocket] : [])),
  };
}

/** The direction across a part in the plane of its mitres. */
const acrossOf = (part: FreePart, normal: 0 | 1 | 2): 0 | 1 | 2 =>
  ([0, 1, 2] as const).find((axis) => axis !== normal && axis !== grainAxis(part)) ?? 0;

/** One pull for each direction and need, and one for each mitred corner. */
function pullsOf(joined: readonly Joined[], points: readonly Vec3[]): Pull[] {
  const opening = (axis: Vec3) => {
    const [low, high] = points.length === 0 ? [0, 0] : reach(points, axis);
    return high - low + PADS_MM;
  };
  const straight = ([0, 1, 2] as const).flatMap((axis) =>
    (['line', 'seat', 'tape'] as const).flatMap((need): Pull[] => {
      const own = joined.filter(
        ({ a, b, cuts, own: { kind } }) =>
          cuts === null && touchAxis(a, b) === axis && needOf(kind, a, b, axis) === need,
      );
      return own.length === 0
        ? []
        : [
            {
              id: need === 'line' ? AXIS_NAMES[axis] : `${AXIS_NAMES[axis]}-${need}`,
              joints: own.map(({ own: { id } }) => id),
              need,
              stacked: false,
              axis: MAIN_AXES[axis],
              openingMm: opening(MAIN_AXES[axis]),
              kinds: need === 'tape' ? ['tape'] : need === 'seat' ? BAR_CLAMPS : PRESSES,
            },
          ];
    }),
  );
  const corners = joined.flatMap(({ own, a, b, cuts }): Pull[] => {
    if (cuts === null) return [];
    const [along, other] = [grainAxis(a), grainAxis(b)];
    // Square to the mitre: out along one member, in along the other.
    const way = add(
      scale(MAIN_AXES[along], cuts.a.high ? 1 : -1),
      scale(MAIN_AXES[other], cuts.b.high ? -1 : 1),
    );
    return [
      {
        id: `corner-${own.id}`,
        joints: [own.id],
        need: 'band',
        stacked: true,
        axis: unit(way),
        openingMm: Math.max(
          a.sizeMm[acrossOf(a, cuts.a.normal)] ?? 0,
          b.sizeMm[acrossOf(b, cuts.a.normal)] ?? 0,
        ),
        kinds: CORNER_CLAMPS,
      },
    ];
  });
  return [...straight, ...corners];
}

/** What a joint wants of its clamps: thin edges only tape, what is let in only seating. */
function needOf(kind: JointKind, a: FreePart, b: FreePart, axis: 0 | 1 | 2): 'line' | 'seat' | 'tape' {
  if (SEATED.includes(kind)) return 'seat';
  const thinnest = (part: FreePart) =>
    Math.min(...([0, 1, 2] as const).filter((each) => each !== axis).map((each) => part.sizeMm[each] ?? 0));
  return Math.min(thinnest(a), thinnest(b)) < TAPED_UNDER_MM ? 'tape' : 'line';
}
