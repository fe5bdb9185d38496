import { InputError, LIMITS } from '@lean-clasp/core/basics';
import { findClampKind, type HandCalibration, handCalibration, N_PER_KG } from '@lean-clasp/core/clamps';
import type { RackLot } from '@lean-clasp/core/formats';
import { type Measured, measuredAgain, ownPull } from '@lean-clasp/core/learning';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Choice } from '../parts/Choice';
import { NumberField } from '../quantities/fields';
import type { List } from '../quantities/list';
import { ListField } from '../quantities/ListField';
import { type Format, useFormat } from '../quantities/use-format';

/** What the pull is read on. */
type Instrument = 'scale' | 'spring' | 'gauge';

const INSTRUMENTS = [
  { value: 'scale', name: 'scale under a lever' },
  { value: 'spring', name: 'marked spring' },
  { value: 'gauge', name: 'force gauge' },
] as const;

/** What is read, in which unit, and what one of it pulls. */
const READS: Readonly<
  Record<Instrument, { readonly head: string; readonly example: string; readonly factor: string | null }>
> = {
  scale: { head: 'kg', example: '0, 12', factor: 'Lever' },
  spring: { head: 'mm', example: '0, 2.5', factor: 'Spring, N a mm' },
  gauge: { head: 'kN', example: '0, 0.4', factor: null },
};
const FACTOR_BOUNDS = { min: 0.1, max: 2000, unit: '' };
const FIRST_FACTOR: Readonly<Record<Instrument, number>> = { scale: 1, spring: 100, gauge: 1 };
/** Newtons for one of what is read. */
const newtons = (instrument: Instrument, factor: number): number =>
  instrument === 'scale' ? N_PER_KG * factor : instrument === 'spring' ? factor : 1000;

const MOST_READINGS = 40;
const SHAPE = { kind: 'rows', keys: ['turns', 'reading'] } as const;
interface Reading {
  readonly turns: number;
  readonly reading: number;
}

/** A clamp's pull by turns past snug, measured by hand; the line is drawn through the readings and can be taken over. */
export function MeasurePull({
  name,
  lot,
  onTake,
  onClose,
}: {
  /** Of the clamps, in the singular. */
  readonly name: string;
  readonly lot: RackLot;
  readonly onTake: (time: Measured) => void;
  readonly onClose: () => void;
}) {
  const f = useFormat();
  const [instrument, setInstrument] = useState<Instrument>('scale');
  const [factor, setFactor] = useState(1);
  const [readings, setReadings] = useState<readonly Reading[]>([]);
  const { head, example, factor: factorName } = READS[instrument];
  const oneN = newtons(instrument, factor);
  const found = calibrated(readings, oneN);
  const time: Measured | null =
    typeof found === 'string'
      ? null
      : {
          on: dayjs().format('YYYY-MM-DD'),
          forceN: clamped(found.mostN, LIMITS.clampForceN),
          perTurnN: findClampKind(lot.kind).handleMm > 0 ? clamped(found.perTurnN, LIMITS.perTurnN) : null,
          errorN: found.mostErrorN === null ? null : Math.round(found.mostErrorN),
        };
  const own = time === null ? null : ownPull(measuredAgain(lot, time));
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="measure-title">
      <DialogTitle id="measure-title">Measure the pull of a {name}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>
          Snug it by hand, read, then read again after each half turn, up to what you pull at the bench. Stand
          aside of the lever: what slips flies.
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mb: 2, pt: 0.5 }}>
          <Choice
            label="Read on a"
            value={instrument}
            options={INSTRUMENTS}
            onChange={(next) => {
              setInstrument(next);
              setFactor(FIRST_FACTOR[next]);
            }}
            width={210}
          />
          {factorName !== null && (
            <NumberField
              label={factorName}
              value={factor}
              bounds={FACTOR_BOUNDS}
              hint={
                instrument === 'scale'
                  ? 'pull at the jaws over what it shows'
                  : 'on its label, or by a known weight'
              }
              onChange={(next) => next !== null && setFactor(next)}
              width={220}
            />
          )}
        </Box>
        <ListField
          label={`Turns past snug, and ${head} read`}
          value={readings}
          shape={SHAPE}
          quantity="plain"
          unit={`turns, ${head}`}
          most={MOST_READINGS}
          hint={`a line each, such as ${example}`}
          onChange={(list: List) => setReadings(list as readonly unknown[] as readonly Reading[])}
        />
        <Box role="status" sx={{ mt: 2 }}>
          {typeof found === 'string' ? (
            <Typography color="text.secondary">{found}</Typography>
          ) : (
            <Sum found={found} oneN={oneN} head={head} count={readings.length} f={f} />
          )}
          {own !== null && own.times.length > 1 && (
            <Typography sx={{ mt: 0.5 }}>
              With the {own.times.length === 2 ? 'time' : `${own.times.length - 1} times`} before that is{' '}
              {f.force(own.forceN)}, with 95 % confidence between {f.force(own.lowN)} and {f.force(own.highN)}
              .
            </Typography>
          )}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={time === null}
          onClick={() => {
            if (time !== null) onTake(time);
            onClose();
          }}
        >
          {own === null ? 'Take it over' : `Take over ${f.force(own.forceN)}`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const clamped = (value: number, { min, max }: { readonly min: number; readonly max: number }): number =>
  Math.min(max, Math.max(min, Math.round(value)));

/** The line through the readings, or what is still wanted for one. */
function calibrated(readings: readonly Reading[], oneN: number): HandCalibration | string {
  if (readings.length < 2) return 'Two readings at different turns make a line; four make one to trust.';
  try {
    return handCalibration(readings.map(({ turns, reading }) => ({ turns, forceN: reading * oneN })));
  } catch (error) {
    if (error instanceof InputError) return `${error.message} Wanted: ${error.allowed}.`;
    throw error;
  }
}

/** The sum, as it is done. */
function Sum({
  found: { perTurnN, perTurnErrorN, snugN, mostN, offLineN, straight },
  oneN,
  head,
  count,
  f,
}: {
  readonly found: HandCalibration;
  readonly oneN: number;
  readonly head: string;
  readonly count: number;
  readonly f: Format;
}) {
  return (
    <>
      <Typography>
        One turn adds <strong>{f.force(perTurnN)}</strong>
        {perTurnErrorN !== null && ` ± ${f.force(2 * perTurnErrorN)}`}; snug is {f.force(snugN)}, and at the
        most turns you read it pulls <strong>{f.force(mostN)}</strong>.
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
        1 {head} is {f.force(oneN)}; straight line through {count} readings by least squares, the furthest of
        them {f.force(offLineN)} off it.
      </Typography>
      {!straight && (
        <Typography sx={{ mt: 0.5 }}>
          They lie on no line: something slips, bends or was misread. Read again before you go by it.
        </Typography>
      )}
    </>
  );
}
