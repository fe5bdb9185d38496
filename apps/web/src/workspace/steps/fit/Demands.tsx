import { LIMITS } from '@lean-clasp/core';
import { Choice } from '../../../parts/Choice';
import { FieldRow } from '../../../parts/FieldRow';
import { Tick } from '../../../parts/Tick';
import { LengthField, NumberField } from '../../../quantities/fields';
import { SERVICE_OPTIONS } from '../../../words/catalogue';
import { useOpenBuild } from '../../open-build';

/** Where the piece will live, how true it has to be, and what is left to saw off. */
export function Demands() {
  const { build, edit } = useOpenBuild();
  const setGoal = (label: string, key: 'flatMm' | 'squareMm') => (
    <LengthField
      label={label}
      fine
      value={build.goals[key]}
      bounds={LIMITS.allowanceMm}
      onChange={(value) =>
        value !== null && edit(label, (before) => ({ ...before, goals: { ...before.goals, [key]: value } }))
      }
      width={116}
    />
  );
  const setMoisture = (label: string, key: 'lowPct' | 'highPct') => (
    <NumberField
      label={label}
      unit="%"
      value={build.mcInUse[key]}
      bounds={LIMITS.moisturePct}
      onChange={(value) =>
        value !== null &&
        edit(label, (before) => ({ ...before, mcInUse: { ...before.mcInUse, [key]: value } }))
      }
      width={150}
    />
  );
  return (
    <>
      <FieldRow>
        <Choice
          label="Where it will live"
          value={build.service}
          options={SERVICE_OPTIONS}
          onChange={(service) => edit('Where it will live', (before) => ({ ...before, service }))}
          width={210}
        />
        {setGoal('Flat within', 'flatMm')}
        {setGoal('Square within', 'squareMm')}
        <LengthField
          label="Left long, each end"
          value={build.trimMm}
          bounds={LIMITS.trimMm}
          onChange={(trimMm) => trimMm !== null && edit('Left long', (before) => ({ ...before, trimMm }))}
          width={150}
        />
        {setMoisture('Driest it gets', 'lowPct')}
        {setMoisture('Dampest it gets', 'highPct')}
      </FieldRow>
      <Tick
        label="Breadboard ends, battens or a frame hold it flat in use"
        checked={build.holding.heldFlatLater}
        onChange={(heldFlatLater) =>
          edit('Held flat in use', (before) => ({ ...before, holding: { ...before.holding, heldFlatLater } }))
        }
      />
    </>
  );
}
