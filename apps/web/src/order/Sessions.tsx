import type { Plan, OrderedSession } from '@lean-clasp/core/plan';
import { formatClock } from '@lean-clasp/core/units';
import { planSays } from '@lean-clasp/words';
import {
  type CollisionDetection,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  pointerWithin,
  rectIntersection,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import PushPinIcon from '@mui/icons-material/PushPin';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { isSelected, useSelection } from '../drawing/selection';
import { Section } from '../frame/Page';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { Tick } from '../parts/Tick';
import { askPlan } from '../planner/workers';
import { useFormat } from '../quantities/use-format';
import { useOpenBuild } from '../workspace/open-build';
import { closingOrder, jointLabels } from './closing-order';
import { moveJoint, pinJoint } from './edits';
import { SessionChart } from './SessionChart';

/** Joints drawn as chips in a session; more are counted. */
const MOST_CHIPS = 24;

/** What the pointer is over; moved by keys, what the chip lies over most. */
const underPointer: CollisionDetection = (args) => {
  const under = pointerWithin(args);
  return under.length > 0 ? under : rectIntersection(args);
};

/** The sessions side by side, as many as there is room for; joints are dragged between them, or moved by the list for the one selected. */
export function Sessions({ plan }: { readonly plan: Plan }) {
  const { edit, build, shop } = useOpenBuild();
  const f = useFormat();
  const [refused, setRefused] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 8 } }),
    useSensor(KeyboardSensor),
  );
  const sessions = plan.order?.sessions ?? [];
  const numbers = useMemo(
    () =>
      new Map(
        closingOrder(plan)
          .flat()
          .map((id, i) => [id, i + 1]),
      ),
    [plan],
  );
  const labels = useMemo(() => jointLabels(plan), [plan]);
  if (plan.order?.impossible) {
    return (
      <Alert severity="error" variant="outlined" sx={{ mb: 3 }}>
        {planSays(plan.verdicts.inTime.cause, f)}. Work the sessions out anew, or undo.
      </Alert>
    );
  }
  const move = (joint: string, session: number) => {
    const change = moveJoint(
      joint,
      session,
      sessions.map(({ joints }) => joints),
    );
    // Tried before it is done: a drop that cannot be glued changes nothing and is explained.
    askPlan(change(build), shop).then(
      (answer) => {
        const blocked = answer.order?.impossible;
        setRefused(blocked ? planSays(answer.verdicts.inTime.cause, f) : null);
        if (!blocked) edit(`${labels.get(joint) ?? 'A joint'} in session ${session + 1}`, change);
      },
      (error: unknown) => setRefused(error instanceof Error ? error.message : String(error)),
    );
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const session = Number(over?.id ?? NaN);
    if (!Number.isFinite(session)) return;
    if (sessions[session]?.joints.includes(String(active.id))) return;
    move(String(active.id), session);
  };
  return (
    <DndContext sensors={sensors} collisionDetection={underPointer} onDragEnd={onDragEnd}>
      {refused !== null && (
        <Alert severity="warning" variant="outlined" sx={{ mb: 2 }} onClose={() => setRefused(null)}>
          Not moved: {refused}.
        </Alert>
      )}
      <Selected labels={labels} sessions={sessions} onMove={move} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns:
            sessions.length === 1
              ? 'minmax(0, 1fr) minmax(110px, 0.28fr)'
              : 'repeat(auto-fit, minmax(min(100%, 300px), 1fr))',
          columnGap: 3,
        }}
      >
        {sessions.map((session, i) => (
          <SessionBlock
            key={i}
            index={i}
            plan={plan}
            session={session}
            labels={labels}
            numberOf={(joint) => numbers.get(joint) ?? 0}
          />
        ))}
        <NewSession index={sessions.length} />
      </Box>
    </DndContext>
  );
}

