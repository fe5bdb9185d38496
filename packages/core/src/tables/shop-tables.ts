import { BLANK_LABEL, listAdhesives } from '../adhesives';
import { LIMITS } from '../basics/limits';
import { findClampKind, listClampKinds } from '../clamps';
import type { Bench, BlockLot, Bottle, CaulLot, RackLot, ShopDocument } from '../formats';
import { listSpecies, type OwnWood } from '../materials';
import type { Column, Table } from './column';
import {
  dayColumn,
  innerColumn,
  lengthColumn,
  nameColumn,
  numberColumn,
  scaledColumn,
  tickColumn,
  type Word,
  wordColumn,
} from './columns';

type Bag = NonNullable<RackLot['bag']>;
type OwnMethod = NonNullable<ShopDocument['methods']>[number];

const HOW_MANY = {
  head: 'How many',
  also: ['count', 'number', 'qty', 'quantity', 'pieces', 'amount'],
  whole: true,
  needed: true,
};
const KIND = { head: 'Kind', also: ['clamp', 'clamps', 'type', 'what'], needed: true };
const NAME = { head: 'Name', also: [], needed: true, most: 60 };

const bagColumn = (side: keyof Bag, head: string): Column<RackLot> =>
  innerColumn<RackLot, 'bag'>(
    'bag',
    { lengthMm: null, widthMm: null },
    lengthColumn(side, LIMITS.bagSideMm, { head }),
  );

/** Clamps by lots; jaws are those of the kind unless they are told. */
export const RACK_TABLE: Table<RackLot> = {
  name: 'clamps',
  columns: [
    wordColumn('kind', listClampKinds(), KIND),
    numberColumn('count', LIMITS.clampCount, HOW_MANY),
    lengthColumn('maxOpeningMm', LIMITS.clampOpeningMm, {
      head: 'Opens to',
      also: ['opening', 'max opening', 'capacity', 'length', 'size'],
    }),
    scaledColumn('forceN', 'force', LIMITS.clampForceN, { head: 'Pull, measured', also: ['pull', 'force'] }),
    lengthColumn('padWidthMm', LIMITS.padSideMm, { head: 'Jaw width', also: ['pad width'] }),
    lengthColumn('padHeightMm', LIMITS.padSideMm, { head: 'Jaw height', also: ['pad height'] }),
    lengthColumn('reachMm', LIMITS.jawReachMm, {
      head: 'Jaws reach in',
      also: ['reach', 'throat', 'throat depth', 'depth'],
    }),
    scaledColumn('perTurnN', 'force', LIMITS.perTurnN, {
      head: 'Pull of one turn',
      also: ['per turn', 'a turn'],
    }),
    bagColumn('lengthMm', 'Bag length'),
    bagColumn('widthMm', 'Bag width'),
  ],
  blank: {
    kind: 'parallel-jaw',
    count: 2,
    maxOpeningMm: 600,
    forceN: null,
    padWidthMm: 45,
    padHeightMm: 95,
  },
  completed: (lot, said) => {
    const { padWidthMm, padHeightMm } = findClampKind(lot.kind);
    return { ...lot, padWidthMm, padHeightMm, ...said };
  },
};

/** Cauls by lots. @param woods of the shop's own, beside the catalogue. */
export const caulsTable = (woods: readonly OwnWood[]): Table<CaulLot> => ({
  name: 'cauls',
  columns: [
    numberColumn('count', LIMITS.clampCount, { ...HOW_MANY, head: 'Cauls' }),
    wordColumn('species', [...listSpecies(), ...woods], { head: 'Wood', also: ['species'] }),
    lengthColumn('lengthMm', LIMITS.caulLengthMm, { head: 'Length', also: ['long'], needed: true }),
    lengthColumn('widthMm', LIMITS.caulSectionMm, { head: 'Width', also: ['wide'] }),
    lengthColumn('depthMm', LIMITS.caulSectionMm, { head: 'Depth', also: ['height', 'high', 'thickness'] }),
    lengthColumn('crownMm', LIMITS.crownMm, { head: 'Crown', also: ['camber'] }),
  ],
  blank: { count: 2, species: 'hard-maple', lengthMm: 700, widthMm: 40, depthMm: 50, crownMm: 0 },
});

/** What lies under jaws. */
export const BLOCK_KINDS: readonly Word<BlockLot['kind']>[] = [
  { id: 'block', name: 'blocks' },
  { id: 'batten', name: 'battens' },
];
/** What the side of it that grips is. */
export const BLOCK_FACES: readonly Word<BlockLot['face']>[] = [
  { id: 'bare', name: 'bare' },
  { id: 'abrasive', name: 'abrasive' },
  { id: 'cork', name: 'cork' },
];

/** Blocks and battens by lots. */
export const BLOCKS_TABLE: Table<BlockLot> = {
  name: 'blocks',
  columns: [
    numberColumn('count', LIMITS.clampCount, HOW_MANY),
    wordColumn('kind', BLOCK_KINDS, { head: 'What', also: ['kind'] }),
    lengthColumn('lengthMm', LIMITS.caulLengthMm, { head: 'Length', also: ['long'], needed: true }),
    lengthColumn('thicknessMm', LIMITS.padThicknessMm, { head: 'Thickness', also: ['thick'] }),
    wordColumn('face', BLOCK_FACES, { head: 'Its face', also: ['face'] }),
    numberColumn('friction', LIMITS.friction, { head: 'Grip, measured', also: ['grip', 'friction'] }),
  ],
  blank: { kind: 'block', count: 8, lengthMm: 60, thicknessMm: 20, face: 'bare', friction: null },
};

