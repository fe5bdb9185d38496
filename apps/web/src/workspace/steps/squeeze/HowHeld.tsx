import { LIMITS } from '@lean-clasp/core/basics';
import { caulPairsIn, type RowSection } from '@lean-clasp/core/formats';
import { rowOf, withRow } from '@lean-clasp/core/plan';
import { memo } from 'react';
import { Section } from '../../../frame/Page';
import { Choice } from '../../../parts/Choice';
import { FieldRow } from '../../../parts/FieldRow';
import { Tick } from '../../../parts/Tick';
import { LengthField, NumberField } from '../../../quantities/fields';
import { useFormat } from '../../../quantities/use-format';
import { withCaulLot } from '../../edits';
import { useWoodName } from '../../../shop/own';
import { SCHOOLS } from '../../../squeeze/schools';
import { useOpenBuild } from '../../open-build';

const PACKING = [
  { value: 'bare', name: 'nothing' },
  { value: 'blocks', name: 'a block each' },
  { value: 'battens', name: 'battens' },
] as const;

const FIRST = [
  { value: 'worst-gap', name: 'the widest gap' },
  { value: 'centre', name: 'the centre' },
  { value: 'end', name: 'one end' },
] as const;

type Holding = RowSection['holding'];

interface HowHeldProps {
  /** Line of pull off mid-thickness, as planned, mm. */
  readonly offMiddleMm: number;
  /** Blocks are cut to the outline and asked for at Fit. */
  readonly outlined: boolean;
}

/** How hard, through what, and what keeps the panel flat and its ends in line. */
export const HowHeld = memo(function HowHeld({ offMiddleMm, outlined }: HowHeldProps) {
  const { build, shop, edit } = useOpenBuild();
  const row = rowOf(build);
  const { edge, holding } = row;
  const f = useFormat();
  const woodName = useWoodName();
  const hold = (label: string, change: Partial<Holding>) =>
    edit(label, (before) => withRow(before, { holding: { ...rowOf(before).holding, ...change } }));
  return (
    <Section title="Pull and hold">
      <FieldRow>
        <Choice
          label="Pressure"
          value={row.school ?? 'matched'}
          options={SCHOOLS}
          onChange={(school) => edit('Pressure', (before) => withRow(before, { school }))}
          width={190}
        />
        <Choice
          label="Begin tightening at"
          value={row.firstClamp ?? 'worst-gap'}
          options={FIRST}
          onChange={(firstClamp) => edit('First clamp', (before) => withRow(before, { firstClamp }))}
          width={180}
        />
        <NumberField
          label="Pulled to"
          unit="%"
          value={row.pullPct}
          bounds={{ min: 1, max: 100, unit: '%' }}
          hint="at most; eased by itself"
          onChange={(pullPct) =>
            pullPct !== null && edit('Pulled to', (before) => withRow(before, { pullPct }))
          }
          width={130}
        />
        <LengthField
          label="Off mid-thickness"
          fine
          value={offMiddleMm}
          bounds={{ min: 0, max: LIMITS.lineOfPullOffsetMm.max, unit: 'mm' }}
          hint="toward the bar"
          onChange={(pullOffsetMm) =>
            pullOffsetMm !== null && edit('Line of pull', (before) => withRow(before, { pullOffsetMm }))
          }
          width={140}
        />
        {!outlined && (
          <Choice
            label="Under the jaws"
            value={edge.kind}
            options={PACKING}
            onChange={(kind) =>
              edit('Under the jaws', (before) => withRow(before, { edge: { ...rowOf(before).edge, kind } }))
            }
            width={150}
          />
        )}
        {!outlined && edge.kind !== 'bare' && (
          <LengthField
            label="Its thickness"
            value={edge.thicknessMm}
            bounds={LIMITS.padThicknessMm}
            onChange={(thicknessMm) =>
              thicknessMm !== null &&
              edit('Packing', (before) => withRow(before, { edge: { ...rowOf(before).edge, thicknessMm } }))
            }
            width={120}
          />
        )}
        <NumberField
          label="Pairs of cauls"
          whole
          value={holding.caulPairs}
          bounds={LIMITS.cauls}
          hint={`the shop has ${caulPairsIn(shop)}`}
          onChange={(caulPairs) => caulPairs !== null && hold('Pairs of cauls', { caulPairs })}
          width={140}
        />
        {holding.caulPairs > 0 && (shop.cauls ?? []).length > 1 && (
          <Choice
            label="Which cauls"
            value={holding.caulLot ?? ''}
            options={[
              { value: '', name: 'whichever fits' },
              ...(shop.cauls ?? []).map((lot) => ({
                value: lot.id,
                name: `${woodName(lot.species)}, ${f.length(lot.lengthMm)}, crown ${f.fine(lot.crownMm)}`,
              })),
            ]}
            onChange={(caulLot) => edit('Which cauls', withCaulLot(caulLot))}
            width="100%"
          />
        )}
        {holding.barsTouch && (
          <LengthField
            label="Bar to face"
            fine
            value={holding.barClearanceMm}
            bounds={{ min: 0, max: 10, unit: 'mm' }}
            onChange={(barClearanceMm) => barClearanceMm !== null && hold('Bar to face', { barClearanceMm })}
            width={120}
          />
        )}
      </FieldRow>
      <Tick
        label="Bars lie against the faces"
        checked={holding.barsTouch}
        onChange={(barsTouch) => hold('Bars against the faces', { barsTouch })}
      />
      <Tick
        label="Ends pushed against a stop"
        checked={holding.endStops}
        onChange={(endStops) => hold('End stop', { endStops })}
      />
      <Tick
        label="A light clamp over film, or a weight, levels each line"
        checked={holding.flushed ?? false}
        onChange={(flushed) => hold('Lines levelled', { flushed })}
      />
      <Tick
        label="Clamped down to a flat base at the corners"
        checked={build.squeeze?.clampedDown ?? false}
        onChange={(clampedDown) =>
          edit('Clamped down', (before) => ({ ...before, squeeze: { ...before.squeeze, clampedDown } }))
        }
      />
    </Section>
  );
});
