import type { Bottle } from '@lean-clasp/core';
import Button from '@mui/material/Button';
import { changed, useEditShop } from '../shop/use-edit-shop';
import { LabelFields } from '../shop/LabelFields';
import { makeId } from '../workspace/edits';
import { useAnyBuild } from '../workspace/open-build';

/** The label of the bottle that this build would use; without a bottle on the shelf, a way to put one there. */
export function OwnLabel({ adhesive }: { readonly adhesive: string }) {
  const { shop } = useAnyBuild();
  const edit = useEditShop();
  const bottle = shop.bottles.find((each) => each.adhesive === adhesive);
  if (bottle !== undefined) {
    return (
      <LabelFields
        bottle={bottle}
        onChange={(what, change: Partial<Bottle>) =>
          edit(what, (before) => ({ ...before, bottles: changed(before.bottles, bottle.id, change) }))
        }
      />
    );
  }
  return (
    <Button
      variant="outlined"
      sx={{ mb: 1.5 }}
      onClick={() =>
        edit('Bottle added', (before) => ({
          ...before,
          bottles: [...before.bottles, { id: makeId(), adhesive, openedOn: null, remainingMl: 500 }],
        }))
      }
    >
      Put a bottle of it on the shelf, to type in its label
    </Button>
  );
}
