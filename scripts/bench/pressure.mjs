import { wholePanelTimes } from '../lib/whole-panel.mjs';
import { calculated } from './calculated.mjs';
import { LOADS, median, ms, times } from './figures.mjs';

/**
 * Pressure along the lines over HTTP, nothing remembered; baseline: SuperLU over the whole panel on the same mesh with the
 * same contact, where Debian's python3-scipy is there, or else one banded factor of it in this process.
 */
export async function measurePressure({ server, report }) {
  const boards = (n, widthOf) =>
    Array.from({ length: n }, (_, i) => ({ widthMm: widthOf(i), species: 'hard-maple', cut: 'flat' }));
  const clamps = (n, lengthMm, forceN) =>
    Array.from({ length: n }, (_, i) => ({ xMm: (lengthMm * (i + 0.5)) / n, forceN, padMm: 30 }));
  const hollow = (deepMm) => [{ line: 1, profileMm: [0, 0.625, 1, 0.625, 0].map((share) => share * deepMm) }];
  const different = boards(5, (i) => 100 + 7 * i);
  const panels = [
    ['5 boards of 1 m', { boards: boards(5, () => 120), lengthMm: 1000, clamps: clamps(4, 1000, 3000) }],
    [
      '5 different boards, a hollow line pulled shut',
      { boards: different, lengthMm: 1000, clamps: clamps(6, 1000, 3000), gaps: hollow(0.8) },
    ],
    [
      '5 different boards, a line that stays open',
      { boards: different, lengthMm: 1000, clamps: clamps(6, 1000, 900), gaps: hollow(3) },
    ],
    ['20 boards of 3 m', { boards: boards(20, () => 120), lengthMm: 3000, clamps: clamps(12, 3000, 3000) }],
    [
      '20 different boards of 3 m',
      { boards: boards(20, (i) => 80 + 4 * i), lengthMm: 3000, clamps: clamps(12, 3000, 3000) },
    ],
  ];
  for (const [name, panel] of panels) {
    const took = [];
    for (let i = 0; i < LOADS; i += 1) {
      const startedAt = performance.now();
      await calculated(server, 'panel-pressure', { thicknessMm: 20, ...panel });
      took.push(performance.now() - startedAt);
    }
    const { by, times: whole } = await wholePanelTimes({ thicknessMm: 20, ...panel }, LOADS);
    report(
      `panel-pressure, ${name}`,
      ms(median(took)),
      'a third of it',
      `${by}: ${ms(median(whole))}`,
      times(median(took), median(whole)),
    );
  }
}
