import type {
  Condition,
  GluedRegion,
  GrainPairing,
  JointKind,
  Reinforcement,
  ReinforcementCut,
} from '@lean-clasp/core/assembly';
import type { KindCaution, Preparation } from '@lean-clasp/core/kinds';
import type { Format } from './format';

/** What each question is called on the form. */
const QUESTION_WORDS: Readonly<Record<string, string>> = {
  species: 'Species',
  veneerSpecies: 'Veneer',
  coreSpecies: 'Core',
  on: 'Laid on',
  leaves: 'Leaves',
  leafMm: 'Width of a leaf',
  plankMm: 'Width of a plank',
  shape: 'What came apart',
  bandSpecies: 'Band',
  boards: 'Boards',
  planks: 'Planks',
  pieces: 'Pieces',
  layers: 'Layers',
  blanks: 'Blanks alike',
  ganged: 'Pressed at once',
  staves: 'Staves',
  posts: 'Posts alike',
  rails: 'Rails',
  midRails: 'Middle rails',
  slats: 'Slats',
  shelves: 'Shelves or dividers',
  backStrips: 'Back strips',
  caulPairs: 'Pairs of cauls',
  pegs: 'Pegs at each end',
  sets: 'Sets',
  spare: 'Spare plies',
  lengthMm: 'Length',
  widthMm: 'Width',
  heightMm: 'Height',
  depthMm: 'Depth',
  thicknessMm: 'Thickness',
  layerMm: 'Thickness of a layer',
  blockMm: 'Block, edge to jaw',
  nearMm: 'Near edge inside its line',
  farMm: 'Far edge inside its line',
  fixing: 'Blocks held by',
  acrossFlatsMm: 'Across flats, outside',
  sidesMm: 'Sides, outside',
  anglesDeg: 'Corners, inside',
  angleDeg: 'Angle between them',
  memberMm: 'Width of stiles and rails',
  memberWidthsMm: 'Width',
  rebateMm: 'Rebate, width',
  clearanceMm: 'Clearance round glass and back',
  tenonMm: 'Tenon length',
  legMm: 'Legs run on below',
  railWidthsMm: 'Width of rails',
  railHeightsMm: 'Height of rails, lower edge',
  railTenonsMm: 'Tenons',
  railJoinery: 'Joint of rails',
  joinery: 'Joints',
  outline: 'Outline',
  corners: 'Top and bottom in',
  shelfJoint: 'Shelves in',
  proudMm: 'Stands proud by',
  strip: 'Strips',
  letIn: 'Ends let in by',
  held: 'Held on by',
  springPct: 'Springback, measured (0: reckoned)',
  pressedBy: 'Held by',
  leafKind: 'Kind of veneer',
  hornMm: 'Legs run on above',
  otherMortises: 'Other mortises in the legs look',
  crackMm: 'Crack, from its end (0: through)',
  chain: 'Outline',
  pressed: 'Pressed',
  frames: 'Frames alike',
  betweenLegsMm: 'Between the legs',
  railMm: 'Rails, square',
  slatWidthMm: 'Slat width',
  slatThicknessMm: 'Slat thickness',
  panelWidthMm: 'Panel, across the grain',
  panelLengthMm: 'Panel, along the grain',
  endWidthMm: 'Width of the ends',
  tongueMm: 'Tongue',
  pegMm: 'Peg',
  coreMm: 'Core thickness',
  veneerMm: 'Veneer thickness',
  overhangMm: 'Veneer overhang',
  faces: 'Faces veneered',
  radiusMm: 'Inside radius',
  arcDeg: 'Arc',
  plyMm: 'Ply thickness',
  boardMm: 'Rough board, thickness',
  kerfMm: 'Kerf',
  planedMm: 'Planed off each face',
  bandMm: 'Band thickness',
  edges: 'Edges',
  openingWidthMm: 'Opening, width',
  openingHeightMm: 'Opening, height',
  ratio: 'Slope',
  firstMm: 'First member',
  secondMm: 'Second member',
};

