import { finding } from '../findings';
import { box, solidOf } from '../solids';
import { defineKind } from './kind';
import { joint, PADS_MM, partId, upTo } from './pieces';
import { askCount, askLength, askSpecies } from './question';
import { acrossRow, sideBySide } from './side-by-side';

/** Wide, heavy, uneven planks held flat by crowned cauls while they are pulled together. */
export const HEAVY_SLAB = defineKind({
  id: 'heavy-slab',
  questions: {
    species: askSpecies('white-oak'),
    planks: askCount(3, 2, 6),
    widthMm: askLength(720, 200, 1500),
    lengthMm: askLength(1800, 400, 5000),
    thicknessMm: askLength(48, 30, 120),
    caulPairs: askCount(4, 0, 12),
  },
  preparation: [
    'meter-moisture',
    'fresh-faces',
    'mark-faces',
    'level-grid',
    'crown-cauls',
    'release-film',
    'rehearse-two',
  ],
  cautions: ['heavy'],
  adhesive: null,
  faces: 2,
  method: 'roller',
  squeezeOut: 'planed',
  row: ({ caulPairs }) => ({ caulPairs }),
  layOut: ({ species, planks, widthMm, lengthMm, thicknessMm, caulPairs }) => {
    const each = widthMm / planks;
    const caul = { depth: 70, width: 45 };
    return {
      parts: sideBySide(species, planks, each, lengthMm, thicknessMm),
      joints: upTo(planks - 1).map((n) => joint('edge', partId('board', n), partId('board', n + 1))),
      aids: upTo(caulPairs).flatMap((n) => {
        const x = (lengthMm * (n - 0.5)) / caulPairs - caul.width / 2;
        return [
          {
            id: `caul-${n}-below`,
            role: 'caul' as const,
            solid: solidOf(box([x, -30, -caul.depth], [x + caul.width, widthMm + 30, 0])),
          },
          {
            id: `caul-${n}-above`,
            role: 'caul' as const,
            solid: solidOf(
              box([x, -30, thicknessMm], [x + caul.width, widthMm + 30, thicknessMm + caul.depth]),
            ),
          },
        ];
      }),
      pulls: [
        acrossRow(
          upTo(planks - 1).map((n) => `board-${n}_board-${n + 1}`),
          widthMm + PADS_MM,
        ),
      ],
      flat: { kind: 'wind' },
      findings:
        caulPairs > 0 && lengthMm / caulPairs > 600
          ? [
              finding('cauls-far-apart', 'warns', {
                apartMm: lengthMm / caulPairs,
                pairs: Math.ceil(lengthMm / 600),
              }),
            ]
          : [],
    };
  },
});
