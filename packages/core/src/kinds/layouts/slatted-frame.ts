import { InputError } from '../../basics/checks';
import { finding } from '../../findings';
import { box, type Prism, type Solid, solidOf } from '../../solids';
import type { LayOut, PartDraft } from '../kind';
import { railName, upTo } from '../names';
import type { SLATTED_FRAME } from '../slatted-frame';
import { BAR_CLAMPS, joint, PADS_MM, part, partId, X, Y } from './pieces';

/** What the stack must stay short of the shoulder by, so that the second leg can seat, mm. */
const SHOULDER_ROOM_MM = 1;
/** How far each slat or spacer may be off [judgement], mm. */
const PIECE_TOLERANCE_MM = 0.1;
const GROOVE_DEPTH_MM = 12;
const TENON_MM = 30;

export const laySlattedFrame: LayOut<typeof SLATTED_FRAME> = ({
  species,
  rails,
  slats,
  betweenLegsMm,
  heightMm,
  railMm,
  slatWidthMm,
  slatThicknessMm,
  legMm,
  hornMm,
  otherMortises,
}) => {
  const spacerMm = (betweenLegsMm - SHOULDER_ROOM_MM - slats * slatWidthMm) / (slats + 1);
  if (spacerMm < 3) {
    throw new InputError(
      'inconsistent',
      'answers.slats',
      `${slats} slats of ${slatWidthMm} mm leave ${spacerMm.toFixed(1)} mm between them.`,
      `at most ${Math.max(1, Math.floor((betweenLegsMm - SHOULDER_ROOM_MM - 3) / (slatWidthMm + 3)))} slats of this width, or narrower ones`,
    );
  }
  if (slatThicknessMm > railMm - 10) {
    throw new InputError(
      'inconsistent',
      'answers.slatThicknessMm',
      `A groove ${slatThicknessMm} mm wide leaves rails of ${railMm} mm too thin beside it.`,
      `slats up to ${railMm - 10} mm thick`,
    );
  }
  const clear = (heightMm - rails * railMm) / (rails - 1);
  if (clear < 30) {
    throw new InputError(
      'inconsistent',
      'answers.railMm',
      `Rails of ${railMm} mm leave ${clear.toFixed(0)} mm between them.`,
      `rails under ${Math.floor((heightMm - 30 * (rails - 1)) / rails)} mm`,
    );
  }
  const geometry = {
    spacerMm,
    clear,
    groove: [(railMm - slatThicknessMm) / 2, (railMm + slatThicknessMm) / 2] as const,
  };
  const railY = (n: number) => (n - 1) * (clear + railMm);
  const slot = (x0: number, x1: number, y0: number, y1: number) =>
    box([x0, y0, geometry.groove[0]], [x1, y1, geometry.groove[1]]);
  const grooves = (n: number): Prism[] => [
    ...(n > 1 ? [slot(0, betweenLegsMm, railY(n), railY(n) + GROOVE_DEPTH_MM)] : []),
    ...(n < rails ? [slot(0, betweenLegsMm, railY(n) + railMm - GROOVE_DEPTH_MM, railY(n) + railMm)] : []),
  ];
  // Tenons stand between the grooves.
  const tenon = (x0: number, x1: number, n: number) =>
    slot(x0, x1, railY(n) + GROOVE_DEPTH_MM, railY(n) + railMm - GROOVE_DEPTH_MM);
  const leg = (number: number, from: number, mortise: (n: number) => Prism): PartDraft => {
    const solid: Solid = {
      blocks: [box([from, -legMm, 0], [from + railMm, heightMm + hornMm, railMm])],
      pockets: upTo(rails).map(mortise),
    };
    return {
      ...part('leg', number, species, solid, Y, [heightMm + legMm + hornMm, railMm, railMm]),
      label: number === 1 ? 'left leg' : 'right leg',
    };
  };
  const tenonMm = Math.min(TENON_MM, railMm - 8);
  const slatX = (n: number) => spacerMm + (n - 1) * (slatWidthMm + spacerMm);
  const bays = upTo(rails - 1);
  const slatParts = bays.flatMap((bay) =>
    upTo(slats).map((n) => {
      const [y0, y1] = [railY(bay) + railMm - GROOVE_DEPTH_MM, railY(bay + 1) + GROOVE_DEPTH_MM];
      return part(
        'slat',
        (bay - 1) * slats + n,
        species,
        solidOf(slot(slatX(n), slatX(n) + slatWidthMm, y0, y1)),
        Y,
        [y1 - y0, slatWidthMm, slatThicknessMm],
      );
    }),
  );
  const beds = bays.flatMap((bay) => [
    { rail: bay, y: railY(bay) + railMm - GROOVE_DEPTH_MM },
    { rail: bay + 1, y: railY(bay + 1) },
  ]);
  const spacers = beds.flatMap(({ rail, y }, bed) =>
    upTo(slats + 1).map((n) => {
      const x = (n - 1) * (slatWidthMm + spacerMm);
      return {
        rail,
        draft: part(
          'spacer',
          bed * (slats + 1) + n,
          species,
          solidOf(slot(x, x + spacerMm, y, y + GROOVE_DEPTH_MM)),
          X,
          [spacerMm, GROOVE_DEPTH_MM, slatThicknessMm],
        ),
      };
    }),
  );
  const legJoints = upTo(rails).flatMap((n) =>
    [1, 2].map((side) => joint('mortise-tenon', partId('leg', side), partId('rail', n))),
  );
  const slatJoints = bays.flatMap((bay) =>
    upTo(slats).flatMap((n) =>
      [bay, bay + 1].map((rail) =>
        joint('housing', partId('rail', rail), partId('slat', (bay - 1) * slats + n)),
      ),
    ),
  );
  const spacerJoints = spacers.map(({ rail, draft }) => joint('housing', partId('rail', rail), draft.id));
  const stackMm = slats * slatWidthMm + (slats + 1) * spacerMm;
  return {
    parts: [
      leg(1, -railMm, (n) => tenon(-tenonMm - 2, 0, n)),
      leg(2, betweenLegsMm, (n) => tenon(betweenLegsMm, betweenLegsMm + tenonMm + 2, n)),
      ...upTo(rails).map((n) => ({
        ...part(
          'rail',
          n,
          species,
          {
            blocks: [
              box([0, railY(n), 0], [betweenLegsMm, railY(n) + railMm, railMm]),
              tenon(-tenonMm, 0, n),
              tenon(betweenLegsMm, betweenLegsMm + tenonMm, n),
            ],
            pockets: grooves(n),
          },
          X,
          [betweenLegsMm + 2 * tenonMm, railMm, railMm],
        ),
        label: railName(n, rails),
      })),
      ...slatParts,
      ...spacers.map(({ draft }) => draft),
    ],
    joints: [...legJoints, ...slatJoints, ...spacerJoints],
    // Nothing presses upright: slats and spacers are slid in and held by the second leg.
    pulls: [
      {
        id: 'across',
        joints: legJoints.map(({ id }) => id),
        need: 'seat',
        stacked: false,
        axis: X,
        openingMm: betweenLegsMm + 2 * railMm + PADS_MM,
        kinds: BAR_CLAMPS,
      },
    ],
    square: { kind: 'diagonals', abMm: betweenLegsMm + 2 * railMm, bcMm: heightMm },
    flat: { kind: 'wind' },
    findings: [
      finding(
        'stack-sum',
        2 * PIECE_TOLERANCE_MM * Math.sqrt(2 * slats + 1) > SHOULDER_ROOM_MM ? 'warns' : 'informs',
        {
          stackMm,
          shoulderMm: betweenLegsMm,
          toleranceMm: 2 * PIECE_TOLERANCE_MM * Math.sqrt(2 * slats + 1),
          spacerMm,
        },
      ),
      finding('grooves-up', 'informs'),
      ...(otherMortises === 'none' ? [] : [finding('other-mortises', 'warns', { side: otherMortises })]),
    ],
    dimensions: [{ from: [0, 0, railMm], to: [betweenLegsMm, 0, railMm] }],
  };
};
