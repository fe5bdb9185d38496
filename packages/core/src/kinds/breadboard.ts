import { InputError } from '../basics/checks';
import { type Finding, finding } from '../findings';
import { breadboardSlot, heldWidthMm, resolveSpecies, drawboreMm } from '../materials';
import { box, solidOf } from '../solids';
import { BAR_CLAMPS, defineKind, joint, PADS_MM, part, type Season, upTo, X, Y } from './kind';
import { askCount, askLength, askSpecies } from './question';

/** Play of a peg in its slot at either extreme, mm. */
const CLEARANCE_MM = 1;
/** Wood that must stay between the last slot and the edge of the panel, mm [judgement]. */
const EDGE_MM = 6;

/** Two narrow boards across the ends of a panel, glued in the middle only so that the panel can move. */
export const BREADBOARD = defineKind({
  id: 'breadboard',
  questions: {
    species: askSpecies('hard-maple'),
    panelWidthMm: askLength(600, 150, 1500),
    panelLengthMm: askLength(1000, 200, 4000),
    thicknessMm: askLength(20, 12, 80),
    endWidthMm: askLength(75, 30, 250),
    tongueMm: askLength(25, 8, 150),
    pegs: askCount(5, 3, 11),
    pegMm: askLength(8, 4, 16),
  },
  preparation: ['fresh-faces', 'slots-elongated', 'pins-outer-only', 'mask-at-dry-fit', 'light-bead'],
  cautions: ['saw-work'],
  adhesive: null,
  faces: 1,
  method: 'joint-brush',
  layOut: (answers, season) => {
    const {
      species,
      panelWidthMm: w,
      panelLengthMm: l,
      thicknessMm: t,
      endWidthMm,
      tongueMm,
      pegs,
    } = answers;
    if (tongueMm > endWidthMm - 5) {
      throw new InputError(
        'inconsistent',
        'answers.tongueMm',
        `A tongue of ${tongueMm} mm would come out of an end ${endWidthMm} mm wide.`,
        `at most ${endWidthMm - 5} mm, or a wider end`,
      );
    }
    const third = t / 3;
    const wood = resolveSpecies(species, 'answers.species', season.woods).properties;
    const gluedMm = Math.min(
      w / pegs,
      heldWidthMm({ wood, mcLowPct: season.lowPct, mcHighPct: season.highPct }),
    );
    const inset = w / 2 - w / (2 * pegs);
    const slots = upTo(pegs).map((n) => ((n - (pegs + 1) / 2) / ((pegs - 1) / 2)) * inset);
    const side = (x0: number, x1: number) => box([x0, 0, third], [x1, w, 2 * third]);
    const end = (number: number, from: number, to: number, groove: readonly [number, number]) => ({
      ...part(
        'breadboard',
        number,
        species,
        { blocks: [box([from, 0, 0], [to, w, t])], pockets: [side(groove[0], groove[1])] },
        Y,
        [w, endWidthMm, t],
      ),
      label: number === 1 ? 'left end' : 'right end',
    });
    return {
      parts: [
        part(
          'panel',
          0,
          species,
          solidOf(box([0, 0, 0], [l, w, t]), side(-tongueMm, 0), side(l, l + tongueMm)),
          X,
          [l + 2 * tongueMm, w, t],
        ),
        end(1, -endWidthMm, 0, [-tongueMm, 0]),
        end(2, l, l + endWidthMm, [l, l + tongueMm]),
      ],
      joints: [
        joint('breadboard', 'panel', 'breadboard-1', { gluedShare: gluedMm / w }),
        joint('breadboard', 'panel', 'breadboard-2', { gluedShare: gluedMm / w }),
      ],
      pulls: [
        {
          id: 'along',
          joints: ['panel_breadboard-1', 'panel_breadboard-2'],
          need: 'seat',
          stacked: false,
          axis: X,
          openingMm: l + 2 * endWidthMm + PADS_MM,
          kinds: BAR_CLAMPS,
          peggedMm: drawboreMm(wood.sg),
        },
      ],
      square: { kind: 'diagonals', abMm: l + 2 * endWidthMm, bcMm: w },
      flat: { kind: 'wind' },
      findings: [
        finding('glue-the-middle', 'informs', { gluedMm, widthMm: w }),
        finding('drill-for-pegs', 'informs', {
          pegs,
          pegMm: answers.pegMm,
          fromShoulderMm: tongueMm / 2,
          offsetMm: drawboreMm(wood.sg),
        }),
        ...slotFindings(answers, season, slots),
      ],
    };
  },
});

/** Slot of every peg off the middle; the middle one is glued. */
function slotFindings(
  { species, panelWidthMm, pegMm }: { species: string; panelWidthMm: number; pegMm: number },
  season: Season,
  pegsMm: readonly number[],
): Finding[] {
  const wood = resolveSpecies(species, 'answers.species', season.woods).properties;
  return pegsMm
    .map((atMm, i) => ({ atMm, peg: i + 1 }))
    .filter(({ atMm }) => Math.abs(atMm) > 1e-9)
    .map(({ atMm, peg }) => {
      const { outwardMm, slotMm } = breadboardSlot({
        wood,
        cut: 'flat',
        distanceMm: Math.abs(atMm),
        mcNowPct: season.nowPct,
        mcLowPct: season.lowPct,
        mcHighPct: season.highPct,
        clearanceMm: CLEARANCE_MM,
      });
      const room = panelWidthMm / 2 - EDGE_MM - Math.abs(atMm) - pegMm / 2;
      if (outwardMm > room) {
        throw new InputError(
          'inconsistent',
          'answers.pegMm',
          `The slot of peg ${peg} needs ${outwardMm.toFixed(1)} mm outwards; the breadboard ends ${Math.max(0, room).toFixed(1)} mm away.`,
          `fewer pegs, a thinner peg, or wood and seasons that travel less than ${Math.max(0, room).toFixed(1)} mm`,
        );
      }
      return finding('peg-slot', 'informs', { peg, atMm, slotMm: slotMm + pegMm, outwardMm });
    });
}
