import { type AssemblyMarks, type PlacedMark, placeLabels, type Slide } from '@lean-clasp/core/drawing';
import type { ClampPlace, Plan } from '@lean-clasp/core/plan';
import { JOINT_WORDS, inSentence } from '@lean-clasp/words';
import { useTheme } from '@mui/material/styles';
import { memo, useId } from 'react';
import { moveByArrows } from '../drawing/arrow-keys';
import { Pickable } from '../drawing/Pickable';
import { isSelected, useSelection } from '../drawing/selection';
import { svgPath } from '../drawing/svg-path';
import type { Size } from '../drawing/use-size';
import type { Playback } from '../order/use-playback';
import { type Format, useFormat } from '../quantities/use-format';
import { Glyph, JointSpot, NameTag, numberBox, Overall, TAG_HEIGHT, tagWidth } from './drawing-tags';
import { areNumbered, PlacedBars, PlacedNumbers } from './PlacedShapes';
import { useSliding } from './use-sliding';

/** Room for dimensions around the drawing, px. */
const MARGIN = { left: 64, right: 24, top: 24, bottom: 44 };
/** More parts than this get a dot in place of a name. */
const MOST_NAMES = 14;

/** More joints than this show their number in the order of closing only when chosen. */
const MOST_NUMBERS = 40;

/** One view of an assembly to scale; every part can be reached, read out and chosen. */
export const AssemblyDrawing = memo(function AssemblyDrawing({
  marks,
  frame,
  order,
  facts,
  title,
  size,
  dimensioned,
  marked,
  clamps,
  slides,
  onSlide,
}: {
  readonly marks: AssemblyMarks;
  /** What the sheet is scaled to hold. */
  readonly frame: Pick<AssemblyMarks, 'from' | 'size'>;
  /** Numbers of the joints in the order of closing, and what is closing just now; null where that is not shown. */
  readonly order: Pick<Playback, 'numbers' | 'closing'> | null;
  readonly facts: Plan['facts'];
  readonly title: string;
  readonly size: Size;
  readonly dimensioned: boolean;
  /** Whether face and edge marks are drawn. */
  readonly marked: boolean;
  /** Clamps in their places; empty where the step does not show them. */
  readonly clamps: readonly PlacedMark[];
  /** Those of them that can be slid, and where that is kept. */
  readonly slides: readonly Slide[];
  readonly onSlide: (number: number, place: ClampPlace) => void;
}) {
  const { tokens } = useTheme().palette;
  const { selected, select } = useSelection();
  const f = useFormat();
  const hatch = useId();
  const at = placing(frame, size);
  const { held, handlersOf } = useSliding(slides, at([1, 0])[0] - at([0, 0])[0], onSlide);
  const path = (loops: AssemblyMarks['sides'][number]['loops']) =>
    loops.map((loop) => svgPath(loop, at, true)).join('');
  const joined = facts.joints.find(({ joint }) => isSelected(selected, 'joint', joint.id))?.joint;
  const lit = (id: string | null) =>
    id !== null &&
    (isSelected(selected, 'part', id) ||
      joined?.a === id ||
      joined?.b === id ||
      (order?.closing?.comes.includes(id) ?? false));
  const named = (id: string) => marks.parts.length <= MOST_NAMES || isSelected(selected, 'part', id);
  const numbered = marks.joints.length <= MOST_NUMBERS;
  const tagged = marks.parts.filter(({ id }) => named(id));
  const placed = placeLabels(
    tagged.map(({ label, at: spot }) => {
      const [x, y] = at(spot);
      return { x, y, width: tagWidth(label), height: TAG_HEIGHT };
    }),
    size,
    [
      ...(order === null || !numbered ? [] : marks.joints.map(({ at: spot }) => numberBox(at(spot)))),
      ...(areNumbered(clamps)
        ? clamps.filter(({ strip }) => !strip).map(({ at: spot }) => numberBox(at(spot)))
        : []),
    ],
  );
  const places = new Map(tagged.map(({ id }, i) => [id, placed[i]]));
  return (
    <svg
      width={size.width}
      height={size.height}
      role="group"
      aria-label={`${title}: ${facts.parts.length} parts, ${facts.joints.length === 1 ? 'one joint' : `${facts.joints.length} joints`}`}
    >
      <defs>
        <pattern id={hatch} width={5} height={5} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={0} x2={0} y1={0} y2={5} stroke={tokens.woodInk} strokeWidth={0.7} opacity={0.55} />
        </pattern>
      </defs>
      <PlacedBars marks={clamps.filter(({ behind }) => behind)} at={at} held={held} />
      <g aria-hidden>
        {marks.sides.map(({ part, loops, endGrain, light, mark }, i) => {
          const d = path(loops);
          const fill = part === null ? tokens.barGround : lit(part) ? tokens.glue : tokens.wood;
          return (
            <g key={i} onClick={() => part !== null && select({ kind: 'part', id: part })} cursor="pointer">
              <path
                d={d}
                fill={fill}
                fillRule="evenodd"
                stroke={tokens.woodInk}
                strokeWidth={0.8}
                strokeLinejoin="round"
              />
              <path d={d} fill={tokens.woodInk} fillRule="evenodd" opacity={0.26 * (1 - light)} />
              {endGrain && <path d={d} fill={`url(#${hatch})`} fillRule="evenodd" />}
              {marked && mark !== null && <Glyph glyph={mark} at={at(mark.at)} />}
            </g>
          );
        })}
      </g>
      <PlacedBars marks={clamps.filter(({ behind }) => !behind)} at={at} held={held} />
      <g role="group" aria-label="Joints" onKeyDown={moveByArrows}>
        {marks.joints.map(({ id, at: spot, loops }, i) => {
          const [x, y] = at(spot);
          const chosen = isSelected(selected, 'joint', id);
          return (
            <Pickable key={id} what={{ kind: 'joint', id }} label={jointLabel(facts, i, f)} tabStop={i === 0}>
              {chosen && (
                <path
                  d={path(loops)}
                  fill={tokens.glue}
                  fillOpacity={0.35}
                  stroke={tokens.glue}
                  strokeWidth={2}
                />
              )}
              <JointSpot
                at={[x, y]}
                strong={chosen || (order?.closing?.joints.includes(id) ?? false)}
                number={order !== null && (numbered || chosen) ? order.numbers.get(id) : undefined}
              />
            </Pickable>
          );
        })}
      </g>
      <g role="group" aria-label="Parts" onKeyDown={moveByArrows}>
        {marks.parts.map(({ id, label, at: spot }, i) => {
          const [x, y] = at(spot);
          const place = places.get(id);
          return (
            <Pickable key={id} what={{ kind: 'part', id }} label={partLabel(facts, i, f)} tabStop={i === 0}>
              {place !== undefined ? (
                <NameTag label={label} place={place} spot={[x, y]} />
              ) : (
                <circle cx={x} cy={y} r={3} fill={tokens.ink} opacity={0.7} />
              )}
            </Pickable>
          );
        })}
      </g>
      {clamps.length > 0 && <PlacedNumbers marks={clamps} at={at} held={held} handlersOf={handlersOf} />}
      {dimensioned && <Overall marks={marks} at={at} />}
    </svg>
  );
});

