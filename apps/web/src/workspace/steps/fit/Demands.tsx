import { LIMITS } from '@lean-clasp/core/basics';
import { rowOf, withRow } from '@lean-clasp/core/plan';
import { SERVICE_OPTIONS } from '@lean-clasp/words';
import type { ReactNode } from 'react';
import { Choice } from '../../../parts/Choice';
import { FieldRow } from '../../../parts/FieldRow';
import { Tick } from '../../../parts/Tick';
import { LengthField, NumberField } from '../../../quantities/fields';
import { useOpenBuild } from '../../open-build';

/** Where the piece will live and how true it has to be, whatever its kind; more fields may follow. */
export function SharedDemands({ children }: { readonly children?: ReactNode }) {
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
      {children}
      {setMoisture('Driest it gets', 'lowPct')}
      {setMoisture('Dampest it gets', 'highPct')}
    </FieldRow>
  );
}

/** What a row of boards has to stand, and what is left to saw off. */
export function RowDemands() {
  const { build, edit } = useOpenBuild();
  const { trimMm: left, holding } = rowOf(build);
  return (
    <>
      <SharedDemands>
        <LengthField
          label="Left long, each end"
          value={left}
          bounds={LIMITS.trimMm}
          onChange={(trimMm) => trimMm !== null && edit('Left long', (before) => withRow(before, { trimMm }))}
          width={150}
        />
      </SharedDemands>
      <Tick
        label="Breadboard ends, battens or a frame hold it flat in use"
        checked={holding.heldFlatLater}
        onChange={(heldFlatLater) =>
          edit('Held flat in use', (before) =>
            withRow(before, { holding: { ...rowOf(before).holding, heldFlatLater } }),
          )
        }
      />
    </>
  );
}
