import { LIMITS } from '@lean-clasp/core/basics';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { findSpecies } from '@lean-clasp/core/materials';
import { SPECIES_OPTIONS } from '@lean-clasp/words';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { Choice } from '../parts/Choice';
import { NameField } from '../parts/NameField';
import { Tick } from '../parts/Tick';
import { NumberField } from '../quantities/fields';
import { makeId } from '../workspace/edits';
import { LotGroup } from './LotGroup';
import { changed, useEditShop } from './use-edit-shop';

type OwnWood = NonNullable<ShopDocument['woods']>[number];
type OwnMethod = NonNullable<ShopDocument['methods']>[number];

const NEW_WOOD: Omit<OwnWood, 'id'> = {
  name: 'Own wood',
  like: 'white-oak',
  densityKgPerM3: 700,
  cR: null,
  cT: null,
  openPored: false,
  resinous: false,
  oily: false,
};
const NEW_METHOD: Omit<OwnMethod, 'id'> = {
  name: 'own spreader',
  beadMPerMin: 5,
  alongMPerMin: 2.5,
  areaM2PerMin: 0.15,
  waste: 0.1,
};
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

/** Woods and ways of spreading that no catalogue holds. */
export function OwnSection({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  const { woods = [], methods = [] } = shop;
  return (
    <Section
      title="Woods and spreaders of your own"
      aside={
        <>
          <Button
            onClick={() =>
              edit('Wood added', (before) => ({
                ...before,
                woods: [...(before.woods ?? []), { ...NEW_WOOD, id: makeId() }],
              }))
            }
          >
            Add a wood
          </Button>
          <Button
            onClick={() =>
              edit('Spreader added', (before) => ({
                ...before,
                methods: [...(before.methods ?? []), { ...NEW_METHOD, id: makeId() }],
              }))
            }
          >
            Add a spreader
          </Button>
        </>
      }
    >
      {woods.map((wood) => (
        <WoodFields key={wood.id} wood={wood} />
      ))}
      {methods.map((method) => (
        <MethodFields key={method.id} method={method} />
      ))}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5, maxWidth: 760 }}>
        A wood: weigh a planed piece that has lain in a dry shop and divide by its volume. Movement: what a
        metre across the grain changes for one per cent of moisture; measure a wide board dry and damp.
        Stiffness and what its face bears go by the weight and the wood it is like [judgement, ± 30 %]. A
        spreader: time yourself over a metre of edge and a quarter of a square metre of face.
      </Typography>
    </Section>
  );
}

function WoodFields({ wood }: { readonly wood: OwnWood }) {
  const edit = useEditShop();
  const set = (label: string, change: Partial<OwnWood>) =>
    edit(`${label}, ${wood.name}`, (before) => ({
      ...before,
      woods: changed(before.woods ?? [], wood.id, change),
    }));
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
      onRemove={() =>
        edit('Wood removed', (before) => ({
          ...before,
          woods: (before.woods ?? []).filter(({ id }) => id !== wood.id),
        }))
      }
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
  const edit = useEditShop();
  const set = (label: string, change: Partial<OwnMethod>) =>
    edit(`${label}, ${method.name}`, (before) => ({
      ...before,
      methods: changed(before.methods ?? [], method.id, change),
    }));
  return (
    <LotGroup
      name={`Spreader ${method.name}`}
      remove={`Remove the spreader ${method.name}`}
      onRemove={() =>
        edit('Spreader removed', (before) => ({
          ...before,
          methods: (before.methods ?? []).filter(({ id }) => id !== method.id),
        }))
      }
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
