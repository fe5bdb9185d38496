import type { ShopDocument } from '@lean-clasp/core/formats';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { AGE_EVERY_MS, airWords } from '../air/air-words';
import { useAirReport } from '../air/use-shop-now';
import { FieldRow } from '../parts/FieldRow';
import { useNow } from '../parts/use-now';
import { Tick } from '../parts/Tick';
import { useFormat } from '../quantities/use-format';
import { useEditShop } from './use-edit-shop';

const ADDRESS = /^https?:\/\/[^\s]+$/;

/** Where a thermo-hygrometer answers, what it says, and whether plans go by it. */
export function SensorFields({ shop }: { readonly shop: ShopDocument }) {
  const edit = useEditShop();
  const f = useFormat();
  const report = useAirReport(shop.sensor !== undefined);
  const kept = shop.sensor?.address ?? '';
  const nowMs = useNow(shop.sensor !== undefined, AGE_EVERY_MS);
  const [draft, setDraft] = useState<string | null>(null);
  const text = draft ?? kept;
  const wrong = text.trim() !== '' && !ADDRESS.test(text.trim());
  const keep = () => {
    const address = text.trim();
    if (wrong || address === kept) return;
    edit('Sensor', ({ sensor, ...before }) =>
      address === '' ? before : { ...before, sensor: { address, follow: sensor?.follow ?? true } },
    );
    setDraft(null);
  };
  return (
    <>
      <FieldRow>
        <TextField
          label="Sensor’s address"
          size="small"
          value={text}
          error={wrong}
          helperText={
            wrong
              ? 'An address begins with http:// or https://, such as http://192.168.1.20/air. The last good one is kept.'
              : 'empty: none'
          }
          onChange={(event) => setDraft(event.target.value)}
          onBlur={keep}
          onKeyDown={(event) => {
            if (event.key === 'Enter') keep();
          }}
          sx={{ width: 340 }}
          slotProps={{ inputLabel: { shrink: true }, htmlInput: { spellCheck: false, inputMode: 'url' } }}
        />
        {shop.sensor !== undefined && (
          <Tick
            label="Plans go by the sensor"
            checked={shop.sensor.follow}
            onChange={(follow) =>
              edit('Plans go by the sensor', (before) =>
                before.sensor === undefined ? before : { ...before, sensor: { ...before.sensor, follow } },
              )
            }
          />
        )}
      </FieldRow>
      {shop.sensor !== undefined && (
        <Typography role="status" sx={{ mb: 1.5 }}>
          {report.air === null
            ? ''
            : `${f.temperature(report.air.tempC)}, ${Math.round(report.air.rhPct)} %. `}
          {report.state === 'none' ? 'The sensor is being asked.' : airWords(report, nowMs)}
        </Typography>
      )}
    </>
  );
}
