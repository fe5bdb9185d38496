import type { BuildDocument } from '@lean-clasp/core/formats';

interface KindWords {
  readonly name: string;
  /** What it is for and what goes wrong with it, in a line. */
  readonly about: string;
}

/** Every kind of glue-up by its template. */
export const KIND_WORDS: Readonly<Record<string, KindWords>> = {
  'edge-panel': {
    name: 'Edge-glued panel',
    about: 'Boards side by side; clamps above and below in turn keep it flat.',
  },
  'round-panel': {
    name: 'Round or oval panel',
    about: 'Boards sawn to a curve; blocks with the same curve give the clamps something flat.',
  },
  'heavy-slab': {
    name: 'Heavy slab',
    about: 'Wide, uneven planks: crowned cauls hold them flat while they are pulled together.',
  },
  reglue: {
    name: 'Reglue',
    about: 'A top or seat that came apart: back to bare wood, closed dry first, held down while pulled.',
  },
  'face-lamination': {
    name: 'Face lamination',
    about: 'Boards stacked into a thick blank, pressed from the centre outward.',
  },
  'mitred-post': {
    name: 'Mitred post',
    about: 'Three to twelve staves rolled up on tape, wrapped first, clamped gently after.',
  },
  'mitred-frame': {
    name: 'Mitred frame',
    about: 'Any flat outline, closed or three-sided; the inside corners must meet.',
  },
  'tenon-frame': {
    name: 'Tenoned frame',
    about: 'Stiles and rails, mortised or bridled; read the diagonals before it sets.',
  },
  'slatted-frame': {
    name: 'Slatted frame',
    about: 'Slats and spacers shut in by the second leg: the stack must sum up short.',
  },
  case: {
    name: 'Case',
    about: 'Sides, shelves and back strips in housings; do every hole before it closes.',
  },
  breadboard: {
    name: 'Breadboard ends',
    about: 'Glued in the middle only; outer holes long enough for the seasons.',
  },
  'veneered-sheet': {
    name: 'Veneered sheet',
    about: 'Both faces in one press, or the water bends it within minutes.',
  },
  'dried-film': {
    name: 'Iron-on edge or face',
    about: 'Three thin coats left to dry, then a warm iron: no clamps, no hurry for two days.',
  },
  'veneer-seam': {
    name: 'Veneer seam',
    about: 'Leaves taped edge to edge: tape pulls and dams, and never a clamp.',
  },
  'bent-lamination': {
    name: 'Bent lamination',
    about: 'Plies thin enough for the curve, and a form that allows for springback.',
  },
  'edge-banding': { name: 'Edge banding', about: 'Solid strips on a sheet, with tape for clamps.' },
  'trim-set': {
    name: 'Trim set',
    about: 'Mitred mouldings by the batch: pre-clamp dry, one bead, off within a minute.',
  },
  casing: {
    name: 'Three-sided casing',
    about: 'Two legs and a head: corner by corner, and a batten that keeps the feet apart.',
  },
  scarf: {
    name: 'Scarfed length',
    about: 'Long slopes primed thin, then thick glue; clamps on both feather ends.',
  },
  'strip-planking': {
    name: 'Strip planking',
    about: 'Planks on edge over moulds, scarf and edge in one operation.',
  },
  'odd-angle': {
    name: 'Odd-angle joint',
    about: 'Blocks cut to suit, so that the pull runs square to the joint.',
  },
  free: { name: 'Free assembly', about: 'Your own parts and joints, with the same checks.' },
};

/** A build's kind in a few words. */
export function kindWords(build: BuildDocument): string {
  const name = KIND_WORDS[build.template]?.name ?? build.template;
  return build.boards === undefined
    ? name.toLowerCase()
    : `${name.toLowerCase()}, ${build.boards.length} boards`;
}
