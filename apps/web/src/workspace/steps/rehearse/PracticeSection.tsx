import { benchScript } from '@lean-clasp/core/bench';
import type { Plan } from '@lean-clasp/core/plan';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { benchKit } from '../../../bench/bench-kit';
import { Section } from '../../../frame/Page';
import { FieldRow } from '../../../parts/FieldRow';
import { NumberField } from '../../../quantities/fields';
import { Practice } from './practice/Practice';

const SEEDS = { min: 1, max: 9999, unit: '' };

/** The session played at speed, with things going wrong that have to be answered in time. */
export function PracticeSection({ plan, session }: { readonly plan: Plan; readonly session: number }) {
  const [seed, setSeed] = useState(1);
  const [playing, setPlaying] = useState(false);
  const kit = useMemo(() => benchKit(plan, session), [plan, session]);
  const script = useMemo(() => benchScript(plan, session), [plan, session]);
  if (script.operations.length === 0) return null;
  return (
    <Section title="Practice with mishaps">
      <Typography sx={{ mb: 1.5 }}>
        The session plays by itself, up to eight times as fast. A clamp sticks, the brush drops, somebody
        calls: answer while the fuses burn. The same number brings the same mishaps. Nothing of it goes into
        the log or the pace.
      </Typography>
      <FieldRow>
        <NumberField
          label="Number of the game"
          whole
          value={seed}
          bounds={SEEDS}
          onChange={(value) => setSeed(value ?? 1)}
          width={170}
        />
        <Button variant="contained" onClick={() => setPlaying(true)} sx={{ minHeight: 56 }}>
          Play it
        </Button>
      </FieldRow>
      <Dialog open={playing} fullScreen aria-label="Practice" onClose={() => setPlaying(false)}>
        {playing && (
          <Practice
            key={seed}
            kit={kit}
            start={{ script, people: plan.build.crew, seed }}
            onAnother={() => setSeed(seed >= SEEDS.max ? SEEDS.min : seed + 1)}
            onLeave={() => setPlaying(false)}
          />
        )}
      </Dialog>
    </Section>
  );
}
