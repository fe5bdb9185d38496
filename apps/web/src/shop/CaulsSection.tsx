import { LIMITS } from '@lean-clasp/core/basics';
import type { BlockLot, CaulLot, ShopDocument } from '@lean-clasp/core/formats';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { Choice } from '../parts/Choice';
import { LengthField, NumberField } from '../quantities/fields';
import { makeId } from '../workspace/edits';
import { changed, useEditShop } from './use-edit-shop';
import { LotCount, LotGroup } from './LotGroup';
import { WoodChoice } from './WoodChoice';

const NEW_CAULS: Omit<CaulLot, 'id'> = {
  count: 2,
  species: 'hard-maple',
  lengthMm: 700,
  widthMm: 40,
  depthMm: 50,
  crownMm: 0,
};
const NEW_BLOCKS: Omit<BlockLot, 'id'> = {
  kind: 'block',
  count: 8,
  lengthMm: 60,
  thicknessMm: 20,
  face: 'bare',
  friction: null,
};
const BLOCK_KINDS = [
  { value: 'block', name: 'blocks' },
  { value: 'batten', name: 'battens' },
] as const;
const FACES = [
  { value: 'bare', name: 'bare' },
  { value: 'abrasive', name: 'abrasive' },
  { value: 'cork', name: 'cork' },
] as const;
/** What a face usually holds with before it slides [judgement]. */
const USUAL_FRICTION: Readonly<Record<BlockLot['face'], number>> = { bare: 0.35, abrasive: 0.75, cork: 0.5 };

/** Cauls with their section and crown, and what goes under jaws. */
export function CaulsSection({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  const { cauls, blocks = [] } = shop;
  return (
    <Section
      title="Cauls and blocks"
      aside={
        <>
          <Button
            onClick={() =>
              edit('Cauls added', (before) => ({
                ...before,
                cauls: [...(before.cauls ?? []), { ...NEW_CAULS, id: makeId() }],
              }))
            }
          >
            Add cauls
          </Button>
          <Button
            onClick={() =>
              edit('Blocks added', (before) => ({
                ...before,
                blocks: [...(before.blocks ?? []), { ...NEW_BLOCKS, id: makeId() }],
              }))
            }
          >
            Add blocks
          </Button>
        </>
      }
    >
      {cauls === undefined && (
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
      )}
      {cauls?.map((lot) => (
        <CaulFields key={lot.id} lot={lot} />
      ))}
      {blocks.map((lot) => (
        <BlockFields key={lot.id} lot={lot} />
      ))}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5, maxWidth: 760 }}>
        Crown: lay two cauls of a pair with their crowned edges together and measure the gap at one end; half
        of it is the crown. Grip of a block: press it down with a known weight and pull it sideways with a
        spring balance; pull over weight at the moment it slides.
      </Typography>
    </Section>
  );
}

function CaulFields({ lot }: { readonly lot: CaulLot }) {
  const edit = useEditShop();
  const set = (label: string, change: Partial<CaulLot>) =>
    edit(`${label}, cauls`, (before) => ({ ...before, cauls: changed(before.cauls ?? [], lot.id, change) }));
  return (
    <LotGroup
      name="Lot of cauls"
      remove="Remove these cauls"
      onRemove={() =>
        edit('Cauls removed', (before) => ({
          ...before,
          cauls: (before.cauls ?? []).filter(({ id }) => id !== lot.id),
        }))
      }
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
  const edit = useEditShop();
  const set = (label: string, change: Partial<BlockLot>) =>
    edit(`${label}, blocks`, (before) => ({
      ...before,
      blocks: changed(before.blocks ?? [], lot.id, change),
    }));
  return (
    <LotGroup
      name={`Lot of ${lot.kind}s`}
      remove={`Remove these ${lot.kind}s`}
      onRemove={() =>
        edit('Blocks removed', (before) => ({
          ...before,
          blocks: (before.blocks ?? []).filter(({ id }) => id !== lot.id),
        }))
      }
    >
      <LotCount count={lot.count} onChange={(count) => set('How many', { count })} />
      <Choice
        label="What"
        value={lot.kind}
        options={BLOCK_KINDS}
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
        options={FACES}
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
