import type { ShopDocument } from '@lean-clasp/core/formats';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { FieldRow } from '../parts/FieldRow';
import { NumberField } from '../quantities/fields';
import { useEditShop } from './use-edit-shop';

/** The name over the door and how fast its people are. */
export function PeopleSection({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  return (
    <Section title="Name and pace">
      <FieldRow>
        <TextField
          label="Name of the shop"
          size="small"
          value={shop.name}
          onChange={(event) => {
            const name = event.target.value.slice(0, 120);
            if (name.trim() !== '') edit('Name of the shop', (before) => ({ ...before, name }));
          }}
          sx={{ width: 260 }}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <NumberField
          label="Pace"
          value={shop.paceFactor}
          bounds={{ min: 0.3, max: 4, unit: '' }}
          hint="1.2 is a fifth slower"
          onChange={(paceFactor) =>
            paceFactor !== null && edit('Pace', (before) => ({ ...before, paceFactor }))
          }
          width={160}
        />
      </FieldRow>
      <Typography variant="body2" color="text.secondary">
        Hands: {shop.crew.join(', ')}. The built-in minutes for each move are judgement for one practised
        person; compare planned and taken in the logbook and set the pace by it.
      </Typography>
    </Section>
  );
}
