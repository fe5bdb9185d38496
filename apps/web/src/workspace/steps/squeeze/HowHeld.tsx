import { caulPairsIn, findSpecies, type PanelBuild, LIMITS } from '@lean-clasp/core';
import { memo } from 'react';
import { Section } from '../../../frame/Page';
import { Choice } from '../../../parts/Choice';
import { FieldRow } from '../../../parts/FieldRow';
import { Tick } from '../../../parts/Tick';
import { LengthField, NumberField } from '../../../quantities/fields';
import { useFormat } from '../../../quantities/use-format';
import { withCaulLot } from '../../edits';
import { useOpenBuild } from '../../open-build';

const PACKING = [
  { value: 'bare', name: 'nothing' },
  { value: 'blocks', name: 'a block each' },
  { value: 'battens', name: 'battens' },
] as const;

const SCHOOLS = [
  { value: 'matched', name: 'as the wood wants' },
  { value: 'light', name: 'light, then again' },
] as const;

const FIRST = [
  { value: 'worst-gap', name: 'the widest gap' },
  { value: 'centre', name: 'the centre' },
  { value: 'end', name: 'one end' },
] as const;

type Holding = PanelBuild['holding'];

/** How hard, through what, and what keeps the panel flat and its ends in line. */
export const HowHeld = memo(function HowHeld() {
  const { build, shop, edit } = useOpenBuild();
  const f = useFormat();
  const hold = (label: string, change: Partial<Holding>) =>
    edit(label, (before) => ({ ...before, holding: { ...before.holding, ...change } }));
  return (
    <Section title="Pull and hold">
      <FieldRow>
        <Choice
          label="Pressure"
          value={build.school ?? 'matched'}
          options={SCHOOLS}
          onChange={(school) => edit('Pressure', (before) => ({ ...before, school }))}
          width={190}
        />
        <Choice
          label="Begin tightening at"
          value={build.firstClamp ?? 'worst-gap'}
          options={FIRST}
          onChange={(firstClamp) => edit('First clamp', (before) => ({ ...before, firstClamp }))}
          width={180}
        />
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
          hint={`the shop has ${caulPairsIn(shop)}`}
          onChange={(caulPairs) => caulPairs !== null && hold('Pairs of cauls', { caulPairs })}
          width={140}
        />
        {build.holding.caulPairs > 0 && (shop.cauls ?? []).length > 1 && (
          <Choice
            label="Which cauls"
            value={build.holding.caulLot ?? ''}
            options={[
              { value: '', name: 'whichever fits' },
              ...(shop.cauls ?? []).map((lot) => ({
                value: lot.id,
                name: `${findSpecies(lot.species)?.name ?? lot.species}, ${f.length(lot.lengthMm)}, crown ${f.fine(lot.crownMm)}`,
              })),
            ]}
            onChange={(caulLot) => edit('Which cauls', withCaulLot(caulLot))}
            width="100%"
          />
        )}
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
