import { LIMITS } from '@lean-clasp/core/basics';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { findSpecies } from '@lean-clasp/core/materials';
import { METHODS_TABLE, WOODS_TABLE } from '@lean-clasp/core/tables';
import { SPECIES_OPTIONS } from '@lean-clasp/words';
import Typography from '@mui/material/Typography';
import { Choice } from '../parts/Choice';
import { NameField } from '../parts/NameField';
import type { SheetColumn } from '../parts/Sheet';
import { Tick } from '../parts/Tick';
import { NumberField } from '../quantities/fields';
import { LotGroup } from './LotGroup';
import { TableSection } from './TableSection';
import { useShopList } from './use-shop-list';

type OwnWood = NonNullable<ShopDocument['woods']>[number];
type OwnMethod = NonNullable<ShopDocument['methods']>[number];

const TRAITS = [
  ['openPored', 'open pores'],
  ['resinous', 'resinous'],
  ['oily', 'oily'],
] as const;
/** A metre of wood for one per cent of moisture, mm. */
const MM_PER_M = 1000;
const MOVES = {
  min: LIMITS.changePerPct.min * MM_PER_M,
  max: LIMITS.changePerPct.max * MM_PER_M,
  unit: 'mm/m',
};
const IN_PER_CENT = { min: LIMITS.waste.min * 100, max: LIMITS.waste.max * 100, unit: '%' };

const WOOD_COLUMNS: readonly SheetColumn<OwnWood>[] = [
  { head: 'Name', width: 'minmax(120px, 1.4fr)', by: ({ name }) => name },
  { head: 'Most like', width: 'minmax(140px, 1.4fr)', by: ({ like }) => like },
  { head: 'Weight', width: 'minmax(96px, 1fr)', by: ({ densityKgPerM3 }) => densityKgPerM3 },
  { head: 'Moves, flat-sawn', width: 'minmax(96px, 1fr)', by: ({ cT }) => cT ?? 0 },
  { head: 'Moves, quarter-sawn', width: 'minmax(96px, 1fr)', by: ({ cR }) => cR ?? 0 },
  { head: 'Open pores', width: '58px' },
  { head: 'Resin', width: '58px' },
  { head: 'Oil', width: '58px' },
];
const METHOD_COLUMNS: readonly SheetColumn<OwnMethod>[] = [
  { head: 'Name', width: 'minmax(120px, 1.4fr)', by: ({ name }) => name },
  { head: 'Bead', width: '1fr', by: ({ beadMPerMin }) => beadMPerMin },
  { head: 'Along an edge', width: '1fr', by: ({ alongMPerMin }) => alongMPerMin ?? 0 },
  { head: 'Over a face', width: '1fr', by: ({ areaM2PerMin }) => areaM2PerMin ?? 0 },
  { head: 'Left on it', width: '1fr', by: ({ waste }) => waste },
];
/** Room for *Remove*, px. */
const ACTIONS_PX = 84;

/** Woods that no catalogue holds. */
export function WoodsSection({ shop }: { readonly shop: ShopDocument }) {
  return (
    <TableSection
      title="Woods of your own"
      field="woods"
      shop={shop}
      table={WOODS_TABLE}
      columns={WOOD_COLUMNS}
      actionsPx={ACTIONS_PX}
      add="Add a wood"
      render={(wood) => <WoodFields key={wood.id} wood={wood} />}
    >
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5, maxWidth: 760 }}>
        Weigh a planed piece that has lain in a dry shop and divide by its volume. Movement: what a metre
        across the grain changes for one per cent of moisture; measure a wide board dry and damp. Stiffness
        and what its face bears go by the weight and the wood it is like [judgement, ± 30 %].
      </Typography>
    </TableSection>
  );
}

