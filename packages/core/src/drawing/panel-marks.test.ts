import { evenBars, maplePanel, planRow } from '../test-support/builds';
import { panelMarks } from '.';
import { pressureStep } from './panel-marks';

describe('panelMarks', () => {
  it('covers every line from end to end with bands that do not overlap', () => {
    const sparse = maplePanel({ clamps: evenBars('long', [69, 241, 414]) });
    for (const line of panelMarks(planRow(sparse)).lines) {
      expect(line.bands[0]?.fromMm).toBe(0);
      expect(line.bands.at(-1)?.toMm).toBe(line.lengthMm);
      line.bands.slice(1).forEach((band, i) => {
        expect(band.fromMm).toBe(line.bands[i]?.toMm);
        expect(band.step).not.toBe(line.bands[i]?.step);
      });
    }
  });

  it('lays boards side by side and marks one weakest line', () => {
    const { boards, lines, widthMm } = panelMarks(planRow(maplePanel()));
    boards
      .slice(1)
      .forEach((board, i) => expect(board.yMm).toBe((boards[i]?.yMm ?? 0) + (boards[i]?.widthMm ?? 0)));
    expect((boards.at(-1)?.yMm ?? 0) + (boards.at(-1)?.widthMm ?? 0)).toBe(widthMm);
    expect(lines.filter(({ weakest }) => weakest)).toHaveLength(1);
  });

  it('spaces cauls evenly and flags a clamp that does not do', () => {
    const short = maplePanel({ clamps: [{ id: 'a', rackId: 'short', xMm: 500, side: 'above' }] });
    const marks = panelMarks(planRow(short));
    expect(marks.caulsAtMm).toEqual([250, 750]);
    expect(marks.clamps[0]?.faulty).toBe(true);
  });
});

describe('pressureStep', () => {
  it.each([
    [0, 0],
    [0.59, 0],
    [0.6, 1],
    [1.2, 2],
    [1.45, 3],
    [1.71, 4],
    [2.2, 5],
  ])('%d MPa of 1.2–1.7 is step %d', (mpa, step) => expect(pressureStep(mpa, 1.2, 1.7)).toBe(step));
});
