import { useTheme } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { ChartBox } from '../parts/ChartBox';

interface Point {
  readonly month: string;
  readonly name: string;
  readonly value: number;
}

/** Months in one chart: more are neither read nor drawn quickly. */
const MOST_MONTHS = 24;

/** Beyond so many months points are told by the line alone, unless it is too short to be one. */
const MOST_DOTTED = 12;
/** Its ring is whole, whatever the line is made of. */
const DOT = { r: 4, strokeDasharray: '0' };

const monthName = (month: string): string => dayjs(`${month}-01`).format('MMM YY');

/** One line for each name, month by month, told in words too. */
export function MonthLines({
  rows: all,
  unit = '',
  limit,
  alwaysNamed = false,
  print = (value) => `${Number(value.toFixed(2))}${unit === '' ? '' : ` ${unit}`}`,
}: {
  readonly rows: readonly Point[];
  readonly unit?: string;
  readonly limit?: number;
  /** A line by itself is named as well. */
  readonly alwaysNamed?: boolean;
  readonly print?: (value: number) => string;
}) {
  const { tokens } = useTheme().palette;
  const months = [...new Set(all.map(({ month }) => month))].sort().slice(-MOST_MONTHS);
  const rows = all.filter(({ month }) => months.includes(month));
  const names = [...new Set(rows.map(({ name }) => name))];
  if (rows.length === 0) return <Typography>Nothing of that was noted yet.</Typography>;
  const data = months.map((month) => ({
    month: monthName(month),
    ...Object.fromEntries(rows.filter((row) => row.month === month).map(({ name, value }) => [name, value])),
  }));
  const colours = [tokens.action, tokens.glue, tokens.ink, tokens.soft, tokens.fails];
  const dashes = ['', '6 3', '2 3', '8 3 2 3', '1 4'];
  const words = names
    .map((name) => {
      const own = rows.filter((row) => row.name === name);
      return `${name}: ${own.map(({ month, value }) => `${monthName(month)} ${print(value)}`).join(', ')}`;
    })
    .join('; ');
  return (
    <ChartBox height={240} maxWidth={560} label={words}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={data} margin={{ left: 4, right: 12, top: 8 }}>
          <CartesianGrid stroke={tokens.rule} vertical={false} />
          <XAxis dataKey="month" stroke={tokens.ink} fontSize={14} />
          <YAxis
            stroke={tokens.ink}
            fontSize={14}
            width={72}
            tickFormatter={(value) => print(Number(value))}
          />
          <Tooltip
            formatter={(value) => print(Number(value))}
            contentStyle={{ background: tokens.sheet, border: `1px solid ${tokens.rule}`, color: tokens.ink }}
          />
          {(alwaysNamed || names.length > 1) && (
            <Legend formatter={(name) => <span style={{ color: tokens.ink }}>{String(name)}</span>} />
          )}
          {limit !== undefined && <ReferenceLine y={limit} stroke={tokens.fails} strokeDasharray="4 4" />}
          {names.map((name, i) => (
            <Line
              key={name}
              dataKey={name}
              stroke={colours[i % colours.length] ?? tokens.ink}
              strokeDasharray={dashes[i % dashes.length] ?? ''}
              strokeWidth={2}
              dot={
                months.length <= MOST_DOTTED || rows.filter((row) => row.name === name).length < 3
                  ? DOT
                  : false
              }
              connectNulls
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </ChartBox>
  );
}
