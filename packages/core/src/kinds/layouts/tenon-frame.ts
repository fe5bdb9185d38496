import type { JointKind, Pull } from '../../assembly';
import { InputError } from '../../basics/checks';
import { box, type Prism, type Solid } from '../../solids';
import type { LayOut, Layout } from '../kind';
import { railName, upTo } from '../names';
import type { Joinery, TENON_FRAME } from '../tenon-frame';
import { BOTTOM_ROOM_MM, BAR_CLAMPS, joint, PADS_MM, part, partId, X, Y, Z, WALL_MM } from './pieces';

/** Wood left outside a tenon at the end of a stile, as a share of the rail. */
const HAUNCH_SHARE = 1 / 4;
/** A haunch fills the groove beside the tenon so deep, as a share of the tenon's length. */
const HAUNCH_DEPTH_SHARE = 1 / 3;
/** Rails leave at least so much between them, mm. */
const LEAST_OPENING_MM = 1;

const JOINT_OF: Readonly<Record<Joinery, JointKind>> = {
  'mortise-tenon': 'mortise-tenon',
  haunched: 'mortise-tenon',
  bridle: 'bridle',
  'half-lap': 'half-lap',
};
/** What runs through the whole width of the stile and is pressed through its cheeks as well. */
const RUNS_THROUGH: readonly Joinery[] = ['bridle', 'half-lap'];

/** A pad as large as the cheek under one clamp, corner to corner [judgement], mm. */
const CHEEK_PAD_MM = 120;
/** Clamps that press the cheeks of one corner. */
const CHEEK_CLAMPS = ['c-clamp', 'f-light', 'hand-screw', 'trigger', 'f-heavy', 'parallel-jaw', 'spring'];

interface Rail {
  readonly n: number;
  readonly y: number;
  readonly widthMm: number;
  readonly joinery: Joinery;
  readonly tenonMm: number;
  /** What of its width enters the stile, from its lower edge. */
  readonly low: number;
  readonly high: number;
}

export const layTenonFrame: LayOut<typeof TENON_FRAME> = (answers) => {
  const { species, widthMm, heightMm, memberMm, thicknessMm, legMm } = answers;
  const rails = railsOf(answers);
  const right = widthMm - memberMm;
  const depthOf = ({ joinery, tenonMm }: Rail) =>
    RUNS_THROUGH.includes(joinery) ? memberMm : tenonMm + BOTTOM_ROOM_MM;
  const reachOf = ({ joinery, tenonMm }: Rail) => (RUNS_THROUGH.includes(joinery) ? memberMm : tenonMm);
  /** What of a rail lies inside a stile, from its shoulder to so far in; out of the left stile, or the right one. */
  const inside = (rail: Rail, side: 1 | 2, deepMm: number): Prism[] => {
    const across = (mm: number, low: number, high: number) => {
      const [z0, z1] = layerOf(rail.joinery, thicknessMm);
      return side === 1
        ? box([memberMm - mm, low, z0], [memberMm, high, z1])
        : box([right, low, z0], [right + mm, high, z1]);
    };
    const main = across(deepMm, rail.low, rail.high);
    const haunch = haunchOf(rail, rails.length);
    return haunch === null ? [main] : [main, across(rail.tenonMm * HAUNCH_DEPTH_SHARE, haunch[0], haunch[1])];
  };
  const stile = (side: 1 | 2): Solid => ({
    blocks: [
      box([side === 1 ? 0 : right, -legMm, 0], [side === 1 ? memberMm : widthMm, heightMm, thicknessMm]),
    ],
    pockets: rails.flatMap((rail) => inside(rail, side, depthOf(rail))),
  });
  const joints = rails.flatMap(({ n, joinery }) =>
    [1, 2].map((side) => joint(JOINT_OF[joinery], partId('stile', side), partId('rail', n))),
  );
  return {
    parts: [
      ...([1, 2] as const).map((side) => ({
        ...part('stile', side, species, stile(side), Y, [heightMm + legMm, memberMm, thicknessMm]),
        label: side === 1 ? 'left stile' : 'right stile',
      })),
      ...rails.map((rail) => ({
        ...part(
          'rail',
          rail.n,
          species,
          {
            blocks: [
              box([memberMm, rail.y, 0], [right, rail.y + rail.widthMm, thicknessMm]),
              ...inside(rail, 1, reachOf(rail)),
              ...inside(rail, 2, reachOf(rail)),
            ],
            pockets: [],
          },
          X,
          [right - memberMm + 2 * reachOf(rail), rail.widthMm, thicknessMm],
        ),
        label: railName(rail.n, rails.length),
      })),
    ],
    joints,
    pulls: [
      {
        id: 'across',
        joints: joints.map(({ id }) => id),
        need: 'seat',
        stacked: false,
        axis: X,
        openingMm: widthMm + PADS_MM,
        kinds: BAR_CLAMPS,
      },
      ...cheekPulls(rails, joints, thicknessMm),
    ],
    square: { kind: 'diagonals', abMm: widthMm, bcMm: heightMm },
    flat: { kind: 'wind' },
  };
};

