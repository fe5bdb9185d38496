import { ChartBox } from '../parts/ChartBox';
import { readIn } from '../parts/read-in';
import { useFormat } from '../quantities/use-format';
import type { CurvesProps } from './curves';

const CurveLines = readIn(() => import('./CurveLines').then((m) => m.CurveLines));

/** One curve to a line over the length, the band that the glue wants behind them, clamps as dashes; the chosen one is strong. */
export function PressureCurves(props: CurvesProps) {
  const f = useFormat();
  const own = props.lines[props.chosen];
  const [least, most] = [f.pressure(own?.minMPa ?? 0), f.pressure(own?.maxMPa ?? 0)];
  return (
    <ChartBox
      height={220}
      label={`${own?.label ?? ''}: ${least} to ${most} along ${f.length(props.lengthMm)}`}
    >
      <CurveLines {...props} />
    </ChartBox>
  );
}
