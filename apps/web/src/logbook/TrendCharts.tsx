import { findAdhesive } from '@lean-clasp/core/adhesives';
import type { Cause } from '@lean-clasp/core/diagnosis';
import type { Calibration, Trends } from '@lean-clasp/core/learning';
import { CAUSE_WORDS, KIND_WORDS, METHOD_OPTIONS, WORK_WORDS } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import {
  Bar,
  BarChart,
  CartesianGrid,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
  ZAxis,
} from 'recharts';
import { Section } from '../frame/Page';
import { ChartBox } from '../parts/ChartBox';
import { useFormat } from '../quantities/use-format';
import { MonthLines } from './MonthLines';

/** Fewest glue-ups with a promise before their calibration says anything. */
const ENOUGH_PROMISED = 10;

/** Every chart of the log. */
export function TrendCharts({
  trends: { calibration, pace, used, reached, glue, causes, coupons },
}: {
  readonly trends: Trends;
}) {
  const f = useFormat();
  const byWork = pace.filter(({ method }) => method === '');
  const spreading = pace.filter(({ method }) => method !== '');
  const methodName = (method: string) => METHOD_OPTIONS.find(({ value }) => value === method)?.name ?? method;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, columnGap: 5 }}>
      <Section title="How often a promise came true">
        <Reliability calibration={calibration} />
      </Section>
      <Section title="Time used of what the glue gives">
        <MonthLines
          rows={used.map(({ month, share }) => ({ month, name: 'closest joint', value: 100 * share }))}
          unit="%"
          limit={100}
        />
      </Section>
      <Section title="Pace by work, over the built-in one">
        <MonthLines
          rows={byWork.map(({ month, work, factor }) => ({
            month,
            name: WORK_WORDS[work] ?? work,
            value: factor,
          }))}
          unit="×"
          limit={1}
        />
      </Section>
      <Section title="Pace of spreading, by method">
        <MonthLines
          rows={spreading.map(({ month, method, factor }) => ({
            month,
            name: methodName(method),
            value: factor,
          }))}
          unit="×"
          limit={1}
        />
      </Section>
      <Section title="How flat it came out">
        <MonthLines
          rows={reached.flatMap(({ month, template, flatMm }) =>
            flatMm === null ? [] : [{ month, name: KIND_WORDS[template]?.name ?? template, value: flatMm }],
          )}
          print={f.fine}
        />
      </Section>
      <Section title="How square it came out, half the difference of the diagonals">
        <MonthLines
          rows={reached.flatMap(({ month, template, squareMm }) =>
            squareMm === null
              ? []
              : [{ month, name: KIND_WORDS[template]?.name ?? template, value: squareMm }],
          )}
          print={f.fine}
        />
      </Section>
      <Section title="Glue for a square metre of joint">
        <MonthLines
          rows={glue.flatMap(({ month, gPerM2, takenGPerM2 }) => [
            { month, name: 'planned', value: gPerM2 },
            ...(takenGPerM2 === null ? [] : [{ month, name: 'taken, where weighed', value: takenGPerM2 }]),
          ])}
          unit="g"
        />
      </Section>
      <Section title="Coupons: share of the break in the wood">
        <MonthLines
          rows={coupons.map((coupon) => ({
            month: coupon.month,
            name: bottleName(coupon, coupons),
            value: coupon.pct,
          }))}
          unit="%"
          alwaysNamed
          limit={75}
        />
      </Section>
      <Section title="What failures were put down to">
        <Causes causes={causes} />
      </Section>
    </Box>
  );
}

type OfBottle = Pick<Trends['coupons'][number], 'adhesive' | 'bottle' | 'openedOn'>;

/** A bottle by its glue and the day it was opened; numbered where several are called alike. */
function bottleName({ adhesive, bottle, openedOn }: OfBottle, all: readonly OfBottle[]): string {
  const name = findAdhesive(adhesive).name;
  if (bottle === null) return name;
  const alike = [
    ...new Set(
      all.flatMap((each) =>
        each.adhesive === adhesive && each.openedOn === openedOn ? (each.bottle ?? []) : [],
      ),
    ),
  ];
  const which = alike.length === 1 ? '' : `, no. ${alike.indexOf(bottle) + 1}`;
  const opened = openedOn === null ? 'no date' : `opened ${dayjs(openedOn).format('D MMM YYYY')}`;
  return `${name}, ${opened}${which}`;
}

