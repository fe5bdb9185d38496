import Box from '@mui/material/Box';
import { observeElementRect, useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, type RefObject, useLayoutEffect, useRef, useState } from 'react';

/** What a screen shows before anything has been measured, px. */
const SCREEN = { width: 1280, height: 800 };
/** Rows beyond the edge that are ready. */
const READY = 3;

/** The part of the page that scrolls. */
const scroller = () => document.getElementById('content');

/** How far down the part that scrolls something lies, px. */
function depthOf(element: HTMLElement): number {
  const within = scroller();
  const { top } = element.getBoundingClientRect();
  return within === null ? top : top - within.getBoundingClientRect().top + within.scrollTop;
}

/** What of a long list is near the screen, and where it lies; rows as high as they come out. */
export function useWindowed<Row extends HTMLElement>(
  list: RefObject<HTMLElement | null>,
  { count, rowPx }: { readonly count: number; readonly rowPx: number },
) {
  const [fromTopPx, setFromTopPx] = useState(0);
  useLayoutEffect(() => setFromTopPx(list.current === null ? 0 : depthOf(list.current)), [list]);
  // eslint-disable-next-line react-hooks/incompatible-library -- its answers change under one name, so nothing here is remembered
  const rows = useVirtualizer<HTMLElement, Row>({
    count,
    estimateSize: () => rowPx,
    getScrollElement: scroller,
    overscan: READY,
    measureElement: (row) => row.getBoundingClientRect().height || rowPx,
    initialRect: SCREEN,
    // What has not been laid out yet counts as a screen.
    observeElementRect: (instance, tell) =>
      observeElementRect(instance, (rect) => tell(rect.height === 0 ? SCREEN : rect)),
    scrollMargin: fromTopPx,
  });
  return {
    totalPx: rows.getTotalSize(),
    measure: rows.measureElement,
    shown: rows.getVirtualItems().map(({ key, index, start, end }) => ({
      key,
      index,
      startPx: start - fromTopPx,
      endPx: end - fromTopPx,
    })),
  };
}

/** A long list of which only what is near the screen is there. */
export function Windowed({
  count,
  rowPx,
  render,
  label,
}: {
  readonly count: number;
  /** About how high a row is. */
  readonly rowPx: number;
  readonly render: (row: number) => ReactNode;
  readonly label: string;
}) {
  const list = useRef<HTMLDivElement>(null);
  const { totalPx, measure, shown } = useWindowed<HTMLDivElement>(list, { count, rowPx });
  return (
    <Box ref={list} role="list" aria-label={label} sx={{ position: 'relative' }} style={{ height: totalPx }}>
      {shown.map(({ key, index, startPx }) => (
        <Box
          key={key}
          ref={measure}
          data-index={index}
          role="presentation"
          sx={{ position: 'absolute', top: 0, left: 0, right: 0 }}
          style={{ transform: `translateY(${startPx}px)` }}
        >
          {render(index)}
        </Box>
      ))}
    </Box>
  );
}