/** From mm on the sheet to pixels, in the middle of whatever room there is. */
function placing(
  frame: Pick<AssemblyMarks, 'from' | 'size'>,
  size: Size,
): (point: readonly [number, number]) => [number, number] {
  const [width, height] = [size.width - MARGIN.left - MARGIN.right, size.height - MARGIN.top - MARGIN.bottom];
  const scale = Math.min(width / Math.max(1, frame.size[0]), height / Math.max(1, frame.size[1]));
  const left = MARGIN.left + (width - frame.size[0] * scale) / 2;
  const top = MARGIN.top + (height - frame.size[1] * scale) / 2;
  return ([x, y]) => [left + (x - frame.from[0]) * scale, top + (y - frame.from[1]) * scale];
}

/** What is read out for a part. */
function partLabel(facts: Plan['facts'], index: number, f: Format): string {
  const own = facts.parts[index];
  return own === undefined
    ? ''
    : `${own.part.label}, ${inSentence(own.woodName)}, ${f.sizes(own.part.blankMm)}`;
}

/** What is read out for a joint. */
function jointLabel(facts: Plan['facts'], index: number, f: Format): string {
  const own = facts.joints[index];
  return own === undefined ? '' : `${JOINT_WORDS[own.joint.kind]}, ${own.label}, ${f.area(own.contactMm2)}`;
}
