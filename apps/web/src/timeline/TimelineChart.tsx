import {
  type AdhesiveWindow,
  formatClock,
  type LineTimes,
  type Operation,
  type Plan,
} from '@lean-clasp/core';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { FIGURE_FACE } from '../app/theme';
import type { Tokens } from '../app/tokens';
import { useSize } from '../drawing/use-size';
import { isSelected, useSelection } from '../drawing/selection';
import { FuseBar, limitOf } from './FuseBar';
import { laneName, Minutes } from './Minutes';

const LEFT = 62;
const RIGHT = 56;
const LANE = 34;
const FUSE = 26;
const TOP = 26;
/** Shortest bar that still gets its label, in pixels per character. */
const CHARACTER = 8.6;

/** Lanes for each pair of hands, and a fuse for each line with its limit marked. */
export function TimelineChart({ plan }: { readonly plan: Plan }) {
  const [ref, { width }] = useSize({ width: 400, height: 300 });
  const { tokens } = useTheme().palette;
  const { timeline, lines, build } = plan;
  const limits = timeline.lines.map((line) => lineLimit(line, lines[line.line]?.window));
  const spanMin = Math.max(timeline.handsOnMin, ...limits) * 1.02;
  const x = (minutes: number) => LEFT + (minutes / spanMin) * (width - LEFT - RIGHT);
  const fusesTop = TOP + build.crew * LANE + 30;
  const height = fusesTop + lines.length * FUSE + 8;
  return (
    <Box ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Timeline: ${timeline.operations.length} moves in ${formatClock(timeline.handsOnMin)}`}
        fontSize={14}
      >
        <Minutes spanMin={spanMin} x={x} top={TOP} height={height} tokens={tokens} />
        {Array.from({ length: build.crew }, (_, hand) => (
          <Lane
            key={hand}
            name={laneName(hand)}
            operations={timeline.operations.filter((operation) => operation.hand === hand)}
            y={TOP + hand * LANE}
            x={x}
            tokens={tokens}
            plan={plan}
          />
        ))}
        <text x={LEFT} y={fusesTop - 8} fill={tokens.soft}>
          fuses, limit marked
        </text>
        {timeline.lines.map((line, i) => (
          <LineFuse
            key={line.line}
            label={lines[line.line]?.line.label ?? ''}
            index={line.line}
            from={x(line.spreadStartMin)}
            to={x(line.pressedAtMin)}
            closed={x(line.closedAtMin)}
            limit={x(limits[i] ?? 0)}
            spareMin={(limits[i] ?? 0) - line.pressedAtMin}
            y={fusesTop + i * FUSE}
            tokens={tokens}
          />
        ))}
      </svg>
    </Box>
  );
}

/** The limit of a line; none is known where the glue is refused. */
function lineLimit(line: LineTimes, window: AdhesiveWindow | undefined): number {
  if (window?.closedMin == null || window.totalMin === null) return 0;
  return limitOf(line, { closedMin: window.closedMin, totalMin: window.totalMin });
}

const FILLS: Readonly<
  Record<Operation['kind'], keyof Tokens & ('glue' | 'wood' | 'action' | 'soft' | 'woodAlternate')>
> = {
  spread: 'glue',
  close: 'wood',
  caul: 'woodAlternate',
  'set-clamp': 'action',
  tighten: 'action',
  check: 'soft',
};

const OPERATION_WORDS: Readonly<Record<Operation['kind'], string>> = {
  spread: 'spread',
  close: 'close',
  caul: 'cauls',
  'set-clamp': 'clamps on',
  tighten: 'full pull',
  check: 'check',
};

/** Neighbouring moves of one kind at one pair of hands, drawn as one bar unless they concern single lines. */
interface Block {
  readonly kind: Operation['kind'];
  readonly text: string;
  readonly startMin: number;
  readonly endMin: number;
}

function blocksOf(operations: readonly Operation[], plan: Plan): Block[] {
  return operations.reduce<Block[]>((blocks, { kind, lines, startMin, endMin }) => {
    const last = blocks.at(-1);
    if (last?.kind === kind && kind !== 'spread' && kind !== 'close') {
      return [...blocks.slice(0, -1), { ...last, endMin }];
    }
    const line = kind === 'spread' || kind === 'close' ? plan.lines[lines[0] ?? 0]?.line.label : undefined;
    return [...blocks, { kind, text: line ?? OPERATION_WORDS[kind], startMin, endMin }];
  }, []);
}

function Lane({
  name,
  operations,
  y,
  x,
  tokens,
  plan,
}: {
  readonly name: string;
  readonly operations: readonly Operation[];
  readonly y: number;
  readonly x: (minutes: number) => number;
  readonly tokens: Tokens;
  readonly plan: Plan;
}) {
  return (
    <g>
      <text x={0} y={y + 20} fill={tokens.ink}>
        {name}
      </text>
      {blocksOf(operations, plan).map((block) => {
        const from = x(block.startMin);
        const width = x(block.endMin) - from;
        const dark = block.kind === 'set-clamp' || block.kind === 'tighten' || block.kind === 'check';
        return (
          <g key={`${block.kind} ${block.startMin}`}>
            <title>{`${OPERATION_WORDS[block.kind]} ${block.text}, ${formatClock(block.startMin)} to ${formatClock(block.endMin)}`}</title>
            <rect
              x={from}
              y={y}
              width={width}
              height={LANE - 6}
              fill={tokens[FILLS[block.kind]]}
              stroke={tokens.sheet}
            />
            {width > block.text.length * CHARACTER && (
              <text
                x={from + width / 2}
                y={y + 19}
                textAnchor="middle"
                fill={dark ? tokens.sheet : tokens.woodInk}
              >
                {block.text}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

function LineFuse({
  label,
  index,
  from,
  to,
  closed,
  limit,
  spareMin,
  y,
  tokens,
}: {
  readonly label: string;
  readonly index: number;
  readonly from: number;
  readonly to: number;
  /** Where the faces come together. */
  readonly closed: number;
  readonly limit: number;
  readonly spareMin: number;
  readonly y: number;
  readonly tokens: Tokens;
}) {
  const { selected, select } = useSelection();
  const chosen = isSelected(selected, 'line', String(index));
  const late = spareMin < 0;
  return (
    <g
      style={{ cursor: 'pointer' }}
      onClick={() => select(chosen ? null : { kind: 'line', id: String(index) })}
    >
      <text x={0} y={y + 14} fill={tokens.ink} fontFamily={FIGURE_FACE} fontWeight={chosen ? 700 : 400}>
        {label}
      </text>
      <FuseBar
        from={from}
        to={to}
        closed={closed}
        limit={limit}
        spareMin={spareMin}
        late={late}
        y={y + 3}
        tokens={tokens}
      />
    </g>
  );
}
