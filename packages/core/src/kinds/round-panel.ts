import { finding } from '../findings';
import { LIVE_STATIONS } from '../outline';
import { askFixing } from './block-fixing';
import { defineKind } from './kind';
import { upTo } from './names';
import { askChoice, askCount, askEachLength, askLength, askSpecies, onlyWhen } from './question';

const STATION_NAMES = upTo(LIVE_STATIONS).map((n) => `at ${(100 * (n - 1)) / (LIVE_STATIONS - 1)} %`);

/** A drawn edge is asked about only once there is one. */
const askStations = (name: string) =>
  onlyWhen(
    askEachLength(() => STATION_NAMES, 0, 400),
    ({ outline, [name]: stations }) =>
      outline === 'live-edge' && Array.isArray(stations) && stations.length > 0,
  );

/** Boards side by side with a curved or a live outline: blocks cut to it give the clamps parallel faces. */
export const ROUND_PANEL = defineKind({
  id: 'round-panel',
  questions: {
    species: askSpecies('hard-maple'),
    outline: askChoice(['oval', 'oval-after', 'live-edge', 'halves'], 'oval'),
    boards: askCount(6, 2, 12),
    lengthMm: askLength(900, 150, 3000),
    widthMm: askLength(620, 100, 2000),
    thicknessMm: askLength(24, 6, 80),
    blockMm: askLength(70, 25, 200),
    fixing: askFixing,
    nearMm: askStations('nearMm'),
    farMm: askStations('farMm'),
  },
  preparation: ['fresh-faces', 'mark-faces', 'blocks-fixed', 'release-film', 'closes-dry'],
  cautions: [],
  adhesive: null,
  faces: 1,
  method: 'card',
  row: ({ outline, blockMm, thicknessMm }) => ({
    edge: outline === 'oval-after' ? { kind: 'bare', thicknessMm } : { kind: 'blocks', thicknessMm: blockMm },
  }),
  needless: ({ outline }) => (outline === 'oval-after' ? ['blocks-fixed'] : []),
  otherwise: (answers) =>
    (answers['outline'] ?? 'oval') === 'oval'
      ? [{ change: finding('saw-after', 'informs'), answers: { outline: 'oval-after' } }]
      : [],
});
