import type { Assembly, PartRole, Ring } from '../../assembly';
import { USUAL_BLOCK_MM } from '../../clamps';
import { MAIN_AXES, type Solid, type Vec3 } from '../../solids';
import type { Layout, PartDraft } from '../kind';

/** A mortise is cut deeper than its tenon is long, for glue and chips, mm. */
export const BOTTOM_ROOM_MM = 2;
/** Wood that must stay behind a mortise or under a housing, mm [judgement]. */
export const WALL_MM = 3;

/** A part with its id made of role and number. */
export function part(
  role: PartRole,
  number: number,
  species: string,
  solid: Solid,
  grain: Vec3,
  blankMm: Vec3,
  sheetNormal: Vec3 | null = null,
): PartDraft {
  return {
    id: partId(role, number),
    label: number === 0 ? LABELS[role] : `${LABELS[role]} ${number}`,
    role,
    number,
    species,
    solid,
    grain,
    blankMm,
    sheetNormal,
  };
}

const LABELS: Readonly<Record<PartRole, string>> = {
  board: 'board',
  layer: 'layer',
  stave: 'stave',
  member: 'member',
  stile: 'stile',
  rail: 'rail',
  leg: 'leg',
  slat: 'slat',
  spacer: 'spacer',
  side: 'side',
  top: 'top',
  bottom: 'bottom',
  shelf: 'shelf',
  strip: 'back strip',
  panel: 'panel',
  breadboard: 'breadboard end',
  core: 'core',
  veneer: 'veneer',
  ply: 'ply',
  band: 'band',
  pole: 'length',
  part: 'part',
};

/** Id of a part from what it is: "stile-2". */
export const partId = (role: PartRole, number: number): string => (number === 0 ? role : `${role}-${number}`);

/** A joint between two parts, glued all over, not reinforced and not read yet. */
export function joint(
  kind: Assembly['joints'][number]['kind'],
  a: string,
  b: string,
  more: Partial<Pick<Assembly['joints'][number], 'gluedShare' | 'angleDeg'>> = {},
): Assembly['joints'][number] {
  return {
    id: `${a}_${b}`,
    kind,
    a,
    b,
    gluedShare: 1,
    reinforcement: 'none',
    gapsMm: [],
    angleDeg: null,
    ...more,
  };
}

/** Ring radius of common flat-sawn boards when nobody has looked at the end grain [judgement]. */
const USUAL_RING_RADIUS_MM = 150;

/** Boards as they come: flat-sawn, best faces up, hearts alternating. */
export const usualRing = (index: number): Ring => ({
  cut: 'flat',
  heart: index % 2 === 0 ? 'up' : 'down',
  radiusMm: USUAL_RING_RADIUS_MM,
});

export const [X, Y, Z] = MAIN_AXES;

/** One pull down through a stack: all its joints under one force. */
export const downThrough = (
  joints: Layout['joints'],
  openingMm: number,
  { need = 'line', kinds = STACK_CLAMPS }: Partial<Pick<Layout['pulls'][number], 'need' | 'kinds'>> = {},
): Layout['pulls'] => [
  { id: 'down', joints: joints.map(({ id }) => id), need, stacked: true, axis: Z, openingMm, kinds },
];

/** Clamp kinds that pull across a flat assembly, best first. */
export const BAR_CLAMPS = ['t-bar', 'pipe', 'parallel-jaw', 'f-heavy', 'f-light', 'trigger'] as const;
/** Clamp kinds that press a stack. */
const STACK_CLAMPS = [
  'c-clamp',
  'f-heavy',
  'parallel-jaw',
  'hand-screw',
  'f-light',
  'trigger',
  'weight',
] as const;
/** The same where it is straight: long bars stand clumsily on it, but do it. */
export const STRAIGHT_STACK_CLAMPS = [...STACK_CLAMPS, 't-bar', 'pipe'] as const;
/** Clamp kinds that hold a mitred corner. */
export const MITRE_CLAMPS = ['band', 'cam-mitre', 'pointed-spring', 'elastic-wrap', 'tape'] as const;
/** What closes one mitred corner by itself: cams, points that bite, a light bar over angled blocks, tape, wraps. */
export const CORNER_CLAMPS = ['cam-mitre', 'pointed-spring', 'f-light', 'trigger', 'tape', 'elastic-wrap'];
/** What a clamp opens beyond its work: room for the usual blocks under both jaws. */
export const PADS_MM = 2 * USUAL_BLOCK_MM;
