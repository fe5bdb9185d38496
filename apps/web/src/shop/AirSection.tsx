import { LIMITS } from '@lean-clasp/core/basics';
import type { ShopDocument } from '@lean-clasp/core/formats';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { FieldRow } from '../parts/FieldRow';
import { NumberField, ScaledField } from '../quantities/fields';
import { AirRecord } from './AirRecord';
import { SensorFields } from './SensorFields';
import { useEditShop } from './use-edit-shop';

/** The air now, and what it usually does at a few hours of the day. */
export function AirSection({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  const setHour = (index: number, change: Partial<ShopDocument['hours'][number]>) =>
    edit('Usual air', (before) => ({
      ...before,
      hours: before.hours.map((hour, i) => (i === index ? { ...hour, ...change } : hour)),
    }));
  return (
    <Section
      title="Air"
      aside={
        <Button
          disabled={shop.hours.length >= 24}
          onClick={() =>
            edit('Hour added', (before) => ({
              ...before,
              hours: [...before.hours, { hour: 12, ...before.climate }],
            }))
          }
        >
          Add an hour
        </Button>
      }
    >
      <FieldRow>
        <ScaledField
          label="Now"
          quantity="temperature"
          value={shop.climate.tempC}
          bounds={LIMITS.tempC}
          onChange={(tempC) =>
            tempC !== null && edit('Air', (before) => ({ ...before, climate: { ...before.climate, tempC } }))
          }
          width={130}
        />
        <NumberField
          label="Humidity now"
          unit="%"
          value={shop.climate.rhPct}
          bounds={LIMITS.relativeHumidityPct}
          onChange={(rhPct) =>
            rhPct !== null && edit('Air', (before) => ({ ...before, climate: { ...before.climate, rhPct } }))
          }
          width={140}
        />
        <NumberField
          label="Above the sea"
          unit="m"
          value={shop.altitudeM ?? 0}
          bounds={LIMITS.altitudeM}
          hint="for what a bag gives"
          onChange={(altitudeM) =>
            altitudeM !== null && edit('Height', (before) => ({ ...before, altitudeM }))
          }
          width={160}
        />
      </FieldRow>
      <SensorFields shop={shop} />
      <AirRecord shop={shop} />
      {shop.hours.length > 0 && (
        <Typography sx={{ mb: 1.5 }}>
          As a rule through the day – plans propose a better hour by these, and take wood that nobody has
          metered to have lain in their mean:
        </Typography>
      )}
      {shop.hours.map((hour, index) => (
        <FieldRow key={index}>
          <NumberField
            label="Hour"
            whole
            value={hour.hour}
            bounds={{ min: 0, max: 23, unit: '' }}
            onChange={(value) => value !== null && setHour(index, { hour: value })}
            width={90}
          />
          <ScaledField
            label={`Temperature at ${hour.hour}`}
            quantity="temperature"
            value={hour.tempC}
            bounds={LIMITS.tempC}
            onChange={(tempC) => tempC !== null && setHour(index, { tempC })}
            width={160}
          />
          <NumberField
            label={`Humidity at ${hour.hour}`}
            unit="%"
            value={hour.rhPct}
            bounds={LIMITS.relativeHumidityPct}
            onChange={(rhPct) => rhPct !== null && setHour(index, { rhPct })}
            width={150}
          />
          <Button
            color="error"
            onClick={() =>
              edit('Hour removed', (before) => ({
                ...before,
                hours: before.hours.filter((_, i) => i !== index),
              }))
            }
          >
            Remove
          </Button>
        </FieldRow>
      ))}
    </Section>
  );
}