/** What a question is called; frames measure their members rather than the whole. */
export function questionWords(template: string, question: string): string {
  const ofMembers = ['mitred-frame', 'trim-set', 'odd-angle'].includes(template);
  if (question === 'widthMm' && ofMembers) return 'Width of the members';
  return QUESTION_WORDS[question] ?? question;
}

export const JOINT_WORDS: Readonly<Record<JointKind, string>> = {
  edge: 'edge joint',
  face: 'face joint',
  mitre: 'mitre',
  butt: 'butt',
  'mortise-tenon': 'mortise and tenon',
  bridle: 'bridle',
  'half-lap': 'half lap',
  housing: 'housing',
  rebate: 'rebate',
  tongue: 'tongue and groove',
  dowel: 'dowelled',
  'loose-tenon': 'loose tenon',
  biscuit: 'biscuit',
  spline: 'spline',
  key: 'keyed',
  scarf: 'scarf',
  breadboard: 'breadboard',
  veneer: 'veneer',
  band: 'band',
  ply: 'ply to ply',
};

export const PAIRING_WORDS: Readonly<Record<GrainPairing, string>> = {
  'long-long': 'long grain',
  'cross-grain': 'long grain, crossed',
  'long-end': 'end to long grain',
  'end-end': 'end grain',
};

export const CONDITION_WORDS: Readonly<Record<Condition, string>> = {
  fresh: 'freshly cut',
  older: 'cut days ago',
  'old-glue': 'old glue on it',
  finished: 'finish on it',
};

export const GLUED_WORDS: Readonly<Record<GluedRegion, string>> = {
  full: 'all over',
  middle: 'the middle third only',
  none: 'left dry',
};

export const REINFORCEMENT_WORDS: Readonly<Record<Reinforcement, string>> = {
  none: 'Nothing',
  key: 'Key, cut after gluing',
  spline: 'Spline',
  biscuit: 'Biscuit',
  'loose-tenon': 'Loose tenon',
  dowel: 'Two dowels',
  patch: 'Patch let into the back',
};

/** How a reinforcement is cut, in a line. */
export function cutWords(reinforcement: Reinforcement, cut: ReinforcementCut, f: Format): string {
  const { count, thickMm, wideMm, deepMm, bladeMm } = cut;
  const wide = wideMm === null ? '' : f.length(wideMm);
  switch (reinforcement) {
    case 'none':
      return '';
    case 'key':
      return `${count === 1 ? 'one kerf' : `${count} kerfs`} of ${f.fine(thickMm)} across the corner, blade ${f.fine(bladeMm ?? deepMm)} high`;
    case 'spline':
      return `a groove of ${f.fine(thickMm)}, ${f.fine(deepMm)} deep in each face over ${wide}, stopped short of the outside`;
    case 'biscuit':
      return `a slot of ${f.fine(thickMm)}, ${f.fine(deepMm)} deep over ${wide} in each face`;
    case 'loose-tenon':
      return `${f.fine(thickMm)} thick, ${wide} wide, ${f.fine(deepMm)} into each member`;
    case 'dowel':
      return `${count} of ${f.fine(thickMm)}, ${f.fine(deepMm)} into each member, at thirds of the face`;
    case 'patch':
      return `a triangle with legs of ${wide}, let ${f.fine(deepMm)} into the back`;
  }
}

