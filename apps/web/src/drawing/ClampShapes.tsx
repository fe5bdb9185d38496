import type { ClampMark, PanelMarks } from '@lean-clasp/core/drawing';
import { useTheme } from '@mui/material/styles';
import { type KeyboardEvent, type PointerEvent, useMemo, useState } from 'react';
import { useFormat } from '../quantities/use-format';
import { DRAG_STEP_MM } from './drag-step';
import type { DrawingExtras, GhostClamp } from './extras';
import { Pickable } from './Pickable';
import { isSelected, useSelection } from './selection';
import type { Sheet } from './sheet';

/** Class that the pan gesture leaves alone, because it drags a clamp. */
export const CLAMP_HANDLE_CLASS = 'clamp-handle';

/** With the arrow keys and shift, mm. */
const FINE_STEP_MM = 1;
/** Pixels above the first edge at which numbers stand, and their radius. */
const HEAD_PX = 34;
const HEAD_RADIUS = 14;
/** Width of a bar, and of the paper-coloured casing that sets it off from the wood in either theme. */
const BAR_PX = Object.freeze({ plain: 5, chosen: 8 });
const CASING_PX = 3;

/** Clamps across the panel: solid above, dashed below, numbered from the first end. */
export function ClampShapes({
  marks,
  sheet,
  extras,
}: {
  readonly marks: PanelMarks;
  readonly sheet: Sheet;
  readonly extras: DrawingExtras;
}) {
  // Clamps stand in the order of their places; while one is dragged past another they keep it, for a shape that is moved in the page
  // lets go of the finger.
  const [held, setHeld] = useState<readonly string[] | null>(null);
  const clamps = useMemo(
    () =>
      held === null
        ? marks.clamps
        : [...marks.clamps].sort((a, b) => held.indexOf(a.id) - held.indexOf(b.id)),
    [marks, held],
  );
  return (
    <>
      {clamps.map((clamp) => (
        <ClampShape
          key={clamp.id}
          clamp={clamp}
          marks={marks}
          sheet={sheet}
          extras={extras}
          dim={extras.focus !== undefined && extras.focus.clamp !== clamp.number}
          onHold={(isHeld) => setHeld(isHeld ? clamps.map(({ id }) => id) : null)}
        />
      ))}
      {extras.ghosts?.map((ghost) => (
        <GhostShape key={ghost.xMm} ghost={ghost} marks={marks} sheet={sheet} />
      ))}
    </>
  );
}

