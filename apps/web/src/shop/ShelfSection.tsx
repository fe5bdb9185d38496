import { LIMITS } from '@lean-clasp/core/basics';
import type { Bottle, ShopDocument } from '@lean-clasp/core/formats';
import { ADHESIVE_OPTIONS } from '@lean-clasp/words';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { ScaledField } from '../quantities/fields';
import { addBottle, changeBottle } from './bottles';
import { LabelFields } from './LabelFields';
import { useEditShop } from './use-edit-shop';

/** Bottles and tins, with the day each was opened and what is left. */
export function ShelfSection({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  return (
    <Section
      title="Glue shelf"
      aside={<Button onClick={() => edit('Bottle added', addBottle('pva-interior'))}>Add a bottle</Button>}
    >
      {shop.bottles.length === 0 && (
        <Typography>No glue on the shelf. Add what you have; plans then say what is short.</Typography>
      )}
      {shop.bottles.map((bottle) => (
        <BottleFields key={bottle.id} bottle={bottle} />
      ))}
    </Section>
  );
}

function BottleFields({ bottle }: { readonly bottle: Bottle }) {
  const edit = useEditShop();
  const set = (label: string, change: Partial<Bottle>) => edit(label, changeBottle(bottle.id, change));
  return (
    <>
      <FieldRow>
        <Choice
          label="Glue"
          value={bottle.adhesive}
          options={ADHESIVE_OPTIONS}
          onChange={(adhesive) => set('Glue in a bottle', { adhesive })}
          width={300}
        />
        <TextField
          label="Opened on"
          type="date"
          size="small"
          value={bottle.openedOn ?? ''}
          onChange={(event) =>
            set('Opened on', { openedOn: event.target.value === '' ? null : event.target.value })
          }
          sx={{ width: 180 }}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <ScaledField
          label="Left"
          quantity="volume"
          value={bottle.remainingMl}
          bounds={LIMITS.shelfMl}
          onChange={(remainingMl) => remainingMl !== null && set('Left in a bottle', { remainingMl })}
          width={130}
        />
        <Button
          color="error"
          onClick={() =>
            edit('Bottle removed', (before) => ({
              ...before,
              bottles: before.bottles.filter(({ id }) => id !== bottle.id),
            }))
          }
        >
          Remove
        </Button>
      </FieldRow>
      <LabelFields bottle={bottle} onChange={set} />
    </>
  );
}
