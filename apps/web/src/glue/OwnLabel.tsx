import { BOTTLES_TABLE } from '@lean-clasp/core/tables';
import Button from '@mui/material/Button';
import { LabelFields } from '../shop/LabelFields';
import { useShopList } from '../shop/use-shop-list';
import { makeId } from '../workspace/edits';
import { useOpenBuild } from '../workspace/open-build';

/** The label of the bottle that this build would use; without a bottle on the shelf, a way to put one there. */
export function OwnLabel({ adhesive }: { readonly adhesive: string }) {
  const { shop } = useOpenBuild();
  const bottles = useShopList('bottles');
  const bottle = shop.bottles.find((each) => each.adhesive === adhesive);
  if (bottle !== undefined) {
    return <LabelFields bottle={bottle} onChange={(what, change) => bottles.set(what, bottle.id, change)} />;
  }
  return (
    <Button
      variant="outlined"
      sx={{ mb: 1.5 }}
      onClick={() => bottles.add('Bottle added', [{ ...BOTTLES_TABLE.blank, id: makeId(), adhesive }])}
    >
      Put a bottle of it on the shelf, to type in its label
    </Button>
  );
}
