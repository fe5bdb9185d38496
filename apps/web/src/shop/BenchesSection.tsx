import { LIMITS } from '@lean-clasp/core/basics';
import { type Bench, SHOP_ROOM, type ShopDocument } from '@lean-clasp/core/formats';
import { weekOf } from '@lean-clasp/core/plan';
import { BENCHES_TABLE } from '@lean-clasp/core/tables';
import Typography from '@mui/material/Typography';
import { NameField } from '../parts/NameField';
import type { SheetColumn } from '../parts/Sheet';
import { LengthField, NumberField } from '../quantities/fields';
import { copyOf } from './HoursSection';
import { LotGroup } from './LotGroup';
import { TableSection } from './TableSection';
import { useEditShop } from './use-edit-shop';
import { useShopList } from './use-shop-list';

const COLUMNS: readonly SheetColumn<Bench>[] = [
  { head: 'Name', width: 'minmax(150px, 1.6fr)', by: ({ name }) => name },
  { head: 'Length', width: '1fr', by: ({ lengthMm }) => lengthMm },
  { head: 'Width', width: '1fr', by: ({ widthMm }) => widthMm },
  { head: 'Out of flat', width: '1fr', by: ({ flatMm }) => flatMm ?? 0 },
];
/** Room for *Remove*, px. */
const ACTIONS_PX = 84;

/** What glue-ups stand on: how many at once, how large, and how flat. */
export function BenchesSection({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  return (
    <TableSection
      title="Benches"
      field="benches"
      shop={shop}
      table={BENCHES_TABLE}
      columns={COLUMNS}
      actionsPx={ACTIONS_PX}
      add="Add a bench"
      above={
        (shop.benches ?? []).length === 0 && (
          <NumberField
            label="How many benches"
            whole
            value={weekOf(shop).benches}
            bounds={{ min: 1, max: SHOP_ROOM.benches, unit: '' }}
            hint="or list them with their size"
            onChange={(benches) =>
              benches !== null &&
              edit('Benches', (before) => ({ ...before, week: { ...copyOf(before), benches } }))
            }
            width={230}
          />
        )
      }
      render={(bench) => <BenchFields key={bench.id} bench={bench} />}
    >
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5, maxWidth: 760 }}>
        One glue-up at a time stands on each, from its first bead until its clamps come off. Out of flat: the
        larger of the gap under a straightedge and what winding sticks show; what is clamped down on it takes
        that over.
      </Typography>
    </TableSection>
  );
}

function BenchFields({ bench }: { readonly bench: Bench }) {
  const list = useShopList('benches');
  const set = (label: string, change: Partial<Bench>) =>
    list.set(`${label}, ${bench.name}`, bench.id, change);
  return (
    <LotGroup
      name={bench.name}
      remove={`Remove ${bench.name}`}
      onRemove={() => list.remove('Bench removed', bench.id)}
    >
      <NameField value={bench.name} width={210} onChange={(name) => set('Name', { name })} />
      <LengthField
        label="Length"
        value={bench.lengthMm}
        bounds={LIMITS.benchSideMm}
        onChange={(lengthMm) => lengthMm !== null && set('Length', { lengthMm })}
        width={130}
      />
      <LengthField
        label="Width"
        value={bench.widthMm}
        bounds={LIMITS.benchSideMm}
        onChange={(widthMm) => widthMm !== null && set('Width', { widthMm })}
        width={130}
      />
      <LengthField
        label="Out of flat"
        fine
        optional
        value={bench.flatMm}
        bounds={LIMITS.benchFlatMm}
        hint="empty: not looked at"
        onChange={(flatMm) => set('Out of flat', { flatMm })}
        width={130}
      />
    </LotGroup>
  );
}
