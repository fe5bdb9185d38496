import AddIcon from '@mui/icons-material/Add';
import FitScreenIcon from '@mui/icons-material/FitScreenOutlined';
import PrintIcon from '@mui/icons-material/PrintOutlined';
import RemoveIcon from '@mui/icons-material/Remove';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import type { PanelMarks } from '@lean-clasp/core/drawing';
import { createContext, memo, type ReactNode, use, useMemo } from 'react';
import { TransformComponent, TransformWrapper, useControls } from 'react-zoom-pan-pinch';
import { CLAMP_HANDLE_CLASS } from './ClampShapes';
import { EndView } from './EndView';
import type { DrawingExtras } from './extras';
import { PanelDrawing } from './PanelDrawing';
import { useSize } from './use-size';

interface Sheet {
  readonly marks: PanelMarks;
  readonly title: string;
  readonly extras: DrawingExtras;
  readonly legend?: ReactNode;
}

// The zoom frame measures itself whenever it is rendered; what changes with each edit goes past it.
const SheetContext = createContext<Sheet | null>(null);

/** The panel on its sheet: zoomable, pannable, printable, with its end view and a legend under it. */
export function DrawingSheet({ marks, title, extras, legend }: Sheet) {
  const sheet = useMemo(() => ({ marks, title, extras, legend }), [marks, title, extras, legend]);
  return (
    <SheetContext value={sheet}>
      <ZoomFrame />
    </SheetContext>
  );
}

function useSheet(): Sheet {
  const sheet = use(SheetContext);
  if (sheet === null) throw new Error('useSheet outside of a sheet');
  return sheet;
}

const PANNING = { excluded: [CLAMP_HANDLE_CLASS] };
const WHEEL = { activationKeys: (keys: string[]) => keys.includes('Control') };
const NO_DOUBLE_CLICK = { disabled: true };
const FILL = { width: '100%', height: '100%' };
/** Four buttons and the padding around the row they stand in. */
const BUTTONS_PX = 4 * 44 + 32;

const ZoomFrame = memo(function ZoomFrame() {
  const [ref, size] = useSize({ width: 800, height: 460 });
  return (
    <Box
      className="print-sheet"
      sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: 0 }}
    >
      <TransformWrapper
        minScale={1}
        maxScale={8}
        panning={PANNING}
        wheel={WHEEL}
        doubleClick={NO_DOUBLE_CLICK}
      >
        <Box ref={ref} sx={{ flex: 1, minHeight: 180, minWidth: 0, overflow: 'hidden' }}>
          <TransformComponent wrapperStyle={FILL}>
            <Plan width={size.width} height={size.height} />
          </TransformComponent>
        </Box>
        <Box sx={{ px: 2, pb: 1, flexShrink: 0 }}>
          <Legend />
          <Box sx={{ display: 'flex', alignItems: 'center' }}>
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <End width={Math.max(200, size.width - BUTTONS_PX)} />
            </Box>
            <ZoomButtons />
          </Box>
        </Box>
      </TransformWrapper>
    </Box>
  );
});

function Plan({ width, height }: { readonly width: number; readonly height: number }) {
  const { marks, title, extras } = useSheet();
  return <PanelDrawing marks={marks} title={title} size={{ width, height }} extras={extras} />;
}

function Legend() {
  return useSheet().legend;
}

function End({ width }: { readonly width: number }) {
  const { marks, extras } = useSheet();
  return <EndView marks={marks} width={width} showBars={extras.dressing === 'pressure'} />;
}

function ZoomButtons() {
  const { zoomIn, zoomOut, resetTransform } = useControls();
  const buttons = [
    { label: 'Zoom in', Icon: AddIcon, act: () => void zoomIn() },
    { label: 'Zoom out', Icon: RemoveIcon, act: () => void zoomOut() },
    { label: 'Fit the sheet', Icon: FitScreenIcon, act: () => void resetTransform() },
    { label: 'Print the drawing', Icon: PrintIcon, act: () => window.print() },
  ];
  return (
    <Box className="no-print" sx={{ display: 'flex', flexShrink: 0 }}>
      {buttons.map(({ label, Icon, act }) => (
        <IconButton key={label} aria-label={label} title={label} onClick={act}>
          <Icon fontSize="small" />
        </IconButton>
      ))}
    </Box>
  );
}