/** What to do before the first bead. */
export const PREPARATION_WORDS: Readonly<Record<Preparation, string>> = {
  'fresh-faces': 'Cut the glue faces today; oily or resinous wood within hours.',
  'scrape-old-glue': 'Scrape old glue back to bare wood; new glue does not hold on it.',
  rejoint: 'Take a shaving off both edges where they are bruised or rounded.',
  'closes-dry': 'Close it dry without force; a gap now is a gap later.',
  'mark-faces': 'Mark face, edge and place of every part where the mark can be removed.',
  'mask-at-dry-fit': 'Lay masking tape along the inside corners while it is together dry.',
  'size-end-grain': 'Size end grain: a thin coat, worked in, left to turn tacky, before the real one.',
  'leave-long': 'Leave the parts long; trim after the glue-up.',
  'arris-and-pencil': 'Break the outside arrises and take pencil marks off what closing hides.',
  'meter-moisture': 'Meter every plank; above the limit of the glue it waits.',
  'level-grid': 'Lay out a level grid of bearers; the slab will copy it.',
  'crown-cauls': 'Crown the cauls, mark length and crown side, pair them.',
  'release-film': 'Release film or packing tape on everything that presses.',
  'blocks-fixed':
    'Fix the curved blocks so that they cannot slide, and push each by hand before glue is near.',
  'tape-hinges': 'Tape the staves flat, outside up, a hair of overlap at the knife edges.',
  'bore-clear': 'Have a rod and rag ready to clear the bore while it is wet.',
  'inside-corners': 'Line up the inside corners; the outside can be trimmed.',
  'sum-the-stack': 'Stack slats and spacers dry and measure: short of the shoulder, or the leg cannot seat.',
  'light-bead': 'A light bead in grooves: what does not fit has nowhere to go.',
  'holes-before-closing': 'Do every hole, cut and finishing job that closing will put out of reach.',
  'slots-elongated': 'Elongate all holes but the middle one by the slots below.',
  'pins-outer-only': 'Glue pins at their outer skin only, never into the slot.',
  'balance-faces': 'Veneer for both faces at hand; the less visible one goes down first.',
  'tape-edges': 'Tape the veneer along its edges before the sheet is turned.',
  'even-film': 'Perimeter first, then even the film with an almost dry roller.',
  'form-covered': 'Film over the form rather than paper.',
  'spare-plies': 'Cut the spare plies too, planed on both sides, wide enough to trim.',
  'mask-faces': 'Mask the faces; filler and glue stay where they belong.',
  'pre-clamp-dry': 'Clamp each corner dry once, so that the teeth find their dents again.',
  'heat-gun-up': 'Let the applicator heat up fully.',
  'test-bead': 'Run a test bead: a yellow tint means cold or stale.',
  'prime-thin': 'Prime the scarfs with thin epoxy until they stop drinking.',
  'clamp-feather-ends': 'A clamp for each feather end, with a pad along it.',
  'cut-blocks': 'Cut blocks so that their backs lie parallel to the joint, abrasive on the face.',
  'shoot-as-a-pair':
    'Shoot the edges as a pair, between two straight boards; no light through when held together.',
  'stitch-seam': 'Tape of the low-tack kind, tried on an offcut: it must come off without fibres.',
  'thin-coats':
    'Thin the glue a little; three thin coats on both faces, each dry to the touch before the next.',
  'iron-warm': 'Try the iron on an offcut: warm enough to melt the film, not so hot that the face darkens.',
  'rehearse-two': 'Rehearse it dry with the second pair of hands.',
};

/** What can hurt with this kind of work. */
export const KIND_CAUTIONS: Readonly<Record<KindCaution, string>> = {
  heavy: 'It is heavy once together: lift with two, keep fingers from under it.',
  springs: 'Springs, bands and bent plies store energy: glasses on, face out of the line of release.',
  bags: 'Use a bag, lines and vessel made for vacuum: improvised ones can collapse with force.',
  hot: 'Nozzles and hot melt burn, and its vapour harms lungs: air the room; with asthma stay away.',
  'old-finish':
    'Old finish and paint may hold lead: no dry sanding, mask and wet cleaning, local rules first.',
  'saw-work':
    'Cutting jigs, bevels, keys and splines: guards on, push sticks, no metal pins in the path of the blade.',
  iron: 'The iron, its cord and wet cloths: dry hands, a stand beside the work, fingers off the sole.',
  epoxy: 'Epoxy sensitises skin and a full cup runs hot: gloves, small cups, air.',
};

/** Which way a side looks, as seen from in front of the work. */
export function sideWords([x, y, z]: readonly [number, number, number]): string {
  const ways = [
    { size: Math.abs(z), word: z > 0 ? 'up' : 'down' },
    { size: Math.abs(y), word: y > 0 ? 'to the back' : 'to the front' },
    { size: Math.abs(x), word: x > 0 ? 'to the right' : 'to the left' },
  ].sort((a, b) => b.size - a.size);
  const [main, second] = ways;
  if (main === undefined || second === undefined) return '';
  return second.size > 0.5 ? `${main.word} and ${second.word}` : main.word;
}
