import type { PlanFinding } from '../findings';
import type { OwnWood } from '../materials';
import type { OneSided } from '../mechanics';
import type { Solid, Vec2, Vec3 } from '../solids';

/** What a part is in its assembly; interfaces turn it into a shop name. */
export const PART_ROLES = [
  'board',
  'layer',
  'stave',
  'member',
  'stile',
  'rail',
  'leg',
  'slat',
  'spacer',
  'side',
  'top',
  'bottom',
  'shelf',
  'strip',
  'panel',
  'breadboard',
  'core',
  'veneer',
  'ply',
  'band',
  'pole',
  'part',
] as const;
/** One of `PART_ROLES`. */
export type PartRole = (typeof PART_ROLES)[number];

/** State of the faces to be glued. */
export const CONDITIONS = ['fresh', 'older', 'old-glue', 'finished'] as const;
/** One of `CONDITIONS`. */
export type Condition = (typeof CONDITIONS)[number];

/** How a board was sawn out of the log, and which way round it lies. */
export interface Ring {
  readonly cut: 'flat' | 'quarter' | 'rift';
  /** Which face the heart of the tree is on. */
  readonly heart: 'up' | 'down';
  readonly radiusMm: number;
}

/** A piece of wood in its place in space. */
export interface Part {
  readonly id: string;
  /** What it is called at the bench, such as "stile 2". */
  readonly label: string;
  readonly role: PartRole;
  /** Counts parts of one role from 1; 0 where there is only one. */
  readonly number: number;
  readonly species: string;
  readonly solid: Solid;
  /** Unit direction of the grain. */
  readonly grain: Vec3;
  /** Sheet goods only: unit direction across the sheet, whose edges all drink like end grain. */
  readonly sheetNormal: Vec3 | null;
  /** Blank to be cut for it: length along the grain, width, thickness. */
  readonly blankMm: Vec3;
  /** Metered moisture; null means in balance with the shop. */
  readonly mcPct: number | null;
  /** Boards of a row only. */
  readonly ring: Ring | null;
  readonly condition: Condition;
  /** The person wants the face mark, or the edge mark, on the opposite side. */
  readonly faceTurned: boolean;
  readonly edgeTurned: boolean;
}

/** How two parts are joined. */
export const JOINT_KINDS = [
  'edge',
  'face',
  'mitre',
  'butt',
  'mortise-tenon',
  'bridle',
  'half-lap',
  'housing',
  'rebate',
  'tongue',
  'dowel',
  'loose-tenon',
  'biscuit',
  'spline',
  'key',
  'scarf',
  'breadboard',
  'veneer',
  'band',
  'ply',
] as const;
/** One of `JOINT_KINDS`. */
export type JointKind = (typeof JOINT_KINDS)[number];

/** What is let into a mitre or a butt to make it hold. */
export const REINFORCEMENTS = ['none', 'key', 'spline', 'biscuit', 'loose-tenon', 'dowel', 'patch'] as const;
/** One of `REINFORCEMENTS`. */
export type Reinforcement = (typeof REINFORCEMENTS)[number];

/** Which of a joint's contact gets glue, where the person has a say: all, the middle third, or none. */
export const GLUED_REGIONS = ['full', 'middle', 'none'] as const;
/** One of `GLUED_REGIONS`. */
export type GluedRegion = (typeof GLUED_REGIONS)[number];

/** Two parts that are glued where they touch. */
export interface Joint {
  readonly id: string;
  readonly kind: JointKind;
  readonly a: string;
  readonly b: string;
  /** Share of the contact that gets glue: 1 everywhere, 0 dry. */
  readonly gluedShare: number;
  readonly reinforcement: Reinforcement;
  /** Openings read with feelers at the dry fit, at equal steps along the joint; one stands for all of it. */
  readonly gapsMm: readonly number[];
  /** Interior angle of a mitre or an odd-angle joint. */
  readonly angleDeg: number | null;
}

/** What clamps have to do for a group of joints that one pull closes. */
export interface Pull {
  readonly id: string;
  readonly joints: readonly string[];
  /** What presses: line pressure, enough to seat, a band round the outside, a bag, or tape. */
  readonly need: 'line' | 'seat' | 'band' | 'vacuum' | 'tape';
  /** True where one force goes through all of them in turn; false where each needs its own. */
  readonly stacked: boolean;
  /** Unit direction of the pull. */
  readonly axis: Vec3;
  /** Jaws must open this far, blocks and cauls included. */
  readonly openingMm: number;
  /** Clamp kinds that suit, best first. */
  readonly kinds: readonly string[];
  /** Least inside of the bag that presses it. */
  readonly bag?: { readonly lengthMm: number; readonly widthMm: number };
  /** Put on before the first bead, as tape is that a seam is opened along again. */
  readonly beforehand?: true;
  /** What is stiff under a thin glue is held down so far apart, mm; left out where only what jaws press themselves counts. */
  readonly everyMm?: number;
  /** Directions of clamps that come on in opposed pairs beside what goes round, as on a square post; left out where none may. */
  readonly opposedAxes?: readonly [Vec3, Vec3];
  /** Pegs that are driven through each of its joints once it is closed. */
  readonly pegs?: Pegs;
}