/** Between which faces the part of a rail lies that enters a stile: the middle third, or half. */
const layerOf = (joinery: Joinery, thicknessMm: number): readonly [number, number] =>
  joinery === 'half-lap' ? [0, thicknessMm / 2] : [thicknessMm / 3, (2 * thicknessMm) / 3];

/** The stretch of a rail's width that a haunch fills; null where it has none. */
function haunchOf(
  { n, y, widthMm, joinery, low, high }: Rail,
  rails: number,
): readonly [number, number] | null {
  if (joinery !== 'haunched') return null;
  return n === 1 ? [y, low] : n === rails ? [high, y + widthMm] : null;
}

/** What runs through a stile is pressed through its cheeks too, corner by corner, beside the pull along the rails. */
const cheekPulls = (rails: readonly Rail[], joints: Layout['joints'], thicknessMm: number): Pull[] =>
  rails
    .filter(({ joinery }) => RUNS_THROUGH.includes(joinery))
    .flatMap(({ n }) => joints.filter(({ b }) => b === partId('rail', n)))
    .map(({ id }) => ({
      id: `cheeks-${id}`,
      joints: [id],
      need: 'line',
      stacked: true,
      axis: Z,
      openingMm: thicknessMm + PADS_MM,
      kinds: CHEEK_CLAMPS,
      everyMm: CHEEK_PAD_MM,
    }));

interface FrameAnswers {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly memberMm: number;
  readonly midRails: number;
  readonly tenonMm: number;
  readonly joinery: Joinery;
  readonly railWidthsMm: readonly number[];
  readonly railHeightsMm: readonly number[];
  readonly railTenonsMm: readonly number[];
  readonly railJoinery: readonly string[];
}

/**
 * Rails from the bottom up, evenly spaced unless their heights are given.
 * @throws InputError where they do not fit between each other or into the stiles.
 */
function railsOf(answers: FrameAnswers): Rail[] {
  const { widthMm, heightMm, memberMm, tenonMm: usualMm } = answers;
  const count = answers.midRails + 2;
  const widths = upTo(count).map((n) => answers.railWidthsMm[n - 1] || memberMm);
  const openMm = (heightMm - widths.reduce((sum, each) => sum + each, 0)) / (count - 1);
  if (openMm < LEAST_OPENING_MM || widthMm <= 2 * memberMm) {
    throw new InputError(
      'inconsistent',
      'answers.memberMm',
      `Members of ${memberMm} mm leave no opening in this frame.`,
      `less than ${Math.floor(Math.min(heightMm / count, widthMm / 2))} mm`,
    );
  }
  const even = widths.map((_, i) => widths.slice(0, i).reduce((sum, each) => sum + each, 0) + i * openMm);
  const ys = even.map((y, i) => (i > 0 && i < count - 1 && answers.railHeightsMm[i - 1]) || y);
  ys.forEach((y, i) => {
    const least = i === 0 ? 0 : (ys[i - 1] ?? 0) + (widths[i - 1] ?? 0) + LEAST_OPENING_MM;
    if (y < least - 1e-9) {
      throw new InputError(
        'inconsistent',
        'answers.railHeightsMm',
        `The ${railName(i + 1, count)} at ${Math.round(y)} mm would stand in the ${railName(i, count)}.`,
        `heights in order from the bottom, this one from ${Math.ceil(least)} mm on`,
      );
    }
  });
  return widths.map((railMm, i): Rail => {
    const n = i + 1;
    const name = railName(n, count);
    const joinery = (answers.railJoinery[i] || answers.joinery) as Joinery;
    const tenonMm = answers.railTenonsMm[i] || usualMm;
    const through = RUNS_THROUGH.includes(joinery);
    if (!through && tenonMm + BOTTOM_ROOM_MM + WALL_MM > memberMm) {
      throw new InputError(
        'inconsistent',
        'answers.tenonMm',
        `A tenon of ${tenonMm} mm on the ${name} would break out of a stile ${memberMm} mm wide.`,
        `at most ${memberMm - BOTTOM_ROOM_MM - WALL_MM} mm, or a wider stile`,
      );
    }
    const y = ys[i] ?? 0;
    const cut = through ? 0 : railMm * HAUNCH_SHARE;
    return {
      n,
      y,
      widthMm: railMm,
      joinery,
      tenonMm,
      // End rails keep their outer shoulder whole, others lose half of it on either side.
      low: y + (n === 1 ? cut : n === count ? 0 : cut / 2),
      high: y + railMm - (n === count ? cut : n === 1 ? 0 : cut / 2),
    };
  });
}
