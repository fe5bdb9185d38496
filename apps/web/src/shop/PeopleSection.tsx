import { LIMITS } from '@lean-clasp/core/basics';
import type { ShopDocument } from '@lean-clasp/core/formats';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { FieldRow } from '../parts/FieldRow';
import { NumberField } from '../quantities/fields';
import { useEditShop } from './use-edit-shop';

/** The name over the door, whose hands there are, and how fast they are. */
export function PeopleSection({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  return (
    <Section title="People and pace">
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
      <Hands crew={shop.crew} />
      <Typography variant="body2" color="text.secondary">
        The built-in minutes for each move are judgement for one practised person; compare planned and taken
        in the logbook and set the pace by it.
      </Typography>
    </Section>
  );
}

const MOST_LETTERS = 60;

/** Who works here; the first is asked to be the one that holds the device. */
function Hands({ crew }: { readonly crew: readonly string[] }) {
  const edit = useEditShop();
  const set = (label: string, change: (before: readonly string[]) => string[]) =>
    edit(label, (before) => ({ ...before, crew: change(before.crew) }));
  return (
    <FieldRow>
      {crew.map((name, i) => (
        <Box key={i} role="group" aria-label={`Person ${i + 1}`} sx={{ display: 'flex' }}>
          <TextField
            label={`Person ${i + 1}`}
            size="small"
            value={name}
            onChange={(event) => {
              const next = event.target.value.slice(0, MOST_LETTERS);
              if (next.trim() !== '')
                set('Name of a person', (before) => before.map((own, k) => (k === i ? next : own)));
            }}
            sx={{ width: 170 }}
            slotProps={{ inputLabel: { shrink: true } }}
          />
          {crew.length > 1 && (
            <Button
              color="error"
              aria-label={`Remove ${name}`}
              onClick={() => set('Person removed', (before) => before.filter((_, k) => k !== i))}
            >
              Remove
            </Button>
          )}
        </Box>
      ))}
      {crew.length < LIMITS.crew.max && (
        <Button onClick={() => set('Person added', (before) => [...before, `Person ${before.length + 1}`])}>
          Add a person
        </Button>
      )}
    </FieldRow>
  );
}
