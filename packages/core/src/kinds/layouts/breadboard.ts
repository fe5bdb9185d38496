import { InputError } from '../../basics/checks';
import { finding, type PlanFinding } from '../../findings';
import { breadboardSlot, heldWidthMm, resolveSpecies, drawboreMm } from '../../materials';
import { box, type Prism, solidOf } from '../../solids';
import { type LayOut, type Season } from '../kind';
import { upTo } from '../names';
import type { BREADBOARD } from '../breadboard';
import { BAR_CLAMPS, joint, PADS_MM, part, X, Y } from './pieces';

/** Play of a peg in its slot at either extreme, mm. */
const CLEARANCE_MM = 1;
/** Wood that must stay between the last slot and the edge of the panel, mm [judgement]. */
const EDGE_MM = 6;

/** A loose tenon is so wide as a share of what each has of the width [judgement], and at most, mm. */
const TENON_SHARE = 0.4;
const TENON_MM = 70;
/** A dowel is so thick as a share of the wood; its walls are those of a square of a quarter of π of that. */
const DOWEL_SHARE = 0.4;

export const layBreadboard: LayOut<typeof BREADBOARD> = (answers, season) => {
  const {
    species,
    panelWidthMm: w,
    panelLengthMm: l,
    thicknessMm: t,
    endWidthMm,
    tongueMm,
    pegs,
    letIn,
    held,
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
  const offsetMm = held === 'drawbored' ? drawboreMm(wood.sg) : 0;
  const gluedMm = Math.min(
    w / pegs,
    heldWidthMm({ wood, mcLowPct: season.lowPct, mcHighPct: season.highPct }),
  );
  const inset = w / 2 - w / (2 * pegs);
  const slots = upTo(pegs).map((n) => ((n - (pegs + 1) / 2) / ((pegs - 1) / 2)) * inset);
  const middles = slots.map((atMm) => w / 2 + atMm);
  const square = (Math.PI / 4) * DOWEL_SHARE * t;
  const half = letIn === 'dowels' ? square / 2 : Math.min(TENON_MM, (TENON_SHARE * w) / pegs) / 2;
  const [z0, z1] = letIn === 'dowels' ? [(t - square) / 2, (t + square) / 2] : [third, 2 * third];
  const side = (x0: number, x1: number): Prism[] =>
    letIn === 'tongue'
      ? [box([x0, 0, z0], [x1, w, z1])]
      : middles.map((y) => box([x0, y - half, z0], [x1, y + half, z1]));
  const end = (number: number, from: number, to: number, groove: readonly [number, number]) => ({
    ...part(
      'breadboard',
      number,
      species,
      { blocks: [box([from, 0, 0], [to, w, t])], pockets: side(groove[0], groove[1]) },
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
        solidOf(box([0, 0, 0], [l, w, t]), ...side(-tongueMm, 0), ...side(l, l + tongueMm)),
        X,
        // Loose tenons and dowels are no part of the board that is sawn.
        [letIn === 'tongue' ? l + 2 * tongueMm : l, w, t],
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
        ...(held === 'clamped' ? {} : { pegs: { each: pegs, thickMm: answers.pegMm, offsetMm } }),
      },
    ],
    square: { kind: 'diagonals', abMm: l + 2 * endWidthMm, bcMm: w },
    flat: { kind: 'wind' },
    findings: [
      finding('glue-the-middle', 'informs', { gluedMm, widthMm: w }),
      ...(held === 'clamped'
        ? [finding('ends-slide-dry', 'informs', { gluedMm })]
        : [
            finding('drill-for-pegs', 'informs', {
              pegs,
              pegMm: answers.pegMm,
              fromShoulderMm: tongueMm / 2,
              offsetMm,
            }),
            ...slotFindings(answers, season, slots),
          ]),
    ],
  };
};

/** Slot of every peg off the middle; the middle one is glued. */
function slotFindings(
  { species, panelWidthMm, pegMm }: { species: string; panelWidthMm: number; pegMm: number },
  season: Season,
  pegsMm: readonly number[],
): PlanFinding[] {
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
