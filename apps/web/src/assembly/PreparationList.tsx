import type { Kind } from '@lean-clasp/core/kinds';
import { PREPARATION_WORDS } from '@lean-clasp/words';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { Tick } from '../parts/Tick';
import { useOpenBuild } from '../workspace/open-build';
import { prepare } from './edits';

/** What this kind wants done before the first bead, to be ticked off. */
export function PreparationList({ kind }: { readonly kind: Kind }) {
  const { build, edit } = useOpenBuild();
  const needless = kind.needless(build.answers);
  const wanted = kind.preparation.filter((what) => !needless.includes(what));
  const done = wanted.filter((what) => build.prepared.includes(what)).length;
  return (
    <Section title="Before the first bead">
      <Typography variant="body2" color="text.secondary">
        {done} of {wanted.length} done.
      </Typography>
      {wanted.map((what) => (
        <Tick
          key={what}
          label={PREPARATION_WORDS[what]}
          checked={build.prepared.includes(what)}
          onChange={(checked) => edit('Prepared', prepare(what, checked))}
        />
      ))}
    </Section>
  );
}
