import { defineKind } from './kind';
import { type Answers, askChoice, askCount, askLength, askSpecies, later, onlyWhen } from './question';

/** How levels are let into the sides. */
const CORNERS = ['housing', 'rebate', 'through-tenon'] as const;
export type Corner = (typeof CORNERS)[number];
const hasThrough = ({ corners, shelfJoint, shelves }: Answers): boolean =>
  corners === 'through-tenon' || (shelfJoint === 'through-tenon' && Number(shelves) > 0);

/** A box of two sides, top, bottom and shelves, with strips across its back. */
export const CASE = defineKind({
  id: 'case',
  questions: {
    species: askSpecies('yellow-poplar'),
    widthMm: askLength(820, 150, 2500),
    heightMm: askLength(480, 150, 2500),
    depthMm: askLength(420, 80, 900),
    thicknessMm: askLength(19, 9, 50),
    shelves: askCount(2, 0, 10),
    backStrips: askCount(2, 0, 6),
    corners: askChoice(CORNERS, 'housing'),
    shelfJoint: onlyWhen(
      later(askChoice(['housing', 'through-tenon'], 'housing')),
      ({ shelves }) => Number(shelves) > 0,
    ),
    proudMm: onlyWhen(later(askLength(1, 0, 15)), hasThrough),
    strip: onlyWhen(
      later(askChoice(['on-the-back', 'in-grooves'], 'on-the-back')),
      ({ backStrips }) => Number(backStrips) > 0,
    ),
  },
  preparation: [
    'fresh-faces',
    'holes-before-closing',
    'mask-at-dry-fit',
    'mark-faces',
    'closes-dry',
    'rehearse-two',
  ],
  cautions: ['heavy'],
  adhesive: null,
  faces: 2,
  method: 'brush',
  squeezeOut: 'inside',
});
