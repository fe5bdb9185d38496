import type { OperationKind } from '@lean-clasp/core/kinds';
import {
  type FuseBar as FuseTimes,
  fuseBars,
  isLater,
  operationsOf,
  type OrderedSession,
  type Plan,
  type PlannedOperation,
} from '@lean-clasp/core/plan';
import { formatClock } from '@lean-clasp/core/units';
import { says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import type { Tokens } from '../app/tokens';
import { isSelected, useSelection } from '../drawing/selection';
import { useSize } from '../drawing/use-size';
import { useFormat } from '../quantities/use-format';
import { FuseBar } from '../timeline/FuseBar';
import { handWords } from '../timeline/hands';
import { Minutes } from '../timeline/Minutes';
import { moveFill } from '../timeline/moves';

const LEFT = 62;
const RIGHT = 54;
const LANE = 34;
const FUSE = 24;
const TOP = 26;
const NAME = 17;
/** Fuses drawn; of more joints the tightest. */
const MOST_FUSES = 12;
/** Shortest bar that still gets its label, in pixels per character. */
const CHARACTER = 8.6;

/** Moves of one kind that follow each other are drawn as one bar under one word. */
const TOGETHER: Readonly<Partial<Record<OperationKind, string>>> = {
  caul: 'cauls',
  'set-clamp': 'clamps on',
  tighten: 'full pull',
  tape: 'tape',
  wrap: 'wraps',
  bag: 'bag',
  tap: 'pegs',
  check: 'check',
  iron: 'iron',
};

/** One bar of a lane. */
interface Block {
  readonly kind: OperationKind;
  readonly joints: readonly string[];
  readonly startMin: number;
  readonly endMin: number;
  /** The moves that it stands for. */
  readonly moves: readonly PlannedOperation[];
}

function blocksOf(operations: readonly PlannedOperation[]): Block[] {
  return operations.reduce<Block[]>((blocks, move) => {
    const last = blocks.at(-1);
    if (last?.kind === move.kind && TOGETHER[move.kind] !== undefined) {
      return [...blocks.slice(0, -1), { ...last, endMin: move.endMin, moves: [...last.moves, move] }];
    }
    const { kind, joints, startMin, endMin, wait } = move;
    // A wait is left white.
    return [...blocks, { kind, joints, startMin: startMin + (wait?.min ?? 0), endMin, moves: [move] }];
  }, []);
}

/** One session: a lane for each pair of hands, and a fuse for each of the tightest joints with its limit marked. */
export function SessionChart({
  plan,
  session,
  numberOf,
}: {
  readonly plan: Plan;
  readonly session: OrderedSession;
  /** Number that a joint has in the order of closing. */
  readonly numberOf: (joint: string) => number;
}) {
  const [ref, { width }] = useSize({ width: 400, height: 200 });
  const { tokens } = useTheme().palette;
  const fuses = useMemo(() => fuseBars(plan, session).slice(0, MOST_FUSES), [plan, session]);
  const moves = useMemo(
    () => operationsOf(plan, session).filter((each) => each.endMin > each.startMin && !isLater(each)),
    [plan, session],
  );
  const spanMin =
    Math.max(
      session.workMin,
      ...moves.map(({ endMin }) => endMin),
      ...fuses.map(({ limitMin }) => limitMin),
    ) * 1.02;
  const x = (minutes: number) => LEFT + (minutes / spanMin) * (width - LEFT - RIGHT);
  const f = useFormat();
  const [at, setAt] = useState<number | null>(null);
  const step = (by: number) =>
    setAt((before) => Math.min(moves.length - 1, Math.max(0, (before ?? (by > 0 ? -1 : moves.length)) + by)));
  const shown = at === null ? undefined : moves[at];
  const fusesTop = TOP + plan.build.crew * LANE + 24;
  const height = fusesTop + fuses.length * (FUSE + NAME) + 6;
  return (
    <Box
      ref={ref}
      role="group"
      aria-label="Moves of the session: arrow keys step through them"
      tabIndex={0}
      onKeyDown={(event) => {
        if (event.key !== 'ArrowRight' && event.key !== 'ArrowLeft') return;
        event.preventDefault();
        step(event.key === 'ArrowRight' ? 1 : -1);
      }}
      onBlur={() => setAt(null)}
      onMouseLeave={() => setAt(null)}
    >
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`${moves.length} moves in ${formatClock(session.workMin)}${fuses[0] === undefined ? '' : `; tightest ${fuses[0].label}, ${formatClock(fuses[0].spareMin)} to spare`}`}
        fontSize={14}
      >
        <Minutes spanMin={spanMin} x={x} top={TOP} height={height} tokens={tokens} />
        {Array.from({ length: plan.build.crew }, (_, hand) => (
          <Lane
            key={hand}
            name={handWords([hand])}
            blocks={blocksOf(moves.filter(({ hands }) => hands.includes(hand)))}
            y={TOP + hand * LANE}
            x={x}
            tokens={tokens}
            shown={shown}
            onShow={([move]) => setAt(move === undefined ? null : moves.indexOf(move))}
            numberOf={numberOf}
          />
        ))}
        {fuses.map((fuse, i) => (
          <JointFuse
            key={fuse.joint}
            fuse={fuse}
            y={fusesTop + i * (FUSE + NAME)}
            x={x}
            tokens={tokens}
            number={numberOf(fuse.joint)}
          />
        ))}
      </svg>
      <Typography variant="body2" role="status" sx={{ minHeight: '1.5em' }}>
        {shown === undefined
          ? 'Point at a move, or step through them with the arrow keys.'
          : moveWords(shown, f)}
      </Typography>
    </Box>
  );
}

