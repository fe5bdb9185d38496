import { defineKind } from './kind';
import { railName, upTo } from './names';
import type { Answers } from './question';
import { askChoice, askCount, askEachChoice, askEachLength, askLength, askSpecies, later } from './question';

/** How a rail is let into the stiles. */
const JOINERIES = ['mortise-tenon', 'haunched', 'bridle', 'half-lap'] as const;
export type Joinery = (typeof JOINERIES)[number];

const railNames = ({ midRails = 0 }: Answers): string[] => {
  const rails = Number(midRails) + 2;
  return upTo(rails).map((n) => railName(n, rails));
};
const middleNames = (answers: Answers): string[] => railNames(answers).slice(1, -1);

/** Two stiles and two or more rails, each let in as it is said: tenoned, haunched, bridled or half-lapped. */
export const TENON_FRAME = defineKind({
  id: 'tenon-frame',
  questions: {
    species: askSpecies('eastern-white-pine'),
    widthMm: askLength(900, 120, 3000),
    heightMm: askLength(1500, 120, 4000),
    memberMm: askLength(70, 20, 300),
    thicknessMm: askLength(27, 12, 120),
    midRails: askCount(1, 0, 6),
    tenonMm: askLength(45, 8, 300),
    joinery: askChoice(JOINERIES, 'mortise-tenon'),
    legMm: later(askLength(0, 0, 1200)),
    railWidthsMm: askEachLength(railNames, 20, 400),
    railHeightsMm: askEachLength(middleNames, 1, 4000),
    railTenonsMm: askEachLength(railNames, 8, 300),
    railJoinery: askEachChoice(railNames, JOINERIES),
  },
  preparation: ['fresh-faces', 'mark-faces', 'mask-at-dry-fit', 'closes-dry', 'holes-before-closing'],
  cautions: [],
  adhesive: null,
  faces: 2,
  method: 'joint-brush',
});
