import type { KindValues } from '@lean-clasp/core/findings';
import type { Format } from './format';
import { choiceWords } from './choice-words';
import type { Words } from './values';

/** What a kind says about the answers it was given. */
export const KIND_FINDINGS: Words<KindValues> = {
  'block-reach': ({ blockMm, lineMm, fixing, friction, holdsN }, f) =>
    `A block may reach ${f.length(blockMm)} along the edge before it slides (${blockHold(fixing, friction, holdsN, f)}); the outer line is ${f.length(lineMm)}.`,
  'cauls-far-apart': ({ apartMm, pairs }, f) =>
    `Cauls ${f.about(apartMm)} apart leave the middle free: ${pairs} pairs.`,
  'pull-lifts-middle': () =>
    'The pull lifts the middle or the ends: clamp it down to a flat base at the corners, opposite ones in turn.',
  'scribed-blocks': ({ pairs, apartMm, fixing, friction, holdsN }, f) =>
    `${pairs} pairs of blocks, ${f.about(apartMm)} apart, each scribed to its stretch of the edge: ${blockHold(fixing, friction, holdsN, f)}. Keep the bark side clean of glue.`,
  'blocks-at': ({ atMm, faceDeg, slides, friction }, f) =>
    `Blocks ${f.length(atMm)} from the corner, their faces at ${faceDeg.toFixed(1)}° to the edge: the pull then runs square to the joint through its middle.${slides > 0 ? ` At this angle they slide (friction ${friction}): a clamp of its own holds each to its member by its foot.` : ''}`,
  'no-room-for-blocks': ({ angleDeg, atMm }, f) =>
    `At ${angleDeg.toFixed(0)}° blocks would sit ${f.length(atMm)} from the corner, off the members: pull along the members instead, end to end.`,
  'no-room-for-feet': ({ wantMm, haveMm }, f) =>
    `The blocks slide at this angle, and their members have ${haveMm > 0 ? f.length(haveMm) : 'nothing'} beyond the jaw where a clamp wants ${f.length(wantMm)}: screw or pin the blocks where it does not show.`,
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
    `${stitches} stitches for each seam, about ${f.about(lengthMm)} of tape in all; a dam along the other face once the glue is in.`,
  'planks-held-every': ({ everyMm, scarfMm }, f) =>
    `Held down every ${f.about(everyMm)} [beam on thick glue, ${f.about(400)} at most], and at both feather ends of the scarf, ${f.length(scarfMm)} long.`,
  'band-wants-spacer': ({ spacerMm }, f) =>
    `A band folds an open outline up: put a spacer of ${f.length(spacerMm)} where the missing side would be, or clamp corner by corner.`,
  'feet-stay-apart': ({ apartMm }, f) =>
    `A batten of ${f.length(apartMm)} between the feet until it hangs: nothing else holds them.`,
  'crack-to-its-end': () =>
    'Work glue in to the very end of the crack: flex it, blow or thread it in; what stays dry runs on.',
  'halves-with-film': () =>
    'Both halves in one set of clamps, film between their straight edges: they press each other and stay apart.',
  'sawn-after': () =>
    'The boards are glued square, as long and wide as the oval, and it is sawn out once the clamps have been off as long as the plan says: no blocks, and every line pressed to its ends. The corners are waste.',
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
    `Glue the ${strips === 1 ? 'strip' : `${strips} strips`} to the levels while the case stands dry around them: it holds them true. No glue within ${f.about(clearMm)} of their ends, which stay loose in their grooves until the case is glued.`,
  'square-up-after': ({ shortMm, lengthMm, widthMm }, f) =>
    `The veneer stops ${f.length(shortMm)} short all round: centre it, and saw the sheet along it to at most ${f.sizes([lengthMm, widthMm])} afterwards.`,
  'ends-slide-dry': ({ gluedMm }, f) =>
    `Nothing but the middle ${f.length(gluedMm)} is glued: the rest must slide dry. Wax it, and keep glue out of it.`,
  'pins-through-tape': ({ pins, everyMm }, f) =>
    `Tape first, then ${pins} pins through it, ${f.about(everyMm)} apart; peel the tape, and fill the holes: the tape has kept filler and glue off the face.`,
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

/** How blocks are kept from sliding, and by how much. */
const blockHold = (fixing: string, friction: number, holdsN: number, f: Format): string =>
  `${choiceWords(fixing)}: friction ${friction}${holdsN > 0 ? `, and ${f.force(holdsN)} along the edge beside it` : ''} [judgement]`;
