import { LIMITS } from '@lean-clasp/core/basics';
import { findClampKind } from '@lean-clasp/core/clamps';
import type { RackLot, ShopDocument } from '@lean-clasp/core/formats';
import { CLAMP_OPTIONS } from '@lean-clasp/words';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { Choice } from '../parts/Choice';
import { LengthField, ScaledField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';
import { instantWords } from '../bench/release';
import { makeId } from '../workspace/edits';
import type { InUse } from './in-use';
import { LotCount, LotGroup } from './LotGroup';
import { useInUse } from './use-in-use';
import { changed, useEditShop } from './use-edit-shop';

const REACH = { min: 5, max: 1000, unit: 'mm' };
const PER_TURN = { min: 10, max: 20000, unit: 'N' };
type Bag = NonNullable<RackLot['bag']>;
const BAG_SIDES = [
  ['Bag, length', 'lengthMm', 'widthMm'],
  ['Bag, width', 'widthMm', 'lengthMm'],
] as const;
const NEW_LOT: Omit<RackLot, 'id'> = {
  kind: 'parallel-jaw',
  count: 2,
  maxOpeningMm: 600,
  forceN: null,
  padWidthMm: 45,
  padHeightMm: 95,
};

/** Clamps by lots of equals, and what of them is tied up now. */
export function RackSection({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  const { tied, nowMs } = useInUse();
  return (
    <Section
      title="Clamps"
      aside={
        <Button
          onClick={() =>
            edit('Clamps added', (before) => ({
              ...before,
              rack: [...before.rack, { ...NEW_LOT, id: makeId() }],
            }))
          }
        >
          Add clamps
        </Button>
      }
    >
      {shop.rack.length === 0 && (
        <Typography sx={{ mb: 2 }}>
          The rack is empty: no plan can place a clamp. Add what hangs on your wall.
        </Typography>
      )}
      {shop.rack.map((lot) => (
        <LotFields key={lot.id} lot={lot} tied={tied.get(lot.id)} nowMs={nowMs} />
      ))}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5, maxWidth: 760 }}>
        Your own pull: press a bathroom scale between the jaws with a lever of known ratio, pull as hard as
        you do at the bench, and type the reading in. Without it a figure typical of the kind is used, ± 30 %
        [judgement].
      </Typography>
    </Section>
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
  const edit = useEditShop();
  const f = useFormat();
  const kind = findClampKind(lot.kind);
  /** Measured by the person, or left out again. */
  const setMeasured = <N extends 'reachMm' | 'perTurnN' | 'bag'>(
    label: string,
    name: N,
    value: NonNullable<RackLot[N]> | null,
  ) =>
    edit(`${label}, ${kind.name}`, (before) => ({
      ...before,
      rack: before.rack.map((each) => {
        if (each.id !== lot.id) return each;
        const rest = Object.fromEntries(Object.entries(each).filter(([key]) => key !== name)) as RackLot;
        return value === null ? rest : { ...rest, [name]: value };
      }),
    }));
  const set = (label: string, change: Partial<RackLot>) =>
    edit(`${label}, ${kind.name}`, (before) => ({ ...before, rack: changed(before.rack, lot.id, change) }));
  return (
    <LotGroup
      name={`Lot of ${kind.name}s`}
      remove={`Remove the lot of ${kind.name}s`}
      onRemove={() =>
        edit('Clamps removed', (before) => ({
          ...before,
          rack: before.rack.filter(({ id }) => id !== lot.id),
        }))
      }
      after={
        tied !== undefined && (
          <Typography sx={{ pb: 1.5 }}>
            {tied.count} of {lot.count} on {[...new Set(tied.builds)].join(', ')},{' '}
            {tied.untilMs === null ? 'being put on now' : `until ${instantWords(tied.untilMs, nowMs)}`}.
          </Typography>
        )
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
        BAG_SIDES.map(([label, side, other]) => (
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
        ))
      )}
      {kind.jawDepthMm > 0 && (
        <LengthField
          label="Jaws reach in"
          optional
          value={lot.reachMm ?? null}
          bounds={REACH}
          hint={`empty: ${f.length(kind.jawDepthMm)}`}
          onChange={(reachMm) => setMeasured('Reach', 'reachMm', reachMm)}
          width={140}
        />
      )}
      {kind.handleMm > 0 && (
        <ScaledField
          label="Pull of one turn"
          quantity="force"
          optional
          value={lot.perTurnN ?? null}
          bounds={PER_TURN}
          hint="past snug, measured"
          onChange={(perTurnN) => setMeasured('Pull of a turn', 'perTurnN', perTurnN)}
          width={160}
        />
      )}
    </LotGroup>
  );
}
