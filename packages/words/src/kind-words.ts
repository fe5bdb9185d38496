import type {
  Condition,
  GluedRegion,
  GrainPairing,
  JointKind,
  Reinforcement,
  ReinforcementCut,
} from '@lean-clasp/core/assembly';
import type { KindValues } from '@lean-clasp/core/findings';
import type { KindCaution, Preparation } from '@lean-clasp/core/kinds';
import type { Format } from './format';
import type { Words } from './values';

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

const CHOICE_WORDS: Readonly<Record<string, string>> = {
  'mortise-tenon': 'mortise and tenon',
  haunched: 'haunched tenon',
  bridle: 'bridle',
  'half-lap': 'half lap',
  housing: 'housings',
  rebate: 'rebates',
  'through-tenon': 'through tenons',
  'on-the-back': 'on the back',
  tongue: 'a tongue',
  'loose-tenons': 'loose tenons',
  dowels: 'dowels',
  drawbored: 'pegs in offset holes',
  pegged: 'pegs in straight holes',
  clamped: 'clamps and glue alone',
  tape: 'tape',
  clamps: 'clamps over a caul',
  pins: 'pins through tape',
  raw: 'raw',
  'paper-backed': 'backed with paper',
  none: 'there are none',
  'to-the-front': 'to the front',
  'to-the-back': 'to the back',
  outwards: 'outwards',
  'in-grooves': 'in grooves, under the levels',
  oval: 'oval, sawn first',
  'live-edge': 'live edges',
  closed: 'closed',
  open: 'last side open',
  round: 'all round at once',
  'corner-by-corner': 'corner by corner',
  rectangular: 'a rectangular top',
  'round-top': 'a round top',
  crack: 'one crack',
  halves: 'oval in two halves',
  'band-with-spacer': 'by a band over a spacer',
  'straight-edge': 'a straight edge',
  'curved-edge': 'a curved edge',
  face: 'a small face',
  both: 'both',
  one: 'one',
  front: 'front only',
  long: 'both long edges',
  all: 'all four',
};

export const choiceWords = (choice: string): string => CHOICE_WORDS[choice] ?? choice;

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
  'blocks-fixed': 'Fix the curved blocks; abrasive on their faces so that they hold.',
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

