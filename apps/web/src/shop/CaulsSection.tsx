import { LIMITS } from '@lean-clasp/core/basics';
import type { BlockLot, CaulLot, ShopDocument } from '@lean-clasp/core/formats';
import { BLOCK_FACES, BLOCK_KINDS, BLOCKS_TABLE, caulsTable } from '@lean-clasp/core/tables';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { Choice } from '../parts/Choice';
import type { SheetColumn } from '../parts/Sheet';
import { LengthField, NumberField } from '../quantities/fields';
import { useEditShop } from './use-edit-shop';
import { useShopList } from './use-shop-list';
import { LotCount, LotGroup } from './LotGroup';
import { TableSection } from './TableSection';
import { WoodChoice } from './WoodChoice';

/** What a face usually holds with before it slides [judgement]. */
const USUAL_FRICTION: Readonly<Record<BlockLot['face'], number>> = { bare: 0.35, abrasive: 0.75, cork: 0.5 };

const CAUL_COLUMNS: readonly SheetColumn<CaulLot>[] = [
  { head: 'Cauls', width: '74px', by: ({ count }) => count },
  { head: 'Wood', width: 'minmax(150px, 1.6fr)', by: ({ species }) => species },
  { head: 'Length', width: '1fr', by: ({ lengthMm }) => lengthMm },
  { head: 'Width', width: '1fr', by: ({ widthMm }) => widthMm },
  { head: 'Depth', width: '1fr', by: ({ depthMm }) => depthMm },
  { head: 'Crown', width: '1fr', by: ({ crownMm }) => crownMm },
];
const BLOCK_COLUMNS: readonly SheetColumn<BlockLot>[] = [
  { head: 'How many', width: '74px', by: ({ count }) => count },
  { head: 'What', width: '1fr', by: ({ kind }) => kind },
  { head: 'Length', width: '1fr', by: ({ lengthMm }) => lengthMm },
  { head: 'Thickness', width: '1fr', by: ({ thicknessMm }) => thicknessMm },
  { head: 'Its face', width: '1fr', by: ({ face }) => face },
  { head: 'Grip, measured', width: '1fr', by: ({ face, friction }) => friction ?? USUAL_FRICTION[face] },
];
/** Room for *Remove*, px. */
const ACTIONS_PX = 84;
const asOption = <V extends string>({ id, name }: { readonly id: V; readonly name: string }) => ({
  value: id,
  name,
});
const KIND_OPTIONS = BLOCK_KINDS.map(asOption);
const FACE_OPTIONS = BLOCK_FACES.map(asOption);

/** Cauls with their section and crown. */
export function CaulsSection({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  const { woods } = shop;
  const table = useMemo(() => caulsTable(woods ?? []), [woods]);
  return (
    <TableSection
      title="Cauls"
      field="cauls"
      shop={shop}
      table={table}
      columns={CAUL_COLUMNS}
      actionsPx={ACTIONS_PX}
      add="Add cauls"
      above={
        shop.cauls === undefined && (
          <NumberField
            label="Pairs of cauls"
            whole
            value={shop.caulPairs}
            bounds={LIMITS.cauls}
            hint="or list them with their crown"
            onChange={(caulPairs) =>
              caulPairs !== null && edit('Cauls', (before) => ({ ...before, caulPairs }))
            }
            width={230}
          />
        )
      }
      render={(lot) => <CaulFields key={lot.id} lot={lot} />}
    >
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5, maxWidth: 760 }}>
        Crown: lay two cauls of a pair with their crowned edges together and measure the gap at one end; half
        of it is the crown.
      </Typography>
    </TableSection>
  );
}

/** Blocks and battens that go under jaws. */
export function BlocksSection({ shop }: { readonly shop: ShopDocument }) {
  return (
    <TableSection
      title="Blocks and battens"
      field="blocks"
      shop={shop}
      table={BLOCKS_TABLE}
      columns={BLOCK_COLUMNS}
      actionsPx={ACTIONS_PX}
      add="Add blocks"
      render={(lot) => <BlockFields key={lot.id} lot={lot} />}
    >
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5, maxWidth: 760 }}>
        Grip of a block: press it down with a known weight and pull it sideways with a spring balance; pull
        over weight at the moment it slides.
      </Typography>
    </TableSection>
  );
}

function CaulFields({ lot }: { readonly lot: CaulLot }) {
  const list = useShopList('cauls');
  const set = (label: string, change: Partial<CaulLot>) => list.set(`${label}, cauls`, lot.id, change);
  return (
    <LotGroup
      name="Lot of cauls"
      remove="Remove these cauls"
      onRemove={() => list.remove('Cauls removed', lot.id)}
    >
      <LotCount label="Cauls" count={lot.count} width={90} onChange={(count) => set('How many', { count })} />
      <WoodChoice value={lot.species} onChange={(species) => set('Wood', { species })} />
      {(
        [
          ['Length', 'lengthMm', LIMITS.caulLengthMm],
          ['Width', 'widthMm', LIMITS.caulSectionMm],
          ['Depth', 'depthMm', LIMITS.caulSectionMm],
          ['Crown', 'crownMm', LIMITS.crownMm],
        ] as const
      ).map(([label, field, bounds]) => (
        <LengthField
          key={field}
          label={label}
          fine={field === 'crownMm'}
          value={lot[field]}
          bounds={bounds}
          onChange={(mm) => mm !== null && set(label, { [field]: mm })}
          width={110}
        />
      ))}
    </LotGroup>
  );
}

function BlockFields({ lot }: { readonly lot: BlockLot }) {
  const list = useShopList('blocks');
  const set = (label: string, change: Partial<BlockLot>) => list.set(`${label}, blocks`, lot.id, change);
  return (
    <LotGroup
      name={`Lot of ${lot.kind}s`}
      remove={`Remove these ${lot.kind}s`}
      onRemove={() => list.remove('Blocks removed', lot.id)}
    >
      <LotCount count={lot.count} onChange={(count) => set('How many', { count })} />
      <Choice
        label="What"
        value={lot.kind}
        options={KIND_OPTIONS}
        onChange={(kind) => set('What', { kind })}
        width={120}
      />
      <LengthField
        label="Length"
        value={lot.lengthMm}
        bounds={LIMITS.caulLengthMm}
        onChange={(lengthMm) => lengthMm !== null && set('Length', { lengthMm })}
        width={110}
      />
      <LengthField
        label="Thickness"
        value={lot.thicknessMm}
        bounds={LIMITS.padThicknessMm}
        onChange={(thicknessMm) => thicknessMm !== null && set('Thickness', { thicknessMm })}
        width={110}
      />
      <Choice
        label="Its face"
        value={lot.face}
        options={FACE_OPTIONS}
        onChange={(face) => set('Face', { face })}
        width={120}
      />
      <NumberField
        label="Grip, measured"
        optional
        value={lot.friction}
        bounds={LIMITS.friction}
        hint={`empty: ${USUAL_FRICTION[lot.face]}, usual`}
        onChange={(friction) => set('Grip', { friction })}
        width={150}
      />
    </LotGroup>
  );
}