function ClampShape({
  clamp,
  marks,
  sheet,
  extras,
  dim,
  onHold,
}: {
  readonly clamp: ClampMark;
  readonly marks: PanelMarks;
  readonly sheet: Sheet;
  readonly extras: DrawingExtras;
  readonly dim: boolean;
  /** When it is taken hold of, and when it is let go. */
  readonly onHold: (isHeld: boolean) => void;
}) {
  const { tokens } = useTheme().palette;
  const { length } = useFormat();
  const { selected } = useSelection();
  const [drag, setDrag] = useState<{ readonly fromMm: number; readonly atMm: number } | null>(null);
  const { onMoveClamp, onDragClamp, onRemoveClamp } = extras;
  const chosen = isSelected(selected, 'clamp', clamp.id);
  const above = clamp.side === 'above';
  const colour = clamp.faulty ? tokens.fails : tokens.action;
  const jaw = Math.max(10, clamp.padWidthMm * sheet.scale);
  const top = sheet.y(-marks.edgeMm);
  const bottom = sheet.y(marks.widthMm + marks.edgeMm);
  const barEnd = bottom + (clamp.handle === 'last' ? 20 : 12);

  const along = (event: PointerEvent<SVGGElement>): number => {
    const matrix = event.currentTarget.ownerSVGElement?.getScreenCTM();
    const px = matrix == null ? event.clientX : (event.clientX - matrix.e) / matrix.a;
    const mm = Math.round((px - sheet.left) / sheet.scale / DRAG_STEP_MM) * DRAG_STEP_MM;
    return Math.min(marks.lengthMm, Math.max(0, mm));
  };
  const letGo = (drop: typeof drag) => {
    if (drop === null || drop.atMm === drop.fromMm) onDragClamp?.(clamp.id, null);
    else onMoveClamp?.(clamp.id, drop.atMm);
    setDrag(null);
    onHold(false);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Delete' && onRemoveClamp !== undefined) onRemoveClamp(clamp.id);
    const direction = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
    if (direction === 0 || onMoveClamp === undefined) return;
    event.preventDefault();
    const step = event.shiftKey ? FINE_STEP_MM : DRAG_STEP_MM;
    onMoveClamp(clamp.id, Math.min(marks.lengthMm, Math.max(0, clamp.xMm + direction * step)));
  };

  return (
    <Pickable
      what={{ kind: 'clamp', id: clamp.id }}
      label={`Clamp ${clamp.number}, ${clamp.side}, at ${length(clamp.xMm)}${clamp.faulty ? ', does not do' : ''}`}
      opacity={dim ? 0.25 : 1}
      transform={`translate(${sheet.x(drag?.atMm ?? clamp.xMm)} 0)`}
      style={{ touchAction: onMoveClamp === undefined ? undefined : 'none' }}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        if (onMoveClamp === undefined) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ fromMm: clamp.xMm, atMm: clamp.xMm });
        onHold(true);
      }}
      onPointerMove={(event) => {
        const atMm = along(event);
        if (drag === null || drag.atMm === atMm) return;
        setDrag({ ...drag, atMm });
        onDragClamp?.(clamp.id, atMm);
      }}
      onPointerUp={() => {
        if (drag !== null) letGo(drag);
      }}
      onPointerCancel={() => letGo(null)}
    >
      <g className={CLAMP_HANDLE_CLASS} stroke={colour} fill={colour}>
        <rect
          className={CLAMP_HANDLE_CLASS}
          x={-Math.max(12, jaw / 2)}
          y={top - HEAD_PX - HEAD_RADIUS}
          width={Math.max(24, jaw)}
          height={bottom - top + HEAD_PX + HEAD_RADIUS + 26}
          fill="transparent"
          stroke="none"
        />
        <line
          className={CLAMP_HANDLE_CLASS}
          y1={top}
          y2={barEnd}
          stroke={tokens.paper}
          strokeWidth={(chosen ? BAR_PX.chosen : BAR_PX.plain) + CASING_PX}
          opacity={0.8}
        />
        <line
          className={CLAMP_HANDLE_CLASS}
          y1={top}
          y2={barEnd}
          strokeWidth={chosen ? BAR_PX.chosen : BAR_PX.plain}
          strokeDasharray={above ? undefined : '9 7'}
        />
        {[top - 9, bottom].map((y) => (
          <rect key={y} className={CLAMP_HANDLE_CLASS} x={-jaw / 2} y={y} width={jaw} height={9} />
        ))}
        <line
          className={CLAMP_HANDLE_CLASS}
          x1={-12}
          x2={12}
          y1={clamp.handle === 'last' ? bottom + 22 : top - 16}
          y2={clamp.handle === 'last' ? bottom + 22 : top - 16}
          strokeWidth={5}
        />
        <circle
          className={CLAMP_HANDLE_CLASS}
          cy={top - HEAD_PX}
          r={HEAD_RADIUS}
          fill={above ? colour : tokens.sheet}
          strokeWidth={chosen ? 4 : 2}
        />
        <text
          className={CLAMP_HANDLE_CLASS}
          y={top - HEAD_PX + 5}
          textAnchor="middle"
          fontSize={15}
          fontWeight={700}
          stroke="none"
          fill={above ? tokens.sheet : colour}
        >
          {clamp.number}
        </text>
      </g>
      {drag !== null && (
        <text y={bottom + 42} textAnchor="middle" fontSize={14} fill={tokens.ink}>
          {length(drag.atMm)}
        </text>
      )}
    </Pickable>
  );
}

function GhostShape({
  ghost,
  marks,
  sheet,
}: {
  readonly ghost: GhostClamp;
  readonly marks: PanelMarks;
  readonly sheet: Sheet;
}) {
  const { tokens } = useTheme().palette;
  const top = sheet.y(-marks.edgeMm);
  const bottom = sheet.y(marks.widthMm + marks.edgeMm);
  return (
    <g
      transform={`translate(${sheet.x(ghost.xMm)} 0)`}
      stroke={tokens.glueText}
      fill="none"
      strokeWidth={3}
      strokeDasharray="2 6"
      aria-hidden
    >
      <line y1={top} y2={bottom + 20} />
      <circle cy={top - HEAD_PX} r={HEAD_RADIUS} />
      <text
        y={top - HEAD_PX + 5}
        textAnchor="middle"
        fontSize={15}
        fontWeight={700}
        fill={tokens.glueText}
        stroke="none"
      >
        +
      </text>
    </g>
  );
}
