import { reinforcementOptions } from '@lean-clasp/core/assembly';
import { mitredCorner } from '@lean-clasp/core/plan';
import { cutWords, REINFORCEMENT_WORDS } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { FIGURE_FACE } from '../app/theme';
import { Section } from '../frame/Page';
import { usePlan } from '../planner/plan-context';
import { useFormat } from '../quantities/use-format';
import { useOpenBuild } from '../workspace/open-build';
import { noteJoints } from './edits';

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What to let into the mitres of a frame, by the long grain it adds; one choice for all corners. */
export function Reinforcements() {
  const { build, edit } = useOpenBuild();
  const { plan } = usePlan();
  const f = useFormat();
  const mitred = plan === null ? null : mitredCorner(plan);
  if (mitred === null) return null;
  const { joints: ids, corner, longGrainMm2 } = mitred;
  const options = reinforcementOptions(corner);
  const chosen = build.jointNotes.find(({ id }) => ids.includes(id))?.reinforcement ?? 'none';
  return (
    <Section title="What holds the mitres">
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        A glued mitre alone has {f.area(longGrainMm2)} of long grain on long grain. Frames that are handled or
        sold are usually keyed. Sizes are judgement; a key’s kerf hides the marks of pointed clamps.
      </Typography>
      <Box role="radiogroup" aria-label="What holds the mitres">
        {options.map(
          ({ reinforcement, gainMm2, oneSideMm2, strength, cut, leastFaceMm, fits, afterwards }) => (
            <ButtonBase
              key={reinforcement}
              role="radio"
              aria-checked={chosen === reinforcement}
              disabled={!fits}
              onClick={() => edit('What holds the mitres', noteJoints(ids, { reinforcement }))}
              sx={(theme) => ({
                display: 'grid',
                gridTemplateColumns: 'minmax(0, 1fr) auto',
                width: '100%',
                minHeight: 44,
                px: 1,
                textAlign: 'left',
                fontSize: '0.9375rem',
                color: fits ? 'text.primary' : 'text.secondary',
                borderBottom: 1,
                borderColor: 'divider',
                boxShadow: chosen === reinforcement ? `inset 6px 0 0 ${theme.palette.tokens.glue}` : 'none',
                fontWeight: chosen === reinforcement ? 700 : 400,
              })}
            >
              <Box component="span" sx={{ pl: 1 }}>
                {REINFORCEMENT_WORDS[reinforcement]}
                {fits
                  ? afterwards
                    ? ' – asks nothing of the glue-up'
                    : ''
                  : ` – needs a face of ${f.length(leastFaceMm)} and wood around it`}
                {chosen === reinforcement && cut !== null && (
                  <Typography component="span" variant="body2" sx={{ display: 'block' }}>
                    {capital(cutWords(reinforcement, cut, f))}. {f.area(oneSideMm2)} glued to either member;
                    about {strength.toFixed(1)} times as strong as the mitre alone [judgement].
                  </Typography>
                )}
              </Box>
              <Box component="span" sx={{ fontFamily: FIGURE_FACE }}>
                {gainMm2 > 0 ? `+ ${f.area(gainMm2)}` : ''}
              </Box>
            </ButtonBase>
          ),
        )}
      </Box>
    </Section>
  );
}
