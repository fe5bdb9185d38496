import Button from '@mui/material/Button';
import { addBottle, changeBottle } from '../shop/bottles';
import { useEditShop } from '../shop/use-edit-shop';
import { LabelFields } from '../shop/LabelFields';
import { useOpenBuild } from '../workspace/open-build';

/** The label of the bottle that this build would use; without a bottle on the shelf, a way to put one there. */
export function OwnLabel({ adhesive }: { readonly adhesive: string }) {
  const { shop } = useOpenBuild();
  const edit = useEditShop();
  const bottle = shop.bottles.find((each) => each.adhesive === adhesive);
  if (bottle !== undefined) {
    return (
      <LabelFields bottle={bottle} onChange={(what, change) => edit(what, changeBottle(bottle.id, change))} />
    );
  }
  return (
    <Button variant="outlined" sx={{ mb: 1.5 }} onClick={() => edit('Bottle added', addBottle(adhesive))}>
      Put a bottle of it on the shelf, to type in its label
    </Button>
  );
}