/** Promised likelihood against the share that came true; on the line is right. */
function Reliability({ calibration: { bins, brier, brierOfMean } }: { readonly calibration: Calibration }) {
  const { tokens } = useTheme().palette;
  const runs = bins.reduce((sum, bin) => sum + bin.runs, 0);
  if (brier === null || runs === 0) {
    return <Typography>No glue-up with a promised likelihood has been finished yet.</Typography>;
  }
  const data = bins.map((bin) => ({ promised: 100 * bin.promised, kept: 100 * bin.kept, runs: bin.runs }));
  const words = data
    .map(
      (bin) =>
        `promised ${Math.round(bin.promised)} %, came true in ${Math.round(bin.kept)} % of ${bin.runs}`,
    )
    .join('; ');
  return (
    <>
      <ChartBox height={240} maxWidth={420} label={words}>
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart margin={{ left: 4, right: 12, top: 8, bottom: 16 }}>
            <CartesianGrid stroke={tokens.rule} />
            <XAxis
              type="number"
              dataKey="promised"
              domain={[0, 100]}
              stroke={tokens.ink}
              fontSize={14}
              label={{ value: 'promised, %', position: 'insideBottom', offset: -8, fill: tokens.soft }}
            />
            <YAxis
              type="number"
              dataKey="kept"
              domain={[0, 100]}
              stroke={tokens.ink}
              fontSize={14}
              width={64}
              label={{ value: 'came true, %', angle: -90, position: 'insideLeft', fill: tokens.soft }}
            />
            <ZAxis type="number" dataKey="runs" range={[60, 400]} name="glue-ups" />
            <ReferenceLine
              segment={[
                { x: 0, y: 0 },
                { x: 100, y: 100 },
              ]}
              stroke={tokens.soft}
              strokeDasharray="4 4"
            />
            <Tooltip
              formatter={(value) => Math.round(Number(value))}
              contentStyle={{
                background: tokens.sheet,
                border: `1px solid ${tokens.rule}`,
                color: tokens.ink,
              }}
            />
            <Scatter data={data} fill={tokens.action} isAnimationActive={false} />
          </ScatterChart>
        </ResponsiveContainer>
      </ChartBox>
      <Typography sx={{ maxWidth: 520 }}>
        Brier score {brier.toFixed(3)} over {runs} glue-ups
        {brierOfMean !== null && `, against ${brierOfMean.toFixed(3)} for always promising the average`}; 0 is
        perfect.
        {runs < ENOUGH_PROMISED && ' Too few to say much.'} What plans go by because of the log stands under
        Learned.
      </Typography>
    </>
  );
}

function Causes({ causes }: { readonly causes: Trends['causes'] }) {
  const { tokens } = useTheme().palette;
  if (causes.length === 0) return <Typography>Nothing has been put down to a cause yet.</Typography>;
  const data = causes.map(({ cause, runs }) => ({ name: CAUSE_WORDS[cause as Cause]?.name ?? cause, runs }));
  return (
    <ChartBox
      height={48 + 34 * data.length}
      maxWidth={560}
      label={data.map(({ name, runs }) => `${name}: ${runs}`).join('; ')}
    >
      <ResponsiveContainer width="100%" height="100%">
        <BarChart data={data} layout="vertical" margin={{ left: 4, right: 12 }}>
          <XAxis type="number" allowDecimals={false} stroke={tokens.ink} fontSize={14} />
          <YAxis type="category" dataKey="name" width={230} stroke={tokens.ink} fontSize={14} />
          <Bar dataKey="runs" fill={tokens.glue} isAnimationActive={false} />
        </BarChart>
      </ResponsiveContainer>
    </ChartBox>
  );
}