/** Pegs through a joint: in holes that are offset they draw it home where no clamp does. */
export interface Pegs {
  /** Through each joint. */
  readonly each: number;
  readonly thickMm: number;
  /** 0 where the holes are in line. */
  readonly offsetMm: number;
}

/** Something that presses, guides or shapes and is taken away again. */
export interface Aid {
  readonly id: string;
  /** A foot is the end of a block by which clamps of its own hold it. */
  readonly role: 'block' | 'foot' | 'caul' | 'form' | 'release-block';
  readonly solid: Solid;
  /** For a block cut to a curved edge under jaws. */
  readonly seat?: BlockSeat;
}

/** How a block sits on a curved edge: the stretch that it covers, in the plane of the row, and what keeps it from sliding along. */
export interface BlockSeat {
  readonly face: readonly Vec2[];
  readonly friction: number;
  /** Screws or clamps of its own hold so much along the edge, N. */
  readonly holdsN: number;
}

/** Two jaws, one against the other. */
export interface JawPlace {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly off: Vec3;
}

/** Clamps that hold blocks where they are, and press no joint. */
export interface ClampsOnBlocks {
  /** Between which points each is drawn up, and which way its bar lies off the work. */
  readonly places: readonly JawPlace[];
  readonly openingMm: number;
  /** What each must pull: so much, and so large a share of the pull that its block takes. */
  readonly forceN: number;
  readonly shareOfPull: number;
  /** Along the work from the jaw that presses on the block to the middle of its own; null where they do not meet. */
  readonly fromJawMm: number | null;
}

/** How squareness is judged for a kind. */
export type SquareCheck =
  | { readonly kind: 'diagonals'; readonly abMm: number; readonly bcMm: number }
  | {
      readonly kind: 'mitres';
      readonly corners: number;
      readonly faceMm: number;
      readonly lastAngleDeg: number;
    }
  /** An open chain, whose ends swing out by what the cuts of its corners are off. */
  | { readonly kind: 'splay'; readonly legMm: number }
  | { readonly kind: 'none' };

/** What may spoil the flatness of a kind, or the shape it is meant to have. */
export type FlatCheck =
  | { readonly kind: 'wind' }
  | {
      readonly kind: 'balance';
      /** Sheet that is veneered on one face only; null where both are. */
      readonly oneSided: Omit<OneSided, 'filmGPerM2'> | null;
    }
  | { readonly kind: 'springback'; readonly springbackMm: number }
  | { readonly kind: 'none' };

/** A length worth writing beside the drawing. */
export interface Dimension {
  readonly from: Vec3;
  readonly to: Vec3;
}

/** A job as parts and joints in space. */
export interface Assembly {
  /** Woods of the person's own that its parts may be of, beside the catalogue. */
  readonly woods?: readonly OwnWood[];
  readonly parts: readonly Part[];
  readonly joints: readonly Joint[];
  readonly aids: readonly Aid[];
  readonly pulls: readonly Pull[];
  /** Left out: blocks stay by themselves, or there are none. */
  readonly blockClamps?: ClampsOnBlocks;
  readonly square: SquareCheck;
  readonly flat: FlatCheck;
  readonly dimensions: readonly Dimension[];
  /** How many of the same are made. */
  readonly sets: number;
  /** Whether the rest, put together dry, can hold what is glued in an earlier session in its place. */
  readonly dryJig: boolean;
  /** Whether each joint is clamped dry in its place beforehand, so that it is quickly found again. */
  readonly setDry: boolean;
  /** A dried film is melted and pressed by an iron in the hand; everything else by what its pulls name. */
  readonly pressedBy: 'clamps' | 'iron';
  /** Whether its parts lie side by side and are pulled together edge to edge as one row: then row mechanics judge it. */
  readonly row: boolean;
  /** Whether it is glued in one go unless the person cuts it into sessions: rows, stacks, sheets, what is rolled or banded. */
  readonly oneGo: boolean;
  /** Whether joints are spread and closed one after the other as they lie, rather than in an order worked out from how they come apart. */
  readonly inTurn: boolean;
  /** What the kind itself has to say about these answers. */
  readonly findings: readonly PlanFinding[];
}