/** Ways of spreading that no catalogue holds. */
export function SpreadersSection({ shop }: { readonly shop: ShopDocument }) {
  return (
    <TableSection
      title="Spreaders of your own"
      field="methods"
      shop={shop}
      table={METHODS_TABLE}
      columns={METHOD_COLUMNS}
      actionsPx={ACTIONS_PX}
      add="Add a spreader"
      render={(method) => <MethodFields key={method.id} method={method} />}
    >
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5, maxWidth: 760 }}>
        Time yourself over a metre of edge and a quarter of a square metre of face.
      </Typography>
    </TableSection>
  );
}

function WoodFields({ wood }: { readonly wood: OwnWood }) {
  const list = useShopList('woods');
  const set = (label: string, change: Partial<OwnWood>) =>
    list.set(`${label}, ${wood.name}`, wood.id, change);
  const like = findSpecies(wood.like);
  const moves = (label: string, field: 'cT' | 'cR') => (
    <NumberField
      label={label}
      optional
      unit="mm/m"
      value={wood[field] === null ? null : wood[field] * MM_PER_M}
      bounds={MOVES}
      hint={like === undefined ? '' : `empty: ${(like.properties[field] * MM_PER_M).toFixed(2)} mm/m`}
      onChange={(mm) => set(label, { [field]: mm === null ? null : mm / MM_PER_M })}
      width={160}
    />
  );
  return (
    <LotGroup
      name={`Wood ${wood.name}`}
      remove={`Remove the wood ${wood.name}`}
      onRemove={() => list.remove('Wood removed', wood.id)}
    >
      <NameField value={wood.name} width={170} onChange={(name) => set('Name', { name })} />
      <Choice
        label="Most like"
        value={wood.like}
        options={SPECIES_OPTIONS}
        onChange={(id) => set('Like', { like: id })}
        width={180}
      />
      <NumberField
        label="Weight"
        unit="kg/m³"
        value={wood.densityKgPerM3}
        bounds={LIMITS.woodDensityKgPerM3}
        onChange={(densityKgPerM3) => densityKgPerM3 !== null && set('Weight', { densityKgPerM3 })}
        width={120}
      />
      {moves('Moves, flat-sawn', 'cT')}
      {moves('Moves, quarter-sawn', 'cR')}
      {TRAITS.map(([trait, label]) => (
        <Tick
          key={trait}
          label={label}
          checked={wood[trait]}
          onChange={(is) => set(label, { [trait]: is })}
        />
      ))}
    </LotGroup>
  );
}

function MethodFields({ method }: { readonly method: OwnMethod }) {
  const list = useShopList('methods');
  const set = (label: string, change: Partial<OwnMethod>) =>
    list.set(`${label}, ${method.name}`, method.id, change);
  return (
    <LotGroup
      name={`Spreader ${method.name}`}
      remove={`Remove the spreader ${method.name}`}
      onRemove={() => list.remove('Spreader removed', method.id)}
    >
      <NameField value={method.name} width={170} onChange={(name) => set('Name', { name })} />
      <NumberField
        label="Bead"
        unit="m/min"
        value={method.beadMPerMin}
        bounds={LIMITS.spreadingMPerMin}
        onChange={(beadMPerMin) => beadMPerMin !== null && set('Bead', { beadMPerMin })}
        width={110}
      />
      <NumberField
        label="Along an edge"
        unit="m/min"
        optional
        value={method.alongMPerMin}
        bounds={LIMITS.spreadingMPerMin}
        hint="empty: left as laid"
        onChange={(alongMPerMin) => set('Along', { alongMPerMin })}
        width={140}
      />
      <NumberField
        label="Over a face"
        unit="m²/min"
        optional
        value={method.areaM2PerMin}
        bounds={LIMITS.spreadingM2PerMin}
        hint="empty: left as laid"
        onChange={(areaM2PerMin) => set('Over a face', { areaM2PerMin })}
        width={140}
      />
      <NumberField
        label="Left on it"
        unit="%"
        value={method.waste * 100}
        bounds={IN_PER_CENT}
        hint="of the glue"
        onChange={(pct) => pct !== null && set('Left on it', { waste: pct / 100 })}
        width={110}
      />
    </LotGroup>
  );
}