/** "1:20 to 1:50, both: close stile 1 – rail 1". */
function moveWords(
  { instruction, hands, startMin, endMin }: PlannedOperation,
  f: ReturnType<typeof useFormat>,
): string {
  return `${formatClock(startMin)} to ${formatClock(endMin)}, ${handWords(hands)}: ${says(instruction, f)}`;
}

function Lane({
  name,
  blocks,
  y,
  x,
  tokens,
  shown,
  onShow,
  numberOf,
}: {
  readonly name: string;
  readonly blocks: readonly Block[];
  readonly y: number;
  readonly x: (minutes: number) => number;
  readonly tokens: Tokens;
  /** The move that is read out. */
  readonly shown: PlannedOperation | undefined;
  readonly onShow: (moves: readonly PlannedOperation[]) => void;
  readonly numberOf: (joint: string) => number;
}) {
  return (
    <g>
      <text x={0} y={y + 20} fill={tokens.ink}>
        {name}
      </text>
      {blocks.map(({ kind, joints, startMin, endMin, moves }) => {
        const from = x(startMin);
        const width = x(endMin) - from;
        const text = TOGETHER[kind] ?? numbers(joints.map(numberOf));
        const fill = moveFill(kind);
        const dark = fill === 'action' || fill === 'soft';
        const lit = shown !== undefined && moves.includes(shown);
        return (
          <g
            key={`${kind} ${joints[0] ?? ''} ${startMin}`}
            onMouseEnter={() => onShow(moves)}
            onClick={() => onShow(moves)}
          >
            <rect
              x={from}
              y={y}
              width={Math.max(0, width)}
              height={LANE - 6}
              fill={tokens[fill]}
              stroke={lit ? tokens.ink : tokens.sheet}
              strokeWidth={lit ? 2 : 1}
            />
            {width > text.length * CHARACTER && (
              <text
                x={from + width / 2}
                y={y + 19}
                textAnchor="middle"
                fill={dark ? tokens.sheet : tokens.woodInk}
              >
                {text}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** "3", "1, 2", or "1–4" where they run on. */
function numbers(list: readonly number[]): string {
  const sorted = [...list].sort((a, b) => a - b);
  const [first = 0] = sorted;
  const last = sorted.at(-1) ?? first;
  if (sorted.length > 2 && last - first === sorted.length - 1) return `${first}–${last}`;
  return sorted.length > 3 ? `${sorted.length} joints` : sorted.join(', ');
}

function JointFuse({
  fuse,
  number,
  x,
  y,
  tokens,
}: {
  readonly fuse: FuseTimes;
  readonly number: number;
  readonly x: (minutes: number) => number;
  readonly y: number;
  readonly tokens: Tokens;
}) {
  const { selected, select } = useSelection();
  const chosen = isSelected(selected, 'joint', fuse.joint);
  const late = fuse.spareMin < -1e-6;
  return (
    <g
      style={{ cursor: 'pointer' }}
      onClick={() => select(chosen ? null : { kind: 'joint', id: fuse.joint })}
    >
      <text x={0} y={y + 12} fill={tokens.ink} fontWeight={chosen ? 700 : 400}>
        {number} · {fuse.label}
      </text>
      <FuseBar
        from={x(fuse.fromMin)}
        to={x(fuse.toMin)}
        closed={x(fuse.closedMin)}
        limit={x(fuse.limitMin)}
        spareMin={fuse.spareMin}
        late={late}
        y={y + NAME + 1}
        tokens={tokens}
      />
    </g>
  );
}
