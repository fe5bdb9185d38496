import { batch, calendar, sequence } from '../../calculations/planning';
import { readWallTime } from '../../calendar';
import type { Vec2 } from '../../solids';
import { box, drawn, type FigureInk, type FigureLabel, type FigurePath, line, number, word } from './figure';

/** Height of a lane beside a minute's width, and the room between sessions. */
const LANE = 1;
const BETWEEN = 1.4;
const INKS: Readonly<Record<string, FigureInk>> = { spread: 'glue', close: 'wood', clamp: 'force' };

/** A rule with the reason why there is nothing above it. */
function nothingDrawn(findings: readonly { readonly code: string }[]) {
  const why = findings[0]?.code.replaceAll('-', ' ') ?? 'nothing to do';
  const ends: readonly Vec2[] = [
    [0, 0],
    [10, 0],
  ];
  return { paths: [line(ends, 'mark')], labels: [word([5, 0], 'above', why)] };
}

/** Sessions one below the other, a lane for each pair of hands, minutes to the right. */
export const sequenceFigure = drawn(sequence, ({ crew }, { sessions, findings }) => {
  if (sessions.length === 0) {
    return nothingDrawn(findings);
  }
  // Lanes are as high as a tenth of the longest session is wide.
  const high = Math.max(...sessions.map(({ handsOnMin }) => handsOnMin), 1) / 12;
  const paths: FigurePath[] = [];
  const labels: FigureLabel[] = [];
  sessions.forEach(({ operations, handsOnMin, joints }, i) => {
    const top = -i * (crew * LANE + BETWEEN) * high;
    for (const { kind, hands, startMin, endMin } of operations) {
      for (const hand of hands) {
        const y = top - (hand + 1) * LANE * high;
        paths.push(box(startMin, y, endMin - startMin, 0.8 * LANE * high, INKS[kind] ?? 'wood'));
      }
    }
    labels.push(
      word([0, top], 'above', `${i + 1}: ${joints.length === 1 ? '1 joint' : `${joints.length} joints`}`),
    );
    labels.push(number([handsOnMin, top - 0.6 * crew * LANE * high], 'right', 'handsOnMin', handsOnMin));
  });
  return { paths, labels };
});

/** Sessions one below the other over the days: hands-on work in amber, clamps after it. */
export const calendarFigure = drawn(calendar, ({ start }, { items, findings }) => {
  if (items.length === 0) {
    return nothingDrawn(findings);
  }
  const begin = readWallTime(start, 'start');
  const hour = (text: string) => (readWallTime(text.slice(0, 16), 'date') - begin) / 60;
  const last = Math.max(...items.map(({ clampsOff }) => hour(clampsOff)), 0.1);
  const high = last / 14;
  return {
    paths: items.flatMap((item, i) => {
      const y = -1.5 * i * high;
      const [from, handsEnd, off] = [hour(item.start), hour(item.handsEnd), hour(item.clampsOff)];
      return [box(from, y, handsEnd - from, high, 'glue'), box(handsEnd, y, off - handsEnd, high, 'force')];
    }),
    labels: items.map((item, i) =>
      word(
        [hour(item.clampsOff), -1.5 * i * high + 0.5 * high],
        'right',
        `${item.id} ${item.clampsOff.slice(11, 16)}`,
      ),
    ),
  };
});

/** Most pieces drawn. */
const MOST_PIECES = 12;

/** The first pieces of a batch one below the other: hands-on work in amber, clamps after it. */
export const batchFigure = drawn(batch, ({ handsOnMin, clampMin }, { startMin, firstFreeMin }) => {
  const shown = startMin.slice(0, MOST_PIECES);
  const last = Math.max((shown.at(-1) ?? 0) + handsOnMin + clampMin, firstFreeMin, 1);
  const high = last / 18;
  return {
    paths: shown.flatMap((from, i) => {
      const y = -1.4 * i * high;
      return [box(from, y, handsOnMin, high, 'glue'), box(from + handsOnMin, y, clampMin, high, 'force')];
    }),
    labels: [number([firstFreeMin, high], 'above', 'firstFreeMin', firstFreeMin)],
  };
});
