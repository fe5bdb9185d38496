import { finding } from '../../findings';
import type { LayOut } from '../kind';
import type { MITRED_FRAME, TRIM_SET, CASING } from '../mitred-frame';
import { CORNER_CLAMPS } from './pieces';
import { cornerPulls, frameOf, roundPull } from './mitre-outline';
import { glassFindings, unequalFindings } from './mitre-widths';

export const layMitredFrame: LayOut<typeof MITRED_FRAME> = ({
  chain,
  pressed,
  frames,
  memberWidthsMm,
  rebateMm,
  clearanceMm,
  ...answers
}) => {
  const open = chain === 'open';
  const widthsMm = answers.sidesMm.map((_, i) => memberWidthsMm[i] || answers.widthMm);
  const frame = frameOf({ ...answers, open, widthsMm });
  const how = open && pressed === 'round' ? 'corner-by-corner' : pressed;
  return {
    ...frame,
    ...(how === 'corner-by-corner'
      ? // What a clamp must open is the member with its angled blocks, not the frame.
        { pulls: cornerPulls(frame.joints, answers, CORNER_CLAMPS), oneGo: false }
      : { pulls: roundPull(frame.joints, answers.sidesMm) }),
    sets: frames,
    findings: [
      ...frame.findings,
      ...unequalFindings(frame, { ...answers, widthsMm }),
      ...(rebateMm > 0 ? glassFindings({ ...answers, widthsMm }, rebateMm, clearanceMm) : []),
      ...(open && how !== 'corner-by-corner'
        ? [finding('band-wants-spacer', 'informs', { spacerMm: answers.sidesMm.at(-1) ?? 0 })]
        : []),
    ],
  };
};

const SQUARE_CORNERS = [90, 90, 90, 90];

export const layTrimSet: LayOut<typeof TRIM_SET> = ({
  openingWidthMm,
  openingHeightMm,
  sets,
  ...answers
}) => {
  const [w, h] = [openingWidthMm + 2 * answers.widthMm, openingHeightMm + 2 * answers.widthMm];
  const frame = frameOf({ ...answers, sidesMm: [w, h, w, h], anglesDeg: SQUARE_CORNERS, open: false });
  return {
    ...frame,
    setDry: true,
    oneGo: false,
    // Each corner has a clamp of its own, set dry beforehand, so that it is pressed as soon as it is closed.
    pulls: cornerPulls(frame.joints, { ...answers, anglesDeg: SQUARE_CORNERS }),
    sets,
  };
};

export const layCasing: LayOut<typeof CASING> = ({ openingWidthMm, openingHeightMm, sets, ...answers }) => {
  const [head, leg] = [openingWidthMm + 2 * answers.widthMm, openingHeightMm + answers.widthMm];
  const frame = frameOf({
    ...answers,
    // Up the right leg, along the head, down the left leg; the side that is left open lies below.
    sidesMm: [leg, head, leg, head],
    anglesDeg: SQUARE_CORNERS,
    open: true,
    startDeg: 90,
    names: ['right leg', 'head', 'left leg'],
  });
  return {
    ...frame,
    setDry: true,
    oneGo: false,
    sets,
    findings: [finding('feet-stay-apart', 'informs', { apartMm: openingWidthMm })],
  };
};
