import { measuredAgain } from '@lean-clasp/core/learning';
import { LIMITS } from '@lean-clasp/core/basics';
import { findClampKind, lotForceN, lotReachMm } from '@lean-clasp/core/clamps';
import type { RackLot, ShopDocument } from '@lean-clasp/core/formats';
import { RACK_TABLE } from '@lean-clasp/core/tables';
import { CLAMP_OPTIONS } from '@lean-clasp/words';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { BareContext } from '../parts/bare';
import { Choice } from '../parts/Choice';
import { Cells, NoCell, type SheetColumn } from '../parts/Sheet';
import { LengthField, ScaledField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';
import { instantWords } from '../bench/release';
import type { InUse } from './in-use';
import { LotCount, LotGroup } from './LotGroup';
import { MeasurePull } from './MeasurePull';
import { TableSection } from './TableSection';
import { useInUse } from './use-in-use';
import { useShopList } from './use-shop-list';

type Bag = NonNullable<RackLot['bag']>;
const BAG_SIDES = [
  ['Bag, length', 'lengthMm', 'widthMm'],
  ['Bag, width', 'widthMm', 'lengthMm'],
] as const;
const COLUMNS: readonly SheetColumn<RackLot>[] = [
  { head: 'Kind', width: 'minmax(150px, 1.6fr)', by: ({ kind }) => findClampKind(kind).name },
  { head: 'How many', width: '74px', by: ({ count }) => count },
  { head: 'Opens to', width: 'minmax(84px, 1fr)', by: ({ maxOpeningMm }) => maxOpeningMm },
  { head: 'Pull, measured', width: 'minmax(96px, 1fr)', by: (lot) => lotForceN(lot) },
  { head: 'Jaw width', width: 'minmax(80px, 0.8fr)', by: ({ padWidthMm }) => padWidthMm },
  { head: 'Jaw height', width: 'minmax(80px, 0.8fr)', by: ({ padHeightMm }) => padHeightMm },
  { head: 'Jaws reach in', width: 'minmax(80px, 0.8fr)', by: lotReachMm },
  { head: 'Pull of one turn', width: 'minmax(84px, 0.9fr)', by: ({ perTurnN = 0 }) => perTurnN },
];
/** Room for *Measure* and *Remove*, px. */
const ACTIONS_PX = 176;

/** Clamps by lots of equals, and what of them is tied up now. */
export function RackSection({ shop }: { readonly shop: ShopDocument }) {
  const { tied, nowMs } = useInUse();
  return (
    <TableSection
      title="Clamps"
      field="rack"
      shop={shop}
      table={RACK_TABLE}
      columns={COLUMNS}
      actionsPx={ACTIONS_PX}
      add="Add clamps"
      above={
        shop.rack.length === 0 && (
          <Typography sx={{ mb: 2 }}>
            The rack is empty: no plan can place a clamp. Add what hangs on your wall.
          </Typography>
        )
      }
      render={(lot) => <LotFields key={lot.id} lot={lot} tied={tied.get(lot.id)} nowMs={nowMs} />}
    >
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5, maxWidth: 760 }}>
        Your own pull: press a scale under a lever, a marked spring or a gauge between the jaws, and let
        “Measure” draw the line. Without it a figure typical of the kind is used, ± 30 % [judgement].
      </Typography>
    </TableSection>
  );
}

