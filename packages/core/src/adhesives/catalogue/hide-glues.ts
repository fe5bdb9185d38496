import { family, fixed, range, USUAL } from './family';

const HIDE = {
  chemistry: 'water-borne',
  closedMin: null,
  gapMm: 0.15,
  potLifeMin: null,
  pressure: fixed(0.5, 1),
  moisturePct: { min: 5, max: 12 },
  service: 'dry',
  durabilityClass: 'D1',
  creep: 'low',
  softensC: 55,
  line: 'amber',
  cleanUp: 'warm-water',
  sandable: 'clean',
  reversible: true,
  densityGPerMl: 1.2,
} as const;

/** Collagen: lets go again with warmth and damp. */
export const HIDE_GLUES = [
  family({
    ...HIDE,
    id: 'hide-liquid',
    name: 'Liquid hide glue',
    openMin: range(10, 15, 20),
    totalMin: range(20, 30, 40),
    minTempC: 10,
    clampMin: range(120, 360, 720),
    machineMin: 1440,
    fullCureMin: 1440,
    spreadGPerM2: 200,
    shelfLifeMonths: 12,
    aptitudes: { ...USUAL, veneer: 'fair', rebondsToItself: true, finish: 'clean' },
    steps: [{ kind: 'size-end-grain', waitMin: range(5, 8, 10) }],
    hazards: ['dust-when-sanded'],
  }),
  family({
    ...HIDE,
    id: 'hide-hot',
    name: 'Hot hide glue',
    chemistry: 'gel',
    openMin: range(1, 1.4, 2),
    totalMin: range(2, 3, 4),
    minTempC: 18,
    clampMin: range(60, 240, 720),
    machineMin: 1440,
    fullCureMin: 1440,
    spreadGPerM2: 220,
    shelfLifeMonths: 24,
    aptitudes: { ...USUAL, ironOn: true, veneer: 'good', rebondsToItself: true, finish: 'clean' },
    steps: [
      { kind: 'heat-pot', waitMin: range(30, 45, 60) },
      { kind: 'warm-parts', waitMin: range(5, 10, 15) },
    ],
    hazards: ['hot-pot', 'dust-when-sanded'],
  }),
];