const onLabel = (column: Column<Label>): Column<Bottle> =>
  innerColumn<Bottle, 'label'>('label', BLANK_LABEL, column);

type Label = NonNullable<Bottle['label']>;
type Span = Label['openMin'];
const minutes = (end: keyof Span, head: string): Column<Span> =>
  numberColumn(end, LIMITS.minutes, { head, unit: 'min' });

/** The two ends of a figure on a label. */
const spanColumns = (
  field: 'openMin' | 'totalMin' | 'clampMin' | 'pressureMPa',
  name: string,
  columnOf: (end: keyof Span, head: string) => Column<Span>,
): Column<Bottle>[] =>
  (['low', 'high'] as const).map((end) =>
    onLabel(
      innerColumn<Label, typeof field>(
        field,
        { low: null, high: null },
        columnOf(end, `${name}, ${end === 'low' ? 'from' : 'to'}`),
      ),
    ),
  );

/** Bottles on the shelf, with what their labels say. */
export const BOTTLES_TABLE: Table<Bottle> = {
  name: 'glues',
  columns: [
    wordColumn('adhesive', listAdhesives(), { head: 'Glue', also: ['adhesive', 'kind'], needed: true }),
    dayColumn('openedOn', { head: 'Opened on', also: ['opened', 'date'] }),
    scaledColumn('remainingMl', 'volume', LIMITS.shelfMl, { head: 'Left', also: ['remaining', 'amount'] }),
    numberColumn(
      'pricePerLitre',
      { min: 0, max: 10000, unit: '' },
      { head: 'Price of a litre', also: ['price'] },
    ),
    ...spanColumns('openMin', 'Open', minutes),
    ...spanColumns('totalMin', 'In all', minutes),
    ...spanColumns('clampMin', 'In clamps', minutes),
    onLabel(scaledColumn('minTempC', 'temperature', LIMITS.tempC, { head: 'Coldest' })),
    ...spanColumns('pressureMPa', 'Pressure', (end, head) =>
      scaledColumn(end, 'pressure', LIMITS.labelPressureMPa, { head }),
    ),
    onLabel(lengthColumn('gapMm', LIMITS.labelGapMm, { head: 'Fills gaps to' })),
    onLabel(numberColumn('spreadGPerM2', LIMITS.labelSpreadGPerM2, { head: 'Spread', unit: 'g/m²' })),
    onLabel(numberColumn('potLifeMin', LIMITS.minutes, { head: 'A cup lasts', unit: 'min' })),
  ],
  blank: { adhesive: 'pva-interior', openedOn: null, remainingMl: 500 },
};

/** Benches, tables and stretches of floor. */
export const BENCHES_TABLE: Table<Bench> = {
  name: 'benches',
  columns: [
    nameColumn('name', { ...NAME, also: ['bench', 'table'] }),
    lengthColumn('lengthMm', LIMITS.benchSideMm, { head: 'Length', also: ['long'], needed: true }),
    lengthColumn('widthMm', LIMITS.benchSideMm, { head: 'Width', also: ['wide', 'depth'], needed: true }),
    lengthColumn('flatMm', LIMITS.benchFlatMm, { head: 'Out of flat', also: ['flat', 'flatness'] }),
  ],
  blank: { name: 'Bench', lengthMm: 1800, widthMm: 700, flatMm: null },
};

/** A metre of wood for one per cent of moisture, mm. */
const MM_PER_M = 0.001;

/** Woods of one's own. */
export const WOODS_TABLE: Table<OwnWood> = {
  name: 'woods',
  columns: [
    nameColumn('name', { ...NAME, also: ['wood', 'species'] }),
    wordColumn('like', listSpecies(), { head: 'Most like', also: ['like'] }),
    numberColumn('densityKgPerM3', LIMITS.woodDensityKgPerM3, {
      head: 'Weight',
      also: ['density'],
      unit: 'kg/m³',
      needed: true,
    }),
    numberColumn('cT', LIMITS.changePerPct, {
      head: 'Moves, flat-sawn',
      also: ['tangential'],
      unit: 'mm/m',
      factor: MM_PER_M,
    }),
    numberColumn('cR', LIMITS.changePerPct, {
      head: 'Moves, quarter-sawn',
      also: ['radial'],
      unit: 'mm/m',
      factor: MM_PER_M,
    }),
    tickColumn('openPored', { head: 'Open pores' }),
    tickColumn('resinous', { head: 'Resinous' }),
    tickColumn('oily', { head: 'Oily' }),
  ],
  blank: {
    name: 'Own wood',
    like: 'white-oak',
    densityKgPerM3: 700,
    cR: null,
    cT: null,
    openPored: false,
    resinous: false,
    oily: false,
  },
};

/** Ways of spreading of one's own. */
export const METHODS_TABLE: Table<OwnMethod> = {
  name: 'spreaders',
  columns: [
    nameColumn('name', { ...NAME, also: ['spreader', 'method'] }),
    numberColumn('beadMPerMin', LIMITS.spreadingMPerMin, { head: 'Bead', unit: 'm/min', needed: true }),
    numberColumn('alongMPerMin', LIMITS.spreadingMPerMin, { head: 'Along an edge', unit: 'm/min' }),
    numberColumn('areaM2PerMin', LIMITS.spreadingM2PerMin, { head: 'Over a face', unit: 'm²/min' }),
    numberColumn('waste', LIMITS.waste, { head: 'Left on it', unit: '%', factor: 0.01 }),
  ],
  blank: { name: 'own spreader', beadMPerMin: 5, alongMPerMin: 2.5, areaM2PerMin: 0.15, waste: 0.1 },
};