function SessionBlock({
  index,
  plan,
  session,
  labels,
  numberOf,
}: {
  readonly index: number;
  readonly plan: Plan;
  readonly session: OrderedSession;
  readonly labels: ReadonlyMap<string, string>;
  readonly numberOf: (joint: string) => number;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: index });
  const { build } = useOpenBuild();
  const count = session.joints.length;
  return (
    <Section
      title={`${plan.order?.sessions.length === 1 ? 'One session' : `Session ${index + 1}`}: ${count === 1 ? 'one joint' : `${count} joints`}`}
    >
      <Typography variant="body2" sx={{ mb: 1 }}>
        {formatClock(session.workMin)} hands-on with the check.
        {session.dryJig !== null &&
          ` Put the rest together dry first (${formatClock(session.dryJig.minutes)}): it holds these joints square and in place. No glue near its joints, and take it apart before this sets.`}
        {index === 0 &&
          plan.facts.assembly.pressedBy === 'clamps' &&
          ' A fuse burns from a joint’s first bead to full pressure, with a notch where it closes; the mark is the short end of what the glue gives today.'}
      </Typography>
      <SessionChart plan={plan} session={session} numberOf={numberOf} />
      <Box
        ref={setNodeRef}
        role="list"
        aria-label={`Joints of session ${index + 1} in the order of closing`}
        sx={(theme) => ({
          display: 'flex',
          flexWrap: 'wrap',
          gap: 0.75,
          mt: 1,
          p: 1,
          minHeight: 60,
          border: `1px dashed ${isOver ? theme.palette.tokens.action : theme.palette.tokens.rule}`,
          bgcolor: isOver ? theme.palette.tokens.actionTint : undefined,
        })}
      >
        {session.closings
          .flatMap(({ joints }) => joints)
          .slice(0, MOST_CHIPS)
          .map((id) => (
            <JointChip
              key={id}
              id={id}
              label={`${numberOf(id)} · ${labels.get(id) ?? id}`}
              pinned={build.order?.pinned.includes(id) ?? false}
            />
          ))}
        {count > MOST_CHIPS && (
          <Typography sx={{ alignSelf: 'center' }}>and {count - MOST_CHIPS} more</Typography>
        )}
      </Box>
    </Section>
  );
}

function JointChip({
  id,
  label,
  pinned,
}: {
  readonly id: string;
  readonly label: string;
  readonly pinned: boolean;
}) {
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id });
  const { selected, select } = useSelection();
  const chosen = isSelected(selected, 'joint', id);
  return (
    <Box role="listitem">
      <Chip
        ref={setNodeRef}
        {...attributes}
        {...listeners}
        label={label}
        {...(pinned ? { icon: <PushPinIcon titleAccess="pinned" /> } : {})}
        variant={chosen ? 'filled' : 'outlined'}
        aria-pressed={chosen}
        onClick={() => select(chosen ? null : { kind: 'joint', id })}
        sx={{
          height: 44,
          fontSize: '0.95rem',
          touchAction: 'none',
          ...(transform === null
            ? {}
            : { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: 2 }),
        }}
      />
    </Box>
  );
}

/** Where a joint is dropped to open one more session. */
function NewSession({ index }: { readonly index: number }) {
  const { setNodeRef, isOver } = useDroppable({ id: index });
  return (
    <Box
      ref={setNodeRef}
      data-drop="new session"
      sx={(theme) => ({
        p: 1.5,
        mb: 3,
        border: `1px dashed ${isOver ? theme.palette.tokens.action : theme.palette.tokens.rule}`,
        bgcolor: isOver ? theme.palette.tokens.actionTint : undefined,
      })}
    >
      <Typography variant="body2" color="text.secondary">
        Drop a joint here to glue it in a session of its own afterwards.
      </Typography>
    </Box>
  );
}

/** The selected joint, wherever it was selected, with the session it is in: the way to move it without dragging. */
function Selected({
  labels,
  sessions,
  onMove,
}: {
  readonly labels: ReadonlyMap<string, string>;
  readonly sessions: readonly OrderedSession[];
  readonly onMove: (joint: string, session: number) => void;
}) {
  const { selected } = useSelection();
  const { edit, build } = useOpenBuild();
  const id = selected?.kind === 'joint' ? selected.id : null;
  const at = sessions.findIndex(({ joints }) => id !== null && joints.includes(id));
  if (id === null || at < 0) {
    return (
      <Typography variant="body2" color="text.secondary" sx={{ mb: 2 }}>
        Select a joint here or in the drawing to move it to another session or to pin it.
      </Typography>
    );
  }
  const options = [...sessions.map((_, i) => i), sessions.length].map((i) => ({
    value: String(i),
    name: i === sessions.length ? 'a new one after these' : `session ${i + 1}`,
  }));
  return (
    <Box sx={{ mb: 2 }}>
      <Typography sx={{ fontWeight: 600 }}>{labels.get(id)}</Typography>
      <FieldRow>
        <Choice
          label="Glued in"
          value={String(at)}
          options={options}
          onChange={(to) => onMove(id, Number(to))}
          width={220}
        />
        <Tick
          label="Pinned there"
          checked={build.order?.pinned.includes(id) ?? false}
          onChange={(pinned) =>
            edit(
              pinned ? 'Joint pinned' : 'Joint unpinned',
              pinJoint(
                id,
                pinned,
                sessions.map(({ joints }) => joints),
              ),
            )
          }
        />
      </FieldRow>
    </Box>
  );
}
