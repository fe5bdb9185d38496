import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import Box from '@mui/material/Box';
import { LIMITS } from '@lean-clasp/core/basics';
import type { Climate } from '@lean-clasp/core/formats';
import { equilibriumMoisturePct } from '@lean-clasp/core/materials';
import { memo, useState } from 'react';
import { FIGURE_FACE } from '../app/theme';
import { AGE_EVERY_MS, airNote, airWords } from '../air/air-words';
import { useAirReport } from '../air/use-shop-now';
import { FieldRow } from '../parts/FieldRow';
import { useNow } from '../parts/use-now';
import { Tick } from '../parts/Tick';
import { NumberField, ScaledField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';
import { USUAL_MM } from '../air/wood-words';
import { useBuildHandle } from './open-build';

/** Look of the figures in the header. */
export const chipStyle = {
  fontFamily: FIGURE_FACE,
  color: 'text.primary',
  borderColor: 'divider',
  fontWeight: 500,
  px: { xs: 1, sm: 2 },
  fontSize: { xs: '0.875rem', sm: '1rem' },
  whiteSpace: 'nowrap',
};

/** The air of this glue-up: the shop's, or one set for this build alone. */
export const ClimateChip = memo(function ClimateChip({
  own,
  shops,
  woodPct,
  sensor,
}: {
  /** Null: the shop's. */
  readonly own: Climate | null;
  readonly shops: Climate;
  /** What a board that nobody has metered is reckoned with, %. */
  readonly woodPct: number;
  /** Whether the shop's air is what its sensor reads. */
  readonly sensor: boolean;
}) {
  const report = useAirReport(sensor);
  const nowMs = useNow(report.state !== 'none', AGE_EVERY_MS);
  const note = own === null ? airNote(report) : '';
  const { edit } = useBuildHandle();
  const f = useFormat();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const climate = own ?? shops;
  const emc = equilibriumMoisturePct(climate.tempC, climate.rhPct);
  const set = (change: Partial<typeof climate>) =>
    edit('Air', (before) => ({ ...before, climate: { ...(before.climate ?? shops), ...change } }));
  return (
    <>
      <Button
        variant="outlined"
        sx={chipStyle}
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="dialog"
      >
        {f.temperature(climate.tempC)} · {Math.round(climate.rhPct)} %
        {/* A telephone has room for what is typed only. */}
        <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' }, whiteSpace: 'pre' }}>
          {' · '}
          {note === '' ? `wood ${woodPct.toFixed(1)} %` : note}
        </Box>
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { role: 'dialog', 'aria-label': 'Air', variant: 'outlined' } }}
      >
        <Box sx={{ p: 2, width: 340 }}>
          <Tick
            label="Same air as the shop"
            checked={own === null}
            onChange={(same) => edit('Air', (before) => ({ ...before, climate: same ? null : { ...shops } }))}
          />
          <FieldRow>
            <ScaledField
              label="Temperature"
              quantity="temperature"
              value={climate.tempC}
              bounds={LIMITS.tempC}
              onChange={(tempC) => tempC !== null && set({ tempC })}
              width={140}
            />
            <NumberField
              label="Humidity"
              unit="%"
              value={climate.rhPct}
              bounds={LIMITS.relativeHumidityPct}
              onChange={(rhPct) => rhPct !== null && set({ rhPct })}
              width={140}
            />
          </FieldRow>
          <Box sx={{ fontSize: '0.9375rem', color: 'text.secondary' }}>
            {own === null && report.state !== 'none' && `${airWords(report, nowMs)} `}A board of{' '}
            {f.length(USUAL_MM)} that nobody has metered is reckoned at {woodPct.toFixed(1)} %: wood follows
            the air of weeks. Left in this air it would settle at {emc.toFixed(1)} %. Air, wood and glue are
            taken at one temperature.
          </Box>
        </Box>
      </Popover>
    </>
  );
});
