import { findAdhesive } from '@lean-clasp/core/adhesives';
import { LIMITS } from '@lean-clasp/core/basics';
import type { Bottle, ShopDocument } from '@lean-clasp/core/formats';
import { bottleState } from '@lean-clasp/core/shelf';
import { BOTTLES_TABLE } from '@lean-clasp/core/tables';
import { ADHESIVE_OPTIONS, bottleWords } from '@lean-clasp/words';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useLabelled } from '../parts/bare';
import { Choice } from '../parts/Choice';
import type { SheetColumn } from '../parts/Sheet';
import { ScaledField } from '../quantities/fields';
import { LabelFields } from './LabelFields';
import { LotGroup } from './LotGroup';
import { TableSection } from './TableSection';
import { useShopList } from './use-shop-list';

const COLUMNS: readonly SheetColumn<Bottle>[] = [
  { head: 'Glue', width: 'minmax(240px, 2fr)', by: ({ adhesive }) => findAdhesive(adhesive).name },
  { head: 'Opened on', width: '180px', by: ({ openedOn }) => openedOn ?? '' },
  { head: 'Left', width: 'minmax(110px, 1fr)', by: ({ remainingMl }) => remainingMl },
];
/** Room for *Remove*, px. */
const ACTIONS_PX = 84;

/** Bottles and tins, with the day each was opened and what is left; finished glue-ups take theirs off. */
export function ShelfSection({ shop }: { readonly shop: ShopDocument }) {
  return (
    <TableSection
      title="Glue shelf"
      field="bottles"
      shop={shop}
      table={BOTTLES_TABLE}
      columns={COLUMNS}
      actionsPx={ACTIONS_PX}
      add="Add a bottle"
      above={
        shop.bottles.length === 0 && (
          <Typography>No glue on the shelf. Add what you have; plans then say what is short.</Typography>
        )
      }
      render={(bottle) => <BottleFields key={bottle.id} bottle={bottle} />}
    >
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5, maxWidth: 760 }}>
        Each glue-up that is run to its end takes what was planned for it out of the bottle that was opened
        first; one that is given up, by the beads that were laid. Take it back here, or type what is really
        left.
      </Typography>
    </TableSection>
  );
}

function BottleFields({ bottle }: { readonly bottle: Bottle }) {
  const list = useShopList('bottles');
  const set = (label: string, change: Partial<Bottle>) => list.set(label, bottle.id, change);
  const said = bottleWords(bottleState(bottle, dayjs().format('YYYY-MM-DD')));
  return (
    <LotGroup
      name={`Bottle of ${findAdhesive(bottle.adhesive).name}`}
      remove={`Remove the bottle of ${findAdhesive(bottle.adhesive).name}`}
      onRemove={() => list.remove('Bottle removed', bottle.id)}
      after={
        <>
          {said !== '' && <Typography sx={{ pb: 0.5 }}>{said}</Typography>}
          <LabelFields bottle={bottle} onChange={set} />
        </>
      }
    >
      <Choice
        label="Glue"
        value={bottle.adhesive}
        options={ADHESIVE_OPTIONS}
        onChange={(adhesive) => set('Glue in a bottle', { adhesive })}
        width={300}
      />
      <OpenedOn value={bottle.openedOn} onChange={(openedOn) => set('Opened on', { openedOn })} />
      <ScaledField
        label="Left"
        quantity="volume"
        value={bottle.remainingMl}
        bounds={LIMITS.shelfMl}
        onChange={(remainingMl) => remainingMl !== null && set('Left in a bottle', { remainingMl })}
        width={130}
      />
    </LotGroup>
  );
}

function OpenedOn({
  value,
  onChange,
}: {
  readonly value: string | null;
  readonly onChange: (day: string | null) => void;
}) {
  const named = useLabelled('Opened on');
  return (
    <TextField
      label={named.label}
      type="date"
      size="small"
      value={value ?? ''}
      onChange={(event) => onChange(event.target.value === '' ? null : event.target.value)}
      sx={{ width: 180 }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: named.aria }}
    />
  );
}