function LotFields({
  lot,
  tied,
  nowMs,
}: {
  readonly lot: RackLot;
  readonly tied: InUse | undefined;
  readonly nowMs: number;
}) {
  const list = useShopList('rack');
  const f = useFormat();
  const [measuring, setMeasuring] = useState(false);
  const kind = findClampKind(lot.kind);
  /** Measured by the person, or left out again. */
  const setMeasured = <N extends 'reachMm' | 'perTurnN' | 'bag'>(
    label: string,
    name: N,
    value: NonNullable<RackLot[N]> | null,
  ) =>
    list.replace(`${label}, ${kind.name}`, lot.id, (before) => {
      const rest = Object.fromEntries(Object.entries(before).filter(([key]) => key !== name)) as RackLot;
      return value === null ? rest : { ...rest, [name]: value };
    });
  const set = (label: string, change: Partial<RackLot>) => list.set(`${label}, ${kind.name}`, lot.id, change);
  return (
    <LotGroup
      name={`Lot of ${kind.name}s`}
      remove={`Remove the lot of ${kind.name}s`}
      onRemove={() => list.remove('Clamps removed', lot.id)}
      actions={
        kind.forceN !== null &&
        kind.pressureMPa === null && (
          <Button aria-label={`Measure the pull of the ${kind.name}s`} onClick={() => setMeasuring(true)}>
            Measure
          </Button>
        )
      }
      after={
        <>
          {measuring && (
            <BareContext value={false}>
              <MeasurePull
                name={kind.name}
                lot={lot}
                onTake={(time) =>
                  list.replace(`Pull measured, ${kind.name}`, lot.id, (before) => measuredAgain(before, time))
                }
                onClose={() => setMeasuring(false)}
              />
            </BareContext>
          )}
          {tied !== undefined && (
            <Typography sx={{ pb: 1.5 }}>
              {tied.count} of {lot.count} on {[...new Set(tied.builds)].join(', ')},{' '}
              {tied.untilMs === null ? 'being put on now' : `until ${instantWords(tied.untilMs, nowMs)}`}.
            </Typography>
          )}
        </>
      }
    >
      <Choice
        label="Kind"
        value={lot.kind}
        options={CLAMP_OPTIONS}
        onChange={(id) => {
          const { padWidthMm, padHeightMm } = findClampKind(id);
          set('Kind', { kind: id, padWidthMm, padHeightMm });
        }}
        width={210}
      />
      <LotCount count={lot.count} onChange={(count) => set('How many', { count })} />
      {kind.pressureMPa === null ? (
        <>
          <LengthField
            label="Opens to"
            value={lot.maxOpeningMm}
            bounds={LIMITS.clampOpeningMm}
            onChange={(maxOpeningMm) => maxOpeningMm !== null && set('Opens to', { maxOpeningMm })}
            width={130}
          />
          <ScaledField
            label="Pull, measured"
            quantity="force"
            optional
            value={lot.forceN}
            bounds={LIMITS.clampForceN}
            hint={kind.forceN === null ? '' : `empty: ${f.force(kind.forceN)}, typical`}
            onChange={(forceN) => set('Pull', { forceN })}
            width={170}
          />
          <LengthField
            label="Jaw width"
            value={lot.padWidthMm}
            bounds={LIMITS.padSideMm}
            onChange={(padWidthMm) => padWidthMm !== null && set('Jaw width', { padWidthMm })}
            width={116}
          />
          <LengthField
            label="Jaw height"
            value={lot.padHeightMm}
            bounds={LIMITS.padSideMm}
            onChange={(padHeightMm) => padHeightMm !== null && set('Jaw height', { padHeightMm })}
            width={116}
          />
        </>
      ) : (
        <Cells span={6}>
          {BAG_SIDES.map(([label, side, other]) => (
            <LengthField
              key={side}
              label={label}
              optional
              value={lot.bag?.[side] ?? null}
              bounds={LIMITS.bagSideMm}
              hint="inside; empty: large enough"
              onChange={(mm) => {
                const rest = lot.bag?.[other] ?? null;
                setMeasured(
                  label,
                  'bag',
                  mm === null && rest === null ? null : ({ [side]: mm, [other]: rest } as Bag),
                );
              }}
              width={190}
            />
          ))}
        </Cells>
      )}
      {kind.pressureMPa !== null ? null : kind.jawDepthMm > 0 ? (
        <LengthField
          label="Jaws reach in"
          optional
          value={lot.reachMm ?? null}
          bounds={LIMITS.jawReachMm}
          hint={`empty: ${f.length(kind.jawDepthMm)}`}
          onChange={(reachMm) => setMeasured('Reach', 'reachMm', reachMm)}
          width={140}
        />
      ) : (
        <NoCell />
      )}
      {kind.pressureMPa !== null ? null : kind.handleMm > 0 ? (
        <ScaledField
          label="Pull of one turn"
          quantity="force"
          optional
          value={lot.perTurnN ?? null}
          bounds={LIMITS.perTurnN}
          hint="past snug, measured"
          onChange={(perTurnN) => setMeasured('Pull of a turn', 'perTurnN', perTurnN)}
          width={160}
        />
      ) : (
        <NoCell />
      )}
    </LotGroup>
  );
}
