import {
  drawbore,
  dryingCoats,
  glassAndBack,
  millingAllowance,
  resawList,
  vacuumBag,
} from '../../calculations/making';
import type { Vec2 } from '../../solids';
import { arc, box, drawn, enlarge, line, number, outline, word } from './figure';

/** Coats one after the other on a line of time, each as long as it dries. */
export const dryingCoatsFigure = drawn(dryingCoats, ({ coats }, { eachMin, inAllMin }) => {
  const each = 100 / coats;
  return {
    paths: Array.from({ length: coats }, (_, i) => box(i * each, 0, 0.9 * each, 12, 'glue')),
    labels: [
      number([0.45 * each, 12], 'above', 'eachMin', eachMin.likely),
      number([100, 0], 'below', 'inAllMin', inAllMin.likely, 'iron from'),
    ],
  };
});

/** A frame's opening, and the glass behind it that reaches into the rebate. */
export const glassAndBackFigure = drawn(
  glassAndBack,
  ({ openWideMm, openHighMm, rebateMm }, { wideMm, highMm }) => {
    const [dx, dy] = [(wideMm - openWideMm) / 2, (highMm - openHighMm) / 2];
    const outer = rebateMm + 0.15 * Math.min(openWideMm, openHighMm);
    return {
      paths: [
        {
          ...box(-outer, -outer, openWideMm + 2 * outer, openHighMm + 2 * outer),
          holes: [box(0, 0, openWideMm, openHighMm).points],
        },
        box(-dx, -dy, wideMm, highMm, 'ghost'),
      ],
      labels: [
        number([openWideMm / 2, -dy], 'below', 'wideMm', wideMm),
        number([-dx, openHighMm / 2], 'left', 'highMm', highMm),
      ],
    };
  },
);

/** The end of a rough board with its strips, and what is lost between them. */
export const resawListFigure = drawn(
  resawList,
  ({ boardMm, kerfMm }, { stripMm, stripsPerBoard, boards }) => {
    const high = 0.5 * boardMm;
    return {
      paths: [
        box(0, 0, boardMm, high, 'ghost'),
        ...Array.from({ length: stripsPerBoard }, (_, i) => box(i * (stripMm + kerfMm), 0, stripMm, high)),
      ],
      labels: [
        number([stripMm / 2, high], 'above', 'stripMm', stripMm),
        number([boardMm / 2, 0], 'below', 'boardMm', boardMm),
        word([boardMm, high / 2], 'right', `× ${boards}`),
      ],
    };
  },
);

/** The end of the rough board around the finished one. */
export const millingAllowanceFigure = drawn(millingAllowance, (finished, rough) => {
  const [dx, dy] = [(rough.widthMm - finished.widthMm) / 2, (rough.thicknessMm - finished.thicknessMm) / 2];
  return {
    paths: [
      box(-dx, -dy, rough.widthMm, rough.thicknessMm, 'ghost'),
      box(0, 0, finished.widthMm, finished.thicknessMm),
    ],
    labels: [
      number([finished.widthMm / 2, -dy], 'below', 'widthMm', rough.widthMm),
      number([-dx, finished.thicknessMm / 2], 'left', 'thicknessMm', rough.thicknessMm),
      number([finished.widthMm / 2, rough.thicknessMm - dy], 'above', 'lengthMm', rough.lengthMm),
    ],
  };
});

/** Peg holes of a drawbored joint, one through the cheeks, the other in the tenon nearer to the shoulder. */
export const drawboreFigure = drawn(drawbore, (_, { offsetMm }) => {
  const [tenon, peg] = [40, 9];
  const enlarged = enlarge(offsetMm, peg, 0.4);
  const at: Vec2 = [tenon / 2, 12];
  return {
    enlarged,
    paths: [
      box(-30, -6, 30, 36),
      box(0, 0, tenon, 24),
      outline(arc(at, peg / 2, 0, 360), 'edge'),
      outline(arc([at[0] - enlarged * offsetMm, at[1]], peg / 2, 0, 360), 'glue'),
      line(
        [
          [0, -6],
          [0, 30],
        ],
        'mark',
      ),
    ],
    labels: [number([at[0], 24], 'above', 'offsetMm', offsetMm), word([0, -6], 'below', 'shoulder')],
  };
});

/** The sheet in its bag from above, one end rolled up and sealed. */
export const vacuumBagFigure = drawn(
  vacuumBag,
  ({ lengthMm, widthMm }, { insideLengthMm, insideWidthMm }) => {
    const dy = (insideWidthMm - widthMm) / 2;
    return {
      paths: [
        box(-dy, -dy, insideLengthMm, insideWidthMm, 'ghost'),
        box(0, 0, lengthMm, widthMm),
        line(
          [
            [insideLengthMm - dy, -dy],
            [insideLengthMm - dy, insideWidthMm - dy],
          ],
          'mark',
        ),
      ],
      labels: [
        number([lengthMm / 2, -dy], 'below', 'insideLengthMm', insideLengthMm),
        number([-dy, widthMm / 2], 'left', 'insideWidthMm', insideWidthMm),
      ],
    };
  },
);
