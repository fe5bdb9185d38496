import type { Plan } from '@lean-clasp/core/plan';
import PauseIcon from '@mui/icons-material/Pause';
import PlayArrowIcon from '@mui/icons-material/PlayArrow';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { closingWords, jointLabels } from './closing-order';
import type { Playback } from './use-playback';

/** Plays the order of closing in the drawing, or steps through it. */
export function PlaybackBar({
  plan,
  playback: { played, done, playing, closing, show, toggle },
}: {
  readonly plan: Plan;
  readonly playback: Playback;
}) {
  const { order } = plan;
  const labels = useMemo(() => jointLabels(plan), [plan]);
  const sessions = order?.sessions ?? [];
  const session = sessions.findIndex(({ joints: own }) => own.includes(closing?.joints[0] ?? ''));
  const place = session < 0 || sessions.length < 2 ? '' : `session ${session + 1}, `;
  const number = Math.ceil(done);
  const words =
    closing === null
      ? done === 0
        ? 'Nothing closed yet.'
        : 'Play the order of closing, or step through it.'
      : `${place}closing ${number} of ${played.length}: ${closingWords(closing.joints, labels)}`;
  return (
    <Box sx={{ flex: '1 1 300px' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, minHeight: 44 }}>
        <IconButton
          aria-label={playing ? 'Stop the closing order' : 'Play the closing order'}
          onClick={toggle}
          sx={{ width: 44, height: 44 }}
        >
          {playing ? <PauseIcon /> : <PlayArrowIcon />}
        </IconButton>
        <Slider
          aria-label="Closings done"
          min={0}
          max={played.length}
          step={1}
          marks={played.length <= 30}
          value={done}
          onChange={(_, value) => show(Number(value))}
          getAriaValueText={(value) => `${Math.round(value)} of ${played.length} closed`}
        />
      </Box>
      <Typography variant="body2" role="status" sx={{ minHeight: '2.6em' }}>
        {words.charAt(0).toUpperCase()}
        {words.slice(1)}
      </Typography>
    </Box>
  );
}
