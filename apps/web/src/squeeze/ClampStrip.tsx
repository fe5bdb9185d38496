import { type RowPlan, stageOpeningsMm } from '@lean-clasp/core/plan';
import { useTheme } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { useFormat } from '../quantities/use-format';
import { FullSize } from './FullSize';

const HIGH_MM = 46;

/** A full-size story stick: numbers, sides and openings of all clamps, laid along the edge of the work. */
export function ClampStrip({ row }: { readonly row: RowPlan }) {
  const { tokens } = useTheme().palette;
  const f = useFormat();
  const { clampSet, panel, cauls } = row;
  const open = stageOpeningsMm(row).map(f.length).join(' · ');
  if (clampSet.clamps.length === 0) return <Typography>No clamp is placed on this panel yet.</Typography>;
  return (
    <FullSize lengthMm={panel.lengthMm} heightMm={HIGH_MM} label="Clamp strip">
      <line x1={0} x2={panel.lengthMm} y1={2} y2={2} stroke={tokens.ink} strokeWidth={0.4} />
      {[0, panel.lengthMm].map((x) => (
        <line key={x} x1={x} x2={x} y1={0} y2={HIGH_MM} stroke={tokens.ink} strokeWidth={0.6} />
      ))}
      {cauls?.placesMm.map((x) => (
        <g key={x} stroke={tokens.soft} strokeWidth={0.3} fill="none">
          <rect
            x={x - cauls.caul.widthMm / 2}
            y={2}
            width={cauls.caul.widthMm}
            height={8}
            strokeDasharray="1.5 1"
          />
          <text x={x} y={8} fontSize={4} textAnchor="middle" stroke="none" fill={tokens.soft}>
            caul
          </text>
        </g>
      ))}
      {clampSet.clamps.map(({ placed, number, lot, kindName }) => (
        <g key={placed.id}>
          <rect
            x={placed.xMm - lot.padWidthMm / 2}
            y={2}
            width={lot.padWidthMm}
            height={4}
            fill={placed.side === 'above' ? tokens.action : 'none'}
            stroke={tokens.action}
            strokeWidth={0.4}
          />
          <line
            x1={placed.xMm}
            x2={placed.xMm}
            y1={6}
            y2={13}
            stroke={tokens.action}
            strokeWidth={0.6}
            strokeDasharray={placed.side === 'above' ? undefined : '1.5 1'}
          />
          <text x={placed.xMm} y={24} fontSize={10} fontWeight={700} textAnchor="middle" fill={tokens.ink}>
            {number}
          </text>
          {[`${kindName}, ${placed.side}`, `at ${f.length(placed.xMm)}`, `open ${open}`].map((text, i) => (
            <text key={text} x={placed.xMm} y={30 + 5 * i} fontSize={4} textAnchor="middle" fill={tokens.ink}>
              {text}
            </text>
          ))}
        </g>
      ))}
    </FullSize>
  );
}
