import { type PanelBuild, LIMITS } from '@lean-clasp/core';
import { memo } from 'react';
import { Section } from '../../../frame/Page';
import { Choice } from '../../../parts/Choice';
import { FieldRow } from '../../../parts/FieldRow';
import { Tick } from '../../../parts/Tick';
import { LengthField, NumberField } from '../../../quantities/fields';
import { useOpenBuild } from '../../open-build';

const PACKING = [
  { value: 'bare', name: 'nothing' },
  { value: 'blocks', name: 'a block each' },
  { value: 'battens', name: 'battens' },
] as const;

type Holding = PanelBuild['holding'];

/** How hard, through what, and what keeps the panel flat and its ends in line. */
export const HowHeld = memo(function HowHeld() {
  const { build, shop, edit } = useOpenBuild();
  const hold = (label: string, change: Partial<Holding>) =>
    edit(label, (before) => ({ ...before, holding: { ...before.holding, ...change } }));
  return (
    <Section title="Pull and hold">
      <FieldRow>
        <NumberField
          label="Pulled to"
          unit="%"
          value={build.pullPct}
          bounds={{ min: 1, max: 100, unit: '%' }}
          hint="of their most"
          onChange={(pullPct) => pullPct !== null && edit('Pulled to', (before) => ({ ...before, pullPct }))}
          width={130}
        />
        <LengthField
          label="Off mid-thickness"
          fine
          value={build.pullOffsetMm}
          bounds={{ min: 0, max: LIMITS.lineOfPullOffsetMm.max, unit: 'mm' }}
          hint="toward the bar"
          onChange={(pullOffsetMm) =>
            pullOffsetMm !== null && edit('Line of pull', (before) => ({ ...before, pullOffsetMm }))
          }
          width={140}
        />
        <Choice
          label="Under the jaws"
          value={build.edge.kind}
          options={PACKING}
          onChange={(kind) =>
            edit('Under the jaws', (before) => ({ ...before, edge: { ...before.edge, kind } }))
          }
          width={150}
        />
        {build.edge.kind !== 'bare' && (
          <LengthField
            label="Its thickness"
            value={build.edge.thicknessMm}
            bounds={LIMITS.padThicknessMm}
            onChange={(thicknessMm) =>
              thicknessMm !== null &&
              edit('Packing', (before) => ({ ...before, edge: { ...before.edge, thicknessMm } }))
            }
            width={120}
          />
        )}
        <NumberField
          label="Pairs of cauls"
          whole
          value={build.holding.caulPairs}
          bounds={LIMITS.cauls}
          hint={`the shop has ${shop.caulPairs}`}
          onChange={(caulPairs) => caulPairs !== null && hold('Pairs of cauls', { caulPairs })}
          width={140}
        />
        {build.holding.barsTouch && (
          <LengthField
            label="Bar to face"
            fine
            value={build.holding.barClearanceMm}
            bounds={{ min: 0, max: 10, unit: 'mm' }}
            onChange={(barClearanceMm) => barClearanceMm !== null && hold('Bar to face', { barClearanceMm })}
            width={120}
          />
        )}
      </FieldRow>
      <Tick
        label="Bars lie against the faces"
        checked={build.holding.barsTouch}
        onChange={(barsTouch) => hold('Bars against the faces', { barsTouch })}
      />
      <Tick
        label="Ends pushed against a stop"
        checked={build.holding.endStops}
        onChange={(endStops) => hold('End stop', { endStops })}
      />
    </Section>
  );
});
