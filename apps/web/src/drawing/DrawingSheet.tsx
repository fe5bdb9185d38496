import AddIcon from '@mui/icons-material/Add';
import FitScreenIcon from '@mui/icons-material/FitScreenOutlined';
import PrintIcon from '@mui/icons-material/PrintOutlined';
import RemoveIcon from '@mui/icons-material/Remove';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import type { PanelMarks } from '@lean-clasp/core/drawing';
import type { ReactNode } from 'react';
import { EndView } from './EndView';
import type { DrawingExtras } from './extras';
import { PanelDrawing } from './PanelDrawing';
import { useSize } from './use-size';
import { useZoom, type Zoom } from './use-zoom';

/** Four buttons and the padding around the row they stand in. */
const BUTTONS_PX = 4 * 44 + 32;

/** The panel on its sheet: zoomable, pannable, printable, with its end view and a legend under it. */
export function DrawingSheet({
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
  const { attach, ...zoom } = useZoom();
  return (
    <Box
      className="print-sheet"
      sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: 0 }}
    >
      <Box ref={ref} sx={{ flex: 1, minHeight: 180, minWidth: 0, overflow: 'hidden' }}>
        <Box className="print-unzoomed" ref={attach} sx={{ width: '100%', height: '100%' }}>
          <PanelDrawing marks={marks} title={title} size={size} extras={extras} />
        </Box>
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
          <ZoomButtons {...zoom} />
        </Box>
      </Box>
    </Box>
  );
}

function ZoomButtons({ zoomIn, zoomOut, fit }: Omit<Zoom, 'attach'>) {
  const buttons = [
    { label: 'Zoom in', Icon: AddIcon, act: zoomIn },
    { label: 'Zoom out', Icon: RemoveIcon, act: zoomOut },
    { label: 'Fit the sheet', Icon: FitScreenIcon, act: fit },
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
