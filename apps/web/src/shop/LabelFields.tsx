import { BLANK_LABEL, findAdhesive, type Label, withLabel } from '@lean-clasp/core/adhesives';
import { LIMITS } from '@lean-clasp/core/basics';
import type { Bottle } from '@lean-clasp/core/formats';
import Box from '@mui/material/Box';
import { BareContext } from '../parts/bare';
import { FieldRow } from '../parts/FieldRow';
import { LengthField, NumberField, ScaledField } from '../quantities/fields';

type Span = Label['openMin'];

/** Names of the figures that a bottle's label gives. */
const figuresGiven = ({ adhesive, label }: Bottle): readonly string[] =>
  withLabel(findAdhesive(adhesive), label ?? null).labelled;

/** What a bottle's own label says; whatever is typed in comes before the catalogue, everywhere. */
export function LabelFields({
  bottle,
  onChange,
}: {
  readonly bottle: Bottle;
  readonly onChange: (what: string, change: Partial<Bottle>) => void;
}) {
  const label = bottle.label ?? BLANK_LABEL;
  const set = (what: string, change: Partial<Label>) => {
    const next = { ...label, ...change };
    onChange(what, { label: next });
  };
  const said = figuresGiven(bottle).length;
  return (
    <BareContext value={false}>
      <Box component="details" sx={{ mb: 1.5 }}>
        <Box component="summary" sx={{ cursor: 'pointer', py: 1 }}>
          Its label{said > 0 ? `: ${said} of its figures typed in, used in place of the catalogue’s` : ''}
        </Box>
        <FieldRow>
          <MinutesSpan
            name="Open"
            span={label.openMin}
            onChange={(openMin) => set('Open time', { openMin })}
          />
          <MinutesSpan
            name="In all"
            span={label.totalMin}
            onChange={(totalMin) => set('Assembly time', { totalMin })}
          />
          <MinutesSpan
            name="In clamps"
            span={label.clampMin}
            onChange={(clampMin) => set('Clamp time', { clampMin })}
          />
        </FieldRow>
        <FieldRow>
          <ScaledField
            label="Coldest"
            quantity="temperature"
            optional
            value={label.minTempC}
            bounds={LIMITS.tempC}
            onChange={(minTempC) => set('Coldest', { minTempC })}
            width={120}
          />
          <ScaledField
            label="Pressure, from"
            quantity="pressure"
            optional
            value={label.pressureMPa.low}
            bounds={LIMITS.labelPressureMPa}
            onChange={(low) => set('Pressure', { pressureMPa: { ...label.pressureMPa, low } })}
            width={140}
          />
          <ScaledField
            label="Pressure, to"
            quantity="pressure"
            optional
            value={label.pressureMPa.high}
            bounds={LIMITS.labelPressureMPa}
            onChange={(high) => set('Pressure', { pressureMPa: { ...label.pressureMPa, high } })}
            width={140}
          />
          <LengthField
            label="Fills gaps to"
            fine
            optional
            value={label.gapMm}
            bounds={LIMITS.labelGapMm}
            onChange={(gapMm) => set('Fills gaps to', { gapMm })}
            width={130}
          />
          <NumberField
            label="Spread"
            unit="g/m²"
            optional
            value={label.spreadGPerM2}
            bounds={LIMITS.labelSpreadGPerM2}
            onChange={(spreadGPerM2) => set('Spread', { spreadGPerM2 })}
            width={130}
          />
          <NumberField
            label="A cup lasts"
            unit="min"
            optional
            value={label.potLifeMin}
            bounds={LIMITS.minutes}
            onChange={(potLifeMin) => set('Pot life', { potLifeMin })}
            width={130}
          />
          <NumberField
            label="Price of a litre"
            optional
            value={bottle.pricePerLitre ?? null}
            bounds={{ min: 0, max: 10000, unit: '' }}
            onChange={(pricePerLitre) => onChange('Price', { pricePerLitre })}
            width={140}
          />
        </FieldRow>
      </Box>
    </BareContext>
  );
}

function MinutesSpan({
  name,
  span,
  onChange,
}: {
  readonly name: string;
  readonly span: Span;
  readonly onChange: (span: Span) => void;
}) {
  const field = (end: 'low' | 'high', word: string) => (
    <NumberField
      label={`${name}, ${word}`}
      unit="min"
      optional
      value={span[end]}
      bounds={LIMITS.minutes}
      onChange={(value) => onChange({ ...span, [end]: value })}
      width={140}
    />
  );
  return (
    <>
      {field('low', 'from')}
      {field('high', 'to')}
    </>
  );
}
