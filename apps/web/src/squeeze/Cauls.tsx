import type { RowPlan } from '@lean-clasp/core/plan';
import { inSentence, planSays } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { Section } from '../frame/Page';
import { useFormat } from '../quantities/use-format';
import { useWoodName } from '../shop/own';
import { useOpenBuild } from '../workspace/open-build';

/** Pairs of cauls across: where they lie, what they press with, their crown and its template. */
export function Cauls({ row }: { readonly row: RowPlan }) {
  const { id } = useOpenBuild();
  const f = useFormat();
  const woodName = useWoodName();
  const { cauls } = row;
  if (cauls === null) return null;
  const { caul, crown, load, placesMm, listed, findings } = cauls;
  const places = placesMm.map((x) => f.length(x)).join(', ');
  const wood = inSentence(woodName(caul.species));
  return (
    <Section title="Cauls">
      <Typography>
        {placesMm.length === 1 ? 'A pair' : `${placesMm.length} pairs`} at {places}, {wood},{' '}
        {f.sizes([caul.widthMm, caul.depthMm])}, {f.length(caul.lengthMm)} long
        {listed ? '' : ' (to make; the shop lists none that does)'}. Crown {f.fine(crown.crownMm)}
        {listed && `, they have ${f.fine(caul.crownMm)}`}; {f.force(crown.endForceN)} at each end.
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
        They hold the panel flat with {load.totalNPerMm.toFixed(2)} N/mm: {load.fromStrutNPerMm.toFixed(2)}{' '}
        against popping, {load.fromPullNPerMm.toFixed(2)} for the line of pull,{' '}
        {(load.fromCupNPerMm + load.fromBowNPerMm + load.fromWindNPerMm).toFixed(2)} for bow and twist of the
        boards. Crown both of a pair, crowns facing; a little too little is safer than too much.
      </Typography>
      {findings.map((finding) => (
        <Alert key={finding.code} severity="warning" variant="outlined" sx={{ mt: 1 }}>
          {planSays(finding, f)}
        </Alert>
      ))}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
        <Button component={RouterLink} to={`/builds/${id}/paper`}>
          Crown and clamp strip, full size
        </Button>
      </Box>
    </Section>
  );
}
