import { type AssemblyPlan, formatClock, type OrderedSession, type SessionOperation } from '@lean-clasp/core';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import type { Tokens } from '../app/tokens';
import { isSelected, useSelection } from '../drawing/selection';
import { useSize } from '../drawing/use-size';
import { FuseBar, limitOf } from '../timeline/FuseBar';
import { closingWords, jointLabels } from './closing-order';
import { laneName, Minutes } from '../timeline/Minutes';

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

const FILLS = { spread: 'glue', close: 'wood', clamp: 'action' } as const;
const WORDS = { spread: 'spread', close: 'close' } as const;

/** One session: a lane for each pair of hands, and a fuse for each of the tightest joints with its limit marked. */
export function SessionChart({
  plan,
  session,
  numberOf,
}: {
  readonly plan: AssemblyPlan;
  readonly session: OrderedSession;
  /** Number that a joint has in the order of closing. */
  readonly numberOf: (joint: string) => number;
}) {
  const [ref, { width }] = useSize({ width: 400, height: 200 });
  const { tokens } = useTheme().palette;
  const fuses = useMemo(() => fusesOf(plan, session), [plan, session]);
  const spanMin = Math.max(session.handsOnMin, ...fuses.map(({ limitMin }) => limitMin)) * 1.02;
  const x = (minutes: number) => LEFT + (minutes / spanMin) * (width - LEFT - RIGHT);
  const [at, setAt] = useState<number | null>(null);
  const moves = session.operations;
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
        aria-label={`${session.operations.length} moves in ${formatClock(session.handsOnMin)}; tightest ${fuses[0]?.label ?? ''}, ${formatClock(fuses[0]?.spareMin ?? 0)} to spare`}
        fontSize={14}
      >
        <Minutes spanMin={spanMin} x={x} top={TOP} height={height} tokens={tokens} />
        {Array.from({ length: plan.build.crew }, (_, hand) => (
          <Lane
            key={hand}
            name={laneName(hand)}
            operations={session.operations.filter(({ hands }) => hands.includes(hand))}
            y={TOP + hand * LANE}
            x={x}
            tokens={tokens}
            shown={shown}
            onShow={(move) => setAt(moves.indexOf(move))}
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
          : moveWords(shown, plan)}
      </Typography>
    </Box>
  );
}

/** "1:20 to 1:50, you and helper: close stile 1 – rail 1". */
function moveWords({ kind, joints, hands, startMin, endMin }: SessionOperation, plan: AssemblyPlan): string {
  const who = hands.map(laneName).join(' and ');
  const what = kind === 'clamp' ? 'clamps on' : WORDS[kind];
  return `${formatClock(startMin)} to ${formatClock(endMin)}, ${who}: ${what} ${closingWords(joints, jointLabels(plan))}`;
}

interface Fuse {
  readonly joint: string;
  readonly label: string;
  readonly fromMin: number;
  readonly closedMin: number;
  readonly toMin: number;
  readonly limitMin: number;
  readonly spareMin: number;
}

/** The tightest joints of a session, tightest first. */
function fusesOf(plan: AssemblyPlan, session: OrderedSession): Fuse[] {
  return plan.joints
    .flatMap(({ facts, window }, i): Fuse[] => {
      const time = plan.times[i];
      if (time === undefined || !session.joints.includes(facts.joint.id)) return [];
      if (window.closedMin === null || window.totalMin === null) return [];
      const limitMin = limitOf(time, { closedMin: window.closedMin, totalMin: window.totalMin });
      return [
        {
          joint: facts.joint.id,
          label: facts.label,
          fromMin: time.spreadStartMin,
          closedMin: time.closedAtMin,
          toMin: time.pressedAtMin,
          limitMin,
          spareMin: limitMin - time.pressedAtMin,
        },
      ];
    })
    .sort((a, b) => a.spareMin - b.spareMin)
    .slice(0, MOST_FUSES);
}

function Lane({
  name,
  operations,
  y,
  x,
  tokens,
  shown,
  onShow,
  numberOf,
}: {
  readonly name: string;
  readonly operations: readonly SessionOperation[];
  readonly y: number;
  readonly x: (minutes: number) => number;
  readonly tokens: Tokens;
  /** The move that is read out. */
  readonly shown: SessionOperation | undefined;
  readonly onShow: (move: SessionOperation) => void;
  readonly numberOf: (joint: string) => number;
}) {
  return (
    <g>
      <text x={0} y={y + 20} fill={tokens.ink}>
        {name}
      </text>
      {operations.map((move) => {
        const { kind, joints, startMin, endMin } = move;
        const from = x(startMin);
        const width = x(endMin) - from;
        const text = kind === 'clamp' ? 'clamps' : numbers(joints.map(numberOf));
        return (
          <g
            key={`${kind} ${joints[0] ?? ''} ${startMin}`}
            onMouseEnter={() => onShow(move)}
            onClick={() => onShow(move)}
          >
            <rect
              x={from}
              y={y}
              width={Math.max(0, width)}
              height={LANE - 6}
              fill={tokens[FILLS[kind]]}
              stroke={move === shown ? tokens.ink : tokens.sheet}
              strokeWidth={move === shown ? 2 : 1}
            />
            {width > text.length * CHARACTER && (
              <text
                x={from + width / 2}
                y={y + 19}
                textAnchor="middle"
                fill={kind === 'clamp' ? tokens.sheet : tokens.woodInk}
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
  readonly fuse: Fuse;
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
