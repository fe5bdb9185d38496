import { LIMITS } from '@lean-clasp/core/basics';
import { type Finish, FINISHES, wishesOf, type Wishes } from '@lean-clasp/core/formats';
import Box from '@mui/material/Box';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { Tick } from '../parts/Tick';
import { NumberField, ScaledField } from '../quantities/fields';
import { useOpenBuild } from '../workspace/open-build';

const FINISH_WORDS: Readonly<Record<Finish, string>> = {
  none: 'left bare',
  clear: 'oil, wax or varnish',
  stain: 'stain',
  paint: 'paint',
};
const FINISH_OPTIONS = FINISHES.map((value) => ({ value, name: FINISH_WORDS[value] }));

/** What this piece asks of its glue beside holding. */
export function Matters() {
  const { build, edit } = useOpenBuild();
  const wishes = wishesOf(build);
  const set = (label: string, change: Partial<Wishes>) =>
    edit(label, (before) => ({ ...before, wishes: { ...wishesOf(before), ...change } }));
  return (
    <Box component="details" sx={{ mb: 1.5 }}>
      <Box component="summary" sx={{ cursor: 'pointer', py: 1.25 }}>
        What matters here: {inWords(wishes)}
      </Box>
      <FieldRow>
        <Choice
          label="Finish"
          value={wishes.finish}
          options={FINISH_OPTIONS}
          onChange={(finish) => set('Finish', { finish })}
          width={190}
        />
        <NumberField
          label="Clamps free within"
          unit="min"
          optional
          value={wishes.clampsOffWithinMin}
          bounds={LIMITS.minutes}
          hint="empty: whenever"
          onChange={(clampsOffWithinMin) => set('Clamps free within', { clampsOffWithinMin })}
          width={160}
        />
        <ScaledField
          label="Lasting warmth"
          quantity="temperature"
          optional
          value={wishes.warmC}
          bounds={{ min: 20, max: 120, unit: '°C' }}
          hint="empty: a room"
          onChange={(warmC) => set('Lasting warmth', { warmC })}
          width={150}
        />
        <ScaledField
          label="Wood brought in at"
          quantity="temperature"
          optional
          value={wishes.woodTempC}
          bounds={LIMITS.tempC}
          hint="empty: as the shop"
          onChange={(woodTempC) => set('Wood brought in at', { woodTempC })}
          width={170}
        />
        <ScaledField
          label="Bottle kept at"
          quantity="temperature"
          optional
          value={wishes.glueTempC ?? null}
          bounds={LIMITS.tempC}
          hint="empty: as the shop"
          onChange={(glueTempC) => set('Bottle kept at', { glueTempC })}
          width={170}
        />
      </FieldRow>
      <Tick
        label="To come apart again one day"
        checked={wishes.repairable}
        onChange={(repairable) => set('To come apart again', { repairable })}
      />
      <Tick
        label="A load that never goes away"
        checked={wishes.lastingLoad}
        onChange={(lastingLoad) => set('Lasting load', { lastingLoad })}
      />
      <Tick
        label="Nothing that makes skin or lungs allergic"
        checked={wishes.noSensitisers}
        onChange={(noSensitisers) => set('No sensitisers', { noSensitisers })}
      />
    </Box>
  );
}

function inWords({
  finish,
  repairable,
  lastingLoad,
  warmC,
  clampsOffWithinMin,
  noSensitisers,
}: Wishes): string {
  return [
    FINISH_WORDS[finish],
    repairable ? 'to come apart again' : '',
    lastingLoad ? 'lasting load' : '',
    warmC === null ? '' : 'warm place',
    clampsOffWithinMin === null ? '' : 'clamps wanted back',
    noSensitisers ? 'nothing that makes allergic' : '',
  ]
    .filter((words) => words !== '')
    .join(', ');
}
