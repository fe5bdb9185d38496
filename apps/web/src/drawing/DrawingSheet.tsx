import AddIcon from '@mui/icons-material/Add';
import FitScreenIcon from '@mui/icons-material/FitScreenOutlined';
import PrintIcon from '@mui/icons-material/PrintOutlined';
import RemoveIcon from '@mui/icons-material/Remove';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import type { PanelMarks } from '@lean-clasp/core';
import { memo, type ReactNode } from 'react';
import { TransformComponent, TransformWrapper, useControls } from 'react-zoom-pan-pinch';
import { CLAMP_HANDLE_CLASS } from './ClampShapes';
import { EndView } from './EndView';
import type { DrawingExtras } from './extras';
import { PanelDrawing } from './PanelDrawing';
import { useSize } from './use-size';

/** Four buttons and the padding around the row they stand in. */
const BUTTONS_PX = 4 * 44 + 32;

/** The panel on its sheet: zoomable, pannable, printable, with its end view and a legend under it. */
export const DrawingSheet = memo(function DrawingSheet({
  marks,
  title,
  extras,
  legend,
}: {
  readonly marks: PanelMarks;
  readonly title: string;
  readonly extras: DrawingExtras;
  readonly legend?: ReactNode;
}) {
  const [ref, size] = useSize({ width: 800, height: 460 });
  return (
    <Box
      className="print-sheet"
      sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: 0, position: 'relative' }}
    >
      <TransformWrapper
        minScale={1}
        maxScale={8}
        panning={{ excluded: [CLAMP_HANDLE_CLASS] }}
        wheel={{ activationKeys: (keys) => keys.includes('Control') }}
        doubleClick={{ disabled: true }}
      >
        <Box ref={ref} sx={{ flex: 1, minHeight: 180, minWidth: 0, overflow: 'hidden' }}>
          <TransformComponent wrapperStyle={{ width: '100%', height: '100%' }}>
            <PanelDrawing marks={marks} title={title} size={size} extras={extras} />
          </TransformComponent>
        </Box>
        <Box sx={{ px: 2, pb: 1, flexShrink: 0 }}>
          {legend}
          <Box sx={{ display: 'flex', alignItems: 'center' }}>
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <EndView
                marks={marks}
                width={Math.max(200, size.width - BUTTONS_PX)}
                showBars={extras.dressing === 'pressure'}
              />
            </Box>
            <ZoomButtons />
          </Box>
        </Box>
      </TransformWrapper>
    </Box>
  );
});

function ZoomButtons() {
  const { zoomIn, zoomOut, resetTransform } = useControls();
  const buttons = [
    { label: 'Zoom in', Icon: AddIcon, act: () => void zoomIn() },
    { label: 'Zoom out', Icon: RemoveIcon, act: () => void zoomOut() },
    { label: 'Fit the sheet', Icon: FitScreenIcon, act: () => void resetTransform() },
    { label: 'Print the drawing', Icon: PrintIcon, act: () => window.print() },
  ];
  return (
    <Box
      className="no-print"
      sx={{
        position: 'absolute',
        right: 4,
        bottom: 4,
        zIndex: 1,
        display: 'flex',
        bgcolor: 'background.default',
      }}
    >
      {buttons.map(({ label, Icon, act }) => (
        <IconButton key={label} aria-label={label} title={label} onClick={act}>
          <Icon fontSize="small" />
        </IconButton>
      ))}
    </Box>
  );
}
