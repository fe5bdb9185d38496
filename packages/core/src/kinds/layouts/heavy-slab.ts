import { finding } from '../../findings';
import { box, solidOf } from '../../solids';
import type { LayOut } from '../kind';
import { upTo } from '../names';
import type { HEAVY_SLAB } from '../heavy-slab';
import { joint, PADS_MM, partId } from './pieces';
import { acrossRow, sideBySide } from './side-by-side';

export const layHeavySlab: LayOut<typeof HEAVY_SLAB> = ({
  species,
  planks,
  widthMm,
  lengthMm,
  thicknessMm,
  caulPairs,
}) => {
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
};
