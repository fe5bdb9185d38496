import {
  assemblyMarks,
  type AssemblyView,
  clampMarks,
  clampSlides,
  frameWith,
  pulledApart,
  TOGETHER,
} from '@lean-clasp/core/drawing';
import type { ClampPlace, Plan } from '@lean-clasp/core/plan';
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { Suspense, useMemo, useState } from 'react';
import { Loading } from '../frame/Loading';
import { useSize } from '../drawing/use-size';
import { PlaybackBar } from '../order/PlaybackBar';
import { usePlayback } from '../order/use-playback';
import { readIn } from '../parts/read-in';
import { Tick } from '../parts/Tick';
import { AssemblyDrawing } from './AssemblyDrawing';
import { hasWebGl } from './has-web-gl';

const Solid = readIn(() => import('./SolidView').then((m) => m.SolidView));

const VIEWS: readonly { readonly id: AssemblyView | 'solid'; readonly name: string }[] = [
  { id: 'slant', name: 'Slant' },
  { id: 'front', name: 'Front' },
  { id: 'above', name: 'Above' },
  { id: 'side', name: 'Side' },
  { id: 'solid', name: 'Turn it' },
];

/** The assembly on its sheet: flat views with sizes, or a solid to turn; whole, pulled apart, or closing in order. */
export function AssemblySheet({
  plan,
  title,
  ordered,
  squeezed,
  onSlide,
}: {
  readonly plan: Plan;
  readonly title: string;
  /** Whether the order of closing is shown and played. */
  readonly ordered: boolean;
  /** Whether clamps are shown in their places. */
  readonly squeezed: boolean;
  /** A clamp was slid to another place. */
  readonly onSlide: (number: number, place: ClampPlace) => void;
}) {
  const { facts } = plan;
  const [view, setView] = useState<AssemblyView | 'solid'>('slant');
  const [apart, setApart] = useState(0);
  const [aids, setAids] = useState(true);
  const [marked, setMarked] = useState(false);
  const [ref, size] = useSize({ width: 760, height: 430 });
  const flat = view === 'solid' ? 'slant' : view;
  const playback = usePlayback(plan, ordered);
  const exploded = useMemo(() => pulledApart(facts, apart), [facts, apart]);
  const shifts = playback?.shifts ?? exploded;
  const marks = useMemo(() => assemblyMarks(facts, flat, { shifts, aids }), [facts, flat, shifts, aids]);
  const widest = playback?.widest ?? TOGETHER;
  const clamps = useMemo(
    () => (squeezed && shifts.size === 0 ? clampMarks(plan, flat) : []),
    [squeezed, shifts, plan, flat],
  );
  const slides = useMemo(() => (clamps.length === 0 ? [] : clampSlides(plan, flat)), [clamps, plan, flat]);
  // While closings are played the sheet keeps its scale.
  const frame = useMemo(
    () => frameWith(widest.size === 0 ? marks : assemblyMarks(facts, flat, { shifts: widest, aids }), clamps),
    [facts, flat, widest, aids, marks, clamps],
  );
  return (
    <Box
      className="print-sheet"
      sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: 0 }}
    >
      <Box ref={ref} sx={{ flex: 1, minHeight: 180, minWidth: 0, overflow: 'hidden' }}>
        {view === 'solid' ? (
          <Suspense fallback={<Loading what="Building the solid" />}>
            <Solid facts={facts} shifts={shifts} aids={aids} />
          </Suspense>
        ) : (
          <AssemblyDrawing
            marks={marks}
            frame={frame}
            order={playback}
            facts={facts}
            title={title}
            size={size}
            dimensioned={view !== 'slant' && shifts.size === 0 && widest.size === 0}
            marked={marked}
            clamps={clamps}
            slides={slides}
            onSlide={onSlide}
          />
        )}
      </Box>
      <Box
        className="no-print"
        sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2, px: 2, pb: 1 }}
      >
        <ToggleButtonGroup
          exclusive
          aria-label="View"
          value={view}
          onChange={(_, next: AssemblyView | 'solid' | null) => {
            if (next !== null) setView(next);
          }}
        >
          {VIEWS.filter(({ id }) => id !== 'solid' || hasWebGl()).map(({ id, name }) => (
            <ToggleButton
              key={id}
              value={id}
              sx={{
                minHeight: 44,
                px: { xs: 1, sm: 1.5 },
                textTransform: 'none',
                fontSize: { xs: '0.875rem', sm: '1rem' },
                whiteSpace: 'nowrap',
              }}
            >
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {playback === null ? (
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, width: 220, minHeight: 44 }}>
            <span id="apart">Apart</span>
            <Slider
              aria-labelledby="apart"
              min={0}
              max={1}
              step={0.05}
              value={apart}
              onChange={(_, value) => setApart(Number(value))}
            />
          </Box>
        ) : (
          <PlaybackBar plan={plan} playback={playback} />
        )}
        {view !== 'solid' && <Tick label="Face and edge marks" checked={marked} onChange={setMarked} />}
        {facts.assembly.aids.length > 0 && (
          <Tick label="Blocks, cauls and forms" checked={aids} onChange={setAids} />
        )}
      </Box>
    </Box>
  );
}