/** What a kind says about the answers it was given. */
export const KIND_FINDINGS: Words<KindValues> = {
  'block-reach': ({ blockMm, friction, lineMm }, f) =>
    `A block may reach ${f.length(blockMm)} along the edge before it slides (friction ${friction}); the outer line is ${f.length(lineMm)}.`,
  'cauls-far-apart': ({ apartMm, pairs }, f) =>
    `Cauls ${f.length(apartMm)} apart leave the middle free: ${pairs} pairs.`,
  'pull-lifts-middle': () =>
    'The pull lifts the middle or the ends: clamp it down to a flat base at the corners, opposite ones in turn.',
  'scribed-blocks': ({ pairs, apartMm, friction }, f) =>
    `${pairs} pairs of blocks, ${f.length(apartMm)} apart, each scribed to its stretch of the edge; abrasive on it holds where the edge falls away less than ${friction} in 1. Keep the bark side clean of glue.`,
  'blocks-at': ({ atMm, faceDeg, slides, friction }, f) =>
    `Blocks ${f.length(atMm)} from the corner, their faces at ${faceDeg.toFixed(1)}° to the edge: the pull then runs square to the joint through its middle.${slides > 0 ? ` At this angle they slide (friction ${friction}): clamp or pin each to its member.` : ''}`,
  'no-room-for-blocks': ({ angleDeg, atMm }, f) =>
    `At ${angleDeg.toFixed(0)}° blocks would sit ${f.length(atMm)} from the corner, off the members: pull along the members instead, end to end.`,
  'saw-past-45': ({ angleDeg, sawDeg, tiltDeg }) =>
    `The corner of ${angleDeg.toFixed(0)}° wants the saw at ${sawDeg.toFixed(1)}°, beyond 45°: carry the part upright and tilt it by ${tiltDeg.toFixed(1)}°.`,
  'stack-sum': ({ stackMm, toleranceMm, shoulderMm, spacerMm }, f) =>
    `Slats and spacers add up to ${f.fine(stackMm)} ± ${f.fine(toleranceMm)}; the shoulder is at ${f.fine(shoulderMm)}. Spacers of ${f.fine(spacerMm)}.`,
  'ganged-blanks': ({ together, pressings, last }) =>
    `${together} blanks pressed at once, release film between them, edges in line: ${pressings === 1 ? 'one pressing' : `${pressings} pressings`}${last < together ? `, ${last === 1 ? 'one blank' : `${last} blanks`} in the last` : ''}. Each blank level before the next goes on.`,
  'glue-the-middle': ({ gluedMm, widthMm }, f) =>
    `Glue in the middle ${f.length(gluedMm)} of ${f.length(widthMm)} only: over the year the panel then moves ${f.fine(0.5)} at most where it is held.`,
  'drill-for-pegs': ({ pegs, pegMm, fromShoulderMm, offsetMm }, f) =>
    `Drill ${pegs} holes of ${f.fine(pegMm)} through each end, ${f.fine(fromShoulderMm)} from the shoulder. ${offsetMm > 0 ? `In the tongue ${f.fine(offsetMm)} nearer to it [judgement]: the peg then draws the end home.` : 'Straight through the tongue as well: clamps draw the end home, pegs only keep it.'} The middle one round, the others slots.`,
  'peg-slot': ({ peg, atMm, slotMm, outwardMm }, f) =>
    `Peg ${peg}, ${f.length(Math.abs(atMm))} from the middle: slot ${f.fine(slotMm)} long, ${f.fine(outwardMm)} of it beyond the peg towards the edge.`,
  'unequal-mitre': ({ corner, wideMm, narrowMm, sawWideDeg, sawNarrowDeg }, f) =>
    `${capital(corner)}: members of ${f.fine(wideMm)} and ${f.fine(narrowMm)}. Saw the wide one at ${sawWideDeg.toFixed(1)}° and the narrow one at ${sawNarrowDeg.toFixed(1)}°, so that the faces are alike.`,
  'inside-first': ({ corner, offMm }, f) =>
    `${capital(corner)}: widths ${f.fine(offMm)} apart. Line up the inside corner, saw both alike, and plane ${f.fine(offMm)} off the outside afterwards.`,
  'glass-and-back': ({ openWideMm, openHighMm, glassWideMm, glassHighMm, rebateMm, clearanceMm }, f) =>
    `Sight size ${f.sizes([openWideMm, openHighMm])}; glass, picture and back ${f.sizes([glassWideMm, glassHighMm])}: rebate of ${f.length(rebateMm)} all round, ${f.fine(clearanceMm)} of clearance on every side.`,
  'iron-within': ({ days }) =>
    `No wet window: the dried film keeps for about ${days} days, then it no longer flows well. Iron before that.`,
  'iron-in-fields': ({ areaM2, fieldM2 }) =>
    `${areaM2.toFixed(2)} m² at once is more than an iron keeps warm: fields of about ${fieldM2} m², each pressed until it is cold, or wet glue in a press.`,
  'seam-tape': ({ stitches, lengthMm }, f) =>
    `${stitches} stitches for each seam, about ${f.length(lengthMm)} of tape in all; a dam along the other face once the glue is in.`,
  'planks-held-every': ({ everyMm, scarfMm }, f) =>
    `Held down every ${f.length(everyMm)} [beam on thick glue, ${f.length(400)} at most], and at both feather ends of the scarf, ${f.length(scarfMm)} long.`,
  'band-wants-spacer': ({ spacerMm }, f) =>
    `A band folds an open outline up: put a spacer of ${f.length(spacerMm)} where the missing side would be, or clamp corner by corner.`,
  'feet-stay-apart': ({ apartMm }, f) =>
    `A batten of ${f.length(apartMm)} between the feet until it hangs: nothing else holds them.`,
  'crack-to-its-end': () =>
    'Work glue in to the very end of the crack: flex it, blow or thread it in; what stays dry runs on.',
  'halves-with-film': () =>
    'Both halves in one set of clamps, film between their straight edges: they press each other and stay apart.',
  'one-sided': () => 'Veneer on one face only: the sheet bends. Veneer both, in one press.',
  'bend-plies': ({ plies, plyMm, spare, strainPct, springbackPct, formRadiusMm, measured }, f) =>
    `${plies} plies of ${f.fine(plyMm)} and ${spare} spare, strained ${strainPct.toFixed(2)} %; springback ${springbackPct.toFixed(1)} %${measured === 'yes' ? ' as measured' : ' by their number'}, so a form of radius ${f.length(formRadiusMm)}.`,
  'strips-to-saw': ({ strips, stripMm, boardMm, perBoard, boards }, f) =>
    `Saw ${strips} strips of ${f.fine(stripMm)}, ${perBoard} from a board ${f.length(boardMm)} thick: ${boards === 1 ? 'one board' : `${boards} boards`}, faces parallel to the grain, no end grain running out.`,
  'faces-older': ({ part }) => `${capital(part)}: cut days ago. Take a fresh shaving before gluing.`,
  'faces-old-glue': ({ part }) => `${capital(part)}: old glue on it. Scrape it back to wood.`,
  'faces-finished': ({ part }) => `${capital(part)}: finish on the glue face. Take it off.`,
  'u-blocks': ({ blocks, thickMm, highMm, tenons, slotWideMm, slotDeepMm }, f) =>
    `Tenon ends come out at the sides: ${blocks} blocks of ${f.sizes([highMm, thickMm])} as long as the sides are deep, each with ${tenons === 1 ? 'a slot' : `${tenons} slots`} of ${f.sizes([slotWideMm, slotDeepMm])} over them [judgement], so that the jaws press the side home and not the tenons.`,
  'strips-in-dry-case': ({ strips, clearMm }, f) =>
    `Glue the ${strips === 1 ? 'strip' : `${strips} strips`} to the levels while the case stands dry around them: it holds them true. No glue within ${f.length(clearMm)} of their ends, which stay loose in their grooves until the case is glued.`,
  'square-up-after': ({ shortMm, lengthMm, widthMm }, f) =>
    `The veneer stops ${f.length(shortMm)} short all round: centre it, and saw the sheet along it to at most ${f.sizes([lengthMm, widthMm])} afterwards.`,
  'ends-slide-dry': ({ gluedMm }, f) =>
    `Nothing but the middle ${f.length(gluedMm)} is glued: the rest must slide dry. Wax it, and keep glue out of it.`,
  'pins-through-tape': ({ pins, everyMm }, f) =>
    `Tape first, then ${pins} pins through it, ${f.length(everyMm)} apart; peel the tape, and fill the holes: the tape has kept filler and glue off the face.`,
  'paper-backed': () =>
    'Paper-backed: glue the core and not the paper, which swells; roll it on at once from one end, and never sand through at the edges.',
  'trim-flush': ({ proudMm }, f) =>
    `Bands stand ${f.fine(proudMm)} proud of either face: level once the glue is hard, with a block plane or a trimmer set a shaving shy.`,
  'grooves-up': () =>
    'First leg down, its mortises up; rails in with their grooves facing each other, so that slats and spacers go in from above.',
  'other-mortises': ({ side }) =>
    `The legs have other mortises, which look ${choiceWords(side)}: on both legs, and as a pair. Check it before the first bead; a leg glued in the wrong way round is lost.`,
  'crack-ends-inside': ({ crackMm, lengthMm }, f) =>
    `The crack ends ${f.length(crackMm)} in; planned is that stretch alone, the rest of ${f.length(lengthMm)} is whole. Wedge it open a little to get glue in, take the wedge out, and drill a small hole at its end if it must not run on.`,
  'rough-too-small': ({ part, what, haveMm, wantMm }, f) =>
    `${capital(part)}: the rough board has ${f.length(haveMm)} of ${what}; it wants ${f.length(wantMm)} to come out clean [judgement].`,
  'wood-unknown': ({ part }) =>
    `${capital(part)}: its wood is no longer among the shop’s own; it is taken as the rest. Choose its wood again.`,
};

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

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
