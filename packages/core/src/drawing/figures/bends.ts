import { bend, breadboardSlot } from '../../calculations/bending';
import { arc, arrow, box, drawn, enlarge, line, number, outline } from './figure';

/** Most plies that are drawn one by one. */
const MOST_DRAWN = 40;

/** Plies round their radius, and the tighter form that they are bent over. */
export const bendFigure = drawn(bend, ({ radiusMm, thicknessMm }, { plies, plyMm, formRadiusMm }) => {
  const edges = Array.from(
    { length: Math.min(plies, MOST_DRAWN) + 1 },
    (_, i) => radiusMm + (thicknessMm * i) / Math.min(plies, MOST_DRAWN),
  );
  const outer = radiusMm + thicknessMm;
  return {
    paths: [
      outline([...arc([0, 0], outer, 35, 145), ...arc([0, 0], radiusMm, 145, 35)]),
      ...edges.map((radius) => line(arc([0, 0], radius, 35, 145), 'thin')),
      // The form's curve meets the work's at the crown.
      line(arc([0, radiusMm - formRadiusMm], formRadiusMm, 35, 145), 'ghost'),
    ],
    labels: [
      number([0, outer], 'above', 'plyMm', plyMm, `${plies} ×`),
      number([0, radiusMm - (outer - radiusMm * 0.57) * 0.2], 'below', 'formRadiusMm', formRadiusMm, 'form'),
    ],
  };
});

/** A peg in its slot: where the year takes it. */
export const breadboardSlotFigure = drawn(breadboardSlot, ({ distanceMm }, answer) => {
  const { outwardMm, inwardMm, slotMm } = answer;
  const enlarged = enlarge(slotMm, distanceMm, 0.3);
  const peg = distanceMm * 0.05;
  const [left, right] = [distanceMm - inwardMm * enlarged, distanceMm + outwardMm * enlarged];
  const slot = [...arc([left, 0], peg, 90, 270, 16), ...arc([right, 0], peg, -90, 90, 16)];
  const high = distanceMm * 0.15;
  return {
    enlarged,
    paths: [
      box(-high, -high, right + peg + 2 * high, 2 * high),
      outline(arc([0, 0], peg, 0, 360, 24), 'mark'),
      outline(slot, 'ghost'),
      outline(arc([distanceMm, 0], peg, 0, 360, 24), 'edge'),
      arrow([distanceMm, high * 0.7], [right, high * 0.7]),
      arrow([distanceMm, -high * 0.7], [left, -high * 0.7]),
    ],
    labels: [
      number([distanceMm / 2, 0], 'above', 'distanceMm', distanceMm),
      number([right, high], 'above', 'outwardMm', outwardMm, 'out'),
      number([right, -high], 'below', 'inwardMm', inwardMm, 'in'),
      number([distanceMm / 2, -high], 'below', 'slotMm', slotMm, 'slot longer by'),
    ],
  };
});
